//! One task of the solve protocol and its answer; the command line reads and writes them as JSON.

use crate::check::{ErrorText, request, unreadable};
use algebra::work::{Limit, within};
use algebra::{Assumptions, Role};
use serde::{Deserialize, Serialize};
use skills::ids::method_named;
use skills::solving::{NotSolved, Solved, Task, TaskKind, decimals, work};
use skills::typed::{TypedWorking, not_understood, work_in_words};
use teaching::verdict::VerdictWord;
use teaching::working::WorkingLine;

/// A task.
#[derive(Debug, Clone, Default, Deserialize)]
pub struct SolveRequest {
    /// Given back with the answer.
    #[serde(default)]
    pub id: serde_json::Value,
    /// `solve`, `simplify`, `expand`, `factor`, `evaluate` or `auto`.
    #[serde(default)]
    pub task: Option<String>,
    /// The problem as it is typed.
    pub problem: String,
    /// The method's id; the usual one when absent.
    #[serde(default)]
    pub method: Option<String>,
    /// The letter that is asked for.
    #[serde(default)]
    pub unknown: Option<String>,
    /// Assumptions such as `x>0`.
    #[serde(default)]
    pub assume: Vec<String>,
    /// `rad` or `deg`.
    #[serde(default)]
    pub angle: Option<String>,
    /// Whether the problem holds quantities with units.
    #[serde(default)]
    pub quantities: bool,
}

/// The answer to a [`SolveRequest`].
#[derive(Debug, Clone, Default, PartialEq, Serialize)]
pub struct SolveAnswer {
    /// As it came in; null for a line that was no task.
    pub id: serde_json::Value,
    /// The last line of the working, in plain mathematics; empty when there is none.
    pub answer: String,
    /// The value as a decimal, when it is a number that is not whole.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub decimal: Option<String>,
    /// What was understood, where it was asked for in words.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub understood: Option<String>,
    /// The working, every line proved.
    pub lines: Vec<SolvedLine>,
    /// The method that was used.
    pub method: String,
    /// Every method that fits.
    pub methods: Vec<String>,
    /// Why there is no working.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub error: Option<ErrorText>,
}

/// One line of a working.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
pub struct SolvedLine {
    /// Plain mathematics.
    pub math: String,
    /// For typesetting.
    pub latex: String,
    /// Why it follows, with mathematics between dollar signs.
    pub reason: String,
    /// What the line is for.
    #[serde(serialize_with = "teaching::stored::role::serialize")]
    pub role: Role,
    /// `given` or `holds`.
    pub verdict: VerdictWord,
}

impl SolveRequest {
    /// Whether nothing is told beside the problem.
    fn is_bare(&self) -> bool {
        self.method.is_none()
            && self.unknown.is_none()
            && self.assume.is_empty()
            && self.angle.is_none()
            && !self.quantities
    }
}

impl SolveAnswer {
    /// The answer to a line that is no task.
    #[must_use]
    pub fn unreadable(id: serde_json::Value, says: &str) -> Self {
        let error = ErrorText { at: (0, 0), says: says.into(), mend: None };
        Self { id, error: Some(error), ..Self::default() }
    }
}

/// Answers one line of the protocol, whatever it holds.
#[must_use]
pub fn answer_line(line: &str) -> SolveAnswer {
    match request(line) {
        Ok(request) => answer(&request),
        Err((id, error)) => {
            SolveAnswer::unreadable(id, &format!("This is not a task as JSON: {error}."))
        }
    }
}

/// What a task may cost, in steps: about a second.
const MOST_STEPS: u64 = 4 * algebra::work::LINE;

