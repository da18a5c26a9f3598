//! A worked example, revealed line by line.

use super::{BlockKind, Claims, refuse};
use crate::example::{Example, MOST_LINES};
use crate::{BadLesson, Checked, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use utoipa::ToSchema;

/// How much room a line takes, in characters: lines are shown one by one, and shrink together.
const LINE: usize = 45;

/// A worked example.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct WorkedExampleBlock {
    /// The problem with its working.
    pub example: Box<Example>,
}

impl From<Example> for WorkedExampleBlock {
    fn from(example: Example) -> Self {
        Self { example: Box::new(example) }
    }
}

impl BlockKind for WorkedExampleBlock {
    fn check(&self) -> Result<(), BadLesson> {
        let example = &self.example;
        if fits(&example.problem, LONGEST_TEXT) && example.working.len() <= MOST_LINES {
            return Ok(());
        }
        refuse("A worked example is too long. Split it in two.")
    }

    fn texts(&self) -> Vec<&str> {
        vec![&self.example.problem, &self.example.title]
    }

    fn figures(&self) -> Vec<&Figure> {
        self.example.figures().collect()
    }

    fn steps(&self) -> u16 {
        self.example.reveal().steps.max(1)
    }

    fn spoken(&self, step: u16) -> String {
        self.example.spoken(step)
    }

    fn comes_alone(&self) -> bool {
        true
    }

    fn checked(&self) -> Checked {
        // A slip that was put in is there to break.
        let slip = self.example.slip.as_ref();
        let lines = self.example.working.iter().filter(|line| !line.is_slip(slip));
        Checked::of(lines.map(|line| line.line.verdict))
    }

    fn prove(&mut self) -> Result<(), BadLesson> {
        *self.example = self.example.again().map_err(|why| BadLesson(why.says))?;
        Ok(())
    }

    fn claims(&self) -> Claims<'_> {
        let lines = &self.example.working;
        let worked: Vec<&str> = lines.iter().map(|line| line.line.math.as_str()).collect();
        Claims {
            // What was made here was proved here.
            practises: self.example.slip.is_some() || lines.iter().any(|line| line.asked.is_some()),
            shows: worked.join(" "),
            room: lines.len() * LINE,
            ..Claims::default()
        }
    }
}
