//! Quadratic equations.
//!
//! Methods: factors, the formula, square roots, the completed square. Source: al-Khwārizmī, *Algebra*, chapters on the
//! six forms. What counts as nice: whole roots on Grip.

use crate::kit::*;

/// The skill `equations.quadratic`.
pub struct Quadratic;

slips! {
    ONE_ROOT_FORGOTTEN = "one-root-forgotten": "Which other number has the same square?",
        "Gives one root only.";
    DIVIDED_BY_X = "divided-by-x": "May x be zero? Then dividing by it loses something.",
        "Divides both sides by the unknown and loses the root zero.";
    SIGNS_OF_ROOTS = "signs-of-roots": "Put your answer into the bracket. Is it zero?",
        "Gives the roots with the wrong signs.";
}

methods! {
    FACTOR = "factor": "Factors",
    FORMULA = "formula": "Quadratic formula",
    SQUARE_ROOT = "square-root": "Square roots",
    COMPLETE_THE_SQUARE = "complete-the-square": "Complete the square",
}

impl Skill for Quadratic {
    fn card(&self) -> Card {
        Card {
            id: "equations.quadratic",
            strand: Strand::Algebra,
            grades: (9, 11),
            title: "Quadratic equations",
            objective: "I can solve a quadratic equation and say how many roots it has.",
            vocabulary: terms![
                "quadratic": "with the square of the unknown as the highest power",
                "root": "a solution",
                "discriminant": "what stands under the root in the formula; its sign tells how many roots there are",
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
            (Stage::Tilt, 0) => how_many(draw),
            (Stage::Tilt, _) => leading_coefficient(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// `x^2 - 5x + 6`, nothing written for what is zero.
fn trinomial(a: i64, b: i64, c: i64) -> String {
    let lead = if a == 1 { "x^2".to_owned() } else { format!("{a}x^2") };
    let middle = match b {
        0 => String::new(),
        1 => " + x".into(),
        -1 => " - x".into(),
        b if b < 0 => format!(" - {}x", -b),
        b => format!(" + {b}x"),
    };
    let last = match c {
        0 => String::new(),
        c if c < 0 => format!(" - {}", -c),
        c => format!(" + {c}"),
    };
    lead + &middle + &last
}

fn with_ways(mut posed: Posed, typed: &str) -> Posed {
    for Method { id: method, .. } in METHODS.iter().copied() {
        if let Some(working) = board(typed, "x", Some(method)) {
            posed = posed.way(method, working);
        }
    }
    posed
}

fn roots(p: i64, q: i64) -> String {
    let (low, high) = (p.min(q), p.max(q));
    if low == high { format!("x = {low}") } else { format!("x = {low} or x = {high}") }
}

fn solve(prompt: String, typed: &str, p: i64, q: i64) -> Posed {
    let posed = Posed::solve(prompt, line(typed), "x", line(&roots(p, q)))
        .slip(roots(p.max(q), p.max(q)), slip::ONE_ROOT_FORGOTTEN)
        .slip(roots(-p, -q), slip::SIGNS_OF_ROOTS)
        .near([roots(p, -q), roots(p + 1, q), roots(p, q + 2), roots(p + 2, q - 1)]);
    with_ways(posed, typed)
}

fn pair(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (p, q) = (draw.nonzero(-8, 9), draw.nonzero(-8, 9));
        if p.abs() != q.abs() {
            return (p, q);
        }
    }
}

/// A product; a square; a factor x; a trinomial.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (p, q) = pair(draw);
    let bracket = |r: i64| if r < 0 { format!("(x + {})", -r) } else { format!("(x - {r})") };
    let (typed, p, q) = match index % 4 {
        0 => (format!("{}{} = 0", bracket(p), bracket(q)), p, q),
        1 => (format!("x^2 = {}", p * p), p, -p),
        2 => (format!("x^2 = {}x", p.abs()), 0, p.abs()),
        _ => (format!("{} = 0", trinomial(1, -p - q, p * q)), p, q),
    };
    let posed = solve(format!("Solve {}.", tex(&typed)), &typed, p, q);
    if index % 4 == 2 { posed.slip(roots(q, q), slip::DIVIDED_BY_X) } else { posed }
}

fn leading_coefficient(draw: &mut Draw) -> Posed {
    let ((p, q), a) = (pair(draw), draw.between(2, 4));
    let typed = format!("{} = 0", trinomial(a, -a * (p + q), a * p * q));
    solve(format!("Solve {}.", tex(&typed)), &typed, p, q)
}

fn how_many(draw: &mut Draw) -> Posed {
    let (b, c) = (2 * draw.nonzero(-5, 5), draw.between(-9, 25));
    let c = if draw.between(0, 2) == 0 {
        b * b / 4
    } else if c == 0 {
        3
    } else {
        c
    };
    let typed = format!("{} = 0", trinomial(1, b, c));
    let d = b * b - 4 * c;
    let (count, sign) = match d.signum() {
        1 => ("two", '>'),
        0 => ("one", '='),
        _ => ("none", '<'),
    };
    let claim = format!("{}^2 - 4 × 1 × {} {sign} 0", bracketed(b), bracketed(c));
    let others: Vec<&str> =
        ["none", "one", "two"].into_iter().filter(|word| *word != count).collect();
    Posed::shown(
        format!("How many real roots has {}: none, one or two?", tex(&typed)),
        count,
        vec![line(&claim)],
    )
    .slip(others[1], slip::ONE_ROOT_FORGOTTEN)
    .near([others[0]])
    .way(
        method::FORMULA,
        sign_of(
            d,
            &claim,
            Lines::default().work(
                &format!("{}^2 - 4 × 1 × {} = {d}", bracketed(b), bracketed(c)),
                "Work out the discriminant",
            ),
        )
        .end(format!("The answer is: {count}.")),
    )
}

/// The comparison with zero, where the discriminant is not zero itself.
fn sign_of(discriminant: i64, claim: &str, lines: Lines) -> Lines {
    match discriminant {
        0 => lines,
        _ => lines.work(claim, "Its sign tells how many roots there are"),
    }
}

/// A length is asked for, so a negative root is left out.
fn story(draw: &mut Draw) -> Posed {
    let (w, d) = (draw.between(3, 15), draw.between(2, 9));
    let area = w * (w + d);
    let thing = *draw.one_of(&["bed of clover", "window of the honey room", "sheet of beeswax"]);
    let unit = if thing == "bed of clover" { "m" } else { "dm" };
    let typed = format!("{} = 0", trinomial(1, d, -area));
    let mut lines = board(&typed, "x", Some(method::FACTOR)).unwrap_or(Working(Vec::new()));
    let (low, high) = (-w - d, w);
    lines.0.push(teaching::working::Draft::Words {
        sentence: format!("{low} is no width. It is {high} {unit} wide."),
        reason: "A width is not negative".into(),
        role: algebra::Role::Concludes,
    });
    Posed::shown(
        format!("A {thing} is {d} {unit} longer than it is wide. Its area is {area} square {unit}. How wide is it?"),
        high.to_string(),
        vec![line(&format!("{high} × ({high} + {d}) = {area}")), line(&format!("{low} < 0"))],
    )
    .slip((w + d).to_string(), slip::SIGNS_OF_ROOTS)
    .near([low.to_string(), (w + 1).to_string()])
    .way(method::FACTOR, lines)
    .unit(unit)
    .answered(format!("It is {high} {unit} wide."), unit)
}
