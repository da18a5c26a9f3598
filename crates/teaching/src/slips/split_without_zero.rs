//! Split a product that is not zero: `x(x - 5) = 6` to `x = 6 or x - 5 = 6`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Split a product that is not zero: `x(x - 5) = 6` to `x = 6 or x - 5 = 6`.
pub struct SplitWithoutZero;

impl SplitWithoutZero {
    /// Its id.
    pub const ID: SlipId = SlipId::new("split-without-zero");
}

impl Slip for SplitWithoutZero {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Only a product that is zero says something about its factors."
    }

    fn to_teacher(&self) -> &'static str {
        "Used the zero-product rule where the product is not zero."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let ExprKind::Multiply(a, b) = &left.kind else { return Vec::new() };
        let is_number = right.as_plain_number().is_some_and(|n| n != algebra::number::from_int(0));
        if !is_number || a.symbols().is_empty() || b.symbols().is_empty() {
            return Vec::new();
        }
        let is = |e: &Expr, value: &Expr| Line::equation(e.clone(), value.clone());
        let zero = Expr::int(0);
        vec![
            Line::AnyOf(vec![is(a, right), is(b, right)]),
            Line::AnyOf(vec![is(a, &zero), is(b, &zero)]),
        ]
    }
}
