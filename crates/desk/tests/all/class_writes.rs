//! Answers as a class writes them, under a rung of every skill and stage: how many writings of the right answer are taken,
//! and that no writing of a wrong one ever is.
//!
//! The shares that are asked for are those that were reached; they only ever go up.

use desk::{DeskLine, Judgement, judge};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use std::collections::BTreeMap;
use teaching::verdict::VerdictWord;

/// Seeds of the ladders that are written on.
const SEEDS: [u64; 2] = [11, 230];

fn rungs() -> Vec<Rung> {
    let mut found = Vec::new();
    for skill in SKILLS {
        for seed in SEEDS {
            let skills = vec![skill.card().id.to_owned()];
            let order =
                LadderOrder { skills, grip: 2, tilt: 2, climb: 2, seed, ..LadderOrder::default() };
            found.extend(Ladder::make(&order).expect("every skill makes a ladder").rungs);
        }
    }
    found
}

fn written(rung: &Rung, line: &str) -> Judgement {
    judge(rung, &[DeskLine { text: line.to_owned(), latex: false }])
}

/// The number that a rung's answer is, where it is a whole number or a decimal.
fn number(rung: &Rung) -> Option<&str> {
    let value = rung.answer.value.as_str();
    value.parse::<f64>().is_ok().then_some(value)
}

/// What somebody writes for the value `value`.
fn writings(rung: &Rung, value: &str) -> Vec<(&'static str, String)> {
    let mut all = vec![
        ("the value alone", value.to_owned()),
        ("a value with a name", format!("A = {value}")),
        ("a sentence", format!("The answer is {value}.")),
        ("with spaces and a full stop", format!("  {value}. ")),
        ("behind an equals sign", format!("= {value}")),
    ];
    if let Some(unit) = &rung.answer.unit {
        all.push(("the value with its unit", format!("{value} {unit}")));
        all.push(("a sentence with its unit", format!("It is {value} {unit}.")));
    }
    if !rung.unknown.is_empty() {
        all.push(("the unknown", format!("{} = {value}", rung.unknown)));
    }
    all
}

/// How many in a hundred of these are taken today, at least.
const TAKEN: &[(&str, usize)] = &[
    ("the value alone", 60),
    ("a value with a name", 11),
    ("a sentence", 0),
    ("with spaces and a full stop", 60),
    ("behind an equals sign", 60),
    ("the value with its unit", 0),
    ("a sentence with its unit", 0),
    ("the unknown", 100),
    ("the answer of the key", 73),
];

#[test]
fn right_answers_are_taken_however_they_are_written() {
    let mut shares: BTreeMap<&str, (usize, usize)> = BTreeMap::new();
    for rung in rungs() {
        let mut all = vec![("the answer of the key", rung.answer.text.clone())];
        if let Some(value) = number(&rung) {
            all.extend(writings(&rung, value));
        }
        for (kind, line) in all {
            let share = shares.entry(kind).or_default();
            share.0 += usize::from(written(&rung, &line).answered);
            share.1 += 1;
        }
    }
    let mut fewer = Vec::new();
    for (kind, asked) in TAKEN {
        let (taken, of) = shares[kind];
        println!("{kind}: {taken} of {of}");
        if taken * 100 < asked * of {
            fewer.push(format!("{kind}: {taken} of {of}, not {asked} in a hundred"));
        }
    }
    assert_eq!(shares.len(), TAKEN.len());
    assert!(fewer.is_empty(), "{fewer:#?}");
}

#[test]
fn a_wrong_value_is_never_an_answer() {
    let mut taken = Vec::new();
    for rung in rungs() {
        let Some(value) = number(&rung) else { continue };
        let right: f64 = value.parse().expect("a number");
        for wrong in [right + 1.0, right - 1.0, -right, right * 10.0, right / 10.0, right + 0.1] {
            if (wrong - right).abs() < 1e-9 {
                continue;
            }
            // As many places as anybody writes.
            let wrong = format!("{}", (wrong * 1e6).round() / 1e6);
            for (kind, line) in writings(&rung, &wrong) {
                let judged = written(&rung, &line);
                if judged.answered || judged.finished {
                    taken.push(format!(
                        "{}: {line} ({kind}), {value} is right: {}",
                        rung.skill, rung.prompt
                    ));
                }
            }
        }
    }
    assert!(taken.is_empty(), "{}: {taken:#?}", taken.len());
}

#[test]
fn a_right_value_with_a_wrong_unit_is_never_an_answer() {
    let mut taken = Vec::new();
    for rung in rungs() {
        let (Some(value), Some(unit)) = (number(&rung), &rung.answer.unit) else { continue };
        let wrong = ["kg", "m", "cm²", "h", "jars"].into_iter().filter(|wrong| wrong != unit);
        for wrong in wrong {
            for line in [
                format!("{value} {wrong}"),
                format!("A = {value} {wrong}"),
                format!("It is {value} {wrong}."),
            ] {
                let judged = written(&rung, &line);
                if judged.answered || judged.finished {
                    taken.push(format!("{}: {line}, in {unit}: {}", rung.skill, rung.prompt));
                }
            }
        }
    }
    assert!(taken.is_empty(), "{}: {taken:#?}", taken.len());
}

/// Whatever a line is, it gets a verdict with its reason, the same one each time, and no line above it changes.
#[test]
fn any_line_gets_the_same_verdict_each_time_and_one_that_breaks_a_reason() {
    let lines = [
        "0",
        "x = 1",
        "1 = 1",
        "So I think it is more.",
        "2 + 2 = 5",
        "x",
        "?",
        "7 kg",
        "yes",
        "because of the bees",
        "3/0",
        "true",
    ];
    for rung in rungs().into_iter().step_by(5) {
        for line in lines {
            let judged = written(&rung, line);
            assert_eq!(judged, written(&rung, line), "{}: {line}", rung.prompt);
            assert_eq!(judged.lines.len(), 1);
            let verdict = &judged.lines[0].verdict;
            if matches!(verdict.word, VerdictWord::Breaks | VerdictWord::CantRead) {
                assert!(!verdict.says.is_empty(), "{}: {line} breaks for no reason", rung.prompt);
            }
            let two = [line, "x = 7"].map(|text| DeskLine { text: text.to_owned(), latex: false });
            assert_eq!(judge(&rung, &two).lines[0].verdict, *verdict, "{}: {line}", rung.prompt);
        }
    }
}

/// The working of the key, written line by line, is never told that it breaks.
#[test]
fn the_working_of_the_key_holds() {
    let mut broken = Vec::new();
    for rung in rungs() {
        let lines: Vec<DeskLine> = rung
            .working
            .iter()
            .filter(|line| line.latex.is_some())
            .map(|line| DeskLine { text: line.math.clone(), latex: false })
            .collect();
        let judged = judge(&rung, &lines);
        for (line, judged) in lines.iter().zip(&judged.lines) {
            if judged.verdict.word == VerdictWord::Breaks {
                broken.push(format!(
                    "{}: {} of {}: {}",
                    rung.skill, line.text, rung.prompt, judged.verdict.says
                ));
            }
        }
    }
    println!("{} lines of keys break", broken.len());
    assert!(broken.is_empty(), "{}: {broken:#?}", broken.len());
}
