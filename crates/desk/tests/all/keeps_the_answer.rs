//! The desk keeps the answer: somebody writes wrong lines, reads what is said of them, and hands that in.
//!
//! Only the strongest hint of a line may come near: below it, nothing that is said under a wrong line is the answer.

use desk::{DeskLine, JudgedLine, Judgement, judge};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use std::collections::{BTreeMap, BTreeSet};

fn rungs(seed: u64) -> Vec<Rung> {
    let ladder = |id: &str| {
        let skills = vec![id.to_owned()];
        let order =
            LadderOrder { skills, grip: 2, tilt: 2, climb: 2, seed, ..LadderOrder::default() };
        Ladder::make(&order).expect("every skill makes a ladder").rungs
    };
    SKILLS.iter().flat_map(|skill| ladder(skill.card().id)).collect()
}

fn lines(texts: &[&str]) -> Vec<DeskLine> {
    texts.iter().map(|text| DeskLine { text: (*text).to_owned(), latex: false }).collect()
}

/// What a student tries who does not know.
fn tries(rung: &Rung) -> Vec<String> {
    let letter = if rung.unknown.is_empty() { "x" } else { &rung.unknown };
    let mut all: Vec<String> = [
        "0",
        "1",
        "7",
        "100",
        "1/2",
        "0.5",
        "true",
        "false",
        "yes",
        "no",
        "none",
        "more",
        "less",
        "both",
        "A",
        "12 cm",
        "50%",
        "x + 1",
        "no solution",
    ]
    .map(str::to_owned)
    .to_vec();
    all.extend([
        format!("{letter} = 1"),
        format!("{letter} = -2"),
        format!("{letter} = 0.3"),
        format!("{letter} > 3"),
        format!("{letter} = 1 or {letter} = 2"),
    ]);
    // Steps of the working with a number that is off by one.
    for line in rung.working.iter().filter(|line| line.latex.is_some()) {
        if let Some(at) = line.math.rfind(|sign: char| sign.is_ascii_digit()) {
            let digit = line.math.as_bytes()[at] - b'0';
            all.push(format!("{}{}{}", &line.math[..at], (digit + 1) % 10, &line.math[at + 1..]));
        }
    }
    all
}

/// All that is said of a line before its strongest hint.
fn said_of(line: &JudgedLine) -> Vec<String> {
    let verdict = &line.verdict;
    let hints = line.hints.split_last().map_or(&[][..], |(_, weaker)| weaker);
    let texts = [&verdict.says, &verdict.made, &line.note, &verdict.domain];
    let mended = line.error.as_ref().and_then(|error| error.mended.clone());
    texts.into_iter().cloned().chain(hints.iter().cloned()).chain(mended).collect()
}

/// All that is said before the strongest help to go on.
fn said(judged: &Judgement) -> Vec<String> {
    let next = judged.next.split_last().map_or(&[][..], |(_, weaker)| weaker);
    judged.lines.iter().flat_map(said_of).chain(next.iter().cloned()).collect()
}

/// The pieces of a text that could be handed in: its mathematics, its numbers, and itself.
fn pieces(text: &str) -> BTreeSet<String> {
    let mut all: BTreeSet<String> = text.split('$').skip(1).step_by(2).map(str::to_owned).collect();
    let number = |sign: char| sign.is_ascii_digit() || matches!(sign, '.' | '/' | '-' | '%' | '√');
    all.extend(
        text.split(|sign| !number(sign)).map(|piece| piece.trim_end_matches('.').to_owned()),
    );
    all.extend(text.split(|sign: char| !sign.is_alphabetic()).map(str::to_owned));
    all.insert(text.to_owned());
    all.retain(|piece| !piece.is_empty() && piece.len() < 200);
    all
}

fn answers(rung: &Rung, piece: &str) -> bool {
    // Without a backslash, the mathematics field says what was typed.
    let writings: &[bool] = if piece.contains('\\') { &[false, true] } else { &[false] };
    writings.iter().any(|&latex| {
        let line = DeskLine { text: piece.to_owned(), latex };
        judge(rung, &[line]).answered
    })
}

