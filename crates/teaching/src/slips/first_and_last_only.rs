//! Multiplied only first with first and last with last: `(x + 2)(x + 5)` to `x^2 + 10`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied only first with first and last with last: `(x + 2)(x + 5)` to `x^2 + 10`.
    FirstAndLastOnly, "first-and-last-only",
    student: "Each term of one bracket meets each term of the other. How many products are there?",
    teacher: "Left out the middle products of two brackets.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(p, q) = &expr.kind else { return Vec::new() };
    let parts = |e: &Expr| match &e.kind {
        ExprKind::Add(a, b) => Some((a.as_ref().clone(), b.as_ref().clone())),
        ExprKind::Subtract(a, b) => Some((a.as_ref().clone(), b.as_ref().clone().negative())),
        _ => None,
    };
    match (parts(p), parts(q)) {
        (Some((a, b)), Some((c, d))) => vec![a.times(c).plus(b.times(d))],
        _ => Vec::new(),
    }
}
