//! Percent increase and decrease.
//!
//! Method: one multiplier. What counts as nice: whole amounts.

use crate::kit::*;

/// The skill `percent.change`.
pub struct Change;

slips! {
    CHANGE_ONLY = "change-only": "You have the change. What is the new amount?",
        "Gives the change instead of the new amount.";
    WRONG_DIRECTION = "wrong-direction": "Does it grow or shrink?",
        "Adds where it should take away, or the other way round.";
    PERCENT_OF_THE_NEW = "percent-of-the-new": "What was the percent taken of: the old or the new amount?",
        "Takes the percent of the new amount to go back.";
    PERCENTS_ADDED = "percents-added": "The second percent is taken of a new amount.",
        "Adds successive percents.";
}

methods! {
    MULTIPLIER = "multiplier": "One multiplier",
    CHANGE_OVER_ORIGINAL = "change-over-original": "Change, then add or take away",
}

impl Skill for Change {
    fn card(&self) -> Card {
        Card {
            id: "percent.change",
            strand: Strand::FractionsRatio,
            grades: (7, 9),
            title: "Percent change",
            objective: "I can find an amount after an increase or a decrease, and go back.",
            vocabulary: terms![
                "increase": "a change that makes it more",
                "decrease": "a change that makes it less",
                "multiplier": "the one number that the old amount is multiplied by",
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
            (Stage::Tilt, 0) => reverse(draw),
            (Stage::Tilt, _) => successive(draw),
            (Stage::Climb, 0) => there_and_back(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn numbers(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (p, old) = (5 * draw.between(1, 15), 10 * draw.between(4, 90));
        if p * old % 100 == 0 {
            return (p, old);
        }
    }
}

/// `old` changed by `p` percent, up or down.
fn changed(prompt: String, old: i64, p: i64, up: bool) -> Posed {
    let change = p * old / 100;
    let (new, other) = if up { (old + change, old - change) } else { (old - change, old + change) };
    let (sign, whole) = if up { ('+', 100 + p) } else { ('-', 100 - p) };
    let typed = format!("{old} {sign} {p}% of {old}");
    let factor = decimal(whole, 2);
    let world = World::by(formulas::MULTIPLIED)
        .given("old value", "old", old, "")
        .given("percent", "percent", format!("{p}%"), "")
        .between("change", "change", change, "")
        .between("multiplier", "multiplier", &factor, "")
        .asked("new value", "new", new, "");
    Posed::value(prompt, line(&typed), line(&new.to_string()), Form::Any)
        .knows(world)
        .slip(change.to_string(), slip::CHANGE_ONLY)
        .slip(other.to_string(), slip::WRONG_DIRECTION)
        .near([(if up { old + p } else { old - p }).to_string(), (new + 10).to_string()])
        .way(
            method::MULTIPLIER,
            Lines::start(&typed)
                .then(
                    &format!("{factor} × {old}"),
                    format!("{}% is the multiplier {factor}", whole),
                )
                .then(&new.to_string(), "Multiply"),
        )
        .grows(
            method::MULTIPLIER,
            [(2, pictured::percent_bar(10 * whole, new.to_string(), old.to_string()))],
        )
        .way(
            method::CHANGE_OVER_ORIGINAL,
            Lines::start(&typed)
                .then(&format!("{old} {sign} {change}"), format!("{p}% of {old} is {change}"))
                .then(&new.to_string(), if up { "Add it" } else { "Take it away" }),
        )
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (p, old) = numbers(draw);
    let up = index.is_multiple_of(2);
    let word = if up { "Increase" } else { "Decrease" };
    changed(format!("{word} {old} by {}.", tex(&format!("{p}%"))), old, p, up)
}

fn reverse(draw: &mut Draw) -> Posed {
    let (p, old) = numbers(draw);
    let up = draw.coin();
    let whole = if up { 100 + p } else { 100 - p };
    let (factor, new) = (decimal(whole, 2), old * whole / 100);
    let equation = format!("{factor} × n = {new}");
    let word = if up { "an increase" } else { "a decrease" };
    let wrong = if up { new * (100 - p) } else { new * (100 + p) };
    Posed::equation(
        format!("After {word} of {p}% it is {new}. What was it before?"),
        line(&equation),
        "n",
        from_int(old),
    )
    .knows(
        World::by(formulas::MULTIPLIED)
            .given("percent", "percent", format!("{p}%"), "")
            .given("new value", "new", new, "")
            .between("multiplier", "multiplier", &factor, "")
            .between("one percent", "", decimal(old, 2), "")
            .asked("old value", "old", old, ""),
    )
    .slip(decimal(wrong, 2), slip::PERCENT_OF_THE_NEW)
    .slip(decimal(new * whole, 2), slip::WRONG_DIRECTION)
    .way(
        method::MULTIPLIER,
        Lines::start(&equation)
            .then(
                &format!("n = {new} ÷ {factor}"),
                format!("Divide both sides by the multiplier {factor}"),
            )
            .then(&format!("n = {old}"), "Divide"),
    )
}

fn successive(draw: &mut Draw) -> Posed {
    let old = 100 * draw.between(2, 12);
    let (p, q) = (10 * draw.between(1, 5), 10 * draw.between(1, 5));
    let typed = format!("{old} × {} × {}", decimal(100 + p, 2), decimal(100 - q, 2));
    let new = decimal(old * (100 + p) * (100 - q), 4);
    Posed::value(
        format!("{old} goes up by {p}%, and then down by {q}%. What is it then?"),
        line(&typed),
        line(&new),
        Form::Any,
    )
    .knows(
        World::new()
            .given("old value", "old", old, "")
            .given("rise", "", format!("{p}%"), "")
            .given("fall", "", format!("{q}%"), "")
            .between("value after the rise", "", decimal(old * (100 + p), 2), "")
            .asked("new value", "new", &new, ""),
    )
    .slip(decimal(old * (100 + p - q), 2), slip::PERCENTS_ADDED)
    .slip(decimal(old * (100 - p) * (100 + q), 4), slip::WRONG_DIRECTION)
    .near([
        old.to_string(),
        decimal(old * (100 + p) * (100 + q), 4),
        decimal(old * (100 + p) * (100 - q) + 100_000, 4),
    ])
    .way(
        method::MULTIPLIER,
        Lines::start(&typed)
            .then(
                &format!("{} × {}", decimal(old * (100 + p), 2), decimal(100 - q, 2)),
                format!("Up by {p}%: times {}", decimal(100 + p, 2)),
            )
            .then(&new, format!("Down by {q}%: times {}", decimal(100 - q, 2))),
    )
}

fn there_and_back(draw: &mut Draw) -> Posed {
    let p = 5 * draw.between(1, 8);
    let old = 100 * draw.between(2, 12);
    let (up, down) = (decimal(100 + p, 2), decimal(100 - p, 2));
    let claim = format!("{old} × {up} × {down} < {old}");
    let thing = *draw.one_of(&[
        "The price of a honey press",
        "The number of bees in a hive",
        "The price of a hive box",
    ]);
    Posed::shown(
        format!("{thing} is {old}. It goes up by {p}%, and then down by {p}%. Is it back at {old}, or more, or less?"),
        "less",
        vec![line(&claim)],
    )
    .slip("back", slip::PERCENTS_ADDED)
    .near(["more"])
    .way(method::MULTIPLIER, Lines::default()
        .work(&format!("{up} × {down} = {}", decimal((100 + p) * (100 - p), 4)), "Multiply the two multipliers")
        .work(&claim, "The second percent is taken of more")
        .end(format!("It is less than {old}.")))
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (p, old) = numbers(draw);
    let change = p * old / 100;
    let more = draw.world().is_some() && draw.coin();
    let new = if more { old + change } else { old - change };
    if let Some(told) = own::percent_change(draw, p, more, old, new) {
        return changed(told.prompt, old, p, more).answered(told.sentence, &told.unit);
    }
    let (prompt, up, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "Last year the club filled {old} jars. This year it fills {p}% more. How many jars does it fill this year?"
            ),
            true,
            format!("It fills {} jars this year.", old + change),
            "jars",
        ),
        1 => (
            format!(
                "A colony had {old} bees on its frames. After the cold there are {p}% fewer. How many bees are left?"
            ),
            false,
            format!("{} bees are left.", old - change),
            "bees",
        ),
        _ => (
            format!(
                "{name} sees a bee suit for {old} dollars. In the sale it costs {p}% less. What does it cost in the sale?"
            ),
            false,
            format!("It costs {} dollars in the sale.", old - change),
            "dollars",
        ),
    };
    changed(prompt, old, p, up).answered(sentence, unit)
}
