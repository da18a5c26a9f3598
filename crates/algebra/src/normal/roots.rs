//! Roots in the normal form: what can come out comes out, the rest becomes one kernel whose radicand is
//! a polynomial.

use super::build::{Built, Normaliser, NotNormal, kernel};
use super::{Atom, KernelKind, Monomial, Poly, Quotient, factor};
use crate::number::Integer;
use crate::number::{Rational, exact_root, from_int, square_part};
use num_integer::Integer as _;
use num_traits::{One, Signed, Zero};

impl Normaliser<'_> {
    /// The real root of that index; an even one needs a radicand that is not negative.
    pub(super) fn root(&mut self, index: u32, inside: Quotient) -> Built {
        if index == 0 || index > 200 {
            return Err(NotNormal::NotCovered);
        }
        if index == 1 {
            return Ok(inside);
        }
        if let Some(value) = inside.as_constant() {
            return self.number_root(index, &value);
        }
        if index.is_even() {
            self.must_not_be_negative(&inside)?;
        }
        if index == 2
            && let Some(found) = self.denested(&inside)?
        {
            return Ok(found);
        }
        // The n-th root of N/D is that of N·D^(n-1), over |D| or D.
        let (above, below) = (inside.numerator().clone(), inside.denominator().clone());
        let below_value = Quotient::whole(below.clone());
        let (radicand, outside) = if below.as_constant().is_some() {
            (above, Quotient::constant(Rational::one()))
        } else {
            let raised = below.power(index - 1, self.budget)?;
            let size = if index.is_even() { self.absolute(&below_value)? } else { below_value };
            (above.multiply(&raised, self.budget)?, size.reciprocal().ok_or(NotNormal::Undefined)?)
        };
        let root = self.poly_root(index, &radicand)?;
        Ok(root.times(&outside, self.budget)?)
    }

    fn number_root(&mut self, index: u32, value: &Rational) -> Built {
        // Splitting a long number into primes takes its time.
        let bits = value.numer().bits() + value.denom().bits();
        self.budget.spend(usize::try_from(bits.saturating_sub(64) * 4).unwrap_or(usize::MAX))?;
        if value.is_negative() {
            if index.is_even() {
                return Err(NotNormal::Undefined);
            }
            return Ok(self.number_root(index, &-value)?.negated());
        }
        if let Some(root) = exact_root(value, index) {
            return Ok(Quotient::constant(root));
        }
        if index == 2 {
            return self.prime_roots(value);
        }
        let power = num_traits::Pow::pow(value.denom(), index - 1);
        if power.bits() > crate::budget::BITS {
            return Err(NotNormal::Spent);
        }
        let whole: Integer = value.numer() * power;
        let (mut outside, mut left) = (Integer::one(), Vec::new());
        for (prime, times) in factor::primes(&whole) {
            outside *= num_traits::Pow::pow(&prime, times / index);
            if times % index > 0 {
                left.push((prime, times % index));
            }
        }
        let common = left.iter().fold(index, |g, (_, times)| g.gcd(times));
        let inside = left.iter().fold(Integer::one(), |product, (prime, times)| {
            product * num_traits::Pow::pow(prime, times / common)
        });
        let inside = Rational::from_integer(inside);
        let root = if index / common == 2 {
            self.prime_roots(&inside)?
        } else {
            kernel(KernelKind::Root(index / common), vec![Quotient::constant(inside)])
        };
        let factor = Quotient::constant(Rational::new(outside, value.denom().clone()));
        Ok(root.times(&factor, self.budget)?)
    }

    /// `√(p/q) = √(pq)/q`, and `√n` as a whole number times square roots of distinct primes.
    fn prime_roots(&mut self, value: &Rational) -> Built {
        let below = value.denom();
        let Some((outside, primes)) = square_part(&(value.numer() * below)) else {
            let inside = Quotient::constant(Rational::from_integer(value.numer() * below));
            let factor = Quotient::constant(Rational::new(Integer::one(), below.clone()));
            return Ok(kernel(KernelKind::Root(2), vec![inside]).times(&factor, self.budget)?);
        };
        let mut roots = Monomial::default();
        for prime in primes {
            let prime = Quotient::constant(Rational::from_integer(prime.into()));
            roots.set(&Atom::kernel(KernelKind::PrimeRoot, vec![prime]), 1);
        }
        Ok(Quotient::whole(Poly::term(roots, Rational::new(outside, below.clone()))))
    }

    /// `√(a + b√c) = √((a+d)/2) ± √((a-d)/2)` when `a² - b²c = d²` with a rational `d`.
    fn denested(&mut self, inside: &Quotient) -> Result<Option<Quotient>, NotNormal> {
        let Some(poly) = inside.as_poly() else { return Ok(None) };
        if let Some(found) = self.denested_with_letters(&poly)? {
            return Ok(Some(found));
        }
        if poly.len() > 2 {
            return Ok(None);
        }
        let (mut whole, mut part) = (Rational::zero(), None);
        for (monomial, coefficient) in poly.terms() {
            let is_surd = monomial.iter().all(|(atom, _)| atom.prime_under_root().is_some());
            if monomial.is_one() {
                whole = coefficient.clone();
            } else if is_surd && part.is_none() {
                let under: Rational =
                    monomial.iter().filter_map(|(atom, _)| atom.prime_under_root()).product();
                part = Some((coefficient.clone(), under));
            } else {
                return Ok(None);
            }
        }
        let Some((factor, under)) = part else { return Ok(None) };
        let norm = &whole * &whole - &factor * &factor * under;
        let Some(d) = exact_root(&norm, 2) else { return Ok(None) };
        let two = from_int(2);
        let (first, second) = ((&whole + &d) / &two, (&whole - &d) / &two);
        if first.is_negative() || second.is_negative() {
            return Ok(None);
        }
        let (first, second) = (self.number_root(2, &first)?, self.number_root(2, &second)?);
        let second = if factor.is_negative() { second.negated() } else { second };
        Ok(Some(first.plus(&second, self.budget)?))
    }

    /// The same where a, c and d are polynomials: `√(x + 2√(x-1)) = √(x-1) + 1`. Both a + d and a - d are not
    /// negative there, for their sum 2a and their product b²c are not.
    fn denested_with_letters(&mut self, poly: &Poly) -> Result<Option<Quotient>, NotNormal> {
        let is_surd = |atom: &&Atom| {
            !atom.is_constant() && atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Root(2))
        };
        let surds: Vec<Atom> = poly.atoms().into_iter().filter(is_surd).cloned().collect();
        let [surd] = &surds[..] else { return Ok(None) };
        let parts = poly.by_powers_of(surd);
        let [a, b] = &parts[..] else { return Ok(None) };
        let Some(factor) = b.as_constant() else { return Ok(None) };
        let inside = surd.as_kernel().map(|k| k.arguments[0].numerator().clone());
        let Some(inside) = inside.filter(|_| !a.is_constant()) else { return Ok(None) };
        let under = inside.scale(&(&factor * &factor)).negated();
        let norm = a.multiply(a, self.budget)?.add(&under, self.budget)?;
        let Some(d) = super::divide::square_root(&norm, self.budget)? else { return Ok(None) };
        let half = Rational::new(1.into(), 2.into());
        let first = a.add(&d, self.budget)?.scale(&half);
        let second = a.add(&d.negated(), self.budget)?.scale(&half);
        let first = self.root(2, Quotient::whole(first))?;
        let second = self.root(2, Quotient::whole(second))?;
        Ok(Some(if factor.is_negative() {
            let apart = first.minus(&second, self.budget)?;
            self.absolute(&apart)?
        } else {
            first.plus(&second, self.budget)?
        }))
    }

    fn poly_root(&mut self, index: u32, radicand: &Poly) -> Built {
        let factors = factor::split(radicand, self.budget)?;
        let mut content = radicand.number_content();
        let factors = if index.is_even() {
            let (factors, number) = super::half_angles::as_squares(factors);
            content *= number;
            factors
        } else {
            factors
        };
        let mut outside = self.number_root(index, &content.abs())?;
        let mut inside = Poly::int(1);
        let mut negative = content.is_negative();
        if negative && index.is_odd() {
            outside = outside.negated();
            negative = false;
        }
        let mut left: Vec<(Poly, u32)> = Vec::new();
        for (factor, exponent) in factors {
            if let Some(power) = self.root_of_power(index, &factor, exponent)? {
                outside = outside.times(&power, self.budget)?;
                continue;
            }
            let whole = exponent / index;
            if whole > 0 {
                let factor = Quotient::whole(factor.clone());
                let factor = if index.is_even() && whole.is_odd() {
                    self.absolute(&factor)?
                } else {
                    factor
                };
                outside = outside.times(&factor.power(whole, self.budget)?, self.budget)?;
            }
            if exponent % index > 0 {
                left.push((factor, exponent % index));
            }
        }
        if left.is_empty() {
            return match (negative, outside.is_constant()) {
                (false, _) => Ok(outside),
                (true, true) => Err(NotNormal::Undefined),
                // √(-x²) has a value where it only touches zero: where x is 0, which is needed already.
                (true, false) => Ok(Quotient::default()),
            };
        }
        // ⁴√(x²) is √|x|.
        let common = left.iter().fold(index, |g, (_, exponent)| g.gcd(exponent));
        let sized = common > 1 && index.is_even() && !negative;
        let (index, common) =
            if sized || index.is_odd() { (index / common, common) } else { (index, 1) };
        for (factor, exponent) in left {
            let factor = Quotient::whole(factor);
            let factor = if sized { self.absolute(&factor)? } else { factor };
            let factor = factor.numerator().power(exponent / common, self.budget)?;
            inside = inside.multiply(&factor, self.budget)?;
        }
        if negative {
            inside = inside.negated();
        }
        if index == 1 {
            return Ok(outside.times(&Quotient::whole(inside), self.budget)?);
        }
        let root = self.flattened(index, inside)?;
        Ok(root.times(&outside, self.budget)?)
    }

    /// A root of a root is one root.
    fn flattened(&mut self, index: u32, inside: Poly) -> Built {
        if let Some(Atom::Kernel(k)) = super::powers::only_atom(&inside) {
            let inner = match k.kind {
                KernelKind::Root(inner) => Some(inner),
                KernelKind::PrimeRoot => Some(2),
                _ => None,
            };
            if let (Some(inner), Some(argument)) = (inner, k.arguments.first()) {
                let total =
                    index.checked_mul(inner).filter(|&n| n <= 60).ok_or(NotNormal::Spent)?;
                return Ok(kernel(KernelKind::Root(total), vec![argument.clone()]));
            }
        }
        Ok(kernel(KernelKind::Root(index), vec![Quotient::whole(inside)]))
    }

    /// The root of a factor that is itself a power with a positive base, or the constant e.
    fn root_of_power(
        &mut self,
        index: u32,
        factor: &Poly,
        exponent: u32,
    ) -> Result<Option<Quotient>, NotNormal> {
        let Some(Atom::Kernel(k)) = super::powers::only_atom(factor) else { return Ok(None) };
        let (KernelKind::Power, [base, power]) = (k.kind, &k.arguments[..]) else {
            return Ok(None);
        };
        let part = Quotient::constant(Rational::new(exponent.into(), index.into()));
        let logarithm = self.ln_of_size(&base.clone())?;
        let product = power.times(&part, self.budget)?.times(&logarithm, self.budget)?;
        Ok(Some(self.exp(&product)?))
    }
}
