//! Several sheets from one plan: versions of equal difficulty, and sets for three strengths.

use super::change::same;
use super::placed::{Drawn, Placed, Source};
use super::{Plan, Refused, weight};
use crate::ladder::{Ladder, Rung};
use crate::skill::Stage;
use crate::skills::CATALOGUE_VERSION;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Among so many draws the one that is as heavy is looked for.
const LOOKED_AT: u32 = 8;

/// A version of a sheet, so that neighbours do not have the same numbers.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub enum Version {
    /// The ladder itself.
    #[default]
    A,
    /// The same problems with other numbers.
    B,
    /// And with others again.
    C,
}

/// Whom a set is for.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Strength {
    /// More to get a grip on, less to climb.
    Basic,
    /// The ladder itself.
    #[default]
    Middle,
    /// Less to get a grip on, more to climb.
    Advanced,
}

/// A sheet of the plan, every rung made and proved. What is locked or typed by hand is the same on every version.
///
/// # Errors
/// [`Refused`] when a rung cannot be made.
pub fn sheet(plan: &Plan, version: Version, strength: Strength) -> Result<Ladder, Refused> {
    let mut rungs: Vec<Rung> = Vec::new();
    for placed in &plan.rungs {
        let rung = of_strength(placed, strength, &rungs)?;
        let rung = match (version, rung) {
            (Version::A, (_, rung)) => rung,
            (_, (None, rung)) => rung,
            (_, (Some(drawn), rung)) => {
                let wording = placed.wording.is_some();
                if wording { rung } else { as_heavy(&drawn, &rung, version, &rungs)? }
            }
        };
        rungs.push(rung);
    }
    // A set in another strength climbs too.
    rungs.sort_by_key(|rung| rung.stage);
    Ok(Ladder { version: CATALOGUE_VERSION, seed: plan.order.seed, rungs })
}

/// The rung in that strength, and its draws where it may be drawn again.
fn of_strength(
    placed: &Placed,
    strength: Strength,
    before: &[Rung],
) -> Result<(Option<Drawn>, Rung), Refused> {
    let free = match &placed.source {
        Source::Drawn(drawn) if !placed.locked => Some(drawn.clone()),
        _ => None,
    };
    let stage = match (strength, placed.stage()) {
        (Strength::Basic, Stage::Climb) => Some(Stage::Grip),
        (Strength::Advanced, Stage::Grip) => Some(Stage::Climb),
        _ => None,
    };
    if let (Some(drawn), Some(stage)) = (&free, stage) {
        // Places beyond those of the ladder, so that no problem comes twice.
        let index = drawn.index + 6;
        let other = Drawn { stage, index, attempt: 0, replaced: Vec::new(), ..drawn.clone() };
        if let Some((drawn, rung)) = other_than(&other, before)? {
            return Ok((Some(drawn), rung));
        }
    }
    Ok((free, placed.made()?))
}

fn other_than(from: &Drawn, before: &[Rung]) -> Result<Option<(Drawn, Rung)>, Refused> {
    for attempt in 0..40 {
        let drawn = Drawn { attempt, ..from.clone() };
        if let Some(rung) = drawn.rung()?
            && !before.iter().any(|other| same(other, &rung))
        {
            return Ok(Some((drawn, rung)));
        }
    }
    Ok(None)
}

/// Another problem of the same kind that is as heavy as can be had.
fn as_heavy(
    drawn: &Drawn,
    rung: &Rung,
    version: Version,
    before: &[Rung],
) -> Result<Rung, Refused> {
    let begins = match version {
        Version::A => 0,
        Version::B => 200_000,
        Version::C => 300_000,
    };
    let mut best: Option<(u32, Rung)> = None;
    for step in 0..LOOKED_AT {
        let attempt = begins + drawn.attempt % 1000 * LOOKED_AT + step;
        let other = Drawn { attempt, replaced: Vec::new(), ..drawn.clone() };
        let Some(found) = other.rung()? else { continue };
        let apart = weight(&found).abs_diff(weight(rung));
        let is_new = !before.iter().chain([rung]).any(|other| same(other, &found));
        if is_new && best.as_ref().is_none_or(|(least, _)| apart < *least) {
            best = Some((apart, found));
        }
    }
    Ok(best.map_or_else(|| rung.clone(), |(_, found)| found))
}