/// Answers a task.
#[must_use]
pub fn answer(request: &SolveRequest) -> SolveAnswer {
    let id = request.id.clone();
    let unanswered = |says: &str| SolveAnswer::unreadable(id.clone(), says);
    let assumed = match Assumptions::read(request.assume.iter().map(String::as_str)) {
        Ok(assumed) => assumed,
        Err((text, _)) => return unanswered(&format!("“{text}” is no assumption about a letter.")),
    };
    let name = request.task.as_deref().unwrap_or("auto");
    if name == "auto"
        && request.is_bare()
        && let Some(found) = work_in_words(&request.problem)
    {
        return asked_in_words(id, found);
    }
    let Some(kind) = TaskKind::named(name) else {
        return unanswered(&format!("There is no task “{name}”."));
    };
    // A method that there is not fits no problem.
    let method = match request.method.as_deref().map(method_named) {
        Some(None) => return unanswered("That method does not fit this problem."),
        method => method.flatten(),
    };
    let task = Task {
        kind,
        problem: request.problem.clone(),
        method,
        unknown: request.unknown.clone(),
        assumed,
        degrees: request.angle.as_deref() == Some("deg"),
        quantities: request.quantities,
    };
    let found = within(Limit::steps(MOST_STEPS), || work(&task));
    let Ok(found) = found else { return unanswered("This takes too much to be worked out.") };
    match found {
        Ok(found) => solved(id, found),
        Err(NotSolved::Because(says)) => {
            let told = (name == "auto").then(|| not_understood(&request.problem)).flatten();
            unanswered(&told.unwrap_or(says))
        }
        Err(NotSolved::Unreadable(error)) => SolveAnswer {
            error: Some(unreadable(&request.problem, &error)),
            ..SolveAnswer::unreadable(id, "")
        },
    }
}

fn asked_in_words(id: serde_json::Value, found: TypedWorking) -> SolveAnswer {
    let read = found.answer.read();
    SolveAnswer {
        id,
        answer: found.answer.text,
        decimal: read.and_then(|line| decimals(&line)),
        understood: found.understood,
        lines: found.working.into_iter().map(SolvedLine::from).collect(),
        method: found.method.to_string(),
        methods: found.methods.iter().map(|method| method.id.to_string()).collect(),
        error: None,
    }
}

fn solved(id: serde_json::Value, found: Solved) -> SolveAnswer {
    SolveAnswer {
        id,
        answer: found.answer,
        decimal: found.decimal,
        understood: None,
        lines: found.working.into_iter().map(SolvedLine::from).collect(),
        method: found.method.to_string(),
        methods: found.methods.iter().map(ToString::to_string).collect(),
        error: None,
    }
}

