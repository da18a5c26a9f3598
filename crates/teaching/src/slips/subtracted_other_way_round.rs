//! Took the first from the second: `7 - 12` to `5`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the first from the second: `7 - 12` to `5`.
    SubtractedOtherWayRound, "subtracted-other-way-round",
    student: "Which number is taken away from which?",
    teacher: "Subtracted in the other order.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Subtract(a, b) = &expr.kind else { return Vec::new() };
    vec![b.as_ref().clone().minus(a.as_ref().clone())]
}
