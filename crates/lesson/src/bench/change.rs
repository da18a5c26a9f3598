//! What a teacher does on the bench: one change after the other, each refused as a whole or made as a whole.

use super::placed::{Placed, Source};
use super::{Plan, Refused, numbers, weight};
use serde::{Deserialize, Serialize};
use skills::ladder::{Drawn, LadderOrder, MOST_RUNGS, NoLadder, Rung, checked};
use skills::typed::rung::rung;
use teaching::skill::Stage;
use utoipa::ToSchema;

/// Among so many draws the next easier or harder one is looked for.
const LOOKED_AT: u32 = 16;

/// One change.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Change {
    /// Draws the ladder for its order; what is locked stays where it is.
    Draw {
        /// The order.
        order: LadderOrder,
    },
    /// Draws one rung again.
    Reroll {
        /// The rung's key.
        key: u32,
    },
    /// A lighter problem of the same kind; from the lightest it goes down one stage.
    Easier {
        /// The rung's key.
        key: u32,
    },
    /// A heavier problem of the same kind; from the heaviest it goes up one stage.
    Harder {
        /// The rung's key.
        key: u32,
    },
    /// Changes a number of the prompt.
    Number {
        /// The rung's key.
        key: u32,
        /// Which number of the prompt, from 0.
        at: usize,
        /// The new number.
        to: String,
    },
    /// Words the prompt anew; without a text, the problem's own words come back.
    Wording {
        /// The rung's key.
        key: u32,
        /// The new words.
        text: Option<String>,
    },
    /// Puts a problem typed by hand in a rung's place.
    Typed {
        /// The rung's key.
        key: u32,
        /// The problem.
        problem: String,
    },
    /// Moves a rung up or down among those of its stage.
    Move {
        /// The rung's key.
        key: u32,
        /// How many places: less than zero is towards the beginning.
        by: i32,
    },
    /// Locks a rung, or lets it go.
    Lock {
        /// The rung's key.
        key: u32,
        /// Whether it is locked.
        locked: bool,
    },
    /// Takes a rung away.
    Remove {
        /// The rung's key.
        key: u32,
    },
}

/// The plan after a change.
///
/// # Errors
/// [`Refused`] says why the change cannot be made and what to do.
pub fn change(plan: &Plan, change: &Change) -> Result<Plan, Refused> {
    let mut plan = plan.clone();
    match change {
        Change::Draw { order } => draw(&mut plan, order)?,
        Change::Reroll { key } => {
            let at = plan.find(*key)?;
            let others = others(&plan, at)?;
            let from = drawn(&plan, at)?.clone();
            let now = from.rung()?;
            let (next, _) = from.fitting(1, others.iter().chain(&now), plan.order.numbers)?;
            replace(&mut plan, at, Source::Drawn(next));
        }
        Change::Easier { key } => lighten(&mut plan, *key, false)?,
        Change::Harder { key } => lighten(&mut plan, *key, true)?,
        Change::Number { key, at, to } => {
            let place = plan.find(*key)?;
            let (next, _) = numbers::changed(drawn(&plan, place)?, *at, to)?;
            replace(&mut plan, place, Source::Drawn(next));
        }
        Change::Wording { key, text } => {
            let at = plan.find(*key)?;
            plan.rungs[at].wording = text.as_ref().map(|text| text.trim().to_owned());
            plan.rungs[at].made()?;
        }
        Change::Typed { key, problem } => {
            let at = plan.find(*key)?;
            let stage = plan.rungs[at].stage();
            rung(problem, None, stage)?;
            replace(&mut plan, at, Source::Typed { problem: problem.trim().to_owned(), stage });
        }
        Change::Move { key, by } => shift(&mut plan, *key, *by)?,
        Change::Lock { key, locked } => {
            let at = plan.find(*key)?;
            plan.rungs[at].locked = *locked;
        }
        Change::Remove { key } => {
            let at = plan.find(*key)?;
            plan.rungs.remove(at);
        }
    }
    Ok(plan)
}

fn drawn(plan: &Plan, at: usize) -> Result<&Drawn, Refused> {
    match &plan.rungs[at].source {
        Source::Drawn(drawn) => Ok(drawn),
        Source::Typed { .. } => {
            Err(Refused::because("This problem was typed by hand. Type another one instead."))
        }
    }
}

fn replace(plan: &mut Plan, at: usize, source: Source) {
    let placed = &mut plan.rungs[at];
    placed.source = source;
    placed.wording = None;
}

/// Every rung but one.
fn others(plan: &Plan, but: usize) -> Result<Vec<Rung>, Refused> {
    let kept = plan.rungs.iter().enumerate().filter(|(at, _)| *at != but);
    kept.map(|(_, placed)| placed.made()).collect()
}

