//! What a class is asked during a lesson.

use lesson::{Asks, Block};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::answer::AnswerKind;
use teaching::figure::Figure;
use utoipa::ToSchema;

/// What the class is asked.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "by", rename_all = "snake_case")]
pub enum ClassQuestion {
    /// To be answered in one's own words, or in mathematics.
    Open {
        /// What is asked; mathematics stands between dollar signs.
        prompt: String,
        /// What is right; empty where that is left open.
        #[serde(default)]
        answer: String,
    },
    /// By one of several choices.
    Choice {
        /// What is asked.
        prompt: String,
        /// What may be chosen.
        choices: Vec<String>,
        /// Which of them are right, from 0; empty in a poll.
        #[serde(default)]
        right: Vec<usize>,
    },
    /// By true or false, and why.
    TrueOrFalse {
        /// What may be true.
        prompt: String,
        /// Whether it is.
        is_true: bool,
        /// Why.
        #[serde(default)]
        why: String,
    },
    /// By the lines of a working, or by an answer in its place.
    Rung {
        /// The problem.
        rung: Box<Rung>,
    },
    /// By a drawing, on a figure or on an empty sheet.
    Drawing {
        /// What is to be drawn.
        prompt: String,
        /// What it is drawn on.
        #[serde(default)]
        figure: Option<Figure>,
    },
}

/// Something on a slide that the class can be asked.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct Offering {
    /// What is asked.
    pub prompt: String,
    /// The question itself.
    pub asked: ClassQuestion,
}

/// A question as students see it: nothing of what is right.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct ClassQuestionView {
    /// `open`, `choice`, `true_or_false`, `rung` or `drawing`.
    pub by: &'static str,
    /// What is asked.
    pub prompt: String,
    /// What may be chosen.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub choices: Vec<String>,
    /// The place for the answer of a problem; absent where its lines are the answer.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub place: Option<AnswerKind>,
    /// The letter that is asked for.
    #[serde(skip_serializing_if = "String::is_empty")]
    pub unknown: String,
    /// Somebody's working, line by line, where the one that breaks is asked for.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    pub working: Vec<String>,
}

impl ClassQuestion {
    /// What is asked, in words.
    #[must_use]
    pub fn prompt(&self) -> &str {
        match self {
            Self::Open { prompt, .. }
            | Self::Choice { prompt, .. }
            | Self::TrueOrFalse { prompt, .. }
            | Self::Drawing { prompt, .. } => prompt,
            Self::Rung { rung } => &rung.prompt,
        }
    }

    /// What is drawn with it.
    #[must_use]
    pub fn figure(&self) -> Option<&Figure> {
        match self {
            Self::Rung { rung } => rung.figure.as_ref(),
            Self::Drawing { figure, .. } => figure.as_ref(),
            _ => None,
        }
    }

    /// What is right, with mathematics between dollar signs; empty where nothing is.
    #[must_use]
    pub fn right(&self) -> String {
        match self {
            Self::Open { answer, .. } => answer.clone(),
            Self::Choice { choices, right, .. } => {
                let of = |at: &usize| choices.get(*at).cloned();
                right.iter().filter_map(of).collect::<Vec<_>>().join("; ")
            }
            Self::TrueOrFalse { is_true, why, .. } => {
                let word = if *is_true { "True" } else { "False" };
                if why.is_empty() { word.into() } else { format!("{word}: {why}") }
            }
            Self::Rung { rung } => match &rung.answer.latex {
                Some(latex) => format!("${latex}$"),
                None => rung.answer.text.clone(),
            },
            Self::Drawing { .. } => String::new(),
        }
    }

    /// Whether there is something that is right.
    #[must_use]
    pub fn has_right(&self) -> bool {
        match self {
            Self::TrueOrFalse { .. } | Self::Rung { .. } => true,
            Self::Open { answer, .. } => !answer.trim().is_empty(),
            Self::Choice { right, .. } => !right.is_empty(),
            Self::Drawing { .. } => false,
        }
    }

    /// Whether it can be asked: there is a prompt, and something to choose from.
    ///
    /// # Errors
    /// What to do about it.
    pub fn check(&self) -> Result<(), &'static str> {
        let prompt = self.prompt().trim();
        let draws = matches!(self, Self::Drawing { figure: Some(_), .. });
        if prompt.is_empty() && !draws {
            return Err("Type what you want to ask.");
        }
        if prompt.chars().count() > lesson::LONGEST_TEXT {
            return Err("Keep a question to 4000 characters.");
        }
        match self {
            Self::Choice { choices, right, .. } => {
                let long = |choice: &String| choice.chars().count() > 400;
                if !(2..=8).contains(&choices.len()) || choices.iter().any(long) {
                    return Err("Give 2 to 8 choices of at most 400 characters.");
                }
                if choices.iter().any(|choice| choice.trim().is_empty()) {
                    return Err("Fill every choice, or take it out.");
                }
                let inside = right.iter().all(|at| *at < choices.len());
                if inside { Ok(()) } else { Err("Choose what is right among the choices.") }
            }
            _ => Ok(()),
        }
    }

    /// As students see it.
    #[must_use]
    pub fn view(&self) -> ClassQuestionView {
        let by = match self {
            Self::Open { .. } => "open",
            Self::Choice { .. } => "choice",
            Self::TrueOrFalse { .. } => "true_or_false",
            Self::Rung { .. } => "rung",
            Self::Drawing { .. } => "drawing",
        };
        let rung = match self {
            Self::Rung { rung } => Some(rung),
            _ => None,
        };
        let flawed = rung.and_then(|rung| rung.flawed.as_ref());
        ClassQuestionView {
            by,
            prompt: self.prompt().to_owned(),
            choices: match self {
                Self::Choice { choices, .. } => choices.clone(),
                _ => Vec::new(),
            },
            place: rung.map(|rung| rung.kind()).filter(AnswerKind::has_place),
            unknown: rung.map(|rung| rung.unknown.clone()).unwrap_or_default(),
            working: flawed
                .iter()
                .flat_map(|flawed| &flawed.lines)
                .map(|line| line.latex.clone())
                .collect(),
        }
    }
}

impl Offering {
    /// What of a block the class can be asked; nothing where it only shows something.
    #[must_use]
    pub fn of(block: &Block) -> Option<Self> {
        let asked = match block {
            Block::Question(question) => {
                let prompt = question.prompt.clone();
                match &question.asks {
                    Asks::Open { answer } => ClassQuestion::Open { prompt, answer: answer.clone() },
                    Asks::Choice { choices } => ClassQuestion::Choice {
                        prompt,
                        choices: choices.iter().map(|choice| choice.text.clone()).collect(),
                        right: (0..choices.len()).filter(|&at| choices[at].right).collect(),
                    },
                    Asks::TrueOrFalse { is_true, why } => {
                        ClassQuestion::TrueOrFalse { prompt, is_true: *is_true, why: why.clone() }
                    }
                }
            }
            Block::Practice(practice) => ClassQuestion::Rung { rung: practice.rung.clone() },
            Block::Talk(talk) => {
                ClassQuestion::Open { prompt: talk.prompt.clone(), answer: String::new() }
            }
            Block::Picture(picture) => ClassQuestion::Drawing {
                prompt: String::from("Draw on it what you see."),
                figure: Some(picture.figure.clone()),
            },
            _ => return None,
        };
        asked.check().is_ok().then(|| Self { prompt: asked.prompt().to_owned(), asked })
    }
}
