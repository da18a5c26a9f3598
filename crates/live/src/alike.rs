//! Answers that mean the same, put together.

use algebra::{Line, StepVerdict, compare, read_line};
use desk::{JudgedLine, Judgement};
use skills::ladder::Rung;

/// For each of several judged desks of one rung the number of its group, from 0 in the order in which they come: what
/// ends in the same, however it is written, has the same number. A desk on which nothing can be read has none.
#[must_use]
pub fn alike(rung: &Rung, desks: &[&Judgement]) -> Vec<Option<usize>> {
    let unknown = Some(rung.unknown.as_str()).filter(|unknown| !unknown.is_empty());
    let mut groups: Vec<(Ending, Option<Line>)> = Vec::new();
    let mut number = |judgement: &&Judgement| {
        let ending = Ending::of(judgement)?;
        if let Some(known) = groups.iter().position(|(group, _)| *group == ending) {
            return Some(known);
        }
        let line = ending.read();
        let same = |other: &Option<Line>| {
            line.as_ref().zip(other.as_ref()).is_some_and(|(line, other)| {
                matches!(compare(other, line, unknown), StepVerdict::Equivalent { .. })
            })
        };
        let found = groups.iter().position(|(_, other)| same(other));
        Some(found.unwrap_or_else(|| {
            groups.push((ending, line));
            groups.len() - 1
        }))
    };
    desks.iter().map(&mut number).collect()
}

/// What a desk ends in.
#[derive(Debug, PartialEq)]
enum Ending {
    /// The answer, however it is written.
    Right,
    /// Something else, as it was read.
    Wrong(String),
}

impl Ending {
    fn of(judgement: &Judgement) -> Option<Self> {
        let last: &JudgedLine = judgement.answer.as_ref().or_else(|| judgement.lines.last())?;
        if judgement.answered || last.answers {
            return Some(Self::Right);
        }
        let plain = last.plain.trim();
        (!plain.is_empty()).then(|| Self::Wrong(plain.to_owned()))
    }

    fn read(&self) -> Option<Line> {
        match self {
            Self::Right => None,
            Self::Wrong(plain) => read_line(plain).ok().map(|reading| reading.line),
        }
    }
}
