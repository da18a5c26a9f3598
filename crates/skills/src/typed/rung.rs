//! A rung from a problem typed by hand: its working and its answer are those that a typed problem gets everywhere.

use super::{Asked, NoWorking, TypedWorking, asked, no, work};
use crate::ladder::{Answer, Rung};
use crate::solving::TaskKind;
use algebra::form::Form;
use algebra::number::Notation;
use algebra::{Expr, ExprKind, Line, Role, read_line};
use teaching::ids::MethodId;
use teaching::skill::Stage;
use teaching::words::capital;
use teaching::working::WorkingLine;

/// The longest problem, in characters.
const LONGEST: usize = 300;

/// The rung of a problem, by `method` or the usual one.
///
/// # Errors
/// [`NoWorking`] with a sentence that says why it cannot be worked.
pub fn rung(problem: &str, method: Option<MethodId>, stage: Stage) -> Result<Rung, NoWorking> {
    worked(problem, method).and_then(|found| rung_of(found, stage))
}

/// The working of a problem of a length that somebody types.
pub fn worked(problem: &str, method: Option<MethodId>) -> Result<TypedWorking, NoWorking> {
    let problem = problem.trim();
    if problem.chars().count() > LONGEST {
        return Err(no(format!("Type a problem of at most {LONGEST} characters.")));
    }
    work(problem, method)
}

/// The rung of a worked problem.
pub fn rung_of(found: TypedWorking, stage: Stage) -> Result<Rung, NoWorking> {
    // Where formulas lead to one another, the last one is the problem's line. One that is the answer already is none.
    let first = found.working.iter().rfind(|line| line.role == Role::Starts);
    let last = found.working.iter().rfind(|line| line.carries());
    let first = first.filter(|first| last.is_none_or(|last| last.math != first.math));
    let math = first.map(|line| line.math.clone()).unwrap_or_default();
    let line = read_line(&math).map_or(Line::NoSolution, |reading| reading.line);
    let is_value = matches!(line, Line::Expression(_)) || found.answer.latex.is_none();
    // An equation that only the working sets up is the student's to find.
    let is_shown = found.understood.is_none() || found.prompt.contains('$');
    let solved_for = |(left, _): (&Expr, &Expr)| matches!(left.kind, ExprKind::Symbol(_));
    let story =
        !is_shown && !is_value && line.as_equation().is_some_and(|sides| !solved_for(sides));
    let unknown = if is_value { None } else { asked_letter(&line, &found.answer.value) };
    Ok(Rung {
        skill: found.skill,
        stage,
        prompt: found.prompt,
        figure: None,
        answer: found.answer,
        choices: Vec::new(),
        line: math,
        unknown: unknown.unwrap_or_default(),
        given: found.given,
        story,
        method: found.method,
        working: found.working,
        flawed: None,
        world: None,
    })
}

/// A problem in mathematics as a student reads it.
pub(super) fn prompt(problem: &str, line: &Line, latex: &str) -> String {
    match asked(problem) {
        Asked::Words => sentence(problem),
        Asked::Task { verb, .. } => format!("{} ${latex}$.", capital(verb)),
        Asked::Mathematics if matches!(line, Line::Expression(_)) => format!("Work out ${latex}$."),
        Asked::Mathematics => format!("Solve ${latex}$."),
    }
}

/// What the working of a problem in mathematics comes to: its last line.
pub(super) fn answer(problem: &str, line: &Line, working: &[WorkingLine]) -> Option<Answer> {
    let last = working.iter().rfind(|line| line.role != Role::Checks)?;
    let form = match asked(problem) {
        _ if last.role == Role::Rounds => rounding(&last.math),
        Asked::Task { task: TaskKind::Expand, .. } => Form::Expanded,
        Asked::Task { task: TaskKind::Factor, .. } => Form::Factorised,
        _ if matches!(line, Line::Expression(_)) => Form::Any,
        _ if line.symbols().len() > 1 && line.as_equation().is_some() => {
            asked_letter(line, &last.math).map_or(Form::AllSolutions, Form::SolvedFor)
        }
        _ => Form::AllSolutions,
    };
    let (text, latex) = (last.math.clone(), last.latex.clone());
    Some(Answer { value: text.clone(), text, latex, form, unit: None })
}

/// The only letter of a problem, or the one that stands alone in its last line.
fn asked_letter(problem: &Line, last: &str) -> Option<String> {
    let letters = problem.symbols();
    if letters.len() == 1 {
        return letters.into_iter().next();
    }
    let last = read_line(last).ok()?.line;
    match &last.as_equation()?.0.kind {
        ExprKind::Symbol(letter) => Some(letter.clone()),
        _ => None,
    }
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

/// Words as a sentence; a dollar sign would begin mathematics.
pub(super) fn sentence(problem: &str) -> String {
    let text = capital(&problem.replace('$', ""));
    if text.ends_with(['.', '?', '!']) { text } else { format!("{text}.") }
}
