//! Rewrites and slips, as one program.

mod rewrites;
mod slips;
