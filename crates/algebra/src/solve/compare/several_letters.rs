//! Lines in several letters that are no equations: inequalities that are the same up to a positive factor,
//! and a search for a point that tells two lines apart.

use crate::assume::{Assumptions, is_true};
use crate::budget::Budget;
use crate::equal::equal_given;
use crate::expr::ExprKind;
use crate::line::{Line, Relation};
use crate::normal::divide::exact_quotient;
use crate::normal::{Atom, Normaliser, Poly, Values};
use crate::trial::trial_points;
use crate::verdict::{Counterexample, Shown, Verdict};
use crate::verdict::{Difference, StepVerdict};
use num_traits::Signed;

/// Compares two lines as relations in all their letters.
pub(crate) fn compare(
    from: &Line,
    to: &Line,
    letters: &[String],
    assumed: &Assumptions,
) -> StepVerdict {
    let mut budget = Budget::for_verdict();
    if let (Some((f, before)), Some((t, after))) = (form(from, &mut budget), form(to, &mut budget))
        && before == after
    {
        let factor = f.leading() / t.leading();
        let keeps = factor.is_positive() || matches!(before, Relation::Equal | Relation::NotEqual);
        if keeps && t.scale(&factor) == f {
            return StepVerdict::Equivalent { provided: Vec::new() };
        }
    }
    if let (Some((f, before)), Some((t, after))) = (form(from, &mut budget), form(to, &mut budget))
        && let Some(sign) = scaled_by(&f, &t, assumed, &mut budget)
    {
        let kept = if sign > 0 { before } else { before.turned() };
        if kept == after {
            return StepVerdict::Equivalent { provided: Vec::new() };
        }
    }
    if let (Some(f), Some(t)) = (product(from, &mut budget), product(to, &mut budget))
        && vanish_together(&f, &t, &mut budget)
    {
        return StepVerdict::Equivalent { provided: Vec::new() };
    }
    if let Some(found) = values(from, to, assumed) {
        return found;
    }
    for at in trial_points(letters) {
        if budget.spend(800).is_err() {
            break;
        }
        if !assumed.is_empty() && !assumed.admit(&at, &mut budget) {
            continue;
        }
        let before = is_true(from, &at, &mut budget);
        let after = is_true(to, &at, &mut budget);
        if let (Some(before), Some(after)) = (before, after)
            && before != after
        {
            let (left, right) = (Shown::Truth(before), Shown::Truth(after));
            return StepVerdict::NotEquivalent(Difference {
                counterexample: Some(Counterexample { at, left, right }),
                ..Difference::default()
            });
        }
    }
    StepVerdict::Undecided
}

/// Two lines that give one letter a value each: the values are compared.
fn values(from: &Line, to: &Line, assumed: &Assumptions) -> Option<StepVerdict> {
    let ((fl, fr), (tl, tr)) = (from.as_equation()?, to.as_equation()?);
    let ExprKind::Symbol(name) = &fl.kind else { return None };
    if fl != tl || !fr.symbols().is_empty() || !tr.symbols().is_empty() {
        return None;
    }
    match equal_given(fr, tr, assumed) {
        Verdict::Equal { provided } => Some(StepVerdict::Equivalent { provided }),
        Verdict::Different(_) => {
            let mut budget = Budget::for_verdict();
            let value = Normaliser::new(&Values::new(), &mut budget).build(fr).ok()?;
            let at = Values::from([(name.clone(), value)]);
            let (left, right) = (Shown::Truth(true), Shown::Truth(false));
            Some(StepVerdict::NotEquivalent(Difference {
                counterexample: Some(Counterexample { at, left, right }),
                ..Difference::default()
            }))
        }
        _ => None,
    }
}

/// The sign of what one polynomial is multiplied by to give the other, or divided by, where assumptions tell it:
/// `a > b` is `ac > bc` for a positive c.
fn scaled_by(from: &Poly, to: &Poly, assumed: &Assumptions, budget: &mut Budget) -> Option<i8> {
    if assumed.is_empty() {
        return None;
    }
    let mut quotient = |a: &Poly, b: &Poly| exact_quotient(a, b, budget).ok().flatten();
    let factor = quotient(to, from).or_else(|| quotient(from, to))?;
    let mut terms = factor.terms();
    let (monomial, coefficient) = terms.next().filter(|_| factor.len() == 1)?;
    let start = if coefficient.is_negative() { -1 } else { 1 };
    monomial.iter().try_fold(start, |sign, (atom, exponent)| {
        let Atom::Symbol(name) = atom else { return None };
        let own = match assumed.sign_of(name)? {
            Relation::Greater => 1,
            Relation::Less => -1,
            _ => return None,
        };
        Some(if exponent % 2 == 0 { sign } else { sign * own })
    })
}

/// A polynomial that is zero exactly where the line is true: `a = b or c = d` is `(a - b)(c - d) = 0`.
fn product(line: &Line, budget: &mut Budget) -> Option<Poly> {
    match line {
        Line::AnyOf(lines) => {
            let mut all = Poly::int(1);
            for line in lines {
                all = all.multiply(&product(line, budget)?, budget).ok()?;
            }
            Some(all)
        }
        _ => form(line, budget).filter(|(_, r)| *r == Relation::Equal).map(|(poly, _)| poly),
    }
}

/// Whether each divides a power of the other, so that both have the same zeros.
fn vanish_together(a: &Poly, b: &Poly, budget: &mut Budget) -> bool {
    const POWER: u32 = 4;
    let mut divides = |a: &Poly, b: &Poly| {
        let power = b.power(POWER, budget);
        power.is_ok_and(|power| exact_quotient(&power, a, budget).is_ok_and(|q| q.is_some()))
    };
    divides(a, b) && divides(b, a)
}

/// `poly < 0`, `poly ≤ 0`, `poly = 0` or `poly ≠ 0`; `None` for anything that is not defined everywhere.
fn form(line: &Line, budget: &mut Budget) -> Option<(Poly, Relation)> {
    let Line::Relations { sides, relations } = line else { return None };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return None };
    let none = Values::new();
    let mut forms = Normaliser::new(&none, budget);
    let (l, r) = (forms.build(left).ok()?, forms.build(right).ok()?);
    if !forms.needs.is_empty() {
        return None;
    }
    let difference = l.minus(&r, budget).ok()?.as_poly().filter(|poly| !poly.is_zero())?;
    Some(match relation {
        Relation::Greater | Relation::GreaterOrEqual => (difference.negated(), relation.turned()),
        Relation::Approximate => return None,
        other => (difference, *other),
    })
}
