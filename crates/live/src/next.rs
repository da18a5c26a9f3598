//! The ladder that comes next: from the slips and the gaps of a class or of one student, each rung saying why it is
//! there.

use crate::{Sheet, Standing, Work, slips};
use lesson::bench::{Placed, Plan, Refused, Source};
use skills::ids::Methods;
use skills::ladder::{Drawn, LadderOrder, Numbers, Rung};
use std::collections::{BTreeMap, BTreeSet};
use teaching::skill::Stage;

/// Whom it is for: ids with names.
pub type Who = BTreeMap<u64, String>;

/// What it is made for.
#[derive(Debug, Clone, Default)]
pub struct NextOrder {
    /// Those whose work counts.
    pub who: Who,
    /// The time there is, in minutes.
    pub minutes: u16,
    /// The seed.
    pub seed: u64,
    /// What the class is taught.
    pub methods: Methods,
}

/// Why there is no next ladder.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum NothingYet {
    /// Nothing was written that could be read.
    NothingWritten,
    /// A rung could not be made.
    Refused(Refused),
}

impl From<Refused> for NothingYet {
    fn from(why: Refused) -> Self {
        Self::Refused(why)
    }
}

/// A next ladder.
#[derive(Debug, Clone, PartialEq)]
pub struct Next {
    /// What it is made of; each rung says why it is there.
    pub plan: Plan,
    /// The minutes that it is likely to take.
    pub minutes: u16,
}

/// What a rung is likely to take, in minutes: a line or two to do it fluently, more to see it anew, most in a story.
const fn minutes(stage: Stage) -> u16 {
    match stage {
        Stage::Grip => 2,
        Stage::Tilt => 3,
        Stage::Climb => 5,
    }
}

/// Most rungs for one need.
const MOST_FOR_ONE: u32 = 4;
/// How much a student's slip, a gap and a step up weigh against one another.
const OF_SLIP: usize = 10;
const OF_GAP: usize = 6;
/// Names are told up to so many; then they are counted.
const MOST_NAMES: usize = 3;

/// Something to practise.
struct Need<'a> {
    skill: &'a str,
    stage: Stage,
    /// The rung it was seen on: the same kind of problem is looked for.
    like: Option<Drawn>,
    why: String,
    weight: usize,
}

impl Next {
    /// The ladder that comes next for these students.
    ///
    /// # Errors
    /// [`NothingYet`] where they have written nothing that tells what to practise.
    pub fn of(works: &[Work<'_>], order: &NextOrder) -> Result<Self, NothingYet> {
        let mut needs = of_slips(works, order);
        needs.extend(of_gaps(works, order));
        needs.sort_by_key(|need| std::cmp::Reverse(need.weight));
        if needs.is_empty() {
            return Err(NothingYet::NothingWritten);
        }
        let known: Vec<&Rung> = works.iter().flat_map(|work| work.rungs).collect();
        let mut drawn: Vec<(Placed, Rung)> = Vec::new();
        let mut left = order.minutes;
        'all: for round in 1..=MOST_FOR_ONE {
            for need in &needs {
                let cost = minutes(need.stage);
                if cost > left {
                    continue;
                }
                let others = known.iter().copied().chain(drawn.iter().map(|(_, rung)| rung));
                let Some((source, rung)) = need.drawn(order, round, others) else { continue };
                let key = u32::try_from(drawn.len()).unwrap_or(u32::MAX).saturating_add(1);
                let why = Some(need.why.clone());
                let placed = Placed {
                    key,
                    source: Source::Drawn(source),
                    locked: false,
                    wording: None,
                    why,
                };
                drawn.push((placed, rung));
                left -= cost;
                if left < minutes(Stage::Grip) {
                    break 'all;
                }
            }
        }
        if drawn.is_empty() {
            return Err(NothingYet::NothingWritten);
        }
        // What was most needed stands first within its stage.
        drawn.sort_by_key(|(_, rung)| rung.stage);
        Ok(Self { plan: plan(&drawn, order), minutes: order.minutes - left })
    }
}

fn plan(drawn: &[(Placed, Rung)], order: &NextOrder) -> Plan {
    let mut skills: Vec<String> = Vec::new();
    for (_, rung) in drawn {
        if !skills.contains(&rung.skill) {
            skills.push(rung.skill.clone());
        }
    }
    let count = |stage| drawn.iter().filter(|(_, rung)| rung.stage == stage).count();
    let order = LadderOrder {
        grip: count(Stage::Grip),
        tilt: count(Stage::Tilt),
        climb: count(Stage::Climb),
        skills,
        seed: order.seed,
        methods: order.methods.clone(),
        ..LadderOrder::default()
    };
    let rungs: Vec<Placed> = drawn.iter().map(|(placed, _)| placed.clone()).collect();
    let next_key = u32::try_from(rungs.len()).unwrap_or(u32::MAX).saturating_add(1);
    Plan { next_key, rungs, ..Plan::new(order) }
}

