//! Blocks: the parts of a slide.

use super::{BadLesson, LONGEST_TEXT, fits};
use crate::bench::Placed;
use crate::example::{Example, MOST_LINES};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::figure::Figure;
use utoipa::ToSchema;

/// Most rows and columns of a table.
const LONGEST_TABLE: usize = 20;
/// Most choices, starters, examples of a block.
const MOST_PARTS: usize = 8;
/// Longest text of one of these, in characters.
const LONGEST_PART: usize = 400;

/// A part of a slide. Texts hold mathematics between dollar signs.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Block {
    /// Text.
    Text {
        /// The text.
        text: String,
    },
    /// A worked example, revealed line by line.
    WorkedExample {
        /// The problem with its working.
        example: Box<Example>,
    },
    /// A picture.
    Picture {
        /// What it shows.
        figure: Figure,
        /// What is said below it.
        caption: String,
    },
    /// A question, with its answer one step later.
    Question {
        /// What is asked.
        prompt: String,
        /// How it is answered.
        asks: Asks,
    },
    /// A table.
    Table {
        /// The heads of its columns.
        heads: Vec<String>,
        /// Its rows, each as long as the heads.
        rows: Vec<Vec<String>>,
    },
    /// A link.
    Link {
        /// Where it leads: an address that begins with `https://`.
        url: String,
        /// What it is called.
        text: String,
    },
    /// A problem of the catalogue or of one's own, with its answer one step later.
    Practice {
        /// Where it comes from.
        source: Box<Placed>,
        /// The problem as it was posed.
        rung: Box<Rung>,
    },
    /// A ladder that hangs on this lesson.
    Ladder {
        /// Its id.
        ladder: u64,
        /// What it is called.
        title: String,
    },
    /// Something to talk about, with the beginnings of sentences.
    Talk {
        /// What to talk about.
        prompt: String,
        /// How a sentence may begin.
        starters: Vec<String>,
    },
    /// A word with what it means.
    Word {
        /// The word.
        word: String,
        /// What it means.
        means: String,
        /// A picture of it.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        figure: Option<Figure>,
    },
    /// An image that was put in from a file.
    Image {
        /// Its id.
        image: u64,
        /// What is told of it to those who cannot see it.
        alt: String,
        /// What is said below it.
        #[serde(default, skip_serializing_if = "String::is_empty")]
        caption: String,
    },
    /// What is one, and what is none.
    Examples {
        /// Of what.
        of: String,
        /// Examples.
        fits: Vec<String>,
        /// What only looks like one.
        fits_not: Vec<String>,
    },
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

impl Block {
    /// In how many steps it is revealed once it has come; a worked example counts its own lines, and is not told here.
    #[must_use]
    pub fn has_answer(&self) -> bool {
        match self {
            Self::Question { asks: Asks::Open { answer }, .. } => !answer.is_empty(),
            Self::Question { .. } | Self::Practice { .. } => true,
            _ => false,
        }
    }

    /// What can be read on it, to be looked for.
    pub fn texts(&self) -> Vec<&str> {
        match self {
            Self::Text { text } | Self::Picture { caption: text, .. } => vec![text],
            Self::WorkedExample { example } => vec![&example.problem, &example.title],
            Self::Question { prompt, asks } => {
                let mut found = vec![prompt.as_str()];
                match asks {
                    Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => {
                        found.push(text);
                    }
                    Asks::Choice { choices } => {
                        found.extend(choices.iter().map(|choice| choice.text.as_str()));
                    }
                }
                found
            }
            Self::Table { heads, rows } => {
                heads.iter().chain(rows.iter().flatten()).map(String::as_str).collect()
            }
            Self::Link { url, text } => vec![url, text],
            Self::Practice { rung, .. } => vec![&rung.prompt],
            Self::Ladder { title, .. } => vec![title],
            Self::Image { alt, caption, .. } => vec![alt, caption],
            Self::Talk { prompt, starters } => {
                std::iter::once(prompt).chain(starters).map(String::as_str).collect()
            }
            Self::Word { word, means, .. } => vec![word, means],
            Self::Examples { of, fits, fits_not } => {
                std::iter::once(of).chain(fits).chain(fits_not).map(String::as_str).collect()
            }
        }
    }

    /// The texts on it that its teacher wrote, to be mended.
    pub fn texts_mut(&mut self) -> Vec<&mut String> {
        match self {
            Self::Text { text } | Self::Picture { caption: text, .. } | Self::Link { text, .. } => {
                vec![text]
            }
            Self::Question { prompt, asks } => {
                let mut found = vec![prompt];
                match asks {
                    Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => {
                        found.push(text);
                    }
                    Asks::Choice { choices } => {
                        found.extend(choices.iter_mut().map(|choice| &mut choice.text));
                    }
                }
                found
            }
            Self::Table { heads, rows } => {
                heads.iter_mut().chain(rows.iter_mut().flatten()).collect()
            }
            Self::Talk { prompt, starters } => std::iter::once(prompt).chain(starters).collect(),
            Self::Word { word, means, .. } => vec![word, means],
            Self::Image { alt, caption, .. } => vec![alt, caption],
            Self::Examples { of, fits, fits_not } => {
                std::iter::once(of).chain(fits).chain(fits_not).collect()
            }
            Self::WorkedExample { .. } | Self::Practice { .. } | Self::Ladder { .. } => Vec::new(),
        }
    }

    /// The pictures on it.
    pub fn figures(&self) -> Vec<&Figure> {
        match self {
            Self::WorkedExample { example } => example.figures().collect(),
            Self::Picture { figure, .. } => vec![figure],
            Self::Practice { rung, .. } => rung.figure.iter().collect(),
            Self::Word { figure, .. } => figure.iter().collect(),
            _ => Vec::new(),
        }
    }

