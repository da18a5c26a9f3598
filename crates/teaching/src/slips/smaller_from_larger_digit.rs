//! Took the smaller digit from the larger in each column: `71 - 45` to `34`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the smaller digit from the larger in each column: `71 - 45` to `34`.
    SmallerFromLargerDigit, "smaller-from-larger-digit",
    student: "Look at the ones: can you take that many away, or do you have to exchange a ten?",
    teacher: "Subtracted the smaller digit from the larger in a column.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Subtract(a, b) = &expr.kind else { return Vec::new() };
    let (Some(mut a), Some(mut b)) = (whole(a), whole(b)) else { return Vec::new() };
    if a < 10 || a < b {
        return Vec::new();
    }
    let (mut found, mut place) = (0, 1);
    while a > 0 || b > 0 {
        found += (a % 10 - b % 10).abs() * place;
        (a, b, place) = (a / 10, b / 10, place * 10);
    }
    vec![Expr::int(found)]
}
