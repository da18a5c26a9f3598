//! A wording of a task, with places for its numbers.
//!
//! A pattern is written as a teacher would say it: `share # in ratio #:`. Articles and marks are passed over, `word?` may be
//! missing, `one|other` is either word, and these are places:
//!
//! | place | for |
//! |---|---|
//! | `#` | a number, with or without a unit |
//! | `#%` | so many percent |
//! | `#,` | two numbers or more, parted by commas, spaces or "and" |
//! | `#:` | a ratio of two terms or more |
//! | `#th` | a place in an order |
//! | `#p` | a point |
//! | `=,` | values of letters: `a = 5, b = 7` |
//! | `@` | anything, as it was typed |
//! | `_` | any one word |
//! | `_?` | any one word, or none |
//! | `..` | up to six words |

use super::amount::Amount;
use super::token::{Kind, Token};
use algebra::Rational;
use algebra::number::from_int;

/// Passed over wherever they stand.
const ARTICLES: &[&str] = &["a", "an", "the", "please", "exactly", "exact", "answer"];
/// What a task may begin with, longest first.
const OPENINGS: &[&[&str]] = &[
    &["can", "you", "find"],
    &["can", "you", "work", "out"],
    &["i", "need", "to", "know"],
    &["can", "you"],
    &["could", "you"],
    &["help", "me"],
    &["help", "me", "to"],
    &["i", "want", "to"],
    &["i", "have", "to"],
    &["how", "do", "i"],
    &["how", "do", "you"],
    &["how", "to"],
    &["show", "me", "how", "to"],
    &["show", "that"],
    &["hence"],
    &["find", "out"],
    &["work", "out"],
    &["what", "is"],
    &["what", "are"],
    &["what", "was"],
    &["find"],
    &["calculate"],
    &["compute"],
    &["determine"],
    &["evaluate"],
    &["state"],
    &["give"],
    &["whats"],
    &["what's"],
    &["tell", "me"],
];

#[derive(Debug, Clone)]
enum Place {
    Words(Vec<String>),
    Perhaps(Vec<String>),
    Number,
    Percent,
    List,
    Ratio,
    Ordinal,
    Point,
    Values,
    Anything,
    AnyWord,
    PerhapsAnyWord,
    AnyWords,
    Sign(char),
}

/// A wording.
#[derive(Debug, Clone)]
pub(in crate::typed) struct Pattern(Vec<Place>);

/// What stood in the places of a pattern, each kind in its order.
#[derive(Debug, Clone, Default, PartialEq)]
pub(in crate::typed) struct Found {
    /// Numbers, percents too.
    pub numbers: Vec<Amount>,
    /// Lists and ratios.
    pub lists: Vec<Vec<Amount>>,
    /// Places in an order.
    pub ordinals: Vec<i64>,
    /// Points.
    pub points: Vec<(Amount, Amount)>,
    /// Values of letters.
    pub values: Vec<(String, Amount)>,
    /// What was taken as it was typed.
    pub texts: Vec<String>,
    /// Words that were one of several.
    pub words: Vec<String>,
    /// Words that might be any, as they were typed.
    pub names: Vec<String>,
}

impl Found {
    /// Just these numbers.
    pub(in crate::typed) fn amounts<const N: usize>(&self) -> Option<&[Amount; N]> {
        self.numbers.first_chunk().filter(|_| self.numbers.len() == N)
    }

    /// The first list.
    pub(in crate::typed) fn list(&self) -> Option<&[Amount]> {
        self.lists.first().map(Vec::as_slice)
    }

    /// The first text.
    pub(in crate::typed) fn text(&self) -> Option<&str> {
        self.texts.first().map(String::as_str)
    }

    /// The last word that was one of several.
    pub(in crate::typed) fn word(&self) -> &str {
        self.words.last().map_or("", String::as_str)
    }

    /// Whether one of these was said.
    pub(in crate::typed) fn says(&self, words: &[&str]) -> bool {
        self.words.iter().any(|word| words.contains(&word.as_str()))
    }
}

