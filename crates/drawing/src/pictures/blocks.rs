//! Base-ten blocks: a square of a hundred, a bar of ten, a cube of one.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

/// The side of a one.
const ONE: f64 = 7.0;
const TEN: f64 = 10.0 * ONE;
const GAP: f64 = 8.0;
/// Between hundreds, tens and ones.
const APART: f64 = 26.0;
/// How wide the words below a group are, at least.
const WORDS: f64 = 84.0;
/// Most blocks of a kind that are drawn; the label below tells how many there are.
const MOST: u32 = 200;
/// Most hundreds and most tens in a row.
const HUNDREDS: u32 = 7;
const TENS: u32 = 20;
/// Ones stand in columns of so many, as high as a bar of ten.
const HIGH: u32 = 5;

/// Lays blocks out side by side.
pub fn draw(hundreds: u32, tens: u32, ones: u32) -> Scene {
    let mut shapes = Vec::new();
    let mut labels = Vec::new();
    let mut x = 1.0;
    let rows = hundreds.min(MOST).div_ceil(HUNDREDS).max(tens.min(MOST).div_ceil(TENS)).max(1);
    let high = f64::from(rows).mul_add(TEN + GAP, -GAP);
    let mut group = |count: u32,
                     name: &str,
                     shapes: &mut Vec<Shape>,
                     block: &dyn Fn(u32, f64, &mut Vec<Shape>) -> f64| {
        if count == 0 {
            return;
        }
        let start = shapes.len();
        let lay = |from: f64, shapes: &mut Vec<Shape>| {
            shapes.truncate(start);
            (0..count.min(MOST)).map(|at| block(at, from, shapes)).fold(0.0, f64::max)
        };
        // Few blocks stand in the middle above their words.
        let blocks = lay(x, shapes);
        let wide = blocks.max(WORDS);
        lay(x + (wide - blocks) / 2.0, shapes);
        let text =
            format!("{count} {}", if count == 1 { name.trim_end_matches('s') } else { name });
        labels.push(Label::words(x + wide / 2.0, high + 20.0, Anchor::Middle, &text));
        x += wide + APART;
    };
    group(hundreds, "hundreds", &mut shapes, &|at, x, shapes| {
        let left = f64::from(at % HUNDREDS).mul_add(TEN + GAP, x);
        grid(left, f64::from(at / HUNDREDS).mul_add(TEN + GAP, 1.0), 10, 10, shapes);
        left + TEN - x
    });
    group(tens, "tens", &mut shapes, &|at, x, shapes| {
        let left = f64::from(at % TENS).mul_add(ONE + 5.0, x);
        grid(left, f64::from(at / TENS).mul_add(TEN + GAP, 1.0), 1, 10, shapes);
        left + ONE - x
    });
    group(ones, "ones", &mut shapes, &|at, x, shapes| {
        let left = f64::from(at / HIGH).mul_add(ONE + 7.0, x);
        grid(left, f64::from(at % HIGH).mul_add(ONE + 9.0, 1.0), 1, 1, shapes);
        left + ONE - x
    });
    let describes = format!("Blocks: {hundreds} hundreds, {tens} tens, {ones} ones.");
    Scene { width: (x - APART).max(1.0) + 2.0, height: high + 34.0, shapes, labels, describes }
}

/// A block, cut into its ones.
fn grid(x: f64, y: f64, across: u32, down: u32, shapes: &mut Vec<Shape>) {
    let (width, height) = (f64::from(across) * ONE, f64::from(down) * ONE);
    shapes.push(Shape::Box { x, y, width, height, fill: Some(Tone::Honey) });
    let mut line = |x1, y1, x2, y2| {
        shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Ink, width: 0.6 });
    };
    for at in 1..across {
        let at = f64::from(at).mul_add(ONE, x);
        line(at, y, at, y + height);
    }
    for at in 1..down {
        let at = f64::from(at).mul_add(ONE, y);
        line(x, at, x + width, at);
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_block_is_there_and_counted_in_words() {
        let scene = draw(3, 12, 1);
        let blocks = scene.shapes.iter().filter(|shape| matches!(shape, Shape::Box { .. })).count();
        assert_eq!(blocks, 16);
        let told: Vec<&str> = scene.labels.iter().map(|label| label.text.as_str()).collect();
        assert_eq!(told, ["3 hundreds", "12 tens", "1 one"]);
        assert_eq!(scene.describes, "Blocks: 3 hundreds, 12 tens, 1 ones.");
        // Many stand in rows, and no more is said than there is.
        let many = draw(8, 70, 0);
        assert!(many.width < 900.0 && many.labels[1].text == "70 tens");
        assert!(draw(0, 0, 0).shapes.is_empty());
    }
}
