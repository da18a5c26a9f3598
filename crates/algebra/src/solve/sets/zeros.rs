//! Where a polynomial over kernels may be zero, as one letter moves along the number line.
//!
//! What is found covers every isolated zero; it may hold more, since squaring away a root or letting an
//! absolute value have either sign brings others in. Whoever asks puts each value into the line
//! it came from, exactly. Methods: factors; inverse functions; norms for roots; both signs for absolute
//! values; products for sums of logarithms; the half-angle substitution for sines with cosines; a rule of
//! signs for sums of exponentials; where nothing else helps, the slope.

mod circular;
mod exponentials;
mod slope;

use crate::budget::Budget;
use crate::expr::Constant;
use crate::normal::{
    Atom, KernelKind, Monomial, Normaliser, NotNormal, Poly, Quotient, Root, Univariate, Values,
    algebraic_constant, constant, exact_quotient, gcd, substituted,
};
use crate::number::{Rational, from_int};
use crate::solve::sets::real;
use num_integer::Integer as _;
use num_traits::{One, ToPrimitive, Zero};
use std::collections::BTreeMap;

/// Deepest chain of substitutions.
const DEPTH: usize = 8;

/// Values at which something may be zero.
#[derive(Debug, Clone, Default)]
pub(crate) struct Zeros {
    /// Single values.
    pub points: Vec<Quotient>,
    /// A start and a step: every whole multiple of the step away from the start.
    pub progressions: Vec<(Quotient, Quotient)>,
}

impl Zeros {
    fn add(&mut self, other: Self) {
        self.points.extend(other.points);
        self.progressions.extend(other.progressions);
    }
}

type Found = Result<Zeros, NotNormal>;

/// The values of `letter`, among those for which nothing in `not_negative` is negative, at which `poly` may
/// change from or to zero.
///
/// # Errors
/// [`NotNormal`] when these are not found by the methods here.
pub(crate) fn zeros(
    poly: &Poly,
    letter: &str,
    not_negative: &[Quotient],
    budget: &mut Budget,
) -> Found {
    // Only conditions whose own zeros are easy to find help.
    let is_plain = |part: &Poly| part.atoms().iter().all(|atom| matches!(atom, Atom::Symbol(_)));
    let conditions = not_negative
        .iter()
        .filter(|q| q.mentions(letter) && is_plain(q.numerator()) && is_plain(q.denominator()));
    let not_negative = conditions.cloned().collect();
    Search { letter, not_negative, budget, depth: 0, slopes: 0 }.poly(poly)
}

struct Search<'a> {
    letter: &'a str,
    /// Nothing is asked about values that make one of these negative.
    not_negative: Vec<Quotient>,
    budget: &'a mut Budget,
    depth: usize,
    slopes: usize,
}

