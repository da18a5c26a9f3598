//! Took only the positive root: `x^2 = 16` to `x = 4`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Took only the positive root: `x^2 = 16` to `x = 4`.
pub struct RootOfOneSign;

impl RootOfOneSign {
    /// Its id.
    pub const ID: SlipId = SlipId::new("root-of-one-sign");
}

impl Slip for RootOfOneSign {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Is there another number with the same square?"
    }

    fn to_teacher(&self) -> &'static str {
        "Left out the negative root."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let ExprKind::Power(base, n) = &left.kind else { return Vec::new() };
        let two = n.as_plain_number() == Some(algebra::number::from_int(2));
        if !two || base.symbols().is_empty() || !right.symbols().is_empty() {
            return Vec::new();
        }
        let root: Expr = ExprKind::Root { index: 2, radicand: Box::new(right.clone()) }.into();
        vec![
            Line::equation(base.as_ref().clone(), root.clone()),
            Line::equation(base.as_ref().clone(), root.negative()),
        ]
    }
}
