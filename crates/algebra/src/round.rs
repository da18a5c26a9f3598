//! Is a number, as it is written, another one rounded? Ties go away from zero.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Quotient, Values, constant};
use crate::number::Integer;
use crate::number::{Notation, Rational, Rounding, Written, from_int};
use num_integer::Integer as _;
use num_traits::{One, Pow, Signed, Zero};

/// Whether a written number is a value rounded.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Fit {
    /// It is.
    Rounds,
    /// It is not.
    Misses,
    /// It could not be told, or it is no number.
    Unknown,
}

/// Whether `right`, as it is written, is the constant `value` rounded; `36.9°` is rounded in degrees.
#[must_use]
pub fn fits(value: &Quotient, right: &Expr, budget: &mut Budget) -> Fit {
    let (negative, number) = match &right.kind {
        ExprKind::Negative(a) => (true, a.as_ref()),
        _ => (false, right),
    };
    if let ExprKind::Degree(number) = &number.kind {
        let Some(value) = counted_in_degrees(value, budget) else { return Fit::Unknown };
        let value = if negative { value.negated() } else { value };
        return fits(&value, number, budget);
    }
    // 10.4 m/s: how many there are of this rate.
    if let ExprKind::Divide(quantity, below) = &number.kind
        && let ExprKind::Multiply(number, above) = &quantity.kind
        && let Some(value) = counted_in(value, &(**above).clone().over((**below).clone()), budget)
    {
        let value = if negative { value.negated() } else { value };
        return fits(&value, number, budget);
    }
    // 6.7 cm, of a value in some unit: how many there are of this one.
    if let ExprKind::Multiply(number, unit) = &number.kind
        && matches!(unit.kind, ExprKind::Unit(_))
        && let Some(value) = counted_in(value, unit, budget)
    {
        let value = if negative { value.negated() } else { value };
        return fits(&value, number, budget);
    }
    let ExprKind::Number(written) = &number.kind else { return Fit::Unknown };
    let told = if negative { -written.value().clone() } else { written.value().clone() };
    let mut open = false;
    for step in steps(written) {
        match is_nearest(value, &told, &step, budget) {
            Some(true) => return Fit::Rounds,
            Some(false) => {}
            None => open = true,
        }
    }
    if open { Fit::Unknown } else { Fit::Misses }
}

/// How many degrees a value is.
fn counted_in_degrees(value: &Quotient, budget: &mut Budget) -> Option<Quotient> {
    let one = ExprKind::Degree(Box::new(Expr::rational(&Rational::one()))).into();
    counted_in(value, &one, budget)
}

/// How many times `one` a value is.
fn counted_in(value: &Quotient, one: &Expr, budget: &mut Budget) -> Option<Quotient> {
    let none = Values::new();
    let one = Normaliser::new(&none, budget).build(one).ok()?;
    value.times(&one.reciprocal()?, budget).ok()?.cancelled(budget).ok()
}

/// One unit in the last place of a number as it is written; `None` for what is no decimal or whole number.
#[must_use]
pub fn last_place(expr: &Expr) -> Option<Rational> {
    let number = match &expr.kind {
        ExprKind::Negative(a) => a.as_ref(),
        _ => expr,
    };
    match &number.kind {
        ExprKind::Number(written) => steps(written).into_iter().next(),
        _ => None,
    }
}

/// The places to which a number may have been rounded, as the value of one unit there: the trailing zeros
/// of a whole number may or may not be significant.
fn steps(written: &Written) -> Vec<Rational> {
    let ten = |exponent: i32| {
        let power = Rational::from_integer(Integer::from(10).pow(exponent.unsigned_abs()));
        if exponent < 0 { power.recip() } else { power }
    };
    let places = |places: &u32| i32::try_from(*places).unwrap_or(i32::MAX).min(5_000);
    match written.rounding() {
        Some(Rounding::Places(p)) => return vec![ten(-places(p))],
        Some(Rounding::Nearest(step)) => return vec![step.clone()],
        Some(Rounding::Figures(figures)) => {
            let Some(first) = first_place(written.value()) else { return vec![Rational::one()] };
            return vec![ten(first + 1 - i32::try_from(*figures).unwrap_or(i32::MAX).min(5_000))];
        }
        None => {}
    }
    match written.notation() {
        Notation::Integer => {
            let mut found = vec![Rational::one()];
            let mut rest = written.value().to_integer();
            let mut unit = 0;
            while !rest.is_zero() && rest.is_multiple_of(&Integer::from(10)) {
                rest /= 10;
                unit += 1;
                found.push(ten(unit));
            }
            found
        }
        Notation::Decimal { places: p } => vec![ten(-places(p))],
        Notation::Scientific { places: p, exponent } => vec![ten(exponent - places(p))],
        Notation::Repeating { .. } | Notation::Mixed { .. } | Notation::Based { .. } => Vec::new(),
    }
}

