//! Added the squares where a leg is asked for: `x^2 + 5^2 = 13^2` to `x^2 = 13^2 + 5^2`.

use super::rewriting::lines;
use algebra::number::from_int;
use algebra::{Expr, ExprKind, Line};

lines! {
    /// Added the squares where a leg is asked for: `x^2 + 5^2 = 13^2` to `x^2 = 13^2 + 5^2`.
    AddedForALeg, "added-for-a-leg",
    student: "Is the longest side asked for, or one of the other two?",
    teacher: "Added the squares to find a leg, or subtracted them to find the longest side.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let is_square = |e: &Expr| {
        matches!(&e.kind, ExprKind::Power(_, n) if n.as_plain_number() == Some(from_int(2)))
            || e.as_plain_number().is_some()
    };
    let of = |e: &Expr| e.clone();
    match (&left.kind, &right.kind) {
        (ExprKind::Add(a, b), _) if [a.as_ref(), b, right].into_iter().all(is_square) => {
            vec![
                Line::equation(of(a), of(right).plus(of(b))),
                Line::equation(of(b), of(right).plus(of(a))),
            ]
        }
        (_, ExprKind::Subtract(a, b)) if [a.as_ref(), b, left].into_iter().all(is_square) => {
            vec![Line::equation(of(left), of(a).plus(of(b)))]
        }
        (_, ExprKind::Add(a, b)) if [a.as_ref(), b, left].into_iter().all(is_square) => {
            vec![
                Line::equation(of(left), of(a).minus(of(b))),
                Line::equation(of(left), of(b).minus(of(a))),
            ]
        }
        _ => Vec::new(),
    }
}
