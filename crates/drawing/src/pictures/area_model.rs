//! A unit square cut both ways: where both shadings meet lies the product of two fractions.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const SIDE: f64 = 200.0;
const LEFT: f64 = 52.0;
const TOP: f64 = 30.0;
/// More cuts than this are not told apart.
const MOST: u32 = 40;

/// Lays the square out: columns shaded from the left, rows from the top.
pub fn draw(across: [u32; 2], down: [u32; 2]) -> Scene {
    let [columns, all_columns] = [across[0].min(across[1]), across[1].clamp(1, MOST)];
    let [rows, all_rows] = [down[0].min(down[1]), down[1].clamp(1, MOST)];
    let (wide, high) = (SIDE / f64::from(all_columns), SIDE / f64::from(all_rows));
    let mut shapes = Vec::new();
    for at in 0..all_columns * all_rows {
        let (column, row) = (at % all_columns, at / all_columns);
        let (x, y) = (f64::from(column).mul_add(wide, LEFT), f64::from(row).mul_add(high, TOP));
        let fill = match (column < columns, row < rows) {
            (true, true) => Some(Tone::Honey),
            (false, false) => None,
            _ => Some(Tone::Ground),
        };
        shapes.push(Shape::Box { x, y, width: wide, height: high, fill });
    }
    // A bold edge around what is shaded twice.
    let (right, below) =
        (f64::from(columns).mul_add(wide, LEFT), f64::from(rows).mul_add(high, TOP));
    for (from, to) in [
        ([LEFT, TOP], [right, TOP]),
        ([right, TOP], [right, below]),
        ([right, below], [LEFT, below]),
        ([LEFT, below], [LEFT, TOP]),
    ] {
        shapes.push(line(from, to, Tone::Deep, 3.0));
    }
    let [a, b] = [format!("{}/{}", across[0], across[1]), format!("{}/{}", down[0], down[1])];
    let mut labels = vec![Label::math(LEFT.midpoint(right), TOP / 2.0, Anchor::Middle, &a)];
    // The whole side has no fraction yet.
    if down != [1, 1] {
        labels.push(Label::math(LEFT - 10.0, TOP.midpoint(below), Anchor::End, &b));
    }
    let describes = format!(
        "A unit square, {a} of it across and {b} of it down: {} of {} pieces are shaded twice.",
        columns * rows,
        all_columns * all_rows
    );
    Scene { width: LEFT + SIDE + 4.0, height: TOP + SIDE + 4.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_is_shaded_twice_is_the_product() {
        let scene = draw([2, 3], [4, 5]);
        let honey =
            scene.shapes.iter().filter(|s| matches!(s, Shape::Box { fill: Some(Tone::Honey), .. }));
        assert_eq!(honey.count(), 8);
        assert!(scene.describes.ends_with("8 of 15 pieces are shaded twice."));
        assert_eq!((scene.labels.len(), draw([1, 2], [1, 1]).labels.len()), (2, 1));
        assert_eq!(draw([0, 0], [9, 1]).labels.len(), 2);
    }
}
