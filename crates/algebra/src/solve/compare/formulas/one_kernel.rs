//! Formulas in which a letter stands only inside one and the same function, as in `y = 1/(1 + e^x)` and
//! `e^x = 1/y - 1`: what they say of `e^x` is what they say of `x`.

use crate::budget::Budget;
use crate::equal::exclusions;
use crate::line::Line;
use crate::normal::{Atom, Knowledge, Needs, Normaliser, Quotient, Values, refine};
use crate::verdict::Condition;
use std::collections::BTreeSet;

/// A formula `factor · function + rest = 0`.
struct Formula {
    function: Atom,
    factor: Quotient,
    rest: Quotient,
    needs: Needs,
}

/// What two formulas need to say the same of the letter; `None` when that is not shown here.
pub(super) fn same_value(
    from: &Line,
    to: &Line,
    letter: &str,
    budget: &mut Budget,
) -> Option<Vec<Condition>> {
    let (from, to) = (Formula::of(from, letter, budget)?, Formula::of(to, letter, budget)?);
    if from.function != to.function || from.bounds(letter) != to.bounds(letter) {
        return None;
    }
    let left = from.rest.times(&to.factor, budget).ok()?;
    let right = to.rest.times(&from.factor, budget).ok()?;
    let difference = left.minus(&right, budget).ok()?;
    let knowledge = Knowledge::default();
    if !refine(difference.numerator(), &knowledge, budget).ok()?.is_zero() {
        return None;
    }
    let mut told: Vec<Condition> = Vec::new();
    let needed = from.needs.not_zero.iter().chain(&to.needs.not_zero);
    let all = needed.chain([&from.factor, &to.factor]).flat_map(exclusions);
    for condition in all {
        if !told.contains(&condition) {
            told.push(condition);
        }
    }
    Some(told)
}

impl Formula {
    fn of(line: &Line, letter: &str, budget: &mut Budget) -> Option<Self> {
        let (left, right) = line.as_equation()?;
        let none = Values::new();
        let mut forms = Normaliser::new(&none, budget);
        let (left, right) = (forms.build(left).ok()?, forms.build(right).ok()?);
        let needs = forms.needs;
        let difference = left.minus(&right, budget).ok()?;
        let poly = difference.numerator();
        let mut moving = poly.atoms().into_iter().filter(|atom| atom.mentions(letter));
        let function = moving.next().filter(|_| moving.next().is_none())?.clone();
        let parts = poly.by_powers_of(&function);
        let [rest, factor] = &parts[..] else { return None };
        Some(Self {
            function,
            factor: Quotient::whole(factor.clone()),
            rest: Quotient::whole(rest.clone()),
            needs,
        })
    }

    /// What bounds the letter: both formulas must have the same.
    fn bounds(&self, letter: &str) -> [BTreeSet<&Quotient>; 3] {
        let needs = &self.needs;
        [&needs.not_negative, &needs.positive, &needs.whole]
            .map(|all| all.iter().filter(|value| value.mentions(letter)).collect())
    }
}
