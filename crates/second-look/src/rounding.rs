//! Rounding: numbers that are not what was rounded, or not rounded as was asked.

use super::reading::{Number, decimal, numbers};
use super::task::Task;
use super::{Finding, Kind, Spotted};
use algebra::Rational;
use algebra::number::{Integer, from_int};
use num_traits::{One, Pow, Signed, Zero};

/// How something is to be rounded.
#[derive(Debug, Clone, PartialEq, Eq)]
enum Rounding {
    /// To that many places behind the point.
    Places(u32),
    /// To that many significant figures.
    Figures(u32),
    /// To a multiple of that: the nearest ten, the nearest whole number.
    Nearest(Rational),
}

const NEAREST: &[(&str, i64)] = &[
    ("ten thousand", 10_000),
    ("thousand", 1_000),
    ("hundred", 100),
    ("ten", 10),
    ("whole", 1),
    ("integer", 1),
    ("one", 1),
    ("unit", 1),
];

/// How a text asks for something to be rounded.
fn asked(text: &str) -> Option<Rounding> {
    let lower = text.to_lowercase();
    let words: Vec<&str> = lower
        .split(|sign: char| sign.is_whitespace() || "(),;:".contains(sign))
        .filter(|word| !word.is_empty())
        .collect();
    for (at, word) in words.iter().enumerate() {
        let next = words.get(at + 1).copied().unwrap_or_default();
        let count = count_of(word);
        if let Some(count) = count.filter(|count| (1..=12).contains(count)) {
            if next.starts_with("d.p")
                || next == "dp"
                || next == "decimal"
                || next.starts_with("place")
            {
                return Some(Rounding::Places(count));
            }
            if next.starts_with("s.f") || next == "sf" || next == "significant" || next == "sig" {
                return Some(Rounding::Figures(count));
            }
        }
        if *word == "nearest" {
            if next.starts_with("tenth") {
                return Some(Rounding::Places(1));
            }
            if next.starts_with("hundredth") {
                return Some(Rounding::Places(2));
            }
            if next.starts_with("thousandth") {
                return Some(Rounding::Places(3));
            }
            let rest = words[at + 1..].join(" ");
            if let Some((_, by)) = NEAREST.iter().find(|(name, _)| rest.starts_with(name)) {
                return Some(Rounding::Nearest(from_int(*by)));
            }
            if let Ok(by @ (10 | 100 | 1000 | 10_000)) = next.parse::<i64>() {
                return Some(Rounding::Nearest(from_int(by)));
            }
        }
    }
    None
}

fn count_of(word: &str) -> Option<u32> {
    const SAID: [&str; 7] = ["zero", "one", "two", "three", "four", "five", "six"];
    let said = SAID.iter().position(|said| *said == word).and_then(|at| u32::try_from(at).ok());
    said.or_else(|| word.parse().ok())
}

/// A value rounded, ties away from zero.
fn rounded(value: &Rational, to: &Rounding) -> Rational {
    let step = match to {
        Rounding::Places(places) => Rational::new(Integer::one(), Integer::from(10).pow(*places)),
        Rounding::Nearest(by) => by.clone(),
        Rounding::Figures(figures) => {
            if value.is_zero() {
                return value.clone();
            }
            // The place of its first figure.
            let (ten, mut place) = (from_int(10), Rational::one());
            let size = value.abs();
            while &place * &ten <= size {
                place *= &ten;
            }
            while place > size {
                place /= &ten;
            }
            let behind = Integer::from(10).pow(figures.saturating_sub(1));
            place / Rational::from(behind)
        }
    };
    let half = Rational::new(Integer::one(), Integer::from(2));
    let count = (value.abs() / &step + half).floor();
    let size = count * step;
    if value.is_negative() { -size } else { size }
}

/// The value as it is written to that many places.
fn shown(value: &Rational, to: &Rounding) -> String {
    let plain = decimal(value);
    let Rounding::Places(places) = to else { return plain };
    let there = plain.split_once('.').map_or(0, |(_, behind)| behind.len());
    let missing = usize::try_from(*places).unwrap_or(0).saturating_sub(there);
    let point = if there == 0 && missing > 0 { "." } else { "" };
    format!("{plain}{point}{}", "0".repeat(missing))
}

/// An answer that is not what was asked to be rounded, or not rounded as was asked.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let to = asked(&task.prompt.text)?;
    let answer = task.answer.as_ref().or_else(|| task.working.last())?;
    let told = numbers(&answer.text).pop()?;
    let given: Vec<Number> = numbers(&task.prompt.text)
        .into_iter()
        .filter(|number| !is_count(&task.prompt.text, number))
        .collect();
    let lower = task.prompt.text.to_lowercase();
    let is_round = super::reading::sentences(&lower)
        .iter()
        .filter_map(|sentence| {
            sentence.split_once("round ").map(|(_, rest)| rest.trim_start_matches("off "))
        })
        .any(|rest| {
            rest.starts_with(|sign: char| sign.is_ascii_digit() || sign == '$' || sign == '-')
        });
    let right = match &given[..] {
        [only] if is_round => Some(rounded(&only.value, &to)),
        // What the working ends with, before it is rounded.
        _ => task
            .working
            .iter()
            .rev()
            .flat_map(|line| numbers(&line.text).into_iter().rev())
            .find(|number| {
                places_of(number) > places_of(&told) && is_near(&number.value, &told.value)
            })
            .map(|number| rounded(&number.value, &to)),
    };
    let asks_for_answer = lower.contains("give")
        || lower.contains("answer")
        || lower.contains("correct to")
        || lower.contains("round ");
    let says = match right {
        Some(right) if right != told.value => {
            format!("Rounded as asked, it is {}.", shown(&right, &to))
        }
        // What is not worked out here has at least as many places as were asked for.
        _ => match to {
            Rounding::Places(places) if places_of(&told) > usize::try_from(places).unwrap_or(0) => {
                format!(
                    "It is asked for to {places} decimal {}.",
                    if places == 1 { "place" } else { "places" }
                )
            }
            Rounding::Nearest(by) if asks_for_answer && !(&told.value / &by).is_integer() => {
                format!("It is asked for to the nearest {}.", decimal(&by))
            }
            _ => return None,
        },
    };
    Some(Spotted {
        place: answer.place,
        finding: Finding::new(Kind::RoundingWrong, answer.text.trim(), says),
    })
}

