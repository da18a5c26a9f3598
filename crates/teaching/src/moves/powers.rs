//! Powers and roots of both sides, logarithms, and what undoes them.

use super::sides::changed;
use super::{Move, Sides, form, is_long, same, summands};
use algebra::budget::Budget;
use algebra::normal::{Normaliser, Quotient, Values};
use algebra::{Expr, ExprKind, Function, Relation};

/// Indices and exponents that have a name.
const POWERS: [u32; 4] = [2, 3, 4, 5];

/// What was done to both sides of an equation.
pub(super) fn between(from: &Sides, to: &Sides) -> Option<Vec<Move>> {
    from.as_equation()?;
    to.as_equation()?;
    let budget = &mut Budget::for_move();
    squared(from, to, budget)
        .or_else(|| raised(from, to, budget))
        .or_else(|| rooted(from, to, budget))
        .or_else(|| logarithms(from, to, budget))
        .or_else(|| undone(from, to, budget))
}

/// Both sides of an equation, as forms that nobody has written.
fn bare(left: Quotient, right: Quotient) -> Sides {
    Sides {
        written: vec![left.to_expr(), right.to_expr()],
        forms: vec![left, right],
        relations: vec![Relation::Equal],
    }
}

/// The shortest way from `between` to `to`, straight or swapped; nothing when they are the same already.
fn rest(between: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let ((a, b), (c, d)) = (between.as_equation()?, to.as_equation()?);
    if (same(a, c, budget) && same(b, d, budget)) || (same(a, d, budget) && same(b, c, budget)) {
        return Some(Vec::new());
    }
    changed(between, to, budget).filter(|moves| moves.len() <= 2)
}

/// `x = 5`, and below it `x^2 = 25`: both sides as they stand.
fn squared(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let ((a, b), (c, d)) = (from.as_equation()?, to.as_equation()?);
    let found = [2, 3].into_iter().find(|&exponent| {
        let mut is = |side: &Quotient, power: &Quotient| {
            side.power(exponent, budget).is_ok_and(|raised| same(&raised, power, budget))
        };
        is(a, c) && is(b, d)
    });
    // One and zero are their own squares.
    let changes = !same(a, c, budget) || !same(b, d, budget);
    found.filter(|_| changes).map(|exponent| vec![Move::Raise(exponent)])
}

fn roots(sides: &Sides) -> usize {
    let mut found = 0;
    sides.any(&mut |part| {
        let is_root = match &part.kind {
            ExprKind::Root { .. } | ExprKind::Absolute(_) => true,
            ExprKind::Power(_, exponent) => {
                exponent.as_plain_number().is_some_and(|n| !n.is_integer())
                    || matches!(exponent.kind, ExprKind::Divide(..))
            }
            _ => false,
        };
        found += usize::from(is_root && !part.symbols().is_empty());
        false
    });
    found
}

/// Terms that may have been moved before: nothing, or one that stands beside a root.
fn beside(sides: &Sides, budget: &mut Budget) -> Vec<(Option<Expr>, Quotient)> {
    let is_plain = |part: &Expr| !part.any(&mut |p| matches!(p.kind, ExprKind::Root { .. }));
    let mut found = vec![(None, Quotient::default())];
    for side in &sides.written {
        let parts = summands(side);
        if parts.len() < 2 {
            continue;
        }
        for part in parts.into_iter().filter(is_plain) {
            if let Some(value) = form(&part, budget) {
                found.push((Some(part), value));
            }
        }
    }
    found
}

fn taken(part: Option<Expr>) -> Option<Move> {
    part.map(|part| match part.kind {
        ExprKind::Negative(inner) => Move::Add(*inner),
        _ => Move::Subtract(part),
    })
}

fn raised(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    if roots(from) <= roots(to) {
        return None;
    }
    for (part, value) in beside(from, budget) {
        let (left, right) = from.as_equation()?;
        let (left, right) = (left.minus(&value, budget).ok()?, right.minus(&value, budget).ok()?);
        for exponent in POWERS {
            let Ok(above) = left.power(exponent, budget) else { continue };
            let Ok(below) = right.power(exponent, budget) else { continue };
            if is_long(&above) || is_long(&below) {
                break;
            }
            if let Some(more) = rest(&bare(above, below), to, budget) {
                let first = taken(part).into_iter().chain([Move::Raise(exponent)]);
                return Some(first.chain(more).collect());
            }
        }
    }
    None
}

