//! Text.

use super::{BlockKind, Claims, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Text, with mathematics between dollar signs.
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
pub struct TextBlock {
    /// The text.
    pub text: String,
}

impl BlockKind for TextBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.text, LONGEST_TEXT) {
            return Ok(());
        }
        refuse("A text on a slide is too long. Split it over two slides.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.text]
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        vec![&mut self.text]
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&self.text)
    }

    fn claims(&self) -> Claims<'_> {
        Claims {
            statements: self.texts(),
            stories: self.texts(),
            own_words: true,
            is_empty: self.text.trim().is_empty(),
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
