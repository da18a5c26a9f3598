//! Constants: their enclosures, and the proof that one is zero.
//!
//! A value that is not zero is told apart from zero by an enclosure. A value that is zero is proved so
//! by a separation bound: an algebraic number of degree `D` that is a quotient `U/L` of algebraic
//! integers whose conjugates are at most `u` and `l` is zero or at least `1/(l·u^(D-1))` away from it
//! (C. Burnikel, R. Fleischer, K. Mehlhorn, S. Schirra, "A strong and easily computable separation bound
//! for arithmetic expressions involving radicals", 2000). Where transcendental numbers take part, the
//! value is a polynomial in them with algebraic coefficients, and zero when these are.

use super::{Atom, Kernel, KernelKind, Poly, Quotient};
use crate::ball::Enclosure;
use crate::budget::{Budget, Spent};
use crate::expr::Constant;
use crate::number::Rational;
use num_integer::Integer as _;
use num_traits::{Signed, ToPrimitive, Zero};
use std::collections::BTreeSet;

/// First precision tried, in bits: with the guard bits a number still fits a machine word.
const FIRST: u32 = 34;
/// Highest precision for values that may be transcendental.
const LAST: u32 = 544;
/// Enclosures up to this precision are kept for the next question.
const KEPT: u32 = 256;
/// Highest precision that a separation bound may ask for.
const SEPARATION: u64 = 10_000;

/// An enclosure of a constant polynomial; `None` when it has letters, or when this precision does not
/// show that it is defined.
#[must_use]
pub fn enclose_poly(poly: &Poly, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    let mut sum = Enclosure::int(0, bits);
    for (monomial, coefficient) in poly.terms() {
        let mut product: Option<Enclosure> = None;
        for (atom, exponent) in monomial.iter() {
            let factor = enclose_atom(atom, bits, budget)?.power(*exponent);
            product = Some(match product {
                Some(before) => before.times(&factor),
                None => factor,
            });
        }
        let term = match product {
            None => Enclosure::of(coefficient, bits),
            Some(product) => product.times_int(coefficient.numer()).over_int(coefficient.denom()),
        };
        sum = sum.plus(&term);
    }
    Some(sum)
}

/// An enclosure of a constant quotient; `None` as for [`enclose_poly`].
#[must_use]
pub fn enclose(value: &Quotient, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    let above = enclose_poly(value.numerator(), bits, budget)?;
    if value.denominator().is_one() {
        return Some(above);
    }
    above.over(&enclose_poly(value.denominator(), bits, budget)?)
}

fn enclose_atom(atom: &Atom, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    match atom {
        Atom::Symbol(_) | Atom::Unit(_) => None,
        Atom::Constant(Constant::Pi) => Some(Enclosure::pi(bits)),
        Atom::Constant(Constant::Euler) => Enclosure::int(1, bits).exp(),
        Atom::Kernel(kernel) => {
            let key = (atom.clone(), bits);
            if let Some(known) = budget.enclosures.get(&key) {
                return Some(known.clone());
            }
            let found = enclose_kernel(kernel, bits, budget)?;
            if bits <= KEPT {
                budget.enclosures.insert(key, found.clone());
            }
            Some(found)
        }
    }
}

fn enclose_kernel(kernel: &Kernel, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    let mut argument = |at: usize| enclose(kernel.arguments.get(at)?, bits, budget);
    match kernel.kind {
        KernelKind::PrimeRoot => argument(0)?.root(2),
        KernelKind::Root(index) => argument(0)?.root(index),
        KernelKind::Absolute => Some(argument(0)?.abs()),
        KernelKind::Power => argument(0)?.abs().ln()?.times(&argument(1)?).exp(),
        KernelKind::Ln => argument(0)?.abs().ln(),
        KernelKind::Sin => Some(argument(0)?.sin()),
        KernelKind::Cos => Some(argument(0)?.cos()),
        KernelKind::Arcsin => Some(argument(0)?.arcsin()),
        KernelKind::Arctan => Some(argument(0)?.arctan()),
        KernelKind::Factorial | KernelKind::SignPower => None,
        KernelKind::Algebraic => super::algebraic::enclosure(kernel, bits),
        KernelKind::IsolatedRoot => super::isolated_root::enclosure(kernel, bits, budget),
    }
}

