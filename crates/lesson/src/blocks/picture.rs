//! A picture.

use super::{BlockKind, Claims, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use utoipa::ToSchema;

/// How much room a picture takes, in characters.
const ROOM: usize = 200;

/// A picture that is drawn from numbers.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PictureBlock {
    /// What it shows.
    pub figure: Figure,
    /// What is said below it.
    pub caption: String,
}

impl BlockKind for PictureBlock {
    fn check(&self) -> Result<(), BadLesson> {
        if fits(&self.caption, LONGEST_TEXT) {
            return Ok(());
        }
        refuse("A text on a slide is too long. Split it over two slides.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.caption]
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        vec![&mut self.caption]
    }

    fn figures(&self) -> Vec<&Figure> {
        vec![&self.figure]
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&self.caption)
    }

    fn claims(&self) -> Claims<'_> {
        // It is something to see without a caption.
        Claims {
            statements: self.texts(),
            pictures: vec![&self.figure],
            room: length(&self.texts()) + ROOM,
            ..Claims::default()
        }
    }
}
