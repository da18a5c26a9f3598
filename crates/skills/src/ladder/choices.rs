//! The choices of a multiple-choice version: one right, the others wrong and different from each other, those that a
//! slip leads to first.

use super::{Choice, NotProved, truth_word};
use algebra::number::{Rational, decimal_places, from_int, to_decimal_text};
use algebra::solve::{Solutions, solutions};
use algebra::write::{text, text_line};
use algebra::{Expr, Line, Options, StepVerdict, compare, read_expr, read_line_with};
use teaching::ids::SlipId;
use teaching::problem::{Key, Posed, Wrong, told_rounded};
use teaching::skill::Skill;
use teaching::working::Draft;

/// How many wrong ones stand beside the right one.
const WRONG: usize = 3;

/// The choices of a problem with that working.
///
/// # Errors
/// [`NotProved::TooFewChoices`] when not enough wrong ones can be proved wrong.
pub(super) fn of(
    skill: &dyn Skill,
    posed: &Posed,
    working: &[Draft],
) -> Result<Vec<Choice>, NotProved> {
    match &posed.key {
        Key::Truth(truth) => Ok([true, false]
            .map(|word| Choice { text: truth_word(word).into(), right: word == *truth, slip: None })
            .to_vec()),
        Key::Shown { text, .. } => in_words(posed, text),
        Key::Line(answer) => match posed.answer() {
            Some(value) if !posed.wrong.iter().any(|wrong| wrong.text.contains('=')) => {
                numbers(skill, posed, working, &value)
            }
            _ => lines(posed, answer),
        },
    }
}

/// Answers in words: they differ by their words.
fn in_words(posed: &Posed, right: &str) -> Result<Vec<Choice>, NotProved> {
    let mut found = vec![Choice { text: right.into(), right: true, slip: None }];
    for Wrong { text, slip } in &posed.wrong {
        if found.iter().all(|other| other.text != *text) && found.len() <= WRONG {
            found.push(Choice { text: text.clone(), right: false, slip: *slip });
        }
    }
    // Where only one thing can be wrong, two choices are all there are.
    if found.len() < 2 {
        return Err(NotProved::TooFewChoices);
    }
    found.sort_by(|a, b| a.text.cmp(&b.text));
    Ok(found)
}

/// Answers that are lines of any kind: each wrong one is proved to differ.
fn lines(posed: &Posed, answer: &Line) -> Result<Vec<Choice>, NotProved> {
    let differ = |a: &Line, b: &Line| {
        let verdict = compare(&exactly(a), &exactly(b), None);
        matches!(verdict, StepVerdict::NotEquivalent(_))
    };
    let mut found: Vec<(Line, Choice)> =
        vec![(answer.clone(), Choice { text: text_line(answer), right: true, slip: None })];
    for Wrong { text, slip } in &posed.wrong {
        let options = Options { quantities: posed.unit.is_some(), ..Options::default() };
        let Ok(reading) = read_line_with(text, options) else { continue };
        if found.len() <= WRONG && found.iter().all(|(other, _)| differ(other, &reading.line)) {
            let text = text_line(&reading.line);
            found.push((reading.line, Choice { text, right: false, slip: *slip }));
        }
    }
    if found.len() <= WRONG {
        return Err(NotProved::TooFewChoices);
    }
    let mut choices: Vec<Choice> = found.into_iter().map(|(_, choice)| choice).collect();
    choices.sort_by(|a, b| a.text.cmp(&b.text));
    Ok(choices)
}

/// A rounded answer as the number that is written there.
fn exactly(line: &Line) -> Line {
    told_rounded(line).map_or_else(|| line.clone(), |value| Line::Expression(value.clone()))
}

/// Answers that are numbers: the skill's own wrong ones, those its slips make of the working, and then near ones.
fn numbers(
    skill: &dyn Skill,
    posed: &Posed,
    working: &[Draft],
    answer: &Rational,
) -> Result<Vec<Choice>, NotProved> {
    let mut found: Vec<(Rational, String, Option<SlipId>)> = Vec::new();
    let mut add = |value: Rational, shown: String, slip| {
        let new = value != *answer && found.iter().all(|(other, ..)| *other != value);
        if new && found.len() < WRONG {
            found.push((value, shown, slip));
        }
    };
    let like = |value: &Rational| text(&written_like(posed, value));
    for Wrong { text: typed, slip } in &posed.wrong {
        let Ok(expr) = read_expr(typed) else { continue };
        if let Some(value) = value_of(&expr) {
            add(value, text(&expr), *slip);
        }
    }
    for draft in working {
        let Draft::Line { line, .. } = draft else { continue };
        for slip in skill.slips() {
            for wrong in slip.wrong(line) {
                if let Some(value) = only(&wrong, &posed.unknown) {
                    let shown = like(&value);
                    add(value, shown, Some(slip.id()));
                }
            }
        }
    }
    for (factor, shift) in [(1, 1), (2, 0), (1, -1), (1, 2), (-1, 0), (1, 10)] {
        let value = answer * from_int(factor) + from_int(shift);
        let shown = like(&value);
        add(value, shown, None);
    }
    if found.len() < WRONG {
        return Err(NotProved::TooFewChoices);
    }
    found.push((answer.clone(), like(answer), None));
    // By size, so that the place of the right one says nothing.
    found.sort_by(|a, b| a.0.cmp(&b.0));
    let choice = |(value, text, slip): (Rational, String, Option<SlipId>)| Choice {
        text,
        right: value == *answer,
        slip,
    };
    Ok(found.into_iter().map(choice).collect())
}

/// The value of a number as it is written, however it is written.
fn value_of(expr: &Expr) -> Option<Rational> {
    let none = algebra::normal::Values::new();
    let mut budget = algebra::budget::Budget::for_verdict();
    algebra::normal::Normaliser::new(&none, &mut budget).build(expr).ok()?.as_constant()
}

/// The only solution of a line, or the value of an expression.
fn only(line: &Line, unknown: &str) -> Option<Rational> {
    if let Line::Expression(expr) = line {
        return value_of(expr);
    }
    match solutions(line, unknown).ok()? {
        Solutions::Finite(values) => match &values[..] {
            [value] => value.as_rational(),
            _ => None,
        },
        _ => None,
    }
}

/// The value written with decimals when the problem or its answer is written with decimals.
pub(crate) fn written_like(posed: &Posed, value: &Rational) -> Expr {
    let answer = match &posed.key {
        Key::Line(answer) => text_line(answer),
        _ => String::new(),
    };
    let has_point = text_line(&posed.line).contains('.') || answer.contains('.');
    match decimal_places(value).filter(|&p| p > 0) {
        Some(places) if has_point => {
            let shown = to_decimal_text(value, places);
            read_expr(&shown).unwrap_or_else(|_| Expr::rational(value))
        }
        _ => Expr::rational(value),
    }
}
