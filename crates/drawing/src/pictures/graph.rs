//! Curves in a coordinate grid. The first is a full line, the second dashed: told apart without colour.

use super::axis::{number, ticks};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::{Curve, Place};

const PER_LETTER: f64 = 8.5;
const WIDTH: f64 = 420.0;
const HEIGHT: f64 = 300.0;
const MARGIN: f64 = 18.0;
/// Room above the grid for the names of the curves, a row each.
const NAMES: f64 = 24.0;

/// Lays the grid out from `x[0]` to `x[1]` across and from `y[0]` to `y[1]` upwards.
pub fn draw(letter: &str, x: [f64; 2], y: [f64; 2], curves: &[Curve], points: &[Place]) -> Scene {
    let top = MARGIN + NAMES * curves.len() as f64;
    let grid = Grid { x: apart(x), y: apart(y), top, bottom: top + HEIGHT };
    let mut shapes = Vec::new();
    let mut labels = Vec::new();
    grid.lines(letter, &mut shapes, &mut labels);
    for (index, curve) in curves.iter().enumerate() {
        let (tone, dashed) = if index == 0 { (Tone::Ink, false) } else { (Tone::Deep, true) };
        let width = if index == 0 { 2.5 } else { 3.0 };
        for points in curve.pieces.iter().flat_map(|piece| grid.visible(piece)) {
            shapes.push(Shape::Curve { points, tone, width, dashed });
        }
        let row = MARGIN + NAMES * (index as f64 + 0.4);
        let points = vec![[MARGIN, row], [MARGIN + 34.0, row]];
        shapes.push(Shape::Curve { points, tone, width, dashed });
        labels.push(Label::math(MARGIN + 44.0, row, Anchor::Start, &curve.label));
    }
    for point in points {
        let [across, up] = grid.place(point.at);
        let inside = (grid.top..=grid.bottom).contains(&up);
        if inside {
            shapes.push(Shape::Dot {
                x: across,
                y: up,
                radius: 6.0,
                tone: Tone::Honey,
                hollow: false,
            });
            if !point.label.is_empty() {
                let label = beside([across, up], &point.label, &labels);
                labels.push(label);
            }
        }
    }
    let names: Vec<_> = curves.iter().map(|curve| curve.label.as_str()).collect();
    let marked: Vec<_> =
        points.iter().map(|p| p.label.as_str()).filter(|label| !label.is_empty()).collect();
    let word = if marked.iter().all(|label| label.starts_with('(')) { "at" } else { "where" };
    let meet = match (names.len(), points.len(), marked.is_empty()) {
        (0 | 1, ..) => String::new(),
        (_, 0, _) => " No place where they meet is marked.".into(),
        (_, 1, true) => " They meet at one place.".into(),
        (_, count, true) => format!(" They meet at {count} places."),
        _ => format!(" They meet {word} {}.", marked.join(" and ")),
    };
    let describes = if names.is_empty() {
        let places: Vec<_> =
            points.iter().map(|point| format!("({}, {})", point.at[0], point.at[1])).collect();
        format!("Points in a grid: {}.", places.join(", "))
    } else {
        format!("A graph of {}.{meet}", names.join(" and of "))
    };
    Scene { width: WIDTH, height: grid.bottom + MARGIN, shapes, labels, describes }
}

/// The two ends, in order and apart: what is stored may be neither.
fn apart([from, to]: [f64; 2]) -> [f64; 2] {
    let length = to - from;
    if length > 0.0 && length.is_finite() { [from, to] } else { [from, from + from.abs().max(1.0)] }
}

/// A label near a place, on the first side of it where it meets no other one.
fn beside([x, y]: [f64; 2], text: &str, others: &[Label]) -> Label {
    let width = text.chars().count() as f64 * PER_LETTER;
    let ends = |label: &Label| {
        let width = label.text.chars().count() as f64 * PER_LETTER;
        match label.anchor {
            Anchor::Start => (label.x, label.x + width),
            Anchor::Middle => (label.x - width / 2.0, label.x + width / 2.0),
            Anchor::End => (label.x - width, label.x),
        }
    };
    let is_free = |label: &Label| {
        let (from, to) = ends(label);
        let meets = |other: &Label| {
            let (left, right) = ends(other);
            (other.y - label.y).abs() < 15.0 && left < to && from < right
        };
        from > 0.0 && to < WIDTH && !others.iter().any(meets)
    };
    let right_first = x + width + 12.0 < WIDTH;
    let sides = if right_first { [1.0, -1.0] } else { [-1.0, 1.0] };
    let at = |side: f64, up: f64| {
        let anchor = if side > 0.0 { Anchor::Start } else { Anchor::End };
        Label::math(side.mul_add(11.0, x), y + up, anchor, text)
    };
    let places = [-14.0, 16.0, -32.0, 34.0];
    let all = places.iter().flat_map(|&up| sides.map(|side| at(side, up)));
    all.into_iter().find(is_free).unwrap_or_else(|| at(sides[0], -14.0))
}

struct Grid {
    x: [f64; 2],
    y: [f64; 2],
    top: f64,
    bottom: f64,
}

