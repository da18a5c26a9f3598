//! Took the logarithm of each term: `ln(x + y)` to `ln x + ln y`.

use super::rewriting::{again, call, is_logarithm, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the logarithm of each term: `ln(x + y)` to `ln x + ln y`.
    LogarithmOfEachTerm, "logarithm-of-each-term",
    student: "The law is about products. Is this a product or a sum?",
    teacher: "Split a logarithm over a sum.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (function, argument, rest) = match call(expr) {
        Some(parts) if is_logarithm(parts.0) => parts,
        _ => return Vec::new(),
    };
    let of = |e: &Expr| again(function, e, rest);
    match &argument.kind {
        ExprKind::Add(a, b) => vec![of(a).plus(of(b))],
        ExprKind::Subtract(a, b) => vec![of(a).minus(of(b))],
        _ => Vec::new(),
    }
}
