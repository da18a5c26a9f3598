//! Raised each term of a sum to the power: `(x + 3)^2` to `x^2 + 9`.

use super::rewriting::{power, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Raised each term of a sum to the power: `(x + 3)^2` to `x^2 + 9`.
    SquaredEachTerm, "squared-each-term",
    student: "Write the bracket out twice and multiply: there is more than two squares.",
    teacher: "Raised each term of a sum to the power separately.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let raised = |e: &Expr| power(e.clone(), n.as_ref().clone());
    match &base.kind {
        ExprKind::Add(a, b) => vec![raised(a).plus(raised(b))],
        ExprKind::Subtract(a, b) => vec![raised(a).minus(raised(b)), raised(a).plus(raised(b))],
        _ => Vec::new(),
    }
}
