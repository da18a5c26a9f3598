//! Equations with the unknown below a fraction bar.
//!
//! Method: multiply by the least common denominator, and leave out what makes a denominator zero. What counts as nice:
//! whole solutions.

use crate::kit::*;

/// The skill `equations.rational`.
pub struct RationalEquations;

slips! {
    TERM_CANCELLED = "term-cancelled": "Only factors of the whole numerator cancel.",
        "Cancels a term of a sum against the denominator.";
    EXCLUDED_VALUE_KEPT = "excluded-value-kept": "Put your value into the denominator. Is it zero?",
        "Keeps a value for which a denominator is zero.";
    DENOMINATORS_ADDED = "denominators-added": "How much of the work is done in one hour?",
        "Adds the times where the rates should be added.";
    ONE_SIDE_MULTIPLIED = "one-side-multiplied": "Were all terms multiplied?",
        "Multiplies only some terms by the common denominator.";
}

methods! {
    COMMON_DENOMINATOR = "common-denominator": "Multiply by the common denominator",
}

impl Skill for RationalEquations {
    fn card(&self) -> Card {
        Card {
            id: "equations.rational",
            strand: Strand::Algebra,
            grades: (9, 11),
            title: "Equations with fractions",
            objective: "I can solve an equation with the unknown in a denominator and say which values are excluded.",
            vocabulary: terms![
                "rational equation": "an equation with the unknown below a fraction bar",
                "excluded value": "a value for which a denominator would be zero",
                "least common denominator": "the smallest expression that all denominators divide",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => one_fraction(draw),
            (Stage::Grip, _) => proportion(index, draw),
            (Stage::Tilt, 0) => excluded(draw),
            (Stage::Tilt, _) => left_out(index, draw),
            (Stage::Climb, 0) => speed(draw),
            (Stage::Climb, _) => shared_work(draw),
        }
    }
}

fn with_board(posed: Posed, typed: &str, letter: &str) -> Posed {
    match board(typed, letter, None) {
        Some(working) => posed.way(method::COMMON_DENOMINATOR, working),
        None => posed,
    }
}

/// `a/x + b = c`
fn one_fraction(draw: &mut Draw) -> Posed {
    let (x, q, b) = (draw.nonzero(-6, 9), draw.nonzero(-7, 7), draw.nonzero(-9, 9));
    let (a, c) = (x * q, q + b);
    let shift = if b < 0 { format!("- {}", -b) } else { format!("+ {b}") };
    let typed = format!("{a}/x {shift} = {c}");
    let posed = Posed::equation(format!("Solve {}.", tex(&typed)), line(&typed), "x", from_int(x))
        .slip(fraction(a + b, if c == 0 { 1 } else { c }), slip::ONE_SIDE_MULTIPLIED)
        .near([(-x).to_string(), (a * q).to_string(), (x + b).to_string()]);
    with_board(posed, &typed, "x")
}

/// `a/(x + b) = c/d`, then with the letter on both sides.
fn proportion(index: usize, draw: &mut Draw) -> Posed {
    let (c, d) = draw.coprime(2, 9);
    let (k, b) = (draw.between(2, 5), draw.nonzero(-6, 9));
    let (x, typed) = if index % 3 == 1 {
        let x = d * k - b;
        (x, format!("{}/({}) = {c}/{d}", c * k, sum(&[(1, "x"), (b, "")])))
    } else {
        // (x + b)/c = (x + e)/d
        let x = c * k - b;
        let e = d * k - x;
        (x, format!("({})/{c} = ({})/{d}", sum(&[(1, "x"), (b, "")]), sum(&[(1, "x"), (e, "")])))
    };
    let posed = Posed::equation(format!("Solve {}.", tex(&typed)), line(&typed), "x", from_int(x))
        .slip((x + b).to_string(), slip::ONE_SIDE_MULTIPLIED)
        .slip((d * k + b).to_string(), slip::ONE_SIDE_MULTIPLIED)
        .near([(x + 1).to_string(), (-x).to_string()]);
    with_board(posed, &typed, "x")
}

/// For which values is nothing to be worked out?
fn excluded(draw: &mut Draw) -> Posed {
    let (p, q) = loop {
        let (p, q) = (draw.nonzero(-9, 9), draw.nonzero(-9, 9));
        if p != q {
            break (p.min(q), p.max(q));
        }
    };
    let factors = (sum(&[(1, "x"), (-p, "")]), sum(&[(1, "x"), (-q, "")]));
    let typed = format!("({})({}) = 0", factors.0, factors.1);
    let shown =
        format!("{}/({})", draw.between(2, 9), sum(&[(1, "x^2"), (-p - q, "x"), (p * q, "")]));
    let answer = format!("x = {p} or x = {q}");
    Posed::solve(
        format!("Which values of $x$ are excluded in {}?", tex(&shown)),
        line(&typed),
        "x",
        line(&answer),
    )
    .slip(format!("x = {} or x = {}", -q, -p), slip::EXCLUDED_VALUE_KEPT)
    .slip(format!("x = {}", if p == 0 { q } else { p }), slip::EXCLUDED_VALUE_KEPT)
    .near([format!("x = {} or x = {q}", p - 10), format!("x = {p} or x = {}", q + 10)])
    .way(
        method::COMMON_DENOMINATOR,
        Lines::start(&format!("{} = 0", sum(&[(1, "x^2"), (-p - q, "x"), (p * q, "")])))
            .then(&typed, "A denominator must not be zero: factorise it")
            .then(&answer, "A product is zero when one factor is"),
    )
}

/// An equation whose only candidate is excluded, or one of two.
fn left_out(index: usize, draw: &mut Draw) -> Posed {
    let (a, k) = (draw.between(1, 9), draw.between(2, 6));
    let below = format!("x - {a}");
    if index.is_multiple_of(2) {
        // x/(x - a) = a/(x - a) + k has x = a as its only candidate.
        let typed = format!("x/({below}) = {a}/({below}) + {k}");
        let posed = Posed::solve(
            format!("Solve {}. Mind the excluded value.", tex(&typed)),
            line(&typed),
            "x",
            line("no solution"),
        )
        .slip(format!("x = {a}"), slip::EXCLUDED_VALUE_KEPT)
        .slip(format!("x = {}", a + k), slip::ONE_SIDE_MULTIPLIED)
        .near([format!("x = {}", -a), "x = 0".to_owned()]);
        return with_board(posed, &typed, "x");
    }
    // x^2/(x - a) = (s x - p)/(x - a) with the roots a and b of the numerators.
    let b = a + k;
    let typed = format!("x^2/({below}) = ({})/({below})", sum(&[(a + b, "x"), (-a * b, "")]));
    let posed = Posed::solve(
        format!("Solve {}. Mind the excluded value.", tex(&typed)),
        line(&typed),
        "x",
        line(&format!("x = {b}")),
    )
    .slip(format!("x = {a} or x = {b}"), slip::EXCLUDED_VALUE_KEPT)
    .slip(format!("x = {a}"), slip::EXCLUDED_VALUE_KEPT)
    .near([format!("x = {}", a + b), format!("x = {}", -b)]);
    with_board(posed, &typed, "x")
}

/// Times of two who work together: both whole, and the time together too.
const TOGETHER: &[(i64, i64, i64)] = &[
    (3, 6, 2),
    (4, 12, 3),
    (6, 12, 4),
    (6, 30, 5),
    (10, 15, 6),
    (12, 24, 8),
    (8, 24, 6),
    (15, 30, 10),
    (20, 30, 12),
    (12, 36, 9),
    (14, 35, 10),
    (20, 80, 16),
    (18, 36, 12),
    (21, 28, 12),
    (24, 40, 15),
    (30, 45, 18),
    (10, 40, 8),
    (30, 60, 20),
];

fn shared_work(draw: &mut Draw) -> Posed {
    let (a, b, t) = *draw.one_of(TOGETHER);
    let (name, other) = scenario::two_names(draw);
    let (told, work, unit) = match draw.between(0, 2) {
        0 => ("fills the jars of one harvest in", "fill the jars", "hours"),
        1 => ("packs the crates for the market in", "pack the crates", "minutes"),
        _ => ("cleans the frames of one hive in", "clean the frames", "minutes"),
    };
    let typed = format!("1/{a} + 1/{b} = 1/t");
    let posed = Posed::equation(
        format!("{name} {told} {a} {unit}, {other} in {b} {unit}. How many {unit} do they need to {work} together, each at the same pace as before?"),
        line(&typed),
        "t",
        from_int(t),
    )
    .slip((a + b).to_string(), slip::DENOMINATORS_ADDED)
    .slip(fraction(a + b, 2), slip::DENOMINATORS_ADDED)
    .near([(b - a).to_string(), (t + 1).to_string()])
    .answered(format!("Together they need {t} {unit}."), unit);
    let common = lcm(a, b);
    let (x, y) = (common / a, common / b);
    posed.way(
        method::COMMON_DENOMINATOR,
        Lines::start(&typed)
            .then(
                &format!("{x}/{common} + {y}/{common} = 1/t"),
                "What each does in one unit of time, over one denominator",
            )
            .then(&format!("{}/{common} = 1/t", x + y), "Add: what both do together")
            .then(
                &format!("{}t = {common}", x + y),
                format!("Multiply both sides by {}", tex(&format!("{common}t"))),
            )
            .then(&format!("t = {t}"), format!("Divide both sides by {}", x + y)),
    )
}

/// The same way in the same time at two speeds.
fn speed(draw: &mut Draw) -> Posed {
    let (v, more, k) = (draw.between(3, 9) * 2, draw.between(1, 4) * 2, draw.between(2, 6));
    let (slow, fast) = (v * k, (v + more) * k);
    let typed = format!("{fast}/(v + {more}) = {slow}/v");
    let posed = Posed::equation(
        format!("With the wind, a bee flies {more} km/h faster than without it. In the same time it flies {fast} km with the wind or {slow} km without it. How fast is it without the wind, in km/h?"),
        line(&typed),
        "v",
        from_int(v),
    )
    .slip((v + more).to_string(), slip::ONE_SIDE_MULTIPLIED)
    .slip((fast - slow).to_string(), slip::TERM_CANCELLED)
    .near([(v - more).to_string(), (2 * v).to_string()])
    .answered(format!("Without the wind it flies {v} km/h."), "km/h");
    with_board(posed, &typed, "v")
}
