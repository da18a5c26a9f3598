//! Every sentence about mathematics: why a line follows, why it does not, what is wrong with one that
//! cannot be read. Mathematics in a sentence stands between dollar signs, as LaTeX.

mod reading;
mod reasons;
mod verdicts;

pub use reading::{note, unreadable};
pub use reasons::reason;
pub use verdicts::{Against, condition, difference, domain, step_says, values};

use algebra::Expr;
use algebra::number::Rational;

/// What is said where mathematics begins and does not end.
pub const LONE_DOLLAR: &str = "A dollar sign stands alone: mathematics stands between two.";

/// Whether mathematics begins in a text and does not end.
#[must_use]
pub fn has_lone_dollar(text: &str) -> bool {
    !text.matches('$').count().is_multiple_of(2)
}

/// With a capital at its beginning.
#[must_use]
pub fn capital(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_uppercase().chain(letters).collect())
}

/// An expression within a sentence.
#[must_use]
pub fn math(expr: &Expr) -> String {
    format!("${}$", algebra::write::latex(expr))
}

/// A number within a sentence.
#[must_use]
pub fn number(value: &Rational) -> String {
    math(&Expr::rational(value))
}
