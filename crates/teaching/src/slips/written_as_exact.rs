//! Wrote a rounded value with an equals sign: `x = 1/3` to `x = 0.33`.

use super::rewriting::{lines, worked_out};
use algebra::number::{Rational, from_int};
use algebra::{Expr, Line};

lines! {
    /// Wrote a rounded value with an equals sign: `x = 1/3` to `x = 0.33`.
    WrittenAsExact, "written-as-exact",
    student: "Only nearly so: write ≈ for a rounded value.",
    teacher: "Wrote a rounded value as if it were exact.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let (left, value) = match line {
        Line::Expression(expr) => (None, expr),
        _ => match line.as_equation() {
            Some((left, right)) => (Some(left), right),
            None => return Vec::new(),
        },
    };
    let Some(value) = worked_out(value) else { return Vec::new() };
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
