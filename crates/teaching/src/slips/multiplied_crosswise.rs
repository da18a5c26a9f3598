//! Multiplied crosswise in a product: `2/3 × 4/5` to `10/12`.

use super::rewriting::{product_of_fractions, rewriting};
use algebra::Expr;

rewriting! {
    /// Multiplied crosswise in a product: `2/3 × 4/5` to `10/12`.
    MultipliedCrosswise, "multiplied-crosswise",
    student: "Crosswise is for comparing two fractions. How do tops and bottoms go together in a product?",
    teacher: "Multiplied crosswise in a product of fractions.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let Some([p, q, r, s]) = product_of_fractions(expr) else { return Vec::new() };
    vec![p.times(s).over(q.times(r))]
}
