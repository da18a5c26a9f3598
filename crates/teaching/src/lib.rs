//! Lessons and what is taught in them: skills, methods, workings, slips, ladders, keys, the Step
//! Desk's judgement, and every sentence about mathematics.
//!
//! What belongs here: the rules of the job, as pure functions of their arguments (a seed comes in where
//! something is drawn). What never does: HTTP, SQL, HTML, files, clocks, and words of the interface.

pub mod bench;
pub mod check;
pub mod desk;
pub mod draw;
pub mod example;
pub mod figure;
pub mod ladder;
pub mod lesson;
pub mod marking;
pub mod moves;
mod numerals;
pub mod picture;
pub mod problem;
pub mod scenario;
pub mod second_look;
pub mod skill;
pub mod skills;
pub mod slips;
pub mod solve;
pub mod tasks;
pub mod typed;
pub mod typeset;
pub mod verdict;
pub mod words;
pub mod working;

pub use ladder::{Ladder, LadderOrder, Rung};
pub use lesson::Lesson;
pub use skill::{Skill, Stage};
pub use verdict::{LineVerdict, VerdictWord};
pub use working::WorkingLine;
