//! The laws of indices.
//!
//! Methods: write the factors out and count them; one law after the other. Source: Stifel, *Arithmetica integra*. What
//! counts as nice: exponents to 9, bases whose powers are known by heart.

use crate::kit::*;

/// The skill `indices.laws`.
pub struct Laws;

slips! {
    EXPONENTS_MULTIPLIED = "exponents-multiplied": "Write the factors out and count them.",
        "Multiplies the exponents of a product of powers.";
    EXPONENTS_ADDED = "exponents-added": "A power of a power: how many factors are there in all?",
        "Adds the exponents of a power of a power.";
    NEGATIVE_POWER_NEGATIVE = "negative-power-negative": "Continue the pattern: 8, 4, 2, 1, and then?",
        "Takes a negative exponent for a negative value.";
    ZERO_POWER_ZERO = "zero-power-zero": "Divide a power by itself. What is left?",
        "Gives zero for the exponent zero.";
    EXPONENT_TIMES_BASE = "exponent-times-base": "An exponent counts factors.",
        "Multiplies the base by the exponent.";
}

methods! {
    EXPAND_AND_COUNT = "expand-and-count": "Expand and count",
    LAW_BY_LAW = "law-by-law": "Law by law",
}

impl Skill for Laws {
    fn card(&self) -> Card {
        Card {
            id: "indices.laws",
            strand: Strand::Algebra,
            grades: (8, 10),
            title: "Laws of indices",
            objective: "I can write products, quotients and powers of powers as one power.",
            vocabulary: terms![
                "base": "the number or letter that is multiplied by itself",
                "exponent": "how often the base is a factor; also called index",
                "reciprocal": "one divided by the number",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => product(draw),
            (Stage::Grip, 1) => quotient(draw),
            (Stage::Grip, _) => power(draw),
            (Stage::Tilt, 0) => value_of_negative(draw),
            (Stage::Tilt, 1) => through_zero(draw),
            (Stage::Tilt, _) if index.is_multiple_of(2) => find_the_slip(draw),
            (Stage::Tilt, _) => missing(draw),
            (Stage::Climb, 0) => mixed(draw),
            (Stage::Climb, 1) => fractional(draw),
            (Stage::Climb, _) => honeycomb(draw),
        }
    }
}

/// `x^3`, `x` and `1`.
fn power_of(base: &str, exponent: i64) -> String {
    match exponent {
        0 => "1".into(),
        1 => base.to_owned(),
        n if n < 0 => format!("{base}^({n})"),
        n => format!("{base}^{n}"),
    }
}

fn factors(base: &str, count: i64) -> String {
    let count = usize::try_from(count).unwrap_or(1);
    vec![base; count.max(1)].join(" × ")
}

fn ask(typed: &str) -> String {
    format!("Write {} as one power.", tex(typed))
}

fn base(draw: &mut Draw) -> &'static str {
    draw.one_of::<&'static str>(&["x", "a", "y", "2", "3", "5", "10"])
}

fn one_power(prompt: String, typed: &str, base: &str, exponent: i64) -> Posed {
    Posed::value(prompt, line(typed), line(&power_of(base, exponent)), Form::SinglePower).near([
        power_of(base, exponent + 1),
        power_of(base, exponent + 3),
        power_of(base, exponent + 4),
    ])
}

fn product(draw: &mut Draw) -> Posed {
    product_of(base(draw), draw.between(2, 5), draw.between(2, 6))
}

fn product_of(b: &str, m: i64, n: i64) -> Posed {
    let typed = format!("{b}^{m} × {b}^{n}");
    let answer = power_of(b, m + n);
    one_power(ask(&typed), &typed, b, m + n)
        .slip(power_of(b, m * n), slip::EXPONENTS_MULTIPLIED)
        .way(
            method::EXPAND_AND_COUNT,
            Lines::start(&typed)
                .then(
                    &format!("({}) × ({})", factors(b, m), factors(b, n)),
                    "Write the factors out",
                )
                .then(&answer, format!("Count them: {}", m + n)),
        )
        .way(
            method::LAW_BY_LAW,
            Lines::start(&typed)
                .then(&format!("{b}^({m} + {n})"), "The same base: add the exponents of a product")
                .then(&answer, "Work the exponent out"),
        )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (b, m, n) = (base(draw), draw.between(2, 5), draw.between(3, 6));
    let wrong = power_of(b, m * n);
    let typed = format!("{b}^{m} × {b}^{n}");
    with_slip(product_of(b, m, n), draw, &[&typed, &wrong], 1, slip::EXPONENTS_MULTIPLIED)
}

