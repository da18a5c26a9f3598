//! Wrote the digits of a fraction behind a point: `1/4` to `0.4`.

use super::rewriting::{rewriting, whole};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Wrote the digits of a fraction behind a point: `1/4` to `0.4`.
    FractionAsDigits, "fraction-as-digits",
    student: "A fraction is a division. What is the top divided by the bottom?",
    teacher: "Took the digits of a fraction for its decimal or its percent.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Divide(a, b) = &expr.kind else { return Vec::new() };
    let (Some(a), Some(b)) = (whole(a), whole(b)) else { return Vec::new() };
    if a > 99 || b > 99 {
        return Vec::new();
    }
    let percent = |n: i64| ExprKind::Percent(Box::new(Expr::int(n))).into();
    let together: i64 = format!("{a}{b}").parse().unwrap_or(0);
    vec![
        Expr::decimal(&format!("0.{b}")),
        Expr::decimal(&format!("{a}.{b}")),
        Expr::decimal(&format!("0.{a}{b}")),
        percent(together),
        percent(b),
        percent(a),
    ]
}
