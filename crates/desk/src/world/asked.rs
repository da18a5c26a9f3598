//! What a problem asks for: its value, the units that it may be told in, and what its words count; and the one value
//! that a text tells.

use super::typed::plain;
use super::{quantity, sentence};
use algebra::step::exact_value;
use algebra::{Expr, ExprKind, Line, Options, read_line_with};
use skills::ladder::Rung;

/// Words in a problem that ask for a length, an area, a volume.
const LENGTHS: &[&str] = &[
    "long",
    "length",
    "perimeter",
    "wide",
    "width",
    "high",
    "height",
    "radius",
    "diameter",
    "circumference",
    "far",
    "distance",
    "deep",
    "side",
    "hypotenuse",
    "leg",
    "base",
    "tall",
];

/// The one value that a text tells, alone, behind a name, or in a sentence, with the words behind it.
pub(super) fn one_value(text: &str) -> Option<(Expr, &str)> {
    let (text, _) = without_label(text);
    let text = text.trim().trim_start_matches('=').trim();
    let found = quantity::told(text);
    let (value, unit) = match found.value.rsplit_once(['=', '≈']) {
        Some((name, value)) if name.trim().chars().all(char::is_alphabetic) => (value, found.unit),
        Some(_) => return None,
        None => (found.value, found.unit),
    };
    if let Some(value) = number_in(value).filter(|value| value.as_plain_number().is_some()) {
        let is_unit = unit.is_empty() || !(sentence::says_no_unit(unit) || sentence::turns(unit));
        return is_unit.then_some((value, unit));
    }
    match &sentence::numbers(text)[..] {
        [only] if sentence::is_one(text) && !sentence::turns(text) => {
            let unit = if sentence::says_no_unit(only.behind) { "" } else { only.behind };
            Some((number_in(only.text)?, unit))
        }
        _ => None,
    }
}

/// `Answer: 63`, `ans = 63`, `cost: 3 × 4.50`: what stands before a colon is no mathematics.
pub(super) fn without_label(text: &str) -> (&str, bool) {
    let text = text.trim();
    let cut = text.find([':', '=', '≈']);
    let Some((label, rest)) = cut.map(|at| text.split_at(at)) else { return (text, false) };
    let label = label.trim();
    let is_words =
        label.chars().all(|c| c.is_alphabetic() || c == ' ') && label.chars().count() > 1;
    let says_answer = ["answer", "ans", "solution", "result"]
        .iter()
        .any(|word| label.to_lowercase().ends_with(word));
    if is_words && (rest.starts_with(':') || says_answer) {
        return (rest.trim_start_matches([':', '=', '≈', ' ']), true);
    }
    (text, false)
}

/// Whether a word before `=` or `:` says that the answer follows.
pub(super) fn is_label_word(word: &str) -> bool {
    ["answer", "ans", "solution", "result", "total"].contains(&word.to_lowercase().as_str())
}

/// The sentence of a prompt that asks.
pub(super) fn question(prompt: &str) -> String {
    let prompt = plain(prompt);
    let asks = |part: &&str| part.contains('?');
    let mut parts: Vec<&str> = prompt.split_inclusive(['?', '!']).collect();
    parts = parts.into_iter().flat_map(|part| part.split_inclusive(". ")).collect();
    let found = parts.iter().copied().rfind(asks).or_else(|| parts.last().copied());
    found.unwrap_or(&prompt).to_owned()
}

/// The value that is asked for, where it is one number.
pub(super) fn asked(rung: &Rung) -> Option<Expr> {
    let read = |text: &str| match read_line_with(text, Options::default()).ok()?.line {
        Line::Expression(value) | Line::Rounded(value) => Some(value),
        line => line.as_equation().map(|(_, value)| value.clone()),
    };
    // `56 mm`: the number alone is the value; its unit is asked for beside it.
    let is_money = rung.answer.value.starts_with(['$', '£', '€']);
    let is_bare = |value: &Expr| {
        let has_unit = !is_money && value.any(&mut |part| matches!(part.kind, ExprKind::Unit(_)));
        value.symbols().is_empty() && !has_unit
    };
    let value = read(&rung.answer.value).filter(is_bare);
    value.or_else(|| quantity_value(rung))
}

/// The number of an answer that is written with its unit: `1.25 kg`.
fn quantity_value(rung: &Rung) -> Option<Expr> {
    let told = quantity::told(&rung.answer.value);
    (!told.unit.is_empty()).then(|| number_in(told.value)).flatten()
}

