//! Intervals of the number line, and lines that say them.

use crate::expr::Expr;
use crate::line::{Line, Relation};
use crate::normal::Quotient;

/// One end of an interval.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct End {
    /// Where it is.
    pub value: Quotient,
    /// Whether it belongs to the interval.
    pub included: bool,
}

/// All numbers between two ends; a missing end means that it goes on for ever. Both ends may be one
/// included value.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Interval {
    /// The left end.
    pub low: Option<End>,
    /// The right end.
    pub high: Option<End>,
}

/// Puts the truth of neighbouring cells together: gaps, between values.
#[derive(Default)]
pub(crate) struct Builder {
    found: Vec<Interval>,
    /// The interval that is still going on.
    open: Option<Interval>,
    /// The last value seen and whether it is true, while the next gap decides what it belongs to.
    last: Option<(Quotient, bool)>,
}

impl Builder {
    /// A value, and whether the line is true there.
    pub fn point(&mut self, value: &Quotient, truth: bool) {
        if !truth && let Some(mut open) = self.open.take() {
            open.high = Some(End { value: value.clone(), included: false });
            self.found.push(open);
        }
        self.last = Some((value.clone(), truth));
    }

    /// The gap behind the last value.
    pub fn gap(&mut self, truth: bool) {
        let last = self.last.take();
        match (truth, self.open.take(), last) {
            (true, Some(open), _) => self.open = Some(open),
            (true, None, last) => {
                let low = last.map(|(value, included)| End { value, included });
                self.open = Some(Interval { low, high: None });
            }
            (false, Some(mut open), last) => {
                open.high = last.map(|(value, included)| End { value, included });
                self.found.push(open);
            }
            (false, None, Some((value, true))) => {
                let end = Some(End { value, included: true });
                self.found.push(Interval { low: end.clone(), high: end });
            }
            (false, None, _) => {}
        }
    }

    /// The intervals, from left to right.
    pub fn finish(mut self) -> Vec<Interval> {
        self.found.extend(self.open);
        self.found
    }
}

impl Interval {
    /// `2 < x ≤ 5`, `x > 2`, `x = 2`; `None` for the whole number line.
    #[must_use]
    pub fn to_line(&self, letter: &str) -> Option<Line> {
        let name = Expr::symbol(letter);
        let below = |end: &End| if end.included { Relation::LessOrEqual } else { Relation::Less };
        let (sides, relations) = match (&self.low, &self.high) {
            (None, None) => return None,
            (Some(low), Some(high)) if low.value == high.value => {
                (vec![name, low.value.to_expr()], vec![Relation::Equal])
            }
            (Some(low), None) => (vec![name, low.value.to_expr()], vec![below(low).turned()]),
            (None, Some(high)) => (vec![name, high.value.to_expr()], vec![below(high)]),
            (Some(low), Some(high)) => (
                vec![low.value.to_expr(), name, high.value.to_expr()],
                vec![below(low), below(high)],
            ),
        };
        Some(Line::Relations { sides, relations })
    }
}

/// Joins intervals that only one value parts, and gives these values.
#[must_use]
pub fn joined(intervals: &[Interval]) -> (Vec<Interval>, Vec<Quotient>) {
    let mut found: Vec<Interval> = Vec::new();
    let mut left_out = Vec::new();
    for next in intervals {
        if let Some(before) = found.last_mut()
            && let (Some(high), Some(low)) = (&before.high, &next.low)
            && high.value == low.value
        {
            left_out.push(high.value.clone());
            before.high = next.high.clone();
            continue;
        }
        found.push(next.clone());
    }
    (found, left_out)
}
