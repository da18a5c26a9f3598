//! Whole numbers without a limit, quick while they are small.
//!
//! Nearly every number of school mathematics fits a machine word; an [`Integer`] keeps it there, without
//! memory of its own, and becomes a [`BigInt`] when an operation would not fit. There is one way to hold
//! each value (`Big` never holds what `Small` could), so equality and hashing are those of the parts.

use crate::work;
use num_bigint::{BigInt, ToBigInt};
use num_integer::{Integer as IntegerRing, Roots};
use num_traits::{Num, One, Pow, Signed, ToPrimitive, Zero};
use std::cmp::Ordering;
use std::fmt;
use std::ops::{
    Add, AddAssign, Div, DivAssign, Mul, MulAssign, Neg, Rem, RemAssign, Shl, Shr, Sub, SubAssign,
};
use std::str::FromStr;

/// A whole number of any size.
#[derive(Clone, PartialEq, Eq, Hash)]
pub struct Integer(Held);

#[derive(Clone, PartialEq, Eq, Hash)]
enum Held {
    Small(Word),
    Big(Box<BigInt>),
}

/// A machine number that need not lie at a multiple of its length: fractions and terms are a quarter
/// smaller for it.
#[derive(Clone, Copy, PartialEq, Eq, Hash)]
#[repr(Rust, packed(8))]
struct Word(i128);

impl Word {
    const fn get(self) -> i128 {
        self.0
    }
}

use Held::{Big, Small};

/// Both numbers as machine words, when they are: most divisions and common factors go this way.
fn words(a: i128, b: i128) -> Option<(i64, i64)> {
    Some((i64::try_from(a).ok()?, i64::try_from(b).ok()?))
}

impl Integer {
    const fn small(n: i128) -> Self {
        Self(Small(Word(n)))
    }

    fn big(&self) -> BigInt {
        match &self.0 {
            Small(n) => BigInt::from(n.get()),
            Big(n) => BigInt::clone(n),
        }
    }

    /// The two numbers by `quick` where it can tell, by `exact` otherwise; that counts as work, by `cost` of their
    /// lengths in machine words.
    fn joined(
        &self,
        other: &Self,
        quick: impl FnOnce(i128, i128) -> Option<i128>,
        exact: impl FnOnce(&BigInt, &BigInt) -> BigInt,
        cost: impl FnOnce(u64, u64) -> u64,
    ) -> Self {
        if let (Small(a), Small(b)) = (&self.0, &other.0)
            && let Some(result) = quick(a.get(), b.get())
        {
            return Self::small(result);
        }
        work::spend(cost(self.length(), other.length()));
        match (&self.0, &other.0) {
            (Big(a), Big(b)) => exact(a, b).into(),
            (Big(a), Small(_)) => exact(a, &other.big()).into(),
            (Small(_), Big(b)) => exact(&self.big(), b).into(),
            (Small(_), Small(_)) => exact(&self.big(), &other.big()).into(),
        }
    }

    /// Its length in machine words.
    fn length(&self) -> u64 {
        self.bits() / 64 + 1
    }

    /// How many binary digits its size has; 0 for zero.
    #[must_use]
    pub fn bits(&self) -> u64 {
        match &self.0 {
            Small(n) => u64::from(u128::BITS - n.get().unsigned_abs().leading_zeros()),
            Big(n) => n.bits(),
        }
    }

    /// How often 2 divides it; `None` for zero.
    #[must_use]
    pub fn trailing_zeros(&self) -> Option<u64> {
        match &self.0 {
            Small(Word(0)) => None,
            Small(n) => Some(u64::from(n.get().trailing_zeros())),
            Big(n) => n.trailing_zeros(),
        }
    }

    /// Its digits in a base from 2 to 36, small letters for ten and more.
    #[must_use]
    pub fn to_str_radix(&self, base: u32) -> String {
        work::spend(pairs(self.length(), self.length()));
        self.big().to_str_radix(base)
    }

    /// The whole part of the `index`-th root.
    ///
    /// # Panics
    /// For an even root of a negative number, and for index 0, as the numbers of the machine do.
    #[must_use]
    pub fn nth_root(&self, index: u32) -> Self {
        match &self.0 {
            Small(n) => Self::small(n.get().nth_root(index)),
            Big(n) => {
                work::spend(pairs(self.length(), self.length()).saturating_mul(4));
                n.nth_root(index).into()
            }
        }
    }
}

