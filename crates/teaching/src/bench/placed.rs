//! A rung on the bench: where it comes from, and what its teacher made of it.

use super::{Refused, wording};
use crate::draw::{Draw, Made};
use crate::ladder::{Answer, MOST_RUNGS, NoLadder, Rung, prove};
use crate::problem::Posed;
use crate::skill::{Skill, Stage};
use crate::skills;
use crate::solve::{SolveRequest, answer};
use crate::typeset::tex;
use algebra::{Line, read_line};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A rung with its key, which stays the same while it is moved and changed.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Placed {
    /// Its key.
    pub key: u32,
    /// Where it comes from.
    pub source: Source,
    /// Whether it stays when the others are drawn again, and is the same on every version.
    pub locked: bool,
    /// The teacher's own wording.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub wording: Option<String>,
}

/// Where a rung comes from.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Source {
    /// Drawn from the catalogue.
    Drawn(Drawn),
    /// Typed by hand.
    Typed {
        /// As it was typed.
        problem: String,
        /// Where it stands.
        stage: Stage,
    },
}

/// The draws that a rung was made of: the same ones give the same rung.
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
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub method: Option<String>,
    /// Draws that were replaced, when a number was changed.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub replaced: Vec<Replaced>,
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
    fn skill(&self) -> Result<&'static dyn Skill, Refused> {
        skills::find(&self.skill)
            .ok_or_else(|| Refused::because(NoLadder::UnknownSkill(self.skill.clone()).says()))
    }

    /// The problem, not proved yet, with every draw that was made for it.
    pub(super) fn posed(&self) -> Result<(Posed, Vec<Made>), Refused> {
        let skill = self.skill()?;
        if self.index > MOST_RUNGS * 2 || self.replaced.len() > MOST_RUNGS {
            return Err(Refused::because("This rung is no rung of a ladder. Draw it again."));
        }
        let label = format!("{}/{}/{}/{}", self.skill, self.stage.name(), self.index, self.attempt);
        let instead = self.replaced.iter().map(|one| (one.draw as usize, one.with)).collect();
        let mut draw = Draw::new(self.seed, &label).instead(instead);
        let posed = skill.pose(self.stage, self.index, &mut draw);
        Ok((posed, draw.made().to_vec()))
    }

    /// The rung; `None` when it cannot be proved, so that other draws have to take its place.
    ///
    /// # Errors
    /// [`Refused`] when there is no such skill.
    pub fn rung(&self) -> Result<Option<Rung>, Refused> {
        let (posed, _) = self.posed()?;
        self.proved(&posed)
    }

    /// The rung of a problem that was posed from these draws.
    pub(super) fn proved(&self, posed: &Posed) -> Result<Option<Rung>, Refused> {
        let skill = self.skill()?;
        let card = skill.card();
        let asked = self.method.as_deref().unwrap_or(card.methods[0].id);
        let fits = |id: &&str| skill.working(posed, id).is_some();
        let others = card.methods.iter().map(|method| method.id);
        let method = std::iter::once(asked).chain(others).find(fits);
        Ok(method.and_then(|method| prove(skill, self.stage, posed, method).ok()))
    }
}

impl Placed {
    /// The stage it stands on.
    #[must_use]
    pub const fn stage(&self) -> Stage {
        match &self.source {
            Source::Drawn(drawn) => drawn.stage,
            Source::Typed { stage, .. } => *stage,
        }
    }

    /// Whether its problem was typed by hand.
    #[must_use]
    pub const fn is_typed(&self) -> bool {
        matches!(self.source, Source::Typed { .. })
    }

    /// The rung, proved, in the teacher's own words where there are any.
    ///
    /// # Errors
    /// [`Refused`] when it cannot be made, or when the wording does not hold its numbers.
    pub fn made(&self) -> Result<Rung, Refused> {
        let mut rung = match &self.source {
            Source::Drawn(drawn) => drawn.rung()?.ok_or_else(|| {
                Refused::because("A rung of this ladder can no longer be proved. Draw it again.")
            })?,
            Source::Typed { problem, stage } => typed(problem, *stage)?,
        };
        if let Some(words) = &self.wording {
            wording::check(&rung.prompt, words)?;
            rung.prompt.clone_from(words);
        }
        Ok(rung)
    }
}

/// A rung from a problem typed by hand: its working and its answer are computed and proved.
pub(super) fn typed(problem: &str, stage: Stage) -> Result<Rung, Refused> {
    let problem = problem.trim();
    if problem.chars().count() > 300 {
        return Err(Refused::because("Type a problem of at most 300 characters."));
    }
    let request = SolveRequest { problem: problem.to_owned(), ..SolveRequest::default() };
    let found = answer(&request);
    if let Some(error) = found.error {
        return Err(Refused::because(error.says));
    }
    let (Ok(reading), Some(last)) = (read_line(problem), found.lines.last()) else {
        return Err(Refused::because(
            "This could not be worked. Type an equation or an expression.",
        ));
    };
    let unknown = reading.line.symbols().into_iter().next().unwrap_or_default();
    let (verb, form) = match &reading.line {
        Line::Expression(_) => ("Work out", "any"),
        _ => ("Solve", "all_solutions"),
    };
    Ok(Rung {
        skill: String::new(),
        stage,
        prompt: format!("{verb} {}.", tex(problem)),
        figure: None,
        answer: Answer {
            text: last.math.clone(),
            latex: last.latex.clone(),
            value: found.answer,
            form: form.into(),
            unit: None,
        },
        choices: Vec::new(),
        working: found.lines.iter().map(crate::typed::working_line).collect(),
        method: found.method,
        line: algebra::write::text_line(&reading.line),
        unknown: if matches!(reading.line, Line::Expression(_)) { String::new() } else { unknown },
        given: Vec::new(),
        story: false,
    })
}
