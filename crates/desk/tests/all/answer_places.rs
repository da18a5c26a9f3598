//! The place for an answer: under every skill and stage the right answer is taken as its kind is entered, and no wrong one.

use desk::{DeskLine, GivenAnswer, Judgement, LineEnd, LinePart, judge_with};
use skills::SKILLS;
use skills::ladder::{FlawedLine, FlawedWorking, Ladder, LadderOrder, Rung};
use std::collections::BTreeMap;
use teaching::answer::AnswerKind;
use teaching::verdict::VerdictWord;

fn rungs() -> Vec<Rung> {
    let mut found = Vec::new();
    for skill in SKILLS {
        for seed in [11, 230] {
            let skills = vec![skill.card().id.to_owned()];
            let order =
                LadderOrder { skills, grip: 2, tilt: 6, climb: 4, seed, ..LadderOrder::default() };
            found.extend(Ladder::make(&order).expect("every skill makes a ladder").rungs);
        }
    }
    found
}

fn given(rung: &Rung, answer: &GivenAnswer) -> Judgement {
    judge_with(rung, &[], Some(answer))
}

fn line(text: &str) -> DeskLine {
    DeskLine { text: text.to_owned(), latex: false }
}

fn number(text: &str, unit: &str) -> GivenAnswer {
    GivenAnswer::Number { number: line(text), unit: unit.to_owned() }
}

/// The line that a broken one should be: the first of the key's below the problem.
fn mended(rung: &Rung) -> Option<DeskLine> {
    rung.working.iter().filter(|line| line.carries()).nth(1).map(|found| line(&found.math))
}

/// The right answer as its kind is entered, and wrong ones.
fn answers(rung: &Rung) -> Option<(GivenAnswer, Vec<GivenAnswer>)> {
    let value = rung.answer.value.as_str();
    let unit = rung.answer.unit.as_deref().unwrap_or_default();
    Some(match rung.kind() {
        AnswerKind::Number { .. } => (number(value, ""), vec![number("1234567", "")]),
        AnswerKind::Quantity { units, .. } => {
            // "6 ways": what it counts is its unit.
            let (told, unit) = match value.split_once(' ') {
                Some((told, noun)) if unit.is_empty() => (told, noun),
                _ => (value, unit),
            };
            let told = told.strip_suffix(unit).map_or(told, str::trim_end);
            let others = units.iter().filter(|other| *other != unit);
            let mut wrong: Vec<_> = others.map(|other| number(told, other)).collect();
            wrong.push(number("1234567", unit));
            (number(told, unit), wrong)
        }
        AnswerKind::Ratio | AnswerKind::Bearing => (number(value, ""), vec![number("7:1000", "")]),
        AnswerKind::Numeral { .. } => {
            let digits = value.split('_').next().unwrap_or_default();
            (number(digits, ""), vec![number("1", ""), number(&format!("1{digits}"), "")])
        }
        AnswerKind::Choice { .. } => {
            let of = |right: bool| {
                let all = rung.choices.iter().filter(move |choice| choice.right == right);
                all.map(|choice| GivenAnswer::Choice { choice: choice.text.clone() })
            };
            (of(true).next()?, of(false).collect())
        }
        AnswerKind::Judgement { options, .. } => {
            let judged = |choice: &str, because: &str| GivenAnswer::Judgement {
                choice: choice.to_owned(),
                because: because.to_owned(),
            };
            let other = options.iter().find(|word| *word != value)?;
            (judged(value, "I worked both out"), vec![judged(other, "I worked both out")])
        }
        AnswerKind::Order { items, sign } => {
            let right: Vec<String> =
                value.split(&sign).map(|item| item.trim().to_owned()).collect();
            let turned: Vec<String> = right.iter().rev().cloned().collect();
            let short = items[..1].to_vec();
            let order = |items| GivenAnswer::Order { items };
            (order(right), vec![order(turned), order(short)])
        }
        AnswerKind::Table { .. } => {
            let right: Vec<String> = value.split(" and ").map(str::to_owned).collect();
            let turned: Vec<String> = right.iter().rev().cloned().collect();
            let cells = |cells| GivenAnswer::Cells { cells };
            (cells(right.clone()), vec![cells(turned), cells(right[..1].to_vec())])
        }
        AnswerKind::BrokenLine { lines } => {
            let breaks = rung.flawed.as_ref()?.breaks.unwrap_or_default();
            let mended = mended(rung);
            let of = |line, mended| GivenAnswer::BrokenLine { line, mended };
            let wrong = (0..=lines).filter(|&at| at != breaks).map(|at| of(at, mended.clone()));
            (of(breaks, mended.clone()), wrong.collect())
        }
        AnswerKind::Interval { letter, reach: Some(_) } => {
            let (part, ends) = on_line(value, &letter);
            let set = |part, ends: &[LineEnd]| GivenAnswer::OnLine { part, ends: ends.to_vec() };
            let changed = |change: &dyn Fn(&mut LineEnd)| {
                let mut ends = ends.clone();
                change(&mut ends[0]);
                set(part, &ends)
            };
            let other = match part {
                LinePart::Below => LinePart::Above,
                LinePart::Above => LinePart::Below,
                LinePart::Between => LinePart::Outside,
                LinePart::Outside => LinePart::Between,
            };
            let wrong = vec![
                set(other, &ends),
                changed(&|end| end.belongs = !end.belongs),
                changed(&|end| end.at -= 1),
                set(part, &[]),
            ];
            let turned: Vec<_> = ends.iter().rev().copied().collect();
            (set(part, &turned), wrong)
        }
        _ => return None,
    })
}

