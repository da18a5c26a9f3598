//! Fraction circles: each cut into equal parts, some of them shaded.

use super::place::{arc, at_degrees, line, plus};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Strip;

const RADIUS: f64 = 46.0;
const STEP: f64 = 112.0;
const ROW: usize = 5;
const HIGH: f64 = 128.0;
/// More parts than this are not told apart.
const MOST: u32 = 120;

/// Lays the circles out, five in a row, shaded from the top and with the clock.
pub fn draw(circles: &[Strip]) -> Scene {
    let (mut shapes, mut labels, mut told) = (Vec::new(), Vec::new(), Vec::new());
    for (at, circle) in circles.iter().enumerate() {
        let centre = [
            ((at % ROW) as f64).mul_add(STEP, STEP / 2.0),
            ((at / ROW) as f64).mul_add(HIGH, RADIUS + 2.0),
        ];
        let parts = circle.parts.clamp(1, MOST);
        let turn = |n: u32| f64::from(n).mul_add(-360.0 / f64::from(parts), 90.0);
        shapes.push(Shape::Dot {
            x: centre[0],
            y: centre[1],
            radius: RADIUS,
            tone: Tone::Ground,
            hollow: false,
        });
        for n in 0..circle.shaded.min(parts) {
            let mut points = arc(centre, RADIUS, [turn(n), turn(n + 1)]);
            points.push(centre);
            shapes.push(Shape::Area { points, fill: Tone::Honey });
        }
        for n in (0..parts).filter(|_| parts > 1) {
            shapes.push(line(centre, plus(centre, at_degrees(turn(n)), RADIUS), Tone::Ink, 1.2));
        }
        labels.push(Label::math(
            centre[0],
            centre[1] + RADIUS + 18.0,
            Anchor::Middle,
            &circle.label,
        ));
        told.push(format!("{} of {parts} parts shaded, {}", circle.shaded, circle.label));
    }
    Scene {
        width: circles.len().clamp(1, ROW) as f64 * STEP,
        height: (circles.len().div_ceil(ROW).max(1) as f64).mul_add(HIGH, 2.0),
        shapes,
        labels,
        describes: format!("Circles: {}.", told.join("; ")),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_shaded_part_is_a_sector() {
        let circle = |parts, shaded, label: &str| Strip { parts, shaded, label: label.into() };
        let scene = draw(&[circle(4, 3, "3/4"), circle(1, 1, "1")]);
        let sectors = scene.shapes.iter().filter(|s| matches!(s, Shape::Area { .. })).count();
        assert_eq!(sectors, 4);
        assert_eq!(scene.describes, "Circles: 3 of 4 parts shaded, 3/4; 1 of 1 parts shaded, 1.");
    }
}
