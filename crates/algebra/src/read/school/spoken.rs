//! Words that are signs: `7 plus 8 equals 15`, `3 out of 5`, `200 increased by 15%`, `7 x 8`.

use super::super::Light;
use super::amounts::{changed_by, joined, of_data, shares};
use super::{T, Token, stand, word};
use crate::expr::Span;
use crate::line::Relation;

/// Puts signs for words, from left to right.
pub(super) fn signs_for_words(tokens: &mut Vec<Token>, has_words: bool, light: &Light) {
    times_signs(tokens);
    chosen(tokens);
    if !has_words
        && !tokens.iter().any(|token| matches!(&token.kind, T::Word(w) if w == "r" || w == "R"))
    {
        return;
    }
    let mut at = 0;
    while at < tokens.len() {
        if !matches!(tokens[at].kind, T::Word(_)) || !rewritten(tokens, at, light) {
            at += 1;
        }
    }
}

/// `2:30`, `2:30 pm`: hours and minutes since midnight.
pub(super) fn times(tokens: &mut Vec<Token>) {
    let unit = |name: &str| crate::unit::Unit::named(name).map(T::Unit);
    let (Some(hour), Some(minute)) = (unit("h"), unit("min")) else { return };
    let mut at = 0;
    while at + 2 < tokens.len() {
        let (T::Number(hours), T::Colon, T::Number(minutes)) =
            (&tokens[at].kind, &tokens[at + 1].kind, &tokens[at + 2].kind)
        else {
            at += 1;
            continue;
        };
        let mut hours: u32 = hours.parse().unwrap_or(0);
        let minutes = minutes.clone();
        if minutes.len() != 2 || minutes.parse().is_ok_and(|m: u32| m > 59) {
            at += 1;
            continue;
        }
        let half = tokens.get(at + 3).and_then(word).filter(|w| w == "pm" || w == "am");
        match half.as_deref() {
            Some("pm") if hours < 12 => hours += 12,
            Some("am") if hours == 12 => hours = 0,
            _ => {}
        }
        let kinds = vec![
            T::Open('('),
            T::Number(hours.to_string()),
            hour.clone(),
            T::Plus,
            T::Number(minutes),
            minute.clone(),
            T::Close(')'),
        ];
        put(tokens, at, 3 + usize::from(half.is_some()), kinds);
        at += 7;
    }
}

/// `7 x 8`, `9 X 6`, `2 . 3 . x`: the letter between two numbers, where it stands nowhere else, and a stop with
/// spaces around it multiply.
fn times_signs(tokens: &mut [Token]) {
    let is_x = |token: &Token| matches!(&token.kind, T::Word(w) if w == "x" || w == "X");
    let ends_number = |token: &Token| {
        matches!(
            token.kind,
            T::Number(_)
                | T::VulgarFraction(..)
                | T::Recurring(..)
                | T::Percent
                | T::Degree
                | T::Close(_)
        ) || matches!(&token.kind, T::Word(w) if w.len() > 1 && crate::unit::Unit::named(w).is_some())
    };
    let begins_number = |token: &Token| {
        matches!(
            token.kind,
            T::Number(_) | T::VulgarFraction(..) | T::Recurring(..) | T::Unit(_) | T::Open('(')
        ) || matches!(token.kind, T::Letter(_))
    };
    let holds_letter = |at: usize| -> bool {
        let (before, after) = (at.checked_sub(1).and_then(|b| tokens.get(b)), tokens.get(at + 1));
        // Where brackets stand beside it, or a sign, both sides have to be spaced: `5 x (3 + 2)`, not `2x(3)`.
        let spaced = tokens[at].spaced && after.is_some_and(|next| next.spaced);
        let (Some(before), Some(after)) = (before, after) else { return true };
        let plain = matches!(before.kind, T::Number(_)) && matches!(after.kind, T::Number(_));
        // `3 x2` is three x squared, typed flat.
        let even = tokens[at].spaced == after.spaced;
        !((plain && even) || (spaced && ends_number(before) && begins_number(after)))
    };
    // What stands below a letter is its mark: `g_{2x1}`.
    let is_mark = |at: usize| {
        let open =
            tokens[..at].iter().rposition(|t| matches!(t.kind, T::Open('{') | T::Close('}')));
        open.is_some_and(|open| {
            open > 0 && tokens[open].kind == T::Open('{') && tokens[open - 1].kind == T::Underscore
        })
    };
    let letters: Vec<usize> =
        (0..tokens.len()).filter(|at| is_x(&tokens[*at]) && !is_mark(*at)).collect();
    if !letters.is_empty() && !letters.iter().any(|at| holds_letter(*at)) {
        for at in letters {
            tokens[at].kind = T::Times;
        }
    }
    for at in 1..tokens.len().saturating_sub(1) {
        let stands_between = tokens[at].kind == T::Stop
            && tokens[at].spaced
            && tokens[at + 1].spaced
            && matches!(
                tokens[at - 1].kind,
                T::Number(_) | T::Close(_) | T::Superscript(_) | T::Word(_)
            )
            && matches!(tokens[at + 1].kind, T::Number(_) | T::Open(_) | T::Word(_));
        let words = [at - 1, at + 1]
            .iter()
            .any(|beside| matches!(&tokens[*beside].kind, T::Word(w) if w.chars().count() > 1));
        if stands_between && !words {
            tokens[at].kind = T::Times;
        }
    }
}

