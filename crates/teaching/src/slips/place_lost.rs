//! Lost a place, or put one in: `1000 - 1` to `99`.

use super::rewriting::{rewriting, whole, worked_out};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Lost a place, or put one in: `1000 - 1` to `99`.
    PlaceLost, "place-lost",
    student: "Check the places: does every column have its digit?",
    teacher: "Lost or gained a place in a whole number.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let works = matches!(
        expr.kind,
        ExprKind::Add(..) | ExprKind::Subtract(..) | ExprKind::Multiply(..) | ExprKind::Divide(..)
    );
    let Some(value) = worked_out(expr).filter(|_| works) else { return Vec::new() };
    let Some(value) = whole(&Expr::rational(&value)).filter(|n| *n > 99) else { return Vec::new() };
    let digits = value.to_string();
    let mut found = Vec::new();
    for at in 0..digits.len() {
        let (before, after) = digits.split_at(at);
        let digit = &after[..1];
        // A zero lost, one of a row of equal digits lost, or a zero put in.
        let repeats = after[1..].starts_with(digit);
        if digit == "0" || repeats {
            found.push(format!("{before}{}", &after[1..]));
        }
        if at > 0 {
            found.push(format!("{before}0{after}"));
        }
    }
    found.iter().filter_map(|text| text.parse().ok().map(Expr::int)).collect()
}
