//! Lines in several letters that are no equations: inequalities that are the same up to a positive factor,
//! and a search for a point that tells two lines apart.

use crate::assume::{Assumptions, is_true};
use crate::budget::Budget;
use crate::equal::{Counterexample, Shown, trial_points};
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, Poly, Values};
use crate::step::{Difference, StepVerdict};
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
    for at in trial_points(letters) {
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