/// `8C2`, `8P2`, `^8C_2`, `{}^{8}C_{2}`: how many ways to choose or to arrange.
fn chosen(tokens: &mut Vec<Token>) {
    let mut at = 1;
    while at + 1 < tokens.len() {
        let name = match &tokens[at].kind {
            T::Word(w) if w == "C" => "choose",
            T::Word(w) if w == "P" => "arrange",
            _ => {
                at += 1;
                continue;
            }
        };
        // What stands before it: a number, perhaps in braces, perhaps set high.
        let number = |at: usize| match tokens.get(at) {
            Some(Token { kind: T::Number(digits), .. }) => Some(digits.clone()),
            Some(Token { kind: T::Superscript(n), .. }) => Some(n.to_string()),
            _ => None,
        };
        let braced = |at: usize, forwards: bool| -> Option<(String, usize)> {
            if let Some(digits) = number(at) {
                return Some((digits, 1));
            }
            let (first, last) = if forwards { (at, at + 2) } else { (at.checked_sub(2)?, at) };
            let is_group =
                tokens.get(first)?.kind == T::Open('{') && tokens.get(last)?.kind == T::Close('}');
            is_group.then(|| number(first + 1).map(|digits| (digits, 3)))?
        };
        let under = usize::from(tokens[at + 1].kind == T::Underscore);
        let found = braced(at - 1, false).zip(braced(at + 1 + under, true));
        let Some(((n, before), (k, after))) = found else {
            at += 1;
            continue;
        };
        // `3C 2` and `2 C` are products.
        if under == 0 && tokens[at].spaced != tokens[at + 1].spaced {
            at += 1;
            continue;
        }
        let mut start = at - before;
        if start > 0 && tokens[start - 1].kind == T::Power {
            start -= 1;
            if start > 1
                && tokens[start - 1].kind == T::Close('}')
                && tokens[start - 2].kind == T::Open('{')
            {
                start -= 2;
            }
        }
        let kinds = vec![
            T::Word(name.into()),
            T::Open('('),
            T::Number(n),
            T::Comma,
            T::Number(k),
            T::Close(')'),
        ];
        put(tokens, start, at + 1 + under + after - start, kinds);
        at = start + 6;
    }
}

/// A token in the place of words.
pub(super) fn put(tokens: &mut Vec<Token>, at: usize, words: usize, kinds: Vec<T>) {
    let span =
        tokens[at..at + words].iter().fold(tokens[at].span, |span, token| span.join(token.span));
    let spaced = tokens[at].spaced;
    let new = kinds.into_iter().enumerate().map(|(index, kind)| Token {
        kind,
        span: if index == 0 { span } else { Span::new(span.end, span.end) },
        spaced: spaced || index > 0,
        upright: false,
    });
    tokens.splice(at..at + words, new);
}

