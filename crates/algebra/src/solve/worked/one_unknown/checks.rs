//! The check at the end of a working that squared or multiplied by the unknown: each value found is put into the
//! problem.

use crate::budget::Budget;
use crate::equal::value_at;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, Values, constant};
use crate::role::Role;
use crate::rule::{Rule, Step};

/// Most values that are put in.
const MOST: usize = 4;

/// One line for each value of `found`: `√(2 × 3 + 3) = 3` where it fits, with `≠` where it does not. Values at which
/// the problem has no meaning, and such as are no short numbers, are passed over.
pub(super) fn of(problem: &Line, found: &Line, letter: &str) -> Vec<Step> {
    let Some((left, right)) = problem.as_equation() else { return Vec::new() };
    let values = match found {
        Line::AnyOf(lines) => lines.iter().collect(),
        single => vec![single],
    };
    values
        .into_iter()
        .filter_map(|line| value_of(line, letter))
        .take(MOST)
        .filter_map(|value| {
            let (none, mut budget) = (Values::new(), Budget::for_verdict());
            let exact = Normaliser::new(&none, &mut budget).build(&value).ok()?;
            let at = Values::from([(letter.to_owned(), exact)]);
            let sides = [left, right].map(|side| value_at(side, &at, &mut budget));
            let [Ok(l), Ok(r)] = sides else { return None };
            let apart = l.minus(&r, &mut budget).ok()?;
            let relation = match constant::sign(&apart, &mut budget)? {
                0 => Relation::Equal,
                _ => Relation::NotEqual,
            };
            let line = Line::Relations {
                sides: vec![left.with(letter, &value), right.with(letter, &value)],
                relations: vec![relation],
            };
            Some(Step { line, rule: Rule::Substitute, role: Role::Checks })
        })
        .collect()
}

/// The number that a line gives the letter, when it is a whole number or a fraction.
fn value_of(line: &Line, letter: &str) -> Option<Expr> {
    let (left, value) = line.as_equation()?;
    let is_letter = matches!(&left.kind, ExprKind::Symbol(name) if name == letter);
    (is_letter && value.as_plain_number().is_some()).then(|| value.clone())
}
