//! Figures of every kind with hostile numbers, texts and lists in them: refused with a sentence, or drawn within their
//! budget of work.

use drawing::svg::svg;
use drawing::{Scene, Shape, draw};
use proptest::prelude::*;
use serde_json::{Value, json};
use std::collections::BTreeMap;
use teaching::figure::Figure;

/// Most shapes, labels and points of a scene together: what five milliseconds and a megabyte bear.
const MOST: usize = 12_000;
/// Longest picture, in bytes.
const LONGEST: usize = 1 << 20;

/// A figure of each kind.
fn kinds() -> Vec<Value> {
    let mark = json!({"at": 3.5, "label": "x"});
    let strip = json!({"parts": 4, "shaded": 3, "label": "3/4"});
    let node = |value: &str, of: Value| json!({"value": value, "of": of});
    let tree = json!([
        node("12", Value::Null),
        node("3", json!(0)),
        node("4", json!(0)),
        node("2", json!(2))
    ]);
    vec![
        json!({"kind": "ratio_table", "rows": ["jars", "frames"], "columns": [["1", "3"], ["4", "n"]]}),
        json!({"kind": "number_line", "from": -3, "to": 12, "points": [mark]}),
        json!({"kind": "bar", "parts": [mark, mark], "total": "30"}),
        json!({"kind": "graph", "letter": "x", "x": [-5, 5], "y": [-3, 8], "points": [{"at": [1, 2], "label": "A"}],
               "curves": [{"label": "y = x", "pieces": [[[-5, -5], [0, 0], [5, 5]]]}]}),
        json!({"kind": "polygon", "corners": [[0, 0], [4, 0], [4, 3]], "sides": ["4 cm", "3 cm", "x"], "right": [1],
               "angles": ["α", "", "β"], "lines": [{"from": [0, 0], "to": [4, 1], "label": "h", "helps": true}],
               "turns": [{"at": [0, 0], "radius": 1, "degrees": [0, 40]}], "marks": [{"at": [1, 1], "label": "A"}]}),
        json!({"kind": "circle", "radius": "r", "diameter": "d", "arc": [10, 100], "arc_label": "b", "central": "x",
               "seen_from": 200, "inscribed": "y", "inner": 0.5, "inner_label": "s"}),
        json!({"kind": "ruler", "length": 12, "thing": [2.5, 7], "label": "a pencil"}),
        json!({"kind": "table", "heads": ["x", "y"], "rows": [["1", "2"], ["3", "4"]]}),
        json!({"kind": "blocks", "hundreds": 2, "tens": 13, "ones": 4}),
        json!({"kind": "columns", "heads": ["T", "O"], "carries": ["1", ""], "rows": [["4", "7"], ["2", "5"]],
               "sign": "+", "result": ["7", "2"]}),
        json!({"kind": "factor_tree", "nodes": tree, "ringed": [3]}),
        json!({"kind": "operation_tree", "nodes": tree}),
        json!({"kind": "family_tree", "nodes": tree}),
        json!({"kind": "tiles", "tiles": [{"label": "x^2", "count": 2}, {"label": "x", "count": -3}]}),
        json!({"kind": "balance", "left": [{"label": "x", "count": 3, "lifts": false}],
               "right": [{"label": "12", "count": 1, "lifts": true}]}),
        json!({"kind": "dot_array", "rows": 4, "columns": 6, "filled": 9}),
        json!({"kind": "jumps", "stops": [mark, {"at": 9, "label": "9"}], "jumps": ["+5.5"]}),
        json!({"kind": "hundred_grid", "numbered": true, "marked": [1, 50, 100]}),
        json!({"kind": "coins", "values": [1, 25, 100]}),
        json!({"kind": "tally", "count": 13}),
        json!({"kind": "calendar", "first": 2, "days": 30, "marked": [4, 11]}),
        json!({"kind": "point_hops", "digits": ["4", "5", "0"], "from": 3, "to": 1}),
        json!({"kind": "area_model", "across": [2, 3], "down": [4, 5]}),
        json!({"kind": "cross_lines", "terms": ["a", "b", "c", "d"], "products": ["12", ""]}),
        json!({"kind": "fraction_circles", "circles": [strip, strip]}),
        json!({"kind": "groups", "names": ["bees", "drones"], "each": [5, 2], "groups": 4}),
        json!({"kind": "double_line", "rows": ["km", "min"], "stops": [{"at": 0.5, "labels": ["4", "6"]}]}),
        json!({"kind": "pattern", "built": "cells", "counts": [6, 11, 16]}),
        json!({"kind": "pattern", "built": "squares", "counts": [4, 7]}),
        json!({"kind": "pattern", "built": "dots", "counts": [1, 3, 6]}),
        json!({"kind": "unit_stairs", "units": ["km", "m", "cm"], "factors": ["1000", "100"], "way": [0, 2]}),
        json!({"kind": "to_scale", "things": [mark, {"at": 1, "label": "1 m"}], "unit": "m"}),
        json!({"kind": "strips", "strips": [strip, strip]}),
        json!({"kind": "area_grid", "across": ["x", "3"], "down": ["x", "-2"], "cells": [["x^2", "3x"], ["-2x", ""]]}),
        json!({"kind": "counters", "positive": 7, "negative": 4, "pairs": 3}),
        json!({"kind": "digits", "digits": [{"text": "4", "kind": "kept"}, {"text": "7", "kind": "deciding"}]}),
        json!({"kind": "percent_bar", "percent": 35, "part": "x", "whole": "60"}),
        json!({"kind": "solution_line", "letter": "x", "from": -4, "to": 9,
               "stretches": [{"low": mark, "high": null, "closed": [true, false]}]}),
    ]
}

