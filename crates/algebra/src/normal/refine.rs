//! Relations between kernels: all of them in terms of few.
//!
//! Angles with a common part become multiples of that part (addition formulas); powers of one base get
//! one exponent; logarithms and roots get arguments without common factors, whose signs are looked up in
//! what is known. Each replacement holds wherever the kernels are defined and what is known is true, so
//! a difference that becomes zero IS zero there.

use super::build::{Normaliser, NotNormal, Values, is_surely_positive, kernel};
use super::circular::Direction;
use super::{Atom, Kernel, KernelKind, Poly, Quotient, constant, divide, factor};
use crate::budget::Budget;
use crate::number::Rational;
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::collections::BTreeMap;

/// What is known of the place where two expressions are compared.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Knowledge {
    /// These are positive, or at least not negative.
    pub not_negative: Vec<Quotient>,
    /// Those among them that are positive.
    pub positive: Vec<Quotient>,
    /// These are not zero.
    pub not_zero: Vec<Quotient>,
    /// Whether a sign may be told that single points lack: where `x²y` is not negative `y` is not either, but for
    /// `x = 0`. Whoever allows it looks at such points.
    pub but_for_points: bool,
}

impl Knowledge {
    /// The polynomials of which no factor is zero anywhere in the place.
    fn without_zero(&self) -> Vec<Poly> {
        let mut found = Vec::new();
        for value in self.positive.iter().chain(&self.not_zero) {
            for poly in [value.numerator(), value.denominator()] {
                found.push(poly.clone());
                // √(xy) is not zero: nor is xy.
                let content = poly.monomial_content();
                for kernel in content.iter().filter_map(|(atom, _)| atom.as_kernel()) {
                    if matches!(kernel.kind, KernelKind::Root(_) | KernelKind::Absolute) {
                        found.extend(kernel.arguments.iter().map(|a| a.numerator().clone()));
                    }
                }
            }
        }
        found
    }
}

/// Highest power that one kernel is taken to.
const POWER: i64 = 48;

/// `poly` with its kernels in terms of few.
///
/// # Errors
/// [`NotNormal`] when a limit is reached.
pub fn refine(
    poly: &Poly,
    knowledge: &Knowledge,
    budget: &mut Budget,
) -> Result<Quotient, NotNormal> {
    let mut replaced: BTreeMap<Atom, Quotient> = BTreeMap::new();
    let kernels: Vec<Atom> =
        poly.atoms().into_iter().filter(|a| a.as_kernel().is_some()).cloned().collect();
    if kernels.is_empty() {
        return Ok(Quotient::whole(poly.clone()));
    }
    angles(&kernels, &mut replaced, budget)?;
    powers(&kernels, &mut replaced, budget)?;
    logarithms(&kernels, &mut replaced, budget)?;
    roots(&kernels, knowledge, &mut replaced, budget)?;
    let found = substituted(poly, &replaced, budget)?;
    Ok(found)
}

/// `poly` with other values for some atoms.
///
/// # Errors
/// [`NotNormal`] when a limit is reached.
pub fn substituted(
    poly: &Poly,
    replaced: &BTreeMap<Atom, Quotient>,
    budget: &mut Budget,
) -> Result<Quotient, NotNormal> {
    if replaced.is_empty() {
        return Ok(Quotient::whole(poly.clone()));
    }
    let mut sum = Quotient::default();
    for (monomial, coefficient) in poly.terms() {
        let (_, rest) = monomial.partition(|atom| replaced.contains_key(atom));
        let mut product = Quotient::whole(Poly::term(rest, coefficient.clone()));
        for (atom, exponent) in monomial.iter() {
            if let Some(value) = replaced.get(atom) {
                product = product.times(&value.power(*exponent, budget)?, budget)?;
            }
        }
        sum = sum.plus(&product, budget)?;
    }
    Ok(sum)
}

