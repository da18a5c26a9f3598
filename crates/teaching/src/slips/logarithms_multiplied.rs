//! Multiplied or divided the logarithms: `ln(x/y)` to `ln x/ln y`.

use super::rewriting::{again, call, is_logarithm, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied or divided the logarithms: `ln(x/y)` to `ln x/ln y`.
    LogarithmsMultiplied, "logarithms-multiplied",
    student: "A product inside becomes a sum outside. What does a quotient become?",
    teacher: "Kept the operation when splitting a logarithm.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (function, argument, rest) = match call(expr) {
        Some(parts) if is_logarithm(parts.0) => parts,
        _ => return Vec::new(),
    };
    let of = |e: &Expr| again(function, e, rest);
    match &argument.kind {
        ExprKind::Multiply(a, b) => vec![of(a).times(of(b)), a.as_ref().clone().times(of(b))],
        ExprKind::Divide(a, b) => vec![of(a).over(of(b))],
        _ => Vec::new(),
    }
}
