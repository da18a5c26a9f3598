//! Where things stand in a picture that is drawn to scale: places, directions, arcs.

use crate::scene::{Anchor, Label, Shape, Tone};

/// A place or a direction in a scene, across and down.
pub type Point = [f64; 2];

pub fn plus(a: Point, b: Point, times: f64) -> Point {
    [b[0].mul_add(times, a[0]), b[1].mul_add(times, a[1])]
}

pub fn between(a: Point, b: Point) -> Point {
    [a[0].midpoint(b[0]), a[1].midpoint(b[1])]
}

/// The direction from one place to another, of length 1; across where both are one place.
pub fn direction(from: Point, to: Point) -> Point {
    let (x, y) = (to[0] - from[0], to[1] - from[1]);
    let length = x.hypot(y);
    if length > 0.0 { [x / length, y / length] } else { [1.0, 0.0] }
}

/// The direction at an angle in degrees, counted from the right and against the clock, in a scene where down counts.
pub fn at_degrees(degrees: f64) -> Point {
    let (sine, cosine) = degrees.to_radians().sin_cos();
    [cosine, -sine]
}

/// Points on an arc around a place, from an angle to another.
pub fn arc(centre: Point, radius: f64, [from, to]: [f64; 2]) -> Vec<Point> {
    let steps = ((to - from).abs() / 4.0).ceil().max(1.0);
    let step = (to - from) / steps;
    let mut points = Vec::new();
    let mut at = 0.0;
    while at <= steps {
        points.push(plus(centre, at_degrees(step.mul_add(at, from)), radius));
        at += 1.0;
    }
    points
}

pub fn line(from: Point, to: Point, tone: Tone, width: f64) -> Shape {
    Shape::Line { x1: from[0], y1: from[1], x2: to[0], y2: to[1], tone, width }
}

/// A label beside a place, on the side to which `away` points, so that it does not run over the line.
pub fn beside(at: Point, away: Point, text: &str) -> Label {
    let anchor = if away[0] > 0.4 {
        Anchor::Start
    } else if away[0] < -0.4 {
        Anchor::End
    } else {
        Anchor::Middle
    };
    // Beside a line that slants, a label needs more room than beside one that stands.
    let slant = (away[0] * away[1]).abs();
    let gap = if anchor == Anchor::Middle { 16.0 } else { 10.0 };
    let place = plus(at, away, slant.mul_add(20.0, gap));
    Label::math(place[0], place[1], anchor, text)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn angles_count_against_the_clock_and_up_is_less() {
        let up = at_degrees(90.0);
        assert!(up[0].abs() < 1e-9 && (up[1] + 1.0).abs() < 1e-9);
        let quarter = arc([0.0, 0.0], 10.0, [0.0, 90.0]);
        assert!((quarter[0][0] - 10.0).abs() < 1e-9);
        assert!((quarter[quarter.len() - 1][1] + 10.0).abs() < 1e-6);
    }

    #[test]
    fn a_label_stands_on_the_side_it_is_sent_to() {
        assert_eq!(beside([0.0, 0.0], [1.0, 0.0], "3 cm").anchor, Anchor::Start);
        assert_eq!(beside([0.0, 0.0], [-1.0, 0.0], "3 cm").anchor, Anchor::End);
        assert!(beside([0.0, 0.0], [0.0, -1.0], "3 cm").y < 0.0);
    }
}
