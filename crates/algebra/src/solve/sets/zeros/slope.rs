//! Zeros that are counted by the slope: between two places where the slope is zero a function has one
//! zero at most (M. Rolle, 1691). When one has been found in each stretch that may hold one, they are all.
//! Where no simple number is it, the signs at two places near each other show that it lies between.
//!
//! This settles what no inverse function reaches: `e^x = x + 1`, `x + ln x = 1`, `cos x = x`.

use super::{Found, Search, Zeros};
use crate::approximate;
use crate::enclosed::at_place;
use crate::expr::Constant;
use crate::normal::{
    Atom, CELL, Kernel, KernelKind, Monomial, Normaliser, NotNormal, Poly, Quotient, ROOT_LETTER,
    Values, constant, isolated_root,
};
use crate::number::{Rational, from_int};
use crate::range::{self, Range};
use crate::solve::sets::real;
use crate::solve::sets::real_line::members;
use crate::trial::trial_numbers;
use num_integer::Integer;
use num_traits::{One, Signed};
use std::cmp::Ordering;
use std::collections::BTreeSet;

/// How often a slope may be looked at by its own slope.
const SLOPES: usize = 3;

/// Bits of a first look at a sign.
const SIGN_BITS: u32 = 64;

/// Functions with zeros further out than this power of two, and turns that go on for ever, are left alone.
const LARGEST_WINDOW: u32 = 7;

/// Cells further out than this are left alone.
const FURTHEST: f64 = 1e14;