fn quotient(draw: &mut Draw) -> Posed {
    let (b, n, more) = (base(draw), draw.between(2, 4), draw.between(2, 5));
    let m = n + more;
    let typed = format!("{b}^{m} ÷ {b}^{n}");
    let answer = power_of(b, more);
    one_power(ask(&typed), &typed, b, more)
        .slip(power_of(b, m + n), slip::EXPONENTS_ADDED)
        .way(
            method::EXPAND_AND_COUNT,
            Lines::start(&typed)
                .then(
                    &format!("({}) / ({})", factors(b, m), factors(b, n)),
                    "Write the factors out",
                )
                .then(&answer, format!("Cancel {n} of them: {more} are left")),
        )
        .way(
            method::LAW_BY_LAW,
            Lines::start(&typed)
                .then(
                    &format!("{b}^({m} - {n})"),
                    "The same base: subtract the exponents of a quotient",
                )
                .then(&answer, "Work the exponent out"),
        )
}

fn power(draw: &mut Draw) -> Posed {
    let (b, m, n) = (base(draw), draw.between(2, 5), draw.between(3, 4));
    let typed = format!("({b}^{m})^{n}");
    let answer = power_of(b, m * n);
    let all = vec![format!("{b}^{m}"); usize::try_from(n).unwrap_or(1)].join(" × ");
    one_power(ask(&typed), &typed, b, m * n)
        .slip(power_of(b, m + n), slip::EXPONENTS_ADDED)
        .way(
            method::EXPAND_AND_COUNT,
            Lines::start(&typed)
                .then(&all, "Write the factors out")
                .then(&answer, format!("Count: {n} times {m} factors")),
        )
        .way(
            method::LAW_BY_LAW,
            Lines::start(&typed)
                .then(&format!("{b}^({m} × {n})"), "A power of a power: multiply the exponents")
                .then(&answer, "Work the exponent out"),
        )
}

