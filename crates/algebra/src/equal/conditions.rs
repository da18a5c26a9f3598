//! What a comparison needs, told briefly: each thing once, and nothing that follows from the rest.

use super::Comparison;
use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, KernelKind, Needs, Poly, Quotient, Univariate, factors, is_surely_positive,
};
use crate::number::from_int;
use crate::solve::{Solutions, sets};
use crate::verdict::Condition;
use num_traits::Signed;

impl Comparison<'_> {
    /// What the verdict needs, each thing once, and nothing that follows from the rest or is assumed.
    pub(super) fn conditions(&self, needs: Needs) -> Vec<Condition> {
        if needs.not_zero.is_empty() && needs.is_rational() {
            return Vec::new();
        }
        let needs = simpler(needs);
        if let [letter] = &self.letters[..]
            && needs.whole.is_empty()
            && let Some(found) = self.domain_of(letter, &needs)
        {
            return found;
        }
        let mut budget = Budget::for_verdict();
        let letters = self.letters.iter().cloned().collect();
        let assumed = self.assumed.not_negative(&letters, &mut budget);
        let mut provided = Vec::new();
        let mut tell = |condition: Condition| {
            if !provided.contains(&condition) {
                provided.push(condition);
            }
        };
        let mut positive = needs.positive.clone();
        if self.assumed.all_positive {
            positive.extend(assumed.iter().cloned());
        }
        let mut not_negative = needs.not_negative.clone();
        not_negative.extend(positive.iter().cloned());
        not_negative.extend(assumed.iter().cloned());
        let mut not_zero = needs.not_zero.clone();
        not_zero.extend(positive.iter().cloned());
        for needed in &needs.positive {
            let known = self.assumed.all_positive && assumed.contains(needed);
            if !known && !is_product_of(needed, &positive, true, &mut budget) {
                tell(bound(needed, true));
            }
        }
        for needed in &needs.not_negative {
            let known = needs.positive.contains(needed) || assumed.contains(needed);
            if !known && !is_product_of(needed, &not_negative, true, &mut budget) {
                tell(bound(needed, false));
            }
        }
        for needed in &needs.not_zero {
            let known = positive.contains(needed);
            if !known && !is_product_of(needed, &not_zero, false, &mut budget) {
                exclusions(needed)
                    .into_iter()
                    .filter(|condition| !follows_from_sign(condition, &positive))
                    .for_each(&mut tell);
            }
        }
        for needed in &needs.whole {
            tell(Condition::Whole(needed.to_expr()));
        }
        provided
    }

    /// The common domain of expressions in one letter, where its ends can be found: what is left of it
    /// when the assumptions hold.
    fn domain_of(&self, letter: &str, needs: &Needs) -> Option<Vec<Condition>> {
        let relation = |value: &Quotient, relation| Line::Relations {
            sides: vec![value.to_expr(), Expr::int(0)],
            relations: vec![relation],
        };
        let all = [
            (&needs.positive, Relation::Greater),
            (&needs.not_negative, Relation::GreaterOrEqual),
            (&needs.not_zero, Relation::NotEqual),
        ];
        let lines: Vec<Line> = all
            .iter()
            .flat_map(|(values, sign)| values.iter().map(|value| relation(value, *sign)))
            .collect();
        let always = Line::AllReals;
        let assumed = self.assumed.with(always.clone(), letter);
        let inside = self.assumed.with(Line::AllOf(lines), letter);
        if self.assumed.whole.contains(letter) {
            return None;
        }
        if assumed != always
            && let Ok(None) = sets::differences(&assumed, &inside, letter, &Assumptions::default())
        {
            return Some(Vec::new());
        }
        let intervals = match sets::solutions(&inside, letter) {
            Ok(Solutions::AllReals) => return Some(Vec::new()),
            Ok(Solutions::Intervals(intervals)) => intervals,
            _ => return None,
        };
        let (pieces, left_out) = crate::solve::sets::interval::joined(&intervals);
        let pieces: Vec<Line> = pieces.iter().filter_map(|piece| piece.to_line(letter)).collect();
        let mut found: Vec<Condition> = match pieces.len() {
            0 => Vec::new(),
            1 => pieces.into_iter().map(Condition::Holds).collect(),
            _ => vec![Condition::Holds(Line::AnyOf(pieces))],
        };
        for value in left_out {
            let value = value.as_constant();
            found.push(match value {
                Some(value) => Condition::Not { letter: letter.to_owned(), value },
                None => return None,
            });
        }
        Some(found)
    }
}

