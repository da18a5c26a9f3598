//! The solutions of lines in one unknown, and where two lines differ, by the method that fits.
//!
//! `sign_chart` decides quotients of polynomials, and `real_line`, with `zeros`, lines where functions take part; `real`
//! orders exact numbers, a `solution` is one that makes a line true, and an `interval` holds many. `points` finds the
//! solutions of systems, with `combined` equations.

pub(crate) mod combined;
pub(crate) mod interval;
mod parity;
pub(crate) mod points;
pub(crate) mod real;
pub(crate) mod real_line;
pub(crate) mod sign_chart;
pub(crate) mod solution;
mod whole_ranges;
pub(crate) mod zeros;

use self::sign_chart::{Differences, Solutions};
use crate::assume::Assumptions;
use crate::line::Line;
use crate::normal::NotNormal;
use crate::solve::Solution;

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
    if assumed.whole.contains(letter)
        && let Some(parts) = parity::apart(&line, letter)
    {
        let mut all = Vec::new();
        for (rest, part) in (0..).zip(&parts) {
            match solutions_given(part, letter, &Assumptions::default())? {
                Solutions::Finite(found) => all.extend(parity::whole_values(&found, rest)),
                _ => return Err(NotNormal::NotCovered),
            }
        }
        all.sort_by_key(Solution::as_rational);
        return Ok(Solutions::Finite(all));
    }
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
    if assumed.whole.contains(letter)
        && (parity::apart(&from, letter).is_some() || parity::apart(&to, letter).is_some())
    {
        let none = Assumptions::default();
        let of = |rest: usize| {
            let (from, to) = (parity::half(&from, letter, rest), parity::half(&to, letter, rest));
            Ok::<_, NotNormal>(differences(&from, &to, letter, &none)?.unwrap_or_default())
        };
        let parts = [of(0)?, of(1)?];
        if parts.iter().any(|part| part.counterexample.is_some()) {
            return Err(NotNormal::NotCovered);
        }
        let found = parity::together(parts);
        return Ok((found != Differences::default()).then_some(found));
    }
    let found = match sign_chart::differences(&from, &to, letter) {
        Err(NotNormal::NotCovered) => real_line::differences(&from, &to, letter, &assumed.lines),
        other => other,
    }?;
    if !assumed.whole.contains(letter) {
        return Ok(found);
    }
    let Some(mut found) = found else { return Ok(None) };
    if found.counterexample.is_some() {
        let none = Assumptions::default();
        let (before, after) =
            (solutions_given(&from, letter, &none)?, solutions_given(&to, letter, &none)?);
        return match whole_ranges::same(&before, &after) {
            Some(true) => Ok(None),
            _ => Err(NotNormal::NotCovered),
        };
    }
    for side in [&mut found.lost, &mut found.gained] {
        side.retain(|one| one.as_rational().is_some_and(|value| value.is_integer()));
    }
    Ok((found != Differences::default()).then_some(found))
}
