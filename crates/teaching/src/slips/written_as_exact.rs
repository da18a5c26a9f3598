//! Wrote a rounded value with an equals sign: `x = 1/3` to `x = 0.33`.

use super::rewriting::{lines, told_value};
use algebra::number::{Rational, from_int};
use algebra::{Expr, Line};

lines! {
    /// Wrote a rounded value with an equals sign: `x = 1/3` to `x = 0.33`.
    WrittenAsExact, "written-as-exact",
    student: "Only nearly so: write ≈ for a rounded value.",
    teacher: "Wrote a rounded value as if it were exact.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, value)) = told_value(line) else { return Vec::new() };
    (0..=4)
        .map(|places: u32| {
            let scale = from_int(10i64.pow(places));
            (&value * &scale).round() / scale
        })
        .filter(|near: &Rational| *near != value)
        .map(|near| match left {
            Some(left) => Line::equation(left.clone(), Expr::rational(&near)),
            None => Line::Expression(Expr::rational(&near)),
        })
        .collect()
}
