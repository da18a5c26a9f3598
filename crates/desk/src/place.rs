//! The place for the answer below a student's lines: what is entered there by its kind, and what is said of it.

use super::broken;
use super::{DeskLine, JudgedLine, Judgement, VerdictWord, judge};
use crate::world::words_of_latex;
use algebra::{Line, Options, StepVerdict, judge_alone, read_line_with};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::answer::AnswerKind;
use teaching::verdict::LineVerdict;
use utoipa::ToSchema;

/// What stands in the place for an answer.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum GivenAnswer {
    /// A number, a ratio, a numeral, a bearing.
    Number {
        /// What was typed.
        number: DeskLine,
        /// The unit that was chosen; empty where none was.
        #[serde(default)]
        unit: String,
    },
    /// One of those that were offered, as it would be typed.
    Choice {
        /// Which one.
        choice: String,
    },
    /// A judgement with its reason.
    Judgement {
        /// Which of the two words; empty where none was chosen yet.
        choice: String,
        /// Why.
        #[serde(default)]
        because: String,
    },
    /// The line of somebody's working that breaks.
    BrokenLine {
        /// Which one, from 1; 0 where every line holds.
        line: usize,
        /// What it should be.
        #[serde(default)]
        mended: Option<DeskLine>,
    },
    /// Things in an order.
    Order {
        /// As they were put, from the first.
        items: Vec<String>,
    },
    /// Solutions that were set on a number line.
    OnLine {
        /// Which part of the line is shaded.
        part: LinePart,
        /// The ends that were set.
        ends: Vec<LineEnd>,
    },
    /// The cells of a table that were filled, from left to right and from top to bottom.
    Cells {
        /// What was typed into each.
        cells: Vec<String>,
    },
}

/// The part of a number line that is shaded.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum LinePart {
    /// All that is less than the end.
    Below,
    /// All that is more than the end.
    Above,
    /// What is between two ends.
    Between,
    /// What is not between two ends.
    Outside,
}

impl LinePart {
    /// How many ends it has.
    const fn ends(self) -> usize {
        match self {
            Self::Below | Self::Above => 1,
            Self::Between | Self::Outside => 2,
        }
    }
}

/// Where a shaded part of a number line ends.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct LineEnd {
    /// At which whole number.
    pub at: i32,
    /// Whether the end belongs to it itself.
    pub belongs: bool,
}

impl GivenAnswer {
    /// Whether nothing is entered yet.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        let blank = |text: &String| text.trim().is_empty();
        match self {
            Self::Number { number, .. } => blank(&number.text),
            Self::Choice { choice } | Self::Judgement { choice, .. } => blank(choice),
            Self::BrokenLine { .. } => false,
            Self::Order { items } => items.is_empty(),
            Self::OnLine { part, ends } => ends.len() != part.ends(),
            Self::Cells { cells } => cells.iter().all(blank),
        }
    }

    /// The longest text in it, in bytes.
    #[must_use]
    pub fn longest(&self) -> usize {
        let of = |texts: &[String]| texts.iter().map(String::len).max().unwrap_or_default();
        match self {
            Self::Number { number, unit } => number.text.len().max(unit.len()),
            Self::Choice { choice } => choice.len(),
            Self::Judgement { choice, because } => choice.len().max(because.len()),
            Self::BrokenLine { mended, .. } => mended.as_ref().map_or(0, |line| line.text.len()),
            Self::Order { items } => of(items),
            Self::OnLine { .. } => 0,
            Self::Cells { cells } => of(cells),
        }
    }

    /// How many parts it has.
    #[must_use]
    pub const fn parts(&self) -> usize {
        match self {
            Self::Order { items } => items.len(),
            Self::Cells { cells } => cells.len(),
            Self::OnLine { ends, .. } => ends.len(),
            _ => 1,
        }
    }

    /// It as a line that says the same; none where no line does.
    pub(super) fn as_line(&self, kind: &AnswerKind) -> Option<DeskLine> {
        let text = match self {
            Self::Number { number, unit } => {
                if unit.is_empty() && !matches!(kind, AnswerKind::Numeral { .. }) {
                    return Some(number.clone());
                }
                let typed = typed(number);
                match kind {
                    AnswerKind::Numeral { base } if !typed.contains('_') => {
                        format!("{typed}_{base}")
                    }
                    // Somebody typed it, and chose it too.
                    _ if typed.trim_end().ends_with(unit.as_str()) => typed,
                    _ => format!("{typed} {unit}"),
                }
            }
            Self::Choice { choice } | Self::Judgement { choice, .. } => choice.clone(),
            Self::Order { items } => {
                let AnswerKind::Order { sign, .. } = kind else { return None };
                items.join(&format!(" {sign} "))
            }
            Self::OnLine { part, ends } => {
                let AnswerKind::Interval { letter, .. } = kind else { return None };
                set_on_line(letter, *part, ends)?
            }
            Self::Cells { cells } => cells.join(" and "),
            Self::BrokenLine { .. } => return None,
        };
        Some(DeskLine { text, latex: false })
    }
}

