//! Long tables of verdicts, one file a kind of mathematics, asked through the command line's protocol.
//!
//! A row is `from -> to ; options => what is said`; the options are `assume x > 0 & y > 0`, `for x`, `deg`,
//! `quantities` and `form ...`. Each row was looked at by a person before it was kept: with
//! `HONEY_LADDER_BLESS=1` the test writes down what is said now, to be read line by line before it is
//! committed.

#[path = "../tables/mod.rs"]
mod all;

use crate::asked::pair;
use crate::blessed;
use all::TABLES;
use protocol::check::{CheckAnswer, answer};
use std::fmt::Write as _;

fn said(found: &CheckAnswer) -> String {
    let mut text = found.verdict.name().replace('_', " ");
    if let Some(error) = &found.error {
        write!(text, ": {}", error.says).expect("a string takes it");
    }
    if let Some(domain) = &found.domain {
        write!(text, " where {domain}").expect("a string takes it");
    }
    for (name, values) in [("lost", &found.lost), ("gained", &found.gained)] {
        if !values.is_empty() {
            write!(text, "; {name} {}", values.join(", ")).expect("a string takes it");
        }
    }
    if let Some(shown) = &found.counterexample {
        let at: Vec<_> =
            shown.at.iter().map(|(letter, value)| format!("{letter} = {value}")).collect();
        let at = if at.is_empty() { String::new() } else { format!("{}: ", at.join(", ")) };
        write!(text, "; {at}{} against {}", shown.left, shown.right).expect("a string takes it");
    }
    if let Some(fits) = found.form_ok {
        text += if fits { " (right form)" } else { " (wrong form)" };
    }
    text
}

#[test]
fn every_row_gets_its_verdict() {
    let files: Vec<String> = TABLES.iter().map(|(name, _)| format!("tables/{name}.rs")).collect();
    let rows = files.iter().zip(TABLES).map(|(file, (_, rows))| (file.as_str(), *rows));
    blessed::check(&rows.collect::<Vec<_>>(), |asked| said(&answer(&pair(asked))));
}
