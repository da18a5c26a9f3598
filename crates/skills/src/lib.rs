//! The skills that can be taught, and what is made of them: ladders whose every rung is proved, and typed problems with
//! their workings.
//!
//! A skill is one file in the folder of its strand and one line in [`SKILLS`]; `docs/add-a-skill.md` shows how. What
//! never belongs here: what all skills share (that is in `teaching`), the Step Desk, lessons.

mod algebra;
mod catalogue;
mod fractions_ratio;
mod geometry;
pub mod ids;
mod kit;
pub mod ladder;
mod number;
pub mod pictured;
pub mod scenario;
pub mod slipped;
pub mod solving;
pub mod typed;

pub use catalogue::{CATALOGUE_VERSION, SKILLS, find};
pub use ladder::{Ladder, LadderOrder, Rung};

#[cfg(test)]
mod tests;
