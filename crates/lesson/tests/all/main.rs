//! Lessons and benches, as one program.

mod bench;
mod examples;