/// A linear form: monic parts with rational coefficients.
fn linear_form(value: &Quotient) -> Vec<(Quotient, Rational)> {
    match value.as_poly() {
        Some(poly) => poly
            .terms()
            .map(|(m, c)| (Quotient::whole(Poly::term(m.clone(), Rational::one())), c.clone()))
            .collect(),
        // (1 + x²y)/x is 1/x and xy.
        None if value.denominator().as_term().is_some() => value
            .numerator()
            .terms()
            .filter_map(|(m, c)| {
                let monic = Poly::term(m.clone(), Rational::one());
                Some((Quotient::new(monic, value.denominator().clone())?, c.clone()))
            })
            .collect(),
        None => {
            let lead = value.numerator().leading();
            let monic =
                Quotient::new(value.numerator().scale(&lead.recip()), value.denominator().clone());
            monic.map(|monic| (monic, lead)).into_iter().collect()
        }
    }
}

/// The largest rational number of which both are whole multiples.
fn common_part(a: &Rational, b: &Rational) -> Rational {
    if a.is_zero() {
        return b.abs();
    }
    Rational::new((a.numer() * b.denom()).gcd(&(b.numer() * a.denom())), a.denom() * b.denom())
}

fn whole_multiple(value: &Rational, part: &Rational) -> Result<i64, NotNormal> {
    let times = (value / part).to_integer().to_i64();
    times.filter(|n| n.abs() <= POWER).ok_or(NotNormal::Spent)
}

fn scaled(value: &Quotient, factor: &Rational, budget: &mut Budget) -> Result<Quotient, NotNormal> {
    Ok(value.times(&Quotient::constant(factor.clone()), budget)?)
}

fn angles(
    kernels: &[Atom],
    replaced: &mut BTreeMap<Atom, Quotient>,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    let circular: Vec<(&Atom, KernelKind, &Quotient)> = kernels
        .iter()
        .filter_map(|atom| {
            let k = atom.as_kernel()?;
            let is_circular = matches!(k.kind, KernelKind::Sin | KernelKind::Cos);
            // The cosine of a multiple of π is a number of its own.
            let moves = super::circular::turns(&k.arguments[0]).is_none();
            (is_circular && moves).then(|| (atom, k.kind, &k.arguments[0]))
        })
        .collect();
    let mut parts: BTreeMap<Quotient, Rational> = BTreeMap::new();
    for (_, _, angle) in &circular {
        for (key, coefficient) in linear_form(angle) {
            let part = parts.entry(key).or_insert_with(Rational::zero);
            *part = common_part(part, &coefficient);
        }
    }
    let none = Values::new();
    let mut known: BTreeMap<&Quotient, Direction> = BTreeMap::new();
    for (atom, kind, angle) in circular {
        if !known.contains_key(angle) {
            let mut forms = Normaliser::new(&none, budget);
            let mut sum = (Quotient::constant(Rational::one()), Quotient::default());
            for (key, coefficient) in linear_form(angle) {
                let part = &parts[&key];
                let one = single(&key, part, &mut forms)?;
                let n = whole_multiple(&coefficient, part)?;
                let many = forms.multiplied(&one, n)?;
                sum = forms.turned(&sum, &many)?;
            }
            known.insert(angle, sum);
        }
        let (c, s) = &known[angle];
        replaced.insert(atom.clone(), if kind == KernelKind::Cos { c } else { s }.clone());
    }
    Ok(())
}

/// The direction of `part · key`.
fn single(
    key: &Quotient,
    part: &Rational,
    forms: &mut Normaliser<'_>,
) -> Result<Direction, NotNormal> {
    if let Some(Atom::Kernel(k)) = super::powers::only_atom(key.numerator())
        && matches!(k.kind, KernelKind::Arcsin | KernelKind::Arctan)
        && part.is_integer()
        && key.denominator().as_constant().is_some()
    {
        let one = forms.direction_of_inverse(k.kind, &k.arguments[0])?;
        return forms.multiplied(&one, part.to_integer().to_i64().unwrap_or(POWER));
    }
    let angle = scaled(key, part, forms.budget)?;
    Ok((kernel(KernelKind::Cos, vec![angle.clone()]), kernel(KernelKind::Sin, vec![angle])))
}

