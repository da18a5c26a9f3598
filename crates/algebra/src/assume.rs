//! What is assumed of the letters: `x > 0`, `0 <= x < 360`, `n integer`, `positive` (every letter).

use crate::budget::Budget;
use crate::equal::value_at;
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, Quotient, Values, constant};
use crate::read::{ReadError, read_line};
use num_traits::Signed;
use std::collections::BTreeSet;

/// Assumptions under which two lines are compared.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Assumptions {
    /// Relations that hold.
    pub lines: Vec<Line>,
    /// Letters that stand for whole numbers.
    pub whole: BTreeSet<String>,
    /// Whether every letter is positive.
    pub all_positive: bool,
}

impl Assumptions {
    /// Reads assumptions as they are typed.
    ///
    /// # Errors
    /// The first text that is no assumption, and why, when it could not be read at all.
    pub fn read<'a>(
        texts: impl IntoIterator<Item = &'a str>,
    ) -> Result<Self, (&'a str, Option<ReadError>)> {
        let mut found = Self::default();
        for text in texts {
            let trimmed = text.trim();
            let (letter, word) = trimmed.split_once(' ').unwrap_or(("", trimmed));
            if trimmed.eq_ignore_ascii_case("positive") {
                found.all_positive = true;
            } else if matches!(word.trim(), "integer" | "is an integer" | "whole")
                && !letter.is_empty()
            {
                found.whole.extend(letter.split(',').map(|l| l.trim().to_owned()));
            } else {
                match read_line(trimmed) {
                    Ok(reading) => match reading.line {
                        line @ Line::Relations { .. } => found.lines.push(line),
                        Line::AllOf(lines) => found.lines.extend(lines),
                        _ => return Err((text, None)),
                    },
                    Err(error) => return Err((text, Some(error))),
                }
            }
        }
        Ok(found)
    }

    /// Whether nothing is assumed.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.lines.is_empty() && self.whole.is_empty() && !self.all_positive
    }

    /// Whether a point fits them; what cannot be told does not fit.
    #[must_use]
    pub fn admit(&self, at: &Values, budget: &mut Budget) -> bool {
        let positive =
            |value: &Quotient, budget: &mut Budget| constant::sign(value, budget) == Some(1);
        if self.all_positive && !at.values().all(|value| positive(value, budget)) {
            return false;
        }
        let whole = |letter: &String| {
            at.get(letter).is_none_or(|v| v.as_constant().is_some_and(|v| v.is_integer()))
        };
        self.whole.iter().all(whole)
            && self.lines.iter().all(|line| {
                let outside = line.symbols().iter().any(|letter| !at.contains_key(letter));
                outside || is_true(line, at, budget) == Some(true)
            })
    }

    /// Expressions that are not negative because of them.
    #[must_use]
    pub fn not_negative(&self, letters: &BTreeSet<String>, budget: &mut Budget) -> Vec<Quotient> {
        let mut found = Vec::new();
        if self.all_positive {
            found.extend(letters.iter().map(|letter| {
                Quotient::whole(crate::normal::Poly::atom(crate::normal::Atom::symbol(letter)))
            }));
        }
        let none = Values::new();
        for line in &self.lines {
            let Line::Relations { sides, relations } = line else { continue };
            for (pair, relation) in sides.windows(2).zip(relations) {
                let mut forms = Normaliser::new(&none, budget);
                let (Ok(a), Ok(b)) = (forms.build(&pair[0]), forms.build(&pair[1])) else {
                    continue;
                };
                let difference = match relation {
                    Relation::Greater | Relation::GreaterOrEqual => a.minus(&b, budget),
                    Relation::Less | Relation::LessOrEqual => b.minus(&a, budget),
                    _ => continue,
                };
                // `x > 2` also says that x itself is positive.
                for side in [&difference, &Ok(a), &Ok(b)].into_iter().flatten() {
                    if let Some(shifted) = lower_bound(side, difference.as_ref().ok()) {
                        found.push(shifted);
                    }
                }
            }
        }
        found
    }

    /// The conditions as one line, together with `line`.
    #[must_use]
    pub fn with(&self, line: Line, letter: &str) -> Line {
        let mut lines: Vec<Line> = self
            .lines
            .iter()
            .filter(|line| line.symbols().iter().all(|l| l == letter))
            .cloned()
            .collect();
        if self.all_positive {
            let sides = vec![crate::Expr::symbol(letter), crate::Expr::int(0)];
            lines.push(Line::Relations { sides, relations: vec![Relation::Greater] });
        }
        if lines.is_empty() {
            return line;
        }
        lines.push(line);
        Line::AllOf(lines)
    }
}

/// `side` itself when it is the difference that is not negative, or lies above it by a constant that
/// is not negative.
fn lower_bound(side: &Quotient, difference: Option<&Quotient>) -> Option<Quotient> {
    let difference = difference?;
    if side.is_constant() {
        return None;
    }
    let above = side.minus(difference, &mut Budget::for_verdict()).ok()?.as_constant()?;
    (!above.is_negative()).then(|| side.clone())
}

/// Whether a line of relations is true at a point; `None` when that cannot be told.
pub(crate) fn is_true(line: &Line, at: &Values, budget: &mut Budget) -> Option<bool> {
    use crate::normal::NotNormal;
    match line {
        Line::Relations { sides, relations } => {
            let mut truth = true;
            for (pair, relation) in sides.windows(2).zip(relations) {
                let sides = (value_at(&pair[0], at, budget), value_at(&pair[1], at, budget));
                let (left, right) = match sides {
                    (Ok(left), Ok(right)) => (left, right),
                    (Err(NotNormal::Undefined), _) | (_, Err(NotNormal::Undefined)) => {
                        return Some(false);
                    }
                    _ => return None,
                };
                let difference = left.minus(&right, budget).ok()?;
                truth &= relation.holds_for(constant::sign(&difference, budget)?)?;
            }
            Some(truth)
        }
        Line::AnyOf(lines) => {
            let all: Vec<_> = lines.iter().map(|line| is_true(line, at, budget)).collect();
            if all.contains(&Some(true)) {
                Some(true)
            } else if all.contains(&None) {
                None
            } else {
                Some(false)
            }
        }
        Line::AllOf(lines) => {
            let all: Vec<_> = lines.iter().map(|line| is_true(line, at, budget)).collect();
            if all.contains(&Some(false)) {
                Some(false)
            } else if all.contains(&None) {
                None
            } else {
                Some(true)
            }
        }
        Line::NoSolution => Some(false),
        Line::AllReals => Some(true),
        _ => None,
    }
}
