//! Divided the wrong way round: `4x = 20` to `x = 4/20`.

use super::Slip;
use super::subtracted_instead_of_dividing::product;
use crate::ids::SlipId;
use algebra::{Expr, Line};
use num_traits::Zero;

/// Divided the wrong way round: `4x = 20` to `x = 4/20`.
pub struct DividedWrongWay;

impl DividedWrongWay {
    /// Its id.
    pub const ID: SlipId = SlipId::new("divided-wrong-way");
}

impl Slip for DividedWrongWay {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Divide both sides by the number in front of the letter. Which number goes on top?"
    }

    fn to_teacher(&self) -> &'static str {
        "Divided the coefficient by the value instead of the value by the coefficient."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((letter, factor, value)) = product(line) else { return Vec::new() };
        // With equal sizes both ways give the same number.
        if value.is_zero() || &value * &value == &factor * &factor {
            return Vec::new();
        }
        vec![Line::equation(Expr::symbol(&letter), Expr::rational(&(factor / value)))]
    }
}
