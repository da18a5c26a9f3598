//! Systems of two linear equations.
//!
//! Source: L. Euler, *Elements of Algebra* (Hewlett's translation), part I, section IV, chapter IV. What counts as nice:
//! whole solutions.

use crate::kit::*;

/// The skill `systems.linear`.
pub struct SystemsLinear;

slips! {
    TERMS_MISSED = "terms-missed": "Every term of the equation is added or taken away, also the number on the right.",
        "Subtracts only some of the terms.";
    VALUES_SWAPPED = "values-swapped": "Which value belongs to which letter?",
        "Swaps the two values.";
    ONE_VALUE_ONLY = "one-value-only": "A point has two values.",
        "Finds one letter and stops.";
}

methods! {
    ELIMINATION = "elimination": "Elimination",
    SUBSTITUTION = "substitution": "Substitution",
    GRAPH = "graph": "Draw both lines",
}

impl Skill for SystemsLinear {
    fn card(&self) -> Card {
        Card {
            id: "systems.linear",
            strand: Strand::Algebra,
            grades: (8, 10),
            title: "Systems of linear equations",
            objective: "I can find the point that two equations share.",
            vocabulary: terms![
                "system": "equations that are to be true together",
                "elimination": "adding or subtracting equations so that a letter goes",
                "substitution": "putting an expression in for a letter",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, _) => how_many(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn term(n: i64, letter: &str) -> String {
    if n == 1 { letter.to_owned() } else { format!("{n}{letter}") }
}

fn row(a: i64, b: i64, c: i64) -> String {
    let sign = if b < 0 { '-' } else { '+' };
    format!("{} {sign} {} = {c}", term(a, "x"), term(b.abs(), "y"))
}

/// `a x + b y = c`, solved for `y` as it is drawn.
fn for_y([a, b, c]: [i64; 3]) -> String {
    match b {
        1 => format!("y = {}", sum(&[(-a, "x"), (c, "")])),
        -1 => format!("y = {}", sum(&[(a, "x"), (-c, "")])),
        _ if b < 0 => format!("y = ({})/{}", sum(&[(a, "x"), (-c, "")]), -b),
        _ => format!("y = ({})/{b}", sum(&[(c, ""), (-a, "x")])),
    }
}

/// Both equations as straight lines, and the point that they share.
fn drawn(posed: Posed, typed: &str, lines: [[i64; 3]; 2], (x, y): (i64, i64)) -> Posed {
    let [first, second] = lines.map(for_y);
    let put_in = |[a, b, c]: [i64; 3]| {
        format!("{a} × {} + {} × {} = {c}", bracketed(x), bracketed(b), bracketed(y))
    };
    posed
        .way(
            method::GRAPH,
            Lines::start(typed)
                .then(&format!("{first}; {second}"), "Solve each for $y$, and draw two lines")
                .then(&format!("x = {x}; y = {y}"), "Read off where they cross")
                .work(&put_in(lines[0]), "Put the point into the first equation")
                .work(&put_in(lines[1]), "and into the second: a drawing alone is no proof"),
        )
        .grows(
            method::GRAPH,
            [
                (1, pictured::two_lines(lines, (x, y), false)),
                (2, pictured::two_lines(lines, (x, y), true)),
            ],
        )
}

fn solve(prompt: String, lines: [[i64; 3]; 2], typed: &str, (x, y): (i64, i64)) -> Posed {
    let point = |x: i64, y: i64| format!("x = {x}; y = {y}");
    let mut posed = Posed::solve(prompt, line(typed), "", line(&point(x, y)))
        .slip(if x == y { point(x + 1, y) } else { point(y, x) }, slip::VALUES_SWAPPED)
        .near([point(x, -y - 1), point(x + 1, y - 1), point(x - 1, y + 2)]);
    for method in [method::ELIMINATION, method::SUBSTITUTION] {
        if let Some(working) = board(typed, "", Some(method)) {
            posed = posed.way(method, working);
        }
    }
    drawn(posed, typed, lines, (x, y))
}

/// Opposite coefficients; equal ones; one equation scaled; one solved for y.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (x, y) = (draw.nonzero(-6, 8), draw.nonzero(-6, 8));
    let (a, b, c) = (draw.between(2, 5), draw.between(2, 5), draw.between(1, 4));
    let through = |p: i64, q: i64| [p, q, p * x + q * y];
    let lines = match index % 4 {
        0 => [through(a, b), through(c, -b)],
        1 => [through(a, b), through(a + c, b)],
        2 => [through(a, b), through(2 * a + c, 2 * b)],
        _ => [through(-a, 1), through(c, b)],
    };
    let shown = |[a, b, c]: [i64; 3]| if b == 1 { for_y([a, b, c]) } else { row(a, b, c) };
    let [first, second] = lines.map(shown);
    let typed = format!("{first}; {second}");
    solve(format!("Solve {} and {}.", tex(&first), tex(&second)), lines, &typed, (x, y))
}

fn how_many(draw: &mut Draw) -> Posed {
    let (a, b, c, k) =
        (draw.between(1, 5), draw.between(2, 6), draw.between(3, 20), draw.between(2, 4));
    let (p, q, r, word) = match draw.between(0, 2) {
        0 => (k * a, k * b, k * c, "infinitely many"),
        1 => (k * a, k * b, k * c + 1, "none"),
        _ => (k * a + 1, k * b, k * c, "one"),
    };
    let second = row(p, q, r);
    // The determinant of the factors, and where it is zero that of one factor with the right sides.
    let mut claims = vec![if word == "one" {
        format!("{a} × {q} - {p} × {b} < 0")
    } else {
        format!("{a} × {q} - {p} × {b} = 0")
    }];
    match word {
        "none" => claims.push(format!("{b} × {r} - {q} × {c} > 0")),
        "infinitely many" => claims.push(format!("{b} × {r} - {q} × {c} = 0")),
        _ => {}
    }
    let first = row(a, b, c);
    let others: Vec<&str> =
        ["none", "one", "infinitely many"].into_iter().filter(|w| *w != word).collect();
    let reason = match word {
        "one" => "The letters do not keep one ratio: the lines cross",
        "none" => {
            "The left sides agree up to a factor, the right sides do not: the lines are parallel"
        }
        _ => "One equation is a multiple of the other: it is one line",
    };
    let mut lines = Lines::default();
    for claim in &claims {
        lines = lines.work(claim, reason);
    }
    Posed::shown(
        format!(
            "How many solutions have {} and {} together: none, one or infinitely many?",
            tex(&first),
            tex(&second)
        ),
        word,
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip(others[0], slip::TERMS_MISSED)
    .near([others[1]])
    .way(method::ELIMINATION, lines.clone().end(format!("The answer is: {word}.")))
    .way(method::GRAPH, lines.end(format!("The answer is: {word}.")))
    .grows(method::GRAPH, [(0, pictured::two_lines([[a, b, c], [p, q, r]], (0, c / b), false))])
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (x, y) = loop {
        let (x, y) = (draw.between(3, 12), draw.between(2, 11));
        if x != y {
            break (x, y);
        }
    };
    let (a, b) = (draw.between(2, 4), draw.between(2, 4));
    let (c, d) = (a + draw.between(1, 3), b);
    let (first, second) = (a * x + b * y, c * x + d * y);
    let prompt = match draw.between(0, 2) {
        0 => format!(
            "{a} large and {b} small jars cost {first} dollars, {c} large and {d} small jars cost {second} dollars. A large jar costs {} dollars, a small one {} dollars. Find both.",
            tex("x"),
            tex("y")
        ),
        1 => format!(
            "{a} candles and {b} wax bars weigh {first} dag, {c} candles and {d} bars weigh {second} dag. A candle weighs {} dag, a bar {} dag. Find both.",
            tex("x"),
            tex("y")
        ),
        _ => format!(
            "{name} earns {first} dollars for {a} hours in the garden and {b} hours at the stall, and {second} dollars for {c} and {d} hours. An hour in the garden earns {} dollars, one at the stall {} dollars. Find both.",
            tex("x"),
            tex("y")
        ),
    };
    let lines = [[a, b, first], [c, d, second]];
    let typed = lines.map(|[a, b, c]| row(a, b, c)).join("; ");
    solve(prompt, lines, &typed, (x, y))
}
