//! Lines in several letters, compared by the points that solve them.

use super::several_letters;
use crate::budget::Budget;
use crate::line::Line;
use crate::solve::compare::linear_systems;
use crate::solve::sets::{combined, points};
use crate::verdict::{Counterexample, Difference, Setting, Shown, StepVerdict};

/// Compares two lines by their points: all of them where they are systems of linear equations or have finitely many,
/// else by what one says of the letters of the other.
pub(super) fn compare(
    from: &Line,
    to: &Line,
    letters: &[String],
    setting: &Setting,
) -> StepVerdict {
    match by_points(from, to, letters) {
        StepVerdict::Undecided if combined::same_rows(from, to, &mut Budget::for_verdict()) => {
            StepVerdict::Equivalent { provided: Vec::new() }
        }
        StepVerdict::Undecided => several_letters::compare(from, to, letters, &setting.assumed),
        found => found,
    }
}

fn by_points(from: &Line, to: &Line, letters: &[String]) -> StepVerdict {
    let mut budget = Budget::for_verdict();
    let rows = linear_systems::reduced(from, letters, &mut budget)
        .and_then(|f| Ok((f, linear_systems::reduced(to, letters, &mut budget)?)));
    // The points that went missing and that came in, where there are finitely many.
    let (mut lost, mut gained) = (Vec::new(), Vec::new());
    let apart = match rows {
        Ok((Some(f), Some(t))) if f == t => {
            return StepVerdict::Equivalent { provided: Vec::new() };
        }
        Ok((Some(f), Some(t))) => {
            lost.extend(linear_systems::only_point(&f, &t, letters));
            gained.extend(linear_systems::only_point(&t, &f, letters));
            linear_systems::point_apart(&f, &t, letters)
        }
        _ => {
            let before = points::points(from, letters, &mut budget);
            let after = points::points(to, letters, &mut budget);
            let (Some(before), Some(after)) = (before, after) else {
                return StepVerdict::Undecided;
            };
            lost = points::missing(&before, &after, &mut budget).unwrap_or_default();
            gained = points::missing(&after, &before, &mut budget).unwrap_or_default();
            match points::difference(&before, &after, &mut budget) {
                None => return StepVerdict::Undecided,
                Some(None) => return StepVerdict::Equivalent { provided: Vec::new() },
                Some(apart) => apart,
            }
        }
    };
    match apart {
        Some((at, before)) => StepVerdict::NotEquivalent(Difference {
            lost_points: lost,
            gained_points: gained,
            counterexample: Some(Counterexample {
                at,
                left: Shown::Truth(before),
                right: Shown::Truth(!before),
            }),
            ..Difference::default()
        }),
        None => StepVerdict::Undecided,
    }
}