/// The sign of a constant: -1, 0 or 1, each proved. `None` when it is no constant, has no value, or
/// could not be told.
#[must_use]
pub fn sign(value: &Quotient, budget: &mut Budget) -> Option<i8> {
    if let Some(value) = value.as_constant() {
        return Some(rational_sign(&value));
    }
    match poly_sign(value.numerator(), budget)? {
        0 => Some(0),
        above => match value.denominator().as_constant() {
            Some(_) => Some(above),
            None => Some(above * poly_sign(value.denominator(), budget).filter(|&s| s != 0)?),
        },
    }
}

/// The sign of a constant polynomial, as [`sign`].
#[must_use]
pub fn poly_sign(poly: &Poly, budget: &mut Budget) -> Option<i8> {
    if let Some(value) = poly.as_constant() {
        return Some(rational_sign(&value));
    }
    if !poly.is_constant() {
        return None;
    }
    let is_unit = |atom: &Atom| matches!(atom, Atom::Unit(_));
    if poly.terms().any(|(monomial, _)| monomial.iter().any(|(atom, _)| is_unit(atom))) {
        // Units are positive and independent: only what stands before one unit has a sign.
        let parts = poly.grouped(is_unit);
        let mut signs = Vec::new();
        for part in parts.values() {
            signs.push(poly_sign(part, budget)?);
        }
        signs.retain(|&sign| sign != 0);
        return match signs[..] {
            [] => Some(0),
            [sign] => Some(sign),
            _ => None,
        };
    }
    let mut bits = FIRST;
    let mut tried_zero = false;
    while bits <= LAST {
        pay(poly, bits, budget).ok()?;
        let inside = enclose_poly(poly, bits, budget);
        if let Some(sign) = inside.as_ref().and_then(Enclosure::sign).filter(|&s| s != 0) {
            return Some(sign);
        }
        if !tried_zero && inside.is_some_and(|inside| inside.is_below(40)) {
            tried_zero = true;
            if is_zero(poly, budget) {
                return Some(0);
            }
        }
        bits *= 2;
    }
    // Nearer to zero than the last enclosure shows, and algebraic: the bound says how far to look.
    match separation(poly) {
        Some(needed) if needed <= SEPARATION => {
            let bits = u32::try_from(needed).ok()? + 64;
            pay(poly, bits, budget).ok()?;
            enclose_poly(poly, bits, budget)?.sign()
        }
        _ => None,
    }
}

fn rational_sign(value: &Rational) -> i8 {
    if value.is_zero() {
        0
    } else if value.is_positive() {
        1
    } else {
        -1
    }
}

/// Pays for an enclosure, part by part: what a tower of powers would cost is too much to be added up.
fn pay(poly: &Poly, bits: u32, budget: &mut Budget) -> Result<(), Spent> {
    let words = bits as usize / 64 + 1;
    let product = words * (words + 16) / 16;
    for kernel in poly.atoms().into_iter().filter_map(Atom::as_kernel) {
        if kernel.kind != KernelKind::Algebraic {
            for part in &kernel.arguments {
                pay(part.numerator(), bits, budget)?;
                pay(part.denominator(), bits, budget)?;
            }
        }
        let products = match kernel.kind {
            KernelKind::PrimeRoot => 4,
            KernelKind::Root(index) => 4 + 2 * index as usize,
            KernelKind::Algebraic => 40 * kernel.arguments.len(),
            KernelKind::Absolute | KernelKind::Factorial => 1,
            // Its function is looked at some dozens of times.
            KernelKind::IsolatedRoot => 20 * bits as usize,
            _ => bits as usize / 2,
        };
        budget.spend(product * products)?;
    }
    budget.spend(poly.terms().map(|(m, _)| product * (2 + 4 * m.iter().len())).sum())
}

