//! Multiplied where a division is asked for: `120 km / 2 h` to `240 km/h`.

use super::rewriting::{quantity, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied where a division is asked for: `120 km / 2 h` to `240 km/h`.
    MultipliedInsteadOfDividing, "multiplied-instead-of-dividing",
    student: "Which is asked for: so many for each, or so many times?",
    teacher: "Multiplied instead of dividing.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    if let (Some((m, above)), Some((n, below))) = (quantity(a), quantity(b)) {
        let rate = Expr::from(ExprKind::Unit(above)).over(ExprKind::Unit(below).into());
        return vec![Expr::rational(&(m * n)).times(rate)];
    }
    let letters = |e: &Expr| matches!(e.kind, ExprKind::Symbol(_));
    if letters(a) && letters(b) {
        vec![a.as_ref().clone().times(b.as_ref().clone())]
    } else {
        Vec::new()
    }
}
