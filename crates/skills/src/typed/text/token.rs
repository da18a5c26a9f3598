//! The words and numbers of a task, each with its place in the text.

use super::amount::{Amount, Measure};
use algebra::Rational;
use num_traits::One;

/// The longest number that is read, in digits.
const LONGEST: usize = 15;
/// Units that are words of another meaning too, and are units only where they touch their number.
const TOUCHING: &[&str] = &["in", "t", "l", "L", "N", "J", "W", "an", "lb"];

/// What a token is.
#[derive(Debug, Clone, PartialEq)]
pub(in crate::typed) enum Kind {
    /// A number with its unit.
    Number(Amount),
    /// Its place in an order: `20th`.
    Ordinal(i64),
    /// A point: `(1, 2)`.
    Point(Box<(Amount, Amount)>),
    /// A word, in small letters.
    Word(String),
    /// Any other sign.
    Sign(char),
}

/// One of them, with its place in UTF-8 bytes.
#[derive(Debug, Clone, PartialEq)]
pub(in crate::typed) struct Token {
    pub kind: Kind,
    pub from: usize,
    pub to: usize,
}

impl Token {
    /// The word that it is.
    pub(in crate::typed) fn word(&self) -> Option<&str> {
        match &self.kind {
            Kind::Word(word) => Some(word),
            _ => None,
        }
    }

    /// Whether it is that sign.
    pub(in crate::typed) fn is_sign(&self, sign: char) -> bool {
        self.kind == Kind::Sign(sign)
    }
}

/// The tokens of a text.
pub(in crate::typed) fn tokens(text: &str) -> Vec<Token> {
    let mut reader = Reader { text, at: 0, found: Vec::new() };
    while reader.next() {}
    with_points(reader.found)
}

struct Reader<'a> {
    text: &'a str,
    at: usize,
    found: Vec<Token>,
}

impl<'a> Reader<'a> {
    fn rest(&self) -> &'a str {
        &self.text[self.at..]
    }

    fn push(&mut self, kind: Kind, length: usize) {
        self.found.push(Token { kind, from: self.at, to: self.at + length });
        self.at += length;
    }

    /// Reads one token; false at the end.
    fn next(&mut self) -> bool {
        let rest = self.rest();
        let Some(sign) = rest.chars().next() else { return false };
        if sign.is_whitespace() || self.joins(sign) {
            self.at += sign.len_utf8();
        } else if !self.number() {
            if sign.is_alphabetic() || sign.is_ascii_digit() {
                let length = run(rest, |c| c.is_alphanumeric() || matches!(c, '_' | '\'' | '’'));
                let word = rest[..length].to_lowercase().replace('’', "'");
                self.push(Kind::Word(word), length);
            } else {
                self.push(Kind::Sign(sign), sign.len_utf8());
            }
        }
        true
    }

    /// Reads a number with all that belongs to it.
    fn number(&mut self) -> bool {
        let rest = self.rest();
        let money = rest.chars().next().filter(|c| matches!(c, '£' | '$' | '€'));
        let after_money = money.map_or(rest, |sign| rest[sign.len_utf8()..].trim_start());
        let minus = after_money.chars().next().filter(|c| matches!(c, '-' | '−'));
        let minus = minus.filter(|_| self.may_be_negative());
        let digits = minus.map_or(after_money, |sign| &after_money[sign.len_utf8()..]);
        let Some((mut amount, length)) = plain(digits) else { return false };
        let after = &digits[length..];
        if let Some((value, length)) = ordinal(&amount, after)
            && money.is_none()
            && minus.is_none()
        {
            let used = rest.len() - after.len() + length;
            self.push(Kind::Ordinal(value), used);
            return true;
        }
        if minus.is_some() {
            amount.text.insert(0, '-');
            amount.value = -amount.value;
        }
        let mut used = rest.len() - after.len();
        if let Some(sign) = money {
            let mut text = [0; 4];
            amount.unit = Measure::named(sign.encode_utf8(&mut text));
        } else if let Some((unit, length)) = unit(after) {
            amount.unit = Some(unit);
            used += length;
        } else if let Some(length) = percent(after) {
            amount.is_percent = true;
            used += length;
        }
        // What touches a letter or a bracket is mathematics, and no number by itself.
        let next = rest[used..].chars().next();
        if next.is_some_and(|c| {
            c.is_alphanumeric() || matches!(c, '(' | '^' | '_' | '²' | '³' | '√' | '!')
        }) {
            return false;
        }
        self.push(Kind::Number(amount), used);
        true
    }

    /// Whether this is the hyphen of a word: "right-angled", "6-sided".
    fn joins(&self, sign: char) -> bool {
        let before = self.text[..self.at].chars().next_back();
        let after = self.rest()[sign.len_utf8()..].chars().next();
        matches!(sign, '-' | '‐' | '‑')
            && before.is_some_and(char::is_alphanumeric)
            && after.is_some_and(char::is_alphabetic)
    }

    /// Whether a minus here is the sign of a number.
    fn may_be_negative(&self) -> bool {
        match self.found.last() {
            None => true,
            Some(last) => match &last.kind {
                Kind::Number(_) | Kind::Ordinal(_) | Kind::Point(_) | Kind::Sign(')') => false,
                Kind::Word(word) => word.chars().count() > 1 && last.to < self.at,
                Kind::Sign(_) => true,
            },
        }
    }
}

