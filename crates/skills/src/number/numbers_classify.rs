//! Rational or irrational.
//!
//! Method: write it as a quotient, or show that none can be. Source: Euclid, *Elements*, book X. What counts as nice:
//! roots of whole numbers to 200.

use crate::kit::*;

/// The skill `numbers.classify`.
pub struct Classify;

slips! {
    ROOT_ALWAYS_IRRATIONAL = "root-always-irrational": "Is the number under the root a square?",
        "Calls every root irrational, such as the root of 49.";
    FRACTION_FOR_PI = "fraction-for-pi": "22/7 is near π. Is it π?",
        "Takes 22/7 or 3.14 for π itself.";
    REPEATING_AS_IRRATIONAL = "repeating-as-irrational": "A decimal that repeats is a fraction. Which one?",
        "Takes a decimal that goes on for ever for irrational, although it repeats.";
}

methods! {
    AS_A_QUOTIENT = "as-a-quotient": "As a quotient",
    DECIMAL = "decimal": "Does the decimal end or repeat?",
    SIMPLIFY_FIRST = "simplify-first": "Simplify the root first",
}

impl Skill for Classify {
    fn card(&self) -> Card {
        Card {
            id: "numbers.classify",
            strand: Strand::Number,
            grades: (7, 9),
            title: "Rational or irrational",
            objective: "I can tell rational numbers from irrational ones and say why.",
            vocabulary: terms![
                "rational": "can be written as a quotient of two whole numbers",
                "irrational": "a real number that is no such quotient",
                "repeating decimal": "a decimal in which some digits come again for ever",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => root(draw),
            (Stage::Grip, 1) => ending(draw),
            (Stage::Grip, _) => repeating(draw),
            (Stage::Tilt, 0) => near_pi(draw),
            (Stage::Tilt, _) => always(draw),
            (Stage::Climb, 0) if index.is_multiple_of(2) => twelve(draw),
            (Stage::Climb, 0) => together(draw),
            (Stage::Climb, _) => side(draw),
        }
    }
}

/// The sorting table with what is sorted so far.
fn sorted(rational: &[&str], irrational: &[&str]) -> Figure {
    pictured::table(&[("rational", rational.to_vec()), ("irrational", irrational.to_vec())])
}

fn question(number: &str) -> String {
    format!("Is {number} rational or irrational?")
}

/// The root of a whole number, classified.
fn classified(prompt: String, n: i64) -> Posed {
    let (outside, rest) = out_of_root(n);
    let root = format!("sqrt({n})");
    if rest == 1 {
        let claim = format!("sqrt({n}) = {outside}");
        return Posed::shown(prompt, "rational", vec![line(&claim)])
            .slip("irrational", slip::ROOT_ALWAYS_IRRATIONAL)
            .way(
                method::SIMPLIFY_FIRST,
                Lines::default()
                    .work(&claim, format!("{n} is the square of {outside}"))
                    .end(format!("It is rational: {outside}.")),
            )
            .grows(method::SIMPLIFY_FIRST, [(1, sorted(&[&root], &[]))]);
    }
    let whole = (1..).take_while(|k| k * k <= n).last().unwrap_or(1);
    let between = format!("{whole} < sqrt({n}) < {}", whole + 1);
    let mut lines = Lines::default();
    let mut claims = vec![line(&between)];
    if outside > 1 {
        let simple = format!("sqrt({n}) = {outside} sqrt({rest})");
        lines = lines.work(&simple, "Take the square factor out");
        claims.push(line(&simple));
    }
    let last = lines.count() + 1;
    Posed::shown(prompt, "irrational", claims)
        .slip("rational", slip::ROOT_ALWAYS_IRRATIONAL)
        .grows(method::SIMPLIFY_FIRST, [(last, sorted(&[], &[&root]))])
        .way(
            method::SIMPLIFY_FIRST,
            lines
                .work(
                    &between,
                    format!(
                        "{n} is no square: it lies between {} and {}",
                        whole * whole,
                        (whole + 1) * (whole + 1)
                    ),
                )
                .end("It is irrational: the root of a whole number that is no square."),
        )
}

fn root(draw: &mut Draw) -> Posed {
    let n = if draw.coin() { draw.between(2, 14).pow(2) } else { draw.between(5, 199) };
    classified(question(&tex(&format!("sqrt({n})"))), n)
}

fn ending(draw: &mut Draw) -> Posed {
    let n = draw.between(11, 9_999);
    let places = if n < 1_000 { 2 } else { 3 };
    let (number, below) = (decimal(n, places), 10_i64.pow(places));
    let quotient = format!("{number} = {n}/{below}");
    Posed::shown(question(&number), "rational", vec![line(&quotient)])
        .slip("irrational", slip::REPEATING_AS_IRRATIONAL)
        .way(
            method::AS_A_QUOTIENT,
            Lines::default()
                .work(&quotient, "Write it over a power of ten")
                .end("It is rational: a quotient of whole numbers."),
        )
        .way(
            method::DECIMAL,
            Lines::default()
                .work(&quotient, "Its decimal ends")
                .end("It is rational: its decimal ends."),
        )
}

fn repeating(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) = (draw.between(0, 9), draw.between(10, 98));
        if b % 11 != 0 {
            break (a, b);
        }
    };
    let shown = format!("{a}.{b}{b}{b}…");
    let quotient = format!("{a} + {b}/99 = {}/99", 99 * a + b);
    Posed::shown(
        format!("In {shown} the digits {b} come again and again. Is it rational or irrational?"),
        "rational",
        vec![line(&quotient)],
    )
    .slip("irrational", slip::REPEATING_AS_IRRATIONAL)
    .way(
        method::DECIMAL,
        Lines::default()
            .work(&quotient, "Two digits that repeat are so many ninety-ninths")
            .end("It is rational: its decimal repeats."),
    )
    .way(
        method::AS_A_QUOTIENT,
        Lines::default()
            .work(
                &format!("100 × ({}/99) - {}/99 = {}", 99 * a + b, 99 * a + b, 99 * a + b),
                "A hundred times it, minus it, is a whole number",
            )
            .end("It is rational: a quotient of whole numbers."),
    )
}

