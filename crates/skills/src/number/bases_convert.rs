//! Numerals in other bases.
//!
//! Source: G. W. Leibniz, "Explication de l'arithmétique binaire", 1703. What counts as nice: up to six bits on Grip,
//! eight later.

use crate::kit::*;

/// The skill `bases.convert`.
pub struct Convert;

slips! {
    READ_FROM_WRONG_END = "read-from-wrong-end": "Which end of the numeral is worth one?",
        "Gives the places their worth from the wrong end, or reads the remainders downwards.";
    PLACE_SKIPPED = "place-skipped": "Write the worth of every place above it, also above the zeros.",
        "Leaves out the places that hold a zero.";
    TENS_FOR_BASE = "tens-for-base": "What is the place worth in this base?",
        "Reads the numeral as if it were written in base ten.";
}

methods! {
    PLACE_VALUE_COLUMNS = "place-value-columns": "Place-value columns",
    REPEATED_DIVISION = "repeated-division": "Repeated division",
    LARGEST_POWER = "largest-power": "Largest power first",
}

impl Skill for Convert {
    fn card(&self) -> Card {
        Card {
            id: "bases.convert",
            strand: Strand::Number,
            grades: (6, 11),
            title: "Converting bases",
            objective: "I can write a number in another base and read it back.",
            vocabulary: terms![
                "base": "the number that each place is worth so many times more than the next",
                "binary": "in base two, with the digits 0 and 1",
                "hexadecimal": "in base sixteen, with the digits 0 to 9 and A to F",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) if index.is_multiple_of(2) => {
                to_decimal(9 + 6 * index as i64, 2, draw)
            }
            (Stage::Grip, _) => from_decimal(9 + 6 * index as i64, 2, draw),
            (Stage::Tilt, 0) => larger(draw),
            (Stage::Tilt, _) => missing_bit(draw),
            (Stage::Climb, 0) => from_decimal(240, 16, draw),
            (Stage::Climb, 1) => to_decimal(150, *draw.one_of(&[3, 5, 8, 16]), draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// The digits of `n` in a base, highest first.
fn digits(n: i64, base: i64) -> Vec<i64> {
    let mut rest = n;
    let mut found = Vec::new();
    while rest > 0 {
        found.push(rest % base);
        rest /= base;
    }
    found.reverse();
    found
}

fn numeral(n: i64, base: i64) -> String {
    digits(n, base)
        .iter()
        .map(|d| {
            char::from_digit(u32::try_from(*d).unwrap_or(0), 16).unwrap_or('0').to_ascii_uppercase()
        })
        .collect()
}

fn written(n: i64, base: i64) -> String {
    format!("{}_{base}", numeral(n, base))
}

/// `1 × 8 + 0 × 4 + 1 × 2 + 1`
fn columns(n: i64, base: i64) -> String {
    let all = digits(n, base);
    let top = all.len() - 1;
    let term = |(at, d): (usize, &i64)| {
        let worth = base.pow(u32::try_from(top - at).unwrap_or(0));
        format!("{d} × {worth}")
    };
    all.iter().enumerate().map(term).collect::<Vec<_>>().join(" + ")
}

fn reversed(n: i64, base: i64) -> i64 {
    digits(n, base).iter().rev().fold(0, |sum, d| sum * base + d)
}

/// A number whose digits tell the two ends apart.
fn number(limit: i64, base: i64, draw: &mut Draw) -> i64 {
    loop {
        let n = draw.between((limit / 2).max(base + 1), limit);
        // A hexadecimal numeral shows a letter.
        let is_telling = base < 11 || digits(n, base).iter().any(|digit| *digit > 9);
        if reversed(n, base) != n && is_telling {
            return n;
        }
    }
}

fn name(base: i64) -> String {
    match base {
        2 => "binary".into(),
        16 => "hexadecimal".into(),
        other => format!("base {other}"),
    }
}

fn to_decimal(limit: i64, base: i64, draw: &mut Draw) -> Posed {
    let n = number(limit.clamp(9, 240), base, draw);
    let typed = written(n, base);
    let mut posed = Posed::value(
        format!("Write the {} numeral {} in base ten.", name(base), tex(&typed)),
        line(&typed),
        line(&n.to_string()),
        Form::Any,
    )
    .slip(reversed(n, base).to_string(), slip::READ_FROM_WRONG_END)
    .near([(n + 1).to_string(), (n * base).to_string(), (n - 2).to_string()]);
    if base == 2 {
        let ones: Vec<i64> = (0..10).rev().map(|k| 1 << k).filter(|worth| n & worth != 0).collect();
        let sum = ones.iter().map(i64::to_string).collect::<Vec<_>>().join(" + ");
        posed = posed.way(
            method::LARGEST_POWER,
            Lines::start(&typed)
                .then(&sum, "Add the worth of every place with a 1")
                .then(&n.to_string(), "Work it out"),
        );
    }
    posed
        .way(
            method::PLACE_VALUE_COLUMNS,
            Lines::start(&typed)
                .then(&columns(n, base), "Write what each place is worth")
                .then(&n.to_string(), "Add them up"),
        )
        .grows(method::PLACE_VALUE_COLUMNS, [(1, places(n, base))])
}

/// What each place is worth, with the digit that stands there.
fn places(n: i64, base: i64) -> Figure {
    let all = digits(n, base);
    let worth = (0..all.len()).rev().map(|at| base.pow(u32::try_from(at).unwrap_or(0)).to_string());
    pictured::table(&[
        ("worth", worth.collect()),
        ("digit", all.iter().map(|digit| format!("{digit:X}")).collect()),
    ])
}

/// The ways from a number to its numeral.
fn written_out(posed: Posed, n: i64, base: i64) -> Posed {
    let answer = written(n, base);
    let mut division = Lines::start(&n.to_string());
    let mut rest = n;
    while rest > 0 {
        let (q, r) = (rest / base, rest % base);
        division = division.work(
            &format!("{rest} = {q} × {base} + {r}"),
            format!("Remainder {}", numeral(r.max(0), base).chars().next().unwrap_or('0')),
        );
        rest = q;
    }
    posed
        .way(
            method::REPEATED_DIVISION,
            division.then(&answer, "Read the remainders from the last to the first"),
        )
        .way(
            method::LARGEST_POWER,
            Lines::start(&n.to_string())
                .then(
                    &columns(n, base),
                    format!("Take the largest power of {base} that fits, again and again"),
                )
                .then(&answer, "Write the digits"),
        )
        .way(
            method::PLACE_VALUE_COLUMNS,
            Lines::start(&n.to_string())
                .then(&columns(n, base), "Fill the columns from the left")
                .then(&answer, "Write the digits"),
        )
        .grows(method::PLACE_VALUE_COLUMNS, [(1, places(n, base))])
}

fn from_decimal(limit: i64, base: i64, draw: &mut Draw) -> Posed {
    let n = number(limit.clamp(9, 240), base, draw);
    let posed = Posed::value(
        format!("Write {n} in {}.", if base == 2 { "binary".into() } else { name(base) }),
        line(&n.to_string()),
        line(&written(n, base)),
        Form::Any,
    )
    .slip(written(reversed(n, base).max(1), base), slip::READ_FROM_WRONG_END)
    .near([written(n + 1, base), written(n + base, base), written(n - 1, base)]);
    written_out(posed, n, base)
}

fn larger(draw: &mut Draw) -> Posed {
    let n = number(60, 2, draw);
    let m = if draw.coin() { n + draw.between(1, 3) } else { n - draw.between(1, 3) };
    let (bits, plain) = (written(n, 2), m.to_string());
    let (right, wrong) =
        if n > m { (bits.clone(), plain.clone()) } else { (plain.clone(), bits.clone()) };
    let claim = format!("{right} > {wrong}");
    Posed::shown(
        format!("Which is larger: {} or {m}?", tex(&bits)),
        right.clone(),
        vec![line(&claim)],
    )
    .near([wrong])
    .way(
        method::PLACE_VALUE_COLUMNS,
        Lines::default()
            .work(&format!("{bits} = {n}"), "Write both in one base")
            .work(&claim, "Compare")
            .end(format!("{right} is larger.")),
    )
}

fn missing_bit(draw: &mut Draw) -> Posed {
    let n = number(60, 2, draw);
    let bits = digits(n, 2);
    let at = usize::try_from(draw.between(1, bits.len() as i64 - 1)).unwrap_or(1);
    let worth = 1_i64 << (bits.len() - 1 - at);
    let shown: String = bits
        .iter()
        .enumerate()
        .map(|(i, b)| if i == at { '?'.to_string() } else { b.to_string() })
        .collect();
    let rest = n - bits[at] * worth;
    let bit = bits[at];
    let claim = format!("{rest} + {bit} × {worth} = {n}");
    Posed::shown(
        format!(
            "One bit of this binary numeral is smudged: {shown}. It is worth {n}. Which bit is it?"
        ),
        bit.to_string(),
        vec![line(&claim)],
    )
    .slip((1 - bit).to_string(), slip::PLACE_SKIPPED)
    .way(
        method::PLACE_VALUE_COLUMNS,
        Lines::default()
            .work(
                &format!("{n} - {rest} = {}", n - rest),
                format!("The other places are worth {rest}"),
            )
            .work(&claim, format!("The smudged place is worth {worth}"))
            .end(format!("The bit is {bit}.")),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let n = number(250, 2, draw).max(130);
    let name = scenario::name(draw);
    let text = numeral(n, 2);
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!("The hive scale sends {n} grams as eight bits. Which bits are they?"),
            format!("The bits are {text}."),
            "bits",
        ),
        1 => (
            format!(
                "{name} paints a fence of eight boards, dark for 1 and light for 0, as the binary numeral of {n}. What does the fence say?"
            ),
            format!("The fence says {text}."),
            "boards",
        ),
        _ => (
            format!(
                "A counter at the hive door shows {n} bees with eight lamps, on for 1 and off for 0. What do the lamps show?"
            ),
            format!("The lamps show {text}."),
            "lamps",
        ),
    };
    let posed = Posed::value(prompt, line(&n.to_string()), line(&written(n, 2)), Form::Any)
        .slip(written(reversed(n, 2).max(1), 2), slip::READ_FROM_WRONG_END)
        .near([written(n + 1, 2), written(n - 1, 2), written(n + 3, 2)]);
    written_out(posed, n, 2).answered(sentence, unit)
}
