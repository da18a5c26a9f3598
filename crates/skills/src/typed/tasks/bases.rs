//! Numerals in other bases: there, back, and adding in them.

use super::{Answer, Found, TaskKind, Told};
use crate::number::{bases_convert, binary_add};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const OUT: (&str, MethodId) = ("bases.convert", bases_convert::method::REPEATED_DIVISION);
const BACK: (&str, MethodId) = ("bases.convert", bases_convert::method::PLACE_VALUE_COLUMNS);
const ADD: (&str, MethodId) = ("binary.add", binary_add::method::CARRY_TABLE);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(BACK, &[
        "convert|change|write|turn? binary|hex|hexadecimal|octal number? _ to|in|into|as decimal|denary",
        "convert|change|write|turn? _ from? binary|hex|hexadecimal|octal to|in|into|as decimal|denary|base|number ten?",
        "convert|change|write|turn? _ from? binary|hex|hexadecimal|octal to|into base 10", "convert _ from binary|hex|hexadecimal|octal",
        "binary|hex|hexadecimal|octal number? _ in|as decimal|denary", "what number is binary|hex|hexadecimal|octal _",
        "denary|decimal value of binary|hex|hexadecimal|octal _", "_ in|from? binary|hex|hexadecimal|octal to|in|into|as decimal|denary",
    ], |f| back(&f.names.iter().rev().find(|w| is_numeral(w))?.clone(), base_named(f)?)),
    TaskKind::of(BACK, &[
        "convert|change|write|turn? binary|hex|hexadecimal|octal number? # to|in|into|as decimal|denary",
        "convert|change|write|turn? # from? binary|hex|hexadecimal|octal to|in|into|as decimal|denary|base ten?",
        "convert|change|write|turn? # from? binary|hex|hexadecimal|octal to|into base 10", "convert # from binary|hex|hexadecimal|octal",
        "binary|hex|hexadecimal|octal number? # in|as decimal|denary", "what number is binary|hex|hexadecimal|octal #",
        "denary|decimal value of binary|hex|hexadecimal|octal #",
        "# in|from binary|hex|hexadecimal|octal to|in|into|as decimal|denary|base|number number|ten?",
        "# in|from binary|hex|hexadecimal|octal as decimal|denary number", "value of # in binary|octal",
    ], |f| back(&f.numbers.first()?.text, base_named(f)?)),
    TaskKind::of(BACK, &[
        "convert|change|write|turn? _ to|in|into|as decimal|denary number?", "convert|change|write|turn? _ to|in|into base #",
        "_ as decimal number",
    ], subscripted),
    TaskKind::of(BACK, &[
        "convert|change|write|turn? # base # to|in|into decimal|denary", "convert|change|write|turn? # base # to|in|into base #",
        "convert|change|write|turn? # from base # to|in|into base #", "convert|change|write|turn? # in base # to|in|into base #",
        "convert|change|write|turn? # from|in base # to|in|into decimal|denary", "# in base # as decimal number?",
    ], told_base),
    TaskKind::of(OUT, &[
        "convert|change|write|turn|express? # decimal|denary? to|in|into|as binary|hex|hexadecimal|octal number?",
        "# decimal|denary? to|in|into|as binary|hex|hexadecimal|octal", "binary|hex|hexadecimal|octal of|for #",
        "# as binary|hex|hexadecimal|octal number",
        "convert|change|write|turn? decimal|denary # to|in|into|as binary|hex|hexadecimal|octal",
        "convert # from decimal|denary to|into binary|hex|hexadecimal|octal",
    ], |f| out(f.numbers.first()?.whole(1 << 40)?, base_named(f)?)),
    TaskKind::of(OUT, &[
        "convert|change|write|turn|express? # to|in|into|as base #", "# to|in base #",
    ],
        |f| {
            let [n, base] = f.amounts()?;
            out(n.whole(1 << 40)?, u32::try_from(base.whole(16)?).ok()?)
        },
    ),
    TaskKind::of(OUT, &[
        "convert|change|write? binary|hex _ to|in|into|as hex|hexadecimal|binary",
    ], other_base),
    TaskKind::of(ADD, &[
        "add|multiply|subtract binary numbers? # and #", "add|multiply|subtract # and # in binary", "add|multiply # by|to # in binary",
        "# + # in binary", "binary sum of # and #", "sum of # and # in binary", "binary addition # + #", "binary # + #",
        "add # and # binary", "work out # + # in binary",
    ], added),
    TaskKind::of(ADD, &[
        "add _ and _", "_ + _", "add _ to _", "add _ and _ in binary",
    ], added_subscripted),
];

fn is_numeral(word: &str) -> bool {
    !word.is_empty()
        && word.bytes().all(|c| c.is_ascii_hexdigit())
        && word.bytes().any(|c| c.is_ascii_digit() || c.is_ascii_uppercase())
}

/// The base that a wording names.
fn base_named(found: &Found) -> Option<u32> {
    found.words.iter().find_map(|word| match word.as_str() {
        "binary" => Some(2),
        "octal" => Some(8),
        "hex" | "hexadecimal" => Some(16),
        _ => None,
    })
}

fn symbol(digit: u32) -> char {
    char::from_digit(digit, 16).unwrap_or('0').to_ascii_uppercase()
}

/// A whole number's digits in a base.
fn digits(value: i64, base: u32) -> String {
    let mut all = Vec::new();
    let mut rest = value;
    while rest > 0 || all.is_empty() {
        all.push(symbol(u32::try_from(rest % i64::from(base)).unwrap_or(0)));
        rest /= i64::from(base);
    }
    all.into_iter().rev().collect()
}

