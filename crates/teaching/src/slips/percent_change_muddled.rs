//! Took the change for what is left, or ups and downs as if they cancelled: `200 × (1 - 0.3)` to `200 × 0.3`.

use super::rewriting::{number, rewriting};
use algebra::number::from_int;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the change for what is left, or ups and downs as if they cancelled: `200 × (1 - 0.3)` to `200 × 0.3`.
    PercentChangeMuddled, "percent-change-muddled",
    student: "What part of the first amount is there after the change? The next change is of that.",
    teacher: "Used the wrong multiplier for a percent change.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let one = |e: &Expr| number(e) == Some(from_int(1));
    let of = |e: &Expr| e.clone();
    match &expr.kind {
        ExprKind::Subtract(a, b) if one(a) => vec![of(b), Expr::int(1).plus(of(b))],
        ExprKind::Add(a, b) if one(a) => vec![of(b), Expr::int(1).minus(of(b))],
        // Up a tenth and down a tenth is not where it was.
        ExprKind::Multiply(left, last) => {
            let ExprKind::Multiply(first, middle) = &left.kind else { return Vec::new() };
            match (number(middle), number(last)) {
                (Some(up), Some(down)) if &up + &down == from_int(2) && up != down => {
                    vec![of(first)]
                }
                _ => Vec::new(),
            }
        }
        _ => Vec::new(),
    }
}
