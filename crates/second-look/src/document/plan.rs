//! The minutes of a plan that is written as a text.

use super::parts::{Parts, Section};
use super::passages::PassageKind;
use crate::reading::has_any;
use crate::task::Placed;
use crate::{Finding, Kind, Spot, Spotted};

/// Words that begin a timed part of a lesson.
const PHASES: &[&str] = &[
    "starter",
    "warm-up",
    "warm up",
    "teach",
    "introduction",
    "intro",
    "guided",
    "practice",
    "practise",
    "independent",
    "review",
    "plenary",
    "discussion",
    "exit",
    "example",
    "look back",
    "recall",
    "group",
    "pairs",
    "activity",
    "homework",
    "explain",
    "check",
    "closing",
    "opening",
    "model",
    "together",
    "main",
    "reflection",
    "summary",
    "hook",
    "show",
    "define",
];
/// Words that say how long the whole takes.
const WHOLE: &[&str] =
    &["lesson", "length", "total", "duration", "period", "class", "altogether", "in all", "lasts"];

/// A plan whose parts take more or fewer minutes than the whole.
pub(super) fn look(parts: &Parts) -> Option<Spotted> {
    let column = minutes_column(parts);
    let mut whole: Option<u32> = None;
    let mut sum = 0;
    let mut count = 0;
    let mut place: Option<Spot> = None;
    let pieces = parts.timed.iter().flat_map(|(placed, section, kind)| {
        // Several parts may stand in one line.
        let texts: Vec<&str> = match kind {
            PassageKind::Cell { .. } => vec![placed.text.as_str()],
            _ => placed.text.split([',', ';', '.']).collect(),
        };
        texts
            .into_iter()
            .map(move |text| (Placed { place: placed.place, text: text.to_owned() }, section, kind))
    });
    for (placed, section, kind) in pieces {
        let minutes = match (kind, column) {
            (PassageKind::Cell { row: 1.., column: at }, Some(column)) if *at == column => placed
                .text
                .split(|sign: char| !sign.is_ascii_digit())
                .find_map(|digits| digits.parse().ok())
                .into_iter()
                .collect(),
            (PassageKind::Cell { .. }, Some(_)) => Vec::new(),
            _ => minutes_in(&placed.text),
        };
        let [minutes] = minutes[..] else { continue };
        let is_phase = has_any(&placed.text, PHASES);
        let is_total = match kind {
            PassageKind::Cell { .. } => row_of(parts, placed.place.line).contains("total"),
            _ => {
                has_any(&placed.text, WHOLE)
                    && (!is_phase
                        || placed.text.to_lowercase().contains("minute lesson")
                        || placed.text.to_lowercase().contains("-minute"))
            }
        };
        if is_total {
            whole = whole.or(Some(minutes));
            place = place.or(Some(placed.place));
        } else if is_phase || *section == Section::Plan || matches!(kind, PassageKind::Cell { .. })
        {
            sum += minutes;
            count += 1;
        }
    }
    let (whole, place) = (whole?, place?);
    if count < 2 || sum == whole {
        return None;
    }
    let says = if sum > whole {
        format!(
            "The parts take {sum} minutes: {} more than the {whole} of the lesson.",
            sum - whole
        )
    } else {
        format!("The parts take {sum} minutes: {} of the {whole} are left free.", whole - sum)
    };
    Some(Spotted {
        place,
        finding: Finding::new(Kind::MinutesDoNotAdd, format!("{whole} minutes"), says),
    })
}

/// The column of a table whose head speaks of minutes.
fn minutes_column(parts: &Parts) -> Option<usize> {
    parts.timed.iter().find_map(|(placed, _, kind)| match kind {
        PassageKind::Cell { row: 0, column } => {
            let lower = placed.text.to_lowercase();
            (lower.contains("min") || lower == "time").then_some(*column)
        }
        _ => None,
    })
}

/// What stands in the other cells of the row.
fn row_of(parts: &Parts, line: Option<usize>) -> String {
    let cells = parts.timed.iter().filter(|(placed, ..)| placed.place.line == line);
    cells.map(|(placed, ..)| placed.text.to_lowercase()).collect::<Vec<_>>().join(" ")
}

/// The minutes that a line tells: `5 min`, `45-minute`, and `5–15 min` as the ten between them.
fn minutes_in(text: &str) -> Vec<u32> {
    let mut found = Vec::new();
    let lower = text.to_lowercase();
    for (at, _) in lower.match_indices("min") {
        let before = lower[..at].trim_end_matches([' ', '-', '‑']);
        let after: String = lower[at..].chars().take_while(|sign| sign.is_alphabetic()).collect();
        if !["min", "mins", "minute", "minutes"].contains(&after.as_str()) {
            continue;
        }
        let digits: String = before.chars().rev().take_while(char::is_ascii_digit).collect();
        let Ok(to) = digits.chars().rev().collect::<String>().parse::<u32>() else { continue };
        let rest = before[..before.len() - digits.len()].trim_end();
        let from = rest.strip_suffix(['-', '–', '—']).and_then(|rest| {
            let digits: String =
                rest.trim_end().chars().rev().take_while(char::is_ascii_digit).collect();
            digits.chars().rev().collect::<String>().parse::<u32>().ok()
        });
        found.push(from.map_or(to, |from| to.saturating_sub(from)));
    }
    found
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn minutes_are_read() {
        for (text, minutes) in [
            ("Starter (5 min)", vec![5]), ("A 45-minute lesson", vec![45]), ("5–15 min: teach", vec![10]),
            ("Length: 50 minutes", vec![50]), ("the minimum of 3", vec![]), ("3 m", vec![]),
        ] { assert_eq!(minutes_in(text), minutes, "{text}"); }
    }
}
