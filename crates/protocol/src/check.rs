//! One question of the check protocol and its answer; the command line reads and writes them as JSON.

use algebra::degrees::{in_degrees, in_radians, values_in_degrees};
use algebra::form::Form;
use algebra::normal::Values;
use algebra::solve::{Solution, Writing};
use algebra::verdict::Reason;
use algebra::verdict::Shown;
use algebra::work::{self, Limit, within};
use algebra::write::text;
use algebra::{
    Assumptions, Condition, Counterexample, Expr, Light, Line, Options, ReadError, Reading,
    Setting, StepVerdict, judge_alone_given, read_in_light,
};
use serde::de::DeserializeOwned;
use serde::{Deserialize, Serialize};
use std::collections::BTreeMap;
use teaching::ids::SlipId;
use teaching::reading::{best_reading, characters};
use teaching::words::condition;
use teaching::{moves, slips, words};

/// A question: what does `to` do to `from`?
#[derive(Debug, Clone, Default, Deserialize)]
pub struct CheckRequest {
    /// Given back with the answer.
    #[serde(default)]
    pub id: serde_json::Value,
    /// The line before.
    pub from: String,
    /// The line after; without it, `from` is judged by itself.
    #[serde(default)]
    pub to: Option<String>,
    /// The letter that equations are compared for.
    #[serde(default)]
    pub unknown: Option<String>,
    /// Assumptions such as `x>0`.
    #[serde(default)]
    pub assume: Vec<String>,
    /// `rad` or `deg`.
    #[serde(default)]
    pub angle: Option<String>,
    /// Whether the lines hold quantities with units.
    #[serde(default)]
    pub quantities: bool,
    /// A form that `to` must have.
    #[serde(default)]
    pub form: Option<String>,
}

/// What a second line does to a first.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
pub enum Verdict {
    /// Both lines hold together.
    Equivalent,
    /// They do not.
    NotEquivalent,
    /// Neither was shown.
    #[default]
    Undecided,
    /// A line could not be read.
    Unreadable,
}

impl Verdict {
    /// How sure such a verdict is: only one that was left open was not proved.
    #[must_use]
    pub const fn certainty(self) -> Certainty {
        match self {
            Self::Undecided => Certainty::Tested,
            Self::Equivalent | Self::NotEquivalent | Self::Unreadable => Certainty::Proved,
        }
    }

    /// The name in the protocol.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Equivalent => "equivalent",
            Self::NotEquivalent => "not_equivalent",
            Self::Undecided => "undecided",
            Self::Unreadable => "unreadable",
        }
    }
}

/// How sure a verdict is.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
pub enum Certainty {
    /// Exactly, for all values.
    Proved,
    /// At single values.
    #[default]
    Tested,
}

/// The answer to a [`CheckRequest`].
#[derive(Debug, Clone, Default, PartialEq, Serialize)]
pub struct CheckAnswer {
    /// As it came in; null for a line that was no question.
    pub id: serde_json::Value,
    /// What the second line does to the first.
    pub verdict: Verdict,
    /// How sure that is.
    pub certainty: Certainty,
    /// Solutions that went missing.
    pub lost: Vec<String>,
    /// Solutions that came in.
    pub gained: Vec<String>,
    /// Why the lines differ, in words, where no value says it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub reason: Option<String>,
    /// A point that shows a difference.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub counterexample: Option<CounterexampleText>,
    /// What the equivalence needs.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub domain: Option<String>,
    /// The move between the lines.
    #[serde(rename = "move", skip_serializing_if = "Option::is_none")]
    pub made: Option<String>,
    /// The slip between the lines.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slip: Option<SlipText>,
    /// Whether `to` has the form asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub form_ok: Option<bool>,
    /// Why a line could not be read.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub error: Option<ErrorText>,
}

/// A counterexample, exactly, in plain mathematics.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
pub struct CounterexampleText {
    /// The letters and their values.
    pub at: BTreeMap<String, String>,
    /// What the first line gives there.
    pub left: String,
    /// What the second line gives there.
    pub right: String,
}