/// `3.476 rounded to 1 decimal place is 3.4`, in a text by itself.
pub(super) fn look_at_sentence(sentence: &str) -> Option<Finding> {
    let lower = sentence.to_lowercase();
    let says_so = lower.contains("round") || lower.contains("nearest") || lower.contains('≈');
    if !says_so || sentence.ends_with('?') || super::reading::asks(sentence) {
        return None;
    }
    let to = asked(sentence)?;
    let all: Vec<Number> =
        numbers(sentence).into_iter().filter(|number| !is_count(sentence, number)).collect();
    let [exact, told] = &all[..] else { return None };
    let right = rounded(&exact.value, &to);
    if right == told.value || right == exact.value {
        return None;
    }
    let says = format!("Rounded as told, {} is {}.", exact.written, shown(&right, &to));
    let end = told.at + told.written.len();
    let mend = format!("{}{}{}", &sentence[..told.at], shown(&right, &to), &sentence[end..]);
    Some(Finding::new(Kind::RoundingWrong, sentence, says).mended(Some(mend)))
}

/// Whether one number can be the other rounded: they differ by less than a tenth.
fn is_near(a: &Rational, b: &Rational) -> bool {
    (a - b).abs() * from_int(10) < b.abs()
}

fn places_of(number: &Number) -> usize {
    number.written.split_once('.').map_or(0, |(_, behind)| behind.len())
}

/// Whether a number says how to round: `2 decimal places`, `the nearest 10`.
fn is_count(text: &str, number: &Number) -> bool {
    let after = text[number.at + number.written.len()..].trim_start().to_lowercase();
    let before = text[..number.at].trim_end().to_lowercase();
    ["decimal", "d.p", "dp", "significant", "sig", "s.f", "sf", "place"]
        .iter()
        .any(|word| after.starts_with(word))
        || before.ends_with("nearest")
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;
    use crate::task::Placed;

    fn told(prompt: &str, working: &str, answer: &str) -> Option<String> {
        let place = Spot::default();
        let placed = |text: &str| Placed { place, text: text.into() };
        let mut task = Task::asking(place, prompt);
        task.working = (!working.is_empty()).then(|| placed(working)).into_iter().collect();
        task.answer = (!answer.is_empty()).then(|| placed(answer));
        look(&task).map(|spotted| spotted.finding.says)
    }

    #[test]
    #[rustfmt::skip]
    fn what_is_rounded_wrong_is_found() {
        for (prompt, working, answer, says) in [
            ("Round 3.476 to 1 decimal place.", "", "3.4", "Rounded as asked, it is 3.5."),
            ("Round 3462 to the nearest hundred.", "", "3400", "Rounded as asked, it is 3500."),
            ("Round 0.04563 to 2 significant figures.", "", "0.05", "Rounded as asked, it is 0.046."),
            ("How long is the side? Give your answer to 2 decimal places.", "√50 = 7.0711", "7.071", "Rounded as asked, it is 7.07."),
            ("How far is it? Give it to 1 decimal place.", "", "7.071 m", "It is asked for to 1 decimal place."),
            ("Work out 22 ÷ 7 to 2 decimal places.", "22 ÷ 7 = 3.142857", "3.15", "Rounded as asked, it is 3.14."),
        ] { assert_eq!(told(prompt, working, answer).as_deref(), Some(says), "{prompt}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn what_is_rounded_right_is_left_alone() {
        for (prompt, working, answer) in [
            ("Round 3.476 to 1 decimal place.", "", "3.5"),
            ("Round 2.5 to the nearest whole number.", "", "3"),
            ("Round 3549 to the nearest hundred.", "", "3500"),
            ("Work out 22 ÷ 7 to 2 decimal places.", "22 ÷ 7 = 3.142857", "3.14"),
            ("How many are left?", "", "3.4"),
        ] { assert_eq!(told(prompt, working, answer), None, "{prompt}"); }
    }

    #[test]
    fn a_sentence_that_rounds_is_looked_at() {
        let told = |text: &str| look_at_sentence(text).map(|finding| finding.says);
        assert_eq!(
            told("6.28 rounded to 1 decimal place is 6.2.").as_deref(),
            Some("Rounded as told, 6.28 is 6.3.")
        );
        assert_eq!(told("6.28 rounded to 1 decimal place is 6.3."), None);
        assert_eq!(told("Round 6.28 to 1 decimal place, then 3.14."), None);
    }
}