fn draw(plan: &mut Plan, order: &LadderOrder) -> Result<(), Refused> {
    checked(order)?;
    let kept: Vec<Placed> = plan.rungs.iter().filter(|placed| placed.locked).cloned().collect();
    let places: Vec<(Stage, usize)> = Stage::ALL
        .into_iter()
        .flat_map(|stage| {
            let of_stage = plan.rungs.iter().filter(move |placed| placed.stage() == stage);
            of_stage.enumerate().filter(|(_, placed)| placed.locked).map(move |(at, _)| (stage, at))
        })
        .collect();
    let mut known: Vec<Rung> = kept.iter().map(Placed::made).collect::<Result<_, _>>()?;
    let mut next = Plan { title: plan.title.clone(), ..Plan::new(order.clone()) };
    next.next_key = plan.next_key;
    for (stage, count) in Stage::ALL.into_iter().zip([order.grip, order.tilt, order.climb]) {
        let begins = next.rungs.len();
        let locked: Vec<&Placed> = kept.iter().filter(|placed| placed.stage() == stage).collect();
        for at in 0..count.saturating_sub(locked.len()) {
            let from = Drawn::of(order, stage, at);
            let (found, rung) = from.fitting(0, known.iter(), order.numbers)?;
            known.push(rung);
            let end = next.rungs.len();
            next.place(end, Source::Drawn(found));
        }
        let held = places.iter().filter(|(of, _)| *of == stage).map(|(_, at)| *at);
        for (placed, at) in locked.into_iter().zip(held) {
            let at = (begins + at).min(next.rungs.len());
            next.rungs.insert(at, placed.clone());
        }
    }
    if next.rungs.len() > MOST_RUNGS {
        return Err(Refused::because(NoLadder::TooManyRungs.says()));
    }
    *plan = next;
    Ok(())
}

/// The next lighter or heavier problem: of the same stage where one is near, else of the stage below or above.
fn lighten(plan: &mut Plan, key: u32, harder: bool) -> Result<(), Refused> {
    let at = plan.find(key)?;
    let from = drawn(plan, at)?.clone();
    let others = others(plan, at)?;
    let Some(now) = from.rung()? else {
        return Err(Refused::because("This rung can no longer be proved. Draw it again."));
    };
    let mut best: Option<(u32, Drawn)> = None;
    for step in 1..=LOOKED_AT {
        let next = from.attempted(step);
        let Some(rung) = next.rung()? else { continue };
        let (is, was) = (weight(&rung), weight(&now));
        let apart = if harder { is.saturating_sub(was) } else { was.saturating_sub(is) };
        // A step that can be felt, and no more.
        let fits = apart >= 3
            && plan.order.numbers.fit(&rung)
            && !others.iter().any(|other| other.is_same(&rung));
        if fits && best.as_ref().is_none_or(|(least, _)| apart < *least) {
            best = Some((apart, next));
        }
    }
    if let Some((_, next)) = best {
        replace(plan, at, Source::Drawn(next));
        return Ok(());
    }
    let stage = match (from.stage, harder) {
        (Stage::Grip, true) | (Stage::Climb, false) => Stage::Tilt,
        (Stage::Tilt, true) => Stage::Climb,
        (Stage::Tilt, false) => Stage::Grip,
        (Stage::Grip, false) => return Err(Refused::because("This is as easy as it gets.")),
        (Stage::Climb, true) => return Err(Refused::because("This is as hard as it gets.")),
    };
    let moved = Drawn { stage, ..from };
    let (next, _) = moved.fitting(0, others.iter(), plan.order.numbers)?;
    let mut placed = plan.rungs.remove(at);
    (placed.source, placed.wording) = (Source::Drawn(next), None);
    // Up to the beginning of the stage above, or down to the end of the one below.
    let place = plan
        .rungs
        .iter()
        .position(|other| if harder { other.stage() >= stage } else { other.stage() > stage });
    let place = place.unwrap_or(plan.rungs.len());
    plan.rungs.insert(place, placed);
    Ok(())
}

fn shift(plan: &mut Plan, key: u32, by: i32) -> Result<(), Refused> {
    let at = plan.find(key)?;
    let stage = plan.rungs[at].stage();
    let same: Vec<usize> =
        (0..plan.rungs.len()).filter(|&other| plan.rungs[other].stage() == stage).collect();
    let place = same.iter().position(|&other| other == at).unwrap_or(0);
    let last = i64::try_from(same.len()).unwrap_or(1) - 1;
    let wished = (i64::try_from(place).unwrap_or(0) + i64::from(by)).clamp(0, last);
    let to = same[usize::try_from(wished).unwrap_or(0)];
    let placed = plan.rungs.remove(at);
    plan.rungs.insert(to, placed);
    Ok(())
}
