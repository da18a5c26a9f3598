//! Divided by the percent: `20% of 60` to `60/20`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Divided by the percent: `20% of 60` to `60/20`.
    DividedByPercent, "divided-by-percent",
    student: "A percent is so many hundredths. How do you find hundredths of a number?",
    teacher: "Divided by the number of percent.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    match (&a.kind, &b.kind) {
        (ExprKind::Percent(n), _) => vec![b.as_ref().clone().over(n.as_ref().clone())],
        (_, ExprKind::Percent(n)) => vec![a.as_ref().clone().over(n.as_ref().clone())],
        _ => Vec::new(),
    }
}
