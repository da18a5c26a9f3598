//! How an example begins: with a problem that is typed, or one that is drawn from the catalogue.

use super::Example;
use desk::DeskLine;
use serde::{Deserialize, Serialize};
use skills::ladder::{Drawn, LadderOrder, Numbers, SEED_LIMIT};
use skills::typed::{NoWorking, no, plain_text};
use teaching::ids::MethodId;
use teaching::skill::Stage;
use utoipa::ToSchema;

/// What an example begins with.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Beginning {
    /// A problem that is typed.
    Typed {
        /// As it was written.
        problem: DeskLine,
        /// The method's id; the usual one when absent.
        #[serde(default, deserialize_with = "skills::ids::method_if_any")]
        #[schema(value_type = Option<skills::ids::MethodName>)]
        method: Option<MethodId>,
    },
    /// A problem of the catalogue.
    Drawn {
        /// The id of its skill.
        skill: String,
        /// Its stage.
        stage: Stage,
        /// Another seed, another problem.
        seed: u64,
        /// The method's id; the usual one when absent.
        #[serde(default, deserialize_with = "skills::ids::method_if_any")]
        #[schema(value_type = Option<skills::ids::MethodName>)]
        method: Option<MethodId>,
    },
}

impl Beginning {
    /// The example that begins like this.
    ///
    /// # Errors
    /// [`NoWorking`] with a sentence that says what to do.
    pub fn example(&self) -> Result<Example, NoWorking> {
        match self {
            Self::Typed { problem, method } => Example::typed(&plain_text(problem)?, *method),
            Self::Drawn { skill, stage, seed, method } => {
                let order = LadderOrder {
                    skills: vec![skill.clone()],
                    seed: seed % SEED_LIMIT,
                    method: *method,
                    ..LadderOrder::default()
                };
                let from = Drawn::of(&order, *stage, 0);
                let found = from.fitting(0, [].iter(), Numbers::default());
                let (drawn, _) = found.map_err(|why| no(why.says()))?;
                Example::of(&drawn)
            }
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn an_example_is_typed_or_drawn() {
        let problem = DeskLine { text: r"\frac{n}{6}=\frac{10}{15}".into(), latex: true };
        let typed = Beginning::Typed { problem, method: None }.example();
        assert_eq!(typed, Example::typed("n/6 = 10/15", None));
        let drawn = |skill: &str, seed| Beginning::Drawn {
            skill: skill.into(),
            stage: Stage::Climb,
            seed,
            method: None,
        };
        let example = drawn("pythagoras", 3).example().expect("drawn");
        assert_eq!(drawn("pythagoras", 3).example().as_ref(), Ok(&example));
        assert_ne!(drawn("pythagoras", 4).example(), Ok(example.clone()));
        assert!(!example.prompt.is_empty());
        assert!(drawn("nothing", 3).example().is_err());
        assert!(drawn("pythagoras", u64::MAX).example().is_ok());
    }
}
