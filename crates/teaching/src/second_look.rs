//! Second Look: reads what was prepared and lists what is wrong in it, each with its place, why, and a mend where there
//! is one.
//!
//! Only what is proved to be wrong is called wrong: a claim that cannot be decided is no finding. False alarms are a
//! defect as much as misses.

mod claims;
mod lesson;
mod mend;
mod questions;
mod sequences;

pub use lesson::{Spot, Spotted, look};
pub use mend::{Look, Named, mended, second_look};

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What is wrong.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, ToSchema,
)]
#[serde(rename_all = "snake_case")]
pub enum Kind {
    /// An equality, inequality or chain that is false.
    FalseClaim,
    /// A term of a sequence that does not follow its rule.
    WrongTerm,
    /// An answer that is not the answer.
    WrongAnswer,
    /// An answer that is not in the form asked for.
    WrongForm,
    /// A choice that cannot be made: none is right, several are, or two say the same.
    BadChoice,
    /// A question without words, or one that cannot be answered from what it gives.
    NoQuestion,
    /// A problem that stands there twice.
    Repeated,
    /// A word that is used before it is defined.
    UsedBeforeDefined,
    /// Minutes that do not add up.
    Minutes,
    /// An objective with nothing that practises it.
    NotPractised,
    /// More on a slide than can be read from the back row.
    TooFull,
    /// Something that is empty.
    Empty,
}

/// Something that is wrong in a text.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Finding {
    /// What kind of thing.
    pub kind: Kind,
    /// The words that are wrong, as they stand there; empty where something is missing.
    pub found: String,
    /// What is wrong with them and why, in one or two sentences.
    pub says: String,
    /// What could stand there instead of `found`, where that is known.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub mend: Option<String>,
}

impl Finding {
    fn new(kind: Kind, found: impl Into<String>, says: impl Into<String>) -> Self {
        Self { kind, found: found.into(), says: says.into(), mend: None }
    }

    fn mended(mut self, mend: Option<String>) -> Self {
        self.mend = mend.filter(|mend| *mend != self.found);
        self
    }
}

/// Everything that is wrong in a text by itself: its claims and its sequences.
#[must_use]
pub fn look_at_text(text: &str) -> Vec<Finding> {
    let mut found = claims::look(text);
    found.extend(sequences::look(text));
    found
}
