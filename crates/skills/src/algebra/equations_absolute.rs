//! Equations with an absolute value.
//!
//! Methods: two cases; the distance on a number line. What counts as nice: whole solutions.

use crate::kit::*;
use teaching::picture;
use teaching::problem::Key;

/// The skill `equations.absolute`.
pub struct AbsoluteEquations;

slips! {
    ONE_CASE_ONLY = "one-case-only": "Which other number is as far from zero?",
        "Solves the positive case only.";
    SIGN_OF_ONE_TERM = "sign-of-one-term": "The whole side takes the minus, not one term.",
        "Changes the sign of one term only in the second case.";
    NEGATIVE_DISTANCE = "negative-distance": "Can a distance be negative?",
        "Solves an equation whose absolute value would be negative.";
}

methods! {
    TWO_CASES = "two-cases": "Two cases",
    DISTANCE = "distance": "Distance on a number line",
}

impl Skill for AbsoluteEquations {
    fn card(&self) -> Card {
        Card {
            id: "equations.absolute",
            strand: Strand::Algebra,
            grades: (9, 11),
            title: "Equations with absolute values",
            objective: "I can find every number at a given distance.",
            vocabulary: terms![
                "absolute value": "the distance from zero",
                "case": "one of the possibilities that are looked at one by one",
                "tolerance": "how far a value may be from what it should be",
            ],
            methods: METHODS,
        }
    }

    fn line_picture(&self, posed: &Posed, method: MethodId, line: &Line) -> Option<Figure> {
        let is_last = matches!(line, Line::AnyOf(_)) && posed.key == Key::Line(line.clone());
        (method == method::DISTANCE && is_last).then(|| picture::of_solutions(line)).flatten()
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, 0) => isolate(draw),
            (Stage::Tilt, 2) => find_the_slip(draw),
            (Stage::Tilt, _) => how_many(index, draw),
            (Stage::Climb, _) => tolerance(index, draw),
        }
    }
}

fn two(low: i64, high: i64) -> String {
    format!("x = {low} or x = {high}")
}

/// `|ax + b| = c`, first with one `x`.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let a = if index.is_multiple_of(2) { 1 } else { draw.between(2, 5) };
    let (middle, reach) = (draw.nonzero(-9, 9), draw.between(1, 8));
    let (b, c) = (-a * middle, a * reach);
    let typed = format!("|{}| = {c}", sum(&[(a, "x"), (b, "")]));
    solve(format!("Solve {}.", tex(&typed)), &typed, (a, middle, reach))
}

/// The solutions are `middle` less and more `reach`.
fn solve(prompt: String, typed: &str, (a, middle, reach): (i64, i64, i64)) -> Posed {
    let (low, high) = (middle - reach, middle + reach);
    let posed = Posed::solve(prompt, line(typed), "x", line(&two(low, high)))
        .slip(format!("x = {high}"), slip::ONE_CASE_ONLY)
        .slip(two((-high).min(high), (-high).max(high)), slip::SIGN_OF_ONE_TERM)
        .near([two(low - 1, high), two(-high, -low), two(low, high + a), format!("x = {low}")]);
    let posed = match board(typed, "x", None) {
        Some(working) => posed.way(method::TWO_CASES, working),
        None => posed,
    };
    let distance = format!("|x - {}| = {reach}", bracketed(middle));
    let mut lines = Lines::start(typed);
    if a > 1 || !typed.starts_with('|') {
        lines = lines.then(&distance, "Bring it into the form of one distance");
    }
    posed.way(
        method::DISTANCE,
        lines
            .then(
                &format!("x = {middle} - {reach} or x = {middle} + {reach}"),
                format!("Go {reach} to the left and to the right of {middle}"),
            )
            .then(&two(low, high), "Work both out"),
    )
}

