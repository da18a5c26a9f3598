//! Cleared a fraction from one term only: `x/2 + 3 = 5` to `x + 3 = 10`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Cleared a fraction from one term only: `x/2 + 3 = 5` to `x + 3 = 10`.
pub struct MultipliedOneTerm;

impl MultipliedOneTerm {
    /// Its id.
    pub const ID: SlipId = SlipId::new("multiplied-one-term");
}

impl Slip for MultipliedOneTerm {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Multiplying a side means multiplying every term on it. Which one was left?"
    }

    fn to_teacher(&self) -> &'static str {
        "Multiplied only some terms of a side."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let (ExprKind::Add(a, b) | ExprKind::Subtract(a, b)) = &left.kind else {
            return Vec::new();
        };
        let is_sum = matches!(left.kind, ExprKind::Add(..));
        let ExprKind::Divide(above, below) = &a.kind else { return Vec::new() };
        if below.as_plain_number().is_none() {
            return Vec::new();
        }
        let (above, rest) = (above.as_ref().clone(), b.as_ref().clone());
        let side: Expr = if is_sum { above.plus(rest) } else { above.minus(rest) };
        vec![
            Line::equation(side.clone(), right.clone().times(below.as_ref().clone())),
            Line::equation(side, right.clone()),
        ]
    }
}
