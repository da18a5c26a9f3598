//! Division and common factors of polynomials in several atoms.
//!
//! The greatest common divisor is found one atom at a time by primitive remainder sequences
//! (D. E. Knuth, *The Art of Computer Programming*, volume 2, section 4.6.1). Atoms with relations
//! between them are treated as if they were free: a common factor found so is a true one.

use super::{Atom, Poly};
use crate::budget::{Budget, Spent};
use crate::number::{Rational, product_of};
use num_traits::One;

/// Longest polynomials whose common factor is looked for.
const TERMS: usize = 80;

/// `poly / divisor` when nothing is left over.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn exact_quotient(
    poly: &Poly,
    divisor: &Poly,
    budget: &mut Budget,
) -> Result<Option<Poly>, Spent> {
    let Some((lead, factor)) = divisor.leading_term() else { return Ok(None) };
    let mut rest = poly.clone();
    let mut quotient = Vec::new();
    while let Some((monomial, coefficient)) = rest.leading_term() {
        budget.spend(divisor.len() * 4 + 4 + rest.len())?;
        let Some(monomial) = monomial.over(lead) else { return Ok(None) };
        let coefficient = coefficient / factor;
        let product = free_product(&Poly::term(monomial.clone(), coefficient.clone()), divisor);
        rest = rest.minus_plainly(&product);
        quotient.push((monomial, coefficient));
        if rest.len() > crate::budget::TERMS {
            return Err(Spent);
        }
    }
    Ok(Some(Poly::gather(quotient)))
}

/// The product without the relations between atoms, which division has to leave alone.
fn free_product(term: &Poly, poly: &Poly) -> Poly {
    let pairs = term.terms().flat_map(|left| poly.terms().map(move |right| (left, right)));
    Poly::gather(
        pairs.map(|((left, a), (right, b))| (left.times(right), product_of(a, b))).collect(),
    )
}

/// The greatest common divisor, with whole coefficients and a positive leading one; `1` where looking
/// for it would cost too much.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn gcd(a: &Poly, b: &Poly, budget: &mut Budget) -> Result<Poly, Spent> {
    if a.is_zero() || b.is_zero() {
        return Ok(primitive_number(if a.is_zero() { b } else { a }));
    }
    let common = a.monomial_content().common(&b.monomial_content());
    let monomial = Poly::term(common, Rational::one());
    let a = primitive_number(&a.without(&a.monomial_content()));
    let b = primitive_number(&b.without(&b.monomial_content()));
    if a.len() > TERMS || b.len() > TERMS || a.as_constant().is_some() || b.as_constant().is_some()
    {
        return Ok(monomial);
    }
    let atoms = a.atoms();
    // An atom that stands in one of them only can be in no common factor.
    let Some(main) = b.atoms().into_iter().find(|atom| atoms.contains(atom)).cloned() else {
        return Ok(monomial);
    };
    let found = gcd_in(&a, &b, &main, budget)?;
    Ok(primitive_number(&free_product(&monomial, &found)))
}

fn primitive_number(poly: &Poly) -> Poly {
    let content = poly.number_content();
    if poly.is_zero() || content.is_one() { poly.clone() } else { poly.scale(&content.recip()) }
}

/// The common divisor of the coefficients by powers of `main`.
fn content(poly: &Poly, main: &Atom, budget: &mut Budget) -> Result<Poly, Spent> {
    let mut common = Poly::default();
    for coefficient in poly.by_powers_of(main) {
        if coefficient.is_zero() {
            continue;
        }
        if coefficient.as_constant().is_some() {
            return Ok(Poly::int(1));
        }
        common = gcd(&common, &coefficient, budget)?;
        if common.as_constant().is_some() && !common.is_zero() {
            return Ok(Poly::int(1));
        }
    }
    Ok(common)
}

fn gcd_in(a: &Poly, b: &Poly, main: &Atom, budget: &mut Budget) -> Result<Poly, Spent> {
    budget.spend(50)?;
    let (content_a, content_b) = (content(a, main, budget)?, content(b, main, budget)?);
    let shared = gcd(&content_a, &content_b, budget)?;
    let mut a = exact_quotient(a, &content_a, budget)?.ok_or(Spent)?;
    let mut b = exact_quotient(b, &content_b, budget)?.ok_or(Spent)?;
    let degree = |poly: &Poly| poly.by_powers_of(main).len() - 1;
    if degree(&a) < degree(&b) {
        std::mem::swap(&mut a, &mut b);
    }
    loop {
        if b.is_zero() {
            return Ok(free_product(&shared, &a));
        }
        if degree(&b) == 0 {
            return Ok(shared);
        }
        let rest = remainder(&a, &b, main, budget)?;
        a = b;
        if rest.is_zero() {
            return Ok(free_product(&shared, &a));
        }
        let content = content(&rest, main, budget)?;
        b = primitive_number(&exact_quotient(&rest, &content, budget)?.ok_or(Spent)?);
    }
}

