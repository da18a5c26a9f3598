//! Hints in three strengths: where to look, what to think of, and the next step.

use algebra::write::text_line;
use algebra::{Expr, Line, Verdict, compare, equal};
use skills::solving::{Task, work};
use teaching::slips::Slip;
use teaching::words;

/// For a line that breaks: which side changed, what the slip says, and a step from the line above.
pub(super) fn broken(
    above: &Line,
    line: &Line,
    slip: Option<&'static dyn Slip>,
    unknown: &str,
) -> Vec<String> {
    let mut found = vec![where_to_look(above, line).to_owned()];
    let evidence = || words::step_says(&compare(above, line, None), unknown).says;
    let told = slip.map_or_else(evidence, |slip| slip.to_student().to_owned());
    found.extend((!told.is_empty()).then_some(told));
    found.extend(
        step(above, unknown)
            .map(|(reason, _)| format!("From the line above you could: {}.", lowered(&reason))),
    );
    found
}

/// For a line to go on from: what kind of step, the step, and the line it leads to.
pub(super) fn next(above: &Line, unknown: &str) -> Vec<String> {
    let Some((reason, line)) = step(above, unknown) else { return Vec::new() };
    vec![kind(&reason).to_owned(), format!("{reason}."), format!("{reason}: ${line}$")]
}

/// The reason and the next line of a working from here.
fn step(above: &Line, unknown: &str) -> Option<(String, String)> {
    let letters = above.symbols();
    let task = Task {
        problem: text_line(above),
        unknown: letters.contains(unknown).then(|| unknown.to_owned()),
        ..Task::default()
    };
    let next = work(&task).ok()?.working.into_iter().nth(1)?;
    Some((next.reason, next.latex))
}

fn lowered(reason: &str) -> String {
    let mut letters = reason.chars();
    letters.next().map_or_else(String::new, |first| first.to_lowercase().chain(letters).collect())
}

/// Which side is no longer what it was.
fn where_to_look(above: &Line, line: &Line) -> &'static str {
    let same = |a: &Expr, b: &Expr| matches!(equal(a, b), Verdict::Equal { .. });
    match (above.as_equation(), line.as_equation()) {
        (Some((a, b)), Some((c, d))) => match (same(a, c), same(b, d)) {
            (true, false) => "The left side is as it was. Look at the right side again.",
            (false, true) => "The right side is as it was. Look at the left side again.",
            _ => "Both sides have changed. Was the same done to each?",
        },
        _ => "Look at this line and the line above, term by term.",
    }
}

/// The kind of step, without its numbers.
fn kind(reason: &str) -> &'static str {
    let is = |part: &str| reason.contains(part);
    if is("Multiply out") {
        "There is a bracket to open."
    } else if is("Collect") {
        "Some terms are alike."
    } else if is("common denominator") {
        "What could you multiply by, so that no fraction is left?"
    } else if is("Add") || is("Subtract") {
        "What stands beside the letter? Undo it on both sides."
    } else if is("Divide") || is("Multiply both") {
        "What is the letter multiplied or divided by? Undo it on both sides."
    } else if is("Cross-multiply") {
        "Two equal fractions: think of the two diagonal products."
    } else if is("Factorise") {
        "Can you write one side as a product?"
    } else if is("product is zero") {
        "When is a product zero?"
    } else if is("quare root") || is("root") {
        "What undoes a power?"
    } else if is("Square") {
        "What undoes a root?"
    } else if is("ogarithm") {
        "Powers and logarithms undo each other."
    } else {
        "Which step brings the letter nearer to standing alone?"
    }
}
