//! Percent of a whole: the part is asked for.
//!
//! Method: percent times whole. What counts as nice: percents that are multiples of five, whole parts.

use crate::kit::*;

/// The skill `percent.part`.
pub struct Part;

slips! {
    PERCENT_AS_NUMBER = "percent-as-number": "Per cent means of a hundred. What is it as a decimal?",
        "Multiplies by the percent without turning it into hundredths.";
    DIVIDED_BY_PERCENT = "divided-by-percent": "Is the part larger or smaller than the whole?",
        "Divides the whole by the percent.";
}

methods! {
    DECIMAL = "decimal": "As a decimal",
    TEN_PERCENT_BLOCKS = "ten-percent-blocks": "Blocks of ten percent",
    FRACTION = "fraction": "As a fraction",
    BAR = "bar": "Bar",
}

impl Skill for Part {
    fn card(&self) -> Card {
        Card {
            id: "percent.part",
            strand: Strand::FractionsRatio,
            grades: (6, 8),
            title: "Percent of an amount",
            objective: "I can find a percent of an amount.",
            vocabulary: terms![
                "percent": "so many of a hundred",
                "whole": "what the percent is taken of",
                "part": "so many percent of the whole",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(draw),
            (Stage::Tilt, _) => further(index, draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// A percent in tenths and a whole, with a part that ends after one place.
pub(super) fn worked(prompt: String, tenths: i64, whole: i64) -> Posed {
    let per = decimal(tenths, 1);
    let typed = format!("{per}% of {whole}");
    let part = decimal(tenths * whole, 3);
    let (factor, over) = (decimal(tenths, 3), fraction(tenths, 1000));
    let world = World::by(formulas::PART)
        .given("percent", "percent", format!("{per}%"), "")
        .given("whole", "whole", whole, "")
        .between("one percent", "", decimal(whole, 2), "")
        .between("ten percent", "", decimal(whole, 1), "")
        .asked("part", "part", &part, "");
    let mut posed = Posed::value(prompt, line(&typed), line(&part), Form::Any)
        .knows(world)
        .slip(decimal(tenths * whole, 1), slip::PERCENT_AS_NUMBER)
        .slip(decimal(whole * 1000 / tenths.max(1), 2), slip::DIVIDED_BY_PERCENT)
        .near([
            decimal(tenths * whole, 2),
            decimal(tenths * whole + 10_000, 3),
            decimal((1000 - tenths).abs() * whole + 1, 3),
        ])
        .way(
            method::DECIMAL,
            Lines::start(&typed)
                .then(&format!("{factor} × {whole}"), format!("{per}% is {factor}"))
                .then(&part, "Multiply"),
        )
        .way(
            method::FRACTION,
            Lines::start(&typed)
                .then(&format!("({over}) × {whole}"), format!("{per}% is {}", tex(&over)))
                .then(&part, "Multiply"),
        )
        .way(
            method::BAR,
            Lines::start(&typed)
                .then(
                    &format!("{per} × ({whole} ÷ 100)"),
                    "Cut the bar of 100% into hundred pieces",
                )
                .then(&part, format!("Take {per} of them")),
        )
        .grows(
            method::BAR,
            [
                (0, pictured::percent_bar(tenths, "n", whole.to_string())),
                (2, pictured::percent_bar(tenths, part.clone(), whole.to_string())),
            ],
        );
    if tenths % 50 == 0 && tenths > 0 {
        let (tens, has_five) = (tenths / 100, tenths % 100 != 0);
        let ten = decimal(whole * 10, 2);
        let sum = match (tens, has_five) {
            (0, _) => format!("{ten} ÷ 2"),
            (tens, false) => format!("{tens} × {ten}"),
            (tens, true) => format!("{tens} × {ten} + {ten} ÷ 2"),
        };
        posed = posed.way(
            method::TEN_PERCENT_BLOCKS,
            Lines::start(&typed)
                .work(&format!("10% of {whole} = {ten}"), "Ten percent is a tenth")
                .then(&sum, format!("Build {per}% from blocks of ten"))
                .then(&part, "Work it out"),
        );
    }
    posed
}

fn bare(draw: &mut Draw) -> Posed {
    let (p, whole) = (5 * draw.between(1, 19), 20 * draw.between(2, 30));
    worked(format!("Work out {} of {whole}.", tex(&format!("{p}%"))), 10 * p, whole)
}

/// Over a hundred, then with a decimal in the percent.
fn further(index: usize, draw: &mut Draw) -> Posed {
    let whole = 20 * draw.between(2, 30);
    let tenths = if index.is_multiple_of(2) {
        50 * draw.between(21, 50)
    } else {
        5 + 10 * draw.between(1, 24)
    };
    worked(
        format!("Work out {} of {whole}.", tex(&format!("{}%", decimal(tenths, 1)))),
        tenths,
        whole,
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (p, whole) = loop {
        let (p, whole) = (draw.between(3, 97), 10 * draw.between(4, 90));
        if p * whole % 100 == 0 && p % 10 != 0 {
            break (p, whole);
        }
    };
    let part = p * whole / 100;
    if let Some(told) = own::percent_part(draw, p, whole, part) {
        return worked(told.prompt, 10 * p, whole).answered(told.sentence, &told.unit);
    }
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "A count finds {whole} bees at the hive door. {p}% of them carry pollen. How many bees carry pollen?"
            ),
            format!("{part} bees carry pollen."),
            "bees",
        ),
        1 => (
            format!(
                "{name} brings {whole} jars to the market and sells {p}% of them. How many jars are sold?"
            ),
            format!("{part} jars are sold."),
            "jars",
        ),
        _ => (
            format!("Of {whole} seeds {p}% come up. How many seeds come up?"),
            format!("{part} seeds come up."),
            "seeds",
        ),
    };
    worked(prompt, 10 * p, whole).answered(sentence, unit)
}