/// The pseudo-remainder of `a` by `b` in powers of `main`.
fn remainder(a: &Poly, b: &Poly, main: &Atom, budget: &mut Budget) -> Result<Poly, Spent> {
    let below = b.by_powers_of(main);
    let lead = below.last().cloned().unwrap_or_default();
    let mut rest = a.clone();
    loop {
        let parts = rest.by_powers_of(main);
        if rest.is_zero() || parts.len() < below.len() {
            return Ok(rest);
        }
        let top = parts.last().cloned().unwrap_or_default();
        // Each pair of terms is multiplied, and sorted in among the others.
        budget.spend(20 + 10 * (rest.len() * lead.len() + top.len() * b.len()))?;
        let shift = u32::try_from(parts.len() - below.len()).map_err(|_| Spent)?;
        let mut power = super::Monomial::default();
        power.set(main, shift);
        let factor = free_product(&top, &Poly::term(power, Rational::one()));
        rest = free_product(&lead, &rest).minus_plainly(&free_product(&factor, b));
        if rest.len() > TERMS * 4 || !rest.terms().all(|(_, c)| crate::number::is_within_bits(c)) {
            return Err(Spent);
        }
    }
}

/// The polynomial whose square this is, up to sign.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn square_root(poly: &Poly, budget: &mut Budget) -> Result<Option<Poly>, Spent> {
    let Some((monomial, coefficient)) = poly.leading_term() else { return Ok(Some(poly.clone())) };
    let Some(first) = crate::number::exact_root(coefficient, 2) else { return Ok(None) };
    let mut half = super::Monomial::default();
    for (atom, exponent) in monomial.iter() {
        if exponent % 2 == 1 {
            return Ok(None);
        }
        half.set(atom, exponent / 2);
    }
    let lead = Poly::term(half.clone(), first.clone());
    let mut root = lead.clone();
    let mut rest = poly.minus_plainly(&free_product(&lead, &lead));
    for _ in 0..TERMS {
        let Some((monomial, coefficient)) = rest.leading_term() else { return Ok(Some(root)) };
        budget.spend(4 * root.len() + 10)?;
        let Some(monomial) = monomial.over(&half) else { return Ok(None) };
        let next = Poly::term(monomial, coefficient / (&first * crate::number::from_int(2)));
        // (root + next)² - root² = 2 root next + next²
        let doubled = root.scale(&crate::number::from_int(2)).minus_plainly(&next.negated());
        rest = rest.minus_plainly(&free_product(&next, &doubled));
        root = root.minus_plainly(&next.negated());
        if rest.len() > TERMS * 2 {
            return Ok(None);
        }
    }
    Ok(None)
}

/// The polynomial of which this is the power with an odd index.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn odd_root(poly: &Poly, index: u32, budget: &mut Budget) -> Result<Option<Poly>, Spent> {
    let Some((monomial, coefficient)) = poly.leading_term() else { return Ok(Some(poly.clone())) };
    let Some(first) = crate::number::exact_root(coefficient, index) else { return Ok(None) };
    let mut lead = super::Monomial::default();
    for (atom, exponent) in monomial.iter() {
        if !exponent.is_multiple_of(index) {
            return Ok(None);
        }
        lead.set(atom, exponent / index);
    }
    // Each further term is what is left over index · leadⁿ⁻¹.
    let lead = Poly::term(lead, first);
    let power = |root: &Poly, times: u32| {
        (0..times).fold(Poly::int(1), |product, _| free_product(&product, root))
    };
    let below = power(&lead, index - 1).scale(&crate::number::from_int(i64::from(index)));
    let Some((divisor, factor)) = below.as_term() else { return Ok(None) };
    let mut root = lead;
    // A power of a sum has many more terms than the sum.
    for _ in 0..=poly.len() {
        budget.spend(20 * root.len() * poly.len())?;
        let rest = poly.minus_plainly(&power(&root, index));
        let Some((monomial, coefficient)) = rest.leading_term() else { return Ok(Some(root)) };
        let Some(monomial) = monomial.over(divisor) else { return Ok(None) };
        let next = Poly::term(monomial, coefficient / factor);
        root = root.minus_plainly(&next.negated());
        if root.len() > poly.len() {
            return Ok(None);
        }
    }
    Ok(None)
}
