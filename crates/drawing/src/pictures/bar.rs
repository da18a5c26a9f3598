//! A bar model: parts side by side, with the whole below them.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Mark;

/// The widest comes last; a narrower bar, in which the labels have room, leaves them larger where a picture grows.
const WIDTHS: [f64; 3] = [380.0, 470.0, 560.0];
const BAR: f64 = 46.0;
const PER_LETTER: f64 = 8.5;
/// Between two labels above the bar.
const APART: f64 = 12.0;
/// Height of the labels above the bar, where they do not fit into their parts.
const ABOVE: f64 = 44.0;

fn room(text: &str) -> f64 {
    text.chars().count() as f64 * PER_LETTER
}

/// Lays the bar out; each part is as wide as its share of all widths.
pub fn draw(parts: &[Mark], total: &str) -> Scene {
    let all: f64 = parts.iter().map(|part| part.at.max(0.0)).sum();
    let share = |part: &Mark| {
        if all > 0.0 { part.at.max(0.0) / all } else { 1.0 / parts.len() as f64 }
    };
    let has_room = |whole: f64| {
        parts.iter().all(|part| room(&part.label) + 6.0 <= share(part) * (whole - 2.0))
    };
    let roomy = WIDTHS.into_iter().find(|whole| has_room(*whole));
    let fits = roomy.is_some();
    let whole = roomy.unwrap_or(WIDTHS[WIDTHS.len() - 1]);
    let widths: Vec<f64> = parts.iter().map(|part| share(part) * (whole - 2.0)).collect();
    let top = if fits { 1.0 } else { ABOVE };
    let mut shapes = Vec::new();
    let mut centres = Vec::new();
    let mut x = 1.0;
    for (part, &width) in parts.iter().zip(&widths) {
        let is_asked = part.label.chars().any(char::is_alphabetic);
        let fill = if is_asked { Tone::Honey } else { Tone::Ground };
        shapes.push(Shape::Box { x, y: top, width, height: BAR, fill: Some(fill) });
        centres.push(x + width / 2.0);
        x += width;
    }
    let places = if fits { centres.clone() } else { spread(parts, &centres, whole) };
    let mut labels = Vec::new();
    for ((part, &place), &centre) in parts.iter().zip(&places).zip(&centres) {
        let y = if fits { top + BAR / 2.0 } else { 12.0 };
        labels.push(Label::math(place, y, Anchor::Middle, &part.label));
        if !fits {
            let (x1, y1, x2, y2) = (place, 23.0, centre, top);
            shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Faint, width: 1.2 });
        }
    }
    let y = top + BAR + 11.0;
    for (x1, y1, x2, y2) in [
        (1.0, y, whole - 1.0, y),
        (1.0, y - 6.0, 1.0, y + 6.0),
        (whole - 1.0, y - 6.0, whole - 1.0, y + 6.0),
    ] {
        shapes.push(Shape::Line { x1, y1, x2, y2, tone: Tone::Ink, width: 1.5 });
    }
    labels.push(Label::math(whole / 2.0, y + 18.0, Anchor::Middle, total));
    let named: Vec<&str> = parts.iter().map(|part| part.label.as_str()).collect();
    let describes = format!("A bar of {} that makes {total} in all.", named.join(", "));
    Scene { width: whole, height: y + 36.0, shapes, labels, describes }
}

/// Where labels stand above the bar: each as near to the middle of its part as the others let it.
fn spread(parts: &[Mark], centres: &[f64], whole: f64) -> Vec<f64> {
    let half = |index: usize| room(&parts[index].label) / 2.0;
    let mut places = centres.to_vec();
    let mut left = 0.0;
    for (index, place) in places.iter_mut().enumerate() {
        *place = place.max(left + half(index));
        left = *place + half(index) + APART;
    }
    let mut right = whole;
    for (index, place) in places.iter_mut().enumerate().rev() {
        *place = place.min(right - half(index));
        right = *place - half(index) - APART;
    }
    places
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_parts_fill_the_bar() {
        let mark = |at, label: &str| Mark { at, label: label.into() };
        let scene = draw(&[mark(2.0, "n"), mark(2.0, "n"), mark(4.0, "6")], "30");
        let widths: f64 = scene
            .shapes
            .iter()
            .map(|shape| if let Shape::Box { width, .. } = shape { *width } else { 0.0 })
            .sum();
        assert!((widths - (scene.width - 2.0)).abs() < 1e-9);
        assert_eq!(scene.describes, "A bar of n, n, 6 that makes 30 in all.");
        assert!(draw(&[], "0").labels.len() == 1);
        // Longer words have a longer bar.
        let named = [mark(2.0, "beeswax of the year"), mark(5.0, "oil")];
        assert!(draw(&named, "30 kg").width > scene.width);
    }
}