impl Need<'_> {
    /// A problem for it that is none of the others.
    fn drawn<'r>(
        &self,
        order: &NextOrder,
        round: u32,
        others: impl Iterator<Item = &'r Rung> + Clone,
    ) -> Option<(Drawn, Rung)> {
        let method = order.methods.get(self.skill).copied();
        let like = self.like.as_ref().map(|like| Drawn {
            seed: order.seed,
            method: method.or(like.method),
            replaced: Vec::new(),
            ..like.clone()
        });
        let from = like.unwrap_or_else(|| Drawn {
            skill: self.skill.to_owned(),
            stage: self.stage,
            index: round as usize,
            seed: order.seed,
            attempt: 0,
            method,
            replaced: Vec::new(),
            world: None,
        });
        from.fitting(round, others, Numbers::default()).ok()
    }
}

/// The draws of a rung, where what its ladder was made of was kept.
fn draws(work: &Work<'_>, number: usize) -> Option<Drawn> {
    let plan = work.plan.filter(|plan| plan.rungs.len() == work.rungs.len())?;
    match &plan.rungs.get(number.checked_sub(1)?)?.source {
        Source::Drawn(drawn) => Some(drawn.clone()),
        Source::Typed { .. } => None,
    }
}

/// "Ayla, Bram and Cleo", or how many they are.
fn told(who: &Who, students: &BTreeSet<u64>) -> String {
    let names: Vec<&str> =
        students.iter().filter_map(|id| who.get(id)).map(String::as_str).collect();
    match names.as_slice() {
        [] => String::new(),
        [one] => (*one).to_owned(),
        [others @ .., last] if names.len() <= MOST_NAMES => {
            format!("{} and {last}", others.join(", "))
        }
        _ => format!("{} students", names.len()),
    }
}

fn is_in_catalogue(rung: &Rung) -> bool {
    skills::find(&rung.skill).is_some()
}

fn title(skill: &str) -> &str {
    skills::find(skill).map_or(skill, |skill| skill.card().title)
}

fn of_slips<'a>(works: &[Work<'a>], order: &NextOrder) -> Vec<Need<'a>> {
    let is_one = order.who.len() == 1;
    let mut needs = Vec::new();
    for seen in slips(works, |student| order.who.contains_key(&student)) {
        let Some(slip) = skills::ids::slip_of(seen.slip) else { continue };
        let Some(&(at, number)) = seen.rungs.first() else { continue };
        let work = &works[at];
        let Some(rung) = usize::from(number).checked_sub(1).and_then(|at| work.rungs.get(at))
        else {
            continue;
        };
        if !is_in_catalogue(rung) {
            continue;
        }
        let says = slip.to_teacher();
        let why = if is_one {
            format!("{says} (“{}”, rung {number})", work.title)
        } else {
            format!("{}: {says}", told(&order.who, &seen.students))
        };
        needs.push(Need {
            skill: &rung.skill,
            stage: rung.stage,
            like: draws(work, number.into()),
            why,
            weight: OF_SLIP * seen.students.len(),
        });
    }
    needs
}

/// What is known of one stage of a skill.
#[derive(Default)]
struct Stood {
    missed: BTreeSet<u64>,
    finished: BTreeSet<u64>,
    like: Option<Drawn>,
}

fn of_gaps<'a>(works: &[Work<'a>], order: &NextOrder) -> Vec<Need<'a>> {
    let mut stood: BTreeMap<(&'a str, Stage), Stood> = BTreeMap::new();
    for work in works {
        for (at, rung) in work.rungs.iter().enumerate().filter(|(_, rung)| is_in_catalogue(rung)) {
            for sheet in work.sheets.iter().filter(|sheet| order.who.contains_key(&sheet.student)) {
                let Some(is_finished) = finished(sheet, at + 1) else { continue };
                let of = stood.entry((&rung.skill, rung.stage)).or_default();
                if is_finished {
                    of.finished.insert(sheet.student);
                } else {
                    of.missed.insert(sheet.student);
                    of.like = of.like.take().or_else(|| draws(work, at + 1));
                }
            }
        }
    }
    let mut needs = Vec::new();
    for (&(skill, stage), of) in &stood {
        let stage_name = stage.title();
        if !of.missed.is_empty() {
            let who = told(&order.who, &of.missed);
            let why = format!("{who} did not finish {stage_name} of “{}”.", title(skill));
            let weight = OF_GAP * of.missed.len();
            needs.push(Need { skill, stage, like: of.like.clone(), why, weight });
            continue;
        }
        // Everybody who was there is through: one step up, where it was not asked yet.
        let above = match stage {
            Stage::Grip => Stage::Tilt,
            Stage::Tilt | Stage::Climb => Stage::Climb,
        };
        if stage == Stage::Climb || !stood.contains_key(&(skill, above)) {
            let who = told(&order.who, &of.finished);
            let why = format!("{who} finished {stage_name} of “{}”: one step on.", title(skill));
            needs.push(Need { skill, stage: above, like: None, why, weight: of.finished.len() });
        }
    }
    needs
}

/// Whether a student finished a rung; none where that cannot be told yet.
fn finished(sheet: &Sheet<'_>, number: usize) -> Option<bool> {
    let standing = sheet.on(number).and_then(Standing::of);
    match standing {
        Some(Standing::Finished) => Some(true),
        Some(Standing::Breaks) => Some(false),
        // What was never tried says nothing while there is time, and little of a sheet that was not begun at all.
        _ if sheet.is_over && !sheet.written.is_empty() => Some(false),
        _ => None,
    }
}
