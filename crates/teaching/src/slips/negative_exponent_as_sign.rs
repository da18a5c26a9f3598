//! Read a negative exponent as a negative number: `x^-2` to `-x^2`.

use super::rewriting::{power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Read a negative exponent as a negative number: `x^-2` to `-x^2`.
    NegativeExponentAsSign, "negative-exponent-as-sign",
    student: "A minus in the exponent says one over. It does not make the number negative.",
    teacher: "Took a negative exponent for a negative sign.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let ExprKind::Negative(size) = &n.kind else { return Vec::new() };
    vec![power(base.as_ref().clone(), size.as_ref().clone()).negative()]
}
