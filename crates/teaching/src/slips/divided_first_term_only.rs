//! Divided only one term of the top: `(6x + 9)/3` to `2x + 9`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Divided only one term of the top: `(6x + 9)/3` to `2x + 9`.
    DividedFirstTermOnly, "divided-first-term-only",
    student: "The fraction bar divides the whole top. Which term was left as it was?",
    teacher: "Divided only one term of a numerator.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(above, below) = &expr.kind else { return Vec::new() };
    let part = |e: &Expr| e.clone().over(below.as_ref().clone());
    match &above.kind {
        ExprKind::Add(a, b) => {
            vec![part(a).plus(b.as_ref().clone()), a.as_ref().clone().plus(part(b))]
        }
        ExprKind::Subtract(a, b) => {
            vec![part(a).minus(b.as_ref().clone()), a.as_ref().clone().minus(part(b))]
        }
        _ => Vec::new(),
    }
}
