//! The draws that a rung is made of: the same ones give the same rung, now and when it is shown again.

use super::retold;
use super::{LadderOrder, MOST_RUNGS, NoLadder, Numbers, Rung, prove};
use serde::{Deserialize, Serialize};
use std::sync::Arc;
use teaching::draw::{Draw, Made};
use teaching::ids::MethodId;
use teaching::problem::Posed;
use teaching::scenario::OwnScenario;
use teaching::skill::{Skill, Stage};
use utoipa::ToSchema;

/// Attempts are counted round below this.
const ATTEMPTS: u32 = 1_000_000;

/// Where a rung comes from.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Drawn {
    /// The id of its skill.
    pub skill: String,
    /// Its stage.
    pub stage: Stage,
    /// Its place within the stage.
    pub index: usize,
    /// The seed.
    pub seed: u64,
    /// Which attempt it is.
    pub attempt: u32,
    /// The method that is asked for; the usual one when absent.
    #[serde(
        default,
        skip_serializing_if = "Option::is_none",
        deserialize_with = "crate::ids::method_if_any"
    )]
    #[schema(value_type = Option<crate::ids::MethodName>)]
    pub method: Option<MethodId>,
    /// Draws that were replaced, when a number was changed.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub replaced: Vec<Replaced>,
    /// Where its story comes from, when it is not the bee garden.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub world: Option<OwnScenario>,
}

/// A draw that was replaced.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Replaced {
    /// Which draw, from 0.
    pub draw: u32,
    /// What stands there instead.
    pub with: i64,
}

impl Drawn {
    /// The first attempt at place `at` of a stage, where the skills of an order take turns.
    pub fn of(order: &LadderOrder, stage: Stage, at: usize) -> Self {
        let turns = order.skills.len().max(1);
        let skill = order.skills.get(at % turns).cloned().unwrap_or_default();
        Self {
            method: order.method.or_else(|| order.methods.get(&skill).copied()),
            skill,
            stage,
            index: at / turns,
            seed: order.seed,
            attempt: 0,
            replaced: Vec::new(),
            world: order.world.clone(),
        }
    }

    fn skill(&self) -> Result<&'static dyn Skill, NoLadder> {
        crate::find(&self.skill).ok_or_else(|| NoLadder::UnknownSkill(self.skill.clone()))
    }

    /// The problem, not proved yet, with every draw that was made for it.
    ///
    /// # Errors
    /// [`NoLadder`] when there is no such skill, or no such place on a ladder.
    pub fn posed(&self) -> Result<(Posed, Vec<Made>), NoLadder> {
        let skill = self.skill()?;
        if self.index > MOST_RUNGS * 2 || self.replaced.len() > MOST_RUNGS {
            return Err(NoLadder::NoSuchPlace);
        }
        let label = format!("{}/{}/{}/{}", self.skill, self.stage.name(), self.index, self.attempt);
        let instead = self.replaced.iter().map(|one| (one.draw as usize, one.with)).collect();
        if let Some(world) = &self.world {
            world.check().map_err(|bad| NoLadder::BadScenario(bad.0))?;
        }
        let mut draw =
            Draw::new(self.seed, &label).instead(instead).told_of(self.world.clone().map(Arc::new));
        let posed = skill.pose(self.stage, self.index, &mut draw);
        Ok((posed, draw.made().to_vec()))
    }

    /// The rung; `None` when it cannot be proved, so that other draws have to take its place.
    ///
    /// # Errors
    /// As [`Drawn::posed`].
    pub fn rung(&self) -> Result<Option<Rung>, NoLadder> {
        let (posed, _) = self.posed()?;
        self.proved(&posed)
    }

    /// The rung of a problem that was posed from these draws.
    pub fn proved(&self, posed: &Posed) -> Result<Option<Rung>, NoLadder> {
        let skill = self.skill()?;
        let card = skill.card();
        let asked = self.method.unwrap_or(card.methods[0].id);
        let fits = |id: &MethodId| skill.working(posed, *id).is_some();
        let others = card.methods.iter().map(|method| method.id);
        let method = std::iter::once(asked).chain(others).find(fits);
        // An unproved problem never leaves.
        let proved = method.and_then(|method| prove(skill, self.stage, posed, method).ok());
        Ok(match &self.world {
            Some(world) => proved.map(|rung| retold::told(world, rung)),
            None => proved,
        })
    }

    /// Another attempt at the same place, `step` further on, with no draw replaced.
    #[must_use]
    pub fn attempted(&self, step: u32) -> Self {
        let attempt = self.attempt.wrapping_add(step) % ATTEMPTS;
        Self { attempt, replaced: Vec::new(), ..self.clone() }
    }

    /// The first attempt, from `first` steps further on, that is proved, is none of the others, and has such numbers.
    /// Where no problem of its kind has, the kinds of the places behind it are tried.
    ///
    /// # Errors
    /// [`NoLadder`] when there is none.
    pub fn fitting<'a>(
        &self,
        first: u32,
        others: impl Iterator<Item = &'a Rung> + Clone,
        numbers: Numbers,
    ) -> Result<(Self, Rung), NoLadder> {
        for shift in numbers.kinds() {
            let from = Self { index: self.index.saturating_add(shift), ..self.clone() };
            for step in first..first + numbers.attempts() {
                let next = from.attempted(step);
                let Some(rung) = next.rung()? else { continue };
                if numbers.fit(&rung) && !others.clone().any(|other| other.is_same(&rung)) {
                    return Ok((next, rung));
                }
            }
        }
        Err(numbers.ran_out(&self.skill))
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::SKILLS;

    #[test]
    fn every_place_that_a_ladder_can_have_can_be_posed() {
        for skill in SKILLS {
            for stage in Stage::ALL {
                for index in [0, 1, 2, 50, 101, 199, MOST_RUNGS * 2] {
                    let skill = skill.card().id.to_owned();
                    let order = LadderOrder { skills: vec![skill], ..LadderOrder::default() };
                    let drawn = Drawn { index, ..Drawn::of(&order, stage, 0) };
                    assert!(drawn.posed().is_ok(), "{drawn:?}");
                }
            }
        }
    }

    #[test]
    fn what_is_no_place_of_a_ladder_is_refused() {
        let order = LadderOrder { skills: vec!["pythagoras".into()], ..LadderOrder::default() };
        let from = Drawn::of(&order, Stage::Grip, 0);
        let far = Drawn { index: usize::MAX, ..from.clone() };
        assert_eq!(far.rung(), Err(NoLadder::NoSuchPlace));
        assert!(far.fitting(0, [].iter(), Numbers::default()).is_err());
        let many = vec![Replaced { draw: 0, with: 1 }; MOST_RUNGS + 1];
        assert!(Drawn { replaced: many, ..from.clone() }.rung().is_err());
        let none = Drawn { skill: "nothing".into(), ..from };
        assert_eq!(none.rung(), Err(NoLadder::UnknownSkill("nothing".into())));
    }
}