/// A number as it stands in a text.
pub(super) fn number_in(text: &str) -> Option<Expr> {
    let options = Options { quantities: text.contains(['$', '£', '€']), ..Options::default() };
    match read_line_with(text, options).ok()?.line {
        Line::Expression(value) | Line::Rounded(value) if value.symbols().is_empty() => {
            Some(match value.kind {
                // `$4.50` in a sentence is 4.50.
                ExprKind::Multiply(number, unit) if matches!(unit.kind, ExprKind::Unit(_)) => {
                    *number
                }
                _ => value,
            })
        }
        _ => None,
    }
}

/// The units that the answer may be told in: that of the key, or the one that the question names.
pub(super) fn units(rung: &Rung) -> Vec<String> {
    let unit = rung.answer.unit.iter().filter(|unit| unit.as_str() != "%");
    let mut found: Vec<String> = unit.cloned().collect();
    let told = quantity::told(&rung.answer.value);
    if found.is_empty() && !told.unit.is_empty() && quantity::measured("1", told.unit).is_some() {
        found.push(told.unit.to_owned());
    }
    // The key's own sentence: "Both need 49/30 kg."
    if found.is_empty() {
        let value = asked(rung).as_ref().and_then(exact_value);
        for number in sentence::numbers(&plain(&rung.answer.text)) {
            let is_it = number_in(number.text)
                .as_ref()
                .and_then(exact_value)
                .is_some_and(|v| Some(v) == value);
            if is_it && !sentence::says_no_unit(number.behind) {
                found.extend(number.behind.split_whitespace().next().map(str::to_owned));
            }
        }
    }
    if !found.is_empty() {
        return found;
    }
    let prompt = plain(&rung.prompt);
    // "How long is it in cm?"
    let all: Vec<&str> =
        prompt.split_whitespace().map(|word| word.trim_matches(['?', '.', ',', ':'])).collect();
    for pair in all.windows(2) {
        if pair[0] == "in" && quantity::measured("1", pair[1]).is_some() {
            found.push(pair[1].to_owned());
        }
    }
    if !found.is_empty() {
        return found;
    }
    // "A wall is 7 dm by 11 dm. What is its area?"
    let mut lengths: Vec<String> = Vec::new();
    for number in sentence::numbers(&prompt) {
        let Some(first) = number.behind.split_whitespace().next() else { continue };
        let first = first.trim_matches(['?', '.', ',']);
        if quantity::is_same(first, first)
            && quantity::measured("1", first).is_some()
            && !lengths.iter().any(|l| l == first)
        {
            lengths.push(first.to_owned());
        }
    }
    let question: Vec<String> = sentence::words(&prompt).collect();
    let asks = |word: &str| question.iter().any(|found| found == word);
    if let [only] = &lengths[..] {
        if asks("area") {
            found.push(format!("{only}^2"));
        } else if asks("volume") {
            found.push(format!("{only}^3"));
        } else if LENGTHS.iter().any(|word| asks(word)) {
            found.push(only.clone());
        }
    }
    found
}

/// What the problem counts: the words behind its numbers and behind "how many".
pub(super) fn nouns(rung: &Rung) -> Vec<String> {
    let prompt = plain(&rung.prompt);
    let mut found: Vec<String> = rung.answer.unit.iter().cloned().collect();
    let mut take = |word: Option<&str>| {
        let word = word.unwrap_or("").trim_matches(['?', '.', ',', ':', ';']);
        if word.chars().count() > 2
            && !sentence::says_no_unit(word)
            && word.chars().all(char::is_alphabetic)
        {
            found.push(word.to_owned());
        }
    };
    for number in sentence::numbers(&prompt) {
        let mut behind = number.behind.split_whitespace();
        take(behind.next());
        take(behind.next());
    }
    for rest in prompt.split("ow many ").skip(1) {
        take(rest.split_whitespace().next());
    }
    found
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_sentence_that_asks_is_found() {
        for (prompt, asked) in [
            (
                "Leo and Rui share 33 frames. How many frames does Leo get?",
                "How many frames does Leo get?",
            ),
            ("Find $n$.", "Find  n ."),
            ("A wall is 3.5 m long. How long is it in cm? Say why.", " How long is it in cm?"),
        ] {
            assert_eq!(question(prompt).trim(), asked.trim(), "{prompt}");
        }
    }

    #[test]
    fn one_value_is_told_alone_behind_a_name_or_in_a_sentence() {
        let told = |text: &'static str| {
            one_value(text).map(|(value, unit)| (algebra::write::text(&value), unit))
        };
        for (text, value, unit) in [
            ("36 jars", "36", "jars"),
            ("A = 63", "63", ""),
            ("total: 12", "12", ""),
            ("It is 99 m².", "99", "m²"),
        ] {
            assert_eq!(told(text), Some((value.to_owned(), unit)), "{text}");
        }
        for text in ["3 + 4", "12 and 13", "x", "not 5"] {
            assert_eq!(told(text), None, "{text}");
        }
    }
}
