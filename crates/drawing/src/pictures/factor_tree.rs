//! A factor tree: each number hangs on the one that it is a factor of; what is not split any more is a leaf.

use super::place::line;
use super::tree::{Spacing, children, lay_out};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::TreeNode;

const RADIUS: f64 = 19.0;
const SPACING: Spacing = Spacing { level: 58.0, leaf: 62.0, radius: RADIUS };
/// Around a leaf that is ringed.
const RING: f64 = 25.0;

/// Lays the tree out from the top.
pub fn draw(nodes: &[TreeNode], ringed: &[usize]) -> Scene {
    let tree = lay_out(nodes, &SPACING);
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for (node, [x2, y2]) in nodes.iter().zip(&tree.places) {
        if let Some([x1, y1]) = node.of.and_then(|of| tree.places.get(of)) {
            let (from, to) = ([*x1, y1 + RADIUS - 3.0], [*x2, y2 - RADIUS + 3.0]);
            shapes.push(line(from, to, Tone::Ink, 1.5));
        }
    }
    for (at, (node, &[x, y])) in nodes.iter().zip(&tree.places).enumerate() {
        let is_leaf = at > 0 && children(nodes, at).is_empty();
        let tone = if is_leaf { Tone::Honey } else { Tone::Ground };
        if ringed.contains(&at) {
            shapes.push(Shape::Dot { x, y, radius: RING, tone: Tone::Deep, hollow: true });
        }
        shapes.push(Shape::Dot { x, y, radius: RADIUS, tone, hollow: false });
        labels.push(Label::math(x, y, Anchor::Middle, &node.value));
    }
    let leaf = |at: &usize| children(nodes, *at).is_empty();
    let named = |at: usize| nodes[at].value.as_str();
    let leaves: Vec<&str> = (1..nodes.len()).filter(leaf).map(named).collect();
    let first = nodes.first().map_or("", |node| node.value.as_str());
    let mut describes = format!("A factor tree of {first} with the leaves {}.", leaves.join(", "));
    let rings: Vec<&str> =
        ringed.iter().filter(|at| **at < nodes.len()).map(|at| named(*at)).collect();
    if !rings.is_empty() {
        describes = format!("{} Ringed in pairs: {}.", describes, rings.join(", "));
    }
    // A ring around the lowest leaf needs its room.
    let height = tree.height + if rings.is_empty() { 0.0 } else { 2.0 * (RING - RADIUS) };
    Scene { width: tree.width, height, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn tree() -> Vec<TreeNode> {
        [("12", None), ("2", Some(0)), ("6", Some(0)), ("2", Some(2)), ("3", Some(2))]
            .map(|(value, of)| TreeNode { value: value.into(), of })
            .to_vec()
    }

    #[test]
    fn a_number_hangs_on_what_it_is_a_factor_of() {
        let scene = draw(&tree(), &[]);
        assert_eq!(scene.describes, "A factor tree of 12 with the leaves 2, 2, 3.");
        let lines = scene.shapes.iter().filter(|shape| matches!(shape, Shape::Line { .. })).count();
        assert_eq!((lines, scene.labels.len()), (4, 5));
        assert_eq!(draw(&[], &[1]).labels.len(), 0);
    }

    #[test]
    fn pairs_are_ringed() {
        let scene = draw(&tree(), &[1, 3]);
        let rings = scene.shapes.iter().filter(|s| matches!(s, Shape::Dot { hollow: true, .. }));
        assert_eq!(rings.count(), 2);
        assert!(scene.describes.ends_with("Ringed in pairs: 2, 2."), "{}", scene.describes);
    }
}
