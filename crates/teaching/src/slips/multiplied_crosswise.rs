//! Multiplied crosswise in a product: `2/3 × 4/5` to `10/12`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied crosswise in a product: `2/3 × 4/5` to `10/12`.
    MultipliedCrosswise, "multiplied-crosswise",
    student: "Crosswise is for comparing two fractions. How do tops and bottoms go together in a product?",
    teacher: "Multiplied crosswise in a product of fractions.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let (ExprKind::Divide(p, q), ExprKind::Divide(r, s)) = (&a.kind, &b.kind) else {
        return Vec::new();
    };
    let of = |e: &Expr| e.clone();
    vec![of(p).times(of(s)).over(of(q).times(of(r)))]
}
