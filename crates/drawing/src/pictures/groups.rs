//! Equal groups of two kinds of things: a ratio, so many times.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const STEP: f64 = 24.0;
const RADIUS: f64 = 8.0;
const INSIDE: f64 = 10.0;
const GAP: f64 = 12.0;
/// Things of a kind stand in rows of so many.
const ACROSS: u32 = 5;
/// Groups in a row.
const ROW: u32 = 4;
/// Most things of a kind in a group, and most groups, that are drawn.
const MOST: [u32; 2] = [40, 60];

/// Lays the groups out; the first kind is filled, the second hollow.
pub fn draw(names: &[String; 2], each: [u32; 2], groups: u32) -> Scene {
    let [first, second] = each.map(|count| count.min(MOST[0]));
    let groups = groups.clamp(1, MOST[1]);
    let rows = [first, second].map(|count| count.div_ceil(ACROSS));
    let wide = f64::from(first.max(second).clamp(1, ACROSS)).mul_add(STEP, 2.0 * INSIDE);
    let high = f64::from(rows[0] + rows[1]).mul_add(STEP, 2.0 * INSIDE);
    let mut shapes = Vec::new();
    for group in 0..groups {
        let left = f64::from(group % ROW).mul_add(wide + GAP, 1.0);
        let top = f64::from(group / ROW).mul_add(high + GAP, 1.0);
        shapes.push(Shape::Box {
            x: left,
            y: top,
            width: wide,
            height: high,
            fill: Some(Tone::Ground),
        });
        for (count, from, hollow) in [(first, 0, false), (second, rows[0], true)] {
            for at in 0..count {
                shapes.push(Shape::Dot {
                    x: f64::from(at % ACROSS).mul_add(STEP, left + INSIDE + STEP / 2.0),
                    y: f64::from(from + at / ACROSS).mul_add(STEP, top + INSIDE + STEP / 2.0),
                    radius: RADIUS,
                    tone: if hollow { Tone::Deep } else { Tone::Honey },
                    hollow,
                });
            }
        }
    }
    let lines = f64::from(groups.div_ceil(ROW));
    let all = f64::from(groups.min(ROW)).mul_add(wide + GAP, -GAP) + 2.0;
    let below = lines * (high + GAP);
    let named = |at: usize, fallback: &str| {
        if names[at].is_empty() { fallback.to_owned() } else { names[at].clone() }
    };
    let totals = each.map(|count| count * groups);
    let text =
        format!("{} {}, {} {}", totals[0], named(0, "filled"), totals[1], named(1, "hollow"));
    let width = all.max(text.chars().count() as f64 * 9.0);
    Scene {
        width,
        height: below + 24.0,
        labels: vec![Label::words(width / 2.0, below + 10.0, Anchor::Middle, &text)],
        shapes,
        describes: format!("{groups} groups of {} and {}: {text}.", each[0], each[1]),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn all_groups_are_alike() {
        let names = ["jars".to_owned(), "lids".to_owned()];
        let scene = draw(&names, [2, 3], 4);
        assert_eq!(scene.describes, "4 groups of 2 and 3: 8 jars, 12 lids.");
        assert_eq!(scene.shapes.len(), 4 * (1 + 5));
    }
}
