//! Multiplied only the tops, or only one part: `1/2 × 3/4` to `3/4`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied only the tops, or only one part: `1/2 × 3/4` to `3/4`.
    MultipliedOnePart, "multiplied-one-part",
    student: "Tops multiply tops, and bottoms multiply bottoms. Which was left out?",
    teacher: "Multiplied only one part of the fractions.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let of = |e: &Expr| e.clone();
    match (&a.kind, &b.kind) {
        (ExprKind::Divide(p, q), ExprKind::Divide(r, s)) => vec![
            of(p).times(of(r)).over(of(s)),
            of(p).times(of(r)).over(of(q)),
            of(p).over(of(q).times(of(s))),
            of(r).over(of(q).times(of(s))),
        ],
        (_, ExprKind::Divide(r, s)) if a.as_plain_number().is_some() => {
            vec![of(a).times(of(r)).over(of(a).times(of(s)))]
        }
        (ExprKind::Divide(p, q), _) if b.as_plain_number().is_some() => {
            vec![of(p).times(of(b)).over(of(q).times(of(b)))]
        }
        _ => Vec::new(),
    }
}
