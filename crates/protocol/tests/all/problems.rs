//! Problems and the answers that are given to them, through the command line's protocol.
//!
//! A row is `problem ; options => answer (decimal) [method]`; the options are a task, `by METHOD`,
//! `for x`, `deg` and `assume ...`. With `HONEY_LADDER_BLESS=1` the answers of now are written down, to be
//! read line by line before they are committed.

#[path = "../problems/solved.rs"]
mod solved;

use crate::{asked, blessed};
use protocol::check::{CheckRequest, answer as check};
use protocol::solve::{SolveAnswer, SolveRequest, answer};
use teaching::VerdictWord;

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
    assert_eq!((first.role.name(), first.verdict), ("starts", VerdictWord::Given), "{row}");
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
    assert_eq!(verdict.verdict.name(), "equivalent", "{row}: {} is read back", found.answer);
}

#[test]
fn every_problem_gets_its_answer() {
    blessed::check(&[("problems/solved.rs", solved::ROWS)], |row| {
        let request = asked::request(row);
        let found = answer(&request);
        assert_lawful(row, &request, &found);
        said(&found)
    });
}