/// A recognised slip.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
pub struct SlipText {
    /// Its id.
    pub id: SlipId,
    /// The sentence to the student.
    pub says: &'static str,
}

/// Where a line could not be read, in Unicode scalar values.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
pub struct ErrorText {
    /// First character and one past the last.
    pub at: (usize, usize),
    /// What is wrong.
    pub says: String,
    /// What would mend it: the whole line after the mend.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub mend: Option<String>,
}

impl CheckAnswer {
    fn new(id: serde_json::Value, verdict: Verdict) -> Self {
        Self { id, verdict, certainty: verdict.certainty(), ..Self::default() }
    }

    /// The answer to a line that is no question.
    #[must_use]
    pub fn unreadable(id: serde_json::Value, says: &str) -> Self {
        let error = ErrorText { at: (0, 0), says: says.into(), mend: None };
        Self { error: Some(error), ..Self::new(id, Verdict::Unreadable) }
    }
}

/// Answers one line of the protocol, whatever it holds.
#[must_use]
pub fn answer_line(line: &str) -> CheckAnswer {
    match request(line) {
        Ok(request) => answer(&request),
        Err((id, error)) => {
            CheckAnswer::unreadable(id, &format!("This is not a question as JSON: {error}."))
        }
    }
}

/// Reads one line of a protocol; when it is none, its id, as far as it has one, and what is wrong.
pub(crate) fn request<T: DeserializeOwned>(
    line: &str,
) -> Result<T, (serde_json::Value, serde_json::Error)> {
    serde_json::from_str(line).map_err(|error| {
        let value = serde_json::from_str::<serde_json::Value>(line).unwrap_or_default();
        (value.get("id").cloned().unwrap_or_default(), error)
    })
}

/// Most lost or gained solutions that are told.
const MOST_TOLD: usize = 20;

/// Answers a question. One that takes too much is left open.
#[must_use]
pub fn answer(request: &CheckRequest) -> CheckAnswer {
    within(Limit::steps(work::LINE), || worked_out(request))
        .unwrap_or_else(|work::Stopped| CheckAnswer::new(request.id.clone(), Verdict::Undecided))
}

