//! A shape with some measures told and one asked for: which shape, which measures, and the formulas that lead from one to
//! the other.
//!
//! Every word has to be one that belongs to the shape, its measures, or to asking; else it is no such task.

use super::formula::{self, Known};
use super::shapes::{Letter, SHAPES, Shape};
use super::{Answer, Task, Work};
use crate::typed::text::{Amount, Kind, Measure, Token};
use algebra::write::text;
use algebra::{Expr, Rational};
use std::collections::BTreeMap;
use teaching::typeset::Lines;

/// Words that say nothing about the shape.
const FILLERS: &[&str] = &[
    "a",
    "an",
    "the",
    "of",
    "with",
    "is",
    "has",
    "have",
    "having",
    "and",
    "its",
    "it",
    "whose",
    "which",
    "that",
    "given",
    "if",
    "by",
    "x",
    "find",
    "work",
    "out",
    "calculate",
    "compute",
    "determine",
    "what",
    "how",
    "are",
    "please",
    "measuring",
    "measures",
    "equal",
    "to",
    "each",
    "two",
    "three",
    "in",
    "for",
    "when",
    "are",
    "be",
    "there",
    "give",
    "answer",
    "exact",
    "exactly",
    "long",
    "side's",
    "units",
    "unit",
    "cm",
    "regular",
    "measure",
    "sized",
    "at",
    "value",
    "one",
    "other",
    "then",
    "from",
    "hence",
    "terms",
    "pi",
    "π",
    "angled",
    "i",
    "need",
    "much",
    "whats",
    "what's",
    "size",
    "area's",
];

/// What a text tells of a shape.
struct Asked<'a> {
    shape: &'a Shape,
    name: &'static str,
    known: BTreeMap<&'static str, Amount>,
    wanted: &'a Letter,
}

/// The task of a shape.
pub(super) fn recognise(source: &str, told: &[Token]) -> Option<Task> {
    let words = lowered(source, told);
    SHAPES.iter().find_map(|shape| {
        let (name, rest) = named(shape, &words)?;
        let asked = asked(shape, name, &rest)?;
        worked(&asked)
    })
}

/// One piece of the text.
#[derive(Debug, Clone)]
enum Piece {
    Word(String),
    Number(Amount),
    /// A letter of a formula with its value: `r = 3`.
    Letter(String),
    /// Where the name of the shape stood.
    Shape,
}

fn lowered(source: &str, told: &[Token]) -> Vec<Piece> {
    let is_letter = |at: usize| {
        let one = told[at].to - told[at].from == 1
            || source[told[at].from..told[at].to].chars().count() == 1;
        let equals = told.get(at + 1).is_some_and(|token| token.is_sign('='));
        one && equals && matches!(told.get(at + 2).map(|token| &token.kind), Some(Kind::Number(_)))
    };
    let pieces = told.iter().enumerate().filter_map(|(at, token)| match &token.kind {
        Kind::Word(_) if is_letter(at) => {
            Some(Piece::Letter(source[token.from..token.to].to_owned()))
        }
        Kind::Word(word) => Some(Piece::Word(word.clone())),
        Kind::Number(amount) => Some(Piece::Number(amount.clone())),
        Kind::Ordinal(_) | Kind::Point(_) => Some(Piece::Word("?".into())),
        Kind::Sign('×') => Some(Piece::Word("x".into())),
        Kind::Sign('+' | '/' | '^' | '√' | '<' | '>' | '|' | '[' | '{') => {
            Some(Piece::Word("?".into()))
        }
        Kind::Sign(_) => None,
    });
    pieces.collect()
}

/// Whether these words stand at a place.
fn stands(pieces: &[Piece], at: usize, name: &str) -> Option<usize> {
    let mut length = 0;
    for word in name.split([' ', '-']) {
        match pieces.get(at + length) {
            Some(Piece::Word(told))
                if told == word || told.strip_suffix('s') == Some(word) && word.len() > 3 =>
            {
                length += 1
            }
            _ => return None,
        }
    }
    Some(length)
}

