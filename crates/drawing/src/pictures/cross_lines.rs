//! Two ratios as fractions, with the lines that join what is multiplied.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const WIDTH: f64 = 420.0;
const LEFT: f64 = 150.0;
const RIGHT: f64 = 270.0;
const UPPER: f64 = 56.0;
const LOWER: f64 = 124.0;
const BOX: [f64; 2] = [56.0, 36.0];

/// Lays the terms `a:b = c:d` out as two fractions; the products stand at the ends of their lines.
pub fn draw(terms: &[String; 4], products: &[String; 2]) -> Scene {
    let [a, b, c, d] = terms;
    let mut shapes = vec![
        line([LEFT, UPPER], [RIGHT, LOWER], Tone::Deep, 2.5),
        line([LEFT, LOWER], [RIGHT, UPPER], Tone::Ink, 2.5),
    ];
    let mut labels = Vec::new();
    for (x, y, text) in [(LEFT, UPPER, a), (LEFT, LOWER, b), (RIGHT, UPPER, c), (RIGHT, LOWER, d)] {
        let [width, height] = BOX;
        let (left, top) = (x - width / 2.0, y - height / 2.0);
        shapes.push(Shape::Box { x: left, y: top, width, height, fill: Some(Tone::Ground) });
        labels.push(Label::math(x, y, Anchor::Middle, text));
    }
    let mut told = Vec::new();
    for (x, y, product, (first, second)) in
        [(RIGHT, LOWER + 36.0, &products[0], (a, d)), (RIGHT, UPPER - 36.0, &products[1], (b, c))]
    {
        let is_done = !product.is_empty();
        let text = if is_done {
            format!("{first} × {second} = {product}")
        } else {
            format!("{first} × {second}")
        };
        labels.push(Label::math(x, y, Anchor::Middle, &text));
        told.push(text);
    }
    let describes =
        format!("The ratios {a}:{b} and {c}:{d}, joined crosswise: {}.", told.join("; "));
    Scene { width: WIDTH, height: LOWER + 54.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_line_has_its_product() {
        let terms = ["2", "3", "8", "12"].map(String::from);
        let scene = draw(&terms, &["24".into(), String::new()]);
        assert_eq!(
            scene.describes,
            "The ratios 2:3 and 8:12, joined crosswise: 2 × 12 = 24; 3 × 8."
        );
        assert_eq!(scene.labels.len(), 6);
    }
}
