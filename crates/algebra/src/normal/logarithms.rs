//! Sums of logarithms of numbers as they are written: `ln 2 + ln 5` is `ln 10`.

use super::{Atom, KernelKind, Poly};
use crate::expr::{Expr, ExprKind, Function};
use crate::number::{Rational, from_int};
use num_integer::Integer as _;
use num_traits::{One, Pow, Signed, ToPrimitive};

/// Largest number that is put together, in bits.
const BITS: u64 = 40;

/// The polynomial with its logarithms of numbers put together; `None` when it has fewer than two of them.
pub(super) fn together(poly: &Poly) -> Option<Expr> {
    let mut logs: Vec<(Rational, Rational)> = Vec::new();
    let mut rest = Vec::new();
    for (monomial, coefficient) in poly.terms() {
        let mut atoms = monomial.iter();
        let number = match (atoms.next(), atoms.next()) {
            (Some((atom, 1)), None) => logarithm_of(atom),
            _ => None,
        };
        match number {
            Some(number) => logs.push((number, coefficient.clone())),
            None => rest.push((monomial, coefficient)),
        }
    }
    if logs.len() < 2 {
        return None;
    }
    let rest = rest.into_iter().map(|(monomial, c)| (monomial.clone(), c.clone())).collect();
    let rest = Poly::gather(rest);
    let below = logs.iter().fold(crate::number::Integer::one(), |m, (_, c)| m.lcm(c.denom()));
    let above = logs.iter().fold(crate::number::Integer::default(), |g, (_, c)| {
        g.gcd(&(c.numer() * (&below / c.denom())))
    });
    let factor = Rational::new(above, below);
    let mut product = Rational::one();
    for (number, coefficient) in logs {
        let times = (coefficient / &factor).to_integer().to_i32()?;
        if number.numer().bits() * u64::from(times.unsigned_abs()) > BITS {
            return None;
        }
        product *= Pow::pow(&number, times);
        if product.numer().bits().max(product.denom().bits()) > BITS {
            return None;
        }
    }
    // -ln(1/2) is ln 2.
    let (product, factor) =
        if product < Rational::one() { (product.recip(), -factor) } else { (product, factor) };
    let logarithm: Expr =
        ExprKind::Call { function: Function::Ln, arguments: vec![Expr::rational(&product)] }.into();
    let size = factor.abs();
    let term = if size == from_int(1) {
        logarithm
    } else if size.is_integer() {
        Expr::rational(&size).times(logarithm)
    } else if size.numer().is_one() {
        logarithm.over(Expr::rational(&Rational::from_integer(size.denom().clone())))
    } else {
        Expr::rational(&size).times(logarithm)
    };
    Some(match (rest.is_zero(), factor.is_negative()) {
        (true, true) => term.negative(),
        (true, false) => term,
        (false, true) => rest.to_expr().minus(term),
        (false, false) => rest.to_expr().plus(term),
    })
}

fn logarithm_of(atom: &Atom) -> Option<Rational> {
    let kernel = atom.as_kernel().filter(|kernel| kernel.kind == KernelKind::Ln)?;
    kernel.arguments.first()?.as_constant().filter(Signed::is_positive)
}
