//! Pictures that grow with a working say the same as its lines.

use algebra::{StepVerdict, compare, read_line};
use teaching::figure::{DigitKind, Figure};
use teaching::ladder::{Ladder, LadderOrder, Rung};

/// Skills and methods whose working has a picture.
const PICTURED: &[(&str, &str)] = &[
    ("primes.factor-tree", "tree"),
    ("add-sub.column", "column"),
    ("binary.add", "carry-table"),
    ("place-value.regroup", "regroup-ones-first"),
    ("integers.add-subtract", "zero-pairs"),
    ("rounding.significant", "mark-the-figures"),
    ("fractions.add-subtract", "bar"),
    ("fractions.equivalent", "strips"),
    ("expressions.expand", "area-grid"),
    ("expressions.factorise", "area-grid"),
    ("percent.part", "bar"),
    ("percent.whole", "bar"),
];

fn rungs(skill: &str, method: &str, seed: u64) -> Vec<Rung> {
    let order = LadderOrder {
        skills: vec![skill.into()],
        grip: 6,
        tilt: 3,
        climb: 3,
        seed,
        method: Some(method.into()),
        ..LadderOrder::default()
    };
    Ladder::make(&order).unwrap_or_else(|why| panic!("{skill}: {}", why.says())).rungs
}

fn pictures(rung: &Rung) -> Vec<&Figure> {
    rung.working.iter().filter_map(|line| line.figure.as_ref()).collect()
}

/// What a picture is worth, as plain mathematics; none where it only shows digits.
fn worth(figure: &Figure) -> Option<String> {
    Some(match figure {
        Figure::Blocks { hundreds, tens, ones } => {
            format!("{hundreds} × 100 + {tens} × 10 + {ones}")
        }
        Figure::FactorTree { nodes } => {
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
    let mut seen = 0;
    for (skill, method) in PICTURED.iter().filter(|(skill, _)| *skill != "binary.add") {
        for rung in (0..6).flat_map(|seed| rungs(skill, method, seed)) {
            for line in &rung.working {
                let Some(told) = line.figure.as_ref().and_then(worth) else { continue };
                // A calculation beside the working is no line that carries the problem.
                let carries = line.role != "checks";
                if carries {
                    assert!(
                        says_the_same(&told, &line.math),
                        "{skill}: {told} beside {}",
                        line.math
                    );
                    seen += 1;
                }
            }
        }
    }
    assert!(seen > 150, "{seen}");
}

#[test]
fn columns_end_with_the_answer() {
    for (skill, method) in [("add-sub.column", "column"), ("binary.add", "carry-table")] {
        let mut seen = 0;
        for rung in (0..6).flat_map(|seed| rungs(skill, method, seed)) {
            let pictures = pictures(&rung);
            let (Some(Figure::Columns { result: first, .. }), Some(Figure::Columns { result, .. })) =
                (pictures.first(), pictures.last())
            else {
                continue;
            };
            assert_eq!(first.concat(), "", "{skill}: {}", rung.prompt);
            let last = rung.working.iter().rfind(|line| !line.latex.is_empty()).expect("lines");
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
        for rung in (0..4).flat_map(|seed| rungs(skill, method, seed)) {
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
    for rung in (0..4).flat_map(|seed| rungs("fractions.equivalent", "strips", seed)) {
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
    for rung in (0..6).flat_map(|seed| rungs("rounding.significant", "mark-the-figures", seed)) {
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
    for (skill, method) in PICTURED {
        for rung in rungs(skill, method, 1) {
            let Some(first) = rung.working[0].figure.as_ref() else { continue };
            let told = match first {
                Figure::Columns { result, .. } => result.concat(),
                Figure::AreaGrid { cells, .. } => cells.concat().concat(),
                _ => String::new(),
            };
            assert_eq!(told, "", "{skill}: {}", rung.prompt);
        }
    }
}
