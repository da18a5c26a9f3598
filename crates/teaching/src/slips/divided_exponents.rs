//! Divided the exponents of a quotient: `x^6/x^2` to `x^3`.

use super::rewriting::{base_and_exponent, power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Divided the exponents of a quotient: `x^6/x^2` to `x^3`.
    DividedExponents, "divided-exponents",
    student: "Write both powers out and cross out one for one: how many are left?",
    teacher: "Divided the exponents when dividing powers of one base.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let ((x, m), (y, n)) = (base_and_exponent(a), base_and_exponent(b));
    if x != y { Vec::new() } else { vec![power(x, m.over(n))] }
}
