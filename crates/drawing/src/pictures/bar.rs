//! A bar model: parts side by side, with the whole below them.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Mark;

const WIDTH: f64 = 560.0;
const BAR: f64 = 46.0;

/// Lays the bar out; each part is as wide as its share of all widths.
pub fn draw(parts: &[Mark], total: &str) -> Scene {
    let all: f64 = parts.iter().map(|part| part.at.max(0.0)).sum();
    let mut shapes = Vec::new();
    let mut labels = Vec::new();
    let mut x = 1.0;
    for part in parts {
        let share = if all > 0.0 { part.at.max(0.0) / all } else { 1.0 / parts.len() as f64 };
        let width = share * (WIDTH - 2.0);
        let is_asked = part.label.chars().any(char::is_alphabetic);
        let fill = if is_asked { Tone::Honey } else { Tone::Ground };
        shapes.push(Shape::Box { x, y: 1.0, width, height: BAR, fill: Some(fill) });
        labels.push(Label::math(x + width / 2.0, 1.0 + BAR / 2.0, Anchor::Middle, &part.label));
        x += width;
    }
    let y = BAR + 12.0;
    for (x1, y1, x2, y2) in [
        (1.0, y, WIDTH - 1.0, y),
        (1.0, y - 6.0, 1.0, y + 6.0),
        (WIDTH - 1.0, y - 6.0, WIDTH - 1.0, y + 6.0),
    ] {
        shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Ink, width: 1.5 });
    }
    labels.push(Label::math(WIDTH / 2.0, y + 18.0, Anchor::Middle, total));
    let named: Vec<&str> = parts.iter().map(|part| part.label.as_str()).collect();
    let describes = format!("A bar of {} that makes {total} in all.", named.join(", "));
    Scene { width: WIDTH, height: y + 36.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_parts_fill_the_bar() {
        let mark = |at, label: &str| Mark { at, label: label.into() };
        let scene = draw(&[mark(2.0, "n"), mark(2.0, "n"), mark(4.0, "6")], "30");
        let widths: f64 = scene
            .shapes
            .iter()
            .map(|shape| if let Shape::Box { width, .. } = shape { *width } else { 0.0 })
            .sum();
        assert!((widths - (WIDTH - 2.0)).abs() < 1e-9);
        assert_eq!(scene.describes, "A bar of n, n, 6 that makes 30 in all.");
        assert!(draw(&[], "0").labels.len() == 1);
    }
}
