//! Squared the minus sign too: `-3^2` to `9`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Squared the minus sign too: `-3^2` to `9`.
    SignSquaredAway, "sign-squared-away",
    student: "The power comes before the minus sign: what is squared here?",
    teacher: "Squared the sign that stands before the power.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Negative(a) = &expr.kind else { return Vec::new() };
    match &a.kind {
        ExprKind::Power(..) => vec![a.as_ref().clone()],
        _ => Vec::new(),
    }
}
