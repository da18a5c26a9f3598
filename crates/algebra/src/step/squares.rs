//! `(x - 1)² + |y + 2| = 0` holds where each part is zero, since none is negative, and `x = y = 0` is two
//! equations.

use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use num_integer::Integer;
use num_traits::{Signed, Zero};

/// The line with such equations taken apart; `None` when there are none.
pub(super) fn apart(line: &Line) -> Option<Line> {
    match line {
        Line::AllOf(lines) | Line::AnyOf(lines) => {
            let parts: Vec<Option<Line>> = lines.iter().map(apart).collect();
            if parts.iter().all(Option::is_none) {
                return None;
            }
            let whole =
                parts.into_iter().zip(lines).map(|(part, line)| part.unwrap_or(line.clone()));
            Some(if matches!(line, Line::AllOf(_)) {
                Line::AllOf(whole.collect())
            } else {
                Line::AnyOf(whole.collect())
            })
        }
        Line::Relations { sides, relations } if sides.len() > 2 => {
            let pairs = sides.windows(2).map(|p| Line::equation(p[0].clone(), p[1].clone()));
            let all_equal = relations.iter().all(|relation| *relation == Relation::Equal);
            all_equal.then(|| Line::AllOf(pairs.collect()))
        }
        _ => {
            let (left, right) = line.as_equation()?;
            let mut terms = Vec::new();
            collect(left, true, &mut terms);
            collect(right, false, &mut terms);
            of_sign(&terms, true).or_else(|| of_sign(&terms, false))
        }
    }
}

/// The terms of a sum, each with whether it is added.
fn collect<'a>(expr: &'a Expr, is_added: bool, terms: &mut Vec<(&'a Expr, bool)>) {
    match &expr.kind {
        ExprKind::Add(a, b) => {
            collect(a, is_added, terms);
            collect(b, is_added, terms);
        }
        ExprKind::Subtract(a, b) => {
            collect(a, is_added, terms);
            collect(b, !is_added, terms);
        }
        ExprKind::Negative(a) => collect(a, !is_added, terms),
        _ => terms.push((expr, is_added)),
    }
}

/// What has to hold when every term is added, or every one taken away.
fn of_sign(terms: &[(&Expr, bool)], added: bool) -> Option<Line> {
    let mut equations = Vec::new();
    for (term, is_added) in terms {
        if let Some(value) = term.as_plain_number() {
            if value.is_zero() {
                continue;
            }
            if value.is_positive() == (*is_added == added) {
                // No sum of this and what is not negative is zero.
                equations.push(Line::NoSolution);
                continue;
            }
            return None;
        }
        if *is_added != added {
            return None;
        }
        equations.push(Line::equation(base(term)?.clone(), Expr::int(0)));
    }
    if equations.len() < 2 {
        return None;
    }
    let never = equations.contains(&Line::NoSolution);
    Some(if never { Line::NoSolution } else { Line::AllOf(equations) })
}

/// What is zero where a term that is never negative is zero.
fn base(term: &Expr) -> Option<&Expr> {
    let is_positive = |factor: &Expr| factor.as_plain_number().is_some_and(|n| n.is_positive());
    match &term.kind {
        ExprKind::Power(base, exponent) => {
            let n = exponent.as_plain_number()?;
            (n.is_positive() && n.is_integer() && n.to_integer().is_even()).then_some(base)
        }
        ExprKind::Root { index, radicand } if index.is_even() => Some(radicand),
        ExprKind::Absolute(inside) => Some(inside),
        ExprKind::Multiply(factor, rest) if is_positive(factor) => base(rest),
        ExprKind::Multiply(rest, factor) | ExprKind::Divide(rest, factor)
            if is_positive(factor) =>
        {
            base(rest)
        }
        _ => None,
    }
}
