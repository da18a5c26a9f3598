//! Dots in rows and columns.

use crate::scene::{Scene, Shape, Tone};

const STEP: f64 = 26.0;
const RADIUS: f64 = 9.0;
/// Most rows and columns that are drawn.
const MOST: u32 = 60;

/// Lays the dots out; those that are not filled are faint rings.
pub fn draw(rows: u32, columns: u32, filled: u32) -> Scene {
    let (rows, columns) = (rows.clamp(1, MOST), columns.clamp(1, MOST));
    let dot = |at: u32| {
        let is_filled = at < filled;
        Shape::Dot {
            x: f64::from(at % columns).mul_add(STEP, STEP / 2.0),
            y: f64::from(at / columns).mul_add(STEP, STEP / 2.0),
            radius: RADIUS,
            tone: if is_filled { Tone::Honey } else { Tone::Faint },
            hollow: !is_filled,
        }
    };
    let rest =
        if filled < rows * columns { format!(", {filled} of them filled") } else { String::new() };
    Scene {
        width: f64::from(columns) * STEP,
        height: f64::from(rows) * STEP,
        shapes: (0..rows * columns).map(dot).collect(),
        labels: Vec::new(),
        describes: format!("{rows} rows of {columns} dots{rest}."),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn so_many_are_filled() {
        let scene = draw(4, 8, 8);
        let hollow = scene.shapes.iter().filter(|s| matches!(s, Shape::Dot { hollow: true, .. }));
        assert_eq!((scene.shapes.len(), hollow.count()), (32, 24));
        assert_eq!(scene.describes, "4 rows of 8 dots, 8 of them filled.");
        assert_eq!(draw(3, 4, 12).describes, "3 rows of 4 dots.");
        assert_eq!(draw(0, 9_999, 0).shapes.len(), 60);
    }
}