/// `-2 < x <= 5` as it is set on a line.
fn on_line(value: &str, letter: &str) -> (LinePart, Vec<LineEnd>) {
    let value = &value.replace('≤', "<=").replace('≥', ">=");
    let whole = |text: &str| text.trim().parse::<i32>().expect("a whole number");
    let end = |text: &str, belongs| LineEnd { at: whole(text), belongs };
    let one = |text: &str| {
        let rest = text.trim().strip_prefix(letter).expect("the letter").trim();
        let part = if rest.starts_with('<') { LinePart::Below } else { LinePart::Above };
        (part, end(rest.trim_start_matches(['<', '>', '=']), rest.contains('=')))
    };
    if let Some((below, above)) = value.split_once(" or ") {
        return (LinePart::Outside, vec![one(below).1, one(above).1]);
    }
    let letter_between = value.split_once(letter).filter(|(before, _)| before.contains('<'));
    match letter_between {
        Some((low, high)) => {
            let text = |side: &str| side.replace(['<', '='], "");
            let ends =
                vec![end(&text(low), low.contains('=')), end(&text(high), high.contains('='))];
            (LinePart::Between, ends)
        }
        None => {
            let (part, end) = one(value);
            (part, vec![end])
        }
    }
}

#[test]
fn the_right_answer_is_taken_in_its_place_and_no_wrong_one() {
    let (mut seen, mut wrong_said) = (BTreeMap::<String, usize>::new(), Vec::new());
    for rung in rungs() {
        let kind = serde_json::to_value(rung.kind()).expect("JSON")["kind"].to_string();
        assert_eq!(answers(&rung).is_some(), rung.kind().has_place(), "{kind}");
        let Some((right, wrong)) = answers(&rung) else { continue };
        *seen.entry(kind).or_default() += 1;
        let judged = given(&rung, &right);
        if !judged.finished {
            wrong_said.push(format!("{}: {right:?} {:?}", rung.prompt, judged.answer));
        }
        for other in wrong {
            let judged = given(&rung, &other);
            if judged.answered || judged.finished {
                wrong_said.push(format!("{}: {other:?} was taken", rung.prompt));
            }
        }
    }
    assert!(wrong_said.is_empty(), "{}: {wrong_said:#?}", wrong_said.len());
    assert!(seen.len() >= 10, "{seen:?}");
}

fn story(skill: &str) -> Rung {
    let skills = vec![skill.to_owned()];
    let order = LadderOrder { skills, climb: 1, seed: 3, ..LadderOrder::default() };
    Ladder::make(&order).expect("made").rungs.remove(0)
}

/// Somebody solves `2(3x - 1) = 46` and forgets the second term.
fn broken(breaks: Option<usize>) -> Rung {
    let mut rung = story("equations.linear");
    let lines = match breaks {
        Some(_) => ["2(3x - 1) = 46", "6x - 1 = 46", "6x = 47"],
        None => ["2(3x - 1) = 46", "6x - 2 = 46", "6x = 48"],
    };
    let line = |math: &str| FlawedLine { math: math.into(), latex: math.into() };
    rung.line = lines[0].into();
    (rung.unknown, rung.story) = ("x".into(), false);
    rung.working.clear();
    let lines = lines.map(line).to_vec();
    rung.flawed = Some(FlawedWorking { name: "Leo".into(), lines, breaks, slip: None });
    rung
}

#[test]
#[rustfmt::skip]
fn what_is_said_of_a_line_that_is_picked() {
    use VerdictWord::{Breaks, CantRead, CantTell, Holds};
    for (breaks, at, mended, word, says, answers) in [
        (Some(2), 2, "6x - 2 = 46", Holds, "", true),
        (Some(2), 2, "x = 8", Holds, "", true),
        (Some(2), 2, "3x - 1 = 23", Holds, "", true),
        (Some(2), 2, "", Holds, "Now write it as it should be", false),
        (Some(2), 2, "2(3x - 1) = 46", CantTell, "That is line 1 again", false),
        (Some(2), 2, "6x - 3 = 46", Breaks, "", false),
        (Some(2), 2, "6x - = 46", CantRead, "", false),
        (Some(2), 1, "", Breaks, "Line 1 is the problem itself", false),
        (Some(2), 3, "6x = 48", Breaks, "Line 3 follows from line 2. Look further up", false),
        (Some(2), 0, "", Breaks, "One line does break", false),
        (None, 0, "", Holds, "", true),
        (None, 2, "6x - 2 = 46", Breaks, "Line 2 holds", false),
        (None, 9, "", Breaks, "There is no such line", false),
    ] {
        let mended = (!mended.is_empty()).then(|| line(mended));
        let judged = given(&broken(breaks), &GivenAnswer::BrokenLine { line: at, mended: mended.clone() });
        let said = judged.answer.expect("judged");
        assert_eq!((said.verdict.word, said.answers, judged.finished), (word, answers, answers), "{at} {mended:?}: {said:?}");
        assert!(said.verdict.says.contains(says), "{at} {mended:?}: {}", said.verdict.says);
    }
}

