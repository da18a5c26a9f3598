//! A problem for a slide: drawn from the catalogue, or typed.

use super::BadLesson;
use super::blocks::Block;
use crate::bench::{Placed, Source};
use crate::blocks::PracticeBlock;
use serde::{Deserialize, Serialize};
use skills::ladder::Drawn;
use teaching::ids::MethodId;
use teaching::skill::Stage;
use utoipa::ToSchema;

/// Attempts before it is given up.
const ATTEMPTS: u32 = 12;

/// Which problem is asked for.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum PracticeOrder {
    /// One of the catalogue.
    Drawn {
        /// The id of its skill.
        skill: String,
        /// Its stage.
        stage: Stage,
        /// The method of its working; the usual one when absent.
        #[serde(default, deserialize_with = "skills::ids::method_if_any")]
        #[schema(value_type = Option<skills::ids::MethodName>)]
        method: Option<MethodId>,
        /// Its place within the stage: another place, another kind of problem.
        #[serde(default)]
        index: usize,
        /// Another seed, other numbers.
        seed: u64,
    },
    /// One that was typed.
    Typed {
        /// As it was typed.
        problem: String,
    },
}

impl PracticeOrder {
    /// The problem with its answer, proved.
    ///
    /// # Errors
    /// [`BadLesson`] when there is no such problem, with what to do.
    pub fn block(self) -> Result<Block, BadLesson> {
        let said = |source| Placed { key: 1, source, locked: false, wording: None, why: None };
        match self {
            Self::Typed { problem } => {
                let placed = said(Source::Typed { problem, stage: Stage::Grip });
                made(placed)
            }
            Self::Drawn { skill, stage, method, index, seed } => {
                let first = Drawn {
                    skill,
                    stage,
                    index,
                    seed,
                    attempt: 0,
                    method,
                    replaced: Vec::new(),
                    world: None,
                };
                let found = (0..ATTEMPTS)
                    .map(|step| first.attempted(step))
                    .find_map(|drawn| made(said(Source::Drawn(drawn))).ok());
                // The reason is that of the first attempt.
                found.map_or_else(|| made(said(Source::Drawn(first))), Ok)
            }
        }
    }
}

fn made(placed: Placed) -> Result<Block, BadLesson> {
    let rung = placed.made().map_err(|why| BadLesson(why.says))?;
    Ok(Block::Practice(PracticeBlock { source: Box::new(placed), rung: Box::new(rung) }))
}

#[cfg(test)]
mod tests {
    use super::*;

    fn order(skill: &str, seed: u64) -> PracticeOrder {
        let (stage, method) = (Stage::Climb, None);
        PracticeOrder::Drawn { skill: skill.into(), stage, method, index: 0, seed }
    }

    #[test]
    fn a_problem_is_drawn_or_typed() {
        let prompt = |order: PracticeOrder| match order.block() {
            Ok(Block::Practice(PracticeBlock { rung, .. })) => Ok(rung.prompt),
            Ok(other) => panic!("{other:?}"),
            Err(why) => Err(why.0),
        };
        let drawn = prompt(order("percent.part", 3)).expect("drawn");
        assert_eq!(prompt(order("percent.part", 3)).as_ref(), Ok(&drawn));
        assert_ne!(prompt(order("percent.part", 4)).as_ref(), Ok(&drawn));
        let typed = |text: &str| prompt(PracticeOrder::Typed { problem: text.into() });
        assert!(typed("3x + 2 = 14").expect("typed").contains("3x + 2 = 14"));
        assert!(typed("3x + = 14").is_err());
        assert!(prompt(order("juggling", 1)).is_err());
    }
}
