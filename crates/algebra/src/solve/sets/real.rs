//! Exact real numbers: order, the numbers between two of them, and the roots of a quadratic.

use crate::budget::Budget;
use crate::normal::{Normaliser, NotNormal, Quotient, Values, constant};
use crate::number::{Rational, from_int};
use num_traits::{One, Signed};
use std::cmp::Ordering;

/// How two constants stand on the number line; `None` when it cannot be told.
pub(crate) fn compare(a: &Quotient, b: &Quotient, budget: &mut Budget) -> Option<Ordering> {
    if a == b {
        return Some(Ordering::Equal);
    }
    if let (Some(a), Some(b)) = (a.as_constant(), b.as_constant()) {
        return Some(a.cmp(&b));
    }
    let difference = a.minus(b, budget).ok()?;
    Some(constant::sign(&difference, budget)?.cmp(&0))
}

/// Sorts constants and drops those that are equal to others; `None` when two cannot be told apart.
pub(crate) fn sorted(values: Vec<Quotient>, budget: &mut Budget) -> Option<Vec<Quotient>> {
    let mut found: Vec<Quotient> = Vec::with_capacity(values.len());
    'next: for value in values {
        let (mut low, mut high) = (0, found.len());
        while low < high {
            let middle = (low + high) / 2;
            match compare(&value, &found[middle], budget)? {
                Ordering::Equal => continue 'next,
                Ordering::Less => high = middle,
                Ordering::Greater => low = middle + 1,
            }
        }
        found.insert(low, value);
    }
    Some(found)
}

/// A rational number strictly between two constants, a simple one if there is one.
pub(crate) fn between(low: &Quotient, high: &Quotient, budget: &mut Budget) -> Option<Rational> {
    let mut bits = 64;
    while bits <= 2_048 {
        let (a, b) = (
            constant::enclose(low, bits, budget)?.high(),
            constant::enclose(high, bits, budget)?.low(),
        );
        if a < b {
            return Some(simplest(&a, &b));
        }
        bits *= 2;
    }
    None
}

/// The first of the small numbers that lies strictly between, or the fraction with the smallest
/// denominator.
fn simplest(low: &Rational, high: &Rational) -> Rational {
    let inside = |x: &Rational| low < x && x < high;
    crate::trial::trial_numbers().find(inside).unwrap_or_else(|| {
        if high.is_positive() { fraction(low, high) } else { -fraction(&-high, &-low) }
    })
}

/// The fraction with the smallest denominator strictly between two numbers that are not negative (M. A. Stern,
/// "Ueber eine zahlentheoretische Funktion", 1858).
fn fraction(low: &Rational, high: &Rational) -> Rational {
    let whole = low.floor();
    let next = &whole + Rational::one();
    if next < *high {
        return next;
    }
    let above = (high - &whole).recip();
    if *low == whole {
        return whole + (above.floor() + Rational::one()).recip();
    }
    whole.clone() + fraction(&above, &(low - whole).recip()).recip()
}

/// A rational number below, or above, a constant.
pub(crate) fn beyond(value: &Quotient, above: bool, budget: &mut Budget) -> Option<Rational> {
    let inside = constant::enclose(value, 64, budget)?;
    Some(if above {
        (inside.high() + Rational::one()).ceil()
    } else {
        (inside.low() - Rational::one()).floor()
    })
}

/// The real roots of `a x² + b x + c`, `a` not zero, the smaller one first when `a` is positive.
///
/// # Errors
/// [`NotNormal`] when the sign of the discriminant cannot be told.
pub(crate) fn quadratic(
    a: &Quotient,
    b: &Quotient,
    c: &Quotient,
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    let four = Quotient::constant(from_int(4));
    let product = a.times(c, budget)?.times(&four, budget)?;
    let discriminant = b.times(b, budget)?.minus(&product, budget)?;
    let by = a.scaled(2).reciprocal().ok_or(NotNormal::Undefined)?;
    let middle = b.negated().times(&by, budget)?;
    match constant::sign(&discriminant, budget).ok_or(NotNormal::NotCovered)? {
        0 => Ok(vec![middle.cancelled(budget)?]),
        1 => {
            let none = Values::new();
            let root = Normaliser::new(&none, budget).root_of(2, &discriminant)?;
            let part = root.times(&by, budget)?;
            let (low, high) = (middle.minus(&part, budget)?, middle.plus(&part, budget)?);
            Ok(vec![low.cancelled(budget)?, high.cancelled(budget)?])
        }
        _ => Ok(Vec::new()),
    }
}
