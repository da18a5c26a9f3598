//! The same done to all sides: adding, subtracting, multiplying, dividing, and a few of these at once.
//!
//! Every line whose sides are `(old - p) / q` for one `p` and one `q` came about like this; the two are found by
//! division, not by trial.

use super::{Move, Sides, form, rewriting, same, summands};
use algebra::budget::Budget;
use algebra::normal::{Poly, Quotient};
use algebra::{Expr, ExprKind};
use num_traits::{One, Signed};

/// Most terms that are moved at once under one name.
const MOST_TERMS: usize = 3;

/// What was done to all sides.
pub(super) fn between(from: &Sides, to: &Sides) -> Option<Vec<Move>> {
    let budget = &mut Budget::for_move();
    if let Some(found) = cross_multiplied(from, to, budget).or_else(|| inverted(from, to, budget)) {
        return Some(vec![found]);
    }
    if let Some(found) = to_one_side(from, to, budget) {
        return Some(vec![found]);
    }
    let straight = changed(from, to, budget);
    let turned = changed(&from.swapped(), to, budget).map(|mut found| {
        found.push(Move::Swap);
        found
    });
    let found = match (straight, turned) {
        (Some(a), Some(b)) => Some(if cost(&b) < cost(&a) { b } else { a }),
        (a, b) => a.or(b),
    };
    found.filter(|moves| !moves.is_empty())
}

/// How roundabout moves are: their number, and more for a negative number that swapping the sides spares.
fn cost(moves: &[Move]) -> usize {
    let is_negative = |expr: &Expr| match &expr.kind {
        ExprKind::Negative(_) => true,
        ExprKind::Multiply(a, _) => matches!(a.kind, ExprKind::Negative(_)),
        _ => false,
    };
    let awkward = moves.iter().any(|one| matches!(one, Move::Divide(by) if is_negative(by)));
    moves.len() + 2 * usize::from(awkward)
}