impl Pattern {
    /// Reads a pattern.
    pub(in crate::typed) fn new(pattern: &str) -> Self {
        let words = |text: &str| text.split('|').map(str::to_owned).collect::<Vec<_>>();
        let place = |part: &str| match part {
            "#" => Place::Number,
            "#%" => Place::Percent,
            "#," => Place::List,
            "#:" => Place::Ratio,
            "#th" => Place::Ordinal,
            "#p" => Place::Point,
            "=," => Place::Values,
            "@" => Place::Anything,
            "_" => Place::AnyWord,
            "_?" => Place::PerhapsAnyWord,
            ".." => Place::AnyWords,
            _ => match part.strip_suffix('?') {
                Some(part) => Place::Perhaps(words(part)),
                None if part.chars().count() == 1 && !part.starts_with(char::is_alphanumeric) => {
                    Place::Sign(part.chars().next().unwrap_or(' '))
                }
                None => Place::Words(words(part)),
            },
        };
        Self(pattern.split_whitespace().map(place).collect())
    }

    /// What stands in its places, when a text is worded so, whatever opens it.
    pub(in crate::typed) fn matched(&self, text: &str, told: &[Token]) -> Option<Found> {
        let mut at = Some(told);
        while let Some(rest) = at {
            if let Some(found) = fits(&self.0, rest, text, Found::default()) {
                return Some(found);
            }
            at = opened(rest);
        }
        None
    }
}

/// What follows an opening.
fn opened(told: &[Token]) -> Option<&[Token]> {
    let told = passed(told);
    OPENINGS.iter().find_map(|opening| {
        let begins = told.get(..opening.len())?;
        let same = begins.iter().zip(*opening).all(|(token, word)| token.word() == Some(word));
        same.then(|| &told[opening.len()..])
    })
}

/// Whether a word joins, so that an "a" before it is a letter: "find a when b = 5".
fn links(token: &Token) -> bool {
    const LINKS: &[&str] =
        &["when", "if", "given", "where", "by", "using", "from", "in", "and", "is"];
    token.word().is_some_and(|word| LINKS.contains(&word))
}

fn is_passed(token: &Token) -> bool {
    match &token.kind {
        Kind::Word(word) => ARTICLES.contains(&word.as_str()),
        Kind::Sign(sign) => {
            matches!(sign, ',' | '.' | '?' | '!' | ';' | ':' | '"' | '“' | '”' | '=' | '…')
        }
        _ => false,
    }
}

/// What follows the articles and marks.
fn passed(told: &[Token]) -> &[Token] {
    let skipped = told.iter().take_while(|token| is_passed(token)).count();
    &told[skipped..]
}

