//! What an answer is: its kind, which says how it is entered on the Step Desk and what stands on paper to write it in.

use algebra::form::Form;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A kind of answer.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum AnswerKind {
    /// One number without a unit.
    Number {
        /// How it is to be rounded, in words; absent where it is exact.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        rounded: Option<String>,
    },
    /// A number with its unit.
    Quantity {
        /// The units that are offered, in an order that tells nothing; one alone is no choice.
        units: Vec<String>,
        /// How it is to be rounded, in words; absent where it is exact.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        rounded: Option<String>,
    },
    /// An expression in letters.
    Expression,
    /// An equation in several letters.
    Equation,
    /// All solutions of an equation.
    Solutions,
    /// The solutions of an inequality: written, or set on a number line.
    Interval {
        /// The letter that they are values of.
        letter: String,
        /// The number line goes from minus this to this, with a mark at every whole number; absent where its marks
        /// cannot show the ends.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        reach: Option<i32>,
    },
    /// A value for each of two letters or more.
    Pair,
    /// Several things, the order of which counts.
    Order {
        /// What is to be put in order, as the problem tells it.
        items: Vec<String>,
        /// The sign between them.
        sign: String,
    },
    /// A ratio.
    Ratio,
    /// A numeral in another base than ten.
    Numeral {
        /// The base.
        base: u32,
    },
    /// A bearing: three figures and the sign for degrees.
    Bearing,
    /// One of several.
    Choice {
        /// What is offered.
        options: Vec<AnswerOption>,
    },
    /// Yes or no, with a reason.
    Judgement {
        /// The two words.
        options: [String; 2],
        /// Whether a reason is asked for.
        because: bool,
    },
    /// The line of somebody's working that breaks, and what it should be.
    BrokenLine {
        /// How many lines there are; the first one is the problem, which never breaks.
        lines: usize,
    },
    /// Words.
    Words,
    /// The empty cells of a table.
    Table {
        /// What each row is called.
        heads: Vec<String>,
        /// The rows; an empty cell is to be filled.
        rows: Vec<Vec<String>>,
    },
}

/// Something that can be chosen.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct AnswerOption {
    /// As it would be typed: what an answer that chooses it says.
    pub text: String,
    /// As it is shown, with mathematics between dollar signs.
    pub shown: String,
}

/// What stands on paper to write an answer in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
pub enum AnswerSpace {
    /// A line to write on.
    Line,
    /// A box, with its unit behind it where there is only one.
    Box,
    /// Circles to tick.
    Circles,
    /// A box for the number of the line, and a line for what it should be.
    LineNumber,
    /// The cells stand in the picture.
    Cells,
}

impl AnswerKind {
    /// A number, with a unit where the answer has one.
    #[must_use]
    pub fn measured(unit: Option<&str>, form: &Form) -> Self {
        let rounded = rounded(form);
        match unit.filter(|unit| !unit.is_empty()) {
            Some(unit) => Self::Quantity { units: units_beside(unit), rounded },
            None => Self::Number { rounded },
        }
    }

    /// What stands on paper to write it in.
    #[must_use]
    pub const fn space(&self) -> AnswerSpace {
        match self {
            Self::Number { .. } | Self::Quantity { .. } | Self::Numeral { .. } | Self::Bearing => {
                AnswerSpace::Box
            }
            Self::Choice { .. } | Self::Judgement { .. } => AnswerSpace::Circles,
            Self::BrokenLine { .. } => AnswerSpace::LineNumber,
            Self::Table { .. } => AnswerSpace::Cells,
            _ => AnswerSpace::Line,
        }
    }

    /// Whether it has a place of its own below the lines: a line of mathematics is its own answer.
    #[must_use]
    pub const fn has_place(&self) -> bool {
        !matches!(
            self,
            Self::Expression
                | Self::Equation
                | Self::Solutions
                | Self::Interval { reach: None, .. }
                | Self::Pair
                | Self::Words
        )
    }
}

/// How a form rounds, in words.
fn rounded(form: &Form) -> Option<String> {
    let places = |n: &u32, one: &str, many: &str| match n {
        1 => format!("1 {one}"),
        n => format!("{n} {many}"),
    };
    match form {
        Form::Decimal(0) => Some("a whole number".into()),
        Form::Decimal(n) => Some(places(n, "decimal place", "decimal places")),
        Form::Significant(n) => Some(places(n, "significant figure", "significant figures")),
        _ => None,
    }
}

/// Units that measure something alike, the smaller first: a class that knows one knows the others.
const FAMILIES: &[&[&str]] = &[
    &["mm", "cm", "m", "km"],
    &["mm", "cm", "dm", "m"],
    &["mg", "g", "kg", "t"],
    &["mL", "L"],
    &["ml", "l"],
    &["s", "min", "h"],
    &["m/s", "km/h"],
    &["in", "ft", "yd", "mi"],
    &["oz", "lb"],
];
const POWERS: [&str; 3] = ["", "²", "³"];

/// The units that are offered for an answer: its own among those that somebody might take for it.
#[must_use]
pub fn units_beside(unit: &str) -> Vec<String> {
    let (base, power) = match unit.strip_suffix(['²', '³']) {
        Some(base) => (base, &unit[base.len()..]),
        None => (unit, ""),
    };
    let Some(family) = FAMILIES.iter().find(|family| family.contains(&base)) else {
        return vec![unit.to_owned()];
    };
    let is_length = matches!(base, "mm" | "cm" | "dm" | "m" | "km" | "in" | "ft" | "yd" | "mi");
    if is_length {
        // The power is what goes wrong.
        return POWERS.iter().map(|power| format!("{base}{power}")).collect();
    }
    family.iter().map(|other| format!("{other}{power}")).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn units_that_somebody_might_take_are_offered_with_the_right_one() {
        for (unit, offered) in [
            ("cm²", &["cm", "cm²", "cm³"][..]),
            ("cm", &["cm", "cm²", "cm³"]),
            ("km", &["km", "km²", "km³"]),
            ("kg", &["mg", "g", "kg", "t"]),
            ("km/h", &["m/s", "km/h"]),
            ("jars", &["jars"]),
            ("°", &["°"]),
        ] {
            assert_eq!(units_beside(unit), offered, "{unit}");
        }
    }

    #[test]
    fn a_kind_says_what_it_is_written_in() {
        let rounded = AnswerKind::measured(Some("cm"), &Form::Decimal(1));
        let AnswerKind::Quantity { rounded: Some(how), .. } = &rounded else {
            panic!("{rounded:?}")
        };
        assert_eq!((how.as_str(), rounded.space()), ("1 decimal place", AnswerSpace::Box));
        assert_eq!(AnswerKind::measured(None, &Form::Any), AnswerKind::Number { rounded: None });
        assert!(!AnswerKind::Solutions.has_place());
        assert!(AnswerKind::BrokenLine { lines: 3 }.has_place());
    }
}
