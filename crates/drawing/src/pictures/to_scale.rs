//! Things below each other, their lengths drawn to one scale.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Mark;

const WIDTH: f64 = 360.0;
const BAR: f64 = 22.0;
const STEP: f64 = 34.0;
const PER_LETTER: f64 = 9.0;

/// Lays the things out, each with its name and its length.
pub fn draw(things: &[Mark], unit: &str) -> Scene {
    let longest =
        things.iter().map(|thing| thing.at).filter(|at| at.is_finite()).fold(0.0, f64::max);
    let room = things.iter().map(|thing| thing.label.chars().count()).max().unwrap_or(0) as f64;
    let left = room.mul_add(PER_LETTER, 14.0);
    let (mut shapes, mut labels, mut told) = (Vec::new(), Vec::new(), Vec::new());
    let mut right: f64 = 0.0;
    for (at, thing) in things.iter().enumerate() {
        let y = (at as f64).mul_add(STEP, 2.0);
        let part = if longest > 0.0 { (thing.at / longest).clamp(0.0, 1.0) } else { 0.0 };
        // What is too short to be seen is a stroke.
        let width = (part * WIDTH).max(2.0);
        let fill = Some(Tone::Honey);
        shapes.push(Shape::Box { x: left, y, width, height: BAR, fill });
        labels.push(Label::words(left - 10.0, y + BAR / 2.0, Anchor::End, &thing.label));
        let text = format!("{} {unit}", thing.at);
        let x = left + width + 8.0;
        right = right.max((text.chars().count() as f64).mul_add(PER_LETTER, x));
        labels.push(Label::words(x, y + BAR / 2.0, Anchor::Start, &text));
        told.push(format!("{}, {text}", thing.label));
    }
    Scene {
        width: right.max(left + WIDTH) + 4.0,
        height: things.len().max(1) as f64 * STEP,
        shapes,
        labels,
        describes: format!("To one scale: {}.", told.join("; ")),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn twice_as_long_is_drawn_twice_as_long() {
        let thing = |at: f64, label: &str| Mark { at, label: label.into() };
        let scene = draw(&[thing(2.0, "a bed"), thing(4.0, "a fence")], "m");
        let wide: Vec<f64> = scene
            .shapes
            .iter()
            .filter_map(|s| match s {
                Shape::Box { width, .. } => Some(*width),
                _ => None,
            })
            .collect();
        assert!((wide[1] - 2.0 * wide[0]).abs() < 1e-9);
        assert_eq!(scene.describes, "To one scale: a bed, 2 m; a fence, 4 m.");
    }
}