/// Whether a constant polynomial is proved to be zero.
fn is_zero(poly: &Poly, budget: &mut Budget) -> bool {
    let is_transcendental = |atom: &Atom| Algebraic::of_atom(atom).is_none();
    let parts = poly.grouped(is_transcendental);
    if parts.keys().all(super::Monomial::is_one) {
        return is_algebraic_zero(poly, budget);
    }
    parts.len() > 1 && parts.values().all(|part| is_algebraic_zero(part, budget))
        || super::closed::is_zero(poly, budget)
}

/// Whether an algebraic polynomial lies within its separation bound.
fn is_algebraic_zero(poly: &Poly, budget: &mut Budget) -> bool {
    let Some(needed) = separation(poly).filter(|&needed| needed <= SEPARATION) else {
        return false;
    };
    let Ok(bound) = u32::try_from(needed) else { return false };
    let mut bits = bound + 32;
    // The enclosure may be wider than one unit: a few bits more make up for it.
    for _ in 0..3 {
        if pay(poly, bits, budget).is_err() {
            return false;
        }
        match enclose_poly(poly, bits, budget) {
            Some(found) if found.sign().is_some_and(|s| s != 0) => return false,
            Some(found) if found.is_below(bound + 1) => return true,
            _ => bits += bits / 2,
        }
    }
    false
}

/// How many bits below one tell an algebraic value from zero.
fn separation(poly: &Poly) -> Option<u64> {
    let bound = Algebraic::of_poly(poly)?;
    let mut kernels = BTreeSet::new();
    collect_kernels(poly, &mut kernels);
    let mut degree: u64 = 1;
    let mut parts = crate::number::Integer::from(1);
    for kernel in kernels {
        if kernel.kind == KernelKind::Cos {
            let turns = super::circular::turns(kernel.arguments.first()?)?;
            parts = parts.lcm(turns.denom());
        } else {
            degree = degree.checked_mul(degree_of(kernel)?).filter(|&d| d <= 4_096)?;
        }
    }
    degree = degree.checked_mul(cyclotomic_degree(&parts)?).filter(|&d| d <= 4_096)?;
    Some(bound.above.checked_mul(degree - 1)?.checked_add(bound.below)? / UNIT + 2)
}

fn collect_kernels<'a>(poly: &'a Poly, found: &mut BTreeSet<&'a Kernel>) {
    for atom in poly.atoms() {
        if let Atom::Kernel(kernel) = atom
            && found.insert(kernel)
            && !matches!(kernel.kind, KernelKind::Algebraic | KernelKind::Cos)
        {
            for argument in &kernel.arguments {
                collect_kernels(argument.numerator(), found);
                collect_kernels(argument.denominator(), found);
            }
        }
    }
}

fn degree_of(kernel: &Kernel) -> Option<u64> {
    Some(match kernel.kind {
        KernelKind::PrimeRoot => 2,
        KernelKind::Root(index) => u64::from(index),
        KernelKind::Algebraic => (kernel.arguments.len() as u64).checked_sub(3)?,
        _ => return None,
    })
}

/// The degree of the real field that holds all `2 cos(πa/b)`: φ(2b)/2.
fn cyclotomic_degree(b: &crate::number::Integer) -> Option<u64> {
    let twice = b.to_u64().filter(|&b| b < 10_000)? * 2;
    let totient = (1..=twice).filter(|k| k.gcd(&twice) == 1).count() as u64;
    Some((totient / 2).max(1))
}

/// Logarithms to base two are counted in this many parts, always rounded up.
const UNIT: u64 = 256;

/// Bounds of a quotient `U/L` of algebraic integers: the logarithms of the sizes of their conjugates.
#[derive(Debug, Clone, Copy)]
struct Algebraic {
    above: u64,
    below: u64,
}

