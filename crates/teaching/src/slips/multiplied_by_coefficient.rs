//! Multiplied by the number before the unknown: `3/4 x = 12` to `x = 9`.

use super::only_letter;
use super::rewriting::lines;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line};
use num_traits::Zero;

lines! {
    /// Multiplied by the number before the unknown: `3/4 x = 12` to `x = 9`.
    MultipliedByCoefficient, "multiplied-by-coefficient",
    student: "The unknown was multiplied by that number. What undoes it?",
    teacher: "Multiplied by the coefficient instead of dividing.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some(letter) = only_letter(line) else { return Vec::new() };
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let Some((a, b)) = linear_coefficients(left, &letter) else { return Vec::new() };
    if !b.is_zero() || a.is_zero() || !right.symbols().is_empty() {
        return Vec::new();
    }
    vec![Line::equation(Expr::symbol(&letter), right.clone().times(Expr::rational(&a)))]
}
