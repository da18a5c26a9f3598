//! Pictures that grow with a working: what stands on them with each of its lines.

use crate::figure::{Digit, DigitKind, Factor, Figure, Mark, Strip};

fn count(n: i64) -> u32 {
    u32::try_from(n.max(0)).unwrap_or(0)
}

/// Hundreds, tens and ones as blocks.
pub fn blocks([hundreds, tens, ones]: [i64; 3]) -> Figure {
    Figure::Blocks { hundreds: count(hundreds), tens: count(tens), ones: count(ones) }
}

/// A sum in columns that is worked from the right, digit by digit.
pub struct Column<'a> {
    /// The numbers, digit by digit from the lowest place.
    pub rows: [&'a [i64]; 2],
    /// `+` or `-`.
    pub sign: &'a str,
    /// What is written above each place, from the lowest; nothing where it is empty.
    pub carries: Vec<String>,
    /// The digits of the result, from the lowest.
    pub result: Vec<i64>,
}

impl Column<'_> {
    /// As it stands after `done` places.
    pub fn after(&self, done: usize) -> Figure {
        let from_left = |mut cells: Vec<String>| {
            cells.reverse();
            cells
        };
        let length =
            self.rows.iter().map(|row| row.len()).max().unwrap_or(0).max(self.result.len());
        let row = |digits: &[i64]| from_left(digits.iter().map(i64::to_string).collect());
        let until = |cells: &[String], most: usize| {
            let shown = (0..length).map(|at| match cells.get(at) {
                Some(text) if at < most => text.clone(),
                _ => String::new(),
            });
            from_left(shown.collect())
        };
        let result: Vec<String> = self.result.iter().map(i64::to_string).collect();
        // The last place may have a digit in front of it.
        let written =
            if done >= self.rows[0].len().max(self.rows[1].len()) { length } else { done };
        Figure::Columns {
            heads: Vec::new(),
            // A carry is written with the place that it comes from.
            carries: until(&self.carries, done + 1),
            rows: self.rows.iter().map(|digits| row(digits)).collect(),
            sign: self.sign.into(),
            result: until(&result, written),
        }
    }
}

/// A number split into factors, each of these again, as far as `levels` go.
pub fn factor_tree(number: i64, halves: [&[i64]; 2], levels: usize) -> Figure {
    let node = |value: i64, of: Option<usize>| Factor { value: value.to_string(), of };
    let mut nodes = vec![node(number, None)];
    if levels > 0 {
        nodes.extend(halves.map(|primes| node(primes.iter().product(), Some(0))));
    }
    if levels > 1 {
        for (at, primes) in halves.iter().enumerate() {
            split(primes, at + 1, &mut nodes);
        }
    }
    Figure::FactorTree { nodes }
}

/// The smallest prime is split off again and again.
fn split(primes: &[i64], of: usize, nodes: &mut Vec<Factor>) {
    let [first, rest @ ..] = primes else { return };
    if rest.is_empty() {
        return;
    }
    let node = |value: i64| Factor { value: value.to_string(), of: Some(of) };
    nodes.push(node(*first));
    nodes.push(node(rest.iter().product()));
    split(rest, nodes.len() - 1, nodes);
}

/// Strips of one length, each with its fraction.
pub fn strips(fractions: &[(i64, i64)]) -> Figure {
    let strip = |&(shaded, parts): &(i64, i64)| Strip {
        parts: count(parts),
        shaded: count(shaded),
        label: format!("{shaded}/{parts}"),
    };
    Figure::Strips { strips: fractions.iter().map(strip).collect() }
}

/// A whole and more, as strips: every whole one is cut like the last.
pub fn wholes_and_part(wholes: i64, (n, d): (i64, i64)) -> Figure {
    let mut all = vec![(d, d); usize::try_from(wholes).unwrap_or(0)];
    all.push((n, d));
    strips(&all)
}

