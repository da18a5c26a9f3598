//! Where a student stands on a rung.

use desk::Judgement;
use serde::{Deserialize, Serialize};
use teaching::verdict::VerdictWord;
use utoipa::ToSchema;

/// Where a student stands on a rung on which something is written.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, ToSchema,
)]
#[serde(rename_all = "snake_case")]
pub enum Standing {
    /// Lines stand there, and none of them breaks.
    Begun,
    /// A line breaks, and the answer does not stand there.
    Breaks,
    /// The answer stands there, below a line that breaks or without the working that was asked for.
    Answered,
    /// The answer, and every line above it holds.
    Finished,
}

impl Standing {
    /// Where somebody stands whose lines were judged so; none where nothing is written.
    #[must_use]
    pub fn of(judgement: &Judgement) -> Option<Self> {
        let mut lines = judgement.lines.iter().chain(&judgement.answer).peekable();
        lines.peek()?;
        let breaks = |word: VerdictWord| {
            matches!(
                word,
                VerdictWord::Breaks | VerdictWord::DropsSolution | VerdictWord::AddsSolution
            )
        };
        Some(match judgement {
            Judgement { finished: true, .. } => Self::Finished,
            Judgement { answered: true, .. } => Self::Answered,
            _ if lines.any(|line| breaks(line.verdict.word)) => Self::Breaks,
            _ => Self::Begun,
        })
    }
}
