//! Sines, cosines and their inverses in the normal form.
//!
//! Every circular function becomes a quotient of sines and cosines; multiples of π in the argument are
//! taken out by the addition formulas, and at multiples of 15° and 18° the values are exact.

use super::build::{Built, Normaliser, NotNormal, kernel, pi};
use super::{Atom, KernelKind, Monomial, Poly, Quotient, constant};
use crate::expr::{Constant, Function};
use crate::number::{Rational, from_int};
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Angles that are tried as the value of an inverse function: multiples of π over this, half degrees.
const PARTS: i64 = 360;
/// Largest multiple of an angle that is worked out by the addition formulas.
const MULTIPLE: i64 = 24;

/// A cosine and a sine of one angle.
pub(super) type Direction = (Quotient, Quotient);

/// `r`, when the constant is `r·π` with a rational `r`.
#[must_use]
pub(super) fn turns(value: &Quotient) -> Option<Rational> {
    let poly = value.as_poly()?;
    if poly.is_zero() {
        return Some(Rational::zero());
    }
    let (monomial, coefficient) = poly.as_term()?;
    let is_pi = *monomial == Monomial::atom(Atom::Constant(Constant::Pi));
    is_pi.then(|| coefficient.clone())
}

impl Normaliser<'_> {
    pub(super) fn circular(&mut self, function: Function, argument: Quotient) -> Built {
        match function {
            Function::Sin => Ok(self.direction(&argument)?.1),
            Function::Cos => Ok(self.direction(&argument)?.0),
            Function::Tan => {
                let (c, s) = self.direction(&argument)?;
                self.divided(&s, c)
            }
            Function::Cot => {
                let (c, s) = self.direction(&argument)?;
                self.divided(&c, s)
            }
            Function::Sec => {
                let (c, _) = self.direction(&argument)?;
                self.reciprocal(c)
            }
            Function::Csc => {
                let (_, s) = self.direction(&argument)?;
                self.reciprocal(s)
            }
            Function::Arcsin => self.arcsin(argument),
            Function::Arccos => self.right_angle_minus(Self::arcsin, argument),
            Function::Arctan => self.arctan(argument),
            Function::Arccot => self.right_angle_minus(Self::arctan, argument),
            Function::Arcsec => {
                let inverse = self.reciprocal(argument)?;
                self.right_angle_minus(Self::arcsin, inverse)
            }
            Function::Arccsc => {
                let inverse = self.reciprocal(argument)?;
                self.arcsin(inverse)
            }
            _ => Err(NotNormal::NotCovered),
        }
    }

    fn right_angle_minus(
        &mut self,
        inverse: fn(&mut Self, Quotient) -> Built,
        argument: Quotient,
    ) -> Built {
        let angle = inverse(self, argument)?;
        let half = Quotient::constant(Rational::new(1.into(), 2.into()));
        let right = pi().times(&half, self.budget)?;
        Ok(right.minus(&angle, self.budget)?)
    }

    /// The cosine and the sine of an angle.
    pub(super) fn direction(&mut self, angle: &Quotient) -> Result<Direction, NotNormal> {
        if let Some((rest, sign)) = self.without_half_turns(angle)? {
            let (c, s) = self.direction(&rest)?;
            return Ok((c.times(&sign, self.budget)?, s.times(&sign, self.budget)?));
        }
        let half_turns = angle.as_poly().map(|poly| {
            let pi = Monomial::atom(Atom::Constant(Constant::Pi));
            poly.terms().find(|(m, _)| **m == pi).map_or_else(Rational::zero, |(_, c)| c.clone())
        });
        let Some(part) = half_turns.filter(|r| !r.is_zero()) else {
            return self.direction_without_pi(angle);
        };
        let of_pi =
            (cos_of_turns(&part), cos_of_turns(&(Rational::new(1.into(), 2.into()) - &part)));
        let multiple = pi().times(&Quotient::constant(part), self.budget)?;
        let rest = angle.minus(&multiple, self.budget)?;
        if rest.is_zero() {
            return Ok(of_pi);
        }
        let rest = self.direction_without_pi(&rest)?;
        self.turned(&rest, &of_pi)
    }

    /// The direction of the sum of two angles.
    pub(super) fn turned(&mut self, a: &Direction, b: &Direction) -> Result<Direction, NotNormal> {
        let cc = a.0.times(&b.0, self.budget)?;
        let ss = a.1.times(&b.1, self.budget)?;
        let sc = a.1.times(&b.0, self.budget)?;
        let cs = a.0.times(&b.1, self.budget)?;
        Ok((cc.minus(&ss, self.budget)?, sc.plus(&cs, self.budget)?))
    }

    /// The direction of `n` times an angle.
    pub(super) fn multiplied(&mut self, one: &Direction, n: i64) -> Result<Direction, NotNormal> {
        if n.abs() > MULTIPLE {
            return Err(NotNormal::Spent);
        }
        let one = if n < 0 { (one.0.clone(), one.1.negated()) } else { one.clone() };
        let mut result = (Quotient::constant(Rational::one()), Quotient::default());
        for _ in 0..n.abs() {
            result = self.turned(&result, &one)?;
        }
        Ok(result)
    }

    fn direction_without_pi(&mut self, angle: &Quotient) -> Result<Direction, NotNormal> {
        if angle.is_zero() {
            return Ok((Quotient::constant(Rational::one()), Quotient::default()));
        }
        if let Some(direction) = self.direction_of_inverses(angle)? {
            return Ok(direction);
        }
        let turned_back = angle.numerator().leading().is_negative();
        let positive = if turned_back { angle.negated() } else { angle.clone() };
        let c = kernel(KernelKind::Cos, vec![positive.clone()]);
        let s = kernel(KernelKind::Sin, vec![positive]);
        Ok((c, if turned_back { s.negated() } else { s }))
    }

    /// `sin(2 arctan x)` and the like: whole multiples of inverse functions lead back to algebra.
    fn direction_of_inverses(&mut self, angle: &Quotient) -> Result<Option<Direction>, NotNormal> {
        let Some(poly) = angle.as_poly() else { return Ok(None) };
        let mut parts = Vec::new();
        for (monomial, coefficient) in poly.terms() {
            let mut atoms = monomial.iter();
            let (Some((atom, 1)), None) = (atoms.next(), atoms.next()) else { return Ok(None) };
            let inverse = atom
                .as_kernel()
                .filter(|k| matches!(k.kind, KernelKind::Arcsin | KernelKind::Arctan));
            let Some(inverse) = inverse else { return Ok(None) };
            let whole =
                coefficient.is_integer().then(|| coefficient.to_integer().to_i64()).flatten();
            let Some(n) = whole else { return Ok(None) };
            parts.push((inverse.kind, inverse.arguments[0].clone(), n));
        }
        let mut result = (Quotient::constant(Rational::one()), Quotient::default());
        for (kind, value, n) in parts {
            let one = self.direction_of_inverse(kind, &value)?;
            let many = self.multiplied(&one, n)?;
            result = self.turned(&result, &many)?;
        }
        Ok(Some(result))
    }

    /// The direction of `arcsin value` or `arctan value`.
    pub(super) fn direction_of_inverse(
        &mut self,
        kind: KernelKind,
        value: &Quotient,
    ) -> Result<Direction, NotNormal> {
        let one = Quotient::constant(Rational::one());
        let square = value.times(value, self.budget)?;
        if kind == KernelKind::Arcsin {
            let inside = one.minus(&square, self.budget)?;
            return Ok((self.root(2, inside)?, value.clone()));
        }
        let inside = one.plus(&square, self.budget)?;
        let root = self.root(2, inside)?;
        let c = root.reciprocal().ok_or(NotNormal::Undefined)?;
        let s = value.times(&c, self.budget)?;
        Ok((c, s))
    }

    fn arcsin(&mut self, value: Quotient) -> Built {
        let one = Quotient::constant(Rational::one());
        let square = value.times(&value, self.budget)?;
        let inside = one.minus(&square, self.budget)?;
        self.must_not_be_negative(&inside)?;
        if value.is_constant()
            && let Some(found) = self.known_angle(&value, KernelKind::Arcsin)?
        {
            return Ok(found);
        }
        if let Some(angle) = self.angle_of_sine(&value)?
            && let Some((n, rest)) = self.half_turns(&angle)?
        {
            return Ok(if n % 2 == 0 { rest } else { rest.negated() });
        }
        Ok(odd(KernelKind::Arcsin, value))
    }

    fn arctan(&mut self, value: Quotient) -> Built {
        if value.is_constant()
            && let Some(found) = self.known_angle(&value, KernelKind::Arctan)?
        {
            return Ok(found);
        }
        if let Some(angle) = self.angle_of_tangent(&value)?
            && let Some((_, rest)) = self.half_turns(&angle)?
        {
            return Ok(rest);
        }
        Ok(odd(KernelKind::Arctan, value))
    }

    /// The angle whose sine a constant is, when it is written as a sine or a cosine.
    fn angle_of_sine(&mut self, value: &Quotient) -> Result<Option<Quotient>, NotNormal> {
        let is_negative = value.numerator().leading().is_negative();
        let positive = if is_negative { value.negated() } else { value.clone() };
        let Some(kernel) = positive.as_kernel() else { return Ok(None) };
        let inside = &kernel.arguments[0];
        let angle = match kernel.kind {
            KernelKind::Sin => inside.clone(),
            // cos a = sin(a + π/2)
            KernelKind::Cos => {
                let half = Quotient::constant(Rational::new(1.into(), 2.into()));
                inside.plus(&pi().times(&half, self.budget)?, self.budget)?
            }
            _ => return Ok(None),
        };
        Ok(Some(if is_negative { angle.negated() } else { angle }))
    }

    /// The angle whose tangent a constant is, when it is written as a sine over a cosine, or the other way round.
    fn angle_of_tangent(&mut self, value: &Quotient) -> Result<Option<Quotient>, NotNormal> {
        let is_negative = value.numerator().leading().is_negative();
        let above = Quotient::whole(value.numerator().clone());
        let above = if is_negative { above.negated() } else { above };
        let below = Quotient::whole(value.denominator().clone());
        let (Some(above), Some(below)) = (above.as_kernel(), below.as_kernel()) else {
            return Ok(None);
        };
        if above.arguments != below.arguments {
            return Ok(None);
        }
        let angle = &above.arguments[0];
        let angle = match (above.kind, below.kind) {
            (KernelKind::Sin, KernelKind::Cos) => angle.clone(),
            // cos a / sin a = tan(π/2 - a)
            (KernelKind::Cos, KernelKind::Sin) => {
                let half = Quotient::constant(Rational::new(1.into(), 2.into()));
                pi().times(&half, self.budget)?.minus(angle, self.budget)?
            }
            _ => return Ok(None),
        };
        Ok(Some(if is_negative { angle.negated() } else { angle }))
    }

    /// A constant angle as half turns and a rest strictly between -π/2 and π/2; `None` where that is not told.
    fn half_turns(&mut self, angle: &Quotient) -> Result<Option<(i64, Quotient)>, NotNormal> {
        let bits = 64;
        let turns = constant::enclose(angle, bits, self.budget)
            .and_then(|angle| angle.over(&crate::ball::Enclosure::pi(bits)));
        let Some(turns) = turns else { return Ok(None) };
        let nearest = turns.low().round();
        let half = Rational::new(1.into(), 2.into());
        let is_inside = &nearest - &half < turns.low() && turns.high() < &nearest + &half;
        let Some(n) = nearest.to_integer().to_i64().filter(|_| is_inside) else { return Ok(None) };
        let rest =
            angle.minus(&pi().times(&Quotient::constant(nearest), self.budget)?, self.budget)?;
        Ok(Some((n, rest)))
    }

    /// The multiple of π that is the inverse function's value, proved by putting it back.
    fn known_angle(
        &mut self,
        value: &Quotient,
        kind: KernelKind,
    ) -> Result<Option<Quotient>, NotNormal> {
        if value.is_zero() {
            return Ok(Some(Quotient::default()));
        }
        let bits = 64;
        let parts = constant::enclose(value, bits, self.budget).and_then(|inside| {
            let angle = if kind == KernelKind::Arcsin { inside.arcsin() } else { inside.arctan() };
            angle.times_int(&PARTS.into()).over(&crate::ball::Enclosure::pi(bits))
        });
        let Some(nearest) = parts.and_then(|parts| parts.low().round().to_integer().to_i64())
        else {
            return Ok(None);
        };
        let turns = Rational::new(nearest.into(), PARTS.into());
        let half = Rational::new(1.into(), 2.into());
        let (c, s) = (cos_of_turns(&turns), cos_of_turns(&(half.clone() - &turns)));
        let apart = match kind {
            KernelKind::Arcsin => s.minus(value, self.budget)?,
            _ if turns.abs() >= half => return Ok(None),
            _ => s.minus(&value.times(&c, self.budget)?, self.budget)?,
        };
        if constant::sign(&apart, self.budget) != Some(0) {
            return Ok(None);
        }
        Ok(Some(pi().times(&Quotient::constant(turns), self.budget)?))
    }
}

