//! Moves that are legal only with care, between two lines that are not equivalent.

use super::told;
use super::{Move, Sides, powers, same};
use algebra::Line;
use algebra::budget::Budget;
use algebra::normal::Quotient;

/// What was done between two lines of which the second lost or gained something: dividing or multiplying by what
/// may be zero, squaring. `None` when it is none of these.
#[must_use]
pub fn attempted(from: &Line, to: &Line) -> Option<String> {
    let (before, after) = (Sides::of(from)?, Sides::of(to)?);
    let budget = &mut Budget::for_move();
    let rooted = powers::between(&before, &after)
        .filter(|moves| matches!(moves[..], [.., Move::Raise(_) | Move::Root(_)]));
    match rooted {
        Some(moves) => Some(told::moves(&moves)),
        None => by_zero(&before, &after, budget),
    }
}

/// Both sides divided or multiplied by what holds a letter.
fn by_zero(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<String> {
    let ((a, b), (c, d)) = (from.as_equation()?, to.as_equation()?);
    let (before, after) = (a.minus(b, budget).ok()?, c.minus(d, budget).ok()?);
    let q = before.times(&after.reciprocal()?, budget).ok()?.cancelled(budget).ok()?;
    if q.is_constant() || q.is_zero() {
        return None;
    }
    let divided = q.denominator().is_constant();
    let multiplied = q.numerator().is_constant();
    let by = if multiplied { q.reciprocal()? } else { q.clone() };
    let by = primitive(&by)?;
    let scaled = |x: &Quotient, y: &Quotient, budget: &mut Budget| {
        q.times(y, budget).is_ok_and(|product| same(x, &product, budget))
    };
    // `x(x - 1) = 0` over `x - 1 = 0` is a division; so is the same solved for x.
    let is_zero_product = b.is_zero() || a.is_zero();
    let fits = is_zero_product || (scaled(a, c, budget) && scaled(b, d, budget));
    if !(divided || (multiplied && fits)) {
        return None;
    }
    Some(told::by_what_may_be_zero(&by.to_expr(), divided))
}

/// Without a number in front.
fn primitive(value: &Quotient) -> Option<Quotient> {
    let content = value.numerator().number_content();
    let factor = Quotient::constant(content).reciprocal()?;
    value.times(&factor, &mut Budget::for_move()).ok()
}
