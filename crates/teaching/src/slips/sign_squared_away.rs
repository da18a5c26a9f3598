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
    // `4 - 3^2` with the sign squared away.
    if let ExprKind::Subtract(a, b) = &expr.kind
        && let ExprKind::Power(base, _) = &b.kind
        && base.as_plain_number().is_some()
    {
        return vec![a.as_ref().clone().plus(b.as_ref().clone())];
    }
    let ExprKind::Negative(a) = &expr.kind else { return Vec::new() };
    match &a.kind {
        ExprKind::Power(..) => vec![a.as_ref().clone()],
        _ => Vec::new(),
    }
}
