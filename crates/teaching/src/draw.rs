//! Draws numbers and choices from a seed: the same seed gives the same draws on every machine.
//!
//! Our own integer ranges over a fixed stream cipher (ChaCha with 8 rounds), because a library's rules
//! for ranges change between its versions.

use crate::scenario::OwnScenario;
use rand_chacha::ChaCha8Rng;
use rand_chacha::rand_core::{RngCore, SeedableRng};
use std::collections::BTreeMap;
use std::sync::Arc;

/// A stream of draws.
pub struct Draw {
    stream: ChaCha8Rng,
    /// What stands for a draw instead, by its place in the stream.
    instead: BTreeMap<usize, i64>,
    /// The ranges of all draws so far, and what was drawn.
    made: Vec<Made>,
    /// Where stories come from, when it is not the bee garden.
    world: Option<Arc<OwnScenario>>,
}

/// One draw, as it was made.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Made {
    /// The least that could be drawn.
    pub low: i64,
    /// The greatest that could be drawn.
    pub high: i64,
    /// What was drawn.
    pub drawn: i64,
}

impl Draw {
    /// The stream that belongs to `seed` and `label`; different labels give unrelated streams.
    #[must_use]
    pub fn new(seed: u64, label: &str) -> Self {
        let mut key = [0u8; 32];
        key[..8].copy_from_slice(&seed.to_le_bytes());
        for (lane, start) in [0xcbf2_9ce4_8422_2325u64, 0x9e37_79b9_7f4a_7c15, 0x100_0000_01b3]
            .into_iter()
            .enumerate()
        {
            // FNV-1a, from three different starting values.
            let hash = label.bytes().fold(start, |hash, byte| {
                (hash ^ u64::from(byte)).wrapping_mul(0x0000_0100_0000_01b3)
            });
            key[8 + lane * 8..16 + lane * 8].copy_from_slice(&hash.to_le_bytes());
        }
        Self {
            stream: ChaCha8Rng::from_seed(key),
            instead: BTreeMap::new(),
            made: Vec::new(),
            world: None,
        }
    }

    /// The same stream with some draws replaced, each by its place; all others stay as they were.
    #[must_use]
    pub fn instead(mut self, instead: BTreeMap<usize, i64>) -> Self {
        self.instead = instead;
        self
    }

    /// The same stream for a teacher's own scenario.
    #[must_use]
    pub fn told_of(mut self, world: Option<Arc<OwnScenario>>) -> Self {
        self.world = world;
        self
    }

    /// The teacher's own scenario, where stories come from one.
    #[must_use]
    pub fn world(&self) -> Option<Arc<OwnScenario>> {
        self.world.clone()
    }

    /// All draws so far.
    #[must_use]
    pub fn made(&self) -> &[Made] {
        &self.made
    }

    /// A whole number from `low` to `high`, both included; every one equally likely.
    pub fn between(&mut self, low: i64, high: i64) -> i64 {
        let drawn = self.next_of_stream(low, high);
        let told = self.instead.get(&self.made.len()).copied();
        // What could not have been drawn is not taken.
        let drawn = told.filter(|told| (low..=high).contains(told)).unwrap_or(drawn);
        self.made.push(Made { low, high, drawn });
        drawn
    }

    fn next_of_stream(&mut self, low: i64, high: i64) -> i64 {
        let size = u64::try_from(high.saturating_sub(low)).unwrap_or(0).saturating_add(1);
        // The largest multiple of `size` that fits: draws beyond it would favour small results.
        let limit = u64::MAX - u64::MAX % size;
        loop {
            let drawn = self.stream.next_u64();
            if drawn < limit {
                return low + i64::try_from(drawn % size).unwrap_or(0);
            }
        }
    }

    /// As [`Draw::between`], but never zero.
    pub fn nonzero(&mut self, low: i64, high: i64) -> i64 {
        loop {
            let drawn = self.between(low, high);
            if drawn != 0 || (low == 0 && high == 0) {
                return drawn;
            }
        }
    }

    /// True for one half of the draws.
    pub fn coin(&mut self) -> bool {
        self.between(0, 1) == 1
    }

    /// Two whole numbers of a range without a common factor, the first smaller; the range must hold such.
    pub fn coprime(&mut self, low: i64, high: i64) -> (i64, i64) {
        loop {
            let (a, b) = (self.between(low, high), self.between(low, high));
            if a < b && num_integer::gcd(a, b) == 1 {
                return (a, b);
            }
        }
    }

    /// Different whole numbers of a range, in the order in which they were drawn.
    pub fn different(&mut self, count: usize, low: i64, high: i64) -> Vec<i64> {
        let mut found = Vec::with_capacity(count);
        while found.len() < count {
            let drawn = self.between(low, high);
            // A range that is too small for so many gives what it has.
            if !found.contains(&drawn) || i64::try_from(found.len()).is_ok_and(|n| n > high - low) {
                found.push(drawn);
            }
        }
        found
    }

    /// One of `items`, which must not be empty.
    pub fn one_of<'a, T>(&mut self, items: &'a [T]) -> &'a T {
        let last = i64::try_from(items.len()).unwrap_or(1) - 1;
        &items[usize::try_from(self.between(0, last)).unwrap_or(0)]
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_seed_draws_the_same_for_ever() {
        let mut draw = Draw::new(7, "ratio.missing-term/grip/0");
        let drawn: Vec<i64> = (0..8).map(|_| draw.between(1, 100)).collect();
        let mut again = Draw::new(7, "ratio.missing-term/grip/0");
        assert_eq!(drawn, (0..8).map(|_| again.between(1, 100)).collect::<Vec<_>>());
        let mut other = Draw::new(7, "ratio.missing-term/grip/1");
        assert_ne!(drawn, (0..8).map(|_| other.between(1, 100)).collect::<Vec<_>>());
        assert!(drawn.iter().all(|n| (1..=100).contains(n)));
    }

    #[test]
    fn a_replaced_draw_leaves_the_others_as_they_were() {
        let draws = |instead: &[(usize, i64)]| {
            let mut draw = Draw::new(7, "x").instead(instead.iter().copied().collect());
            let found: Vec<i64> = (0..5).map(|_| draw.between(1, 100)).collect();
            assert_eq!(draw.made().iter().map(|made| made.drawn).collect::<Vec<_>>(), found);
            found
        };
        let (plain, changed) = (draws(&[]), draws(&[(2, 77)]));
        assert_eq!(changed[2], 77);
        assert!((0..5).filter(|n| *n != 2).all(|n| plain[n] == changed[n]));
        // What lies outside of the range is not taken.
        assert_eq!(draws(&[(2, 1000)]), plain);
    }

    #[test]
    fn every_number_of_a_range_is_drawn() {
        let mut draw = Draw::new(1, "coverage");
        let mut seen = [false; 5];
        (0..200).for_each(|_| seen[usize::try_from(draw.between(0, 4)).expect("small")] = true);
        assert!(seen.iter().all(|&s| s));
        assert_eq!(draw.between(3, 3), 3);
        assert!((0..50).all(|_| draw.nonzero(-1, 1) != 0));
    }
}
