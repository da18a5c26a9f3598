//! Powers of negative numbers whose exponents are whole: even and odd values of the letter are looked at apart, since
//! `(-2)^(2m) = 4^m` and `(-2)^(2m + 1) = -2 · 4^m` have positive bases.

use super::sign_chart::Differences;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::Quotient;
use crate::number::{Rational, from_int};
use crate::solve::Solution;
use num_traits::{Signed, ToPrimitive, Zero};

/// A line for the even values of a letter and for its odd ones, as a line in half of it; `None` where no negative
/// number has an exponent with the letter.
pub(super) fn apart(line: &Line, letter: &str) -> Option<[Line; 2]> {
    let has_one = |expr: &&Expr| expr.any(&mut |part| negative_power(part, letter).is_some());
    if !line.expressions().iter().any(has_one) {
        return None;
    }
    Some([half(line, letter, 0), half(line, letter, 1)])
}

/// A line for the values `2·letter + rest`, in half of the letter.
pub(super) fn half(line: &Line, letter: &str, rest: usize) -> Line {
    line.map(&mut |expr| halved(expr, letter, i64::from(rest > 0)))
}

/// The base, and the factor and the summand of the exponent: `(-2)^(3n + 1)` has 3 and 1.
fn negative_power(part: &Expr, letter: &str) -> Option<(Rational, i64, i64)> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let base = base.as_plain_number().filter(Signed::is_negative)?;
    let at = |n: i64| {
        let put = exponent.with(letter, &Expr::int(n));
        let value = crate::step::exact_value(&put)?;
        value.is_integer().then(|| value.to_integer().to_i64())?
    };
    let (zero, one, two) = (at(0)?, at(1)?, at(2)?);
    let factor = one.checked_sub(zero)?;
    let is_linear = two.checked_sub(one) == Some(factor) && factor != 0;
    (is_linear && factor.abs() < 100 && zero.abs() < 100).then_some((base, factor, zero))
}

/// The expression with `2·letter + rest` put for the letter, powers of negative numbers by powers of their squares.
fn halved(expr: &Expr, letter: &str, rest: i64) -> Expr {
    if let Some((base, factor, summand)) = negative_power(expr, letter) {
        let exponent = Expr::int(factor).times(Expr::symbol(letter));
        let square = Expr::rational(&(&base * &base));
        let power = Expr::from(ExprKind::Power(Box::new(square), Box::new(exponent)));
        let constant = factor * rest + summand;
        let outside = Expr::from(ExprKind::Power(
            Box::new(Expr::rational(&base)),
            Box::new(Expr::int(constant)),
        ));
        return outside.times(power);
    }
    if let ExprKind::Symbol(name) = &expr.kind
        && name == letter
    {
        return Expr::int(2).times(Expr::symbol(letter)).plus(Expr::int(rest));
    }
    expr.with_parts(&mut |part| halved(part, letter, rest))
}

/// A whole value of the letter, for a half of it.
fn doubled(one: &Solution, rest: i64) -> Option<Solution> {
    let half = one.as_rational().filter(Rational::is_integer)?;
    Solution::of(&Quotient::constant(half * from_int(2) + from_int(rest)))
}

/// The whole values that solutions for half the letter stand for.
pub(super) fn whole_values(all: &[Solution], rest: i64) -> Vec<Solution> {
    all.iter().filter_map(|one| doubled(one, rest)).collect()
}

/// What differs for even and for odd values, together.
pub(super) fn together(parts: [Differences; 2]) -> Differences {
    let mut found = Differences::default();
    for (rest, part) in (0..).zip(parts) {
        found.lost.extend(whole_values(&part.lost, rest));
        found.gained.extend(whole_values(&part.gained, rest));
    }
    for side in [&mut found.lost, &mut found.gained] {
        side.sort_by_key(|one| one.as_rational().unwrap_or_else(Rational::zero));
    }
    found
}
