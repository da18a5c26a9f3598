//! Two number lines whose marks belong together.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Pair;

const WIDTH: f64 = 440.0;
const UPPER: f64 = 44.0;
const LOWER: f64 = 100.0;
const PER_LETTER: f64 = 9.0;

/// Lays the lines out, from 0 on.
pub fn draw(rows: &[String; 2], stops: &[Pair]) -> Scene {
    let longest = rows.iter().map(|row| row.chars().count()).max().unwrap_or(0);
    let left = (longest as f64).mul_add(PER_LETTER, 24.0);
    let mut shapes = Vec::new();
    let mut labels = Vec::new();
    for (y, row) in [(UPPER, &rows[0]), (LOWER, &rows[1])] {
        shapes.push(line([left, y], [left + WIDTH, y], Tone::Ink, 2.0));
        labels.push(Label::words(left - 14.0, y, Anchor::End, row));
    }
    let zero = Pair { at: 0.0, labels: ["0".into(), "0".into()] };
    for stop in std::iter::once(&zero).chain(stops) {
        let x = stop.at.clamp(0.0, 1.0).mul_add(WIDTH - 40.0, left + 10.0);
        shapes.push(line([x, UPPER], [x, LOWER], Tone::Faint, 1.2));
        for (y, text, out) in [(UPPER, &stop.labels[0], -22.0), (LOWER, &stop.labels[1], 22.0)] {
            let is_asked = !text.is_empty() && text.chars().all(char::is_alphabetic);
            let tone = if is_asked { Tone::Honey } else { Tone::Ink };
            shapes.push(Shape::Dot {
                x,
                y,
                radius: if is_asked { 7.0 } else { 4.0 },
                tone,
                hollow: false,
            });
            labels.push(Label::math(x, y + out, Anchor::Middle, text));
        }
    }
    let told: Vec<String> =
        stops.iter().map(|stop| format!("{} with {}", stop.labels[0], stop.labels[1])).collect();
    let named = if rows.iter().all(String::is_empty) {
        String::new()
    } else {
        format!(" for {} and {}", rows[0], rows[1])
    };
    let describes = format!("A double number line{named}: {}.", told.join("; "));
    Scene { width: left + WIDTH + 10.0, height: LOWER + 40.0, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_belongs_together_stands_below_each_other() {
        let pair = |at, above: &str, below: &str| Pair { at, labels: [above.into(), below.into()] };
        let rows = ["jars".to_owned(), "dollars".to_owned()];
        let scene = draw(&rows, &[pair(0.4, "4", "10"), pair(1.0, "10", "n")]);
        assert_eq!(
            scene.describes,
            "A double number line for jars and dollars: 4 with 10; 10 with n."
        );
        let honey =
            scene.shapes.iter().filter(|s| matches!(s, Shape::Dot { tone: Tone::Honey, .. }));
        assert_eq!(honey.count(), 1);
    }
}
