//! The value of an expression of numbers, worked line by line: brackets and powers first, then products, then sums;
//! fractions over a common denominator; roots with their squares taken out.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Values};
use crate::number::Integer;
use crate::number::{Rational, exact_root, from_int, square_part};
use crate::rule::Rule;
use crate::solve::worked::outermost;
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Most lines between the problem and its answer.
const LINES: usize = 8;
/// Largest whole exponent that is worked out on a board.
const EXPONENT: i64 = 20;

/// The lines between an expression of numbers and its value, each with its reason; empty where one line says it
/// all, or where there is more in it than whole numbers, fractions, decimals and roots of them.
#[must_use]
pub fn arithmetic(expr: &Expr) -> Vec<(Expr, Rule)> {
    let mut lines: Vec<(Expr, Rule)> = Vec::new();
    let mut now = expr.clone();
    while lines.len() < LINES {
        let Some((next, rule)) = next_line(&now) else { break };
        if next == now {
            break;
        }
        lines.push((next.clone(), rule));
        now = next;
    }
    lines
}

fn next_line(expr: &Expr) -> Option<(Expr, Rule)> {
    if number(expr).is_some() {
        return None;
    }
    if let Some(found) = values_in(expr) {
        return Some((found, Rule::ValuesOfFunctions));
    }
    if let Some(found) = roots_out(expr) {
        return Some((found, Rule::Evaluate));
    }
    if let Some(found) = squares_out(expr) {
        return Some((found, Rule::TakeSquareOut));
    }
    let brackets = changed(expr, &|part| inner(part));
    if let Some(found) = brackets {
        return Some((found, Rule::BracketsFirst));
    }
    if let Some(found) = changed(expr, &product_of_fractions) {
        return Some((found, Rule::MultiplyFractions));
    }
    let products = changed(expr, &|part| match &part.kind {
        ExprKind::Multiply(a, b) => worked(part, a, b),
        ExprKind::Divide(a, b) if number(a).is_none() || number(b).is_none() => None,
        ExprKind::Divide(a, b) if !is_whole(a) || !is_whole(b) => worked(part, a, b),
        _ => None,
    });
    if let Some(found) = products {
        let rule = if is_sum(expr) { Rule::ProductsFirst } else { Rule::Evaluate };
        return Some((found, rule));
    }
    if let Some(found) = common_denominator(expr) {
        return Some((found, Rule::CommonDenominator));
    }
    None
}

/// `log_3 81 - sin 30°` with the values of its functions put in; `None` where one has no short exact value, or
/// stands alone.
fn values_in(expr: &Expr) -> Option<Expr> {
    let is_call = |part: &Expr| matches!(part.kind, ExprKind::Call { .. });
    if is_call(expr) {
        return None;
    }
    let found = changed(expr, &|part| {
        if !is_call(part) && !power_of_call(part) {
            return None;
        }
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let value = Normaliser::new(&none, &mut budget).build(part).ok()?.to_expr();
        (!value.any(&mut |inside| is_call(inside))).then_some(value)
    })?;
    (!found.any(&mut |part| is_call(part))).then_some(found)
}

/// `sin² 30°`, whose value is known as a whole.
fn power_of_call(part: &Expr) -> bool {
    matches!(&part.kind, ExprKind::Power(base, _) if matches!(base.kind, ExprKind::Call { .. }))
}

/// `3/4 × 2/3`, which is read as `((3/4) × 2)/3`, as `(3 × 2)/(4 × 3)`.
fn product_of_fractions(part: &Expr) -> Option<Expr> {
    if let ExprKind::Multiply(first, second) = &part.kind
        && let (ExprKind::Divide(a, b), ExprKind::Divide(c, d)) = (&first.kind, &second.kind)
    {
        // Both are fractions of whole numbers.
        number(first).and(number(second))?;
        let (up, down) = ((**a).clone().times((**c).clone()), (**b).clone().times((**d).clone()));
        return Some(up.over(down));
    }
    let ExprKind::Divide(product, below) = &part.kind else { return None };
    let ExprKind::Multiply(first, above) = &product.kind else { return None };
    let ExprKind::Divide(..) = &first.kind else { return None };
    let value = number(first)?;
    if value.is_integer() || !is_whole(above) || !is_whole(below) || number(below)?.is_zero() {
        return None;
    }
    let ExprKind::Divide(a, b) = &first.kind else { return None };
    let up = (**a).clone().times((**above).clone());
    Some(up.over((**b).clone().times((**below).clone())))
}