/// The power of ten of a number's first figure: 1 for 46, -2 for 0.05. `None` for zero.
fn first_place(value: &Rational) -> Option<i32> {
    if value.is_zero() {
        return None;
    }
    let size = value.abs();
    let ten = Rational::from_integer(Integer::from(10));
    // Digits above and below tell it to one place.
    let digits = |n: &Integer| i32::try_from(n.to_string().len()).unwrap_or(i32::MAX);
    let guess = digits(size.numer()) - digits(size.denom());
    (guess - 1..=guess + 1).rev().find(|n| n.abs() < 5_000 && Pow::pow(&ten, *n) <= size)
}

/// Whether `told` is the multiple of `step` nearest to `value`, ties away from zero.
fn is_nearest(
    value: &Quotient,
    told: &Rational,
    step: &Rational,
    budget: &mut Budget,
) -> Option<bool> {
    let half = step / from_int(2);
    let sign_of = |bound: Rational, budget: &mut Budget| {
        let apart = value.minus(&Quotient::constant(bound), budget).ok()?;
        constant::sign(&apart, budget)
    };
    let above_low = sign_of(told - &half, budget)?;
    let below_high = -sign_of(told + &half, budget)?;
    if above_low < 0 || below_high < 0 {
        return Some(false);
    }
    // A tie goes away from zero: the half below a positive number belongs to it.
    let tie_is_told =
        |at_low: bool| if told.is_zero() { false } else { told.is_positive() == at_low };
    Some((above_low > 0 || tie_is_told(true)) && (below_high > 0 || tie_is_told(false)))
}

/// To how many decimal places, up to twelve, `near` is `value` rounded or cut: where `3.14159` is asked for
/// π, five.
#[must_use]
pub fn agreeing_places(value: &Quotient, near: &Rational, budget: &mut Budget) -> Option<u32> {
    (0..=12).rev().find(|&places| {
        let told = crate::number::round_to_places(near, places);
        let step = Rational::new(1.into(), Integer::from(10).pow(places));
        told == *near && is_nearest(value, &told, &step, budget) == Some(true)
    })
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_number_is_rounded_as_it_is_written() {
        for (value, told, expected) in [
            ("83/8",   "10.4",   Fit::Rounds), ("83/8",   "10.3",  Fit::Misses),
            ("83/8",   "10.38",  Fit::Rounds), ("83/8",   "10",    Fit::Rounds),
            ("π",      "3.14",   Fit::Rounds), ("π",      "3.142", Fit::Rounds),
            ("π",      "3.141",  Fit::Misses), ("π",      "3",     Fit::Rounds),
            ("sqrt 2", "1.41",   Fit::Rounds), ("sqrt 2", "1.42",  Fit::Misses),
            ("0.125",  "0.13",   Fit::Rounds), ("0.125",  "0.12",  Fit::Misses),
            ("-0.125", "-0.13",  Fit::Rounds), ("-0.125", "-0.12", Fit::Misses),
            ("1234",   "1200",   Fit::Rounds), ("1234",   "1230",  Fit::Rounds),
            ("1234",   "1240",   Fit::Misses), ("1250",   "1300",  Fit::Rounds),
            ("31862",  "3.19e4", Fit::Rounds), ("31862",  "3.18e4", Fit::Misses),
            ("ln 2",   "0.693",  Fit::Rounds), ("1/3",    "0.33",  Fit::Rounds),
            ("π",      "22/7",   Fit::Unknown), ("π/6",    "30°",   Fit::Rounds),
            ("arctan(3/4)", "36.9°", Fit::Rounds), ("arctan(3/4)", "36.8°", Fit::Misses),
            ("-π/7",   "-25.7°", Fit::Rounds), ("-π/7",   "25.7°", Fit::Misses),
        ] {
            let (none, mut budget) = (Values::new(), Budget::for_verdict());
            let expr = crate::read_expr(value).expect(value);
            let value_of = Normaliser::new(&none, &mut budget).build(&expr).expect(value);
            let right = crate::read_expr(told).expect(told);
            assert_eq!(fits(&value_of, &right, &mut budget), expected, "{value} ≈ {told}");
        }
    }
}
