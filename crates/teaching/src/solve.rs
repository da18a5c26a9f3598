//! One task of the solve protocol and its answer; the command line reads and writes them as JSON.
//!
//! What cannot be worked is said, never guessed; and no line is given out that is not proved in its role.

use crate::check::{ErrorText, request};
use crate::tasks::{self, Worked};
use crate::typed::{self, TypedWorking};
use crate::verdict::VerdictWord;
use crate::working::{Draft, Working, WorkingLine};
use algebra::degrees::{in_degrees as in_degrees_written, in_radians, values_in_degrees};
use algebra::solve::Rule;
use algebra::write::text_line;
use algebra::{
    Assumptions, Expr, ExprKind, Line, Options, Role, Setting, StepVerdict, compare_given,
    read_line, read_line_with,
};
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
    let unanswered = |says: &str| SolveAnswer::unreadable(id.clone(), says);
    let assumed = match Assumptions::read(request.assume.iter().map(String::as_str)) {
        Ok(assumed) => assumed,
        Err((text, _)) => return unanswered(&format!("“{text}” is no assumption about a letter.")),
    };
    let options = Options { quantities: request.quantities, ..Options::default() };
    let line = match read_line_with(&request.problem, options) {
        Ok(reading) => reading.line,
        Err(error) => {
            let error = crate::check::unreadable(&request.problem, &error);
            return SolveAnswer { id, error: Some(error), ..SolveAnswer::default() };
        }
    };
    let task = request.task.as_deref().unwrap_or("auto");
    let degrees = request.angle.as_deref() == Some("deg");
    let worked = match (task, &line) {
        ("simplify" | "auto", Line::Expression(expr)) if !degrees => tasks::simplify(expr),
        ("evaluate", Line::Expression(expr)) if !degrees => tasks::evaluate(expr),
        ("expand", Line::Expression(expr)) => tasks::expand(expr),
        ("factor", Line::Expression(expr)) => tasks::factor(expr),
        ("simplify" | "evaluate" | "auto", Line::Expression(_)) => {
            return in_degrees(id, &line, &assumed, tasks::simplify_line);
        }
        ("solve" | "auto", _) => return solve(request, &line, &assumed),
        ("simplify" | "expand" | "factor" | "evaluate", _) => {
            return unanswered("This task is for an expression, and the problem is none.");
        }
        (other, _) => return unanswered(&format!("There is no task “{other}”.")),
    };
    given_out(id, worked, &Setting { unknown: None, assumed })
}

/// Solves an equation, inequality, system or formula.
fn solve(request: &SolveRequest, line: &Line, assumed: &Assumptions) -> SolveAnswer {
    let id = request.id.clone();
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let unknown = request.unknown.clone().or_else(|| match &letters[..] {
        [only] => Some(only.clone()),
        _ => None,
    });
    if unknown.as_ref().is_some_and(|letter| !letters.contains(letter)) {
        let says = "The problem does not hold the letter asked for.";
        return SolveAnswer::unreadable(id, says);
    }
    let setting = Setting { unknown: unknown.clone(), assumed: assumed.clone() };
    let method = request.method.as_deref();
    let worked = match (&unknown, letters.len()) {
        (_, 0) => Err("There is no unknown in this.".to_owned()),
        (Some(letter), 1) if request.angle.as_deref() == Some("deg") => {
            let letter = letter.clone();
            return in_degrees(id, line, assumed, move |line, assumed| {
                tasks::solve(line, &letter, None, assumed, in_degrees_told)
            });
        }
        (Some(letter), 1) => {
            // Linear equations and proportions have workings of their own.
            if assumed.is_empty()
                && !request.quantities
                && let Some(Ok(found)) = typed::one_unknown(&request.problem, method)
            {
                return solved(id, found);
            }
            tasks::solve(line, letter, method, assumed, Expr::clone)
        }
        (Some(letter), _) => {
            let found = tasks::rearrange(line, letter, assumed);
            let assumed_more = Assumptions { all_positive: true, ..assumed.clone() };
            // A formula about lengths and times: where it takes positive letters, that is said.
            match found {
                Err(_) if !assumed.all_positive => {
                    let setting = Setting { assumed: assumed_more.clone(), ..setting };
                    let found = tasks::rearrange(line, letter, &assumed_more);
                    return given_out(id, found.map(Worked::for_positive_letters), &setting);
                }
                found => found,
            }
        }
        (None, _) if matches!(line, Line::AllOf(_)) => tasks::system(line, method),
        (None, _) => {
            Err("There is more than one letter in this: say which one is asked for.".into())
        }
    };
    given_out(id, worked, &setting)
}

/// A working that is proved line by line, or why there is none.
fn given_out(
    id: serde_json::Value,
    worked: Result<Worked, String>,
    setting: &Setting,
) -> SolveAnswer {
    let worked = match worked {
        Ok(worked) => worked,
        Err(says) => return SolveAnswer::unreadable(id, &says),
    };
    match proved(&worked.working, setting) {
        Some((lines, answer)) => SolveAnswer {
            id,
            decimal: decimals(&answer),
            answer: text_line(&answer),
            method: worked.method,
            methods: worked.methods,
            lines: lines.into_iter().map(solved_line).collect(),
            error: None,
        },
        None => SolveAnswer::unreadable(
            id,
            "This could not be worked: a line of it was not proved, so none is given.",
        ),
    }
}

