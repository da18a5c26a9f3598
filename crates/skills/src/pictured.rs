//! Pictures that grow with a working: what stands on them with each of its lines.

mod of_line;

pub use of_line::{balance, operations, tiles};

use teaching::figure::{Curve, Digit, DigitKind, Figure, Mark, Place, Strip, TreeNode};

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
    let node = |value: i64, of: Option<usize>| TreeNode { value: value.to_string(), of };
    let mut nodes = vec![node(number, None)];
    if levels > 0 {
        nodes.extend(halves.map(|primes| node(primes.iter().product(), Some(0))));
    }
    if levels > 1 {
        for (at, primes) in halves.iter().enumerate() {
            split(primes, at + 1, &mut nodes);
        }
    }
    Figure::FactorTree { nodes, ringed: Vec::new() }
}

/// The smallest prime is split off again and again.
fn split(primes: &[i64], of: usize, nodes: &mut Vec<TreeNode>) {
    let [first, rest @ ..] = primes else { return };
    if rest.is_empty() {
        return;
    }
    let node = |value: i64| TreeNode { value: value.to_string(), of: Some(of) };
    nodes.push(node(*first));
    nodes.push(node(rest.iter().product()));
    split(rest, nodes.len() - 1, nodes);
}

/// A factor tree from which the smallest prime is split off again and again, its pairs of equal leaves ringed.
pub fn ringed_pairs(primes: &[i64], is_ringed: bool) -> Figure {
    let value = primes.iter().product::<i64>().to_string();
    let mut nodes = vec![TreeNode { value, of: None }];
    split(primes, 0, &mut nodes);
    let is_leaf = |at: usize| nodes.len() == 1 || !nodes.iter().any(|node| node.of == Some(at));
    let leaves: Vec<usize> = (0..nodes.len()).filter(|&at| is_leaf(at)).collect();
    let mut ringed = Vec::new();
    let mut rest = &leaves[..];
    while let [first, second, others @ ..] = rest {
        if nodes[*first].value == nodes[*second].value {
            ringed.extend([*first, *second]);
            rest = others;
        } else {
            rest = &rest[1..];
        }
    }
    Figure::FactorTree { nodes, ringed: if is_ringed { ringed } else { Vec::new() } }
}

fn cut(&(shaded, parts): &(i64, i64)) -> Strip {
    Strip { parts: count(parts), shaded: count(shaded), label: format!("{shaded}/{parts}") }
}

/// Strips of one length, each with its fraction.
pub fn strips(fractions: &[(i64, i64)]) -> Figure {
    Figure::Strips { strips: fractions.iter().map(cut).collect() }
}

/// Circles, each with its fraction.
pub fn circles(fractions: &[(i64, i64)]) -> Figure {
    Figure::FractionCircles { circles: fractions.iter().map(cut).collect() }
}

/// A whole and more, as circles: every whole one is cut like the last.
pub fn wholes_and_part(wholes: i64, (n, d): (i64, i64)) -> Figure {
    let mut all = vec![(d, d); usize::try_from(wholes).unwrap_or(0)];
    all.push((n, d));
    circles(&all)
}

/// Rows of dots, all of them filled.
pub fn array(rows: i64, columns: i64) -> Figure {
    dots(rows, columns, rows * columns)
}

/// Rows of dots, the first so many of them filled.
pub fn dots(rows: i64, columns: i64, filled: i64) -> Figure {
    Figure::DotArray { rows: count(rows), columns: count(columns), filled: count(filled) }
}

/// A way along a number line: where it begins, and each jump as it is written with where it leads.
#[expect(clippy::cast_precision_loss, reason = "numbers of a line are small")]
pub fn jumps(from: (i64, &str), to: &[(&str, i64, &str)], parts: i64) -> Figure {
    let mark = |at: i64, label: &str| Mark { at: at as f64 / parts as f64, label: label.into() };
    let stops = to.iter().map(|&(_, at, label)| mark(at, label));
    Figure::Jumps {
        stops: std::iter::once(mark(from.0, from.1)).chain(stops).collect(),
        jumps: to.iter().map(|&(jump, ..)| jump.into()).collect(),
    }
}

/// A square of a hundred cells, so many of them marked.
pub fn hundredths(marked: i64) -> Figure {
    Figure::HundredGrid { numbered: false, marked: (1..=count(marked)).collect() }
}

/// The numbers from 1 to 100 with some of them marked.
pub fn hundred_square(marked: &[i64]) -> Figure {
    Figure::HundredGrid { numbered: true, marked: marked.iter().copied().map(count).collect() }
}

/// A unit square cut by two fractions.
pub fn area_model((a, b): (i64, i64), (c, d): (i64, i64)) -> Figure {
    Figure::AreaModel { across: [count(a), count(b)], down: [count(c), count(d)] }
}

/// Two ratios joined crosswise, with the products that are known.
pub fn cross_lines<T: ToString>(terms: [T; 4], products: [Option<i64>; 2]) -> Figure {
    Figure::CrossLines {
        terms: terms.map(|term| term.to_string()),
        products: products.map(|n| n.map(|n| n.to_string()).unwrap_or_default()),
    }
}

/// A straight line `a x + b y = c` through a window.
fn straight([a, b, c]: [i64; 3], [left, right]: [f64; 2], [bottom, top]: [f64; 2]) -> Curve {
    #[expect(clippy::cast_precision_loss, reason = "coefficients are small")]
    let [p, q, r] = [a, b, c].map(|n| n as f64);
    let ends = if b == 0 {
        vec![[r / p, bottom], [r / p, top]]
    } else {
        vec![[left, (r - p * left) / q], [right, (r - p * right) / q]]
    };
    let label = format!("{} = {c}", super::kit::sum(&[(a, "x"), (b, "y")]));
    Curve { label, pieces: vec![ends] }
}

/// Two straight lines `a x + b y = c` around a point, which is marked when it is found.
#[expect(clippy::cast_precision_loss, reason = "coordinates are small")]
pub fn two_lines(lines: [[i64; 3]; 2], (x, y): (i64, i64), is_found: bool) -> Figure {
    let around = |at: i64| [(at.min(0) - 3) as f64, (at.max(0) + 3) as f64];
    let (across, up) = (around(x), around(y));
    let at = [x as f64, y as f64];
    Figure::Graph {
        letter: "x".into(),
        x: across,
        y: up,
        curves: lines.map(|line| straight(line, across, up)).to_vec(),
        points: if is_found {
            vec![Place { at, label: format!("({x}, {y})") }]
        } else {
            Vec::new()
        },
    }
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
            Figure::FactorTree { nodes, .. } => {
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
