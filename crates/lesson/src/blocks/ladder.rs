//! A ladder that hangs on this lesson.

use super::{BlockKind, Claims, length, refuse};
use crate::{BadLesson, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A ladder, as it is named on a slide.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct LadderBlock {
    /// Its id.
    pub ladder: u64,
    /// What it is called.
    pub title: String,
}

impl BlockKind for LadderBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.title, 120) { Ok(()) } else { refuse("The name of a ladder is too long.") }
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.title]
    }

    fn spoken(&self, _step: u16) -> String {
        self.title.clone()
    }

    fn claims(&self) -> Claims<'_> {
        // It may practise anything that its title does not tell.
        Claims {
            practises: true,
            practises_more: true,
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