impl From<WorkingLine> for SolvedLine {
    fn from(line: WorkingLine) -> Self {
        Self {
            math: line.math,
            latex: line.latex.unwrap_or_default(),
            reason: line.reason,
            role: line.role,
            verdict: line.verdict,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn ask(task: &str) -> serde_json::Value {
        serde_json::to_value(answer_line(task)).expect("answers are JSON")
    }

    #[test]
    #[rustfmt::skip]
    fn a_task_is_answered_with_its_working() {
        for (task, answer, decimal, method, methods, lines) in [
            (r#"{"id":1,"task":"solve","problem":"3(2x - 5) = 27"}"#, "x = 7", None, "balance", 2, 4),
            (r#"{"id":1,"problem":"3(2x - 5) = 27","method":"undo"}"#, "x = 7", None, "undo", 2, 4),
            (r#"{"id":1,"task":"auto","problem":"n/6 = 10/15"}"#, "n = 4", None, "cross-multiply", 3, 4),
            (r#"{"id":1,"problem":"3x = 16","unknown":"x"}"#, "x = 16/3", Some("5.333333"), "balance", 2, 2),
            (r#"{"id":1,"problem":"4x = 3"}"#, "x = 3/4", Some("0.75"), "balance", 2, 2),
            (r#"{"id":1,"problem":"2(x+1) = 2x"}"#, "no solution", None, "balance", 1, 4),
        ] {
            let found = ask(task);
            assert_eq!(found["answer"], answer, "{task}");
            assert_eq!(found.get("decimal").and_then(|d| d.as_str()), decimal, "{task}");
            assert_eq!(found["method"], method, "{task}");
            assert_eq!(found["methods"].as_array().map(Vec::len), Some(methods), "{task}");
            let working = found["lines"].as_array().expect("lines");
            assert_eq!(working.len(), lines, "{task}: {working:?}");
            assert_eq!((&working[0]["verdict"], &working[0]["role"]), (&"given".into(), &"starts".into()));
            assert!(working[1..].iter().all(|line| line["verdict"] == "holds"), "{task}");
            assert!(found.get("error").is_none(), "{task}");
        }
    }

    /// A working in degrees: π stays what it is as a value, and an angle of a line between is in degrees.
    #[test]
    #[rustfmt::skip]
    fn lines_in_degrees_say_what_was_proved() {
        for (task, lines) in [
            (r#"{"task":"evaluate","angle":"deg","problem":"π + π"}"#,             &["2π"][..]),
            (r#"{"task":"evaluate","angle":"deg","problem":"2π + sin 30"}"#,       &["(1 + 4π)/2"]),
            (r#"{"task":"evaluate","angle":"deg","problem":"arcsin(1/2) + arctan 1"}"#, &["75"]),
            (r#"{"angle":"deg","problem":"πx = 2π^2"}"#,                           &["x = 2π"]),
            (r#"{"angle":"deg","problem":"2cos 2x = 1","assume":["0<=x<360"]}"#,
             &["cos(2x) = 1/2", "2x = 60 or 2x = 300 or 2x = 420 or 2x = 660", "x = 30 or x = 150 or x = 210 or x = 330"]),
            (r#"{"angle":"deg","problem":"2cos 2x - 1 = 0","assume":["0<=x<180"]}"#,
             &["cos(2x) = 1/2", "2x = 60 or 2x = 300", "x = 30 or x = 150"]),
            (r#"{"angle":"deg","problem":"2 sin x = 3 cos x","assume":["0<=x<360"]}"#,
             &["tan(x) = 3/2", "x = arctan(3/2) or x = 180 + arctan(3/2)"]),
            (r#"{"angle":"deg","problem":"sin x = 0.3","assume":["0<=x<=90"]}"#,  &["x = arcsin(3/10)"]),
            (r#"{"task":"evaluate","angle":"deg","problem":"arctan 2 + 90"}"#,     &["90 + arctan(2)"]),
        ] {
            let found = ask(task);
            let working = found["lines"].as_array().expect("lines");
            let told: Vec<&str> = working.iter().skip(1).filter_map(|line| line["math"].as_str()).collect();
            assert_eq!(told, lines, "{task}");
            assert_eq!(found["answer"], *lines.last().expect("an answer"), "{task}");
            assert!(!working.iter().any(|line| line["reason"].to_string().contains("\\\\frac{x")), "{found}");
        }
    }

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_solved_says_why() {
        for (task, says) in [
            (r#"{"id":2,"problem":"tan x = x"}"#,                      "This could not be worked"),
            (r#"{"id":2,"problem":"3(2x"}"#,                          "This “(” is never closed."),
            (r#"{"id":2,"task":"factor","problem":"x^2=4"}"#,         "This task is for an expression"),
            (r#"{"id":2,"task":"guess","problem":"x^2=4"}"#,          "There is no task “guess”."),
            (r#"{"id":2,"problem":"3x = 6","unknown":"y"}"#,          "The problem does not hold the letter asked for."),
            (r#"{"id":2,"problem":"3x = 6","method":"magic"}"#,       "That method does not fit this problem."),
            (r#"{"id":2,"problem":"3x = 6","assume":["blue"]}"#,      "“blue” is no assumption"),
            (r#"{"id":2,"problem":"xy = 6"}"#,                        "There is more than one letter in this"),
            (r#"{"id":2,"task":"evaluate","problem":"x + 1"}"#,       "There is a letter in this"),
            (r#"{"id":2}"#,                                           "This is not a task as JSON"),
        ] {
            let found = ask(task);
            let told = found["error"]["says"].as_str().expect("a sentence");
            assert!(told.starts_with(says), "{task}: {told}");
            assert_eq!((&found["id"], &found["answer"]), (&2.into(), &"".into()), "{task}");
        }
        let found = ask(r#"{"id":3,"problem":"½ × (2x = 4"}"#);
        assert_eq!((&found["error"]["at"], &found["error"]["mend"]), (&serde_json::json!([4, 5]), &"½ × (2x) = 4".into()));
        assert!(ask("not json")["id"].is_null());
    }
}
