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
    // `log 20/log 5` to `log 4`.
    if let ExprKind::Divide(a, b) | ExprKind::Multiply(a, b) = &expr.kind
        && let (Some((f, p, rest)), Some((g, q, _))) = (call(a), call(b))
        && f == g
        && is_logarithm(f)
    {
        let inside = match expr.kind {
            ExprKind::Divide(..) => p.clone().over(q.clone()),
            _ => p.clone().times(q.clone()),
        };
        return vec![again(f, &inside, rest)];
    }
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
