//! Brackets multiplied out as on a board: powers and long products two brackets at a time, then every term by every
//! term, then like terms together.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Poly, Values};
use crate::rule::Rule;
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive};

/// Most lines between the problem and its answer.
const LINES: usize = 6;
/// Most terms of a line before like terms are put together.
const TERMS: usize = 12;

/// The lines from an expression to a sum of terms, each with its reason, the answer last; empty where there is nothing
/// to multiply out, or one line says it all.
#[must_use]
pub fn expanding(expr: &Expr) -> Vec<(Expr, Rule)> {
    let mut budget = Budget::for_verdict();
    let Some(answer) = poly(expr, &mut budget).map(|poly| poly.to_expr()) else {
        return Vec::new();
    };
    let mut found: Vec<(Expr, Rule)> = Vec::new();
    let mut now = expr.clone();
    while found.len() < LINES
        && let Some((next, rule)) = shorter(&now, &mut budget)
    {
        found.push((next.clone(), rule));
        now = next;
    }
    if let Some((line, rule)) = term_by_term(&now, &mut budget)
        && line != now
        && line != answer
    {
        found.push((line, rule));
    }
    let last =
        if matches!(found.last(), Some((_, Rule::EachByEach | Rule::SquareOfSum | Rule::Expand))) {
            Rule::Collect
        } else {
            Rule::Expand
        };
    let is_done = answer == *expr;
    let last = if has_brackets(expr) { last } else { Rule::Collect };
    if !is_done {
        found.push((answer, last));
    }
    found
}

fn poly(expr: &Expr, budget: &mut Budget) -> Option<Poly> {
    let none = Values::new();
    Normaliser::new(&none, budget).build(expr).ok()?.as_poly()
}

fn is_sum(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
}

/// Whether a sum in brackets is multiplied, raised to a power, or has a sign before it.
#[must_use]
pub fn has_brackets(expr: &Expr) -> bool {
    expr.any(&mut |part| match &part.kind {
        ExprKind::Multiply(a, b) => is_sum(a) || is_sum(b),
        ExprKind::Power(a, _) | ExprKind::Negative(a) => is_sum(a),
        _ => false,
    })
}

/// The exponent of a power of a sum.
fn exponent(expr: &Expr) -> Option<(&Expr, u32)> {
    let ExprKind::Power(base, exponent) = &expr.kind else { return None };
    let n = exponent.as_plain_number().filter(|n| n.is_integer())?.to_integer().to_u32()?;
    (is_sum(base) && (2..=12).contains(&n)).then_some((base, n))
}

/// A third power as a square times its base, worked out; three brackets as two. `None` when no product is so long.
fn shorter(expr: &Expr, budget: &mut Budget) -> Option<(Expr, Rule)> {
    let (found, rule) = match &expr.kind {
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let (first, second) = (shorter(a, budget), shorter(b, budget));
            let rule = first.as_ref().or(second.as_ref())?.1.clone();
            let part = |found: Option<(Expr, Rule)>, old: &Expr| {
                found.map_or_else(|| old.clone(), |(line, _)| line)
            };
            let (a, b) = (part(first, a), part(second, b));
            let is_add = matches!(expr.kind, ExprKind::Add(..));
            (if is_add { a.plus(b) } else { a.minus(b) }, rule)
        }
        ExprKind::Negative(a) => {
            let (inside, rule) = shorter(a, budget)?;
            (inside.negative(), rule)
        }
        ExprKind::Power(..) => {
            let (base, n) = exponent(expr)?;
            if n < 3 {
                return None;
            }
            let half = n / 2;
            let power = |k: u32, budget: &mut Budget| -> Option<Expr> {
                if k == 1 {
                    Some(base.clone())
                } else {
                    Some(poly(&base.clone().to_the(k), budget)?.to_expr())
                }
            };
            let (one, other) = (power(half, budget)?, power(n - half, budget)?);
            // (2x - 3)³ as (2x - 3)(4x² - 12x + 9), and a fourth power as a square squared.
            let line = if n.is_even() && half > 1 { one.to_the(2) } else { one.times(other) };
            (line, Rule::SplitPower)
        }
        ExprKind::Multiply(..) => {
            let mut parts = Vec::new();
            multiplied(expr, &mut parts);
            let sums = parts.iter().filter(|part| is_sum(part) || exponent(part).is_some()).count();
            if let Some(at) = parts.iter().position(|part| exponent(part).is_some()) {
                let square = poly(&parts[at], budget)?.to_expr();
                parts[at] = square;
                (parts.into_iter().reduce(Expr::times)?, Rule::Expand)
            } else if sums > 2 {
                let at = parts.iter().position(is_sum)?;
                let other = parts.iter().skip(at + 1).position(is_sum)? + at + 1;
                let second = parts.remove(other);
                let both = poly(&parts[at].clone().times(second), budget)?.to_expr();
                parts[at] = both;
                (parts.into_iter().reduce(Expr::times)?, Rule::FirstTwoBrackets)
            } else {
                return None;
            }
        }
        _ => return None,
    };
    (found != *expr).then_some((found, rule))
}

