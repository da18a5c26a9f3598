//! Added tops and bottoms: `1/2 + 1/3` to `2/5`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Added tops and bottoms: `1/2 + 1/3` to `2/5`.
    AddedDenominators, "added-denominators",
    student: "Parts of different sizes cannot be counted together. Cut both into equal parts first.",
    teacher: "Added numerators and denominators separately.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, is_sum) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, true),
        ExprKind::Subtract(a, b) => (a, b, false),
        _ => return Vec::new(),
    };
    let ((ExprKind::Divide(p, q), ExprKind::Divide(r, s)), join) =
        ((&a.kind, &b.kind), |x: &Expr, y: &Expr| {
            if is_sum { x.clone().plus(y.clone()) } else { x.clone().minus(y.clone()) }
        })
    else {
        return Vec::new();
    };
    vec![join(p, r).over(join(q, s)), join(p, r).over(q.as_ref().clone().plus(s.as_ref().clone()))]
}
