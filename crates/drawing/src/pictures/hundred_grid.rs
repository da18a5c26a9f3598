//! A square of a hundred cells: hundredths that are shaded, or the numbers from 1 to 100 with some marked.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

/// Side of a cell without a number.
const CELL: f64 = 18.0;
/// Side of a cell with a number.
const NUMBERED: f64 = 34.0;
const MARGIN: f64 = 2.0;
/// More marked cells than this are told by their number alone.
const MOST_TOLD: usize = 24;

/// Lays the square out, row by row from the top.
pub fn draw(numbered: bool, marked: &[u32]) -> Scene {
    let side = if numbered { NUMBERED } else { CELL };
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    for cell in 1..=100_u32 {
        let (column, row) = ((cell - 1) % 10, (cell - 1) / 10);
        let (x, y) =
            (f64::from(column).mul_add(side, MARGIN), f64::from(row).mul_add(side, MARGIN));
        let fill = Some(if marked.contains(&cell) { Tone::Honey } else { Tone::Ground });
        shapes.push(Shape::Box { x, y, width: side, height: side, fill });
        if numbered {
            let (x, y) = (x + side / 2.0, y + side / 2.0);
            labels.push(Label::words(x, y, Anchor::Middle, &cell.to_string()));
        }
    }
    let edge = 10.0f64.mul_add(side, 2.0 * MARGIN);
    let describes = if numbered && marked.len() <= MOST_TOLD {
        let told: Vec<String> = marked.iter().map(u32::to_string).collect();
        format!("The numbers from 1 to 100. Marked: {}.", told.join(", "))
    } else {
        format!("A square of 100 cells, {} of them marked.", marked.len())
    };
    Scene { width: edge, height: edge, shapes, labels, describes }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn as_many_cells_are_marked_as_it_says() {
        let all: Vec<u32> = (1..=35).collect();
        let scene = draw(false, &all);
        let honey =
            scene.shapes.iter().filter(|s| matches!(s, Shape::Box { fill: Some(Tone::Honey), .. }));
        assert_eq!((honey.count(), scene.shapes.len(), scene.labels.len()), (35, 100, 0));
        assert_eq!(scene.describes, "A square of 100 cells, 35 of them marked.");
        assert_eq!(draw(true, &[9, 19]).describes, "The numbers from 1 to 100. Marked: 9, 19.");
    }
}
