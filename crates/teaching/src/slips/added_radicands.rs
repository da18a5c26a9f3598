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
    // `2√3 + 4√2`: the numbers before the roots are added as well.
    let parts = |e: &Expr| match &e.kind {
        ExprKind::Multiply(n, root) => (Some(n.as_ref().clone()), root.as_ref().clone()),
        _ => (None, e.clone()),
    };
    let ((m, a), (n, b)) = (parts(a), parts(b));
    let outside = match (m, n) {
        (Some(m), Some(n)) => Some(if is_sum { m.plus(n) } else { m.minus(n) }),
        (None, None) => None,
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
    let root = Expr::from(ExprKind::Root { index: *index, radicand: Box::new(inside) });
    vec![match outside {
        Some(outside) => outside.times(root),
        None => root,
    }]
}
