//! Split a function over a sum: `sin(a + b)` to `sin a + sin b`.

use super::rewriting::{again, call, is_circular, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Split a function over a sum: `sin(a + b)` to `sin a + sin b`.
    FunctionOfEachTerm, "function-of-each-term",
    student: "Try it with two angles you know: do both sides agree?",
    teacher: "Split a circular function over a sum.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (function, argument, rest) = match call(expr) {
        Some(parts) if is_circular(parts.0) => parts,
        _ => return Vec::new(),
    };
    let of = |e: &Expr| again(function, e, rest);
    match &argument.kind {
        ExprKind::Add(a, b) => vec![of(a).plus(of(b))],
        ExprKind::Subtract(a, b) => vec![of(a).minus(of(b))],
        _ => Vec::new(),
    }
}
