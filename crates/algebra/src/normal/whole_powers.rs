//! Powers whose exponents are letters for whole numbers: `(-1)^n`, `x^n`, and the angle `nπ`.
//!
//! `x^n = |x|^n · sgn(x)^n`, where the second factor is 1 or -1 and only the parity of `n` counts: it is written
//! with one kernel for each odd term of the exponent.

use super::build::{Built, Normaliser, NotNormal, is_surely_positive, kernel};
use super::{Atom, KernelKind, Monomial, Poly, Quotient, constant, factor};
use num_integer::Integer;
use num_traits::{One, Signed};
use std::collections::BTreeSet;

impl<'a> Normaliser<'a> {
    /// The same builder, knowing that these letters stand for whole numbers.
    #[must_use]
    pub fn knowing_whole(mut self, letters: &'a BTreeSet<String>) -> Self {
        self.whole = Some(letters);
        self
    }

    /// Whether a value is a whole number because its letters are.
    pub(super) fn is_whole(&self, value: &Quotient) -> bool {
        let Some(letters) = self.whole.filter(|letters| !letters.is_empty()) else { return false };
        let is_whole =
            |atom: &Atom| matches!(atom, Atom::Symbol(name) if letters.contains(&**name));
        value.as_poly().is_some_and(|poly| {
            poly.terms().all(|(monomial, factor)| {
                factor.is_integer() && monomial.iter().all(|(atom, _)| is_whole(atom))
            })
        })
    }

    /// `base ^ exponent` where the exponent [is whole](Self::is_whole): the base may be negative, not zero.
    pub(super) fn whole_power(&mut self, base: &Quotient, exponent: &Quotient) -> Built {
        if base.is_zero() {
            return Err(NotNormal::NotCovered);
        }
        self.reciprocal(base.clone())?;
        let logarithm = self.ln_of_size(base)?;
        let product = exponent.times(&logarithm, self.budget)?.cancelled(self.budget)?;
        let size = self.exp(&product)?;
        let poly = exponent.as_poly().ok_or(NotNormal::NotCovered)?;
        let sign = self.sign_power(base, &poly)?;
        Ok(size.times(&sign, self.budget)?)
    }

    /// `sgn(base) ^ exponent`
    fn sign_power(&mut self, base: &Quotient, exponent: &Poly) -> Built {
        let mut product = Quotient::constant(num_traits::One::one());
        for term in odd_terms(exponent) {
            let one = self.sign_to(base, &term)?;
            product = product.times(&one, self.budget)?;
        }
        Ok(product)
    }

    fn sign_to(&mut self, base: &Quotient, term: &Monomial) -> Built {
        let minus_one = Quotient::constant(crate::number::from_int(-1));
        let parity = |of: Quotient| {
            if term.is_one() {
                return of;
            }
            let exponent = Quotient::whole(Poly::term(term.clone(), One::one()));
            kernel(KernelKind::SignPower, vec![of, exponent])
        };
        if base.is_constant() {
            return match constant::sign(base, self.budget) {
                Some(1) => Ok(Quotient::constant(One::one())),
                Some(-1) => Ok(parity(minus_one)),
                _ => Err(NotNormal::NotCovered),
            };
        }
        let mut product = Quotient::constant(One::one());
        for poly in [base.numerator(), base.denominator()] {
            if poly.number_content().is_negative() {
                product = product.times(&parity(minus_one.clone()), self.budget)?;
            }
            for (factor, exponent) in factor::split(poly, self.budget)? {
                let factor = Quotient::whole(factor);
                if exponent.is_even()
                    || is_surely_positive(&factor)
                    || self.needs.positive.contains(&factor)
                    || self.needs.not_negative.contains(&factor)
                {
                    continue;
                }
                let inner = sign_power_of(&factor);
                let one = if let Some((of, already)) = inner.filter(|_| !term.is_one()) {
                    let flat = flat(&already.times(term));
                    let exponent = Quotient::whole(Poly::term(flat, One::one()));
                    kernel(KernelKind::SignPower, vec![of, exponent])
                } else if term.is_one() && sign_power_of(&factor).is_some() {
                    factor
                } else if term.is_one() {
                    let size = self.absolute(&factor)?;
                    self.divided(&factor, size)?
                } else {
                    parity(factor)
                };
                product = product.times(&one, self.budget)?;
            }
        }
        Ok(product)
    }

    /// Takes whole multiples of π with letters out of an angle: what is left, and the sign that both the cosine
    /// and the sine get, as `cos(x + nπ) = (-1)^n cos x`.
    pub(super) fn without_half_turns(
        &mut self,
        angle: &Quotient,
    ) -> Result<Option<(Quotient, Quotient)>, NotNormal> {
        if self.whole.is_none_or(BTreeSet::is_empty) {
            return Ok(None);
        }
        let Some(poly) = angle.as_poly() else { return Ok(None) };
        let pi = Monomial::atom(Atom::Constant(crate::expr::Constant::Pi));
        let (mut turns, mut rest) = (Poly::int(0), Poly::int(0));
        for (monomial, coefficient) in poly.terms() {
            let term = Poly::term(monomial.clone(), coefficient.clone());
            let count = monomial.over(&pi).filter(|count| !count.is_one());
            let count = count.map(|count| Poly::term(count, coefficient.clone()));
            match count.filter(|count| self.is_whole(&Quotient::whole(count.clone()))) {
                Some(count) => turns = turns.add(&count, self.budget)?,
                None => rest = rest.add(&term, self.budget)?,
            }
        }
        if turns.is_zero() {
            return Ok(None);
        }
        let sign = self.sign_power(&Quotient::constant(crate::number::from_int(-1)), &turns)?;
        Ok(Some((Quotient::whole(rest), sign)))
    }
}

/// `sgn(x)^n` as x and n.
fn sign_power_of(factor: &Quotient) -> Option<(Quotient, Monomial)> {
    let (monomial, _) = factor.numerator().as_term()?;
    let (atom, _) = monomial.iter().next().filter(|_| monomial.iter().len() == 1)?;
    let kernel = atom.as_kernel().filter(|kernel| kernel.kind == KernelKind::SignPower)?;
    let [of, exponent] = &kernel.arguments[..] else { return None };
    let (exponent, _) = exponent.numerator().as_term()?;
    Some((of.clone(), exponent.clone()))
}

/// Each letter to the first power: `n²` is as odd as `n`.
fn flat(monomial: &Monomial) -> Monomial {
    let mut flat = Monomial::default();
    for (atom, _) in monomial.iter() {
        flat.set(atom, 1);
    }
    flat
}

/// The terms of a whole number that make it odd or even, each with its letters to the first power: `n² + 3n` is
/// as odd as `n + n`.
fn odd_terms(exponent: &Poly) -> BTreeSet<Monomial> {
    let mut found = BTreeSet::new();
    for (monomial, factor) in exponent.terms() {
        if factor.to_integer().is_even() {
            continue;
        }
        let flat = flat(monomial);
        if !found.remove(&flat) {
            found.insert(flat);
        }
    }
    found
}
