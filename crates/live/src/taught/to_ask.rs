//! What a teacher wants to ask: something of the lesson, or something that came up.

use super::asked::{ClassQuestion, Offering};
use super::now::Now;
use lesson::{Block, Lesson, PracticeOrder, Slide};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use utoipa::ToSchema;

/// What is to be asked.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "from", rename_all = "snake_case")]
pub enum ToAsk {
    /// Something that a slide offers.
    Slide {
        /// Which slide, from 0.
        slide: u16,
        /// Which of the things that it offers, from 0.
        nth: usize,
    },
    /// What was typed: a problem that can be worked, where it is one, and else a question in words.
    Typed {
        /// As it was typed.
        text: String,
    },
    /// What was typed, with something to choose from.
    Choice {
        /// What is asked.
        prompt: String,
        /// What may be chosen.
        choices: Vec<String>,
        /// Which of them are right, from 0; none for a poll.
        #[serde(default)]
        right: Vec<usize>,
    },
    /// A sentence that is true or not.
    TrueOrFalse {
        /// The sentence.
        prompt: String,
        /// Whether it is true.
        is_true: bool,
    },
    /// A drawing on an empty sheet.
    Drawing {
        /// What is to be drawn.
        prompt: String,
    },
    /// A problem that was asked, with other numbers.
    Again {
        /// The question.
        question: u32,
        /// Another seed, other numbers.
        seed: u64,
    },
    /// A problem of the catalogue.
    Practice {
        /// Which.
        order: PracticeOrder,
    },
}

/// What a slide offers to be asked, from top to bottom.
#[must_use]
pub fn offerings(slide: &Slide) -> Vec<Offering> {
    slide.blocks.iter().flat_map(of_block).collect()
}

fn of_block(block: &Block) -> Vec<Offering> {
    let Block::WorkedExample(worked) = block else {
        return Offering::of(block).into_iter().collect();
    };
    // A line with something left out is tried together.
    let blank = |line: &lesson::example::ExampleLine| {
        let asked = line.asked.as_ref().filter(|asked| !asked.latex.is_empty())?;
        let prompt = format!("Write this line in full: ${}$", asked.latex);
        let asked = ClassQuestion::Open { prompt: prompt.clone(), answer: line.line.math.clone() };
        Some(Offering { prompt, asked })
    };
    worked.example.working.iter().filter_map(blank).collect()
}

impl ToAsk {
    /// The question, in a lesson as it stands.
    ///
    /// # Errors
    /// What to do about it, where it cannot be asked.
    pub fn asked(&self, lesson: &Lesson, now: &Now) -> Result<ClassQuestion, String> {
        let asked = match self {
            Self::Slide { slide, nth } => {
                let slide = lesson.slides.get(usize::from(*slide));
                let offered = slide.map(offerings).and_then(|all| all.into_iter().nth(*nth));
                offered.ok_or("This slide has no such question.")?.asked
            }
            Self::Typed { text } => {
                let problem = text.trim().to_owned();
                match practice(PracticeOrder::Typed { problem }) {
                    Ok(rung) => ClassQuestion::Rung { rung },
                    Err(_) => ClassQuestion::Open { prompt: text.clone(), answer: String::new() },
                }
            }
            Self::Choice { prompt, choices, right } => ClassQuestion::Choice {
                prompt: prompt.clone(),
                choices: choices.clone(),
                right: right.clone(),
            },
            Self::TrueOrFalse { prompt, is_true } => ClassQuestion::TrueOrFalse {
                prompt: prompt.clone(),
                is_true: *is_true,
                why: String::new(),
            },
            Self::Drawing { prompt } => {
                ClassQuestion::Drawing { prompt: prompt.clone(), figure: None }
            }
            Self::Again { question, seed } => {
                let asked = now.questions.get(question).map(|question| &question.asked);
                let Some(ClassQuestion::Rung { rung }) = asked else {
                    return Err("Only a problem has other numbers.".into());
                };
                let order = PracticeOrder::Drawn {
                    skill: rung.skill.clone(),
                    stage: rung.stage,
                    method: None,
                    index: 0,
                    seed: *seed,
                };
                ClassQuestion::Rung { rung: practice(order)? }
            }
            Self::Practice { order } => ClassQuestion::Rung { rung: practice(order.clone())? },
        };
        asked.check()?;
        Ok(asked)
    }
}

fn practice(order: PracticeOrder) -> Result<Box<Rung>, String> {
    match order.block().map_err(|why| why.0)? {
        Block::Practice(practice) => Ok(practice.rung),
        _ => Err("This is no problem.".into()),
    }
}