fn powers(
    kernels: &[Atom],
    replaced: &mut BTreeMap<Atom, Quotient>,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    let mut parts: BTreeMap<(&Quotient, Quotient), Rational> = BTreeMap::new();
    let mut found = Vec::new();
    for atom in kernels {
        let Some(k) = atom.as_kernel().filter(|k| k.kind == KernelKind::Power) else { continue };
        let [base, exponent] = &k.arguments[..] else { continue };
        let form = linear_form(exponent);
        let [(key, coefficient)] = &form[..] else { continue };
        let part = parts.entry((base, key.clone())).or_insert_with(Rational::zero);
        *part = common_part(part, coefficient);
        found.push((atom, base, key.clone(), coefficient.clone()));
    }
    for (atom, base, key, coefficient) in found {
        let part = &parts[&(base, key.clone())];
        let n = whole_multiple(&coefficient, part)?;
        let exponent = scaled(&key, part, budget)?;
        let one = kernel(KernelKind::Power, vec![base.clone(), exponent]);
        let size = one.power(u32::try_from(n.abs()).map_err(|_| NotNormal::Spent)?, budget)?;
        let value = if n < 0 { size.reciprocal().ok_or(NotNormal::Undefined)? } else { size };
        replaced.insert(atom.clone(), value);
    }
    Ok(())
}

/// Polynomials without common factors, of which all that were put in are products.
#[derive(Default)]
struct Basis(Vec<Poly>);

impl Basis {
    fn add(&mut self, poly: &Poly, budget: &mut Budget) -> Result<(), NotNormal> {
        for (factor, _) in factor::split(poly, budget)? {
            self.add_one(factor, budget)?;
        }
        Ok(())
    }

    fn add_one(&mut self, poly: Poly, budget: &mut Budget) -> Result<(), NotNormal> {
        let mut waiting = vec![poly];
        while let Some(poly) = waiting.pop() {
            if poly.as_constant().is_some() || self.0.contains(&poly) {
                continue;
            }
            let mut shared = None;
            for (at, old) in self.0.iter().enumerate() {
                let common = divide::gcd(old, &poly, budget)?;
                if common.as_constant().is_none() {
                    shared = Some((at, common));
                    break;
                }
            }
            match shared {
                None => self.0.push(poly),
                Some((at, common)) => {
                    let old = self.0.remove(at);
                    for whole in [old, poly] {
                        let rest = divide::exact_quotient(&whole, &common, budget)?;
                        waiting.push(factor::primitive(&rest.ok_or(NotNormal::Spent)?));
                    }
                    waiting.push(common);
                }
            }
        }
        Ok(())
    }

    /// The exponents of `poly` over the basis, and the number that is left.
    fn exponents(
        &self,
        poly: &Poly,
        budget: &mut Budget,
    ) -> Result<Option<(Vec<u32>, Rational)>, NotNormal> {
        let mut rest = poly.clone();
        let mut exponents = vec![0; self.0.len()];
        for (factor, exponent) in self.0.iter().zip(&mut exponents) {
            while let Some(quotient) = divide::exact_quotient(&rest, factor, budget)? {
                rest = quotient;
                *exponent += 1;
                if rest.is_zero() {
                    return Ok(None);
                }
            }
        }
        Ok(rest.as_constant().map(|left| (exponents, left)))
    }
}

fn arguments_of(kernels: &[Atom], test: impl Fn(KernelKind) -> bool) -> Vec<(&Atom, &Poly)> {
    kernels
        .iter()
        .filter_map(|atom| {
            let k = atom.as_kernel().filter(|k| test(k.kind))?;
            let argument = k.arguments.first()?;
            (!argument.is_constant() && argument.denominator().as_constant().is_some())
                .then(|| (atom, argument.numerator()))
        })
        .collect()
}

