//! The ladder bench: a ladder as its teacher is making it, rung by rung.
//!
//! A plan keeps where each rung comes from, not the rung: the draws it was made of, a problem typed by hand, the
//! teacher's own wording. Everything that is shown is made from that again, and proved again.

mod change;
mod numbers;
mod placed;
mod sheets;
mod weight;
mod wording;

pub use change::{Change, change};
pub use placed::{Placed, Source};
pub use sheets::{Strength, Version, anew, sheet};
pub use weight::weight;

use serde::{Deserialize, Serialize};
use skills::CATALOGUE_VERSION;
use skills::ids::Methods;
use skills::ladder::{Ladder, LadderOrder, MOST_RUNGS, NoLadder, Rung};
use skills::typed::NoWorking;
use utoipa::ToSchema;

/// A ladder on the bench.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Plan {
    /// What it is called; may be empty while it is being made.
    pub title: String,
    /// What it was asked to be.
    pub order: LadderOrder,
    /// Its rungs, in the order in which they climb.
    pub rungs: Vec<Placed>,
    /// The key that the next rung gets.
    pub next_key: u32,
}

/// Why something cannot be done on the bench; nothing is changed then.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Refused {
    /// One clear sentence that says what to do.
    pub says: String,
}

impl From<NoLadder> for Refused {
    fn from(why: NoLadder) -> Self {
        Self { says: why.says() }
    }
}

impl From<NoWorking> for Refused {
    fn from(why: NoWorking) -> Self {
        Self { says: why.says }
    }
}

impl Refused {
    fn because(says: impl Into<String>) -> Self {
        Self { says: says.into() }
    }
}

impl Plan {
    /// An empty bench for that order.
    #[must_use]
    pub const fn new(order: LadderOrder) -> Self {
        Self { title: String::new(), order, rungs: Vec::new(), next_key: 1 }
    }

    /// Every rung, made and proved.
    ///
    /// # Errors
    /// [`Refused`] when a rung cannot be made, as for a plan of a catalogue that has changed since.
    pub fn made(&self) -> Result<Vec<Rung>, Refused> {
        if self.rungs.len() > MOST_RUNGS {
            return Err(Refused::because(format!("A ladder can have at most {MOST_RUNGS} rungs.")));
        }
        self.rungs.iter().map(Placed::made).collect()
    }

    /// The ladder as it is hung on a lesson and printed.
    ///
    /// # Errors
    /// As [`Plan::made`].
    pub fn ladder(&self) -> Result<Ladder, Refused> {
        Ok(Ladder { version: CATALOGUE_VERSION, seed: self.order.seed, rungs: self.made()? })
    }

    /// The same ladder worked by a class's methods, where the plan asks for none of its own; none where that changes
    /// nothing.
    #[must_use]
    pub fn taught(&self, methods: &Methods) -> Option<Self> {
        let mut plan = self.clone();
        if plan.order.method.is_none() {
            plan.order.methods.clone_from(methods);
            for placed in &mut plan.rungs {
                if let Source::Drawn(drawn) = &mut placed.source {
                    drawn.method = methods.get(&drawn.skill).copied().or(drawn.method);
                }
            }
        }
        (plan.rungs != self.rungs).then_some(plan)
    }

    fn find(&self, key: u32) -> Result<usize, Refused> {
        let at = self.rungs.iter().position(|placed| placed.key == key);
        at.ok_or_else(|| Refused::because("This rung is no longer on the bench."))
    }

    fn place(&mut self, at: usize, source: Source) {
        let at = at.min(self.rungs.len());
        let key = self.next_key;
        self.next_key = self.next_key.saturating_add(1);
        self.rungs.insert(at, Placed { key, source, locked: false, wording: None, why: None });
    }
}
