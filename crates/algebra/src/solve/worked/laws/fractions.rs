//! Laws of fractions.

use super::{fraction, is_one};
use crate::expr::{Expr, ExprKind};
use crate::solve::worked::common_denominator::over_one_denominator;

pub(super) fn divide_by_fraction(part: &Expr) -> Option<Expr> {
    let (first, below) = fraction(part)?;
    let (c, d) = fraction(below)?;
    let reciprocal = if is_one(c) { d.clone() } else { d.clone().over(c.clone()) };
    Some(if is_one(first) { reciprocal } else { first.clone().times(reciprocal) })
}

/// Two fractions, or a fraction and something else, that are multiplied; not numbers alone.
pub(super) fn multiply_fractions(part: &Expr) -> Option<Expr> {
    let ExprKind::Multiply(a, b) = &part.kind else { return None };
    if part.symbols().is_empty() {
        return None;
    }
    let join = |a: &Expr, b: &Expr| match (is_one(a), is_one(b)) {
        (true, _) => b.clone(),
        (_, true) => a.clone(),
        _ => a.clone().times(b.clone()),
    };
    // Before a letter a fraction of numbers stays where it is.
    let moves = |below: &Expr| !below.symbols().is_empty();
    match (fraction(a), fraction(b)) {
        (Some((up, down)), Some((above, below))) => Some(join(up, above).over(join(down, below))),
        (None, Some((above, below))) if moves(below) => Some(join(a, above).over(below.clone())),
        (Some((up, down)), None) if moves(down) => Some(join(up, b).over(down.clone())),
        _ => None,
    }
}

/// `1/(1 + 1/x)` as `1/((x + 1)/x)`: the fractions of a sum that is itself above or below.
pub(super) fn one_fraction(part: &Expr) -> Option<Expr> {
    let (above, below) = fraction(part)?;
    let one = |side: &Expr| over_one_denominator(side).pop().map(|(line, _)| line);
    match (one(above), one(below)) {
        (None, None) => None,
        (a, b) => Some(a.unwrap_or_else(|| above.clone()).over(b.unwrap_or_else(|| below.clone()))),
    }
}
