//! A ratio table: two rows whose columns are in one ratio, with the missing number on honey.

use super::table;
use crate::scene::Scene;

/// Lays the table out.
pub fn draw(rows: &[String; 2], columns: &[[String; 2]]) -> Scene {
    let cells: Vec<Vec<String>> =
        [0, 1].map(|index| columns.iter().map(|column| column[index].clone()).collect()).to_vec();
    Scene { describes: describe(rows, columns), ..table::lay_out(rows, &cells) }
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
    use crate::scene::{Shape, Tone};

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
