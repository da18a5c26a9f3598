//! Took away a negative as if it were positive: `5 - (-2)` to `3`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took away a negative as if it were positive: `5 - (-2)` to `3`.
    TookAwayANegative, "took-away-a-negative",
    student: "Taking away a debt: does that leave you with more or with less?",
    teacher: "Subtracted the size of a negative number.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Subtract(a, b) => match &b.kind {
            ExprKind::Negative(size) => vec![a.as_ref().clone().minus(size.as_ref().clone())],
            _ => Vec::new(),
        },
        ExprKind::Add(a, b) => match &b.kind {
            ExprKind::Negative(size) => vec![a.as_ref().clone().plus(size.as_ref().clone())],
            _ => Vec::new(),
        },
        _ => Vec::new(),
    }
}
