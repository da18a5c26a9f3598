//! What to remember.

use super::{BlockKind, Claims, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What to remember of a lesson, framed.
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
pub struct KeyPointBlock {
    /// What to remember, with mathematics between dollar signs.
    pub point: String,
}

impl BlockKind for KeyPointBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.point, LONGEST_TEXT) {
            return Ok(());
        }
        refuse("What to remember is too long. One sentence stays in mind best.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.point]
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        vec![&mut self.point]
    }

    fn spoken(&self, _step: u16) -> String {
        format!("Remember: {}", plain(&self.point))
    }

    fn claims(&self) -> Claims<'_> {
        Claims {
            statements: self.texts(),
            own_words: true,
            is_empty: self.point.trim().is_empty(),
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
