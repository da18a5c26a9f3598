//! Figures as numbers: what a picture shows, to be laid out by `drawing`.

mod limits;
mod shape;

pub use limits::BadFigure;
pub use shape::{Circle, Polygon, Segment, Turn};

use serde::{Deserialize, Deserializer, Serialize, Serializer, de};
use utoipa::ToSchema;

/// A picture, described by what is in it. Labels are plain mathematics, as it could be typed.
///
/// One that is read, whether from a request, a file or the database, is within its limits, as [`Figure::check`] knows them.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case", remote = "Self")]
pub enum Figure {
    /// Two rows whose columns are in one ratio; the missing number is a letter.
    RatioTable {
        /// What the rows count, such as "jars" and "frames"; may be empty.
        rows: [String; 2],
        /// The columns, from left to right, each with its upper and lower number.
        columns: Vec<[String; 2]>,
    },
    /// The whole numbers from `from` to `to`, with points marked on them.
    NumberLine {
        /// Left end.
        from: i32,
        /// Right end; greater than `from`.
        to: i32,
        /// Where points stand, with the label of each.
        points: Vec<Mark>,
    },
    /// A bar of equal parts with a remainder, above a bar of the total.
    Bar {
        /// The label of each part of the upper bar and its width in units.
        parts: Vec<Mark>,
        /// The label of the whole.
        total: String,
    },
    /// Curves in a coordinate grid, with points marked on them.
    Graph {
        /// What stands at the right end of the horizontal axis.
        letter: String,
        /// From where to where, horizontally; the second is greater.
        x: [f64; 2],
        /// From where to where, vertically; the second is greater.
        y: [f64; 2],
        /// The curves; the first two are told apart.
        curves: Vec<Curve>,
        /// Marked points.
        points: Vec<Place>,
    },
    /// A shape with straight sides, drawn to scale.
    Polygon(Polygon),
    /// A circle with what is labelled in it.
    Circle(Circle),
    /// A ruler with a thing that lies on it.
    Ruler {
        /// The last number on it, in centimetres.
        length: u32,
        /// Where the thing starts and ends, in centimetres.
        thing: [f64; 2],
        /// What the thing is.
        label: String,
    },
    /// A table of values, one row below the other.
    Table {
        /// What each row shows.
        heads: Vec<String>,
        /// The values of each row, from left to right.
        rows: Vec<Vec<String>>,
    },
    /// Base-ten blocks: hundreds as squares, tens as bars, ones as cubes.
    Blocks {
        /// How many hundreds.
        hundreds: u32,
        /// How many tens; more than nine wait to be regrouped.
        tens: u32,
        /// How many ones.
        ones: u32,
    },
    /// Numbers below each other in columns, with a row of carries above and the result below; an empty cell is not
    /// filled in yet.
    Columns {
        /// What each column is worth; may be empty.
        heads: Vec<String>,
        /// The carries.
        carries: Vec<String>,
        /// The numbers, digit by digit, from left to right.
        rows: Vec<Vec<String>>,
        /// What is done: `+` or `-`.
        sign: String,
        /// The result.
        result: Vec<String>,
    },
    /// A number that is split into factors, down to primes.
    FactorTree {
        /// The number first; each other one hangs on one in front of it.
        nodes: Vec<TreeNode>,
        /// The leaves that are ringed, such as the pairs that come out of a root.
        #[serde(default, skip_serializing_if = "Vec::is_empty")]
        ringed: Vec<usize>,
    },
    /// An expression as a tree: each operation above what it joins.
    OperationTree {
        /// The operation that is done last first; each other part hangs on one in front of it.
        nodes: Vec<TreeNode>,
    },
    /// A family, from the youngest upwards.
    FamilyTree {
        /// The youngest first; each other one is a parent of one in front of it.
        nodes: Vec<TreeNode>,
    },
    /// Algebra tiles: a square for a square, a bar for a letter, a small square for one; negative ones are hollow.
    Tiles {
        /// Heaps of equal tiles, from left to right.
        tiles: Vec<Tile>,
    },
    /// Scales in balance: what lies on both pans.
    Balance {
        /// The left pan.
        left: Vec<Load>,
        /// The right pan.
        right: Vec<Load>,
    },
    /// Dots in rows and columns, the first so many of them filled.
    DotArray {
        /// How many rows.
        rows: u32,
        /// How many dots in a row.
        columns: u32,
        /// How many dots are filled, row by row.
        filled: u32,
    },
    /// Jumps along a number line without ticks: where it stops, and what each jump is.
    Jumps {
        /// One more than there are jumps, in the order of the way.
        stops: Vec<Mark>,
        /// The label of each jump.
        jumps: Vec<String>,
    },
    /// A square of a hundred cells.
    HundredGrid {
        /// Whether 1 to 100 stand in the cells.
        numbered: bool,
        /// The cells that are marked, counted from 1.
        marked: Vec<u32>,
    },
    /// Coins, each with its value in cents.
    Coins {
        /// From left to right.
        values: Vec<u32>,
    },
    /// Tally marks, in fives.
    Tally {
        /// How many.
        count: u32,
    },
    /// A month as a sheet of a calendar.
    Calendar {
        /// The weekday of its first day, from 0 for Monday.
        first: u32,
        /// How many days it has.
        days: u32,
        /// The days that are marked.
        marked: Vec<u32>,
    },
    /// Digits in a row with the point hopping from one place to another.
    PointHops {
        /// The digits, zeros that fill up with them.
        digits: Vec<String>,
        /// Behind how many digits the point stood.
        from: u32,
        /// Behind how many it stands now.
        to: u32,
    },
    /// A unit square cut both ways: so many of so many columns, and so many of so many rows.
    AreaModel {
        /// Columns that are shaded, and all.
        across: [u32; 2],
        /// Rows that are shaded, and all.
        down: [u32; 2],
    },
    /// Two ratios with the lines that join what is multiplied.
    CrossLines {
        /// The four terms `a:b = c:d`.
        terms: [String; 4],
        /// `a × d` and `b × c`; empty ones are not worked out yet.
        products: [String; 2],
    },
    /// Fraction circles, one beside the other.
    FractionCircles {
        /// From left to right.
        circles: Vec<Strip>,
    },
    /// Equal groups of two kinds of things: a ratio, so many times.
    Groups {
        /// What the two kinds are called.
        names: [String; 2],
        /// How many of each kind in a group.
        each: [u32; 2],
        /// How many groups.
        groups: u32,
    },
    /// Two number lines, one above the other, whose marks belong together.
    DoubleLine {
        /// What the lines count; may be empty.
        rows: [String; 2],
        /// From left to right: how far along, from 0 to 1, and what stands above and below.
        stops: Vec<Pair>,
    },
    /// The first figures of a growing pattern.
    Pattern {
        /// What it is built of.
        built: PatternKind,
        /// How many sticks or dots each figure has.
        counts: Vec<u32>,
    },
    /// Units as stairs: the largest at the top, with the factor of each step.
    UnitStairs {
        /// From the largest to the smallest.
        units: Vec<String>,
        /// How many of the next smaller one make one of each.
        factors: Vec<String>,
        /// From which step to which the way goes.
        way: [u32; 2],
    },
    /// Things beside each other, drawn to one scale.
    ToScale {
        /// Each with its length and what it is.
        things: Vec<Mark>,
        /// The unit of the lengths.
        unit: String,
    },
    /// Fraction strips of one length, one below the other.
    Strips {
        /// From top to bottom.
        strips: Vec<Strip>,
    },
    /// A rectangle cut by its sides: each cell is a product.
    AreaGrid {
        /// The parts of the upper side.
        across: Vec<String>,
        /// The parts of the left side.
        down: Vec<String>,
        /// The products, row by row; an empty one is not filled in yet.
        cells: Vec<Vec<String>>,
    },
    /// Counters of two kinds, one worth 1 and the other worth -1, with so many pairs that make zero.
    Counters {
        /// How many are worth 1.
        positive: u32,
        /// How many are worth -1.
        negative: u32,
        /// How many pairs of both are taken out.
        pairs: u32,
    },
    /// The digits of a number on a strip, each with what it does when the number is rounded.
    Digits {
        /// From left to right.
        digits: Vec<Digit>,
    },
    /// A bar from 0 to 100 percent or beyond, with amounts below it.
    PercentBar {
        /// The percent of the part.
        percent: f64,
        /// What the part amounts to; a letter when it is asked for.
        part: String,
        /// What the whole amounts to; a letter when it is asked for.
        whole: String,
    },
    /// Solutions on a number line: single values and stretches.
    SolutionLine {
        /// The letter they are values of.
        letter: String,
        /// Left end.
        from: f64,
        /// Right end; greater than `from`.
        to: f64,
        /// From left to right.
        stretches: Vec<Stretch>,
    },
}

