//! Whatever figure can be stored is laid out: nothing that comes in from outside makes the layout panic, run on, or leave its
//! numbers. One figure of each kind is bent, value by value, to what nobody would draw.

use drawing::{Scene, Shape, draw};
use serde_json::{Value, json};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder};
use std::collections::BTreeMap;
use std::time::{Duration, Instant};
use teaching::figure::Figure;

/// One figure of each kind that the catalogue has, as it is stored.
fn posed() -> BTreeMap<String, Value> {
    let mut found = BTreeMap::new();
    for card in SKILLS.iter().map(|skill| skill.card()) {
        for (seed, method) in
            (0..3).flat_map(|seed| card.methods.iter().map(move |method| (seed, method.id)))
        {
            let order = LadderOrder {
                skills: vec![card.id.into()],
                grip: 3,
                tilt: 2,
                climb: 2,
                seed,
                method: Some(method),
                ..LadderOrder::default()
            };
            for rung in Ladder::make(&order).expect("made").rungs {
                let figures = rung
                    .figure
                    .into_iter()
                    .chain(rung.working.into_iter().filter_map(|line| line.figure));
                for figure in figures {
                    let stored = serde_json::to_value(&figure).expect("stored");
                    let kind = stored["kind"].as_str().expect("a kind").to_owned();
                    found.entry(kind).or_insert(stored);
                }
            }
        }
    }
    found
}

/// One figure of each kind, as it is stored.
fn kinds() -> Vec<Value> {
    let mut all = posed();
    for figure in by_hand() {
        all.entry(figure["kind"].as_str().expect("a kind").to_owned()).or_insert(figure);
    }
    assert!(all.len() >= 30, "{:?}", all.keys());
    all.into_values().collect()
}

/// Those that teachers choose, and no problem brings.
#[rustfmt::skip]
fn by_hand() -> Vec<Value> {
    let mark = |at: f64, label: &str| json!({"at": at, "label": label});
    vec![
        json!({"kind": "ratio_table", "rows": ["jars", "frames"], "columns": [["2", "3"], ["4", "n"]]}),
        json!({"kind": "number_line", "from": -2, "to": 8, "points": [mark(3.0, "x"), mark(5.5, "y")]}),
        json!({"kind": "bar", "parts": [mark(2.0, "n"), mark(3.0, "6")], "total": "30"}),
        json!({"kind": "ruler", "length": 12, "thing": [2.0, 7.5], "label": "a feather"}),
        json!({"kind": "table", "heads": ["x", "y"], "rows": [["1", "2"], ["3", "4"]]}),
        json!({"kind": "blocks", "hundreds": 2, "tens": 11, "ones": 7}),
        json!({"kind": "columns", "heads": ["H", "T", "O"], "carries": ["", "1", ""], "rows": [["3", "4", "6"], ["2", "7", "8"]], "sign": "+", "result": ["6", "2", "4"]}),
        json!({"kind": "dot_array", "rows": 3, "columns": 5, "filled": 7}),
        json!({"kind": "hundred_grid", "numbered": true, "marked": [6, 12, 18]}),
        json!({"kind": "coins", "values": [10, 5, 1]}),
        json!({"kind": "tally", "count": 17}),
        json!({"kind": "calendar", "first": 3, "days": 30, "marked": [4, 11]}),
        json!({"kind": "area_model", "across": [20, 3], "down": [10, 4]}),
        json!({"kind": "counters", "positive": 5, "negative": 3, "pairs": 2}),
        json!({"kind": "percent_bar", "percent": 35.0, "part": "28", "whole": "80"}),
    ]
}