/// What is shaded on a number line, as it would be written.
fn set_on_line(letter: &str, part: LinePart, ends: &[LineEnd]) -> Option<String> {
    let mut ends = ends.to_vec();
    ends.sort_by_key(|end| end.at);
    let sign = |end: &LineEnd, strict: &str| {
        if end.belongs { format!("{strict}=") } else { strict.to_owned() }
    };
    Some(match (part, &ends[..]) {
        (LinePart::Below, [end]) => format!("{letter} {} {}", sign(end, "<"), end.at),
        (LinePart::Above, [end]) => format!("{letter} {} {}", sign(end, ">"), end.at),
        (LinePart::Between, [low, high]) => {
            format!("{} {} {letter} {} {}", low.at, sign(low, "<"), sign(high, "<"), high.at)
        }
        (LinePart::Outside, [low, high]) => {
            let (below, above) = (sign(low, "<"), sign(high, ">"));
            format!("{letter} {below} {} or {letter} {above} {}", low.at, high.at)
        }
        _ => return None,
    })
}

/// What was typed, without the signs of the mathematics field.
fn typed(line: &DeskLine) -> String {
    if line.latex { words_of_latex(&line.text) } else { line.text.trim().to_owned() }
}

/// Judges a student's lines and what stands in the place for the answer: when something does, that is the answer.
#[must_use]
pub fn judge_with(rung: &Rung, lines: &[DeskLine], given: Option<&GivenAnswer>) -> Judgement {
    let Some(given) = given.filter(|given| !given.is_empty()) else { return judge(rung, lines) };
    let kind = rung.kind();
    let (mut judgement, mut said) = match (given, &rung.flawed) {
        (GivenAnswer::BrokenLine { line, mended }, Some(flawed)) => {
            (judge(rung, lines), broken::judge(rung, flawed, *line, mended.as_ref()))
        }
        _ => {
            let Some(line) = given.as_line(&kind) else { return judge(rung, lines) };
            let most = super::MOST_LINES - 1;
            let mut all = lines[..lines.len().min(most)].to_vec();
            all.push(line);
            let mut judgement = judge(rung, &all);
            let Some(said) = judgement.lines.pop() else { return judge(rung, lines) };
            (judgement, said)
        }
    };
    look_again(&kind, given, rung, &mut said);
    let sound = judgement
        .lines
        .iter()
        .all(|line| matches!(line.verdict.word, VerdictWord::Holds | VerdictWord::CantTell));
    judgement.answered = said.answers;
    judgement.finished = said.answers && sound;
    judgement.answer = Some(said);
    judgement
}

