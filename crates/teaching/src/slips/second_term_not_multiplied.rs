//! Multiplied only the first term of a bracket: `3(x + 4)` to `3x + 4`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Multiplied only the first term of a bracket: `3(x + 4)` to `3x + 4`.
pub struct SecondTermNotMultiplied;

impl SecondTermNotMultiplied {
    /// Its id.
    pub const ID: SlipId = SlipId::new("second-term-not-multiplied");
}

impl Slip for SecondTermNotMultiplied {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "The number before the bracket multiplies everything inside it, not just the first term."
    }

    fn to_teacher(&self) -> &'static str {
        "Multiplied only the first term in the bracket."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        match line {
            Line::Expression(expr) => spread(expr).map(Line::Expression).into_iter().collect(),
            _ => {
                let Some((left, right)) = line.as_equation() else { return Vec::new() };
                let on_left = spread(left).map(|l| Line::equation(l, right.clone()));
                let on_right = spread(right).map(|r| Line::equation(left.clone(), r));
                on_left.into_iter().chain(on_right).collect()
            }
        }
    }
}

/// The first bracket with a number before it, wrongly multiplied out; `None` when there is none.
fn spread(expr: &Expr) -> Option<Expr> {
    match &expr.kind {
        ExprKind::Multiply(factor, inside)
            if factor.symbols().is_empty() || matches!(factor.kind, ExprKind::Symbol(_)) =>
        {
            if factor.as_plain_number() == Some(algebra::number::from_int(1)) {
                return None;
            }
            let first = |a: &Expr| factor.as_ref().clone().times(a.clone());
            match &inside.kind {
                ExprKind::Add(a, b) => Some(first(a).plus(b.as_ref().clone())),
                ExprKind::Subtract(a, b) => Some(first(a).minus(b.as_ref().clone())),
                _ => None,
            }
        }
        ExprKind::Negative(a) => spread(a).map(|inside| match inside.kind {
            // `-2(x - 3)` is read as the negative of a product: the sign stays with the first term.
            ExprKind::Add(first, second) => first.negative().plus(*second),
            ExprKind::Subtract(first, second) => first.negative().minus(*second),
            kind => Expr::from(kind).negative(),
        }),
        ExprKind::Add(a, b) => match spread(a) {
            Some(a) => Some(a.plus(b.as_ref().clone())),
            None => Some(a.as_ref().clone().plus(spread(b)?)),
        },
        ExprKind::Subtract(a, b) => match spread(a) {
            Some(a) => Some(a.minus(b.as_ref().clone())),
            None => Some(a.as_ref().clone().minus(spread(b)?)),
        },
        _ => None,
    }
}
