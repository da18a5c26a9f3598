//! Lost a sign in the quadratic formula: `x^2 + 2x - 8 = 0` to `x = (-2 ± √(4 - 32))/2`.

use super::only_letter;
use super::rewriting::lines;
use algebra::number::{Rational, from_int};
use algebra::solve::linear_coefficients;
use algebra::{Expr, ExprKind, Line};
use num_traits::Zero;

lines! {
    /// Lost a sign in the quadratic formula: `x^2 + 2x - 8 = 0` to `x = (-2 ± √(4 - 32))/2`.
    SignLostInFormula, "sign-lost-in-formula",
    student: "Put each number into the formula in brackets, with its sign. All of it stands over the bar.",
    teacher: "Lost a sign, or the long fraction bar, in the quadratic formula.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some(letter) = only_letter(line) else { return Vec::new() };
    let Some((a, b, c)) = coefficients(line, &letter) else { return Vec::new() };
    let x = || Expr::symbol(&letter);
    let number = |n: &Rational| Expr::rational(n);
    let (right, wrong) = (&b * &b - from_int(4) * &a * &c, &b * &b + from_int(4) * &a * &c);
    let told = |start: &Rational, under: &Rational, bar: bool| {
        let root = Expr::from(ExprKind::Root { index: 2, radicand: Box::new(number(under)) });
        let side = |root: Expr| {
            let below = number(&(from_int(2) * &a));
            if bar {
                number(start).plus(root).over(below)
            } else {
                number(start).plus(root.over(below))
            }
        };
        Line::AnyOf(vec![
            Line::equation(x(), side(root.clone())),
            Line::equation(x(), side(root.negative())),
        ])
    };
    let minus = -b.clone();
    vec![
        told(&minus, &wrong, true),
        told(&b, &right, true),
        told(&minus, &right, false),
        told(&b, &wrong, true),
    ]
}

/// a, b and c of `ax² + bx + c = 0`.
fn coefficients(line: &Line, letter: &str) -> Option<(Rational, Rational, Rational)> {
    let (left, right) = line.as_equation()?;
    let all = left.clone().minus(right.clone());
    if linear_coefficients(&all, letter).is_some() {
        return None;
    }
    let at = |n: i64| super::rewriting::worked_out(&all.with(letter, &Expr::int(n)));
    let (zero, one, two, three) = (at(0)?, at(1)?, at(2)?, at(3)?);
    let a = (&two - from_int(2) * &one + &zero) / from_int(2);
    let b = &one - &zero - &a;
    let fits = from_int(9) * &a + from_int(3) * &b + &zero == three;
    (fits && !a.is_zero()).then_some((a, b, zero))
}
