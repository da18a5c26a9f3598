//! One solution of a line in one unknown.

use crate::budget::Budget;
use crate::expr::Expr;
use crate::normal::Quotient;
use crate::number::Rational;

/// A real number that makes a line true. It is always known exactly; only its writing differs.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Solution {
    value: Quotient,
    writing: Writing,
}

/// How a solution is written.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Writing {
    /// With whole numbers, fractions, roots, and functions of these.
    Exact(Expr),
    /// The root of `polynomial`, or of another function, nearest to `decimal`: no numbers that a school uses
    /// say it.
    /// The decimal has six places and is no solution itself.
    Near {
        /// It is zero at the solution.
        polynomial: Expr,
        /// Where the solution lies, to six places.
        decimal: Expr,
    },
}

impl Solution {
    /// A constant as a solution; `None` for one that depends on an algebraic number which has no writing.
    #[must_use]
    pub fn of(value: &Quotient) -> Option<Self> {
        let writing = match near(value) {
            Some(near) => near,
            None if value.is_written_near() => return None,
            None => Writing::Exact(best_form(value)),
        };
        Some(Self { value: value.clone(), writing })
    }

    /// The number itself.
    #[must_use]
    pub fn value(&self) -> &Quotient {
        &self.value
    }

    /// How it is written.
    #[must_use]
    pub fn writing(&self) -> &Writing {
        &self.writing
    }

    /// Its value, when it is rational.
    #[must_use]
    pub fn as_rational(&self) -> Option<Rational> {
        self.value.as_constant()
    }

    /// In plain mathematics; one that has no writing by roots is told by its polynomial.
    #[must_use]
    pub fn text(&self) -> String {
        let text = crate::write::text;
        match &self.writing {
            Writing::Exact(expr) => text(expr),
            Writing::Near { polynomial, decimal } => {
                format!("the root of {} near {}", text(polynomial), text(decimal))
            }
        }
    }
}

/// Written without a root below: `√2`, not `2/√2`.
fn best_form(value: &Quotient) -> Expr {
    let mut budget = Budget::for_verdict();
    let free = value.rationalised(&mut budget).and_then(|value| value.cancelled(&mut budget));
    free.map_or_else(|_| value.to_expr(), |value| value.to_expr())
}

/// A number that stands by itself, and that only its polynomial or its function tells.
fn near(value: &Quotient) -> Option<Writing> {
    let kernel = value.as_kernel()?;
    let polynomial = match crate::normal::root_function(kernel) {
        Some(function) => function.to_expr(),
        None => crate::normal::algebraic_parts(kernel)?.1.to_expr("x"),
    };
    Some(Writing::Near { polynomial, decimal: Expr::decimal(&kernel.near()?) })
}
