//! A scene as an SVG file that stands alone, with its labels as plain text.

use crate::scene::{Anchor, Scene, Shape, Tone};
use std::fmt::Write;

const fn colour(tone: Tone) -> &'static str {
    match tone {
        Tone::Ink => "#22303c",
        Tone::Faint => "#8a949c",
        Tone::Honey => "#f6c453",
        Tone::Deep => "#7a4f00",
        Tone::Ground => "#f4efe4",
    }
}

/// Text made safe between tags and in attributes.
fn escaped(text: &str) -> String {
    text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;").replace('"', "&quot;")
}

/// The file's text.
#[must_use]
pub fn svg(scene: &Scene) -> String {
    let mut out = format!(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {} {}\" role=\"img\"><title>{}</title>",
        scene.width,
        scene.height,
        escaped(&scene.describes)
    );
    for shape in &scene.shapes {
        // Writing into a String cannot fail.
        let _ = match shape {
            Shape::Line { x1, y1, x2, y2, tone, width } => write!(
                out,
                "<line x1=\"{x1}\" y1=\"{y1}\" x2=\"{x2}\" y2=\"{y2}\" stroke=\"{}\" stroke-width=\"{width}\"/>",
                colour(*tone)
            ),
            Shape::Box { x, y, width, height, fill } => write!(
                out,
                "<rect x=\"{x}\" y=\"{y}\" width=\"{width}\" height=\"{height}\" fill=\"{}\" stroke=\"{}\"/>",
                fill.map_or("none", colour),
                colour(Tone::Ink)
            ),
            Shape::Curve { points, tone, width, dashed } => {
                let path: Vec<_> = points.iter().map(|[x, y]| format!("{x:.1},{y:.1}")).collect();
                let dashes = if *dashed { " stroke-dasharray=\"8 6\"" } else { "" };
                write!(
                    out,
                    "<polyline points=\"{}\" fill=\"none\" stroke=\"{}\" stroke-width=\"{width}\"{dashes}/>",
                    path.join(" "),
                    colour(*tone)
                )
            }
            Shape::Area { points, fill } => {
                let path: Vec<_> = points.iter().map(|[x, y]| format!("{x:.1},{y:.1}")).collect();
                write!(
                    out,
                    "<polygon points=\"{}\" fill=\"{}\" stroke=\"{}\"/>",
                    path.join(" "),
                    colour(*fill),
                    colour(Tone::Ink)
                )
            }
            Shape::Dot { x, y, radius, tone, hollow } => write!(
                out,
                "<circle cx=\"{x}\" cy=\"{y}\" r=\"{radius}\" fill=\"{}\" stroke=\"{}\" stroke-width=\"1.5\"/>",
                if *hollow { "#ffffff" } else { colour(*tone) },
                colour(if *hollow { *tone } else { Tone::Ink })
            ),
        };
    }
    for label in &scene.labels {
        let anchor = match label.anchor {
            Anchor::Start => "start",
            Anchor::Middle => "middle",
            Anchor::End => "end",
        };
        let _ = write!(
            out,
            "<text x=\"{}\" y=\"{}\" text-anchor=\"{anchor}\" dominant-baseline=\"central\" font-family=\"sans-serif\" font-size=\"16\">{}</text>",
            label.x,
            label.y,
            escaped(&label.text)
        );
    }
    out.push_str("</svg>");
    out
}

#[cfg(test)]
mod tests {
    use super::*;
    use teaching::figure::{Figure, Mark};

    #[test]
    fn what_people_typed_stays_text() {
        let points = vec![Mark { at: 1.0, label: "<script>".into() }];
        let file = svg(&crate::draw(&Figure::NumberLine { from: 0, to: 2, points }));
        assert!(!file.contains("<script>"));
        assert!(file.contains("&lt;script&gt;") && file.ends_with("</svg>"));
    }
}
