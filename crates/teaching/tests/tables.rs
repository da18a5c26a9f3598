//! Long tables of verdicts, one file a kind of mathematics, asked through the command line's protocol.
//!
//! A row is `from -> to ; options => what is said`; the options are `assume x > 0 & y > 0`, `for x`, `deg`,
//! `quantities` and `form ...`. Each row was looked at by a person before it was kept: with
//! `HONEY_LADDER_BLESS=1` the test writes down what is said now, to be read line by line before it is
//! committed.

#[path = "tables/mod.rs"]
mod all;

use all::TABLES;
use std::fmt::Write as _;
use std::path::Path;
use teaching::check::{CheckAnswer, CheckRequest, answer};

fn said(found: &CheckAnswer) -> String {
    let mut text = found.verdict.replace('_', " ");
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

fn request(row: &str) -> CheckRequest {
    let mut parts: Vec<&str> = row.split(" ;").map(str::trim).collect();
    let lines = parts.remove(0);
    let (from, to) = match lines.split_once(" -> ") {
        Some((from, to)) => (from.trim().to_owned(), Some(to.trim().to_owned())),
        None => (lines.to_owned(), None),
    };
    let mut request = CheckRequest { from, to, ..CheckRequest::default() };
    for option in parts {
        match option.split_once(' ') {
            Some(("assume", all)) => {
                request.assume = all.split('&').map(|one| one.trim().to_owned()).collect();
            }
            Some(("for", letter)) => request.unknown = Some(letter.to_owned()),
            Some(("form", form)) => request.form = Some(form.to_owned()),
            _ if option == "deg" => request.angle = Some("deg".into()),
            _ if option == "quantities" => request.quantities = true,
            _ => panic!("no option: {option} in {row}"),
        }
    }
    request
}

/// What is asked, and what is said now.
fn answered(row: &str) -> (String, String) {
    let asked = row.split_once(" => ").map_or(row, |(asked, _)| asked).trim_end();
    (asked.to_owned(), said(&answer(&request(asked))))
}

#[test]
fn every_row_gets_its_verdict() {
    let mut wrong = String::new();
    for (_, rows) in TABLES {
        for row in *rows {
            let (asked, now) = answered(row);
            if *row != format!("{asked} => {now}") {
                writeln!(wrong, "{row}\n   now: {now}").expect("a string takes it");
            }
        }
    }
    if std::env::var_os("HONEY_LADDER_BLESS").is_some() {
        return bless();
    }
    assert!(wrong.is_empty(), "\n{wrong}");
}

/// Writes down what is said now, row by row, and leaves the rest of each file as it is.
fn bless() {
    let folder = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/tables");
    for (name, _) in TABLES {
        let path = folder.join(format!("{name}.rs"));
        let source = std::fs::read_to_string(&path).expect("a table");
        let mut written = String::new();
        for line in source.lines() {
            let row = line.strip_prefix("    r\"").and_then(|row| row.strip_suffix("\","));
            match row.map(answered) {
                Some((asked, now)) => writeln!(written, "    r\"{asked} => {now}\","),
                None => writeln!(written, "{line}"),
            }
            .expect("a string takes it");
        }
        std::fs::write(&path, written).expect("the table is written");
    }
}
