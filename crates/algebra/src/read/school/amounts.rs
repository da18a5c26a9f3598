//! Words between amounts: `3 out of 5`, `25% off $80`, `200 increased by 15%`, `the mean of 3, 5 and 8`.

use super::super::Light;
use super::spoken::{begins_value, number, put};
use super::{T, Token, stand, word};
use crate::expr::Span;
use crate::line::Relation;

/// `3 out of 5`, `1 in 4`, `2 to 3`, `1 is to 2`.
pub(super) fn shares(
    tokens: &mut Vec<Token>,
    at: usize,
    behind_value: bool,
    light: &Light,
) -> bool {
    if !behind_value {
        return false;
    }
    if stand(tokens, at, &["out", "of"]) && tokens.get(at + 2).is_some_and(begins_value) {
        put(tokens, at, 2, vec![T::Over]);
        return true;
    }
    if stand(tokens, at, &["is", "to"]) && tokens.get(at + 2).is_some_and(begins_value) {
        put(tokens, at, 2, vec![T::Colon]);
        return true;
    }
    let is_ratio = |token: &Token| token.kind == T::Colon;
    if stand(tokens, at, &["as"]) && tokens[..at].iter().any(is_ratio) {
        put(tokens, at, 1, vec![T::Relation(Relation::Equal)]);
        return true;
    }
    let between = at > 0 && number(tokens.get(at - 1)) && number(tokens.get(at + 1));
    if stand(tokens, at, &["in"]) && between && !light.has_units() {
        put(tokens, at, 1, vec![T::Over]);
        return true;
    }
    // `120 km in 2 hours`, `150 km per 2 h`
    let behind_unit =
        matches!(&tokens[at - 1].kind, T::Word(w) if crate::unit::Unit::named(w).is_some());
    let behind_amount = at > 1 && matches!(tokens[at - 2].kind, T::Unit(_));
    let shares = (stand(tokens, at, &["in"]) && behind_unit)
        || (stand(tokens, at, &["for"]) && behind_amount);
    if shares && number(tokens.get(at + 1)) {
        // All that follows is what it is shared among: `2 hours` is one thing below the line.
        put(tokens, at, 1, vec![T::Over, T::Open('(')]);
        let end = Span::new(tokens[tokens.len() - 1].span.end, tokens[tokens.len() - 1].span.end);
        let relation = tokens.iter().skip(at).position(|t| matches!(t.kind, T::Relation(_)));
        let close = Token { kind: T::Close(')'), span: end, spaced: false, upright: false };
        tokens.insert(relation.map_or(tokens.len(), |n| at + n), close);
        return true;
    }
    if stand(tokens, at, &["to"]) && between {
        put(tokens, at, 1, vec![T::Colon]);
        return true;
    }
    false
}

/// `200 increased by 15%`, `25% off $80`, `15% more than 60`.
pub(super) fn changed_by(tokens: &mut Vec<Token>, at: usize, behind_value: bool) -> bool {
    let way = |w: &str| match w {
        "increased" | "raised" => Some(T::Plus),
        "decreased" | "reduced" => Some(T::Minus),
        _ => None,
    };
    let first = word(&tokens[at]).unwrap_or_default();
    if let Some(sign) = way(&first)
        && behind_value
        && stand(tokens, at + 1, &["by"])
    {
        let by_percent = number(tokens.get(at + 2))
            && tokens.get(at + 3).is_some_and(|token| {
                token.kind == T::Percent || word(token).is_some_and(|w| w == "percent")
            });
        if by_percent {
            let digits = tokens[at + 2].kind.clone();
            put(
                tokens,
                at,
                4,
                vec![
                    T::Times,
                    T::Open('('),
                    T::Number("1".into()),
                    sign,
                    digits,
                    T::Percent,
                    T::Close(')'),
                ],
            );
        } else {
            put(tokens, at, 2, vec![sign]);
        }
        return true;
    }
    // `25% off 80`: (1 - 25%) × 80
    let percent = at >= 2 && tokens[at - 1].kind == T::Percent && number(tokens.get(at - 2));
    let sign = if stand(tokens, at, &["off"]) {
        Some((T::Minus, 1))
    } else if stand(tokens, at, &["less", "than"]) {
        Some((T::Minus, 2))
    } else if stand(tokens, at, &["more", "than"]) {
        Some((T::Plus, 2))
    } else {
        None
    };
    if let (Some((sign, words)), true) = (sign, percent)
        && tokens.get(at + words).is_some_and(begins_value)
    {
        let digits = tokens[at - 2].kind.clone();
        put(
            tokens,
            at - 2,
            2 + words,
            vec![
                T::Open('('),
                T::Number("1".into()),
                sign,
                digits,
                T::Percent,
                T::Close(')'),
                T::Times,
            ],
        );
        return true;
    }
    false
}