fn run(text: &str, is: impl Fn(char) -> bool) -> usize {
    text.find(|c| !is(c)).unwrap_or(text.len())
}

/// A number without a sign and a unit, and its length in bytes: `1,200`, `2.5`, `3/4`, `2 1/2`, `½`, `20π`, `π/4`.
fn plain(text: &str) -> Option<(Amount, usize)> {
    if let Some(after) = pi(text) {
        let mut found = Amount::of(Rational::one());
        let mut used = text.len() - after.len();
        "π".clone_into(&mut found.text);
        found.is_of_pi = true;
        if let Some((below, length)) = after.strip_prefix('/').and_then(digits) {
            found.text = format!("π/{below}");
            found.value = Amount::read(&format!("1/{below}"))?.value;
            used += 1 + length;
        }
        // A word that begins with these letters is none.
        let is_word = text[used..].starts_with(|c: char| c.is_alphabetic());
        return (!is_word).then_some((found, used));
    }
    if let Some(part) = text.chars().next().filter(|c| "½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞".contains(*c))
    {
        return Some((Amount::read(&part.to_string())?, part.len_utf8()));
    }
    let (mut typed, mut used) = digits(text)?;
    if let Some((below, length)) = text[used..].strip_prefix('/').and_then(digits) {
        typed = format!("{typed}/{below}");
        used += 1 + length;
    } else if !typed.contains('.') {
        // A whole number and a proper fraction behind a space.
        let after = text[used..].trim_start();
        if after.len() < text.len() - used
            && let Some((above, n)) = digits(after)
            && let Some((below, m)) = after[n..].strip_prefix('/').and_then(digits)
            && above.len() <= below.len()
            && !format!("{above}{below}").contains('.')
        {
            typed = format!("{typed} {above}/{below}");
            used = text.len() - after.len() + n + 1 + m;
        }
    }
    let mut found = Amount::read(&typed).or_else(|| quotient(&typed))?;
    if let Some(after) = pi(&text[used..]).or_else(|| pi(text[used..].trim_start()))
        && !after.starts_with(|c: char| c.is_alphanumeric())
    {
        found.text.push('π');
        found.is_of_pi = true;
        used = text.len() - after.len();
        if let Some((below, length)) = after.strip_prefix('/').and_then(digits) {
            found.text = format!("{}/{below}", found.text);
            found.value /= Amount::read(&below).filter(Amount::is_positive)?.value;
            used += 1 + length;
        }
    }
    if let Some((length, part)) = and_a_part(&text[used..]).filter(|_| found.whole(1000).is_some())
    {
        typed = format!("{typed} {part}");
        found = quotient(&typed)?;
        used += length;
    }
    if let Some((name, times)) = large(&text[used..]) {
        found = Amount::of(&found.value * times);
        used += name;
    }
    Some((found, used))
}

/// " and a half" and its kind: its length with the space before it, and the fraction.
fn and_a_part(text: &str) -> Option<(usize, &'static str)> {
    const PARTS: &[(&str, &str)] = &[
        (" and a half", "1/2"),
        (" and a quarter", "1/4"),
        (" and three quarters", "3/4"),
        (" and a third", "1/3"),
        (" and two thirds", "2/3"),
    ];
    let found = PARTS.iter().find(|(words, _)| text.starts_with(words));
    let (words, part) = found
        .filter(|(words, _)| !text[words.len()..].starts_with(|c: char| c.is_alphanumeric()))?;
    Some((words.len(), part))
}

