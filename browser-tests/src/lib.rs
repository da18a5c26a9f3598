//! A real program on a real database, and a real browser in front of it.
//!
//! What belongs here: starting and stopping them, and finding things on a page by what a person sees.
//! What never does: anything that the core can test. The tests themselves are under `tests/`.

pub mod access;
mod browser;
mod network;
mod program;

pub use browser::Browser;
pub use network::Network;
pub use program::{Program, lesson_of};

/// How long anything may take before a test gives up, in seconds.
pub const PATIENCE_S: u64 = 30;
