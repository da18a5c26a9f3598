//! Points, one or several: `(x, y) = (3, 2)`, `(0, 0), (1, 1)`, `(x, y) ∈ {(0, 0), (1, 1)}`.

use super::{Source, T, expr_of, list, split, word};
use crate::line::{Line, Relation};
use crate::read::Note;
use crate::read::error::ReadError;
use crate::read::token::Token;

/// The points that a line names; `None` for any other line, and for a single bare pair, which may be an interval.
pub(super) fn points(
    text: &Source<'_>,
    tokens: &[Token],
    notes: &mut Vec<Note>,
) -> Option<Result<Line, ReadError>> {
    let (names, rest) = named(tokens);
    let (in_braces, rest) = match rest {
        [Token { kind: T::Open('{'), .. }, inside @ .., Token { kind: T::Close('}'), .. }] => {
            (true, inside)
        }
        _ => (false, rest),
    };
    let joins = |token: &Token| {
        matches!(token.kind, T::Comma | T::Semicolon)
            || word(token).is_some_and(|w| matches!(w.as_str(), "or" | "and"))
    };
    let each: Vec<Vec<&[Token]>> =
        split(rest, joins).iter().map(|part| list(part, '(')).collect::<Option<_>>()?;
    let size = names.as_ref().map_or(each[0].len(), Vec::len);
    let are_points = size > 1 && each.iter().all(|point| point.len() == size);
    if !are_points || (names.is_none() && !in_braces && each.len() == 1) {
        return None;
    }
    let mut one = |point: &Vec<&[Token]>| {
        let values = point
            .iter()
            .map(|value| expr_of(text, value, notes))
            .collect::<Result<Vec<_>, ReadError>>()?;
        let Some(names) = &names else { return Ok(Line::Point(values)) };
        let lines = names
            .iter()
            .zip(values)
            .map(|(name, value)| Ok(Line::equation(expr_of(text, name, notes)?, value)));
        Ok(Line::AllOf(lines.collect::<Result<_, ReadError>>()?))
    };
    let lines: Result<Vec<Line>, ReadError> = each.iter().map(&mut one).collect();
    Some(lines.map(|mut lines| match lines.len() {
        1 => lines.swap_remove(0),
        _ => Line::AnyOf(lines),
    }))
}

/// The names of `(x, y) = …` or `(x, y) ∈ …`, and what stands behind them.
fn named(tokens: &[Token]) -> (Option<Vec<&[Token]>>, &[Token]) {
    let is_told = |token: &Token| matches!(token.kind, T::Relation(Relation::Equal) | T::In);
    let names = tokens.iter().position(is_told).and_then(|at| {
        let names = list(&tokens[..at], '(').filter(|names| names.len() > 1)?;
        Some((names, &tokens[at + 1..]))
    });
    names.map_or((None, tokens), |(names, rest)| (Some(names), rest))
}
