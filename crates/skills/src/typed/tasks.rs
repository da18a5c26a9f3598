//! Tasks that are asked for in words: what each is understood as, its working and its answer.
//!
//! A topic is one file: the wordings that it knows and what is to be done with their numbers. A wording fits as a whole or
//! not at all, so that a word that is not known is never passed over. Every working holds for whatever numbers are typed,
//! is proved like every other before it is shown, and ends in the answer that is given out.

mod angles;
mod arithmetic;
mod bases;
mod by_algebra;
mod chance;
mod conversion;
mod factors;
mod figures;
mod formula;
mod fractions;
mod graphs;
mod growth;
mod motion;
mod percent;
mod proportion;
mod ratio;
mod right_angled;
mod right_triangles;
mod rounding;
mod sequences;
mod shapes;
mod standard_form;
mod statistics;
mod stories;
mod times;

use super::text::{Amount, Found, Kind, Loose, Measure, Pattern, Token, tokens};
use crate::ladder;
use crate::solving;
use algebra::form::Form;
use algebra::number::{decimal_places, to_decimal_text};
use algebra::write::latex_line;
use algebra::{Expr, Line, Options, Role, Setting, StepVerdict, compare_given, read_line_with};
use std::sync::LazyLock;
use teaching::ids::MethodId;
use teaching::typeset::Lines;
use teaching::working::WorkingLine;

/// A task with its working.
pub(super) struct Task {
    /// What it was understood as: "The mean of 3, 5, 8 and 12".
    pub says: String,
    /// The skill that it belongs to, or the nearest one.
    pub skill: &'static str,
    /// The method.
    pub method: MethodId,
    /// What it is called where it belongs to no skill: "Mean".
    pub topic: Option<&'static str>,
    /// How it is worked.
    pub work: Work,
    /// Whether its answer is in degrees, and is to say so.
    pub marks_degrees: bool,
    /// What is assumed of its letters, as it could be typed.
    pub given: Vec<String>,
}

/// How a task is worked.
pub(super) enum Work {
    /// By lines of its own.
    Lines(Box<(Lines, Answer)>),
    /// By the solver.
    Solver(Box<solving::Task>),
}

/// What a working comes to.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Answer {
    /// As people write it: `12 cm²`, `yes`, `15 : 30 : 45`.
    pub text: String,
    /// In mathematics, without its unit; empty where it is a word.
    pub value: String,
    /// The unit.
    pub unit: Option<String>,
    /// The form that it has to have.
    pub form: Form,
}

impl Answer {
    /// A value without a unit.
    fn value(value: impl Into<String>) -> Self {
        let value = value.into();
        Self { text: value.clone(), value, unit: None, form: Form::Any }
    }

    /// A word, or words.
    fn words(text: impl Into<String>) -> Self {
        Self { text: text.into(), value: String::new(), unit: None, form: Form::Any }
    }

    /// The same, written so.
    fn written(self, text: impl Into<String>) -> Self {
        Self { text: text.into(), ..self }
    }

    /// The answer as a rung has it, when the last line of the working is its value. A word is proved by the lines it rests on.
    pub(super) fn proved_by(self, working: &[WorkingLine]) -> Option<ladder::Answer> {
        let Self { text, value, unit, form } = self;
        if value.is_empty() {
            return Some(ladder::Answer { value: text.clone(), text, latex: None, form, unit });
        }
        let options = Options { quantities: true, ..Options::default() };
        let typed = read_line_with(&value, options).ok()?.line;
        let claimed = (*typed.expressions().last()?).clone();
        // The last line; where it is rounded, the exact one before it as well.
        for line in working.iter().rev().filter(|line| line.carries()) {
            let read = line.read()?;
            let reached = *read.expressions().last()?;
            if is_same(reached, &claimed) {
                let latex = Some(latex_line(&typed));
                return Some(ladder::Answer { text, value, latex, form, unit });
            }
            // A line with its unit is the value as it stands.
            if unit.as_deref().is_some_and(|unit| is_so_many(reached, &claimed, unit)) {
                let (value, latex) = (line.math.clone(), line.latex.clone());
                return Some(ladder::Answer { text, value, latex, form, unit });
            }
            if line.role != Role::Rounds {
                break;
            }
        }
        None
    }

