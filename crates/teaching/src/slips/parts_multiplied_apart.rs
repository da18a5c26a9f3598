//! Multiplied wholes with wholes and fractions with fractions: `2 1/2 × 3 1/3` to `6 1/6`.

use super::rewriting::rewriting;
use algebra::number::{Notation, Rational};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied wholes with wholes and fractions with fractions: `2 1/2 × 3 1/3` to `6 1/6`.
    PartsMultipliedApart, "parts-multiplied-apart",
    student: "The whole numbers meet the fractions too. Write both as improper fractions first.",
    teacher: "Multiplied the wholes and the fractions of mixed numbers apart.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Multiply(a, b) = &expr.kind else { return Vec::new() };
    let parts = |e: &Expr| match &e.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, .. } => {
                let whole = Rational::from_integer(whole.clone());
                Some((whole.clone(), written.value() - whole))
            }
            _ => None,
        },
        _ => None,
    };
    let (Some((m, p)), Some((n, q))) = (parts(a), parts(b)) else { return Vec::new() };
    vec![Expr::rational(&(m * n + p * q))]
}
