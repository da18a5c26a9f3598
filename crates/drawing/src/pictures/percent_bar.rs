//! A bar with a percent scale above and amounts below.

use crate::scene::{Anchor, Label, Scene, Shape, Tone};

const WIDTH: f64 = 480.0;
const TOP: f64 = 30.0;
const BAR: f64 = 40.0;
/// Room at both ends for labels.
const SIDE: f64 = 40.0;
/// Labels nearer than this to another one are lifted over it.
const NEAR: f64 = 64.0;

/// Lays the bar out: as long as the greater of 100% and the part.
pub fn draw(percent: f64, part: &str, whole: &str) -> Scene {
    let percent = if percent.is_finite() { percent.clamp(0.0, 1000.0) } else { 0.0 };
    let most = percent.max(100.0);
    let x_of = |percent: f64| (percent / most).mul_add(WIDTH, SIDE);
    let (part_x, whole_x) = (x_of(percent), x_of(100.0));
    let mut shapes = vec![
        Shape::Box { x: SIDE, y: TOP + 22.0, width: WIDTH, height: BAR, fill: Some(Tone::Ground) },
        Shape::Box {
            x: SIDE,
            y: TOP + 22.0,
            width: part_x - SIDE,
            height: BAR,
            fill: Some(Tone::Honey),
        },
    ];
    let is_near = (part_x - whole_x).abs() < NEAR || part_x - SIDE < NEAR;
    // Where two labels would meet, that of the part stands a row further out.
    let out = if is_near { 22.0 } else { 0.0 };
    let mut labels = Vec::new();
    for (x, above, below, out) in [
        (SIDE, "0%".to_owned(), "0", 0.0),
        (part_x, format!("{}%", shown(percent)), part, out),
        (whole_x, "100%".to_owned(), whole, 0.0),
    ] {
        let (y1, y2) = (TOP + 18.0 - out, TOP + 26.0 + BAR + out);
        shapes.push(Shape::Line { x1: x, y1, x2: x, y2, tone: Tone::Ink, width: 1.5 });
        labels.push(Label::math(x, y1 - 10.0, Anchor::Middle, &above));
        labels.push(Label::math(x, y2 + 12.0, Anchor::Middle, below));
    }
    let describes = format!("A bar: {}% is {part}, and 100% is {whole}.", shown(percent));
    Scene { width: WIDTH + 2.0 * SIDE, height: TOP + BAR + 76.0, shapes, labels, describes }
}

/// A percent without needless zeros.
fn shown(percent: f64) -> String {
    let text = format!("{percent:.2}");
    text.trim_end_matches('0').trim_end_matches('.').to_owned()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_part_stands_over_its_amount() {
        let scene = draw(15.0, "n", "60");
        assert_eq!(scene.describes, "A bar: 15% is n, and 100% is 60.");
        let x_of =
            |text: &str| scene.labels.iter().find(|label| label.text == text).map(|label| label.x);
        assert_eq!(x_of("15%"), x_of("n"));
        assert_eq!(x_of("100%"), x_of("60"));
        // Beyond the whole, the bar is longer than it.
        let over = draw(125.0, "75", "60");
        let whole = over.labels.iter().find(|label| label.text == "100%").map(|label| label.x);
        assert!(whole < Some(SIDE + WIDTH));
        assert!(draw(f64::NAN, "", "").width > 0.0);
    }
}
