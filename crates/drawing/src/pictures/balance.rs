//! Scales in balance: bags of an unknown weight and known weights on two pans.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};
use teaching::figure::Load;

const PAN: f64 = 230.0;
const BETWEEN: f64 = 40.0;
const BAG: f64 = 36.0;
const GAP: f64 = 4.0;
const PER_LETTER: f64 = 9.0;
/// Bags of a kind that need more rows than this are drawn as one.
const MOST_ROWS: f64 = 2.0;

/// Lays the scales out, level.
pub fn draw(left: &[Load], right: &[Load]) -> Scene {
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let width = 2.0 * PAN + BETWEEN;
    let middle = width / 2.0;
    let heaps = [left, right].map(|loads| rows(things(loads)));
    let highest = heaps.iter().map(Vec::len).max().unwrap_or(0).max(1) as f64;
    let floor = highest.mul_add(BAG + 2.0, 4.0);
    let beam = floor + 18.0;
    for (from, heap) in [0.0, PAN + BETWEEN].into_iter().zip(&heaps) {
        let centre = from + PAN / 2.0;
        shapes.push(line([from + 6.0, floor], [from + PAN - 6.0, floor], Tone::Ink, 3.0));
        shapes.push(line([centre, floor], [centre, beam], Tone::Ink, 2.0));
        lay(heap, [from, floor], &mut shapes, &mut labels);
    }
    shapes.push(line([PAN / 2.0, beam], [width - PAN / 2.0, beam], Tone::Ink, 3.0));
    shapes.push(Shape::Area {
        points: vec![[middle, beam], [middle - 20.0, beam + 34.0], [middle + 20.0, beam + 34.0]],
        fill: Tone::Ground,
    });
    let describes =
        format!("Scales in balance: {} on the left, {} on the right.", told(left), told(right));
    Scene { width, height: beam + 36.0, shapes, labels, describes }
}

fn told(loads: &[Load]) -> String {
    let one = |load: &Load| {
        let lifts = if load.lifts { " that lifts" } else { "" };
        match load.count {
            1 => format!("{}{lifts}", load.label),
            count => format!("{count} times {}{lifts}", load.label),
        }
    };
    let all: Vec<String> = loads.iter().filter(|load| load.count > 0).map(one).collect();
    if all.is_empty() { "nothing".into() } else { all.join(" and ") }
}

/// A bag or a weight with its text.
struct Thing {
    text: String,
    width: f64,
    fill: Option<Tone>,
}

fn thing(text: &str, load: &Load) -> Thing {
    let is_bag = text.chars().any(char::is_alphabetic);
    let fill = match (load.lifts, is_bag) {
        (true, _) => None,
        (false, true) => Some(Tone::Honey),
        (false, false) => Some(Tone::Ground),
    };
    let text = if load.lifts { format!("-{text}") } else { text.to_owned() };
    let width = (text.chars().count() as f64).mul_add(PER_LETTER, 8.0).max(BAG);
    Thing { text, width, fill }
}

/// What lies on a pan, one by one; too many of a kind to be counted at a glance are one bag.
fn things(loads: &[Load]) -> Vec<Thing> {
    let one = |load: &Load| {
        let alone = thing(&load.label, load);
        let room = f64::from(load.count) * (alone.width + GAP);
        if load.count > 1 && room > MOST_ROWS * (PAN - 12.0) {
            let is_sum = load.label.contains(' ');
            let label = if is_sum { format!("({})", load.label) } else { load.label.clone() };
            return vec![thing(&format!("{}{label}", load.count), load)];
        }
        (0..load.count).map(|_| thing(&load.label, load)).collect()
    };
    loads.iter().flat_map(one).collect()
}

fn wide(row: &[Thing]) -> f64 {
    row.iter().map(|thing| thing.width + GAP).sum()
}

/// As many beside each other as a pan holds; the next ones stand on them.
fn rows(things: Vec<Thing>) -> Vec<Vec<Thing>> {
    let mut rows: Vec<Vec<Thing>> = Vec::new();
    for thing in things {
        match rows.last_mut() {
            Some(row) if wide(row) + thing.width + GAP <= PAN - 12.0 => row.push(thing),
            _ => rows.push(vec![thing]),
        }
    }
    rows
}

/// Puts rows of things on a pan, the first below.
fn lay(
    rows: &[Vec<Thing>],
    [from, floor]: [f64; 2],
    shapes: &mut Vec<Shape>,
    labels: &mut Vec<Label>,
) {
    for (at, row) in rows.iter().enumerate() {
        let y = (at as f64).mul_add(-(BAG + 2.0), floor - BAG - 2.0);
        let mut x = from + (PAN - wide(row) + GAP) / 2.0;
        for thing in row {
            let width = thing.width;
            shapes.push(Shape::Box { x, y, width, height: BAG, fill: thing.fill });
            labels.push(Label::math(x + width / 2.0, y + BAG / 2.0, Anchor::Middle, &thing.text));
            x += width + GAP;
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn both_pans_are_told() {
        let load = |label: &str, count, lifts| Load { label: label.into(), count, lifts };
        let scene = draw(&[load("x", 3, false), load("5", 1, true)], &[load("20", 1, false)]);
        assert_eq!(
            scene.describes,
            "Scales in balance: 3 times x and 5 that lifts on the left, 20 on the right."
        );
        let texts: Vec<&str> = scene.labels.iter().map(|label| label.text.as_str()).collect();
        assert_eq!(texts, ["x", "x", "x", "-5", "20"]);
        assert!(draw(&[load("x", 40, false)], &[]).describes.ends_with("nothing on the right."));
    }
}
