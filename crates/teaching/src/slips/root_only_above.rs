//! Multiplied only the top by the root: `5/√2` to `5√2`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied only the top by the root: `5/√2` to `5√2`.
    RootOnlyAbove, "root-only-above",
    student: "To get the root out of the bottom, multiply the top and the bottom by it.",
    teacher: "Multiplied only one part of a fraction by the root.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let ExprKind::Root { radicand, .. } = &b.kind else { return Vec::new() };
    let of = |e: &Expr| e.clone();
    vec![of(a).times(of(b)), of(a).over(of(radicand))]
}
