//! What we say of a line.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// The word for a verdict.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum VerdictWord {
    /// The problem itself.
    Given,
    /// Proved.
    Holds,
    /// Tested at many points, not proved.
    HoldsSoFar,
    /// Shown to be wrong.
    Breaks,
    /// A solution went missing.
    DropsSolution,
    /// A solution came in.
    AddsSolution,
    /// Not settled.
    CantTell,
    /// Could not be read.
    CantRead,
}

impl VerdictWord {
    /// Whether a line with it has to be mended.
    #[must_use]
    pub const fn is_wrong(self) -> bool {
        matches!(self, Self::Breaks | Self::DropsSolution | Self::AddsSolution | Self::CantRead)
    }
}

/// A verdict with what goes with it. Sentences hold mathematics between dollar signs.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LineVerdict {
    /// The word.
    pub word: VerdictWord,
    /// One sentence to the student that shows why; empty when there is nothing to add.
    pub says: String,
    /// The restriction under which it holds, such as `$x ≠ 1$`; empty when there is none.
    pub domain: String,
    /// What was done between the lines, such as "subtract $7$ from both sides"; empty when unnamed.
    pub made: String,
}

impl LineVerdict {
    /// A verdict that needs no more words.
    #[must_use]
    pub fn plain(word: VerdictWord) -> Self {
        Self { word, says: String::new(), domain: String::new(), made: String::new() }
    }

    /// A verdict with its sentence.
    #[must_use]
    pub fn saying(word: VerdictWord, says: impl Into<String>) -> Self {
        Self { says: says.into(), ..Self::plain(word) }
    }
}
