//! What a class writes around its mathematics: labels and remarks that are passed over, words that are signs, notes
//! that say how far a number is rounded. What comes out of here are tokens as if the signs had been typed.

mod amounts;
mod labels;
mod notes;
mod spoken;

use super::names::function_named;
use super::token::{Token, TokenKind as T};
use super::{Light, vocabulary};
use crate::number::Rounding;

/// A line without the words around its mathematics.
pub(super) struct Settled {
    /// Its tokens.
    pub tokens: Vec<Token>,
    /// Whether it says that its value is the answer.
    pub answers: bool,
    /// How far its last number is rounded: `(1 dp)`.
    pub rounding: Option<Rounding>,
}

/// Short words that are no product of letters, beside those that join others.
const SHORT: &[&str] = &["dp", "sf", "am", "pm", "ok", "ex", "sq", "cu"];

/// Whether a line says something in words: most lines are signs and letters alone, and are not searched for them.
pub(super) fn has_words(tokens: &[Token]) -> bool {
    tokens.iter().any(|token| match &token.kind {
        T::Stop => true,
        T::Word(word) if word.len() > 2 => {
            word != "sqrt" && (word == "mod" || function_named(word).is_none())
        }
        T::Word(word) if word.len() == 2 => {
            let small = word.bytes().all(|b| b.is_ascii_lowercase());
            word != "or"
                && (!small || SHORT.contains(&word.as_str()) || vocabulary::is_joining(word))
        }
        _ => false,
    })
}

/// Passes over labels and remarks, and puts signs for words.
pub(super) fn settled(mut tokens: Vec<Token>, has_words: bool, light: &Light) -> Settled {
    let (mut rounding, mut answers) = (None, false);
    if has_words
        || tokens.first().is_some_and(|first| first.kind == T::Open('('))
        || tokens.iter().any(|token| matches!(token.kind, T::Bar | T::Colon))
    {
        answers = labels::pass_over(&mut tokens);
        rounding = notes::take_rounding(&mut tokens);
    }
    if light.has_times() {
        spoken::times(&mut tokens);
    }
    spoken::signs_for_words(&mut tokens, has_words, light);
    turned_brackets(&mut tokens);
    implications(&mut tokens);
    Settled { tokens, answers, rounding }
}

/// `]-2, 3]`, `[4, ∞[`: a bracket that is turned away from its interval leaves its end out.
fn turned_brackets(tokens: &mut [Token]) {
    let begins = |before: Option<&Token>| {
        before.is_none_or(|token| matches!(token.kind, T::In | T::Union | T::Relation(_)))
    };
    for at in 0..tokens.len() {
        if tokens[at].kind == T::Close(']') && begins(at.checked_sub(1).and_then(|b| tokens.get(b)))
        {
            tokens[at].kind = T::Open('(');
        }
        let ends = tokens.get(at + 1).is_none_or(|next| next.kind == T::Union);
        if tokens[at].kind == T::Open('[') && ends && at > 0 {
            tokens[at].kind = T::Close(')');
        }
    }
}

/// `2x = 8 ⟹ x = 4` states both, as `2x = 8; x = 4` does. `x = 3 ⟹ x = 4` stays as it is: parted by a semicolon
/// the two would be solutions.
fn implications(tokens: &mut [Token]) {
    let names = |part: &[Token]| matches!(part, [Token { kind: T::Word(name), .. }, Token { kind: T::Relation(_), .. }, ..] if name.chars().count() == 1);
    for at in 1..tokens.len() {
        if tokens[at].kind != T::So {
            continue;
        }
        let (before, after) = (&tokens[..at], &tokens[at + 1..]);
        let begin =
            before.iter().rposition(|t| t.kind == T::Semicolon).map_or(0, |found| found + 1);
        let end = after.iter().position(|t| t.kind == T::So).unwrap_or(after.len());
        let (before, after) = (&before[begin..], &after[..end]);
        let states = |part: &[Token]| part.iter().any(|t| matches!(t.kind, T::Relation(_)));
        if states(before) && states(after) && !(names(before) && names(after)) {
            tokens[at].kind = T::Semicolon;
        }
    }
}

/// Whether a token is a word, in small letters or large.
fn is(token: &Token, word: &str) -> bool {
    matches!(&token.kind, T::Word(found) if found.eq_ignore_ascii_case(word))
}

/// The word that a token is, in small letters.
fn word(token: &Token) -> Option<String> {
    match &token.kind {
        T::Word(word) => Some(word.to_lowercase()),
        _ => None,
    }
}

/// Whether these words stand from `at` on.
fn stand(tokens: &[Token], at: usize, words: &[&str]) -> bool {
    tokens
        .get(at..at + words.len())
        .is_some_and(|found| found.iter().zip(words).all(|(token, expected)| is(token, expected)))
}
