//! Added what stands under two roots: `√2 + √3` to `√5`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Added what stands under two roots: `√2 + √3` to `√5`.
    AddedRadicands, "added-radicands",
    student: "Only like roots can be put together. Are these two alike?",
    teacher: "Added the radicands of two roots.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, is_sum) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, true),
        ExprKind::Subtract(a, b) => (a, b, false),
        _ => return Vec::new(),
    };
    let (ExprKind::Root { index, radicand: p }, ExprKind::Root { index: other, radicand: q }) =
        (&a.kind, &b.kind)
    else {
        return Vec::new();
    };
    if index != other {
        return Vec::new();
    }
    let (p, q) = (p.as_ref().clone(), q.as_ref().clone());
    let inside = if is_sum { p.plus(q) } else { p.minus(q) };
    vec![ExprKind::Root { index: *index, radicand: Box::new(inside) }.into()]
}
