//! Added the exponents of a power of a power: `(x^2)^3` to `x^5`.

use super::rewriting::{power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Added the exponents of a power of a power: `(x^2)^3` to `x^5`.
    AddedExponentsOfPower, "added-exponents-of-power",
    student: "A power of a power: write the bracket out as often as the outer number says, and count.",
    teacher: "Added the exponents of a power of a power.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let ExprKind::Power(x, m) = &base.kind else { return Vec::new() };
    vec![power(x.as_ref().clone(), m.as_ref().clone().plus(n.as_ref().clone()))]
}