/// Words that are one sign each, the longest first.
#[rustfmt::skip]
fn signs() -> &'static [(&'static [&'static str], T)] {
    use Relation::{Approximate, Equal, Greater, GreaterOrEqual, Less, LessOrEqual, NotEqual};
    const SIGNS: &[(&[&str], T)] = &[
        (&["is", "greater", "than", "or", "equal", "to"], T::Relation(GreaterOrEqual)),
        (&["is", "more", "than", "or", "equal", "to"], T::Relation(GreaterOrEqual)),
        (&["is", "less", "than", "or", "equal", "to"], T::Relation(LessOrEqual)),
        (&["greater", "than", "or", "equal", "to"], T::Relation(GreaterOrEqual)),
        (&["less", "than", "or", "equal", "to"], T::Relation(LessOrEqual)),
        (&["is", "not", "less", "than"], T::Relation(GreaterOrEqual)),
        (&["is", "not", "more", "than"], T::Relation(LessOrEqual)),
        (&["is", "no", "more", "than"], T::Relation(LessOrEqual)),
        (&["is", "no", "less", "than"], T::Relation(GreaterOrEqual)),
        (&["is", "not", "equal", "to"], T::Relation(NotEqual)),
        (&["does", "not", "equal"], T::Relation(NotEqual)),
        (&["is", "approximately", "equal", "to"], T::Relation(Approximate)),
        (&["is", "greater", "than"], T::Relation(Greater)),
        (&["is", "bigger", "than"], T::Relation(Greater)),
        (&["is", "more", "than"], T::Relation(Greater)),
        (&["is", "less", "than"], T::Relation(Less)),
        (&["is", "smaller", "than"], T::Relation(Less)),
        (&["greater", "than"], T::Relation(Greater)),
        (&["is", "equal", "to"], T::Relation(Equal)),
        (&["is", "the", "same", "as"], T::Relation(Equal)),
        (&["is", "at", "least"], T::Relation(GreaterOrEqual)),
        (&["is", "at", "most"], T::Relation(LessOrEqual)),
        (&["is", "approximately"], T::Relation(Approximate)),
        (&["is", "about"], T::Relation(Approximate)),
        (&["at", "least"], T::Relation(GreaterOrEqual)),
        (&["at", "most"], T::Relation(LessOrEqual)),
        (&["equal", "to"], T::Relation(Equal)),
        (&["equals"], T::Relation(Equal)),
        (&["makes"], T::Relation(Equal)),
        (&["approximately"], T::Relation(Approximate)),
        (&["multiplied", "by"], T::Times),
        (&["divided", "by"], T::Over),
        (&["times"], T::Times),
        (&["plus"], T::Plus),
        (&["add"], T::Plus),
        (&["minus"], T::Minus),
        (&["subtract"], T::Minus),
        (&["take", "away"], T::Minus),
        (&["negative"], T::Minus),
        (&["to", "the", "power", "of"], T::Power),
        (&["to", "the", "power"], T::Power),
        (&["squared"], T::Superscript(2)),
        (&["cubed"], T::Superscript(3)),
        (&["factorial"], T::Bang),
        (&["per", "cent"], T::Percent),
        (&["percent"], T::Percent),
        (&["degrees"], T::Degree),
        (&["mod"], T::Modulo),
        (&["remainder"], T::Remainder),
        (&["rem"], T::Remainder),
    ];
    SIGNS
}

/// Roots and parts that stand before what they are of.
const BEFORE: &[(&[&str], u32, u32)] = &[
    (&["three", "quarters", "of"], 3, 4),
    (&["three-quarters", "of"], 3, 4),
    (&["two", "thirds", "of"], 2, 3),
    (&["a", "quarter", "of"], 1, 4),
    (&["one", "quarter", "of"], 1, 4),
    (&["a", "third", "of"], 1, 3),
    (&["one", "third", "of"], 1, 3),
    (&["one", "half", "of"], 1, 2),
    (&["a", "half", "of"], 1, 2),
    (&["half", "of"], 1, 2),
    (&["half", "a"], 1, 2),
    (&["half"], 1, 2),
    (&["twice"], 2, 1),
    (&["double"], 2, 1),
    (&["triple"], 3, 1),
];

