//! Whole workings as they would be written on a board, every line of them looked at by a person.
//!
//! A row is `problem ; options => line {reason} -> line {reason}`. With `HONEY_LADDER_BLESS=1` the workings of now
//! are written down, to be read before they are committed.

#[path = "problems/boards.rs"]
mod rows;

mod blessed;

use teaching::solve::{SolveRequest, answer};

#[test]
fn every_working_is_written_as_it_was_looked_at() {
    blessed::check(&[("problems/boards.rs", rows::ROWS)], |asked| {
        let mut parts = asked.split(" ;").map(str::trim);
        let problem = parts.next().unwrap_or_default().to_owned();
        let mut request = SolveRequest { problem, ..SolveRequest::default() };
        for option in parts {
            match option.split_once(' ') {
                Some(("by", method)) => request.method = Some(method.into()),
                Some(("for", letter)) => request.unknown = Some(letter.into()),
                Some(("assume", line)) => request.assume.push(line.into()),
                _ if option == "deg" => request.angle = Some("deg".into()),
                _ => request.task = Some(option.into()),
            }
        }
        let found = answer(&request);
        if let Some(error) = found.error {
            return error.says;
        }
        let lines = found.lines.iter().skip(1);
        let lines = lines.map(|line| format!("{} {{{}}}", line.math, line.reason));
        lines.collect::<Vec<_>>().join(" -> ")
    });
}
