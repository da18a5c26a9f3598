//! What a class made of what it was given: where each student stands on each rung, what it adds up to, and the ladder
//! that comes next; and the live lesson ([`taught`]). No HTTP, no SQL.

mod alike;
mod next;
mod results;
mod standing;
pub mod taught;
mod told;

pub use alike::alike;
pub use next::{Next, NextOrder, NothingYet, Who};
pub use results::{Row, Seen, Share, by_rung, by_skill, by_work, slips, together};
pub use standing::Standing;
pub use told::{Feedback, open_to, withheld};

use desk::Judgement;
use lesson::bench::Plan;
use skills::ladder::Rung;

/// A ladder that was given, with what came back.
#[derive(Debug, Clone)]
pub struct Work<'a> {
    /// What it is called.
    pub title: &'a str,
    /// Its rungs.
    pub rungs: &'a [Rung],
    /// What it was made of, where that was kept.
    pub plan: Option<&'a Plan>,
    /// One for each student whom it was given to.
    pub sheets: Vec<Sheet<'a>>,
}

/// What one student wrote for a work.
#[derive(Debug, Clone)]
pub struct Sheet<'a> {
    /// The student's id.
    pub student: u64,
    /// The rungs on which something stands, each by its number from 1.
    pub written: Vec<(u16, &'a Judgement)>,
    /// Whether nothing more is to come: handed in, or past its date.
    pub is_over: bool,
}

impl Sheet<'_> {
    /// What stands on the rung of that number, from 1.
    fn on(&self, number: usize) -> Option<&Judgement> {
        let found = self.written.iter().find(|(rung, _)| usize::from(*rung) == number);
        found.map(|(_, judgement)| *judgement)
    }
}
