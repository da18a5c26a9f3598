//! A month as a sheet of a calendar, a week in a row.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const CELL: [f64; 2] = [52.0, 34.0];
const DAYS: [&str; 7] = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/// Lays the month out.
pub fn draw(first: u32, days: u32, marked: &[u32]) -> Scene {
    let (first, days) = (first % 7, days.min(31));
    let [wide, high] = CELL;
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let middle = |column: u32| f64::from(column).mul_add(wide, wide / 2.0 + 1.0);
    for (column, name) in (0..).zip(DAYS) {
        labels.push(Label::words(middle(column), high / 2.0, Anchor::Middle, name));
    }
    for day in 1..=days {
        let (column, row) = ((first + day - 1) % 7, (first + day - 1) / 7);
        let (x, y) = (f64::from(column).mul_add(wide, 1.0), f64::from(row + 1).mul_add(high, 1.0));
        let fill = Some(if marked.contains(&day) { Tone::Honey } else { Tone::Ground });
        shapes.push(Shape::Box { x, y, width: wide, height: high, fill });
        labels.push(Label::words(middle(column), y + high / 2.0, Anchor::Middle, &day.to_string()));
    }
    let rows = (first + days).div_ceil(7) + 1;
    let told: Vec<String> = marked.iter().map(u32::to_string).collect();
    let describes = format!(
        "A month of {days} days that begins on a {}. Marked: {}.",
        ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"]
            [first as usize],
        told.join(", ")
    );
    Scene {
        width: 7.0f64.mul_add(wide, 2.0),
        height: f64::from(rows).mul_add(high, 3.0),
        shapes,
        labels,
        describes,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_week_later_stands_below() {
        let scene = draw(2, 30, &[9, 16]);
        let at =
            |day: &str| scene.labels.iter().find(|label| label.text == day).map(|l| (l.x, l.y));
        let ((x1, y1), (x2, y2)) = (at("9").expect("day"), at("16").expect("day"));
        assert!((x1 - x2).abs() < 1e-9 && y2 > y1);
        assert_eq!(
            scene.describes,
            "A month of 30 days that begins on a Wednesday. Marked: 9, 16."
        );
        assert_eq!(draw(9, 400, &[]).shapes.len(), 31);
    }
}