impl From<BigInt> for Integer {
    fn from(n: BigInt) -> Self {
        n.to_i128().map_or_else(|| Self(Big(Box::new(n))), Self::small)
    }
}

macro_rules! from_machine {
    ($($machine:ty),*) => {$(
        impl From<$machine> for Integer {
            fn from(n: $machine) -> Self {
                Self::small(i128::from(n))
            }
        }
    )*};
}
from_machine!(u8, u32, u64, i32, i64, i128);

impl From<usize> for Integer {
    fn from(n: usize) -> Self {
        // A usize has at most 64 bits on every machine that Rust knows.
        Self::small(n as i128)
    }
}

impl Default for Integer {
    fn default() -> Self {
        Self::small(0)
    }
}

impl FromStr for Integer {
    type Err = num_bigint::ParseBigIntError;

    fn from_str(digits: &str) -> Result<Self, Self::Err> {
        let length = digits.len() as u64 / 19;
        work::spend(pairs(length, length));
        BigInt::from_str(digits).map(Self::from)
    }
}

impl fmt::Display for Integer {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        match &self.0 {
            Small(n) => fmt::Display::fmt(&n.get(), f),
            Big(n) => {
                work::spend(pairs(self.length(), self.length()));
                fmt::Display::fmt(n, f)
            }
        }
    }
}

impl fmt::Debug for Integer {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        fmt::Display::fmt(self, f)
    }
}

impl PartialOrd for Integer {
    fn partial_cmp(&self, other: &Self) -> Option<Ordering> {
        Some(self.cmp(other))
    }
}

impl Ord for Integer {
    fn cmp(&self, other: &Self) -> Ordering {
        // A big number is further from zero than any small one: its sign alone decides.
        let sign = |n: &BigInt| if n.is_negative() { Ordering::Less } else { Ordering::Greater };
        match (&self.0, &other.0) {
            (Small(a), Small(b)) => a.get().cmp(&b.get()),
            (Big(a), Big(b)) => a.cmp(b),
            (Big(a), Small(_)) => sign(a),
            (Small(_), Big(b)) => sign(b).reverse(),
        }
    }
}

fn multiplied(a: i128, b: i128) -> Option<i128> {
    match words(a, b) {
        Some((a, b)) => Some(i128::from(a) * i128::from(b)),
        None => a.checked_mul(b),
    }
}

fn divided(a: i128, b: i128) -> Option<i128> {
    // One is the commonest denominator by far.
    if b == 1 {
        return Some(a);
    }
    match words(a, b).and_then(|(a, b)| a.checked_div(b)) {
        Some(quotient) => Some(i128::from(quotient)),
        None => a.checked_div(b),
    }
}

fn remaining(a: i128, b: i128) -> Option<i128> {
    match words(a, b).and_then(|(a, b)| a.checked_rem(b)) {
        Some(rest) => Some(i128::from(rest)),
        None => a.checked_rem(b),
    }
}

/// What adding costs: each word once.
const fn each(a: u64, b: u64) -> u64 {
    1 + (a + b) / 64
}

/// What multiplying and dividing cost: each word with each.
const fn pairs(a: u64, b: u64) -> u64 {
    1 + a.saturating_mul(b) / 64
}

/// The operators between two whole numbers, borrowed or not, and with a machine number on the right.
macro_rules! operator {
    ($trait:ident $method:ident, $assign:ident $assign_method:ident, $quick:expr, $exact:expr, $cost:expr) => {
        impl $trait<&Integer> for &Integer {
            type Output = Integer;
            fn $method(self, other: &Integer) -> Integer {
                self.joined(other, $quick, $exact, $cost)
            }
        }
        impl $trait for Integer {
            type Output = Integer;
            fn $method(self, other: Integer) -> Integer {
                $trait::$method(&self, &other)
            }
        }
        impl $trait<&Integer> for Integer {
            type Output = Integer;
            fn $method(self, other: &Integer) -> Integer {
                $trait::$method(&self, other)
            }
        }
        impl $trait<Integer> for &Integer {
            type Output = Integer;
            fn $method(self, other: Integer) -> Integer {
                $trait::$method(self, &other)
            }
        }
        impl $assign<&Integer> for Integer {
            fn $assign_method(&mut self, other: &Integer) {
                *self = $trait::$method(&*self, other);
            }
        }
        impl $assign for Integer {
            fn $assign_method(&mut self, other: Integer) {
                *self = $trait::$method(&*self, &other);
            }
        }
        operator!(@machine $trait $method, $assign $assign_method, i32 u32 i64 u64);
    };
    (@machine $trait:ident $method:ident, $assign:ident $assign_method:ident, $($machine:ty)*) => {$(
        impl $trait<$machine> for Integer {
            type Output = Integer;
            fn $method(self, other: $machine) -> Integer {
                $trait::$method(&self, &Integer::from(other))
            }
        }
        impl $trait<$machine> for &Integer {
            type Output = Integer;
            fn $method(self, other: $machine) -> Integer {
                $trait::$method(self, &Integer::from(other))
            }
        }
        impl $assign<$machine> for Integer {
            fn $assign_method(&mut self, other: $machine) {
                *self = $trait::$method(&*self, &Integer::from(other));
            }
        }
    )*};
}