fn multiplied(expr: &Expr, found: &mut Vec<Expr>) {
    match &expr.kind {
        ExprKind::Multiply(a, b) => {
            multiplied(a, found);
            multiplied(b, found);
        }
        _ => found.push(expr.clone()),
    }
}

/// Every product of brackets as all its terms, nothing put together yet.
fn term_by_term(expr: &Expr, budget: &mut Budget) -> Option<(Expr, Rule)> {
    if let Some((base, 2)) = exponent(expr)
        && let Some(line) = square_of_sum(base, budget)
    {
        return Some((line, Rule::SquareOfSum));
    }
    let terms = spread(expr, budget)?;
    if terms.len() < 3 || terms.len() > TERMS {
        return None;
    }
    let mut all = terms.iter().filter(|term| !term.is_zero());
    let first = all.next()?.to_expr();
    let sum = all.fold(first, |sum, term| {
        if term.leading().is_negative() {
            sum.minus(term.negated().to_expr())
        } else {
            sum.plus(term.to_expr())
        }
    });
    let brackets = expr.any(&mut |part| match &part.kind {
        ExprKind::Multiply(a, b) => is_sum(a) && is_sum(b),
        ExprKind::Power(base, _) => is_sum(base),
        _ => false,
    });
    Some((sum, if brackets { Rule::EachByEach } else { Rule::Expand }))
}

/// `(a + b)²` as `a² + 2ab + b²` with the terms put in.
fn square_of_sum(base: &Expr, budget: &mut Budget) -> Option<Expr> {
    let terms = spread(base, budget)?;
    let [a, b] = &terms[..] else { return None };
    let is_minus = b.leading().is_negative();
    let size = if is_minus { b.negated() } else { b.clone() };
    let square = |term: &Poly| term.to_expr().to_the(2);
    let is_bare = |term: &Poly| term.as_constant().is_none_or(|value| !value.is_one());
    if a.leading().is_negative() || !is_bare(a) {
        return None;
    }
    let twice = [Expr::int(2), a.to_expr(), size.to_expr()].into_iter().reduce(Expr::times)?;
    let start = square(a);
    let middle = if is_minus { start.minus(twice) } else { start.plus(twice) };
    Some(middle.plus(square(&size)))
}

/// The terms of an expression with its brackets multiplied out.
fn spread(expr: &Expr, budget: &mut Budget) -> Option<Vec<Poly>> {
    let negated = |terms: Vec<Poly>| terms.iter().map(Poly::negated).collect::<Vec<_>>();
    let found = match &expr.kind {
        ExprKind::Add(a, b) => [spread(a, budget)?, spread(b, budget)?].concat(),
        ExprKind::Subtract(a, b) => [spread(a, budget)?, negated(spread(b, budget)?)].concat(),
        ExprKind::Negative(a) => negated(spread(a, budget)?),
        ExprKind::Multiply(a, b) => {
            let (left, right) = (spread(a, budget)?, spread(b, budget)?);
            if left.len() * right.len() > TERMS {
                return None;
            }
            let mut all = Vec::new();
            for one in &left {
                for other in &right {
                    all.push(one.multiply(other, budget).ok()?);
                }
            }
            all
        }
        ExprKind::Power(base, _) if matches!(exponent(expr), Some((_, 2))) => {
            spread(&(**base).clone().times((**base).clone()), budget)?
        }
        _ => vec![poly(expr, budget)?],
    };
    Some(found)
}
