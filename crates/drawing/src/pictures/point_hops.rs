//! Digits in boxes, and the point hopping over them from place to place.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const CELL: f64 = 34.0;
const SIDE: f64 = 12.0;
/// Height of the digits.
const TOP: f64 = 12.0;
/// Most digits that are laid out.
const MOST: usize = 40;

/// Lays the digits out; an arc below for each hop, and the new point on honey.
pub fn draw(digits: &[String], from: u32, to: u32) -> Scene {
    let digits = &digits[..digits.len().min(MOST)];
    let most = digits.len() as u32;
    let (from, to) = (from.min(most), to.min(most));
    let edge = |at: u32| f64::from(at).mul_add(CELL, SIDE);
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for (at, digit) in digits.iter().enumerate() {
        let x = edge(at as u32);
        shapes.push(Shape::Box { x, y: TOP, width: CELL, height: CELL, fill: Some(Tone::Ground) });
        labels.push(Label::words(x + CELL / 2.0, TOP + CELL / 2.0, Anchor::Middle, digit));
    }
    let base = TOP + CELL;
    let (low, high) = (from.min(to), from.max(to));
    for at in low..high {
        let arc = |n: u32| {
            let part = f64::from(n) / 12.0;
            [part.mul_add(CELL, edge(at)), (4.0 * 20.0 * part).mul_add(1.0 - part, base + 6.0)]
        };
        let points = (0..=12).map(arc).collect();
        shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 2.0, dashed: false });
        // Counted in the order of the way.
        let count = if to >= from { at - low + 1 } else { high - at };
        labels.push(Label::words(
            edge(at) + CELL / 2.0,
            base + 40.0,
            Anchor::Middle,
            &count.to_string(),
        ));
    }
    let dot = |at: u32, tone, hollow| Shape::Dot {
        x: edge(at),
        y: base - 2.0,
        radius: 5.0,
        tone,
        hollow,
    };
    if from != to {
        shapes.push(dot(from, Tone::Faint, true));
    }
    shapes.push(dot(to, Tone::Honey, false));
    let with_point = |at: u32| {
        let (before, after) = digits.split_at(at as usize);
        format!("{}.{}", before.concat(), after.concat())
    };
    let hops = high - low;
    let way = if to >= from { "right" } else { "left" };
    let describes = match hops {
        0 => format!("The digits {} with the point behind {to} of them.", digits.concat()),
        _ => format!(
            "The digits {}: the point hops {hops} {} to the {way}, from {} to {}.",
            digits.concat(),
            if hops == 1 { "place" } else { "places" },
            with_point(from),
            with_point(to)
        ),
    };
    Scene { width: edge(most) + SIDE, height: base + 54.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_hop_for_each_place() {
        let digits = ["4", "5", "0", "0"].map(String::from);
        let scene = draw(&digits, 4, 1);
        assert_eq!(
            scene.describes,
            "The digits 4500: the point hops 3 places to the left, from 4500. to 4.500."
        );
        let hops = scene.shapes.iter().filter(|s| matches!(s, Shape::Curve { .. })).count();
        assert_eq!((hops, scene.labels.len()), (3, 7));
        assert_eq!(draw(&[], 3, 9).labels.len(), 0);
    }
}
