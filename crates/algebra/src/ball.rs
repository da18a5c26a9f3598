//! Rigorous arithmetic of enclosures at any precision.
//!
//! An [`Enclosure`] is a closed interval whose ends are whole multiples of `2^-bits`; every operation
//! rounds outwards, so the true value always lies inside (R. E. Moore, *Interval Analysis*, 1966). A
//! sign read from an enclosure is therefore certain, and what cannot be told at one precision is asked
//! again at a higher one. `functions` has roots, exponentials, logarithms and the circular functions.
//! What does not belong here: telling that a value IS zero, which no enclosure can (see
//! `normal/constant.rs`).

mod functions;
mod series;

use crate::number::Integer;
use crate::number::Rational;
use num_integer::Integer as _;
use num_traits::{One, Signed, Zero};

/// An interval that holds one real number.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Enclosure {
    low: Integer,
    high: Integer,
    bits: u32,
}

impl Enclosure {
    fn new(low: Integer, high: Integer, bits: u32) -> Self {
        debug_assert!(low <= high, "the low end is not above the high end");
        Self { low, high, bits }
    }

    /// The narrowest enclosure of `value` at that precision.
    #[must_use]
    pub fn of(value: &Rational, bits: u32) -> Self {
        let scaled = value.numer() << bits;
        let low = scaled.div_floor(value.denom());
        let high = if (&low * value.denom()) == scaled { low.clone() } else { &low + 1 };
        Self::new(low, high, bits)
    }

    /// The whole number `n`.
    #[must_use]
    pub fn int(n: i64, bits: u32) -> Self {
        let n = Integer::from(n) << bits;
        Self::new(n.clone(), n, bits)
    }

    /// An enclosure of every number between the two values, in either order.
    #[must_use]
    pub fn between(a: &Rational, b: &Rational, bits: u32) -> Self {
        let (a, b) = (Self::of(a, bits), Self::of(b, bits));
        Self::new(a.low.min(b.low), a.high.max(b.high), bits)
    }

    /// The precision: the ends are multiples of `2^-bits`.
    #[must_use]
    pub fn bits(&self) -> u32 {
        self.bits
    }

    /// The low end.
    #[must_use]
    pub fn low(&self) -> Rational {
        Rational::new(self.low.clone(), Integer::one() << self.bits)
    }

    /// The high end.
    #[must_use]
    pub fn high(&self) -> Rational {
        Rational::new(self.high.clone(), Integer::one() << self.bits)
    }

    /// The sign of the number inside: `None` when zero cannot be ruled out, `Some(0)` only for the
    /// interval that is exactly zero.
    #[must_use]
    pub fn sign(&self) -> Option<i8> {
        if self.low.is_positive() {
            Some(1)
        } else if self.high.is_negative() {
            Some(-1)
        } else if self.low.is_zero() && self.high.is_zero() {
            Some(0)
        } else {
            None
        }
    }

    /// Whether every number inside is nearer to zero than `2^-exponent`.
    #[must_use]
    pub fn is_below(&self, exponent: u32) -> bool {
        if exponent > self.bits {
            return self.low.is_zero() && self.high.is_zero();
        }
        let limit = Integer::one() << (self.bits - exponent);
        self.low.abs() < limit && self.high.abs() < limit
    }

    /// The same interval at another precision, rounded outwards.
    fn at(&self, bits: u32) -> Self {
        if bits >= self.bits {
            let by = bits - self.bits;
            Self::new(&self.low << by, &self.high << by, bits)
        } else {
            let by = self.bits - bits;
            Self::new(&self.low >> by, up(&self.high, by), bits)
        }
    }

    /// `-self`
    #[must_use]
    pub fn negated(&self) -> Self {
        Self::new(-&self.high, -&self.low, self.bits)
    }

    /// `self + other`
    #[must_use]
    pub fn plus(&self, other: &Self) -> Self {
        Self::new(&self.low + &other.low, &self.high + &other.high, self.bits)
    }

