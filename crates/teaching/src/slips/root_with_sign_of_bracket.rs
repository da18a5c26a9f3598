//! Took the sign of the bracket for the sign of the solution: `(x + 1)(x + 4) = 0` to `x = 1 or x = 4`.

use super::only_letter;
use super::rewriting::{lines, product};
use algebra::number::Rational;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line};
use num_traits::Zero;

lines! {
    /// Took the sign of the bracket for the sign of the solution: `(x + 1)(x + 4) = 0` to `x = 1 or x = 4`.
    RootWithSignOfBracket, "root-with-sign-of-bracket",
    student: "Put your value into the bracket: is it zero?",
    teacher: "Read the solutions off the brackets with their signs, or without the number before the letter.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some(letter) = only_letter(line) else { return Vec::new() };
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    if right.as_plain_number() != Some(Rational::zero()) {
        return Vec::new();
    }
    let factors: Option<Vec<_>> =
        product(left).into_iter().map(|factor| linear_coefficients(factor, &letter)).collect();
    let Some(factors) =
        factors.filter(|all| all.len() > 1 && all.iter().all(|(a, _)| !a.is_zero()))
    else {
        return Vec::new();
    };
    let told = |of: &dyn Fn(&Rational, &Rational) -> Rational| {
        let lines = factors
            .iter()
            .map(|(a, b)| Line::equation(Expr::symbol(&letter), Expr::rational(&of(a, b))));
        Line::AnyOf(lines.collect())
    };
    vec![told(&|a, b| b / a), told(&|_, b| -b.clone()), told(&|_, b| b.clone())]
}
