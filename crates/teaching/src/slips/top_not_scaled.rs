//! Found the common denominator and left the tops: `2/3 - 1/5` to `1/15`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};
use num_integer::Integer;

rewriting! {
    /// Found the common denominator and left the tops: `2/3 - 1/5` to `1/15`.
    TopNotScaled, "top-not-scaled",
    student: "The parts are smaller now, so each fraction has more of them. What becomes of the tops?",
    teacher: "Found the common denominator without scaling the numerators.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, is_sum) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, true),
        ExprKind::Subtract(a, b) => (a, b, false),
        _ => return Vec::new(),
    };
    let (ExprKind::Divide(p, q), ExprKind::Divide(r, s)) = (&a.kind, &b.kind) else {
        return Vec::new();
    };
    let (p, q, r, s) =
        (p.as_ref().clone(), q.as_ref().clone(), r.as_ref().clone(), s.as_ref().clone());
    let below = match (whole(&q), whole(&s)) {
        (Some(q), Some(s)) => Expr::int(q.lcm(&s)),
        _ => q.times(s),
    };
    vec![if is_sum { p.plus(r) } else { p.minus(r) }.over(below)]
}