/// The name of a shape, and the text without it.
fn named(shape: &Shape, pieces: &[Piece]) -> Option<(&'static str, Vec<Piece>)> {
    let mut names: Vec<&'static str> = shape.names.to_vec();
    names.sort_by_key(|name| std::cmp::Reverse(name.len()));
    for name in names {
        for at in 0..pieces.len() {
            if let Some(length) = stands(pieces, at, name) {
                let mut rest = pieces.to_vec();
                rest.splice(at..at + length, [Piece::Shape]);
                return Some((name, rest));
            }
        }
    }
    None
}

/// The letters that a name at a place may be, longest name first, and its length.
fn labelled<'a>(shape: &'a Shape, pieces: &[Piece], at: usize) -> Option<(Vec<&'a Letter>, usize)> {
    let mut best: Option<(Vec<&Letter>, usize)> = None;
    for letter in shape.letters {
        for name in letter.names {
            let Some(length) = stands(pieces, at, name) else { continue };
            match &mut best {
                Some((letters, longest)) if *longest == length => letters.push(letter),
                Some((_, longest)) if *longest > length => {}
                _ => best = Some((vec![letter], length)),
            }
        }
    }
    best
}

fn asked<'a>(shape: &'a Shape, name: &'static str, pieces: &[Piece]) -> Option<Asked<'a>> {
    let mut known: BTreeMap<&'static str, Amount> = BTreeMap::new();
    let mut wanted: Vec<&Letter> = Vec::new();
    let mut loose: Vec<Amount> = Vec::new();
    // A name that waits for its number.
    let mut pending: Option<Vec<&Letter>> = None;
    let mut at = 0;
    while at < pieces.len() {
        if let Piece::Letter(name) = &pieces[at] {
            let letter = shape.letters.iter().find(|letter| letter.letter == name)?;
            let Some(Piece::Number(amount)) = pieces.get(at + 1) else { return None };
            known.insert(letter.letter, amount.clone());
            at += 2;
            continue;
        }
        if let Some((letters, length)) = labelled(shape, pieces, at) {
            // "6 cm long": the name stands behind its number.
            let follows =
                at > 0 && matches!(pieces[at - 1], Piece::Number(_)) && loose.last().is_some();
            let next_is_number = matches!(pieces.get(at + length), Some(Piece::Number(_)));
            let adjective = matches!(&pieces[at], Piece::Word(word) if matches!(word.as_str(), "long" | "wide" | "high" | "tall" | "deep" | "broad" | "thick"));
            if follows && (adjective || !next_is_number && pending.is_none()) {
                let free = letters.iter().find(|letter| !known.contains_key(letter.letter))?;
                known.insert(free.letter, loose.pop()?);
            } else {
                if let Some(before) = pending.take() {
                    wanted.push(before.first()?);
                }
                pending = Some(letters);
            }
            at += length;
            continue;
        }
        match &pieces[at] {
            Piece::Number(amount) => {
                if amount.is_percent || !amount.is_positive() {
                    return None;
                }
                let free = pending.as_ref().and_then(|letters| {
                    letters.iter().find(|letter| !known.contains_key(letter.letter))
                });
                match free {
                    Some(letter) => {
                        known.insert(letter.letter, amount.clone());
                        // Several letters share a name: "parallel sides 3 and 5".
                        if pending.as_ref().is_some_and(|letters| {
                            letters.iter().all(|letter| known.contains_key(letter.letter))
                        }) {
                            pending = None;
                        }
                    }
                    None => loose.push(amount.clone()),
                }
            }
            // "The area of a square of 5 cm" asks for the area; "the area of a square is 81" tells it.
            Piece::Shape => {
                let tells = matches!(pieces.get(at + 1), Some(Piece::Word(word)) if word == "is");
                if !tells && let Some(before) = pending.take() {
                    wanted.push(before.first()?);
                }
            }
            Piece::Letter(_) => {}
            Piece::Word(word) => {
                if !FILLERS.contains(&word.as_str()) {
                    return None;
                }
                // A name whose numbers have begun is done with at the next word that is no "and".
                let begun = pending.as_ref().is_some_and(|letters| {
                    letters.iter().any(|letter| known.contains_key(letter.letter))
                });
                if begun
                    && word != "and"
                    && word != "are"
                    && word != "of"
                    && word != "by"
                    && word != "x"
                {
                    pending = None;
                }
            }
        }
        at += 1;
    }
    if let Some(before) = pending
        && !before.iter().any(|letter| known.contains_key(letter.letter))
    {
        wanted.push(before.first()?);
    }
    // One name may be told twice: "find its area. … area".
    wanted.sort_by_key(|letter| letter.letter);
    wanted.dedup_by(|a, b| a.letter == b.letter);
    wanted.retain(|letter| !known.contains_key(letter.letter));
    let [wanted] = wanted[..] else { return None };
    if !loose.is_empty() {
        let free = |letters: &&&[&'static str]| {
            letters.iter().filter(|letter| !known.contains_key(**letter)).count() == loose.len()
                && !letters.contains(&wanted.letter)
        };
        let letters: Vec<&'static str> = shape
            .loose
            .iter()
            .find(free)?
            .iter()
            .filter(|letter| !known.contains_key(**letter))
            .copied()
            .collect();
        for (letter, amount) in letters.into_iter().zip(loose) {
            known.insert(letter, amount);
        }
    }
    (!known.is_empty()).then_some(Asked { shape, name, known, wanted })
}

