//! Got the sign of the middle term wrong: `(x + 3)(x - 5)` to `x^2 + 2x - 15`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Got the sign of the middle term wrong: `(x + 3)(x - 5)` to `x^2 + 2x - 15`.
    MiddleSignTurned, "middle-sign-turned",
    student: "Add the outer and the inner product once more, with their signs.",
    teacher: "Got the sign of the middle term of two brackets wrong.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(left, right) = &expr.kind else { return Vec::new() };
    let parts = |e: &Expr| match &e.kind {
        ExprKind::Add(a, b) => Some((a.as_ref().clone(), b.as_ref().clone())),
        ExprKind::Subtract(a, b) => Some((a.as_ref().clone(), b.as_ref().clone().negative())),
        _ => None,
    };
    let (Some((a, b)), Some((c, d))) = (parts(left), parts(right)) else { return Vec::new() };
    let of = |x: &Expr, y: &Expr| x.clone().times(y.clone());
    vec![of(&a, &c).minus(of(&a, &d)).minus(of(&b, &c)).plus(of(&b, &d))]
}
