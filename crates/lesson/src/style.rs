//! How slides look: their theme, and quantities that keep one colour wherever they stand.

use super::fits;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Most quantities that have a colour of their own.
pub(super) const MOST: usize = 6;

/// How the slides of a lesson look. Every one of them keeps a contrast of 7 to 1 for text.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Theme {
    /// Dark letters on white.
    #[default]
    Daylight,
    /// Dark letters on pale wax, easier on tired eyes.
    Beeswax,
    /// Light letters on a dark page, for a dim room.
    Dusk,
    /// White and yellow on black, with thick lines.
    HighContrast,
}

impl Theme {
    /// Whether it is the usual one, which need not be kept.
    #[must_use]
    pub fn is_usual(&self) -> bool {
        *self == Self::default()
    }
}

/// A colour with a mark below it, so that it is told apart without its colour, too.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Colour {
    /// The colour of honey, with a line.
    Honey,
    /// The colour of heather, with two lines.
    Heather,
    /// The colour of clover leaves, with dashes.
    Clover,
    /// The colour of the sky, with dots.
    Sky,
}

/// A quantity and its colour.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Meaning {
    /// What is coloured wherever it stands by itself: a letter, a number, a word.
    pub what: String,
    /// Its colour.
    pub colour: Colour,
}

impl Meaning {
    pub(super) fn is_fine(&self) -> bool {
        fits(&self.what, 30)
    }
}
