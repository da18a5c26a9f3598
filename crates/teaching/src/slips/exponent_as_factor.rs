//! Multiplied by the exponent: `3^2` to `6`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied by the exponent: `3^2` to `6`.
    ExponentAsFactor, "exponent-as-factor",
    student: "The small number says how often the base is written as a factor.",
    teacher: "Multiplied the base by the exponent.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    vec![base.as_ref().clone().times(n.as_ref().clone())]
}
