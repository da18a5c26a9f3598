//! What a class writes around its mathematics: labels and remarks that are passed over, words that are signs, notes
//! that say how far a number is rounded. What comes out of here are tokens as if the signs had been typed.

mod labels;
mod notes;
mod spoken;

use super::Light;
use super::token::{Token, TokenKind as T};
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

/// Passes over labels and remarks, and puts signs for words.
pub(super) fn settled(tokens: &[Token], light: &Light) -> Settled {
    let has_words = tokens.iter().any(|token| {
        matches!(&token.kind, T::Word(word) if word.len() > 1) || token.kind == T::Stop
    });
    let mut tokens = tokens.to_vec();
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

/// The word that a token is, in small letters.
fn word(token: &Token) -> Option<String> {
    match &token.kind {
        T::Word(word) => Some(word.to_lowercase()),
        _ => None,
    }
}

/// Whether these words stand from `at` on.
fn stand(tokens: &[Token], at: usize, words: &[&str]) -> bool {
    tokens.get(at..at + words.len()).is_some_and(|found| {
        found.iter().zip(words).all(|(token, expected)| matches!(&token.kind, T::Word(w) if w.eq_ignore_ascii_case(expected)))
    })
}