/// `mean of 3, 5, 8`, `median of`, `range of`, `mode of` some numbers.
pub(super) fn of_data(tokens: &mut Vec<Token>, at: usize) -> bool {
    let first = word(&tokens[at]).unwrap_or_default();
    let is_one = matches!(first.as_str(), "mean" | "average" | "median" | "range" | "mode");
    if !is_one || !stand(tokens, at + 1, &["of"]) {
        return false;
    }
    let parts_data = |t: &Token| t.kind == T::Comma || word(t).is_some_and(|w| w == "and");
    let rest = &tokens[at + 2..];
    let count = rest.iter().take_while(|t| matches!(t.kind, T::Number(_)) || parts_data(t)).count();
    let mut values = Vec::new();
    for token in &rest[..count] {
        if let T::Number(digits) = &token.kind
            && let Some(written) = crate::number::Written::decimal(digits)
        {
            values.push((written.value().clone(), digits.clone()));
        }
    }
    if !(2..=50).contains(&values.len()) {
        return false;
    }
    values.sort();
    let number = |n: usize| T::Number(values[n].1.clone());
    let shared = |parts: Vec<T>, below: usize| {
        let mut kinds = vec![T::Open('(')];
        kinds.extend(parts);
        kinds.extend([T::Close(')'), T::Over, T::Number(below.to_string())]);
        kinds
    };
    let middle = values.len() / 2;
    let kinds = match first.as_str() {
        "mean" | "average" => {
            let mut parts = vec![number(0)];
            for n in 1..values.len() {
                parts.extend([T::Plus, number(n)]);
            }
            shared(parts, values.len())
        }
        "range" => vec![T::Open('('), number(values.len() - 1), T::Minus, number(0), T::Close(')')],
        "median" if values.len() % 2 == 1 => vec![number(middle)],
        "median" => shared(vec![number(middle - 1), T::Plus, number(middle)], 2),
        _ => {
            // The one that comes most often, if there is one.
            let often = |n: usize| values.iter().filter(|(value, _)| *value == values[n].0).count();
            let most = (0..values.len()).map(often).max().unwrap_or(1);
            let found: Vec<usize> = (0..values.len()).filter(|n| often(*n) == most).collect();
            if most < 2 || found.len() != most {
                return false;
            }
            vec![number(found[0])]
        }
    };
    put(tokens, at, 2 + count, kinds);
    true
}

/// `the sum of 3 and 4`, `the product of 5 and 6`, `the difference between 9 and 4`.
pub(super) fn joined(tokens: &mut Vec<Token>, at: usize) -> bool {
    let first = word(&tokens[at]).unwrap_or_default();
    let sign = match first.as_str() {
        "sum" => T::Plus,
        "product" => T::Times,
        "difference" => T::Minus,
        "quotient" => T::Over,
        _ => return false,
    };
    if !(stand(tokens, at + 1, &["of"]) || stand(tokens, at + 1, &["between"])) {
        return false;
    }
    let end = tokens[at..]
        .iter()
        .position(|token| {
            matches!(token.kind, T::Relation(_)) || word(token).is_some_and(|w| w == "is")
        })
        .map_or(tokens.len(), |n| at + n);
    let ands: Vec<usize> = (at + 2..end).filter(|n| stand(tokens, *n, &["and"])).collect();
    let parted = !ands.is_empty() && ands.iter().all(|n| *n > at + 2 && *n + 1 < end);
    if !parted || (ands.len() > 1 && !matches!(sign, T::Plus | T::Times)) {
        return false;
    }
    for n in ands {
        tokens[n].kind = sign.clone();
    }
    for token in &mut tokens[at + 2..end] {
        // `the sum of 3, 4 and 5`
        if token.kind == T::Comma {
            token.kind = sign.clone();
        }
    }
    let close = Span::new(tokens[end - 1].span.end, tokens[end - 1].span.end);
    tokens.insert(end, Token { kind: T::Close(')'), span: close, spaced: false, upright: false });
    put(tokens, at, 2, vec![T::Open('(')]);
    true
}
