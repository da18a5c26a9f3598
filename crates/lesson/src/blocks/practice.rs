//! A problem of the catalogue or of one's own, with its answer one step later.

use super::{BlockKind, Claims, length, plain};
use crate::bench::Placed;
use crate::{BadLesson, Checked};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::figure::Figure;
use utoipa::ToSchema;

/// A problem.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PracticeBlock {
    /// Where it comes from.
    pub source: Box<Placed>,
    /// The problem as it was posed.
    pub rung: Box<Rung>,
}

impl BlockKind for PracticeBlock {
    fn check(&self) -> Result<(), BadLesson> {
        Ok(())
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.rung.prompt]
    }

    fn figures(&self) -> Vec<&Figure> {
        self.rung.figure.iter().collect()
    }

    fn steps(&self) -> u16 {
        2
    }

    fn spoken(&self, step: u16) -> String {
        if step > 1 { self.answer() } else { plain(&self.rung.prompt) }
    }

    fn answer(&self) -> String {
        self.rung.answer.text.clone()
    }

    fn checked(&self) -> Checked {
        Checked::of(self.rung.working.iter().map(|line| line.verdict))
    }

    fn prove(&mut self) -> Result<(), BadLesson> {
        *self.rung = self.source.made().map_err(|why| BadLesson(why.says))?;
        Ok(())
    }

    fn claims(&self) -> Claims<'_> {
        // What was made here was proved here.
        Claims {
            problem: Some(&self.rung.prompt),
            practises: true,
            practises_more: true,
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
