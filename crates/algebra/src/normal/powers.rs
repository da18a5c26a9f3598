//! Powers, exponentials and logarithms in the normal form.
//!
//! `a^b` is `exp(b ln a)`: logarithms split over products, and what is an exponential of a logarithm is
//! written as a power again, so that the laws of indices and of logarithms come out of one rule.

use super::build::{Built, Normaliser, NotNormal, euler, kernel};
use super::{Atom, KernelKind, Monomial, Poly, Quotient, constant, factor};
use crate::expr::Constant;
use crate::number::Integer;
use crate::number::{Rational, from_int};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};

impl Normaliser<'_> {
    pub(super) fn power(&mut self, base: Quotient, exponent: &Quotient) -> Built {
        let Some(exponent) = exponent.as_constant() else {
            return self.exponential(&base, exponent);
        };
        self.rational_power(base, &exponent)
    }

    pub(super) fn rational_power(&mut self, base: Quotient, exponent: &Rational) -> Built {
        if *exponent == from_int(-1) {
            return self.reciprocal(base);
        }
        let size = exponent.abs();
        let times = size.numer().to_u32().ok_or(NotNormal::Spent)?;
        let base = if exponent.is_integer() {
            base
        } else {
            let index = size.denom().to_u32().filter(|&n| n <= 60).ok_or(NotNormal::Spent)?;
            self.root(index, base)?
        };
        if exponent.is_zero() {
            // 0^0 has no value.
            self.reciprocal(base)?;
            return Ok(Quotient::constant(Rational::one()));
        }
        let raised = match base.as_constant() {
            Some(value) => Quotient::constant(number_power(value, times)?),
            None => base.power(times, self.budget)?,
        };
        if exponent.is_negative() { self.reciprocal(raised) } else { Ok(raised) }
    }

    /// A power whose exponent is no rational number: its base must be positive.
    fn exponential(&mut self, base: &Quotient, exponent: &Quotient) -> Built {
        if self.is_whole(exponent) {
            return self.whole_power(base, exponent);
        }
        self.must_be_positive(base)?;
        let logarithm = self.ln_of_size(base)?;
        // 10^(log x): the logarithm of the base cancels.
        let product = exponent.times(&logarithm, self.budget)?.cancelled(self.budget)?;
        self.exp(&product)
    }

    /// `e` to that power.
    pub(super) fn exp(&mut self, exponent: &Quotient) -> Built {
        let below = Quotient::whole(exponent.denominator().clone());
        let below = below.reciprocal().ok_or(NotNormal::Undefined)?;
        let mut product = Quotient::constant(Rational::one());
        for (monomial, coefficient) in exponent.numerator().terms() {
            let is_log = |atom: &Atom| atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Ln);
            let (logs, others) = monomial.partition(is_log);
            let (base, rest) = match logs.iter().next() {
                Some((atom, 1)) if logs.degree() == 1 => {
                    let inside = atom.as_kernel().and_then(|k| k.arguments.first()).cloned();
                    (inside.ok_or(NotNormal::NotCovered)?, others)
                }
                _ => (euler(), monomial.clone()),
            };
            let rest = Quotient::whole(Poly::term(rest, coefficient.clone()));
            let rest = rest.times(&below, self.budget)?;
            let base = self.size(&base)?;
            let factor = match rest.as_constant() {
                Some(number) if base == euler() => self.rational_power(base, &number)?,
                Some(number) => self.rational_power(base, &number)?,
                None => self.single_power(without_size(base), &rest)?,
            };
            product = product.times(&factor, self.budget)?;
        }
        Ok(product)
    }

    /// `|value|`, told simply where it is known to be positive.
    fn size(&mut self, value: &Quotient) -> Built {
        if self.needs.positive.contains(value) || *value == euler() {
            return Ok(value.clone());
        }
        self.absolute(value)
    }

    /// A power with a single-term exponent: the whole multiple of it becomes the kernel's exponent.
    fn single_power(&mut self, base: Quotient, exponent: &Quotient) -> Built {
        let factor = exponent.numerator().leading();
        let times = factor.numer().abs().to_u32().filter(|&n| n <= 64);
        let (times, inside) = match times {
            Some(n) => (n, exponent.times(&Quotient::constant(factor.recip()), self.budget)?),
            None => (1, exponent.clone()),
        };
        let inside = match times {
            1 if factor.numer().abs() != Integer::one() => inside,
            _ => {
                let part = Rational::new(Integer::one(), factor.denom().clone());
                inside.times(&Quotient::constant(part), self.budget)?
            }
        };
        let one = kernel(KernelKind::Power, vec![base, inside]);
        // In a tower, each level may double what stands above it.
        self.budget.spend(one.size())?;
        let raised = one.power(times, self.budget)?;
        let flips = factor.is_negative() && !(times == 1 && factor.numer().abs() != Integer::one());
        if flips { raised.reciprocal().ok_or(NotNormal::Undefined) } else { Ok(raised) }
    }

    pub(super) fn ln(&mut self, value: &Quotient) -> Built {
        self.must_be_positive(value)?;
        self.ln_of_size(value)
    }

    /// The logarithm of the absolute value of what is not zero.
    pub(super) fn ln_of_size(&mut self, value: &Quotient) -> Built {
        let above = self.ln_of_poly(value.numerator())?;
        let below = self.ln_of_poly(value.denominator())?;
        Ok(above.minus(&below, self.budget)?)
    }

    fn ln_of_poly(&mut self, poly: &Poly) -> Built {
        let content = poly.number_content();
        if content.is_zero() {
            return Err(NotNormal::Undefined);
        }
        let mut sum = Quotient::default();
        for (prime, times) in factor::prime_powers(&content) {
            let prime = Quotient::constant(Rational::from_integer(prime));
            let times = Quotient::constant(from_int(times));
            let term = kernel(KernelKind::Ln, vec![prime]).times(&times, self.budget)?;
            sum = sum.plus(&term, self.budget)?;
        }
        for (factor, exponent) in factor::split(poly, self.budget)? {
            let atom = factor.as_term().and_then(|(monomial, _)| {
                let mut atoms = monomial.iter();
                match (atoms.next(), atoms.next()) {
                    (Some((atom, 1)), None) => Some(atom.clone()),
                    _ => None,
                }
            });
            let one = match atom {
                Some(atom) => self.ln_of_atom(&atom)?,
                None => kernel(KernelKind::Ln, vec![Quotient::whole(factor)]),
            };
            let times = Quotient::constant(from_int(i64::from(exponent)));
            sum = sum.plus(&one.times(&times, self.budget)?, self.budget)?;
        }
        Ok(sum)
    }

    fn ln_of_atom(&mut self, atom: &Atom) -> Built {
        let plain = || kernel(KernelKind::Ln, vec![Quotient::whole(Poly::atom(atom.clone()))]);
        let part = |n: u32| Quotient::constant(Rational::new(1.into(), n.into()));
        match atom {
            Atom::Constant(Constant::Euler) => Ok(Quotient::constant(Rational::one())),
            Atom::Kernel(k) => match (k.kind, &k.arguments[..]) {
                // 1 or -1: its size is 1.
                (KernelKind::SignPower, _) => Ok(Quotient::default()),
                (KernelKind::PrimeRoot, [a]) => {
                    let inside = self.ln_of_size(a)?;
                    Ok(inside.times(&part(2), self.budget)?)
                }
                (KernelKind::Root(index), [a]) => {
                    let inside = self.ln_of_size(a)?;
                    Ok(inside.times(&part(index), self.budget)?)
                }
                (KernelKind::Absolute, [a]) => self.ln_of_size(a),
                (KernelKind::Power, [base, exponent]) => {
                    let inside = self.ln_of_size(base)?;
                    Ok(inside.times(exponent, self.budget)?)
                }
                _ => Ok(plain()),
            },
            _ => Ok(plain()),
        }
    }

    /// `|value|`
    pub(super) fn absolute(&mut self, value: &Quotient) -> Built {
        if value.is_constant() {
            return match constant::sign(value, self.budget) {
                Some(s) if s < 0 => Ok(value.negated()),
                Some(_) => Ok(value.clone()),
                None => Err(NotNormal::NotCovered),
            };
        }
        if self.needs.positive.contains(value) || self.needs.not_negative.contains(value) {
            return Ok(value.clone());
        }
        let above = self.size_of_poly(value.numerator())?;
        let below = self.size_of_poly(value.denominator())?;
        let below = below.reciprocal().ok_or(NotNormal::Undefined)?;
        Ok(above.times(&below, self.budget)?)
    }

    fn size_of_poly(&mut self, poly: &Poly) -> Built {
        if poly.is_zero() {
            return Ok(Quotient::default());
        }
        let mut product = Quotient::constant(poly.number_content().abs());
        for (factor, exponent) in factor::split(poly, self.budget)? {
            let factor = Quotient::whole(factor);
            let even = factor.power(exponent - exponent % 2, self.budget)?;
            product = product.times(&even, self.budget)?;
            if exponent % 2 == 1 {
                let size = self.size_of_factor(factor)?;
                product = product.times(&size, self.budget)?;
            }
        }
        Ok(product)
    }

    fn size_of_factor(&mut self, factor: Quotient) -> Built {
        // |∛x| is ∛|x|.
        if let Some(Atom::Kernel(root)) = only_atom(factor.numerator())
            && let KernelKind::Root(index) = root.kind
            && index.is_odd()
        {
            let size = self.absolute(&root.arguments[0])?;
            return self.root(index, size);
        }
        let atom = factor.numerator().as_term().and_then(|(m, _)| m.iter().next().cloned());
        let keeps_its_sign = match atom {
            Some((Atom::Constant(_) | Atom::Unit(_), _)) => true,
            Some((Atom::Kernel(k), _)) => match k.kind {
                KernelKind::Root(index) => index.is_even(),
                KernelKind::PrimeRoot
                | KernelKind::Absolute
                | KernelKind::Power
                | KernelKind::Factorial => true,
                _ => false,
            },
            _ => false,
        };
        let known = self.needs.positive.contains(&factor)
            || self.needs.not_negative.contains(&factor)
            || super::build::is_surely_positive(&factor);
        Ok(if keeps_its_sign || known {
            factor
        } else if factor.is_constant() {
            self.absolute(&factor)?
        } else {
            kernel(KernelKind::Absolute, vec![factor])
        })
    }
}

/// What stands between the bars of an absolute value; a power's base is read as its size anyway.
fn without_size(base: Quotient) -> Quotient {
    match only_atom(base.numerator()) {
        Some(Atom::Kernel(k)) if k.kind == KernelKind::Absolute && base.as_poly().is_some() => {
            k.arguments[0].clone()
        }
        _ => base,
    }
}

fn number_power(value: Rational, times: u32) -> Result<Rational, NotNormal> {
    let bits = value.numer().bits().max(value.denom().bits());
    if value.abs().is_one() {
        return Ok(if times.is_even() { Rational::one() } else { value });
    }
    if value.is_zero() {
        return Ok(value);
    }
    if bits.saturating_mul(u64::from(times)) > crate::budget::BITS {
        return Err(NotNormal::Spent);
    }
    Ok(num_traits::Pow::pow(value, times))
}

/// A monomial of one atom, for tests of shape.
pub(super) fn only_atom(poly: &Poly) -> Option<&Atom> {
    let (monomial, coefficient): (&Monomial, _) = poly.as_term()?;
    let mut atoms = monomial.iter();
    match (atoms.next(), atoms.next()) {
        (Some((atom, 1)), None) if coefficient.is_one() => Some(atom),
        _ => None,
    }
}