fn numbers() -> impl Strategy<Value = Value> {
    prop_oneof![
        3 => (-3i64..130).prop_map(|n| json!(n)),
        1 => prop::sample::select(vec![
            json!(0), json!(-1), json!(1e12), json!(-1e12), json!(1e300), json!(1e-300), json!(4_294_967_295_u32),
            json!(i32::MIN), json!(i32::MAX), json!(u64::MAX), json!(0.5), json!(359.999_999), json!(1e9), json!(-1080),
        ]),
    ]
}

fn texts() -> impl Strategy<Value = Value> {
    prop_oneof![
        prop::sample::select(vec![
            "",
            " ",
            "$",
            "\\",
            "x^2",
            "((((((",
            "9^9^9^9",
            "<b>&\"'",
            "3 1/777777777",
            "√√√√√x",
            "\u{202e}ab",
            "𝔸🐝",
            "10^10^10^10^10^10^10^x",
            "x³ ³ ³ ³ ³ ³ ³ ³",
        ])
        .prop_map(|text| json!(text)),
        (1usize..230).prop_map(|count| json!("x+".repeat(count / 2))),
        (1usize..230).prop_map(|count| json!("W".repeat(count))),
    ]
}

/// A place in a figure, by the numbers at each of its forks, and what is done there.
#[derive(Debug, Clone)]
enum Change {
    Number(Value),
    Text(Value),
    /// What stands in a list, so many times.
    Repeat(usize),
    Empty,
}

fn changes() -> impl Strategy<Value = Vec<(Vec<usize>, Change)>> {
    let repeats = prop_oneof![3 => 1usize..45, 1 => 45usize..70_000];
    let change = prop_oneof![
        4 => numbers().prop_map(Change::Number),
        2 => texts().prop_map(Change::Text),
        3 => repeats.prop_map(Change::Repeat),
        1 => Just(Change::Empty),
    ];
    prop::collection::vec((prop::collection::vec(0usize..12, 1..6), change), 1..8)
}

