//! How a number is written: lowest terms, mixed, figures, standard form, units.

use super::shape::polynomial;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::gcd;
use crate::number::{Notation, Rational, Written, from_int};
use crate::unit::Unit;
use num_integer::Integer as _;
use num_traits::{One, Signed};

pub(super) fn without_sign(expr: &Expr) -> &Expr {
    match &expr.kind {
        ExprKind::Negative(a) => without_sign(a),
        _ => expr,
    }
}

/// A number without its sign, and without the sign of a degree behind it.
pub(super) fn bare(expr: &Expr) -> &Expr {
    match &without_sign(expr).kind {
        ExprKind::Degree(number) => number,
        _ => without_sign(expr),
    }
}

/// The unit behind the number, whatever its power; `None` when there is none or more than one.
pub(super) fn unit_of(expr: &Expr) -> Option<Unit> {
    match &without_sign(expr).kind {
        ExprKind::Multiply(_, unit) => match &unit.kind {
            ExprKind::Unit(unit) => Some(*unit),
            ExprKind::Power(base, _) => match &base.kind {
                ExprKind::Unit(unit) => Some(*unit),
                _ => None,
            },
            _ => None,
        },
        ExprKind::Divide(above, below)
            if below.any(&mut |part| matches!(part.kind, ExprKind::Unit(_))) =>
        {
            unit_of(above)
        }
        _ => None,
    }
}

/// A fraction whose numerator and denominator have no common factor, be they numbers or polynomials.
pub(super) fn in_lowest_terms(expr: &Expr) -> bool {
    match &without_sign(expr).kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { .. } => is_mixed(expr),
            notation => *notation == Notation::Integer,
        },
        ExprKind::Divide(a, b) => {
            if let (Some(a), Some(b)) = (whole(a), whole(b)) {
                return a.gcd(&b).is_one() && !b.is_one();
            }
            let mut budget = Budget::for_verdict();
            let (Some(a), Some(b)) = (polynomial(a, &mut budget), polynomial(b, &mut budget))
            else {
                return false;
            };
            let numbers = a.number_content().numer().gcd(b.number_content().numer());
            numbers.is_one()
                && gcd(&a, &b, &mut budget).is_ok_and(|common| common.as_constant().is_some())
        }
        ExprKind::Symbol(_) | ExprKind::Multiply(..) | ExprKind::Power(..) => true,
        ExprKind::Add(..) | ExprKind::Subtract(..) => {
            !expr.any(&mut |part| matches!(part.kind, ExprKind::Divide(..)))
        }
        _ => false,
    }
}

pub(super) fn whole(expr: &Expr) -> Option<crate::number::Integer> {
    let value = expr.as_plain_number().filter(Rational::is_integer)?;
    Some(value.to_integer().abs())
}

pub(super) fn is_mixed(expr: &Expr) -> bool {
    match &without_sign(expr).kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Integer => true,
            Notation::Mixed { numerator, denominator, .. } => {
                numerator < denominator && numerator.gcd(denominator).is_one()
            }
            _ => false,
        },
        ExprKind::Divide(a, b) => match (whole(a), whole(b)) {
            (Some(a), Some(b)) => a < b && a.gcd(&b).is_one(),
            _ => false,
        },
        _ => false,
    }
}

/// The least and the greatest number of significant figures that a number may have been given with.
pub(super) fn significant(written: &Written) -> Option<(u32, u32)> {
    let digits = |value: &Rational| u32::try_from(value.to_integer().to_string().len()).ok();
    match written.notation() {
        Notation::Integer => {
            let text = written.value().to_integer().to_string();
            let least = text.trim_end_matches('0').len().max(1);
            Some((u32::try_from(least).ok()?, u32::try_from(text.len()).ok()?))
        }
        Notation::Decimal { places } => {
            let scaled = written.value()
                * Rational::from_integer(num_traits::Pow::pow(
                    crate::number::Integer::from(10),
                    *places,
                ));
            let figures = digits(&scaled)?;
            Some((figures, figures))
        }
        Notation::Scientific { places, .. } => Some((places + 1, places + 1)),
        _ => None,
    }
}

pub(super) fn is_standard_form(expr: &Expr) -> bool {
    let fits = |mantissa: &Rational| *mantissa >= from_int(1) && *mantissa < from_int(10);
    match &without_sign(expr).kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Scientific { exponent, .. } => {
                let ten = Rational::from_integer(num_traits::Pow::pow(
                    crate::number::Integer::from(10),
                    exponent.unsigned_abs(),
                ));
                let mantissa =
                    if *exponent < 0 { written.value() * ten } else { written.value() / ten };
                fits(&mantissa)
            }
            _ => false,
        },
        ExprKind::Multiply(a, b) => {
            let power = match &b.kind {
                ExprKind::Power(base, exponent) => {
                    base.as_plain_number() == Some(from_int(10))
                        && exponent.as_plain_number().is_some_and(|n| n.is_integer())
                }
                _ => false,
            };
            power
                && matches!(&a.kind, ExprKind::Number(written)
                    if matches!(written.notation(), Notation::Integer | Notation::Decimal { .. })
                        && fits(written.value()))
        }
        _ => false,
    }
}
