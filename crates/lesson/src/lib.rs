//! A lesson: a plan, its slides and what hangs on them, as plain data with a version.
//!
//! The same in the database, in the API and in an exported file. A field that is added later has a
//! default, so that older lessons still open; a change of meaning raises [`LESSON_VERSION`].

pub mod bench;
pub mod blocks;
mod drawn;
pub mod example;
mod file;
mod needs;
mod offer;
mod phase;
mod practice;
mod reveal;
mod sheet;
mod slide;
mod style;

pub use blocks::{Asks, Block, BlockKind, Offered};
pub use drawn::{PictureCard, PictureField, PictureKind, PictureOrder, picture_cards};
pub use file::LessonFile;
pub use needs::needs;
pub use offer::{Offer, Wanted};
pub use phase::{Grouping, Mend, Phase, PhaseKind, mends};
pub use practice::PracticeOrder;
pub use reveal::{BlockReveal, LineReveal, Moment, Reveal, SlideReveal};
pub use sheet::{Prior, Sheet};
pub use slide::{Checked, Slide};
pub use style::{Colour, Meaning, Theme};

use crate::blocks::TextBlock;
use phase::phases;
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use teaching::skill::Strand;
use utoipa::ToSchema;

/// The version of the shape of a lesson.
pub const LESSON_VERSION: u32 = 1;
/// Most slides of one lesson.
pub const MOST_SLIDES: usize = 120;
/// Longest title, in characters.
const MOST_TITLE: usize = 120;
/// What the title of a copy ends with.
const COPY: &str = " (copy)";
/// Longest text in a lesson, in characters.
pub const LONGEST_TEXT: usize = 4_000;

/// A lesson as it stands.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Lesson {
    /// The version of its shape.
    pub version: u32,
    /// What it is called.
    pub title: String,
    /// The school year; kindergarten is 0.
    pub grade: u8,
    /// Where it stands on the shelf.
    pub strand: Strand,
    /// What it is about.
    pub topic: String,
    /// Its length in minutes.
    pub minutes: u16,
    /// What students will be able to say: "I can ...".
    #[serde(default)]
    pub objectives: Vec<String>,
    /// The rest of the sheet that a department asks for.
    #[serde(default)]
    pub sheet: Sheet,
    /// The timed parts of the plan, in order.
    pub phases: Vec<Phase>,
    /// The slides, in order.
    pub slides: Vec<Slide>,
    /// How its slides look.
    #[serde(default, skip_serializing_if = "Theme::is_usual")]
    pub theme: Theme,
    /// What has one colour wherever it stands: in the words, the mathematics and the pictures.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub meanings: Vec<Meaning>,
    /// Findings of Second Look that are no faults here.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub dismissed: Vec<Dismissed>,
}

/// A finding of Second Look that was dismissed.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Dismissed {
    /// Its name.
    pub name: String,
    /// Why it is no fault.
    pub reason: String,
}

/// What is wrong with a lesson that came in, in one sentence that says what to do.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct BadLesson(pub String);

impl BadLesson {
    /// With that sentence.
    #[must_use]
    pub fn because(says: &str) -> Self {
        Self(says.to_owned())
    }
}

/// Whether a text has at most that many characters.
fn fits(text: &str, most: usize) -> bool {
    text.chars().count() <= most
}

impl Lesson {
    /// The id of the skill that most of its worked examples and problems are of; none where no skill is taught.
    #[must_use]
    pub fn skill(&self) -> Option<String> {
        let blocks = self.slides.iter().flat_map(|slide| &slide.blocks);
        let of_block = |block: &Block| match block {
            Block::WorkedExample(shown) => {
                shown.example.drawn.as_ref().map(|drawn| drawn.skill.clone())
            }
            Block::Practice(practice) => Some(practice.rung.skill.clone()),
            _ => None,
        };
        let mut counts: Vec<(String, usize)> = Vec::new();
        for skill in blocks.filter_map(of_block).filter(|id| skills::find(id).is_some()) {
            match counts.iter_mut().find(|(known, _)| *known == skill) {
                Some((_, count)) => *count += 1,
                None => counts.push((skill, 1)),
            }
        }
        // The first one of those that come most often.
        counts.into_iter().rev().max_by_key(|(_, count)| *count).map(|(skill, _)| skill)
    }

    /// A new lesson with its phases set out over its minutes and a first slide that says what it is for.
    ///
    /// # Errors
    /// As [`Lesson::check`].
    pub fn new(topic: &str, grade: u8, strand: Strand, minutes: u16) -> Result<Self, BadLesson> {
        let topic = topic.trim();
        let today = Block::Text(TextBlock { text: format!("Today: {topic}") });
        let first = Slide {
            minutes: 5.min(minutes),
            ..Slide::new(1, topic, PhaseKind::Starter, vec![today])
        };
        let lesson = Self {
            version: LESSON_VERSION,
            title: topic.to_owned(),
            grade,
            strand,
            topic: topic.to_owned(),
            minutes,
            objectives: Vec::new(),
            sheet: Sheet::default(),
            phases: phases(minutes),
            slides: vec![first],
            theme: Theme::default(),
            meanings: Vec::new(),
            dismissed: Vec::new(),
        };
        lesson.check()?;
        Ok(lesson)
    }

