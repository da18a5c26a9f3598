//! What is one, and what is none.

use super::{BlockKind, Claims, are_parts, length, plain, refuse};
use crate::{BadLesson, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Examples of something, and what only looks like it.
#[derive(Debug, Clone, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
pub struct ExamplesBlock {
    /// Of what.
    pub of: String,
    /// Examples.
    pub fits: Vec<String>,
    /// What only looks like one.
    pub fits_not: Vec<String>,
}

impl BlockKind for ExamplesBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.of, 120) && are_parts(&self.fits) && are_parts(&self.fits_not) {
            return Ok(());
        }
        refuse("Keep examples to 8 of each kind, 400 characters each.")
    }

    fn texts(&self) -> Vec<&str> {
        let all = std::iter::once(&self.of).chain(&self.fits).chain(&self.fits_not);
        all.map(String::as_str).collect()
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        std::iter::once(&mut self.of).chain(&mut self.fits).chain(&mut self.fits_not).collect()
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&self.of)
    }

    fn claims(&self) -> Claims<'_> {
        // What only looks like one may be false.
        Claims {
            statements: self.fits.iter().map(String::as_str).collect(),
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
