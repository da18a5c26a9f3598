//! A ruler in centimetres with a thing that lies on it.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const CENTIMETRE: f64 = 36.0;
const MARGIN: f64 = 20.0;
const TOP: f64 = 64.0;
const DEPTH: f64 = 52.0;
/// The longest ruler that is drawn, in centimetres.
const LONGEST: u32 = 100;

/// Lays a ruler of that length out, with a thing from place to place on it.
pub fn draw(length: u32, [start, end]: [f64; 2], label: &str) -> Scene {
    let length = length.clamp(1, LONGEST);
    let place = |at: f64| at.clamp(0.0, f64::from(length)).mul_add(CENTIMETRE, MARGIN);
    let width = f64::from(length).mul_add(CENTIMETRE, 2.0 * MARGIN);
    let ground = |x, y, width, height, fill| Shape::Box { x, y, width, height, fill };
    let mut shapes = vec![
        ground(MARGIN / 2.0, TOP, width - MARGIN, DEPTH, Some(Tone::Ground)),
        ground(place(start), TOP - 26.0, place(end) - place(start), 20.0, Some(Tone::Honey)),
    ];
    let mut labels = Vec::new();
    for millimetre in 0..=length * 10 {
        let x = place(f64::from(millimetre) / 10.0);
        let (long, width) = match millimetre % 10 {
            0 => (20.0, 1.8),
            5 => (14.0, 1.4),
            _ => (7.0, 0.8),
        };
        shapes.push(Shape::Line { x1: x, y1: TOP, x2: x, y2: TOP + long, tone: Tone::Ink, width });
        if millimetre % 10 == 0 {
            let number = (millimetre / 10).to_string();
            labels.push(Label::math(x, TOP + 34.0, Anchor::Middle, &number));
        }
    }
    // The ends lie on the ruler's marks.
    for at in [start, end] {
        let x = place(at);
        shapes.push(Shape::Line {
            x1: x,
            y1: TOP - 26.0,
            x2: x,
            y2: TOP,
            tone: Tone::Deep,
            width: 2.0,
        });
    }
    let middle = place(start).midpoint(place(end));
    let half = label.chars().count() as f64 * 4.25;
    let middle = middle.clamp(half, (width - half).max(half));
    labels.push(Label::words(middle, TOP - 46.0, Anchor::Middle, label));
    let describes =
        format!("A ruler from 0 to {length} cm. On it a {label} from {start} cm to {end} cm.");
    Scene { width, height: TOP + DEPTH + 4.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_thing_lies_between_its_marks() {
        let scene = draw(10, [2.0, 7.5], "feather");
        let honey = scene.shapes.iter().find_map(|shape| match shape {
            Shape::Box { x, width, fill: Some(Tone::Honey), .. } => Some((*x, *width)),
            _ => None,
        });
        assert_eq!(honey, Some((MARGIN + 2.0 * CENTIMETRE, 5.5 * CENTIMETRE)));
        assert_eq!(
            scene.describes,
            "A ruler from 0 to 10 cm. On it a feather from 2 cm to 7.5 cm."
        );
    }

    #[test]
    fn a_ruler_of_no_length_is_drawn_too() {
        assert!(draw(0, [0.0, 0.0], "").width > 0.0);
        assert!(draw(u32::MAX, [-5.0, 1e9], "x").width < 3700.0);
    }
}