/// Puts signs for the words that begin at `at`; whether it did.
fn rewritten(tokens: &mut Vec<Token>, at: usize, light: &Light) -> bool {
    let first = word(&tokens[at]).unwrap_or_default();
    let behind_value =
        at.checked_sub(1).and_then(|before| tokens.get(before)).is_some_and(ends_value);
    if matches!(first.as_str(), "r") {
        return remainder(tokens, at);
    }
    // `8 sq cm`, `5 cubic metres`
    let power = match first.as_str() {
        "sq" | "square" => Some(2),
        "cu" | "cubic" => Some(3),
        _ => None,
    };
    let before = at.checked_sub(1).and_then(|before| tokens.get(before));
    let behind_number = before
        .is_some_and(|t| matches!(t.kind, T::Number(_) | T::VulgarFraction(..) | T::Close(_)));
    if let (Some(power), true) = (power, behind_number)
        && let Some(unit) = tokens.get(at + 1)
        && word(unit).is_some_and(|name| crate::unit::Unit::named(&name).is_some())
    {
        let span = tokens[at].span;
        tokens.remove(at);
        let raised = Token { kind: T::Superscript(power), span, spaced: false, upright: false };
        tokens.insert(at + 1, raised);
        return true;
    }
    if matches!(first.as_str(), "the" | "a") && drops_article(tokens, at) {
        tokens.remove(at);
        return true;
    }
    if first == "angle" && tokens.get(at + 1).is_some_and(is_letter) && !behind_value {
        tokens.remove(at);
        return true;
    }
    if first == "bearing"
        && matches!(tokens.get(at + 1), Some(Token { kind: T::Number(_), .. }))
        && !behind_value
    {
        // A bearing is told in degrees, with or without their sign.
        if tokens.get(at + 2).is_some_and(|token| token.kind == T::Degree) {
            tokens.remove(at + 2);
        }
        tokens.remove(at);
        return true;
    }
    // `y = 2x + 1 when x = 3`
    let gives = |at: usize| {
        tokens.get(at).is_some_and(is_letter)
            && matches!(tokens.get(at + 1), Some(Token { kind: T::Relation(Relation::Equal), .. }))
    };
    if matches!(first.as_str(), "when" | "where" | "if" | "given" | "with")
        && at > 0
        && gives(at + 1)
    {
        tokens[at].kind = T::Comma;
        return true;
    }
    // `2 and 3/4`
    if first == "and" && behind_value && number(tokens.get(at - 1)) {
        let is_fraction = number(tokens.get(at + 1))
            && tokens.get(at + 2).is_some_and(|t| t.kind == T::Over && !t.spaced)
            && number(tokens.get(at + 3));
        if is_fraction {
            tokens.remove(at);
            return true;
        }
    }
    if (shares(tokens, at, behind_value, light))
        || changed_by(tokens, at, behind_value)
        || joined(tokens, at)
        || of_data(tokens, at)
    {
        return true;
    }
    for (words, index) in [(&["square", "root", "of"], 2), (&["cube", "root", "of"], 3)] {
        if stand(tokens, at, words) {
            put(tokens, at, 3, vec![T::Root(index)]);
            return true;
        }
    }
    if stand(tokens, at, &["log", "base"])
        && matches!(tokens.get(at + 2), Some(Token { kind: T::Number(_), .. }))
    {
        tokens[at + 1].kind = T::Underscore;
        if stand(tokens, at + 3, &["of"]) {
            tokens.remove(at + 3);
        }
        return true;
    }
    // `sin of 30°`
    if super::super::names::function_named(&first).is_some() && stand(tokens, at + 1, &["of"]) {
        tokens.remove(at + 1);
        return false;
    }
    if let Some((words, above, below)) = BEFORE.iter().find(|(words, ..)| stand(tokens, at, words))
        && tokens.get(at + words.len()).is_some_and(begins_value)
        && !behind_value
    {
        let mut kinds = vec![T::Number(above.to_string())];
        if *below > 1 {
            kinds.extend([T::Over, T::Number(below.to_string())]);
        }
        kinds.push(T::Times);
        put(tokens, at, words.len(), kinds);
        return true;
    }
    let scale = match first.as_str() {
        "dozen" => "12",
        "hundred" => "100",
        "thousand" => "1000",
        "million" => "1000000",
        "billion" => "1000000000",
        _ => "",
    };
    if !scale.is_empty() && behind_value {
        put(tokens, at, 1, vec![T::Times, T::Number(scale.into())]);
        return true;
    }
    let sign = signs().iter().find(|(words, _)| stand(tokens, at, words));
    if let Some((words, kind)) = sign {
        let (words, kind) = (words.len(), kind.clone());
        let is_prefix = matches!(kind, T::Minus);
        let follows = tokens.get(at + words);
        let is_postfix = matches!(kind, T::Superscript(_) | T::Percent | T::Degree | T::Bang);
        // `times = 3`: a name.
        let stands = if is_postfix {
            behind_value
        } else {
            follows.is_some_and(begins_value) && (behind_value || is_prefix)
        };
        if stands {
            put(tokens, at, words, vec![kind]);
            return true;
        }
    }
    // `4 times 5 is 20`, `speed is 60`
    let stands_between = (behind_value || at > 0 && matches!(tokens[at - 1].kind, T::Word(_)))
        && tokens.get(at + 1).is_some_and(begins_value);
    if first == "is" && stands_between && !tokens.iter().any(|t| matches!(t.kind, T::Relation(_))) {
        put(tokens, at, 1, vec![T::Relation(Relation::Equal)]);
        return true;
    }
    false
}

