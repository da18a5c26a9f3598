//! Simplifying square roots.
//!
//! Methods: the factor tree with its pairs ringed; the largest square factor. What counts as nice: one pair of a prime
//! on Grip.

use crate::kit::*;

/// The skill `radicals.simplify`.
pub struct Simplify;

slips! {
    SQUARE_LEFT_INSIDE = "square-left-inside": "Is there still a square that divides the number under the root?",
        "Stops while a square factor is still under the root.";
    BOTH_OF_PAIR_OUT = "both-of-pair-out": "A pair under the root comes out as one.",
        "Brings both factors of a pair out.";
    HALVED = "halved": "Which number times itself is it?",
        "Takes half of the number for its root.";
    COEFFICIENT_LOST = "coefficient-lost": "What stood in front of the root? It multiplies what comes out.",
        "Forgets the factor in front of the root.";
}

methods! {
    FACTOR_TREE = "factor-tree": "Factor tree and pairs",
    LARGEST_SQUARE = "largest-square": "Largest square factor",
}

impl Skill for Simplify {
    fn card(&self) -> Card {
        Card {
            id: "radicals.simplify",
            strand: Strand::Algebra,
            grades: (8, 10),
            title: "Simplifying roots",
            objective: "I can bring every square factor out of a root.",
            vocabulary: terms![
                "radical": "a root as it is written",
                "radicand": "what stands under the root",
                "perfect square": "the square of a whole number",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => one_pair(draw),
            (Stage::Tilt, 0) => what_was_under(draw),
            (Stage::Tilt, 1) => several_pairs(draw),
            (Stage::Tilt, _) => find_the_slip(draw),
            (Stage::Climb, 0) => with_coefficient(draw),
            (Stage::Climb, 1) => cube_root(draw),
            (Stage::Climb, _) => across(draw),
        }
    }
}

/// Numbers without a square factor.
const SQUARE_FREE: &[i64] = &[2, 3, 5, 6, 7, 10, 11, 13, 14, 15];

fn rooted(outside: i64, inside: i64) -> String {
    if outside == 1 { format!("sqrt({inside})") } else { format!("{outside} sqrt({inside})") }
}

/// `2 × 2 × 3 × 3 × 5`, pairs side by side.
fn pairs(n: i64) -> String {
    times(&prime_factors(n))
}

/// A root with a factor in front, 1 for none.
fn simplified(prompt: String, front: i64, radicand: i64) -> Posed {
    let (outside, inside) = out_of_root(radicand);
    let (typed, answer) = (rooted(front, radicand), rooted(front * outside, inside));
    let square = outside * outside;
    let half_way = prime_factors(outside).first().copied().unwrap_or(1);
    let mut posed = Posed::value(prompt, line(&typed), line(&answer), Form::SimplifiedRadical)
        .slip(rooted(front * square, inside), slip::BOTH_OF_PAIR_OUT);
    if front > 1 {
        posed = posed.slip(rooted(outside, inside), slip::COEFFICIENT_LOST);
    }
    let lead = |factor: i64| if factor == 1 { String::new() } else { format!("{factor} × ") };
    let mut by_square = Lines::start(&typed)
        .then(
            &format!("{}sqrt({square} × {inside})", lead(front)),
            format!("The largest square factor of {radicand} is {square}"),
        )
        .then(
            &format!("{}sqrt({square}) × sqrt({inside})", lead(front)),
            "The root of a product is the product of the roots",
        );
    let mut by_pairs = Lines::start(&typed).then(
        &format!("{}sqrt({})", lead(front), pairs(radicand)),
        "Split the number into its prime factors and ring the pairs",
    );
    if front > 1 {
        by_square = by_square.then(
            &format!("{front} × {outside} × sqrt({inside})"),
            format!("The root of {square} is {outside}"),
        );
        by_pairs = by_pairs.then(
            &format!("{front} × {outside} × sqrt({inside})"),
            format!("One of each pair comes out: {}", times(&prime_factors(outside))),
        );
    }
    let (last_square, last_pairs) = if front > 1 {
        ("Multiply what stands in front".to_owned(), "Multiply what stands in front".to_owned())
    } else {
        (
            format!("The root of {square} is {outside}"),
            format!("One of each pair comes out: {}", times(&prime_factors(outside))),
        )
    };
    posed
        .grows(
            method::FACTOR_TREE,
            [
                (1, pictured::ringed_pairs(&prime_factors(radicand), false)),
                (2, pictured::ringed_pairs(&prime_factors(radicand), true)),
            ],
        )
        .slip(fraction(front * radicand, 2), slip::HALVED)
        .near([
            rooted(front * outside, inside + 1),
            rooted(front * (outside + 1), inside),
            rooted(front * half_way, inside),
        ])
        .way(method::FACTOR_TREE, by_pairs.then(&answer, last_pairs))
        .way(method::LARGEST_SQUARE, by_square.then(&answer, last_square))
}

fn ask(typed: &str) -> String {
    format!("Simplify {}.", tex(typed))
}

fn one_pair(draw: &mut Draw) -> Posed {
    let (p, inside) = (*draw.one_of(&[2, 3, 5, 7]), *draw.one_of(SQUARE_FREE));
    let radicand = p * p * inside;
    simplified(ask(&rooted(1, radicand)), 1, radicand)
}

fn several_pairs(draw: &mut Draw) -> Posed {
    let (outside, inside) =
        (*draw.one_of(&[4, 6, 8, 9, 10, 12, 14, 15]), *draw.one_of(&[2, 3, 5, 6, 7]));
    let radicand = outside * outside * inside;
    simplified(ask(&rooted(1, radicand)), 1, radicand)
}

fn what_was_under(draw: &mut Draw) -> Posed {
    let (outside, inside) = (draw.between(2, 9), *draw.one_of(SQUARE_FREE));
    let radicand = outside * outside * inside;
    let typed = format!("{outside}^2 × {inside}");
    Posed::value(
        format!(
            "Which number stands under the root? {} is the root of ___.",
            tex(&rooted(outside, inside))
        )
        .replace("___", "which number"),
        line(&typed),
        line(&radicand.to_string()),
        Form::Any,
    )
    .slip((outside * inside).to_string(), slip::BOTH_OF_PAIR_OUT)
    .slip((2 * outside * inside).to_string(), slip::HALVED)
    .near([(outside + inside).to_string(), (outside * inside * inside).to_string()])
    .way(
        method::LARGEST_SQUARE,
        Lines::start(&typed)
            .then(
                &format!("{} × {inside}", outside * outside),
                format!("In front stands {outside}; under the root it is its square"),
            )
            .then(&radicand.to_string(), "Multiply"),
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (outside, inside) = (*draw.one_of(&[4, 6, 8, 9]), *draw.one_of(&[2, 3, 5, 7]));
    let radicand = outside * outside * inside;
    let typed = rooted(1, radicand);
    let (split, wrong) =
        (format!("sqrt({} × {inside})", outside * outside), rooted(outside * outside, inside));
    let posed = simplified(String::new(), 1, radicand);
    with_slip(posed, draw, &[&typed, &split, &wrong], 2, slip::BOTH_OF_PAIR_OUT)
}

fn with_coefficient(draw: &mut Draw) -> Posed {
    let (front, outside, inside) =
        (draw.between(2, 7), *draw.one_of(&[2, 3, 4, 5, 6]), *draw.one_of(&[2, 3, 5, 6, 7]));
    let radicand = outside * outside * inside;
    simplified(ask(&rooted(front, radicand)), front, radicand)
}

fn cube_root(draw: &mut Draw) -> Posed {
    let (outside, inside) = (draw.between(2, 5), *draw.one_of(&[2, 3, 5, 6, 7, 10]));
    let cube = outside * outside * outside;
    let typed = format!("cbrt({})", cube * inside);
    let answer = format!("{outside} cbrt({inside})");
    Posed::value(ask(&typed), line(&typed), line(&answer), Form::SimplifiedRadical)
        .slip(format!("{cube} cbrt({inside})"), slip::BOTH_OF_PAIR_OUT)
        .slip(format!("{} cbrt({inside})", outside * outside), slip::BOTH_OF_PAIR_OUT)
        .slip(format!("{outside} sqrt({inside})"), slip::SQUARE_LEFT_INSIDE)
        .near([format!("{} cbrt({inside})", outside + 1)])
        .way(
            method::LARGEST_SQUARE,
            Lines::start(&typed)
                .then(
                    &format!("cbrt({cube} × {inside})"),
                    format!("The largest cube that divides it is {cube}"),
                )
                .then(
                    &format!("cbrt({cube}) × cbrt({inside})"),
                    "The root of a product is the product of the roots",
                )
                .then(&answer, format!("The cube root of {cube} is {outside}")),
        )
        .way(
            method::FACTOR_TREE,
            Lines::start(&typed)
                .then(
                    &format!("cbrt({})", pairs(cube * inside)),
                    "Split into prime factors and ring threes",
                )
                .then(&answer, "One of each three comes out"),
        )
}

/// The way straight across something whose sides are whole.
fn across(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) = (draw.between(2, 14), draw.between(2, 14));
        let (outside, inside) = out_of_root(a * a + b * b);
        if a < b && outside > 1 && inside > 1 {
            break (a, b);
        }
    };
    let (outside, inside) = out_of_root(a * a + b * b);
    let (typed, answer) = (format!("sqrt({a}^2 + {b}^2)"), rooted(outside, inside));
    let name = scenario::name(draw);
    let (text, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "A bed of thyme is {a} m by {b} m. {name} stretches a line from corner to corner. How long is it in m?"
            ),
            "m",
        ),
        1 => (
            format!(
                "A frame is {a} dm by {b} dm. {name} cuts a wire from corner to corner. How long is it in dm?"
            ),
            "dm",
        ),
        _ => (
            format!(
                "{name} walks {a} m to the hedge and, at a right angle, {b} m to the hive. How far is it straight back in m?"
            ),
            "m",
        ),
    };
    Posed::value(
        format!("{text} Give it as a simplified root."),
        line(&typed),
        line(&answer),
        Form::SimplifiedRadical,
    )
    .slip((a + b).to_string(), slip::HALVED)
    .slip(rooted(outside * outside, inside), slip::BOTH_OF_PAIR_OUT)
    .near([rooted(outside + 1, inside), rooted(outside, inside + 1)])
    .way(
        method::LARGEST_SQUARE,
        Lines::start(&typed)
            .then(
                &format!("sqrt({})", a * a + b * b),
                "Square both sides of the right angle and add",
            )
            .then(
                &format!("sqrt({} × {inside})", outside * outside),
                format!("The largest square factor is {}", outside * outside),
            )
            .then(&answer, format!("The root of {} is {outside}", outside * outside)),
    )
    .unit(unit)
}
