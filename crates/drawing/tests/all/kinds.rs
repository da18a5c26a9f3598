//! A figure of each kind, as it is stored, and as large as it may be.

use serde_json::{Value, json};
use teaching::figure::Figure;

/// A figure of each kind.
pub fn kinds() -> Vec<Value> {
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

/// The figure with each of its numbers, texts and lists grown, one after the other, as far as it is still read.
pub fn as_large_as_it_may_be(figure: &Value) -> Value {
    let mut large = figure.clone();
    for pointer in places(figure) {
        for grown in larger(large.pointer(&pointer).unwrap_or(&Value::Null)) {
            let mut tried = large.clone();
            if let Some(place) = tried.pointer_mut(&pointer) {
                *place = grown;
            }
            if serde_json::from_value::<Figure>(tried.clone()).is_err() {
                break;
            }
            large = tried;
        }
    }
    large
}

/// Every place in it: numbers and texts first, then the lists that hold them, from the inside outwards.
fn places(value: &Value) -> Vec<String> {
    let within = |(key, value): (String, &Value)| {
        places(value).into_iter().map(move |place| format!("/{key}{place}")).collect::<Vec<_>>()
    };
    let mut all: Vec<String> = match value {
        Value::Array(list) => list
            .iter()
            .enumerate()
            .map(|(at, one)| (at.to_string(), one))
            .flat_map(within)
            .collect(),
        Value::Object(fields) => fields
            .iter()
            .filter(|(key, _)| !["kind", "built"].contains(&key.as_str()))
            .map(|(key, one)| (key.clone(), one))
            .flat_map(within)
            .collect(),
        _ => Vec::new(),
    };
    all.push(String::new());
    all
}

/// Larger and larger ones of the same sort.
fn larger(value: &Value) -> Vec<Value> {
    match value {
        Value::Number(_) => (0..40).step_by(2).map(|power| json!(1_u64 << power)).collect(),
        Value::String(_) => (1..8).map(|power| json!("12x+".repeat(1 << power))).collect(),
        Value::Array(list) if !list.is_empty() => (0..11)
            .map(|power| {
                Value::Array(list.iter().cycle().take(list.len() << power).cloned().collect())
            })
            .collect(),
        _ => Vec::new(),
    }
}
