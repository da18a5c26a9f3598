//! The laws by which an expression is simplified on a board, one a line: each turns a part of it into what a
//! class would write next, and has a name that says why.
//!
//! Nothing is proved here. Whoever shows a line proves it equal to the one above first.

mod circular;
mod exponents;
mod fractions;
mod logarithms;
mod numbers;
#[cfg(test)]
mod tests;

pub use circular::double_angles;

use crate::expr::{Expr, ExprKind};
use crate::number::{Integer, Rational, from_int};
use crate::rule::Law;
use crate::solve::worked::outermost;
use circular::{co_function, pythagoras, sines_and_cosines};
use exponents::{
    add_exponents, negative_exponent, negative_exponent_of_number, power_of_power,
    power_of_product, root_of_square, root_then_power,
};
use fractions::{divide_by_fraction, multiply_fractions, one_fraction};
use logarithms::{
    difference_of_logarithms, logarithm_of_power, power_into_logarithm, sum_of_logarithms, undo,
};
use num_traits::{One, ToPrimitive, Zero};
use numbers::{
    arrangements, choices, factorial, factorial_quotient, improper, per_cent, place_values,
    recurring,
};

/// Most lines that laws write.
const LINES: usize = 8;

type Change = fn(&Expr) -> Option<Expr>;

/// In this order; the first that fits is used.
const LAWS: &[(Law, Change)] = &[
    (Law::OneFraction, one_fraction),
    (Law::DivideByFraction, divide_by_fraction),
    (Law::MultiplyFractions, multiply_fractions),
    (Law::PowerOfProduct, power_of_product),
    (Law::PowerOfPower, power_of_power),
    (Law::AddExponents, add_exponents),
    (Law::NegativeExponent, negative_exponent),
    (Law::RootOfSquare, root_of_square),
    (Law::Undo, undo),
    (Law::CoFunction, co_function),
    (Law::Pythagoras, pythagoras),
    (Law::SinesAndCosines, sines_and_cosines),
    (Law::PowerIntoLogarithm, power_into_logarithm),
    (Law::SumOfLogarithms, sum_of_logarithms),
    (Law::DifferenceOfLogarithms, difference_of_logarithms),
];

/// The laws of numbers alone.
const NUMBER_LAWS: &[(Law, Change)] = &[
    (Law::DivideByFraction, divide_by_fraction),
    (Law::FactorialQuotient, factorial_quotient),
    (Law::Choices, choices),
    (Law::Arrangements, arrangements),
    (Law::Factorial, factorial),
    (Law::PerCent, per_cent),
    (Law::PlaceValues, place_values),
    (Law::Recurring, recurring),
    (Law::Improper, improper),
    (Law::NegativeExponent, negative_exponent_of_number),
    (Law::RootThenPower, root_then_power),
    (Law::Undo, undo),
    (Law::SumOfLogarithms, sum_of_logarithms),
    (Law::DifferenceOfLogarithms, difference_of_logarithms),
];

/// The lines that laws write below an expression with letters.
#[must_use]
pub fn by_laws(expr: &Expr) -> Vec<(Expr, Law)> {
    // A logarithm that stands alone lets its exponent out; in a sum the factors go in.
    if let Some(line) = logarithm_of_power(expr) {
        return vec![(line, Law::LogarithmOfPower)];
    }
    lines(expr, LAWS)
}

/// The lines that laws of numbers write below an expression without letters.
#[must_use]
pub fn by_laws_of_numbers(expr: &Expr) -> Vec<(Expr, Law)> {
    let mut found = lines(expr, NUMBER_LAWS);
    let now = found.last().map_or(expr, |(line, _)| line);
    if let Some(line) = logarithm_of_power(now) {
        found.push((line, Law::LogarithmOfPower));
    }
    found
}

fn lines(expr: &Expr, laws: &[(Law, Change)]) -> Vec<(Expr, Law)> {
    let mut found: Vec<(Expr, Law)> = Vec::new();
    let mut now = expr.clone();
    while found.len() < LINES {
        let next = laws
            .iter()
            .find_map(|(law, change)| Some((outermost::changed(&now, &|_| false, change)?, *law)));
        let Some((next, law)) = next.filter(|(next, _)| *next != now) else { break };
        found.push((next.clone(), law));
        now = next;
    }
    found
}

fn power(base: Expr, exponent: &Rational) -> Expr {
    if exponent.is_one() {
        return base;
    }
    ExprKind::Power(Box::new(base), Box::new(Expr::rational(exponent))).into()
}

fn whole_number(expr: &Expr) -> Option<i64> {
    expr.as_plain_number().filter(|n| n.is_integer())?.to_i64()
}

fn whole(n: i64) -> Expr {
    Expr::rational(&from_int(n))
}

/// What stands above and below, for a fraction.
fn fraction(expr: &Expr) -> Option<(&Expr, &Expr)> {
    match &expr.kind {
        ExprKind::Divide(above, below) => Some((above, below)),
        _ => None,
    }
}

fn is_one(expr: &Expr) -> bool {
    expr.as_plain_number().is_some_and(|n| n.is_one())
}

fn factors(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Multiply(a, b) => [factors(a), factors(b)].concat(),
        _ => vec![expr.clone()],
    }
}

/// `12:18:24` as `2:3:4`.
#[must_use]
pub fn shortest_ratio(terms: &[Expr]) -> Option<Expr> {
    use num_integer::Integer as _;
    let values: Vec<Rational> = terms.iter().map(Expr::as_plain_number).collect::<Option<_>>()?;
    let below = values.iter().fold(Integer::one(), |m, v| m.lcm(v.denom()));
    let whole: Vec<Integer> = values.iter().map(|v| v.numer() * (&below / v.denom())).collect();
    let shared = whole.iter().fold(Integer::zero(), |g, n| g.gcd(n));
    if shared.is_zero() {
        return None;
    }
    let term = |n: &Integer| Expr::rational(&Rational::from_integer(n / &shared));
    Some(ExprKind::Ratio(whole.iter().map(term).collect()).into())
}
