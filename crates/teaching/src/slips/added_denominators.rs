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
    let join = |x: &Expr, y: &Expr| {
        if is_sum { x.clone().plus(y.clone()) } else { x.clone().minus(y.clone()) }
    };
    let one = Expr::int(1);
    let (p, q, r, s) = match (&a.kind, &b.kind) {
        (ExprKind::Divide(p, q), ExprKind::Divide(r, s)) => {
            (p.as_ref(), q.as_ref(), r.as_ref(), s.as_ref())
        }
        // A whole number counts as so many ones.
        (ExprKind::Divide(p, q), _) if b.as_plain_number().is_some() => {
            return vec![join(p, b).over(q.as_ref().clone()), join(p, b).over(join(q, &one))];
        }
        (_, ExprKind::Divide(r, s)) if a.as_plain_number().is_some() => {
            return vec![join(a, r).over(s.as_ref().clone()), join(a, r).over(join(&one, s))];
        }
        _ => return Vec::new(),
    };
    vec![join(p, r).over(join(q, s)), join(p, r).over(q.clone().plus(s.clone()))]
}