/// Every figure of `kind` with one of its values bent.
fn bent(value: &Value) -> Vec<Value> {
    let odd = match value {
        Value::Number(_) => vec![
            json!(0),
            json!(1),
            json!(-1),
            json!(255),
            json!(65_536),
            json!(4_294_967_295_u64),
            json!(-2_147_483_648_i64),
            json!(0.5),
            json!(1e-300),
            json!(1e300),
            json!(-1e300),
        ],
        Value::String(_) => vec![
            json!(""),
            json!("m".repeat(400)),
            json!("🐝é漢"),
            json!("<&\"'>"),
            json!("\\frac{1}{2}"),
            json!("1/0"),
        ],
        Value::Bool(is) => vec![json!(!is)],
        Value::Array(all) => {
            let one = all.first().cloned();
            let many = one.clone().map(|one| json!(vec![one; 300]));
            let mut odd = vec![json!([]), json!(one.into_iter().collect::<Vec<_>>())];
            odd.extend(many);
            odd.push(json!(all.iter().rev().collect::<Vec<_>>()));
            odd
        }
        _ => Vec::new(),
    };
    let within: Vec<Value> = match value {
        // What is true of the first few is true of the rest.
        Value::Array(all) => (0..all.len().min(3))
            .flat_map(|at| {
                bent(&all[at]).into_iter().map(move |part| {
                    let mut now = all.clone();
                    now[at] = part;
                    json!(now)
                })
            })
            .collect(),
        Value::Object(all) => all
            .iter()
            .filter(|(name, _)| name.as_str() != "kind")
            .flat_map(|(name, part)| {
                bent(part).into_iter().map(move |part| {
                    let mut now = all.clone();
                    now.insert(name.clone(), part);
                    Value::Object(now)
                })
            })
            .collect(),
        _ => Vec::new(),
    };
    odd.into_iter().chain(within).collect()
}

/// Every number of a scene.
fn numbers(scene: &Scene) -> Vec<f64> {
    let mut all = vec![scene.width, scene.height];
    for shape in &scene.shapes {
        match shape {
            Shape::Line { x1, y1, x2, y2, width, .. } => all.extend([x1, y1, x2, y2, width]),
            Shape::Box { x, y, width, height, .. } => all.extend([x, y, width, height]),
            Shape::Curve { points, .. } | Shape::Area { points, .. } => {
                all.extend(points.as_flattened())
            }
            Shape::Dot { x, y, radius, .. } => all.extend([x, y, radius]),
        }
    }
    all.extend(scene.labels.iter().flat_map(|label| [label.x, label.y]));
    all
}

/// Most shapes that a page can be asked to draw.
const MOST_SHAPES: usize = 20_000;
/// The longest that a layout may take; a usual one takes some microseconds.
const LONGEST: Duration = Duration::from_secs(2);

#[test]
fn every_figure_that_can_be_stored_is_laid_out() {
    let (mut drawn, mut faults) = (0, Vec::new());
    for kind in kinds() {
        assert!(serde_json::from_value::<Figure>(kind.clone()).is_ok(), "{kind}");
        for odd in bent(&kind) {
            // What does not fit its type is refused before it comes here.
            let Ok(figure) = serde_json::from_value::<Figure>(odd.clone()) else { continue };
            let shown: String = odd.to_string().chars().take(200).collect();
            let began = Instant::now();
            let Ok(scene) = std::panic::catch_unwind(|| draw(&figure)) else {
                faults.push(format!("panics: {shown}"));
                continue;
            };
            drawn += 1;
            let mut fault = |what: String| faults.push(format!("{what}: {shown}"));
            if began.elapsed() > LONGEST {
                fault(format!("takes {:?}", began.elapsed()));
            }
            if scene.shapes.len() > MOST_SHAPES {
                fault(format!("{} shapes", scene.shapes.len()));
            }
            if numbers(&scene).iter().any(|number| !number.is_finite()) {
                fault("leaves the numbers".into());
            }
            if !(scene.width > 0.0 && scene.height > 0.0) {
                fault(format!("{} by {}", scene.width, scene.height));
            }
            if scene.describes.trim().is_empty() {
                fault("tells nothing".into());
            }
        }
    }
    assert!(faults.is_empty(), "{} faults\n{}", faults.len(), faults.join("\n"));
    assert!(drawn > 900, "{drawn}");
}
