//! A shape with straight sides, drawn to scale: sides labelled outside, right angles and angles marked inside.

use super::place::{Point, arc, at_degrees, beside, between, direction, line, plus};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::{Polygon, Segment};

/// The shape itself is at most this large.
const WIDEST: f64 = 300.0;
const HIGHEST: f64 = 200.0;
const PER_LETTER: f64 = 8.5;
/// Space around it when no label stands there.
const AROUND: f64 = 30.0;
/// Side of the mark in a right angle.
const MARK: f64 = 13.0;
/// Radius of the arc in an angle.
const ARC: f64 = 26.0;

/// Lays the shape out.
pub fn draw(shape: &Polygon) -> Scene {
    let frame = Frame::around(shape);
    let mut scene = Scene {
        width: frame.width,
        height: frame.height,
        shapes: Vec::new(),
        labels: Vec::new(),
        describes: describe(shape),
    };
    for segment in &shape.lines {
        let (from, to) = (frame.place(segment.from), frame.place(segment.to));
        scene.shapes.push(drawn(segment, from, to));
        if !segment.label.is_empty() {
            let [x, y] = direction(from, to);
            // On the right of the way, where it goes up or across.
            let away = if y > 0.0 || (y == 0.0 && x < 0.0) { [y, -x] } else { [-y, x] };
            scene.labels.push(beside(between(from, to), away, &segment.label));
        }
    }
    for turn in &shape.turns {
        let points = arc(frame.place(turn.at), turn.radius * frame.scale, turn.degrees);
        scene.shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
    }
    for mark in &shape.marks {
        let [x, y] = frame.place(mark.at);
        scene.labels.push(Label::words(x, y, Anchor::Middle, &mark.label));
    }
    let corners: Vec<Point> = shape.corners.iter().map(|&corner| frame.place(corner)).collect();
    if corners.len() > 1 {
        let outline = corners.iter().chain(corners.first()).copied().collect();
        scene.shapes.push(Shape::Curve {
            points: outline,
            tone: Tone::Ink,
            width: 2.5,
            dashed: false,
        });
        Around { corners: &corners, turns: turns(&corners) }.label(shape, &mut scene);
    }
    scene
}

fn drawn(segment: &Segment, from: Point, to: Point) -> Shape {
    if segment.helps {
        Shape::Curve { points: vec![from, to], tone: Tone::Deep, width: 2.0, dashed: true }
    } else {
        line(from, to, Tone::Ink, 2.0)
    }
}

/// Which way round the corners go in the scene: 1 with the clock, -1 against it.
fn turns(corners: &[Point]) -> f64 {
    let next = |index: usize| corners[(index + 1) % corners.len()];
    let area: f64 = corners
        .iter()
        .enumerate()
        .map(|(index, a)| a[0].mul_add(next(index)[1], -(next(index)[0] * a[1])))
        .sum();
    if area < 0.0 { -1.0 } else { 1.0 }
}

/// The corners in the scene, and which way round they go.
struct Around<'a> {
    corners: &'a [Point],
    turns: f64,
}

impl Around<'_> {
    fn at(&self, index: usize) -> Point {
        self.corners[index % self.corners.len()]
    }

    /// Out of the shape, at a right angle to a side.
    fn outside(&self, index: usize) -> Point {
        let [x, y] = direction(self.at(index), self.at(index + 1));
        [y * self.turns, -x * self.turns]
    }

    /// The directions from a corner along both of its sides.
    fn sides_of(&self, corner: usize) -> [Point; 2] {
        let at = self.at(corner);
        let before = self.at(corner + self.corners.len() - 1);
        [direction(at, before), direction(at, self.at(corner + 1))]
    }

    /// Whether the shape is bent inwards in that corner.
    fn is_bent_in(&self, corner: usize) -> bool {
        let [to_before, to_next] = self.sides_of(corner);
        let cross = to_next[0].mul_add(to_before[1], -(to_next[1] * to_before[0]));
        cross * self.turns < 0.0
    }

    fn label(&self, shape: &Polygon, scene: &mut Scene) {
        let count = self.corners.len();
        for (index, text) in shape.sides.iter().enumerate().take(count) {
            if text.is_empty() {
                continue;
            }
            let mut away = self.outside(index);
            // In a notch there is more room inside.
            if self.is_bent_in(index) || self.is_bent_in((index + 1) % count) {
                away = [-away[0], -away[1]];
            }
            scene.labels.push(beside(between(self.at(index), self.at(index + 1)), away, text));
        }
        for &corner in shape.right.iter().filter(|&&corner| corner < count) {
            let (at, [a, b]) = (self.at(corner), self.sides_of(corner));
            let (one, other) = (plus(at, a, MARK), plus(at, b, MARK));
            let points = vec![one, plus(one, b, MARK), other];
            scene.shapes.push(Shape::Curve { points, tone: Tone::Ink, width: 1.5, dashed: false });
        }
        for (corner, text) in shape.angles.iter().enumerate().take(count) {
            if !text.is_empty() {
                self.mark_angle(corner, text, scene);
            }
        }
    }

    fn mark_angle(&self, corner: usize, text: &str, scene: &mut Scene) {
        let (at, [a, b]) = (self.at(corner), self.sides_of(corner));
        let degrees = |d: Point| (-d[1]).atan2(d[0]).to_degrees();
        let from = degrees(b);
        let mut sweep = degrees(a) - from;
        while sweep <= -180.0 {
            sweep += 360.0;
        }
        while sweep > 180.0 {
            sweep -= 360.0;
        }
        let points = arc(at, ARC, [from, from + sweep]);
        scene.shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
        let half = (sweep.abs() / 2.0).to_radians().sin().max(0.1);
        // A narrow angle has room for its label only further in.
        let reach = (12.0 / half + 16.0).clamp(ARC + 20.0, 96.0);
        let place = plus(at, at_degrees(from + sweep / 2.0), reach);
        scene.labels.push(Label::math(place[0], place[1], Anchor::Middle, text));
    }
}

