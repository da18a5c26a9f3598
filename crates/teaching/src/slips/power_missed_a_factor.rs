//! Raised only the last factor: `(2x)^3` to `2x^3`.

use super::rewriting::{power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Raised only the last factor: `(2x)^3` to `2x^3`.
    PowerMissedAFactor, "power-missed-a-factor",
    student: "The power belongs to everything in the bracket, the number too.",
    teacher: "Raised only one factor of a product to the power.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let ExprKind::Multiply(a, b) = &base.kind else { return Vec::new() };
    let raised = power(b.as_ref().clone(), n.as_ref().clone());
    vec![
        a.as_ref().clone().times(raised.clone()),
        // `(5x)^2` to `10x^2`: the number times the exponent.
        a.as_ref().clone().times(n.as_ref().clone()).times(raised),
    ]
}
