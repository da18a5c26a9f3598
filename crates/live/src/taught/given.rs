//! What a student answers, and what is said of it.

use super::LONGEST_TEXT;
use super::asked::ClassQuestion;
use algebra::{Line, StepVerdict, compare, read_line};
use desk::{DeskLine, GivenAnswer, JudgedLine, Judgement, MOST_LINES, judge_with};
use serde::{Deserialize, Serialize};
use skills::ids::slip_of;
use teaching::verdict::VerdictWord;
use utoipa::ToSchema;

/// Most numbers in one drawing: two for each point.
const MOST_POINTS: usize = 8_000;
/// Longest line of a working, in bytes.
const LONGEST_LINE: usize = 2_000;

/// What a student answers.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "by", rename_all = "snake_case")]
pub enum Given {
    /// Words, or mathematics.
    Text {
        /// As it was typed.
        text: String,
    },
    /// One of the choices.
    Choice {
        /// Which, from 0.
        choice: usize,
    },
    /// Whether something is true, and why.
    Judged {
        /// Whether it is.
        is_true: bool,
        /// Why.
        #[serde(default)]
        why: String,
    },
    /// The lines of a working, and what stands in the place for the answer.
    Desk {
        /// The lines.
        #[serde(default)]
        lines: Vec<DeskLine>,
        /// What stands in the place for the answer.
        #[serde(default)]
        answer: Option<GivenAnswer>,
    },
    /// Strokes, each a row of points, across and down in turn, in thousandths of the width of what was drawn on.
    Drawing {
        /// The strokes.
        strokes: Vec<Vec<i16>>,
    },
}

/// An answer that does not fit its question, with what to do about it.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct BadAnswer(pub &'static str);

/// What is said of an answer.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct AnswerMark {
    /// Whether it is right; absent where nothing is, or where it cannot be told.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub right: Option<bool>,
    /// What it ends in, in plain text: answers that have the same are the same.
    pub ends: String,
    /// The same for typesetting; empty for words.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub latex: String,
    /// The slip that was recognised, as a sentence.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub slip: String,
    /// What was said of each line.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub judgement: Option<Judgement>,
}

impl AnswerMark {
    fn of(right: Option<bool>, ends: impl Into<String>) -> Self {
        Self {
            right,
            ends: ends.into(),
            latex: String::new(),
            slip: String::new(),
            judgement: None,
        }
    }
}

impl Given {
    /// Whether it answers that question, and keeps to the limits.
    ///
    /// # Errors
    /// What to do about it.
    pub fn check(&self, asked: &ClassQuestion) -> Result<(), BadAnswer> {
        let short = |text: &str| text.chars().count() <= LONGEST_TEXT;
        let says = match (self, asked) {
            (Self::Text { text }, ClassQuestion::Open { .. }) if text.trim().is_empty() => {
                "Type your answer first."
            }
            (Self::Text { text }, ClassQuestion::Open { .. }) if short(text) => return Ok(()),
            (Self::Text { .. }, ClassQuestion::Open { .. }) | (Self::Judged { .. }, _)
                if !self.is_short() =>
            {
                "Keep it to 600 letters."
            }
            (Self::Choice { choice }, ClassQuestion::Choice { choices, .. })
                if *choice < choices.len() =>
            {
                return Ok(());
            }
            (Self::Judged { .. }, ClassQuestion::TrueOrFalse { .. }) => return Ok(()),
            (Self::Desk { lines, answer }, ClassQuestion::Rung { .. }) => {
                let long = |line: &DeskLine| line.text.len() > LONGEST_LINE;
                let empty = |answer: &GivenAnswer| answer.is_empty();
                if lines.len() > MOST_LINES || lines.iter().any(long) {
                    "There is room for 60 lines of at most 2000 signs."
                } else if answer.as_ref().is_some_and(|one| one.longest() > 600 || one.parts() > 60)
                {
                    "This answer is too long. Write its working in the lines above."
                } else if lines.iter().all(|line| line.text.trim().is_empty())
                    && answer.as_ref().is_none_or(empty)
                {
                    "Type your answer first."
                } else {
                    return Ok(());
                }
            }
            (Self::Drawing { strokes }, ClassQuestion::Drawing { .. }) => {
                if strokes.iter().map(Vec::len).sum::<usize>() > MOST_POINTS {
                    "This drawing has too many strokes. Take some out."
                } else {
                    return Ok(());
                }
            }
            _ => "This is answered in another way. Load the page again.",
        };
        Err(BadAnswer(says))
    }

