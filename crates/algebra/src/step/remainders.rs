//! `17 ÷ 5 = 3 r 2`: true when 17 = 5 × 3 + 2, and 2 is less than 5.

use super::different;
use crate::expr::{Expr, ExprKind};
use crate::normal::Values;
use crate::verdict::{Counterexample, Difference, Reason, Shown, StepVerdict};

/// What two sides say of each other when one of them has a remainder; `None` when neither has.
pub(super) fn compare(left: &Expr, right: &Expr) -> Option<StepVerdict> {
    let is_one = |expr: &Expr| matches!(expr.kind, ExprKind::WithRemainder { .. });
    if !is_one(left) && !is_one(right) {
        return None;
    }
    let (Some(before), Some(after)) = (parts(left), parts(right)) else {
        let letters = !left.symbols().is_empty() || !right.symbols().is_empty();
        return Some(if letters { different(Reason::Shape) } else { StepVerdict::Undecided });
    };
    let divisor = before.2.or(after.2);
    let proper = |(_, remainder, _): (i64, i64, Option<i64>)| divisor.is_none_or(|d| remainder < d);
    if before.0 == after.0 && before.1 == after.1 && proper(before) && proper(after) {
        return Some(StepVerdict::Equivalent { provided: Vec::new() });
    }
    let shown = |(quotient, remainder, _): (i64, i64, Option<i64>)| {
        Shown::Value(
            ExprKind::WithRemainder {
                quotient: Box::new(Expr::int(quotient)),
                remainder: Box::new(Expr::int(remainder)),
            }
            .into(),
        )
    };
    let found = Counterexample { at: Values::new(), left: shown(before), right: shown(after) };
    Some(StepVerdict::NotEquivalent(Difference {
        counterexample: Some(found),
        ..Difference::default()
    }))
}

/// The quotient, the remainder and, of a division, the divisor.
fn parts(expr: &Expr) -> Option<(i64, i64, Option<i64>)> {
    let whole = super::definitions::whole;
    match &expr.kind {
        ExprKind::WithRemainder { quotient, remainder } => {
            Some((whole(quotient)?, whole(remainder)?, None))
        }
        ExprKind::Divide(above, below) => {
            let (above, below) = (whole(above)?, whole(below)?);
            (below > 0).then(|| (above / below, above % below, Some(below)))
        }
        _ => None,
    }
}
