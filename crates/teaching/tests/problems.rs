//! Problems and the answers that are given to them, through the command line's protocol.
//!
//! A row is `problem ; options => answer (decimal) [method]`; the options are a task, `by METHOD`,
//! `for x`, `deg` and `assume ...`. With `HONEY_LADDER_BLESS=1` the answers of now are written down, to be
//! read line by line before they are committed.

#[path = "problems/solved.rs"]
mod solved;

use std::fmt::Write as _;
use std::path::Path;
use teaching::VerdictWord;
use teaching::check::{CheckRequest, answer as check};
use teaching::solve::{SolveAnswer, SolveRequest, answer};

fn request(row: &str) -> SolveRequest {
    let mut parts: Vec<&str> = row.split(" ;").map(str::trim).collect();
    let mut request =
        SolveRequest { problem: parts.remove(0).to_owned(), ..SolveRequest::default() };
    for option in parts {
        match option.split_once(' ') {
            Some(("assume", all)) => {
                request.assume = all.split('&').map(|one| one.trim().to_owned()).collect();
            }
            Some(("for", letter)) => request.unknown = Some(letter.to_owned()),
            Some(("by", method)) => request.method = Some(method.to_owned()),
            _ if option == "deg" => request.angle = Some("deg".into()),
            _ => request.task = Some(option.to_owned()),
        }
    }
    request
}

fn said(found: &SolveAnswer) -> String {
    match &found.error {
        Some(error) => format!("none: {}", error.says),
        None => {
            let decimal = found.decimal.as_ref().map(|d| format!(" ({d})")).unwrap_or_default();
            format!("{}{decimal} [{}]", found.answer, found.method)
        }
    }
}

/// Laws that every answer obeys, whatever the problem.
fn assert_lawful(row: &str, asked: &SolveRequest, found: &SolveAnswer) {
    if found.error.is_some() {
        assert!(found.lines.is_empty() && found.answer.is_empty(), "{row}: half an answer");
        return;
    }
    let (first, rest) = found.lines.split_first().expect("a working has lines");
    assert_eq!((first.role.as_str(), first.verdict), ("starts", VerdictWord::Given), "{row}");
    assert!(!rest.is_empty(), "{row}: a working without an answer");
    assert!(rest.iter().all(|line| line.verdict == VerdictWord::Holds), "{row}: {rest:?}");
    assert!(rest.iter().all(|line| !line.reason.is_empty()), "{row}: a line without a reason");
    assert_eq!(rest.last().map(|line| &line.math), Some(&found.answer), "{row}");
    assert!(found.methods.contains(&found.method), "{row}");
    // The answer as it is written is equivalent to the problem as it was typed.
    let verdict = check(&CheckRequest {
        from: asked.problem.clone(),
        to: Some(found.answer.clone()),
        unknown: asked.unknown.clone(),
        assume: asked.assume.clone(),
        angle: asked.angle.clone(),
        ..CheckRequest::default()
    });
    assert_eq!(verdict.verdict, "equivalent", "{row}: {} is read back", found.answer);
}

/// What is asked, and what is answered now; the laws are asserted on the way.
fn answered(row: &str) -> (String, String) {
    let asked = row.split_once(" => ").map_or(row, |(asked, _)| asked).trim_end();
    let request = request(asked);
    let found = answer(&request);
    assert_lawful(asked, &request, &found);
    (asked.to_owned(), said(&found))
}

#[test]
fn every_problem_gets_its_answer() {
    let mut wrong = String::new();
    for row in solved::ROWS {
        let (asked, now) = answered(row);
        if *row != format!("{asked} => {now}") {
            writeln!(wrong, "{row}\n   now: {now}").expect("a string takes it");
        }
    }
    if std::env::var_os("HONEY_LADDER_BLESS").is_some() {
        return bless();
    }
    assert!(wrong.is_empty(), "\n{wrong}");
}

/// Writes down what is answered now, row by row, and leaves the rest of the file as it is.
fn bless() {
    let path = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/problems/solved.rs");
    let source = std::fs::read_to_string(&path).expect("the table");
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