fn worked_out(request: &CheckRequest) -> CheckAnswer {
    let id = || request.id.clone();
    let lines = [Some(request.from.as_str()), request.to.as_deref()];
    let light = Light::of(lines.into_iter().flatten()).about(request.unknown.as_deref());
    let read = |text: &str| read(text, request.quantities, &light);
    let (from, to) = match (read(&request.from), request.to.as_deref().map(read).transpose()) {
        (Ok(from), Ok(to)) => (from, to),
        (Err(error), _) | (_, Err(error)) => {
            return CheckAnswer {
                error: Some(error),
                ..CheckAnswer::new(id(), Verdict::Unreadable)
            };
        }
    };
    let form = request.form.as_deref().and_then(Form::named);
    let (from, to) = (from.line, to);
    let form_ok = form.map(|form| form.fits(to.as_ref().map_or(&from, |reading| &reading.line)));
    let assumed = match Assumptions::read(request.assume.iter().map(String::as_str)) {
        Ok(assumed) => assumed,
        Err((text, error)) => {
            let error = error.map_or_else(
                || ErrorText {
                    at: (0, text.chars().count()),
                    says: format!("“{text}” is no assumption about a letter."),
                    mend: None,
                },
                |error| unreadable(text, &error),
            );
            return CheckAnswer {
                error: Some(error),
                ..CheckAnswer::new(id(), Verdict::Unreadable)
            };
        }
    };
    let meant = |line: Line| match request.angle.as_deref() {
        Some("deg") => in_radians(&line),
        _ => line,
    };
    let from = meant(from);
    let setting = Setting { unknown: request.unknown.clone(), assumed };
    let (verdict, to) = match to {
        Some(reading) => {
            let (line, other) = (meant(reading.line), reading.unlabelled.map(meant));
            let (verdict, line) = best_reading(&from, line, other, &setting);
            (verdict, Some(line))
        }
        None => (judge_alone_given(&from, &setting), None),
    };
    let degrees = request.angle.as_deref() == Some("deg");
    let value = |expr: &Expr| if degrees { value_in_degrees(expr) } else { text(expr) };
    let solution = |solution: &Solution| match solution.writing() {
        Writing::Exact(expr) => value(expr),
        Writing::Near { .. } => solution.text(),
    };
    // A point is told as it could be typed: `x = 3, y = 2`.
    let point = |at: &Values| {
        let each = at.iter().map(|(letter, v)| format!("{letter} = {}", value(&v.to_shown())));
        each.collect::<Vec<_>>().join(", ")
    };
    let told = |values: &[Solution], points: &[Values]| -> Vec<String> {
        values.iter().map(solution).chain(points.iter().map(point)).take(MOST_TOLD).collect()
    };
    let answer = match verdict {
        StepVerdict::Tested { .. } | StepVerdict::Undecided => {
            CheckAnswer::new(id(), Verdict::Undecided)
        }
        StepVerdict::Equivalent { provided } => {
            let told =
                provided.iter().map(|c| if degrees { in_degrees_told(c) } else { c.clone() });
            let domain: Vec<_> = told.map(|c| plain(&condition(&c))).collect();
            CheckAnswer {
                domain: (!domain.is_empty()).then(|| domain.join(", ")),
                made: to.as_ref().and_then(|to| moves::named(&from, to)).map(|m| plain(&m)),
                ..CheckAnswer::new(id(), Verdict::Equivalent)
            }
        }
        StepVerdict::NotEquivalent(found) => CheckAnswer {
            lost: told(&found.lost, &found.lost_points),
            gained: told(&found.gained, &found.gained_points),
            reason: words::difference(&found).map(|says| plain(&says)),
            counterexample: found.counterexample.as_ref().map(|example| shown(example, value)),
            // No slip makes two lines that are never defined together.
            slip: to
                .as_ref()
                .filter(|_| found.reason != Reason::NeverDefined)
                .and_then(|to| slip(&from, to)),
            made: to.as_ref().and_then(|to| moves::attempted(&from, to)).map(|m| plain(&m)),
            ..CheckAnswer::new(id(), Verdict::NotEquivalent)
        },
    };
    CheckAnswer { form_ok, ..answer }
}

/// A condition on angles as it reads in degrees.
fn in_degrees_told(told: &Condition) -> Condition {
    let turned = |expr: &Expr| match in_degrees(&Line::Expression(expr.clone())) {
        Some(Line::Expression(turned)) => turned,
        _ => expr.clone(),
    };
    match told {
        Condition::NotZero(expr) => Condition::NotZero(turned(expr)),
        Condition::NotNegative(expr) => Condition::NotNegative(turned(expr)),
        Condition::Positive(expr) => Condition::Positive(turned(expr)),
        Condition::Not { .. } | Condition::Holds(_) | Condition::Whole(_) => told.clone(),
    }
}

fn read(text: &str, quantities: bool, light: &Light) -> Result<Reading, ErrorText> {
    let options = Options { quantities, ..Options::default() };
    let reading = read_in_light(text, options, light).map_err(|error| unreadable(text, &error))?;
    // A sentence says nothing that could be compared.
    if matches!(reading.line, Line::Sentence(_)) {
        let says = "This is a sentence: only mathematics is compared.".into();
        return Err(ErrorText { at: (0, text.chars().count()), says, mend: None });
    }
    Ok(reading)
}

pub(crate) fn unreadable(text: &str, error: &ReadError) -> ErrorText {
    ErrorText {
        at: characters(text, error.span),
        says: words::unreadable(error),
        mend: error.mend.as_ref().and_then(|mend| mend.applied(text)),
    }
}

fn slip(from: &Line, to: &Line) -> Option<SlipText> {
    slips::recognise(from, to).map(|slip| SlipText { id: slip.id(), says: slip.to_student() })
}

