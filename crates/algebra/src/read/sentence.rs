//! The numbers and quantities in a sentence: `There are 36 jars, each of 0.5 kg.`

use super::{Options, read_line_with};
use crate::expr::{Expr, Span};
use crate::line::Line;

/// Most words of one quantity: `2 h 15 min`.
const WORDS: usize = 4;

/// Every number in a text with its unit, from left to right, with where it stands (UTF-8 bytes). The words around
/// them say nothing here.
#[must_use]
pub fn quantities_in(text: &str) -> Vec<(Span, Expr)> {
    let words = words(text);
    let options = Options { quantities: true, ..Options::default() };
    let (mut found, mut at) = (Vec::new(), 0);
    while at < words.len() {
        let begins = words[at]
            .text(text)
            .starts_with(|c: char| c.is_ascii_digit() || "$€£½¼¾⅓⅔.-−".contains(c));
        let longest = if begins { WORDS.min(words.len() - at) } else { 0 };
        let quantity = (1..=longest).rev().find_map(|count| {
            let span = words[at].join(words[at + count - 1]);
            let line = read_line_with(span.text(text), options).ok()?.line;
            match line {
                Line::Expression(expr) if expr.symbols().is_empty() => Some((count, span, expr)),
                _ => None,
            }
        });
        match quantity {
            Some((count, span, expr)) => {
                found.push((span, expr));
                at += count;
            }
            None => at += 1,
        }
    }
    found
}

/// The words of a text without the marks around them.
fn words(text: &str) -> Vec<Span> {
    let mut found = Vec::new();
    let mut start = 0;
    for part in text.split_inclusive(char::is_whitespace) {
        let word = part.trim_end_matches(|c: char| c.is_whitespace() || ".,;:!?)”’\"".contains(c));
        let inner = word.trim_start_matches(['(', '“', '‘', '"']);
        if !inner.is_empty() {
            let end = start + word.len();
            found.push(Span::new(end - inner.len(), end));
        }
        start += part.len();
    }
    found
}

impl Span {
    /// The part of the text that it stands for; empty where it does not fit.
    #[must_use]
    pub fn text(self, text: &str) -> &str {
        text.get(self.start..self.end).unwrap_or("")
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn numbers_and_units_are_found_among_words() {
        for (text, expected) in [
            ("There are 36 jars on the stall.",                &["36"][..]),
            ("The hive is 45 cm tall and weighs 12.5 kg.",     &["45 cm", "12.5 kg"]),
            ("A jar costs $3.50, two cost $7.",                &["$3.50", "$7"]),
            ("She walked for 2 h 15 min (at 4 km/h).",         &["2 h + 15 min", "4 km/h"]),
            ("½ of the 1,200 bees came back.",                 &["1/2", "1200"]),
            ("It was −3 °C at 6 o'clock; 15% stayed.",         &["-3 °C", "6", "15%"]),
            ("No number stands here.",                         &[]),
            ("",                                               &[]),
        ] {
            let found = quantities_in(text);
            let written: Vec<String> = found.iter().map(|(_, e)| crate::write::text(e)).collect();
            assert_eq!(written, expected, "{text}");
            assert!(found.iter().all(|(span, _)| !span.text(text).is_empty()));
        }
    }
}
