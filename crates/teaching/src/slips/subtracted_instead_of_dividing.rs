//! Took the factor away instead of dividing by it: `4x = 20` to `x = 16`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::number::Rational;
use algebra::solve::linear_coefficients;
use algebra::{Expr, ExprKind, Line};
use num_traits::{One, Zero};

/// Took the factor away instead of dividing by it: `4x = 20` to `x = 16`.
pub struct SubtractedInsteadOfDividing;

impl SubtractedInsteadOfDividing {
    /// Its id.
    pub const ID: SlipId = SlipId::new("subtracted-instead-of-dividing");
}

impl Slip for SubtractedInsteadOfDividing {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "What stands in front of the letter multiplies it. What undoes multiplying?"
    }

    fn to_teacher(&self) -> &'static str {
        "Subtracted the coefficient instead of dividing by it."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        if line.symbols().len() > 1 {
            return in_formula(line);
        }
        let Some((letter, factor, value)) = product(line) else { return Vec::new() };
        // 2x = 4: taking 2 away happens to give the right number.
        if &value - &factor == &value / &factor {
            return Vec::new();
        }
        vec![Line::equation(Expr::symbol(&letter), Expr::rational(&(value - factor)))]
    }
}

/// The letter, the factor and the value of `a·x = c`, where `a` is neither zero nor one.
pub(super) fn product(line: &Line) -> Option<(String, Rational, Rational)> {
    let letter = only_letter(line)?;
    let (left, right) = line.as_equation()?;
    let (a, b) = linear_coefficients(left, &letter)?;
    let (c, d) = linear_coefficients(right, &letter)?;
    let fits = b.is_zero() && c.is_zero() && !a.is_zero() && !a.is_one();
    fits.then_some((letter, a, d))
}

/// `A = lw` to `l = A - w`.
fn in_formula(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let of = |e: &Expr| e.clone();
    let apart = |alone: &Expr, product: &Expr| match &product.kind {
        ExprKind::Multiply(a, b) => vec![
            Line::equation(of(a), of(alone).minus(of(b))),
            Line::equation(of(b), of(alone).minus(of(a))),
        ],
        _ => Vec::new(),
    };
    apart(left, right).into_iter().chain(apart(right, left)).collect()
}
