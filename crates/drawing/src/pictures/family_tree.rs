//! A family tree, the youngest at the bottom and its parents above.

use super::place::line;
use super::tree::{Spacing, lay_out};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::TreeNode;

const RADIUS: f64 = 15.0;
const SPACING: Spacing = Spacing { level: 46.0, leaf: 40.0, radius: RADIUS };

/// Lays the tree out from the bottom; those with one parent stand on honey.
pub fn draw(nodes: &[TreeNode]) -> Scene {
    let tree = lay_out(nodes, &SPACING);
    let upwards = |[x, y]: [f64; 2]| [x, tree.height - y];
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for (node, &place) in nodes.iter().zip(&tree.places) {
        if let Some(&of) = node.of.and_then(|of| tree.places.get(of)) {
            let ([x1, y1], [x2, y2]) = (upwards(of), upwards(place));
            shapes.push(line([x1, y1 - RADIUS], [x2, y2 + RADIUS], Tone::Ink, 1.5));
        }
    }
    let mut levels: Vec<(i64, usize)> = Vec::new();
    for (node, &place) in nodes.iter().zip(&tree.places) {
        let [x, y] = upwards(place);
        let is_drone = node.value == "d";
        let tone = if is_drone { Tone::Honey } else { Tone::Ground };
        shapes.push(Shape::Dot { x, y, radius: RADIUS, tone, hollow: false });
        labels.push(Label::words(x, y, Anchor::Middle, &node.value));
        let level = y.round() as i64;
        match levels.iter_mut().find(|(at, _)| *at == level) {
            Some((_, count)) => *count += 1,
            None => levels.push((level, 1)),
        }
    }
    levels.sort_by_key(|(level, _)| -level);
    let counts: Vec<String> = levels.iter().map(|(_, count)| count.to_string()).collect();
    Scene {
        width: tree.width,
        height: tree.height,
        shapes,
        labels,
        describes: format!(
            "A family tree of a drone d, whose only parent is a queen q; generation by generation: {}.",
            counts.join(", ")
        ),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_youngest_stands_lowest() {
        let nodes = [("d", None), ("q", Some(0)), ("q", Some(1)), ("d", Some(1))]
            .map(|(value, of)| TreeNode { value: value.into(), of });
        let scene = draw(&nodes);
        assert!(scene.describes.ends_with("generation by generation: 1, 1, 2."));
        let lowest = scene.labels.iter().map(|label| label.y).fold(0.0, f64::max);
        assert!((scene.labels[0].y - lowest).abs() < 1e-9);
    }
}