impl Search<'_> {
    fn poly(&mut self, poly: &Poly) -> Found {
        if !poly.mentions(self.letter) {
            return Ok(Zeros::default());
        }
        if self.depth >= DEPTH {
            return Err(NotNormal::Spent);
        }
        self.budget.spend(100)?;
        self.depth += 1;
        let found = self.factored(poly);
        self.depth -= 1;
        found
    }

    fn factored(&mut self, poly: &Poly) -> Found {
        let mut found = Zeros::default();
        let content = poly.monomial_content();
        for (atom, _) in content.iter().filter(|(atom, _)| atom.mentions(self.letter)) {
            found.add(self.atom_is(atom, &Quotient::default())?);
        }
        let rest = poly.without(&content);
        let moving: Vec<Atom> =
            rest.atoms().into_iter().filter(|a| a.mentions(self.letter)).cloned().collect();
        let more = match &moving[..] {
            [] => return Ok(found),
            [only] => self.by_values(&rest, only),
            several => self.several(&rest, several),
        };
        found.add(match more {
            Err(NotNormal::NotCovered) => self.by_slope(&rest)?,
            // A number that only a function tells had better be told by this one: it is its zero then.
            Ok(others) if others.points.iter().any(is_crossing) => {
                self.by_slope(&rest).unwrap_or(others)
            }
            other => other?,
        });
        Ok(found)
    }

    /// Where `atom` has a value at which a polynomial in it with constant coefficients is zero.
    fn by_values(&mut self, poly: &Poly, atom: &Atom) -> Found {
        let mut found = Zeros::default();
        for value in constant_roots(&poly.by_powers_of(atom), self.budget)? {
            found.add(self.atom_is(atom, &value)?);
        }
        Ok(found)
    }

    fn several(&mut self, poly: &Poly, moving: &[Atom]) -> Found {
        if let Some(found) = self.by_content(poly, moving)? {
            return Ok(found);
        }
        let of_kind = |test: fn(KernelKind) -> bool| {
            moving.iter().find(|a| a.as_kernel().is_some_and(|k| test(k.kind)))
        };
        if let Some(atom) = of_kind(|kind| kind == KernelKind::Absolute) {
            return self.either_sign(poly, atom);
        }
        let roots = moving
            .iter()
            .filter(|a| a.as_kernel().is_some_and(|k| matches!(k.kind, KernelKind::Root(_))));
        // The root with the most inside it goes first, so that what comes out of it can go next.
        if let Some(atom) = roots.max_by_key(|atom| nesting(atom)) {
            let norm = self.norm(poly, atom)?;
            return if norm.is_zero() { Err(NotNormal::NotCovered) } else { self.poly(&norm) };
        }
        let all = |test: fn(KernelKind) -> bool| {
            moving.iter().all(|a| a.as_kernel().is_some_and(|k| test(k.kind)))
        };
        if all(|kind| kind == KernelKind::Ln) {
            return self.logarithms(poly, moving);
        }
        if all(|kind| kind == KernelKind::Power) {
            return self.exponentials(poly, moving);
        }
        if of_kind(|kind| kind == KernelKind::Power).is_some() {
            return self.two_products(poly);
        }
        if all(|kind| matches!(kind, KernelKind::Sin | KernelKind::Cos)) {
            return self.circular(poly, moving);
        }
        Err(NotNormal::NotCovered)
    }

    /// Takes out what divides every coefficient, as in `x²·2^x - 2^x`.
    fn by_content(&mut self, poly: &Poly, moving: &[Atom]) -> Result<Option<Zeros>, NotNormal> {
        for atom in moving {
            let coefficients = poly.by_powers_of(atom);
            let mut common = Poly::default();
            for coefficient in coefficients.iter().filter(|c| !c.is_zero()) {
                common = gcd(&common, coefficient, self.budget)?;
            }
            if !common.is_zero() && common.mentions(self.letter) {
                let Some(rest) = exact_quotient(poly, &common, self.budget)? else { continue };
                let mut found = self.poly(&common)?;
                found.add(self.poly(&rest)?);
                return Ok(Some(found));
            }
        }
        Ok(None)
    }

    fn either_sign(&mut self, poly: &Poly, atom: &Atom) -> Found {
        let inside = atom.as_kernel().and_then(|k| k.arguments.first()).cloned();
        let inside = inside.ok_or(NotNormal::NotCovered)?;
        let mut found = self.poly(inside.numerator())?;
        for value in [inside.clone(), inside.negated()] {
            let replaced = BTreeMap::from([(atom.clone(), value)]);
            let branch = substituted(poly, &replaced, self.budget)?;
            found.add(self.poly(branch.numerator())?);
        }
        Ok(found)
    }

    /// The product over all values of an `n`-th root: the determinant of multiplication by `poly` in the
    /// basis `1, r, ..., r^(n-1)`.
    fn norm(&mut self, poly: &Poly, atom: &Atom) -> Result<Poly, NotNormal> {
        let (index, radicand) = atom.relation().ok_or(NotNormal::NotCovered)?;
        let n = index as usize;
        if n > 4 {
            return Err(NotNormal::Spent);
        }
        let mut parts = poly.by_powers_of(atom);
        parts.resize(n, Poly::default());
        let mut rows = Vec::with_capacity(n);
        for shift in 0..n {
            let mut row = vec![Poly::default(); n];
            for (power, part) in parts.iter().enumerate() {
                let place = power + shift;
                let part =
                    if place >= n { part.multiply(&radicand, self.budget)? } else { part.clone() };
                row[place % n] = row[place % n].add(&part, self.budget)?;
            }
            rows.push(row);
        }
        Ok(determinant(&rows, self.budget)?)
    }

    /// `Σ qᵢ ln|fᵢ| + c = 0` is `Π |fᵢ|^qᵢ = e^-c`.
    fn logarithms(&mut self, poly: &Poly, moving: &[Atom]) -> Found {
        let (above, below) = product_of_logarithms(poly, moving, self.budget)?;
        if !above.mentions(self.letter) && !below.mentions(self.letter) {
            return Err(NotNormal::NotCovered);
        }
        let mut found = self.is(&above, &below)?;
        found.add(self.is(&above, &below.negated())?);
        Ok(found)
    }

    /// Where an atom has a constant value.
    fn atom_is(&mut self, atom: &Atom, value: &Quotient) -> Found {
        let kernel = match atom {
            Atom::Symbol(_) => {
                return Ok(Zeros { points: vec![value.clone()], progressions: Vec::new() });
            }
            Atom::Constant(_) | Atom::Unit(_) => return Ok(Zeros::default()),
            Atom::Kernel(kernel) => kernel,
        };
        let sign = constant::sign(value, self.budget);
        let inside = kernel.arguments.first().cloned().ok_or(NotNormal::NotCovered)?;
        let none = Values::new();
        match kernel.kind {
            KernelKind::Absolute => {
                if sign == Some(-1) {
                    return Ok(Zeros::default());
                }
                let mut found = self.is(&inside, value)?;
                found.add(self.is(&inside, &value.negated())?);
                Ok(found)
            }
            KernelKind::Root(index) => {
                if sign == Some(-1) && index.is_even() {
                    return Ok(Zeros::default());
                }
                let power = value.power(index, self.budget)?;
                self.is(&inside, &power)
            }
            KernelKind::Power => {
                if sign.ok_or(NotNormal::NotCovered)? <= 0 {
                    return Ok(Zeros::default());
                }
                let above = Normaliser::new(&none, self.budget).ln_of(value)?;
                let below = Normaliser::new(&none, self.budget).ln_of(&inside)?;
                let below = below.reciprocal().ok_or(NotNormal::NotCovered)?;
                let exponent = kernel.arguments.get(1).cloned().ok_or(NotNormal::NotCovered)?;
                if !inside.is_constant() {
                    return Err(NotNormal::NotCovered);
                }
                let target = above.times(&below, self.budget)?;
                self.is(&exponent, &target)
            }
            KernelKind::Ln => {
                let size = Normaliser::new(&none, self.budget).e_to(value)?;
                let mut found = self.is(&inside, &size)?;
                found.add(self.is(&inside, &size.negated())?);
                Ok(found)
            }
            KernelKind::Arcsin => {
                let sine = Normaliser::new(&none, self.budget).sine_of(value)?;
                self.is(&inside, &sine)
            }
            KernelKind::Arctan => {
                let mut forms = Normaliser::new(&none, self.budget);
                match forms.tangent_of(value) {
                    Ok(tangent) => self.is(&inside, &tangent),
                    Err(NotNormal::Undefined) => Ok(Zeros::default()),
                    Err(other) => Err(other),
                }
            }
            KernelKind::Sin | KernelKind::Cos => self.circular_is(kernel, value),
            KernelKind::Factorial => {
                let value = value.as_constant().ok_or(NotNormal::NotCovered)?;
                let mut found = Zeros::default();
                let (mut n, mut factorial) = (0, Rational::one());
                while factorial <= value {
                    if factorial == value {
                        found.add(self.is(&inside, &Quotient::constant(from_int(n)))?);
                    }
                    n += 1;
                    factorial *= from_int(n);
                }
                Ok(found)
            }
            KernelKind::PrimeRoot
            | KernelKind::SignPower
            | KernelKind::Algebraic
            | KernelKind::IsolatedRoot => Err(NotNormal::NotCovered),
        }
    }

    fn is(&mut self, inside: &Quotient, value: &Quotient) -> Found {
        let difference = inside.minus(value, self.budget)?;
        self.poly(difference.numerator())
    }
}

