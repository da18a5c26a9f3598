//! A sum of fractions with letters over one denominator: each fraction brought to it, then what stands above put
//! together.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Poly, Quotient, Values, exact_quotient, gcd};
use crate::number::{Integer, Rational};
use crate::rule::Rule;
use crate::solve::worked::factorising::product_of_factors;
use num_traits::{One, Signed};

/// A term of a sum: its sign, what stands above, and what stands below.
struct Term {
    is_minus: bool,
    above: Poly,
    below: Poly,
}

/// The lines of a sum of fractions on the way to one fraction; empty where they share their denominator already, or
/// where it is no such sum.
#[must_use]
pub fn over_one_denominator(expr: &Expr) -> Vec<(Expr, Rule)> {
    lines(expr).unwrap_or_default()
}

fn lines(expr: &Expr) -> Option<Vec<(Expr, Rule)>> {
    let mut budget = Budget::for_verdict();
    let mut terms = Vec::new();
    collect(expr, false, &mut terms, &mut budget)?;
    let is_whole = |term: &Term| term.below.as_constant().is_some_and(|below| below.is_one());
    // A number before a letter, as in `1/3 x`, is no fraction of the sum.
    let has_parts = |term: &Term| !term.above.number_content().is_integer();
    if terms.len() < 2 || terms.iter().all(is_whole) || terms.iter().any(has_parts) {
        return None;
    }
    let mut common = Poly::int(1);
    for term in &terms {
        let shared = gcd(&common, &term.below, &mut budget).ok()?;
        let more = exact_quotient(&term.below, &shared, &mut budget).ok()??;
        common = common.multiply(&more, &mut budget).ok()?;
    }
    // With the numbers of the denominators: 1/(2x) + 1/(3x) is over 6x.
    let number = terms.iter().try_fold(Integer::one(), |all, term| {
        let content = term.below.number_content();
        content.is_integer().then(|| num_integer::lcm(all, content.to_integer().abs()))
    })?;
    let content = common.number_content();
    common = common.scale(&(Rational::from_integer(number) / content));
    let below = product_of_factors(&common, &mut budget)?;
    let mut brought: Option<Expr> = None;
    let mut together: Option<Expr> = None;
    for term in &terms {
        let by = exact_quotient(&common, &term.below, &mut budget).ok()??;
        let above = match (by.as_constant(), term.above.as_constant()) {
            (Some(number), _) => term.above.scale(&number).to_expr(),
            (_, Some(one)) if one.is_one() => by.to_expr(),
            _ => term.above.to_expr().times(by.to_expr()),
        };
        let fraction = above.clone().over(below.clone());
        brought = Some(joined(brought, fraction, term.is_minus));
        together = Some(joined(together, above, term.is_minus));
    }
    let same = terms.iter().all(|term| term.below == common);
    let mut found = Vec::new();
    if !same {
        found.push((brought?, Rule::CommonDenominator));
    }
    found.push((together?.over(below), Rule::OverOneDenominator));
    Some(found)
}

fn joined(sum: Option<Expr>, term: Expr, is_minus: bool) -> Expr {
    match (sum, is_minus) {
        (None, false) => term,
        (None, true) => term.negative(),
        (Some(sum), false) => sum.plus(term),
        (Some(sum), true) => sum.minus(term),
    }
}

/// The terms of a sum; `None` where one is no fraction of polynomials.
fn collect(expr: &Expr, is_minus: bool, found: &mut Vec<Term>, budget: &mut Budget) -> Option<()> {
    match &expr.kind {
        ExprKind::Add(a, b) => {
            collect(a, is_minus, found, budget)?;
            collect(b, is_minus, found, budget)
        }
        ExprKind::Subtract(a, b) => {
            collect(a, is_minus, found, budget)?;
            collect(b, !is_minus, found, budget)
        }
        _ => {
            let (above, below) = match &expr.kind {
                ExprKind::Divide(a, b) => (poly(a, budget)?, poly(b, budget)?),
                _ => (poly(expr, budget)?, Poly::int(1)),
            };
            found.push(Term { is_minus, above, below });
            Some(())
        }
    }
}

fn poly(expr: &Expr, budget: &mut Budget) -> Option<Poly> {
    let none = Values::new();
    let value: Quotient = Normaliser::new(&none, budget).build(expr).ok()?;
    value.as_poly()
}