fn near_pi(draw: &mut Draw) -> Posed {
    let k = draw.between(1, 6);
    let (shown, is_true, claim, end) = match draw.between(0, 2) {
        0 => (
            format!("{k} × 22/7 = {k}π"),
            false,
            format!("{k} × 22/7 > {k}π"),
            "It is false: 22/7 is rational and a little more than π.",
        ),
        1 => (
            format!("{k} × 3.14 = {k}π"),
            false,
            format!("{k} × 3.14 < {k}π"),
            "It is false: 3.14 is rational and a little less than π.",
        ),
        _ => (
            format!("{k} × 3.14 < {k}π"),
            true,
            format!("{k} × 3.14 < {k}π"),
            "It is true: 3.14 is near π, but not π.",
        ),
    };
    Posed::claim(format!("True or false? {} Say why.", tex(&shown)), line(&shown), is_true).way(
        method::DECIMAL,
        Lines::default().work(&claim, "π = 3.14159… never ends and never repeats").end(end),
    )
}

fn always(draw: &mut Draw) -> Posed {
    let n = *draw.one_of(&[2, 3, 5, 6, 7, 10, 11, 13]);
    let k = draw.between(2, 12);
    let (question, word, claims, reason) = match draw.between(0, 3) {
        0 => (
            "An irrational number plus a rational one is rational. Always, sometimes or never?"
                .to_owned(),
            "never",
            vec![format!("(sqrt({n}) + {k}) - {k} = sqrt({n})")],
            "Taking the rational part away again would make the root rational",
        ),
        1 => (
            format!(
                "Try {} and another root. The product of two irrational numbers is rational. Always, sometimes or never?",
                tex(&format!("sqrt({n})"))
            ),
            "sometimes",
            vec![
                format!("sqrt({n}) × sqrt({n}) = {n}"),
                format!("{} < sqrt({n}) × sqrt({}) < {}", n, n + 1, n + 1),
            ],
            "One example each way",
        ),
        2 => (
            format!(
                "Try {} and {}. The sum of two rational numbers is rational. Always, sometimes or never?",
                tex(&format!("1/{k}")),
                tex(&format!("1/{}", k + 1))
            ),
            "always",
            vec![format!("1/{k} + 1/{} = {}/{}", k + 1, 2 * k + 1, k * (k + 1))],
            "Two quotients have a common denominator",
        ),
        _ => (
            format!(
                "Try {} and its opposite. The sum of two irrational numbers is irrational. Always, sometimes or never?",
                tex(&format!("sqrt({n})"))
            ),
            "sometimes",
            vec![
                format!("sqrt({n}) + (-sqrt({n})) = 0"),
                format!("{} < sqrt({n}) + sqrt({n}) < {}", 2, 10),
            ],
            "A root and its opposite make zero",
        ),
    };
    let mut lines = Lines::default();
    for claim in &claims {
        lines = lines.work(claim, reason);
    }
    let others: Vec<&str> =
        ["always", "sometimes", "never"].into_iter().filter(|w| *w != word).collect();
    Posed::shown(question, word, claims.iter().map(|claim| line(claim)).collect())
        .slip(others[0], slip::ROOT_ALWAYS_IRRATIONAL)
        .near([others[1]])
        .way(method::AS_A_QUOTIENT, lines.end(format!("The answer is: {word}.")))
}