/// The value of a number, or of a product of whole numbers and decimals that needs no line between.
fn product_value(expr: &Expr) -> Option<Rational> {
    match &expr.kind {
        ExprKind::Multiply(a, b) => Some(product_value(a)? * product_value(b)?),
        _ => number(expr),
    }
}

fn worked(part: &Expr, a: &Expr, b: &Expr) -> Option<Expr> {
    let (a, b) = match part.kind {
        ExprKind::Multiply(..) => (product_value(a)?, product_value(b)?),
        _ => (number(a)?, number(b)?),
    };
    let value = match part.kind {
        ExprKind::Multiply(..) => a * b,
        _ if b.is_zero() => return None,
        _ => a / b,
    };
    Some(Expr::rational(&value))
}

fn is_sum(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
}

fn is_whole(expr: &Expr) -> bool {
    number(expr).is_some_and(|value| value.is_integer())
}

/// The value of a number as it stands: whole, decimal, mixed, a fraction of whole numbers, a percentage.
fn number(expr: &Expr) -> Option<Rational> {
    match &expr.kind {
        ExprKind::Number(written) => Some(written.value().clone()),
        ExprKind::Negative(a) => Some(-number(a)?),
        ExprKind::Percent(a) => Some(number(a)? / from_int(100)),
        ExprKind::Divide(a, b) => {
            let whole = |e: &Expr| match &e.kind {
                ExprKind::Number(w) => Some(w.value().clone()).filter(|v| v.is_integer()),
                _ => None,
            };
            let (a, b) = (whole(a)?, whole(b)?);
            (!b.is_zero()).then(|| a / b)
        }
        _ => None,
    }
}

/// Applies `change` to the outermost parts that it fits; a number that stands as it is stays so.
fn changed(expr: &Expr, change: &dyn Fn(&Expr) -> Option<Expr>) -> Option<Expr> {
    outermost::changed(expr, &|part| number(part).is_some(), change)
}

/// What comes first: a sum inside a product, a power or a root; then powers and roots of numbers.
fn inner(part: &Expr) -> Option<Expr> {
    match &part.kind {
        ExprKind::Multiply(a, b) | ExprKind::Divide(a, b) => {
            let rebuilt = |a: Expr, b: Expr| -> Expr {
                match part.kind {
                    ExprKind::Multiply(..) => a.times(b),
                    _ => a.over(b),
                }
            };
            match (sum_worked(a), sum_worked(b)) {
                (None, None) => None,
                (first, second) => Some(rebuilt(
                    first.unwrap_or_else(|| (**a).clone()),
                    second.unwrap_or_else(|| (**b).clone()),
                )),
            }
        }
        ExprKind::Subtract(a, b) => Some((**a).clone().minus(sum_worked(b)?)),
        ExprKind::Negative(a) => Some(sum_worked(a)?.negative()),
        ExprKind::Power(base, exponent) => {
            if let Some(base) = sum_worked(base) {
                return Some(ExprKind::Power(Box::new(base), exponent.clone()).into());
            }
            let (base, n) = (number(base)?, number(exponent)?);
            let n = n.is_integer().then(|| n.to_integer().to_i64()).flatten()?;
            if n.abs() > EXPONENT || (base.is_zero() && n <= 0) {
                return None;
            }
            let size = num_traits::Pow::pow(&base, u32::try_from(n.abs()).ok()?);
            Some(Expr::rational(&if n < 0 { size.recip() } else { size }))
        }
        ExprKind::Root { index, radicand } => {
            if let Some(inside) = sum_worked(radicand) {
                return Some(ExprKind::Root { index: *index, radicand: Box::new(inside) }.into());
            }
            let value = number(radicand)?;
            let negative = value.is_negative() && index.is_odd();
            let root =
                exact_root(&value.abs(), *index).filter(|_| negative || !value.is_negative());
            root.map(|root| Expr::rational(&if negative { -root } else { root }))
        }
        ExprKind::Absolute(a) => match sum_worked(a) {
            Some(inside) => Some(ExprKind::Absolute(Box::new(inside)).into()),
            None => Some(Expr::rational(&number(a)?.abs())),
        },
        _ => None,
    }
}

/// A sum of whole numbers and decimals, worked out; other sums take a line of their own.
fn sum_worked(expr: &Expr) -> Option<Expr> {
    let (a, b, minus) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, false),
        ExprKind::Subtract(a, b) => (a, b, true),
        _ => return None,
    };
    let value = |e: &Expr| sum_worked(e).as_ref().and_then(number).or_else(|| number(e));
    let (a, b) = (value(a)?, value(b)?);
    Some(Expr::rational(&if minus { a - b } else { a + b }))
}

