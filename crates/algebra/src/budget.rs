//! Limits in counted work, so that a verdict is the same on every machine.

use crate::ball::Enclosure;
use crate::normal::Atom;
use crate::work;
use std::collections::BTreeMap;

/// Longest line that is read, in UTF-8 bytes. A longer one is unreadable.
pub const LINE_BYTES: usize = 20_000;
/// Most nodes in one line's tree; so also its greatest height, which recursion has to bear.
pub const NODES: usize = 1_200;
/// Deepest nesting of brackets, powers and fractions that is read.
pub const DEPTH: usize = 60;
/// Most terms a polynomial may have while it is being worked out.
pub const TERMS: usize = 3_000;
/// Most digits of a numerator or denominator, in bits.
pub const BITS: u64 = 4_000;
/// Largest whole exponent that a sum is raised to.
pub const EXPONENT: u32 = 64;
/// Highest degree of a polynomial in one unknown whose roots are looked for.
pub const DEGREE: usize = 24;
/// Points tried in the search for a counterexample.
pub const POINTS: usize = 240;

/// Work that may still be spent on one question, with the enclosures found on the way: the same root or
/// sine is asked for again and again while values are put in order.
#[derive(Debug, Clone)]
pub struct Budget {
    left: u64,
    pub(crate) enclosures: BTreeMap<(Atom, u32), Enclosure>,
}

/// A limit was reached: the question stays open.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Spent;

impl Budget {
    /// The budget of one verdict, in elementary steps (about a hundred nanoseconds each).
    #[must_use]
    pub const fn for_verdict() -> Self {
        Self { left: 200_000, enclosures: BTreeMap::new() }
    }

    /// The budget of naming what was done between two lines.
    #[must_use]
    pub const fn for_move() -> Self {
        Self { left: 30_000, enclosures: BTreeMap::new() }
    }

    /// Spends `steps`.
    ///
    /// # Errors
    /// [`Spent`] when there is not that much left.
    pub fn spend(&mut self, steps: usize) -> Result<(), Spent> {
        let steps = steps as u64;
        work::spend(steps);
        if steps > self.left {
            self.left = 0;
            return Err(Spent);
        }
        self.left -= steps;
        Ok(())
    }
}
