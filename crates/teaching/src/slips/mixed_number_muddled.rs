//! Put the parts of a mixed number together wrongly: `17/5` to `5 2/3`.

use super::rewriting::{rewriting, whole};
use algebra::number::Notation;
use algebra::{Expr, ExprKind};
use num_traits::ToPrimitive;

rewriting! {
    /// Put the parts of a mixed number together wrongly: `17/5` to `5 2/3`.
    MixedNumberMuddled, "mixed-number-muddled",
    student: "Whole number times bottom, plus top. And back: how often does the bottom go in, and what is left over?",
    teacher: "Put the parts of a mixed number together wrongly.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    if let ExprKind::Number(written) = &expr.kind
        && let Notation::Mixed { whole, numerator, denominator } = written.notation()
        && let (Some(w), Some(n), Some(d)) =
            (whole.to_i64(), numerator.to_i64(), denominator.to_i64())
        && [w, n, d].iter().all(|part| *part < 10_000)
    {
        return [w * n + d, w + n, w * d * n, w * d, w * 10 + n, w * n]
            .into_iter()
            .map(|top| Expr::int(top).over(Expr::int(d)))
            .collect();
    }
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let (Some(a), Some(b)) = (whole(a), whole(b)) else { return Vec::new() };
    if b == 0 || a <= b || a % b == 0 {
        return Vec::new();
    }
    let (w, rest) = (a / b, a % b);
    [(b, rest, w), (rest, w, b), (w, b, rest), (rest, b, w), (b, w, rest)]
        .into_iter()
        .map(|(whole, top, bottom)| Expr::int(whole).plus(Expr::int(top).over(Expr::int(bottom))))
        .collect()
}
