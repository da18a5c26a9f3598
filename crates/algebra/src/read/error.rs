//! What can be wrong with a line, as data; `teaching` puts it into words.

use crate::expr::Span;

/// Text that is no line: where it breaks, what is wrong, and an edit that mends it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct ReadError {
    /// Where it breaks, in UTF-8 bytes.
    pub span: Span,
    /// What is wrong.
    pub kind: ReadErrorKind,
    /// An edit that mends it: offered, never applied unasked.
    pub mend: Option<Mend>,
}

/// Replaces `span` with `text`.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Mend {
    /// What is replaced, in UTF-8 bytes; empty to insert.
    pub span: Span,
    /// What is put there.
    pub text: String,
}

impl Mend {
    /// The whole of `line` as it would be after the mend; `None` when the span is not of this line.
    #[must_use]
    pub fn applied(&self, line: &str) -> Option<String> {
        let (before, after) = (line.get(..self.span.start)?, line.get(self.span.end..)?);
        Some(format!("{before}{}{after}", self.text))
    }
}

/// What was expected where the line breaks off.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Expected {
    /// A number, a letter or a bracket.
    Value,
    /// A closing bracket.
    Closing(char),
}

/// What is wrong with a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum ReadErrorKind {
    /// There is nothing on the line.
    Empty,
    /// The line is longer than is read.
    TooLong,
    /// Brackets, powers or fractions stand too deep inside each other.
    TooDeep,
    /// A character that means nothing here.
    UnknownCharacter(char),
    /// A word that is no name, function or joining word.
    UnknownWord(String),
    /// An operator with nothing after it, or nothing before it.
    MissingOperand { operator: String, after: bool },
    /// The line ends where something was still expected.
    UnexpectedEnd(Expected),
    /// Something stands where it cannot.
    Unexpected(String),
    /// A bracket that is never closed.
    Unclosed(char),
    /// A closing bracket that was never opened.
    Unopened(char),
    /// A box of the equation editor that is still empty.
    EmptyBox,
    /// A number that cannot be, such as `1.2.3` or a mixed number over zero.
    BadNumber(String),
    /// Digits right behind a letter: an exponent or an index that was typed flat.
    FlatPower { letter: String, digits: String },
    /// An expression was asked for.
    NotAnExpression,
}

impl ReadError {
    /// An error at `span`, with no mend to offer.
    #[must_use]
    pub fn new(kind: ReadErrorKind, span: Span) -> Self {
        Self { span, kind, mend: None }
    }

    /// The same error with an edit to offer.
    #[must_use]
    pub fn with_mend(mut self, span: Span, text: impl Into<String>) -> Self {
        self.mend = Some(Mend { span, text: text.into() });
        self
    }
}
