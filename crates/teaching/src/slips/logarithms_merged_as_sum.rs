//! Added the insides of two logarithms: `log 20 + log 5` to `log 25`.

use super::rewriting::{again, call, is_logarithm, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Added the insides of two logarithms: `log 20 + log 5` to `log 25`.
    LogarithmsOfSumMerged, "logarithms-merged-as-sum",
    student: "When logarithms are added, what happens to their insides?",
    teacher: "Added or subtracted the arguments of logarithms.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (a, b, is_sum) = match &expr.kind {
        ExprKind::Add(a, b) => (a, b, true),
        ExprKind::Subtract(a, b) => (a, b, false),
        _ => return Vec::new(),
    };
    match (call(a), call(b)) {
        (Some((f, p, rest)), Some((g, q, _))) if f == g && is_logarithm(f) => {
            let (p, q) = (p.clone(), q.clone());
            let inside = if is_sum { p.plus(q) } else { p.minus(q) };
            vec![again(f, &inside, rest)]
        }
        _ => Vec::new(),
    }
}
