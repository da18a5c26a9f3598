//! The points that are tried in the search for one that shows a difference: easy to check by hand, and always the same.

use crate::budget;
use crate::normal::{Quotient, Values};
use crate::number::{Rational, from_int};
use crate::work::unlimited;
use std::sync::LazyLock;

/// The first numbers tried: small and easy to check by hand.
pub(crate) fn trial_numbers() -> impl Iterator<Item = Rational> {
    let part = |n: i64, d: i64| Rational::new(n.into(), d.into());
    let first = [0, 1, -1, 2, -2].map(from_int).into_iter();
    let halves = [part(1, 2), part(-1, 2)];
    let later = (3..=30).flat_map(|n| [from_int(n), from_int(-n)]);
    let parts = [(3, 2), (1, 3), (2, 3), (1, 4), (3, 4), (5, 2), (1, 10)];
    let parts = parts.into_iter().flat_map(move |(n, d)| [part(n, d), part(-n, d)]);
    first.chain(halves).chain(later).chain(parts).chain([100, -100, 1000].map(from_int))
}

/// Points for several letters: those with small entries first, each once.
pub(crate) fn trial_points(letters: &[String]) -> impl Iterator<Item = Values> + use<'_> {
    let value = |index: usize| Quotient::constant(TRIALS[index].clone());
    let point = move |indices: &[usize]| {
        letters.iter().cloned().zip(indices.iter().map(|&i| value(i))).collect::<Values>()
    };
    indices(letters.len()).take(budget::POINTS).map(move |at| point(&at))
}

static TRIALS: LazyLock<Vec<Rational>> = LazyLock::new(|| unlimited(|| trial_numbers().collect()));

/// Tuples of indices of trial numbers: shell `k` holds those whose largest index is `k`.
fn indices(letters: usize) -> impl Iterator<Item = Vec<usize>> {
    let mut shell = 0;
    let mut at = vec![0usize; letters];
    let mut done = false;
    std::iter::from_fn(move || {
        while !done {
            let fits = letters == 0 || at.contains(&shell);
            let found = fits.then(|| at.clone());
            match at.iter().rposition(|&i| i < shell) {
                Some(place) if letters <= 12 => {
                    at[place] += 1;
                    at[place + 1..].fill(0);
                }
                _ => {
                    shell += 1;
                    at.fill(0);
                    done = letters == 0 || shell >= TRIALS.len();
                }
            }
            if found.is_some() {
                return found;
            }
        }
        None
    })
}
