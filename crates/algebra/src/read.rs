//! Reads a line as people type it: plain typing, pasted Unicode, and LaTeX as an equation editor
//! writes it, all by one grammar.
//!
//! `token` cuts the text into pieces that remember their place; `names` splits words into letters and
//! functions; `parser` builds the tree by binding
//! strength (V. R. Pratt, "Top down operator precedence", 1973); `lines` finds out what kind of line
//! it is; `error` says what can be wrong and how to mend it. Sentences about errors are written in
//! `teaching`.

mod error;
mod light;
mod lines;
mod names;
mod parser;
mod school;
mod sentence;
mod token;
mod vocabulary;

pub use error::{Expected, Mend, ReadError, ReadErrorKind};
pub use light::Light;
pub(crate) use light::may_be_function;
pub(crate) use names::are_letters;
pub use sentence::quantities_in;
pub(crate) use token::BLANK;

use std::borrow::Cow;

use crate::budget;
use crate::expr::{Expr, Span};
use crate::line::Line;

/// What could have been meant otherwise; told, never guessed at twice.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Note {
    /// `1/2x` was read as `(1/2)x`.
    DividesThenMultiplies(Span),
    /// `3/4 ÷ 2/3` was read as three quarters by two thirds: beside `÷` a slash without spaces is a fraction.
    DividesByFraction(Span),
    /// `2,5` was read as two and five tenths.
    DecimalComma(Span),
    /// `x^1/2` was read as `(x^1)/2`, and `e^2x` as `(e^2)x`.
    PowerEnds(Span),
    /// `0.1(6)` was read as a decimal that repeats.
    Repeats(Span),
}

/// A line that was read.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Reading {
    /// What it says.
    pub line: Line,
    /// Where it could have been meant otherwise.
    pub notes: Vec<Note>,
    /// What it says when `(2)` or `(a)` at its beginning is a label; to be taken only when the line above
    /// fits this reading and not the other.
    pub unlabelled: Option<Line>,
}

/// Reads one line of any kind, typed or pasted; LaTeX commands in it are understood.
///
/// # Errors
/// A [`ReadError`] that points into `text`; its span always lies on character boundaries.
///
/// ```
/// let reading = algebra::read_line("3(2x - 5) = 27")?;
/// assert!(reading.line.as_equation().is_some());
/// # Ok::<(), algebra::ReadError>(())
/// ```
pub fn read_line(text: &str) -> Result<Reading, ReadError> {
    read_line_with(text, Options::default())
}

/// How a line is to be read.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq)]
pub struct Options {
    /// As LaTeX from an equation editor, where `x^23` is x squared times three.
    pub latex: bool,
    /// Words behind numbers are units, and `$` is money.
    pub quantities: bool,
    /// Upright words behind numbers are units, and letters are none: `5\,\text{m}` is a length, `5m` five times m.
    /// So LaTeX is written by us.
    pub upright_units: bool,
}

impl Options {
    /// For LaTeX as [`crate::write::latex_line`] writes it.
    pub const WRITTEN_LATEX: Self = Self { latex: true, quantities: false, upright_units: true };

    /// Which words behind numbers are units.
    const fn units(self) -> Units {
        match (self.quantities, self.upright_units) {
            (true, _) => Units::Words,
            (false, true) => Units::UprightWords,
            (false, false) => Units::None,
        }
    }
}

/// Which words behind numbers are units.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Units {
    None,
    UprightWords,
    Words,
}

/// Reads one line as [`read_line`] does, in another way.
///
/// # Errors
/// As [`read_line`].
pub fn read_line_with(text: &str, options: Options) -> Result<Reading, ReadError> {
    if text.len() > budget::LINE_BYTES {
        return Err(ReadError::new(ReadErrorKind::TooLong, Span::new(0, text.len())));
    }
    read_in_light(text, options, &Light::of([text]))
}

/// Reads one line as [`read_line_with`] does, in the light of others.
///
/// # Errors
/// As [`read_line`].
pub fn read_in_light(text: &str, options: Options, light: &Light) -> Result<Reading, ReadError> {
    if text.len() > budget::LINE_BYTES {
        return Err(ReadError::new(ReadErrorKind::TooLong, Span::new(0, text.len())));
    }
    let options = Options { quantities: options.quantities || light.has_units(), ..options };
    let text = &*spaced(text);
    let tokens = token::tokens(text, options.latex, options.quantities)?;
    lines::read(text, tokens, options.units(), light)
}

/// A line in which every space of LaTeX is a space; its other signs keep their places.
fn spaced(text: &str) -> Cow<'_, str> {
    if !text.contains('\\') {
        return Cow::Borrowed(text);
    }
    let mut out = String::with_capacity(text.len());
    let mut signs = text.chars().peekable();
    while let Some(sign) = signs.next() {
        match (sign, signs.peek()) {
            // As long in bytes as the two signs that it stands for.
            ('\\', Some(':' | ',' | ';' | ' ')) => {
                out.push('\u{a0}');
                signs.next();
            }
            ('\\', Some('\\')) => {
                out.push_str("\\\\");
                signs.next();
            }
            _ => out.push(sign),
        }
    }
    Cow::Owned(out)
}

/// Reads one line of LaTeX as an equation editor writes it, where `x^23` is x squared times three.
///
/// # Errors
/// As [`read_line`].
pub fn read_latex(text: &str) -> Result<Reading, ReadError> {
    read_line_with(text, Options { latex: true, ..Options::default() })
}

/// Reads a line that must be one expression.
///
/// # Errors
/// As [`read_line`], and [`ReadErrorKind::NotAnExpression`] for a relation or words.
pub fn read_expr(text: &str) -> Result<Expr, ReadError> {
    match read_line(text)?.line {
        Line::Expression(expr) => Ok(expr),
        _ => Err(ReadError::new(ReadErrorKind::NotAnExpression, Span::new(0, text.len()))),
    }
}

#[cfg(test)]
mod tests;
