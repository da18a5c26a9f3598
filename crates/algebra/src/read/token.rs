//! Cuts a line into tokens. LaTeX commands become the same tokens as the plain signs they stand for.

mod commands;
mod numbers;
mod signs;

use super::error::{ReadError, ReadErrorKind};
use crate::expr::Span;
use crate::line::Relation;
use crate::unit::Unit;
use commands::raised_circle;
use numbers::{lowered, raised, raised_in_words, raised_letter};

/// A piece of a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Token {
    pub kind: TokenKind,
    pub span: Span,
    /// Whether white space stands right before it: `3 1/2` is a mixed number, `31/2` is not.
    pub spaced: bool,
    /// Whether it stands upright, as words do in LaTeX: in the braces of `\\text` and its like.
    pub upright: bool,
}

#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) enum TokenKind {
    /// Digits, perhaps with a point: `12`, `2.50`, `.5`.
    Number(String),
    /// A fraction sign of Unicode: `½` is (1, 2).
    VulgarFraction(u32, u32),
    /// A numeral in a base: `1011_2`.
    Based(String, u32),
    /// A unit of a quantity.
    Unit(Unit),
    /// `∞`
    Infinity,
    /// `∪`
    Union,
    /// Letters that stand together; the parser splits them into names.
    Word(String),
    /// `0.1̇8̇`, `0.333...`: what stands before the period, and the period.
    Recurring(String, String),
    /// `r`, `rem`, `remainder` between a quotient and a remainder; made out of words.
    Remainder,
    /// `mod` between two numbers; made out of words.
    Modulo,
    /// `Σ`
    Sum,
    /// An expression that was made out of tokens: a sum with dots.
    Made(Box<crate::expr::Expr>),
    /// `∘` between two functions.
    After,
    /// Words, capitals or a sign with its points that name a quantity; made out of words.
    Name(String),
    /// A LaTeX command that takes groups: `frac`, `sqrt`, `text`, `operatorname`, `placeholder`.
    Command(&'static str),
    /// Digits raised: `x²`.
    Superscript(i64),
    Plus,
    Minus,
    PlusMinus,
    MinusPlus,
    Times,
    Over,
    Power,
    Underscore,
    Percent,
    Bang,
    Bar,
    Comma,
    Semicolon,
    Colon,
    Degree,
    /// `√`, `∛`, `∜`, with its index.
    Root(u32),
    Open(char),
    Close(char),
    Relation(Relation),
    Pi,
    /// `∴`, `⇒`: marks that say "so".
    So,
    /// `→`, `->`: a mark before a line; between two it says too many things.
    Arrow,
    /// `∈`
    In,
    /// A full stop that ends the line.
    Stop,
    /// `…`, `...`: it goes on.
    Dots,
    /// A letter that stands for a number; made by the parser out of words.
    Letter(String),
    /// A function's name; made by the parser out of words.
    Function(crate::expr::Function),
    /// `sqrt`, `cbrt`, `root`, `abs`: made by the parser out of words.
    Named(&'static str),
    /// Euler's number; made by the parser out of words.
    Euler,
}

impl TokenKind {
    /// The sign as it is shown in a message.
    pub fn shown(&self, text: &str, span: Span) -> String {
        text.get(span.start..span.end).unwrap_or("").to_owned()
    }
}

const RAISED: &str = "⁰¹²³⁴⁵⁶⁷⁸⁹";

/// A box or a line that stands for a number to be found.
pub(crate) const BLANK: &str = "□";

struct Cutter<'a> {
    text: &'a str,
    at: usize,
    found: Vec<Token>,
    spaced: bool,
    latex: bool,
    /// Whether words behind numbers are units.
    quantities: bool,
    /// How many of the next arguments are a single digit when they are not in braces: two after
    /// `\\frac`, one after `^` in LaTeX. The outer counts wait while a brace is open.
    single: Vec<u8>,
    /// Whether a column of numbers is open, whose rows `\\\\` parts.
    columns: bool,
    /// Where the braces of `\\text` and its like close: what stands in them is words like any other.
    word_ends: Vec<usize>,
}

