//! Made minus times minus a minus: `(-2)(-3)` to `-6`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Made minus times minus a minus: `(-2)(-3)` to `-6`.
    MinusTimesMinus, "minus-times-minus",
    student: "Look at the two signs: alike, or different? What does that make the product?",
    teacher: "Got the sign of a product of negatives wrong.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    // `-4 × 6` is read as the negative of a product.
    if let ExprKind::Negative(inside) = &expr.kind
        && let ExprKind::Multiply(a, b) | ExprKind::Divide(a, b) = &inside.kind
        && a.as_plain_number().is_some()
        && b.as_plain_number().is_some()
    {
        return vec![inside.as_ref().clone()];
    }
    let (ExprKind::Multiply(a, b) | ExprKind::Divide(a, b)) = &expr.kind else {
        return Vec::new();
    };
    let signed = |e: &Expr| matches!(e.kind, ExprKind::Negative(_));
    if signed(a) || signed(b) { vec![expr.clone().negative()] } else { Vec::new() }
}
