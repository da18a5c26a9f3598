//! Sharing in a ratio.
//!
//! Method: find one part first. What counts as nice: parts of whole size.

use crate::kit::*;
use teaching::figure::Mark;

/// The skill `ratio.share`.
pub struct Share;

slips! {
    DIVIDED_BY_EACH = "divided-by-each": "How many equal parts are there in all?",
        "Divides the total by each number of the ratio.";
    ONE_PART_GIVEN = "one-part-given": "How many parts does this share have?",
        "Gives the size of one part as the answer.";
    OTHER_SHARE = "other-share": "Whose share is asked for?",
        "Gives the other share.";
}

methods! {
    ONE_PART_FIRST = "one-part-first": "One part first",
    BAR_MODEL = "bar-model": "Bar model",
}

impl Skill for Share {
    fn card(&self) -> Card {
        Card {
            id: "ratio.share",
            strand: Strand::FractionsRatio,
            grades: (6, 9),
            title: "Sharing in a ratio",
            objective: "I can share an amount in a given ratio.",
            vocabulary: terms![
                "share": "what each one gets",
                "part": "one of the equal pieces that a ratio counts",
                "total": "all parts together",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => larger_share(index, draw),
            (Stage::Tilt, 0) => from_difference(draw),
            (Stage::Tilt, _) => from_one_share(draw),
            (Stage::Climb, _) => three(draw),
        }
    }
}

fn bar(parts: &[(i64, &str)], unit: i64, total: String) -> Figure {
    let parts =
        parts.iter().map(|(n, label)| Mark { at: (n * unit) as f64, label: (*label).to_owned() });
    Figure::Bar { parts: parts.collect(), total }
}

fn both(posed: Posed, lines: impl Fn(&str) -> Lines) -> Posed {
    posed
        .way(method::ONE_PART_FIRST, lines("All parts together make the total"))
        .way(method::BAR_MODEL, lines("The bar has so many equal boxes"))
}

fn larger_share(index: usize, draw: &mut Draw) -> Posed {
    let ((a, b), unit) = (draw.coprime(1, 7), draw.between(3, 12));
    let total = (a + b) * unit;
    let (first, other) = scenario::two_names(draw);
    let asks_first = index.is_multiple_of(2);
    let (mine, theirs, who) = if asks_first { (a, b, first) } else { (b, a, other) };
    let thing = own::shared(draw, total);
    let thing = &*thing
        .unwrap_or_else(|| draw.one_of(&["dollars", "jars", "candles", "frames"]).to_string());
    let typed = format!("{mine} × ({total} ÷ ({a} + {b}))");
    let answer = mine * unit;
    let posed = Posed::value(
        format!("{first} and {other} share {total} {thing} in the ratio {a}:{b}. How many {thing} does {who} get?"),
        line(&typed),
        line(&answer.to_string()),
        Form::Any,
    )
    .knows(shared(total, &[a, b], unit).asked("share", "", answer, thing))
    .slip(fraction(total, mine), slip::DIVIDED_BY_EACH)
    .slip(unit.to_string(), slip::ONE_PART_GIVEN)
    .slip((theirs * unit).to_string(), slip::OTHER_SHARE)
    .figure(bar(&[(a, first), (b, other)], unit, total.to_string()))
    .answered(format!("{who} gets {answer} {thing}."), thing);
    both(posed, |reason| {
        Lines::start(&typed)
            .then(&format!("{mine} × ({total} ÷ {})", a + b), reason)
            .then(&format!("{mine} × {unit}"), "Find one part")
            .then(
                &answer.to_string(),
                format!("{who} has {mine} of them").replace("has 1 of them", "has one of them"),
            )
    })
}

fn from_difference(draw: &mut Draw) -> Posed {
    let ((a, b), unit) = (draw.coprime(1, 8), draw.between(3, 9));
    let (first, other) = scenario::two_names(draw);
    let (difference, total) = ((b - a) * unit, (a + b) * unit);
    let equation = format!("(x/{}) × ({b} - {a}) = {difference}", a + b);
    let thing = own::shared(draw, total);
    let thing = &*thing.unwrap_or_else(|| draw.one_of(&["jars", "dollars", "candles"]).to_string());
    Posed::equation(
        format!("{first} and {other} share some {thing} in the ratio {a}:{b}. {other} gets {difference} more. How many {thing} are there in all?"),
        line(&equation),
        "x",
        from_int(total),
    )
    .knows(
        shared(total, &[a, b], unit)
            .given("difference", "", difference, "")
            .between("difference of the parts", "", b - a, "")
            .asked("total", "x", total, thing),
    )
    .slip((difference * (a + b)).to_string(), slip::DIVIDED_BY_EACH)
    .slip((b * unit).to_string(), slip::OTHER_SHARE)
    .slip(unit.to_string(), slip::ONE_PART_GIVEN)
    .figure(bar(&[(a, first), (b, other)], unit, "x".into()))
    .answered(format!("There are {total} {thing} in all."), thing)
    .way(method::BAR_MODEL, Lines::start(&equation)
        .then(&format!("(x/{}) × {} = {difference}", a + b, b - a), format!("{other} has {} more", parts(b - a)))
        .then(&format!("x/{} = {unit}", a + b), "Find one part")
        .then(&format!("x = {total}"), format!("There are {} parts in all", a + b)))
}

/// Shares in a ratio, one part of which is `unit`; what is asked for comes behind.
fn shared(total: i64, ratio: &[i64], unit: i64) -> World {
    let all: i64 = ratio.iter().sum();
    ratio.iter().fold(
        World::new()
            .between("total", "", total, "")
            .between("number of parts", "", all, "")
            .between("one part", "", unit, ""),
        |world, n| world.between("share", "", n * unit, ""),
    )
}

fn parts(n: i64) -> String {
    if n == 1 { "1 part".into() } else { format!("{n} parts") }
}

fn from_one_share(draw: &mut Draw) -> Posed {
    let ((a, b), unit) = (draw.coprime(2, 8), draw.between(3, 12));
    let (first, other) = scenario::two_names(draw);
    let (share, total) = (a * unit, (a + b) * unit);
    let equation = format!("{a}/{} = {share}/x", a + b);
    let thing = own::shared(draw, total);
    let thing = &*thing.unwrap_or_else(|| draw.one_of(&["jars", "dollars", "candles"]).to_string());
    Posed::equation(
        format!("{first} and {other} share some {thing} in the ratio {a}:{b}. {first} gets {share}. How many {thing} are there in all?"),
        line(&equation),
        "x",
        from_int(total),
    )
    .knows(shared(total, &[a, b], unit).asked("total", "x", total, thing))
    .slip((b * unit).to_string(), slip::OTHER_SHARE)
    .slip(unit.to_string(), slip::ONE_PART_GIVEN)
    .slip((share * (a + b)).to_string(), slip::DIVIDED_BY_EACH)
    .figure(bar(&[(a, first), (b, other)], unit, "x".into()))
    .answered(format!("There are {total} {thing} in all."), thing)
    .way(method::ONE_PART_FIRST, Lines::start(&equation)
        .work(&format!("{share} ÷ {a} = {unit}"), "Find one part")
        .then(&format!("x = {} × {unit}", a + b), format!("There are {} parts in all", a + b))
        .then(&format!("x = {total}"), "Work it out"))
}

fn three(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = draw.coprime(1, 5);
    let c = draw.between(b + 1, 8);
    let unit = draw.between(4, 12);
    let total = (a + b + c) * unit;
    let (prompt, sentence, thing, labels) = match draw.between(0, 2) {
        0 => (
            format!(
                "A seed mix holds thyme, clover and borage in the ratio {a}:{b}:{c}. {name} weighs out {total} grams. How many grams are borage?"
            ),
            format!("{} grams are borage.", c * unit),
            "grams",
            ["thyme", "clover", "borage"],
        ),
        1 => (
            format!(
                "Three hives give honey in the ratio {a}:{b}:{c}, {total} kg together. How many kilograms does the best hive give?"
            ),
            format!("The best hive gives {} kg.", c * unit),
            "kg",
            ["first", "second", "third"],
        ),
        _ => (
            format!(
                "The market money of {total} dollars is split between sugar, wood and tools in the ratio {a}:{b}:{c}. How many dollars go to tools?"
            ),
            format!("{} dollars go to tools.", c * unit),
            "dollars",
            ["sugar", "wood", "tools"],
        ),
    };
    let typed = format!("{c} × ({total} ÷ ({a} + {b} + {c}))");
    let posed = Posed::value(prompt, line(&typed), line(&(c * unit).to_string()), Form::Any)
        .knows(shared(total, &[a, b, c], unit).asked("share", "", c * unit, thing))
        .slip(fraction(total, c), slip::DIVIDED_BY_EACH)
        .slip(unit.to_string(), slip::ONE_PART_GIVEN)
        .slip((b * unit).to_string(), slip::OTHER_SHARE)
        .figure(bar(&[(a, labels[0]), (b, labels[1]), (c, labels[2])], unit, total.to_string()))
        .answered(sentence, thing);
    both(posed, |reason| {
        Lines::start(&typed)
            .then(&format!("{c} × ({total} ÷ {})", a + b + c), reason)
            .then(&format!("{c} × {unit}"), "Find one part")
            .then(&(c * unit).to_string(), format!("Take {c} of them"))
    })
}
