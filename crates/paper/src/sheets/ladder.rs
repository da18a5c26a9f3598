//! A ladder as a sheet for students, and its key for the teacher.

use crate::engine::{PaperError, Pdf, Template, pdf};
use crate::inline;
use drawing::{Anchor, Scene, Shape, Tone};
use serde_json::{Value, json};
use skills::ladder::{FlawedLine, Ladder, Rung};
use teaching::answer::{AnswerKind, AnswerOption};
use teaching::skill::Stage;

/// The problems with room to work.
///
/// # Errors
/// [`PaperError`] when the sheet cannot be typeset.
pub fn sheet(title: &str, ladder: &Ladder) -> Result<Pdf, PaperError> {
    pdf(Template::Ladder, &data(title, ladder, false, false))
}

/// The problems with their choices, one of them right.
///
/// # Errors
/// As [`sheet`].
pub fn choices(title: &str, ladder: &Ladder) -> Result<Pdf, PaperError> {
    pdf(Template::Ladder, &data(title, ladder, false, true))
}

/// The answers; with `full`, every working too.
///
/// # Errors
/// [`PaperError`] when the sheet cannot be typeset.
pub fn key(title: &str, ladder: &Ladder, full: bool) -> Result<Pdf, PaperError> {
    pdf(Template::Key, &data(title, ladder, full, false))
}

fn data(title: &str, ladder: &Ladder, full: bool, with_choices: bool) -> Value {
    let stages: Vec<Value> = Stage::ALL
        .into_iter()
        .filter_map(|stage| {
            let rungs: Vec<Value> = ladder
                .rungs
                .iter()
                .enumerate()
                .filter(|(_, rung)| rung.stage == stage)
                .map(|(index, rung)| self::rung(index + 1, rung, with_choices))
                .collect();
            (!rungs.is_empty()).then(|| json!({ "name": name(stage), "rungs": rungs }))
        })
        .collect();
    json!({
        "title": title,
        "seed": ladder.seed.to_string(),
        "version": ladder.version,
        "full": full,
        "stages": stages,
    })
}

const fn name(stage: Stage) -> &'static str {
    match stage {
        Stage::Grip => "Grip",
        Stage::Tilt => "Tilt",
        Stage::Climb => "Climb",
    }
}

fn rung(number: usize, rung: &Rung, with_choices: bool) -> Value {
    let lines: Vec<Value> = rung
        .working
        .iter()
        .map(|line| {
            json!({ "math": inline::working_line(line), "reason": inline::pieces(&line.reason) })
        })
        .collect();
    // An answer in words is printed as words; otherwise as mathematics.
    let answer = match &rung.answer.latex {
        Some(latex) if !rung.story => {
            // Words may stand before the mathematics: which line of somebody's working breaks.
            let math = rung.answer.read().map(|line| algebra::write::text_line(&line));
            let words = math.and_then(|math| rung.answer.text.strip_suffix(math.as_str()));
            inline::pieces(&format!("{}${latex}$", words.unwrap_or_default()))
        }
        _ => inline::pieces(&rung.answer.text),
    };
    json!({
        "number": number,
        "prompt": inline::pieces(&rung.prompt),
        "figure": rung.figure.as_ref().map(|figure| scene(&drawing::draw(figure))),
        "grown": rung.grown().map(|figure| scene(&drawing::draw(figure))),
        "answer": answer,
        "lines": lines,
        "choices": (with_choices && !rung.choices.is_empty()).then(|| options(&rung.offered())),
        "flawed": rung.flawed.as_ref().map(|flawed| {
            // The sign that joins a line to the one above it is no part of its mathematics.
            let line = |line: &FlawedLine| match line.latex.strip_prefix("= ") {
                Some(latex) => inline::pieces(&format!("= ${latex}$")),
                None => inline::pieces(&format!("${}$", line.latex)),
            };
            flawed.lines.iter().map(line).collect::<Vec<_>>()
        }),
        "place": place(&rung.kind()),
        "room": rung.working.len(),
    })
}

