//! Solutions that are told rounded, `x ≈ 10.4`: each solution is told, and each that is told is one.

use super::different;
use crate::budget::Budget;
use crate::equal::value_at;
use crate::expr::Expr;
use crate::line::{Line, Relation};
use crate::normal::{Quotient, Values};
use crate::round::{Fit, fits};
use crate::solve::sets::real;
use crate::solve::{Solutions, sets};
use crate::verdict::{Reason, Setting, StepVerdict};
use std::cmp::Ordering;

/// A line with `≈` after one with exact solutions: each is rounded as it is written.
pub(super) fn approximations(
    from: &Line,
    to: &Line,
    letter: &str,
    setting: &Setting,
) -> Option<StepVerdict> {
    let parts = match to {
        Line::AnyOf(lines) => &lines[..],
        single => std::slice::from_ref(single),
    };
    let mut told = Vec::new();
    for part in parts {
        let Line::Relations { sides, relations } = part else { return None };
        match (&sides[..], &relations[..]) {
            ([left, right], [relation @ (Relation::Approximate | Relation::Equal)])
                if *left == Expr::symbol(letter) && right.symbols().is_empty() =>
            {
                told.push((right, *relation == Relation::Equal));
            }
            _ => return None,
        }
    }
    if told.iter().all(|(_, is_exact)| *is_exact) {
        return None;
    }
    let mut budget = Budget::for_verdict();
    let Some(values) = values_of(from, letter, setting, &mut budget) else {
        return Some(StepVerdict::Undecided);
    };
    if values.len() != told.len() {
        return Some(different(Reason::Rounding));
    }
    let table: Vec<Vec<Fit>> = values
        .iter()
        .map(|value| {
            let of = |(right, is_exact): &(&Expr, bool)| match is_exact {
                true => is_value(value, right, &mut budget),
                false => fits(value, right, &mut budget),
            };
            told.iter().map(of).collect()
        })
        .collect();
    // Each value is told, and each that is told is a value.
    let rows = table.iter().map(|row| best(row.iter().copied()));
    let columns = (0..told.len()).map(|at| best(table.iter().map(|row| row[at])));
    let found: Vec<Fit> = rows.chain(columns).collect();
    Some(if found.contains(&Fit::Misses) {
        different(Reason::Rounding)
    } else if found.contains(&Fit::Unknown) {
        StepVerdict::Undecided
    } else {
        StepVerdict::Equivalent { provided: Vec::new() }
    })
}

/// The values that a line gives to its letter; `x = 20/3 cm` says it itself.
fn values_of(
    line: &Line,
    letter: &str,
    setting: &Setting,
    budget: &mut Budget,
) -> Option<Vec<Quotient>> {
    if let Some((left, right)) = line.as_equation()
        && *left == Expr::symbol(letter)
        && right.symbols().is_empty()
    {
        return value_at(right, &Values::new(), budget).ok().map(|value| vec![value]);
    }
    match sets::solutions_given(line, letter, &setting.assumed) {
        Ok(Solutions::Finite(all)) => Some(all.iter().map(|one| one.value().clone()).collect()),
        _ => None,
    }
}

/// Whether one of several fits.
fn best(all: impl Iterator<Item = Fit> + Clone) -> Fit {
    let is = |wanted: Fit| all.clone().any(|fit| fit == wanted);
    if is(Fit::Rounds) {
        Fit::Rounds
    } else if is(Fit::Unknown) {
        Fit::Unknown
    } else {
        Fit::Misses
    }
}

/// Whether `right` is exactly that constant.
fn is_value(value: &Quotient, right: &Expr, budget: &mut Budget) -> Fit {
    let told = value_at(right, &Values::new(), budget);
    match told.ok().and_then(|told| real::compare(value, &told, budget)) {
        Some(Ordering::Equal) => Fit::Rounds,
        Some(_) => Fit::Misses,
        None => Fit::Unknown,
    }
}
