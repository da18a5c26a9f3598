//! Cut a number off instead of rounding it: `x = 0.0567` to `x ≈ 0.05`.

use super::rewriting::{lines, told_value};
use algebra::number::{Rational, from_int};
use algebra::{Expr, Line, Relation};
use num_traits::Signed;

lines! {
    /// Cut a number off instead of rounding it: `x = 0.0567` to `x ≈ 0.05`.
    CutOff, "cut-off",
    student: "Look at the first digit that you leave out: is it five or more?",
    teacher: "Cut the number off instead of rounding it.",
}

/// Lines that tell a value rounded, each to other places.
fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, value)) = told_value(line).filter(|(_, value)| !value.is_negative()) else {
        return Vec::new();
    };
    (0..=6)
        .filter_map(|places: u32| {
            let scale = from_int(10i64.pow(places));
            let cut: Rational = (&value * &scale).floor() / &scale;
            let rounded: Rational = (&value * &scale).round() / &scale;
            (cut != rounded).then(|| told(left, &cut, places as usize))
        })
        .collect()
}

/// `x ≈ 0.05`, or `≈ 0.05`
fn told(left: Option<&Expr>, value: &Rational, places: usize) -> Line {
    let value =
        Expr::decimal(&algebra::number::to_decimal_text(value, u32::try_from(places).unwrap_or(0)));
    match left {
        Some(left) => Line::Relations {
            sides: vec![left.clone(), value],
            relations: vec![Relation::Approximate],
        },
        None => Line::Rounded(value),
    }
}
