//! A task by its words and its numbers, their order aside: for what is told in so many ways that no wording holds them all.

use super::{Amount, Found, Kind, Token};

/// The words and the numbers of a task.
#[derive(Debug, Clone)]
pub(in crate::typed) struct Loose<'a> {
    /// Its tokens.
    pub told: &'a [Token],
    /// Its words.
    pub words: Vec<&'a str>,
    /// Its numbers, each with its place among the tokens.
    pub numbers: Vec<(usize, &'a Amount)>,
}

impl<'a> Loose<'a> {
    /// `None` where there is more than words, numbers and the marks of a sentence.
    pub(in crate::typed) fn of(told: &'a [Token]) -> Option<Self> {
        let is_plain = |token: &Token| match &token.kind {
            Kind::Ordinal(_) | Kind::Point(_) => false,
            Kind::Sign(sign) => matches!(
                sign,
                ',' | '.' | ':' | ';' | '?' | '!' | '=' | '\'' | '-' | '(' | ')' | '"'
            ),
            Kind::Number(_) | Kind::Word(_) => true,
        };
        let number = |(at, token): (usize, &'a Token)| match &token.kind {
            Kind::Number(amount) => Some((at, amount)),
            _ => None,
        };
        told.iter().all(is_plain).then(|| Self {
            told,
            words: told.iter().filter_map(Token::word).collect(),
            numbers: told.iter().enumerate().filter_map(number).collect(),
        })
    }

    /// Whether one of these words stands in it.
    pub(in crate::typed) fn says(&self, words: &[&str]) -> bool {
        self.words.iter().any(|word| words.contains(word))
    }

    /// Whether these words stand in it, one behind the other.
    pub(in crate::typed) fn says_in_order(&self, words: &[&str]) -> bool {
        self.words.windows(words.len()).any(|found| found == words)
    }

    /// The word at a place.
    pub(in crate::typed) fn word(&self, at: usize) -> Option<&'a str> {
        self.told.get(at).and_then(Token::word)
    }

    /// What the number at a place counts, without the end of a plural; empty where no word follows it.
    pub(in crate::typed) fn noun(&self, at: usize) -> &'a str {
        self.word(at + 1).unwrap_or("").trim_end_matches('s')
    }

    /// Whether one of these words stands among the three tokens before a place.
    pub(in crate::typed) fn is_behind(&self, at: usize, words: &[&str]) -> bool {
        (at.saturating_sub(3)..at).filter_map(|at| self.word(at)).any(|word| words.contains(&word))
    }

    /// Its numbers alone, as a wording would find them.
    pub(in crate::typed) fn found(&self) -> Found {
        Found {
            numbers: self.numbers.iter().map(|(_, amount)| (*amount).clone()).collect(),
            ..Found::default()
        }
    }

    /// These numbers, as a wording would find them.
    pub(in crate::typed) fn of_numbers(numbers: &[&Amount]) -> Found {
        Found {
            numbers: numbers.iter().map(|amount| (*amount).clone()).collect(),
            ..Found::default()
        }
    }
}
