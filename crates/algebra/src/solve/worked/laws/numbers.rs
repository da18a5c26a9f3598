//! Laws of numbers alone: factorials and choices, per cent, numerals, recurring decimals, mixed numbers.

use super::{factors, fraction, power, whole, whole_number};
use crate::expr::{Expr, ExprKind, Function};
use crate::number::{Integer, Notation, Rational, from_int};
use num_traits::Zero;

/// The largest whole number whose factorial is written out.
const WRITTEN_OUT: i64 = 8;

pub(super) fn factorial(part: &Expr) -> Option<Expr> {
    let ExprKind::Factorial(n) = &part.kind else { return None };
    let n = whole_number(n).filter(|n| (2..=WRITTEN_OUT).contains(n))?;
    (1..=n).rev().map(whole).reduce(Expr::times)
}

/// `8!/5!` as `8 × 7 × 6`.
pub(super) fn factorial_quotient(part: &Expr) -> Option<Expr> {
    let (above, below) = fraction(part)?;
    let ExprKind::Factorial(n) = &above.kind else { return None };
    let n = whole_number(n)?;
    let mut under = factors(below);
    let largest = |e: &Expr| match &e.kind {
        ExprKind::Factorial(k) => whole_number(k),
        _ => None,
    };
    let at = (0..under.len()).max_by_key(|&at| largest(&under[at]).unwrap_or(-1))?;
    let k = largest(&under[at]).filter(|&k| k >= 0 && k < n && n - k <= WRITTEN_OUT)?;
    let up = (k + 1..=n).rev().map(whole).reduce(Expr::times)?;
    under.remove(at);
    Some(match under.into_iter().reduce(Expr::times) {
        Some(rest) => up.over(rest),
        None => up,
    })
}

pub(super) fn choices(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function: Function::Choose, arguments } = &part.kind else { return None };
    let [n, k] = &arguments[..] else { return None };
    let (n, k) = (whole_number(n)?, whole_number(k)?);
    let fits = k >= 0 && k <= n;
    let of = |n: i64| -> Expr { ExprKind::Factorial(Box::new(whole(n))).into() };
    fits.then(|| of(n).over(of(k).times(of(n - k))))
}

pub(super) fn arrangements(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function: Function::Arrange, arguments } = &part.kind else { return None };
    let [n, k] = &arguments[..] else { return None };
    let (n, k) = (whole_number(n)?, whole_number(k)?);
    let of = |n: i64| -> Expr { ExprKind::Factorial(Box::new(whole(n))).into() };
    (k >= 0 && k <= n).then(|| of(n).over(of(n - k)))
}

pub(super) fn per_cent(part: &Expr) -> Option<Expr> {
    let ExprKind::Percent(a) = &part.kind else { return None };
    whole_number(a).map(|n| whole(n).over(whole(100)))
}

pub(super) fn place_values(part: &Expr) -> Option<Expr> {
    let ExprKind::Number(written) = &part.kind else { return None };
    let Notation::Based { base } = *written.notation() else { return None };
    let digits = written.value().numer().to_str_radix(base);
    let digits: Vec<u32> = digits.chars().map(|c| c.to_digit(base)).collect::<Option<_>>()?;
    let last = digits.len().checked_sub(1)?;
    let term = |(at, digit): (usize, u32)| {
        whole(i64::from(digit)).times(power(whole(i64::from(base)), &from_int((last - at) as i64)))
    };
    let sum = digits.into_iter().enumerate().map(term).reduce(Expr::plus);
    sum.filter(|_| last > 0)
}

pub(super) fn recurring(part: &Expr) -> Option<Expr> {
    let ExprKind::Number(written) = &part.kind else { return None };
    let Notation::Repeating { places, period } = *written.notation() else { return None };
    let ten = |n: u32| num_traits::Pow::pow(Integer::from(10), n);
    // The digits up to the end of the first period, and those before it.
    let up_to = |n: u32| (written.value() * Rational::from_integer(ten(n))).floor().to_integer();
    let (all, before) = (up_to(places + period), up_to(places));
    let below = (ten(period) - 1) * ten(places);
    let number = |n: Integer| Expr::rational(&Rational::from_integer(n));
    let above = if before.is_zero() { number(all) } else { number(all).minus(number(before)) };
    Some(above.over(number(below)))
}

/// Mixed numbers that are reckoned with.
pub(super) fn improper(part: &Expr) -> Option<Expr> {
    let turned = |e: &Expr| -> Option<Expr> {
        let ExprKind::Number(written) = &e.kind else { return None };
        matches!(written.notation(), Notation::Mixed { .. }).then(|| {
            let value = written.value();
            let number = |n: &Integer| Expr::rational(&Rational::from_integer(n.clone()));
            number(value.numer()).over(number(value.denom()))
        })
    };
    let rebuilt = |a: &Expr, b: &Expr, join: fn(Expr, Expr) -> Expr| match (turned(a), turned(b)) {
        (None, None) => None,
        (first, second) => {
            Some(join(first.unwrap_or_else(|| a.clone()), second.unwrap_or_else(|| b.clone())))
        }
    };
    match &part.kind {
        ExprKind::Add(a, b) => rebuilt(a, b, Expr::plus),
        ExprKind::Subtract(a, b) => rebuilt(a, b, Expr::minus),
        ExprKind::Multiply(a, b) => rebuilt(a, b, Expr::times),
        ExprKind::Divide(a, b) => rebuilt(a, b, Expr::over),
        _ => None,
    }
}
