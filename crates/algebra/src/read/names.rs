//! Splits words into names: known names win over letters, the longest first; what is left is a
//! product of letters. A long run of letters that holds no known name is a word, not mathematics.

use super::error::{ReadError, ReadErrorKind};
use super::token::{Token, TokenKind};
use super::vocabulary::{is_joining, is_word};
use super::{Light, Units};
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
pub(super) fn split(
    tokens: &[Token],
    units: Units,
    light: &Light,
) -> Result<Vec<Token>, ReadError> {
    let mut found: Vec<Token> = Vec::with_capacity(tokens.len());
    let has_relation = tokens.iter().any(|token| matches!(token.kind, TokenKind::Relation(_)));
    let mut at = 0;
    while let Some(token) = tokens.get(at) {
        at += 1;
        let TokenKind::Word(word) = &token.kind else {
            found.push(token.clone());
            continue;
        };
        let may_be_unit = match units {
            Units::None => false,
            Units::UprightWords => token.upright,
            Units::Words => true,
        };
        // "5 km in m" asks for a unit: an inch stands right behind its number.
        if word == "in" && matches!(found.last().map(|last| &last.kind), Some(TokenKind::Unit(_))) {
            return Err(ReadError::new(ReadErrorKind::UnknownWord(word.clone()), token.span));
        }
        if may_be_unit
            && (follows_quantity(&found) || is_angle(&found, word))
            && !light.is_letter(word)
            && let Some(unit) = Unit::named(word)
        {
            found.push(Token { kind: TokenKind::Unit(unit), ..token.clone() });
            // `24 cm2`: the power of a unit, typed flat.
            if let Some(Token { kind: TokenKind::Number(power), spaced: false, span, .. }) =
                tokens.get(at)
                && let ("2" | "3", Ok(power)) = (power.as_str(), power.parse())
            {
                let kind = TokenKind::Superscript(power);
                found.push(Token { kind, span: *span, spaced: false, upright: token.upright });
                at += 1;
            }
            continue;
        }
        let is_prefix =
            !matches!(found.last().map(|last| &last.kind), Some(kind) if ends_value(kind));
        // Without a relation words are a sentence, or a part of one.
        if is_prefix
            && has_relation
            && let Some((name, words)) = name_in_words(&tokens[at - 1..])
        {
            let span = token.span.join(tokens[at + words - 2].span);
            found.push(Token { kind: TokenKind::Name(name), span, ..token.clone() });
            at += words - 1;
            continue;
        }
        if may_be_unit && word == "per" {
            found.push(Token { kind: TokenKind::Over, ..token.clone() });
            continue;
        }
        let unknown = || ReadError::new(ReadErrorKind::UnknownWord(word.clone()), token.span);
        let is_english = |word: &str| is_word(word) && function_named(word).is_none();
        // `we` before `garden` is a word too, as `at` is none before `= 6`.
        let before_word = || matches!(tokens.get(at), Some(Token { kind: TokenKind::Word(next), .. }) if is_english(next));
        // `is` where no sign can stand, and `we`, are words still.
        if is_english(word)
            || matches!(word.as_str(), "is" | "we")
            || (word.len() > 1 && word != "of" && is_joining(word) && before_word())
        {
            return Err(unknown());
        }
        // `Tn = 4n - 1`
        if let Some(base) = word.strip_suffix('n')
            && light.is_sequence(base)
        {
            found.push(Token { kind: TokenKind::Letter(format!("{base}_n")), ..token.clone() });
            continue;
        }
        // Capitals side by side name a segment, an angle, a shape: AB, ABC.
        let capitals =
            (2..=4).contains(&word.len()) && word.bytes().all(|b| b.is_ascii_uppercase());
        if capitals && !light.is_product(word) {
            found.push(Token { kind: TokenKind::Name(word.clone()), ..token.clone() });
            continue;
        }
        let names = names_in(word).ok_or_else(unknown)?;
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

fn ends_value(kind: &TokenKind) -> bool {
    use TokenKind as T;
    matches!(
        kind,
        T::Number(_)
            | T::VulgarFraction(..)
            | T::Recurring(..)
            | T::Letter(_)
            | T::Close(_)
            | T::Pi
            | T::Unit(_)
    )
}

/// A quantity's name in words that stand alone between signs: `Area = …`, `length × width`, `number of sweets`. The
/// name, in small letters, and how many words.
fn name_in_words(tokens: &[Token]) -> Option<(String, usize)> {
    use TokenKind as T;
    let mut words = Vec::new();
    for token in tokens {
        match &token.kind {
            T::Word(word)
                if (is_word(word) && function_named(word).is_none())
                    || (is_joining(word) && !words.is_empty()) =>
            {
                words.push(word.to_lowercase());
            }
            _ => break,
        }
    }
    // A name ends as it begins: with a word of its own.
    while words.last().is_some_and(|word| is_joining(word)) {
        words.pop();
    }
    let ends = match tokens.get(words.len()).map(|token| &token.kind) {
        None => true,
        Some(kind) => matches!(
            kind,
            T::Relation(_)
                | T::Plus
                | T::Minus
                | T::Times
                | T::Over
                | T::Power
                | T::Superscript(_)
                | T::Close(_)
                | T::Colon
                | T::Comma
                | T::Semicolon
                | T::Underscore
        ),
    };
    // More than a few words are a sentence, and so is what begins with an article or a question.
    let is_name = (1..=4).contains(&words.len())
        && ends
        && !SENTENCE_WORDS.iter().any(|word| words.iter().any(|w| w == word));
    is_name.then(|| (words.join(" "), words.len()))
}

/// Words that no name of a quantity has.
const SENTENCE_WORDS: &[&str] = &[
    "and",
    "are",
    "but",
    "can",
    "did",
    "does",
    "each",
    "for",
    "from",
    "had",
    "has",
    "have",
    "how",
    "let",
    "not",
    "off",
    "out",
    "that",
    "the",
    "then",
    "there",
    "they",
    "this",
    "twice",
    "was",
    "what",
    "when",
    "where",
    "which",
    "who",
    "why",
    "with",
    "you",
    "true",
    "false",
    "yes",
    "recurring",
    "increased",
    "decreased",
    "squared",
    "cubed",
    "plus",
    "minus",
    "times",
    "divided",
    "equals",
    "none",
    "reals",
    "all",
];

/// Whether a unit may stand here: behind a number, behind another unit, or under one.
fn follows_quantity(found: &[Token]) -> bool {
    use TokenKind as T;
    let is_unit = |token: Option<&Token>| {
        token.is_some_and(|token| matches!(token.kind, T::Unit(_) | T::Superscript(_)))
    };
    let kind = |back: usize| Some(&found.get(found.len().checked_sub(back)?)?.kind);
    // `log_2 m` and `cos^2 m` are of a letter: their numbers count nothing.
    let counts_nothing = matches!(kind(2), Some(T::Underscore))
        || matches!((kind(3), kind(2)), (Some(T::Function(_)), Some(T::Power)));
    match kind(1) {
        Some(T::Number(_)) if counts_nothing => false,
        Some(T::Number(_) | T::VulgarFraction(..) | T::Recurring(..) | T::Unit(_) | T::Pi) => true,
        Some(T::Close(')' | '}')) => true,
        // `\frac{90 km}{h}`, `90 \frac{km}{h}`
        Some(T::Open('{')) => match found {
            [.., number, command, _]
                if command.kind == T::Command("frac") && matches!(number.kind, T::Number(_)) =>
            {
                true
            }
            [.., before, close, _] => close.kind == T::Close('}') && is_unit(Some(before)),
            _ => false,
        },
        // `£ × s` is of a letter: pounds are counted, and nothing is counted in them.
        Some(T::Times) if matches!(kind(2), Some(T::Unit(unit)) if unit.stands_before()) => false,
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
    const WORDS: &[&str] = &[
        "or", "and", "so", "then", "of", "let", "no", "u", "put", "set", "where", "is", "we", "by",
        "dp", "sf",
    ];
    let one = run.chars().count() < 2;
    let capitals = (2..=4).contains(&run.len()) && run.bytes().all(|b| b.is_ascii_uppercase());
    one || (!WORDS.contains(&run.to_lowercase().as_str())
        && !is_word(run)
        && !capitals
        && !super::light::is_unit(run)
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
        // `f'`, `y''`: a letter with its primes, at the end of the run.
        let primes = rest[letter.len_utf8()..].chars().filter(|c| matches!(c, '\'' | '’')).count();
        let behind = &rest[letter.len_utf8()..];
        if (1..=2).contains(&primes) && behind.chars().count() == primes {
            let name = format!("{letter}{}", "'".repeat(primes));
            found.push((TokenKind::Letter(name), at, word.len()));
            break;
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