/// The lines, proved; when one in the middle is not, only the problem and the answer, if these are.
fn proved(working: &Working, setting: &Setting) -> Option<(Vec<WorkingLine>, Line)> {
    let answer = working.last_line()?.clone();
    if let Ok(lines) = working.verified_in(setting) {
        return Some((lines, answer));
    }
    let [first, .., last] = &working.0[..] else { return None };
    let mut last = last.clone();
    if let Draft::Line { reason, role, .. } = &mut last {
        *role = Role::Concludes;
        *reason = crate::words::reason(&Rule::FindSolutions);
    }
    let short = Working(vec![first.clone(), last]);
    short.verified_in(setting).ok().map(|lines| (lines, answer))
}

/// Works a problem whose angles are in degrees: its own line is shown, the rewritten one is worked.
fn in_degrees(
    id: serde_json::Value,
    line: &Line,
    assumed: &Assumptions,
    work: impl FnOnce(&Line, &Assumptions) -> Result<Worked, String>,
) -> SolveAnswer {
    let meant = in_radians(line);
    let worked = work(&meant, assumed);
    let drafts = worked.as_ref().map(|worked| worked.working.0.clone()).unwrap_or_default();
    let setting = Setting { unknown: None, assumed: assumed.clone() };
    let mut found = given_out(id, worked, &setting);
    // What was proved is in radians. A line between is shown in degrees where that says the same, and says it once.
    let last = found.lines.len().saturating_sub(1);
    let mut shown: Vec<SolvedLine> = Vec::new();
    for (at, mut solved) in std::mem::take(&mut found.lines).into_iter().enumerate() {
        if at > 0 && at < last {
            let Some(Draft::Line { line: proved, .. }) = drafts.get(at) else { continue };
            let Some(degrees) = degrees_shown(proved, &setting) else { continue };
            (solved.math, solved.latex) =
                (text_line(&degrees), algebra::write::latex_line(&degrees));
            let is_told = shown.last().is_some_and(|above| above.math == solved.math);
            if is_told || solved.math == found.answer || solved.math == text_line(line) {
                continue;
            }
        }
        shown.push(solved);
    }
    // The answer is written with inverse functions that give degrees: what is told is proved to be what was found.
    if let Some((solved, Draft::Line { line: proved, .. })) = shown.last_mut().zip(drafts.last()) {
        let told = values_in_degrees(proved);
        let is_same = compare_given(proved, &in_radians(&told), &setting);
        if !matches!(is_same, StepVerdict::Equivalent { .. }) {
            return SolveAnswer::unreadable(found.id, tasks::NO_FORM);
        }
        if told != *proved {
            (solved.math, solved.latex) = (text_line(&told), algebra::write::latex_line(&told));
            found.answer.clone_from(&solved.math);
        }
    }
    found.lines = shown;
    if let Some(first) = found.lines.first_mut() {
        (first.math, first.latex) = (text_line(line), algebra::write::latex_line(line));
    }
    if let Some(last) = found.lines.last_mut() {
        last.role = Role::Concludes.name().into();
    }
    found
}

/// An expression of a reason, in degrees.
fn in_degrees_told(expr: &Expr) -> Expr {
    match in_degrees_written(&Line::Expression(expr.clone())) {
        Some(Line::Expression(told)) => told,
        _ => expr.clone(),
    }
}

/// A line in radians as it reads in degrees, where it is proved to say the same.
fn degrees_shown(proved: &Line, setting: &Setting) -> Option<Line> {
    let degrees = in_degrees_written(proved)?;
    let is_same = compare_given(proved, &in_radians(&degrees), setting);
    matches!(is_same, StepVerdict::Equivalent { .. }).then_some(degrees)
}

fn solved_line(line: WorkingLine) -> SolvedLine {
    SolvedLine {
        math: line.math,
        latex: line.latex,
        reason: line.reason,
        role: line.role,
        verdict: line.verdict,
    }
}

/// The values of an answer as decimals, parted by commas; `None` when each is whole.
fn decimals(answer: &Line) -> Option<String> {
    let values: Vec<&Expr> = match answer {
        Line::Expression(Expr { kind: ExprKind::Ratio(_), .. }) => return None,
        Line::Expression(value) => vec![value],
        Line::Relations { .. } => vec![answer.as_equation()?.1],
        Line::AnyOf(lines) => {
            lines.iter().map(|line| Some(line.as_equation()?.1)).collect::<Option<_>>()?
        }
        _ => return None,
    };
    if values.iter().all(|value| tasks::is_whole(value)) {
        return None;
    }
    let texts: Option<Vec<String>> =
        values.iter().map(|value| tasks::decimal(value, PLACES)).collect();
    texts.map(|texts| texts.join(", "))
}

fn solved(id: serde_json::Value, found: TypedWorking) -> SolveAnswer {
    let answer = found.working.last().map(|line| line.math.clone()).unwrap_or_default();
    SolveAnswer {
        id,
        decimal: read_line(&answer).ok().and_then(|reading| decimals(&reading.line)),
        answer,
        method: found.method,
        methods: found.methods.into_iter().map(|method| method.id).collect(),
        lines: found.working.into_iter().map(solved_line).collect(),
        error: None,
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