/// Four numbers: how many of them are rational?
fn together(draw: &mut Draw) -> Posed {
    let square = draw.between(3, 12).pow(2);
    let other = loop {
        let n = draw.between(6, 120);
        if out_of_root(n).1 != 1 {
            break n;
        }
    };
    let (a, b) = draw.coprime(2, 13);
    let with_pi = draw.coin();
    let fourth = if with_pi { "π/2".to_owned() } else { format!("sqrt({square})/{}", b) };
    let count = if with_pi { 2 } else { 3 };
    let shown =
        [format!("sqrt({square})"), format!("sqrt({other})"), format!("{a}/{b}"), fourth.clone()];
    let root = (1..).find(|k| k * k == square).unwrap_or(1);
    let whole = (1..).take_while(|k| k * k <= other).last().unwrap_or(1);
    let mut claims = vec![
        format!("sqrt({square}) = {root}"),
        format!("{whole} < sqrt({other}) < {}", whole + 1),
    ];
    claims.push(if with_pi { "3 < π < 4".into() } else { format!("{fourth} = {root}/{b}") });
    let mut lines = Lines::default();
    let reasons = [
        "A square under the root",
        "No square under the root: irrational",
        if with_pi {
            "π is irrational, and so is its half"
        } else {
            "A quotient of whole numbers"
        },
    ];
    for (claim, reason) in claims.iter().zip(reasons) {
        lines = lines.work(claim, reason);
    }
    // Line by line one more number finds its row; the fraction needs no line of its own.
    let rational: &[&str] =
        if with_pi { &[&shown[2], &shown[0]] } else { &[&shown[2], &shown[0], &shown[3]] };
    let irrational: &[&str] = if with_pi { &[&shown[1], &shown[3]] } else { &[&shown[1]] };
    let grown = [
        (0, sorted(&rational[..2], &[])),
        (1, sorted(&rational[..2], &irrational[..1])),
        (2, sorted(rational, irrational)),
    ];
    let list: Vec<String> = shown.iter().map(|typed| tex(typed)).collect();
    Posed::shown(
        format!("How many of these are rational: {}?", list.join(", ")),
        count.to_string(),
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip((count - 1).to_string(), slip::ROOT_ALWAYS_IRRATIONAL)
    .slip((count + 1).to_string(), slip::FRACTION_FOR_PI)
    .near(["4".to_owned(), "0".to_owned()])
    .grows(method::AS_A_QUOTIENT, grown)
    .way(method::AS_A_QUOTIENT, lines.end(format!("{count} of them are rational.")))
}

/// Twelve numbers to be sorted, with a reason for each.
fn twelve(draw: &mut Draw) -> Posed {
    let mut squares = draw.different(3, 2, 12);
    squares.sort_unstable();
    let mut surds: Vec<i64> = Vec::new();
    while surds.len() < 3 {
        let n = draw.between(3, 99);
        if out_of_root(n).1 != 1 && !surds.contains(&n) {
            surds.push(n);
        }
    }
    let ((a, b), (c, d)) = (draw.coprime(2, 13), draw.coprime(2, 9));
    let (ending, k) = (draw.between(111, 899), draw.between(2, 6));
    // Each number, whether it is rational, a claim that shows it, and the reason.
    let mut all: Vec<(String, bool, String, String)> = Vec::new();
    for n in &squares {
        let root = format!("sqrt({})", n * n);
        all.push((root.clone(), true, format!("{root} = {n}"), "A square under the root".into()));
    }
    for n in &surds {
        let whole = (1..).take_while(|k| k * k <= *n).last().unwrap_or(1);
        let between = format!("{whole} < sqrt({n}) < {}", whole + 1);
        all.push((
            format!("sqrt({n})"),
            false,
            between,
            format!("{n} is no square: its root is irrational"),
        ));
    }
    let quotient = "Times its denominator it is whole: a quotient of whole numbers";
    all.push((format!("{a}/{b}"), true, format!("{a}/{b} × {b} = {a}"), quotient.into()));
    all.push((format!("-{c}/{d}"), true, format!("-{c}/{d} × {d} = -{c}"), quotient.into()));
    let shown = decimal(ending, 2);
    all.push((shown.clone(), true, format!("{shown} = {ending}/100"), "Its decimal ends".into()));
    all.push(("22/7".into(), true, "22/7 > π".into(), "A quotient near π, but not π".into()));
    all.push((
        format!("{k}π"),
        false,
        format!("{k} × 3.14 < {k}π"),
        "A multiple of π is irrational".into(),
    ));
    all.push((
        format!("π + {k}"),
        false,
        format!("π + {k} > 3.14 + {k}"),
        "π and a whole number more is irrational".into(),
    ));
    let (mut rational, mut irrational) = (Vec::new(), Vec::new());
    let (mut lines, mut claims, mut grown) = (Lines::default(), Vec::new(), Vec::new());
    for (at, (number, is_rational, claim, reason)) in all.iter().enumerate() {
        if *is_rational { &mut rational } else { &mut irrational }.push(number.as_str());
        lines = lines.work(claim, reason.as_str());
        claims.push(line(claim));
        grown.push((at, sorted(&rational, &irrational)));
    }
    let mut mixed: Vec<&str> = all.iter().map(|(number, ..)| number.as_str()).collect();
    for at in (1..mixed.len()).rev() {
        let other = usize::try_from(draw.between(0, at as i64)).unwrap_or(0);
        mixed.swap(at, other);
    }
    let list: Vec<String> = mixed.iter().map(|typed| tex(typed)).collect();
    let name = scenario::name(draw);
    let answer = rational.len();
    let prompt = format!(
        "{name} sorts twelve number cards into rational and irrational, with a reason for each: {}. How many are rational?",
        list.join(", ")
    );
    let end = format!("{answer} are rational and {} irrational.", irrational.len());
    Posed::shown(prompt, answer.to_string(), claims)
        .slip((answer - squares.len()).to_string(), slip::ROOT_ALWAYS_IRRATIONAL)
        .slip((answer - 1).to_string(), slip::FRACTION_FOR_PI)
        .near([answer + 1, answer - 2].map(|count| count.to_string()))
        .grows(method::AS_A_QUOTIENT, grown)
        .way(method::AS_A_QUOTIENT, lines.end(end))
}

fn side(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let n = if draw.coin() { draw.between(3, 12).pow(2) } else { draw.between(10, 150) };
    let (what, place, unit) = *draw.one_of(&[
        ("square bed of clover", "bed", "metres"),
        ("square hive lid", "lid", "decimetres"),
        ("square sheet of beeswax", "sheet", "decimetres"),
    ]);
    classified(
        format!(
            "{name} plans a {what} of {n} square {unit}. Is the side of the {place}, in {unit}, rational or \
             irrational?"
        ),
        n,
    )
}
