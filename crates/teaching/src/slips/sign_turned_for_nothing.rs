//! Turned an inequality that was divided by a positive number: `2x > -8` to `x < -4`.

use super::only_letter;
use super::rewriting::lines;
use algebra::solve::linear_coefficients;
use algebra::{Line, Relation};
use num_traits::{Signed, Zero};

lines! {
    /// Turned an inequality that was divided by a positive number: `2x > -8` to `x < -4`.
    SignTurnedForNothing, "sign-turned-for-nothing",
    student: "Only a negative factor turns the sign. Was it one?",
    teacher: "Turned an inequality without a negative factor.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some(letter) = only_letter(line) else { return Vec::new() };
    let Line::Relations { sides, relations } = line else { return Vec::new() };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return Vec::new() };
    let orders = !matches!(relation, Relation::Equal | Relation::NotEqual | Relation::Approximate);
    let sides_of = linear_coefficients(left, &letter).zip(linear_coefficients(right, &letter));
    let Some(((a, _), (c, _))) = sides_of.filter(|_| orders) else { return Vec::new() };
    let factor = a - c;
    if factor.is_zero() || factor.is_negative() {
        return Vec::new();
    }
    vec![Line::Relations { sides: sides.clone(), relations: vec![relation.turned()] }]
}
