//! Worked from left to right: `2 + 3 × 4` to `20`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Worked from left to right: `2 + 3 × 4` to `20`.
    LeftToRight, "left-to-right",
    student: "Powers come first, then products, then sums. What belongs together here?",
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
            ExprKind::Divide(p, q) => {
                vec![a.as_ref().clone().minus(p.as_ref().clone()).over(q.as_ref().clone())]
            }
            _ => Vec::new(),
        },
        // `2 × 3^2` as the square of a product.
        ExprKind::Multiply(a, b) => match &b.kind {
            ExprKind::Power(base, n) if a.as_plain_number().is_some() => {
                let product = a.as_ref().clone().times(base.as_ref().clone());
                vec![super::rewriting::power(product, n.as_ref().clone())]
            }
            _ => Vec::new(),
        },
        _ => Vec::new(),
    }
}