/// A number line with numbers marked on it.
#[expect(clippy::cast_precision_loss, reason = "numbers of a line are small")]
pub fn number_line(from: i64, to: i64, marks: &[i64]) -> Figure {
    let end = |n: i64| i32::try_from(n).unwrap_or(0);
    let mark = |&value: &i64| Mark { at: value as f64, label: value.to_string() };
    Figure::NumberLine { from: end(from), to: end(to), points: marks.iter().map(mark).collect() }
}

/// A rectangle cut by its sides.
pub fn area_grid(across: &[String], down: &[String], cells: &[&[String]]) -> Figure {
    Figure::AreaGrid {
        across: across.to_vec(),
        down: down.to_vec(),
        cells: cells.iter().map(|row| row.to_vec()).collect(),
    }
}

/// Counters for `a + c`, one of them negative.
pub fn counters(a: i64, c: i64, pairs: i64) -> Figure {
    Figure::Counters { positive: count(a.max(c)), negative: count(-a.min(c)), pairs: count(pairs) }
}

/// The digits of a number that is rounded to so many figures.
pub fn digit_strip(number: &str, figures: u32) -> Figure {
    let mut met = 0;
    let digits = number.chars().map(|sign| {
        let is_place = sign == '.' || (met == 0 && sign == '0');
        let kind = if is_place {
            DigitKind::Place
        } else {
            met += 1;
            match met.cmp(&(figures + 1)) {
                std::cmp::Ordering::Less => DigitKind::Kept,
                std::cmp::Ordering::Equal => DigitKind::Deciding,
                std::cmp::Ordering::Greater => DigitKind::Dropped,
            }
        };
        Digit { text: sign.to_string(), kind }
    });
    Figure::Digits { digits: digits.collect() }
}

/// A table, one row below the other.
pub fn table<T: ToString>(rows: &[(&str, Vec<T>)]) -> Figure {
    Figure::Table {
        heads: rows.iter().map(|(head, _)| (*head).to_owned()).collect(),
        rows: rows.iter().map(|(_, row)| row.iter().map(ToString::to_string).collect()).collect(),
    }
}

/// A bar from 0 to 100% with the part and the whole below it.
#[expect(clippy::cast_precision_loss, reason = "percents are small")]
pub fn percent_bar(tenths: i64, part: impl Into<String>, whole: impl Into<String>) -> Figure {
    Figure::PercentBar { percent: tenths as f64 / 10.0, part: part.into(), whole: whole.into() }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn columns_fill_from_the_right() {
        let sum = Column {
            rows: [&[9, 4, 3], &[5, 2]],
            sign: "+",
            carries: vec![String::new(), "1".into()],
            result: vec![4, 7, 3],
        };
        let shown = |done| match sum.after(done) {
            Figure::Columns { carries, result, .. } => (carries.join("|"), result.join("|")),
            other => panic!("{other:?}"),
        };
        assert_eq!(shown(0), ("||".into(), "||".into()));
        assert_eq!(shown(1), ("|1|".into(), "||4".into()));
        assert_eq!(shown(3), ("|1|".into(), "3|7|4".into()));
    }

    #[test]
    fn a_tree_ends_in_its_primes() {
        let values = |levels| match factor_tree(360, [&[2, 2, 2], &[3, 3, 5]], levels) {
            Figure::FactorTree { nodes } => {
                nodes.into_iter().map(|node| node.value).collect::<Vec<_>>().join(" ")
            }
            other => panic!("{other:?}"),
        };
        assert_eq!(values(0), "360");
        assert_eq!(values(1), "360 8 45");
        assert_eq!(values(2), "360 8 45 2 4 2 2 3 15 3 5");
    }

    #[test]
    fn the_first_digit_that_is_not_zero_begins_what_is_kept() {
        let kinds = |number: &str, figures| match digit_strip(number, figures) {
            Figure::Digits { digits } => digits.iter().map(|digit| digit.kind).collect::<Vec<_>>(),
            other => panic!("{other:?}"),
        };
        use DigitKind::{Deciding, Dropped, Kept, Place};
        let expected = [Place, Place, Place, Place, Kept, Kept, Deciding, Dropped];
        assert_eq!(kinds("0.004863", 2), [&expected[..]].concat());
        assert_eq!(kinds("705", 2), [Kept, Kept, Deciding]);
    }
}
