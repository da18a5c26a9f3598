//! One solution of a line in one unknown.

use crate::expr::Expr;
use crate::number::Rational;

/// A real number that makes a line true. It is always known exactly; only its writing differs.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Solution {
    /// Written with whole numbers, fractions and roots.
    Exact(Expr),
    /// The root of `polynomial` nearest to `decimal`: no roots of whole numbers that a school uses say it.
    /// The decimal has six places and is no solution itself.
    Near {
        /// It is zero at the solution.
        polynomial: Expr,
        /// Where the solution lies, to six places.
        decimal: Expr,
    },
}

impl Solution {
    /// Its exact writing, where there is one.
    #[must_use]
    pub fn exact(&self) -> Option<&Expr> {
        match self {
            Self::Exact(expr) => Some(expr),
            Self::Near { .. } => None,
        }
    }

    /// Its value, when it is rational.
    #[must_use]
    pub fn as_rational(&self) -> Option<Rational> {
        self.exact()?.as_plain_number()
    }

    /// In plain mathematics; one that has no writing by roots is told by its polynomial.
    #[must_use]
    pub fn text(&self) -> String {
        let text = crate::write::text;
        match self {
            Self::Exact(expr) => text(expr),
            Self::Near { polynomial, decimal } => {
                format!("the root of {} near {}", text(polynomial), text(decimal))
            }
        }
    }
}
