//! What students are told of their work, and when.

use desk::{JudgedLine, Judgement};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::skill::Stage;
use teaching::verdict::{LineVerdict, VerdictWord};
use utoipa::ToSchema;

/// When students see what is said of their lines.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Feedback {
    /// At once.
    AtOnce,
    /// When the day is over on which it is due, or when it is given back before.
    AfterDue,
    /// When it is given back.
    GivenBack,
}

impl Feedback {
    /// All of them.
    pub const ALL: [Self; 3] = [Self::AtOnce, Self::AfterDue, Self::GivenBack];

    /// Its name in the database and in the API.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::AtOnce => "at_once",
            Self::AfterDue => "after_due",
            Self::GivenBack => "given_back",
        }
    }

    /// The one of that name. What is not known tells nothing before it is given back.
    #[must_use]
    pub fn named(name: &str) -> Self {
        Self::ALL.into_iter().find(|one| one.name() == name).unwrap_or(Self::GivenBack)
    }

    /// Whether a student sees at `now` what is said of the lines of a work that is due then; both as Unix time in seconds.
    #[must_use]
    pub fn tells(self, due: Option<i64>, is_given_back: bool, now: i64) -> bool {
        is_given_back
            || match self {
                Self::AtOnce => true,
                Self::AfterDue => due.is_some_and(|due| due < now),
                Self::GivenBack => false,
            }
    }
}

/// What is said of lines while nothing is told yet: how each was read, and nothing else.
#[must_use]
pub fn withheld(judgement: Judgement) -> Judgement {
    let kept = |line: JudgedLine| JudgedLine {
        verdict: LineVerdict::plain(VerdictWord::Given),
        slip: None,
        hints: Vec::new(),
        role: None,
        answers: false,
        ..line
    };
    Judgement {
        lines: judgement.lines.into_iter().map(kept).collect(),
        answer: judgement.answer.map(kept),
        answered: false,
        finished: false,
        next: Vec::new(),
    }
}

/// The stage up to which rungs are open where a stage opens only when the one below is finished. `is_finished` is asked
/// for the place of a rung, from 0.
pub fn open_to(rungs: &[Rung], is_finished: impl Fn(usize) -> bool) -> Stage {
    let open = |stage: &Stage| {
        rungs.iter().enumerate().any(|(at, rung)| rung.stage == *stage && !is_finished(at))
    };
    Stage::ALL.into_iter().find(open).unwrap_or(Stage::Climb)
}
