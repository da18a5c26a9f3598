//! Took the root of each term of a sum: `sqrt(9 + 16)` to `3 + 4`.

use super::rewriting::rewriting;
use algebra::number::from_int;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the root of each term of a sum: `sqrt(9 + 16)` to `3 + 4`.
    RootOfEachTerm, "root-of-each-term",
    student: "Work out the sum under the root first, then take the root of it.",
    teacher: "Split a root over a sum.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Root { index, radicand } = &expr.kind else { return Vec::new() };
    let root =
        |e: &Expr| Expr::from(ExprKind::Root { index: *index, radicand: Box::new(e.clone()) });
    // √(x²) comes out as x, whatever its sign.
    let part = |e: &Expr| match &e.kind {
        ExprKind::Power(base, n) if n.as_plain_number() == Some(from_int(2)) => {
            base.as_ref().clone()
        }
        _ => root(e),
    };
    match &radicand.kind {
        ExprKind::Add(a, b) => vec![part(a).plus(part(b))],
        ExprKind::Subtract(a, b) => vec![part(a).minus(part(b))],
        _ => Vec::new(),
    }
}
