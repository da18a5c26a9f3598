//! Lines, mistakes and problems as schools write them, each with all that is right to say of it.
//!
//! A row marked `owed:` is right and not yet what is said. When it is mended its mark has to go: the test says so, and
//! with `HONEY_LADDER_BLESS=1` takes the mark off. A mark is never put on by a program.

#[path = "../school/lines.rs"]
mod lines;
#[path = "../school/slips.rs"]
mod slips;
#[path = "../school/traps.rs"]
mod traps;
#[path = "../school/typed.rs"]
mod typed;

use crate::asked::pair;
use protocol::check::{CheckAnswer, CheckRequest, Verdict, answer};
use protocol::solve::{SolveRequest, answer as solve};

/// What marks a row that is not answered rightly yet.
const OWED: &str = "owed: ";

/// Asserts that `right` holds for every row that is not owed, and for none that is.
fn check(file: &str, rows: &[&str], right: impl Fn(&str, &str) -> Result<(), String>) {
    let mut wrong = Vec::new();
    let mut paid = Vec::new();
    for row in rows {
        let plain = row.strip_prefix(OWED);
        let (asked, expected) =
            plain.unwrap_or(row).rsplit_once(" => ").expect("a row has two sides");
        match (right(&asked.replace('⏎', "\n"), expected), plain.is_some()) {
            (Err(said), false) => wrong.push(format!("{row}\n   now: {said}")),
            (Ok(()), true) => paid.push(*row),
            _ => {}
        }
    }
    if std::env::var_os("HONEY_LADDER_BLESS").is_some() && !paid.is_empty() {
        let path = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/school").join(file);
        let mut source = std::fs::read_to_string(&path).expect("a table");
        for row in std::mem::take(&mut paid) {
            let plain = row.strip_prefix(OWED).unwrap_or(row);
            source = source.replace(&format!("\"{row}\""), &format!("\"{plain}\""));
        }
        std::fs::write(&path, source).expect("the table is written");
    }
    assert!(wrong.is_empty(), "wrong now:\n{}", wrong.join("\n"));
    assert!(
        paid.is_empty(),
        "right now, take the mark off with HONEY_LADDER_BLESS=1:\n{}",
        paid.join("\n")
    );
}

/// Whether the values that are told are those that are right; `any` asks for some.
fn told(said: &[String], right: &str) -> bool {
    let mut said: Vec<&str> =
        said.iter().map(|value| value.rsplit('=').next().unwrap_or(value).trim()).collect();
    let mut right: Vec<&str> = right.split(", ").collect();
    said.sort_unstable();
    right.sort_unstable();
    if right == ["any"] { !said.is_empty() } else { said == right }
}

/// Whether all that a row asks for was said.
fn as_expected(found: &CheckAnswer, expected: &str) -> bool {
    let mut parts = expected.split("; ");
    let verdicts = parts.next().unwrap_or_default();
    if !verdicts.split(" | ").any(|verdict| verdict == found.verdict.name().replace('_', " ")) {
        return false;
    }
    found.verdict.name() == "unreadable"
        || parts.all(|part| match part.split_once(' ') {
            Some(("lost", values)) => told(&found.lost, values),
            Some(("gained", values)) => told(&found.gained, values),
            Some(("where", "any")) => found.domain.is_some(),
            Some(("where", domain)) => found.domain.as_deref() == Some(domain),
            _ => found.form_ok == Some(part == "right form"),
        })
}

#[test]
fn lines_get_a_verdict_that_is_right() {
    check("lines.rs", lines::ROWS, |asked, expected| {
        let found = answer(&pair(asked));
        if as_expected(&found, expected) { Ok(()) } else { Err(format!("{found:?}")) }
    });
}

#[test]
fn what_only_looks_right_is_refused() {
    check("traps.rs", traps::ROWS, |asked, expected| {
        let found = answer(&pair(asked));
        if as_expected(&found, expected) { Ok(()) } else { Err(format!("{found:?}")) }
    });
}

#[test]
fn every_rejection_says_why() {
    let rows = lines::ROWS.iter().chain(traps::ROWS).chain(slips::ROWS);
    let mut rejected = 0;
    for row in rows {
        let row = row.strip_prefix(OWED).unwrap_or(row);
        let asked = row.rsplit_once(" => ").expect("a row has two sides").0;
        let question = pair(&asked.replace('⏎', "\n"));
        let found = answer(&question);
        if found.verdict != Verdict::NotEquivalent {
            continue;
        }
        rejected += 1;
        let shown =
            found.counterexample.is_some() || !found.lost.is_empty() || !found.gained.is_empty();
        assert!(shown || found.reason.is_some(), "{row}: {found:?}");
        // A point names only what stands in the lines; the entries of points are called x, y and z.
        let lines = format!("{} {}", question.from, question.to.as_deref().unwrap_or(""));
        let letters = found.counterexample.iter().flat_map(|example| example.at.keys());
        let is_pair = lines.contains(',');
        for letter in letters.filter(|letter| letter.chars().count() == 1 && !is_pair) {
            assert!(lines.contains(letter.as_str()), "{row}: {letter} stands nowhere");
        }
    }
    assert!(rejected > 300, "{rejected}");
}

#[test]
fn mistakes_are_refused_and_named() {
    check("slips.rs", slips::ROWS, |asked, expected| {
        let found = answer(&pair(asked));
        assert_eq!(found.verdict.name(), "not_equivalent", "{asked}");
        let named = found.slip.as_ref().map(|slip| slip.id.as_str());
        let fits = named.is_some_and(|id| expected.split(" | ").any(|one| one == id));
        if fits || expected == "none of ours" { Ok(()) } else { Err(format!("{named:?}")) }
    });
}

/// Whether two answers say the same, however they are written.
fn is_same(one: &str, other: &str) -> bool {
    let (from, to) = (one.to_owned(), Some(other.to_owned()));
    let asked = CheckRequest { from, to, quantities: true, ..CheckRequest::default() };
    !other.is_empty() && answer(&asked).verdict.name() == "equivalent"
}

#[test]
fn problems_get_an_answer_that_is_right() {
    check("typed.rs", typed::ROWS, |asked, expected| {
        let task = Some("auto".to_owned());
        let found =
            solve(&SolveRequest { problem: asked.to_owned(), task, ..SolveRequest::default() });
        let fits =
            expected.split(" | ").any(|one| one == found.answer || is_same(one, &found.answer));
        if fits { Ok(()) } else { Err(found.error.map_or(found.answer, |error| error.says)) }
    });
}
