//! Rounding to significant figures.
//!
//! Method: count from the first digit that is not zero; look at the next. What counts as nice: two or three figures,
//! no run of nines on Grip.

use crate::kit::*;

/// The skill `rounding.significant`.
pub struct Significant;

slips! {
    PLACEHOLDER_DROPPED = "placeholder-dropped": "Is the answer about as large as the number you began with?",
        "Drops the zeros that hold the places.";
    LEADING_ZEROS_COUNTED = "leading-zeros-counted": "Start counting at the first digit that is not zero.",
        "Counts the zeros in front as figures.";
    CUT_OFF = "cut-off": "Look at the first digit that you leave out.",
        "Cuts off instead of rounding.";
}

methods! {
    MARK_THE_FIGURES = "mark-the-figures": "Mark the figures kept",
    STANDARD_FORM = "standard-form": "By standard form",
}

impl Skill for Significant {
    fn card(&self) -> Card {
        Card {
            id: "rounding.significant",
            strand: Strand::Number,
            grades: (7, 10),
            title: "Significant figures",
            objective: "I can round a number to so many significant figures and say how exact it is.",
            vocabulary: terms![
                "significant figure": "a digit that tells about the size, counted from the first that is not zero",
                "placeholder zero": "a zero that only holds a place",
                "leading zero": "a zero in front of the first other digit",
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
            (Stage::Tilt, _) => through_nines(index, draw),
            (Stage::Climb, _) => after_a_calculation(draw),
        }
    }
}

/// `digits × 10^-places` as a decimal.
fn show(digits: i64, places: u32) -> String {
    decimal(digits, places)
}

/// Rounds `digits` to `figures` figures: the rounded digits, at the same place.
fn rounded(digits: i64, figures: u32) -> i64 {
    let length = digits.to_string().len() as u32;
    let unit = 10_i64.pow(length.saturating_sub(figures));
    (2 * digits + unit) / (2 * unit) * unit
}

/// A rounded number with the zeros that are significant: `0.300`, not `0.3`.
fn show_kept(near: i64, places: u32, dropped: u32) -> String {
    match places.checked_sub(dropped) {
        Some(kept) if kept > 0 => {
            let scaled = near / 10_i64.pow(dropped);
            let scale = 10_i64.pow(kept);
            format!("{}.{:0>width$}", scaled / scale, scaled % scale, width = kept as usize)
        }
        _ => show(near, places),
    }
}

/// `7.38 × 10^4`
fn scientific(value: i64, places: u32) -> String {
    let length = value.to_string().len() as u32;
    let power = i64::from(length) - 1 - i64::from(places);
    format!("{} × 10^({power})", show(value, length - 1))
}

fn rounding(prompt: String, digits: i64, places: u32, figures: u32) -> Posed {
    let near = rounded(digits, figures);
    let dropped = digits.to_string().len() as u32 - figures;
    let unit = 10_i64.pow(dropped);
    let number = show(digits, places);
    let answer = show_kept(near, places, dropped);
    let next = digits / (unit / 10).max(1) % 10;
    let low = digits / unit * unit;
    let middle = show(low + unit / 2, places);
    let goes_up = near > low;
    let claim =
        if goes_up { format!("{middle} <= {number}") } else { format!("{number} < {middle}") };
    let way = if goes_up { "goes up" } else { "stays" };
    let other = if goes_up { low } else { low + unit };
    Posed::shown(prompt, answer.clone(), vec![line(&claim)])
        .slip(show(near / unit, 0), slip::PLACEHOLDER_DROPPED)
        .slip(show_kept(other, places, dropped), slip::CUT_OFF)
        .near([show_kept(near + unit, places, dropped), show(near * 10, places), number.clone()])
        .way(
            method::MARK_THE_FIGURES,
            Lines::default()
                .say(
                    if figures == 1 {
                        format!("The first figure of {number} is {}.", low / unit)
                    } else {
                        format!("The first {figures} figures of {number} are {}.", low / unit)
                    },
                    "Mark the figures kept, from the first that is not zero",
                )
                .work(&claim, format!("The next digit is {next}: the last figure kept {way}"))
                .end(format!("It rounds to {answer}.")),
        )
        .grows(method::MARK_THE_FIGURES, [(0, pictured::digit_strip(&number, figures))])
        .way(
            method::STANDARD_FORM,
            Lines::default()
                .work(
                    &format!("{number} = {}", scientific(digits, places)),
                    "Write it in standard form",
                )
                .work(
                    &claim,
                    format!(
                        "Round the first factor to {figures} figures: the next digit is {next}"
                    ),
                )
                .work(&format!("{} = {answer}", scientific(near, places)), "Write it out again")
                .end(format!("It rounds to {answer}.")),
        )
}

fn figures_word(n: u32) -> String {
    if n == 1 { "1 significant figure".into() } else { format!("{n} significant figures") }
}

/// Large numbers and small ones in turn; the number of figures changes.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let figures = [2, 3, 1][index / 2 % 3];
    let digits = loop {
        let digits = draw.between(10_215, 98_749);
        let text = digits.to_string();
        if !text.contains('9') && digits % 10 != 0 && !text[..3].contains('0') {
            break digits;
        }
    };
    let places = if index.is_multiple_of(2) { 0 } else { *draw.one_of(&[3, 6, 7]) };
    let number = show(digits, places);
    rounding(format!("Round {number} to {}.", figures_word(figures)), digits, places, figures)
}

