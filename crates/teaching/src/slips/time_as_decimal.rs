//! Wrote minutes as hundredths of an hour: `2 h 20 min` to `2.2 h`.

use super::rewriting::{quantity, rewriting};
use algebra::{Expr, ExprKind, Unit};
use num_traits::ToPrimitive;

rewriting! {
    /// Wrote minutes as hundredths of an hour: `2 h 20 min` to `2.2 h`.
    TimeAsDecimal, "time-as-decimal",
    student: "An hour has sixty minutes, not a hundred. What part of an hour are these?",
    teacher: "Took minutes for decimals of an hour.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let unit = |name: &str| Unit::named(name);
    let (Some(hour), Some(minute)) = (unit("h"), unit("min")) else { return Vec::new() };
    let hours = |text: String| Expr::decimal(&text).times(ExprKind::Unit(hour).into());
    if let ExprKind::Add(a, b) = &expr.kind
        && let (Some((h, first)), Some((m, second))) = (quantity(a), quantity(b))
        && (first, second) == (hour, minute)
        && let (Some(h), Some(m)) = (h.to_i64(), m.to_i64())
    {
        return vec![
            hours(format!("{h}.{m}")),
            hours(format!("{h}.{m:02}")),
            hours(format!("{h}.{}", m / 10)),
        ];
    }
    if let Some((m, found)) = quantity(expr)
        && found == minute
        && let Some(m) = m.to_i64()
    {
        return vec![
            hours(format!("{}.{:02}", m / 100, m % 100)),
            hours(format!("{}.{}", m / 60, m % 60)),
        ];
    }
    Vec::new()
}
