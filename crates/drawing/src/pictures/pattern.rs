//! The first figures of a growing pattern: cells in a row, squares in a row, or dots.

use super::place::{at_degrees, line, plus};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::PatternKind;

/// The length of a stick.
const STICK: f64 = 20.0;
const DOT: f64 = 7.0;
const STEP: f64 = 19.0;
/// Dots of a figure stand in columns of so many.
const HIGH: u32 = 5;
const APART: f64 = 30.0;
/// Most figures, and most dots of one, that are drawn.
const MOST: u32 = 400;

/// Lays the figures out side by side, each with its count below.
pub fn draw(kind: PatternKind, counts: &[u32]) -> Scene {
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let height = match kind {
        PatternKind::Cells => 2.0 * STICK + 4.0,
        PatternKind::Squares => STICK + 8.0,
        PatternKind::Dots => f64::from(HIGH) * STEP,
    };
    let mut left = 2.0;
    for (at, &count) in (1..MOST).zip(counts) {
        let wide = match kind {
            PatternKind::Cells => cells(at, left, &mut shapes),
            PatternKind::Squares => squares(at, left, &mut shapes),
            PatternKind::Dots => dots(count.min(MOST), left, &mut shapes),
        };
        let text = count.to_string();
        let room = wide.max(text.len() as f64 * 10.0);
        labels.push(Label::words(left + wide / 2.0, height + 16.0, Anchor::Middle, &text));
        left += room + APART;
    }
    let told: Vec<String> = counts.iter().map(u32::to_string).collect();
    let built = match kind {
        PatternKind::Cells => "Cells in a row, laid out with sticks",
        PatternKind::Squares => "Squares in a row, laid out with sticks",
        PatternKind::Dots => "Patterns of dots",
    };
    Scene {
        width: (left - APART).max(1.0) + 10.0,
        height: height + 30.0,
        shapes,
        labels,
        describes: format!("{built}, one figure after the other: {}.", told.join(", ")),
    }
}

/// So many six-sided cells that share their sides; how wide they are.
fn cells(count: u32, left: f64, shapes: &mut Vec<Shape>) -> f64 {
    let across = STICK * 3f64.sqrt();
    for cell in 0..count {
        let centre = [(f64::from(cell) + 0.5).mul_add(across, left), STICK + 2.0];
        let corner = |n: i32| plus(centre, at_degrees(f64::from(n).mul_add(60.0, 30.0)), STICK);
        shapes.push(Shape::Area { points: (0..6).map(corner).collect(), fill: Tone::Honey });
    }
    f64::from(count) * across
}

/// So many squares that share their sides; how wide they are.
fn squares(count: u32, left: f64, shapes: &mut Vec<Shape>) -> f64 {
    for square in 0..count {
        let x = f64::from(square).mul_add(STICK, left);
        let fill = Some(Tone::Honey);
        shapes.push(Shape::Box { x, y: 4.0, width: STICK, height: STICK, fill });
        // The sticks' ends stand out.
        shapes.push(line([x, 2.0], [x, STICK + 6.0], Tone::Ink, 1.5));
    }
    f64::from(count) * STICK
}

/// So many dots in columns; how wide they are.
fn dots(count: u32, left: f64, shapes: &mut Vec<Shape>) -> f64 {
    for dot in 0..count {
        shapes.push(Shape::Dot {
            x: f64::from(dot / HIGH).mul_add(STEP, left + DOT),
            y: f64::from(dot % HIGH).mul_add(STEP, DOT + 1.0),
            radius: DOT,
            tone: Tone::Honey,
            hollow: false,
        });
    }
    f64::from(count.div_ceil(HIGH).max(1)).mul_add(STEP, 2.0 * DOT - STEP)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_figure_has_one_more_cell_or_its_dots() {
        let areas =
            |scene: &Scene| scene.shapes.iter().filter(|s| matches!(s, Shape::Area { .. })).count();
        let scene = draw(PatternKind::Cells, &[6, 11, 16]);
        assert_eq!((areas(&scene), scene.labels.len()), (1 + 2 + 3, 3));
        assert_eq!(
            scene.describes,
            "Cells in a row, laid out with sticks, one figure after the other: 6, 11, 16."
        );
        assert_eq!(draw(PatternKind::Dots, &[3, 7]).shapes.len(), 10);
        assert_eq!(draw(PatternKind::Squares, &[4, 7]).shapes.len(), 6);
    }
}
