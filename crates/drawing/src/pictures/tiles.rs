//! Algebra tiles: a square, a bar, a small square; negative ones are hollow.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Tile;

const SMALL: f64 = 20.0;
const LONG: f64 = 62.0;
const GAP: f64 = 6.0;
/// Between heaps.
const APART: f64 = 26.0;
/// Small tiles stand in columns of so many, as high as a bar.
const HIGH: u32 = 3;
/// Most tiles of a kind that are drawn.
const MOST: u32 = 200;

/// Width and height of a tile.
fn size(label: &str) -> [f64; 2] {
    if label.ends_with('2') && label.len() > 1 {
        [LONG, LONG]
    } else if label == "1" {
        [SMALL, SMALL]
    } else {
        [SMALL, LONG]
    }
}

/// Lays heaps out side by side.
pub fn draw(tiles: &[Tile]) -> Scene {
    let (mut shapes, mut labels, mut told) = (Vec::new(), Vec::new(), Vec::new());
    let mut left = 1.0;
    for tile in tiles.iter().filter(|tile| tile.count != 0) {
        let [width, height] = size(&tile.label);
        let count = tile.count.unsigned_abs().min(MOST);
        let rows = if tile.label == "1" { HIGH } else { 1 };
        for at in 0..count {
            let (x, y) = (
                f64::from(at / rows).mul_add(width + GAP, left),
                f64::from(at % rows).mul_add(height + 1.0, 1.0),
            );
            let fill = Some(if tile.count < 0 { Tone::Ground } else { Tone::Honey });
            shapes.push(Shape::Box { x, y, width, height, fill });
            if tile.count < 0 {
                // A stroke through it tells a negative tile on black-and-white paper, too.
                let (x2, y2) = (x + width, y);
                shapes.push(Shape::Line {
                    x1: x,
                    y1: y + height,
                    x2,
                    y2,
                    tone: Tone::Deep,
                    width: 1.5,
                });
            }
        }
        let wide = f64::from(count.div_ceil(rows)).mul_add(width + GAP, -GAP);
        let sign = if tile.count < 0 { "-" } else { "" };
        let text = match (tile.label.as_str(), count) {
            ("1", count) => format!("{sign}{count}"),
            (label, 1) => format!("{sign}{label}"),
            (label, count) => format!("{sign}{count}{label}"),
        };
        let room = wide.max(text.chars().count() as f64 * 10.0);
        labels.push(Label::math(left + wide / 2.0, LONG + 18.0, Anchor::Middle, &text));
        told.push(text);
        left += room + APART;
    }
    Scene {
        width: (left - APART).max(1.0) + 14.0,
        height: LONG + 32.0,
        shapes,
        labels,
        describes: format!(
            "Algebra tiles: {}.",
            if told.is_empty() { "none".into() } else { told.join(" and ") }
        ),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn negative_tiles_are_struck_through() {
        let tile = |label: &str, count| Tile { label: label.into(), count };
        let scene = draw(&[tile("x^2", 1), tile("x", 3), tile("1", -4), tile("y", 0)]);
        assert_eq!(scene.describes, "Algebra tiles: x^2 and 3x and -4.");
        let boxes = scene.shapes.iter().filter(|s| matches!(s, Shape::Box { .. })).count();
        assert_eq!((boxes, scene.shapes.len() - boxes), (8, 4));
        assert_eq!(draw(&[]).describes, "Algebra tiles: none.");
    }
}
