//! Solutions on a number line: a full disc belongs to them, a hollow one does not, an arrow goes on for ever.

use super::axis::{number, ticks};
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::{Mark, Stretch};

const WIDTH: f64 = 420.0;
const MARGIN: f64 = 18.0;
const AXIS: f64 = 40.0;

/// Lays the line out from `from` to `to`.
pub fn draw(letter: &str, from: f64, to: f64, stretches: &[Stretch]) -> Scene {
    let place = |value: f64| MARGIN + (value - from) / (to - from) * (WIDTH - 2.0 * MARGIN);
    let (left, right) = (MARGIN / 2.0, WIDTH - MARGIN / 2.0);
    let line = |x1, y1, x2, y2, tone, width| Shape::Line { x1, y1, x2, y2, tone, width };
    let mut shapes = vec![line(left, AXIS, right, AXIS, Tone::Ink, 1.5)];
    let mut labels = Vec::new();
    let (at, places) = ticks(from, to, 11.0);
    for tick in at {
        let x = place(tick);
        shapes.push(line(x, AXIS - 5.0, x, AXIS + 5.0, Tone::Ink, 1.2));
        labels.push(Label::math(x, AXIS + 20.0, Anchor::Middle, &number(tick, places)));
    }
    for stretch in stretches {
        let ends = [&stretch.low, &stretch.high];
        let [low, high] = ends.map(|end| end.as_ref().map(|mark| place(mark.at)));
        let (start, end) = (low.unwrap_or(left), high.unwrap_or(right));
        if end > start {
            shapes.push(line(start, AXIS, end, AXIS, Tone::Deep, 6.0));
        }
        for (open, tip, back) in [(low.is_none(), left, 9.0), (high.is_none(), right, -9.0)] {
            if open {
                let points = vec![[tip + back, AXIS - 7.0], [tip, AXIS], [tip + back, AXIS + 7.0]];
                shapes.push(Shape::Curve { points, tone: Tone::Deep, width: 3.0, dashed: false });
            }
        }
        for (mark, closed) in ends.into_iter().zip(stretch.closed) {
            let Some(Mark { at, label }) = mark else { continue };
            // One value is one disc.
            if shapes.last().is_some_and(|last| is_at(last, place(*at))) {
                continue;
            }
            let x = place(*at);
            let hollow = !closed;
            shapes.push(Shape::Dot { x, y: AXIS, radius: 7.0, tone: Tone::Deep, hollow });
            if !label.is_empty() {
                labels.push(Label::math(x, AXIS - 21.0, Anchor::Middle, label));
            }
        }
    }
    labels.dedup_by(|a, b| a.x == b.x && a.y == b.y && a.text == b.text);
    let describes = match stretches {
        [] => format!("A number line for {letter}. Nothing is marked: there is no solution."),
        all => {
            let told: Vec<_> = all.iter().map(|one| told(one, letter)).collect();
            format!("A number line. Marked: {}.", told.join("; "))
        }
    };
    Scene { width: WIDTH, height: 74.0, shapes, labels, describes }
}

fn is_at(shape: &Shape, across: f64) -> bool {
    matches!(shape, Shape::Dot { x, .. } if (x - across).abs() < 1e-9)
}

fn told(stretch: &Stretch, letter: &str) -> String {
    let with = |closed: bool| if closed { "included" } else { "not included" };
    let [low_in, high_in] = stretch.closed;
    match (&stretch.low, &stretch.high) {
        (None, None) => "every number".into(),
        (Some(low), Some(high)) if low == high && low.label.is_empty() => "one value".into(),
        (Some(low), _) if low.label.is_empty() => "a stretch of values".into(),
        (_, Some(high)) if high.label.is_empty() => "a stretch of values".into(),
        (Some(low), Some(high)) if low == high => format!("{letter} = {}", low.label),
        (Some(low), None) => format!("from {} ({}) on", low.label, with(low_in)),
        (None, Some(high)) => format!("up to {} ({})", high.label, with(high_in)),
        (Some(low), Some(high)) => {
            format!("from {} ({}) to {} ({})", low.label, with(low_in), high.label, with(high_in))
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn mark(at: f64) -> Option<Mark> {
        Some(Mark { at, label: at.to_string() })
    }

    #[test]
    fn ends_show_whether_they_belong() {
        let stretch = Stretch { low: mark(2.0), high: mark(5.0), closed: [false, true] };
        let scene = draw("x", 0.0, 8.0, &[stretch]);
        let dots: Vec<_> = scene
            .shapes
            .iter()
            .filter_map(|shape| match shape {
                Shape::Dot { hollow, .. } => Some(*hollow),
                _ => None,
            })
            .collect();
        assert_eq!(dots, [true, false]);
        assert_eq!(
            scene.describes,
            "A number line. Marked: from 2 (not included) to 5 (included)."
        );
    }

    #[test]
    fn no_solution_is_said() {
        assert!(draw("x", 0.0, 8.0, &[]).describes.ends_with("there is no solution."));
        let half = Stretch { low: None, high: mark(3.0), closed: [false, false] };
        assert_eq!(
            draw("x", 0.0, 8.0, &[half]).describes,
            "A number line. Marked: up to 3 (not included)."
        );
    }
}
