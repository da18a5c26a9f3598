//! Pictures that are read off a line: its operations as a tree, its terms as tiles, its sides on scales.

use algebra::write::text;
use algebra::{Expr, ExprKind, Line};
use num_traits::ToPrimitive;
use teaching::figure::{Figure, Load, Tile, TreeNode};

/// A larger tree is no help to the eye.
const MOST_NODES: usize = 21;
/// More tiles than this are not counted at a glance.
const MOST_TILES: u32 = 40;

/// The operations of an expression as a tree; none for a number alone.
pub fn operations(line: &Line) -> Option<Figure> {
    let Line::Expression(expr) = line else { return None };
    let mut nodes = Vec::new();
    hang(expr, None, &mut nodes);
    (1 < nodes.len() && nodes.len() <= MOST_NODES).then_some(Figure::OperationTree { nodes })
}

fn hang(expr: &Expr, of: Option<usize>, nodes: &mut Vec<TreeNode>) {
    let (sign, parts) = match &expr.kind {
        ExprKind::Add(a, b) => ("+", vec![a, b]),
        ExprKind::Subtract(a, b) => ("−", vec![a, b]),
        ExprKind::Multiply(a, b) => ("×", vec![a, b]),
        ExprKind::Divide(a, b) => ("÷", vec![a, b]),
        ExprKind::Power(a, b) => ("^", vec![a, b]),
        ExprKind::Negative(a) if a.as_plain_number().is_none() => ("−", vec![a]),
        _ => return nodes.push(TreeNode { value: text(expr), of }),
    };
    nodes.push(TreeNode { value: sign.into(), of });
    let here = nodes.len() - 1;
    for part in parts {
        hang(part, Some(here), nodes);
    }
}

/// The terms of a sum with whole coefficients as tiles, heap by heap as they are written.
pub fn tiles(line: &Line) -> Option<Figure> {
    let Line::Expression(expr) = line else { return None };
    let tiles: Vec<Tile> = terms(expr)
        .into_iter()
        .map(|(count, label)| Some(Tile { label, count: i32::try_from(count).ok()? }))
        .collect::<Option<_>>()?;
    let is_tile = |tile: &Tile| {
        let letter = tile.label.trim_end_matches("^2");
        tile.label == "1"
            || (letter.chars().count() == 1 && letter.chars().all(char::is_alphabetic))
    };
    let count: u32 = tiles.iter().map(|tile| tile.count.unsigned_abs()).sum();
    (tiles.iter().all(is_tile) && count <= MOST_TILES).then_some(Figure::Tiles { tiles })
}

/// Both sides of an equation on scales; none where a side weighs nothing or has too many terms.
pub fn balance(line: &Line) -> Option<Figure> {
    let (left, right) = line.as_equation()?;
    Some(Figure::Balance { left: loads(left)?, right: loads(right)? })
}

/// What lies on a pan: equal things together, numbers as one weight.
fn loads(side: &Expr) -> Option<Vec<Load>> {
    let loads: Vec<Load> = terms(side)
        .into_iter()
        .filter(|(count, _)| *count != 0)
        .map(|(count, label)| {
            let lifts = count < 0;
            let size = count.unsigned_abs();
            // A known weight is one thing, however heavy.
            if label == "1" {
                Some(Load { label: size.to_string(), count: 1, lifts })
            } else {
                Some(Load { label, count: u32::try_from(size).ok()?, lifts })
            }
        })
        .collect::<Option<_>>()?;
    (1..=4).contains(&loads.len()).then_some(loads)
}

/// The terms of a sum, each as so many of something; a number is so many of `1`.
fn terms(expr: &Expr) -> Vec<(i64, String)> {
    match &expr.kind {
        ExprKind::Add(a, b) => [terms(a), terms(b)].concat(),
        ExprKind::Subtract(a, b) => {
            let taken = terms(b).into_iter().map(|(count, of)| (-count, of));
            terms(a).into_iter().chain(taken).collect()
        }
        ExprKind::Negative(a) => terms(a).into_iter().map(|(count, of)| (-count, of)).collect(),
        ExprKind::Multiply(a, b) => match whole(a) {
            Some(count) if whole(b).is_none() => vec![(count, text(b))],
            _ => vec![(1, text(expr))],
        },
        _ => match whole(expr) {
            Some(count) => vec![(count, "1".into())],
            None => vec![(1, text(expr))],
        },
    }
}

fn whole(expr: &Expr) -> Option<i64> {
    let number = expr.as_plain_number()?;
    number.is_integer().then(|| number.to_integer().to_i64()).flatten()
}

#[cfg(test)]
mod tests {
    use super::*;
    use teaching::typeset::line;

    #[test]
    fn the_last_operation_stands_at_the_top() {
        let Some(Figure::OperationTree { nodes }) = operations(&line("3 + 4 × (-5)")) else {
            panic!("a tree")
        };
        let shown: Vec<_> = nodes.iter().map(|node| (node.value.as_str(), node.of)).collect();
        assert_eq!(
            shown,
            [("+", None), ("3", Some(0)), ("×", Some(0)), ("4", Some(2)), ("-5", Some(2))]
        );
        assert_eq!(operations(&line("7")), None);
        assert_eq!(operations(&line("x = 3")), None);
    }

    #[test]
    fn every_term_is_a_heap_of_tiles() {
        let heaps = |typed: &str| match tiles(&line(typed)) {
            Some(Figure::Tiles { tiles }) => {
                tiles.into_iter().map(|tile| format!("{}{}", tile.count, tile.label)).collect()
            }
            _ => Vec::new(),
        };
        assert_eq!(heaps("x^2 + 3x - 4 - x"), ["1x^2", "3x", "-41", "-1x"]);
        assert!(heaps("90x").is_empty() && heaps("x y").is_empty() && heaps("x/2").is_empty());
    }

    #[test]
    fn both_pans_hold_their_terms() {
        let pans = |typed: &str| {
            let Figure::Balance { left, right } = balance(&line(typed))? else { return None };
            let told = |loads: Vec<Load>| {
                let one = |load: Load| {
                    let sign = if load.lifts { "-" } else { "" };
                    format!("{sign}{} of {}", load.count, load.label)
                };
                loads.into_iter().map(one).collect::<Vec<_>>().join(", ")
            };
            Some(format!("{} | {}", told(left), told(right)))
        };
        assert_eq!(pans("3x - 5 = 16").as_deref(), Some("3 of x, -1 of 5 | 1 of 16"));
        assert_eq!(pans("2(x + 3) = x").as_deref(), Some("2 of x + 3 | 1 of x"));
        assert_eq!(pans("x = 0"), None);
        assert_eq!(pans("3x"), None);
    }
}