/// What stands on paper to write an answer in, by its kind.
fn place(kind: &AnswerKind) -> Value {
    let unit = match kind {
        AnswerKind::Quantity { units, .. } if units.len() == 1 => units[0].clone(),
        AnswerKind::Bearing => "°".into(),
        AnswerKind::Numeral { base } => format!("in base {base}"),
        _ => String::new(),
    };
    let offered = match kind {
        AnswerKind::Choice { options: offered } => options(offered),
        AnswerKind::Judgement { options: words, .. } => {
            words.iter().map(|w| inline::pieces(w)).collect()
        }
        _ => Vec::new(),
    };
    let because = matches!(kind, AnswerKind::Judgement { because: true, .. });
    json!({ "space": kind.space(), "unit": unit, "options": offered, "because": because })
}

/// Choices: words as words, everything else as mathematics.
fn options(offered: &[AnswerOption]) -> Vec<Value> {
    offered.iter().map(|one| inline::pieces(&one.shown)).collect()
}

/// A scene as the templates draw it: the same layout as on the screen.
fn scene(scene: &Scene) -> Value {
    let tone = |tone: Tone| match tone {
        Tone::Ink => "ink",
        Tone::Faint => "faint",
        Tone::Honey => "honey",
        Tone::Deep => "deep",
        Tone::Ground => "ground",
    };
    let shapes: Vec<Value> = scene
        .shapes
        .iter()
        .map(|shape| match shape {
            Shape::Line { x1, y1, x2, y2, tone: colour, width } => json!({
                "kind": "line", "x1": x1, "y1": y1, "x2": x2, "y2": y2,
                "tone": tone(*colour), "width": width
            }),
            Shape::Box { x, y, width, height, fill } => json!({
                "kind": "box", "x": x, "y": y, "width": width, "height": height,
                "fill": fill.map(tone)
            }),
            Shape::Curve { points, tone: colour, width, dashed } => json!({
                "kind": "curve", "points": points, "tone": tone(*colour), "width": width,
                "dashed": dashed
            }),
            Shape::Area { points, fill } => json!({
                "kind": "area", "points": points, "fill": tone(*fill)
            }),
            Shape::Dot { x, y, radius, tone: colour, hollow } => json!({
                "kind": "dot", "x": x, "y": y, "radius": radius, "tone": tone(*colour),
                "hollow": hollow
            }),
        })
        .collect();
    let labels: Vec<Value> = scene
        .labels
        .iter()
        .map(|label| {
            let anchor = match label.anchor {
                Anchor::Start => "start",
                Anchor::Middle => "middle",
                Anchor::End => "end",
            };
            let text = if label.latex.is_empty() {
                json!([{ "t": label.text }])
            } else {
                inline::pieces(&format!("${}$", label.latex))
            };
            json!({ "x": label.x, "y": label.y, "anchor": anchor, "text": text })
        })
        .collect();
    json!({
        "width": scene.width, "height": scene.height, "shapes": shapes, "labels": labels,
        "describes": scene.describes
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::engine::Standard;
    use skills::ladder::LadderOrder;

    fn ladder() -> Ladder {
        let skills = ["ratio.missing-term", "equations.linear"].map(str::to_owned).to_vec();
        let order = LadderOrder {
            skills,
            grip: 3,
            tilt: 3,
            climb: 3,
            seed: 7,
            method: None,
            ..LadderOrder::default()
        };
        Ladder::make(&order).expect("made")
    }

    #[test]
    fn sheets_are_accessible_and_the_same_every_time() {
        let ladder = ladder();
        for made in [sheet("Proportions", &ladder), key("Proportions", &ladder, true)] {
            let made = made.expect("typeset");
            assert!(made.bytes.starts_with(b"%PDF"));
            assert_eq!(made.standard, Standard::Ua1);
        }
        let again = || sheet("Proportions", &ladder).expect("typeset").bytes;
        assert_eq!(again(), again());
    }

    #[test]
    fn what_people_type_is_printed_and_never_run() {
        let mut ladder = ladder();
        let typed = "#panic(\"no\") $#import \"/x\"$ \\ * _ @ ` ] ) ${} $#while true {}$";
        ladder.rungs[0].prompt = typed.into();
        let nested = format!("{}x{}", "(1+".repeat(50), ")".repeat(50));
        ladder.rungs[1].prompt = format!("Look at ${nested}$.");
        let powers = format!("{}x", "2^".repeat(55));
        ladder.rungs[2].prompt = format!("Look at ${powers}$.");
        assert!(sheet("#[x] $", &ladder).expect("typeset").bytes.starts_with(b"%PDF"));
    }
}
