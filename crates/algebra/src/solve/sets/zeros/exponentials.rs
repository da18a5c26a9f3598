//! Where sums of exponentials make zero.

use super::{Found, Search, Zeros, constant_roots};
use crate::equal::value_at;
use crate::normal::{
    Atom, KernelKind, Monomial, Normaliser, NotNormal, Poly, Quotient, Values, constant,
    substituted,
};
use crate::number::{Rational, from_int};
use num_traits::One;
use std::cmp::Ordering;
use std::collections::BTreeMap;

/// Values that are tried where there is no formula: numerators over one and over two.
const TRIED: i64 = 12;

impl Search<'_> {
    /// Two terms; two bases to one exponent, all terms of one degree; or the rule of signs.
    pub(super) fn exponentials(&mut self, poly: &Poly, moving: &[Atom]) -> Found {
        if poly.grouped(|atom| atom.mentions(self.letter)).len() == 2 {
            return self.two_products(poly);
        }
        match self.of_one_degree(poly, moving) {
            Err(NotNormal::NotCovered) => self.by_rule_of_signs(poly),
            found => found,
        }
    }

    /// Two terms of opposite signs: their logarithms are equal.
    pub(super) fn two_products(&mut self, poly: &Poly) -> Found {
        let parts = poly.grouped(|atom| atom.mentions(self.letter));
        let terms: Vec<_> = parts.iter().collect();
        let [(first, a), (second, b)] = &terms[..] else { return Err(NotNormal::NotCovered) };
        let above = Quotient::whole((*b).clone()).negated();
        let Some(below) = Quotient::whole((*a).clone()).reciprocal() else {
            return Ok(Zeros::default());
        };
        let ratio = above.times(&below, self.budget)?;
        let sign = constant::sign(&ratio, self.budget).ok_or(NotNormal::NotCovered)?;
        let powers = [first, second].iter().all(|m| m.iter().all(|(atom, _)| is_power(atom)));
        if sign == 0 || (sign < 0 && powers) {
            return Ok(Zeros::default());
        }
        let ratio = if sign < 0 { ratio.negated() } else { ratio };
        let none = Values::new();
        let left = self.log_of(first)?;
        let right = self.log_of(second)?;
        let ratio = Normaliser::new(&none, self.budget).ln_of(&ratio)?;
        let equation = left.minus(&right, self.budget)?.minus(&ratio, self.budget)?;
        self.poly(equation.numerator())
    }

    /// `u² - uv - 2v² = 0` with `u = 2^x` and `v = 3^x` is an equation for `u/v`.
    fn of_one_degree(&mut self, poly: &Poly, moving: &[Atom]) -> Found {
        let parts = poly.grouped(|atom| atom.mentions(self.letter));
        let terms: Vec<_> = parts.iter().collect();
        let [first, second] = moving else { return Err(NotNormal::NotCovered) };
        let degree = terms.first().map_or(0, |(m, _)| m.degree());
        if !terms.iter().all(|(m, _)| m.degree() == degree) {
            return Err(NotNormal::NotCovered);
        }
        let replaced = BTreeMap::from([(second.clone(), Quotient::constant(Rational::one()))]);
        let one = substituted(poly, &replaced, self.budget)?;
        let mut found = Zeros::default();
        for value in constant_roots(&one.numerator().by_powers_of(first), self.budget)? {
            if constant::sign(&value, self.budget).ok_or(NotNormal::NotCovered)? <= 0 {
                continue;
            }
            let none = Values::new();
            let logarithm = Normaliser::new(&none, self.budget).ln_of(&value)?;
            let (a, b) = (Monomial::atom(first.clone()), Monomial::atom(second.clone()));
            let (left, right) = (self.log_of(&a)?, self.log_of(&b)?);
            let equation = left.minus(&right, self.budget)?.minus(&logarithm, self.budget)?;
            found.add(self.poly(equation.numerator())?);
        }
        Ok(found)
    }

    /// A sum `Σ c·e^(λx)` has no more zeros than its coefficients, ordered by λ, change their sign: Descartes'
    /// rule, for exponentials (G. Pólya and G. Szegő, *Problems and Theorems in Analysis*, volume II, part
    /// five). When as many are found, they are all.
    fn by_rule_of_signs(&mut self, poly: &Poly) -> Found {
        let mut terms: Vec<(Quotient, i8)> = Vec::new();
        for (monomial, coefficient) in poly.grouped(|atom| atom.mentions(self.letter)) {
            let growth = self.growth(&monomial)?;
            let sign = constant::poly_sign(&coefficient, self.budget);
            terms.push((growth, sign.filter(|&s| s != 0).ok_or(NotNormal::NotCovered)?));
        }
        let mut known = true;
        terms.sort_by(|(a, _), (b, _)| {
            super::real::compare(a, b, self.budget).unwrap_or_else(|| {
                known = false;
                Ordering::Equal
            })
        });
        if !known {
            return Err(NotNormal::NotCovered);
        }
        let most = terms.windows(2).filter(|pair| pair[0].1 != pair[1].1).count();
        let mut found = Zeros::default();
        if most == 0 {
            return Ok(found);
        }
        let expr = poly.to_expr();
        let halves = (0..=2 * TRIED).flat_map(|n| [n, -n]).skip(1);
        for value in halves.map(|n| Rational::new(n.into(), 2.into())) {
            let at = Values::from([(self.letter.to_owned(), Quotient::constant(value.clone()))]);
            let zero = value_at(&expr, &at, self.budget)
                .is_ok_and(|v| constant::sign(&v, self.budget) == Some(0));
            if zero {
                found.points.push(Quotient::constant(value));
                if found.points.len() == most {
                    return Ok(found);
                }
            }
        }
        Err(NotNormal::NotCovered)
    }

    /// The factor λ of the letter in the exponent of a product of powers, written with base e.
    fn growth(&mut self, monomial: &Monomial) -> Result<Quotient, NotNormal> {
        let logarithm = self.log_of(monomial)?;
        let poly = logarithm.as_poly().ok_or(NotNormal::NotCovered)?;
        match &poly.by_powers_of(&Atom::symbol(self.letter))[..] {
            [] | [_] => Ok(Quotient::default()),
            [rest, factor] if !rest.mentions(self.letter) && factor.is_constant() => {
                Ok(Quotient::whole(factor.clone()))
            }
            _ => Err(NotNormal::NotCovered),
        }
    }

    /// The logarithm of the size of a product.
    fn log_of(&mut self, monomial: &Monomial) -> Result<Quotient, NotNormal> {
        let none = Values::new();
        let mut sum = Quotient::default();
        for (atom, exponent) in monomial.iter() {
            let mut forms = Normaliser::new(&none, self.budget);
            let logarithm = match atom.as_kernel() {
                Some(k) if k.kind == KernelKind::Power => {
                    let logarithm = forms.ln_of(&k.arguments[0])?;
                    k.arguments[1].times(&logarithm, self.budget)?
                }
                _ => forms.ln_of(&Quotient::whole(Poly::atom(atom.clone())))?,
            };
            let times = Quotient::constant(from_int(i64::from(*exponent)));
            sum = sum.plus(&logarithm.times(&times, self.budget)?, self.budget)?;
        }
        Ok(sum)
    }
}

fn is_power(atom: &Atom) -> bool {
    atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Power)
}
