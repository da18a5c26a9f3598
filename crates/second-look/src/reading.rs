//! Reading a text the way a careful colleague does: its sentences, the numbers in it with their units, its
//! mathematics, and the people in it.

use algebra::number::{Integer, from_int, show};
use algebra::{Expr, ExprKind, Line, Options, Rational, Unit, read_latex, read_line_with};
use num_traits::{One, Pow, Signed};

/// A number as it stands in a text.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Number {
    /// What it is worth.
    pub value: Rational,
    /// As it is written.
    pub written: String,
    /// Where it begins, in bytes.
    pub at: usize,
    /// The unit behind it.
    pub unit: Option<Unit>,
    /// Whether a percent sign stands behind it.
    pub is_percent: bool,
}

/// Numbers that are said in words.
const COUNTED: &[(&str, i64)] = &[
    ("zero", 0),
    ("one", 1),
    ("two", 2),
    ("three", 3),
    ("four", 4),
    ("five", 5),
    ("six", 6),
    ("seven", 7),
    ("eight", 8),
    ("nine", 9),
    ("ten", 10),
    ("eleven", 11),
    ("twelve", 12),
    ("fifteen", 15),
    ("twenty", 20),
    ("thirty", 30),
    ("forty", 40),
    ("fifty", 50),
    ("hundred", 100),
    ("thousand", 1000),
    ("dozen", 12),
    ("twice", 2),
    ("double", 2),
    ("doubles", 2),
    ("triple", 3),
    ("thrice", 3),
    ("half", 2),
    ("third", 3),
    ("quarter", 4),
    ("quarters", 4),
    ("thirds", 3),
    ("fifths", 5),
    ("fifth", 5),
    ("pair", 2),
    ("pairs", 2),
    ("both", 2),
    ("each", 1),
    ("week", 7),
    ("year", 12),
];

/// Units by the words for them.
const SPELLED: &[(&str, &str)] = &[
    ("millimetre", "mm"),
    ("millimeter", "mm"),
    ("centimetre", "cm"),
    ("centimeter", "cm"),
    ("metre", "m"),
    ("meter", "m"),
    ("kilometre", "km"),
    ("kilometer", "km"),
    ("gram", "g"),
    ("kilogram", "kg"),
    ("litre", "L"),
    ("liter", "L"),
    ("millilitre", "mL"),
    ("milliliter", "mL"),
    ("second", "s"),
    ("minute", "min"),
    ("hour", "h"),
];

/// The unit that a word is, with the power it stands in: `cm²`, `square metres`.
pub(super) fn unit_named(word: &str) -> Option<Unit> {
    let word = word.trim_matches(|sign: char| !sign.is_alphanumeric() && sign != '°');
    let bare = word.trim_end_matches(['²', '³', '2', '3']);
    // A letter may be an article or an unknown: only letters that are nearly always units are taken for them.
    if bare.chars().count() == 1 && !["m", "g", "L", "l", "h", "s"].contains(&bare) {
        return None;
    }
    if let Some(unit) = Unit::named(bare) {
        return Some(unit);
    }
    let lower = bare.to_lowercase();
    let singular = lower.strip_suffix('s').unwrap_or(&lower);
    SPELLED.iter().find(|(word, _)| *word == singular).and_then(|(_, unit)| Unit::named(unit))
}

/// Whether the unit that stands there is squared or cubed, from the words at it.
pub(super) fn power_of_unit(text: &str, after: usize) -> u32 {
    let rest: String = text[after..].chars().take(24).collect();
    let mut words = rest.split_whitespace();
    let first = words.next().unwrap_or_default();
    if first.starts_with("square") || first.starts_with("sq") {
        return 2;
    }
    if first.starts_with("cubic") {
        return 3;
    }
    let squared = ["²", "^2", "^{2}", "2"];
    let cubed = ["³", "^3", "^{3}", "3"];
    let unit: String = first.chars().take_while(|sign| sign.is_ascii_alphabetic()).collect();
    let tail = &first[unit.len()..];
    if unit.is_empty() {
        1
    } else if squared.iter().any(|sign| tail.starts_with(sign)) {
        2
    } else if cubed.iter().any(|sign| tail.starts_with(sign)) {
        3
    } else {
        1
    }
}

