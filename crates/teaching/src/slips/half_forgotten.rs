//! Forgot the half: `1/2 × 6 × 4` to `24`.

use super::rewriting::{number, rewriting};
use algebra::number::Rational;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Forgot the half: `1/2 × 6 × 4` to `24`.
    HalfForgotten, "half-forgotten",
    student: "A triangle is half of its rectangle. Where is the half?",
    teacher: "Forgot the half.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let half = |e: &Expr| number(e) == Some(Rational::new(1.into(), 2.into()));
    let of = |e: &Expr| e.clone();
    // Half of a fraction is no area.
    if matches!(b.kind, ExprKind::Divide(..)) || number(a).is_some() && number(b).is_some() {
        return Vec::new();
    }
    if half(a) {
        return vec![of(b)];
    }
    if half(b) {
        return vec![of(a)];
    }
    match &a.kind {
        ExprKind::Multiply(first, second) if half(first) => vec![of(second).times(of(b))],
        _ => Vec::new(),
    }
}
