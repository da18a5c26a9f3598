//! Percent: the whole is asked for.
//!
//! Method: part divided by percent. What counts as nice: whole numbers.

use crate::kit::*;

/// The skill `percent.whole`.
pub struct WholeOf;

slips! {
    MULTIPLIED_FOR_WHOLE = "multiplied-for-whole": "Is the whole larger or smaller than the part?",
        "Takes the percent of the part instead of finding the whole.";
    ONE_PERCENT_AS_WHOLE = "one-percent-as-whole": "You have found one percent. How many of them make the whole?",
        "Stops at one percent.";
}

methods! {
    DECIMAL_AND_DIVIDE = "decimal-and-divide": "Decimal, then divide",
    ONE_PERCENT_FIRST = "one-percent-first": "One percent first",
    BAR = "bar": "Bar",
}

impl Skill for WholeOf {
    fn card(&self) -> Card {
        Card {
            id: "percent.whole",
            strand: Strand::FractionsRatio,
            grades: (6, 8),
            title: "The whole from a percent",
            objective: "I can find the whole when I know a part and its percent.",
            vocabulary: terms![
                "whole": "what makes 100 percent",
                "part": "so many percent of the whole",
                "one percent": "a hundredth of the whole",
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
            (Stage::Tilt, _) => which_operation(draw),
            (Stage::Climb, _) => before(draw),
        }
    }
}

fn worked(prompt: String, p: i64, whole: i64) -> Posed {
    let part = p * whole / 100;
    let factor = decimal(p, 2);
    let equation = format!("{factor} × n = {part}");
    let one = decimal(whole, 2);
    let world = World::by(formulas::PART)
        .given("part", "part", part, "")
        .given("percent", "percent", format!("{p}%"), "")
        .between("one percent", "", &one, "")
        .between("ten percent", "", decimal(whole, 1), "")
        .asked("whole", "whole", whole, "");
    Posed::equation(prompt, line(&equation), "n", from_int(whole))
        .knows(world)
        .slip(decimal(p * part, 2), slip::MULTIPLIED_FOR_WHOLE)
        .slip(one.clone(), slip::ONE_PERCENT_AS_WHOLE)
        .way(
            method::DECIMAL_AND_DIVIDE,
            Lines::start(&equation)
                .then(
                    &format!("n = {part} ÷ {factor}"),
                    format!("Divide both sides by {factor}, which is {p}%"),
                )
                .then(&format!("n = {whole}"), "Divide"),
        )
        .way(
            method::ONE_PERCENT_FIRST,
            Lines::start(&equation)
                .work(&format!("{part} ÷ {p} = {one}"), "Find one percent")
                .then(&format!("n = 100 × {one}"), "The whole is a hundred of them")
                .then(&format!("n = {whole}"), "Work it out"),
        )
        .way(
            method::BAR,
            Lines::start(&equation)
                .then(
                    &format!("n = ({part} ÷ {p}) × 100"),
                    format!("{p} pieces of the bar are {part}; the bar has 100"),
                )
                .then(&format!("n = {whole}"), "Work it out"),
        )
        .grows(
            method::BAR,
            [
                (0, pictured::percent_bar(10 * p, part.to_string(), "n")),
                (2, pictured::percent_bar(10 * p, part.to_string(), whole.to_string())),
            ],
        )
}

fn numbers(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (p, whole) = (5 * draw.between(1, 19), 5 * draw.between(6, 120));
        if p * whole % 100 == 0 && p * whole / 100 > 2 {
            return (p, whole);
        }
    }
}

fn bare(draw: &mut Draw) -> Posed {
    let (p, whole) = numbers(draw);
    let part = p * whole / 100;
    worked(format!("{part} is {} of which number?", tex(&format!("{p}%"))), p, whole)
}

fn which_operation(draw: &mut Draw) -> Posed {
    let (p, whole) = numbers(draw);
    let part = p * whole / 100;
    let factor = decimal(p, 2);
    let is_whole = draw.coin();
    let (question, right, wrong, claim) = if is_whole {
        (
            format!("{part} jars are {p}% of all jars. How many are there in all?"),
            "divide",
            "multiply",
            format!("{part} ÷ {factor} = {whole}"),
        )
    } else {
        (
            format!("{p}% of {whole} jars are sold. How many is that?"),
            "multiply",
            "divide",
            format!("{whole} × {factor} = {part}"),
        )
    };
    let reason = if is_whole {
        "The part is known, the whole is asked for"
    } else {
        "The whole is known, the part is asked for"
    };
    Posed::shown(
        format!("Do you multiply or divide by {factor}? {question} Say why."),
        right,
        vec![line(&claim)],
    )
    .slip(wrong, slip::MULTIPLIED_FOR_WHOLE)
    .way(
        method::DECIMAL_AND_DIVIDE,
        Lines::default().work(&claim, reason).end(format!("You {right}.")),
    )
}

fn before(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (p, whole) = loop {
        let (p, whole) = numbers(draw);
        if (10..=90).contains(&p) {
            break (p, whole);
        }
    };
    let part = p * whole / 100;
    if let Some(told) = own::percent_whole(draw, p, whole, part) {
        return worked(told.prompt, p, whole).answered(told.sentence, &told.unit);
    }
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} has sold {part} jars. That is {p}% of what was brought to the market. How many jars were brought?"
            ),
            format!("{whole} jars were brought."),
            "jars",
        ),
        1 => (
            format!(
                "After the cold spell {part} bees are counted, {p}% of those before it. How many bees were there before?"
            ),
            format!("There were {whole} bees before."),
            "bees",
        ),
        _ => (
            format!(
                "The club has saved {part} dollars, {p}% of the price of a honey press. What does the press cost?"
            ),
            format!("The press costs {whole} dollars."),
            "dollars",
        ),
    };
    worked(prompt, p, whole).answered(sentence, unit)
}
