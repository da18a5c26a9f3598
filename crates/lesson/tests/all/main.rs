//! Lessons and benches, as one program.

mod bench;
mod examples;
mod long_walks;
