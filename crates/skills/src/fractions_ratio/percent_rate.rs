//! Percent: what percent one number is of another.
//!
//! Method: part divided by whole. What counts as nice: whole percents.

use crate::kit::*;

/// The skill `percent.rate`.
pub struct Rate;

slips! {
    DIVIDED_OTHER_WAY = "divided-other-way": "Which of the two is the whole? Divide by it.",
        "Divides the whole by the part.";
    NOT_PER_HUNDRED = "not-per-hundred": "You have a decimal. How many hundredths is it?",
        "Gives the quotient as the percent, without turning it into hundredths.";
    DIFFERENCE_AS_PERCENT = "difference-as-percent": "Percent compares with the whole. What is the whole here?",
        "Takes the difference for the percent.";
}

methods! {
    QUOTIENT = "quotient": "Quotient",
    BAR = "bar": "Bar",
}

impl Skill for Rate {
    fn card(&self) -> Card {
        Card {
            id: "percent.rate",
            strand: Strand::FractionsRatio,
            grades: (6, 8),
            title: "What percent is it?",
            objective: "I can say what percent one number is of another.",
            vocabulary: terms![
                "percent": "so many of a hundred",
                "quotient": "what a division gives",
                "compare": "say how much of one the other is",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(draw, 4, 96),
            (Stage::Tilt, _) => bare(draw, 105, 260),
            (Stage::Climb, 0) => two_hives(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn numbers(draw: &mut Draw, low: i64, high: i64) -> (i64, i64) {
    loop {
        let (p, whole) = (draw.between(low, high), 4 * draw.between(5, 120));
        if p * whole % 100 == 0 && p != 100 {
            return (p, whole);
        }
    }
}

fn worked(prompt: String, p: i64, whole: i64) -> Posed {
    let part = p * whole / 100;
    let typed = format!("{part}/{whole}");
    let factor = decimal(p, 2);
    // Of a hundred, the bar is cut already.
    let last = if whole == 100 { 1 } else { 2 };
    let world = World::by(formulas::PART)
        .given("part", "part", part, "")
        .given("whole", "whole", whole, "")
        .between("one percent", "", decimal(whole, 2), "")
        .asked("percent", "percent", format!("{p}%"), "");
    Posed::value(prompt, line(&typed), line(&format!("{p}%")), Form::Percent)
        .knows(world)
        .slip(format!("{}%", decimal(whole * 1000 / part.max(1), 1)), slip::DIVIDED_OTHER_WAY)
        .slip(format!("{factor}%"), slip::NOT_PER_HUNDRED)
        .slip(format!("{}%", (whole - part).abs()), slip::DIFFERENCE_AS_PERCENT)
        .near([format!("{}%", p + 10), format!("{}%", p + 5)])
        .way(
            method::QUOTIENT,
            Lines::start(&typed)
                .then(&factor, format!("Divide {part} by {whole}"))
                .then(&format!("{p}%"), "Hundredths are percents"),
        )
        .way(
            method::BAR,
            Lines::start(&typed)
                .then(&format!("{p}/100"), format!("Cut the bar of {whole} into hundred pieces"))
                .then(&format!("{p}%"), "Hundredths are percents"),
        )
        .grows(
            method::BAR,
            [(last, pictured::percent_bar(10 * p, part.to_string(), whole.to_string()))],
        )
}

fn bare(draw: &mut Draw, low: i64, high: i64) -> Posed {
    let (p, whole) = numbers(draw, low, high);
    worked(format!("What percent of {whole} is {}?", p * whole / 100), p, whole)
}

fn two_hives(draw: &mut Draw) -> Posed {
    let (p, first, q, second) = loop {
        let ((p, first), (q, second)) = (numbers(draw, 12, 80), numbers(draw, 12, 80));
        // The larger count goes with the smaller percent.
        if q < p && q * second > p * first {
            break (p, first, q, second);
        }
    };
    let (a, b) = (p * first / 100, q * second / 100);
    let claim = format!("{a}/{first} > {b}/{second}");
    Posed::shown(
        format!("In the oak hive {a} of {first} cells are capped, in the clover hive {b} of {second}. Which hive has the larger part capped?"),
        "the oak hive",
        vec![line(&claim)],
    )
    .slip("the clover hive", slip::DIFFERENCE_AS_PERCENT)
    .way(method::QUOTIENT, Lines::default()
        .work(&format!("{a}/{first} = {p}%"), "The oak hive")
        .work(&format!("{b}/{second} = {q}%"), "The clover hive")
        .work(&claim, "Compare the percents, not the counts")
        .end("It is the oak hive."))
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (p, whole) = numbers(draw, 6, 94);
    let part = p * whole / 100;
    if let Some(told) = own::percent_rate(draw, p, whole, part) {
        return worked(told.prompt, p, whole).answered(told.sentence, &told.unit);
    }
    let (prompt, sentence) = match draw.between(0, 2) {
        0 => (
            format!("{part} of {whole} bees carry pollen. What percent is that?"),
            format!("{p}% of them carry pollen."),
        ),
        1 => (
            format!("{name} sells {part} of {whole} jars. What percent of the jars is sold?"),
            format!("{p}% of the jars are sold."),
        ),
        _ => (
            format!(
                "The club paid {part} of {whole} dollars for a honey press. What percent is paid?"
            ),
            format!("{p}% is paid."),
        ),
    };
    worked(prompt, p, whole).answered(sentence, "%")
}
