//! Multiplied the bases and added the exponents: `2^3 × 2^4` to `4^7`.

use super::rewriting::{power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied the bases and added the exponents: `2^3 × 2^4` to `4^7`.
    BasesMultiplied, "bases-multiplied",
    student: "The base stays what it is. How often is it a factor in all?",
    teacher: "Multiplied the bases while adding the exponents.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (ExprKind::Multiply(a, b) | ExprKind::Divide(a, b)) = &expr.kind else { return Vec::new() };
    let (ExprKind::Power(p, m), ExprKind::Power(q, n)) = (&a.kind, &b.kind) else {
        return Vec::new();
    };
    let of = |e: &Expr| e.clone();
    match expr.kind {
        ExprKind::Multiply(..) => vec![
            power(of(p).times(of(q)), of(m).plus(of(n))),
            power(of(p).times(of(q)), of(m).times(of(n))),
        ],
        _ => vec![power(of(p).over(of(q)), of(m).minus(of(n)))],
    }
}