/// Slopes with more terms are left alone.
const LONGEST_SLOPE: usize = 24;

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
        if slope.numerator().len() > LONGEST_SLOPE {
            return Err(NotNormal::NotCovered);
        }
        let mut ends = breaks.clone();
        if !self.keeps_its_sign(slope.numerator()) {
            ends.extend(self.turns(poly, slope.numerator())?);
        }
        ends.extend(self.points(slope.denominator())?);
        let ends = real::sorted(ends, self.budget).ok_or(NotNormal::NotCovered)?;
        let values: Vec<Option<i8>> =
            ends.iter().map(|at| self.end_sign(poly, at, &breaks)).collect::<Result<_, _>>()?;
        let known: Vec<Quotient> = self.tried(poly);
        let mut crossings = Vec::new();
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
                crossings.push(self.crossing(poly, (left, right))?);
            }
        }
        let mut points = known;
        points.extend(crossings);
        points.extend(ends);
        Ok(Zeros { points, progressions: Vec::new() })
    }

    /// The sign that a function has everywhere between two places, as far as intervals tell.
    fn signs_on(
        &mut self,
        poly: &Poly,
        low: Option<&Quotient>,
        high: Option<&Quotient>,
    ) -> Option<i8> {
        let mut end = |value: Option<&Quotient>| match value {
            None => Some(None),
            Some(value) => constant::enclose(value, SIGN_BITS, self.budget).map(Some),
        };
        let (low, high) = (end(low)?, end(high)?);
        let place = Range { low: low.map(|x| x.low()), high: high.map(|x| x.high()) };
        range::values(&poly.to_expr(), self.letter, &place, self.budget)?.sign()
    }

    /// The bounds outside which a function has no zero, as far as intervals tell.
    fn window(&mut self, poly: &Poly) -> Option<(Quotient, Quotient)> {
        (0..LARGEST_WINDOW).find_map(|n| {
            let end = Quotient::constant(from_int(1 << n));
            let start = end.negated();
            self.signs_on(poly, Some(&end), None)?;
            self.signs_on(poly, None, Some(&start))?;
            Some((start, end))
        })
    }

    /// The zeros of the slope: where they go on for ever, those between the bounds of the function's own.
    fn turns(&mut self, poly: &Poly, slope: &Poly) -> Result<Vec<Quotient>, NotNormal> {
        let found = self.poly(slope)?;
        let mut turns = found.points;
        if !found.progressions.is_empty() {
            let (low, high) = self.window(poly).ok_or(NotNormal::NotCovered)?;
            for progression in &found.progressions {
                turns.extend(members(progression, (&low, &high), self.budget)?);
            }
            turns.extend([low, high]);
        }
        Ok(turns)
    }

    /// The place where a function without a turn crosses zero in a stretch, when it does.
    fn crossing(
        &mut self,
        poly: &Poly,
        (low, high): (Option<&Quotient>, Option<&Quotient>),
    ) -> Result<Quotient, NotNormal> {
        let (function, whole) = (self.in_its_own_letter(poly)?, Quotient::whole(poly.clone()));
        let place = |n: i64| Rational::new(n.into(), 1.into()) / from_int(1 << CELL);
        let first = crossing_cell(poly, self.letter, (low, high)).ok_or(NotNormal::NotCovered)?;
        // Floating point may be one cell off.
        for cell in [first, first - 1, first + 1] {
            let ends = [cell, cell + 1].map(|n| Quotient::constant(place(n)));
            let mut signs = [0; 2];
            for (end, sign) in ends.iter().zip(&mut signs) {
                if !self.is_between(low, end, high)? {
                    return Err(NotNormal::NotCovered);
                }
                *sign = self.sign_at(&whole, end)?;
                if *sign == 0 {
                    return Ok(end.clone());
                }
            }
            if signs[0] != signs[1] {
                return Ok(isolated_root(&cell.into(), &function, signs[0] < 0));
            }
        }
        Err(NotNormal::NotCovered)
    }

    /// The sign of a function at a place. Enclosures tell most; `2^(k/65536)` has no other telling.
    fn sign_at(&mut self, of: &Quotient, at: &Quotient) -> Result<i8, NotNormal> {
        if of.is_written_near() {
            return Err(NotNormal::NotCovered);
        }
        let seen = constant::enclose(at, SIGN_BITS, self.budget)
            .and_then(|place| at_place(&of.to_expr(), self.letter, &place, self.budget));
        if let Some(sign) = seen.and_then(|value| value.sign()).filter(|&sign| sign != 0) {
            return Ok(sign);
        }
        let value = self.value(of, at)?;
        constant::sign(&value, self.budget).ok_or(NotNormal::NotCovered)
    }

    /// The function, written in the letter that functions of numbers are kept in.
    fn in_its_own_letter(&mut self, poly: &Poly) -> Result<Poly, NotNormal> {
        let whole = Quotient::whole(poly.clone());
        let mut letters = BTreeSet::new();
        poly.collect_symbols(&mut letters);
        if whole.is_written_near() || letters.len() != 1 {
            return Err(NotNormal::NotCovered);
        }
        let letter = Quotient::whole(Poly::atom(Atom::symbol(ROOT_LETTER)));
        let at = Values::from([(self.letter.to_owned(), letter)]);
        let renamed = Normaliser::new(&at, self.budget).build(&whole.to_expr())?;
        renamed.as_poly().ok_or(NotNormal::NotCovered)
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
        if self.signs_on(poly, low, high).is_some() {
            return Ok(true);
        }
        let sample = self.sample(low, high).ok_or(NotNormal::NotCovered)?;
        if self.sign_at(&Quotient::whole(poly.clone()), &sample) == Err(NotNormal::Undefined) {
            return Ok(true);
        }
        for condition in self.not_negative.clone() {
            if self.sign_at(&condition, &sample) == Ok(-1) {
                return Ok(true);
            }
        }
        let direction = self.sign_at(slope, &sample)?;
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
        match self.sign_at(&Quotient::whole(poly.clone()), at) {
            Err(NotNormal::Undefined) => Ok(None),
            other => other.map(Some),
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
            approximate::value_in(&shown, self.letter, in_floating_point(value)).abs() < NEAR
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
        if of.is_written_near() {
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
            let Kernel { kind, arguments, .. } = &kernel;
            let inside = arguments.first().ok_or(NotNormal::NotCovered)?;
            if matches!(kind, KernelKind::Ln | KernelKind::Root(_) | KernelKind::Power) {
                found.extend(self.points(inside.numerator())?);
            }
            if *kind == KernelKind::Arcsin {
                let square = inside.times(inside, self.budget)?;
                let room = square.minus(&Quotient::constant(Rational::one()), self.budget)?;
                found.extend(self.points(room.numerator())?);
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
            KernelKind::Arctan | KernelKind::Arcsin => {
                let one = Quotient::constant(Rational::one());
                let square = inside.times(inside, self.budget)?;
                let below = if kernel.kind == KernelKind::Arctan {
                    one.plus(&square, self.budget)?
                } else {
                    let room = one.minus(&square, self.budget)?;
                    Normaliser::new(&none, self.budget).root_of(2, &room)?
                };
                let by = below.reciprocal().ok_or(NotNormal::Undefined)?;
                inner.times(&by, self.budget)?
            }
            _ => return Err(NotNormal::NotCovered),
        };
        Ok(outer)
    }
}

/// The multiple of `2^-CELL` below a place where a function seems to change its sign between two others.
fn crossing_cell(
    poly: &Poly,
    letter: &str,
    (low, high): (Option<&Quotient>, Option<&Quotient>),
) -> Option<i64> {
    let shown = poly.to_expr();
    let value = |x: f64| approximate::value_in(&shown, letter, x);
    let end = in_floating_point;
    let steps = (-24..=24).map(|n| f64::powi(2.0, n));
    let mut places: Vec<f64> = match (low.map(end), high.map(end)) {
        (Some(a), Some(b)) => {
            let near = steps.filter(|s| *s < 1.0).flat_map(|s| [a + (b - a) * s, b - (b - a) * s]);
            near.chain((1..16).map(|n| a + (b - a) * f64::from(n) / 16.0)).collect()
        }
        (Some(a), None) => steps.map(|s| a + s).collect(),
        (None, Some(b)) => steps.map(|s| b - s).collect(),
        (None, None) => steps.flat_map(|s| [s, -s]).chain([0.0]).collect(),
    };
    places.sort_by(f64::total_cmp);
    let seen: Vec<(f64, f64)> =
        places.into_iter().map(|x| (x, value(x))).filter(|(_, y)| y.is_finite()).collect();
    let pair = seen.windows(2).find(|pair| (pair[0].1 < 0.0) != (pair[1].1 < 0.0))?;
    let cells = f64::from(1u32 << CELL);
    let at = approximate::crossing(value, (pair[0].0, pair[1].0), 0.01 / cells);
    let cell = (at * cells).floor();
    (cell.abs() < FURTHEST).then_some(cell as i64)
}

fn in_floating_point(value: &Quotient) -> f64 {
    match value.as_constant() {
        Some(number) => approximate::fraction(&number),
        None => approximate::constant(&value.to_expr()),
    }
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
