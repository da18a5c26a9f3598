//! Divided by a negative number and kept the sign: `-2x < 6` to `x < -3`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line, Relation};
use num_traits::Signed;

/// Divided by a negative number and kept the sign: `-2x < 6` to `x < -3`.
pub struct SignNotTurned;

impl SignNotTurned {
    /// Its id.
    pub const ID: SlipId = SlipId::new("sign-not-turned");
}

impl Slip for SignNotTurned {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Dividing or multiplying by a negative number turns the sign of an inequality round."
    }

    fn to_teacher(&self) -> &'static str {
        "Did not turn the inequality when dividing by a negative."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Line::Relations { sides, relations } = line else { return Vec::new() };
        let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return Vec::new() };
        if matches!(relation, Relation::Equal | Relation::NotEqual | Relation::Approximate) {
            return Vec::new();
        }
        let Some(letter) = only_letter(line) else { return Vec::new() };
        let both = linear_coefficients(left, &letter).zip(linear_coefficients(right, &letter));
        let Some(((a, b), (c, d))) = both else { return Vec::new() };
        let factor = a - c;
        if !factor.is_negative() {
            return Vec::new();
        }
        let value = Expr::rational(&((d - b) / factor));
        vec![Line::Relations {
            sides: vec![Expr::symbol(&letter), value],
            relations: vec![*relation],
        }]
    }
}
