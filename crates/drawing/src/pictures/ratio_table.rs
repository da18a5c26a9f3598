//! A ratio table: two rows whose columns are in one ratio, with the missing number on honey.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const ROW: f64 = 44.0;
const COLUMN: f64 = 76.0;
const PER_LETTER: f64 = 8.5;

/// Lays the table out.
pub fn draw(rows: &[String; 2], columns: &[[String; 2]]) -> Scene {
    let longest = rows.iter().map(|row| row.chars().count()).max().unwrap_or(0);
    let heading = if longest == 0 { 0.0 } else { (longest as f64).mul_add(PER_LETTER, 24.0) };
    let width = (columns.len() as f64).mul_add(COLUMN, heading) + 2.0;
    let height = 2.0 * ROW + 2.0;
    let mut scene = Scene {
        width,
        height,
        shapes: Vec::new(),
        labels: Vec::new(),
        describes: describe(rows, columns),
    };
    for (index, name) in rows.iter().enumerate() {
        let y = (index as f64).mul_add(ROW, 1.0);
        if heading > 0.0 {
            let fill = Some(Tone::Ground);
            scene.shapes.push(Shape::Box { x: 1.0, y, width: heading, height: ROW, fill });
            let label = Label::words(13.0, y + ROW / 2.0, Anchor::Start, name);
            scene.labels.push(label);
        }
        for (at, column) in columns.iter().enumerate() {
            let x = (at as f64).mul_add(COLUMN, heading) + 1.0;
            let text = &column[index];
            let is_asked = text.chars().all(char::is_alphabetic);
            let fill = is_asked.then_some(Tone::Honey);
            scene.shapes.push(Shape::Box { x, y, width: COLUMN, height: ROW, fill });
            let centre = (x + COLUMN / 2.0, y + ROW / 2.0);
            scene.labels.push(Label::math(centre.0, centre.1, Anchor::Middle, text));
        }
    }
    scene
}

fn describe(rows: &[String; 2], columns: &[[String; 2]]) -> String {
    let row = |index: usize| {
        let numbers: Vec<&str> = columns.iter().map(|column| column[index].as_str()).collect();
        let name = if rows[index].is_empty() { "row" } else { &rows[index] };
        format!("{name}: {}", numbers.join(", "))
    };
    format!("A ratio table. {}; {}.", row(0), row(1))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_number_has_its_place_and_the_missing_one_stands_on_honey() {
        let rows = ["sugar in kg".to_owned(), "water in litres".to_owned()];
        let columns = [["3".to_owned(), "n".to_owned()], ["12".to_owned(), "8".to_owned()]];
        let scene = draw(&rows, &columns);
        assert_eq!(scene.labels.len(), 6);
        let honey = |s: &&Shape| matches!(s, Shape::Box { fill: Some(Tone::Honey), .. });
        assert_eq!(scene.shapes.iter().filter(honey).count(), 1);
        assert_eq!(scene.describes, "A ratio table. sugar in kg: 3, 12; water in litres: n, 8.");
        for label in &scene.labels {
            assert!(label.x < scene.width && label.y < scene.height);
        }
    }
}