operator!(Add add, AddAssign add_assign, i128::checked_add, |a, b| a + b, each);
operator!(Sub sub, SubAssign sub_assign, i128::checked_sub, |a, b| a - b, each);
operator!(Mul mul, MulAssign mul_assign, multiplied, |a, b| a * b, pairs);
operator!(Div div, DivAssign div_assign, divided, |a, b| a / b, pairs);
operator!(Rem rem, RemAssign rem_assign, remaining, |a, b| a % b, pairs);

impl Neg for &Integer {
    type Output = Integer;

    fn neg(self) -> Integer {
        match &self.0 {
            Small(n) => n
                .get()
                .checked_neg()
                .map_or_else(|| (-BigInt::from(n.get())).into(), Integer::small),
            Big(n) => (-&**n).into(),
        }
    }
}

impl Neg for Integer {
    type Output = Self;

    fn neg(self) -> Self {
        -&self
    }
}

impl Shl<u32> for &Integer {
    type Output = Integer;

    fn shl(self, by: u32) -> Integer {
        if let Small(n) = &self.0
            && (n.get() == 0 || self.bits() + u64::from(by) < u64::from(i128::BITS))
        {
            return Integer::small(n.get().checked_shl(by).unwrap_or(0));
        }
        work::spend(1 + (self.bits() + u64::from(by)) / 4_096);
        (self.big() << by).into()
    }
}

impl Shl<u32> for Integer {
    type Output = Self;

    fn shl(self, by: u32) -> Self {
        &self << by
    }
}

/// Rounds down, below zero too.
impl Shr<u32> for &Integer {
    type Output = Integer;

    fn shr(self, by: u32) -> Integer {
        match &self.0 {
            Small(n) => Integer::small(n.get() >> by.min(i128::BITS - 1)),
            Big(n) => (&**n >> by).into(),
        }
    }
}

impl Shr<u32> for Integer {
    type Output = Self;

    fn shr(self, by: u32) -> Self {
        &self >> by
    }
}

impl Zero for Integer {
    fn zero() -> Self {
        Self::small(0)
    }

    fn is_zero(&self) -> bool {
        matches!(self.0, Small(Word(0)))
    }
}

impl One for Integer {
    fn one() -> Self {
        Self::small(1)
    }

    fn is_one(&self) -> bool {
        matches!(self.0, Small(Word(1)))
    }
}

impl Num for Integer {
    type FromStrRadixErr = num_bigint::ParseBigIntError;

    fn from_str_radix(digits: &str, base: u32) -> Result<Self, Self::FromStrRadixErr> {
        BigInt::from_str_radix(digits, base).map(Self::from)
    }
}

impl Signed for Integer {
    fn abs(&self) -> Self {
        if self.is_negative() { -self } else { self.clone() }
    }

    fn abs_sub(&self, other: &Self) -> Self {
        if self <= other { Self::zero() } else { self - other }
    }

    fn signum(&self) -> Self {
        match &self.0 {
            Small(n) => Self::small(n.get().signum()),
            Big(n) => n.signum().into(),
        }
    }

    fn is_positive(&self) -> bool {
        match &self.0 {
            Small(n) => n.get() > 0,
            Big(n) => n.is_positive(),
        }
    }

    fn is_negative(&self) -> bool {
        match &self.0 {
            Small(n) => n.get() < 0,
            Big(n) => n.is_negative(),
        }
    }
}

impl Pow<u32> for &Integer {
    type Output = Integer;