/// The two products whose sizes are equal where a sum of logarithms is zero.
///
/// # Errors
/// [`NotNormal`] when it is no such sum.
pub(crate) fn product_of_logarithms(
    poly: &Poly,
    moving: &[Atom],
    budget: &mut Budget,
) -> Result<(Quotient, Quotient), NotNormal> {
    let mut scale = crate::number::Integer::one();
    let mut rest = poly.clone();
    let mut linear = Vec::new();
    for atom in moving {
        let parts = rest.by_powers_of(atom);
        let [others, factor] = &parts[..] else { return Err(NotNormal::NotCovered) };
        let factor = factor.as_constant().ok_or(NotNormal::NotCovered)?;
        scale = scale.lcm(factor.denom());
        linear.push((atom, factor));
        rest = others.clone();
    }
    if !rest.is_constant() {
        return Err(NotNormal::NotCovered);
    }
    let scale = Rational::from_integer(scale);
    let none = Values::new();
    let shift = Quotient::whole(rest.scale(&-scale.clone()));
    let target = Normaliser::new(&none, budget).e_to(&shift)?;
    let (mut above, mut below) = (Quotient::constant(Rational::one()), target);
    for (atom, factor) in linear {
        let inside = atom.as_kernel().and_then(|k| k.arguments.first()).cloned();
        let inside = inside.ok_or(NotNormal::NotCovered)?;
        let times = (factor * &scale).to_integer().to_i32().ok_or(NotNormal::Spent)?;
        let power = inside.power(times.unsigned_abs(), budget)?;
        let side = if times > 0 { &mut above } else { &mut below };
        *side = side.times(&power, budget)?;
    }
    Ok((above, below))
}