impl Serialize for Figure {
    fn serialize<S: Serializer>(&self, serializer: S) -> Result<S::Ok, S::Error> {
        Self::serialize(self, serializer)
    }
}

impl<'de> Deserialize<'de> for Figure {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        let figure = Self::deserialize(deserializer)?;
        figure.check().map_err(de::Error::custom)?;
        Ok(figure)
    }
}

/// What stands in a tree.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct TreeNode {
    /// As it is written.
    pub value: String,
    /// Which one it hangs on; none for the first.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub of: Option<usize>,
}

/// What a growing pattern is built of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum PatternKind {
    /// Six-sided cells in a row, laid out with sticks: one more cell with each figure.
    Cells,
    /// Squares in a row, laid out with sticks: one more square with each figure.
    Squares,
    /// Dots.
    Dots,
}

/// Tiles of one kind.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Tile {
    /// What one of them is worth, `x^2`, `x` or `1`.
    pub label: String,
    /// How many; below zero for negative ones.
    pub count: i32,
}

/// Equal things on a pan.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Load {
    /// What one of them weighs, `x` or `12`.
    pub label: String,
    /// How many.
    pub count: u32,
    /// Whether it pulls upwards: a negative weight.
    pub lifts: bool,
}

/// Two numbers that belong together on a double number line.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Pair {
    /// How far along, from 0 to 1.
    pub at: f64,
    /// What stands above and below.
    pub labels: [String; 2],
}

