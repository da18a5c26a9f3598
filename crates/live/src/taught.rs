//! A live lesson: what happens in it, one event after the other, and what the events add up to.
//!
//! Whoever has the same events has the same lesson: a server that was started anew, a second one beside it, a student who
//! comes back. Nothing here looks at a clock; the time of an event is told with it.

mod asked;
mod event;
mod given;
mod groups;
mod now;
mod seen;
mod to_ask;
mod work;

pub use asked::{ClassQuestion, ClassQuestionView, Offering};
pub use event::{Event, Happened, LessonPlace, Pace, ShownAnswer, Tells};
pub use given::{AnswerMark, BadAnswer, Given, mark};
pub use groups::{Group, WrittenAs, groups};
pub use now::{Answered, Now, Question, Seated, Stuck};
pub use seen::seen;
pub use to_ask::{ToAsk, offerings};
pub use work::AskedWork;

/// Most students in one live lesson.
pub const MOST_SEATS: usize = 400;
/// Most questions in one live lesson.
pub const MOST_QUESTIONS: usize = 200;
/// Longest text that a student gives, in characters.
pub const LONGEST_TEXT: usize = 600;
