//! Forgot what is carried: `47 + 38` to `75`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Forgot what is carried: `47 + 38` to `75`.
    CarryForgotten, "carry-forgotten",
    student: "Add the ones again: what is carried to the next column?",
    teacher: "Did not carry in a column addition.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Add(a, b) = &expr.kind else { return Vec::new() };
    let (Some(mut a), Some(mut b)) = (whole(a), whole(b)) else { return Vec::new() };
    if a < 10 && b < 10 {
        return Vec::new();
    }
    // The columns without any carry, and each sum with only its last carry left out.
    let (mut found, mut place, mut right) = (0, 1, a + b);
    let mut all = Vec::new();
    while a > 0 || b > 0 {
        let column = a % 10 + b % 10;
        found += (column % 10) * place;
        if column > 9 {
            right -= place * 10;
            all.push(Expr::int(right));
            right += place * 10;
        }
        (a, b, place) = (a / 10, b / 10, place * 10);
    }
    all.push(Expr::int(found));
    all
}
