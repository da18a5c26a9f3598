//! Divided top and bottom by different numbers: `24/36` to `4/9`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Divided top and bottom by different numbers: `24/36` to `4/9`.
    ReducedUnevenly, "reduced-unevenly",
    student: "Top and bottom have to be divided by the same number. Were they?",
    teacher: "Divided the numerator and the denominator by different numbers.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let (Some(a), Some(b)) = (whole(a), whole(b)) else { return Vec::new() };
    let by = |n: i64| (1..=12).filter(move |d| n % d == 0 && n / d > 1);
    let mut found = Vec::new();
    for p in by(a) {
        found.extend(by(b).filter(|q| *q != p).map(|q| Expr::int(a / p).over(Expr::int(b / q))));
    }
    found
}
