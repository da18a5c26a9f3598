//! Took away only the first term of a bracket: `5 - (x - 2)` to `5 - x - 2`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took away only the first term of a bracket: `5 - (x - 2)` to `5 - x - 2`.
    SignLostInBracket, "sign-lost-in-bracket",
    student: "The minus sign before the bracket belongs to every term inside it. Look at the last one again.",
    teacher: "Changed the sign of the first term of a bracket only.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let spread = |inside: &Expr, by: &dyn Fn(&Expr) -> Expr| match &inside.kind {
        ExprKind::Add(a, b) => Some((by(a), by(b))),
        ExprKind::Subtract(a, b) => Some((by(a), by(b).negative())),
        _ => None,
    };
    let plain = |e: &Expr| e.clone();
    match &expr.kind {
        ExprKind::Negative(inside) => {
            // `-2(3 - y)` is the negative of a product.
            let parts = match &inside.kind {
                ExprKind::Multiply(n, sum) => {
                    spread(sum, &|e: &Expr| n.as_ref().clone().times(e.clone()))
                }
                _ => spread(inside, &plain),
            };
            parts.map(|(a, b)| a.negative().plus(b)).into_iter().collect()
        }
        ExprKind::Subtract(first, rest) => {
            let parts = match &rest.kind {
                ExprKind::Multiply(n, inside) => {
                    spread(inside, &|e: &Expr| n.as_ref().clone().times(e.clone()))
                }
                _ => spread(rest, &plain),
            };
            parts.map(|(a, b)| first.as_ref().clone().minus(a).plus(b)).into_iter().collect()
        }
        _ => Vec::new(),
    }
}