/// What its place asks for beside the value: the unit, the reason, every cell.
fn look_again(kind: &AnswerKind, given: &GivenAnswer, rung: &Rung, said: &mut JudgedLine) {
    if let GivenAnswer::Judgement { choice, because } = given
        && !because.trim().is_empty()
    {
        said.plain = format!("{choice}, because {}", because.trim());
        said.reading.clear();
    }
    match (given, kind) {
        (GivenAnswer::Number { unit, .. }, AnswerKind::Quantity { units, .. })
            if said.answers && unit.is_empty() && units.len() > 1 =>
        {
            not_yet(said, CHOOSE_UNIT);
        }
        (GivenAnswer::Judgement { because, .. }, AnswerKind::Judgement { because: true, .. })
            if said.answers =>
        {
            if because.trim().is_empty() {
                not_yet(said, SAY_WHY);
            } else if is_false(because) {
                not_yet(said, LOOK_AT_REASON);
            }
        }
        (GivenAnswer::Choice { choice }, _) => {
            // A choice is right or it is not, whatever it could be read as.
            let is_right = rung.choices.iter().any(|one| one.right && one.text == *choice);
            said.answers = is_right;
            if is_right {
                said.verdict = LineVerdict::plain(VerdictWord::Holds);
            } else if said.verdict.word != VerdictWord::Breaks {
                said.verdict = LineVerdict::saying(VerdictWord::Breaks, NOT_THIS);
            }
        }
        (GivenAnswer::Cells { cells }, _) => {
            let right: Vec<&str> = rung.answer.value.split(" and ").collect();
            let wrong = (0..right.len())
                .find(|&at| !cells.get(at).is_some_and(|cell| is_cell(cell, right[at])));
            said.answers = wrong.is_none();
            said.verdict = match wrong {
                None => LineVerdict::plain(VerdictWord::Holds),
                Some(at) if cells.get(at).is_none_or(|cell| cell.trim().is_empty()) => {
                    LineVerdict::saying(VerdictWord::CantTell, "One cell is still empty.")
                }
                Some(at) => LineVerdict::saying(
                    VerdictWord::Breaks,
                    format!("Look at cell {} again.", at + 1),
                ),
            };
        }
        (GivenAnswer::Order { items }, AnswerKind::Order { items: all, .. }) => {
            if items.len() < all.len() {
                said.answers = false;
                said.verdict = LineVerdict::saying(VerdictWord::CantTell, "Put all of them in.");
            } else if !said.answers {
                said.verdict = LineVerdict::saying(VerdictWord::Breaks, OTHER_ORDER);
            }
        }
        _ => {}
    }
}

/// What is right so far, with what is still asked for.
fn not_yet(said: &mut JudgedLine, says: &str) {
    said.verdict = LineVerdict::saying(VerdictWord::Holds, says);
    said.answers = false;
}

const CHOOSE_UNIT: &str = "The number is right. Choose its unit.";
const SAY_WHY: &str = "Right. Now say why.";
const LOOK_AT_REASON: &str = "Right. Look at your reason again: it says something that is not so.";
const NOT_THIS: &str = "Not this one. Look again at what is asked.";
const OTHER_ORDER: &str =
    "Not in this order yet. Bring them to one denominator, or compare two at a time.";

/// Whether a reason is mathematics that is false by itself.
fn is_false(reason: &str) -> bool {
    let reason = reason.trim().trim_end_matches('.');
    let lower = reason.to_lowercase();
    let start = if lower.starts_with("because ") { "because ".len() } else { 0 };
    let read = read_line_with(reason.get(start..).unwrap_or(reason), Options::default());
    read.is_ok_and(|read| {
        matches!(read.line, Line::Relations { .. })
            && read.line.symbols().is_empty()
            && matches!(judge_alone(&read.line), StepVerdict::NotEquivalent(_))
    })
}

/// Whether a cell says what should stand there: the same value in the same writing, percent as percent.
fn is_cell(told: &str, right: &str) -> bool {
    let read = |text: &str| {
        let number = text.trim().trim_end_matches('%');
        read_line_with(number, Options::default()).ok().map(|reading| reading.line)
    };
    let (Some(Line::Expression(told_value)), Some(Line::Expression(value))) =
        (read(told), read(right))
    else {
        return told.trim() == right;
    };
    let sign = |text: &str| (text.contains('%'), text.contains('/'));
    told_value.as_plain_number().is_some()
        && told_value.as_plain_number() == value.as_plain_number()
        && sign(told) == sign(right)
}