/// Goes to the place as far as there is one, and changes what stands there.
fn apply(value: &mut Value, way: &[usize], change: &Change) {
    if let (Some((&first, rest)), Value::Array(_) | Value::Object(_)) = (way.split_first(), &*value)
    {
        let is_list = value.is_array();
        if is_list && matches!(change, Change::Repeat(_) | Change::Empty) && first % 2 == 0 {
            let Value::Array(list) = value else { return };
            match change {
                Change::Repeat(count) => {
                    let one = list.get(first % list.len().max(1)).cloned().unwrap_or(Value::Null);
                    *list = vec![one; *count];
                }
                _ => list.clear(),
            }
            return;
        }
        match value {
            Value::Array(list) if !list.is_empty() => {
                let at = first % list.len();
                apply(&mut list[at], rest, change);
            }
            Value::Object(fields) => {
                // The kind stays what it is.
                let keys: Vec<String> =
                    fields.keys().filter(|key| *key != "kind").cloned().collect();
                if let Some(key) = keys.get(first % keys.len().max(1)) {
                    apply(&mut fields[key], rest, change);
                }
            }
            _ => {}
        }
        return;
    }
    match (change, &*value) {
        (Change::Number(new), Value::Number(_)) | (Change::Text(new), Value::String(_)) => {
            *value = new.clone()
        }
        _ => {}
    }
}

fn parts(scene: &Scene) -> usize {
    let points = |shape: &Shape| match shape {
        Shape::Curve { points, .. } | Shape::Area { points, .. } => points.len(),
        _ => 1,
    };
    scene.labels.len() + scene.shapes.iter().map(points).sum::<usize>()
}

#[track_caller]
fn is_within_budget(figure: &Figure) {
    let scene = draw(figure);
    let kind = serde_json::to_value(figure).expect("JSON")["kind"].clone();
    assert!(parts(&scene) <= MOST, "{kind}: {} parts", parts(&scene));
    let picture = svg(&scene);
    assert!(picture.len() <= LONGEST, "{kind}: {} bytes", picture.len());
    for odd in ["NaN", "inf"] {
        assert!(
            !picture.contains(&format!("\"{odd}")) && !picture.contains(&format!(",{odd}")),
            "{kind}: {odd}"
        );
    }
    assert!(scene.width.is_finite() && scene.height.is_finite(), "{kind}");
    assert!(
        scene.width <= 60_000.0 && scene.height <= 60_000.0,
        "{kind}: {} x {}",
        scene.width,
        scene.height
    );
}

#[test]
fn there_is_one_of_every_kind() {
    let kinds = kinds();
    for figure in &kinds {
        let read: Figure =
            serde_json::from_value(figure.clone()).unwrap_or_else(|e| panic!("{figure}: {e}"));
        is_within_budget(&read);
    }
    // The kinds that the interface knows.
    let api: Value =
        serde_json::from_str(include_str!("../../../../web/openapi.json")).expect("JSON");
    let all = api["components"]["schemas"]["Figure"]["oneOf"].as_array().expect("kinds").len();
    let named: BTreeMap<&str, usize> = kinds.iter().fold(BTreeMap::new(), |mut all, figure| {
        *all.entry(figure["kind"].as_str().expect("a kind")).or_default() += 1;
        all
    });
    assert_eq!(named.len(), all, "{:?}", named.keys());
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(6_000))]

    #[test]
    fn a_hostile_figure_is_refused_or_drawn_within_its_budget(
        kind in prop::sample::select(kinds()),
        changes in changes(),
    ) {
        let mut figure = kind;
        for (way, change) in &changes {
            apply(&mut figure, way, change);
        }
        // As a request, a file and the database bring it: as text.
        match serde_json::from_str::<Figure>(&figure.to_string()) {
            Ok(read) => is_within_budget(&read),
            Err(refused) => prop_assert!(refused.to_string().len() < 400, "{refused}"),
        }
    }
}
