//! Multiplied where the unknown stands below: `sin 40° = 6/x` to `x = 6 sin 40°`.

use super::rewriting::lines;
use algebra::{Expr, ExprKind, Line};

lines! {
    /// Multiplied where the unknown stands below: `sin 40° = 6/x` to `x = 6 sin 40°`.
    MultipliedByUnknownBelow, "unknown-below-multiplied",
    student: "The unknown stands below. Multiply both sides by it first.",
    teacher: "Treated an unknown below as if it stood above.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let of = |value: &Expr, quotient: &Expr| -> Option<Line> {
        let ExprKind::Divide(above, below) = &quotient.kind else { return None };
        let is_letter = matches!(below.kind, ExprKind::Symbol(_));
        let plain = value.symbols().is_empty() && above.symbols().is_empty();
        (is_letter && plain).then(|| {
            Line::equation(below.as_ref().clone(), above.as_ref().clone().times(value.clone()))
        })
    };
    of(left, right).into_iter().chain(of(right, left)).collect()
}
