//! Power series in fixed point, each with a bound on how far its sum may be off.
//!
//! A number stands as a whole multiple of `2^-bits`. Products and quotients are cut off, which costs less
//! than one unit each; the bounds count these. While `bits` is small a number is a machine word, and
//! above that a [`Integer`]: the same series runs on both.

use crate::number::Integer;
use num_integer::Integer as _;
use num_traits::{Signed, ToPrimitive};
use std::ops::{Add, Sub};

/// Up to here every number below 4 is a machine word.
const WORD_BITS: u32 = 60;

/// A number in fixed point.
trait Fixed: Clone + Add<Output = Self> + Sub<Output = Self> {
    /// The product, cut off.
    fn times(&self, other: &Self, bits: u32) -> Self;
    /// The quotient, cut off.
    fn over(&self, n: i64) -> Self;
    /// Whether it is at most one unit from zero.
    fn is_tiny(&self) -> bool;
    fn into_whole(self) -> Integer;
}

impl Fixed for i64 {
    fn times(&self, other: &Self, bits: u32) -> Self {
        ((i128::from(*self) * i128::from(*other)) >> bits) as Self
    }

    fn over(&self, n: i64) -> Self {
        self / n
    }

    fn is_tiny(&self) -> bool {
        self.unsigned_abs() <= 1
    }

    fn into_whole(self) -> Integer {
        self.into()
    }
}

impl Fixed for Integer {
    fn times(&self, other: &Self, bits: u32) -> Self {
        (self * other) >> bits
    }

    fn over(&self, n: i64) -> Self {
        self / n
    }

    fn is_tiny(&self) -> bool {
        self.bits() <= 1
    }

    fn into_whole(self) -> Integer {
        self
    }
}

/// A sum, and how many units it may be off in either direction.
#[derive(Debug)]
pub(super) struct Sum {
    pub value: Integer,
    pub error: i64,
}

/// Runs a series on words where these are wide enough.
macro_rules! on_words_or_wholes {
    ($series:ident($x:expr, $bits:expr $(, $more:expr)*)) => {
        match $x.to_i64().filter(|_| $bits <= WORD_BITS) {
            Some(word) => $series(&word, 1i64 << $bits, $bits $(, $more)*),
            None => $series($x, Integer::from(1) << $bits, $bits $(, $more)*),
        }
    };
}

/// The sine of `r / 2^bits`, a number between -1 and 1.
pub(super) fn sine(r: &Integer, bits: u32) -> Sum {
    on_words_or_wholes!(alternating(r, bits, 1))
}

/// The cosine of `r / 2^bits`, a number between -1 and 1.
pub(super) fn cosine(r: &Integer, bits: u32) -> Sum {
    on_words_or_wholes!(alternating(r, bits, 0))
}

/// `e` to the power `r / 2^bits`, a number between -1/2 and 1/2.
pub(super) fn exponential(r: &Integer, bits: u32) -> Sum {
    on_words_or_wholes!(powers_over_factorials(r, bits))
}

/// The inverse hyperbolic tangent of `z / 2^bits`, a number between -1/2 and 1/2.
pub(super) fn artanh(z: &Integer, bits: u32) -> Sum {
    on_words_or_wholes!(odd_powers(z, bits, false))
}

/// The inverse tangent of `z / 2^bits`, a number between -1/2 and 1/2.
pub(super) fn arctan(z: &Integer, bits: u32) -> Sum {
    on_words_or_wholes!(odd_powers(z, bits, true))
}

/// `Σ (-1)^k r^(2k + start) / (2k + start)!`
///
/// A term that is off by `d` units makes the next one off by less than `(d + 2)/2 + 1`, since the square is
/// below one and the divisor at least two: no term is ever off by more than four. The terms fall and
/// alternate, so what is left out is less than the last one.
fn alternating<T: Fixed>(r: &T, one: T, bits: u32, start: i64) -> Sum {
    let square = r.times(r, bits);
    let mut term = if start == 1 { r.clone() } else { one };
    let mut sum = term.clone();
    let (mut n, mut terms) = (start, 0);
    while !term.is_tiny() {
        term = term.times(&square, bits).over((n + 1) * (n + 2));
        sum = if terms % 2 == 0 { sum - term.clone() } else { sum + term.clone() };
        n += 2;
        terms += 1;
    }
    Sum { value: sum.into_whole(), error: 4 * terms + 6 }
}

/// `Σ r^k / k!`
///
/// A term that is off by `d` units makes the next one off by less than `d/2 + 2`: no more than four. The
/// terms at least halve, so what is left out is less than the last one.
fn powers_over_factorials<T: Fixed>(r: &T, one: T, bits: u32) -> Sum {
    let mut term = one.clone();
    let mut sum = one;
    let mut k = 0;
    while !term.is_tiny() {
        k += 1;
        term = term.times(r, bits).over(k);
        sum = sum + term.clone();
    }
    Sum { value: sum.into_whole(), error: 4 * k + 6 }
}

/// `Σ z^(2k + 1) / (2k + 1)`, the signs alternating or all the same.
///
/// A power that is off by `d` units makes the next one off by less than `d/4 + 2`, no more than three,
/// and a term by one more. The powers fall at least fourfold, so what is left out is less than the last.
fn odd_powers<T: Fixed>(z: &T, _one: T, bits: u32, alternate: bool) -> Sum {
    let square = z.times(z, bits);
    let mut power = z.clone();
    let mut sum = z.clone();
    let mut k = 0;
    while !power.is_tiny() {
        k += 1;
        power = power.times(&square, bits);
        let term = power.over(2 * k + 1);
        sum = if alternate && k % 2 == 1 { sum - term } else { sum + term };
    }
    Sum { value: sum.into_whole(), error: 4 * k + 6 }
}

/// The inverse tangent of `1/n` for a whole number above one.
pub(super) fn arctan_of_inverse(n: i64, bits: u32) -> Sum {
    let square = Integer::from(n * n);
    let mut power = (Integer::from(1) << bits) / n;
    let mut sum = power.clone();
    let mut k = 0;
    while power.is_positive() {
        k += 1;
        power = power.div_floor(&square);
        let term = &power / (2 * k + 1);
        sum = if k % 2 == 1 { sum - term } else { sum + term };
    }
    // Each power is off by less than two units, each term by less than three.
    Sum { value: sum, error: 3 * k + 4 }
}

#[cfg(test)]
mod tests {
    use super::*;

    /// The series on words and on numbers of any size, at one place, against more bits of the same.
    #[test]
    fn words_and_wholes_agree_within_their_bounds() {
        type Series = fn(&Integer, u32) -> Sum;
        let series: [(&str, Series); 5] = [
            ("sine", sine),
            ("cosine", cosine),
            ("exponential", exponential),
            ("artanh", artanh),
            ("arctan", arctan),
        ];
        for (name, series) in series {
            for n in [-499, -250, -100, -3, -1, 0, 1, 7, 128, 333, 500] {
                let at = |bits: u32| (Integer::from(n) << bits).div_floor(&1000.into());
                for bits in [12, 40, 54, 60] {
                    let rough = series(&at(bits), bits);
                    // The same place, written with more bits.
                    let fine = series(&(at(bits) << 200), bits + 200);
                    let apart = ((&rough.value << 200) - &fine.value).abs();
                    let allowed = (Integer::from(rough.error) << 200) + fine.error;
                    assert!(apart <= allowed, "{name} of {n}/1000 with {bits} bits");
                }
            }
        }
    }
}
