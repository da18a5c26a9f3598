//! Standard form: `a × 10ⁿ` with `1 ≤ a < 10`.
//!
//! What counts as nice: two or three figures, exponents from -7 to 9.

use crate::kit::*;

/// The skill `standard-form`.
pub struct StandardForm;

slips! {
    EXPONENT_SIGN = "exponent-sign": "Is the number larger than ten, or smaller than one?",
        "Gives the exponent the wrong sign.";
    MANTISSA_NOT_BETWEEN = "mantissa-not-between": "The first factor must be from 1 up to, but not at, 10.",
        "Leaves the first factor outside 1 to 10.";
    EXPONENT_LEFT = "exponent-left": "The point has moved. What must the exponent do?",
        "Moves the point and leaves the exponent as it was.";
    EXPONENTS_MULTIPLIED = "exponents-multiplied": "How many tens are multiplied in all?",
        "Multiplies the exponents where they should be added.";
}

methods! {
    MOVE_THE_POINT = "move-the-point": "Move the point",
}

impl Skill for StandardForm {
    fn card(&self) -> Card {
        Card {
            id: "standard-form",
            strand: Strand::Number,
            grades: (8, 10),
            title: "Standard form",
            objective: "I can write very large and very small numbers in standard form and work with them.",
            vocabulary: terms![
                "standard form": "a number from 1 up to 10, times a power of ten",
                "power of ten": "ten multiplied by itself so many times",
                "exponent": "the small number that says how many times",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => {
                if index.is_multiple_of(2) {
                    to(index, draw)
                } else {
                    from(index, draw)
                }
            }
            (Stage::Tilt, 0) => larger(draw),
            (Stage::Tilt, _) => mend(draw),
            (Stage::Climb, 0) => product(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// A first factor with one or two places, in hundredths.
fn mantissa(draw: &mut Draw) -> i64 {
    loop {
        let n = draw.between(102, 987);
        if n % 100 != 0 {
            return n;
        }
    }
}

fn power(exponent: i64) -> String {
    if exponent < 0 { format!("10^({exponent})") } else { format!("10^{exponent}") }
}

/// `m` hundredths times `10^exponent`, written out.
fn plain(m: i64, exponent: i64) -> String {
    let shift = exponent - 2;
    if shift >= 0 {
        (m * 10_i64.pow(u32::try_from(shift).unwrap_or(0))).to_string()
    } else {
        decimal(m, u32::try_from(-shift).unwrap_or(0))
    }
}

fn exponent(index: usize, draw: &mut Draw) -> i64 {
    if (index / 2).is_multiple_of(2) { draw.between(3, 7) } else { -draw.between(2, 6) }
}

/// The digits of `m` hundredths times `10^exponent` with the point hopping between its place and the one behind the
/// first figure.
fn hops(m: i64, exponent: i64, to_standard: bool) -> Figure {
    let number = plain(m, exponent);
    let (whole, part) = number.split_once('.').unwrap_or((&number, ""));
    let digits: Vec<String> = whole.chars().chain(part.chars()).map(String::from).collect();
    let place = |n: usize| u32::try_from(n).unwrap_or(0);
    let written = place(whole.len());
    let first = digits.iter().position(|digit| digit != "0").map_or(1, |at| place(at + 1));
    let (from, to) = if to_standard { (written, first) } else { (first, written) };
    Figure::PointHops { digits, from, to }
}

fn places(n: i64) -> String {
    if n.abs() == 1 { "1 place".into() } else { format!("{} places", n.abs()) }
}

fn to(index: usize, draw: &mut Draw) -> Posed {
    let (m, n) = (mantissa(draw), exponent(index, draw));
    let (number, a) = (plain(m, n), decimal(m, 2));
    let answer = format!("{a} × {}", power(n));
    let way = if n > 0 { "left" } else { "right" };
    Posed::value(
        format!("Write {number} in standard form."),
        line(&number),
        line(&answer),
        Form::StandardForm,
    )
    .slip(format!("{a} × {}", power(-n)), slip::EXPONENT_SIGN)
    .slip(format!("{} × {}", decimal(m * 10, 2), power(n)), slip::MANTISSA_NOT_BETWEEN)
    .near([format!("{a} × {}", power(n + 1)), format!("{a} × {}", power(n - 1))])
    .way(
        method::MOVE_THE_POINT,
        Lines::start(&number).then(
            &answer,
            format!("Move the point {} to the {way}, behind the first figure", places(n)),
        ),
    )
    .grows(method::MOVE_THE_POINT, [(1, hops(m, n, true))])
}

fn from(index: usize, draw: &mut Draw) -> Posed {
    let (m, n) = (mantissa(draw), exponent(index, draw));
    let typed = format!("{} × {}", decimal(m, 2), power(n));
    let number = plain(m, n);
    let way = if n > 0 { "right" } else { "left" };
    Posed::value(
        format!("Write {} as an ordinary number.", tex(&typed)),
        line(&typed),
        line(&number),
        Form::Any,
    )
    .slip(plain(m, -n), slip::EXPONENT_SIGN)
    .near([plain(m, n + 1), plain(m, n - 1)])
    .way(
        method::MOVE_THE_POINT,
        Lines::start(&typed).then(&number, format!("Move the point {} to the {way}", places(n))),
    )
    .grows(method::MOVE_THE_POINT, [(1, hops(m, n, false))])
}

fn larger(draw: &mut Draw) -> Posed {
    let (a, b) = (mantissa(draw), mantissa(draw));
    let n = draw.between(-6, 7);
    let (small, large) = (a.min(b), a.max(b));
    // The one with the smaller first factor has the greater exponent.
    let first = format!("{} × {}", decimal(small, 2), power(n + 1));
    let second = format!("{} × {}", decimal(large, 2), power(n));
    let claim = format!("{first} > {second}");
    let shown = if draw.coin() { (&first, &second) } else { (&second, &first) };
    Posed::shown(
        format!("Which is larger: {} or {}?", tex(shown.0), tex(shown.1)),
        first.clone(),
        vec![line(&claim)],
    )
    .near([second.clone()])
    .way(
        method::MOVE_THE_POINT,
        Lines::default()
            .work(&claim, "Compare the exponents first, then the first factors")
            .end(format!("{first} is larger.")),
    )
}

fn mend(draw: &mut Draw) -> Posed {
    let (m, n) = (mantissa(draw), draw.between(2, 7) * *draw.one_of(&[1, -1]));
    let up = draw.coin();
    let (shown, k) = if up { (decimal(m * 10, 2), n - 1) } else { (decimal(m, 3), n + 1) };
    let typed = format!("{shown} × {}", power(k));
    let answer = format!("{} × {}", decimal(m, 2), power(n));
    let reason = if up {
        "Divide the first factor by ten, so raise the exponent by one"
    } else {
        "Multiply the first factor by ten, so lower the exponent by one"
    };
    Posed::value(
        format!("{} is not in standard form. Mend it.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::StandardForm,
    )
    .slip(
        format!("{} × {}", decimal(m, 2), power(if up { k - 1 } else { k + 1 })),
        slip::EXPONENT_SIGN,
    )
    .slip(format!("{} × {}", decimal(m, 2), power(k)), slip::EXPONENT_LEFT)
    .near([
        format!("{} × {}", decimal(m, 2), power(-n)),
        format!("{} × {}", decimal(m, 2), power(n + 3)),
    ])
    .way(method::MOVE_THE_POINT, Lines::start(&typed).then(&answer, reason))
}

/// A product of two in standard form, the first factors multiplied to the hundredths.
fn multiplied(prompt: String, a: i64, b: i64, n: i64, k: i64) -> Posed {
    let typed = format!("({} × {}) × ({} × {})", decimal(a, 1), power(n), decimal(b, 1), power(k));
    let (m, sum) = (a * b, n + k);
    let carried = m >= 1_000;
    let e = sum + i64::from(carried);
    let show = |m: i64| decimal(m, 2);
    let answer = if carried {
        format!("{} × {}", decimal(m, 3), power(e))
    } else {
        format!("{} × {}", show(m), power(e))
    };
    let lines = Lines::start(&typed)
        .then(
            &format!("({} × {}) × ({} × {})", decimal(a, 1), decimal(b, 1), power(n), power(k)),
            "Put the first factors together, and the powers of ten",
        )
        .then(&format!("{} × {}", show(m), power(sum)), "Multiply the first, add the exponents");
    let lines = if carried {
        lines.then(&answer, "The first factor is ten or more: move the point")
    } else {
        lines
    };
    let first = if carried { decimal(m, 3) } else { show(m) };
    let with = |exponent: i64| format!("{first} × {}", power(exponent));
    let mut posed = Posed::value(prompt, line(&typed), line(&answer), Form::StandardForm)
        .slip(with(n * k), slip::EXPONENTS_MULTIPLIED);
    if carried {
        posed = posed.slip(with(sum), slip::EXPONENT_LEFT);
    }
    posed.near([with(e - 1), with(e + 2), with(e + 5)]).way(method::MOVE_THE_POINT, lines)
}

fn product(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(12, 79), draw.between(12, 59));
    let (n, k) = (draw.between(3, 6), draw.between(-5, 4));
    let k = if k == 0 || k == 1 { 2 } else { k };
    let shown = format!("({} × {}) × ({} × {})", decimal(a, 1), power(n), decimal(b, 1), power(k));
    multiplied(format!("Work out {} in standard form.", tex(&shown)), a, b, n, k)
}

fn story(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(12, 49), draw.between(12, 49));
    let (one, all, n, k, unit) = *draw.one_of(&[
        ("A large colony has {a} bees, and each visits about {b} flowers in a season. How many visits is that, in standard form?", "visits", 4, 3, "visits"),
        ("One gram of pollen holds about {a} grains. A hive gathers {b} grams in a year. How many grains is that, in standard form?", "grains", 7, 4, "grains"),
        ("Light travels about {a} metres in a second. How far does it travel in {b} seconds, in standard form?", "metres", 8, 2, "metres"),
    ]);
    let a = if n == 8 { 30 } else { a };
    let first = tex(&format!("{} × {}", decimal(a, 1), power(n)));
    let second = tex(&format!("{} × {}", decimal(b, 1), power(k)));
    let prompt = one.replace("{a}", &first).replace("{b}", &second);
    let posed = multiplied(prompt, a, b, n, k);
    let answer = match &posed.key {
        teaching::problem::Key::Line(line) => algebra::write::text_line(line),
        _ => String::new(),
    };
    posed.answered(format!("It is about {answer} {all}."), unit)
}
