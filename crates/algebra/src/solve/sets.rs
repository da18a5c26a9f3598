//! The solutions of lines in one unknown, and where two lines differ, by the method that fits.
//!
//! `sign_chart` decides quotients of polynomials, and `real_line`, with `zeros`, lines where functions take part; `real`
//! orders exact numbers, a `solution` is one that makes a line true, and an `interval` holds many. `points` finds the
//! solutions of systems, with `combined` equations.

pub(crate) mod combined;
pub(crate) mod interval;
pub(crate) mod points;
pub(crate) mod real;
pub(crate) mod real_line;
pub(crate) mod sign_chart;
pub(crate) mod solution;
pub(crate) mod zeros;

use self::sign_chart::{Differences, Solutions};
use crate::assume::Assumptions;
use crate::line::Line;
use crate::normal::NotNormal;

/// The solutions of a line in the one unknown `letter`.
///
/// # Errors
/// [`NotNormal`] when they could not be found within the limits.
pub fn solutions(line: &Line, letter: &str) -> Result<Solutions, NotNormal> {
    solutions_given(line, letter, &Assumptions::default())
}

/// The solutions that fit assumptions.
///
/// # Errors
/// As [`solutions`].
pub fn solutions_given(
    line: &Line,
    letter: &str,
    assumed: &Assumptions,
) -> Result<Solutions, NotNormal> {
    let line = assumed.with(line.clone(), letter);
    let found = match sign_chart::solutions(&line, letter) {
        Err(NotNormal::NotCovered) => real_line::solutions(&line, letter, &assumed.lines),
        other => other,
    }?;
    if !assumed.whole.contains(letter) {
        return Ok(found);
    }
    match found {
        Solutions::Finite(mut all) => {
            all.retain(|one| one.as_rational().is_some_and(|value| value.is_integer()));
            Ok(Solutions::Finite(all))
        }
        _ => Err(NotNormal::NotCovered),
    }
}

/// Compares two lines in the one unknown `letter`. `None` when they have the same solutions.
///
/// # Errors
/// As [`solutions`].
pub(crate) fn differences(
    from: &Line,
    to: &Line,
    letter: &str,
    assumed: &Assumptions,
) -> Result<Option<Differences>, NotNormal> {
    let (from, to) = (assumed.with(from.clone(), letter), assumed.with(to.clone(), letter));
    let found = match sign_chart::differences(&from, &to, letter) {
        Err(NotNormal::NotCovered) => real_line::differences(&from, &to, letter, &assumed.lines),
        other => other,
    }?;
    if !assumed.whole.contains(letter) {
        return Ok(found);
    }
    let Some(mut found) = found else { return Ok(None) };
    if found.counterexample.is_some() {
        return Err(NotNormal::NotCovered);
    }
    for side in [&mut found.lost, &mut found.gained] {
        side.retain(|one| one.as_rational().is_some_and(|value| value.is_integer()));
    }
    Ok((found != Differences::default()).then_some(found))
}
