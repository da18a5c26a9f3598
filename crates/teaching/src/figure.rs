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
