//! Subtracted one equation from the other, but not every term: `2x + 3y = 7; 2x - y = 3` to `2y = 4`.

use super::rewriting::lines;
use algebra::number::Rational;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line};
use num_traits::Zero;

lines! {
    /// Subtracted one equation from the other, but not every term: `2x + 3y = 7; 2x - y = 3` to `2y = 4`.
    EliminatedUnevenly, "eliminated-unevenly",
    student: "Take away every term of the second equation, each with its own sign.",
    teacher: "Combined two equations without combining every term.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Line::AllOf(all) = line else { return Vec::new() };
    let [first, second] = &all[..] else { return Vec::new() };
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let [x, y] = &letters[..] else { return Vec::new() };
    let (Some(a), Some(b)) = (row(first, x, y), row(second, x, y)) else { return Vec::new() };
    let mut found = Vec::new();
    // Each of the three terms added or taken away: all alike is right.
    for signs in 1..7u32 {
        let at = |n: usize| {
            if signs & (1 << n) == 0 { &a[n] - &b[n] } else { &a[n] + &b[n] }
        };
        let (p, q, r) = (at(0), at(1), at(2));
        let term = |n: &Rational, name: &str| Expr::rational(n).times(Expr::symbol(name));
        let left = match (p.is_zero(), q.is_zero()) {
            (true, true) => continue,
            (true, false) => term(&q, y),
            (false, true) => term(&p, x),
            (false, false) => term(&p, x).plus(term(&q, y)),
        };
        let combined = Line::equation(left, Expr::rational(&r));
        found.push(Line::AllOf(vec![combined.clone(), second.clone()]));
        found.push(Line::AllOf(vec![combined.clone(), first.clone()]));
        found.push(combined);
    }
    found
}

/// The coefficients of two letters, and the number on the right.
fn row(line: &Line, x: &str, y: &str) -> Option<[Rational; 3]> {
    let (left, right) = line.as_equation()?;
    let difference = left.clone().minus(right.clone());
    let none = Expr::int(0);
    let (a, c) = linear_coefficients(&difference.with(y, &none), x)?;
    let (b, _) = linear_coefficients(&difference.with(x, &none), y)?;
    Some([a, b, -c])
}
