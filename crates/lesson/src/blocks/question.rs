//! A question, with its answer one step later.

use super::{BlockKind, Claims, LONGEST_PART, MOST_PARTS, length, plain, refuse};
use crate::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A question.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct QuestionBlock {
    /// What is asked.
    pub prompt: String,
    /// How it is answered.
    pub asks: Asks,
}

/// How a question is answered.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "by", rename_all = "snake_case")]
pub enum Asks {
    /// In one's own words.
    Open {
        /// What is right; may be empty.
        answer: String,
    },
    /// By one of several choices.
    Choice {
        /// In the order in which they stand.
        choices: Vec<Offered>,
    },
    /// By yes or no, and why.
    TrueOrFalse {
        /// Whether it is true.
        is_true: bool,
        /// Why.
        why: String,
    },
}

/// A choice of a question.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Offered {
    /// What it says.
    pub text: String,
    /// Whether it is right.
    pub right: bool,
}

impl QuestionBlock {
    /// One that is answered in one's own words.
    #[must_use]
    pub fn open(prompt: impl Into<String>, answer: impl Into<String>) -> Self {
        Self { prompt: prompt.into(), asks: Asks::Open { answer: answer.into() } }
    }
}

impl BlockKind for QuestionBlock {
    fn check(&self) -> Result<(), BadLesson> {
        let sound = fits(&self.prompt, LONGEST_TEXT)
            && match &self.asks {
                Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => {
                    fits(text, LONGEST_TEXT)
                }
                Asks::Choice { choices } => {
                    choices.len() <= MOST_PARTS
                        && choices.iter().all(|choice| fits(&choice.text, LONGEST_PART))
                }
            };
        if sound { Ok(()) } else { refuse("Keep a question to 4000 characters and 8 choices.") }
    }

    fn texts(&self) -> Vec<&str> {
        let mut found = vec![self.prompt.as_str()];
        match &self.asks {
            Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => found.push(text),
            Asks::Choice { choices } => {
                found.extend(choices.iter().map(|choice| choice.text.as_str()));
            }
        }
        found
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        let mut found = vec![&mut self.prompt];
        match &mut self.asks {
            Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => found.push(text),
            Asks::Choice { choices } => {
                found.extend(choices.iter_mut().map(|choice| &mut choice.text));
            }
        }
        found
    }

    fn steps(&self) -> u16 {
        match &self.asks {
            Asks::Open { answer } if answer.is_empty() => 1,
            _ => 2,
        }
    }

    fn spoken(&self, step: u16) -> String {
        if step > 1 { self.answer() } else { plain(&self.prompt) }
    }

    fn answer(&self) -> String {
        plain(&match &self.asks {
            Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => text.clone(),
            Asks::Choice { choices } => {
                let right = choices.iter().filter(|choice| choice.right);
                right.map(|choice| choice.text.as_str()).collect::<Vec<_>>().join(", ")
            }
        })
    }

    fn claims(&self) -> Claims<'_> {
        // A claim that is asked about may be false; what is said to be right may not.
        let statements = match &self.asks {
            Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => {
                vec![text.as_str()]
            }
            Asks::Choice { .. } => Vec::new(),
        };
        Claims {
            statements,
            asks: Some((&self.prompt, &self.asks)),
            problem: Some(self.prompt.trim()).filter(|prompt| !prompt.is_empty()),
            practises: true,
            own_words: true,
            room: length(&self.texts()),
            ..Claims::default()
        }
    }
}