/// `k|x + b| + d = c`
fn isolate(draw: &mut Draw) -> Posed {
    let (k, middle, reach) = (draw.between(2, 5), draw.nonzero(-9, 9), draw.between(1, 8));
    let d = draw.nonzero(-9, 9);
    let shift = if d < 0 { format!("- {}", -d) } else { format!("+ {d}") };
    let typed = format!("{k}|{}| {shift} = {}", sum(&[(1, "x"), (-middle, "")]), k * reach + d);
    solve(format!("Solve {}.", tex(&typed)), &typed, (1, middle, reach))
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (middle, reach) = (draw.nonzero(-9, 9), draw.between(1, 8));
    let inside = sum(&[(1, "x"), (-middle, "")]);
    let typed = format!("|{inside}| = {reach}");
    let posed = solve(String::new(), &typed, (1, middle, reach));
    let (case, end) = (format!("{inside} = {reach}"), format!("x = {}", middle + reach));
    with_slip(posed, draw, &[&typed, &case, &end], 1, slip::ONE_CASE_ONLY)
}

/// None, one or two?
fn how_many(index: usize, draw: &mut Draw) -> Posed {
    let (b, n) = (draw.nonzero(-9, 9), draw.between(1, 9));
    let (c, count) = match index % 3 {
        1 if draw.coin() => (-n, "none"),
        _ if draw.coin() => (0, "one"),
        _ => (n, "two"),
    };
    let inside = sum(&[(1, "x"), (b, "")]);
    let typed = format!("|{inside}| + {n} = {}", c + n);
    let others: Vec<&str> = ["none", "one", "two"].into_iter().filter(|w| *w != count).collect();
    let (claim, why) = match c.signum() {
        -1 => (format!("{c} < 0"), "An absolute value is never negative"),
        0 => ("|0| = 0".to_owned(), "Only zero is at distance zero"),
        _ => (format!("|{}| = |{c}|", -c), "Two numbers are that far from zero"),
    };
    let solution = match c.signum() {
        -1 => "no solution".to_owned(),
        0 => format!("x = {}", -b),
        _ => two(-b - c, -b + c),
    };
    Posed::shown(
        format!("How many solutions has {}: none, one or two?", tex(&typed)),
        count,
        vec![line(&claim)],
    )
    .slip(
        if c < 0 { "two" } else { others[0] },
        if c < 0 { slip::NEGATIVE_DISTANCE } else { slip::ONE_CASE_ONLY },
    )
    .near(others)
    .way(
        method::TWO_CASES,
        Lines::start(&typed)
            .then(&format!("|{inside}| = {c}"), format!("Subtract {n} from both sides"))
            .work(&claim, why)
            .then(&solution, "So this is all that fits")
            .end(format!("The answer is: {count}.")),
    )
}

/// A target and how far from it is allowed.
fn tolerance(index: usize, draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (target, by, text, asked, unit) = match index % 3 {
        0 => {
            let (target, by) = (*draw.one_of(&[250, 340, 450, 500]), draw.between(2, 15));
            (
                target,
                by,
                format!(
                    "A jar should hold {target} g of honey. {name}'s scale lets it pass when it is at most {by} g away from that."
                ),
                "mass that passes",
                "g",
            )
        }
        1 => {
            let (target, by) = (draw.between(33, 37), draw.between(1, 3));
            (
                target,
                by,
                format!(
                    "The middle of the brood nest should be at {target} °C. {name}'s warning light comes on when it is {by} °C away from that."
                ),
                "temperature at which the light comes on",
                "°C",
            )
        }
        _ => {
            let (target, by) = (draw.between(20, 48) * 10, draw.between(2, 9));
            (
                target,
                by,
                format!(
                    "The bars of a frame should be {target} mm long. {name} uses those that are at most {by} mm away from that."
                ),
                "length that is used",
                "mm",
            )
        }
    };
    let typed = format!("|x - {target}| = {by}");
    let (low, high) = (target - by, target + by);
    let prompt =
        format!("{text} Write an equation for the least and the greatest {asked}, and solve it.");
    solve(prompt, &typed, (1, target, by))
        .answered(format!("From {low} {unit} to {high} {unit}: {}.", two(low, high)), unit)
}
