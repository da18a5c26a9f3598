//! A scene: shapes and labels in units of a hundredth of an inch on paper, a pixel on the screen; the
//! origin is the upper left corner.

use serde::Serialize;
use utoipa::ToSchema;

/// A picture, laid out.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct Scene {
    /// Width in units.
    pub width: f64,
    /// Height in units.
    pub height: f64,
    /// From back to front.
    pub shapes: Vec<Shape>,
    /// In front of all shapes.
    pub labels: Vec<Label>,
    /// What the picture shows, for those who cannot see it.
    pub describes: String,
}

/// What a colour stands for; the screen and the paper choose the colour.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "lowercase")]
pub enum Tone {
    /// Lines and text.
    Ink,
    /// Lines that help.
    Faint,
    /// What is asked for.
    Honey,
    /// A second line beside one of ink, and what is marked on it.
    Deep,
    /// A light ground.
    Ground,
}

/// One shape.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
#[serde(tag = "kind", rename_all = "lowercase")]
pub enum Shape {
    /// A straight line.
    Line {
        /// Start, x.
        x1: f64,
        /// Start, y.
        y1: f64,
        /// End, x.
        x2: f64,
        /// End, y.
        y2: f64,
        /// Its colour.
        tone: Tone,
        /// Its width.
        width: f64,
    },
    /// A rectangle.
    Box {
        /// Left edge.
        x: f64,
        /// Upper edge.
        y: f64,
        /// Width.
        width: f64,
        /// Height.
        height: f64,
        /// What it is filled with; nothing when absent.
        fill: Option<Tone>,
    },
    /// A line through points, from the first to the last.
    Curve {
        /// The points.
        points: Vec<[f64; 2]>,
        /// Its colour.
        tone: Tone,
        /// Its width.
        width: f64,
        /// Whether it is broken into dashes.
        dashed: bool,
    },
    /// A filled shape with an edge.
    Area {
        /// Its corners, in order.
        points: Vec<[f64; 2]>,
        /// What it is filled with.
        fill: Tone,
    },
    /// A disc.
    Dot {
        /// Centre, x.
        x: f64,
        /// Centre, y.
        y: f64,
        /// Radius.
        radius: f64,
        /// The colour it is filled with; of its edge when it is hollow.
        tone: Tone,
        /// Whether only its edge is drawn.
        hollow: bool,
    },
}

/// Which point of a label stands at its place.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "lowercase")]
pub enum Anchor {
    /// The middle of its left edge.
    Start,
    /// Its centre.
    Middle,
    /// The middle of its right edge.
    End,
}

/// A label, in words or in mathematics.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct Label {
    /// Where its anchor stands.
    pub x: f64,
    /// Where its anchor stands.
    pub y: f64,
    /// Which of its points that is.
    pub anchor: Anchor,
    /// As plain text or plain mathematics.
    pub text: String,
    /// For typesetting; empty for words.
    pub latex: String,
}

impl Label {
    /// Words.
    #[must_use]
    pub fn words(x: f64, y: f64, anchor: Anchor, text: &str) -> Self {
        Self { x, y, anchor, text: text.into(), latex: String::new() }
    }

    /// Mathematics in plain typing; shown as words when it is one, or cannot be read.
    #[must_use]
    pub fn math(x: f64, y: f64, anchor: Anchor, text: &str) -> Self {
        if is_word(text) {
            return Self::words(x, y, anchor, text);
        }
        // A word behind a number and a space is a unit: `27 cm`.
        let quantities = text.starts_with(|c: char| c.is_ascii_digit()) && text.contains(' ');
        let options = algebra::Options { quantities, ..algebra::Options::default() };
        let read = algebra::read_line_with(text, options).map(|reading| reading.line);
        let latex = read.map(|line| algebra::write::latex_line(&line)).unwrap_or_default();
        Self { latex, ..Self::words(x, y, anchor, text) }
    }
}

/// Whether a label is a name or a word, though its letters could be multiplied: `Leo`, `bee`, but not `AB` or `xy`.
fn is_word(text: &str) -> bool {
    let letters: Vec<char> = text.chars().collect();
    let is_name = letters.first().is_some_and(|first| first.is_uppercase())
        && letters.len() > 1
        && letters[1..].iter().all(|letter| letter.is_lowercase());
    let is_long = letters.len() > 2 && letters.iter().any(|letter| letter.is_lowercase());
    letters.iter().all(|letter| letter.is_alphabetic()) && (is_name || is_long)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn units_stand_upright_and_letters_do_not() {
        let latex = |text: &str| Label::math(0.0, 0.0, Anchor::Middle, text).latex;
        assert_eq!(latex("27 cm"), "27\\,\\text{cm}");
        assert_eq!(latex("2x + 3"), "2x + 3");
        assert_eq!(latex("x"), "x");
        assert_eq!(latex("45°"), "45\\degree ");
    }

    #[test]
    fn names_and_words_are_no_products() {
        for text in ["Leo", "Bo", "Émile", "bee", "tea", "Priya", "hours"] {
            assert_eq!(Label::math(0.0, 0.0, Anchor::Middle, text).latex, "", "{text}");
        }
        for text in ["AB", "ABC", "xy", "ab", "pi", "2ab", "e^x", "πr"] {
            assert_ne!(Label::math(0.0, 0.0, Anchor::Middle, text).latex, "", "{text}");
        }
    }
}
