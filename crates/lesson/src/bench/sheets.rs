//! Several sheets from one plan: versions of equal difficulty, and sets for three strengths.

use super::placed::{Placed, Source};
use super::{Plan, Refused, weight};
use serde::{Deserialize, Serialize};
use skills::CATALOGUE_VERSION;
use skills::ladder::{Drawn, Ladder, Numbers, Rung};
use teaching::skill::Stage;
use utoipa::ToSchema;

/// Among so many draws the one that is as heavy is looked for.
const LOOKED_AT: u32 = 8;
/// How far beyond its own place a problem of another strength is drawn.
const BEYOND: usize = 6;

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

/// A sheet of the plan, every rung made and proved, with such numbers as its order asks for. What is locked, typed by
/// hand or in the teacher's own words is the same on every version.
///
/// # Errors
/// [`Refused`] when a rung cannot be made.
pub fn sheet(plan: &Plan, version: Version, strength: Strength) -> Result<Ladder, Refused> {
    let begins = match version {
        Version::A => None,
        Version::B => Some(200_000),
        Version::C => Some(300_000),
    };
    drawn(plan, begins, strength)
}

/// The ladder with other numbers for a further try: those of the second are others than those of the third.
///
/// # Errors
/// [`Refused`] when a rung cannot be made.
pub fn anew(plan: &Plan, nth: u8) -> Result<Ladder, Refused> {
    drawn(plan, Some(400_000 + 20_000 * u32::from(nth)), Strength::Middle)
}

/// The plan with problems that are drawn from `begins` on; the ladder itself where that is absent.
fn drawn(plan: &Plan, begins: Option<u32>, strength: Strength) -> Result<Ladder, Refused> {
    let numbers = plan.order.numbers;
    let mut rungs: Vec<Rung> = Vec::new();
    for placed in &plan.rungs {
        let free = match &placed.source {
            Source::Drawn(drawn) if !placed.locked && placed.wording.is_none() => Some(drawn),
            _ => None,
        };
        rungs.push(match free {
            None => placed.made()?,
            Some(drawn) => {
                let (drawn, rung) = of_strength(drawn, placed, strength, &rungs, numbers)?;
                as_heavy(&drawn, rung, begins, &rungs, numbers)?
            }
        });
    }
    // A set in another strength climbs too.
    rungs.sort_by_key(|rung| rung.stage);
    Ok(Ladder { version: CATALOGUE_VERSION, seed: plan.order.seed, rungs })
}

/// The rung in that strength, with its draws.
fn of_strength(
    drawn: &Drawn,
    placed: &Placed,
    strength: Strength,
    before: &[Rung],
    numbers: Numbers,
) -> Result<(Drawn, Rung), Refused> {
    let stage = match (strength, drawn.stage) {
        (Strength::Basic, Stage::Climb) => Stage::Grip,
        (Strength::Advanced, Stage::Grip) => Stage::Climb,
        _ => return Ok((drawn.clone(), placed.made()?)),
    };
    // Places beyond those of the ladder, so that no problem comes twice.
    let index = drawn.index.saturating_add(BEYOND);
    let other = Drawn { stage, index, attempt: 0, ..drawn.clone() };
    match other.fitting(0, before.iter(), numbers) {
        Ok(found) => Ok(found),
        // A skill with few problems of the other stage keeps its own.
        Err(_) => Ok((drawn.clone(), placed.made()?)),
    }
}

/// The rung itself where nothing else is asked for; else a problem of the same kind that is as heavy as can be had.
fn as_heavy(
    drawn: &Drawn,
    rung: Rung,
    begins: Option<u32>,
    before: &[Rung],
    numbers: Numbers,
) -> Result<Rung, Refused> {
    let Some(begins) = begins else { return Ok(rung) };
    let mut best: Option<(u32, Rung)> = None;
    for step in 0..LOOKED_AT {
        let attempt = begins + drawn.attempt % 1000 * LOOKED_AT + step;
        let other = Drawn { attempt, replaced: Vec::new(), ..drawn.clone() };
        let Some(found) = other.rung()? else { continue };
        let apart = weight(&found).abs_diff(weight(&rung));
        let is_new = !before.iter().chain([&rung]).any(|other| other.is_same(&found));
        let fits = is_new && numbers.fit(&found);
        if fits && best.as_ref().is_none_or(|(least, _)| apart < *least) {
            best = Some((apart, found));
        }
    }
    match best {
        Some((_, found)) => Ok(found),
        // None so near: any other one that fits.
        None => {
            let others = before.iter().chain([&rung]);
            let from = Drawn { attempt: begins, ..drawn.clone() };
            Ok(from.fitting(1, others, numbers).map_or_else(|_| rung.clone(), |(_, found)| found))
        }
    }
}