    fn pow(self, exponent: u32) -> Integer {
        if let Small(n) = &self.0
            && let Some(power) = n.get().checked_pow(exponent)
        {
            return Integer::small(power);
        }
        let length = (self.bits() / 64 + 1).saturating_mul(exponent.into());
        work::spend(pairs(length, length) / 4 + 1);
        Pow::pow(self.big(), exponent).into()
    }
}

impl Pow<u32> for Integer {
    type Output = Self;

    fn pow(self, exponent: u32) -> Self {
        Pow::pow(&self, exponent)
    }
}

/// The common factor of two sizes by subtraction and halving (J. Stein, 1967).
fn common_factor(mut a: u64, mut b: u64) -> u64 {
    if a == 0 || b == 0 {
        return a | b;
    }
    let twos = (a | b).trailing_zeros();
    a >>= a.trailing_zeros();
    while b != 0 {
        b >>= b.trailing_zeros();
        if a > b {
            (a, b) = (b, a);
        }
        b -= a;
    }
    a << twos
}

impl IntegerRing for Integer {
    fn div_floor(&self, other: &Self) -> Self {
        let quick = |a, b| {
            let quotient = divided(a, b)?;
            let rest = a - quotient * b;
            Some(if rest != 0 && (rest < 0) != (b < 0) { quotient - 1 } else { quotient })
        };
        self.joined(other, quick, IntegerRing::div_floor, pairs)
    }

    fn mod_floor(&self, other: &Self) -> Self {
        let quick = |a, b| {
            let rest = remaining(a, b)?;
            Some(if rest != 0 && (rest < 0) != (b < 0) { rest + b } else { rest })
        };
        self.joined(other, quick, IntegerRing::mod_floor, pairs)
    }

    fn gcd(&self, other: &Self) -> Self {
        if self.is_one() || other.is_one() {
            return Self::one();
        }
        // Long numbers over powers of two: halving tells what subtracting would take long to.
        if let (Some(a), Some(b)) = (self.trailing_zeros(), other.trailing_zeros())
            && matches!((&self.0, &other.0), (Big(_), _) | (_, Big(_)))
            && (self.bits() == a + 1 || other.bits() == b + 1)
        {
            return &Self::one() << u32::try_from(a.min(b)).unwrap_or(u32::MAX);
        }
        let quick = |a: i128, b: i128| {
            let (a, b) = (a.unsigned_abs(), b.unsigned_abs());
            match (u64::try_from(a), u64::try_from(b)) {
                (Ok(a), Ok(b)) => Some(i128::from(common_factor(a, b))),
                _ => i128::try_from(IntegerRing::gcd(&a, &b)).ok(),
            }
        };
        self.joined(other, quick, IntegerRing::gcd, |a, b| pairs(a, b).saturating_mul(8))
    }

    fn lcm(&self, other: &Self) -> Self {
        if self.is_zero() || other.is_zero() {
            return Self::zero();
        }
        (self / self.gcd(other) * other).abs()
    }

    fn is_multiple_of(&self, other: &Self) -> bool {
        if other.is_zero() { self.is_zero() } else { (self % other).is_zero() }
    }

    fn is_even(&self) -> bool {
        match &self.0 {
            Small(n) => n.get() & 1 == 0,
            Big(n) => n.is_even(),
        }
    }

    fn is_odd(&self) -> bool {
        !self.is_even()
    }

    fn div_rem(&self, other: &Self) -> (Self, Self) {
        (self / other, self % other)
    }
}

impl ToPrimitive for Integer {
    fn to_i64(&self) -> Option<i64> {
        match &self.0 {
            Small(n) => i64::try_from(n.get()).ok(),
            Big(_) => None,
        }
    }

    fn to_u64(&self) -> Option<u64> {
        match &self.0 {
            Small(n) => u64::try_from(n.get()).ok(),
            Big(_) => None,
        }
    }

    fn to_i128(&self) -> Option<i128> {
        match &self.0 {
            Small(n) => Some(n.get()),
            Big(_) => None,
        }
    }

    fn to_f64(&self) -> Option<f64> {
        match &self.0 {
            Small(n) => n.get().to_f64(),
            Big(n) => n.to_f64(),
        }
    }
}

impl ToBigInt for Integer {
    fn to_bigint(&self) -> Option<BigInt> {
        Some(self.big())
    }
}

#[cfg(test)]
mod tests;
