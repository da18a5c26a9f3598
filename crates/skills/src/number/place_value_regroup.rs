//! Regrouping hundreds, tens and ones.
//!
//! Source: Leonardo of Pisa, *Liber abaci*, chapter 1, on the places of the numerals. What counts as nice: three
//! digits, with only the tens too many on the first rungs.

use crate::kit::*;

/// The skill `place-value.regroup`.
pub struct Regroup;

slips! {
    DIGITS_SIDE_BY_SIDE = "digits-side-by-side": "Only one digit fits in each place. What can ten tens become?",
        "Writes the counts side by side, such as 3126 for 3 hundreds 12 tens 6 ones.";
    CARRY_NOT_ADDED = "carry-not-added": "You made a new hundred. Did it join the others?",
        "Regroups, but does not add the new hundred or ten to those that are there.";
}

methods! {
    REGROUP_ONES_FIRST = "regroup-ones-first": "Regroup the ones first",
    TABLE = "table": "Regroup in a table",
}

impl Skill for Regroup {
    fn card(&self) -> Card {
        Card {
            id: "place-value.regroup",
            strand: Strand::Number,
            grades: (1, 4),
            title: "Regrouping tens and hundreds",
            objective: "I can swap ten ones for a ten and ten tens for a hundred.",
            vocabulary: &[
                Term {
                    word: "regroup",
                    means: "swap ten of one kind for one of the next larger kind",
                },
                Term {
                    word: "place value",
                    means: "what a digit is worth because of where it stands",
                },
                Term { word: "numeral", means: "a number written with digits" },
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => numeral(index, draw),
            (Stage::Tilt, 0) => true_or_false(draw),
            (Stage::Tilt, _) => missing(index, draw),
            (Stage::Climb, _) => packed(draw),
        }
    }
}

/// `3 × 100 + 12 × 10 + 6`
fn sum([h, t, o]: [i64; 3]) -> String {
    format!("{h} × 100 + {t} × 10 + {o}")
}

fn total([h, t, o]: [i64; 3]) -> i64 {
    100 * h + 10 * t + o
}

/// The lines from the counts to the numeral, both ways.
fn worked(posed: Posed, parts: [i64; 3]) -> Posed {
    let [h, t, o] = parts;
    let n = total(parts);
    let (t1, o1) = (t + o / 10, o % 10);
    let (h2, t2) = (h + t1 / 10, t1 % 10);
    let mut lines = Lines::start(&sum(parts));
    if o > 9 {
        lines = lines.then(
            &format!("{h} × 100 + ({t} + {}) × 10 + {o1}", o / 10),
            format!("Ten ones make one ten: {o} ones are {} and {}", tens(o / 10), ones(o1)),
        );
        if t1 <= 9 {
            lines = lines.then(&sum([h, t1, o1]), "Add the new ten to the tens");
        }
    }
    if t1 > 9 {
        lines = lines
            .then(
                &format!("({h} + {}) × 100 + {t2} × 10 + {o1}", t1 / 10),
                format!(
                    "Ten tens make one hundred: {t1} tens are {} and {t2} tens",
                    hundreds(t1 / 10)
                ),
            )
            .then(&sum([h2, t2, o1]), "Add the new hundred to the hundreds");
    }
    let regrouped = [h + t1 / 10, if t1 > 9 { t2 } else { t1 }, o1];
    let last = lines.count();
    let table = Lines::start(&sum(parts))
        .then(&format!("{} + {} + {o}", 100 * h, 10 * t), "Write what each part is worth")
        .then(&n.to_string(), "Add the parts");
    posed
        .way(method::REGROUP_ONES_FIRST, lines.then(&n.to_string(), "Write the digits"))
        .way(method::TABLE, table)
        .grows(method::TABLE, [(0, columns(&[parts])), (2, columns(&[parts, regrouped]))])
        .grows(
            method::REGROUP_ONES_FIRST,
            [(0, pictured::blocks(parts)), (last, pictured::blocks(regrouped))],
        )
}

/// A place-value table, a column for each way to write the number.
fn columns(ways: &[[i64; 3]]) -> Figure {
    let row = |place: usize| ways.iter().map(|way| way[place]).collect::<Vec<_>>();
    pictured::table(&[("hundreds", row(0)), ("tens", row(1)), ("ones", row(2))])
}

fn tens(n: i64) -> String {
    if n == 1 { "1 ten".into() } else { format!("{n} tens") }
}

fn ones(n: i64) -> String {
    if n == 1 { "1 one".into() } else { format!("{n} ones") }
}

fn hundreds(n: i64) -> String {
    if n == 1 { "1 hundred".into() } else { format!("{n} hundreds") }
}

/// Too many tens; too many ones; both.
fn counts(index: usize, draw: &mut Draw) -> [i64; 3] {
    let h = draw.between(2, 7);
    match index % 3 {
        0 => [h, draw.between(11, 19), draw.between(1, 9)],
        1 => [h, draw.between(1, 7), draw.between(11, 19)],
        _ => [h, draw.between(10, 17), draw.between(11, 19)],
    }
}

fn with_wrong(posed: Posed, parts: [i64; 3]) -> Posed {
    let [h, t, o] = parts;
    let n = total(parts);
    let lost = if o > 9 { n - 10 * (o / 10) } else { n - 100 * (t / 10) };
    posed
        .slip(format!("{h}{t}{o}"), slip::DIGITS_SIDE_BY_SIDE)
        .slip(lost.to_string(), slip::CARRY_NOT_ADDED)
        .near([(n + 100).to_string()])
}

fn numeral(index: usize, draw: &mut Draw) -> Posed {
    let parts = counts(index, draw);
    let [h, t, o] = parts;
    let prompt = format!("Write as a numeral: {h} hundreds, {t} tens and {o} ones.")
        .replace(" 1 tens", " 1 ten")
        .replace(" 1 ones", " 1 one");
    let posed = Posed::value(prompt, line(&sum(parts)), line(&total(parts).to_string()), Form::Any);
    worked(with_wrong(posed, parts), parts)
}

fn true_or_false(draw: &mut Draw) -> Posed {
    let index = usize::try_from(draw.between(0, 2)).unwrap_or(0);
    let parts = counts(index, draw);
    let [h, t, o] = parts;
    let is_true = draw.coin();
    let told = if is_true { total(parts) } else { total(parts) + 100 * *draw.one_of(&[-1, 1]) };
    let claim = format!("{told} = {}", sum(parts));
    let prompt = format!("True or false? {told} is {h} hundreds, {t} tens and {o} ones. Say why.")
        .replace(" 1 tens", " 1 ten")
        .replace(" 1 ones", " 1 one");
    let worth = format!("{} = {}", sum(parts), total(parts));
    let end = if is_true {
        format!("It is true: both are {told}.")
    } else {
        format!("It is false: that makes {}, not {told}.", total(parts))
    };
    Posed::claim(prompt, line(&claim), is_true)
        .way(
            method::REGROUP_ONES_FIRST,
            Lines::default().work(&worth, "Regroup, ones first").end(&end),
        )
        .way(
            method::TABLE,
            Lines::default().work(&worth, "Write what each part is worth, and add").end(end),
        )
}

fn missing(index: usize, draw: &mut Draw) -> Posed {
    let parts = counts(index, draw);
    let [h, t, o] = parts;
    let n = total(parts);
    let equation = format!("{h} × 100 + n × 10 + {o} = {n}");
    let rest = n - 100 * h - o;
    let prompt = format!("{n} is {h} hundreds, $n$ tens and {o} ones. Find $n$.")
        .replace(" 1 ones", " 1 one");
    let known = 100 * h + o;
    Posed::equation(prompt, line(&equation), "n", from_int(t))
        .slip(((n / 10) % 10).to_string(), slip::CARRY_NOT_ADDED)
        .way(
            method::TABLE,
            Lines::start(&equation)
                .then(&format!("{known} + n × 10 = {n}"), "Write what the known parts are worth")
                .then(&format!("n × 10 = {rest}"), format!("Take {known} away from {n}"))
                .then(&format!("n = {t}"), format!("{rest} is {t} tens")),
        )
}

fn packed(draw: &mut Draw) -> Posed {
    let index = usize::try_from(draw.between(0, 2)).unwrap_or(0);
    let parts = counts(index, draw);
    let [h, t, o] = parts;
    let name = scenario::name(draw);
    let (one, thing, pack) = *draw.one_of(&[
        ("jars", "boxes of a hundred jars", "trays of ten"),
        ("candles", "crates of a hundred candles", "bundles of ten"),
        ("seeds", "bags of a hundred seeds", "packets of ten"),
        ("labels", "rolls of a hundred labels", "sheets of ten"),
    ]);
    let n = total(parts);
    let tray = if t == 1 { pack.replacen('s', "", 1) } else { pack.to_owned() };
    let loose = if o == 1 { "1 loose one".to_owned() } else { format!("{o} loose ones") };
    let prompt = if draw.coin() {
        format!("{name} packs {h} {thing}, {t} {tray} and {loose}. How many {one} are there?")
    } else {
        format!(
            "There are {loose}, {t} {tray} and {h} {thing} in the store. How many {one} is that?"
        )
    };
    let posed = Posed::value(prompt, line(&sum(parts)), line(&n.to_string()), Form::Any);
    worked(with_wrong(posed, parts), parts).answered(format!("There are {n} {one}."), one)
}