impl Grid {
    fn place(&self, [x, y]: [f64; 2]) -> [f64; 2] {
        let across = (x - self.x[0]) / (self.x[1] - self.x[0]);
        let up = (y - self.y[0]) / (self.y[1] - self.y[0]);
        [MARGIN + across * (WIDTH - 2.0 * MARGIN), self.bottom - up * (self.bottom - self.top)]
    }

    fn lines(&self, letter: &str, shapes: &mut Vec<Shape>, labels: &mut Vec<Label>) {
        let (left, right) = (MARGIN, WIDTH - MARGIN);
        let zero = self.place([0.0, 0.0]);
        let axis_x = zero[0].clamp(left, right);
        let axis_y = zero[1].clamp(self.top, self.bottom);
        let line = |x1, y1, x2, y2, tone, width| Shape::Line { x1, y1, x2, y2, tone, width };
        let (across, places_x) = ticks(self.x[0], self.x[1], 11.0);
        let (up, places_y) = ticks(self.y[0], self.y[1], 7.0);
        for tick in &across {
            let [x, _] = self.place([*tick, 0.0]);
            shapes.push(line(x, self.top, x, self.bottom, Tone::Faint, 0.6));
        }
        for tick in &up {
            let [_, y] = self.place([0.0, *tick]);
            shapes.push(line(left, y, right, y, Tone::Faint, 0.6));
        }
        shapes.push(line(left, axis_y, right, axis_y, Tone::Ink, 1.5));
        shapes.push(line(axis_x, self.top, axis_x, self.bottom, Tone::Ink, 1.5));
        // A number stands below the horizontal axis, unless that lies at the lower edge.
        let below = if axis_y > self.bottom - 16.0 { -11.0 } else { 12.0 };
        for tick in across.iter().filter(|tick| tick.abs() > 1e-9) {
            let [x, _] = self.place([*tick, 0.0]);
            let text = number(*tick, places_x);
            let half = text.chars().count() as f64 * PER_LETTER / 2.0;
            // The letter stands at the right end.
            if x + half < right - letter.chars().count() as f64 * PER_LETTER {
                labels.push(Label::math(x, axis_y + below, Anchor::Middle, &text));
            }
        }
        let beside = axis_x < left + 40.0;
        for tick in up.iter().filter(|tick| tick.abs() > 1e-9) {
            let [_, y] = self.place([0.0, *tick]);
            let (shift, anchor) = if beside { (6.0, Anchor::Start) } else { (-6.0, Anchor::End) };
            labels.push(Label::math(axis_x + shift, y, anchor, &number(*tick, places_y)));
        }
        labels.push(Label::math(right, axis_y + below, Anchor::End, letter));
    }

    /// The parts of a piece that lie inside the grid, cut at its upper and lower edge.
    fn visible(&self, piece: &[[f64; 2]]) -> Vec<Vec<[f64; 2]>> {
        let inside = |point: &[f64; 2]| (self.y[0]..=self.y[1]).contains(&point[1]);
        let cut = |inner: &[f64; 2], outer: &[f64; 2]| {
            let edge = if outer[1] > self.y[1] { self.y[1] } else { self.y[0] };
            let part = (edge - inner[1]) / (outer[1] - inner[1]);
            self.place([inner[0] + part * (outer[0] - inner[0]), edge])
        };
        let (mut found, mut open) = (Vec::new(), Vec::new());
        for (at, point) in piece.iter().enumerate() {
            let before = at.checked_sub(1).map(|before| &piece[before]);
            match (inside(point), before) {
                (true, Some(before)) if !inside(before) => {
                    open = vec![cut(point, before), self.place(*point)];
                }
                (true, _) => open.push(self.place(*point)),
                (false, Some(before)) if inside(before) => {
                    open.push(cut(before, point));
                    found.push(std::mem::take(&mut open));
                }
                // Through the whole height between two points.
                (false, Some(before)) if (before[1] > self.y[1]) != (point[1] > self.y[1]) => {
                    found.push(vec![cut(point, before), cut(before, point)]);
                }
                (false, _) => {}
            }
        }
        found.push(open);
        found.retain(|part| part.len() > 1);
        found
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn curves_are_cut_at_the_edges() {
        let steep = Curve { label: "x".into(), pieces: vec![vec![[0.0, -10.0], [10.0, 10.0]]] };
        let scene = draw("x", [0.0, 10.0], [-5.0, 5.0], &[steep], &[]);
        let curve = scene.shapes.iter().find_map(|shape| match shape {
            Shape::Curve { points, .. } if points[0][1] > 60.0 => Some(points.clone()),
            _ => None,
        });
        let points = curve.expect("a curve");
        let middle = (points[0][0] + points[1][0]) / 2.0;
        assert_eq!(middle, WIDTH / 2.0);
        assert!(points.iter().all(|p| p[1] <= scene.height - MARGIN + 0.01));
    }

    #[test]
    fn it_says_where_the_curves_meet() {
        let line = |label: &str| Curve { label: label.into(), pieces: Vec::new() };
        let points = [Place { at: [5.0, 25.0], label: "x = 5".into() }];
        let scene = draw("x", [0.0, 8.0], [0.0, 30.0], &[line("x^2"), line("5x")], &points);
        assert_eq!(scene.describes, "A graph of x^2 and of 5x. They meet where x = 5.");
    }
}