/// `(x - 3)^2 = 16`, and below it `x - 3 = 4` for `x - 3 = ±4`.
fn rooted(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let is_power = from.any(&mut |part| match &part.kind {
        ExprKind::Power(base, _) => !base.symbols().is_empty(),
        _ => false,
    });
    if !is_power {
        return None;
    }
    for (part, value) in beside(to, budget).into_iter().rev() {
        let (left, right) = to.as_equation()?;
        let (left, right) = (left.minus(&value, budget).ok()?, right.minus(&value, budget).ok()?);
        for index in POWERS {
            let Ok(above) = left.power(index, budget) else { continue };
            let Ok(below) = right.power(index, budget) else { continue };
            if is_long(&above) || is_long(&below) {
                break;
            }
            if let Some(mut moves) = rest(from, &bare(above, below), budget) {
                moves.push(Move::Root(index));
                // What was taken away to see the root was added by the writer.
                moves.extend(part.map(|part| match part.kind {
                    ExprKind::Negative(inner) => Move::Subtract(*inner),
                    _ => Move::Add(part),
                }));
                return Some(moves);
            }
        }
    }
    None
}

fn logarithm(value: &Quotient, budget: &mut Budget) -> Option<Quotient> {
    Normaliser::new(&Values::new(), budget).ln_of(value).ok()
}

/// `2^x = 8`, and below it `x ln 2 = ln 8` or `x = log_2 8`.
fn logarithms(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let with_letter_above = |sides: &Sides| {
        sides
            .any(&mut |part| matches!(&part.kind, ExprKind::Power(_, n) if !n.symbols().is_empty()))
    };
    if !with_letter_above(from) || with_letter_above(to) {
        return None;
    }
    let (left, right) = from.as_equation()?;
    let (left, right) = (logarithm(left, budget)?, logarithm(right, budget)?);
    let base = |side: &Expr| match &side.kind {
        ExprKind::Power(base, _) => Some((**base).clone()),
        _ => None,
    };
    let same_base = from.written.iter().map(base).collect::<Option<Vec<_>>>();
    let first = match same_base.as_deref() {
        Some([a, b]) if a == b => Move::CompareExponents,
        _ => Move::Logarithms,
    };
    let ((c, d), one) = (to.as_equation()?, bare(left.clone(), right.clone()));
    let straight = proportional((&left, &right), (c, d), budget);
    if straight || proportional((&right, &left), (c, d), budget) {
        return Some(vec![first]);
    }
    let more = changed(&one, to, budget).filter(|moves| moves.len() <= 2)?;
    Some([vec![first], more].concat())
}

/// Whether the second pair is the first times one constant.
fn proportional(
    (a, b): (&Quotient, &Quotient),
    (c, d): (&Quotient, &Quotient),
    budget: &mut Budget,
) -> bool {
    let mut ratio = |x: &Quotient, y: &Quotient| {
        let ratio = x.times(&y.reciprocal()?, budget).ok()?;
        ratio.cancelled(budget).ok().filter(Quotient::is_constant)
    };
    let known = if a.is_constant() { ratio(b, d) } else { ratio(a, c) };
    let Some(k) = known else { return false };
    let mut fits = |x: &Quotient, y: &Quotient| {
        y.times(&k, budget).is_ok_and(|scaled| same(x, &scaled, budget))
    };
    fits(a, c) && fits(b, d)
}

/// `log_2 x = 5`, and below it `x = 32`.
fn undone(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let with_logarithm = |sides: &Sides| {
        sides.any(&mut |part| match &part.kind {
            ExprKind::Call { function: Function::Ln | Function::Log, .. } => {
                !part.symbols().is_empty()
            }
            _ => false,
        })
    };
    if !with_logarithm(from) || with_logarithm(to) {
        return None;
    }
    let ((a, b), (c, d)) = (from.as_equation()?, to.as_equation()?);
    let (c, d) = (logarithm(c, budget)?, logarithm(d, budget)?);
    let is_undone =
        proportional((&c, &d), (a, b), budget) || proportional((&d, &c), (a, b), budget);
    is_undone.then(|| vec![Move::UndoLogarithms])
}