fn fits(places: &[Place], told: &[Token], text: &str, mut found: Found) -> Option<Found> {
    let Some((place, after)) = places.split_first() else {
        return passed(told).is_empty().then_some(found);
    };
    if let Place::Anything = place {
        return anything(after, told, text, &found);
    }
    if let Place::Perhaps(words) = place {
        let rest = passed(told);
        if let [first, rest @ ..] = rest
            && let Some(word) = first.word().filter(|word| words.iter().any(|one| one == word))
        {
            let mut found = found.clone();
            if words.len() > 1 {
                found.words.push(word.to_owned());
            }
            if let Some(found) = fits(after, rest, text, found) {
                return Some(found);
            }
        }
        return fits(after, told, text, found);
    }
    if let Place::PerhapsAnyWord = place {
        let one = std::iter::once(Place::AnyWord).chain(after.iter().cloned()).collect::<Vec<_>>();
        return fits(&one, told, text, found.clone()).or_else(|| fits(after, told, text, found));
    }
    if let Place::AnyWords = place {
        let most = told
            .iter()
            .take_while(|token| !turns(token) && (token.word().is_some() || is_passed(token)))
            .count();
        return (0..=most.min(9)).find_map(|skip| fits(after, &told[skip..], text, found.clone()));
    }
    // An article may be a word that is asked for: `find a`.
    let rest = match place {
        Place::Values => told,
        // An article may be the name of a letter, at the end: "find a".
        Place::AnyWord => match passed(told) {
            // "Make a the subject": two articles, and the first is a letter.
            _ if told.len() > 1
                && told[0].word() == Some("a")
                && (is_passed(&told[1]) || links(&told[1])) =>
            {
                told
            }
            [] => told,
            rest if rest[0].word().is_none() => told,
            rest => rest,
        },
        Place::Sign(_) => {
            let skipped = told.iter().take_while(|t| t.word().is_some() && is_passed(t)).count();
            &told[skipped..]
        }
        _ => passed(told),
    };
    let [first, others @ ..] = rest else { return None };
    match (place, &first.kind) {
        (Place::Words(words), Kind::Word(word)) if words.contains(word) => {
            if words.len() > 1 {
                found.words.push(word.clone());
            }
        }
        (Place::AnyWord, Kind::Word(_)) => found.names.push(text[first.from..first.to].to_owned()),
        (Place::Sign(sign), Kind::Sign(other)) if sign == other => {}
        (Place::Number, Kind::Number(amount)) if !amount.is_percent => {
            found.numbers.push(amount.clone());
        }
        (Place::Number, Kind::Word(word)) if number_word(word).is_some() => {
            found.numbers.push(Amount::of(number_word(word)?));
        }
        (Place::Percent, Kind::Number(amount)) if amount.is_percent => {
            found.numbers.push(amount.clone());
        }
        (Place::Ordinal, Kind::Ordinal(n)) => found.ordinals.push(*n),
        (Place::Point, Kind::Point(point)) => found.points.push((**point).clone()),
        (Place::List, Kind::Number(_)) => {
            let (list, used) = list(rest, |token| {
                token.is_sign(',') || token.is_sign(';') || token.word() == Some("and")
            });
            // Numbers of the list may belong to what comes next.
            for keep in (2..=list.len()).rev() {
                let mut found = found.clone();
                found.lists.push(list[..keep].to_vec());
                if let Some(found) = fits(after, &rest[used[keep - 1]..], text, found) {
                    return Some(found);
                }
            }
            return None;
        }
        (Place::Ratio, Kind::Number(_)) => {
            let (list, used) = list(rest, |token| token.is_sign(':') || token.word() == Some("to"));
            // Between the terms of a ratio stands a sign.
            if list.len() < 2 || used[list.len() - 1] != 2 * list.len() - 1 {
                return None;
            }
            found.lists.push(list.clone());
            return fits(after, &rest[used[list.len() - 1]..], text, found);
        }
        (Place::Values, _) => {
            let (values, used) = values(rest, text);
            if values.is_empty() {
                return None;
            }
            found.values.extend(values);
            return fits(after, &rest[used..], text, found);
        }
        _ => return None,
    }
    fits(after, others, text, found)
}

/// Whether a word may turn the question, so that it is never passed over: "how much is saved", "how much has decayed".
fn turns(token: &Token) -> bool {
    const TURNS: &[&str] = &[
        "save",
        "saved",
        "saves",
        "saving",
        "fall",
        "fell",
        "lost",
        "lose",
        "loss",
        "taken",
        "off",
        "decayed",
        "decay",
        "gone",
        "extra",
        "more",
        "fewer",
        "less",
        "difference",
        "increase",
        "decrease",
        "gain",
        "gained",
        "interest",
        "profit",
        "not",
        "then",
        "again",
        "another",
        "change",
        "rise",
        "reduction",
        "discount",
        "drop",
        "grown",
        "added",
        "used",
    ];
    token.word().is_some_and(|word| TURNS.contains(&word))
}

/// A small whole number by its name.
fn number_word(word: &str) -> Option<Rational> {
    const NAMES: &[&str] = &[
        "zero",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen",
        "twenty",
    ];
    let at = NAMES.iter().position(|name| *name == word)?;
    Some(from_int(i64::try_from(at).ok()?))
}

/// Whatever stands here up to what follows in the pattern, as it was typed.
fn anything(after: &[Place], told: &[Token], text: &str, found: &Found) -> Option<Found> {
    let told = match told {
        [first, rest @ ..] if first.is_sign(':') || first.is_sign(',') => rest,
        _ => told,
    };
    (1..=told.len()).find_map(|length| {
        // Three dots go on, and belong to what they follow.
        let is_dot = |at: usize| told.get(at).is_some_and(|token| token.is_sign('.'));
        if is_dot(length) && (is_dot(length - 1) || is_dot(length + 1)) {
            return None;
        }
        let raw = &text[told[0].from..told[length - 1].to];
        let mut found = found.clone();
        // Three dots go on; one ends.
        let ends = if raw.ends_with("...") {
            raw
        } else {
            raw.trim_end_matches(['.', '?', ',', ';', ':'])
        };
        found.texts.push(ends.trim().to_owned());
        fits(after, &told[length..], text, found)
    })
}