    /// The same in that form.
    fn formed(self, form: Form) -> Self {
        Self { form, ..self }
    }
}

/// What a wording was understood as, with its working.
struct Told {
    says: String,
    work: Work,
    marks_degrees: bool,
    given: Vec<String>,
}

impl Told {
    fn lines(says: impl Into<String>, lines: Lines, answer: Answer) -> Self {
        Self {
            says: says.into(),
            work: Work::Lines(Box::new((lines, answer))),
            marks_degrees: false,
            given: Vec::new(),
        }
    }

    fn solver(says: impl Into<String>, task: solving::Task) -> Self {
        Self {
            says: says.into(),
            work: Work::Solver(Box::new(task)),
            marks_degrees: false,
            given: Vec::new(),
        }
    }
}

/// A kind of task.
struct TaskKind {
    skill: &'static str,
    method: MethodId,
    topic: Option<&'static str>,
    wordings: &'static [&'static str],
    /// `None` for numbers with which there is no such task.
    told: fn(&Found) -> Option<Told>,
}

impl TaskKind {
    /// One that is a skill's.
    const fn of(
        (skill, method): (&'static str, MethodId),
        wordings: &'static [&'static str],
        told: fn(&Found) -> Option<Told>,
    ) -> Self {
        Self { skill, method, topic: None, wordings, told }
    }

    /// One beyond the skills, with the skill that is nearest.
    const fn beside(
        skill: &'static str,
        topic: &'static str,
        wordings: &'static [&'static str],
        told: fn(&Found) -> Option<Told>,
    ) -> Self {
        Self { skill, method: teaching::ids::method::USUAL, topic: Some(topic), wordings, told }
    }
}

/// All kinds, in the order in which they are tried.
const TOPICS: &[&[TaskKind]] = &[
    percent::KINDS,
    rounding::KINDS,
    standard_form::KINDS,
    bases::KINDS,
    factors::KINDS,
    ratio::KINDS,
    proportion::KINDS,
    fractions::KINDS,
    growth::KINDS,
    sequences::KINDS,
    statistics::KINDS,
    chance::KINDS,
    graphs::KINDS,
    angles::KINDS,
    right_triangles::KINDS,
    motion::KINDS,
    times::KINDS,
    stories::KINDS,
    arithmetic::KINDS,
    by_algebra::KINDS,
];

static WORDINGS: LazyLock<Vec<(Pattern, &'static TaskKind)>> = LazyLock::new(|| {
    let all = TOPICS.iter().flat_map(|kinds| kinds.iter());
    all.flat_map(|kind| kind.wordings.iter().map(move |wording| (Pattern::new(wording), kind)))
        .collect()
});

/// The most words that a task has.
const LONGEST: usize = 80;

/// The tasks that a text may ask for, the likeliest first.
pub(super) fn recognise(text: &str) -> impl Iterator<Item = Task> {
    let told = tokens(text);
    let is_amount = |token: &Token| matches!(&token.kind, Kind::Number(one) if one.unit.is_some());
    let is_worded = told.iter().any(|token| token.word().is_some() || is_amount(token));
    let mut told = if is_worded && told.len() <= LONGEST { told } else { Vec::new() };
    told.truncate(instructed(&told));
    let (others, figure, right) = (told.clone(), told.clone(), told.clone());
    conversion::recognise(text, &told)
        .into_iter()
        .chain(WORDINGS.iter().filter_map(move |wording| worded(wording, text, &others)))
        .chain(std::iter::once_with(move || told_otherwise(&right)).flatten())
        .chain(std::iter::once_with(move || figures::recognise(text, &figure)).flatten())
}

