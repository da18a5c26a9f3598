//! Read a power of zero as zero: `x^0` to `0`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Read a power of zero as zero: `x^0` to `0`.
    ZeroExponentAsZero, "zero-exponent-as-zero",
    student: "Go down step by step from the square: what is each power divided by to get the next?",
    teacher: "Took a zero exponent to give zero.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let is_zero = n.as_plain_number() == Some(algebra::number::from_int(0));
    if is_zero { vec![Expr::int(0), base.as_ref().clone()] } else { Vec::new() }
}
