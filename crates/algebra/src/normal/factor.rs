//! Splitting a polynomial into factors, as far as this is quick: square-free parts, rational roots, and
//! perfect squares in several letters.

use super::{Atom, Poly, Univariate, divide};
use crate::budget::{Budget, Spent};
use crate::number::Integer;
use crate::number::Rational;
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Longer polynomials are not looked at for being a cube or a fifth power.
const LONGEST_POWER: usize = 40;

/// Factors with their exponents. They are primitive with positive leading coefficients, and their
/// product is the polynomial that was split, up to a rational factor.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn split(poly: &Poly, budget: &mut Budget) -> Result<Vec<(Poly, u32)>, Spent> {
    let monomial = poly.monomial_content();
    let mut found: Vec<(Poly, u32)> =
        monomial.iter().map(|(atom, exponent)| (Poly::atom(atom.clone()), *exponent)).collect();
    let rest = primitive(&poly.without(&monomial));
    if rest.as_constant().is_some() {
        return Ok(found);
    }
    if rest.terms().all(|(monomial, _)| monomial.degree() <= 1) {
        found.push((rest, 1));
        return Ok(found);
    }
    let letter = {
        let mut atoms = rest.atoms().into_iter();
        match (atoms.next(), atoms.next()) {
            (Some(Atom::Symbol(name)), None) => Some(name.to_string()),
            _ => None,
        }
    };
    if let Some(letter) = letter
        && let Some(one) = Univariate::from_poly(&rest, &letter)
    {
        for (factor, exponent) in one.square_free_parts(budget)? {
            for factor in linear_and_rest(&factor, budget)? {
                found.push((primitive(&factor.to_poly(&letter)), exponent));
            }
        }
        return Ok(found);
    }
    let mut root = divide::square_root(&rest, budget)?.map(|root| (root, 2));
    for index in [3, 5] {
        // The fifth power of a sum has six terms at least.
        if root.is_none() && rest.len() > index as usize && rest.len() <= LONGEST_POWER {
            root = divide::odd_root(&rest, index, budget)?.map(|root| (root, index));
        }
    }
    match root {
        Some((root, index)) => {
            for (factor, exponent) in split(&root, budget)? {
                found.push((factor, index * exponent));
            }
        }
        None => found.push((rest, 1)),
    }
    Ok(found)
}

/// The factors with rational roots, and what is left.
fn linear_and_rest(poly: &Univariate, budget: &mut Budget) -> Result<Vec<Univariate>, Spent> {
    let mut found = Vec::new();
    let mut rest = poly.clone();
    if poly.degree() > 1 {
        for root in poly.rational_roots().unwrap_or_default() {
            let factor = Univariate::new(vec![-root, Rational::one()]);
            if let Some(quotient) = rest.exact_quotient(&factor, budget)? {
                rest = quotient;
                found.push(factor);
            }
        }
    }
    // (x + 2)(x + 3): the smaller numbers first.
    found.sort_by_key(|factor| factor.coefficients().first().map(|c| (c.abs(), c.clone())));
    if rest.degree() > 0 {
        found.push(rest);
    }
    Ok(found)
}

/// The polynomial with whole coefficients without a common factor and a positive leading one.
#[must_use]
pub fn primitive(poly: &Poly) -> Poly {
    let content = poly.number_content();
    if content.is_zero() || content.is_one() { poly.clone() } else { poly.scale(&content.recip()) }
}

/// The prime factors of a positive whole number, by trial division. What is left when the trials
/// end is given as one factor, prime or not.
#[must_use]
pub fn primes(n: &Integer) -> Vec<(Integer, u32)> {
    let mut found = Vec::new();
    let mut rest = n.abs();
    let mut p = 2u32;
    while p <= 2_000 && Integer::from(u64::from(p) * u64::from(p)) <= rest {
        let mut times = 0;
        while rest.is_multiple_of(&p.into()) {
            rest /= p;
            times += 1;
        }
        if times > 0 {
            found.push((Integer::from(p), times));
        }
        p += if p == 2 { 1 } else { 2 };
    }
    if rest > Integer::one() {
        // A power of one number is told as such: 10007² would otherwise hide its root.
        let bits = u32::try_from(rest.bits()).unwrap_or(u32::MAX).min(64);
        let power = (2..=bits).rev().find_map(|k| {
            let root = rest.nth_root(k);
            (num_traits::Pow::pow(&root, k) == rest).then_some((root, k))
        });
        found.push(power.unwrap_or((rest, 1)));
    }
    found
}

/// A rational number as a product of primes with whole exponents, without its sign.
#[must_use]
pub fn prime_powers(value: &Rational) -> Vec<(Integer, i64)> {
    let above = primes(value.numer()).into_iter().map(|(p, k)| (p, i64::from(k)));
    let below = primes(value.denom()).into_iter().map(|(p, k)| (p, -i64::from(k)));
    above.chain(below).filter(|(p, _)| !p.is_one() && p.to_i64() != Some(0)).collect()
}