fn logarithms(
    kernels: &[Atom],
    replaced: &mut BTreeMap<Atom, Quotient>,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    let logs = arguments_of(kernels, |kind| kind == KernelKind::Ln);
    if logs.len() < 2 {
        return Ok(());
    }
    let mut basis = Basis::default();
    for (_, poly) in &logs {
        basis.add(poly, budget)?;
    }
    for (atom, poly) in logs {
        let Some((exponents, _)) = basis.exponents(poly, budget)? else { continue };
        let mut sum = Quotient::default();
        for (factor, exponent) in basis.0.iter().zip(exponents).filter(|(_, e)| *e > 0) {
            let one = kernel(KernelKind::Ln, vec![Quotient::whole(factor.clone())]);
            let many = scaled(&one, &Rational::from_integer(exponent.into()), budget)?;
            sum = sum.plus(&many, budget)?;
        }
        replaced.insert(atom.clone(), sum);
    }
    Ok(())
}

/// The signs of the factors of a basis, as far as they are known.
struct Signs {
    /// 1, -1, or 0 for unknown.
    of: Vec<i8>,
    linked: Vec<Linked>,
}

/// A factor whose sign goes with those of others, which are not zero: where `y/(1 - y)` is positive, `|1 - y|` is
/// `y(1 - y)/|y|`.
struct Linked {
    factor: usize,
    others: Vec<usize>,
    /// The sign of the product of all.
    sign: i8,
}

/// What is known of a product of factors of the basis.
struct Product {
    exponents: Vec<u32>,
    is_negative: bool,
    is_strict: bool,
}

/// Looks up the signs of the basis in what is known.
fn signs(basis: &Basis, knowledge: &Knowledge, budget: &mut Budget) -> Result<Signs, NotNormal> {
    let sure = |poly: &Poly| i8::from(is_surely_positive(&Quotient::whole(poly.clone())));
    let mut signs: Vec<i8> = basis.0.iter().map(sure).collect();
    let sure_factors: Vec<bool> = signs.iter().map(|&sign| sign == 1).collect();
    let without_zero = knowledge.without_zero();
    let is_not_zero = |factor: usize, budget: &mut Budget| {
        sure_factors[factor]
            || without_zero.iter().any(|poly| {
                divide::exact_quotient(poly, &basis.0[factor], budget)
                    .is_ok_and(|quotient| quotient.is_some())
            })
    };
    let mut known = Vec::new();
    for value in &knowledge.not_negative {
        let is_strict = knowledge.positive.contains(value);
        let mut product = value.numerator().multiply(value.denominator(), budget)?;
        if is_strict {
            product = with_sizes(&product, |_| Some(Poly::int(1)), budget)?;
        }
        if let Some((exponents, left)) = basis.exponents(&product, budget)? {
            known.push(Product { exponents, is_negative: left.is_negative(), is_strict });
        }
    }
    // `x - 3` is positive where `x - 5` is.
    for (factor, sign) in basis.0.iter().zip(&mut signs).filter(|(_, sign)| **sign == 0) {
        for value in knowledge.not_negative.iter().filter_map(Quotient::as_poly) {
            let above = |a: &Poly| {
                a.minus_plainly(&value).as_constant().is_some_and(|apart| !apart.is_negative())
            };
            if above(factor) {
                *sign = 1;
            } else if above(&factor.negated()) {
                *sign = -1;
            }
        }
    }
    // An odd root has the sign of what is under it.
    for (factor, sign) in basis.0.iter().zip(&mut signs).filter(|(_, sign)| **sign == 0) {
        let kernel = super::powers::only_atom(factor).and_then(Atom::as_kernel);
        if let Some(kernel) = kernel
            && matches!(kernel.kind, KernelKind::Root(index) if index.is_odd())
            && kernel.arguments.iter().all(|under| knowledge.not_negative.contains(under))
        {
            *sign = 1;
        }
    }
    let odd = |exponents: &[u32]| -> Vec<usize> {
        (0..exponents.len()).filter(|&i| exponents[i] % 2 == 1).collect()
    };
    for _ in 0..known.len() {
        for Product { exponents, is_negative, is_strict } in &known {
            let odd = || odd(exponents).into_iter();
            let mut open = odd().filter(|&i| signs[i] == 0);
            if let (Some(only), None) = (open.next(), open.next()) {
                // Where another factor is zero, the product says nothing of this one.
                let others = (0..exponents.len()).filter(|&i| i != only && exponents[i] > 0);
                let tells = *is_strict
                    || knowledge.but_for_points
                    || others.clone().all(|i| is_not_zero(i, budget));
                if tells {
                    let others: i8 = odd().filter(|&i| i != only).map(|i| signs[i]).product();
                    signs[only] = if *is_negative { -others } else { others };
                }
            }
        }
    }
    let mut linked: Vec<Linked> = Vec::new();
    for Product { exponents, is_negative, is_strict } in &known {
        let (mut open, told): (Vec<usize>, Vec<usize>) =
            odd(exponents).into_iter().partition(|&i| signs[i] == 0);
        let is_used =
            |i: &usize| linked.iter().any(|link| link.factor == *i || link.others.contains(i));
        if open.len() < 2 || open.iter().any(is_used) {
            continue;
        }
        let all = (0..exponents.len()).filter(|&i| exponents[i] > 0);
        let may_vanish = |i: &usize, budget: &mut Budget| !is_strict && !is_not_zero(*i, budget);
        let vanishing: Vec<usize> = all.filter(|i| may_vanish(i, budget)).collect();
        // At most the factor itself may be zero: its size is zero then, as the product is.
        let at = match vanishing[..] {
            [] => open.len() - 1,
            [one] => match open.iter().position(|&i| i == one) {
                Some(at) => at,
                None => continue,
            },
            _ => continue,
        };
        let factor = open.remove(at);
        let sign: i8 = told.iter().map(|&i| signs[i]).product();
        let sign = if *is_negative { -sign } else { sign };
        linked.push(Linked { factor, others: open, sign });
    }
    Ok(Signs { of: signs, linked })
}

