//! Blocks: the parts of a slide. Each kind is one file here, which knows its data, its limits, its texts, what it shows
//! in which step, and what has to be true of it. `docs/add-a-block.md` shows how one is added.

mod examples;
mod image;
mod key_point;
mod ladder;
mod link;
mod picture;
mod practice;
mod question;
mod table;
mod talk;
mod text;
mod word;
mod worked_example;

pub use examples::ExamplesBlock;
pub use image::ImageBlock;
pub use key_point::KeyPointBlock;
pub use ladder::LadderBlock;
pub use link::LinkBlock;
pub use picture::PictureBlock;
pub use practice::PracticeBlock;
pub use question::{Asks, Offered, QuestionBlock};
pub use table::TableBlock;
pub use talk::TalkBlock;
pub use text::TextBlock;
pub use word::WordBlock;
pub use worked_example::WorkedExampleBlock;

use super::{BadLesson, Checked, fits};
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use utoipa::ToSchema;

/// Most choices, starters, examples of a block.
const MOST_PARTS: usize = 8;
/// Longest text of one of these, in characters.
const LONGEST_PART: usize = 400;

/// What every kind of block knows of itself.
pub trait BlockKind {
    /// Whether it can be kept.
    ///
    /// # Errors
    /// [`BadLesson`] with what is wrong.
    fn check(&self) -> Result<(), BadLesson>;

    /// What can be read on it, to be looked for.
    fn texts(&self) -> Vec<&str>;

    /// The texts on it that its teacher wrote, to be mended.
    fn texts_mut(&mut self) -> Vec<&mut String> {
        Vec::new()
    }

    /// The pictures on it.
    fn figures(&self) -> Vec<&Figure> {
        Vec::new()
    }

    /// In how many steps it is revealed once it has come.
    fn steps(&self) -> u16 {
        1
    }

    /// What step `step`, from 1, adds to it, to be spoken.
    fn spoken(&self, step: u16) -> String;

    /// Its answer, in plain text; empty where it asks nothing.
    fn answer(&self) -> String {
        String::new()
    }

    /// Whether another block of its kind waits until this one has been revealed to its end.
    fn comes_alone(&self) -> bool {
        false
    }

    /// What was proved on it.
    fn checked(&self) -> Checked {
        Checked::default()
    }

    /// Makes anew what it claims, so that nothing is called proved that was not proved here.
    ///
    /// # Errors
    /// [`BadLesson`] when that cannot be made.
    fn prove(&mut self) -> Result<(), BadLesson> {
        Ok(())
    }

    /// What Second Look has to know of it.
    fn claims(&self) -> Claims<'_>;
}

/// What Second Look has to know of a block.
#[derive(Debug, Default)]
pub struct Claims<'a> {
    /// Texts in which everything that is said has to be true.
    pub statements: Vec<&'a str>,
    /// Texts that tell a story, in which people have to keep their names.
    pub stories: Vec<&'a str>,
    /// What is asked, with how it is answered.
    pub asks: Option<(&'a str, &'a Asks)>,
    /// What is asked to be worked: no lesson asks it twice.
    pub problem: Option<&'a str>,
    /// Whether students do something with it.
    pub practises: bool,
    /// What it shows being practised, though students may do nothing with it themselves.
    pub shows: String,
    /// Whether it may practise more than its texts tell.
    pub practises_more: bool,
    /// The word that it defines.
    pub defines: Option<&'a str>,
    /// Whether its texts are the teacher's own words, in which no word may be used before it is defined.
    pub own_words: bool,
    /// Whether nothing stands on it.
    pub is_empty: bool,
    /// Whether it cannot be told to those who cannot see it.
    pub is_unseen: bool,
    /// Pictures that belong to the questions of its slide.
    pub pictures: Vec<&'a Figure>,
    /// How much room it takes, in characters of plain text.
    pub room: usize,
}

/// Plain text, without the signs around mathematics.
fn plain(text: &str) -> String {
    text.replace('$', "")
}

/// The length of texts, in characters.
fn length(texts: &[&str]) -> usize {
    texts.iter().map(|text| text.chars().count()).sum()
}

fn are_parts(all: &[String]) -> bool {
    all.len() <= MOST_PARTS && all.iter().all(|text| fits(text, LONGEST_PART))
}

fn refuse(says: &str) -> Result<(), BadLesson> {
    Err(BadLesson::because(says))
}

/// Declares the kinds: the enum, how each is reached, and how each becomes a block.
macro_rules! kinds {
    ($($(#[$doc:meta])* $variant:ident($data:ident)),* $(,)?) => {
        /// A part of a slide. Texts hold mathematics between dollar signs.
        #[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
        #[serde(tag = "kind", rename_all = "snake_case")]
        pub enum Block {
            $($(#[$doc])* $variant($data)),*
        }

        impl Block {
            fn kind(&self) -> &dyn BlockKind {
                match self {
                    $(Self::$variant(block) => block),*
                }
            }

            fn kind_mut(&mut self) -> &mut dyn BlockKind {
                match self {
                    $(Self::$variant(block) => block),*
                }
            }
        }

        $(
            impl From<$data> for Block {
                fn from(block: $data) -> Self {
                    Self::$variant(block)
                }
            }
        )*
    };
}

// One line for each kind, which is stored and sent under its name in small letters.
kinds! {
    /// Text.
    Text(TextBlock),
    /// A worked example, revealed line by line.
    WorkedExample(WorkedExampleBlock),
    /// A picture.
    Picture(PictureBlock),
    /// A question, with its answer one step later.
    Question(QuestionBlock),
    /// A table.
    Table(TableBlock),
    /// A link.
    Link(LinkBlock),
    /// A problem of the catalogue or of one's own, with its answer one step later.
    Practice(PracticeBlock),
    /// A ladder that hangs on this lesson.
    Ladder(LadderBlock),
    /// Something to talk about, with the beginnings of sentences.
    Talk(TalkBlock),
    /// A word with what it means.
    Word(WordBlock),
    /// An image that was put in from a file.
    Image(ImageBlock),
    /// What is one, and what is none.
    Examples(ExamplesBlock),
    /// What to remember, framed.
    KeyPoint(KeyPointBlock),
}

impl BlockKind for Block {
    fn check(&self) -> Result<(), BadLesson> {
        self.kind().check()
    }

    fn texts(&self) -> Vec<&str> {
        self.kind().texts()
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        self.kind_mut().texts_mut()
    }

    fn figures(&self) -> Vec<&Figure> {
        self.kind().figures()
    }

    fn steps(&self) -> u16 {
        self.kind().steps()
    }

    fn spoken(&self, step: u16) -> String {
        self.kind().spoken(step)
    }

    fn answer(&self) -> String {
        self.kind().answer()
    }

    fn comes_alone(&self) -> bool {
        self.kind().comes_alone()
    }

    fn checked(&self) -> Checked {
        self.kind().checked()
    }

    fn prove(&mut self) -> Result<(), BadLesson> {
        self.kind_mut().prove()
    }

    fn claims(&self) -> Claims<'_> {
        self.kind().claims()
    }
}

impl Block {
    /// The block with what it claims proved again, unless it stands there already as it is.
    ///
    /// # Errors
    /// [`BadLesson`] when an example or a problem cannot be made.
    pub(super) fn proved(mut self, kept: &[&Self]) -> Result<Self, BadLesson> {
        if !kept.contains(&&self) {
            self.prove()?;
        }
        Ok(self)
    }
}

#[cfg(test)]
mod tests;