/// How the shape's own measure becomes the scene's.
struct Frame {
    scale: f64,
    left: f64,
    lowest: f64,
    top: f64,
    side: f64,
    width: f64,
    height: f64,
}

impl Frame {
    fn around(shape: &Polygon) -> Self {
        let ends = shape.lines.iter().flat_map(|line| [line.from, line.to]);
        let marks = shape.marks.iter().map(|mark| mark.at);
        // Down counts in a scene and up in a shape.
        let arcs = shape.turns.iter().flat_map(|turn| {
            let at = turn.at;
            let points = arc([at[0], -at[1]], turn.radius, turn.degrees).into_iter();
            points.map(|[x, y]| [x, -y])
        });
        let corners = shape.corners.iter().copied();
        let all: Vec<Point> = corners.chain(ends).chain(marks).chain(arcs).collect();
        let reach = |axis: usize| {
            let values = || all.iter().map(|place| place[axis]).filter(|value| value.is_finite());
            let low = values().fold(f64::INFINITY, f64::min);
            let high = values().fold(f64::NEG_INFINITY, f64::max);
            if low <= high { (low, high) } else { (0.0, 1.0) }
        };
        let ((left, right), (lowest, highest)) = (reach(0), reach(1));
        let (across, up) = ((right - left).max(1e-9), (highest - lowest).max(1e-9));
        let scale = (WIDEST / across).min(HIGHEST / up);
        let texts = shape.sides.iter().chain(shape.lines.iter().map(|line| &line.label));
        let longest = texts.map(|text| text.chars().count()).max().unwrap_or(0);
        let side = (longest as f64).mul_add(PER_LETTER, AROUND);
        let top = AROUND;
        Self {
            scale,
            left,
            lowest,
            top,
            side,
            width: across.mul_add(scale, 2.0 * side),
            height: up.mul_add(scale, 2.0 * top),
        }
    }

    fn place(&self, [x, y]: Point) -> Point {
        let up = (y - self.lowest) * self.scale;
        [(x - self.left).mul_add(self.scale, self.side), self.height - self.top - up]
    }
}

fn describe(shape: &Polygon) -> String {
    let name = match shape.corners.len() {
        0 => "A drawing of lines",
        3 => "A triangle",
        4 => "A shape with four sides",
        6 => "A shape with six sides",
        _ => "A shape with straight sides",
    };
    let mut parts = vec![name.to_owned()];
    let mut add = |what: &str, mut texts: Vec<&str>| {
        texts.retain(|text| !text.is_empty());
        if !texts.is_empty() {
            parts.push(format!("{what}: {}", texts.join(", ")));
        }
    };
    add("Sides", shape.sides.iter().map(String::as_str).collect());
    add("Angles", shape.angles.iter().map(String::as_str).collect());
    add("Lines", shape.lines.iter().map(|line| line.label.as_str()).collect());
    add("Marked", shape.marks.iter().map(|mark| mark.label.as_str()).collect());
    if !shape.right.is_empty() {
        parts.push("With a right angle".into());
    }
    format!("{}.", parts.join(". "))
}

#[cfg(test)]
mod tests {
    use super::*;

    fn triangle() -> Polygon {
        let sides = ["4 cm", "3 cm", "x"].map(str::to_owned);
        Polygon::around(&[(0, 0), (4, 0), (4, 3)], &sides).right_at(1).angle(0, "A")
    }

    #[test]
    fn sides_are_labelled_outside_and_angles_inside() {
        let scene = draw(&triangle());
        let label = |text: &str| {
            scene.labels.iter().find(|label| label.text == text).expect("it stands there")
        };
        // The base lies at the bottom, the second side at the right.
        assert!(label("4 cm").y > label("A").y);
        assert!(label("3 cm").x > label("4 cm").x);
        assert_eq!(label("3 cm").anchor, Anchor::Start);
        assert!(label("A").x < label("3 cm").x && label("A").x > label("x").x - 200.0);
    }

    #[test]
    fn it_is_drawn_to_scale_and_told_in_words() {
        let scene = draw(&triangle());
        let Some(Shape::Curve { points, .. }) = scene.shapes.first() else { panic!("an outline") };
        let (base, height) = (points[1][0] - points[0][0], points[1][1] - points[2][1]);
        assert!((base / height - 4.0 / 3.0).abs() < 1e-9);
        assert_eq!(
            scene.describes,
            "A triangle. Sides: 4 cm, 3 cm, x. Angles: A. With a right angle."
        );
    }

    #[test]
    fn nothing_and_odd_numbers_are_still_drawn() {
        assert!(draw(&Polygon::default()).width > 0.0);
        let odd = Polygon { corners: vec![[f64::NAN, 0.0], [1.0, 1.0]], ..Polygon::default() };
        assert!(draw(&odd).width.is_finite());
    }
}
