//! Factors under a root that are squares in half the angle: `1 - cos x = 2 sin²(x/2)`,
//! `1 + sin x = (sin(x/2) + cos(x/2))²`, and `1 - cos² x = sin² x`.

use super::build::kernel;
use super::{Atom, KernelKind, Monomial, Poly, Quotient};
use crate::number::{Rational, from_int};
use num_traits::{One, Signed};

/// The factors of a radicand with such ones written as squares, and the number that comes out.
pub(super) fn as_squares(factors: Vec<(Poly, u32)>) -> (Vec<(Poly, u32)>, Rational) {
    let mut number = Rational::one();
    let mut found = Vec::new();
    for (factor, exponent) in joined(factors) {
        match square(&factor) {
            Some((scale, root)) => {
                number *= num_traits::Pow::pow(scale, exponent);
                found.push((root, 2 * exponent));
            }
            None => found.push((factor, exponent)),
        }
    }
    (found, number)
}

/// `cos x - 1` and `cos x + 1` of one exponent are put together again.
fn joined(mut factors: Vec<(Poly, u32)>) -> Vec<(Poly, u32)> {
    let mut at = 0;
    while at < factors.len() {
        let partner = shape(&factors[at].0).filter(|(k, _, _)| *k == KernelKind::Cos).and_then(
            |(kind, angle, number)| {
                let exponent = factors[at].1;
                factors.iter().position(|(other, e)| {
                    *e == exponent && shape(other) == Some((kind, angle.clone(), -number))
                })
            },
        );
        match partner {
            Some(other) if other > at => {
                let (second, _) = factors.remove(other);
                let (first, exponent) = factors.remove(at);
                match first.multiply(&second, &mut crate::budget::Budget::for_verdict()) {
                    Ok(product) => factors.insert(at, (product, exponent)),
                    Err(_) => factors.extend([(first, exponent), (second, exponent)]),
                }
            }
            _ => at += 1,
        }
    }
    factors
}

/// `cos x + 1` as the cosine, the angle and 1; likewise with a sine and with -1.
fn shape(factor: &Poly) -> Option<(KernelKind, Quotient, i8)> {
    let (kind, angle, degree, number) = two_terms(factor)?;
    (degree == 1).then_some((kind, angle, number))
}

/// A power of a cosine or sine plus or minus one.
fn two_terms(factor: &Poly) -> Option<(KernelKind, Quotient, u32, i8)> {
    if factor.len() != 2 {
        return None;
    }
    let constant = factor.terms().find(|(m, _)| m.is_one())?.1.clone();
    let (monomial, coefficient) = factor.terms().find(|(m, _)| !m.is_one())?;
    let mut atoms = monomial.iter();
    let (Some((atom, degree)), None) = (atoms.next(), atoms.next()) else { return None };
    let k = atom.as_kernel().filter(|k| matches!(k.kind, KernelKind::Cos | KernelKind::Sin))?;
    let ratio = constant / coefficient;
    let is_monic = coefficient.is_one() && ratio.abs().is_one();
    is_monic.then(|| {
        let number = if ratio.is_negative() { -1 } else { 1 };
        (k.kind, k.arguments[0].clone(), *degree, number)
    })
}

/// The factor as a number times a square.
fn square(factor: &Poly) -> Option<(Rational, Poly)> {
    let (kind, angle, degree, number) = two_terms(factor)?;
    let of = |kind, angle: &Quotient| kernel(kind, vec![angle.clone()]).numerator().clone();
    let half = || {
        let half = Rational::new(1.into(), 2.into());
        Quotient::new(angle.numerator().scale(&half), angle.denominator().clone())
    };
    match (kind, degree, number) {
        (KernelKind::Cos, 2, -1) => Some((from_int(-1), of(KernelKind::Sin, &angle))),
        (KernelKind::Cos, 1, 1) => Some((from_int(2), of(KernelKind::Cos, &half()?))),
        (KernelKind::Cos, 1, _) => Some((from_int(-2), of(KernelKind::Sin, &half()?))),
        (KernelKind::Sin, 1, sign) => {
            let half = half()?;
            let cos = Atom::kernel(KernelKind::Cos, vec![half.clone()]);
            let cos = Poly::term(Monomial::atom(cos), from_int(i64::from(-sign)));
            Some((from_int(i64::from(sign)), of(KernelKind::Sin, &half).minus_plainly(&cos)))
        }
        _ => None,
    }
}
