//! Took the same number from top and bottom: `8/12` to `6/10`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the same number from top and bottom: `8/12` to `6/10`.
    SameTakenFromBoth, "same-taken-from-both",
    student: "A fraction keeps its value when both parts are divided, not when the same is taken away.",
    teacher: "Subtracted the same number from numerator and denominator.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let (Some(a), Some(b)) = (whole(a), whole(b)) else { return Vec::new() };
    (-10..=10)
        .filter(|n| *n != 0 && a - n > 0 && b - n > 0)
        .map(|n| Expr::int(a - n).over(Expr::int(b - n)))
        .collect()
}
