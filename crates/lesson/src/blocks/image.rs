//! An image that was put in from a file.

use super::{BlockKind, Claims, LONGEST_PART, length, plain, refuse};
use crate::{BadLesson, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// How much room an image takes, in characters.
const ROOM: usize = 200;

/// An image.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct ImageBlock {
    /// Its id.
    pub image: u64,
    /// What is told of it to those who cannot see it.
    pub alt: String,
    /// What is said below it.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub caption: String,
}

impl BlockKind for ImageBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.alt, 1_000) && fits(&self.caption, LONGEST_PART) {
            return Ok(());
        }
        refuse("Keep the words of an image to 1000 characters, and those below it to 400.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.alt, &self.caption]
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        vec![&mut self.alt, &mut self.caption]
    }

    fn spoken(&self, _step: u16) -> String {
        plain(if self.alt.is_empty() { &self.caption } else { &self.alt })
    }

    fn claims(&self) -> Claims<'_> {
        Claims {
            statements: vec![&self.caption],
            is_unseen: self.alt.trim().is_empty(),
            room: length(&self.texts()) + ROOM,
            ..Claims::default()
        }
    }
}
