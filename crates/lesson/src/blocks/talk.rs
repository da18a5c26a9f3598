//! Something to talk about, with the beginnings of sentences.

use super::{BlockKind, Claims, are_parts, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Something to talk about.
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
pub struct TalkBlock {
    /// What to talk about.
    pub prompt: String,
    /// How a sentence may begin.
    pub starters: Vec<String>,
}

impl BlockKind for TalkBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.prompt, LONGEST_TEXT) && are_parts(&self.starters) {
            return Ok(());
        }
        refuse("Keep a talk prompt to 8 sentence starters of at most 400 characters.")
    }

    fn texts(&self) -> Vec<&str> {
        std::iter::once(&self.prompt).chain(&self.starters).map(String::as_str).collect()
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        std::iter::once(&mut self.prompt).chain(&mut self.starters).collect()
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&self.prompt)
    }

    fn claims(&self) -> Claims<'_> {
        Claims {
            statements: self.texts(),
            stories: self.texts(),
            own_words: true,
            is_empty: self.texts().iter().all(|text| text.trim().is_empty()),
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
