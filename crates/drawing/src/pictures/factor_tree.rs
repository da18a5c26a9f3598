//! A factor tree: each number hangs on the one that it is a factor of; what is not split any more is a leaf.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Factor;

const LEVEL: f64 = 58.0;
const LEAF: f64 = 62.0;
const RADIUS: f64 = 19.0;

/// Lays the tree out from the top, each number above the middle of what hangs on it.
pub fn draw(nodes: &[Factor]) -> Scene {
    let children = |of: usize| -> Vec<usize> {
        (of + 1..nodes.len()).filter(|&at| nodes[at].of == Some(of)).collect()
    };
    let mut places = vec![[0.0, 0.0]; nodes.len()];
    let mut next = LEAF / 2.0;
    let mut deepest = 0;
    if !nodes.is_empty() {
        place(0, 0, &children, &mut places, &mut next, &mut deepest);
    }
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for (node, [x2, y2]) in nodes.iter().zip(&places) {
        if let Some([x1, y1]) = node.of.and_then(|of| places.get(of)) {
            let (x1, y1, x2, y2) = (*x1, y1 + RADIUS - 3.0, *x2, y2 - RADIUS + 3.0);
            shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Ink, width: 1.5 });
        }
    }
    for (at, (node, &[x, y])) in nodes.iter().zip(&places).enumerate() {
        let is_leaf = at > 0 && children(at).is_empty();
        let tone = if is_leaf { Tone::Honey } else { Tone::Ground };
        shapes.push(Shape::Dot { x, y, radius: RADIUS, tone, hollow: false });
        labels.push(Label::math(x, y, Anchor::Middle, &node.value));
    }
    let leaves: Vec<&str> = (1..nodes.len())
        .filter(|&at| children(at).is_empty())
        .map(|at| nodes[at].value.as_str())
        .collect();
    let first = nodes.first().map_or("", |node| node.value.as_str());
    Scene {
        width: (next - LEAF / 2.0).max(LEAF),
        height: f64::from(deepest).mul_add(LEVEL, 2.0 * RADIUS + 4.0),
        shapes,
        labels,
        describes: format!("A factor tree of {first} with the leaves {}.", leaves.join(", ")),
    }
}

/// Deepest level that is laid out.
const DEEPEST: i32 = 16;

fn place(
    at: usize,
    level: i32,
    children: &dyn Fn(usize) -> Vec<usize>,
    places: &mut [[f64; 2]],
    next: &mut f64,
    deepest: &mut i32,
) {
    *deepest = (*deepest).max(level);
    let below = if level < DEEPEST { children(at) } else { Vec::new() };
    let y = f64::from(level).mul_add(LEVEL, RADIUS + 2.0);
    if below.is_empty() {
        places[at] = [*next, y];
        *next += LEAF;
        return;
    }
    for &child in &below {
        place(child, level + 1, children, places, next, deepest);
    }
    let ends = (places[below[0]][0], places[below[below.len() - 1]][0]);
    places[at] = [f64::midpoint(ends.0, ends.1), y];
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_number_hangs_on_what_it_is_a_factor_of() {
        let node = |value: &str, of: Option<usize>| Factor { value: value.into(), of };
        let nodes = [
            node("12", None),
            node("2", Some(0)),
            node("6", Some(0)),
            node("2", Some(2)),
            node("3", Some(2)),
        ];
        let scene = draw(&nodes);
        assert_eq!(scene.describes, "A factor tree of 12 with the leaves 2, 2, 3.");
        let lines = scene.shapes.iter().filter(|shape| matches!(shape, Shape::Line { .. })).count();
        assert_eq!((lines, scene.labels.len()), (4, 5));
        assert_eq!(draw(&[]).labels.len(), 0);
    }
}
