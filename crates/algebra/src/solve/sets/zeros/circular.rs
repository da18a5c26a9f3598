//! Where sines and cosines of one angle make zero.

use super::{Found, Search, Zeros, constant_roots, pi_times};
use crate::normal::{
    Atom, Kernel, KernelKind, Normaliser, NotNormal, Poly, Quotient, Values, constant, substituted,
};
use crate::number::{Rational, from_int};
use num_traits::One;
use std::collections::BTreeMap;

/// Fractions with denominators that divide this are simple.
const SIMPLE_PARTS: i64 = 60;

impl Search<'_> {
    /// A polynomial in the sine and the cosine of one angle.
    pub(super) fn circular(&mut self, poly: &Poly, moving: &[Atom]) -> Found {
        let angle = moving[0].as_kernel().map(|k| k.arguments[0].clone());
        let angle = angle.ok_or(NotNormal::NotCovered)?;
        let of = |kind| Atom::kernel(kind, vec![angle.clone()]);
        let (c, s) = (of(KernelKind::Cos), of(KernelKind::Sin));
        if !moving.iter().all(|atom| *atom == c || *atom == s) {
            return Err(NotNormal::NotCovered);
        }
        let parts = poly.by_powers_of(&s);
        // Only even powers of the cosine: a polynomial in the sine alone.
        if let Some(alone) = self.in_sine_alone(&parts, &c)? {
            let mut found = Zeros::default();
            for value in constant_roots(&alone, self.budget)? {
                found.add(self.atom_is(&s, &value)?);
            }
            return Ok(found);
        }
        // a cos + b sin = 0: the tangent is known.
        if let [cosines, factor] = &parts[..]
            && factor.is_constant()
            && let [zero, other] = &cosines.by_powers_of(&c)[..]
            && zero.is_zero()
            && other.is_constant()
        {
            let value =
                Quotient::new(other.negated(), factor.clone()).ok_or(NotNormal::NotCovered)?;
            let none = Values::new();
            let theta = Normaliser::new(&none, self.budget).arctan_of(&value)?;
            return self.angle_is(&angle, &theta, &pi_times(1));
        }
        if let Some(found) = self.one_wave(&parts, &angle, &c)? {
            return Ok(found);
        }
        // t = tan(angle/2); the angle π, where t is infinite, is looked at by itself.
        let one = Atom::symbol("tan of half the angle");
        let t = Quotient::whole(Poly::atom(one.clone()));
        let square = t.times(&t, self.budget)?;
        let unit = Quotient::constant(Rational::one());
        let below = unit.plus(&square, self.budget)?.reciprocal().ok_or(NotNormal::NotCovered)?;
        let cos = unit.minus(&square, self.budget)?.times(&below, self.budget)?;
        let sin = t.scaled(2).times(&below, self.budget)?;
        let replaced = BTreeMap::from([(c, cos), (s, sin)]);
        let rational = substituted(poly, &replaced, self.budget)?.cancelled(self.budget)?;
        let mut found = self.angle_is(&angle, &pi_times(1), &pi_times(2))?;
        for value in constant_roots(&rational.numerator().by_powers_of(&one), self.budget)? {
            let none = Values::new();
            let theta = Normaliser::new(&none, self.budget).arctan_of(&value)?.scaled(2);
            found.add(self.angle_is(&angle, &theta, &pi_times(2))?);
        }
        Ok(found)
    }

    /// `a sin u + b cos u + k = 0` where `a sin u + b cos u` is `r sin(u + φ)` with an angle φ that has a name:
    /// what became of `5 sin(x + 20°) = 2`.
    fn one_wave(
        &mut self,
        parts: &[Poly],
        angle: &Quotient,
        c: &Atom,
    ) -> Result<Option<Zeros>, NotNormal> {
        let [rest, a] = parts else { return Ok(None) };
        let rest = rest.by_powers_of(c);
        let [k, b] = &rest[..] else { return Ok(None) };
        if ![a, b, k].into_iter().all(Poly::is_constant) {
            return Ok(None);
        }
        // With a positive factor before the sine, φ lies between -π/2 and π/2.
        let turn = constant::poly_sign(a, self.budget) == Some(-1);
        let [a, b, k] =
            [a, b, k].map(|part| Quotient::whole(if turn { part.negated() } else { part.clone() }));
        let by = a.reciprocal().ok_or(NotNormal::NotCovered)?;
        let ratio = b.times(&by, self.budget)?;
        let none = Values::new();
        let phi = Normaliser::new(&none, self.budget).arctan_of(&ratio)?;
        let is_inverse = |atom: &Atom| {
            atom.as_kernel()
                .is_some_and(|k| matches!(k.kind, KernelKind::Arctan | KernelKind::Arcsin))
        };
        if phi.numerator().atoms().into_iter().any(is_inverse) {
            return Ok(None);
        }
        let square = a.times(&a, self.budget)?.plus(&b.times(&b, self.budget)?, self.budget)?;
        let size = self.root_of_number(&square)?;
        let by = size.reciprocal().ok_or(NotNormal::NotCovered)?;
        let value = k.negated().times(&by, self.budget)?.cancelled(self.budget)?;
        let theta = match Normaliser::new(&none, self.budget).arcsin_of(&value) {
            Ok(theta) => theta,
            Err(NotNormal::Undefined) => return Ok(Some(Zeros::default())),
            Err(other) => return Err(other),
        };
        let mut found = Zeros::default();
        for theta in [theta.clone(), pi_times(1).minus(&theta, self.budget)?] {
            let start = theta.minus(&phi, self.budget)?;
            found.add(self.angle_is(angle, &start, &pi_times(2))?);
        }
        Ok(Some(found))
    }

    /// The square root of a positive constant, as a simple fraction where it is one.
    fn root_of_number(&mut self, square: &Quotient) -> Result<Quotient, NotNormal> {
        let near = constant::enclose(square, 64, self.budget).and_then(|inside| inside.root(2));
        if let Some(near) = near {
            let parts = from_int(SIMPLE_PARTS);
            let simple = Quotient::constant((near.low() * &parts).round() / parts);
            let apart = simple.times(&simple, self.budget)?.minus(square, self.budget)?;
            if constant::sign(&apart, self.budget) == Some(0) {
                return Ok(simple);
            }
        }
        let none = Values::new();
        Normaliser::new(&none, self.budget).root_of(2, square)
    }

    fn in_sine_alone(&mut self, parts: &[Poly], c: &Atom) -> Result<Option<Vec<Poly>>, NotNormal> {
        let mut alone: Vec<Poly> = Vec::new();
        for (power, part) in parts.iter().enumerate() {
            for (exponent, coefficient) in part.by_powers_of(c).iter().enumerate() {
                if coefficient.is_zero() {
                    continue;
                }
                if exponent % 2 == 1 {
                    return Ok(None);
                }
                // cos² = 1 - sin², multiplied out.
                let half = exponent / 2;
                for k in 0..=half {
                    let choose = (0..k).fold(Rational::one(), |n, i| {
                        n * from_int((half - i) as i64) / from_int(i as i64 + 1)
                    });
                    let sign = if k % 2 == 0 { choose } else { -choose };
                    let place = power + 2 * k;
                    if alone.len() <= place {
                        alone.resize(place + 1, Poly::default());
                    }
                    alone[place] = alone[place].add(&coefficient.scale(&sign), self.budget)?;
                }
            }
        }
        Ok(Some(alone))
    }

    pub(super) fn circular_is(&mut self, kernel: &Kernel, value: &Quotient) -> Found {
        let angle = &kernel.arguments[0];
        let none = Values::new();
        let theta = match Normaliser::new(&none, self.budget).arcsin_of(value) {
            Ok(theta) => theta,
            Err(NotNormal::Undefined) => return Ok(Zeros::default()),
            Err(other) => return Err(other),
        };
        let step = pi_times(2);
        let half = pi_times(1)
            .times(&Quotient::constant(Rational::new(1.into(), 2.into())), self.budget)?;
        let pair = if kernel.kind == KernelKind::Sin {
            [theta.clone(), pi_times(1).minus(&theta, self.budget)?]
        } else {
            let arccos = half.minus(&theta, self.budget)?;
            [arccos.clone(), arccos.negated()]
        };
        let mut found = Zeros::default();
        for start in pair {
            found.add(self.angle_is(angle, &start, &step)?);
        }
        Ok(found)
    }

    /// Where a linear angle is `start` and whole multiples of `step` more.
    fn angle_is(&mut self, angle: &Quotient, start: &Quotient, step: &Quotient) -> Found {
        let atom = Atom::symbol(self.letter);
        let poly = angle.as_poly().ok_or(NotNormal::NotCovered)?;
        let parts = poly.by_powers_of(&atom);
        let [shift, factor] = &parts[..] else { return Err(NotNormal::NotCovered) };
        if shift.mentions(self.letter) || !factor.is_constant() {
            return Err(NotNormal::NotCovered);
        }
        let shift = Quotient::whole(shift.clone());
        let by = Quotient::whole(factor.clone()).reciprocal().ok_or(NotNormal::NotCovered)?;
        let start = start.minus(&shift, self.budget)?.times(&by, self.budget)?;
        let step = step.times(&by, self.budget)?;
        let step = match constant::sign(&step, self.budget) {
            Some(1) => step,
            Some(-1) => step.negated(),
            _ => return Err(NotNormal::NotCovered),
        };
        Ok(Zeros { points: Vec::new(), progressions: vec![(start, step)] })
    }
}