/// The numbers of a text that are written in digits.
pub(super) fn numbers(text: &str) -> Vec<Number> {
    let mut found = Vec::new();
    let bytes = text.as_bytes();
    let mut at = 0;
    while at < bytes.len() {
        if !bytes[at].is_ascii_digit() {
            at += 1;
            continue;
        }
        let from = at;
        let mut digits = String::new();
        let mut places: Option<u32> = None;
        while at < bytes.len() {
            let next_is_digit = bytes.get(at + 1).is_some_and(u8::is_ascii_digit);
            match bytes[at] {
                digit if digit.is_ascii_digit() => {
                    digits.push(char::from(digit));
                    places = places.map(|places| places + 1);
                }
                b'.' if next_is_digit && places.is_none() => places = Some(0),
                // Thousands: `12,500`, with exactly three digits behind the comma.
                b',' if places.is_none()
                    && (1..=3).contains(&(at - from).min(9))
                    && bytes[at + 1..].iter().take_while(|b| b.is_ascii_digit()).count() == 3 => {}
                _ => break,
            }
            at += 1;
        }
        // A letter before it makes it a name: `x2`, `Q7`, `grade7`.
        let before = text[..from].chars().next_back();
        if before.is_some_and(|sign| sign.is_alphabetic() && sign != '√') || digits.len() > 30 {
            continue;
        }
        let Ok(whole) = digits.parse::<Integer>() else { continue };
        let scale = Integer::from(10).pow(places.unwrap_or(0));
        let rest = &text[at..];
        let behind = rest.trim_start_matches([' ', '\\', ',', '{', '~']);
        let behind = behind.strip_prefix("text{").unwrap_or(behind);
        let word: String = behind
            .chars()
            .take_while(|sign| sign.is_alphanumeric() || "²³".contains(*sign))
            .collect();
        let (skipped, word) = match word.as_str() {
            "square" | "cubic" | "sq" => {
                let rest = behind[word.len()..].trim_start();
                (true, rest.split(|sign: char| !sign.is_alphabetic()).next().unwrap_or("").into())
            }
            _ => (false, word),
        };
        let is_near = rest.len() - behind.len() <= 8;
        let unit = (is_near && (skipped || !word.is_empty())).then(|| unit_named(&word)).flatten();
        found.push(Number {
            value: Rational::new(whole, scale),
            written: text[from..at].to_owned(),
            at: from,
            unit,
            is_percent: behind.starts_with('%'),
        });
    }
    found
}

/// The numbers of a text that are said in words.
pub(super) fn said(text: &str) -> Vec<Rational> {
    let lower = text.to_lowercase();
    let words = lower.split(|sign: char| !sign.is_alphabetic());
    words
        .filter_map(|word| COUNTED.iter().find(|(name, _)| *name == word))
        .map(|(_, value)| Rational::from(Integer::from(*value)))
        .collect()
}

/// The sentences of a text. A point between digits ends none.
pub(super) fn sentences(text: &str) -> Vec<&str> {
    let mut found = Vec::new();
    let mut from = 0;
    let mut in_maths = false;
    for (at, sign) in text.char_indices() {
        match sign {
            '$' => in_maths = !in_maths,
            '\n' if !in_maths => {
                found.push(&text[from..at]);
                from = at + 1;
            }
            '.' | '?' | '!' if !in_maths => {
                let end = at + sign.len_utf8();
                if text[end..].chars().next().is_none_or(char::is_whitespace) {
                    found.push(&text[from..end]);
                    from = end;
                }
            }
            _ => {}
        }
    }
    found.push(&text[from..]);
    found.into_iter().map(str::trim).filter(|sentence| !sentence.is_empty()).collect()
}

/// What stands between dollar signs.
pub(super) fn formulas(text: &str) -> Vec<&str> {
    text.split('$').skip(1).step_by(2).map(str::trim).filter(|math| !math.is_empty()).collect()
}

/// A line of mathematics, from LaTeX or plain typing.
pub(super) fn line_of(text: &str) -> Option<Line> {
    let trimmed = text.trim().trim_end_matches(['.', ',', ';', ':']).trim();
    if trimmed.is_empty() || trimmed.len() > 300 {
        return None;
    }
    if let Some(inner) = trimmed.strip_prefix('$').and_then(|rest| rest.strip_suffix('$')) {
        return (!inner.contains('$'))
            .then(|| read_latex(inner.trim().trim_end_matches(['.', ','])).ok())
            .flatten()
            .map(|read| read.line)
            .filter(|line| !matches!(line, Line::Sentence(_)));
    }
    // Words are no mathematics: only what has a digit or a sign of relation and no word of three letters.
    let longest = trimmed.split(|sign: char| !sign.is_alphabetic()).map(str::len).max();
    let functions = ["sqrt", "sin", "cos", "tan", "log", "ln", "or", "and", "pi", "min"];
    let is_wordy = longest.is_some_and(|longest| longest > 2)
        && trimmed
            .split(|sign: char| !sign.is_alphabetic())
            .any(|word| word.len() > 2 && !functions.contains(&word));
    if is_wordy {
        return None;
    }
    read_line_with(trimmed, Options::default())
        .ok()
        .map(|read| read.line)
        .filter(|line| !matches!(line, Line::Sentence(_)))
}

