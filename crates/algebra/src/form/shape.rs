//! How an expression is built: expanded, factorised, its roots simplified.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Poly, Univariate, Values, factors, irreducible_factors};
use crate::number::Rational;
use num_traits::{One, Signed, ToPrimitive, Zero};

pub(super) fn polynomial(expr: &Expr, budget: &mut Budget) -> Option<Poly> {
    let none = Values::new();
    Normaliser::new(&none, budget).build(expr).ok()?.as_poly()
}

pub(super) fn is_root(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Root { .. } => true,
        ExprKind::Power(_, exponent) => exponent.as_plain_number().is_some_and(|n| !n.is_integer()),
        _ => false,
    }
}

pub(super) fn is_rationalised(expr: &Expr) -> bool {
    !expr.any(&mut |part| match &part.kind {
        ExprKind::Divide(_, below) => below.any(&mut |inside| is_root(inside)),
        ExprKind::Root { radicand, .. } => {
            radicand.any(&mut |inside| matches!(inside.kind, ExprKind::Divide(..)))
        }
        _ => false,
    })
}

/// Whether a root has a factor inside that could come out, or a product of roots could be one.
pub(super) fn has_power_under_root(expr: &Expr) -> bool {
    let mut budget = Budget::for_verdict();
    match &expr.kind {
        ExprKind::Root { index, radicand } => {
            let Some(poly) = polynomial(radicand, &mut budget) else { return true };
            let content = poly.number_content();
            let number = crate::normal::prime_powers(&content)
                .into_iter()
                .any(|(_, exponent)| exponent < 0 || exponent >= i64::from(*index));
            let letters = factors(&poly, &mut budget)
                .map_or(true, |all| all.iter().any(|(_, exponent)| exponent >= index));
            number || letters || poly.as_constant().is_some_and(|n| n.is_one() || n.is_zero())
        }
        ExprKind::Multiply(a, b) => {
            let root = |e: &Expr| matches!(e.kind, ExprKind::Root { .. });
            let last = match &a.kind {
                ExprKind::Multiply(_, last) => root(last),
                _ => root(a),
            };
            last && root(b)
        }
        _ => false,
    }
}

/// The terms of a sum, without their signs.
pub(super) fn terms(expr: &Expr) -> Vec<&Expr> {
    match &expr.kind {
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let mut found = terms(a);
            found.extend(terms(b));
            found
        }
        ExprKind::Negative(a) => terms(a),
        _ => vec![expr],
    }
}

pub(super) fn is_sum(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
}

pub(super) fn is_expanded(expr: &Expr) -> bool {
    let holds_product = expr.any(&mut |part| match &part.kind {
        ExprKind::Multiply(a, b) => is_sum(a) || is_sum(b),
        ExprKind::Power(base, _) => is_sum(base),
        ExprKind::Divide(a, _) => is_sum(a),
        ExprKind::Negative(a) => is_sum(a),
        _ => false,
    });
    if holds_product {
        return false;
    }
    let mut budget = Budget::for_verdict();
    let all = terms(expr);
    match polynomial(expr, &mut budget) {
        // As many terms as there are different ones: nothing is left to collect.
        Some(poly) => poly.len().max(1) == all.len(),
        None => true,
    }
}

/// The factors of a product with their exponents; numbers are left out.
pub(super) fn product<'a>(expr: &'a Expr, times: u32, found: &mut Vec<(&'a Expr, u32)>) -> bool {
    match &expr.kind {
        ExprKind::Negative(a) => product(a, times, found),
        ExprKind::Multiply(a, b) => product(a, times, found) && product(b, times, found),
        ExprKind::Divide(a, b) if b.as_plain_number().is_some() => product(a, times, found),
        ExprKind::Power(base, exponent) => {
            let n = exponent.as_plain_number().filter(Rational::is_integer);
            match n.and_then(|n| n.to_integer().to_u32()) {
                Some(n) => product(base, times * n, found),
                None => false,
            }
        }
        _ => {
            if expr.as_plain_number().is_none() {
                found.push((expr, times));
            }
            true
        }
    }
}

pub(super) fn is_factorised(expr: &Expr) -> bool {
    let mut parts = Vec::new();
    if !product(expr, 1, &mut parts) {
        return false;
    }
    let mut budget = Budget::for_verdict();
    parts.iter().all(|(part, _)| {
        let Some(poly) = polynomial(part, &mut budget) else { return false };
        is_irreducible(&poly, &mut budget)
    })
}

/// Whether a polynomial has no common factor in its terms and, as far as is looked, no factors at all.
pub(super) fn is_irreducible(poly: &Poly, budget: &mut Budget) -> bool {
    let content = poly.number_content().abs();
    let whole_content = content.numer().is_one();
    let Ok(found) = irreducible_factors(poly, budget) else { return true };
    if !whole_content || found.len() > 1 || found.iter().any(|(_, exponent)| *exponent > 1) {
        return poly.as_constant().is_some();
    }
    let letter = poly.symbols().into_iter().next().unwrap_or_default();
    !Univariate::from_poly(poly, &letter).is_some_and(|one| splits_in_squares(&one))
}

/// Whether a polynomial in x² splits as one in its square.
pub(super) fn splits_in_squares(poly: &Univariate) -> bool {
    let all = poly.coefficients();
    if poly.degree() < 4 || !all.iter().skip(1).step_by(2).all(Zero::is_zero) {
        return false;
    }
    let half = Univariate::new(all.iter().step_by(2).cloned().collect());
    half.rational_roots().is_some_and(|roots| !roots.is_empty())
}

pub(super) fn is_single_power(expr: &Expr) -> bool {
    let is_base = |e: &Expr| {
        matches!(e.kind, ExprKind::Symbol(_) | ExprKind::Constant(_))
            || e.as_plain_number().is_some()
    };
    match &expr.kind {
        ExprKind::Power(base, _) => is_base(base),
        _ => is_base(expr),
    }
}
