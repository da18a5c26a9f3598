//! What is true of a problem though it does not follow from the line above: names, calculations, formulas, set-ups.

use super::{World, formulas};
use crate::JudgedLine;
use crate::task::{Progress, Task, WRITE_NEARLY};
use algebra::number::Notation;
use algebra::step::exact_value;
use algebra::{Expr, ExprKind, Line, Rational, Relation, Role, StepVerdict, judge_alone};
use teaching::verdict::{LineVerdict, VerdictWord};

const PUT_IN: &str = "Now put in what is given.";
const FITS_STORY: &str = "This fits the story.";
const FITS: &str = "This fits the problem.";
const A_PART: &str = "That is a part of it.";
const ON_THE_SIDE: &str = "Kept with your working. Say how it leads to what is asked.";
const WHERE_FROM: &str = "Where does this number come from? Write how you found it.";

impl World<'_> {
    /// What is true of the world, though it does not follow from the line above.
    pub(super) fn true_of_it(
        &self,
        task: &Task,
        line: &Line,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let holds = |role: Role, says: &str, progress: Progress| {
            let mut judged =
                JudgedLine { error: None, slip: None, hints: Vec::new(), ..JudgedLine::of(line) };
            judged.note.clone_from(&said.note);
            judged.holds(role, says);
            (judged, progress)
        };
        let aside = || before.with_aside(true);
        match line {
            Line::Expression(value) | Line::Rounded(value) if value.symbols().is_empty() => {
                let is_known = exact_value(value).is_some_and(|value| self.known.contains(&value));
                // A number alone may be a slip; a calculation of the problem's numbers is one of its parts.
                let is_part = value.as_plain_number().is_none() && is_known;
                is_part.then(|| holds(Role::Follows, A_PART, aside()))
            }
            Line::Relations { sides, relations } => {
                let near = relations.contains(&Relation::Approximate);
                if !relations.iter().all(|r| matches!(r, Relation::Equal | Relation::Approximate)) {
                    return None;
                }
                if line.symbols().is_empty() {
                    let is_true =
                        |line: &Line| matches!(judge_alone(line), StepVerdict::Equivalent { .. });
                    if is_true(line) || self.is_share(sides) {
                        return Some(holds(Role::Checks, "", aside()));
                    }
                    // `140 ÷ 12 = 11.67`
                    let rounded = Line::Relations {
                        sides: sides.clone(),
                        relations: vec![Relation::Approximate; relations.len()],
                    };
                    let has_places = sides.last().is_some_and(|last| {
                        matches!(&last.kind, ExprKind::Number(written)
                            if matches!(written.notation(), Notation::Decimal { .. }))
                    });
                    return (has_places && is_true(&rounded))
                        .then(|| holds(Role::Rounds, WRITE_NEARLY, aside()));
                }
                if let Some(ExprKind::Symbol(name)) =
                    is_name(&sides[0], task).then_some(&sides[0].kind)
                    && !task.problem.symbols().contains(name)
                    && sides[1..].iter().all(|side| side.symbols().is_empty())
                {
                    return self.named(name, &sides[1..], near, said, before, &holds);
                }
                let meant = before.written_out(line);
                let (letters, known) = (meant.symbols(), task.problem.symbols());
                let is_new = letters.iter().any(|name| !known.contains(name));
                if letters.len() > 1 && is_new && (!task.asks_letter || formulas::is_known(line)) {
                    // `A = bh/2`, before the numbers are put in.
                    let mut found = holds(Role::Defines, PUT_IN, aside());
                    if !formulas::is_known(line) {
                        found.0.verdict = LineVerdict::saying(VerdictWord::CantTell, PUT_IN);
                    }
                    return Some(found);
                }
                self.set_up(line, task, before).map(|above| {
                    let says = if before.above.is_none() { FITS_STORY } else { FITS };
                    holds(Role::Follows, says, before.below(above))
                })
            }
            _ => None,
        }
    }

    /// `10% = 70` of 700: so many per cent of a number of the problem, or of the answer.
    fn is_share(&self, sides: &[Expr]) -> bool {
        let [first, rest @ ..] = sides else { return false };
        let (ExprKind::Percent(_), Some(share)) = (&first.kind, exact_value(first)) else {
            return false;
        };
        let all: Option<Vec<Rational>> = rest.iter().map(exact_value).collect();
        let Some(all) = all.filter(|all| !all.is_empty()) else { return false };
        let zero = Rational::from_integer(0.into());
        let whole = if share == zero { return false } else { &all[0] / &share };
        let is_known =
            self.known.contains(&whole) || self.asked.as_ref().and_then(exact_value) == Some(whole);
        is_known && all.iter().all(|value| *value == all[0])
    }

    /// A name for a value: `A = 1/2 × 27 × 14`, `half = 27 ÷ 2 = 13.5`.
    fn named(
        &self,
        name: &str,
        values: &[Expr],
        near: bool,
        said: &JudgedLine,
        before: &Progress,
        holds: &dyn Fn(Role, &str, Progress) -> (JudgedLine, Progress),
    ) -> Option<(JudgedLine, Progress)> {
        let last = values.last()?;
        let chain = Line::Relations {
            sides: values.to_vec(),
            relations: vec![
                if near { Relation::Approximate } else { Relation::Equal };
                values.len() - 1
            ],
        };
        if values.len() > 1 && !matches!(judge_alone(&chain), StepVerdict::Equivalent { .. }) {
            let mut judged = JudgedLine { ..said.clone() };
            judged.verdict = LineVerdict::saying(
                VerdictWord::Breaks,
                "The two sides are not the same. Work it out again.",
            );
            return Some((judged, before.clone()));
        }
        let mut progress = before.with_aside(true);
        progress.name(name, last);
        let value = exact_value(last);
        let is_known = value.is_some_and(|value| self.known.contains(&value));
        if is_known {
            return Some(holds(Role::Defines, "", progress));
        }
        let calculates = values.iter().any(|value| value.as_plain_number().is_none());
        let mut judged = holds(Role::Defines, "", progress.clone()).0;
        judged.verdict = LineVerdict::saying(
            VerdictWord::CantTell,
            if calculates { ON_THE_SIDE } else { WHERE_FROM },
        );
        Some((judged, progress))
    }

    /// An equation in one letter that the value asked for makes true; gives it in the problem's letter.
    fn set_up(&self, line: &Line, task: &Task, before: &Progress) -> Option<Line> {
        let meant = before.written_out(line);
        let letters: Vec<String> = meant.symbols().into_iter().collect();
        let [letter] = &letters[..] else { return None };
        if !task.unknown.is_empty()
            && before.above.is_some()
            && task.problem.symbols().contains(letter)
        {
            return None;
        }
        let asked = self.asked.as_ref()?;
        let put = meant.with(letter, asked);
        let is_true = matches!(judge_alone(&put), StepVerdict::Equivalent { .. });
        // A line that every number makes true sets nothing up.
        let other = meant.with(letter, &asked.clone().plus(Expr::int(1)));
        let says_something = matches!(judge_alone(&other), StepVerdict::NotEquivalent(_));
        (is_true && says_something).then_some(meant)
    }
}

/// Whether a side is a letter or a word that may name a value here.
pub(super) fn is_name(side: &Expr, task: &Task) -> bool {
    let ExprKind::Symbol(name) = &side.kind else { return false };
    // Where the problem asks for a letter, another one alone is a slip of the pen.
    *name == task.unknown
        || (!task.problem.symbols().contains(name)
            && (!task.asks_letter || name.chars().count() > 1))
}
