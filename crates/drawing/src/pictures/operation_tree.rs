//! An expression as a tree: what is done last stands at the top, what is done first hangs lowest.

use super::place::line;
use super::tree::{Spacing, children, lay_out};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::TreeNode;

const RADIUS: f64 = 19.0;
const SPACING: Spacing = Spacing { level: 54.0, leaf: 60.0, radius: RADIUS };

/// Lays the tree out; an operation whose parts are all numbers is ready to be done, and stands on honey.
pub fn draw(nodes: &[TreeNode]) -> Scene {
    let tree = lay_out(nodes, &SPACING);
    let (mut shapes, mut labels, mut ready) = (Vec::new(), Vec::new(), Vec::new());
    for (node, [x2, y2]) in nodes.iter().zip(&tree.places) {
        if let Some([x1, y1]) = node.of.and_then(|of| tree.places.get(of)) {
            let (from, to) = ([*x1, y1 + RADIUS - 3.0], [*x2, y2 - RADIUS + 3.0]);
            shapes.push(line(from, to, Tone::Ink, 1.5));
        }
    }
    for (at, (node, &[x, y])) in nodes.iter().zip(&tree.places).enumerate() {
        let parts = children(nodes, at);
        if parts.is_empty() {
            let (left, wide) = (x - 26.0, 52.0);
            let fill = Some(Tone::Ground);
            shapes.push(Shape::Box { x: left, y: y - 16.0, width: wide, height: 32.0, fill });
            labels.push(Label::math(x, y, Anchor::Middle, &node.value));
            continue;
        }
        let is_ready = parts.iter().all(|&part| children(nodes, part).is_empty());
        let tone = if is_ready { Tone::Honey } else { Tone::Ground };
        shapes.push(Shape::Dot { x, y, radius: RADIUS, tone, hollow: false });
        labels.push(Label::words(x, y, Anchor::Middle, &node.value));
        if is_ready {
            let values: Vec<&str> = parts.iter().map(|&part| nodes[part].value.as_str()).collect();
            ready.push(values.join(&format!(" {} ", node.value)));
        }
    }
    let all: Vec<&str> = nodes.iter().map(|node| node.value.as_str()).collect();
    let first = match ready.as_slice() {
        [] => String::new(),
        ready => format!(" Ready to be done: {}.", ready.join(", ")),
    };
    Scene {
        width: tree.width,
        height: tree.height,
        shapes,
        labels,
        describes: format!("An expression as a tree, from the top: {}.{first}", all.join(", ")),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_is_done_first_hangs_lowest() {
        let nodes = [("+", None), ("3", Some(0)), ("×", Some(0)), ("4", Some(2)), ("5", Some(2))]
            .map(|(value, of)| TreeNode { value: value.into(), of });
        let scene = draw(&nodes);
        assert_eq!(
            scene.describes,
            "An expression as a tree, from the top: +, 3, ×, 4, 5. Ready to be done: 4 × 5."
        );
        let y_of = |text: &str| scene.labels.iter().find(|l| l.text == text).map(|l| l.y);
        assert!(y_of("+") < y_of("×") && y_of("×") < y_of("5"));
    }
}