/// " million" and its kind: its length with the space before it, and how much it is.
fn large(text: &str) -> Option<(usize, Rational)> {
    let trimmed = text.trim_start();
    let length = run(trimmed, char::is_alphabetic);
    let power = match trimmed[..length].to_lowercase().as_str() {
        "thousand" => 1_000,
        "million" => 1_000_000,
        "billion" => 1_000_000_000,
        _ => return None,
    };
    Some((text.len() - trimmed.len() + length, Rational::from_integer(power.into())))
}

fn pi(text: &str) -> Option<&str> {
    text.strip_prefix('π').or_else(|| text.strip_prefix("pi"))
}

/// A fraction of two whole numbers, or a mixed number.
fn quotient(text: &str) -> Option<Amount> {
    let (above, below) = text.rsplit_once('/')?;
    let (whole, above) = above.rsplit_once(' ').map_or((None, above), |(w, a)| (Some(w), a));
    let number = |text: &str| Amount::read(text).map(|found| found.value);
    let below = number(below).filter(|n| *n != Rational::default())?;
    let part = number(above)? / below;
    let value = whole.map_or(Some(part.clone()), |whole| Some(number(whole)? + part))?;
    Some(Amount { text: text.to_owned(), ..Amount::of(value) })
}

/// Digits with at most one point, without their commas of thousands, and their length as typed.
fn digits(text: &str) -> Option<(String, usize)> {
    let mut used = run(text, |c| c.is_ascii_digit());
    let mut typed = text[..used].to_owned();
    while (1..=3).contains(&text[..used].split(',').next()?.len())
        && let Some(group) = text[used..].strip_prefix(',').and_then(|rest| rest.get(..3))
        && group.bytes().all(|c| c.is_ascii_digit())
        && !text[used + 4..].starts_with(|c: char| c.is_ascii_digit())
    {
        typed.push_str(group);
        used += 4;
    }
    if let Some(places) = text[used..].strip_prefix('.') {
        let length = run(places, |c| c.is_ascii_digit());
        if length > 0 {
            typed =
                format!("{}.{}", if typed.is_empty() { "0" } else { &typed }, &places[..length]);
            used += 1 + length;
        }
    }
    (!typed.is_empty() && typed.len() <= LONGEST).then_some((typed, used))
}

fn ordinal(amount: &Amount, after: &str) -> Option<(i64, usize)> {
    let end = after.get(..2).filter(|end| matches!(*end, "st" | "nd" | "rd" | "th"))?;
    let ends = !after[2..].starts_with(|c: char| c.is_alphanumeric());
    ends.then(|| amount.whole(1_000_000)).flatten().map(|n| (n, end.len()))
}

fn percent(after: &str) -> Option<usize> {
    let trimmed = after.trim_start();
    let skipped = after.len() - trimmed.len();
    let lower = trimmed.to_lowercase();
    let word =
        ["%", "percent", "per cent", "pc"].into_iter().find(|word| lower.starts_with(word))?;
    let ends = word == "%" || !lower[word.len()..].starts_with(|c: char| c.is_alphanumeric());
    ends.then_some(skipped + word.len())
}

/// The longest unit that stands here, and its length with the space before it.
fn unit(after: &str) -> Option<(Measure, usize)> {
    let trimmed = after.trim_start();
    let skipped = after.len() - trimmed.len();
    let is_part = |c: char| c.is_alphanumeric() || matches!(c, '²' | '³' | '/' | '^' | '°');
    // One word, or up to four: "square metres", "km per hour", "cm squared".
    let mut ends = Vec::new();
    let mut at = 0;
    for _ in 0..4 {
        let gap = run(&trimmed[at..], |c| c == ' ');
        let length = run(&trimmed[at + gap..], is_part);
        if length == 0 {
            break;
        }
        at += gap + length;
        ends.push(at);
    }
    ends.into_iter().rev().find_map(|end| {
        let name = &trimmed[..end];
        // "3 s.f." and "3 s f" are no seconds.
        // "r = 2 h = 5": a letter of a formula, and no hours.
        if name.chars().count() == 1 && trimmed[end..].trim_start().starts_with('=') {
            return None;
        }
        let is_figures =
            name == "s" && trimmed[end..].trim_start_matches(['.', ' ']).starts_with('f');
        if is_figures {
            return None;
        }
        if skipped > 0 && TOUCHING.contains(&name) && !is_last(&trimmed[end..]) {
            return None;
        }
        Some((Measure::named(name)?, skipped + end))
    })
}