    /// Whether the lesson can be kept as it is.
    ///
    /// # Errors
    /// [`BadLesson`] with the first thing that is wrong.
    pub fn check(&self) -> Result<(), BadLesson> {
        let bad = |says: &str| Err(BadLesson::because(says));
        if self.version != LESSON_VERSION {
            return bad("This lesson was made by another version of Honey Ladder.");
        }
        if self.topic.trim().is_empty() || self.title.trim().is_empty() {
            return bad("Give the lesson a topic.");
        }
        if !fits(&self.topic, MOST_TITLE) || !fits(&self.title, MOST_TITLE) {
            return bad("The topic is too long. Keep it to 120 characters.");
        }
        if self.grade > 12 {
            return bad("Choose a grade from kindergarten to 12.");
        }
        if !(5..=300).contains(&self.minutes) {
            return bad("Choose a length between 5 and 300 minutes.");
        }
        if self.slides.len() > MOST_SLIDES {
            return bad("A lesson can have at most 120 slides.");
        }
        let mut ids: Vec<u32> = self.slides.iter().map(|slide| slide.id).collect();
        ids.sort_unstable();
        ids.dedup();
        if ids.len() != self.slides.len() {
            return bad("Two slides have the same number. Reload the lesson.");
        }
        if self.objectives.len() > 20 || !self.objectives.iter().all(|o| fits(o, 300)) {
            return bad("Keep to 20 objectives of at most 300 characters.");
        }
        let mut kinds: Vec<PhaseKind> = Vec::new();
        for phase in &self.phases {
            if kinds.contains(&phase.kind) {
                return bad("A phase stands twice in the plan. Reload the lesson.");
            }
            kinds.push(phase.kind);
            phase.check()?;
        }
        self.sheet.check()?;
        if self.meanings.len() > style::MOST || !self.meanings.iter().all(Meaning::is_fine) {
            return bad("Colour at most 6 quantities, each of at most 30 characters.");
        }
        let is_fine = |one: &Dismissed| fits(&one.name, 5_000) && fits(&one.reason, 400);
        if self.dismissed.len() > 500 || !self.dismissed.iter().all(is_fine) {
            return bad("Keep the reason why a finding is left to 400 characters.");
        }
        self.slides.iter().try_for_each(Slide::check)
    }

    /// What was proved on all its slides.
    #[must_use]
    pub fn checked(&self) -> Checked {
        self.slides.iter().map(Slide::checked).sum()
    }

    /// The lesson as it can be kept after a change of `before`. An example that stood there already
    /// stays as it was posed; any other one is made anew, so that nothing is called proved that was
    /// not proved here.
    ///
    /// # Errors
    /// As [`Lesson::check`], and when an example has no working.
    pub fn proved(mut self, before: &Self) -> Result<Self, BadLesson> {
        self.check()?;
        let kept: Vec<&Block> = before.slides.iter().flat_map(|slide| &slide.blocks).collect();
        for slide in &mut self.slides {
            let blocks = std::mem::take(&mut slide.blocks);
            slide.blocks =
                blocks.into_iter().map(|block| block.proved(&kept)).collect::<Result<_, _>>()?;
        }
        Ok(self)
    }

    /// The lesson with one more slide, at the end of the slide's phase; what it claims is proved again. A ladder that
    /// hangs on another lesson can still be opened from here.
    ///
    /// # Errors
    /// As [`Lesson::proved`].
    pub fn with(&self, mut slide: Slide) -> Result<Self, BadLesson> {
        slide.id = self.slides.iter().map(|slide| slide.id).max().unwrap_or(0).saturating_add(1);
        let last = self.slides.iter().rposition(|other| other.phase == slide.phase);
        let mut lesson = self.clone();
        lesson.slides.insert(last.map_or(self.slides.len(), |at| at + 1), slide);
        lesson.proved(self)
    }

    /// A copy, which says so in its title.
    #[must_use]
    pub fn copied(&self) -> Self {
        let most = MOST_TITLE - COPY.chars().count();
        let title: String = self.title.chars().take(most).collect();
        Self { title: format!("{title}{COPY}"), ..self.clone() }
    }

    /// What it is found by: everything on it that is read, in small letters.
    #[must_use]
    pub fn words(&self) -> String {
        let mut texts = vec![self.title.as_str(), self.topic.as_str(), self.sheet.class.as_str()];
        texts.extend(self.objectives.iter().map(String::as_str));
        for slide in &self.slides {
            texts.extend([slide.title.as_str(), slide.notes.as_str()]);
            texts.extend(slide.blocks.iter().flat_map(Block::texts));
        }
        texts.join("\n").to_lowercase()
    }

