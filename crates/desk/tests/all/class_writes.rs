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

/// The number of an answer that may have its unit with it: `56 mm`.
fn amount(rung: &Rung) -> Option<&str> {
    let value = rung.answer.value.as_str();
    let unit = rung.answer.unit.as_deref().unwrap_or_default();
    let value = value.strip_suffix(unit).map_or(value, str::trim_end);
    value.parse::<f64>().is_ok().then_some(value)
}

/// What somebody writes for the value `value`.
fn writings(rung: &Rung, value: &str) -> Vec<(&'static str, String)> {
    // A problem that asks for x is answered by x.
    let asks_letter = !rung.unknown.is_empty() && rung.prompt.contains(&rung.unknown);
    let name = if asks_letter { rung.unknown.as_str() } else { "A" };
    let mut all = vec![
        ("the value alone", value.to_owned()),
        ("a value with a name", format!("{name} = {value}")),
        ("a sentence", format!("The answer is {value}.")),
        ("with spaces and a full stop", format!("  {value}. ")),
        ("behind an equals sign", format!("= {value}")),
        ("behind a word and a colon", format!("Ans: {value}")),
        ("a word that equals it", format!("answer = {value}")),
        ("so it is", format!("So it is {value}")),
    ];
    if let Some(unit) = &rung.answer.unit {
        all.push(("the value with its unit", format!("{value} {unit}")));
        all.push(("a sentence with its unit", format!("It is {value} {unit}.")));
        all.push(("a name and a unit", format!("A = {value} {unit}")));
    }
    if !rung.unknown.is_empty() {
        all.push(("the unknown", format!("{} = {value}", rung.unknown)));
    }
    all
}

