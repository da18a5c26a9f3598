//! Seeded faults and clean texts: how many faults are found, and how many alarms are false.
//!
//! `tests/second_look/faults.md` has texts with one fault each, `clean.md` texts with none.

use second_look::{Kind, Spotted, look_over};
use skills::SKILLS;
use skills::ladder::Numbers;
use skills::{Ladder, LadderOrder};
use std::collections::BTreeMap;

/// The texts of a list, each with what stands behind the signs above it.
fn texts(list: &str) -> Vec<(&str, &str)> {
    list.split("\n===")
        .skip(1)
        .map(|text| text.split_once('\n').expect("a text below its signs"))
        .map(|(kind, text)| (kind.trim(), text.trim()))
        .collect()
}

fn name(kind: Kind) -> String {
    serde_json::to_value(kind).expect("plain data").as_str().expect("a word").to_owned()
}

fn faults() -> Vec<(&'static str, &'static str)> {
    texts(include_str!("second_look/faults.md"))
}

/// Each fault is found, and named as what it is; nothing else is told of its text.
#[test]
fn seeded_faults_are_found_and_named() {
    let mut rates: BTreeMap<&str, (usize, usize)> = BTreeMap::new();
    let mut missed = Vec::new();
    for (kind, text) in faults() {
        let found = look_over(text);
        let is_found = found.iter().any(|spotted| name(spotted.finding.kind) == kind);
        let rate = rates.entry(kind).or_default();
        rate.0 += usize::from(is_found);
        rate.1 += 1;
        let others = found.iter().any(|spotted| name(spotted.finding.kind) != kind);
        if !is_found || others {
            missed.push((kind, text, found));
        }
    }
    for (kind, (found, of)) in &rates {
        println!("{kind}: {found} of {of} found");
    }
    let all: usize = rates.values().map(|(_, of)| of).sum();
    println!("{} of {all} faults found", rates.values().map(|(found, _)| found).sum::<usize>());
    assert!(missed.is_empty(), "missed, or told as something else: {missed:#?}");
    assert!(all >= 120, "{all} texts");
}

#[test]
fn clean_texts_raise_no_alarm() {
    let all = texts(include_str!("second_look/clean.md"));
    let alarms: Vec<(&str, Vec<Spotted>)> = all
        .iter()
        .map(|(_, text)| (*text, look_over(text)))
        .filter(|(_, found)| !found.is_empty())
        .collect();
    println!("{} false alarms in {} clean texts", alarms.len(), all.len());
    assert!(alarms.is_empty(), "{alarms:#?}");
    assert!(all.len() >= 120, "{} texts", all.len());
}

/// A sheet of each skill, written out with its workings and answers as a teacher would, is clean.
#[test]
fn sheets_of_every_skill_raise_no_alarm() {
    let mut alarms = Vec::new();
    let mut rungs = 0;
    for (id, sheet) in sheets() {
        rungs += sheet.matches("Answer:").count();
        let found = look_over(&sheet);
        if !found.is_empty() {
            alarms.push((
                id,
                found.into_iter().map(|one| (line(&sheet, &one), one.finding)).collect::<Vec<_>>(),
            ));
        }
    }
    println!("{} false alarms in {rungs} problems with their workings", alarms.len());
    assert!(alarms.is_empty(), "{alarms:#?}");
    assert!(rungs > 500, "{rungs}");
}

fn line(sheet: &str, spotted: &Spotted) -> String {
    let at = spotted.place.line.unwrap_or(1) - 1;
    sheet.lines().nth(at).unwrap_or_default().to_owned()
}

/// A sheet of nine problems of each skill, in CommonMark.
fn sheets() -> Vec<(String, String)> {
    use std::fmt::Write as _;
    SKILLS
        .iter()
        .map(|skill| skill.card().id.to_owned())
        .map(|id| {
            let order = LadderOrder {
                skills: vec![id.clone()],
                grip: 3,
                tilt: 3,
                climb: 3,
                seed: 7,
                method: None,
                numbers: Numbers::default(),
                ..LadderOrder::default()
            };
            let ladder = Ladder::make(&order).expect("a ladder");
            let mut sheet = format!("# {id}\n\n");
            for (number, rung) in (1..).zip(&ladder.rungs) {
                let picture =
                    if rung.figure.is_some() { "   ![its picture](it.svg)\n\n" } else { "" };
                let prompt = rung.prompt.replace('\n', "\n   ");
                let _ = write!(sheet, "{number}. {prompt}\n\n{picture}   Working:\n\n");
                for line in &rung.working {
                    let _ = write!(sheet, "   ${}$\n\n", line.latex.as_deref().unwrap_or_default());
                }
                let answer = &rung.answer;
                let shown = match &answer.latex {
                    Some(latex) => format!("${latex}$"),
                    None => answer.text.clone(),
                };
                let _ = write!(sheet, "   Answer: {shown}\n\n");
            }
            (id, sheet)
        })
        .collect()
}

