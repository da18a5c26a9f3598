//! Second Look: reads what was prepared and lists what is wrong in it, each with its place, why, and a mend where there
//! is one.
//!
//! Only what is proved to be wrong is called wrong: a claim that cannot be decided is no finding. False alarms are a
//! defect as much as misses.
//!
//! A lesson, a ladder and a text are read into `Task`s, which the checks of a question, its working and its
//! answer share.

mod answerable;
mod claims;
mod contrast;
pub(crate) mod document;
mod forms;
mod given;
mod ladder;
mod lesson;
mod measures;
mod mend;
mod objectives;
mod people;
mod questions;
mod reading;
mod rounding;
mod sequences;
mod steps;
mod task;

pub use self::ladder::look_at_ladder;
pub use self::lesson::look;
pub use document::{LONGEST, lesson_from_text, look_over};
pub use mend::{Look, Named, mended, second_look};

use algebra::work::{self, Limit, within};
use serde::{Deserialize, Serialize};
use task::Task;
use utoipa::ToSchema;

/// What is wrong.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Serialize, Deserialize, ToSchema,
)]
#[serde(rename_all = "kebab-case")]
pub enum Kind {
    /// An equality or inequality that is false.
    FalseEquality,
    /// A line of a working, or an answer, that does not follow from the problem.
    FalseStep,
    /// A chain in which a sign joins what it should not.
    FalseChain,
    /// A number that is another one in the working than in the question.
    NumberChanged,
    /// Somebody, or a place, that changes its name.
    NameChanged,
    /// A unit that changes, or does not fit.
    UnitWrong,
    /// A term of a sequence that does not follow its rule.
    SequenceWrong,
    /// A number that is not rounded as it should be.
    RoundingWrong,
    /// An answer that is not in the form asked for.
    AnswerForm,
    /// A question that cannot be answered from what it gives, or that has more than one answer.
    NotAnswerable,
    /// A problem that stands there twice.
    DuplicateProblem,
    /// Minutes that do not add up.
    MinutesDoNotAdd,
    /// A word that is used before it is defined.
    TermBeforeDefinition,
    /// A question without its answer, where others have theirs.
    AnswerMissing,
    /// A picture that shows other numbers than its question.
    FigureMismatch,
    /// More on a slide than can be read from the back row, or letters too small for it.
    SmallText,
    /// Letters that stand out too little.
    LowContrast,
    /// A picture without words for those who cannot see it.
    NoAlternativeText,
    /// An objective with nothing that practises it.
    ObjectiveUnpractised,
    /// Something that is empty.
    Empty,
}

/// Where something is wrong.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Spot {
    /// The id of the slide; the plan when absent.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub slide: Option<u32>,
    /// Which block of it, or which rung of a ladder, from 0.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub block: Option<usize>,
    /// The line of a text, from 1.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub line: Option<usize>,
}

/// A finding with its place.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Spotted {
    /// Where.
    pub place: Spot,
    /// What.
    #[serde(flatten)]
    pub finding: Finding,
}

impl Spotted {
    /// The same thing in the same words on the same slide has the same name, so that what was dismissed stays so.
    #[must_use]
    pub fn name(&self) -> String {
        let slide = self.place.slide.map_or_else(|| "plan".to_owned(), |id| id.to_string());
        format!("{:?} {slide} {}", self.finding.kind, self.finding.found)
    }
}

/// Something that is wrong in a text.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Finding {
    /// What kind of thing.
    pub kind: Kind,
    /// The words that are wrong, as they stand there; empty where something is missing.
    pub found: String,
    /// What is wrong with them and why, in one or two sentences.
    pub says: String,
    /// What could stand there instead of `found`, where that is known.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub mend: Option<String>,
}

impl Finding {
    fn new(kind: Kind, found: impl Into<String>, says: impl Into<String>) -> Self {
        Self { kind, found: found.into(), says: says.into(), mend: None }
    }

    fn mended(mut self, mend: Option<String>) -> Self {
        self.mend = mend.filter(|mend| *mend != self.found);
        self
    }
}

/// Everything that is wrong in a text by itself: its claims, its sequences, what it rounds. What a text asks to be judged,
/// or to be found wrong, is not.
#[must_use]
pub fn look_at_text(text: &str) -> Vec<Finding> {
    if reading::is_in_doubt(text) {
        return Vec::new();
    }
    // What takes too much cannot be decided, and is no finding.
    within(Limit::steps(work::LINE), || all_in_text(text)).unwrap_or_default()
}

fn all_in_text(text: &str) -> Vec<Finding> {
    let mut found = claims::look(text);
    found.extend(sequences::look(text));
    let rounded: Vec<Finding> =
        reading::sentences(text).into_iter().filter_map(rounding::look_at_sentence).collect();
    // A false `≈` is told once.
    let is_told = found.iter().any(|finding| finding.kind == Kind::RoundingWrong);
    found.extend(rounded.into_iter().filter(|_| !is_told));
    found
}

/// Everything that is wrong with a question, its working and its answer.
fn look_at_task(task: &Task) -> Vec<Spotted> {
    within(Limit::steps(2 * work::LINE), || all_in_task(task)).unwrap_or_default()
}

fn all_in_task(task: &Task) -> Vec<Spotted> {
    let mut found: Vec<Spotted> = Vec::new();
    found.extend(people::look(task));
    let changed = given::look(task);
    let is_changed = changed.is_some();
    found.extend(changed);
    if !task.is_marked {
        found.extend(answerable::look(task));
    }
    found.extend(measures::look(task));
    let rounded = rounding::look(task);
    let formed = forms::look(task);
    // A number that was misread makes every line after it wrong; what is rounded wrong is told as that.
    if !is_changed {
        let steps = steps::look(task);
        let of_answer = |spotted: &Spotted| {
            task.answer.as_ref().is_some_and(|answer| answer.text.trim() == spotted.finding.found)
        };
        found.extend(steps.into_iter().filter(|spotted| rounded.is_none() || !of_answer(spotted)));
    }
    found.extend(rounded);
    found.extend(formed);
    for picture in &task.pictures {
        if let Some((asked, shown)) = given::differing(&task.prompt.text, &picture.text) {
            let says = format!("The question says {asked}, its picture shows {shown}.");
            let finding = Finding::new(Kind::FigureMismatch, shown, says);
            found.push(Spotted { place: picture.place, finding });
        }
    }
    found
}
