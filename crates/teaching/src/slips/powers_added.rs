//! Added exponents in a sum: `x^2 + x^3` to `x^5`.

use super::rewriting::{base_and_exponent, power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Added exponents in a sum: `x^2 + x^3` to `x^5`.
    PowersAdded, "powers-added",
    student: "Exponents are added where powers are multiplied. What stands between these two?",
    teacher: "Added the exponents of a sum of powers.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, is_sum) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, true),
        ExprKind::Subtract(a, b) => (a, b, false),
        _ => return Vec::new(),
    };
    let ((p, m), (q, n)) = (base_and_exponent(a), base_and_exponent(b));
    let has_power = [a, b].iter().any(|e| matches!(e.kind, ExprKind::Power(..)));
    if p != q || !has_power {
        return Vec::new();
    }
    vec![power(p, if is_sum { m.plus(n) } else { m.minus(n) })]
}
