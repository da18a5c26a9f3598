//! What is true of a problem though it does not follow from the line above: names, calculations, formulas, set-ups.

use super::asked::number_in;
use super::formulas::Formula;
use super::typed::plain;
use super::{World, sentence};
use crate::JudgedLine;
use crate::finished::{is_decimal, is_worked_out};
use crate::task::{Progress, Task, WRITE_NEARLY};
use algebra::degrees::in_radians;
use algebra::step::exact_value;
use algebra::{Expr, ExprKind, Line, Rational, Relation, Role, StepVerdict, judge_alone};
use teaching::slips::Slip;
use teaching::verdict::{LineVerdict, VerdictWord};

const PUT_IN: &str = "Now put in what is given.";
const WHICH_FORMULA: &str =
    "With the numbers of this problem the two sides are not the same. Which formula fits?";
const FITS_STORY: &str = "This fits the story.";
const FITS: &str = "This fits the problem.";
const AS_ROUNDED: &str = "Right, as far as it is rounded.";
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
                let calculates = value.as_plain_number().is_none() || !is_worked_out(value);
                let is_it = self.asked.as_ref().is_some_and(|asked| {
                    matches!(algebra::equal(asked, value), algebra::Verdict::Equal { .. })
                });
                let in_degrees = || {
                    let turned = in_radians(&Line::Expression(value.clone()));
                    let turned = turned.expressions().first().map(|value| (*value).clone());
                    self.is_in_degrees(task)
                        && turned.is_some_and(|value| self.comes_near_asked(&value))
                };
                let is_part = calculates
                    && (is_known || is_it || self.comes_near_asked(value) || in_degrees());
                is_part.then(|| holds(Role::Follows, A_PART, aside()))
            }
            Line::Expression(value) if self.is_part(value) => {
                Some(holds(Role::Follows, A_PART, aside()))
            }
            Line::Relations { sides, relations } => {
                let near = relations.contains(&Relation::Approximate);
                if !line.symbols().is_empty() && self.is_identity(task, sides) {
                    return Some(holds(Role::Checks, "", aside()));
                }
                if self.fits_rounded(task, line) {
                    return Some(holds(Role::Rounds, AS_ROUNDED, aside()));
                }
                if !relations.iter().all(|r| matches!(r, Relation::Equal | Relation::Approximate)) {
                    return None;
                }
                if line.symbols().is_empty() {
                    let is_true =
                        |line: &Line| matches!(judge_alone(line), StepVerdict::Equivalent { .. });
                    if is_true(line) || self.is_share(sides) {
                        let mut progress = aside();
                        progress.remember_rounded(sides);
                        return Some(holds(Role::Checks, "", progress));
                    }
                    // `140 ÷ 12 = 11.67`
                    let rounded = Line::Relations {
                        sides: sides.clone(),
                        relations: vec![Relation::Approximate; relations.len()],
                    };
                    let has_places = sides.last().is_some_and(is_decimal);
                    let degrees = self.is_in_degrees(task).then(|| in_radians(&rounded));
                    let is_near = is_true(&rounded) || degrees.as_ref().is_some_and(is_true);
                    return (has_places && is_near).then(|| {
                        let mut progress = aside();
                        progress.remember_rounded(sides);
                        holds(Role::Rounds, WRITE_NEARLY, progress)
                    });
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
                if letters.len() > 1 && is_new {
                    // `A = bh/2`, before the numbers are put in.
                    let mut found = holds(Role::Defines, PUT_IN, aside());
                    let other = match self.formula(line) {
                        Formula::Holds => return Some(found),
                        Formula::Breaks(slip) => Some((VerdictWord::Breaks, slip)),
                        Formula::DoesNotFit(slip) => Some((VerdictWord::CantTell, slip)),
                        Formula::Unknown if task.asks_letter => None,
                        Formula::Unknown => {
                            found.0.verdict = LineVerdict::saying(VerdictWord::CantTell, PUT_IN);
                            return Some(found);
                        }
                    };
                    if let Some((word, slip)) = other {
                        let says = slip.map_or(WHICH_FORMULA, Slip::to_student);
                        found.0.slip = slip.map(Slip::id);
                        found.0.verdict = LineVerdict::saying(word, says);
                        return Some(found);
                    }
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
        let is_asked = self.asked.as_ref().and_then(exact_value).as_ref() == Some(&whole);
        let is_known = if is_asked { self.is_whole(&whole) } else { self.known.contains(&whole) };
        is_known && all.iter().all(|value| *value == all[0])
    }

    /// Whether the whole is asked for, of which the problem gives a share, a rise or a fall.
    fn is_whole(&self, whole: &Rational) -> bool {
        let one = Rational::from_integer(1.into());
        let prompt = plain(&self.rung.prompt);
        let numbers = sentence::numbers(&prompt);
        let value = |number: &sentence::Number<'_>| exact_value(&number_in(number.text)?);
        let given: Vec<Rational> = numbers.iter().filter_map(value).collect();
        let shares = numbers.iter().filter(|number| number.text.ends_with('%')).filter_map(value);
        self.asked.as_ref().and_then(exact_value).as_ref() == Some(whole)
            && shares.into_iter().any(|share| {
                [share.clone(), &one + &share, &one - &share]
                    .iter()
                    .any(|factor| *factor != one && given.contains(&(whole * factor)))
            })
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
        let is_true = |line: &Line| matches!(judge_alone(line), StepVerdict::Equivalent { .. });
        let nearly = Line::Relations {
            sides: values.to_vec(),
            relations: vec![Relation::Approximate; values.len() - 1],
        };
        // `C = 40π = 125.66`
        let is_rounded =
            values.len() > 1 && is_decimal(last) && !is_true(&chain) && is_true(&nearly);
        if values.len() > 1 && !is_rounded && !is_true(&chain) {
            let mut judged = JudgedLine { ..said.clone() };
            judged.verdict = LineVerdict::saying(
                VerdictWord::Breaks,
                "The two sides are not the same. Work it out again.",
            );
            return Some((judged, before.clone()));
        }
        let mut progress = before.with_aside(true);
        progress.name(name, last);
        progress.remember_rounded(values);
        let value = exact_value(last);
        progress.reached.extend(value.clone());
        // `A = π(13² - 8²)`, before it is rounded as it is asked for.
        let is_asked = self.asked.as_ref().is_some_and(|asked| {
            matches!(algebra::equal(asked, last), algebra::Verdict::Equal { .. })
        });
        if is_asked || self.comes_near_asked(&values[0]) {
            return Some(holds(
                Role::Follows,
                if is_rounded { WRITE_NEARLY } else { "" },
                progress,
            ));
        }
        if is_rounded {
            return Some(holds(Role::Rounds, WRITE_NEARLY, progress));
        }
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

    /// Whether a value, rounded as it is asked for, is the answer.
    fn comes_near_asked(&self, value: &Expr) -> bool {
        self.asked_near().is_some_and(|asked| {
            let link = Line::Relations {
                sides: vec![value.clone(), asked],
                relations: vec![Relation::Approximate],
            };
            value.as_plain_number().is_none()
                && matches!(judge_alone(&link), StepVerdict::Equivalent { .. })
        })
    }

    /// Whether a decimal with more places than are asked for rounds to the answer.
    pub(super) fn rounds_to_asked(&self, value: &Expr) -> bool {
        let (Some(asked), true) = (self.asked_near(), is_decimal(value)) else { return false };
        let (Some(told), Some(exact)) = (exact_value(value), exact_value(&asked)) else {
            return false;
        };
        let away = if told > exact { told - exact } else { exact - told };
        places(value) > places(&asked) && away <= half_a_place(&asked)
    }

    /// Whether an equation with a rounded number has a solution that rounds to the answer: `t/4 = 1.778`. Between the
    /// ends of what rounds to it the two sides change places.
    fn fits_rounded(&self, task: &Task, line: &Line) -> bool {
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let (Some(asked), [letter]) = (self.asked_near(), &letters[..]) else { return false };
        let (Some((left, right)), Some(value)) = (line.as_equation(), exact_value(&asked)) else {
            return false;
        };
        let has_decimal =
            left.any(&mut |part| is_decimal(part)) || right.any(&mut |part| is_decimal(part));
        if !has_decimal || (!task.unknown.is_empty() && *letter != task.unknown && !self.rung.story)
        {
            return false;
        }
        let unit = half_a_place(&asked);
        let below = |relation: Relation, at: &Rational| {
            let at = Expr::rational(at);
            let sides = vec![left.with(letter, &at), right.with(letter, &at)];
            let told = Line::Relations { sides, relations: vec![relation] };
            matches!(judge_alone(&told), StepVerdict::Equivalent { .. })
        };
        let (low, high) = (&value - &unit, &value + &unit);
        (below(Relation::Less, &low) && below(Relation::Greater, &high))
            || (below(Relation::Greater, &low) && below(Relation::Less, &high))
    }

    /// Whether an expression is one that the problem or its working names: `(x + 5)(x + 1)` for the area `x² + 6x + 5`.
    fn is_part(&self, value: &Expr) -> bool {
        let given = self.rung.prompt.split('$').skip(1).step_by(2);
        let given = given.filter_map(|latex| algebra::read_latex(latex).ok());
        given
            .filter_map(|reading| match reading.line {
                Line::Expression(part) => Some(part),
                _ => None,
            })
            .any(|part| {
                part.symbols() == value.symbols()
                    && matches!(algebra::equal(&part, value), algebra::Verdict::Equal { .. })
            })
    }

    /// Whether every side of a chain is the same whatever its letters are: `4x + 2x + 4x = 10x`.
    fn is_identity(&self, task: &Task, sides: &[Expr]) -> bool {
        let is_expression = matches!(task.problem, Line::Expression(_)) && !task.asks_letter;
        is_expression
            && sides.windows(2).all(|pair| {
                matches!(algebra::equal(&pair[0], &pair[1]), algebra::Verdict::Equal { .. })
            })
    }

    /// Whether inverse functions give degrees here.
    fn is_in_degrees(&self, task: &Task) -> bool {
        task.in_degrees || self.is_about_angles()
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

/// How many places a number is written with.
fn places(value: &Expr) -> usize {
    algebra::write::text(value).split_once('.').map_or(0, |(_, places)| places.len())
}

/// Half of the last place of a number: what rounds to it is no farther away.
fn half_a_place(value: &Expr) -> Rational {
    let ten = Rational::from_integer(10.into());
    (0..places(value)).fold(Rational::new(1.into(), 2.into()), |half, _| half / &ten)
}
