//! A lesson: a plan, its slides and what hangs on them, as plain data with a version.
//!
//! The same in the database, in the API and in an exported file. A field that is added later has a
//! default, so that older lessons still open; a change of meaning raises [`LESSON_VERSION`].

use crate::example::Example;
use crate::figure::Figure;
use crate::skill::Strand;
use crate::verdict::VerdictWord;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// The version of the shape of a lesson.
pub const LESSON_VERSION: u32 = 1;
/// Most slides of one lesson.
pub const MOST_SLIDES: usize = 120;
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
    /// The timed parts of the plan, in order.
    pub phases: Vec<Phase>,
    /// The slides, in order.
    pub slides: Vec<Slide>,
}

/// What a part of a lesson is for.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum PhaseKind {
    /// Begins with what is known.
    Starter,
    /// Shows something new.
    Teach,
    /// Tries it together.
    GuidedPractice,
    /// Each on their own.
    IndependentPractice,
    /// Looks back.
    Review,
}

/// A timed part of the plan.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Phase {
    /// What it is for.
    pub kind: PhaseKind,
    /// How long it takes.
    pub minutes: u16,
}

/// One picture on the wall.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Slide {
    /// Its own within the lesson; never reused.
    pub id: u32,
    /// Its heading.
    pub title: String,
    /// The phase it belongs to.
    pub phase: PhaseKind,
    /// How long it stands.
    pub minutes: u16,
    /// For the teacher alone.
    #[serde(default)]
    pub notes: String,
    /// What is on it, from top to bottom.
    pub blocks: Vec<Block>,
}

/// A part of a slide.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Block {
    /// Text, with mathematics between dollar signs.
    Text {
        /// The text.
        text: String,
    },
    /// A worked example, revealed line by line.
    WorkedExample {
        /// The problem with its working.
        example: Box<Example>,
    },
}

/// How many lines of working there are, and how many of them are proved.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Checked {
    /// Lines that follow from another one.
    pub lines: u32,
    /// Those that hold, proved.
    pub hold: u32,
}

impl Slide {
    /// What was proved on it.
    #[must_use]
    pub fn checked(&self) -> Checked {
        let mut found = Checked::default();
        for block in &self.blocks {
            let Block::WorkedExample { example } = block else { continue };
            // A slip that was put in is there to break.
            let slip = example.slip.as_ref();
            let claims = example
                .working
                .iter()
                .filter(|line| line.line.verdict != VerdictWord::Given && !line.is_slip(slip));
            for line in claims {
                found.lines += 1;
                found.hold += u32::from(line.line.verdict == VerdictWord::Holds);
            }
        }
        found
    }
}

/// What is wrong with a lesson that came in, in one sentence that says what to do.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct BadLesson(pub String);

impl Lesson {
    /// A new lesson with its phases set out over its minutes and a first slide that says what it is for.
    ///
    /// # Errors
    /// As [`Lesson::check`].
    pub fn new(topic: &str, grade: u8, strand: Strand, minutes: u16) -> Result<Self, BadLesson> {
        let topic = topic.trim();
        let first = Slide {
            id: 1,
            title: topic.to_owned(),
            phase: PhaseKind::Starter,
            minutes: 5.min(minutes),
            notes: String::new(),
            blocks: vec![Block::Text { text: format!("Today: {topic}") }],
        };
        let lesson = Self {
            version: LESSON_VERSION,
            title: topic.to_owned(),
            grade,
            strand,
            topic: topic.to_owned(),
            minutes,
            objectives: Vec::new(),
            phases: phases(minutes),
            slides: vec![first],
        };
        lesson.check()?;
        Ok(lesson)
    }

