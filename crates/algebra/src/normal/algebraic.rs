//! Real algebraic numbers that no roots of whole numbers say: a polynomial, and the interval that
//! holds just one of its roots.

use super::{Atom, Kernel, KernelKind, Poly, Quotient, Root, Univariate};
use crate::number::Rational;
use num_bigint::BigInt;
use num_integer::Integer;
use num_traits::One;

/// The number that is the `root` of the square-free `poly`, as a constant.
#[must_use]
pub fn constant(poly: &Univariate, root: &Root) -> Quotient {
    let (low, high) = match root {
        Root::Exact(value) => return Quotient::constant(value.clone()),
        Root::Between(low, high) => (low.clone(), high.clone()),
    };
    let scale = poly.coefficients().iter().fold(BigInt::one(), |m, c| m.lcm(c.denom()));
    let common = poly.coefficients().iter().fold(BigInt::default(), |g, c| g.gcd(c.numer()));
    let factor =
        Rational::new(scale, if common == BigInt::default() { BigInt::one() } else { common });
    let whole = poly.coefficients().iter().map(|c| Quotient::constant(c * &factor));
    let arguments = [low, high].map(Quotient::constant).into_iter().chain(whole).collect();
    Quotient::whole(Poly::atom(Atom::kernel(KernelKind::Algebraic, arguments)))
}

/// The interval and the polynomial of such a number.
#[must_use]
pub fn parts(kernel: &Kernel) -> Option<(Root, Univariate)> {
    if kernel.kind != KernelKind::Algebraic {
        return None;
    }
    let values: Vec<Rational> =
        kernel.arguments.iter().map(Quotient::as_constant).collect::<Option<_>>()?;
    let [low, high, coefficients @ ..] = &values[..] else { return None };
    Some((Root::Between(low.clone(), high.clone()), Univariate::new(coefficients.to_vec())))
}
