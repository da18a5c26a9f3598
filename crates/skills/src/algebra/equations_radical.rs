//! Equations with the unknown under a root.
//!
//! Method: isolate the root, square both sides, and check, since squaring may bring in a solution. What counts as nice:
//! whole solutions.

use crate::kit::*;

/// The skill `equations.radical`.
pub struct Radical;

slips! {
    SQUARED_TERM_BY_TERM = "squared-term-by-term": "The square of a sum has three terms.",
        "Squares each term of a side by itself.";
    CHECK_FORGOTTEN = "check-forgotten": "Put each value into the first equation. Does it fit?",
        "Keeps a solution that squaring brought in.";
    ROOT_NOT_ISOLATED = "root-not-isolated": "What still stands beside the root?",
        "Squares before the root is alone.";
}

methods! {
    ISOLATE_AND_SQUARE = "isolate-and-square": "Isolate and square",
}

impl Skill for Radical {
    fn card(&self) -> Card {
        Card {
            id: "equations.radical",
            strand: Strand::Algebra,
            grades: (9, 11),
            title: "Equations with roots",
            objective: "I can solve an equation with a root and check my solutions.",
            vocabulary: terms![
                "radical equation": "an equation with the unknown under a root",
                "isolate": "bring to stand alone on one side",
                "extraneous solution": "a value that a step brought in and that does not fit the first equation",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => alone(index, draw),
            (Stage::Tilt, 2) => find_the_slip(draw),
            (Stage::Tilt, _) => isolate_first(index, draw),
            (Stage::Climb, 0) => extraneous(draw),
            (Stage::Climb, 1) => two_roots(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn linear(a: i64, b: i64) -> String {
    sum(&[(a, "x"), (b, "")])
}

fn solve(prompt: String, typed: &str, answer: i64, wrong: [(i64, SlipId); 2]) -> Posed {
    let posed = Posed::equation(prompt, line(typed), "x", from_int(answer))
        .slip(wrong[0].0.to_string(), wrong[0].1)
        .slip(wrong[1].0.to_string(), wrong[1].1);
    match board(typed, "x", None) {
        Some(working) => posed.way(method::ISOLATE_AND_SQUARE, working),
        None => posed,
    }
}

fn ask(typed: &str) -> String {
    format!("Solve {}.", tex(typed))
}

/// `sqrt(ax + b) = c`: a root of `x + b` first, then of `ax + b`.
fn alone(index: usize, draw: &mut Draw) -> Posed {
    let a = if index.is_multiple_of(2) { 1 } else { draw.between(2, 5) };
    let (x, c, b) = loop {
        let (x, c) = (draw.between(-5, 20), draw.between(2, 9));
        let b = c * c - a * x;
        if x != 0 && b != 0 && b.abs() <= 40 {
            break (x, c, b);
        }
    };
    let typed = format!("sqrt({}) = {c}", linear(a, b));
    solve(
        ask(&typed),
        &typed,
        x,
        [((c - b) / a, slip::ROOT_NOT_ISOLATED), ((c * c + b) / a, slip::ROOT_NOT_ISOLATED)],
    )
}

/// `k sqrt(x + a) + b = c`
fn isolate_first(index: usize, draw: &mut Draw) -> Posed {
    let k = if index.is_multiple_of(3) { 1 } else { draw.between(2, 5) };
    let (root, a, b) = (draw.between(2, 7), draw.nonzero(-9, 9), draw.nonzero(-9, 9));
    let x = root * root - a;
    let c = k * root + b;
    let factor = if k == 1 { String::new() } else { format!("{k} ") };
    let typed = format!(
        "{factor}sqrt({}) {} = {c}",
        linear(1, a),
        sum(&[(1, "w"), (b, "")]).replace("w ", "")
    );
    solve(
        ask(&typed),
        &typed,
        x,
        [(c * c - b * b - a, slip::SQUARED_TERM_BY_TERM), (root - a, slip::ROOT_NOT_ISOLATED)],
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (root, a, b) = (draw.between(2, 7), draw.nonzero(-9, 9), draw.between(1, 9));
    let (x, c) = (root * root - a, root + b);
    let typed = format!("sqrt({}) + {b} = {c}", linear(1, a));
    let posed = solve(
        String::new(),
        &typed,
        x,
        [(c * c - b * b - a, slip::SQUARED_TERM_BY_TERM), (root - a, slip::ROOT_NOT_ISOLATED)],
    );
    let squared = format!("{} + {} = {}", linear(1, a), b * b, c * c);
    let end = format!("x = {}", c * c - b * b - a);
    with_slip(posed, draw, &[&typed, &squared, &end], 1, slip::SQUARED_TERM_BY_TERM)
}

/// `sqrt(x + a) = x - b`, where squaring brings in a second solution.
fn extraneous(draw: &mut Draw) -> Posed {
    let (root, b) = (draw.between(2, 6), draw.between(1, 6));
    let (x, other) = (b + root, b + 1 - root);
    let a = root * root - x;
    let typed = format!("sqrt({}) = x - {b}", linear(1, a));
    let posed = Posed::solve(ask(&typed), line(&typed), "x", line(&format!("x = {x}")))
        .slip(format!("x = {other} or x = {x}"), slip::CHECK_FORGOTTEN)
        .slip(format!("x = {other}"), slip::CHECK_FORGOTTEN)
        .near([format!("x = {}", x + 1), format!("x = {}", x + 2)]);
    match board(&typed, "x", None) {
        Some(working) => posed.way(method::ISOLATE_AND_SQUARE, working),
        None => posed,
    }
}

/// `sqrt(ax + b) = sqrt(cx + d)`
fn two_roots(draw: &mut Draw) -> Posed {
    let (x, a, c) = loop {
        let (x, a, c) = (draw.between(1, 9), draw.between(2, 7), draw.between(1, 6));
        if a > c {
            break (x, a, c);
        }
    };
    let b = draw.nonzero(-5, 5);
    // The value under both roots is the same and not negative.
    let b = if a * x + b < 0 { -b } else { b };
    let d = a * x + b - c * x;
    let typed = format!("sqrt({}) = sqrt({})", linear(a, b), linear(c, d));
    solve(
        ask(&typed),
        &typed,
        x,
        [((d + b) / (a - c), slip::ROOT_NOT_ISOLATED), (x + 1, slip::SQUARED_TERM_BY_TERM)],
    )
}

/// A formula with a root of the bee garden.
fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (root, k) = (draw.between(3, 12), draw.between(2, 6));
    let (text, typed, x, unit) = match draw.between(0, 2) {
        0 => {
            let add = draw.between(3, 15);
            (
                format!(
                    "The side of a square bed is the root of its area in square metres. After {add} m² are added to a square bed of {} m², {name} measures a side of {root} m.",
                    tex("x")
                ),
                format!("sqrt(x + {add}) = {root}"),
                root * root - add,
                "m²",
            )
        }
        1 => (
            format!(
                "A drop of honey falls from the spout. For a height of {} cm, {name} finds {k} times the root of the height on the timer and reads {}.",
                tex("x"),
                k * root
            ),
            format!("{k} sqrt(x) = {}", k * root),
            root * root,
            "cm",
        ),
        _ => {
            let add = draw.between(1, 9);
            (
                format!(
                    "{name} lays out a path. Its length is the root of {} square metres and {add} m more, {} m in all.",
                    tex("x"),
                    root + add
                ),
                format!("sqrt(x) + {add} = {}", root + add),
                root * root,
                "m²",
            )
        }
    };
    if x <= 0 {
        return story(draw);
    }
    solve(
        format!("{text} Find {}.", tex("x")),
        &typed,
        x,
        [((root + k) * (root + k), slip::ROOT_NOT_ISOLATED), (root, slip::ROOT_NOT_ISOLATED)],
    )
    .answered(format!("It is {x} {unit}."), unit)
}
