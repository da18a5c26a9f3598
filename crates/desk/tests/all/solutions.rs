//! Whole solutions under rungs of many skills, each line with the verdict that is right.
//!
//! The rungs are kept beside the table, so that a catalogue that draws other numbers changes nothing here.

use crate::solutions_table::ALL;
use desk::{DeskLine, judge};
use serde::Deserialize;
use skills::ladder::Rung;
use std::collections::BTreeMap;
use teaching::verdict::VerdictWord;

#[derive(Deserialize)]
struct Kept {
    name: String,
    rung: Rung,
}

fn rungs() -> BTreeMap<String, Rung> {
    let kept: Vec<Kept> =
        serde_json::from_str(include_str!("solutions.json")).expect("rungs as JSON");
    kept.into_iter().map(|kept| (kept.name, kept.rung)).collect()
}

const fn word(verdict: VerdictWord) -> &'static str {
    match verdict {
        VerdictWord::Holds | VerdictWord::HoldsSoFar | VerdictWord::Given => "holds",
        VerdictWord::Breaks => "breaks",
        VerdictWord::CantTell => "kept",
        VerdictWord::CantRead => "unread",
        VerdictWord::DropsSolution => "drops",
        VerdictWord::AddsSolution => "adds",
    }
}

/// What is said of the lines of solutions under a rung that is not what stands behind them.
pub fn misjudged(name: &str, rung: &Rung, solutions: &[&[&str]]) -> Vec<String> {
    let mut wrong = Vec::new();
    for solution in solutions {
        let answers = solution.last() == Some(&"answered");
        let rows: Vec<(&str, &str)> =
            solution.iter().filter_map(|row| row.rsplit_once(" => ")).collect();
        let lines: Vec<DeskLine> = rows
            .iter()
            .map(|(text, _)| DeskLine { text: (*text).to_owned(), latex: false })
            .collect();
        let judged = judge(rung, &lines);
        for ((text, expected), line) in rows.iter().zip(&judged.lines) {
            let found = word(line.verdict.word);
            if found != *expected {
                let says = &line.verdict.says;
                wrong.push(format!("{name}: {text} is {found}, not {expected}: {says}"));
            }
        }
        if judged.answered != answers {
            wrong.push(format!("{name}: {rows:?} answers: {}", judged.answered));
        }
    }
    wrong
}

#[test]
fn every_line_gets_the_verdict_that_is_right() {
    let rungs = rungs();
    let wrong: Vec<String> = ALL
        .iter()
        .flat_map(|(name, solutions)| misjudged(name, &rungs[*name], solutions))
        .collect();
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

/// What the screen sends is LaTeX: the same line typed into the mathematics field is judged alike.
#[test]
fn a_line_of_the_mathematics_field_is_judged_as_the_typed_one() {
    let rungs = rungs();
    for (name, typed, latex) in [
        ("area.triangle/grip", "A = 330 cm²", r"A=330\operatorname{cm}^2"),
        ("area.triangle/grip", "30 × 22 = 660", r"30\times22=660"),
        ("area.triangle/grip", "A = 30 × 22 / 2", r"A=\frac{30\times22}{2}"),
        ("ratio.missing-term/climb", "16 patches", r"16\:patches"),
        ("ratio.missing-term/climb", "They visit 16 patches.", r"They\:visit\:16\:patches."),
        ("ratio.missing-term/climb", "x/28 = 4/7", r"\frac{x}{28}=\frac47"),
        ("pythagoras/climb", "√25 = 5", r"\sqrt{25}=5"),
        ("area.composite/climb", "$606", r"\$606"),
        ("percent.part/climb", "35/100 × 700 = 245", r"\frac{35}{100}\times700=245"),
        ("percent.rate/grip", "42%", r"42\%"),
    ] {
        let judged = [(typed, false), (latex, true)].map(|(text, latex)| {
            let judged = judge(&rungs[name], &[DeskLine { text: text.to_owned(), latex }]);
            (judged.lines[0].verdict.word, judged.answered)
        });
        assert_eq!(judged[0], judged[1], "{name}: {typed} and {latex}");
    }
}

/// However many solutions stand here, each rung has one that answers and the table has wrong ones.
#[test]
fn the_table_holds_right_and_wrong_ones() {
    let all: Vec<_> = ALL.iter().flat_map(|(_, solutions)| solutions.iter()).collect();
    let answered = all.iter().filter(|solution| solution.last() == Some(&"answered")).count();
    assert!(
        all.len() > 140 && answered > 80 && all.len() - answered > 30,
        "{answered} of {}",
        all.len()
    );
}

/// Lines that are long are answered as before anybody listened to words: the work on them is bounded.
#[test]
fn long_lines_of_numbers_and_words_are_not_heard() {
    let rung = &rungs()["area.triangle/grip"];
    let long = ["1 2 3 ".repeat(2_000), "x 1 ".repeat(3_000), "it is 330 or ".repeat(900)];
    let lines: Vec<DeskLine> = long
        .iter()
        .cycle()
        .take(60)
        .map(|text| DeskLine { text: text.clone(), latex: false })
        .collect();
    assert!(!judge(rung, &lines).answered);
}
