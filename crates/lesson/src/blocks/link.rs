//! A link.

use super::{BlockKind, Claims, LONGEST_PART, length, plain, refuse};
use crate::{BadLesson, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A link to another page.
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
pub struct LinkBlock {
    /// Where it leads: an address that begins with `https://`.
    pub url: String,
    /// What it is called.
    pub text: String,
}

impl BlockKind for LinkBlock {
    fn check(&self) -> Result<(), BadLesson> {
        let url = &self.url;
        if !(url.is_empty() || url.starts_with("https://") || url.starts_with("http://")) {
            return refuse("A link begins with https://.");
        }
        if fits(url, 2_000) && fits(&self.text, LONGEST_PART) {
            Ok(())
        } else {
            refuse("This link is too long.")
        }
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.url, &self.text]
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
            is_empty: self.texts().iter().all(|text| text.trim().is_empty()),
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
