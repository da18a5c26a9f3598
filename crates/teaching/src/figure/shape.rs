//! Shapes that are drawn to scale: with straight sides, and circles.

use super::{Figure, Place};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

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
