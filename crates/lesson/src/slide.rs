//! A slide: one picture on the wall.

use super::blocks::{Block, BlockKind};
use super::{BadLesson, LONGEST_TEXT, PhaseKind, fits};
use serde::{Deserialize, Serialize};
use std::iter::Sum;
use teaching::figure::Figure;
use teaching::verdict::VerdictWord;
use utoipa::ToSchema;

/// Most blocks of a slide.
pub const MOST_BLOCKS: usize = 20;

/// One picture on the wall.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Slide {
    /// Its own within the lesson; never reused.
    pub id: u32,
    /// Its heading.
    pub title: String,
    /// The phase it belongs to.
    pub phase: PhaseKind,
    /// How long it stands.
    pub minutes: u16,
    /// For the teacher alone.
    #[serde(default)]
    pub notes: String,
    /// What is on it, from top to bottom.
    pub blocks: Vec<Block>,
    /// In which step each block comes, from 0 for those that stand from the start; those that are not named here stand
    /// from the start.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub comes: Vec<u16>,
}

/// How many lines of working there are, and how many of them are proved.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Checked {
    /// Lines that follow from another one.
    pub lines: u32,
    /// Those that hold, proved.
    pub hold: u32,
}

impl Slide {
    /// A slide of which everything stands from the start.
    #[must_use]
    pub fn new(id: u32, title: impl Into<String>, phase: PhaseKind, blocks: Vec<Block>) -> Self {
        Self {
            id,
            title: title.into(),
            phase,
            minutes: 0,
            notes: String::new(),
            blocks,
            comes: Vec::new(),
        }
    }

    /// Its pictures.
    pub fn figures(&self) -> impl Iterator<Item = &Figure> {
        self.blocks.iter().flat_map(Block::figures)
    }

    /// What was proved on it.
    #[must_use]
    pub fn checked(&self) -> Checked {
        self.blocks.iter().map(Block::checked).sum()
    }

    /// Whether it can be kept.
    ///
    /// # Errors
    /// [`BadLesson`] with what is wrong.
    pub fn check(&self) -> Result<(), BadLesson> {
        if !fits(&self.title, 200) || !fits(&self.notes, LONGEST_TEXT) {
            return Err(BadLesson::because(
                "A text on a slide is too long. Split it over two slides.",
            ));
        }
        if self.blocks.len() > MOST_BLOCKS || self.comes.len() > MOST_BLOCKS {
            return Err(BadLesson::because("A slide can hold at most 20 blocks."));
        }
        if self.minutes > 300 {
            return Err(BadLesson::because("A slide can stand for at most 300 minutes."));
        }
        self.blocks.iter().try_for_each(Block::check)
    }
}

impl Checked {
    /// Counts lines by what was proved of them; what is given has nothing to be proved.
    pub(crate) fn of(verdicts: impl Iterator<Item = VerdictWord>) -> Self {
        let mut found = Self::default();
        for verdict in verdicts.filter(|verdict| *verdict != VerdictWord::Given) {
            found.lines += 1;
            found.hold += u32::from(verdict == VerdictWord::Holds);
        }
        found
    }
}

impl Sum for Checked {
    fn sum<I: Iterator<Item = Self>>(all: I) -> Self {
        all.fold(Self::default(), |sum, one| Self {
            lines: sum.lines + one.lines,
            hold: sum.hold + one.hold,
        })
    }
}
