//! Figures of every kind with hostile numbers, texts and lists in them: refused with a sentence, or drawn within their
//! budget of work.

use super::kinds::{as_large_as_it_may_be, kinds};
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

#[test]
fn as_large_as_each_may_be_it_is_drawn_within_its_budget() {
    for figure in kinds() {
        let large = as_large_as_it_may_be(&figure);
        is_within_budget(&serde_json::from_value(large).expect("it may be"));
    }
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
