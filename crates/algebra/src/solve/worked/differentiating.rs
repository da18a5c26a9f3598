//! Derivatives line by line: sums term by term, products, quotients and functions of functions by their rules.

use crate::budget::Budget;
use crate::derivative::derivative;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::normal::{Normaliser, Values};
use crate::rule::Rule;

/// Most lines of one working.
const LINES: usize = 10;

/// `d/dx (…)`, as it is written.
#[must_use]
pub fn derivative_of(expr: &Expr, letter: &str) -> Expr {
    ExprKind::Apply { name: format!("d/d{letter}"), arguments: vec![expr.clone()] }.into()
}

/// The letter and the inside of `d/dx (…)`.
#[must_use]
pub fn as_derivative(expr: &Expr) -> Option<(&str, &Expr)> {
    match &expr.kind {
        ExprKind::Apply { name, arguments } => match &arguments[..] {
            [inside] => Some((name.strip_prefix("d/d")?, inside)),
            _ => None,
        },
        _ => None,
    }
}

/// The lines between `d/dx (…)` and the derivative, in its shortest form; empty where there is none.
#[must_use]
pub fn differentiated(expr: &Expr, letter: &str) -> Vec<(Expr, Rule)> {
    if derivative(expr, letter).is_none() {
        return Vec::new();
    }
    let mut found: Vec<(Expr, Rule)> = Vec::new();
    let mut now = derivative_of(expr, letter);
    while found.len() < LINES {
        let Some((next, rule)) = next_line(&now) else { break };
        found.push((next.clone(), rule));
        now = next;
    }
    if now.any(&mut |part| as_derivative(part).is_some()) {
        return Vec::new();
    }
    // Terms in another order are no news.
    let short = tidy(&now);
    let length = |expr: &Expr| crate::write::text(expr).chars().count();
    // A number stands in front.
    let ends_in_number =
        matches!(&now.kind, ExprKind::Multiply(_, last) if last.as_plain_number().is_some());
    if length(&short) < length(&now) || (ends_in_number && short != now) {
        found.push((short, Rule::Simplify));
    }
    found
}

/// One more rule: all that can be differentiated at once, or else the first part that takes a rule of its own.
fn next_line(line: &Expr) -> Option<(Expr, Rule)> {
    let mut parts = Vec::new();
    line.any(&mut |part| {
        if let Some((letter, inside)) = as_derivative(part) {
            parts.push((letter.to_owned(), inside.clone()));
        }
        false
    });
    let first = parts.first()?.clone();
    let rule_of_first = rule(&first.1, &first.0);
    let is_plain = parts.iter().all(|(letter, inside)| is_simple(inside, letter));
    let next = line.map(&mut |part| {
        let Some((letter, inside)) = as_derivative(&part) else { return part };
        if is_plain {
            plainly(inside, letter).unwrap_or(part)
        } else if (letter, inside) == (first.0.as_str(), &first.1) && !is_simple(inside, letter) {
            by_rule(inside, letter).unwrap_or(part)
        } else if is_simple(inside, letter) && is_simple(&first.1, &first.0) {
            plainly(inside, letter).unwrap_or(part)
        } else {
            part
        }
    });
    let rule =
        if is_plain || is_simple(&first.1, &first.0) { Rule::TermByTerm } else { rule_of_first };
    (next != *line).then_some((next, rule))
}

fn has(expr: &Expr, letter: &str) -> bool {
    expr.symbols().contains(letter)
}

/// Whether a class knows its derivative at once: a sum of powers of the letter and of functions of it, each with a
/// number before it.
fn is_simple(expr: &Expr, letter: &str) -> bool {
    let is_letter = |part: &Expr| matches!(&part.kind, ExprKind::Symbol(name) if name == letter);
    if !has(expr, letter) || is_letter(expr) {
        return true;
    }
    match &expr.kind {
        ExprKind::Negative(a) => is_simple(a, letter),
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            is_simple(a, letter) && is_simple(b, letter)
        }
        ExprKind::Multiply(a, b) => {
            (!has(a, letter) && is_simple(b, letter) && !is_sum(b))
                || (!has(b, letter) && is_simple(a, letter) && !is_sum(a))
        }
        ExprKind::Divide(a, b) => !has(b, letter) && is_simple(a, letter) && !is_sum(a),
        ExprKind::Power(base, exponent) => {
            (is_letter(base) && exponent.as_plain_number().is_some())
                || (matches!(base.kind, ExprKind::Constant(Constant::Euler)) && is_letter(exponent))
        }
        ExprKind::Call { function, arguments } => {
            matches!(function, Function::Sin | Function::Cos | Function::Tan | Function::Ln)
                && arguments.len() == 1
                && is_letter(&arguments[0])
        }
        _ => false,
    }
}