    /// Whether the lesson can be kept as it is.
    ///
    /// # Errors
    /// [`BadLesson`] with the first thing that is wrong.
    pub fn check(&self) -> Result<(), BadLesson> {
        let bad = |says: &str| Err(BadLesson(says.to_owned()));
        let fits = |text: &str, most: usize| text.chars().count() <= most;
        if self.version != LESSON_VERSION {
            return bad("This lesson was made by another version of Honey Ladder.");
        }
        if self.topic.trim().is_empty() || self.title.trim().is_empty() {
            return bad("Give the lesson a topic.");
        }
        if !fits(&self.topic, 120) || !fits(&self.title, 120) {
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
        for slide in &self.slides {
            let texts = slide.blocks.iter().all(|block| match block {
                Block::Text { text } => fits(text, LONGEST_TEXT),
                Block::WorkedExample { example } => {
                    fits(&example.problem, LONGEST_TEXT) && example.working.len() <= 60
                }
            });
            if !texts || !fits(&slide.title, 200) || !fits(&slide.notes, LONGEST_TEXT) {
                return bad("A text on a slide is too long. Split it over two slides.");
            }
            if slide.blocks.len() > 20 {
                return bad("A slide can hold at most 20 blocks.");
            }
        }
        Ok(())
    }

    /// What was proved on all its slides.
    #[must_use]
    pub fn checked(&self) -> Checked {
        self.slides.iter().map(Slide::checked).fold(Checked::default(), |sum, slide| Checked {
            lines: sum.lines + slide.lines,
            hold: sum.hold + slide.hold,
        })
    }

    /// The lesson as it can be kept after a change of `before`. An example that stood there already
    /// stays as it was posed; any other one is made anew, so that nothing is called proved that was
    /// not proved here.
    ///
    /// # Errors
    /// As [`Lesson::check`], and when an example has no working.
    pub fn proved(mut self, before: &Self) -> Result<Self, BadLesson> {
        self.check()?;
        let kept: Vec<&Example> = before.examples().collect();
        for slide in &mut self.slides {
            for block in &mut slide.blocks {
                let Block::WorkedExample { example } = block else { continue };
                if !kept.contains(&&**example) {
                    **example = example.again().map_err(|why| BadLesson(why.says))?;
                }
            }
        }
        Ok(self)
    }

    /// The pictures on its slides.
    pub fn figures(&self) -> impl Iterator<Item = &Figure> {
        self.examples().flat_map(Example::figures)
    }

    fn examples(&self) -> impl Iterator<Item = &Example> {
        self.slides.iter().flat_map(|slide| &slide.blocks).filter_map(|block| match block {
            Block::WorkedExample { example } => Some(&**example),
            Block::Text { .. } => None,
        })
    }

    /// Minutes that the phases are over the length (positive) or short of it (negative).
    #[must_use]
    pub fn minutes_over(&self) -> i32 {
        let planned: i32 = self.phases.iter().map(|phase| i32::from(phase.minutes)).sum();
        planned - i32::from(self.minutes)
    }
}

/// The five phases over the whole length: about a tenth to begin, three tenths to show, two and three
/// tenths to practise, the rest to look back.
fn phases(minutes: u16) -> Vec<Phase> {
    let part = |tenths: u16| minutes * tenths / 10;
    let (starter, teach, guided, independent) = (part(1), part(3), part(2), part(3));
    let review = minutes - starter - teach - guided - independent;
    [
        (PhaseKind::Starter, starter),
        (PhaseKind::Teach, teach),
        (PhaseKind::GuidedPractice, guided),
        (PhaseKind::IndependentPractice, independent),
        (PhaseKind::Review, review),
    ]
    .map(|(kind, minutes)| Phase { kind, minutes })
    .to_vec()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_phases_of_a_new_lesson_add_up_to_its_length() {
        for minutes in 5..=300 {
            let lesson = Lesson::new("Proportions", 6, Strand::FractionsRatio, minutes);
            assert_eq!(lesson.expect("fine").minutes_over(), 0, "{minutes} minutes");
        }
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
        lesson.slides[0].blocks.push(Block::WorkedExample { example: Box::new(example) });
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
            lesson.slides[0].blocks.push(Block::WorkedExample { example: Box::new(example) });
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
        lesson.slides[0].blocks.push(Block::WorkedExample { example: Box::new(example) });
        assert_eq!(lesson.checked(), Checked { lines: follow, hold: follow });
    }
}
