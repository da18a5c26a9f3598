//! Zeros that are counted by the slope: between two places where the slope is zero a function has one
//! zero at most (M. Rolle, 1691). When one has been found in each stretch that may hold one, they are all.
//!
//! This settles what no inverse function reaches: `e^x = x + 1`, `x + ln x = 1`, `cos x = x² + 1`.

use super::{Found, Search, Zeros};
use crate::approximate;
use crate::equal::trial_numbers;
use crate::expr::Constant;
use crate::normal::{
    Atom, Kernel, KernelKind, Monomial, Normaliser, NotNormal, Poly, Quotient, Values, constant,
};
use crate::number::{Rational, from_int};
use crate::solve::real;
use num_integer::Integer;
use num_traits::{One, Signed};
use std::cmp::Ordering;

/// How often a slope may be looked at by its own slope.
const SLOPES: usize = 3;

/// What looks like zero in floating point.
const NEAR: f64 = 1e-6;

impl Search<'_> {
    pub(super) fn by_slope(&mut self, poly: &Poly) -> Found {
        if self.slopes >= SLOPES {
            return Err(NotNormal::NotCovered);
        }
        if is_sum_of_positives(poly) {
            return Ok(Zeros::default());
        }
        self.slopes += 1;
        let found = self.counted(poly);
        self.slopes -= 1;
        found
    }

    fn counted(&mut self, poly: &Poly) -> Found {
        let mut breaks = Vec::new();
        self.breaks(poly, &mut breaks)?;
        for condition in self.not_negative.clone() {
            breaks.extend(self.points(condition.numerator())?);
            breaks.extend(self.points(condition.denominator())?);
        }
        let slope = self.slope(poly)?;
        let mut ends = breaks.clone();
        if !self.keeps_its_sign(slope.numerator()) {
            ends.extend(self.points(slope.numerator())?);
        }
        ends.extend(self.points(slope.denominator())?);
        let ends = real::sorted(ends, self.budget).ok_or(NotNormal::NotCovered)?;
        let values: Vec<Option<i8>> =
            ends.iter().map(|at| self.end_sign(poly, at, &breaks)).collect::<Result<_, _>>()?;
        let known: Vec<Quotient> = self.tried(poly);
        for stretch in 0..=ends.len() {
            let low = stretch.checked_sub(1);
            let high = (stretch < ends.len()).then_some(stretch);
            let (left, right) = (low.map(|i| &ends[i]), high.map(|i| &ends[i]));
            let mut holds_one = false;
            for zero in &known {
                holds_one |= self.is_between(left, zero, right)?;
            }
            let signs = [low.and_then(|i| values[i]), high.and_then(|i| values[i])];
            if !holds_one && !self.has_none(poly, &slope, (left, right), signs)? {
                return Err(NotNormal::NotCovered);
            }
        }
        let mut points = known;
        points.extend(ends);
        Ok(Zeros { points, progressions: Vec::new() })
    }

    /// Whether a function without a turn in a stretch has no zero in it either, by its signs at the ends
    /// where it is continuous.
    fn has_none(
        &mut self,
        poly: &Poly,
        slope: &Quotient,
        (low, high): (Option<&Quotient>, Option<&Quotient>),
        signs: [Option<i8>; 2],
    ) -> Result<bool, NotNormal> {
        match signs {
            [Some(0), _] | [_, Some(0)] => return Ok(true),
            [Some(a), Some(b)] if a == b => return Ok(true),
            _ => {}
        }
        let sample = self.sample(low, high).ok_or(NotNormal::NotCovered)?;
        if self.value(&Quotient::whole(poly.clone()), &sample) == Err(NotNormal::Undefined) {
            return Ok(true);
        }
        for condition in self.not_negative.clone() {
            let value = self.value(&condition, &sample)?;
            if constant::sign(&value, self.budget) == Some(-1) {
                return Ok(true);
            }
        }
        let direction = self.value(slope, &sample)?;
        let direction = constant::sign(&direction, self.budget).ok_or(NotNormal::NotCovered)?;
        Ok(match signs {
            [Some(left), None] => left == direction,
            [None, Some(right)] => right == -direction,
            _ => false,
        })
    }

    /// The sign at the end of a stretch; `None` where the function may jump or have no value.
    fn end_sign(
        &mut self,
        poly: &Poly,
        at: &Quotient,
        breaks: &[Quotient],
    ) -> Result<Option<i8>, NotNormal> {
        for place in breaks {
            match real::compare(place, at, self.budget) {
                Some(Ordering::Equal) => return Ok(None),
                Some(_) => {}
                None => return Err(NotNormal::NotCovered),
            }
        }
        match self.value(&Quotient::whole(poly.clone()), at) {
            Ok(value) => constant::sign(&value, self.budget).map(Some).ok_or(NotNormal::NotCovered),
            Err(NotNormal::Undefined) => Ok(None),
            Err(other) => Err(other),
        }
    }

    /// Simple numbers, and powers of e, at which it is zero.
    fn tried(&mut self, poly: &Poly) -> Vec<Quotient> {
        let e = |n: u32| {
            let mut power = Monomial::default();
            power.set(&Atom::Constant(Constant::Euler), n);
            Quotient::whole(Poly::term(power, Rational::one()))
        };
        let powers = [1, 2, 3].map(e);
        let parts = powers.iter().filter_map(Quotient::reciprocal).collect::<Vec<_>>();
        let simple = trial_numbers().chain([32, 64, 128].map(from_int)).map(Quotient::constant);
        let whole = Quotient::whole(poly.clone());
        let shown = poly.to_expr();
        // Floating point says where to look.
        let is_near = |value: &Quotient| {
            let value = approximate::value(&value.to_expr(), &approximate::Point::new());
            let at = approximate::Point::from([(self.letter.to_owned(), value)]);
            approximate::value(&shown, &at).abs() < NEAR
        };
        let near: Vec<Quotient> = simple.chain(powers).chain(parts).filter(is_near).collect();
        let mut is_zero = |value: &Quotient| {
            let value = self.value(&whole, value);
            value.is_ok_and(|value| constant::sign(&value, self.budget) == Some(0))
        };
        near.into_iter().filter(|value| is_zero(value)).collect()
    }

    /// `c + a·cos u` with `|a| ≤ |c|` and a polynomial `u`: it touches zero at most, in single places.
    fn keeps_its_sign(&mut self, poly: &Poly) -> bool {
        let moving: Vec<&Atom> =
            poly.atoms().into_iter().filter(|a| a.mentions(self.letter)).collect();
        let [Atom::Kernel(kernel)] = &moving[..] else { return false };
        let is_wave = matches!(kernel.kind, KernelKind::Sin | KernelKind::Cos);
        let plain = |a: &Atom| !a.mentions(self.letter) || matches!(a, Atom::Symbol(_));
        let is_plain = kernel
            .arguments
            .iter()
            .all(|u| u.denominator().is_constant() && u.numerator().atoms().into_iter().all(plain));
        let parts = poly.by_powers_of(moving[0]);
        let [c, a] = &parts[..] else { return false };
        let Some((c, a)) = c.squared_plainly().zip(a.squared_plainly()) else { return false };
        let margin = c.minus_plainly(&a);
        is_wave
            && is_plain
            && constant::poly_sign(&margin, self.budget).is_some_and(|sign| sign >= 0)
    }

    fn points(&mut self, poly: &Poly) -> Result<Vec<Quotient>, NotNormal> {
        let found = self.poly(poly)?;
        if found.progressions.is_empty() { Ok(found.points) } else { Err(NotNormal::NotCovered) }
    }

    fn value(&mut self, of: &Quotient, at: &Quotient) -> Result<Quotient, NotNormal> {
        // Such a number is written as a decimal near it, which would not be the same function.
        if is_written_near(of) {
            return Err(NotNormal::NotCovered);
        }
        let at = Values::from([(self.letter.to_owned(), at.clone())]);
        crate::equal::value_at(&of.to_expr(), &at, self.budget)
    }

    fn is_between(
        &mut self,
        low: Option<&Quotient>,
        value: &Quotient,
        high: Option<&Quotient>,
    ) -> Result<bool, NotNormal> {
        let mut inside = true;
        for (end, order) in [(low, Ordering::Less), (high, Ordering::Greater)] {
            let Some(end) = end else { continue };
            let found = real::compare(end, value, self.budget).ok_or(NotNormal::NotCovered)?;
            inside &= found == order;
        }
        Ok(inside)
    }

    fn sample(&mut self, low: Option<&Quotient>, high: Option<&Quotient>) -> Option<Quotient> {
        let value = match (low, high) {
            (Some(low), Some(high)) => real::between(low, high, self.budget)?,
            (Some(low), None) => real::beyond(low, true, self.budget)?,
            (None, Some(high)) => real::beyond(high, false, self.budget)?,
            (None, None) => from_int(0),
        };
        Some(Quotient::constant(value))
    }

    /// Where a kernel may jump, or stop having a value or a slope.
    fn breaks(&mut self, poly: &Poly, found: &mut Vec<Quotient>) -> Result<(), NotNormal> {
        let moving = poly.atoms().into_iter().filter(|atom| atom.mentions(self.letter));
        for kernel in moving.filter_map(Atom::as_kernel).cloned().collect::<Vec<_>>() {
            let Kernel { kind, arguments } = &kernel;
            let inside = arguments.first().ok_or(NotNormal::NotCovered)?;
            if matches!(kind, KernelKind::Ln | KernelKind::Root(_) | KernelKind::Power) {
                found.extend(self.points(inside.numerator())?);
            }
            for argument in arguments {
                found.extend(self.points(argument.denominator())?);
                self.breaks(argument.numerator(), found)?;
                self.breaks(argument.denominator(), found)?;
            }
        }
        Ok(())
    }

    fn slope(&mut self, poly: &Poly) -> Result<Quotient, NotNormal> {
        let mut sum = Quotient::default();
        for atom in poly.atoms().into_iter().filter(|atom| atom.mentions(self.letter)) {
            // ∂/∂a of Σ cₖ aᵏ is Σ k cₖ aᵏ⁻¹.
            let mut partial = Poly::default();
            for (power, part) in poly.by_powers_of(atom).into_iter().enumerate().skip(1) {
                let less = u32::try_from(power - 1).map_err(|_| NotNormal::Spent)?;
                let mut monomial = Monomial::default();
                monomial.set(atom, less);
                let factor = Poly::term(monomial, from_int(power as i64));
                let term = part.multiply(&factor, self.budget)?;
                partial = partial.add(&term, self.budget)?;
            }
            let inner = self.slope_of_atom(atom)?;
            let product = Quotient::whole(partial).times(&inner, self.budget)?;
            sum = sum.plus(&product, self.budget)?;
        }
        Ok(sum.cancelled(self.budget)?)
    }

    fn slope_of_quotient(&mut self, value: &Quotient) -> Result<Quotient, NotNormal> {
        let (above, below) = (value.numerator().clone(), value.denominator().clone());
        let first = self.slope(&above)?.times(&Quotient::whole(below.clone()), self.budget)?;
        let second = self.slope(&below)?.times(&Quotient::whole(above), self.budget)?;
        let square = Quotient::whole(below.multiply(&below, self.budget)?);
        let by = square.reciprocal().ok_or(NotNormal::Undefined)?;
        Ok(first.minus(&second, self.budget)?.times(&by, self.budget)?)
    }

    fn slope_of_atom(&mut self, atom: &Atom) -> Result<Quotient, NotNormal> {
        let itself = Quotient::whole(Poly::atom(atom.clone()));
        let kernel = match atom {
            Atom::Symbol(_) => return Ok(Quotient::constant(Rational::one())),
            Atom::Kernel(kernel) => kernel,
            Atom::Constant(_) | Atom::Unit(_) => return Ok(Quotient::default()),
        };
        let inside = kernel.arguments.first().ok_or(NotNormal::NotCovered)?;
        let inner = self.slope_of_quotient(inside)?;
        // u'/u
        let by = inside.reciprocal().ok_or(NotNormal::NotCovered)?;
        let relative = inner.times(&by, self.budget)?;
        let none = Values::new();
        let outer = match kernel.kind {
            KernelKind::Ln => return Ok(relative),
            KernelKind::Root(index) => {
                let part = Quotient::constant(Rational::new(1.into(), index.into()));
                relative.times(&part, self.budget)?.times(&itself, self.budget)?
            }
            // (|u|^v)' = |u|^v (v' ln|u| + v u'/u)
            KernelKind::Power => {
                let exponent = kernel.arguments.get(1).ok_or(NotNormal::NotCovered)?;
                let growing = self.slope_of_quotient(exponent)?;
                let logarithm = Normaliser::new(&none, self.budget).ln_of(inside)?;
                let first = growing.times(&logarithm, self.budget)?;
                let second = exponent.times(&relative, self.budget)?;
                first.plus(&second, self.budget)?.times(&itself, self.budget)?
            }
            KernelKind::Sin | KernelKind::Cos => {
                let is_sine = kernel.kind == KernelKind::Sin;
                let other = if is_sine { KernelKind::Cos } else { KernelKind::Sin };
                let other = Atom::kernel(other, kernel.arguments.clone());
                let product = Quotient::whole(Poly::atom(other)).times(&inner, self.budget)?;
                if is_sine { product } else { product.negated() }
            }
            _ => return Err(NotNormal::NotCovered),
        };
        Ok(outer)
    }
}

/// Whether a number takes part that only its polynomial tells.
fn is_written_near(value: &Quotient) -> bool {
    let near = |atom: &Atom| {
        atom.as_kernel().is_some_and(|k| {
            k.kind == KernelKind::Algebraic || k.arguments.iter().any(is_written_near)
        })
    };
    [value.numerator(), value.denominator()].iter().any(|p| p.atoms().into_iter().any(near))
}

/// Whether no term is ever negative, and one of them never zero: `3x² + eˣ`.
fn is_sum_of_positives(poly: &Poly) -> bool {
    let is_power = |atom: &Atom| atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Power);
    let fits = |monomial: &Monomial| {
        monomial.iter().all(|(atom, exponent)| exponent.is_even() || is_power(atom))
    };
    poly.terms().all(|(monomial, coefficient)| coefficient.is_positive() && fits(monomial))
        && poly.terms().any(|(monomial, _)| monomial.iter().all(|(atom, _)| is_power(atom)))
}
