//! Factorised a difference of squares as a square: `x^2 - 9` to `(x - 3)^2`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Factorised a difference of squares as a square: `x^2 - 9` to `(x - 3)^2`.
    DifferenceAsSquare, "difference-as-square",
    student: "Multiply the brackets out again: do the middle terms go away?",
    teacher: "Took a difference of squares for the square of a difference.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Subtract(a, b) = &expr.kind else { return Vec::new() };
    let root = |e: &Expr| match &e.kind {
        ExprKind::Power(x, n) if n.as_plain_number() == Some(algebra::number::from_int(2)) => {
            Some(x.as_ref().clone())
        }
        _ => e
            .as_plain_number()
            .and_then(|value| algebra::number::exact_root(&value, 2))
            .map(|value| Expr::rational(&value)),
    };
    match (root(a), root(b)) {
        (Some(x), Some(y)) => vec![x.minus(y).to_the(2)],
        _ => Vec::new(),
    }
}
