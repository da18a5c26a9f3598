//! A number line with marked points.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Mark;

const WIDTH: f64 = 560.0;
const MARGIN: f64 = 24.0;
const AXIS: f64 = 44.0;
/// Most ticks with a number; a longer line labels every second, fifth or tenth.
const MOST_LABELS: i32 = 21;
const PER_LETTER: f64 = 8.5;
/// Between the numbers of two ticks.
const APART: f64 = 6.0;

/// Lays the line out from `from` to `to`; an empty range is drawn one long.
pub fn draw(from: i32, to: i32, points: &[Mark]) -> Scene {
    let to = to.max(from.saturating_add(1));
    let length = f64::from(to) - f64::from(from);
    let place = |value: f64| {
        (value - f64::from(from)).clamp(0.0, length) / length * (WIDTH - 2.0 * MARGIN) + MARGIN
    };
    let count = to.saturating_sub(from);
    let longest = from.to_string().len().max(to.to_string().len()) as f64;
    // So many numbers stand beside each other without touching.
    let room = (WIDTH - 2.0 * MARGIN) / longest.mul_add(PER_LETTER, APART);
    let fits = |n: &i32| count / n < MOST_LABELS && f64::from(count / n) <= room;
    let every = [1, 2, 5, 10, 20, 50, 100].into_iter().find(fits);
    let every = every.unwrap_or(count / MOST_LABELS + 1);
    let line = |x1, y1, x2, y2, tone, width| Shape::Line { x1, y1, x2, y2, tone, width };
    let mut shapes = vec![line(MARGIN / 2.0, AXIS, WIDTH - MARGIN / 2.0, AXIS, Tone::Ink, 2.0)];
    let mut labels = Vec::new();
    let mut tick = from;
    while tick <= to {
        let x = place(f64::from(tick));
        shapes.push(line(x, AXIS - 6.0, x, AXIS + 6.0, Tone::Ink, 1.5));
        labels.push(Label::math(x, AXIS + 22.0, Anchor::Middle, &tick.to_string()));
        tick = tick.saturating_add(every);
        if tick == i32::MAX {
            break;
        }
    }
    for point in points {
        let x = place(point.at);
        shapes.push(Shape::Dot { x, y: AXIS, radius: 7.0, tone: Tone::Honey, hollow: false });
        labels.push(Label::math(x, AXIS - 24.0, Anchor::Middle, &point.label));
    }
    let marked: Vec<&str> = points.iter().map(|point| point.label.as_str()).collect();
    let describes = format!("A number line from {from} to {to}. Marked: {}.", marked.join(", "));
    Scene { width: WIDTH, height: 80.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn points_stand_where_their_numbers_are() {
        let marks = [Mark { at: 5.0, label: "x".into() }];
        let scene = draw(0, 10, &marks);
        let dot = scene.shapes.iter().find_map(|shape| match shape {
            Shape::Dot { x, .. } => Some(*x),
            _ => None,
        });
        assert_eq!(dot, Some(WIDTH / 2.0));
        assert_eq!(scene.labels.len(), 12);
    }

    #[test]
    fn a_long_or_empty_line_is_still_drawn() {
        assert!(draw(0, 1_000_000, &[]).labels.len() <= 22);
        assert!(draw(3, 3, &[]).labels.len() >= 2);
        assert!(!draw(i32::MIN, i32::MAX, &[]).shapes.is_empty());
    }
}
