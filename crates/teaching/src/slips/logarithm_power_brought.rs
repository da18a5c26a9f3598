//! Brought down the power of a logarithm: `(ln x)^3` to `3 ln x`.

use super::rewriting::{call, is_logarithm, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Brought down the power of a logarithm: `(ln x)^3` to `3 ln x`.
    LogarithmPowerBrought, "logarithm-power-brought",
    student: "Is it the inside that is raised to the power, or the logarithm itself?",
    teacher: "Used the power law on a power of a logarithm.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    match call(base) {
        Some((function, ..)) if is_logarithm(function) => {
            vec![n.as_ref().clone().times(base.as_ref().clone())]
        }
        _ => Vec::new(),
    }
}
