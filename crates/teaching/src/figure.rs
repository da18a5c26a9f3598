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
}

/// A place with its label.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Mark {
    /// The place on a line, or a width in a bar.
    pub at: f64,
    /// Plain mathematics.
    pub label: String,
}