fn out(value: i64, base: u32) -> Option<Told> {
    if !(2..=16).contains(&base) || value < 1 || base == 10 {
        return None;
    }
    let mut lines = Lines::start(&value.to_string());
    let mut rest = value;
    let by = i64::from(base);
    while rest > 0 {
        let left = rest % by;
        let digit = u32::try_from(left)
            .ok()
            .filter(|n| *n > 9)
            .map_or(String::new(), |n| format!(", written {}", symbol(n)));
        lines = lines.work(
            &format!("{rest} = {} × {by} + {left}", rest / by),
            format!("Remainder {left}{digit}"),
        );
        rest /= by;
    }
    let numeral = format!("{}_{base}", digits(value, base));
    let lines = lines.then(&numeral, "Read the remainders from the last to the first");
    Some(Told::lines(format!("{value} in base {base}"), lines, Answer::value(numeral)))
}

fn valued(numeral: &str, base: u32) -> Option<i64> {
    if !(2..=16).contains(&base) || numeral.len() > 24 || base == 10 {
        return None;
    }
    i64::from_str_radix(numeral, base).ok().filter(|n| (0..1 << 40).contains(n))
}

fn back(numeral: &str, base: u32) -> Option<Told> {
    let value = valued(numeral, base)?;
    let count = numeral.len();
    let worths: Vec<(i64, i64)> = numeral
        .chars()
        .enumerate()
        .filter_map(|(at, digit)| {
            let power = i64::from(base).pow(u32::try_from(count - 1 - at).ok()?);
            Some((i64::from(digit.to_digit(base)?), power))
        })
        .filter(|(digit, _)| *digit != 0)
        .collect();
    let products: Vec<String> = worths
        .iter()
        .map(
            |(digit, power)| {
                if base == 2 { power.to_string() } else { format!("{digit} × {power}") }
            },
        )
        .collect();
    let sum = if products.is_empty() { "0".to_owned() } else { products.join(" + ") };
    let upper = numeral.to_uppercase();
    let why = if base == 2 {
        "Write what each place with a 1 is worth"
    } else {
        "Write what each place is worth"
    };
    let mut lines = Lines::start(&format!("{upper}_{base}")).then(&sum, why);
    if base != 2 && worths.len() > 1 {
        let each: Vec<String> =
            worths.iter().map(|(digit, power)| (digit * power).to_string()).collect();
        lines = lines.then(&each.join(" + "), "Multiply");
    }
    let lines = lines.then(&value.to_string(), "Add them up");
    Some(Told::lines(
        format!("{upper} in base {base} as a decimal number"),
        lines,
        Answer::value(value.to_string()),
    ))
}

/// `1011_2` as a numeral and its base.
fn parted(word: &str) -> Option<(&str, u32)> {
    let (numeral, base) = word.split_once('_')?;
    Some((numeral, base.parse().ok()?))
}

fn subscripted(found: &Found) -> Option<Told> {
    let word = found.names.last()?;
    // Letters among the digits: it can only be hexadecimal.
    let is_hexadecimal = is_numeral(word) && word.bytes().any(|c| c.is_ascii_uppercase());
    let (numeral, base) = parted(word).or(is_hexadecimal.then_some((word.as_str(), 16)))?;
    match found.numbers.first() {
        Some(other) if other.whole(16)? != 10 => {
            out(valued(numeral, base)?, u32::try_from(other.whole(16)?).ok()?)
        }
        _ => back(numeral, base),
    }
}

fn told_base(found: &Found) -> Option<Told> {
    let base = |at: usize| found.numbers.get(at)?.whole(16).and_then(|n| u32::try_from(n).ok());
    let numeral = &found.numbers.first()?.text;
    match base(2) {
        Some(other) if other != 10 => out(valued(numeral, base(1)?)?, other),
        _ => back(numeral, base(1)?),
    }
}

/// Binary to hexadecimal and back, by the value.
fn other_base(found: &Found) -> Option<Told> {
    let (numeral, [.., from, to]) = (
        found.names.last()?,
        &found
            .words
            .iter()
            .filter(|word| matches!(word.as_str(), "binary" | "hex" | "hexadecimal"))
            .collect::<Vec<_>>()[..],
    ) else {
        return None;
    };
    let base = |word: &&String| if *word == "binary" { 2 } else { 16 };
    let value = valued(numeral, base(from))?;
    if base(from) == base(to) {
        return None;
    }
    out(value, base(to))
}

fn added(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    calculated(
        &a.text,
        &b.text,
        found
            .words
            .iter()
            .find_map(|word| match word.as_str() {
                "multiply" => Some('×'),
                "subtract" => Some('-'),
                _ => None,
            })
            .unwrap_or('+'),
    )
}

fn added_subscripted(found: &Found) -> Option<Told> {
    let [.., a, b] = &found.names[..] else { return None };
    let ((a, 2), (b, 2)) = (parted(a)?, parted(b)?) else { return None };
    calculated(a, b, '+')
}

fn calculated(a: &str, b: &str, sign: char) -> Option<Told> {
    let (one, other) = (valued(a, 2)?, valued(b, 2)?);
    // Subtracting one from another is said the other way round: "subtract 11 from 110".
    let (x, y) = if sign == '-' && one < other { (other, one) } else { (one, other) };
    let value = match sign {
        '×' => x.checked_mul(y)?,
        '-' => x - y,
        _ => x + y,
    };
    let numeral = |value: i64| format!("{}_2", digits(value, 2));
    let lines = Lines::start(&format!("{} {sign} {}", numeral(x), numeral(y)))
        .work(&format!("{x} {sign} {y} = {value}"), "Check in ordinary numbers")
        .then(&numeral(value), "Column by column; 1 + 1 is 10, so a 1 is carried");
    let says = format!("{} {sign} {} in binary", digits(x, 2), digits(y, 2));
    Some(Told::lines(says, lines, Answer::value(numeral(value))))
}
