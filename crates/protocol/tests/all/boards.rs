//! Whole workings as they would be written on a board, every line of them looked at by a person.
//!
//! A row is `problem ; options => line {reason} -> line {reason}`. With `HONEY_LADDER_BLESS=1` the workings of now
//! are written down, to be read before they are committed.

#[path = "../problems/boards.rs"]
mod rows;

use crate::{asked, blessed};
use protocol::solve::answer;

#[test]
fn every_working_is_written_as_it_was_looked_at() {
    blessed::check(&[("problems/boards.rs", rows::ROWS)], |row| {
        let found = answer(&asked::request(row));
        if let Some(error) = found.error {
            return error.says;
        }
        let lines = found.lines.iter().skip(1);
        let lines = lines.map(|line| format!("{} {{{}}}", line.math, line.reason));
        lines.collect::<Vec<_>>().join(" -> ")
    });
}