/// The same needs with roots taken out: what is under a root that is not zero is not zero either, and is
/// positive when it is not negative.
fn simpler(mut needs: Needs) -> Needs {
    for needed in &mut needs.not_zero {
        let inside = needed.numerator().as_term().and_then(|(monomial, _)| {
            let (atom, _) = monomial.iter().next().filter(|_| monomial.iter().len() == 1)?;
            let kernel = atom.as_kernel()?;
            matches!(kernel.kind, KernelKind::Root(_) | KernelKind::Absolute)
                .then(|| kernel.arguments[0].clone())
        });
        if let Some(inside) = inside {
            *needed = inside;
        }
    }
    needs.not_zero.retain(|value| {
        !crate::normal::is_surely_positive(&Quotient::whole(value.numerator().clone()))
    });
    let (strict, rest): (Vec<_>, Vec<_>) =
        needs.not_negative.into_iter().partition(|value| needs.not_zero.contains(value));
    needs.not_zero.retain(|value| !strict.contains(value));
    needs.not_negative = rest;
    needs.positive.extend(strict);
    needs
}

/// `x ≠ -1` says nothing new where `x > 0`.
pub(crate) fn follows_from_sign(condition: &Condition, positive: &[Quotient]) -> bool {
    let Condition::Not { letter, value } = condition else { return false };
    let letter = Quotient::whole(Poly::atom(Atom::symbol(letter)));
    !value.is_positive() && positive.contains(&letter)
}

/// Whether a value is a product of others that are known, each to any power, and of even powers too where
/// only the sign matters.
fn is_product_of(
    needed: &Quotient,
    known: &[Quotient],
    only_sign: bool,
    budget: &mut Budget,
) -> bool {
    let mut is_product = !only_sign || !needed.numerator().leading().is_negative();
    for poly in [needed.numerator(), needed.denominator()] {
        let Ok(factors) = crate::normal::factors(poly, budget) else { return false };
        for (factor, exponent) in factors {
            let one = Quotient::whole(factor);
            let has_sign = only_sign && exponent % 2 == 0;
            is_product &= has_sign || (one != *needed && known.contains(&one));
        }
    }
    is_product
}

/// "This is positive", or not negative.
fn bound(needed: &Quotient, strict: bool) -> Condition {
    let expr = needed.to_expr();
    match &expr.kind {
        ExprKind::Symbol(_) => Condition::Holds(Line::Relations {
            sides: vec![expr, Expr::int(0)],
            relations: vec![if strict { Relation::Greater } else { Relation::GreaterOrEqual }],
        }),
        _ if strict => Condition::Positive(expr),
        _ => Condition::NotNegative(expr),
    }
}

/// "This is not zero", factor by factor, as values that a single letter may not have where those are rational.
pub(crate) fn exclusions(needed: &Quotient) -> Vec<Condition> {
    let mut budget = Budget::for_verdict();
    let poly = needed.numerator();
    let parts = factors(poly, &mut budget).unwrap_or_else(|_| vec![(poly.clone(), 1)]);
    let mut found = Vec::new();
    for condition in parts.iter().flat_map(|(factor, _)| of_factor(factor)) {
        if !found.contains(&condition) {
            found.push(condition);
        }
    }
    found
}

fn of_factor(poly: &Poly) -> Vec<Condition> {
    let symbols: Vec<String> = poly.symbols().into_iter().collect();
    if symbols.is_empty() || is_surely_positive(&Quotient::whole(poly.clone())) {
        return Vec::new();
    }
    let not = |letter: &str, value| Condition::Not { letter: letter.to_owned(), value };
    if let [letter] = &symbols[..] {
        let mut budget = Budget::for_verdict();
        let roots = Univariate::from_poly(poly, letter).and_then(|p| {
            let all = p.square_free(&mut budget).ok()?.count_roots(&mut budget).ok()?;
            p.rational_roots().filter(|roots| roots.len() == all)
        });
        if let Some(roots) = roots {
            return roots.into_iter().map(|value| not(letter, value)).collect();
        }
    }
    if let Some((kind, inside)) = alone(poly) {
        match kind {
            KernelKind::Absolute | KernelKind::Root(_) => return exclusions(inside),
            KernelKind::SignPower => return Vec::new(),
            KernelKind::Ln => {
                // The logarithm of the size is zero at 1 and at -1.
                let letter = match &inside.to_expr().kind {
                    ExprKind::Symbol(name) => Some(name.clone()),
                    _ => None,
                };
                if let Some(letter) = letter {
                    return [1, -1].map(|n| not(&letter, from_int(n))).to_vec();
                }
            }
            _ => {}
        }
    }
    vec![Condition::NotZero(poly.to_expr())]
}

/// The kind and the argument of a polynomial that is one kernel.
fn alone(poly: &Poly) -> Option<(KernelKind, &Quotient)> {
    let (monomial, _) = poly.as_term()?;
    let (atom, _) = monomial.iter().next().filter(|_| monomial.iter().len() == 1)?;
    let kernel: &Atom = atom;
    let kernel = kernel.as_kernel()?;
    Some((kernel.kind, kernel.arguments.first()?))
}
