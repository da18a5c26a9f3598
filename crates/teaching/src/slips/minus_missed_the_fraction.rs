//! Let the minus reach only the whole number: `-2 1/2` to `-1 1/2`.

use super::rewriting::rewriting;
use algebra::number::Notation;
use algebra::{Expr, ExprKind, Written};

rewriting! {
    /// Let the minus reach only the whole number: `-2 1/2` to `-1 1/2`.
    MinusMissedTheFraction, "minus-missed-the-fraction",
    student: "The minus belongs to all of the mixed number, the fraction too.",
    teacher: "Let the minus sign reach only the whole part of a mixed number.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    // Taken away, or by itself: the fraction comes back with a plus.
    let (before, taken) = match &expr.kind {
        ExprKind::Negative(a) => (None, a),
        ExprKind::Subtract(a, b) => (Some(a), b),
        _ => return Vec::new(),
    };
    let ExprKind::Number(written) = &taken.kind else { return Vec::new() };
    let Notation::Mixed { whole, numerator, denominator } = written.notation() else {
        return Vec::new();
    };
    let number =
        |n: &algebra::number::Integer| Expr::from(ExprKind::Number(Written::whole(n.clone())));
    let part = number(numerator).over(number(denominator));
    vec![match before {
        Some(before) => before.as_ref().clone().minus(number(whole)).plus(part),
        None => number(whole).negative().plus(part),
    }]
}