fn roots(
    kernels: &[Atom],
    knowledge: &Knowledge,
    replaced: &mut BTreeMap<Atom, Quotient>,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    let is_one = |kind| matches!(kind, KernelKind::Root(_) | KernelKind::Absolute);
    let mut found = Vec::new();
    for (atom, poly) in arguments_of(kernels, is_one) {
        // √|xy| is √|x| √|y|, as √(xy) is: of an even root only sizes count.
        let is_even = kind_is_even(atom.as_kernel().map(|k| k.kind));
        let inside = |kernel: &Kernel| kernel.arguments.first().and_then(Quotient::as_poly);
        let poly = if is_even { with_sizes(poly, inside, budget)? } else { poly.clone() };
        found.push((atom, poly));
    }
    if found.is_empty() {
        return Ok(());
    }
    let mut basis = Basis::default();
    for (_, poly) in &found {
        basis.add(poly, budget)?;
    }
    for value in &knowledge.not_negative {
        for poly in [value.numerator(), value.denominator()] {
            if poly.atoms().iter().all(|a| matches!(a, Atom::Symbol(_))) {
                basis.add(poly, budget)?;
            }
        }
    }
    let Signs { of: signs, linked } = signs(&basis, knowledge, budget)?;
    let mut parts = Vec::new();
    // The common index of the roots of each factor: of its size, and of the factor itself.
    let mut of_size = vec![1u32; basis.0.len()];
    let mut of_self = vec![1u32; basis.0.len()];
    for (atom, poly) in found {
        let Some((exponents, left)) = basis.exponents(&poly, budget)? else { continue };
        let kind = atom.as_kernel().map(|k| k.kind);
        if let Some(KernelKind::Root(index)) = kind {
            for (at, exponent) in exponents.iter().enumerate() {
                let index = index / index.gcd(exponent);
                if kind_is_even(kind) || signs[at] != 0 {
                    of_size[at] = of_size[at].lcm(&index);
                } else {
                    of_self[at] = of_self[at].lcm(&index);
                }
            }
        }
        parts.push((atom, kind, exponents, left));
    }
    for (atom, kind, exponents, left) in parts {
        let mut product = Quotient::constant(Rational::one());
        let index = match kind {
            Some(KernelKind::Root(index)) => index,
            _ => 1,
        };
        if index.is_even() || kind == Some(KernelKind::Absolute) {
            let none = Values::new();
            product = Normaliser::new(&none, budget).root(index, Quotient::constant(left.abs()))?;
        } else {
            let none = Values::new();
            product = product.times(
                &Normaliser::new(&none, budget).root(index, Quotient::constant(left))?,
                budget,
            )?;
        }
        for (at, exponent) in exponents.iter().enumerate().filter(|(_, e)| **e > 0) {
            let factor = Quotient::whole(basis.0[at].clone());
            let link = linked.iter().find(|link| link.factor == at && of_size[at] == 1);
            let size = match signs[at] {
                0 if let Some(Linked { others, sign, .. }) = link => {
                    let mut size = factor.clone();
                    for other in others {
                        let other = Quotient::whole(basis.0[*other].clone());
                        let below = kernel(KernelKind::Absolute, vec![other.clone()]);
                        let by = below.reciprocal().ok_or(NotNormal::Undefined)?;
                        size = size.times(&other, budget)?.times(&by, budget)?;
                    }
                    if *sign < 0 { size.negated() } else { size }
                }
                0 => kernel(KernelKind::Absolute, vec![factor.clone()]),
                1 => factor.clone(),
                _ => factor.negated(),
            };
            let is_odd_root = index.is_odd() && kind != Some(KernelKind::Absolute);
            let (base, common) = if is_odd_root && signs[at] == 0 {
                (factor, of_self[at])
            } else {
                (size, of_size[at])
            };
            let times = common * exponent / index;
            let one = if common == 1 { base } else { kernel(KernelKind::Root(common), vec![base]) };
            let mut power = one.power(times, budget)?;
            if is_odd_root && signs[at] < 0 && exponent % 2 == 1 {
                power = power.negated();
            }
            product = product.times(&power, budget)?;
        }
        replaced.insert(atom.clone(), product);
    }
    Ok(())
}

