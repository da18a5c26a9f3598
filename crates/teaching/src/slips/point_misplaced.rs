//! Put the decimal point in the wrong place: `0.3 × 0.2` to `0.6`.

use super::rewriting::{has_decimal, rewriting};
use algebra::number::from_int;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Put the decimal point in the wrong place: `0.3 × 0.2` to `0.6`.
    PointMisplaced, "point-misplaced",
    student: "The digits are right. About how large must it be? That says where the point goes.",
    teacher: "Put the decimal point in the wrong place.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (ExprKind::Multiply(a, b) | ExprKind::Divide(a, b)) = &expr.kind else { return Vec::new() };
    let numbers = expr.symbols().is_empty() && (has_decimal(a) || has_decimal(b));
    if !numbers
        || expr.any(&mut |part| matches!(part.kind, ExprKind::Unit(_) | ExprKind::Percent(_)))
    {
        return Vec::new();
    }
    [1, 2, 3, -1, -2, -3]
        .into_iter()
        .map(|places: i32| {
            let power = Expr::rational(&from_int(10i64.pow(places.unsigned_abs())));
            if places > 0 { expr.clone().times(power) } else { expr.clone().over(power) }
        })
        .collect()
}
