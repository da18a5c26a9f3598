//! Worked from the right: `24 ÷ 4 ÷ 2` to `12`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Worked from the right: `24 ÷ 4 ÷ 2` to `12`.
    WorkedFromRight, "worked-from-right",
    student: "Signs of one rank go from left to right. Which two numbers come first?",
    teacher: "Worked from the right among signs of one rank.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let of = |e: &Expr| e.clone();
    // Fractions have slips of their own.
    let plain = |e: &Expr| matches!(e.kind, ExprKind::Number(_) | ExprKind::Symbol(_));
    match &expr.kind {
        ExprKind::Divide(left, c) => match &left.kind {
            ExprKind::Divide(a, b) if plain(b) && plain(c) => vec![of(a).over(of(b).over(of(c)))],
            ExprKind::Multiply(a, b) => vec![of(a).times(of(b).over(of(c)))],
            _ => Vec::new(),
        },
        ExprKind::Multiply(left, c) => match &left.kind {
            ExprKind::Divide(a, b) if plain(b) && plain(c) => vec![of(a).over(of(b).times(of(c)))],
            _ => Vec::new(),
        },
        ExprKind::Add(left, c) => match &left.kind {
            ExprKind::Subtract(a, b) => vec![of(a).minus(of(b).plus(of(c)))],
            _ => Vec::new(),
        },
        ExprKind::Subtract(left, c) => match &left.kind {
            ExprKind::Subtract(a, b) => vec![of(a).minus(of(b).minus(of(c)))],
            _ => Vec::new(),
        },
        _ => Vec::new(),
    }
}