    /// `self - other`
    #[must_use]
    pub fn minus(&self, other: &Self) -> Self {
        Self::new(&self.low - &other.high, &self.high - &other.low, self.bits)
    }

    /// `self × other`
    #[must_use]
    pub fn times(&self, other: &Self) -> Self {
        // Most intervals lie on one side of zero: two products are enough.
        if !self.low.is_negative() && !other.low.is_negative() {
            let low = (&self.low * &other.low) >> self.bits;
            let high = up(&(&self.high * &other.high), self.bits);
            return Self::new(low, high, self.bits);
        }
        if self.high.is_negative() {
            return self.negated().times(other).negated();
        }
        if other.high.is_negative() {
            return self.times(&other.negated()).negated();
        }
        let products = [
            &self.low * &other.low,
            &self.low * &other.high,
            &self.high * &other.low,
            &self.high * &other.high,
        ];
        let [a, b, c, d] = products;
        let low = (&a).min(&b).min((&c).min(&d)) >> self.bits;
        let high = up((&a).max(&b).max((&c).max(&d)), self.bits);
        Self::new(low, high, self.bits)
    }

    /// `self × n`
    #[must_use]
    pub fn times_int(&self, n: &Integer) -> Self {
        let (a, b) = (&self.low * n, &self.high * n);
        if a <= b { Self::new(a, b, self.bits) } else { Self::new(b, a, self.bits) }
    }

    /// `self / n` for a positive whole number.
    #[must_use]
    pub fn over_int(&self, n: &Integer) -> Self {
        Self::new(self.low.div_floor(n), self.high.div_ceil(n), self.bits)
    }

    /// `self / other`; `None` when `other` may be zero.
    #[must_use]
    pub fn over(&self, other: &Self) -> Option<Self> {
        let sign = other.sign().filter(|&s| s != 0)?;
        let (above, below) = if sign > 0 {
            (self.clone(), other.clone())
        } else {
            (self.negated(), other.negated())
        };
        let end = |n: &Integer, is_low: bool| {
            let n = n << self.bits;
            // The quotient is furthest out over the smaller divisor when it points outwards.
            let by_low = n.is_negative() == is_low;
            let divisor = if by_low { &below.low } else { &below.high };
            if is_low { n.div_floor(divisor) } else { n.div_ceil(divisor) }
        };
        Some(Self::new(end(&above.low, true), end(&above.high, false), self.bits))
    }

    /// `self` to a whole power that is not negative.
    #[must_use]
    pub fn power(&self, exponent: u32) -> Self {
        let mut result = Self::int(1, self.bits);
        let mut square = self.clone();
        let mut rest = exponent;
        while rest > 0 {
            if rest & 1 == 1 {
                result = result.times(&square);
            }
            rest >>= 1;
            if rest > 0 {
                square = square.squared();
            }
        }
        result
    }

    fn squared(&self) -> Self {
        let product = self.times(self);
        if self.low.is_negative() && self.high.is_positive() {
            return Self::new(Integer::zero(), product.high, self.bits);
        }
        product
    }

    /// `|self|`
    #[must_use]
    pub fn abs(&self) -> Self {
        if !self.low.is_negative() {
            self.clone()
        } else if !self.high.is_positive() {
            self.negated()
        } else {
            let high = self.low.abs().max(self.high.clone());
            Self::new(Integer::zero(), high, self.bits)
        }
    }

    /// How many bits the whole part of its size may have.
    fn whole_bits(&self) -> u32 {
        let size = self.low.bits().max(self.high.bits());
        u32::try_from(size.saturating_sub(u64::from(self.bits))).unwrap_or(u32::MAX)
    }

    /// The interval from the low end of one to the high end of the other.
    fn hull(low: &Self, high: &Self) -> Self {
        Self::new(low.low.clone(), high.high.clone(), low.bits)
    }
}

/// `n / 2^by`, rounded up.
fn up(n: &Integer, by: u32) -> Integer {
    let down = n >> by;
    let is_exact = n.trailing_zeros().is_none_or(|zeros| zeros >= u64::from(by));
    if is_exact { down } else { down + 1 }
}