#[test]
fn what_is_said_of_a_wrong_line_is_not_the_answer() {
    let mut leaks: BTreeMap<String, Vec<String>> = BTreeMap::new();
    for rung in rungs(41) {
        // What stands in the problem, or was tried, is no secret.
        let mut known = pieces(&rung.prompt);
        let mut tried: BTreeMap<String, bool> = BTreeMap::new();
        for line in tries(&rung) {
            let judged = judge(&rung, &lines(&[&line]));
            if judged.answered {
                known.extend(pieces(&line));
                continue;
            }
            known.extend(pieces(&line));
            // `1/2` is said as a fraction, with its numbers apart.
            known.extend(pieces(&line.replace('/', " ")));
            for text in said(&judged) {
                for piece in pieces(&text).difference(&known) {
                    let is_answer =
                        *tried.entry(piece.clone()).or_insert_with(|| answers(&rung, piece));
                    if is_answer {
                        let leak = format!(
                            "{}: after “{line}” it says “{text}”, and “{piece}” is the answer",
                            rung.prompt
                        );
                        leaks
                            .entry(format!("{} {:?}", rung.skill, rung.stage))
                            .or_default()
                            .push(leak);
                    }
                }
            }
        }
    }
    let all: usize = leaks.values().map(Vec::len).sum();
    for (skill, leaks) in &leaks {
        println!("{skill}: {} given away; {}", leaks.len(), leaks[0]);
    }
    assert_eq!(all, 0, "{leaks:#?}");
}

/// In a working of some lines, too: a right line, then a wrong one, then whatever was said.
#[test]
fn what_is_said_of_a_line_below_a_right_one_is_not_the_answer() {
    let mut leaks = Vec::new();
    for rung in
        rungs(17).into_iter().filter(|rung| rung.working.len() > 2 && !rung.story).step_by(2)
    {
        let first = &rung.working[1].math;
        let mut known = pieces(&rung.prompt);
        // Of a right claim it says that it is true, whatever is asked.
        known.extend(["true", "false", "yes", "no"].map(str::to_owned));
        known.extend(pieces(first));
        let mut tried: BTreeMap<String, bool> = BTreeMap::new();
        for line in tries(&rung).into_iter().rev().take(6) {
            let judged = judge(&rung, &lines(&[first, &line]));
            known.extend(pieces(&line));
            if judged.answered {
                continue;
            }
            let given = said(&judged)
                .into_iter()
                .flat_map(|text| pieces(&text))
                .filter(|piece| !known.contains(piece));
            let mut read_off = Vec::new();
            for piece in given {
                if *tried.entry(piece.clone()).or_insert_with(|| answers(&rung, &piece)) {
                    read_off.push(piece);
                }
            }
            if !read_off.is_empty() {
                leaks.push(format!(
                    "{}: {} after {first} and {line}",
                    rung.prompt,
                    read_off.join(", ")
                ));
            }
        }
    }
    assert!(leaks.is_empty(), "{}: {leaks:#?}", leaks.len());
}

/// Every text that is written in a picture.
fn texts(value: &serde_json::Value, all: &mut BTreeSet<String>) {
    match value {
        serde_json::Value::String(text) => all.extend(pieces(text)),
        serde_json::Value::Array(list) => list.iter().for_each(|one| texts(one, all)),
        serde_json::Value::Object(fields) => fields.values().for_each(|one| texts(one, all)),
        _ => {}
    }
}

#[test]
fn what_the_picture_of_a_problem_shows_is_not_the_answer() {
    let mut leaks: BTreeMap<String, Vec<String>> = BTreeMap::new();
    for rung in (1..7).flat_map(rungs) {
        let mut shown = BTreeSet::new();
        let mut figure = serde_json::to_value(&rung.figure).expect("JSON");
        if let Some(fields) = figure.as_object_mut() {
            fields.remove("kind");
        }
        texts(&figure, &mut shown);
        let known = pieces(&rung.prompt);
        let read_off: Vec<&String> =
            shown.difference(&known).filter(|piece| answers(&rung, piece)).collect();
        if !read_off.is_empty() {
            let leak = format!("{}: {read_off:?} in {figure}", rung.prompt);
            leaks.entry(format!("{} {:?}", rung.skill, rung.stage)).or_default().push(leak);
        }
    }
    for (skill, leaks) in &leaks {
        println!("{skill}: {} given away; {}", leaks.len(), leaks[0]);
    }
    assert!(leaks.is_empty(), "{:?}", leaks.keys());
}
