//! Turns lessons, ladders, keys and results into files: PDF by Typst, embedded, and spreadsheets.
//!
//! What belongs here: pages built from values. What people typed reaches Typst as text or as our own
//! expression tree in one JSON value, never as code. What never does: HTTP, SQL, rules of mathematics.

mod engine;
mod inline;
mod math;
pub mod sheets;
pub mod tables;

pub use engine::{PaperError, Pdf, Standard};