/// The formulas that lead from what is known to what is wanted, in their order.
fn path(shape: &Shape, known: &[&str], wanted: &str) -> Option<Vec<&'static str>> {
    let parts = |formula: &'static str| -> Option<(&'static str, Vec<String>)> {
        let (subject, right) = formula.split_once(" = ")?;
        Some((subject, formula::expression(right)?.symbols().into_iter().collect()))
    };
    let direct = |known: &[&str]| {
        shape.formulas.iter().copied().find(|formula| {
            parts(formula).is_some_and(|(subject, needs)| {
                subject == wanted && needs.iter().all(|letter| known.contains(&letter.as_str()))
            })
        })
    };
    if let Some(formula) = direct(known) {
        return Some(vec![formula]);
    }
    for formula in shape.formulas {
        let (subject, needs) = parts(formula)?;
        if known.contains(&subject)
            || subject == wanted
            || !needs.iter().all(|letter| known.contains(&letter.as_str()))
        {
            continue;
        }
        let mut more = known.to_vec();
        more.push(subject);
        if let Some(last) = direct(&more) {
            return Some(vec![formula, last]);
        }
    }
    None
}

/// The unit of lengths: that of the first length, or the root of an area's or a volume's.
fn length_unit(asked: &Asked<'_>) -> Option<Option<Measure>> {
    let mut found = None;
    for letter in asked.shape.letters {
        let Some(unit) = asked.known.get(letter.letter).and_then(|amount| amount.unit.as_ref())
        else {
            continue;
        };
        match letter.power {
            0 => {}
            1 => {
                found.get_or_insert_with(|| unit.clone());
            }
            power if found.is_none() => found = unit.root(power),
            _ => {}
        }
    }
    // Units on all lengths, or on none.
    let measured =
        |letter: &Letter| asked.known.get(letter.letter).map(|amount| amount.unit.is_some());
    let all: Vec<bool> =
        asked.shape.letters.iter().filter(|letter| letter.power > 0).filter_map(measured).collect();
    if all.iter().any(|one| *one) && !all.iter().all(|one| *one) {
        // "3 by 4 by 5 cm": one unit for all.
        let last = found.clone()?;
        return Some(Some(last));
    }
    Some(found)
}