/// The terms of a sum of fractions over their common denominator; `None` when they share one, or there are none.
fn common_denominator(expr: &Expr) -> Option<Expr> {
    if !is_sum(expr) {
        return None;
    }
    let mut below = Integer::one();
    let mut different = std::collections::BTreeSet::new();
    for term in terms(expr) {
        let value = number(&term)?;
        if matches!(term.kind, ExprKind::Number(_)) && !value.is_integer() {
            return None;
        }
        below = below.lcm(value.denom());
        different.insert(value.denom().clone());
    }
    if different.len() < 2 || below.bits() > 24 {
        return None;
    }
    changed(expr, &|part| {
        let value = number(part)?;
        Some(over(&value, &below))
    })
    .or_else(|| Some(spread(expr, &below)))
}

fn over(value: &Rational, below: &Integer) -> Expr {
    let above = value.numer() * (below / value.denom());
    let size = Expr::rational(&Rational::from_integer(above.abs()));
    let fraction = size.over(Expr::rational(&Rational::from_integer(below.clone())));
    if above.is_negative() { fraction.negative() } else { fraction }
}

fn spread(expr: &Expr, below: &Integer) -> Expr {
    match &expr.kind {
        ExprKind::Add(a, b) => spread(a, below).plus(spread(b, below)),
        ExprKind::Subtract(a, b) => spread(a, below).minus(spread(b, below)),
        _ => number(expr).map_or_else(|| expr.clone(), |value| over(&value, below)),
    }
}

fn terms(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => [terms(a), terms(b)].concat(),
        _ => vec![expr.clone()],
    }
}

/// `√72` as `√(36 × 2)`, everywhere; `None` when no root holds a square.
fn squares_out(expr: &Expr) -> Option<Expr> {
    let split = |part: &Expr| {
        let ExprKind::Root { index: 2, radicand } = &part.kind else { return None };
        let ExprKind::Number(written) = &radicand.kind else { return None };
        let value = written.value().clone().is_integer().then(|| written.value().to_integer())?;
        let (outside, primes) = square_part(&value)?;
        let left: u64 = primes.iter().product();
        if outside.is_one() || left == 1 {
            return None;
        }
        let square = Rational::from_integer(&outside * &outside);
        let left = Expr::rational(&Rational::from_integer(left.into()));
        let inside = Expr::rational(&square).times(left);
        Some(ExprKind::Root { index: 2, radicand: Box::new(inside) }.into())
    };
    changed(expr, &split)
}

/// `√(36 × 2)` as `6√2`, everywhere; `None` when no root stands like that.
fn roots_out(expr: &Expr) -> Option<Expr> {
    changed(expr, &|part| {
        let ExprKind::Root { index: 2, radicand } = &part.kind else { return None };
        let ExprKind::Multiply(square, left) = &radicand.kind else { return None };
        let outside = exact_root(&number(square)?, 2)?;
        number(left)?;
        let root: Expr = ExprKind::Root { index: 2, radicand: left.clone() }.into();
        Some(Expr::rational(&outside).times(root))
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text;
    use crate::{Verdict, equal, read_expr};

    #[test]
    #[rustfmt::skip]
    fn numbers_are_worked_in_the_order_of_the_trade() {
        for (problem, expected) in [
            ("3/4 + 5/6",         &["9/12 + 10/12"][..]),
            ("2 + 3 × 4",         &["2 + 12"]),
            ("(2 + 3) × 4",       &["5 × 4", "20"]),
            ("2^3 × 2^4",         &["8 × 16", "128"]),
            ("18 - 2(3 + 4)",     &["18 - 2 × 7", "18 - 14"]),
            ("√72",               &["√(36 × 2)", "6√(2)"]),
            ("3√8 - √18",         &["3√(4 × 2) - √(9 × 2)", "3 × (2√(2)) - 3√(2)"]),
            ("√9 + √16",          &["3 + 4"]),
            ("(3 + 4)^2",         &["7^2", "49"]),
            ("1 1/2 + 2/3",       &[]),
            ("3/4 × 2/3",         &["3 × 2/(4 × 3)", "6/12"]),
            ("7",                 &[]),
            ("3/4",               &[]),
            ("1/0 + 1/2",         &[]),
            ("0^0 + 1",           &[]),
        ] {
            let expr = read_expr(problem).expect(problem);
            let lines: Vec<String> = arithmetic(&expr).iter().map(|(e, _)| text(e)).collect();
            assert_eq!(lines, expected, "{problem}");
            for (line, _) in arithmetic(&expr) {
                assert!(matches!(equal(&expr, &line), Verdict::Equal { .. }), "{problem}");
            }
        }
    }
}
