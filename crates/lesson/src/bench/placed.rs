//! A rung on the bench: where it comes from, and what its teacher made of it.

use super::{Refused, wording};
use serde::{Deserialize, Serialize};
use skills::ladder::{Drawn, Rung};
use skills::typed::rung::rung;
use teaching::skill::Stage;
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
    /// Why it is there, to the teacher; absent where nobody asked.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub why: Option<String>,
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
            Source::Typed { problem, stage } => rung(problem, None, *stage)?,
        };
        if let Some(words) = &self.wording {
            wording::check(&rung.prompt, words)?;
            rung.prompt.clone_from(words);
        }
        Ok(rung)
    }
}