/// The same line with its units read as units.
pub(super) fn quantities_of(text: &str) -> Option<Line> {
    let trimmed = text.trim().trim_end_matches(['.', ',', ';', ':']).trim();
    let (inner, latex) = match trimmed.strip_prefix('$').and_then(|rest| rest.strip_suffix('$')) {
        Some(inner) => (inner, true),
        None => (trimmed, false),
    };
    if inner.contains('$') || inner.len() > 300 {
        return None;
    }
    read_line_with(inner, Options { latex, quantities: true, ..Options::default() })
        .ok()
        .map(|read| read.line)
        .filter(|line| !matches!(line, Line::Sentence(_)))
}

/// Whether a text asks for something.
pub(super) fn asks(text: &str) -> bool {
    const BIDS: &[&str] = &[
        "solve",
        "find",
        "work out",
        "calculate",
        "compute",
        "evaluate",
        "simplify",
        "expand",
        "factorise",
        "factorize",
        "factor",
        "write",
        "round",
        "convert",
        "share",
        "complete",
        "express",
        "estimate",
        "rearrange",
        "order",
        "add",
        "subtract",
        "multiply",
        "divide",
        "reduce",
        "determine",
        "state",
        "give",
        "show that",
        "prove",
        "rationalise",
        "rationalize",
        "fill in",
        "tell",
        "list",
        "name",
        "draw",
        "compare",
        "continue",
        "go on",
    ];
    sentences(text).into_iter().any(|sentence| {
        let plain = without_label(sentence);
        let plain = plain.trim_start_matches(|sign: char| !sign.is_alphabetic());
        let lower = plain.to_lowercase();
        sentence.ends_with('?')
            || BIDS.iter().any(|bid| {
                lower.strip_prefix(bid).is_some_and(|rest| {
                    rest.starts_with([' ', ':']) && !rest.trim_start().starts_with("and ")
                })
            })
    })
}

/// Whether a text is about something false on purpose: a slip to be found, a claim to be judged.
pub(super) fn is_in_doubt(text: &str) -> bool {
    const SIGNS: &[&str] = &[
        "true or false",
        "mistake",
        "slip",
        "error",
        "went wrong",
        "is wrong",
        "incorrect",
        "do you agree",
        "who is right",
        "is he right",
        "is she right",
        "is it right",
        "are they right",
        "misconception",
        "find the wrong",
        "yes or no",
        "always, sometimes",
        "does not hold",
        "says that",
        "thinks that",
        "claims that",
        "thinks:",
        "says:",
        "wrote",
    ];
    let lower = text.to_lowercase();
    SIGNS.iter().any(|sign| lower.contains(sign))
}

/// Whether a sentence warns of what it shows.
pub(super) fn is_warning(sentence: &str) -> bool {
    const SIGNS: &[&str] = &[
        "never",
        "not true",
        "is false",
        "not equal",
        "watch out",
        "do not",
        "don't",
        "wrong",
        "instead of",
        "and not",
    ];
    let lower = sentence.to_lowercase();
    SIGNS.iter().any(|sign| lower.contains(sign))
}

/// A text without the label before it: `1.`, `Question 3:`, `b)`.
pub(super) fn without_label(text: &str) -> &str {
    const LABELS: &[&str] = &["question", "problem", "example", "exercise", "task", "q", "no"];
    let text = text.trim();
    let lower = text.to_ascii_lowercase();
    let named = LABELS.iter().find_map(|label| {
        let rest = lower.strip_prefix(label)?;
        let digits = rest.trim_start_matches(['.', ' ']);
        let after = digits.trim_start_matches(|sign: char| sign.is_ascii_digit());
        let is_label = digits.len() != after.len() || after.starts_with(':');
        (is_label && after.starts_with([':', '.', ')', ' '])).then(|| text.len() - after.len())
    });
    let rest = named.map_or(text, |at| text.get(at..).unwrap_or(text));
    let rest = rest.trim_start_matches([':', '.', ')', ' ']);
    // `b)`, `(2)`, `3.`
    let inner = rest.trim_start_matches('(');
    let mark: String = inner.chars().take_while(|sign| sign.is_ascii_alphanumeric()).collect();
    let is_short = mark.len() == 1
        || (!mark.is_empty() && mark.len() < 4 && mark.chars().all(|sign| sign.is_ascii_digit()));
    match inner.get(mark.len()..) {
        Some(after) if is_short && after.starts_with(')') => after[1..].trim_start(),
        Some(after) if is_short && after.starts_with(". ") => after[2..].trim_start(),
        _ => rest,
    }
}

