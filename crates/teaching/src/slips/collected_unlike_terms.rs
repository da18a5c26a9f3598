//! Put together what is not alike: `3x + 2` to `5x`.

use super::rewriting::{coefficient, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Put together what is not alike: `3x + 2` to `5x`.
    CollectedUnlikeTerms, "collected-unlike-terms",
    student: "Only terms of the same kind can be put together. What does each of them count?",
    teacher: "Collected unlike terms.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, sign) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, 1),
        ExprKind::Subtract(a, b) => (a, b, -1),
        _ => return Vec::new(),
    };
    let ((m, x), (n, y)) = (coefficient(a), coefficient(b));
    let has_letters = |x: &Option<Expr>| x.as_ref().is_none_or(|x| !x.symbols().is_empty());
    if !has_letters(&x) || !has_letters(&y) {
        return Vec::new();
    }
    let sum = Expr::rational(&(m + n * algebra::number::from_int(sign)));
    match (x, y) {
        (Some(x), Some(y)) if x != y => vec![sum.times(x.times(y))],
        (Some(x), None) | (None, Some(x)) => vec![sum.times(x)],
        _ => Vec::new(),
    }
}
