//! Mixed numbers and improper fractions.
//!
//! Method: divide with remainder. What counts as nice: wholes to 9, denominators to 12.

use crate::kit::*;

/// The skill `fractions.mixed`.
pub struct Mixed;

slips! {
    WRONG_PAIR_MULTIPLIED = "wrong-pair-multiplied": "Every whole holds how many of these pieces?",
        "Multiplies the whole number by the numerator.";
    WHOLE_ADDED = "whole-added": "Change the wholes into pieces first.",
        "Adds the whole number to the numerator.";
    REMAINDER_AS_WHOLE = "remainder-as-whole": "What does the division give, and what does it leave?",
        "Swaps the quotient and the remainder.";
}

methods! {
    DIVIDE_WITH_REMAINDER = "divide-with-remainder": "Divide with remainder",
    CIRCLES = "circles": "Whole circles and pieces",
}

impl Skill for Mixed {
    fn card(&self) -> Card {
        Card {
            id: "fractions.mixed",
            strand: Strand::FractionsRatio,
            grades: (4, 6),
            title: "Mixed numbers",
            objective: "I can change between mixed numbers and improper fractions.",
            vocabulary: terms![
                "mixed number": "a whole number and a fraction",
                "improper fraction": "a fraction of one whole or more",
                "remainder": "what a division leaves",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => {
                if index.is_multiple_of(2) {
                    to_improper(draw)
                } else {
                    to_mixed(draw)
                }
            }
            (Stage::Tilt, 0) => compare(draw),
            (Stage::Tilt, _) => between(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn parts(draw: &mut Draw) -> (i64, i64, i64) {
    let (n, d) = draw.coprime(1, 12);
    (draw.between(2, 9), n, d)
}

fn mixed(w: i64, n: i64, d: i64) -> String {
    format!("{w} {n}/{d}")
}

fn to_improper(draw: &mut Draw) -> Posed {
    let (w, n, d) = parts(draw);
    let (typed, answer) = (mixed(w, n, d), format!("{}/{d}", w * d + n));
    Posed::value(
        format!("Write {} as an improper fraction.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::ImproperFraction,
    )
    .slip(format!("{}/{d}", w * n + d), slip::WRONG_PAIR_MULTIPLIED)
    .slip(format!("{}/{d}", w + n), slip::WHOLE_ADDED)
    .near([format!("{}/{d}", w * d + n + 1), format!("{}/{d}", w * d)])
    .way(
        method::DIVIDE_WITH_REMAINDER,
        Lines::start(&typed)
            .then(&format!("({w} × {d} + {n})/{d}"), format!("{w} wholes are {w} times {d} pieces"))
            .then(&answer, "Count the pieces"),
    )
    .way(
        method::CIRCLES,
        Lines::start(&typed)
            .then(
                &format!("{}/{d} + {n}/{d}", w * d),
                format!("Cut every whole circle into {d} pieces"),
            )
            .then(&answer, "Put the pieces together"),
    )
    .grows(method::CIRCLES, (w <= 5).then(|| (1, pictured::wholes_and_part(w, (n, d)))))
}

fn to_mixed(draw: &mut Draw) -> Posed {
    let (w, n, d) = parts(draw);
    let (top, answer) = (w * d + n, mixed(w, n, d));
    let typed = format!("{top}/{d}");
    Posed::value(
        format!("Write {} as a mixed number.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::MixedNumber,
    )
    .slip(
        if n == w { mixed(w + 1, n, d) } else { mixed(n, w.min(d - 1), d) },
        slip::REMAINDER_AS_WHOLE,
    )
    .near([
        mixed(w + 1, n, d),
        mixed(w - 1, n, d),
        mixed(w, if n + 1 < d { n + 1 } else { n - 1 }.max(1), d),
        mixed(w + 2, n, d),
    ])
    .way(
        method::DIVIDE_WITH_REMAINDER,
        Lines::start(&typed)
            .work(
                &format!("{top} = {w} × {d} + {n}"),
                format!("{top} divided by {d} is {w}, remainder {n}"),
            )
            .then(&answer, "The quotient is whole, the remainder stays above"),
    )
    .way(
        method::CIRCLES,
        Lines::start(&typed)
            .then(
                &format!("{}/{d} + {n}/{d}", w * d),
                format!("{} pieces make {w} whole circles", w * d),
            )
            .then(&answer, format!("{n} of {d} pieces are left")),
    )
}

fn compare(draw: &mut Draw) -> Posed {
    let (w, n, d) = parts(draw);
    let top = w * d + n + *draw.one_of(&[-1, 1, 2, -2]);
    let (a, b) = (mixed(w, n, d), format!("{top}/{d}"));
    let sign = if w * d + n > top { '>' } else { '<' };
    let claim = format!("{a} {sign} {b}");
    let (right, wrong) = if sign == '>' { (a.clone(), b.clone()) } else { (b.clone(), a.clone()) };
    Posed::shown(
        format!("Which is larger: {} or {}?", tex(&a), tex(&b)),
        right.clone(),
        vec![line(&claim)],
    )
    .near([wrong])
    .way(
        method::DIVIDE_WITH_REMAINDER,
        Lines::default()
            .work(&format!("{a} = {}/{d}", w * d + n), "Write both as improper fractions")
            .work(&claim, "Compare the numerators")
            .end(format!("{right} is larger.")),
    )
}

fn between(draw: &mut Draw) -> Posed {
    let (w, n, d) = parts(draw);
    let top = w * d + n;
    let say = |low: i64| format!("{low} and {}", low + 1);
    let claim = format!("{w} < {top}/{d} < {}", w + 1);
    Posed::shown(
        format!("Between which two whole numbers does {} lie?", tex(&format!("{top}/{d}"))),
        say(w),
        vec![line(&claim)],
    )
    .near([say(n.max(d - n) + w + 1)])
    .near([say(w - 1), say(w + 1)])
    .way(
        method::DIVIDE_WITH_REMAINDER,
        Lines::default()
            .work(
                &format!("{top} = {w} × {d} + {n}"),
                format!("{top} divided by {d} is {w}, remainder {n}"),
            )
            .work(&claim, "So it is a little more than that")
            .end(format!("It lies between {}.", say(w))),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let d = *draw.one_of(&[3, 4, 5, 6, 8]);
    let w = draw.between(3, 9);
    let n = loop {
        let n = draw.between(1, d - 1);
        if gcd(n, d) == 1 {
            break n;
        }
    };
    let top = w * d + n;
    let (part, answer) = (tex(&format!("1/{d}")), mixed(w, n, d));
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} drinks {part} litre of herb tea every day. How many litres are that in {top} days, as a mixed number?"
            ),
            format!("That is {answer} litres."),
            "litres",
        ),
        1 => (
            format!(
                "Each frame takes {part} hour to clean. How many hours do {top} frames take, as a mixed number?"
            ),
            format!("They take {answer} hours."),
            "hours",
        ),
        _ => (
            format!(
                "A comb is cut into pieces of {part} kg. How many kilograms are {top} pieces, as a mixed number?"
            ),
            format!("They weigh {answer} kg."),
            "kg",
        ),
    };
    let typed = format!("{top} × (1/{d})");
    Posed::value(prompt, line(&typed), line(&answer), Form::MixedNumber)
        .slip(
            if n == w { mixed(w + 1, n, d) } else { mixed(n, w.min(d - 1), d) },
            slip::REMAINDER_AS_WHOLE,
        )
        .near([mixed(w + 1, n, d), mixed(w - 1, n, d), mixed(w + 2, n, d)])
        .way(
            method::DIVIDE_WITH_REMAINDER,
            Lines::start(&typed)
                .then(&format!("{top}/{d}"), "So many pieces of one size")
                .then(&answer, format!("{top} divided by {d} is {w}, remainder {n}")),
        )
        .answered(sentence, unit)
}
