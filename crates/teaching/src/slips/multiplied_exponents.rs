//! Multiplied the exponents of a product: `x^2 · x^3` to `x^6`.

use super::rewriting::{base_and_exponent, power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied the exponents of a product: `x^2 · x^3` to `x^6`.
    MultipliedExponents, "multiplied-exponents",
    student: "Count the factors: how many are there when both powers are written out?",
    teacher: "Multiplied the exponents when multiplying powers of one base.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let ((x, m), (y, n)) = (base_and_exponent(a), base_and_exponent(b));
    if x != y { Vec::new() } else { vec![power(x, m.times(n))] }
}
