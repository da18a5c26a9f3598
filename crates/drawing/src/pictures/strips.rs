//! Fraction strips: one length, cut into equal parts.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Strip;

const WIDTH: f64 = 420.0;
const HEIGHT: f64 = 34.0;
const STEP: f64 = 52.0;
/// Room for the labels on the right.
const LABEL: f64 = 86.0;
/// More parts than this are not told apart.
const MOST: u32 = 200;

/// Lays the strips out below each other.
pub fn draw(strips: &[Strip]) -> Scene {
    let (mut shapes, mut labels, mut told) = (Vec::new(), Vec::new(), Vec::new());
    for (index, strip) in strips.iter().enumerate() {
        let y = (index as f64).mul_add(STEP, 2.0);
        let parts = strip.parts.clamp(1, MOST);
        let width = WIDTH / f64::from(parts);
        for at in 0..parts {
            let fill = if at < strip.shaded { Tone::Honey } else { Tone::Ground };
            let x = f64::from(at).mul_add(width, 1.0);
            shapes.push(Shape::Box { x, y, width, height: HEIGHT, fill: Some(fill) });
        }
        labels.push(Label::math(WIDTH + 16.0, y + HEIGHT / 2.0, Anchor::Start, &strip.label));
        told.push(format!("{} of {parts} parts shaded, {}", strip.shaded, strip.label));
    }
    Scene {
        width: WIDTH + LABEL,
        height: (strips.len() as f64).mul_add(STEP, 2.0),
        shapes,
        labels,
        describes: format!("Strips of one length: {}.", told.join("; ")),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_strip_is_cut_into_equal_parts() {
        let strip = |parts, shaded, label: &str| Strip { parts, shaded, label: label.into() };
        let scene = draw(&[strip(4, 3, "3/4"), strip(8, 6, "6/8")]);
        assert_eq!(scene.shapes.len(), 12);
        assert_eq!(
            scene.describes,
            "Strips of one length: 3 of 4 parts shaded, 3/4; 6 of 8 parts shaded, 6/8."
        );
        assert_eq!(draw(&[strip(0, 0, "")]).shapes.len(), 1);
    }
}
