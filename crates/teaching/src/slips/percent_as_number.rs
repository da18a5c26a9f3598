//! Left out the hundredth: `15% of 60` to `900`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Left out the hundredth: `15% of 60` to `900`.
    PercentAsNumber, "percent-as-number",
    student: "Per cent means out of a hundred. Is the answer more or less than the whole?",
    teacher: "Used the percentage as a whole number.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Percent(a) = &expr.kind else { return Vec::new() };
    vec![a.as_ref().clone(), a.as_ref().clone().over(Expr::int(10))]
}
