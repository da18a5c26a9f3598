//! Lines that become several, and several that become one.

use super::{Move, Sides, form, powers, same, summands};
use algebra::budget::Budget;
use algebra::{Expr, ExprKind, Line};

/// How cases came about, or were put together.
pub(super) fn between(from: &Line, to: &Line) -> Option<Vec<Move>> {
    match (from, to) {
        (Line::AnyOf(a), Line::AnyOf(b)) if a.len() == b.len() => Some(vec![Move::SolveEach]),
        (Line::AllOf(lines), _) => substituted(lines, to),
        (_, Line::AnyOf(cases)) => split(from, cases),
        _ => formula(from, to),
    }
}

fn split(from: &Line, cases: &[Line]) -> Option<Vec<Move>> {
    let (left, right) = from.as_equation()?;
    let is_zero = |e: &Expr| e.as_plain_number().is_some_and(|n| n == algebra::number::from_int(0));
    let is_product = |e: &Expr| {
        matches!(&e.kind, ExprKind::Multiply(a, b)
            if !a.symbols().is_empty() || !b.symbols().is_empty())
    };
    let bars = |e: &Expr| e.any(&mut |part| matches!(part.kind, ExprKind::Absolute(_)));
    if (is_zero(right) && is_product(left)) || (is_zero(left) && is_product(right)) {
        let solved = cases.iter().all(is_solved);
        return Some(if solved {
            vec![Move::ZeroProduct, Move::SolveEach]
        } else {
            vec![Move::ZeroProduct]
        });
    }
    if bars(left) || bars(right) {
        return Some(vec![Move::EitherSign]);
    }
    if let Some(found) = opposite(from, cases) {
        return Some(found);
    }
    let degree = degree(left).max(degree(right));
    let rational = cases.iter().all(|case| {
        case.as_equation().is_some_and(|(_, value)| {
            !value.any(&mut |part| matches!(part.kind, ExprKind::Root { .. }))
        })
    });
    if degree < 2 || !cases.iter().all(is_solved) {
        return None;
    }
    Some(if rational {
        vec![Move::Factorise, Move::ZeroProduct, Move::SolveEach]
    } else if degree == 2 {
        vec![Move::Formula]
    } else {
        return None;
    })
}

/// `x = 5`, the letter alone.
fn is_solved(line: &Line) -> bool {
    line.as_equation().is_some_and(|(left, right)| {
        matches!(left.kind, ExprKind::Symbol(_)) && right.symbols().is_empty()
    })
}

/// `x = 3 or x = -3` below an equation with a square: the root of both sides.
fn opposite(from: &Line, cases: &[Line]) -> Option<Vec<Move>> {
    let [first, second] = cases else { return None };
    let ((a, b), (c, d)) = (first.as_equation()?, second.as_equation()?);
    let budget = &mut Budget::for_move();
    let mut value = |e: &Expr| form(e, budget);
    let (left, other) = (value(a)?, value(c)?);
    let (up, down) = (value(b)?, value(d)?);
    let sum = up.plus(&down, budget).ok()?;
    if !same(&left, &other, budget) || !sum.is_zero() {
        return None;
    }
    let moves = powers::between(&Sides::of(from)?, &Sides::of(first)?)?;
    matches!(moves.last(), Some(Move::Root(n)) if n % 2 == 0).then_some(moves)
}

/// The highest whole power that is written of something with a letter.
fn degree(expr: &Expr) -> u32 {
    let mut highest = u32::from(!expr.symbols().is_empty());
    expr.any(&mut |part| {
        if let ExprKind::Power(base, exponent) = &part.kind
            && !base.symbols().is_empty()
        {
            let value = exponent
                .as_plain_number()
                .and_then(|n| num_traits::ToPrimitive::to_u32(&n.to_integer()));
            highest = highest.max(value.unwrap_or(0));
        }
        false
    });
    highest
}

/// `x = (-3 ± √(17))/2` below a quadratic equation that is no square.
fn formula(from: &Line, to: &Line) -> Option<Vec<Move>> {
    let ((left, right), (letter, value)) = (from.as_equation()?, to.as_equation()?);
    if !matches!(letter.kind, ExprKind::Symbol(_)) || degree(left).max(degree(right)) != 2 {
        return None;
    }
    let with_both_signs = |part: &Expr| matches!(part.kind, ExprKind::PlusMinus { .. });
    let is_fraction = matches!(&value.kind, ExprKind::Divide(above, _)
        if above.any(&mut |part| with_both_signs(part)));
    let several = summands(left).len().max(summands(right).len());
    (is_fraction && several > 2).then(|| vec![Move::Formula])
}

/// One equation of a system with a letter replaced by what another says it is.
fn substituted(lines: &[Line], to: &Line) -> Option<Vec<Move>> {
    let budget = &mut Budget::for_move();
    let (c, d) = to.as_equation()?;
    let target = form(&c.clone().minus(d.clone()), budget)?;
    for (index, line) in lines.iter().enumerate() {
        let Some((left, right)) = line.as_equation() else { continue };
        for (letter, value) in [(left, right), (right, left)] {
            let ExprKind::Symbol(name) = &letter.kind else { continue };
            if value.symbols().contains(name) {
                continue;
            }
            for (_, other) in lines.iter().enumerate().filter(|(at, _)| *at != index) {
                let Some((a, b)) = other.as_equation() else { continue };
                let made = form(&a.with(name, value).minus(b.with(name, value)), budget)?;
                let is_same =
                    same(&made, &target, budget) || same(&made.negated(), &target, budget);
                if is_same && other.symbols().contains(name) {
                    return Some(vec![Move::Substitute(letter.clone(), value.clone())]);
                }
            }
        }
    }
    None
}
