//! The working bench: a worked example as its teacher is making it, and as it hangs on a slide.
//!
//! An example keeps where it comes from (a typed problem, or draws from the catalogue), how it is worked, and what its
//! teacher made of each line. Whatever is shown is made from that again: lines that come from the solver or a skill
//! were proved there; a teacher's own lines are judged as a student's would be, and those below them follow.

mod base;
mod begin;
mod blanks;
mod change;
mod detail;
mod judged;
mod slip;
mod vary;

pub use begin::Beginning;
pub use blanks::{Asked, Blank, Part};
pub use change::{ExampleChange, change};
pub use detail::Detail;
pub use slip::{PutIn, SlipOffer};

use algebra::Role;
use base::Base;
use serde::{Deserialize, Serialize};
use skills::ladder::Drawn;
use skills::typed::{MethodChoice, NoWorking};
use teaching::figure::Figure;
use teaching::ids::MethodId;
use teaching::verdict::VerdictWord;
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// Most lines of one example.
pub const MOST_LINES: usize = 60;
/// The longest reason, in characters.
const LONGEST_REASON: usize = 300;

/// A worked example.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Example {
    /// What was typed, or what a drawn problem asks, with mathematics between dollar signs.
    pub problem: String,
    /// Where a drawn problem comes from.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub drawn: Option<Drawn>,
    /// What the class reads above the first line, where that line does not say it all.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub prompt: String,
    /// Its picture.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub figure: Option<Figure>,
    /// The skill it belongs to.
    pub skill: String,
    /// What that skill is called.
    pub title: String,
    /// The method that is used.
    #[serde(deserialize_with = "skills::ids::method")]
    #[schema(value_type = skills::ids::MethodName)]
    pub method: MethodId,
    /// Every method that fits, the used one included.
    pub methods: Vec<MethodChoice>,
    /// How much of the working is written down.
    #[serde(default)]
    pub detail: Detail,
    /// A slip that was put in, to be found.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub slip: Option<PutIn>,
    /// The lines, the problem first.
    pub working: Vec<ExampleLine>,
}

/// A line of an example, with what its teacher made of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ExampleLine {
    /// The line, its reason and its verdict.
    #[serde(flatten)]
    pub line: WorkingLine,
    /// What is said of it beside the verdict; empty where there is nothing to add.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub says: String,
    /// Its place among the lines that were made for it; none for a line of the teacher's own.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub from: Option<usize>,
    /// Whether its mathematics is the teacher's own.
    #[serde(default)]
    pub own: bool,
    /// Whether its reason is in the teacher's words.
    #[serde(default)]
    pub reworded: bool,
    /// Whether it is done in one go with the line below, and not shown.
    #[serde(default)]
    pub folded: bool,
    /// What is left out for students to fill in.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub blanks: Vec<Blank>,
    /// What stands there until it is filled in.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub asked: Option<Asked>,
}

impl ExampleLine {
    /// Line `from` of those that were made.
    fn made(from: usize, line: WorkingLine) -> Self {
        Self {
            line,
            says: String::new(),
            from: Some(from),
            own: false,
            reworded: false,
            folded: false,
            blanks: Vec::new(),
            asked: None,
        }
    }

    /// Leaves out what can be left out of it, each once.
    fn leave_out(&mut self, blanks: &[Blank]) {
        let parts = blanks::parts(&self.line).into_iter().map(|part| part.blank);
        self.blanks = parts.filter(|blank| blanks.contains(blank)).collect();
        self.asked = blanks::asked(&self.line, &self.blanks);
    }

    /// Whether it is the line of a slip that was put in, as that slip would have it.
    pub(crate) fn is_slip(&self, slip: Option<&PutIn>) -> bool {
        slip.is_some_and(|slip| self.from == Some(slip.line)) && !self.own
    }

    /// Whether what it says was proved of it, or nothing has to be.
    #[must_use]
    pub fn is_sound(&self) -> bool {
        matches!(self.line.verdict, VerdictWord::Given | VerdictWord::Holds)
    }
}

/// What can be done with a line.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct LineOffers {
    /// What can be left out.
    pub parts: Vec<Part>,
    /// Whether it can be done in one go with the line below.
    pub folds: bool,
    /// Whether it can be written anew: not the problem itself, and no sentence.
    pub writes: bool,
}

impl Example {
    /// A typed problem, worked by `method` or the usual one.
    ///
    /// # Errors
    /// [`NoWorking`] with a sentence that says what to do.
    pub fn typed(problem: &str, method: Option<MethodId>) -> Result<Self, NoWorking> {
        Ok(Base::typed(problem, method)?.example(None, Detail::default(), None))
    }

    /// A problem of the catalogue, worked by the method that its draws ask for.
    ///
    /// # Errors
    /// As [`Example::typed`], when there is no such problem.
    pub fn of(drawn: &Drawn) -> Result<Self, NoWorking> {
        Ok(Base::drawn(drawn)?.example(Some(drawn), Detail::default(), None))
    }

    /// The slips that can be put into its usual working, line by line.
    ///
    /// # Errors
    /// As [`Example::again`].
    pub fn slips(&self) -> Result<Vec<SlipOffer>, NoWorking> {
        let base = Base::of(self)?;
        Ok(slip::offers(&base.rung, &base.writer))
    }

    /// Its picture, and those of its working as it grows.
    pub fn figures(&self) -> impl Iterator<Item = &Figure> {
        self.figure.iter().chain(self.working.iter().filter_map(|line| line.line.figure.as_ref()))
    }

    /// What can be done with each line.
    #[must_use]
    pub fn offers(&self) -> Vec<LineOffers> {
        let problem = self.working.iter().position(|line| line.line.role == Role::Starts);
        let offered = self.working.iter().enumerate().map(|(at, line)| LineOffers {
            parts: blanks::parts(&line.line),
            folds: line.folded || self.folds(at),
            writes: line.line.latex.is_some() && problem != Some(at),
        });
        offered.collect()
    }

    /// Whether a line can be done in one go with the one below it: both hold, and one follows from the other.
    fn folds(&self, at: usize) -> bool {
        let (Some(line), Some(below)) = (self.working.get(at), self.working.get(at + 1)) else {
            return false;
        };
        let holds =
            |line: &ExampleLine| line.line.verdict == VerdictWord::Holds && line.line.carries();
        holds(line)
            && holds(below)
            && line.line.role == Role::Follows
            && matches!(below.line.role, Role::Follows | Role::Concludes)
    }

    fn has_own_lines(&self) -> bool {
        self.working.iter().any(|line| line.own)
    }
}
