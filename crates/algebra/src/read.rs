//! Reads a line as people type it: plain typing, pasted Unicode, and LaTeX as an equation editor
//! writes it, all by one grammar.
//!
//! `token` cuts the text into pieces that remember their place; `names` splits words into letters and
//! functions; `parser` builds the tree by binding
//! strength (V. R. Pratt, "Top down operator precedence", 1973); `lines` finds out what kind of line
//! it is; `error` says what can be wrong and how to mend it. Sentences about errors are written in
//! `teaching`.

mod error;
mod lines;
mod names;
mod parser;
mod token;

pub use error::{Expected, Mend, ReadError, ReadErrorKind};

use crate::budget;
use crate::expr::{Expr, Span};
use crate::line::Line;

/// What could have been meant otherwise; told, never guessed at twice.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Note {
    /// `1/2x` was read as `(1/2)x`.
    DividesThenMultiplies(Span),
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
    read(text, false)
}

/// Reads one line of LaTeX as an equation editor writes it, where `x^23` is x squared times three.
///
/// # Errors
/// As [`read_line`].
pub fn read_latex(text: &str) -> Result<Reading, ReadError> {
    read(text, true)
}

fn read(text: &str, latex: bool) -> Result<Reading, ReadError> {
    if text.len() > budget::LINE_BYTES {
        return Err(ReadError::new(ReadErrorKind::TooLong, Span::new(0, text.len())));
    }
    let tokens = token::tokens(text, latex)?;
    lines::read(text, &tokens)
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
