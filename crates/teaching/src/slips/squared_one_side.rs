//! Squared one side only: `√(3x - 2) = 5` to `3x - 2 = 5`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{ExprKind, Line};

/// Squared one side only: `√(3x - 2) = 5` to `3x - 2 = 5`.
pub struct SquaredOneSide;

impl SquaredOneSide {
    /// Its id.
    pub const ID: SlipId = SlipId::new("squared-one-side");
}

impl Slip for SquaredOneSide {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "What is done to one side has to be done to the other too."
    }

    fn to_teacher(&self) -> &'static str {
        "Squared only the side with the root."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let mut found = Vec::new();
        if let ExprKind::Root { radicand, .. } = &left.kind {
            found.push(Line::equation(radicand.as_ref().clone(), right.clone()));
        }
        if let ExprKind::Root { radicand, .. } = &right.kind {
            found.push(Line::equation(left.clone(), radicand.as_ref().clone()));
        }
        found
    }
}