/// `p` and `q` such that every side is `p + q ×` the side below it.
fn constants(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<(Quotient, Quotient)> {
    let ([a, b, ..], [c, d, ..]) = (&from.forms[..], &to.forms[..]) else { return None };
    if from.forms.len() != to.forms.len() {
        return None;
    }
    let before = a.minus(b, budget).ok()?;
    let after = c.minus(d, budget).ok()?.reciprocal()?;
    let q = before.times(&after, budget).ok()?.cancelled(budget).ok()?;
    if q.is_zero() {
        return None;
    }
    let mut p = None;
    for (old, new) in from.forms.iter().zip(&to.forms) {
        let rest = old.minus(&q.times(new, budget).ok()?, budget).ok()?;
        match &p {
            None => p = Some(rest),
            Some(first) if same(first, &rest, budget) => {}
            Some(_) => return None,
        }
    }
    Some((p?.cancelled(budget).ok()?, q))
}

/// The moves that turn the sides of `from` into those of `to`, without swapping them.
pub(super) fn changed(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Vec<Move>> {
    let (p, q) = constants(from, to, budget)?;
    let negative = q.as_constant().is_some_and(|q| q.is_negative());
    let turns = from.relations.iter().any(|r| r.turned() != *r);
    let expected: Vec<_> =
        from.relations.iter().map(|r| if negative { r.turned() } else { *r }).collect();
    if expected != to.relations {
        return None;
    }
    let scaled = q.as_constant().is_none_or(|q| !q.is_one());
    if p.is_zero() && !scaled {
        return Some(rewritten(from, to).into_iter().collect());
    }
    let mut scale: Vec<Move> = if scaled { vec![by(&q)?] } else { Vec::new() };
    if negative && turns {
        scale.push(Move::TurnSign);
    }
    if p.is_zero() {
        return Some(scale);
    }
    let single = |poly: &Poly| poly.len() == 1;
    if !(single(q.numerator()) && single(q.denominator())) {
        return None;
    }
    let moved_first = moving(from, &p, scaled, budget).map(|moves| {
        let multiplied = rewriting::multiplies_out(&from.written, &to.written);
        let first = multiplied.then_some(Move::MultiplyOut);
        first.into_iter().chain(moves).chain(scale.iter().cloned()).collect::<Vec<_>>()
    });
    // 3(x - 4) = 12 is divided first, and (x - 4)/3 = 1 multiplied first.
    let scaled_first = if scaled && is_scaled(from) {
        let later = p.times(&q.reciprocal()?, budget).ok()?.cancelled(budget).ok()?;
        terms(&later).map(|moves| scale.into_iter().chain(moves).collect::<Vec<_>>())
    } else {
        None
    };
    match (moved_first, scaled_first) {
        (Some(a), Some(b)) => Some(if b.len() < a.len() { b } else { a }),
        (a, b) => a.or(b),
    }
}

/// Taking `p` from both sides. Nobody who also divides takes away a term that stands nowhere.
fn moving(from: &Sides, p: &Quotient, scaled: bool, budget: &mut Budget) -> Option<Vec<Move>> {
    let moves = terms(p)?;
    if !scaled || appear(from, p) {
        return Some(moves);
    }
    let written: Vec<Quotient> = from
        .written
        .iter()
        .flat_map(summands)
        .filter_map(|part| form(&part, budget))
        .flat_map(|part| [part.negated(), part])
        .collect();
    written.iter().any(|part| same(part, p, budget)).then_some(moves)
}

/// Whether every term is of a kind that stands in the line: `2x` where there is `5x`.
fn appear(from: &Sides, p: &Quotient) -> bool {
    let kinds: Vec<_> = from
        .written
        .iter()
        .flat_map(summands)
        .filter_map(|part| form(&part, &mut Budget::for_move())?.as_poly())
        .flat_map(|poly| poly.terms().map(|(m, _)| m.clone()).collect::<Vec<_>>())
        .collect();
    let whole = |factor: &algebra::Rational| factor.is_integer();
    p.as_poly().is_some_and(|poly| {
        poly.terms().all(|(kind, factor)| kinds.contains(kind) && (whole(factor) || !kind.is_one()))
    })
}

/// Whether a side is a product with a bracket, or a fraction, as a whole.
fn is_scaled(from: &Sides) -> bool {
    from.written.iter().any(|side| match &side.kind {
        ExprKind::Multiply(..) => rewriting::is_product_with_sum(side),
        ExprKind::Divide(above, _) => rewriting::is_sum(above),
        _ => false,
    })
}

fn by(q: &Quotient) -> Option<Move> {
    let inverse = q.reciprocal()?;
    Some(match (q.as_constant(), inverse.as_constant()) {
        (Some(q), _) if q == -algebra::number::from_int(1) => Move::Multiply(Expr::int(-1)),
        (Some(_), Some(inverse)) if inverse.is_integer() => {
            Move::Multiply(Expr::rational(&inverse))
        }
        (Some(q), _) => Move::Divide(Expr::rational(&q)),
        _ if q.denominator().is_constant() && q.numerator().len() <= MOST_TERMS => {
            Move::Divide(q.to_expr())
        }
        _ if q.numerator().is_constant() && inverse.numerator().len() <= MOST_TERMS => {
            Move::Multiply(inverse.to_expr())
        }
        _ => return None,
    })
}

/// Taking each term of `p` from both sides, letters first; a negative one is added. `None` when they are too
/// many for one name, or no terms.
fn terms(p: &Quotient) -> Option<Vec<Move>> {
    let poly = p.as_poly()?;
    if poly.len() > MOST_TERMS {
        return None;
    }
    let mut found: Vec<(bool, Move)> = poly
        .terms()
        .map(|(monomial, factor)| {
            let size = Poly::term(monomial.clone(), factor.abs()).to_expr();
            let one = if factor.is_negative() { Move::Add(size) } else { Move::Subtract(size) };
            (monomial.is_one(), one)
        })
        .collect();
    found.sort_by_key(|(is_number, one)| (*is_number, matches!(one, Move::Add(_))));
    Some(found.into_iter().map(|(_, one)| one).collect())
}

/// How the side that is written differently was rewritten.
fn rewritten(from: &Sides, to: &Sides) -> Option<Move> {
    let pairs = from.written.iter().zip(&to.written).filter(|(a, b)| a != b);
    pairs.map(|(a, b)| rewriting::between(a, b)).find(Option::is_some)?
}

/// Two terms or more go over to the other side, so that nothing is left on one.
fn to_one_side(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Move> {
    let ((a, b), (c, d)) = (from.as_equation()?, to.as_equation()?);
    if a.is_zero() || b.is_zero() || !(c.is_zero() || d.is_zero()) {
        return None;
    }
    let before = a.minus(b, budget).ok()?;
    let after = c.minus(d, budget).ok()?;
    let terms = |side: &Quotient| side.as_poly().map_or(1, |poly| poly.len());
    let moved = if same(&before, &after, budget) {
        terms(b)
    } else if same(&before.negated(), &after, budget) {
        terms(a)
    } else {
        return None;
    };
    (moved > 1).then_some(Move::ToOneSide)
}

/// `a/b = c/d`, and below it `ad = bc`, in either order.
fn cross_multiplied(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Move> {
    from.as_equation()?;
    let (c, d) = to.as_equation()?;
    let part = |side: &Expr| match &side.kind {
        ExprKind::Divide(above, below) => Some(((**above).clone(), (**below).clone(), true)),
        ExprKind::Ratio(terms) => match &terms[..] {
            [a, b] => Some((a.clone(), b.clone(), true)),
            _ => None,
        },
        _ => Some((side.clone(), Expr::int(1), false)),
    };
    let [left, right] = &from.written[..] else { return None };
    let ((a, b, first), (e, f, second)) = (part(left)?, part(right)?);
    if !first || !second {
        return None;
    }
    let one = form(&a.times(f), budget)?;
    let other = form(&b.times(e), budget)?;
    let crossed = (same(&one, c, budget) && same(&other, d, budget))
        || (same(&one, d, budget) && same(&other, c, budget));
    crossed.then_some(Move::CrossMultiply)
}

/// One over each side.
fn inverted(from: &Sides, to: &Sides, budget: &mut Budget) -> Option<Move> {
    let ((a, b), (c, d)) = (from.as_equation()?, to.as_equation()?);
    let one = Quotient::constant(algebra::number::from_int(1));
    let mut inverse = |x: &Quotient, y: &Quotient| {
        x.times(y, budget).is_ok_and(|product| same(&product, &one, budget))
    };
    let is_unknown = !a.is_constant() || !b.is_constant();
    (is_unknown && inverse(a, c) && inverse(b, d)).then_some(Move::Reciprocals)
}