/// A number with a negative exponent, or a fraction with one.
fn value_of_negative(draw: &mut Draw) -> Posed {
    let (b, n): (i64, u32) = *draw.one_of(&[
        (2, 2),
        (2, 3),
        (2, 4),
        (2, 5),
        (3, 2),
        (3, 3),
        (3, 4),
        (4, 2),
        (4, 3),
        (5, 2),
        (5, 3),
        (6, 2),
        (7, 2),
        (8, 2),
        (9, 2),
        (10, 2),
        (10, 3),
        (10, 4),
    ]);
    let (typed, answer) = (format!("{b}^(-{n})"), format!("1/{}", b.pow(n)));
    Posed::value(
        format!("Write {} without a negative exponent.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::LowestTerms,
    )
    .slip(format!("-{}", b.pow(n)), slip::NEGATIVE_POWER_NEGATIVE)
    .slip(format!("{}", -b * i64::from(n)), slip::EXPONENT_TIMES_BASE)
    .slip(format!("1/{}", b * i64::from(n)), slip::EXPONENT_TIMES_BASE)
    .near([format!("-1/{}", b.pow(n)), format!("1/{}", b.pow(n) + 1)])
    .way(
        method::LAW_BY_LAW,
        Lines::start(&typed)
            .then(&format!("1/{b}^{n}"), "A negative exponent makes the reciprocal")
            .then(&answer, "Work the power out"),
    )
    .way(
        method::EXPAND_AND_COUNT,
        Lines::start(&typed)
            .then(
                &format!("1 / ({})", factors(&b.to_string(), i64::from(n))),
                format!("One step down divides by {b}: {n} steps below 1"),
            )
            .then(&answer, "Multiply below the bar"),
    )
}

/// A quotient whose exponent comes out zero or negative.
fn through_zero(draw: &mut Draw) -> Posed {
    let (b, m) = (*draw.one_of(&["x", "a", "y"]), draw.between(2, 5));
    let n = m + draw.between(0, 4);
    let k = draw.between(2, 9);
    let typed = format!("{k}{b}^{m} ÷ {b}^{n}");
    let answer = if n == m { k.to_string() } else { format!("{k}/{}", power_of(b, n - m)) };
    Posed::value(
        format!("Simplify {}. Write no negative exponent.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::Any,
    )
    .slip(
        if n == m { "0".to_owned() } else { format!("-{k}{}", power_of(b, n - m)) },
        if n == m { slip::ZERO_POWER_ZERO } else { slip::NEGATIVE_POWER_NEGATIVE },
    )
    .slip(format!("{k}{}", power_of(b, n + m)), slip::EXPONENTS_ADDED)
    .near([
        format!("{k}{}", power_of(b, n - m + 1)),
        format!("1/({k}{})", power_of(b, n - m + 1)),
        (k + 1).to_string(),
    ])
    .way(
        method::LAW_BY_LAW,
        Lines::start(&typed)
            .then(&format!("{k} × {b}^({m} - {n})"), "Subtract the exponents")
            .then(&format!("{k} × {b}^({})", m - n), "Work the exponent out")
            .then(
                &answer,
                if n == m {
                    "The exponent zero gives 1"
                } else {
                    "A negative exponent makes the reciprocal"
                },
            ),
    )
}

fn missing(draw: &mut Draw) -> Posed {
    let (b, n) = (draw.one_of(&["2", "3", "5", "10"]), draw.between(2, 6));
    let (m, total) = if draw.coin() {
        let m = draw.between(2, 6);
        (m, m + n)
    } else {
        let total = draw.between(-3, 1);
        (total - n, total)
    };
    let typed = format!("{b}^{n} × {b}^k = {b}^({total})");
    let equation = format!("{n} + k = {total}");
    Posed::equation(
        format!("Which number is $k$, if {}?", tex(&typed)),
        line(&equation),
        "k",
        from_int(m),
    )
    .slip(fraction(total, n), slip::EXPONENTS_MULTIPLIED)
    .slip((total + n).to_string(), slip::EXPONENTS_ADDED)
    .near([(-m).to_string()])
    .way(
        method::LAW_BY_LAW,
        Lines::start(&equation)
            .then(&format!("k = {total} - {n}"), "The same base: the exponents add up")
            .then(&format!("k = {m}"), "Work it out"),
    )
}

/// Several laws in one expression.
fn mixed(draw: &mut Draw) -> Posed {
    let (k, m, n, p) =
        (draw.between(2, 5), draw.between(2, 4), draw.between(2, 3), draw.between(1, 4));
    let top = m * n + p;
    let down = draw.between(1, top - 1);
    let typed = format!("({k}x^{m})^{n} × {} ÷ {}", power_of("x", p), power_of("x", down));
    let lead = k.pow(u32::try_from(n).unwrap_or(1));
    let answer = format!("{lead}{}", power_of("x", top - down));
    Posed::value(format!("Simplify {}.", tex(&typed)), line(&typed), line(&answer), Form::Any)
        .slip(format!("{k}{}", power_of("x", top - down)), slip::EXPONENT_TIMES_BASE)
        .slip(
            format!("{lead}{}", power_of("x", (m + n + p - down).abs() + 1)),
            slip::EXPONENTS_ADDED,
        )
        .near([
            format!("{}{}", k * n + 1, power_of("x", top - down)),
            format!("{lead}{}", power_of("x", top + down)),
        ])
        .way(
            method::LAW_BY_LAW,
            Lines::start(&typed)
                .then(
                    &format!("{lead}x^{} × {} ÷ {}", m * n, power_of("x", p), power_of("x", down)),
                    "Each factor in the bracket takes the exponent",
                )
                .then(
                    &format!("{lead}x^{top} ÷ {}", power_of("x", down)),
                    "Add the exponents of the product",
                )
                .then(&answer, "Subtract the exponent of the divisor"),
        )
}

/// A power of a number whose root comes out.
fn fractional(draw: &mut Draw) -> Posed {
    let (root, below, above) = loop {
        let (root, below, above): (i64, u32, u32) = (
            draw.between(2, 6),
            u32::try_from(draw.between(2, 4)).unwrap_or(2),
            u32::try_from(draw.between(1, 4)).unwrap_or(1),
        );
        if gcd(i64::from(below), i64::from(above)) == 1 && root.pow(below.max(above)) <= 1000 {
            break (root, below, above);
        }
    };
    let (b, negative) = (root.pow(below), draw.coin());
    let value = root.pow(above);
    let exponent = if negative { format!("-{above}/{below}") } else { format!("{above}/{below}") };
    let typed = format!("{b}^({exponent})");
    let answer = if negative { format!("1/{value}") } else { value.to_string() };
    let sign = if negative { "-" } else { "" };
    let rooted = match below {
        2 => format!("sqrt({b})"),
        3 => format!("cbrt({b})"),
        n => format!("root({n}, {b})"),
    };
    let mut lines = Lines::start(&typed);
    if negative {
        lines = lines
            .then(&format!("1/{b}^({above}/{below})"), "A negative exponent makes the reciprocal");
    }
    let over = if negative { "1/" } else { "" };
    lines = if above == 1 {
        lines
            .then(&format!("{over}{rooted}"), "The denominator of the exponent is the root")
            .then(&answer, "Take the root")
    } else {
        lines
            .then(
                &format!("{over}({rooted})^{above}"),
                "The denominator of the exponent is the root, its numerator the power",
            )
            .then(&format!("{over}{root}^{above}"), "Take the root")
            .then(&answer, "Work the power out")
    };
    Posed::value(
        format!("Work out {} without a calculator.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::LowestTerms,
    )
    .slip(fraction(b * i64::from(above), i64::from(below)), slip::EXPONENT_TIMES_BASE)
    .slip(format!("-{value}"), slip::NEGATIVE_POWER_NEGATIVE)
    .near([format!("{sign}{}", b), (value + 1).to_string(), format!("1/{}", value + 1)])
    .way(method::LAW_BY_LAW, lines)
}

/// Growth by one factor, written as a power.
fn honeycomb(draw: &mut Draw) -> Posed {
    let (b, m, n) = (draw.between(2, 4), draw.between(2, 6), draw.between(2, 5));
    let name = scenario::name(draw);
    let typed = format!("{b}^{m} × {b}^{n}");
    let (first, second) = (tex(&format!("{b}^{m}")), tex(&format!("{b}^{n}")));
    let (what, text) = match draw.between(0, 2) {
        0 => (
            "jars",
            format!(
                "A crate holds {first} jars, and {name} loads {second} crates. How many jars are that?"
            ),
        ),
        1 => (
            "cells",
            format!(
                "In one frame there are {first} cells, and {name} counts {second} such frames in all hives. How many cells are that?"
            ),
        ),
        _ => (
            "mites",
            format!(
                "In spring there are {first} mites in the hives. Untreated, they become {b} times as many each month. {name} works out their number after {n} months. How many mites are there then?"
            ),
        ),
    };
    let value = b.pow(u32::try_from(m + n).unwrap_or(1));
    Posed::value(
        format!("{text} Write the number without a power."),
        line(&typed),
        line(&value.to_string()),
        Form::LowestTerms,
    )
    .slip(
        b.pow(u32::try_from((m * n).min(12)).unwrap_or(1)).to_string(),
        slip::EXPONENTS_MULTIPLIED,
    )
    .slip((b * (m + n)).to_string(), slip::EXPONENT_TIMES_BASE)
    .near([(value * b).to_string(), (value / b).to_string()])
    .way(
        method::LAW_BY_LAW,
        Lines::start(&typed)
            .then(&format!("{b}^{}", m + n), "The same base: add the exponents")
            .then(&value.to_string(), "Work the power out"),
    )
    .answered(format!("There are {value} {what}."), what)
}
