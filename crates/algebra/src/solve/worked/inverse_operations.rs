//! A formula undone from the outside in, for a letter that stands in it once: the lines between `v = u + at` and
//! `t = (v - u)/a`.

use crate::budget::Budget;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::{Normaliser, Values};
use crate::rule::Rule;
use num_traits::One;

/// Most lines between the formula and its answer.
const LINES: usize = 6;

/// The lines on the way, each with its reason; empty when the letter stands there more than once, or nothing is to
/// be said. They may end before the letter stands alone.
#[must_use]
pub fn undone(line: &Line, letter: &str) -> Vec<(Line, Rule)> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    if count(left, letter) + count(right, letter) != 1 {
        return Vec::new();
    }
    let mut found = Vec::new();
    let (mut inside, mut value) = (left.clone(), right.clone());
    if count(left, letter) == 0 {
        (inside, value) = (value, inside);
        found.push((Line::equation(inside.clone(), value.clone()), Rule::SwapSides));
    }
    while found.len() < LINES {
        let Some((next, undone, rule)) = outermost_undone(&inside, &value, letter) else { break };
        if rule == Rule::Reciprocals
            && matches!(value.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
        {
            value = tidy(&value);
            found.push((Line::equation(inside.clone(), value.clone()), Rule::CommonDenominator));
        }
        (inside, value) = (next, tidy(&undone));
        found.push((Line::equation(inside.clone(), value.clone()), rule));
    }
    found
}

fn count(expr: &Expr, letter: &str) -> usize {
    let mut found = 0;
    expr.any(&mut |part| {
        found += usize::from(matches!(&part.kind, ExprKind::Symbol(name) if name == letter));
        false
    });
    found
}

/// What is left inside, what the other side becomes, and why; `None` where there is no one step.
fn outermost_undone(inside: &Expr, value: &Expr, letter: &str) -> Option<(Expr, Expr, Rule)> {
    let has = |part: &Expr| count(part, letter) > 0;
    let value = value.clone();
    Some(match &inside.kind {
        ExprKind::Add(a, b) => {
            let (keep, goes) = if has(a) { (a, b) } else { (b, a) };
            let goes = (**goes).clone();
            ((**keep).clone(), value.minus(goes.clone()), Rule::SubtractFromBoth(goes))
        }
        ExprKind::Subtract(a, b) if has(a) => {
            let goes = (**b).clone();
            ((**a).clone(), value.plus(goes.clone()), Rule::AddToBoth(goes))
        }
        ExprKind::Multiply(a, b) => {
            let (keep, goes) = if has(a) { (a, b) } else { (b, a) };
            let goes = (**goes).clone();
            ((**keep).clone(), value.over(goes.clone()), Rule::DivideBoth(goes))
        }
        ExprKind::Divide(a, b) if has(a) => {
            let goes = (**b).clone();
            let product = if has_function(&value) {
                goes.clone().times(value)
            } else {
                value.times(goes.clone())
            };
            ((**a).clone(), product, Rule::MultiplyBoth(goes))
        }
        // 1/u = v, and a/u = v
        ExprKind::Divide(a, b) if a.as_plain_number().is_some_and(|n| n.is_one()) => {
            ((**b).clone(), Expr::int(1).over(value), Rule::Reciprocals)
        }
        ExprKind::Divide(a, b) => {
            let below = (**b).clone();
            (value.times(below.clone()), (**a).clone(), Rule::MultiplyBoth(below))
        }
        ExprKind::Negative(a) => match &a.kind {
            ExprKind::Multiply(..) | ExprKind::Divide(..) => {
                let (keep, without, rule) = outermost_undone(a, &value, letter)?;
                let rule = match rule {
                    Rule::DivideBoth(by) => Rule::DivideBoth(by.negative()),
                    Rule::MultiplyBoth(by) => Rule::MultiplyBoth(by.negative()),
                    _ => return None,
                };
                (keep, without.negative(), rule)
            }
            _ => ((**a).clone(), value.negative(), Rule::MultiplyBoth(Expr::int(1).negative())),
        },
        ExprKind::Root { index, radicand } => {
            ((**radicand).clone(), value.to_the(*index), Rule::RaiseBoth(*index))
        }
        ExprKind::Power(base, exponent) if !has(base) => {
            ((**exponent).clone(), logarithm(value, base), Rule::TakeLogarithms)
        }
        ExprKind::Call { function: function @ (Function::Ln | Function::Log), arguments } => {
            let base = match (function, &arguments[..]) {
                (Function::Ln, [_]) => ExprKind::Constant(Constant::Euler).into(),
                (_, [_]) => Expr::int(10),
                (_, [_, base]) if !has(base) => base.clone(),
                _ => return None,
            };
            let power = ExprKind::Power(Box::new(base), Box::new(value)).into();
            (arguments[0].clone(), power, Rule::UndoLogarithm)
        }
        _ => return None,
    })
}

/// `ln v`, `log v`, `log_2 v`, or `ln v/ln b` where the base is no number.
fn logarithm(value: Expr, base: &Expr) -> Expr {
    let call =
        |function, arguments: Vec<Expr>| -> Expr { ExprKind::Call { function, arguments }.into() };
    match &base.kind {
        ExprKind::Constant(Constant::Euler) => call(Function::Ln, vec![value]),
        _ if *base == Expr::int(10) => call(Function::Log, vec![value]),
        ExprKind::Number(_) => call(Function::Log, vec![value, base.clone()]),
        _ => call(Function::Ln, vec![value]).over(call(Function::Ln, vec![base.clone()])),
    }
}

/// Whether a logarithm, or a power that is no plain one, takes part.
fn has_function(expr: &Expr) -> bool {
    expr.any(&mut |part| match &part.kind {
        ExprKind::Call { .. } => true,
        ExprKind::Power(_, exponent) => exponent.as_plain_number().is_none(),
        _ => false,
    })
}

/// The other side as one writes it: `2A/b`, not `A/(1/2 b)`. Logarithms and powers stay as they are.
fn tidy(expr: &Expr) -> Expr {
    if has_function(expr) {
        return expr.clone();
    }
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(expr);
    value
        .ok()
        .and_then(|value| value.rationalised(&mut budget).ok())
        .and_then(|value| value.cancelled(&mut budget).ok())
        .map_or_else(|| expr.clone(), |value| value.to_expr())
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;

    #[test]
    #[rustfmt::skip]
    fn a_formula_is_undone_from_the_outside_in() {
        for (formula, letter, expected) in [
            ("v = u + a t",       "t", &["u + at = v", "at = v - u", "t = (v - u)/a"][..]),
            ("y = m x + c",       "x", &["mx + c = y", "mx = y - c", "x = (y - c)/m"]),
            ("A = 1/2 b h",       "h", &["1/2 × bh = A", "h = 2A/b"]),
            ("1/f = 1/u + 1/v",   "u", &["1/u + 1/v = 1/f", "1/u = (v - f)/(fv)", "u = fv/(v - f)"]),
            ("1/R = 1/a + 1/b",   "R", &["1/R = (a + b)/(ab)", "R = ab/(a + b)"]),
            ("m/v = d",           "v", &["dv = m", "v = m/d"]),
            ("a x = b",           "x", &["x = b/a"]),
            ("a x + b x = c",     "x", &[]),
        ] {
            let line = crate::read_line(formula).expect(formula).line;
            let lines: Vec<String> = undone(&line, letter).iter().map(|(l, _)| text_line(l)).collect();
            assert_eq!(lines, expected, "{formula}");
        }
    }
}
