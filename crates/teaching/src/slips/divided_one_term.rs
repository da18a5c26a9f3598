//! Divided only one term of a side: `2x + 6 = 10` to `x + 6 = 5`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line};
use num_traits::{One, Zero};

/// Divided only one term of a side: `2x + 6 = 10` to `x + 6 = 5`.
pub struct DividedOneTerm;

impl DividedOneTerm {
    /// Its id.
    pub const ID: SlipId = SlipId::new("divided-one-term");
}

impl Slip for DividedOneTerm {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Dividing a side means dividing every term on it. Which term was left as it was?"
    }

    fn to_teacher(&self) -> &'static str {
        "Divided only some terms of a side by the coefficient."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some(letter) = only_letter(line) else { return Vec::new() };
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let sides = linear_coefficients(left, &letter).zip(linear_coefficients(right, &letter));
        let Some(((a, b), (c, d))) = sides else { return Vec::new() };
        if a.is_zero() || a.is_one() || b.is_zero() || !c.is_zero() {
            return Vec::new();
        }
        let left = Expr::symbol(&letter).plus(Expr::rational(&b));
        vec![Line::equation(left, Expr::rational(&(d / a)))]
    }
}