/// `n·π`
fn pi_times(n: i64) -> Quotient {
    Quotient::whole(Poly::term(Monomial::atom(Atom::Constant(Constant::Pi)), from_int(n)))
}

fn is_crossing(value: &Quotient) -> bool {
    value.as_kernel().is_some_and(|kernel| kernel.kind == KernelKind::IsolatedRoot)
}

/// How deep kernels stand inside each other.
fn nesting(atom: &Atom) -> usize {
    let inside = |q: &Quotient| {
        let atoms = q.numerator().atoms().into_iter().chain(q.denominator().atoms());
        atoms.map(nesting).max().unwrap_or(0)
    };
    atom.as_kernel().map_or(0, |k| 1 + k.arguments.iter().map(inside).max().unwrap_or(0))
}

fn determinant(rows: &[Vec<Poly>], budget: &mut Budget) -> Result<Poly, crate::budget::Spent> {
    let Some((first, rest)) = rows.split_first() else { return Ok(Poly::int(1)) };
    let mut sum = Poly::default();
    for (column, entry) in first.iter().enumerate().filter(|(_, entry)| !entry.is_zero()) {
        let minor: Vec<Vec<Poly>> = rest
            .iter()
            .map(|row| {
                let others = row.iter().enumerate().filter(|(at, _)| *at != column);
                others.map(|(_, entry)| entry.clone()).collect()
            })
            .collect();
        let product = entry.multiply(&determinant(&minor, budget)?, budget)?;
        sum = sum.add(&if column % 2 == 0 { product } else { product.negated() }, budget)?;
    }
    Ok(sum)
}