/// A number in any writing.
pub(super) fn is_number(token: &Token) -> bool {
    matches!(token.kind, T::Number(_) | T::VulgarFraction(..) | T::Recurring(..) | T::Based(..))
}

fn ends_value(token: &Token) -> bool {
    is_number(token)
        || matches!(
            token.kind,
            T::Close(_)
                | T::Pi
                | T::Superscript(_)
                | T::Percent
                | T::Degree
                | T::Bang
                | T::Letter(_)
                | T::Unit(_)
        )
        || matches!(&token.kind, T::Word(w) if w.chars().count() == 1 || super::super::names::are_letters(w) || crate::unit::Unit::named(w).is_some())
        || matches!(&token.kind, T::Word(w) if super::super::vocabulary::is_word(w))
}

pub(super) fn begins_value(token: &Token) -> bool {
    is_number(token)
        || matches!(
            token.kind,
            T::Open(_)
                | T::Pi
                | T::Root(_)
                | T::Minus
                | T::Word(_)
                | T::Letter(_)
                | T::Unit(_)
                | T::Command(_)
        )
}

fn is_letter(token: &Token) -> bool {
    matches!(&token.kind, T::Word(w) if w.chars().count() == 1)
}

pub(super) fn number(token: Option<&Token>) -> bool {
    matches!(token, Some(Token { kind: T::Number(_), .. }))
}

/// `3 r 2`, `7 R 1`: between two whole numbers, and not as a factor.
fn remainder(tokens: &mut [Token], at: usize) -> bool {
    let stands = at > 0 && number(tokens.get(at - 1)) && number(tokens.get(at + 1));
    // `2r2` is no remainder without a space before it.
    if stands && tokens[at].spaced {
        tokens[at].kind = T::Remainder;
    }
    stands && tokens[at].kind == T::Remainder
}

/// `the square root of`, `the sum of`: the article says nothing there.
fn drops_article(tokens: &[Token], at: usize) -> bool {
    let next = tokens.get(at + 1).and_then(word).unwrap_or_default();
    matches!(
        next.as_str(),
        "square"
            | "cube"
            | "sum"
            | "product"
            | "difference"
            | "quotient"
            | "mean"
            | "median"
            | "mode"
            | "range"
    )
}
