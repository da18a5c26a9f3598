//! Jumps along a number line that has no ticks but its stops.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Mark;

const WIDTH: f64 = 560.0;
const SIDE: f64 = 40.0;
const PER_LETTER: f64 = 9.0;
/// Points of an arc.
const POINTS: u32 = 24;
/// From one row of labels to the next.
const ROW: f64 = 20.0;

/// A label with the room that it takes; heights count from the line, upwards below zero.
struct Placed<'a> {
    text: &'a str,
    x: f64,
    y: f64,
}

impl Placed<'_> {
    fn half(text: &str) -> f64 {
        text.chars().count() as f64 * PER_LETTER / 2.0 + 2.0
    }

    fn meets(&self, other: &Self) -> bool {
        (self.y - other.y).abs() < ROW - 2.0
            && (self.x - other.x).abs() < Self::half(self.text) + Self::half(other.text)
    }
}

/// Puts a label where it meets no other one, `step` further out from the line as often as needed.
fn put<'a>(mut label: Placed<'a>, step: f64, placed: &mut Vec<Placed<'a>>) {
    let half = Placed::half(label.text);
    label.x = label.x.max(half).min(WIDTH - half);
    while placed.iter().any(|other| label.meets(other)) {
        label.y += step;
    }
    placed.push(label);
}

/// Lays the jumps out to scale; an arc for each, with an arrow where it lands.
pub fn draw(stops: &[Mark], jumps: &[String]) -> Scene {
    let values: Vec<f64> = stops.iter().map(|stop| stop.at).filter(|at| at.is_finite()).collect();
    let low = values.iter().copied().fold(f64::INFINITY, f64::min);
    let high = values.iter().copied().fold(f64::NEG_INFINITY, f64::max);
    let length = if high > low { high - low } else { 1.0 };
    let low = if low.is_finite() { low } else { 0.0 };
    let x_of =
        |value: f64| ((value - low) / length).clamp(0.0, 1.0).mul_add(WIDTH - 2.0 * SIDE, SIDE);
    let mut placed = Vec::new();
    for stop in stops {
        put(Placed { text: &stop.label, x: x_of(stop.at), y: ROW }, ROW, &mut placed);
    }
    let mut arcs = Vec::new();
    for (ends, text) in stops.windows(2).zip(jumps) {
        let (x1, x2) = (x_of(ends[0].at), x_of(ends[1].at));
        let high = ((x2 - x1).abs() / 2.2).clamp(18.0, 56.0);
        put(Placed { text, x: f64::midpoint(x1, x2), y: -high - 16.0 }, -ROW, &mut placed);
        arcs.push((x1, x2, high));
    }
    let above = placed.iter().map(|label| -label.y).fold(24.0, f64::max);
    let below = placed.iter().map(|label| label.y).fold(ROW, f64::max);
    let axis = above + 12.0;
    let mut shapes = vec![line([8.0, axis], [WIDTH - 8.0, axis], Tone::Ink, 2.0)];
    for stop in stops {
        let x = x_of(stop.at);
        shapes.push(line([x, axis - 6.0], [x, axis + 6.0], Tone::Ink, 1.5));
    }
    for (x1, x2, high) in arcs {
        arc([x1, x2], high, axis, &mut shapes);
    }
    let label = |one: &Placed| Label::math(one.x, axis + one.y, Anchor::Middle, one.text);
    let way: Vec<&str> = stops.iter().map(|stop| stop.label.as_str()).collect();
    Scene {
        width: WIDTH,
        height: axis + below + 12.0,
        shapes,
        labels: placed.iter().map(label).collect(),
        describes: format!(
            "Jumps on a number line: {}; stops at {}.",
            jumps.join(", "),
            way.join(", ")
        ),
    }
}

/// A jump from the first place to the second, with its arrow.
fn arc([x1, x2]: [f64; 2], high: f64, axis: f64, shapes: &mut Vec<Shape>) {
    let point = |n: u32| {
        let part = f64::from(n) / f64::from(POINTS);
        [(x2 - x1).mul_add(part, x1), (-4.0 * high * part).mul_add(1.0 - part, axis - 3.0)]
    };
    let points = (0..=POINTS).map(point).collect();
    shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
    let back = if x2 >= x1 { x2 - 6.0 } else { x2 + 6.0 };
    let tip = [x2, axis - 2.0];
    let points = vec![tip, [back - 4.0, axis - 12.0], [back + 4.0, axis - 12.0]];
    shapes.push(Shape::Area { points, fill: Tone::Deep });
}

#[cfg(test)]
mod tests {
    use super::*;

    fn mark(at: f64) -> Mark {
        Mark { at, label: at.to_string() }
    }

    #[test]
    fn jumps_are_drawn_to_scale_and_told() {
        let scene = draw(&[mark(5.0), mark(-2.0), mark(1.0)], &["-7".into(), "+3".into()]);
        assert_eq!(scene.describes, "Jumps on a number line: -7, +3; stops at 5, -2, 1.");
        let arcs = scene.shapes.iter().filter(|s| matches!(s, Shape::Curve { .. })).count();
        assert_eq!((arcs, scene.labels.len()), (2, 5));
        assert!(scene.labels[0].x > scene.labels[2].x && scene.labels[2].x > scene.labels[1].x);
    }

    #[test]
    fn no_way_at_all_is_drawn_still() {
        assert_eq!(draw(&[], &[]).labels.len(), 0);
        assert_eq!(draw(&[mark(2.0), mark(2.0)], &["0".into()]).labels.len(), 3);
    }
}