/// A value, written where inverse functions give degrees.
fn value_in_degrees(value: &Expr) -> String {
    match values_in_degrees(&Line::Expression(value.clone())) {
        Line::Expression(told) => text(&told),
        _ => text(value),
    }
}

fn shown(example: &Counterexample, value: impl Fn(&Expr) -> String) -> CounterexampleText {
    let side = |shown: &Shown| match shown {
        Shown::Value(expr) => value(expr),
        Shown::Truth(truth) => truth.to_string(),
    };
    CounterexampleText {
        at: example.at.iter().map(|(l, v)| (l.clone(), value(&v.to_shown()))).collect(),
        left: side(&example.left),
        right: side(&example.right),
    }
}

/// A sentence with its mathematics in plain text instead of LaTeX.
fn plain(sentence: &str) -> String {
    sentence
        .split('$')
        .enumerate()
        .map(|(index, part)| {
            if index % 2 == 0 {
                part.to_owned()
            } else {
                let read = algebra::read_latex(part);
                read.map_or_else(|_| part.to_owned(), |r| algebra::write::text_line(&r.line))
            }
        })
        .collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    fn ask(question: &str) -> String {
        serde_json::to_string(&answer_line(question)).expect("answers are JSON")
    }

    #[test]
    #[rustfmt::skip]
    fn questions_are_answered_as_the_protocol_says() {
        for (question, expected) in [
            (r#"{"id":1,"from":"3(x+4)","to":"3x+12"}"#,
             r#"{"id":1,"verdict":"equivalent","certainty":"proved","lost":[],"gained":[],"move":"multiply out"}"#),
            (r#"{"id":"b","from":"3(x+4)","to":"3x+4"}"#,
             r#"{"id":"b","verdict":"not_equivalent","certainty":"proved","lost":[],"gained":[],"counterexample":{"at":{"x":"0"},"left":"12","right":"4"},"slip":{"id":"second-term-not-multiplied","says":"The number before the bracket multiplies everything inside it, not just the first term."}}"#),
            (r#"{"id":2,"from":"(x^2-1)/(x-1)","to":"x+1"}"#,
             r#"{"id":2,"verdict":"equivalent","certainty":"proved","lost":[],"gained":[],"domain":"x ≠ 1","move":"cancel a common factor"}"#),
            (r#"{"id":3,"from":"x^2 = 5x","to":"x = 5"}"#,
             r#"{"id":3,"verdict":"not_equivalent","certainty":"proved","lost":["0"],"gained":[],"move":"divided by x, which may be 0","slip":{"id":"divided-by-unknown","says":"What if the thing you divided by is zero? Try that value in the line above."}}"#),
            (r#"{"id":4,"from":"3(2x"}"#,
             r#"{"id":4,"verdict":"unreadable","certainty":"proved","lost":[],"gained":[],"error":{"at":[1,2],"says":"This “(” is never closed.","mend":"3(2x)"}}"#),
            (r#"{"id":5,"from":"5+3 = 8×2 = 16"}"#,
             r#"{"id":5,"verdict":"not_equivalent","certainty":"proved","lost":[],"gained":[],"counterexample":{"at":{},"left":"8","right":"16"}}"#),
            (r#"{"id":6,"from":"0.05 m","to":"5 cm","quantities":true}"#,
             r#"{"id":6,"verdict":"equivalent","certainty":"proved","lost":[],"gained":[],"move":"change the units"}"#),
            (r#"{"id":7,"from":"6/8","to":"3/4","form":"lowest_terms"}"#,
             r#"{"id":7,"verdict":"equivalent","certainty":"proved","lost":[],"gained":[],"move":"cancel a common factor","form_ok":true}"#),
        ] { assert_eq!(ask(question), expected); }
    }

    #[test]
    fn what_is_no_question_gets_a_null_id() {
        assert!(ask("not json").starts_with(r#"{"id":null,"verdict":"unreadable""#));
        assert!(ask(r#"{"id":9,"to":"x"}"#).starts_with(r#"{"id":9,"verdict":"unreadable""#));
    }
}