/// The real roots of a polynomial whose coefficients, lowest power first, are constants.
///
/// # Errors
/// [`NotNormal::NotCovered`] for irrational coefficients above degree two.
pub(crate) fn constant_roots(
    coefficients: &[Poly],
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    let rational: Option<Vec<Rational>> = coefficients.iter().map(Poly::as_constant).collect();
    if let Some(rational) = rational {
        let poly = Univariate::new(rational);
        if poly.is_zero() || poly.degree() == 0 {
            return Ok(Vec::new());
        }
        if poly.degree() > crate::budget::DEGREE {
            return Err(NotNormal::Spent);
        }
        return rational_roots(&poly.square_free(budget)?, budget);
    }
    if !coefficients.iter().all(Poly::is_constant) {
        return Err(NotNormal::NotCovered);
    }
    let mut parts: Vec<Quotient> = coefficients.iter().cloned().map(Quotient::whole).collect();
    while let Some(last) = parts.last() {
        match constant::sign(last, budget) {
            Some(0) => {
                parts.pop();
            }
            Some(_) => break,
            None => return Err(NotNormal::NotCovered),
        }
    }
    match &parts[..] {
        [] | [_] => Ok(Vec::new()),
        [b, a] => {
            let by = a.reciprocal().ok_or(NotNormal::NotCovered)?;
            Ok(vec![b.negated().times(&by, budget)?.cancelled(budget)?])
        }
        [c, b, a] => real::quadratic(a, b, c, budget),
        [c, middle @ .., a] if middle.iter().all(Quotient::is_zero) => {
            let by = a.reciprocal().ok_or(NotNormal::NotCovered)?;
            let power = c.negated().times(&by, budget)?;
            roots_of_constant(parts.len() - 1, &power, budget)
        }
        _ => Err(NotNormal::NotCovered),
    }
}

/// The real numbers whose power of that degree is a constant.
fn roots_of_constant(
    degree: usize,
    power: &Quotient,
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    let index = u32::try_from(degree).map_err(|_| NotNormal::Spent)?;
    let sign = constant::sign(power, budget).ok_or(NotNormal::NotCovered)?;
    if index.is_even() && sign < 0 {
        return Ok(Vec::new());
    }
    let none = Values::new();
    let root = Normaliser::new(&none, budget).root_of(index, power)?;
    Ok(if index.is_even() { vec![root.negated(), root] } else { vec![root] })
}

/// The real roots of a square-free polynomial with rational coefficients, by roots of whole numbers
/// where these say them.
pub(crate) fn rational_roots(
    poly: &Univariate,
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    let exact = poly.rational_roots().unwrap_or_default();
    let mut rest = poly.clone();
    for root in &exact {
        let factor = Univariate::new(vec![-root, Rational::one()]);
        rest = rest.exact_quotient(&factor, budget)?.ok_or(NotNormal::Spent)?;
    }
    let mut found: Vec<Quotient> = exact.into_iter().map(Quotient::constant).collect();
    let number = |value: &Rational| Quotient::constant(value.clone());
    match rest.coefficients() {
        [] | [_] => {}
        [c, b, a] => found.extend(real::quadratic(&number(a), &number(b), &number(c), budget)?),
        [c, middle @ .., a] if middle.iter().all(Zero::is_zero) => {
            found.extend(roots_of_constant(rest.degree(), &number(&(-c / a)), budget)?);
        }
        all if all.iter().skip(1).step_by(2).all(Zero::is_zero) => {
            // Only even powers: a polynomial in the square.
            let half = Univariate::new(all.iter().step_by(2).cloned().collect());
            for square in rational_roots(&half, budget)? {
                if constant::sign(&square, budget).ok_or(NotNormal::NotCovered)? > 0 {
                    let none = Values::new();
                    let root = Normaliser::new(&none, budget).root_of(2, &square)?;
                    found.extend([root.negated(), root]);
                }
            }
        }
        all => {
            // (x + 1)³ = 2: a power of one sum.
            let n = rest.degree();
            let shift = -&all[n - 1] / (&all[n] * from_int(n as i64));
            let moved = rest.shifted(&shift);
            let middle = &moved.coefficients()[1..n];
            if !shift.is_zero() && middle.iter().all(Zero::is_zero) {
                for root in rational_roots(&moved, budget)? {
                    found.push(root.plus(&number(&shift), budget)?);
                }
                return Ok(found);
            }
            for root in rest.roots(budget)? {
                if let Root::Exact(value) = &root {
                    found.push(number(value));
                } else {
                    found.push(algebraic_constant(&rest, &root));
                }
            }
        }
    }
    Ok(found)
}
