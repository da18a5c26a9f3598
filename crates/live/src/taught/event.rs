//! The events of a live lesson.

use super::asked::ClassQuestion;
use super::given::{AnswerMark, Given};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A place in the lesson.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, ToSchema,
)]
pub struct LessonPlace {
    /// Which slide, from 0.
    pub slide: u16,
    /// Which of its moments, from 1.
    pub step: u16,
}

impl Default for LessonPlace {
    fn default() -> Self {
        Self { slide: 0, step: 1 }
    }
}

/// Who decides where a student stands.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(tag = "by", rename_all = "snake_case")]
pub enum Pace {
    /// The teacher's step is the class's step.
    #[default]
    Together,
    /// Each goes on their own, between two slides, both counted from 0 and both among them.
    Between {
        /// The first.
        first: u16,
        /// The last.
        last: u16,
    },
    /// Each goes on their own, up to where the teacher stands.
    Behind,
    /// Each goes on their own.
    Free,
}

/// When students see what is said of their answers.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Tells {
    /// At once.
    #[default]
    AtOnce,
    /// When everybody has answered, or the question is closed.
    WhenAll,
    /// Not before the teacher tells what is right.
    Never,
}

/// An answer that stands on the wall, without a name.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct ShownAnswer {
    /// The question it belongs to.
    pub question: u32,
    /// A student who gave it; the wall does not tell who.
    pub student: u64,
}

/// What happens in a live lesson.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Event {
    /// It was opened to the class.
    Opened,
    /// The wall moved.
    Moved {
        /// To where.
        place: LessonPlace,
    },
    /// Somebody else decides now where students stand.
    Paced {
        /// Who.
        pace: Pace,
    },
    /// Students are to look up, or go on.
    Paused {
        /// Whether they look up.
        paused: bool,
    },
    /// The class is asked something; it has the next number.
    Asked {
        /// What.
        asked: Box<ClassQuestion>,
        /// When they see what is said of it.
        #[serde(default)]
        tells: Tells,
        /// How often they may answer; 0 for as often as they like.
        #[serde(default)]
        tries: u8,
    },
    /// A question takes no more answers, or takes them again.
    Closed {
        /// Which.
        question: u32,
        /// Whether it is closed.
        closed: bool,
    },
    /// What is right is told to everybody.
    Told {
        /// Of which question.
        question: u32,
    },
    /// Answers were put on the wall, in the place of those that stood there; none takes them down.
    OnWall {
        /// At most two, to be compared.
        answers: Vec<ShownAnswer>,
        /// How many lines of the first one show; 0 for all.
        #[serde(default)]
        lines: u16,
    },
    /// How many meant what was put on the wall, or taken down.
    SharesOnWall {
        /// Of which question; none takes them down.
        question: Option<u32>,
    },
    /// A raised hand was seen.
    HandSeen {
        /// Whose.
        student: u64,
    },
    /// What a student wonders was put on the wall without a name, or taken down.
    WonderOnWall {
        /// Which event it was told in; none takes it down.
        wonder: Option<u64>,
    },
    /// It was closed.
    Ended,
    /// A student came in, or came back.
    Joined {
        /// The first name.
        name: String,
    },
    /// A student sits with somebody, and answers for both; empty for alone.
    With {
        /// The other first name.
        partner: String,
    },
    /// A student went to another place by themselves.
    At {
        /// Where.
        place: LessonPlace,
    },
    /// A student answered.
    Gave {
        /// Which question.
        question: u32,
        /// What.
        given: Given,
        /// What is said of it.
        mark: Box<AnswerMark>,
    },
    /// A student raised a hand, or lowered it.
    Hand {
        /// Whether it is up.
        up: bool,
    },
    /// A student asks something.
    Wondered {
        /// What.
        text: String,
    },
}

/// An event with its place in the row.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Happened {
    /// One more for each event of the lesson.
    pub seq: u64,
    /// When, in milliseconds of Unix time, by the clock of the server.
    pub at: i64,
    /// Who did it; nobody for the teacher.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub student: Option<u64>,
    /// What.
    pub event: Event,
}
