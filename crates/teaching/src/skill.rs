//! What a skill is: something a student learns to do, with its methods, problems and slips.

use crate::draw::Draw;
use crate::figure::Figure;
use crate::ids::MethodId;
use crate::problem::Posed;
use crate::slips::Slip;
use crate::working::Working;
use algebra::Line;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// The three steps of a ladder.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, ToSchema,
)]
#[serde(rename_all = "lowercase")]
pub enum Stage {
    /// Do it fluently.
    Grip,
    /// See it from another side.
    Tilt,
    /// In a story, mixed, in several steps, the method not named.
    Climb,
}

impl Stage {
    /// All three, in order.
    pub const ALL: [Self; 3] = [Self::Grip, Self::Tilt, Self::Climb];

    /// Its name in files.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Grip => "grip",
            Self::Tilt => "tilt",
            Self::Climb => "climb",
        }
    }

    /// As it is said to teachers and students.
    #[must_use]
    pub const fn title(self) -> &'static str {
        match self {
            Self::Grip => "Grip",
            Self::Tilt => "Tilt",
            Self::Climb => "Climb",
        }
    }
}

/// The headings of the catalogue.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Strand {
    /// Number.
    Number,
    /// Fractions, ratio, percent.
    FractionsRatio,
    /// Algebra and functions.
    Algebra,
    /// Measure and geometry.
    Geometry,
}

/// One of the ways a skill may be taught.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Method {
    /// Stored with classes and workings: never renamed.
    pub id: MethodId,
    /// As the trade calls it.
    pub title: &'static str,
}

/// A term with what it means.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Term {
    /// The word.
    pub word: &'static str,
    /// Its definition, in a student's words.
    pub means: &'static str,
}

/// What a teacher reads before choosing a skill.
#[derive(Debug, Clone, Copy)]
pub struct Card {
    /// Stored with problems: never renamed.
    pub id: &'static str,
    /// Where it stands in the catalogue.
    pub strand: Strand,
    /// First and last grade it is for; kindergarten is 0.
    pub grades: (u8, u8),
    /// What it is called.
    pub title: &'static str,
    /// What a student can say afterwards, beginning with "I can".
    pub objective: &'static str,
    /// The words it needs.
    pub vocabulary: &'static [Term],
    /// The ways it may be taught; the first is the usual one.
    pub methods: &'static [Method],
}

/// Something a student learns to do. One file each under `skills`, and one entry in `SKILLS`.
pub trait Skill: Sync {
    /// Its card.
    fn card(&self) -> Card;

    /// The mistakes known to be made with it.
    fn slips(&self) -> &'static [&'static dyn Slip];

    /// A problem of that stage. `index` is the rung's place within its stage, so that Grip can vary
    /// one thing at a time.
    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed;

    /// The working of a problem by one of its methods. `None` when the method does not fit.
    fn working(&self, posed: &Posed, method: MethodId) -> Option<Working> {
        posed.workings.iter().find(|(id, _)| *id == method).map(|(_, working)| working.clone())
    }

    /// The picture that can be read off a line of a working by one of its methods, if one helps.
    fn line_picture(&self, _posed: &Posed, _method: MethodId, _line: &Line) -> Option<Figure> {
        None
    }

    /// The picture that belongs to a problem, if one helps.
    fn figure(&self, posed: &Posed) -> Option<Figure> {
        posed.figure.clone()
    }
}