/// How many in a hundred of these are taken, at least.
const TAKEN: usize = 99;

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
    let fewer: Vec<String> = shares
        .iter()
        .filter(|(_, (taken, of))| taken * 100 < TAKEN * of)
        .map(|(kind, (taken, of))| format!("{kind}: {taken} of {of}"))
        .collect();
    assert_eq!(shares.len(), 13);
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
        let (Some(value), Some(unit)) = (amount(&rung), &rung.answer.unit) else { continue };
        // A unit in another of its names is the right one.
        let is_same = |wrong: &str| {
            unit.starts_with(wrong)
                || unit.ends_with(wrong)
                || (wrong == "kg" && unit == "kilograms")
        };
        let wrong = ["kg", "m", "cm²", "h", "jars", "elephants"]
            .into_iter()
            .filter(|wrong| !is_same(wrong))
            .map(str::to_owned);
        // The same unit squared is another one.
        let squared = ["²", "³", "^2"].map(|power| format!("{unit}{power}"));
        let has_powers = !unit.contains(['²', '³', '°', '%', ' ']);
        for wrong in wrong.chain(squared.into_iter().filter(|_| has_powers)) {
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

/// What somebody writes under a problem that an expression works: lines, and whether they answer.
fn ways_of_an_expression(rung: &Rung, value: &str) -> Vec<(Vec<String>, bool)> {
    let line = &rung.line;
    let mut ways = vec![
        (vec![line.clone()], false),
        (vec![format!("A = {line}")], false),
        (vec![format!("{line} = {value}")], true),
        (vec![format!("A = {line} = {value}")], true),
        (vec![format!("A = {line}"), format!("A = {value}")], true),
        (vec![format!("total = {line} = {value}")], true),
        (vec![line.clone(), value.to_owned()], true),
        (vec!["999 + 1 = 1000".into(), value.to_owned()], true),
        (
            vec![
                "I think about it first.".into(),
                format!("{line} = {value}"),
                format!("It is {value}."),
            ],
            true,
        ),
    ];
    if let Some(unit) = &rung.answer.unit {
        ways.push((vec![format!("{line} = {value} {unit}")], true));
        ways.push((vec![format!("A = {line} = {value} {unit}")], true));
        ways.push((vec![format!("{line} = {value}"), format!("It is {value} {unit}.")], true));
    }
    ways
}

/// The same under a problem that an equation works.
fn ways_of_an_equation(rung: &Rung, value: &str) -> Vec<(Vec<String>, bool)> {
    let (line, letter) = (&rung.line, &rung.unknown);
    let mut ways = vec![
        (vec![line.clone()], false),
        (vec![line.clone(), format!("{letter} = {value}")], true),
        (vec![format!("{letter} = {value}")], true),
        (vec![value.to_owned()], true),
        (vec![line.clone(), format!("So {letter} = {value}.")], true),
    ];
    if let Some((left, right)) = line.split_once(" = ").filter(|(_, right)| !right.contains('=')) {
        ways.push((vec![format!("{right} = {left}"), format!("{letter} = {value}")], true));
    }
    if let (true, Some(unit)) = (rung.story, &rung.answer.unit) {
        ways.push((vec![line.clone(), format!("{letter} = {value} {unit}")], true));
        ways.push((
            vec![line.clone(), format!("{letter} = {value}"), format!("It is {value} {unit}.")],
            true,
        ));
        ways.push((
            vec![
                format!("Let {letter} be what is asked."),
                line.clone(),
                format!("{letter} = {value}"),
            ],
            true,
        ));
    }
    ways
}

fn on_desk(rung: &Rung, lines: &[String]) -> Judgement {
    let lines: Vec<DeskLine> =
        lines.iter().map(|text| DeskLine { text: text.clone(), latex: false }).collect();
    judge(rung, &lines)
}

#[test]
fn lines_that_lead_to_the_answer_never_break() {
    let (mut all, mut missed) = (0, Vec::new());
    for rung in rungs() {
        let Some(value) = number(&rung) else { continue };
        let is_plain = !rung.line.is_empty() && !rung.line.contains(['≤', '≥', '<', '>', ';']);
        let ways = match (rung.unknown.is_empty(), is_plain) {
            (true, true) if !rung.line.contains('=') => ways_of_an_expression(&rung, value),
            (false, true) if rung.line.contains('=') => ways_of_an_equation(&rung, value),
            _ => continue,
        };
        for (lines, answers) in ways {
            all += 1;
            let judged = on_desk(&rung, &lines);
            let breaks = judged.lines.iter().any(|line| line.verdict.word.is_wrong());
            if breaks || (answers && !judged.answered) {
                let says: Vec<&str> =
                    judged.lines.iter().map(|line| line.verdict.says.as_str()).collect();
                missed.push(format!(
                    "{}: {lines:?} under {} ({}): {says:?}",
                    rung.skill, rung.prompt, rung.line
                ));
            }
        }
    }
    assert!(all > 2_000, "{all}");
    assert!(missed.len() * 100 <= all, "{} of {all}: {missed:#?}", missed.len());
}

/// A calculation that does not come out breaks, and no wrong value at the end of one answers.
#[test]
fn a_calculation_with_a_wrong_end_breaks() {
    let mut taken = Vec::new();
    for rung in rungs() {
        let Some(value) = number(&rung) else { continue };
        if !rung.unknown.is_empty()
            || rung.line.is_empty()
            || rung.line.contains(['=', '<', '>', '≤', '≥'])
        {
            continue;
        }
        let right: f64 = value.parse().expect("a number");
        let wrong = format!("{}", ((right + 1.0) * 1e6).round() / 1e6);
        for (lines, answers) in ways_of_an_expression(&rung, &wrong) {
            let judged = on_desk(&rung, &lines);
            let sound = judged.lines.iter().all(|line| !line.verdict.word.is_wrong());
            if judged.answered
                || (answers
                    && sound
                    && lines.iter().any(|line| line.contains(&format!("{} =", rung.line))))
            {
                taken.push(format!("{}: {lines:?} under {}", rung.skill, rung.prompt));
            }
        }
    }
    assert!(taken.is_empty(), "{}: {taken:#?}", taken.len());
}

/// The value that a slip leads to is told what the slip says, by its name.
#[test]
fn the_value_of_a_slip_is_known_by_it() {
    let (mut named, mut all, mut taken) = (0, 0, Vec::new());
    for rung in rungs() {
        let Some(value) = number(&rung) else { continue };
        for choice in
            rung.choices.iter().filter(|choice| !choice.right && choice.text.parse::<f64>().is_ok())
        {
            let Some(slip) = choice.slip else { continue };
            let judged = written(&rung, &choice.text);
            if judged.answered {
                taken.push(format!(
                    "{}: {} for {value} of {}",
                    rung.skill, choice.text, rung.prompt
                ));
            }
            all += 1;
            named += usize::from(judged.lines[0].slip == Some(slip));
        }
    }
    assert!(taken.is_empty(), "{taken:#?}");
    println!("{named} of {all} slips are named");
    assert!(all > 100 && named * 100 >= 85 * all, "{named} of {all}");
}
