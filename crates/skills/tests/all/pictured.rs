//! Pictures that grow with a working say the same as its lines.

use algebra::Role;
use algebra::{StepVerdict, compare, read_line};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use std::collections::BTreeMap;
use teaching::figure::{DigitKind, Figure, Load, Tile, TreeNode};
use teaching::ids::MethodId;

fn rungs(skill: &str, method: MethodId, seed: u64) -> Vec<Rung> {
    let order = LadderOrder {
        skills: vec![skill.into()],
        grip: 6,
        tilt: 3,
        climb: 3,
        seed,
        method: Some(method),
        ..LadderOrder::default()
    };
    Ladder::make(&order).unwrap_or_else(|why| panic!("{skill}: {}", why.says())).rungs
}

fn pictures(rung: &Rung) -> Vec<&Figure> {
    rung.working.iter().filter_map(|line| line.figure.as_ref()).collect()
}

/// The workings of the whole catalogue that have pictures, for some seeds.
fn pictured() -> Vec<(String, Rung)> {
    let ways = SKILLS
        .iter()
        .map(|skill| skill.card())
        .flat_map(|card| card.methods.iter().map(move |method| (card.id, method.id)));
    let all = ways.flat_map(|(skill, method)| {
        let named = move |rung| (format!("{skill} by {method}"), rung);
        (0..3).flat_map(move |seed| rungs(skill, method, seed)).map(named)
    });
    all.filter(|(_, rung)| !pictures(rung).is_empty()).collect()
}

/// A sum of so many of each.
fn loaded(loads: &[Load]) -> String {
    let one = |load: &Load| {
        format!("{}{} × ({})", if load.lifts { "-" } else { "" }, load.count, load.label)
    };
    let all: Vec<String> = loads.iter().map(|load| format!("({})", one(load))).collect();
    all.join(" + ")
}

/// What a tree of operations is worth, from the part at `at` down.
fn grown(nodes: &[TreeNode], at: usize) -> String {
    let parts: Vec<String> = (at + 1..nodes.len())
        .filter(|&below| nodes[below].of == Some(at))
        .map(|below| grown(nodes, below))
        .collect();
    match &parts[..] {
        [] => nodes[at].value.clone(),
        [one] => format!("-({one})"),
        parts => format!("({})", parts.join(&format!(" {} ", nodes[at].value))),
    }
}

/// What a picture is worth, as plain mathematics; none where it only shows digits.
fn worth(figure: &Figure) -> Option<String> {
    Some(match figure {
        Figure::Blocks { hundreds, tens, ones } => {
            format!("{hundreds} × 100 + {tens} × 10 + {ones}")
        }
        Figure::FactorTree { nodes, .. } => {
            let is_leaf = |at: usize| !nodes.iter().any(|node| node.of == Some(at));
            let leaves = (0..nodes.len()).filter(|&at| is_leaf(at));
            leaves.map(|at| nodes[at].value.clone()).collect::<Vec<_>>().join(" × ")
        }
        Figure::Counters { positive, negative, .. } => format!("{positive} - {negative}"),
        Figure::AreaGrid { cells, .. } if !cells.is_empty() => {
            let cells: Vec<String> = cells
                .iter()
                .flatten()
                .filter(|cell| !cell.is_empty())
                .map(|cell| format!("({cell})"))
                .collect();
            cells.join(" + ")
        }
        Figure::AreaGrid { across, down, .. } => {
            let sum = |parts: &[String]| {
                parts.iter().map(|part| format!("({part})")).collect::<Vec<_>>().join(" + ")
            };
            format!("({}) × ({})", sum(across), sum(down))
        }
        Figure::OperationTree { nodes } => grown(nodes, 0),
        Figure::Tiles { tiles } => {
            let one = |tile: &Tile| format!("({}) × {}", tile.count, tile.label);
            tiles.iter().map(one).collect::<Vec<_>>().join(" + ")
        }
        Figure::Balance { left, right } => format!("{} = {}", loaded(left), loaded(right)),
        Figure::AreaModel { across: [a, b], down: [c, d] } => format!("({a}/{b}) × ({c}/{d})"),
        Figure::HundredGrid { numbered: false, marked } => format!("{}/100", marked.len()),
        Figure::PointHops { digits, to, .. } => {
            let (whole, part) = digits.split_at(*to as usize);
            format!("{}.{}", whole.concat(), part.concat())
        }
        Figure::Columns { rows, sign, .. } => {
            let numbers: Vec<String> = rows.iter().map(|row| row.concat()).collect();
            numbers.join(&format!(" {sign} "))
        }
        _ => return None,
    })
}

fn says_the_same(a: &str, b: &str) -> bool {
    let read = |text: &str| read_line(text).unwrap_or_else(|_| panic!("{text}")).line;
    matches!(compare(&read(a), &read(b), None), StepVerdict::Equivalent { .. })
}

#[test]
fn a_picture_is_worth_what_its_line_is_worth() {
    let mut seen = BTreeMap::new();
    for (named, rung) in pictured() {
        // A hop changes what the digits are worth, columns of bits are in base two, and a tree of a radicand is not its
        // root.
        let others = ["standard-form", "binary.add", "radicals.simplify"];
        if others.iter().any(|other| named.starts_with(other)) {
            continue;
        }
        for line in &rung.working {
            let Some(told) = line.figure.as_ref().and_then(worth) else { continue };
            // A calculation beside the working is no line that carries the problem.
            if line.role != Role::Checks && !(told.ends_with("(1/1)") && line.role == Role::Starts)
            {
                assert!(says_the_same(&told, &line.math), "{named}: {told} beside {}", line.math);
                *seen.entry(told_kind(line.figure.as_ref())).or_insert(0) += 1;
            }
        }
    }
    let least = seen.values().min().copied().unwrap_or(0);
    assert!(seen.len() >= 10 && least > 5, "{seen:?}");
}

