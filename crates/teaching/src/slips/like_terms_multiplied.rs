//! Multiplied the letters of a sum: `2x + 3x` to `5x^2`.

use super::rewriting::{coefficient, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied the letters of a sum: `2x + 3x` to `5x^2`.
    LikeTermsMultiplied, "like-terms-multiplied",
    student: "Two of something and three of it: what do you have five of?",
    teacher: "Multiplied the letters when adding like terms.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Add(a, b) = &expr.kind else { return Vec::new() };
    match (coefficient(a), coefficient(b)) {
        ((m, Some(x)), (n, Some(y))) if x == y => {
            vec![Expr::rational(&(m + n)).times(x.times(y))]
        }
        _ => Vec::new(),
    }
}
