//! A rectangle cut by its sides, each cell the product of its row and its column.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const ROW: f64 = 54.0;
const LEAST: f64 = 84.0;
const PER_LETTER: f64 = 9.5;
const AROUND: f64 = 24.0;
/// Room for the labels above.
const ABOVE: f64 = 30.0;

fn room(text: &str) -> f64 {
    text.chars().count() as f64 * PER_LETTER
}

/// Lays the grid out; a column is as wide as its longest text needs.
pub fn draw(across: &[String], down: &[String], cells: &[Vec<String>]) -> Scene {
    let left = down.iter().map(|text| room(text)).fold(0.0, f64::max) + 14.0;
    let widths: Vec<f64> = across
        .iter()
        .enumerate()
        .map(|(at, head)| {
            let longest = cells.iter().filter_map(|row| row.get(at)).map(|text| room(text));
            longest.fold(room(head), f64::max).max(LEAST - AROUND) + AROUND
        })
        .collect();
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let mut x = left;
    for (at, (head, &width)) in across.iter().zip(&widths).enumerate() {
        labels.push(Label::math(x + width / 2.0, ABOVE / 2.0, Anchor::Middle, head));
        for index in 0..down.len() {
            let y = (index as f64).mul_add(ROW, ABOVE);
            let text = cells.get(index).and_then(|row| row.get(at)).map_or("", String::as_str);
            let fill = if text.is_empty() { Tone::Ground } else { Tone::Honey };
            shapes.push(Shape::Box { x, y, width, height: ROW, fill: Some(fill) });
            if !text.is_empty() {
                labels.push(Label::math(x + width / 2.0, y + ROW / 2.0, Anchor::Middle, text));
            }
        }
        x += width;
    }
    for (index, head) in down.iter().enumerate() {
        let y = (index as f64).mul_add(ROW, ABOVE + ROW / 2.0);
        labels.push(Label::math(left - 10.0, y, Anchor::End, head));
    }
    let filled: Vec<&str> =
        cells.iter().flatten().map(String::as_str).filter(|text| !text.is_empty()).collect();
    let describes = format!(
        "A rectangle, {} across and {} down{}.",
        across.join(" and "),
        down.join(" and "),
        if filled.is_empty() {
            String::new()
        } else {
            format!(", with the areas {}", filled.join(", "))
        }
    );
    let height = (down.len() as f64).mul_add(ROW, ABOVE + 2.0);
    Scene { width: x + 2.0, height, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_cell_is_a_product_and_may_wait() {
        let texts = |all: &[&str]| all.iter().map(|&text| text.to_owned()).collect::<Vec<_>>();
        let cells = [texts(&["x^2", "-4x"]), texts(&["3x", ""])];
        let scene = draw(&texts(&["x", "-4"]), &texts(&["x", "3"]), &cells);
        assert_eq!((scene.shapes.len(), scene.labels.len()), (4, 2 + 2 + 3));
        assert_eq!(
            scene.describes,
            "A rectangle, x and -4 across and x and 3 down, with the areas x^2, -4x, 3x."
        );
    }
}