fn worked(asked: &Asked<'_>) -> Option<Task> {
    let unit = length_unit(asked)?;
    let letters: Vec<&str> = asked.known.keys().copied().collect();
    let path = path(asked.shape, &letters, asked.wanted.letter)?;
    let mut lines = Lines::measured();
    let mut known = Known::new();
    for letter in asked.shape.letters {
        let Some(amount) = asked.known.get(letter.letter) else { continue };
        let value = match (&unit, &amount.unit, letter.power) {
            (_, Some(own), 0) if own.text() == "°" => amount.text.clone(),
            (_, _, 0) if amount.unit.is_some() => return None,
            (Some(unit), Some(own), power) if power > 0 => {
                let own_unit = unit.to(power);
                if *own == own_unit {
                    amount.text.clone()
                } else {
                    let value: Rational = amount.value_in(&own_unit)?;
                    let same = Amount { unit: Some(own_unit), ..Amount::of(value) };
                    lines = lines.work(
                        &format!("{} = {}", amount.measured(), same.measured()),
                        "All lengths in one unit",
                    );
                    same.text
                }
            }
            (None, Some(_), _) => return None,
            _ => amount.text.clone(),
        };
        known.insert(letter.letter.to_owned(), formula::expression(&value)?);
    }
    let mut value: Option<Expr> = None;
    for formula in &path {
        let (subject, _) = formula.split_once(" = ")?;
        let letter = asked.shape.letters.iter().find(|letter| letter.letter == subject)?;
        let what = format!("The {} of a {}", letter.names[0], asked.name)
            .replace("a equi", "an equi")
            .replace("a oct", "an oct");
        let (next, found) = formula::put_in(lines, formula, &known, &what)?;
        lines = next;
        known.insert(subject.to_owned(), found.clone());
        value = Some(found);
    }
    let value = value?;
    let exact = text(&value);
    let (mut lines, near) = formula::about(lines, Some(asked.wanted.letter), &value);
    let measure =
        unit.as_ref().filter(|_| asked.wanted.power > 0).map(|unit| unit.to(asked.wanted.power));
    let shown = match &measure {
        Some(unit) => {
            let shown = unit.with(&exact);
            let sentence = match &near {
                Some(near) => {
                    format!("The {} is {shown}, about {}.", asked.wanted.names[0], unit.with(near))
                }
                None => format!("The {} is {shown}.", asked.wanted.names[0]),
            };
            lines = lines.end(sentence.replace("√(", "√").replace("))", ")"));
            shown
        }
        None => exact.clone(),
    };
    let told: Vec<String> = asked
        .shape
        .letters
        .iter()
        .filter_map(|letter| {
            Some(format!(
                "{} {}",
                singular(letter.names[0]),
                asked.known.get(letter.letter)?.shown()
            ))
        })
        .collect();
    let article = if asked.name.starts_with(['a', 'e', 'i', 'o']) { "an" } else { "a" };
    let says = format!(
        "The {} of {article} {} with {}",
        asked.wanted.names[0],
        asked.name,
        super::joined(&told)
    );
    let answer = Answer {
        unit: measure.as_ref().map(Measure::shown),
        ..Answer::value(exact).written(shown)
    };
    let (skill, method, topic) =
        match asked.shape.skills.iter().find(|(letter, ..)| *letter == asked.wanted.letter) {
            Some((_, skill, method)) => (*skill, *method, None),
            None => ("area.composite", teaching::ids::method::USUAL, Some("Shapes and solids")),
        };
    let work = Work::Lines(Box::new((lines, answer)));
    Some(Task { says, skill, method, topic, work, marks_degrees: false, given: Vec::new() })
}

/// The name of one of several: "side".
fn singular(name: &str) -> &str {
    if name == "radius" { name } else { name.trim_end_matches('s') }
}