/// The name of a picture's kind.
fn told_kind(figure: Option<&Figure>) -> String {
    let told = format!("{figure:?}");
    told.trim_start_matches("Some(").split([' ', '(']).next().unwrap_or_default().to_owned()
}

#[test]
fn the_point_ends_where_the_number_has_it() {
    let mut seen = 0;
    for seed in 0..6 {
        for rung in rungs("standard-form", MethodId::new("move-the-point"), seed) {
            for line in &rung.working {
                let Some(figure) = &line.figure else { continue };
                let Some(told) = worth(figure) else { continue };
                // In standard form the power of ten makes up for the hops.
                let first = line.math.split(" × ").next().unwrap_or_default();
                assert!(says_the_same(&told, first), "{told} beside {}", line.math);
                seen += 1;
            }
        }
    }
    assert!(seen > 20, "{seen}");
}

#[test]
fn jumps_end_at_the_answer() {
    let mut seen = 0;
    for (named, rung) in pictured() {
        let Some(Figure::Jumps { stops, .. }) = rung.grown() else { continue };
        let last = stops.last().expect("a stop");
        let is_answer = says_the_same(&last.label, &rung.answer.value);
        // Counting on from what is known ends at the whole; the jump is the answer.
        assert!(is_answer || named.starts_with("number.of-the-day"), "{named}: {}", rung.prompt);
        seen += 1;
    }
    assert!(seen > 20, "{seen}");
}

/// Skills that the catalogue has no picture for.
const WITHOUT: &[&str] =
    &["equations.rearrange", "equations.rational", "indices.laws", "radicals.operate"];

#[test]
fn every_skill_has_its_pictures() {
    for card in SKILLS.iter().map(|skill| skill.card()) {
        let mut all = card.methods.iter().flat_map(|method| rungs(card.id, method.id, 1));
        let is_there = all.any(|rung| rung.figure.is_some() || rung.grown().is_some());
        assert!(is_there || WITHOUT.contains(&card.id), "{} has no picture", card.id);
    }
}

#[test]
fn columns_end_with_the_answer() {
    for (skill, method) in [("add-sub.column", "column"), ("binary.add", "carry-table")] {
        let mut seen = 0;
        for rung in (0..6).flat_map(|seed| rungs(skill, MethodId::new(method), seed)) {
            let pictures = pictures(&rung);
            let (Some(Figure::Columns { result: first, .. }), Some(Figure::Columns { result, .. })) =
                (pictures.first(), pictures.last())
            else {
                continue;
            };
            assert_eq!(first.concat(), "", "{skill}: {}", rung.prompt);
            let last = rung.working.iter().rfind(|line| line.latex.is_some()).expect("lines");
            let answer = last.math.trim_end_matches("_2");
            assert_eq!(result.concat().trim_start_matches('0'), answer, "{skill}: {}", rung.prompt);
            seen += 1;
        }
        assert!(seen > 20, "{skill}: {seen}");
    }
}

#[test]
fn strips_and_bars_show_what_is_asked_until_it_is_found() {
    let mut seen = 0;
    for (skill, method) in [("percent.part", "bar"), ("percent.whole", "bar")] {
        for rung in (0..4).flat_map(|seed| rungs(skill, MethodId::new(method), seed)) {
            let [
                Figure::PercentBar { percent, part, whole },
                ..,
                Figure::PercentBar { part: last_part, whole: last_whole, .. },
            ] = &pictures(&rung)[..]
            else {
                continue;
            };
            assert!([part.as_str(), whole.as_str()].contains(&"n"), "{}", rung.prompt);
            let number = |text: &str| text.parse::<f64>().expect("a number");
            let (part, whole) = (number(last_part), number(last_whole));
            assert!((part * 100.0 - percent * whole).abs() < 1e-6, "{}", rung.prompt);
            seen += 1;
        }
    }
    for rung in (0..4).flat_map(|seed| rungs("fractions.equivalent", MethodId::new("strips"), seed))
    {
        let Some(Figure::Strips { strips }) = pictures(&rung).last().copied() else { continue };
        let [a, b] = &strips[..] else { panic!("two strips") };
        assert_eq!(a.shaded * b.parts, b.shaded * a.parts, "{}", rung.prompt);
        seen += 1;
    }
    assert!(seen > 40, "{seen}");
}

#[test]
fn as_many_digits_are_kept_as_the_problem_asks_for() {
    let mut seen = 0;
    for rung in (0..6)
        .flat_map(|seed| rungs("rounding.significant", MethodId::new("mark-the-figures"), seed))
    {
        let Some(Figure::Digits { digits }) = pictures(&rung).first().copied() else { continue };
        let kept = digits.iter().filter(|digit| digit.kind == DigitKind::Kept).count();
        let asked = rung.prompt.split(" significant figure").next().unwrap_or_default();
        let asked: usize = asked.rsplit(' ').next().and_then(|n| n.parse().ok()).expect("a number");
        assert_eq!(kept, asked, "{}", rung.prompt);
        seen += 1;
    }
    assert!(seen > 20, "{seen}");
}

#[test]
fn no_picture_tells_the_answer_before_its_line() {
    for (named, rung) in pictured() {
        let Some(first) = rung.working[0].figure.as_ref() else { continue };
        let told = match first {
            Figure::Columns { result, .. } => result.concat(),
            Figure::AreaGrid { cells, .. } => cells.concat().concat(),
            _ => String::new(),
        };
        assert_eq!(told, "", "{named}: {}", rung.prompt);
    }
}
