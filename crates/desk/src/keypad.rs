//! The keypad beside the field: as few keys as the grade and the problem need.

use algebra::{ExprKind, read_line};
use serde::Serialize;
use skills::ladder::Rung;
use utoipa::ToSchema;

/// From this grade on there are letters, powers and roots.
const ALGEBRA: u8 = 6;
/// From this grade on there are functions.
const FUNCTIONS: u8 = 9;

/// How much a keypad has.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum KeypadSize {
    /// Digits and the four operations.
    Numbers,
    /// Letters, powers, roots, inequality signs too.
    Algebra,
    /// Trigonometric functions, logarithms, π too.
    Functions,
}

/// What a keypad has to offer.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Keypad {
    /// How much it has.
    pub size: KeypadSize,
    /// The letters of the problem, the one that is asked for first.
    pub letters: Vec<String>,
}

impl Keypad {
    /// Fitted to the grade of the rung's skill, and never smaller than its problem needs.
    #[must_use]
    pub fn of(rung: &Rung) -> Self {
        let grade = skills::find(&rung.skill).map_or(ALGEBRA, |skill| skill.card().grades.1);
        let by_grade = match grade {
            FUNCTIONS.. => KeypadSize::Functions,
            ALGEBRA.. => KeypadSize::Algebra,
            _ => KeypadSize::Numbers,
        };
        let mut letters = vec![rung.unknown.clone()];
        let mut needed = KeypadSize::Numbers;
        if let Ok(reading) = read_line(&rung.line) {
            letters.extend(reading.line.symbols().into_iter().filter(|l| *l != rung.unknown));
            for side in reading.line.expressions() {
                side.any(&mut |part| {
                    needed = needed.max(match part.kind {
                        ExprKind::Call { .. } | ExprKind::Constant(_) => KeypadSize::Functions,
                        ExprKind::Power(..) | ExprKind::Root { .. } | ExprKind::Absolute(_) => {
                            KeypadSize::Algebra
                        }
                        _ => KeypadSize::Numbers,
                    });
                    false
                });
            }
        }
        letters.truncate(4);
        Self { size: by_grade.max(needed), letters }
    }
}
