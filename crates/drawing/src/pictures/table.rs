//! A table of values, one row below the other, with the missing number on honey.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const ROW: f64 = 44.0;
const COLUMN: f64 = 76.0;
const PER_LETTER: f64 = 8.5;
/// Around a text in its cell.
const AROUND: f64 = 24.0;

/// A table with what each row shows and its values from left to right.
pub fn draw(heads: &[String], rows: &[Vec<String>]) -> Scene {
    let row = |(head, row): (&String, &Vec<String>)| format!("{head}: {}", row.join(", "));
    let all: Vec<String> = heads.iter().zip(rows).map(row).collect();
    Scene { describes: format!("A table. {}.", all.join("; ")), ..lay_out(heads, rows) }
}

/// Lays the cells out; what the table is has to be told.
pub fn lay_out(heads: &[String], rows: &[Vec<String>]) -> Scene {
    let width_of = |texts: &mut dyn Iterator<Item = &String>| {
        texts.map(|text| text.chars().count()).max().unwrap_or(0) as f64 * PER_LETTER
    };
    let longest = width_of(&mut heads.iter());
    let heading = if longest == 0.0 { 0.0 } else { longest + AROUND };
    let column = COLUMN.max(width_of(&mut rows.iter().flatten()) + AROUND);
    let columns = rows.iter().map(Vec::len).max().unwrap_or(0);
    let mut scene = Scene {
        width: (columns as f64).mul_add(column, heading) + 2.0,
        height: (rows.len() as f64).mul_add(ROW, 2.0),
        shapes: Vec::new(),
        labels: Vec::new(),
        describes: String::new(),
    };
    for (index, row) in rows.iter().enumerate() {
        let y = (index as f64).mul_add(ROW, 1.0);
        if heading > 0.0 {
            let fill = Some(Tone::Ground);
            scene.shapes.push(Shape::Box { x: 1.0, y, width: heading, height: ROW, fill });
            let head = heads.get(index).map_or("", String::as_str);
            scene.labels.push(Label::words(13.0, y + ROW / 2.0, Anchor::Start, head));
        }
        for (at, text) in row.iter().enumerate() {
            let x = (at as f64).mul_add(column, heading) + 1.0;
            let is_asked = !text.is_empty() && text.chars().all(char::is_alphabetic);
            let fill = is_asked.then_some(Tone::Honey);
            scene.shapes.push(Shape::Box { x, y, width: column, height: ROW, fill });
            scene.labels.push(Label::math(x + column / 2.0, y + ROW / 2.0, Anchor::Middle, text));
        }
    }
    scene
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_value_has_its_cell_and_a_long_one_its_room() {
        let rows = [vec!["0".to_owned(), "1".into()], vec!["1/1000000".into(), "y".into()]];
        let scene = draw(&["x".to_owned(), "y".into()], &rows);
        assert_eq!(scene.labels.len(), 6);
        assert!(scene.width > 2.0 * 9.0 * PER_LETTER);
        assert_eq!(scene.describes, "A table. x: 0, 1; y: 1/1000000, y.");
        assert!(draw(&[], &[]).shapes.is_empty());
    }
}
