//! Moved the point too far, or not far enough: `0.05 m` to `50 cm`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Moved the point too far, or not far enough: `0.05 m` to `50 cm`.
pub struct WrongPowerOfTen;

impl WrongPowerOfTen {
    /// Its id.
    pub const ID: SlipId = SlipId::new("wrong-power-of-ten");
}

impl Slip for WrongPowerOfTen {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "The digits are right. How many places has the point to move, and which way?"
    }

    fn to_teacher(&self) -> &'static str {
        "Chose the wrong power of ten."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Line::Expression(expr) = line else { return Vec::new() };
        let has_unit = expr.any(&mut |part| matches!(part.kind, ExprKind::Unit(_)));
        // A number by itself is written in standard form.
        let is_number = matches!(expr.kind, ExprKind::Number(_));
        if !has_unit && !is_number {
            return Vec::new();
        }
        if is_number {
            let moved = (-9..=9).filter(|n| *n != 0).map(|n: i32| {
                let power = Expr::int(10).to_the(n.unsigned_abs());
                let value = expr.clone();
                Line::Expression(if n < 0 { value.over(power) } else { value.times(power) })
            });
            return moved.collect();
        }
        [-6, -4, -3, -2, -1, 1, 2, 3, 4, 6]
            .into_iter()
            .map(|exponent: i32| {
                let power = Expr::int(10).to_the(exponent.unsigned_abs());
                let value = expr.clone();
                Line::Expression(if exponent < 0 { value.over(power) } else { value.times(power) })
            })
            .collect()
    }
}
