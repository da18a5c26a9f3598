//! Numbers below each other, digit under digit, with the carries above and the result below the line.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const CELL: f64 = 40.0;
const ROW: f64 = 38.0;
/// Room for the sign on the left.
const SIGN: f64 = 34.0;

/// The parts of a sum in columns.
pub struct Columns<'a> {
    pub heads: &'a [String],
    pub carries: &'a [String],
    pub rows: &'a [Vec<String>],
    pub sign: &'a str,
    pub result: &'a [String],
}

/// Lays the columns out; shorter rows stand to the right.
pub fn draw(sum: &Columns) -> Scene {
    let lengths =
        sum.rows.iter().map(Vec::len).chain([sum.heads.len(), sum.carries.len(), sum.result.len()]);
    let columns = lengths.max().unwrap_or(0);
    let width = (columns as f64).mul_add(CELL, SIGN) + 8.0;
    let mut scene =
        Scene { width, height: 0.0, shapes: Vec::new(), labels: Vec::new(), describes: told(sum) };
    let mut y = 4.0;
    let row = |cells: &[String], y: f64, is_small: bool, scene: &mut Scene| {
        for (at, text) in cells.iter().rev().enumerate().filter(|(_, text)| !text.is_empty()) {
            let x = width - 4.0 - (at as f64 + 0.5) * CELL;
            if is_small {
                let (left, top) = (x - 14.0, y + 5.0);
                let fill = Some(Tone::Ground);
                scene.shapes.push(Shape::Box {
                    x: left,
                    y: top,
                    width: 28.0,
                    height: ROW - 10.0,
                    fill,
                });
            }
            scene.labels.push(Label::math(x, y + ROW / 2.0, Anchor::Middle, text));
        }
    };
    if sum.heads.iter().any(|head| !head.is_empty()) {
        row(sum.heads, y, false, &mut scene);
        y += ROW;
    }
    row(sum.carries, y, true, &mut scene);
    y += ROW;
    for (at, cells) in sum.rows.iter().enumerate() {
        row(cells, y, false, &mut scene);
        if at + 1 == sum.rows.len() && !sum.sign.is_empty() {
            scene.labels.push(Label::words(SIGN / 2.0, y + ROW / 2.0, Anchor::Middle, sum.sign));
        }
        y += ROW;
    }
    let line = |y: f64| Shape::Line {
        x1: 4.0,
        y1: y,
        x2: width - 4.0,
        y2: y,
        tone: Tone::Ink,
        width: 2.0,
    };
    scene.shapes.push(line(y + 2.0));
    y += 4.0;
    row(sum.result, y, false, &mut scene);
    scene.height = y + ROW;
    scene
}

fn told(sum: &Columns) -> String {
    let number = |cells: &[String]| cells.concat();
    let rows: Vec<String> = sum.rows.iter().map(|row| number(row)).collect();
    let word = if sum.sign == "+" { "plus" } else { "minus" };
    let mut text = format!("In columns: {}", rows.join(&format!(" {word} ")));
    if sum.carries.iter().any(|carry| !carry.is_empty()) {
        let shown = |carry: &String| if carry.is_empty() { "-".to_owned() } else { carry.clone() };
        let carries: Vec<String> = sum.carries.iter().map(shown).collect();
        text.push_str(&format!("; carries {}", carries.join(" ")));
    }
    if sum.result.iter().any(|digit| !digit.is_empty()) {
        text.push_str(&format!("; below the line {}", number(sum.result)));
    }
    text.push('.');
    text
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn digits_stand_under_digits_and_carries_above_them() {
        let cells =
            |text: &str| text.chars().map(|c| c.to_string().trim().to_owned()).collect::<Vec<_>>();
        let rows = [cells("349"), cells("25")];
        let (carries, result) = (cells(" 1 "), cells("374"));
        let scene = draw(&Columns {
            heads: &[],
            carries: &carries,
            rows: &rows,
            sign: "+",
            result: &result,
        });
        assert_eq!(scene.describes, "In columns: 349 plus 25; carries - 1 -; below the line 374.");
        let x_of = |text: &str| {
            scene.labels.iter().filter(|l| l.text == text).map(|l| l.x).collect::<Vec<_>>()
        };
        // The 5 of 25 stands under the 9 of 349.
        assert!((x_of("9")[0] - x_of("5")[0]).abs() < 1e-9);
        assert_eq!(scene.labels.len(), 3 + 2 + 1 + 1 + 3);
    }
}