    /// Whether it can be kept.
    ///
    /// # Errors
    /// [`BadLesson`] with what is wrong.
    pub(super) fn check(&self) -> Result<(), BadLesson> {
        let bad = |says: &str| Err(BadLesson::because(says));
        let parts = |all: &[String]| {
            all.len() <= MOST_PARTS && all.iter().all(|text| fits(text, LONGEST_PART))
        };
        match self {
            Self::Text { text } | Self::Picture { caption: text, .. }
                if !fits(text, LONGEST_TEXT) =>
            {
                bad("A text on a slide is too long. Split it over two slides.")
            }
            Self::WorkedExample { example }
                if !fits(&example.problem, LONGEST_TEXT) || example.working.len() > MOST_LINES =>
            {
                bad("A worked example is too long. Split it in two.")
            }
            Self::Question { prompt, asks } => {
                let sound = fits(prompt, LONGEST_TEXT)
                    && match asks {
                        Asks::Open { answer: text } | Asks::TrueOrFalse { why: text, .. } => {
                            fits(text, LONGEST_TEXT)
                        }
                        Asks::Choice { choices } => {
                            choices.len() <= MOST_PARTS
                                && choices.iter().all(|choice| fits(&choice.text, LONGEST_PART))
                        }
                    };
                if sound {
                    Ok(())
                } else {
                    bad("Keep a question to 4000 characters and 8 choices.")
                }
            }
            Self::Table { heads, rows } => {
                let cells = rows.iter().flatten().chain(heads);
                let sound = heads.len() <= LONGEST_TABLE
                    && rows.len() <= LONGEST_TABLE
                    && rows.iter().all(|row| row.len() == heads.len())
                    && cells.into_iter().all(|cell| fits(cell, LONGEST_PART));
                if sound {
                    Ok(())
                } else {
                    bad("A table has at most 20 rows and 20 columns, all of one length.")
                }
            }
            Self::Link { url, text } => {
                if !(url.is_empty() || url.starts_with("https://") || url.starts_with("http://")) {
                    return bad("A link begins with https://.");
                }
                if fits(url, 2_000) && fits(text, LONGEST_PART) {
                    Ok(())
                } else {
                    bad("This link is too long.")
                }
            }
            Self::Image { alt, caption, .. }
                if !fits(alt, 1_000) || !fits(caption, LONGEST_PART) =>
            {
                bad("Keep the words of an image to 1000 characters, and those below it to 400.")
            }
            Self::Ladder { title, .. } if !fits(title, 120) => {
                bad("The name of a ladder is too long.")
            }
            Self::Talk { prompt, starters } if !fits(prompt, LONGEST_TEXT) || !parts(starters) => {
                bad("Keep a talk prompt to 8 sentence starters of at most 400 characters.")
            }
            Self::Word { word, means, .. } if !fits(word, 120) || !fits(means, LONGEST_TEXT) => {
                bad("Keep a word to 120 characters.")
            }
            Self::Examples { of, fits: good, fits_not } => {
                if fits(of, 120) && parts(good) && parts(fits_not) {
                    Ok(())
                } else {
                    bad("Keep examples to 8 of each kind, 400 characters each.")
                }
            }
            _ => Ok(()),
        }
    }

    /// The block with what it claims proved again, unless it stands there already as it is.
    ///
    /// # Errors
    /// [`BadLesson`] when an example or a problem cannot be made.
    pub(super) fn proved(self, kept: &[&Self]) -> Result<Self, BadLesson> {
        if kept.contains(&&self) {
            return Ok(self);
        }
        Ok(match self {
            Self::WorkedExample { example } => {
                let again = example.again().map_err(|why| BadLesson(why.says))?;
                Self::WorkedExample { example: Box::new(again) }
            }
            Self::Practice { source, .. } => {
                let rung = source.made().map_err(|why| BadLesson(why.says))?;
                Self::Practice { source, rung: Box::new(rung) }
            }
            other => other,
        })
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_kept_says_why() {
        let long = || "x".repeat(4_001);
        let question = |asks| Block::Question { prompt: "Why?".into(), asks };
        let choice = |text: &str| Offered { text: text.into(), right: true };
        for (block, is_fine) in [
            (Block::Text { text: "Today".into() }, true),
            (Block::Text { text: long() }, false),
            (question(Asks::Open { answer: String::new() }), true),
            (question(Asks::Open { answer: long() }), false),
            (question(Asks::Choice { choices: vec![choice("a"); 8] }), true),
            (question(Asks::Choice { choices: vec![choice("a"); 9] }), false),
            (Block::Table { heads: vec!["x".into(), "y".into()], rows: vec![vec!["1".into(), "2".into()]] }, true),
            (Block::Table { heads: vec!["x".into(), "y".into()], rows: vec![vec!["1".into()]] }, false),
            (Block::Link { url: "https://larkmoor.example".into(), text: "our garden".into() }, true),
            (Block::Link { url: "javascript:alert(1)".into(), text: "our garden".into() }, false),
            (Block::Talk { prompt: "Why?".into(), starters: vec!["I think".into(); 9] }, false),
            (Block::Word { word: "x".repeat(121), means: String::new(), figure: None }, false),
            (Block::Examples { of: "primes".into(), fits: vec!["7".into()], fits_not: vec!["9".into()] }, true),
        ] {
            assert_eq!(block.check().is_ok(), is_fine, "{block:?}");
        }
    }

    #[test]
    fn only_what_is_asked_has_an_answer() {
        let open = |answer: &str| Block::Question {
            prompt: "Why?".into(),
            asks: Asks::Open { answer: answer.into() },
        };
        assert!(open("Because").has_answer() && !open("").has_answer());
        assert!(!Block::Text { text: "Today".into() }.has_answer());
    }
}