#[test]
fn the_line_that_breaks_may_be_told_in_a_line_of_its_own() {
    let rung = broken(Some(2));
    for (text, answered) in [
        ("Line 2 breaks; 6x - 2 = 46", true),
        ("line 2: it should be 6x - 2 = 46", true),
        ("Line 2", false),
        ("Line 3: 6x = 48", false),
        ("no line breaks", false),
    ] {
        assert_eq!(desk::judge(&rung, &[line(text)]).answered, answered, "{text}");
    }
    assert!(desk::judge(&broken(None), &[line("Every line holds.")]).finished);
}

#[test]
fn a_unit_is_chosen_and_a_reason_is_given() {
    let mut rung = story("area.triangle");
    rung.prompt = "A triangle has a base of 27 cm and a height of 14 cm. What is its area?".into();
    (rung.line, rung.unknown) = ("1/2 × 27 × 14".into(), String::new());
    rung.answer = serde_json::from_value(serde_json::json!({
        "text": "It is 189 cm².", "latex": "189", "value": "189", "form": "any", "unit": "cm²"
    }))
    .expect("an answer");
    rung.working.clear();
    let says = |answer: &GivenAnswer| {
        let judged = given(&rung, answer);
        (judged.finished, judged.answer.map(|said| said.verdict.says).unwrap_or_default())
    };
    assert_eq!(says(&number("189", "")), (false, "The number is right. Choose its unit.".into()));
    assert_eq!(says(&number("189", "cm²")), (true, String::new()));
    assert!(!says(&number("189", "cm")).0);
    // What the lines say counts with it: one that breaks is still to be mended.
    let lines = [line("27 × 14 = 378"), line("378 ÷ 2 = 189")];
    let whole = |lines: &[DeskLine]| judge_with(&rung, lines, Some(&number("189", "cm²")));
    assert!(whole(&lines).finished);
    let wrong = whole(&[line("27 × 14 = 387")]);
    assert_eq!((wrong.answered, wrong.finished), (true, false));
    // Where a working is asked for, the answer alone does not end the rung.
    let alone = whole(&[]).asking_working(&rung);
    assert_eq!((alone.answered, alone.finished), (true, false));
    assert!(alone.answer.expect("said").verdict.says.contains("how you found it"));
    assert!(whole(&lines).asking_working(&rung).finished);

    let claims = rungs()
        .into_iter()
        .filter(|rung| matches!(rung.kind(), AnswerKind::Judgement { because: true, .. }));
    for rung in claims.take(4) {
        let judged = |because: &str| {
            let choice = rung.answer.value.clone();
            let judged = given(&rung, &GivenAnswer::Judgement { choice, because: because.into() });
            (judged.finished, judged.answer.map(|said| said.verdict.says).unwrap_or_default())
        };
        assert_eq!(judged(""), (false, "Right. Now say why.".into()));
        assert!(judged("2 + 2 = 5").1.contains("Look at your reason again"));
        assert!(judged("because 2 + 2 = 4").0);
        assert!(judged("I worked it out").0);
    }
}

#[test]
fn a_rung_out_of_a_file_may_say_anything() {
    for breaks in [0, 1, 3, 4, usize::MAX] {
        let mut rung = broken(Some(2));
        let flawed = rung.flawed.as_mut().expect("lines");
        flawed.breaks = Some(breaks);
        for line in [0, 1, 2, 3, 4, usize::MAX] {
            let mended = Some(DeskLine { text: "x = 1".into(), latex: false });
            given(&rung, &GivenAnswer::BrokenLine { line, mended: mended.clone() });
            let mut none = rung.clone();
            none.flawed.as_mut().expect("lines").lines.clear();
            assert!(!given(&none, &GivenAnswer::BrokenLine { line: line.max(1), mended }).answered);
        }
    }
}

#[test]
fn hostile_answers_change_nothing() {
    let rung = broken(Some(2));
    let odd = "9^".repeat(300);
    for answer in [
        number(&odd, &odd),
        GivenAnswer::Choice { choice: odd.clone() },
        GivenAnswer::Cells { cells: vec![odd.clone(); 20] },
        GivenAnswer::Order { items: vec![odd.clone(); 20] },
        GivenAnswer::BrokenLine { line: usize::MAX, mended: Some(line(&odd)) },
        GivenAnswer::BrokenLine { line: 2, mended: Some(line(&odd)) },
        GivenAnswer::Judgement { choice: "true".into(), because: odd.clone() },
    ] {
        assert!(!given(&rung, &answer).answered, "{answer:?}");
        for rung in [story("fdp.convert"), story("fractions.equivalent"), story("percent.rate")] {
            assert!(!given(&rung, &answer).answered, "{answer:?}");
        }
    }
}
