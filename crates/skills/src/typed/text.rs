//! Reading a task that is typed in words: its numbers with their units, its words, and what stands between them.

mod amount;
mod loose;
mod pattern;
mod token;

pub(super) use amount::{Amount, Measure, written};
pub(super) use loose::Loose;
pub(super) use pattern::{Found, Pattern};
pub(super) use token::{Kind, Token, tokens};