/// Numbers with what parts them, and how many tokens there are up to each.
fn list(told: &[Token], parts: impl Fn(&Token) -> bool) -> (Vec<Amount>, Vec<usize>) {
    let (mut all, mut used) = (Vec::new(), Vec::new());
    let mut at = 0;
    while let Some(Token { kind: Kind::Number(amount), .. }) = told.get(at) {
        all.push(amount.clone());
        at += 1;
        used.push(at);
        while told.get(at).is_some_and(&parts) {
            at += 1;
        }
    }
    (all, used)
}

/// `a = 5, b = 7 and C = 60°`, and how many tokens that is.
fn values(told: &[Token], text: &str) -> (Vec<(String, Amount)>, usize) {
    let mut all = Vec::new();
    let mut at = 0;
    let mut used = 0;
    loop {
        while told.get(at).is_some_and(|t| {
            t.is_sign(',')
                || t.is_sign(';')
                || t.is_sign(':')
                || matches!(t.word(), Some("and" | "angle" | "side"))
        }) {
            at += 1;
        }
        let (Some(name), Some(sign), Some(value)) =
            (told.get(at), told.get(at + 1), told.get(at + 2))
        else {
            break;
        };
        let (Kind::Word(_), Kind::Number(amount)) = (&name.kind, &value.kind) else { break };
        if !(sign.is_sign('=') || sign.word() == Some("is")) {
            break;
        }
        all.push((text[name.from..name.to].to_owned(), amount.clone()));
        at += 3;
        used = at;
    }
    (all, used)
}

/// The tokens of a text that one of the patterns fits.
#[cfg(test)]
fn matched(pattern: &str, text: &str) -> Option<Found> {
    Pattern::new(pattern).matched(text, &super::token::tokens(text))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_task_is_matched_whatever_leads_into_it() {
        for text in [
            "15% of 60",
            "What is 15 % of 60?",
            "  find 15 percent of 60. ",
            "Work out 15% of the 60",
        ] {
            let found = matched("#% of #", text).unwrap_or_else(|| panic!("{text}"));
            let texts: Vec<&str> = found.numbers.iter().map(|told| told.text.as_str()).collect();
            assert_eq!(texts, ["15", "60"], "{text}");
        }
        for text in ["15% off 60", "15 of 60", "", "15% of 60 jars", "1.2.3% of 5"] {
            assert!(matched("#% of #", text).is_none(), "{text}");
        }
    }

    #[test]
    fn each_place_takes_its_kind() {
        let list = |pattern, text| {
            let found = matched(pattern, text).unwrap_or_else(|| panic!("{text}"));
            found.lists.concat().iter().map(|a| a.text.clone()).collect::<Vec<_>>().join(" ")
        };
        assert_eq!(list("mean of #,", "mean of 3, 5, 8 and 12"), "3 5 8 12");
        assert_eq!(list("share # in ratio #:", "Share £60 in the ratio 2 : 3"), "2 3");
        assert_eq!(list("is # in #,", "is 3 in 1, 2, 3"), "1 2 3");
        let found = matched("cosine rule =, find _", "cosine rule a = 5, b = 7, C = 60, find c");
        let found = found.expect("values");
        assert_eq!(found.values[2].0, "C");
        assert_eq!(found.names, ["c"]);
        let found = matched("solve @ by factorising", "solve x^2 + 7x = 0 by factorising");
        assert_eq!(found.expect("mathematics").text(), Some("x^2 + 7x = 0"));
        let found =
            matched("midpoint of #p and #p", "the midpoint of (1,2) and (4,6)").expect("points");
        assert_eq!(found.points[1].0.text, "4");
        assert!(matched("share # in ratio #:", "share 60 in the ratio 2 3").is_none());
    }
}
