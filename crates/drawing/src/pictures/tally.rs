//! Tally marks: four strokes and one across.

use super::place::line;
use crate::scene::{Scene, Tone};

const STROKE: f64 = 11.0;
const HEIGHT: f64 = 46.0;
/// From one five to the next.
const FIVE: f64 = 66.0;
/// Fives in a row.
const ROW: u32 = 6;
/// Most marks that are drawn.
const MOST: u32 = 1_000;

/// Lays the marks out, six fives in a row.
pub fn draw(count: u32) -> Scene {
    let mut shapes = Vec::new();
    for at in 0..count.min(MOST) {
        let (five, stroke) = (at / 5, at % 5);
        let left = f64::from(five % ROW).mul_add(FIVE, 8.0);
        let top = f64::from(five / ROW).mul_add(HEIGHT + 14.0, 4.0);
        shapes.push(if stroke == 4 {
            line(
                [left - 6.0, top + HEIGHT - 8.0],
                [left + 3.0 * STROKE + 6.0, top + 8.0],
                Tone::Deep,
                3.0,
            )
        } else {
            let x = f64::from(stroke).mul_add(STROKE, left);
            line([x, top], [x, top + HEIGHT], Tone::Ink, 2.5)
        });
    }
    let fives = count.min(MOST).div_ceil(5);
    Scene {
        width: f64::from(fives.clamp(1, ROW)) * FIVE,
        height: f64::from(fives.div_ceil(ROW).max(1)).mul_add(HEIGHT + 14.0, 2.0),
        shapes,
        labels: Vec::new(),
        describes: format!("{count} tally marks: {} fives and {} more.", count / 5, count % 5),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_fifth_lies_across() {
        let scene = draw(17);
        assert_eq!(scene.shapes.len(), 17);
        assert_eq!(scene.describes, "17 tally marks: 3 fives and 2 more.");
    }
}
