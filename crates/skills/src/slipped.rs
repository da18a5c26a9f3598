//! A slip that is put into a working: one line breaks, and what stands below follows from it.

use crate::ladder::Rung;
use crate::typed::work;
use algebra::budget::Budget;
use algebra::normal::{Normaliser, Values};
use algebra::write::text_line;
use algebra::{Expr, ExprKind, Line, Role, Setting, StepVerdict, compare_given, read_line};
use teaching::ids::MethodId;
use teaching::slips::{Slip, wrong_lines};
use teaching::verdict::VerdictWord;
use teaching::working::WorkingLine;

/// Most wrong lines of one slip that are looked at.
const LOOKED_AT: usize = 4;

/// The line that line `at` of a working, from 0, is compared with.
#[must_use]
pub fn above(rung: &Rung, at: usize) -> Option<Line> {
    rung.working.get(..at)?.iter().rfind(|line| line.carries()).and_then(WorkingLine::read)
}

/// Whether a slip can be made in that line.
#[must_use]
pub fn may_break(line: &WorkingLine) -> bool {
    line.carries() && matches!(line.role, Role::Follows | Role::MayAdd | Role::Concludes)
}

/// What lines of a problem are compared under: a length is positive, so that leaving its other root out is no slip.
#[must_use]
pub fn setting(rung: &Rung) -> Setting {
    let problem = read_line(&rung.line).map_or(Line::NoSolution, |reading| reading.line);
    teaching::problem::setting(&problem, &rung.unknown, &rung.given)
}

/// What may be written below `above` by a slip, as it would be written in place of `right`; proved to be wrong in the
/// problem's own setting.
#[must_use]
pub fn written(
    known: &dyn Slip,
    above: &Line,
    right: &WorkingLine,
    setting: &Setting,
) -> Vec<Line> {
    let found = wrong_lines(known, above).into_iter().take(LOOKED_AT);
    let tidy = found.map(|wrong| wrong.map(&mut |side| tidied(side)));
    // Nobody would write more than half as much again.
    let most = right.math.chars().count() * 3 / 2 + 2;
    let is_natural = |line: &Line| {
        let text = text_line(line);
        text.chars().count() <= most && !text.contains("(-") && text != text_line(above)
    };
    let breaks =
        |line: &Line| matches!(compare_given(above, line, setting), StepVerdict::NotEquivalent(_));
    tidy.filter(|line| is_natural(line) && breaks(line)).collect()
}

/// The lines of a working in which line `at` says something wrong; none when nobody could go on from there.
#[must_use]
pub fn broken(rung: &Rung, at: usize, wrong: &Line) -> Option<Vec<WorkingLine>> {
    let right = rung.working.get(at)?;
    let rest = below(wrong, rung.method)?;
    let mut found = rung.working[..at].to_vec();
    let reason = right.reason.clone();
    found.push(WorkingLine::of(wrong, reason, right.role, VerdictWord::Breaks));
    found.extend(rest);
    Some(found)
}

/// The lines below a wrong one: its own working, which ends where somebody who made the slip would end.
fn below(wrong: &Line, method: MethodId) -> Option<Vec<WorkingLine>> {
    if teaching::shape::solved(wrong) {
        return Some(Vec::new());
    }
    let text = text_line(wrong);
    let found = work(&text, Some(method)).or_else(|_| work(&text, None));
    match found {
        Ok(found) => Some(found.working.into_iter().skip(1).collect()),
        // A number stands for itself.
        Err(_) => match wrong {
            Line::Expression(value) if value.as_plain_number().is_some() => Some(Vec::new()),
            _ => None,
        },
    }
}

/// A side as somebody would write it down: `6x - 5`, not `3 × (2x) - 5`. What holds no letter shows the slip as it is.
fn tidied(side: &Expr) -> Expr {
    let budget = &mut Budget::for_move();
    let is_plain = |part: &Expr| {
        matches!(part.kind, ExprKind::Root { .. } | ExprKind::Call { .. } | ExprKind::Absolute(_))
    };
    if side.symbols().is_empty() || side.any(&mut |part| is_plain(part)) {
        return side.clone();
    }
    let values = Values::new();
    let form = Normaliser::new(&values, budget).build(side);
    form.ok().and_then(|form| form.as_poly()).map_or_else(|| side.clone(), |poly| poly.to_expr())
}
