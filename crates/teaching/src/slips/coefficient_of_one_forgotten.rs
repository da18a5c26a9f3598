//! Took `x` away and left the number: `5x - x` to `5`.

use super::rewriting::{coefficient, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took `x` away and left the number: `5x - x` to `5`.
    CoefficientOfOneForgotten, "coefficient-of-one-forgotten",
    student: "A letter by itself stands for one of it. How many are left?",
    teacher: "Dropped the letter when subtracting a single one.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Subtract(a, b) = &expr.kind else { return Vec::new() };
    match (coefficient(a), coefficient(b)) {
        ((m, Some(x)), (_, Some(y))) if x == y => vec![Expr::rational(&m)],
        _ => Vec::new(),
    }
}
