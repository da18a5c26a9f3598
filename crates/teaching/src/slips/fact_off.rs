//! Missed a times table fact by a little: `6 × 9` to `56`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Missed a times table fact by a little: `6 × 9` to `56`.
    FactOff, "fact-off",
    student: "Nearly. Work that product out once more.",
    teacher: "Missed a times table fact.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let (Some(a), Some(b)) = (whole(a), whole(b)) else { return Vec::new() };
    if !(2..=12).contains(&a) || !(2..=12).contains(&b) {
        return Vec::new();
    }
    let right = a * b;
    [
        right - 1,
        right + 1,
        right - 2,
        right + 2,
        right - 10,
        right + 10,
        right - a,
        right + a,
        right - b,
        right + b,
    ]
    .into_iter()
    .filter(|near| *near > 0 && *near != a + b)
    .map(Expr::int)
    .collect()
}
