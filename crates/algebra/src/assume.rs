//! What is assumed of the letters: `x > 0`, `0 <= x < 360`, `n integer`, `positive` (every letter).

use crate::budget::Budget;
use crate::enclosed::{Seen, seen};
use crate::equal::value_at;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, Normaliser, Poly, Quotient, ROOT_LETTER, Values, constant, exact_quotient, root_function,
};
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
            if trimmed.eq_ignore_ascii_case("positive") {
                found.all_positive = true;
            } else if let Some(letters) =
                whole_letters(&trimmed.replace(" is an ", " ").replace(" is ", " "))
            {
                found.whole.extend(letters);
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

    /// `>` where they say that a letter is positive, `≥` where they say that it is not negative.
    #[must_use]
    pub(crate) fn sign_of(&self, letter: &str) -> Option<Relation> {
        if self.all_positive {
            return Some(Relation::Greater);
        }
        let is_letter =
            |side: &Expr| matches!(&side.kind, ExprKind::Symbol(name) if name == letter);
        let bounds = self.lines.iter().filter_map(|line| match line {
            Line::Relations { sides, relations } => Some(sides.windows(2).zip(relations)),
            _ => None,
        });
        let signs = bounds.flatten().filter_map(|(pair, relation)| {
            let (bound, relation) = if is_letter(&pair[0]) {
                (&pair[1], *relation)
            } else if is_letter(&pair[1]) {
                (&pair[0], relation.turned())
            } else {
                return None;
            };
            let bound = bound.as_plain_number().filter(|bound| !bound.is_negative())?;
            match relation {
                Relation::Greater => Some(relation),
                Relation::GreaterOrEqual if bound.is_positive() => Some(Relation::Greater),
                Relation::GreaterOrEqual => Some(relation),
                _ => None,
            }
        });
        // The stronger one, if both are said.
        let all: Vec<Relation> = signs.collect();
        all.iter().copied().find(|sign| *sign == Relation::Greater).or(all.first().copied())
    }

    /// Expressions that are not negative because of them.
    #[must_use]
    pub fn not_negative(&self, letters: &BTreeSet<String>, budget: &mut Budget) -> Vec<Quotient> {
        let mut found = Vec::new();
        if self.all_positive {
            found.extend(
                letters.iter().map(|letter| Quotient::whole(Poly::atom(Atom::symbol(letter)))),
            );
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

/// The letters of `n integer`, `m, n are integers`; `None` for what says something else.
fn whole_letters(text: &str) -> Option<Vec<String>> {
    let endings = [" is an integer", " are integers", " is whole", " integer", " whole"];
    let letters = endings.iter().find_map(|words| text.strip_suffix(words))?;
    let letters: Vec<String> = letters.split(',').map(|letter| letter.trim().to_owned()).collect();
    let is_letter = |name: &String| !name.is_empty() && !name.contains(char::is_whitespace);
    letters.iter().all(is_letter).then_some(letters)
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

/// What enclosures show of two sides at a point.
enum Look {
    /// The sign of their difference, which is not zero.
    Apart(i8),
    /// One of them has no value.
    Undefined,
}

/// A quick look at two sides; `None` when it takes an exact one.
fn at_a_look(left: &Expr, right: &Expr, at: &Values, budget: &mut Budget) -> Option<Look> {
    match (seen(left, at, budget), seen(right, at, budget)) {
        (Some(Seen::Undefined), _) | (_, Some(Seen::Undefined)) => Some(Look::Undefined),
        (Some(Seen::Inside(left)), Some(Seen::Inside(right))) => {
            left.minus(&right).sign().filter(|&sign| sign != 0).map(Look::Apart)
        }
        _ => None,
    }
}

/// Whether two sides are equal where a letter has a value that only a function tells: their difference is a
/// multiple of that function, and what it needs to be defined is seen there.
fn meet_at_a_crossing(left: &Expr, right: &Expr, at: &Values, budget: &mut Budget) -> Option<bool> {
    let function = |value: &Quotient| value.as_kernel().and_then(root_function).cloned();
    let (letter, function) = at.iter().find_map(|(l, value)| Some((l, function(value)?)))?;
    let itself = Quotient::whole(Poly::atom(Atom::symbol(ROOT_LETTER)));
    let mut moving = at.clone();
    let place = moving.insert(letter.clone(), itself)?;
    let mut forms = Normaliser::new(&moving, budget);
    let (left, right) = (forms.build(left).ok()?, forms.build(right).ok()?);
    let needs = forms.needs;
    let difference = left.minus(&right, budget).ok()?;
    exact_quotient(difference.numerator(), function.numerator(), budget).ok()??;
    let place = Values::from([(ROOT_LETTER.to_owned(), place)]);
    let mut sign = |value: &Quotient| match seen(&value.to_expr(), &place, budget)? {
        Seen::Inside(value) => value.sign(),
        Seen::Undefined => None,
    };
    let is_defined = needs.whole.is_empty()
        && needs.not_zero.iter().all(|value| sign(value).is_some_and(|sign| sign != 0))
        && needs.not_negative.iter().chain(&needs.positive).all(|value| sign(value) == Some(1));
    is_defined.then_some(true)
}

/// Whether a line of relations is true at a point; `None` when that cannot be told.
pub(crate) fn is_true(line: &Line, at: &Values, budget: &mut Budget) -> Option<bool> {
    use crate::normal::NotNormal;
    match line {
        Line::Relations { sides, relations } => {
            let mut truth = true;
            for (pair, relation) in sides.windows(2).zip(relations) {
                match at_a_look(&pair[0], &pair[1], at, budget) {
                    Some(Look::Undefined) => return Some(false),
                    Some(Look::Apart(sign)) => {
                        truth &= relation.holds_for(sign)?;
                        continue;
                    }
                    None => {}
                }
                if meet_at_a_crossing(&pair[0], &pair[1], at, budget) == Some(true) {
                    truth &= relation.holds_for(0)?;
                    continue;
                }
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
