//! Units as stairs, the largest at the top: each step down has its factor.

use super::place::line;
use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const STEP: [f64; 2] = [120.0, 44.0];
const TOP: f64 = 6.0;

/// Lays the stairs out from the upper left to the lower right.
pub fn draw(units: &[String], factors: &[String], way: [u32; 2]) -> Scene {
    let [wide, high] = STEP;
    let (mut shapes, mut labels) = (Vec::new(), Vec::new());
    let (low, top) = (way[0].min(way[1]) as usize, way[0].max(way[1]) as usize);
    for (at, unit) in units.iter().enumerate() {
        let (x, y) = ((at as f64).mul_add(wide, 1.0), (at as f64).mul_add(high, TOP));
        let fill = Some(if at == low || at == top { Tone::Honey } else { Tone::Ground });
        shapes.push(Shape::Box { x, y, width: wide, height: high, fill });
        labels.push(Label::words(x + wide / 2.0, y + high / 2.0, Anchor::Middle, unit));
    }
    let is_down = way[1] >= way[0];
    let mut told = Vec::new();
    for (at, factor) in factors.iter().enumerate().take(units.len().saturating_sub(1)) {
        let is_gone = (low..top).contains(&at);
        let (x, y) = ((at as f64 + 1.0).mul_add(wide, 1.0), (at as f64).mul_add(high, TOP));
        let sign = if is_down || !is_gone { '×' } else { '÷' };
        let text = format!("{sign} {factor}");
        labels.push(Label::words(x + wide / 2.0, y + high / 2.0, Anchor::Middle, &text));
        if is_gone {
            let (from, to) = ([x + 8.0, y + 10.0], [x + 8.0, y + high - 2.0]);
            shapes.push(line(from, to, Tone::Deep, 3.0));
            let (tip, back) = if is_down { (to, -8.0) } else { (from, 8.0) };
            shapes.push(Shape::Area {
                points: vec![tip, [tip[0] - 5.0, tip[1] + back], [tip[0] + 5.0, tip[1] + back]],
                fill: Tone::Deep,
            });
            told.push(text);
        }
    }
    let name = |at: usize| units.get(at).map_or("", String::as_str);
    let (from, to) = if is_down { (low, top) } else { (top, low) };
    if !is_down {
        told.reverse();
    }
    let describes = format!(
        "Stairs of units: {}. From {} to {}: {}.",
        units.join(", "),
        name(from),
        name(to),
        told.join(", ")
    );
    let count = units.len() as f64;
    Scene {
        width: count.mul_add(wide, 2.0),
        height: count.mul_add(high, TOP + 2.0),
        shapes,
        labels,
        describes,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn down_multiplies_and_up_divides() {
        let units = ["km", "m", "cm"].map(String::from);
        let factors = ["1000", "100"].map(String::from);
        let told = |way| draw(&units, &factors, way).describes;
        assert_eq!(told([0, 2]), "Stairs of units: km, m, cm. From km to cm: × 1000, × 100.");
        assert_eq!(told([2, 1]), "Stairs of units: km, m, cm. From cm to m: ÷ 100.");
    }
}
