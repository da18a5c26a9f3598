//! Multiplied only the tops, or only one part: `1/2 × 3/4` to `3/4`.

use super::rewriting::{product_of_fractions, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied only the tops, or only one part: `1/2 × 3/4` to `3/4`.
    MultipliedOnePart, "multiplied-one-part",
    student: "Tops multiply tops, and bottoms multiply bottoms. Which was left out?",
    teacher: "Multiplied only one part of the fractions.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    if let Some([p, q, r, s]) = product_of_fractions(expr) {
        return vec![
            p.clone().times(r.clone()).over(s.clone()),
            p.clone().times(r.clone()).over(q.clone()),
            p.over(q.clone().times(s.clone())),
            r.over(q.times(s)),
        ];
    }
    // A whole number times top and bottom: `3 × 2/7` is read as `(3 × 2)/7`.
    let ExprKind::Divide(above, below) = &expr.kind else { return Vec::new() };
    let ExprKind::Multiply(n, top) = &above.kind else { return Vec::new() };
    if n.as_plain_number().is_none_or(|n| !n.is_integer()) {
        return Vec::new();
    }
    let of = |e: &Expr| e.clone();
    vec![of(n).times(of(top)).over(of(n).times(of(below)))]
}