/// A kind of task, and what a text tells of it.
type Recognised = (&'static TaskKind, Told);

/// What is told by its parts, in no wording that is known.
fn told_otherwise(told: &[Token]) -> Option<Task> {
    const TOPICS: &[fn(&Loose) -> Option<Recognised>] = &[
        right_angled::recognise,
        angles::recognise,
        motion::recognise,
        growth::recognise,
        proportion::recognise,
        percent::recognise,
        chance::recognise,
        stories::recognise,
    ];
    let told_of = |loose: Loose| TOPICS.iter().find_map(|topic| topic(&loose));
    Loose::of(told).and_then(told_of).or_else(|| ratio::recognise(told)).map(of_kind)
}

/// What was told, as a task of its kind.
fn of_kind((kind, told): (&'static TaskKind, Told)) -> Task {
    let Told { says, work, marks_degrees, given } = told;
    let &TaskKind { skill, method, topic, .. } = kind;
    Task { says, skill, method, topic, work, marks_degrees, given }
}

/// Where an instruction of how to write the answer begins: "giving your answers in surd form".
fn instructed(told: &[Token]) -> usize {
    let is = |at: usize, words: &[&str]| {
        told.get(at).and_then(Token::word).is_some_and(|word| words.contains(&word))
    };
    (1..told.len())
        .find(|&at| {
            is(at, &["giving", "leaving", "give", "leave", "write"])
                && is(at + 1, &["your", "the", "answer", "answers", "all"])
                && (is(at + 1, &["answer", "answers"])
                    || is(at + 2, &["answer", "answers", "solutions"]))
        })
        .unwrap_or(told.len())
}

fn worded(
    (pattern, kind): &(Pattern, &'static TaskKind),
    text: &str,
    told: &[Token],
) -> Option<Task> {
    if told.is_empty() {
        return None;
    }
    let found = pattern.matched(text, told)?;
    Some(of_kind((kind, (kind.told)(&found)?)))
}

/// "3, 5 and 8".
fn joined<T: AsRef<str>>(parts: &[T]) -> String {
    match parts {
        [] => String::new(),
        [one] => one.as_ref().to_owned(),
        [others @ .., last] => {
            let others: Vec<&str> = others.iter().map(AsRef::as_ref).collect();
            format!("{} and {}", others.join(", "), last.as_ref())
        }
    }
}

/// An amount as an answer.
fn quantity(amount: &Amount) -> Answer {
    let unit = amount.unit.as_ref().map(Measure::shown);
    Answer { text: money_or(amount), value: amount.text.clone(), unit, form: Form::Any }
}

/// An amount as people write it: money with two places where it is not whole.
fn money_or(amount: &Amount) -> String {
    match &amount.unit {
        Some(unit) if unit.is_money() && !amount.value.is_integer() => {
            match decimal_places(&amount.value) {
                Some(places) if places <= 2 => unit.with(&to_decimal_text(&amount.value, 2)),
                _ => amount.shown(),
            }
        }
        _ => amount.shown(),
    }
}

/// Whether two values are proved to be the same.
fn is_same(one: &Expr, other: &Expr) -> bool {
    let (one, other) = (Line::Expression(one.clone()), Line::Expression(other.clone()));
    matches!(compare_given(&one, &other, &Setting::default()), StepVerdict::Equivalent { .. })
}

/// Whether a value is that number of a unit.
fn is_so_many(reached: &Expr, number: &Expr, unit: &str) -> bool {
    let Some(unit) = Measure::named(unit) else { return false };
    let options = Options { quantities: true, ..Options::default() };
    let with_unit = unit.with(&format!("({})", algebra::write::text(number)));
    read_line_with(&with_unit.replace('²', "^2").replace('³', "^3"), options)
        .is_ok_and(|read| matches!(&read.line, Line::Expression(typed) if is_same(reached, typed)))
}

#[cfg(test)]
mod tests {
    use super::*;

    /// What a wording reads when its places are filled; alternatives and optional words take turns.
    fn filled(wording: &str, turn: usize, numbers: &[&str], texts: &[&str]) -> String {
        let mut at = turn;
        let mut next = |from: &[&str]| {
            at = at.wrapping_mul(31).wrapping_add(7);
            from[at % from.len()].to_owned()
        };
        let part = |part: &str| match part {
            "#" => next(numbers),
            "#%" => format!("{}%", next(numbers)),
            "#," => format!("{}, {}, {}", next(numbers), next(numbers), next(numbers)),
            "#:" => format!("{}:{}", next(numbers), next(numbers)),
            "#th" => "5th".to_owned(),
            "#p" => format!("({}, {})", next(numbers), next(numbers)),
            "=," => format!("a = {}, b = {}, x = {}", next(numbers), next(numbers), next(numbers)),
            "@" => next(texts),
            "_" => next(&["x", "a", "red", "hexagon", "FF", "boys"]),
            "_?" | ".." => next(&["", "the", "red"]),
            word => {
                let words: Vec<&str> = word.trim_end_matches('?').split('|').collect();
                if word.ends_with('?') && turn.is_multiple_of(2) {
                    String::new()
                } else {
                    next(&words)
                }
            }
        };
        wording.split(' ').map(part).collect::<Vec<_>>().join(" ")
    }

    /// Every wording with values that nobody thought of: nothing may end the program, and what is told is proved.
    #[test]
    fn no_value_in_any_wording_ends_the_program() {
        let numbers: &[&[&str]] = &[
            &["0", "0.0", "-3", "1"],
            &["3", "4", "12", "7"],
            &["£0", "£5", "20%", "0%"],
            &["0 cm", "5 cm", "3 m", "2 h", "0 s"],
            &["999999999999", "0.000000001", "-999999999999"],
            &["1/3", "-2/7", "2 1/2", "π/3", "20π"],
            &["100%", "200%", "-50%", "100"],
        ];
        let texts = [
            "x^2 - 5x + 6 = 0",
            "0",
            "1/0",
            "y = 0x + 0",
            "3x + 2",
            "f(x) = 1/x",
            "9:40",
            "2^-5",
            "n",
            "-1011_2",
        ];
        let mut bad = Vec::new();
        for (turn, numbers) in numbers.iter().enumerate() {
            for wording in
                TOPICS.iter().flat_map(|kinds| kinds.iter()).flat_map(|kind| kind.wordings)
            {
                let text = filled(wording, turn, numbers, &texts);
                let is_good =
                    std::panic::catch_unwind(|| match crate::typed::work_in_words(&text) {
                        Some(found) => !found.answer.text.is_empty() && !found.working.is_empty(),
                        None => true,
                    });
                if !is_good.unwrap_or(false) {
                    bad.push(text);
                }
            }
        }
        assert!(bad.is_empty(), "{}: {bad:#?}", bad.len());
    }

    /// A wording that is never reached is no wording: filled with usual values, most are understood.
    #[test]
    fn most_wordings_are_understood_as_they_are_written() {
        let (mut all, mut understood) = (0, 0);
        for kind in TOPICS.iter().flat_map(|kinds| kinds.iter()) {
            for wording in kind.wordings {
                let one = |numbers: &[&str]| {
                    (0..4).any(|turn| {
                        let text = filled(
                            wording,
                            turn,
                            numbers,
                            &["x^2 - 5x + 6", "2x = 8", "3n + 1", "y = 2x + 1"],
                        );
                        recognise(&text).next().is_some()
                    })
                };
                all += 1;
                let is_known = [
                    &["6", "4", "12"][..],
                    &["£6", "4", "12"],
                    &["6 km", "4 h", "12 km/h"],
                    &["60", "50"],
                ];
                understood += usize::from(is_known.iter().any(|numbers| one(numbers)));
            }
        }
        assert!(understood * 10 > all * 6, "{understood} of {all}");
    }
}
