//! Real algebraic numbers that no roots of whole numbers say: a polynomial, and the interval that
//! holds just one of its roots.

use super::{Atom, Kernel, KernelKind, Poly, Quotient, Root, Univariate};
use crate::ball::Enclosure;
use crate::number::Integer;
use crate::number::Rational;
use num_integer::Integer as _;
use num_traits::{One, Signed, Zero};

/// The number that is the `root` of the square-free `poly`, as a constant.
#[must_use]
pub fn constant(poly: &Univariate, root: &Root) -> Quotient {
    let (low, high) = match root {
        Root::Exact(value) => return Quotient::constant(value.clone()),
        Root::Between(low, high) => (low.clone(), high.clone()),
    };
    let scale = poly.coefficients().iter().fold(Integer::one(), |m, c| m.lcm(c.denom()));
    let common = poly.coefficients().iter().fold(Integer::default(), |g, c| g.gcd(c.numer()));
    let factor =
        Rational::new(scale, if common == Integer::default() { Integer::one() } else { common });
    let whole = poly.coefficients().iter().map(|c| Quotient::constant(c * &factor));
    let arguments = [low, high].map(Quotient::constant).into_iter().chain(whole).collect();
    Quotient::whole(Poly::atom(Atom::kernel(KernelKind::Algebraic, arguments)))
}

/// The interval and the polynomial of such a number.
#[must_use]
pub fn parts(kernel: &Kernel) -> Option<(Root, Univariate)> {
    if kernel.kind != KernelKind::Algebraic {
        return None;
    }
    let values: Vec<Rational> =
        kernel.arguments.iter().map(Quotient::as_constant).collect::<Option<_>>()?;
    let [low, high, coefficients @ ..] = &values[..] else { return None };
    Some((Root::Between(low.clone(), high.clone()), Univariate::new(coefficients.to_vec())))
}

/// Where such a number lies, as a decimal of six places.
#[must_use]
pub fn near(kernel: &Kernel) -> Option<String> {
    let inside = enclosure(kernel, 40)?;
    Some(crate::number::to_decimal_text(&inside.low(), 6))
}

/// An enclosure of such a number.
///
/// The first bits are found by halving; then Newton's method doubles their number, and each time the signs
/// of the polynomial on both sides prove that the root is still inside.
#[must_use]
pub fn enclosure(kernel: &Kernel, bits: u32) -> Option<Enclosure> {
    let (root, poly) = parts(kernel)?;
    let coefficients: Vec<Integer> = poly.coefficients().iter().map(|c| c.to_integer()).collect();
    let (low, high) = root.bounds();
    let (low, high) = (low.clone(), high.clone());
    let rising = poly.sign_at(&high) > 0;
    // The scaled polynomial at n/2^at: positive where the root lies to the left, when it rises.
    let is_left_of_root = |n: &Integer, at: u32| {
        let is_positive = quick_sign(&coefficients, n, at).or_else(|| {
            let value = scaled_value(&coefficients, n, at);
            (!value.is_zero()).then(|| value.is_positive())
        });
        is_positive.map(|positive| positive != rising)
    };
    let place = |value: &Rational, at: u32| (value.numer() << at).div_floor(value.denom());
    let mut at = FIRST;
    let (mut a, mut b) = (place(&low, at), place(&high, at) + 1);
    // Ends outside the isolating interval would see other roots: stay inside it.
    while &b - &a > Integer::from(2) {
        let middle: Integer = (&a + &b) >> 1;
        let value = Rational::new(middle.clone(), Integer::one() << at);
        let left = if value <= low {
            true
        } else if value >= high {
            false
        } else {
            match is_left_of_root(&middle, at) {
                Some(left) => left,
                None => return Some(Enclosure::between(&value, &value, bits)),
            }
        };
        if left { a = middle } else { b = middle }
    }
    while at < bits + 4 {
        let next = (2 * at - 8).min(bits + 8).max(at + 1);
        let start: Integer = (&a + &b) << (next - at - 1);
        let step = newton(&coefficients, &start, next);
        let inside = |n: &Integer| {
            let value = Rational::new(n.clone(), Integer::one() << next);
            low < value && value < high
        };
        let tight = step.map(|middle| (&middle - 8, middle + 8)).filter(|(a, b)| {
            inside(a)
                && inside(b)
                && is_left_of_root(a, next) == Some(true)
                && is_left_of_root(b, next) == Some(false)
        });
        (a, b) = match tight {
            Some(found) => found,
            None => halved(&a, &b, next - at, (&low, &high), next, &is_left_of_root),
        };
        at = next;
    }
    let value = |n: &Integer| Rational::new(n.clone(), Integer::one() << at);
    Some(Enclosure::between(&value(&a).max(low), &value(&b).min(high), bits))
}

/// Bits found by halving before Newton's method takes over.
const FIRST: u32 = 48;
/// Bits that are carried along beyond those asked for.
const GUARD: u32 = 40;

/// The slow way to more bits, where Newton's method went astray.
fn halved(
    a: &Integer,
    b: &Integer,
    by: u32,
    (low, high): (&Rational, &Rational),
    at: u32,
    is_left_of_root: &impl Fn(&Integer, u32) -> Option<bool>,
) -> (Integer, Integer) {
    let (mut a, mut b) = (a << by, b << by);
    while &b - &a > Integer::from(2) {
        let middle: Integer = (&a + &b) >> 1;
        let value = Rational::new(middle.clone(), Integer::one() << at);
        let left = value <= *low || (value < *high && is_left_of_root(&middle, at) != Some(false));
        if left { a = middle } else { b = middle }
    }
    (a, b)
}

/// Whether the polynomial is positive at `n/2^at`, by Horner's scheme in fixed point with a bound on what is cut
/// off; `None` where that is too near to zero to tell.
fn quick_sign(coefficients: &[Integer], n: &Integer, at: u32) -> Option<bool> {
    let size = n.abs();
    let (mut value, mut error) = (Integer::zero(), Integer::zero());
    for coefficient in coefficients.iter().rev() {
        // Each cut is less than one unit, and what was cut before grows with the place.
        value = ((value * n) >> at) + (coefficient << (at + GUARD));
        error = ((error * &size) >> at) + 2;
    }
    (value.abs() > error).then(|| value.is_positive())
}

/// `2^(at·degree)` times the polynomial at `n/2^at`: a whole number.
fn scaled_value(coefficients: &[Integer], n: &Integer, at: u32) -> Integer {
    let mut value = Integer::zero();
    let mut shift = 0u32;
    for coefficient in coefficients.iter().rev() {
        value = value * n + (coefficient << shift);
        shift += at;
    }
    value
}

/// One step of Newton's method from `n/2^at`, with bits to spare for what is cut off; nothing is proved here.
fn newton(coefficients: &[Integer], n: &Integer, at: u32) -> Option<Integer> {
    let fine = at + GUARD;
    let (mut value, mut slope) = (Integer::zero(), Integer::zero());
    for coefficient in coefficients.iter().rev() {
        slope = ((slope * n) >> at) + &value;
        value = ((value * n) >> at) + (coefficient << fine);
    }
    (!slope.is_zero()).then(|| n - (value << at) / slope)
}
