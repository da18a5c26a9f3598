//! Sums of logarithms, and sums of angles, that are zero.
//!
//! `Σ nᵢ ln aᵢ = 0` exactly when `Π aᵢ^nᵢ = 1`; a sum of angles that lies near zero is zero exactly when
//! the product of the directions of the angles points along the positive real axis. Both questions are
//! about algebraic numbers. And a sum of products of two powers with one exponent, all of one degree, is a
//! polynomial in their quotient.

use super::{Atom, KernelKind, Poly, Quotient, constant};
use crate::budget::Budget;
use crate::expr::Constant;
use crate::number::Integer;
use crate::number::{Rational, from_int};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive};

/// Largest whole multiple of one logarithm or angle.
const MULTIPLE: i64 = 64;

/// Whether a constant that is known to lie within `2^-40` of zero is proved zero in one of these ways.
pub(super) fn is_zero(poly: &Poly, budget: &mut Budget) -> bool {
    if powers(poly, budget) == Some(true) {
        return true;
    }
    let mut parts: Vec<(&Atom, Rational)> = Vec::new();
    for (monomial, coefficient) in poly.terms() {
        let mut atoms = monomial.iter();
        match (atoms.next(), atoms.next()) {
            (Some((atom, 1)), None) => parts.push((atom, coefficient.clone())),
            _ => return false,
        }
    }
    let scale = parts.iter().fold(Integer::one(), |m, (_, c)| m.lcm(c.denom()));
    // A multiple of the value has to stay well within one turn.
    if scale.bits() > 30 {
        return false;
    }
    let mut whole = Vec::new();
    for (atom, coefficient) in parts {
        let n = (coefficient * Rational::from_integer(scale.clone())).to_integer();
        match n.to_i64().filter(|n| n.abs() <= MULTIPLE) {
            Some(n) => whole.push((atom, n)),
            None => return false,
        }
    }
    logarithms(&whole, budget).or_else(|| angles(&whole, budget)).unwrap_or(false)
}

/// `u² - uv - 2v²` with `u = 2^a` and `v = 3^a`: looked at as `t² - t - 2` with `t = (2/3)^a`.
fn powers(poly: &Poly, budget: &mut Budget) -> Option<bool> {
    let is_power =
        |atom: &&Atom| atom.as_kernel().is_some_and(|kernel| kernel.kind == KernelKind::Power);
    let kernels: Vec<Atom> = poly.atoms().into_iter().filter(is_power).cloned().collect();
    let [first, second] = &kernels[..] else { return None };
    let (a, b) = (&first.as_kernel()?.arguments, &second.as_kernel()?.arguments);
    let terms = poly.grouped(|atom| atom == first || atom == second);
    let degree = terms.keys().next()?.degree();
    if terms.keys().any(|monomial| monomial.degree() != degree) {
        return None;
    }
    let none = super::Values::new();
    let mut forms = super::Normaliser::new(&none, budget);
    let above = forms.ln_of_size(&a[0]).ok()?.times(&a[1], forms.budget).ok()?;
    let below = forms.ln_of_size(&b[0]).ok()?.times(&b[1], forms.budget).ok()?;
    let exponent = above.minus(&below, forms.budget).ok()?.cancelled(forms.budget).ok()?;
    let quotient = forms.e_to(&exponent).ok()?;
    let mut sum = Quotient::default();
    for (monomial, coefficient) in terms {
        let power = quotient.power(monomial.exponent(first), budget).ok()?;
        let term = power.times(&Quotient::whole(coefficient), budget).ok()?;
        sum = sum.plus(&term, budget).ok()?;
    }
    let is_simpler = sum.numerator().atoms().len() < poly.atoms().len();
    is_simpler.then(|| constant::sign(&sum, budget) == Some(0))
}

fn logarithms(parts: &[(&Atom, i64)], budget: &mut Budget) -> Option<bool> {
    let mut above = Quotient::constant(from_int(1));
    let mut below = above.clone();
    for (atom, n) in parts {
        let kernel = atom.as_kernel().filter(|kernel| kernel.kind == KernelKind::Ln)?;
        let argument = kernel.arguments.first()?;
        let size = if constant::sign(argument, budget)? < 0 {
            argument.negated()
        } else {
            argument.clone()
        };
        let power = size.power(u32::try_from(n.abs()).ok()?, budget).ok()?;
        let side = if *n > 0 { &mut above } else { &mut below };
        *side = side.times(&power, budget).ok()?;
    }
    let difference = above.minus(&below, budget).ok()?;
    Some(constant::sign(&difference, budget)? == 0)
}

fn angles(parts: &[(&Atom, i64)], budget: &mut Budget) -> Option<bool> {
    let one = Quotient::constant(from_int(1));
    let (mut re, mut im) = (one.clone(), Quotient::default());
    for (atom, n) in parts {
        let (c, s) = match atom {
            Atom::Constant(Constant::Pi) => {
                // After scaling, π comes a whole number of times.
                let sign = if n % 2 == 0 { 1 } else { -1 };
                (Quotient::constant(from_int(sign)), Quotient::default())
            }
            Atom::Kernel(kernel) => {
                let a = kernel.arguments.first()?.clone();
                let (c, s) = match kernel.kind {
                    KernelKind::Arctan => (one.clone(), a),
                    KernelKind::Arcsin => {
                        let square = a.times(&a, budget).ok()?;
                        let inside = one.minus(&square, budget).ok()?;
                        let none = super::Values::new();
                        (super::Normaliser::new(&none, budget).root(2, inside).ok()?, a)
                    }
                    _ => return None,
                };
                power((c, s), *n, budget)?
            }
            _ => return None,
        };
        let product = |a: &Quotient, b: &Quotient, budget: &mut Budget| a.times(b, budget).ok();
        let next_re = product(&re, &c, budget)?.minus(&product(&im, &s, budget)?, budget).ok()?;
        let next_im = product(&re, &s, budget)?.plus(&product(&im, &c, budget)?, budget).ok()?;
        (re, im) = (next_re, next_im);
    }
    Some(constant::sign(&im, budget)? == 0 && constant::sign(&re, budget)? > 0)
}

/// The direction `(c, s)` turned `n` times as far; turning back mirrors it.
fn power(
    (c, s): (Quotient, Quotient),
    n: i64,
    budget: &mut Budget,
) -> Option<(Quotient, Quotient)> {
    let s = if n < 0 { s.negated() } else { s };
    let (mut re, mut im) = (Quotient::constant(from_int(1)), Quotient::default());
    for _ in 0..n.abs() {
        let minus = im.times(&s, budget).ok()?;
        let next = re.times(&c, budget).ok()?.minus(&minus, budget).ok()?;
        im = re.times(&s, budget).ok()?.plus(&im.times(&c, budget).ok()?, budget).ok()?;
        re = next;
    }
    Some((re, im))
}