/// A text without its mathematics.
pub(super) fn words_only(text: &str) -> String {
    text.split('$').step_by(2).collect::<Vec<_>>().join(" ")
}

/// Whether a word stands in a text as a word of its own; case does not count.
pub(super) fn has_word(text: &str, word: &str) -> bool {
    let text = text.to_lowercase();
    let word = word.to_lowercase();
    text.match_indices(&word).any(|(at, _)| {
        let before = text[..at].chars().next_back();
        let after = text[at + word.len()..].chars().next();
        !before.is_some_and(char::is_alphanumeric) && !after.is_some_and(char::is_alphanumeric)
    })
}

/// Whether one of these words stands in a text as a word of its own.
pub(super) fn has_any(text: &str, words: &[&str]) -> bool {
    words.iter().any(|word| has_word(text, word))
}

/// `x = 5`: a letter and its value, and nothing left to be done.
pub(super) fn is_solved(line: &Line) -> bool {
    let is_letter = |side: &Expr| matches!(side.kind, ExprKind::Symbol(_));
    line.as_equation().is_some_and(|(left, right)| {
        is_letter(left) && right.as_plain_number().is_some()
            || is_letter(right) && left.as_plain_number().is_some()
    })
}

/// A number as a decimal, where it ends; otherwise as a fraction.
pub(super) fn decimal(value: &Rational) -> String {
    let ten = from_int(10);
    let mut scaled = value.abs();
    let mut places = 0_usize;
    while !scaled.is_integer() {
        if places == 12 {
            return show(value);
        }
        scaled *= &ten;
        places += 1;
    }
    let digits = format!("{:0>width$}", scaled.to_integer().to_string(), width = places + 1);
    let (whole, behind) = digits.split_at(digits.len() - places);
    let sign = if value.is_negative() { "-" } else { "" };
    if places == 0 { format!("{sign}{whole}") } else { format!("{sign}{whole}.{behind}") }
}

/// A hundredth.
pub(super) fn hundredth() -> Rational {
    Rational::new(Integer::one(), Integer::from(100))
}

/// How many edits of one letter lead from one word to the other; a swap of neighbours is one.
pub(super) fn distance(a: &str, b: &str) -> usize {
    let (a, b): (Vec<char>, Vec<char>) = (a.chars().collect(), b.chars().collect());
    let mut rows: Vec<Vec<usize>> = vec![(0..=b.len()).collect()];
    for i in 1..=a.len() {
        let mut row = vec![i];
        for j in 1..=b.len() {
            let change = rows[i - 1][j - 1] + usize::from(a[i - 1] != b[j - 1]);
            let mut least = change.min(rows[i - 1][j] + 1).min(row[j - 1] + 1);
            if i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1] {
                least = least.min(rows[i - 2][j - 2] + 1);
            }
            row.push(least);
        }
        rows.push(row);
    }
    rows[a.len()][b.len()]
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn numbers_are_read_with_what_stands_behind_them() {
        let told = |text: &str| -> Vec<(String, String)> {
            numbers(text).iter().map(|n| (n.written.clone(), n.unit.map(|u| u.symbol().to_owned()).unwrap_or_default())).collect()
        };
        let pair = |a: &str, b: &str| (a.to_owned(), b.to_owned());
        assert_eq!(told("12,500 jars in 3.5 hours"), [pair("12,500", ""), pair("3.5", "h")]);
        assert_eq!(told("a 3 m by 4 cm board"), [pair("3", "m"), pair("4", "cm")]);
        assert_eq!(told("$5\\,\\text{cm}$ and 6 square metres"), [pair("5", "cm"), pair("6", "m")]);
        assert_eq!(told("x2 and 1, 2, 3"), [pair("1", ""), pair("2", ""), pair("3", "")]);
    }

    #[test]
    fn sentences_end_where_they_end() {
        assert_eq!(
            sentences("It is 3.5 m. How far? $1. 2$ more"),
            ["It is 3.5 m.", "How far?", "$1. 2$ more"]
        );
    }

    #[test]
    #[rustfmt::skip]
    fn what_is_asked_is_told_from_what_is_said() {
        for (text, is_asked) in [
            ("Solve $3x = 6$.", true), ("How many are left?", true), ("1. Work out $2 + 3$", true),
            ("We solve it together.", false), ("Add and take away are friends.", false), ("3 + 4 = 7", false),
        ] { assert_eq!(asks(text), is_asked, "{text}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn letters_between_two_words_are_counted() {
        for (a, b, far) in [("Hana", "Hanna", 1), ("Mira", "Mina", 1), ("Emil", "Elmi", 2), ("Orla", "Orla", 0), ("form", "from", 1)] {
            assert_eq!(distance(a, b), far, "{a} {b}");
        }
    }
}
