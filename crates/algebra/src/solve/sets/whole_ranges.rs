//! Lines about whole numbers, compared by the whole numbers between their ends: `x > 3` and `x ≥ 4` say the same.

use super::Solutions;
use super::interval::{End, Interval};
use crate::number::{Integer, Rational, from_int};
use num_traits::One;

/// Whole numbers from one to another; a missing end goes on for ever.
type Range = (Option<Integer>, Option<Integer>);

/// Whether two sets hold the same whole numbers; `None` where an end is no fraction.
pub(super) fn same(a: &Solutions, b: &Solutions) -> Option<bool> {
    Some(ranges(a)? == ranges(b)?)
}

fn ranges(set: &Solutions) -> Option<Vec<Range>> {
    let mut found: Vec<Range> = Vec::new();
    match set {
        Solutions::AllReals => found.push((None, None)),
        Solutions::Finite(all) => {
            for one in all {
                let value = one.as_rational()?;
                if value.is_integer() {
                    found.push((Some(value.to_integer()), Some(value.to_integer())));
                }
            }
        }
        Solutions::Intervals(intervals) => {
            for interval in intervals {
                found.extend(range(interval)?);
            }
        }
        Solutions::Repeating => return None,
    }
    // Ranges that meet are one.
    let mut joined: Vec<Range> = Vec::new();
    for next in found {
        if let Some(last) = joined.last_mut()
            && let (Some(high), Some(low)) = (&last.1, &next.0)
            && *low <= high + Integer::one()
        {
            last.1 = next.1;
        } else {
            joined.push(next);
        }
    }
    Some(joined)
}

/// The whole numbers of an interval: `Some(None)` for none, `None` where an end is no fraction.
fn range(interval: &Interval) -> Option<Option<Range>> {
    let value = |end: &End| end.value.as_constant();
    let low = match &interval.low {
        None => None,
        Some(end) => Some(least(&value(end)?, end.included)),
    };
    let high = match &interval.high {
        None => None,
        Some(end) => Some(-least(&-value(end)?, end.included)),
    };
    let is_empty = low.as_ref().zip(high.as_ref()).is_some_and(|(low, high)| low > high);
    Some((!is_empty).then_some((low, high)))
}

/// The least whole number that is not less, or that is greater.
fn least(value: &Rational, included: bool) -> Integer {
    let up = value.ceil();
    if !included && up == *value { (up + from_int(1)).to_integer() } else { up.to_integer() }
}
