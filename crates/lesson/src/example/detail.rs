//! How much of a working is written down.

use super::Example;
use algebra::write::latex_line;
use algebra::{Expr, Line, Relation, Role, StepVerdict, compare, read_latex};
use serde::{Deserialize, Serialize};
use teaching::moves::{self, Move};
use teaching::verdict::VerdictWord;
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// How much of a working is written down.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Detail {
    /// What is done to both sides is written on them before it is worked out.
    WrittenOut,
    /// One operation a line.
    #[default]
    Usual,
    /// Two operations in one go.
    Brisk,
}

/// The line between two others on which the operation stands before it is worked out: `3x + 5 - 5 = 26 - 5`.
fn between(above: &Line, below: &Line) -> Option<Line> {
    let found = moves::recognise(above, below)?;
    let Line::Relations { sides, relations } = above else { return None };
    let (done, turns) = match &found[..] {
        [done @ .., Move::TurnSign] => (done, true),
        done => (done, false),
    };
    let one = |side: Expr, step: &Move| match step {
        Move::Add(term) => Some(side.plus(term.clone())),
        Move::Subtract(term) => Some(side.minus(term.clone())),
        Move::Multiply(by) => Some(side.times(by.clone())),
        Move::Divide(by) => Some(side.over(by.clone())),
        _ => None,
    };
    let is_scaling = |step: &Move| matches!(step, Move::Multiply(_) | Move::Divide(_));
    // Two kinds of operations in one go are two lines, not one.
    if done.is_empty() || (done.len() > 1 && done.iter().any(is_scaling)) {
        return None;
    }
    let side = |side: &Expr| done.iter().try_fold(side.clone(), one);
    let sides = sides.iter().map(side).collect::<Option<Vec<_>>>()?;
    let relations =
        relations.iter().map(|relation| if turns { relation.turned() } else { *relation });
    let line = Line::Relations { sides, relations: relations.collect::<Vec<Relation>>() };
    let holds = |to: &Line| matches!(compare(above, to, None), StepVerdict::Equivalent { .. });
    // It has to be read back as it is meant.
    let again = read_latex(&latex_line(&line)).ok()?.line;
    (holds(&line) && again == line && line != *below).then_some(line)
}

/// The lines with each operation on both sides written out.
pub(super) fn written_out(lines: Vec<WorkingLine>) -> Vec<WorkingLine> {
    let mut found: Vec<WorkingLine> = Vec::new();
    for mut line in lines {
        let above = found.iter().rfind(|line| line.carries());
        let proved = line.verdict == VerdictWord::Holds && line.carries();
        let step = match above.filter(|_| proved).map(|above| (above.read(), line.read())) {
            Some((Some(above), Some(below))) => between(&above, &below),
            _ => None,
        };
        if let Some(step) = step {
            let reason = std::mem::replace(&mut line.reason, "Work out both sides".into());
            found.push(WorkingLine::of(&step, reason, Role::Follows, VerdictWord::Holds));
        }
        found.push(line);
    }
    found
}

/// Folds every other line of a run into the one below it.
pub(super) fn fold(example: &mut Example) {
    for at in 1..example.working.len() {
        let above_shows = !example.working[at - 1].folded;
        example.working[at].folded = above_shows && example.folds(at);
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn shown(problem: &str, detail: Detail) -> Vec<String> {
        let base = super::super::base::Base::typed(problem, None).expect(problem);
        let made = base.example(None, detail, None);
        let shown = made.working.into_iter().filter(|line| !line.folded);
        shown.map(|line| line.line.math).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn an_operation_is_written_on_both_sides_before_it_is_worked_out() {
        for (problem, lines) in [
            ("3(2x - 5) = 27", &["3(2x - 5) = 27", "6x - 15 = 27", "6x - 15 + 15 = 27 + 15", "6x = 42", "6x/6 = 42/6", "x = 7"][..]),
            ("5x + 3 = 2x + 12", &["5x + 3 = 2x + 12", "5x + 3 - 2x = 2x + 12 - 2x", "3x + 3 = 12", "3x + 3 - 3 = 12 - 3", "3x = 9", "3x/3 = 9/3", "x = 3"]),
            ("4 - 2x < 10", &["4 - 2x < 10", "4 - 2x - 4 < 10 - 4", "-2x < 6", "(-2x)/(-2) > 6/(-2)", "x > -3"]),
            ("3/4 + 1/8", &["3/4 + 1/8", "6/8 + 1/8", "7/8"]),
        ] { assert_eq!(shown(problem, Detail::WrittenOut), lines, "{problem}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn a_brisk_working_does_two_operations_in_one_go() {
        for (problem, lines) in [
            ("3(2x - 5) = 27", &["3(2x - 5) = 27", "6x = 42", "x = 7"][..]),
            ("3x = 12",        &["3x = 12", "x = 4"]),
            // Neither a case nor what needs a check is hurried past.
            ("sqrt(x + 7) = x - 5", &["√(x + 7) = x - 5", "x + 7 = x^2 - 10x + 25", "(x - 2)(x - 9) = 0", "x - 2 = 0 or x - 9 = 0", "x = 2 or x = 9", "√(2 + 7) ≠ 2 - 5", "√(9 + 7) = 9 - 5", "x = 9"]),
        ] { assert_eq!(shown(problem, Detail::Brisk), lines, "{problem}"); }
    }
}