/// Cuts `text` into tokens.
///
/// In LaTeX, `x^23` is x squared times three.
///
/// # Errors
/// A character or a LaTeX command that means nothing here.
pub(super) fn tokens(text: &str, latex: bool, quantities: bool) -> Result<Vec<Token>, ReadError> {
    let (found, single) = (Vec::new(), vec![0]);
    let mut cutter = Cutter {
        text,
        at: 0,
        found,
        spaced: false,
        latex,
        quantities,
        single,
        columns: false,
        word_ends: Vec::new(),
    };
    while cutter.at < text.len() {
        cutter.cut()?;
    }
    Ok(cutter.found)
}

impl<'a> Cutter<'a> {
    fn rest(&self) -> &'a str {
        &self.text[self.at..]
    }

    fn push(&mut self, kind: TokenKind, bytes: usize) {
        let span = Span::new(self.at, self.at + bytes);
        self.count_single(&kind);
        let upright = !self.word_ends.is_empty();
        self.found.push(Token { kind, span, spaced: self.spaced, upright });
        self.at += bytes;
        self.spaced = false;
    }

    fn count_single(&mut self, kind: &TokenKind) {
        if let Some(last) = self.single.last_mut() {
            *last = match kind {
                TokenKind::Command("frac" | "dfrac" | "tfrac" | "binom" | "dbinom" | "tbinom") => 2,
                TokenKind::Power | TokenKind::Underscore if self.latex => 1,
                TokenKind::Close('}') => *last,
                _ => last.saturating_sub(1),
            };
        }
        match kind {
            TokenKind::Open('{') => self.single.push(0),
            TokenKind::Close('}') if self.single.len() > 1 => {
                self.single.pop();
            }
            _ => {}
        }
    }

    fn skip(&mut self, bytes: usize) {
        self.at += bytes;
        self.spaced = true;
    }

    fn cut(&mut self) -> Result<(), ReadError> {
        use TokenKind as T;
        let rest = self.rest();
        let Some(first) = rest.chars().next() else { return Ok(()) };
        let size = first.len_utf8();
        if first == '\n' && self.ends_a_statement() {
            self.push(T::Semicolon, size);
            return Ok(());
        }
        if first.is_whitespace() || matches!(first, '\u{200b}' | '\u{feff}' | '\u{fe0f}') {
            self.skip(size);
            return Ok(());
        }
        // `5+-3` is five plus minus three; only a sign that begins a term is "plus or minus".
        if let Some((kind, length)) = signs::of_several(rest)
            && !(rest.starts_with("+-") && self.after_value())
        {
            // `x => 4` bounds a letter; `2x = 6 => x = 3` goes on.
            let bounds = rest.starts_with("=>")
                && matches!(&self.found[..], [Token { kind: T::Word(name), .. }] if name.chars().count() == 1)
                && !rest[length..].contains(['=', '<', '>', '≤', '≥']);
            let kind = if bounds { T::Relation(Relation::GreaterOrEqual) } else { kind };
            self.push(kind, length);
            return Ok(());
        }
        if let Some(length) = self.blank() {
            self.push(T::Letter(BLANK.to_owned()), length);
            return Ok(());
        }
        if first == '}' && self.word_ends.last() == Some(&self.at) {
            self.word_ends.pop();
            self.skip(size);
            return Ok(());
        }
        if first == '\\' {
            return self.command();
        }
        if first == '^'
            && let Some(length) = raised_circle(&rest[size..])
        {
            self.push(T::Degree, size + length);
            return Ok(());
        }
        if first == '^'
            && let Some((primes, length)) = commands::raised_primes(&rest[size..])
        {
            self.primes(primes, size + length);
            return Ok(());
        }
        // The full stop of a sentence that the field took for a decimal point: `m^{2.}`.
        if self.latex && rest.starts_with(".}") {
            self.skip(size);
            return Ok(());
        }
        if lowered(first).is_some() {
            return self.subscript();
        }
        if let Some((digits, base, length)) = self.numeral() {
            self.push(T::Based(digits, base), length);
            return Ok(());
        }
        if first.is_ascii_digit() || (first == '.' && self.digit_follows(1)) {
            return self.number();
        }
        if let Some((_, n, d)) = signs::VULGAR.iter().find(|entry| entry.0 == first) {
            self.push(T::VulgarFraction(*n, *d), size);
            return Ok(());
        }
        if raised_in_words(rest) {
            return self.raised_exponent();
        }
        if RAISED.contains(first) || (first == '⁻' && rest.chars().nth(1).is_some_and(raised)) {
            return self.superscript();
        }
        if first == 'π' {
            self.push(T::Pi, size);
            return Ok(());
        }
        if matches!(first, '∑' | 'Σ') {
            self.push(T::Sum, size);
            return Ok(());
        }
        if self.quantities && matches!(first, '\'' | '′' | '"' | '″') && self.digit_before() {
            let unit = if matches!(first, '\'' | '′') { "ft" } else { "in" };
            if let Some(unit) = Unit::named(unit) {
                self.push(T::Unit(unit), size);
                return Ok(());
            }
        }
        if first.is_alphabetic() || first == '\'' {
            let length: usize = rest
                .chars()
                .take_while(|&c| {
                    c.is_ascii_alphabetic()
                        || (c.is_alphabetic()
                            && !matches!(c, 'π' | 'Σ')
                            && raised_letter(c).is_none())
                        || c == '\''
                        || c == '’'
                })
                .map(char::len_utf8)
                .sum();
            if let Some(before) = self.found.last_mut()
                && !self.spaced
                && self.text[..self.at].ends_with("prime}")
                && let T::Word(word) = &mut before.kind
            {
                // The apostrophe of `It's` stands high in the field.
                word.push_str(&rest[..length]);
                before.span.end += length;
                self.at += length;
                return Ok(());
            }
            self.push(T::Word(rest[..length].to_owned()), length);
            return Ok(());
        }
        let kind = match first {
            '°' if self.quantities && rest[size..].starts_with('C') => {
                match Unit::named("°C") {
                    Some(unit) => self.push(T::Unit(unit), size + 1),
                    None => self.skip(size),
                }
                return Ok(());
            }
            // Between two figures it says that they are similar.
            '~' if matches!(&self.found.last(), Some(Token { kind: T::Name(name), .. }) if name.starts_with('△')) =>
            {
                let span = Span::new(self.at, self.at + size);
                return Err(ReadError::new(ReadErrorKind::UnknownCharacter('~'), span));
            }
            '⌊' | '⌈' => {
                let name = if first == '⌊' { "floor" } else { "ceil" };
                self.push(T::Word(name.into()), 0);
                T::Open('(')
            }
            '✓' | '✔' | '✗' | '✘' | '☑' | '✅' | '❌' | '\u{fe0e}' => {
                self.skip(size); // a tick says nothing of the mathematics
                return Ok(());
            }
            '∠' | '△' | '▵' => return self.sign_with_points(first),
            // In an environment it says where lines stand below each other.
            '&' if self.text.contains("\\begin") && !self.columns => {
                self.skip(size);
                return Ok(());
            }
            // `2 & 3/4` is a mixed number.
            '&' if matches!(self.found.last(), Some(Token { kind: T::Number(_), .. }))
                && rest[size..].trim_start().starts_with(|c: char| c.is_ascii_digit()) =>
            {
                self.skip(size);
                return Ok(());
            }
            '?' if self.after_value() => T::Stop,
            '€' | '£' | '¢' => match Unit::named(first.encode_utf8(&mut [0; 4])) {
                Some(unit) => T::Unit(unit),
                None => T::Stop,
            },
            '$' if self.quantities => match Unit::named("$") {
                Some(unit) => T::Unit(unit),
                None => T::Stop,
            },
            '$' => {
                self.skip(size); // the marks around mathematics in running text
                return Ok(());
            }
            other => match signs::of_one(other) {
                Some(kind) => kind,
                None => {
                    let span = Span::new(self.at, self.at + size);
                    let error = ReadError::new(ReadErrorKind::UnknownCharacter(other), span);
                    return Err(error.with_mend(span, ""));
                }
            },
        };
        self.push(kind, size);
        Ok(())
    }

    /// Strokes that stand high behind a name belong to it: `f'`; behind a number they are feet and inches.
    fn primes(&mut self, strokes: usize, bytes: usize) {
        let unit = Unit::named(if strokes == 1 { "ft" } else { "in" });
        if let Some(unit) = unit
            && self.quantities
            && self.digit_before()
        {
            self.push(TokenKind::Unit(unit), bytes);
        } else if let Some(Token { kind: TokenKind::Word(word), span, .. }) = self.found.last_mut()
            && !self.spaced
        {
            word.push_str(&"'".repeat(strokes));
            span.end += bytes;
            self.at += bytes;
        } else {
            self.push(TokenKind::Word("'".repeat(strokes)), bytes);
        }
    }

    /// Whether a number ends right before this place.
    fn digit_before(&self) -> bool {
        self.text[..self.at].ends_with(|c: char| c.is_ascii_digit())
    }

    /// Whether a line break here parts two statements: a relation stands before it, and no bracket is open.
    fn ends_a_statement(&self) -> bool {
        use TokenKind as T;
        let open = self.found.iter().fold(0i32, |open, token| match token.kind {
            T::Open(_) => open + 1,
            T::Close(_) => open - 1,
            _ => open,
        });
        let last = self.found.iter().rposition(|token| token.kind == T::Semicolon);
        let since = &self.found[last.map_or(0, |at| at + 1)..];
        let rest = self.rest().trim();
        open == 0
            && !rest.is_empty()
            && since.iter().any(|token| matches!(token.kind, T::Relation(_)))
            && !matches!(self.found.last(), Some(Token { kind: T::Relation(_) | T::Comma, .. }))
    }

    /// The length of a box or a line that stands for a number: `□`, `___`, `[ ]`, `?`.
    fn blank(&self) -> Option<usize> {
        let rest = self.rest();
        let first = rest.chars().next()?;
        if matches!(first, '□' | '☐' | '⬜' | '◻' | '▢') {
            return Some(first.len_utf8());
        }
        if rest.starts_with("__") {
            return Some(rest.bytes().take_while(|b| *b == b'_').count());
        }
        if first == '[' {
            let inside = rest[1..].trim_start();
            return inside.starts_with(']').then(|| rest.len() - inside.len() + 1);
        }
        // A question mark is a number where one stands alone; at the end of a line it asks.
        let is_asked = first == '?' && {
            let after = rest[1..].trim_start();
            let value_before = self.after_value();
            !value_before && !after.starts_with(|c: char| c.is_alphanumeric())
        };
        is_asked.then_some(1)
    }

    /// Whether the last token ends a value, so that a sign after it is an operation.
    fn after_value(&self) -> bool {
        use TokenKind as T;
        self.found.last().is_some_and(|token| {
            matches!(
                token.kind,
                T::Number(_)
                    | T::VulgarFraction(..)
                    | T::Word(_)
                    | T::Close(_)
                    | T::Pi
                    | T::Superscript(_)
                    | T::Percent
                    | T::Degree
            )
        })
    }

    fn digit_follows(&self, bytes: usize) -> bool {
        self.rest().as_bytes().get(bytes).is_some_and(u8::is_ascii_digit)
    }

    /// `∠ABC`, `∠1`, `△PQR`: one name.
    fn sign_with_points(&mut self, sign: char) -> Result<(), ReadError> {
        self.points(sign, sign.len_utf8())
    }

    /// The points behind an angle's or a triangle's sign that takes `used` bytes.
    fn points(&mut self, sign: char, used: usize) -> Result<(), ReadError> {
        let rest = &self.rest()[used..];
        let gap = rest.len() - rest.trim_start().len();
        let points = rest[gap..].bytes().take_while(u8::is_ascii_alphanumeric).count();
        let name = &rest[gap..gap + points];
        // `∠x` is the angle x: the letter alone says it.
        let kind = if name.len() == 1 && name.bytes().all(|b| b.is_ascii_lowercase()) {
            TokenKind::Word(name.to_owned())
        } else if points == 0 {
            let span = Span::new(self.at, self.at + used);
            return Err(ReadError::new(ReadErrorKind::UnknownCharacter(sign), span));
        } else {
            TokenKind::Name(format!("{sign}{name}"))
        };
        self.push(kind, used + gap + points);
        Ok(())
    }
}
