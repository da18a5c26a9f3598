//! Brought both of a pair out of a root: `√18` to `9√2`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Brought both of a pair out of a root: `√18` to `9√2`.
    PairBroughtOut, "pair-brought-out",
    student: "A pair under a square root comes out as one. What is the root of the part that you brought out?",
    teacher: "Brought a square out of a root without taking its root.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Root { index: 2, radicand } = &expr.kind else { return Vec::new() };
    let Some(inside) = whole(radicand).filter(|n| (4..=10_000).contains(n)) else {
        return Vec::new();
    };
    let root = |n: i64| Expr::from(ExprKind::Root { index: 2, radicand: Box::new(Expr::int(n)) });
    (2..inside).filter(|n| inside % n == 0).map(|n| Expr::int(n).times(root(inside / n))).collect()
}
