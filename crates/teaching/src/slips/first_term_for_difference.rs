//! Swapped the first term and the difference: `5 + 2(n - 1)` to `5n + 2`.

use super::rewriting::rewriting;
use algebra::number::from_int;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Swapped the first term and the difference: `5 + 2(n - 1)` to `5n + 2`.
    FirstTermForDifference, "first-term-for-difference",
    student: "Which number is added again and again? That one goes with n.",
    teacher: "Swapped the first term and the difference of a sequence.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Add(first, product) = &expr.kind else { return Vec::new() };
    let ExprKind::Multiply(difference, steps) = &product.kind else { return Vec::new() };
    let ExprKind::Subtract(n, one) = &steps.kind else { return Vec::new() };
    let plain = first.as_plain_number().is_some() && difference.as_plain_number().is_some();
    if !plain || one.as_plain_number() != Some(from_int(1)) || n.symbols().len() != 1 {
        return Vec::new();
    }
    let of = |e: &Expr| e.clone();
    vec![
        of(first).times(of(n)).plus(of(difference)),
        of(difference).times(of(n)).plus(of(first)),
        of(difference).plus(of(first).times(of(n).minus(Expr::int(1)))),
    ]
}