fn through_nines(index: usize, draw: &mut Draw) -> Posed {
    let first = draw.between(1, 8);
    let digits = first * 10_000 + 9_900 + draw.between(51, 98);
    let places = if index.is_multiple_of(2) { 0 } else { 5 };
    let number = show(digits, places);
    rounding(format!("Round {number} to 3 significant figures. Mind the nines."), digits, places, 3)
}

fn how_many(draw: &mut Draw) -> Posed {
    let digits = draw.between(12, 998);
    let digits = if digits % 10 == 0 { digits + 3 } else { digits };
    let count = digits.to_string().len();
    let places = count as u32 + u32::try_from(draw.between(1, 3)).unwrap_or(1);
    let number = show(digits, places);
    let all = number.trim_start_matches("0.").len();
    let power = i64::from(places);
    Posed::shown(
        format!("How many significant figures has {number}?"),
        count.to_string(),
        vec![line(&format!("{number} = {digits} × 10^(-{power})"))],
    )
    .slip(all.to_string(), slip::LEADING_ZEROS_COUNTED)
    .near([(all + 1).to_string(), (count + 3).to_string(), "1".to_owned()])
    .way(
        method::MARK_THE_FIGURES,
        Lines::default()
            .work(
                &format!("{number} = {digits} × 10^(-{power})"),
                "The zeros in front only hold places",
            )
            .end(format!("It has {count}.")),
    )
}

fn after_a_calculation(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = loop {
        let (a, b) = (draw.between(112, 489), draw.between(113, 397));
        if a % 10 != 0 && b % 10 != 0 && a * b > 10_000 {
            break (a, b);
        }
    };
    let product = a * b;
    let (x, y) = (decimal(a, 1), decimal(b, 2));
    let (prompt, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} measures a bed of clover: {x} m long and {y} m wide. Give its area in square metres to 2 significant figures."
            ),
            "m²",
        ),
        1 => (
            format!(
                "One frame holds {y} kg of honey. {name} reckons with {x} frames on average. How many kilograms is that, to 2 significant figures?"
            ),
            "kg",
        ),
        _ => (
            format!(
                "A bee flies {y} km in one hour on average. How many kilometres does it fly in {x} hours, to 2 significant figures?"
            ),
            "km",
        ),
    };
    let near = rounded(product, 2);
    let answer = show_kept(near, 3, product.to_string().len() as u32 - 2);
    let mut posed = rounding(prompt, product, 3, 2);
    posed.workings.clear();
    let low = product / 10_i64.pow(product.to_string().len() as u32 - 2)
        * 10_i64.pow(product.to_string().len() as u32 - 2);
    let middle = low + 5 * 10_i64.pow(product.to_string().len() as u32 - 3);
    let claim = if near > low {
        format!("{} <= {}", show(middle, 3), show(product, 3))
    } else {
        format!("{} < {}", show(product, 3), show(middle, 3))
    };
    let sentence = format!("It is about {answer} {unit}.");
    posed
        .way(
            method::MARK_THE_FIGURES,
            Lines::default()
                .work(
                    &format!("{x} × {y} = {}", show(product, 3)),
                    "Multiply first, and round at the end",
                )
                .work(&claim, "Look at the third figure")
                .end(&sentence),
        )
        .answered(sentence, unit)
}