/// A single term with something else for each absolute value in it, where `inside` says so.
fn with_sizes(
    poly: &Poly,
    inside: impl Fn(&Kernel) -> Option<Poly>,
    budget: &mut Budget,
) -> Result<Poly, NotNormal> {
    let is_size =
        |atom: &Atom| atom.as_kernel().is_some_and(|kernel| kernel.kind == KernelKind::Absolute);
    let Some((monomial, factor)) = poly.as_term() else { return Ok(poly.clone()) };
    let (sizes, rest) = monomial.partition(is_size);
    let mut product = Poly::term(rest, factor.clone());
    for (atom, exponent) in sizes.iter() {
        let other = atom.as_kernel().and_then(&inside);
        let value = other.unwrap_or_else(|| Poly::atom(atom.clone()));
        product = product.multiply(&value.power(*exponent, budget)?, budget)?;
    }
    Ok(product)
}

fn kind_is_even(kind: Option<KernelKind>) -> bool {
    match kind {
        Some(KernelKind::Root(index)) => index.is_even(),
        _ => true,
    }
}

/// Whether a polynomial in kernels is proved to be zero wherever they are defined: its coefficients,
/// which are constants, are.
#[must_use]
pub fn is_zero_everywhere(poly: &Poly, budget: &mut Budget) -> bool {
    if poly.is_zero() {
        return true;
    }
    let parts = poly.grouped(|atom| !atom.is_constant());
    parts
        .values()
        .all(|part| part.as_constant().is_none() && constant::poly_sign(part, budget) == Some(0))
}
