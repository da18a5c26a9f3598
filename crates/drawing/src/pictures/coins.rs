//! Coins in a row, larger where they are worth more.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const GAP: f64 = 8.0;
const LARGEST: f64 = 30.0;
/// Most coins in a row.
const ROW: usize = 10;
/// Most coins that are drawn.
const MOST: usize = 60;

fn radius(cents: u32) -> f64 {
    match cents {
        0..=1 => 17.0,
        2..=5 => 21.0,
        6..=10 => 25.0,
        _ => LARGEST,
    }
}

/// Lays the coins out, ten in a row.
pub fn draw(values: &[u32]) -> Scene {
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let mut width: f64 = 1.0;
    let rows = values.len().min(MOST).div_ceil(ROW);
    for (row, coins) in values.iter().take(MOST).collect::<Vec<_>>().chunks(ROW).enumerate() {
        let y = (row as f64).mul_add(2.0 * LARGEST + GAP, LARGEST + 2.0);
        let mut x = 2.0;
        for &&value in coins {
            let radius = radius(value);
            let tone = if value == 1 { Tone::Ground } else { Tone::Honey };
            shapes.push(Shape::Dot { x: x + radius, y, radius, tone, hollow: false });
            labels.push(Label::words(x + radius, y, Anchor::Middle, &value.to_string()));
            x += 2.0 * radius + GAP;
        }
        width = width.max(x - GAP + 2.0);
    }
    let told: Vec<String> = values.iter().map(u32::to_string).collect();
    Scene {
        width,
        height: (rows as f64).mul_add(2.0 * LARGEST + GAP, 4.0),
        shapes,
        labels,
        describes: format!("Coins, in cents: {}.", told.join(", ")),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_coin_says_what_it_is_worth() {
        let scene = draw(&[10, 5, 1, 1]);
        assert_eq!(scene.describes, "Coins, in cents: 10, 5, 1, 1.");
        assert_eq!((scene.shapes.len(), scene.labels.len()), (4, 4));
        assert!(draw(&[1; 25]).height > 2.0 * scene.height);
    }
}