/// Whether nothing but a sign of the end follows, or a word that stands behind an amount: "5 l to ml".
fn is_last(text: &str) -> bool {
    const BEHIND: &[&str] = &["to", "into", "in", "as", "and", "of", "at", "from", "for", "is"];
    let rest = text.trim_start();
    let word = &rest[..run(rest, char::is_alphabetic)];
    if BEHIND.contains(&word) {
        return true;
    }
    text.trim_start().chars().next().is_none_or(|c| matches!(c, ',' | '.' | ';' | '?' | ')'))
}

/// The same, with points put together.
fn with_points(found: Vec<Token>) -> Vec<Token> {
    let mut all: Vec<Token> = Vec::new();
    for token in found {
        let closes = token.is_sign(')');
        all.push(token);
        if closes
            && let [.., open, x, comma, y, close] = &all[..]
            && open.is_sign('(')
            && comma.is_sign(',')
            && let (Kind::Number(x), Kind::Number(y)) = (&x.kind, &y.kind)
        {
            let kind = Kind::Point(Box::new((x.clone(), y.clone())));
            let point = Token { kind, from: open.from, to: close.to };
            all.truncate(all.len() - 5);
            all.push(point);
        }
    }
    all
}

#[cfg(test)]
mod tests {
    use super::*;

    fn told(text: &str) -> Vec<String> {
        let one = |token: Token| match token.kind {
            Kind::Number(amount) => format!("#{}", amount.shown()),
            Kind::Ordinal(n) => format!("{n}th"),
            Kind::Point(at) => format!("({}|{})", at.0.shown(), at.1.shown()),
            Kind::Word(word) => word,
            Kind::Sign(sign) => sign.to_string(),
        };
        tokens(text).into_iter().map(one).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn a_text_is_parted_into_words_and_numbers() {
        for (text, expected) in [
            ("Share £60 in the ratio 2:3", &["share", "#£60", "in", "the", "ratio", "#2", ":", "#3"][..]),
            ("base 6 cm, height 4cm",      &["base", "#6 cm", ",", "height", "#4 cm"]),
            ("12.5 per cent of 1,200",     &["#12.5%", "of", "#1200"]),
            ("2 1/2 hours",                &["#2 1/2 h"]),
            ("3/4 of 60",                  &["#3/4", "of", "#60"]),
            ("(1, 2) and (4, -6)",         &["(1|2)", "and", "(4|-6)"]),
            ("20th term of 4n - 1",        &["20th", "term", "of", "4n", "-", "#1"]),
            ("-7 to 3",                    &["#-7", "to", "#3"]),
            ("90 km/h to m/s",             &["#90 km/h", "to", "m", "/", "s"]),
            ("45 in binary",               &["#45", "in", "binary"]),
            ("2F hex, 1011_2",             &["2f", "hex", ",", "1011_2"]),
            ("20π and π/4",                &["#20π", "and", "#π/4"]),
            ("3 square metres",            &["#3 m²"]),
            ("4, 9, 12",                   &["#4", ",", "#9", ",", "#12"]),
            ("2x + 1",                     &["2x", "+", "#1"]),
            ("60 degrees",                 &["#60°"]),
            ("5 m in 2 s",                 &["#5 m", "in", "#2 s"]),
        ] {
            assert_eq!(told(text), expected, "{text}");
        }
    }

    #[test]
    fn every_text_is_parted_and_places_are_places() {
        for text in [
            "",
            "½½½",
            "£",
            "-",
            "(((1,2",
            "9".repeat(400).as_str(),
            "1/0",
            "³²π/π",
            "٣ 5é",
            "1,234,56",
        ] {
            let mut last = 0;
            for token in tokens(text) {
                assert!(token.from >= last && token.to > token.from, "{text}");
                assert!(
                    text.is_char_boundary(token.from) && text.is_char_boundary(token.to),
                    "{text}"
                );
                last = token.from;
            }
        }
    }
}
