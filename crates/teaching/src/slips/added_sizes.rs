//! Added the sizes of numbers with different signs: `-7 + 4` to `-11`.

use super::rewriting::{number, rewriting};
use algebra::{Expr, ExprKind};
use num_traits::Signed;

rewriting! {
    /// Added the sizes of numbers with different signs: `-7 + 4` to `-11`.
    AddedSizes, "added-sizes",
    student: "One goes up and the other down. Where do you end on the number line?",
    teacher: "Added the sizes of numbers with different signs.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (first, second) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b.as_ref().clone()),
        ExprKind::Subtract(a, b) => (a, b.as_ref().clone().negative()),
        _ => return Vec::new(),
    };
    let (Some(a), Some(b)) = (number(first), number(&second)) else { return Vec::new() };
    let together = Expr::rational(&(a.abs() + b.abs()));
    if a.is_negative() == b.is_negative() {
        return Vec::new();
    }
    vec![together.clone().negative(), together]
}
