//! Counters of two kinds in two rows; a zero pair stands in one column and is crossed out.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const STEP: f64 = 36.0;
const RADIUS: f64 = 14.0;
/// Counters of a kind in a row.
const ROW: u32 = 24;
/// From one pair of rows to the next.
const ROWS: f64 = 2.0 * STEP + 16.0;
/// More counters of a kind than this are not drawn.
const MOST: u32 = 200;

/// Lays the counters out.
pub fn draw(positive: u32, negative: u32, pairs: u32) -> Scene {
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let most = positive.max(negative).clamp(1, MOST);
    for (count, y, sign, hollow) in
        [(positive, 18.0, "+", false), (negative, 18.0 + STEP, "-", true)]
    {
        for at in 0..count.min(MOST) {
            let [x, y] =
                [f64::from(at % ROW).mul_add(STEP, 18.0), f64::from(at / ROW).mul_add(ROWS, y)];
            let tone = if hollow { Tone::Deep } else { Tone::Honey };
            shapes.push(Shape::Dot { x, y, radius: RADIUS, tone, hollow });
            labels.push(Label::words(x, y, Anchor::Middle, if sign == "-" { "−" } else { sign }));
        }
    }
    for at in 0..pairs.min(positive).min(negative).min(MOST) {
        let x = f64::from(at % ROW).mul_add(STEP, 18.0);
        let down = f64::from(at / ROW) * ROWS;
        let (x1, y1, x2, y2) = (x - 14.0, down + 18.0 + STEP + 14.0, x + 14.0, down + 4.0);
        shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Ink, width: 2.0 });
    }
    let told =
        if pairs > 0 { format!("; {pairs} zero pairs are crossed out") } else { String::new() };
    Scene {
        width: f64::from(most.min(ROW)) * STEP,
        height: f64::from((most - 1) / ROW).mul_add(ROWS, 2.0 * STEP),
        shapes,
        labels,
        describes: format!("Counters: {positive} worth 1 and {negative} worth minus 1{told}."),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_zero_pair_is_one_of_each() {
        let scene = draw(3, 5, 3);
        let count = |is: fn(&Shape) -> bool| scene.shapes.iter().filter(|shape| is(shape)).count();
        assert_eq!(count(|shape| matches!(shape, Shape::Dot { .. })), 8);
        assert_eq!(count(|shape| matches!(shape, Shape::Line { .. })), 3);
        assert!(scene.describes.ends_with("3 zero pairs are crossed out."));
        assert_eq!(draw(2, 0, 9).shapes.len(), 2);
    }
}