/// Pieces of which texts are made that nobody would write, with letters whose small ones are longer than they are.
const PIECES: &[&str] = &[
    "Q1: ",
    "Question 3.",
    "İİİİ",
    "ẞ",
    "K",
    "$",
    "$$",
    "**",
    "*",
    "_",
    "\n",
    "\n\n",
    "1. ",
    "- ",
    "# ",
    "## Answers\n",
    "## Practice\n",
    "|",
    "|---|---|\n",
    "![",
    "](x)",
    "<span style=\"color:url(\">",
    "<img",
    "3.5",
    "12,500",
    "7%",
    "²",
    "√",
    "½",
    "=",
    "≈",
    "<",
    "→",
    "Answer:",
    "Working:",
    " Then ",
    "so ",
    "x",
    "Hana has ",
    "Hanna's ",
    "How many",
    "?",
    ".",
    "...",
    "…",
    "5, 10, 15, 21, 25",
    "round ",
    "nearest ten",
    "2 decimal places",
    "cm",
    "m²",
    "km/h",
    "minutes",
    "45-minute lesson",
    "\\frac{",
    "}",
    "\\text{",
    "🐝",
    "\u{0}",
    "\u{202e}",
    "é",
    "multiples of ",
];

proptest::proptest! {
    /// No text is too strange to be looked over.
    #[test]
    fn no_text_is_too_strange(at in proptest::collection::vec(0..PIECES.len(), 0..40)) {
        let text: String = at.into_iter().map(|at| PIECES[at]).collect();
        let lines = text.lines().count().max(1);
        for spotted in look_over(&text) {
            assert!(spotted.place.line.is_some_and(|line| line <= lines + 1), "{text:?}");
        }
    }
}

/// A mend that is offered leaves nothing to mend.
#[test]
fn a_mend_leaves_nothing_to_mend() {
    let mut mended = 0;
    for (_, text) in faults() {
        for Spotted { finding, .. } in look_over(text) {
            let Some(mend) = finding.mend else { continue };
            let after = text.replacen(&finding.found, &mend, 1);
            assert_eq!(look_over(&after), [], "{text} became {after}");
            mended += 1;
        }
    }
    assert!(mended > 20, "{mended}");
}

/// A number of a line, and where it stands, one larger: what a hurried hand does to a sheet.
fn one_more(line: &str, which: usize) -> Option<String> {
    let digit = |at: &usize| line.as_bytes()[*at].is_ascii_digit();
    let starts: Vec<usize> =
        (0..line.len()).filter(|at| digit(at) && (*at == 0 || !digit(&(at - 1)))).collect();
    let start = *starts.get(starts.len().checked_sub(1 + which)?)?;
    let end = (start..line.len()).find(|at| !digit(at)).unwrap_or(line.len());
    let number: u64 = line[start..end].parse().ok()?;
    Some(format!("{}{}{}", &line[..start], number + 1, &line[end..]))
}

/// The last number of a line of a working is made one larger, in one line after the other of every skill's sheet: it is
/// found nearly always, and never is another line blamed alone.
#[test]
fn a_number_that_was_changed_in_a_working_is_found() {
    let (mut found, mut of) = (0, 0);
    let mut missed: BTreeMap<String, usize> = BTreeMap::new();
    for (id, sheet) in sheets() {
        let lines: Vec<&str> = sheet.lines().collect();
        let working =
            |line: &str| line.starts_with("   $") && line.contains('=') && !line.contains("\\text");
        for at in (0..lines.len()).filter(|&at| working(lines[at])) {
            let Some(changed) = one_more(lines[at], 0) else { continue };
            let mut other = lines.clone();
            other[at] = &changed;
            let spotted = look_over(&other.join("\n"));
            of += 1;
            if spotted.is_empty() {
                *missed.entry(id.clone()).or_default() += 1;
            } else {
                found += 1;
                // Where it stands, or where it stops fitting: the next line, or the answer.
                let near = |one: &Spotted| {
                    one.place
                        .line
                        .is_some_and(|line| line > at.saturating_sub(8) && line <= at + 14)
                };
                assert!(spotted.iter().any(near), "{changed}: {spotted:#?}");
            }
        }
    }
    println!("{found} of {of} changed numbers found; missed: {missed:?}");
    assert!(of > 500, "{of}");
    assert!(found * 100 >= of * FOUND, "{found} of {of} found");
}

/// How many of a hundred changed numbers are found, at least; it only ever goes up.
const FOUND: usize = 50;
