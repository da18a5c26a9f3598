//! Notes that say how far a number is rounded: `10.4 (1 dp)`, `to 3 s.f.`, `to the nearest 10`.

use super::labels::opening;
use super::{T, Token, word};
use crate::number::{Rational, Rounding, from_int};

/// Takes a note about rounding from the end of a line.
pub(super) fn take_rounding(tokens: &mut Vec<Token>) -> Option<Rounding> {
    while tokens.len() > 1
        && tokens.last().is_some_and(|token| token.kind == T::Stop)
        && !ends_in_short_form(tokens)
    {
        tokens.pop();
    }
    if let Some(Token { kind: T::Close(')' | ']'), .. }) = tokens.last() {
        let open = opening(tokens).filter(|open| *open > 0)?;
        let found = rounding_in(&tokens[open + 1..tokens.len() - 1])?;
        tokens.truncate(open);
        return Some(found);
    }
    // The words at the end that are a note, the longest run of them.
    let least = tokens.len().saturating_sub(9).max(1);
    let at = (least..tokens.len()).find(|at| rounding_in(&tokens[*at..]).is_some())?;
    let found = rounding_in(&tokens[at..]);
    tokens.truncate(at);
    if tokens.last().is_some_and(|token| token.kind == T::Comma) {
        tokens.pop();
    }
    found
}

/// `s.f.` and `d.p.` end in a stop of their own.
fn ends_in_short_form(tokens: &[Token]) -> bool {
    matches!(tokens, [.., before, _] if word(before).is_some_and(|w| w == "f" || w == "p"))
}

/// What a note says, when all of it is one.
pub(super) fn rounding_in(tokens: &[Token]) -> Option<Rounding> {
    let mut rest = tokens;
    for lead in ["rounded", "correct", "accurate", "to", "the"] {
        if let [first, more @ ..] = rest
            && word(first).is_some_and(|w| w == lead)
        {
            rest = more;
        }
    }
    if let [first, more @ ..] = rest
        && word(first).is_some_and(|w| w == "nearest")
    {
        return nearest(more).map(Rounding::Nearest);
    }
    let [count, unit @ ..] = rest else { return None };
    let count: u32 = match &count.kind {
        T::Number(digits) => digits.parse().ok()?,
        T::Word(w) => small_number(&w.to_lowercase())?,
        _ => return None,
    };
    if count > 30 {
        return None;
    }
    let words: Vec<String> =
        unit.iter().filter(|token| token.kind != T::Stop).map(word).collect::<Option<_>>()?;
    let words: Vec<&str> = words.iter().map(String::as_str).collect();
    match &words[..] {
        ["dp" | "dps"]
        | ["d", "p"]
        | ["decimal" | "dec", "place" | "places"]
        | ["places" | "decimals"] => Some(Rounding::Places(count)),
        ["sf" | "sfs" | "sigfig" | "sigfigs"]
        | ["s", "f"]
        | ["sig" | "significant", "fig" | "figs" | "figure" | "figures"]
            if count > 0 =>
        {
            Some(Rounding::Figures(count))
        }
        _ => None,
    }
}

/// `10`, `whole number`, `tenth`, `cm`: one unit of what is rounded to.
fn nearest(tokens: &[Token]) -> Option<Rational> {
    if let [Token { kind: T::Number(digits), .. }, rest @ ..] = tokens
        && rest.len() <= 1
    {
        let value = crate::number::Written::decimal(digits)?.value().clone();
        return (value > from_int(0)).then_some(value);
    }
    let words: Vec<String> = tokens.iter().map(word).collect::<Option<_>>()?;
    let words: Vec<&str> = words.iter().map(String::as_str).collect();
    let power = |n: i64| Some(from_int(n));
    let part = |n: i64| Some(Rational::new(1.into(), n.into()));
    match &words[..] {
        ["whole"] | ["whole", "number"] | ["integer" | "unit" | "one"] => power(1),
        ["ten"] => power(10),
        ["hundred"] => power(100),
        ["thousand"] => power(1000),
        ["million"] => power(1_000_000),
        ["tenth"] => part(10),
        ["hundredth"] | ["cent" | "penny" | "pence"] => part(100),
        ["thousandth"] => part(1000),
        [unit] if crate::unit::Unit::named(unit).is_some() => power(1),
        ["degree"] => power(1),
        _ => None,
    }
}

/// A small number in words.
pub(super) fn small_number(word: &str) -> Option<u32> {
    const WORDS: &[&str] = &[
        "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
        "eleven", "twelve",
    ];
    WORDS.iter().position(|known| *known == word).and_then(|at| u32::try_from(at).ok())
}
