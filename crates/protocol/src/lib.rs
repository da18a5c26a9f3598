//! The protocols of the command line: a question or a task a line, as JSON, and its answer, as JSON.
//!
//! What belongs here: what these questions and answers look like. What never does: how they are answered (that is
//! in `algebra`, `teaching`, `skills` and `desk`); and nothing below this crate uses it.

pub mod check;
pub mod desk;
pub mod solve;
