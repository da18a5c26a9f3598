//! Made minus times minus a minus: `(-2)(-3)` to `-6`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Made minus times minus a minus: `(-2)(-3)` to `-6`.
    MinusTimesMinus, "minus-times-minus",
    student: "What happens to the sign when two negative numbers are multiplied?",
    teacher: "Got the sign of a product of negatives wrong.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (ExprKind::Multiply(a, b) | ExprKind::Divide(a, b)) = &expr.kind else {
        return Vec::new();
    };
    let signed = |e: &Expr| matches!(e.kind, ExprKind::Negative(_));
    if signed(a) || signed(b) { vec![expr.clone().negative()] } else { Vec::new() }
}
