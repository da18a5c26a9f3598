//! Did it to one side only: `2x + 3 = 11` to `2x = 11`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{ExprKind, Line};

/// Did it to one side only: `2x + 3 = 11` to `2x = 11`.
pub struct DoneToOneSide;

impl DoneToOneSide {
    /// Its id.
    pub const ID: SlipId = SlipId::new("done-to-one-side");
}

impl Slip for DoneToOneSide {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "The scales stay level only when both sides change alike."
    }

    fn to_teacher(&self) -> &'static str {
        "Removed a term from one side without touching the other."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let mut found = Vec::new();
        for (side, other, is_left) in [(left, right, true), (right, left, false)] {
            let (ExprKind::Add(a, b) | ExprKind::Subtract(a, b)) = &side.kind else { continue };
            for kept in [a, b] {
                if kept.symbols().is_empty() {
                    continue;
                }
                let kept = kept.as_ref().clone();
                found.push(if is_left {
                    Line::equation(kept, other.clone())
                } else {
                    Line::equation(other.clone(), kept)
                });
            }
        }
        found
    }
}