fn log_of(n: &crate::number::Integer) -> u64 {
    // 2^(bits - 1) ≤ n < 2^bits; exact for powers of two, which are common.
    let bits = n.bits();
    if n.trailing_zeros() == Some(bits.saturating_sub(1)) {
        bits.saturating_sub(1) * UNIT
    } else {
        bits * UNIT
    }
}

impl Algebraic {
    fn of_poly(poly: &Poly) -> Option<Self> {
        let scale =
            poly.terms().fold(crate::number::Integer::from(1), |m, (_, c)| m.lcm(c.denom()));
        let mut parts: Vec<(u64, u64)> = Vec::new();
        let mut below_all: u64 = log_of(&scale);
        // Every denominator is brought to the product of the highest powers of the atoms' own.
        let mut highest: std::collections::BTreeMap<&Atom, (u32, Self)> = Default::default();
        for (atom, exponent) in poly.terms().flat_map(|(monomial, _)| monomial.iter()) {
            let entry = highest.entry(atom).or_insert((0, Self::of_atom(atom)?));
            entry.0 = entry.0.max(*exponent);
        }
        for (exponent, bound) in highest.values() {
            below_all += u64::from(*exponent) * bound.below;
        }
        for (monomial, coefficient) in poly.terms() {
            let whole = coefficient.numer() * (&scale / coefficient.denom());
            let mut above = log_of(&whole);
            for (atom, (most, bound)) in &highest {
                let exponent = u64::from(monomial.exponent(atom));
                above += exponent * bound.above + (u64::from(*most) - exponent) * bound.below;
            }
            parts.push((above, 0));
        }
        let largest = parts.iter().map(|p| p.0).max().unwrap_or(0);
        let count = log_of(&(parts.len().max(1) as u64).into());
        Some(Self { above: largest + count, below: below_all })
    }

    fn of_quotient(value: &Quotient) -> Option<Self> {
        let (n, d) = (Self::of_poly(value.numerator())?, Self::of_poly(value.denominator())?);
        Some(Self { above: n.above + d.below, below: n.below + d.above })
    }

    fn of_atom(atom: &Atom) -> Option<Self> {
        let kernel = atom.as_kernel()?;
        let argument = kernel.arguments.first()?;
        match kernel.kind {
            KernelKind::PrimeRoot => {
                let prime = argument.as_constant()?;
                Some(Self { above: log_of(prime.numer()).div_ceil(2), below: 0 })
            }
            // √(U/L) = √(U·L^(n-1)) / L
            KernelKind::Root(index) => {
                let inside = Self::of_quotient(argument)?;
                let n = u64::from(index);
                let above = (inside.above + (n - 1) * inside.below).div_ceil(n);
                Some(Self { above, below: inside.below })
            }
            KernelKind::Cos => {
                super::circular::turns(argument)?;
                Some(Self { above: UNIT, below: UNIT })
            }
            KernelKind::Algebraic => {
                let coefficients: Option<Vec<_>> =
                    kernel.arguments.iter().skip(2).map(Quotient::as_constant).collect();
                let coefficients = coefficients?;
                let lead = coefficients.last()?.numer().clone();
                let largest = coefficients.iter().map(|c| log_of(c.numer())).max()?;
                // Cauchy: the conjugates of lead·α are at most |lead| + the largest coefficient.
                Some(Self { above: largest.max(log_of(&lead)) + UNIT, below: log_of(&lead) })
            }
            _ => None,
        }
    }
}

/// Whether a constant adds what no unit has in common, as `3 m + 2 s`, and so is not zero.
#[must_use]
pub fn mixes_units(value: &Quotient, budget: &mut Budget) -> bool {
    let parts = value.numerator().grouped(|atom| matches!(atom, Atom::Unit(_)));
    if parts.len() < 2 {
        return false;
    }
    let mut apart = |part: &Poly| poly_sign(part, budget).is_some_and(|sign| sign != 0);
    parts.values().filter(|part| apart(part)).count() > 1
}
