//! Crossed out a term instead of a factor: `(x + 5)/5` to `x`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Crossed out a term instead of a factor: `(x + 5)/5` to `x`.
    CancelledATerm, "cancelled-a-term",
    student: "Only what multiplies the whole top can be crossed out. Does it here?",
    teacher: "Cancelled a term of a sum against the denominator.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(above, below) = &expr.kind else { return Vec::new() };
    let (ExprKind::Add(a, b) | ExprKind::Subtract(a, b)) = &above.kind else { return Vec::new() };
    let mut found = Vec::new();
    if b == below {
        found.push(a.as_ref().clone());
        found.push(a.as_ref().clone().plus(Expr::int(1)));
    }
    if a == below {
        found.push(b.as_ref().clone());
        found.push(b.as_ref().clone().plus(Expr::int(1)));
    }
    found
}