    fn is_short(&self) -> bool {
        match self {
            Self::Text { text } | Self::Judged { why: text, .. } => {
                text.chars().count() <= LONGEST_TEXT
            }
            _ => true,
        }
    }
}

/// What is said of an answer that fits its question.
#[must_use]
pub fn mark(asked: &ClassQuestion, given: &Given) -> AnswerMark {
    match (asked, given) {
        (ClassQuestion::Open { answer, .. }, Given::Text { text }) => of_text(answer, text),
        (ClassQuestion::Choice { choices, right, .. }, Given::Choice { choice }) => {
            let right = (!right.is_empty()).then(|| right.contains(choice));
            AnswerMark::of(right, choices.get(*choice).cloned().unwrap_or_default())
        }
        (ClassQuestion::TrueOrFalse { is_true, .. }, Given::Judged { is_true: said, .. }) => {
            AnswerMark::of(Some(is_true == said), if *said { "True" } else { "False" })
        }
        (ClassQuestion::Rung { rung }, Given::Desk { lines, answer }) => {
            let lines: Vec<DeskLine> =
                lines.iter().filter(|line| !line.text.trim().is_empty()).cloned().collect();
            of_desk(judge_with(rung, &lines, answer.as_ref()))
        }
        (_, Given::Drawing { .. }) => AnswerMark::of(None, ""),
        _ => AnswerMark::of(None, ""),
    }
}

/// Mathematics is compared by what it means, words as they stand.
fn of_text(answer: &str, text: &str) -> AnswerMark {
    let plain = text.split_whitespace().collect::<Vec<_>>().join(" ");
    let read = read_line(&plain).ok().map(|reading| reading.line);
    let latex = read.as_ref().map(algebra::write::latex_line).unwrap_or_default();
    let is_sentence = matches!(read, Some(Line::Sentence(_)));
    let right = answer.replace('$', "");
    let right = right.trim();
    let same = || right.to_lowercase() == plain.to_lowercase();
    let is_right = if right.is_empty() {
        None
    } else if same() {
        Some(true)
    } else {
        let right = read_line(right).ok().map(|reading| reading.line);
        match (right, &read) {
            (Some(Line::Sentence(_)), _) | (None, _) | (_, None) => None,
            (Some(_), Some(_)) if is_sentence => None,
            (Some(right), Some(line)) => match compare(&right, line, None) {
                StepVerdict::Equivalent { .. } => Some(true),
                StepVerdict::NotEquivalent(_) => Some(false),
                _ => None,
            },
        }
    };
    let latex = if is_sentence { String::new() } else { latex };
    AnswerMark { latex, ..AnswerMark::of(is_right, plain) }
}

fn of_desk(judgement: Judgement) -> AnswerMark {
    let last: Option<&JudgedLine> = judgement.answer.as_ref().or(judgement.lines.last());
    let ends = last.map(|line| line.plain.trim().to_owned()).unwrap_or_default();
    let latex = last.map(|line| line.reading.clone()).unwrap_or_default();
    let all = || judgement.lines.iter().chain(&judgement.answer);
    let breaks = |line: &&JudgedLine| {
        matches!(
            line.verdict.word,
            VerdictWord::Breaks | VerdictWord::DropsSolution | VerdictWord::AddsSolution
        )
    };
    let broken = all().find(|line| line.slip.is_some()).or_else(|| all().find(breaks));
    // The teacher reads what the slip is; where it has no name, why the line breaks.
    let named =
        broken.and_then(|line| slip_of(line.slip?)).map(|slip| slip.to_teacher().to_owned());
    let slip = named.or_else(|| broken.map(|line| line.verdict.says.clone())).unwrap_or_default();
    let right = if judgement.answered { Some(true) } else { broken.map(|_| false) };
    AnswerMark { latex, slip, judgement: Some(judgement), ..AnswerMark::of(right, ends) }
}
