//! The digits of a number on a strip: those kept on honey, the deciding one framed twice, the others bare.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::{Digit, DigitKind};

const CELL: f64 = 40.0;
const HEIGHT: f64 = 48.0;

/// Lays the strip out.
pub fn draw(digits: &[Digit]) -> Scene {
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for (at, digit) in digits.iter().enumerate() {
        let x = (at as f64).mul_add(CELL, 2.0);
        let fill = match digit.kind {
            DigitKind::Kept => Some(Tone::Honey),
            DigitKind::Deciding => Some(Tone::Ground),
            DigitKind::Dropped | DigitKind::Place => None,
        };
        shapes.push(Shape::Box { x, y: 2.0, width: CELL, height: HEIGHT, fill });
        if digit.kind == DigitKind::Deciding {
            let (x, width, height) = (x + 4.0, CELL - 8.0, HEIGHT - 8.0);
            shapes.push(Shape::Box { x, y: 6.0, width, height, fill: None });
        }
        labels.push(Label::words(x + CELL / 2.0, 2.0 + HEIGHT / 2.0, Anchor::Middle, &digit.text));
    }
    let all = |kind: DigitKind| {
        digits
            .iter()
            .filter(|digit| digit.kind == kind)
            .map(|digit| digit.text.as_str())
            .collect::<Vec<_>>()
            .join(" ")
    };
    let number: String = digits.iter().map(|digit| digit.text.as_str()).collect();
    let describes = format!(
        "The digits of {number}. Kept: {}. Deciding: {}.",
        all(DigitKind::Kept),
        all(DigitKind::Deciding)
    );
    let width = (digits.len() as f64).mul_add(CELL, 4.0);
    Scene { width, height: HEIGHT + 4.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_each_digit_does_can_be_seen_without_colour() {
        let digit = |text: &str, kind| Digit { text: text.into(), kind };
        let scene = draw(&[
            digit("0", DigitKind::Place),
            digit("4", DigitKind::Kept),
            digit("8", DigitKind::Kept),
            digit("6", DigitKind::Deciding),
        ]);
        assert_eq!(scene.shapes.len(), 5);
        assert_eq!(scene.describes, "The digits of 0486. Kept: 4 8. Deciding: 6.");
    }
}
