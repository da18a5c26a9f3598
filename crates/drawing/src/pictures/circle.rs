//! A circle with its radius, its diameter, an arc and the angles over it.

use super::place::{Point, arc, at_degrees, beside, between, line, plus};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Circle;

const RADIUS: f64 = 92.0;
const CENTRE: Point = [170.0, 130.0];
const WIDTH: f64 = 340.0;
const HEIGHT: f64 = 260.0;

/// Lays the circle out.
pub fn draw(circle: &Circle) -> Scene {
    let mut scene = Scene {
        width: WIDTH,
        height: HEIGHT,
        shapes: vec![round(RADIUS, Tone::Ink)],
        labels: Vec::new(),
        describes: describe(circle),
    };
    if let Some(inner) = circle.inner {
        let inner = inner.clamp(0.1, 0.95) * RADIUS;
        scene.shapes.push(round(inner, Tone::Ink));
        let end = plus(CENTRE, at_degrees(180.0), inner);
        scene.shapes.push(line(CENTRE, end, Tone::Ink, 2.0));
        scene.labels.push(beside(between(CENTRE, end), [0.0, -1.0], &circle.inner_label));
    }
    if let Some(ends) = circle.arc {
        over_arc(circle, ends, &mut scene);
    }
    if !circle.radius.is_empty() {
        let end = plus(CENTRE, at_degrees(0.0), RADIUS);
        scene.shapes.push(line(CENTRE, end, Tone::Ink, 2.0));
        scene.labels.push(beside(between(CENTRE, end), [0.0, 1.0], &circle.radius));
    }
    if !circle.diameter.is_empty() {
        let ends = [180.0, 0.0].map(|at| plus(CENTRE, at_degrees(at), RADIUS));
        scene.shapes.push(line(ends[0], ends[1], Tone::Ink, 2.0));
        scene.labels.push(beside(CENTRE, [0.0, -1.0], &circle.diameter));
    }
    scene.shapes.push(Shape::Dot {
        x: CENTRE[0],
        y: CENTRE[1],
        radius: 4.0,
        tone: Tone::Ink,
        hollow: false,
    });
    scene
}

fn round(radius: f64, tone: Tone) -> Shape {
    Shape::Curve { points: arc(CENTRE, radius, [0.0, 360.0]), tone, width: 2.5, dashed: false }
}

/// The arc, and the angles that stand on it.
fn over_arc(circle: &Circle, ends: [f64; 2], scene: &mut Scene) {
    let thick = arc(CENTRE, RADIUS, ends);
    scene.shapes.push(Shape::Curve { points: thick, tone: Tone::Deep, width: 6.0, dashed: false });
    let middle = ends[0].midpoint(ends[1]);
    let reach = ends.map(|end| plus(CENTRE, at_degrees(end), RADIUS));
    if !circle.arc_label.is_empty() {
        let away = at_degrees(middle);
        scene.labels.push(beside(plus(CENTRE, away, RADIUS + 4.0), away, &circle.arc_label));
    }
    if !circle.central.is_empty() {
        scene.shapes.extend(reach.map(|end| line(CENTRE, end, Tone::Ink, 2.0)));
        let points = arc(CENTRE, 22.0, ends);
        scene.shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
        scene.labels.push(inside(CENTRE, middle, (ends[1] - ends[0]) / 2.0, &circle.central));
    }
    if let Some(from) = circle.seen_from {
        let corner = plus(CENTRE, at_degrees(from), RADIUS);
        scene.shapes.extend(reach.map(|end| line(corner, end, Tone::Ink, 2.0)));
        // The angle on the circle is half of the arc, and it opens towards it.
        let towards = |end: Point| (corner[1] - end[1]).atan2(end[0] - corner[0]).to_degrees();
        let (mut a, b) = (towards(reach[0]), towards(reach[1]));
        while a > b {
            a -= 360.0;
        }
        let points = arc(corner, 26.0, [a, b]);
        scene.shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
        scene.labels.push(inside(corner, a.midpoint(b), (b - a) / 2.0, &circle.inscribed));
    }
}

/// A label inside an angle; a narrow one has room only further in.
fn inside(corner: Point, direction: f64, half: f64, text: &str) -> Label {
    let room = half.to_radians().sin().abs().max(0.1);
    let place = plus(corner, at_degrees(direction), (14.0 / room).clamp(44.0, 74.0));
    Label::math(place[0], place[1], Anchor::Middle, text)
}

fn describe(circle: &Circle) -> String {
    let named = [
        ("radius", &circle.radius),
        ("diameter", &circle.diameter),
        ("smaller radius", &circle.inner_label),
        ("arc", &circle.arc_label),
        ("angle at the centre", &circle.central),
        ("angle on the circle", &circle.inscribed),
    ];
    let told: Vec<String> = named
        .into_iter()
        .filter(|(_, text)| !text.is_empty())
        .map(|(what, text)| format!("{what} {text}"))
        .collect();
    if told.is_empty() { "A circle.".into() } else { format!("A circle: {}.", told.join(", ")) }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_is_labelled_is_drawn_and_told() {
        let circle = Circle {
            arc: Some([220.0, 320.0]),
            arc_label: "100°".into(),
            seen_from: Some(75.0),
            inscribed: "x".into(),
            ..Circle::default()
        };
        let scene = draw(&circle);
        assert_eq!(scene.describes, "A circle: arc 100°, angle on the circle x.");
        assert_eq!(scene.labels.len(), 2);
        // The angle opens downwards, from a corner near the top.
        let label = scene.labels.iter().find(|label| label.text == "x").expect("labelled");
        assert!(label.y > CENTRE[1] - RADIUS && label.y < CENTRE[1] + RADIUS);
    }

    #[test]
    fn a_bare_circle_has_its_centre() {
        let scene = draw(&Circle::default());
        assert!(matches!(scene.shapes.last(), Some(Shape::Dot { .. })));
        assert!(scene.labels.is_empty());
    }
}
