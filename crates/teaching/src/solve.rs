//! One task of the solve protocol and its answer; the command line reads and writes them as JSON.
//!
//! So far: equations that `typed` can work. What it cannot work is said, never guessed.

use crate::check::{ErrorText, request};
use crate::desk::characters;
use crate::typed::{self, NoWorking, TypedWorking};
use crate::verdict::VerdictWord;
use algebra::number::{decimal_places, to_decimal_text};
use algebra::{Span, read_line};
use serde::{Deserialize, Serialize};

/// Decimal places of an answer that does not end within them.
const PLACES: u32 = 6;

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
    pub role: String,
    /// `given` or `holds`.
    pub verdict: VerdictWord,
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

/// Answers a task.
#[must_use]
pub fn answer(request: &SolveRequest) -> SolveAnswer {
    let id = request.id.clone();
    match request.task.as_deref() {
        None | Some("solve" | "auto") => {}
        Some(other) => {
            let says = format!("The task “{other}” is not covered yet. Use solve or auto.");
            return SolveAnswer::unreadable(id, &says);
        }
    }
    if !request.assume.is_empty() {
        return SolveAnswer::unreadable(id, "Assumptions are not covered yet.");
    }
    match typed::work(&request.problem, request.method.as_deref()) {
        Ok(found) if request.unknown.as_ref().is_none_or(|letter| asks_for(&found, letter)) => {
            solved(id, found)
        }
        Ok(_) => SolveAnswer::unreadable(id, "The problem does not hold the letter asked for."),
        Err(why) => unsolved(id, &request.problem, &why),
    }
}

fn asks_for(found: &TypedWorking, letter: &str) -> bool {
    read_line(&found.problem).is_ok_and(|reading| reading.line.symbols().contains(letter))
}

fn solved(id: serde_json::Value, found: TypedWorking) -> SolveAnswer {
    let answer = found.working.last().map(|line| line.math.clone()).unwrap_or_default();
    let line = |line: crate::WorkingLine| SolvedLine {
        math: line.math,
        latex: line.latex,
        reason: line.reason,
        role: line.role,
        verdict: line.verdict,
    };
    SolveAnswer {
        id,
        decimal: decimal(&answer),
        answer,
        method: found.method,
        methods: found.methods.into_iter().map(|method| method.id).collect(),
        lines: found.working.into_iter().map(line).collect(),
        error: None,
    }
}

fn decimal(answer: &str) -> Option<String> {
    let line = read_line(answer).ok()?.line;
    let value = line.as_equation()?.1.as_plain_number()?;
    if value.is_integer() {
        return None;
    }
    let places = decimal_places(&value).filter(|&places| places <= PLACES).unwrap_or(PLACES);
    Some(to_decimal_text(&value, places))
}

fn unsolved(id: serde_json::Value, problem: &str, why: &NoWorking) -> SolveAnswer {
    let (start, end) = why.at.unwrap_or((0, problem.len()));
    let error = ErrorText {
        at: characters(problem, Span::new(start, end)),
        says: why.says.clone(),
        mend: why.mend.as_ref().and_then(|mend| mend.applied(problem)),
    };
    SolveAnswer { id, error: Some(error), ..SolveAnswer::default() }
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

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_solved_says_why() {
        for (task, says) in [
            (r#"{"id":2,"problem":"x^2 = 4"}"#,                       "This equation is not linear"),
            (r#"{"id":2,"problem":"3(2x"}"#,                          "This “(” is never closed."),
            (r#"{"id":2,"task":"factor","problem":"x^2-4"}"#,         "The task “factor” is not covered yet."),
            (r#"{"id":2,"problem":"3x = 6","unknown":"y"}"#,          "The problem does not hold the letter asked for."),
            (r#"{"id":2,"problem":"3x = 6","method":"magic"}"#,       "That method does not fit this problem."),
            (r#"{"id":2,"problem":"3x = 6","assume":["x>0"]}"#,       "Assumptions are not covered yet."),
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