    /// The pictures on its slides.
    pub fn figures(&self) -> impl Iterator<Item = &Figure> {
        self.slides.iter().flat_map(Slide::figures)
    }

    /// Minutes that the phases are over the length (positive) or short of it (negative).
    #[must_use]
    pub fn minutes_over(&self) -> i32 {
        let planned: i32 = self.phases.iter().map(|phase| i32::from(phase.minutes)).sum();
        planned - i32::from(self.minutes)
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::blocks::{TalkBlock, WorkedExampleBlock};
    use crate::example::Example;

    #[test]
    fn a_lesson_without_examples_is_of_no_skill() {
        let mut lesson = Lesson::new("Ratio", 6, Strand::Algebra, 45).expect("a lesson");
        assert_eq!(lesson.skill(), None);
        // What was typed is of no skill of the catalogue either.
        let typed = Example::typed("3x + 2 = 14", None).expect("an example");
        lesson.slides[0].blocks.push(Block::WorkedExample(WorkedExampleBlock::from(typed)));
        assert_eq!(lesson.skill(), None);
    }

    #[test]
    #[rustfmt::skip]
    fn a_lesson_that_cannot_be_kept_says_why() {
        let new = |topic: &str, grade, minutes| Lesson::new(topic, grade, Strand::Algebra, minutes);
        for (lesson, says) in [
            (new("  ", 6, 45), "Give the lesson a topic."),
            (new("Ratio", 13, 45), "Choose a grade from kindergarten to 12."),
            (new("Ratio", 6, 2), "Choose a length between 5 and 300 minutes."),
            (new(&"x".repeat(121), 6, 45), "The topic is too long. Keep it to 120 characters."),
        ] { assert_eq!(lesson, Err(BadLesson(says.into()))); }
        let mut twice = new("Ratio", 6, 45).expect("fine");
        twice.slides.push(twice.slides[0].clone());
        assert!(twice.check().is_err());
    }

    #[test]
    fn a_lesson_is_the_same_after_a_trip_through_json() {
        let mut lesson = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        let example = Example::typed("n/6 = 10/15", None).expect("worked");
        lesson.slides[0]
            .blocks
            .push(Block::WorkedExample(WorkedExampleBlock { example: Box::new(example) }));
        let json = serde_json::to_string(&lesson).expect("JSON");
        assert_eq!(serde_json::from_str::<Lesson>(&json).expect("a lesson"), lesson);
    }

    #[test]
    fn nothing_is_called_proved_that_was_not_proved_here() {
        let before = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        let honest = Example::typed("3x + 2 = 14", None).expect("worked");
        let mut forged = honest.clone();
        forged.working.last_mut().expect("lines").line.math = "x = 5".into();
        let with = |example: Example| {
            let mut lesson = before.clone();
            lesson.slides[0]
                .blocks
                .push(Block::WorkedExample(WorkedExampleBlock { example: Box::new(example) }));
            lesson
        };
        assert_eq!(with(forged.clone()).proved(&before), Ok(with(honest.clone())));
        // What stands there already stays as it was posed.
        let mut older = honest;
        older.working[1].line.reason = "as we said it last year".into();
        assert_eq!(with(older.clone()).proved(&with(older.clone())), Ok(with(older)));
        forged.problem = "3x + = 14".into();
        assert!(with(forged).proved(&before).is_err());
    }

    #[test]
    fn the_lines_that_were_proved_are_counted() {
        let mut lesson = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        assert_eq!(lesson.checked(), Checked::default());
        let example = Example::typed("3x + 2 = 14", None).expect("worked");
        let follow = u32::try_from(example.working.len()).expect("few") - 1;
        lesson.slides[0]
            .blocks
            .push(Block::WorkedExample(WorkedExampleBlock { example: Box::new(example) }));
        assert_eq!(lesson.checked(), Checked { lines: follow, hold: follow });
    }

    #[test]
    fn a_lesson_is_found_by_what_it_says() {
        let mut lesson = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        let talk =
            Block::Talk(TalkBlock { prompt: "Which MIX is sweeter?".into(), starters: Vec::new() });
        lesson.slides[0].blocks.push(talk);
        let words = lesson.words();
        assert!(words.contains("ratio") && words.contains("which mix is sweeter?"), "{words}");
    }

    #[test]
    fn a_copy_says_so_and_can_be_kept() {
        let long = "x".repeat(MOST_TITLE);
        let lesson = Lesson::new(&long, 6, Strand::FractionsRatio, 45).expect("fine");
        let copy = lesson.copied();
        assert!(copy.title.ends_with(COPY));
        assert_eq!(copy.check(), Ok(()));
    }
}
