//! A rung from a problem typed by hand: its working and its answer are those that a typed problem gets everywhere.

use super::Refused;
use crate::ladder::{Answer, Rung};
use crate::skill::Stage;
use crate::typed::{Asked, asked, work};
use crate::working::WorkingLine;
use algebra::form::Form;
use algebra::number::Notation;
use algebra::{ExprKind, Line, read_line};

/// The longest problem, in characters.
const LONGEST: usize = 300;

/// The rung of a problem.
///
/// # Errors
/// [`Refused`] with a sentence that says why it cannot be worked.
pub(super) fn typed(problem: &str, stage: Stage) -> Result<Rung, Refused> {
    let problem = problem.trim();
    if problem.chars().count() > LONGEST {
        let says = format!("Type a problem of at most {LONGEST} characters.");
        return Err(Refused::because(says));
    }
    let found = work(problem, None).map_err(|why| Refused::because(why.says))?;
    let carries = |line: &&WorkingLine| line.role != "checks";
    let last = found.working.iter().rfind(carries);
    let first = found.working.iter().find(|line| line.role == "starts");
    let (Some(first), Some(last)) = (first, last) else {
        return Err(Refused::because("This could not be worked. Type another problem."));
    };
    let line = read_line(&first.math).map_or(Line::NoSolution, |reading| reading.line);
    let is_value = matches!(line, Line::Expression(_));
    let letters = line.symbols();
    let unknown = letters.iter().next().filter(|_| !is_value && letters.len() == 1);
    let prompt = match asked(problem) {
        Asked::Words => sentence(problem),
        Asked::Task { verb, .. } => format!("{} ${}$.", capital(verb), found.latex),
        Asked::Mathematics if is_value => format!("Work out ${}$.", found.latex),
        Asked::Mathematics => format!("Solve ${}$.", found.latex),
    };
    let form = match asked(problem) {
        _ if last.role == "rounds" => rounding(&last.math),
        Asked::Task { task: "expand", .. } => Form::Expanded,
        Asked::Task { task: "factor", .. } => Form::Factorised,
        _ if is_value => Form::Any,
        _ => Form::AllSolutions,
    };
    Ok(Rung {
        skill: found.skill,
        stage,
        prompt,
        figure: None,
        answer: Answer {
            text: last.math.clone(),
            latex: last.latex.clone(),
            value: last.math.clone(),
            form: form.name(),
            unit: None,
        },
        choices: Vec::new(),
        line: first.math.clone(),
        unknown: unknown.cloned().unwrap_or_default(),
        given: Vec::new(),
        story: false,
        method: found.method,
        working: found.working,
    })
}

/// To how many places a last line is rounded.
fn rounding(math: &str) -> Form {
    let Ok(reading) = read_line(math) else { return Form::Any };
    match reading.line.expressions().last().map(|value| &value.kind) {
        Some(ExprKind::Number(written)) => match written.notation() {
            Notation::Decimal { places } => Form::Decimal(*places),
            _ => Form::Any,
        },
        _ => Form::Any,
    }
}

fn capital(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_uppercase().chain(letters).collect())
}

/// Words as a sentence; a dollar sign would begin mathematics.
fn sentence(problem: &str) -> String {
    let text = capital(&problem.replace('$', ""));
    if text.ends_with(['.', '?', '!']) { text } else { format!("{text}.") }
}
