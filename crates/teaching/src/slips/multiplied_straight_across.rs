//! Multiplied straight across a proportion: `n/6 = 10/15` to `10n = 90`.

use super::Slip;
use crate::ids::SlipId;
use algebra::solve::{Place, Proportion};
use algebra::{Expr, Line};

/// Multiplied straight across a proportion: `n/6 = 10/15` to `10n = 90`.
pub struct MultipliedStraightAcross;

impl MultipliedStraightAcross {
    /// Its id.
    pub const ID: SlipId = SlipId::new("multiplied-straight-across");
}

impl Slip for MultipliedStraightAcross {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "In a proportion the products along the two diagonals are equal. Which terms face each other?"
    }

    fn to_teacher(&self) -> &'static str {
        "Multiplied top by top and bottom by bottom instead of cross-multiplying."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some(proportion) = Proportion::of(line) else { return Vec::new() };
        let terms = proportion.completed();
        // a·c = b·d says the same as a·d = b·c exactly when c² = d² or the like: then nothing is wrong.
        let at = Place::ALL.iter().position(|&p| p == proportion.place()).unwrap_or(0);
        let (partner, own, other) = (&terms[at ^ 2], &terms[at ^ 1], &terms[at ^ 3]);
        let wrong = own * other / partner;
        if wrong == terms[at] {
            return Vec::new();
        }
        let letter = Expr::symbol(proportion.letter());
        let left = Expr::rational(partner).times(letter);
        vec![Line::equation(left, Expr::rational(&(own * other)))]
    }
}
