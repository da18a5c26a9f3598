//! Splits words into names: known names win over letters, the longest first; what is left is a
//! product of letters. A long run of letters that holds no known name is a word, not mathematics.

use super::Units;
use super::error::{ReadError, ReadErrorKind};
use super::token::{Token, TokenKind};
use crate::expr::{Function, Span};
use crate::unit::Unit;

/// Letters that may stand side by side as a product; a longer run is taken for a word.
const LETTERS_IN_A_ROW: usize = 3;

const GREEK: &[(&str, &str)] =
    &[("alpha", "α"), ("beta", "β"), ("gamma", "γ"), ("theta", "θ"), ("lambda", "λ"), ("phi", "φ")];

/// The function that `name` stands for.
pub(super) fn function_named(name: &str) -> Option<Function> {
    Some(match name {
        "cosec" => Function::Csc,
        "asin" => Function::Arcsin,
        "acos" => Function::Arccos,
        "atan" => Function::Arctan,
        "lg" => Function::Log,
        "arcsc" | "arccosec" => Function::Arccsc,
        "gcd" | "hcf" => Function::Hcf,
        _ => *Function::ALL.iter().find(|function| function.name() == name)?,
    })
}

fn name_token(name: &str) -> Option<TokenKind> {
    Some(match name {
        "sqrt" => TokenKind::Named("sqrt"),
        "cbrt" => TokenKind::Named("cbrt"),
        "root" => TokenKind::Named("root"),
        "abs" => TokenKind::Named("abs"),
        "pi" => TokenKind::Pi,
        "of" => TokenKind::Times,
        "e" => TokenKind::Euler,
        _ => match GREEK.iter().find(|entry| entry.0 == name) {
            Some((_, letter)) => TokenKind::Letter((*letter).to_owned()),
            None => TokenKind::Function(function_named(name)?),
        },
    })
}

/// Replaces every word by the names in it.
///
/// # Errors
/// [`ReadErrorKind::UnknownWord`] for a word that is no product of names and letters.
pub(super) fn split(tokens: &[Token], units: Units) -> Result<Vec<Token>, ReadError> {
    let mut found = Vec::with_capacity(tokens.len());
    for token in tokens {
        let TokenKind::Word(word) = &token.kind else {
            found.push(token.clone());
            continue;
        };
        let may_be_unit = match units {
            Units::None => false,
            Units::UprightWords => token.upright,
            Units::Words => true,
        };
        if may_be_unit
            && (follows_quantity(&found) || is_angle(&found, word))
            && let Some(unit) = Unit::named(word)
        {
            found.push(Token { kind: TokenKind::Unit(unit), ..token.clone() });
            continue;
        }
        if may_be_unit && word == "per" {
            found.push(Token { kind: TokenKind::Over, ..token.clone() });
            continue;
        }
        let names = names_in(word)
            .ok_or_else(|| ReadError::new(ReadErrorKind::UnknownWord(word.clone()), token.span))?;
        // A LaTeX command such as `\sin` is one name, and its span is longer than the name.
        let exact = word.len() == token.span.end - token.span.start;
        for (index, (kind, start, end)) in names.into_iter().enumerate() {
            let span = if exact {
                Span::new(token.span.start + start, token.span.start + end)
            } else {
                token.span
            };
            found.push(Token {
                kind,
                span,
                spaced: token.spaced && index == 0,
                upright: token.upright,
            });
        }
    }
    Ok(found)
}

/// Whether a unit may stand here: behind a number, behind another unit, or under one.
fn follows_quantity(found: &[Token]) -> bool {
    use TokenKind as T;
    let is_unit = |token: Option<&Token>| {
        token.is_some_and(|token| matches!(token.kind, T::Unit(_) | T::Superscript(_)))
    };
    match found.last().map(|token| &token.kind) {
        Some(T::Number(_) | T::VulgarFraction(..) | T::Unit(_)) => true,
        Some(T::Close(')' | '}')) => true,
        // `\frac{90 km}{h}`
        Some(T::Open('{')) => match found {
            [.., before, close, _] => close.kind == T::Close('}') && is_unit(Some(before)),
            _ => false,
        },
        Some(T::Over | T::Times) => found.len() > 1 && is_unit(found.get(found.len() - 2)),
        Some(T::Superscript(_)) => found.len() > 1 && is_unit(found.get(found.len() - 2)),
        _ => false,
    }
}

/// `π rad`
fn is_angle(found: &[Token], word: &str) -> bool {
    word.starts_with("rad") && found.last().is_some_and(|token| token.kind == TokenKind::Pi)
}

/// Whether letters written side by side are read as these letters, and as no name or word.
#[must_use]
pub(crate) fn are_letters(run: &str) -> bool {
    const WORDS: &[&str] =
        &["or", "and", "so", "then", "of", "let", "no", "u", "put", "set", "where"];
    let one = run.chars().count() < 2;
    one || (!WORDS.contains(&run.to_lowercase().as_str())
        && names_in(run).is_some_and(|names| {
            names.iter().all(|(kind, ..)| matches!(kind, TokenKind::Letter(_) | TokenKind::Euler))
        }))
}

fn names_in(word: &str) -> Option<Vec<(TokenKind, usize, usize)>> {
    let mut found = Vec::new();
    let (mut at, mut row) = (0, 0);
    while at < word.len() {
        let rest = &word[at..];
        let longest = rest
            .char_indices()
            .map(|(i, c)| i + c.len_utf8())
            .rev()
            .filter(|&end| end > 1)
            .find_map(|end| name_token(&rest[..end]).map(|kind| (kind, end)));
        if let Some((kind, length)) = longest {
            found.push((kind, at, at + length));
            at += length;
            row = 0;
            continue;
        }
        let letter = rest.chars().next()?;
        if letter == '\'' || letter == '’' {
            return None;
        }
        let kind = match letter {
            'e' => TokenKind::Euler,
            other => TokenKind::Letter(other.to_string()),
        };
        row += 1;
        if row > LETTERS_IN_A_ROW {
            return None;
        }
        found.push((kind, at, at + letter.len_utf8()));
        at += letter.len_utf8();
    }
    Some(found)
}
