//! Where the parts of a tree stand: each one above the middle of what hangs on it.

use teaching::figure::TreeNode;

/// Deepest level that is laid out.
const DEEPEST: i32 = 16;

/// A tree that is laid out.
pub(super) struct Tree {
    /// The centre of each part.
    pub places: Vec<[f64; 2]>,
    pub width: f64,
    pub height: f64,
}

/// What a tree is spaced by.
pub(super) struct Spacing {
    /// From level to level.
    pub level: f64,
    /// From leaf to leaf.
    pub leaf: f64,
    /// Around each part.
    pub radius: f64,
}

/// What hangs on a part.
pub(super) fn children(nodes: &[TreeNode], of: usize) -> Vec<usize> {
    (of + 1..nodes.len()).filter(|&at| nodes[at].of == Some(of)).collect()
}

/// Lays a tree out from the top.
pub(super) fn lay_out(nodes: &[TreeNode], spacing: &Spacing) -> Tree {
    let mut layer =
        Layer { nodes, spacing, places: vec![[0.0; 2]; nodes.len()], next: 0.0, deepest: 0 };
    layer.next = spacing.leaf / 2.0;
    if !nodes.is_empty() {
        layer.place(0, 0);
    }
    Tree {
        width: (layer.next - spacing.leaf / 2.0).max(spacing.leaf),
        height: f64::from(layer.deepest).mul_add(spacing.level, 2.0 * spacing.radius + 4.0),
        places: layer.places,
    }
}

struct Layer<'a> {
    nodes: &'a [TreeNode],
    spacing: &'a Spacing,
    places: Vec<[f64; 2]>,
    /// Where the next leaf stands.
    next: f64,
    deepest: i32,
}

impl Layer<'_> {
    fn place(&mut self, at: usize, level: i32) {
        self.deepest = self.deepest.max(level);
        let below = if level < DEEPEST { children(self.nodes, at) } else { Vec::new() };
        let y = f64::from(level).mul_add(self.spacing.level, self.spacing.radius + 2.0);
        let (Some(&first), Some(&last)) = (below.first(), below.last()) else {
            self.places[at] = [self.next, y];
            self.next += self.spacing.leaf;
            return;
        };
        for &child in &below {
            self.place(child, level + 1);
        }
        self.places[at] = [f64::midpoint(self.places[first][0], self.places[last][0]), y];
    }
}
