//! Worked from left to right: `2 + 3 × 4` to `20`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Worked from left to right: `2 + 3 × 4` to `20`.
    LeftToRight, "left-to-right",
    student: "Which of these belongs together first: the sum or the product?",
    teacher: "Added before multiplying.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Add(a, b) => match &b.kind {
            ExprKind::Multiply(p, q) => {
                vec![a.as_ref().clone().plus(p.as_ref().clone()).times(q.as_ref().clone())]
            }
            ExprKind::Divide(p, q) => {
                vec![a.as_ref().clone().plus(p.as_ref().clone()).over(q.as_ref().clone())]
            }
            _ => Vec::new(),
        },
        ExprKind::Subtract(a, b) => match &b.kind {
            ExprKind::Multiply(p, q) => {
                vec![a.as_ref().clone().minus(p.as_ref().clone()).times(q.as_ref().clone())]
            }
            _ => Vec::new(),
        },
        _ => Vec::new(),
    }
}