fn is_sum(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
}

/// The derivative of what is simple, term by term and tidy.
fn plainly(expr: &Expr, letter: &str) -> Option<Expr> {
    match &expr.kind {
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let (a, b) = (plainly(a, letter)?, plainly(b, letter)?);
            let is_zero = |part: &Expr| *part == Expr::int(0);
            let adds = matches!(expr.kind, ExprKind::Add(..));
            Some(match (is_zero(&a), is_zero(&b)) {
                (_, true) => a,
                (true, false) => {
                    if adds {
                        b
                    } else {
                        b.negative()
                    }
                }
                _ => {
                    if adds {
                        a.plus(b)
                    } else {
                        a.minus(b)
                    }
                }
            })
        }
        ExprKind::Negative(a) => Some(plainly(a, letter)?.negative()),
        ExprKind::Power(base, exponent) if !has(base, letter) && has(exponent, letter) => {
            Some(exponential(expr, base))
        }
        ExprKind::Multiply(a, b) if is_exponential(b, letter) => {
            Some((**a).clone().times(plainly(b, letter)?))
        }
        _ => Some(tidy(&derivative(expr, letter)?)),
    }
}

/// `e^x`, whose derivative is itself.
fn is_exponential(expr: &Expr, letter: &str) -> bool {
    matches!(&expr.kind, ExprKind::Power(base, exponent) if !has(base, letter) && has(exponent, letter))
}

/// The derivative of a power of that number by its exponent.
fn exponential(power: &Expr, base: &Expr) -> Expr {
    if matches!(base.kind, ExprKind::Constant(Constant::Euler)) {
        return power.clone();
    }
    let logarithm = ExprKind::Call { function: Function::Ln, arguments: vec![base.clone()] };
    power.clone().times(logarithm.into())
}

/// What is done with something that is not simple.
fn rule(expr: &Expr, letter: &str) -> Rule {
    match &expr.kind {
        ExprKind::Multiply(a, b) if has(a, letter) && has(b, letter) => Rule::ProductRule,
        ExprKind::Divide(_, b) if has(b, letter) => Rule::QuotientRule,
        ExprKind::Power(..) | ExprKind::Root { .. } | ExprKind::Call { .. } => Rule::ChainRule,
        _ => Rule::TermByTerm,
    }
}

/// One rule applied, with the derivatives of the parts still to be taken.
fn by_rule(expr: &Expr, letter: &str) -> Option<Expr> {
    let d = |part: &Expr| derivative_of(part, letter);
    let whole = |part: &Expr| part.clone();
    Some(match &expr.kind {
        ExprKind::Negative(a) => d(a).negative(),
        ExprKind::Add(a, b) => d(a).plus(d(b)),
        ExprKind::Subtract(a, b) => d(a).minus(d(b)),
        ExprKind::Multiply(a, b) if !has(a, letter) => whole(a).times(d(b)),
        ExprKind::Multiply(a, b) if !has(b, letter) => whole(b).times(d(a)),
        ExprKind::Multiply(a, b) => d(a).times(whole(b)).plus(whole(a).times(d(b))),
        ExprKind::Divide(a, b) if !has(b, letter) => d(a).over(whole(b)),
        ExprKind::Divide(a, b) => {
            d(a).times(whole(b)).minus(whole(a).times(d(b))).over(whole(b).to_the(2))
        }
        // e^u, and b^u with ln b
        ExprKind::Power(base, exponent) if !has(base, letter) => {
            exponential(expr, base).times(d(exponent))
        }
        // The outer function's derivative at the inside, times the derivative of the inside.
        _ => {
            let inside = inside(expr, letter)?;
            let outer =
                expr.map(&mut |part| if part == inside { Expr::symbol(INSIDE) } else { part });
            let outer = tidy(&derivative(&outer, INSIDE)?).with(INSIDE, &inside);
            outer.times(d(&inside))
        }
    })
}

/// A letter of our own for the inside of a function, which nobody can type.
const INSIDE: &str = "inside of the function";

/// What stands inside a power, a root or a function.
fn inside(expr: &Expr, letter: &str) -> Option<Expr> {
    match &expr.kind {
        ExprKind::Power(base, exponent) if !has(exponent, letter) => Some((**base).clone()),
        ExprKind::Power(base, exponent) if !has(base, letter) => Some((**exponent).clone()),
        ExprKind::Root { radicand, .. } => Some((**radicand).clone()),
        ExprKind::Call { arguments, .. } => arguments.first().cloned(),
        _ => None,
    }
    .filter(|inside| has(inside, letter))
}

