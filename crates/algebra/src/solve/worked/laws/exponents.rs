//! Laws of exponents and roots.

use super::{factors, is_one, power, whole, whole_number};
use crate::expr::{Expr, ExprKind};
use crate::number::{Rational, from_int};
use num_traits::{One, Signed, ToPrimitive, Zero};

pub(super) fn power_of_product(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let n = whole_number(exponent)?;
    let raised = |e: &Expr| match (&e.kind, whole_number(e)) {
        (ExprKind::Power(inner, m), _) if whole_number(m).is_some() => {
            let exponent = whole_number(m)?.checked_mul(n)?;
            Some(power((**inner).clone(), &from_int(exponent)))
        }
        (_, Some(number)) if n > 0 && n <= 12 => {
            let value = num_traits::checked_pow(number, usize::try_from(n).ok()?)?;
            Some(whole(value))
        }
        _ => Some(power(e.clone(), &from_int(n))),
    };
    match &base.kind {
        ExprKind::Multiply(..) => {
            let raised: Option<Vec<Expr>> = factors(base).iter().map(raised).collect();
            raised?.into_iter().reduce(Expr::times)
        }
        ExprKind::Divide(a, b) if !part.symbols().is_empty() => Some(raised(a)?.over(raised(b)?)),
        _ => None,
    }
}

pub(super) fn power_of_power(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, n) = &part.kind else { return None };
    let ExprKind::Power(inner, m) = &base.kind else { return None };
    let (m, n) = (m.as_plain_number()?, n.as_plain_number()?);
    // (x²)^(1/2) is |x|: only whole exponents just multiply.
    (m.is_integer() && n.is_integer()).then(|| power((**inner).clone(), &(m * n)))
}

/// A factor as a base with an exponent; plain numbers are no base.
fn base_of(factor: &Expr) -> Option<(Expr, Rational)> {
    match &factor.kind {
        ExprKind::Power(base, exponent) => Some(((**base).clone(), exponent.as_plain_number()?)),
        ExprKind::Symbol(_) => Some((factor.clone(), Rational::one())),
        _ => None,
    }
}

pub(super) fn add_exponents(part: &Expr) -> Option<Expr> {
    let ExprKind::Multiply(..) = &part.kind else { return None };
    let mut kept: Vec<(Expr, Option<Rational>)> = Vec::new();
    let mut any = false;
    for factor in factors(part) {
        let Some((base, exponent)) = base_of(&factor) else {
            kept.push((factor, None));
            continue;
        };
        match kept.iter_mut().find(|(known, e)| e.is_some() && *known == base) {
            Some((_, Some(sum))) => {
                *sum += exponent;
                any = true;
            }
            _ => kept.push((base, Some(exponent))),
        }
    }
    let written = kept.into_iter().filter_map(|(base, exponent)| match exponent {
        None => Some(base),
        Some(sum) if sum.is_zero() => None,
        Some(sum) => Some(power(base, &sum)),
    });
    let product = written.reduce(Expr::times).unwrap_or_else(|| whole(1));
    any.then_some(product)
}

pub(super) fn negative_exponent(part: &Expr) -> Option<Expr> {
    let down = |factor: &Expr| {
        let (base, exponent) = base_of(factor)?;
        exponent.is_negative().then(|| power(base, &-exponent))
    };
    match &part.kind {
        ExprKind::Power(..) => Some(whole(1).over(down(part)?)),
        ExprKind::Multiply(..) => moved(&factors(part), &[], down),
        ExprKind::Divide(a, b) => moved(&factors(a), &factors(b), down),
        _ => None,
    }
}

/// A fraction whose factors with negative exponents go to the other side of the line.
fn moved(above: &[Expr], below: &[Expr], down: impl Fn(&Expr) -> Option<Expr>) -> Option<Expr> {
    let (mut up, mut under) = (Vec::new(), Vec::new());
    let mut any = false;
    for (side, is_above) in [(above, true), (below, false)] {
        for factor in side {
            let turned = down(factor);
            any |= turned.is_some();
            let goes_up = is_above != turned.is_some();
            let kept = turned.unwrap_or_else(|| factor.clone());
            if goes_up { up.push(kept) } else { under.push(kept) }
        }
    }
    let product = |all: Vec<Expr>| {
        all.into_iter().filter(|e| !is_one(e)).reduce(Expr::times).unwrap_or_else(|| whole(1))
    };
    any.then(|| if under.is_empty() { product(up) } else { product(up).over(product(under)) })
}

pub(super) fn root_of_square(part: &Expr) -> Option<Expr> {
    let ExprKind::Root { index, radicand } = &part.kind else { return None };
    let ExprKind::Power(base, exponent) = &radicand.kind else { return None };
    let n = whole_number(exponent)?;
    if n != i64::from(*index) || base.symbols().is_empty() {
        return None;
    }
    let base = (**base).clone();
    Some(if index % 2 == 0 { ExprKind::Absolute(Box::new(base)).into() } else { base })
}

/// `2⁻³` as `1/2³`.
pub(super) fn negative_exponent_of_number(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let exponent = exponent.as_plain_number().filter(Signed::is_negative)?;
    whole_number(base).filter(|&n| n != 0)?;
    Some(whole(1).over(power((**base).clone(), &-exponent)))
}

pub(super) fn root_then_power(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    whole_number(base)?;
    let exponent = exponent.as_plain_number().filter(|e| !e.is_integer() && e.is_positive())?;
    let index = exponent.denom().to_u32().filter(|&n| n <= 12)?;
    let root: Expr = ExprKind::Root { index, radicand: base.clone() }.into();
    Some(power(root, &Rational::from_integer(exponent.numer().clone())))
}
