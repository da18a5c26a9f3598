//! Exact rational numbers, and what schools ask of them: roots that come out, decimals, rounding.

use super::Integer;
use crate::budget;
use num_integer::Integer as _;
use num_rational::Ratio;
use num_traits::{One, Pow, Signed, ToPrimitive, Zero};

/// A fraction in lowest terms with a positive denominator.
pub type Rational = Ratio<Integer>;

/// The whole number `n`.
#[must_use]
pub fn from_int(n: i64) -> Rational {
    Rational::from_integer(Integer::from(n))
}

/// The product; that of whole numbers, which most are, without looking for common factors.
#[must_use]
pub fn product_of(a: &Rational, b: &Rational) -> Rational {
    if a.is_integer() && b.is_integer() {
        Rational::from_integer(a.numer() * b.numer())
    } else {
        a * b
    }
}

/// Whether numerator and denominator are small enough to go on with.
#[must_use]
pub fn is_within_bits(value: &Rational) -> bool {
    value.numer().bits() <= budget::BITS && value.denom().bits() <= budget::BITS
}

/// `3`, `-7/2`: exact, in plain text.
#[must_use]
pub fn show(value: &Rational) -> String {
    if value.is_integer() {
        value.numer().to_string()
    } else {
        format!("{}/{}", value.numer(), value.denom())
    }
}

/// The real `index`-th root when it is rational. Odd roots of negatives are real.
#[must_use]
pub fn exact_root(value: &Rational, index: u32) -> Option<Rational> {
    if index == 0 || (value.is_negative() && index.is_multiple_of(2)) {
        return None;
    }
    let root = |n: &Integer| {
        let r = n.abs().nth_root(index);
        (Pow::pow(&r, index) == n.abs()).then_some(r)
    };
    let (numerator, denominator) = (root(value.numer())?, root(value.denom())?);
    let size = Rational::new(numerator, denominator);
    Some(if value.is_negative() { -size } else { size })
}

/// Splits a positive whole number into `outside² · ∏ primes`, the primes distinct, by trial division.
/// `None` when a factor stays that is too large to be sure of.
#[must_use]
pub fn square_part(n: &Integer) -> Option<(Integer, Vec<u64>)> {
    let mut rest = n.clone();
    let (mut outside, mut primes) = (Integer::one(), Vec::new());
    let mut p = 2u64;
    while p <= 10_000 && Integer::from(p * p) <= rest {
        let mut times = 0u32;
        loop {
            let (quotient, remainder) = rest.div_rem(&Integer::from(p));
            if !remainder.is_zero() {
                break;
            }
            rest = quotient;
            times += 1;
        }
        outside *= Integer::from(p).pow(times / 2);
        if times % 2 == 1 {
            primes.push(p);
        }
        p += if p == 2 { 1 } else { 2 };
    }
    if !rest.is_one() {
        // What is left has no factor up to 10 000: below 10^8 it is a prime.
        let last = rest.to_u64().filter(|&n| n < 100_000_000)?;
        primes.push(last);
    }
    Some((outside, primes))
}

/// The digits of a whole number in a base from 2 to 16, capitals for ten to fifteen.
#[must_use]
pub fn in_base(value: &Rational, base: u32) -> String {
    value.to_integer().to_str_radix(base.clamp(2, 16)).to_uppercase()
}

/// How many decimal places write `value` exactly; `None` when its decimal does not end.
#[must_use]
pub fn decimal_places(value: &Rational) -> Option<u32> {
    let mut rest = value.denom().clone();
    let mut count = [0u32; 2];
    for (slot, p) in count.iter_mut().zip([2, 5]) {
        let p = Integer::from(p);
        while (&rest % &p).is_zero() {
            rest /= &p;
            *slot += 1;
        }
    }
    rest.is_one().then(|| count[0].max(count[1]))
}

/// Rounds to `places` decimal places; ties go away from zero.
#[must_use]
pub fn round_to_places(value: &Rational, places: u32) -> Rational {
    let scale = Rational::from_integer(Integer::from(10).pow(places));
    (value * &scale).round() / scale
}

/// The decimal of `value` with exactly `places` places, rounded when it has more.
#[must_use]
pub fn to_decimal_text(value: &Rational, places: u32) -> String {
    let scaled = (value * Rational::from_integer(Integer::from(10).pow(places))).round();
    let digits = scaled.numer().abs().to_string();
    let sign = if scaled.is_negative() { "-" } else { "" };
    if places == 0 {
        return format!("{sign}{digits}");
    }
    let digits = format!("{digits:0>width$}", width = places as usize + 1);
    let (whole, part) = digits.split_at(digits.len() - places as usize);
    format!("{sign}{whole}.{part}")
}

#[cfg(test)]
mod tests {
    use super::*;

    fn ratio(n: i64, d: i64) -> Rational {
        Rational::new(n.into(), d.into())
    }

    #[test]
    fn roots_come_out_only_when_they_are_rational() {
        assert_eq!(exact_root(&ratio(9, 4), 2), Some(ratio(3, 2)));
        assert_eq!(exact_root(&ratio(-8, 1), 3), Some(ratio(-2, 1)));
        assert_eq!(exact_root(&ratio(2, 1), 2), None);
        assert_eq!(exact_root(&ratio(-4, 1), 2), None);
    }

    #[test]
    fn squares_come_out_of_a_whole_number() {
        assert_eq!(square_part(&72.into()), Some((6.into(), vec![2])));
        assert_eq!(square_part(&30.into()), Some((1.into(), vec![2, 3, 5])));
        assert_eq!(square_part(&1.into()), Some((1.into(), vec![])));
    }

    #[test]
    fn decimals_end_or_do_not_and_ties_go_away_from_zero() {
        assert_eq!(decimal_places(&ratio(83, 8)), Some(3));
        assert_eq!(decimal_places(&ratio(1, 3)), None);
        assert_eq!(to_decimal_text(&ratio(83, 8), 1), "10.4");
        assert_eq!(to_decimal_text(&ratio(-1, 8), 2), "-0.13");
        assert_eq!(to_decimal_text(&ratio(5, 2), 0), "3");
    }
}
