//! A word with what it means.

use super::{BlockKind, Claims, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use utoipa::ToSchema;

/// How much room its picture takes, in characters.
const PICTURE: usize = 150;

/// A word.
#[derive(Debug, Clone, PartialEq, Default, Serialize, Deserialize, ToSchema)]
pub struct WordBlock {
    /// The word.
    pub word: String,
    /// What it means.
    pub means: String,
    /// A picture of it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub figure: Option<Figure>,
}

impl BlockKind for WordBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.word, 120) && fits(&self.means, LONGEST_TEXT) {
            return Ok(());
        }
        refuse("Keep a word to 120 characters.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.word, &self.means]
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        vec![&mut self.word, &mut self.means]
    }

    fn figures(&self) -> Vec<&Figure> {
        self.figure.iter().collect()
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&format!("{}: {}", self.word, self.means))
    }

    fn claims(&self) -> Claims<'_> {
        let picture = if self.figure.is_some() { PICTURE } else { 0 };
        Claims {
            statements: self.texts(),
            stories: self.texts(),
            defines: Some(&self.word),
            is_empty: self.texts().iter().all(|text| text.trim().is_empty()),
            room: length(&self.texts()) + picture,
            ..Claims::default()
        }
    }
}
