//! Turned the wrong fraction over: `1/2 ÷ 3/4` to `2 × 3/4`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Turned the wrong fraction over: `1/2 ÷ 3/4` to `2 × 3/4`.
    InvertedWrongFraction, "inverted-wrong-fraction",
    student: "Which of the two fractions is turned over when you divide?",
    teacher: "Inverted the dividend instead of the divisor, or multiplied without inverting.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let ExprKind::Divide(p, q) = &b.kind else { return Vec::new() };
    let times = |x: &Expr| x.clone().times(p.as_ref().clone().over(q.as_ref().clone()));
    let mut found = vec![times(a)];
    if let ExprKind::Divide(r, s) = &a.kind {
        found.push(times(&s.as_ref().clone().over(r.as_ref().clone())));
    }
    found
}
