//! Hints in three strengths: where to look, what to think of, and the next step.

use algebra::write::text_line;
use algebra::{Expr, Line, Rule, Verdict, compare, equal};
use skills::solving::{Task, work};
use teaching::WorkingLine;
use teaching::slips::Slip;
use teaching::words::{self, Against};

/// For a line that breaks: which side changed, what the slip says, and a step from the line above.
pub(super) fn broken(
    above: &Line,
    line: &Line,
    slip: Option<&'static dyn Slip>,
    unknown: &str,
) -> Vec<String> {
    let mut found = vec![where_to_look(above, line).to_owned()];
    let evidence =
        || words::step_says(&compare(above, line, None), unknown, Against::LineAbove(above)).says;
    let told = slip.map_or_else(evidence, |slip| slip.to_student().to_owned());
    found.extend((!told.is_empty()).then_some(told));
    found.extend(
        step(above, unknown)
            .map(|step| format!("From the line above you could: {}.", lowered(&step.reason))),
    );
    found
}

/// For a line to go on from: what kind of step, the step, and the line it leads to.
pub(super) fn next(above: &Line, unknown: &str) -> Vec<String> {
    let Some(step) = step(above, unknown) else { return Vec::new() };
    let (reason, line) = (&step.reason, step.latex.as_deref().unwrap_or(&step.math));
    vec![kind(step.rule.as_ref()).to_owned(), format!("{reason}."), format!("{reason}: ${line}$")]
}

/// The next line of a working from here.
fn step(above: &Line, unknown: &str) -> Option<WorkingLine> {
    let letters = above.symbols();
    let task = Task {
        problem: text_line(above),
        unknown: letters.contains(unknown).then(|| unknown.to_owned()),
        ..Task::default()
    };
    work(&task).ok()?.working.into_iter().nth(1)
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
fn kind(rule: Option<&Rule>) -> &'static str {
    match rule {
        Some(Rule::Expand | Rule::FirstTwoBrackets | Rule::EachByEach | Rule::SquareOfSum) => {
            "There is a bracket to open."
        }
        Some(Rule::Collect) => "Some terms are alike.",
        Some(Rule::ClearFractions(_) | Rule::CommonDenominator | Rule::OverOneDenominator) => {
            "What could you multiply by, so that no fraction is left?"
        }
        Some(
            Rule::AddToBoth(_)
            | Rule::SubtractFromBoth(_)
            | Rule::AddToEach(_)
            | Rule::SubtractFromEach(_)
            | Rule::AddEquations
            | Rule::SubtractEquations,
        ) => "What stands beside the letter? Undo it on both sides.",
        Some(
            Rule::DivideBoth(_)
            | Rule::DivideEach(_)
            | Rule::DivideFirst(_)
            | Rule::MultiplyBoth(_),
        ) => "What is the letter multiplied or divided by? Undo it on both sides.",
        Some(Rule::CrossMultiply) => "Two equal fractions: think of the two diagonal products.",
        Some(Rule::Factorise | Rule::FactoriseAgain | Rule::TreatAsOne(_)) => {
            "Can you write one side as a product?"
        }
        Some(Rule::ZeroProduct) => "When is a product zero?",
        Some(Rule::RootBoth(_)) => "What undoes a power?",
        Some(Rule::RaiseBoth(_)) => "What undoes a root?",
        Some(Rule::TakeLogarithms | Rule::UndoLogarithm | Rule::CombineLogarithms) => {
            "Powers and logarithms undo each other."
        }
        _ => "Which step brings the letter nearer to standing alone?",
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn the_first_hint_says_what_kind_of_step_comes_next() {
        for (line, first) in [
            ("3(x + 2) = 15",     "There is a bracket to open."),
            ("2x + 3x = 10",      "Some terms are alike."),
            ("x/2 + x/3 = 5",     "What could you multiply by, so that no fraction is left?"),
            ("x + 7 = 12",        "What stands beside the letter? Undo it on both sides."),
            ("4x = 20",           "What is the letter multiplied or divided by? Undo it on both sides."),
            ("x^2 - 5x + 6 = 0",  "Can you write one side as a product?"),
            ("(x - 2)(x - 3) = 0", "When is a product zero?"),
            ("x^2 = 49",          "What undoes a power?"),
            ("sqrt(x) = 5",       "What undoes a root?"),
            ("ln x = 2",          "Powers and logarithms undo each other."),
        ] {
            let above = algebra::read_line(line).expect(line).line;
            let hints = next(&above, "x");
            assert_eq!(hints.first().map(String::as_str), Some(first), "{line}: {hints:?}");
            assert_eq!(hints.len(), 3, "{line}");
        }
    }
}