/// An odd function: its sign stands before it.
fn odd(kind: KernelKind, value: Quotient) -> Quotient {
    if value.numerator().leading().is_negative() {
        kernel(kind, vec![value.negated()]).negated()
    } else {
        kernel(kind, vec![value])
    }
}

/// `cos(r·π)`: exact at multiples of 15° and of 36°, a kernel with `0 < r < 1/2` elsewhere.
pub(super) fn cos_of_turns(r: &Rational) -> Quotient {
    let two = from_int(2);
    let mut r = r - (r / &two).floor() * &two;
    if r > Rational::one() {
        r = two - r;
    }
    let half = Rational::new(1.into(), 2.into());
    if r > half {
        return cos_of_turns(&(Rational::one() - r)).negated();
    }
    let number = |n: i64, d: i64| Quotient::constant(Rational::new(n.into(), d.into()));
    let root = |p: i64| Poly::atom(Atom::kernel(KernelKind::PrimeRoot, vec![number(p, 1)]));
    let over = |poly: Poly, n: i64| Quotient::whole(poly.scale(&Rational::new(1.into(), n.into())));
    let six = || {
        let mut both = Monomial::default();
        for p in [2, 3] {
            both.set(&Atom::kernel(KernelKind::PrimeRoot, vec![number(p, 1)]), 1);
        }
        Poly::term(both, Rational::one())
    };
    let pair = (r.numer().to_i64(), r.denom().to_i64());
    match pair {
        (Some(0), _) => number(1, 1),
        (Some(1), Some(2)) => Quotient::default(),
        (Some(1), Some(3)) => number(1, 2),
        (Some(1), Some(4)) => over(root(2), 2),
        (Some(1), Some(6)) => over(root(3), 2),
        (Some(1), Some(12)) => over(six().minus_plainly(&root(2).negated()), 4),
        (Some(5), Some(12)) => over(six().minus_plainly(&root(2)), 4),
        (Some(1), Some(5)) => over(root(5).minus_plainly(&Poly::int(-1)), 4),
        (Some(2), Some(5)) => over(root(5).minus_plainly(&Poly::int(1)), 4),
        _ => {
            debug_assert!(
                r.denom().is_positive()
                    && !r.denom().is_zero()
                    && r.numer().gcd(r.denom()).is_one()
            );
            let angle = Poly::term(Monomial::atom(Atom::Constant(Constant::Pi)), r);
            kernel(KernelKind::Cos, vec![Quotient::whole(angle)])
        }
    }
}