/// Without zeros and ones, numbers first; polynomials as sums of terms, products of sums left as they are.
fn tidy(expr: &Expr) -> Expr {
    // Powers of sums, and powers whose exponents hold a letter, stay as they are.
    let stays = |part: &Expr| match &part.kind {
        ExprKind::Power(base, exponent) => {
            let is_one = exponent.as_plain_number() == Some(crate::number::from_int(1));
            (is_sum(base) && !is_one) || !exponent.symbols().is_empty()
        }
        _ => false,
    };
    let simple = |part: &Expr| {
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let value = Normaliser::new(&none, &mut budget).build(part).ok()?;
        Some(value.cancelled(&mut budget).ok()?.to_expr())
    };
    if !expr.any(&mut |part| stays(part)) {
        return simple(expr).unwrap_or_else(|| expr.clone());
    }
    match &expr.kind {
        ExprKind::Add(a, b) => tidy(a).plus(tidy(b)),
        ExprKind::Subtract(a, b) => tidy(a).minus(tidy(b)),
        ExprKind::Divide(a, b) => {
            let above = simple(a).filter(|_| !a.any(&mut |part| stays(part)));
            above.unwrap_or_else(|| tidy(a)).over((**b).clone())
        }
        ExprKind::Multiply(..) => {
            let (mut plain, mut powers) = (Expr::int(1), Vec::new());
            for factor in factors(expr) {
                if factor.any(&mut |part| stays(part)) || is_sum(&factor) {
                    powers.push(factor);
                } else {
                    plain = plain.times(factor);
                }
            }
            let plain = simple(&plain).unwrap_or(plain);
            let is_one = plain == Expr::int(1);
            let rest = powers.into_iter().reduce(Expr::times);
            match rest {
                Some(rest) if is_one => rest,
                Some(rest) => plain.times(rest),
                None => plain,
            }
        }
        // (…)^1
        ExprKind::Power(base, exponent) => match simple(exponent) {
            Some(one) if one == Expr::int(1) => (**base).clone(),
            Some(exponent) => ExprKind::Power(base.clone(), Box::new(exponent)).into(),
            None => expr.clone(),
        },
        _ => expr.clone(),
    }
}

fn factors(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Multiply(a, b) => [factors(a), factors(b)].concat(),
        _ => vec![tidy_power(expr)],
    }
}

/// `(3x² + 1)^(5 - 1)` with its exponent worked out.
fn tidy_power(expr: &Expr) -> Expr {
    match &expr.kind {
        ExprKind::Power(..) => tidy(expr),
        _ => expr.clone(),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text;
    use crate::{Line, Setting, StepVerdict, compare_given, read_expr};

    #[test]
    #[rustfmt::skip]
    fn derivatives_are_written_rule_by_rule() {
        use Rule::{ChainRule, ProductRule, QuotientRule, TermByTerm};
        for (typed, rules, last) in [
            ("x^3 - 2x + 5",        &[TermByTerm][..],                    "3x^2 - 2"),
            ("4x^2",                &[TermByTerm],                        "8x"),
            ("7",                   &[TermByTerm],                        "0"),
            ("x^2 sin x",           &[ProductRule, TermByTerm],           "2x × sin(x) + x^2 × cos(x)"),
            ("x^2/(x + 1)",         &[QuotientRule, TermByTerm],          "(x^2 + 2x)/(x + 1)^2"),
            ("(3x^2 + 1)^5",        &[ChainRule, TermByTerm],             "30x(3x^2 + 1)^4"),
            ("sin(2x)",             &[ChainRule, TermByTerm],             "2 × cos(2x)"),
            ("e^(3x)",              &[ChainRule, TermByTerm],             "3 × e^(3x)"),
            ("5e^x + x",            &[TermByTerm],                        "5 × e^x + 1"),
            ("ln(x^2 + 1)",         &[ChainRule, TermByTerm],             "2x/(x^2 + 1)"),
        ] {
            let of = read_expr(typed).expect(typed);
            let found = differentiated(&of, "x");
            let told: Vec<Rule> = found.iter().map(|(_, rule)| rule.clone()).filter(|rule| *rule != Rule::Simplify).collect();
            assert_eq!(told, rules, "{typed}: {found:?}");
            assert_eq!(found.last().map(|(line, _)| text(line)).as_deref(), Some(last), "{typed}");
            for (line, _) in &found {
                let (from, to) = (Line::Expression(derivative_of(&of, "x")), Line::Expression(line.clone()));
                let verdict = compare_given(&from, &to, &Setting::default());
                assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{typed}: {}: {verdict:?}", text(line));
            }
        }
        assert!(differentiated(&read_expr("x!").expect("read"), "x").is_empty());
    }
}
