//! Other numbers, the same structure: a problem of which every line is the same but for its numbers.

use super::base::Base;
use super::{Example, ExampleLine};
use skills::ladder::{Drawn, Replaced};
use skills::typed::{NoWorking, no};
use std::fmt::Write as _;
use teaching::draw::Draw;
use teaching::numerals::{cut, numerals};

/// Most problems that are worked to find one.
const MOST_TRIES: usize = 400;
/// Most draws of a problem that are changed at once.
const CHANGED: usize = 3;

/// A text without its numbers.
fn skeleton(text: &str) -> Vec<&str> {
    cut(text).0
}

fn same_but_for_numbers(a: &ExampleLine, b: &ExampleLine) -> bool {
    let same = |a: &str, b: &str| skeleton(a) == skeleton(b);
    same(&a.line.math, &b.line.math)
        // What its teacher says of a line is nobody's structure.
        && (a.reworded || same(&a.line.reason, &b.line.reason))
        && a.line.role == b.line.role
}

/// How many digits longer the numbers of a line have grown, at most.
fn growth(old: &ExampleLine, new: &ExampleLine) -> usize {
    let (old, new) = (cut(&old.line.math).1, cut(&new.line.math).1);
    let grown = old.iter().zip(&new).map(|(old, new)| new.len().saturating_sub(old.len()));
    grown.max().unwrap_or(0)
}

/// Whether the same places hold the same numbers as before: n/6 = 24/6 is no variation of n/6 = 10/15.
fn repeats_alike(old: &str, new: &str) -> bool {
    let (old, new) = (cut(old).1, cut(new).1);
    let pairs = (0..old.len()).flat_map(|a| (0..a).map(move |b| (a, b)));
    old.len() == new.len()
        && pairs.into_iter().all(|(a, b)| (old[a] == old[b]) == (new[a] == new[b]))
}

/// Whether the lines of two examples differ in their numbers alone.
fn is_alike(old: &Example, new: &Example) -> bool {
    old.method == new.method
        && skeleton(&old.prompt) == skeleton(&new.prompt)
        && old.working.len() == new.working.len()
        && old
            .working
            .iter()
            .zip(&new.working)
            .all(|(old, new)| same_but_for_numbers(old, new) && growth(old, new) <= 1)
}

/// The same problem with other numbers.
///
/// # Errors
/// [`NoWorking`] when none are found with which the structure stays.
pub(super) fn varied(example: &Example, seed: u64) -> Result<Example, NoWorking> {
    let mut draw = Draw::new(seed, &example.problem);
    let mut longer = None;
    for _ in 0..MOST_TRIES {
        let base = match &example.drawn {
            Some(drawn) => redrawn(drawn, &mut draw).and_then(|drawn| {
                let base = Base::drawn(&drawn).ok()?;
                Some((base, Some(drawn)))
            }),
            None => renumbered(&example.problem, &mut draw)
                .and_then(|text| Base::typed(&text, Some(example.method)).ok())
                .map(|base| (base, None)),
        };
        let Some((base, drawn)) = base else { continue };
        if base.problem == example.problem || !repeats_alike(&example.problem, &base.problem) {
            continue;
        }
        let slip = example.slip.as_ref();
        let slip = slip.map(|put_in| super::slip::like(&base.rung, &base.writer, put_in));
        // The slip goes along, or the numbers will not do.
        let slip = match slip {
            Some(None) => continue,
            Some(found) => found,
            None => None,
        };
        let made = base.example(drawn.as_ref(), example.detail, slip);
        if !is_alike(example, &made) {
            continue;
        }
        // An answer that is no longer than the old one comes first: nobody wants 61/63 where 7/8 stood.
        let (old, new) = (example.working.last(), made.working.last());
        if old.zip(new).is_some_and(|(old, new)| growth(old, new) == 0) {
            return Ok(kept(made, example));
        }
        longer.get_or_insert(made);
    }
    longer.map(|made| kept(made, example)).ok_or_else(|| {
        no("No other numbers were found with which every line stays as it is. Type another problem.")
    })
}

/// Blanks, folds and the teacher's words stay in their places.
fn kept(mut made: Example, before: &Example) -> Example {
    for (line, old) in made.working.iter_mut().zip(&before.working) {
        line.folded = old.folded;
        line.blanks.clone_from(&old.blanks);
        // Words about numbers would be about the old ones.
        if old.reworded && numerals(&old.line.reason).is_empty() {
            line.line.reason.clone_from(&old.line.reason);
            line.reworded = true;
        }
    }
    made
}

/// A typed problem with other numbers in its places; an exponent, a subscript and a number of places stay.
fn renumbered(problem: &str, draw: &mut Draw) -> Option<String> {
    let mut found = String::new();
    let mut from = 0;
    for place in numerals(problem) {
        let (before, old) = (&problem[..place.start], &problem[place.clone()]);
        found.push_str(&problem[from..place.start]);
        from = place.end;
        let after = problem[place.end..].trim_start();
        let stays = before.trim_end_matches('-').ends_with(['^', '_'])
            || ["s.f", "sf", "d.p", "dp", "significant", "decimal"]
                .iter()
                .any(|words| after.starts_with(words));
        if stays {
            found.push_str(old);
        } else {
            number_like(old, draw, &mut found)?;
        }
    }
    found.push_str(&problem[from..]);
    Some(found)
}

/// A number of about the size of `old`, and of as many places.
fn number_like(old: &str, draw: &mut Draw, out: &mut String) -> Option<()> {
    let places = old.split_once('.').map_or(0, |(_, places)| places.len());
    let digits: i64 = old.replace('.', "").parse().ok()?;
    let drawn = match digits {
        // Nothing else can stand for these and leave the structure as it is.
        0 | 1 if places == 0 => digits,
        2..=9 if places == 0 => draw.between(2, 9),
        _ => draw.between((digits / 2).max(2), digits.checked_mul(2)?),
    };
    if places == 0 {
        write!(out, "{drawn}").ok()
    } else {
        let text = format!("{drawn:0>width$}", width = places + 1);
        let (whole, part) = text.split_at(text.len() - places);
        write!(out, "{whole}.{part}").ok()
    }
}

/// The same draws but for a few.
fn redrawn(drawn: &Drawn, draw: &mut Draw) -> Option<Drawn> {
    let (_, made) = drawn.posed().ok()?;
    let last = i64::try_from(made.len()).ok()? - 1;
    if last < 0 {
        return None;
    }
    let mut next = drawn.clone();
    let changed = draw.between(1, i64::try_from(CHANGED).unwrap_or(1));
    for _ in 0..changed {
        let at = usize::try_from(draw.between(0, last)).ok()?;
        let with = draw.between(made[at].low, made[at].high);
        let at = u32::try_from(at).ok()?;
        next.replaced.retain(|one| one.draw != at);
        next.replaced.push(Replaced { draw: at, with });
    }
    Some(next)
}
