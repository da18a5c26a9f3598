//! Rounding to a place.
//!
//! Method: look at the next digit; from five on it goes up. What counts as nice: no carry through a nine on the
//! first rungs.

use crate::kit::*;

/// The skill `rounding.places`.
pub struct Places;

slips! {
    TRUNCATED = "truncated": "The next digit is five or more. What does that do?",
        "Cuts the number off instead of rounding it.";
    ROUNDED_TWICE = "rounded-twice": "Look at one digit only: the next one.",
        "Rounds place by place, so that a number just below half goes up.";
    DIGIT_NOT_PLACEHOLDER = "digit-not-placeholder": "The number shrank. Did you keep the places with zeros?",
        "Leaves out the zeros that hold the places.";
}

methods! {
    NEXT_DIGIT = "next-digit": "Look at the next digit",
    NUMBER_LINE = "number-line": "Zoomed number line",
}

impl Skill for Places {
    fn card(&self) -> Card {
        Card {
            id: "rounding.places",
            strand: Strand::Number,
            grades: (4, 6),
            title: "Rounding to a place",
            objective: "I can round a number to the nearest ten, hundred or tenth.",
            vocabulary: terms![
                "round": "replace a number by a near one that is easier to use",
                "place": "where a digit stands: ones, tens, tenths",
                "nearest": "with the smallest distance",
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
            (Stage::Tilt, 0) => bounds(draw),
            (Stage::Tilt, _) => could_it_be(draw),
            (Stage::Climb, _) => sensible(draw),
        }
    }
}

/// `n` hundredths rounded to a place of `unit` hundredths, halves up.
fn rounded(n: i64, unit: i64) -> i64 {
    (2 * n + unit) / (2 * unit) * unit
}

fn show(n: i64) -> String {
    decimal(n, 2)
}

/// A number rounded to tenths shows them: `57.0`.
fn show_rounded(n: i64, unit: i64) -> String {
    if unit < 100 && n % 100 == 0 { format!("{}.0", n / 100) } else { show(n) }
}

fn rounding(prompt: String, n: i64, unit: i64, word: &str) -> Posed {
    let (low, near) = (n / unit * unit, rounded(n, unit));
    let high = low + unit;
    let middle = low + unit / 2;
    let next = (n % unit) * 10 / unit;
    let way = if next >= 5 { "up" } else { "down" };
    let claims = if near == high {
        vec![
            line(&format!("{} <= {}", show(middle), show(n))),
            line(&format!("{} < {}", show(n), show(high))),
        ]
    } else {
        vec![
            line(&format!("{} <= {}", show(low), show(n))),
            line(&format!("{} < {}", show(n), show(middle))),
        ]
    };
    let answer = show_rounded(near, unit);
    let halves = if near == high {
        format!("{} <= {}", show(middle), show(n))
    } else {
        format!("{} < {}", show(n), show(middle))
    };
    let far = if near == low { high } else { low };
    Posed::shown(prompt, answer.clone(), claims)
        .slip(show_rounded(far, unit), slip::TRUNCATED)
        .slip(show(near / 10), slip::DIGIT_NOT_PLACEHOLDER)
        .near([show_rounded(near + unit, unit), show_rounded(near - unit, unit), show(n)])
        .way(
            method::NEXT_DIGIT,
            Lines::default()
                .work(&halves, format!("The digit after the {word} is {next}: go {way}"))
                .end(format!("It rounds to {answer}.")),
        )
        .way(
            method::NUMBER_LINE,
            Lines::default()
                .work(
                    &format!("{} <= {} < {}", show(low), show(n), show(high)),
                    format!("It lies between {} and {}", show(low), show(high)),
                )
                .work(&halves, format!("Half-way is {}", show(middle)))
                .end(format!("{answer} is the nearest.")),
        )
        // Between two tenths there are no whole numbers to mark.
        .grows(
            method::NUMBER_LINE,
            (unit > 100 && n % 100 == 0)
                .then(|| (0, pictured::number_line(low / 100, high / 100, &[n / 100]))),
        )
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (unit, word, name, n) = match index % 3 {
        0 => (1_000, "tens", "ten", 100 * draw.between(112, 989)),
        1 => (10_000, "hundreds", "hundred", 100 * draw.between(1_105, 9_899)),
        _ => (10, "tenths", "tenth", draw.between(211, 9_989)),
    };
    let n = if n % unit == 0 { n + unit / 10 * 3 } else { n };
    rounding(format!("Round {} to the nearest {name}.", show(n)), n, unit, word)
}

fn bounds(draw: &mut Draw) -> Posed {
    let near = 10 * draw.between(12, 89);
    let low = near - 5;
    Posed::shown(
        format!(
            "A whole number rounds to {near}, to the nearest ten. What is the smallest it can be?"
        ),
        low.to_string(),
        vec![line(&format!("{near} - {low} = 5")), line(&format!("{low} - {} = 5", near - 10))],
    )
    .slip((near - 4).to_string(), slip::TRUNCATED)
    .near([near.to_string(), (near - 10).to_string(), (near + 5).to_string()])
    .way(
        method::NUMBER_LINE,
        Lines::default()
            .work(
                &format!("{near} - 5 = {low}"),
                format!("Half-way between {} and {near} goes up", near - 10),
            )
            .work(
                &format!("{} < {low}", low - 1),
                format!("{} goes down to {}", low - 1, near - 10),
            )
            .end(format!("The smallest is {low}.")),
    )
}

fn could_it_be(draw: &mut Draw) -> Posed {
    let hundreds = 100 * draw.between(2, 9);
    let off = *draw.one_of(&[-51, -50, -49, -32, 49, 50, 51, 27]);
    let n = hundreds + off;
    let is_true = (-50..50).contains(&off);
    let claim = if is_true {
        format!("{} <= {n} < {}", hundreds - 50, hundreds + 50)
    } else if off < 0 {
        format!("{n} >= {}", hundreds - 50)
    } else {
        format!("{n} < {}", hundreds + 50)
    };
    let shown = if is_true {
        claim.clone()
    } else if off < 0 {
        format!("{n} < {}", hundreds - 50)
    } else {
        format!("{n} >= {}", hundreds + 50)
    };
    let word = if is_true { "true" } else { "false" };
    Posed::claim(
        format!("True or false? {n} rounds to {hundreds}, to the nearest hundred. Say why."),
        line(&claim),
        is_true,
    )
    .way(
        method::NUMBER_LINE,
        Lines::default()
            .work(
                &shown,
                format!(
                    "What rounds to {hundreds} lies from {} up to, but not at, {}",
                    hundreds - 50,
                    hundreds + 50
                ),
            )
            .end(format!("It is {word}.")),
    )
}

/// Up for what must hold all of them, down for what is full, to the nearest for a report.
fn sensible(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let size = *draw.one_of(&[6, 8, 12, 15]);
    let full = draw.between(4, 12);
    let left = draw.between(1, size - 1);
    let n = size * full + left;
    let quotient = format!("{n} = {full} × {size} + {left}");
    let (prompt, value, sentence, unit, reason, wrong) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} has {n} jars to carry to the market. A crate holds {size}. How many crates are needed?"
            ),
            full + 1,
            format!("{} crates are needed.", full + 1),
            "crates",
            "The last jars need a crate too: round up",
            full,
        ),
        1 => (
            format!(
                "{name} has wax for {n} candles and packs them in boxes of {size}. How many boxes can be filled?"
            ),
            full,
            format!("{full} boxes can be filled."),
            "boxes",
            "A box that is not full does not count: round down",
            full + 1,
        ),
        _ => (
            format!(
                "{n} children visit the bee garden in groups of at most {size}. How many groups are needed?"
            ),
            full + 1,
            format!("{} groups are needed.", full + 1),
            "groups",
            "Nobody stays behind: round up",
            full,
        ),
    };
    let second = if value == full {
        format!("{} × {size} > {n}", full + 1)
    } else {
        format!("{full} × {size} < {n}")
    };
    Posed::shown(prompt, value.to_string(), vec![line(&quotient), line(&second)])
        .slip(wrong.to_string(), slip::TRUNCATED)
        .near([(value + 2).to_string(), n.to_string(), (full + left).to_string()])
        .way(
            method::NEXT_DIGIT,
            Lines::default()
                .work(&quotient, format!("{n} divided by {size} is {full} with {left} left over"))
                .work(&second, reason)
                .end(&sentence),
        )
        .answered(sentence, unit)
}
