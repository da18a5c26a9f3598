//! Halved instead of taking the root: `x^2 = 16` to `x = 8`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Halved instead of taking the root: `x^2 = 16` to `x = 8`.
pub struct HalvedInsteadOfRooted;

impl HalvedInsteadOfRooted {
    /// Its id.
    pub const ID: SlipId = SlipId::new("halved-instead-of-rooted");
}

impl Slip for HalvedInsteadOfRooted {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Which number times itself gives the right side?"
    }

    fn to_teacher(&self) -> &'static str {
        "Halved instead of taking the square root."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        // `√(x^2)` to `x^2/2`.
        if matches!(line, Line::Expression(_)) {
            return super::rewriting::everywhere(line, &|part| match &part.kind {
                ExprKind::Root { index, radicand } => {
                    vec![radicand.as_ref().clone().over(Expr::int(i64::from(*index)))]
                }
                _ => Vec::new(),
            });
        }
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let ExprKind::Power(base, n) = &left.kind else { return Vec::new() };
        if base.symbols().is_empty() || !right.symbols().is_empty() {
            return Vec::new();
        }
        let value: Expr = right.clone().over(n.as_ref().clone());
        let told = |value: Expr| Line::equation(base.as_ref().clone(), value);
        vec![told(value.clone()), Line::AnyOf(vec![told(value.clone()), told(value.negative())])]
    }
}