/// A fraction strip or a fraction circle.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Strip {
    /// Into how many equal parts it is cut; at least 1.
    pub parts: u32,
    /// How many of them are shaded, from the left.
    pub shaded: u32,
    /// What it shows.
    pub label: String,
}

/// A digit, or the point, on a strip.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Digit {
    /// As it is written.
    pub text: String,
    /// What it does.
    pub kind: DigitKind,
}

/// What a digit does when its number is rounded.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum DigitKind {
    /// It is kept.
    Kept,
    /// It says whether the last one that is kept goes up.
    Deciding,
    /// It falls away.
    Dropped,
    /// A zero that only holds the place, or the point.
    Place,
}

/// A curve, as the points that it runs through, piece by piece between its gaps.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Curve {
    /// What it is the curve of, in plain mathematics.
    pub label: String,
    /// Each piece, from left to right.
    pub pieces: Vec<Vec<[f64; 2]>>,
}

/// A point with its label.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Place {
    /// Across and up.
    pub at: [f64; 2],
    /// Plain mathematics.
    pub label: String,
}

/// A stretch of a number line; a missing end goes on for ever, and both ends may be one value.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Stretch {
    /// The left end.
    pub low: Option<Mark>,
    /// The right end.
    pub high: Option<Mark>,
    /// Whether each end belongs to it.
    pub closed: [bool; 2],
}

/// A place with its label.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Mark {
    /// The place on a line, or a width in a bar.
    pub at: f64,
    /// Plain mathematics.
    pub label: String,
}
