//! What is taught and how it is told: what a problem, an answer, a working, a move, a slip and a figure are; marking; and
//! every sentence about mathematics.
//!
//! What belongs here: the rules of the job that all skills share, as pure functions of their arguments (a seed comes
//! in where something is drawn). What never does: HTTP, SQL, HTML, files, clocks, words of the interface, and what
//! stands in the crates above: single skills, ladders, the Step Desk, lessons, Second Look.

pub mod answer;
pub mod draw;
pub mod figure;
pub mod formulas;
pub mod ids;
pub mod marking;
pub mod moves;
pub mod numerals;
pub mod picture;
pub mod problem;
pub mod reading;
pub mod scenario;
pub mod shape;
pub mod skill;
pub mod slips;
pub mod stored;
pub mod tasks;
pub mod typeset;
pub mod verdict;
pub mod words;
pub mod working;
pub mod world;

pub use skill::{Skill, Stage};
pub use verdict::{LineVerdict, VerdictWord};
pub use working::WorkingLine;
