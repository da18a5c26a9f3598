//! Figures as numbers: what a picture shows, to be laid out by `drawing`.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A picture, described by what is in it. Labels are plain mathematics, as it could be typed.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
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
        nodes: Vec<Factor>,
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

/// A number in a factor tree.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Factor {
    /// The number.
    pub value: String,
    /// Which number it is a factor of; none for the first.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub of: Option<usize>,
}

/// A fraction strip.
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

/// A shape with straight sides; labels are plain mathematics, and an empty one is none.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Polygon {
    /// Its corners in order, across and up.
    pub corners: Vec<[f64; 2]>,
    /// The label of each side, from each corner to the next.
    pub sides: Vec<String>,
    /// Which corners are marked as right angles.
    pub right: Vec<usize>,
    /// The label of the angle in each corner.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub angles: Vec<String>,
    /// Lines within it or beside it.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub lines: Vec<Segment>,
    /// Turns that are marked by a faint arc.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub turns: Vec<Turn>,
    /// Labels that stand by themselves.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub marks: Vec<Place>,
}

/// An arc around a place, from a direction to another.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Turn {
    /// Around which place.
    pub at: [f64; 2],
    /// How far from it.
    pub radius: f64,
    /// The directions at both ends, in degrees from the right and against the clock.
    pub degrees: [f64; 2],
}

/// A straight line from place to place.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Segment {
    /// Where it starts, across and up.
    pub from: [f64; 2],
    /// Where it ends.
    pub to: [f64; 2],
    /// Plain mathematics, or nothing.
    pub label: String,
    /// Whether it only helps: it is drawn in dashes.
    pub helps: bool,
}

impl Polygon {
    /// With those corners and a label for each side.
    #[must_use]
    pub fn around(corners: &[(i64, i64)], sides: &[String]) -> Self {
        #[expect(clippy::cast_precision_loss, reason = "lengths of a drawing are small")]
        let place = |&(x, y): &(i64, i64)| [x as f64, y as f64];
        let corners = corners.iter().map(place).collect();
        Self { corners, sides: sides.to_vec(), ..Self::default() }
    }

    /// With a right angle marked in that corner.
    #[must_use]
    pub fn right_at(mut self, corner: usize) -> Self {
        self.right.push(corner);
        self
    }

    /// With the angle in that corner labelled.
    #[must_use]
    pub fn angle(mut self, corner: usize, label: impl Into<String>) -> Self {
        self.angles.resize(self.corners.len(), String::new());
        if let Some(place) = self.angles.get_mut(corner) {
            *place = label.into();
        }
        self
    }

    /// With a dashed line.
    #[must_use]
    pub fn dashed(mut self, from: [f64; 2], to: [f64; 2], label: impl Into<String>) -> Self {
        self.lines.push(Segment { from, to, label: label.into(), helps: true });
        self
    }

    /// With a full line.
    #[must_use]
    pub fn line(mut self, from: [f64; 2], to: [f64; 2], label: impl Into<String>) -> Self {
        self.lines.push(Segment { from, to, label: label.into(), helps: false });
        self
    }

    /// With a label that stands by itself.
    #[must_use]
    pub fn mark(mut self, at: [f64; 2], label: impl Into<String>) -> Self {
        self.marks.push(Place { at, label: label.into() });
        self
    }

    /// With a faint arc around a place.
    #[must_use]
    pub fn turn(mut self, at: [f64; 2], radius: f64, degrees: [f64; 2]) -> Self {
        self.turns.push(Turn { at, radius, degrees });
        self
    }
}

impl From<Polygon> for Figure {
    fn from(polygon: Polygon) -> Self {
        Self::Polygon(polygon)
    }
}

/// A circle; labels are plain mathematics, and an empty one is none.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Circle {
    /// The label of a radius.
    pub radius: String,
    /// The label of a diameter.
    pub diameter: String,
    /// An arc, by the degrees at which it starts and ends, counted from the right and against the clock.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub arc: Option<[f64; 2]>,
    /// The label of the arc.
    pub arc_label: String,
    /// The label of the angle at the centre over the arc.
    pub central: String,
    /// The degrees at which a point stands from which the arc is seen.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub seen_from: Option<f64>,
    /// The label of the angle at that point.
    pub inscribed: String,
    /// The radius of a smaller circle with the same centre, as a part of the radius.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub inner: Option<f64>,
    /// The label of the smaller radius.
    pub inner_label: String,
}

impl From<Circle> for Figure {
    fn from(circle: Circle) -> Self {
        Self::Circle(circle)
    }
}
