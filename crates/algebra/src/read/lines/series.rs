//! Sums with dots, `1 + 2 + 3 + … + 100`, and with a sign, `Σ`, as what they come to.

use super::{Source, T, expr_of};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Relation;
use crate::normal::{Normaliser, Values};
use crate::number::{Rational, from_int};
use crate::read::Note;
use crate::read::token::Token;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Most terms of a sum that is written out.
const TERMS: i64 = 100;
/// Most numbers, letters and signs in all of them.
const NODES: i64 = 1_000;

/// The tokens of a line with each sum as one of them; `None` when there are none.
pub(super) fn summed(
    text: &Source<'_>,
    tokens: &[Token],
    notes: &mut Vec<Note>,
) -> Option<Vec<Token>> {
    if tokens.iter().any(|token| token.kind == T::Sum) {
        return with_signs(text, tokens, notes);
    }
    if !tokens.iter().any(|token| token.kind == T::Dots) {
        return None;
    }
    let mut found = Vec::new();
    let mut changed = false;
    for part in tokens.split_inclusive(|token| matches!(token.kind, T::Relation(_))) {
        let (side, relation) = match part {
            [side @ .., last] if matches!(last.kind, T::Relation(_)) => (side, Some(last)),
            side => (side, None),
        };
        match dotted(text, side, notes) {
            Some(sum) => {
                changed = true;
                found.push(made(sum, side));
            }
            None => found.extend_from_slice(side),
        }
        found.extend(relation.cloned());
    }
    changed.then_some(found)
}

/// An expression in the place of the tokens that it was made from.
fn made(value: Expr, from: &[Token]) -> Token {
    let span = from.iter().fold(from[0].span, |span, token| span.join(token.span));
    Token {
        kind: T::Made(Box::new(Expr::at(value.kind, span))),
        span,
        spaced: from[0].spaced,
        upright: false,
    }
}

/// `1 + 2 + 3 + … + 100`, `1 + 1/2 + 1/4 + …`: terms with equal differences, or equal quotients.
fn dotted(text: &Source<'_>, side: &[Token], notes: &mut Vec<Note>) -> Option<Expr> {
    let at = side.iter().position(|token| token.kind == T::Dots)?;
    let terms = super::split(&side[..at], |token| token.kind == T::Plus);
    let [terms @ .., []] = &terms[..] else { return None };
    if terms.len() < 2 || terms.iter().any(|term| term.is_empty()) {
        return None;
    }
    let terms: Vec<Expr> =
        terms.iter().map(|term| expr_of(text, term, notes).ok()).collect::<Option<_>>()?;
    let values: Vec<Rational> = terms.iter().map(value).collect::<Option<_>>()?;
    let last = match &side[at + 1..] {
        [] => None,
        [plus, last @ ..] if plus.kind == T::Plus && !last.is_empty() => {
            Some(expr_of(text, last, notes).ok()?)
        }
        _ => return None,
    };
    let step = &values[1] - &values[0];
    let is_even = values.windows(2).all(|pair| &pair[1] - &pair[0] == step);
    if let Some(last) = &last
        && is_even
        && !step.is_zero()
    {
        return of_differences(&terms[0], &step, last);
    }
    if values[0].is_zero() {
        return None;
    }
    let ratio = &values[1] / &values[0];
    let is_scaled = values.windows(2).all(|pair| &pair[1] / &pair[0] == ratio);
    if !is_scaled || ratio.is_zero() || ratio.is_one() {
        return None;
    }
    let rate = Expr::rational(&ratio);
    match last {
        None if ratio.abs() < from_int(1) => Some(terms[0].clone().over(Expr::int(1).minus(rate))),
        None => None,
        Some(last) => {
            let end = value(&last)?;
            let mut term = values[0].clone();
            let count = (1..=TERMS).find(|_| {
                let is_last = term == end;
                term = &term * &ratio;
                is_last
            })?;
            let power =
                Expr::from(ExprKind::Power(Box::new(rate.clone()), Box::new(Expr::int(count))));
            Some(terms[0].clone().times(power.minus(Expr::int(1))).over(rate.minus(Expr::int(1))))
        }
    }
}

/// How many terms there are, half of that, times the first and the last together.
fn of_differences(first: &Expr, step: &Rational, last: &Expr) -> Option<Expr> {
    let count = match (value(first), value(last)) {
        (Some(from), Some(to)) => {
            let count = (to - from) / step + from_int(1);
            (count.is_integer() && count > from_int(1)).then(|| Expr::rational(&count))?
        }
        _ => last.clone().minus(first.clone()).over(Expr::rational(step)).plus(Expr::int(1)),
    };
    Some(count.times(first.clone().plus(last.clone())).over(Expr::int(2)))
}

/// The value of a term without letters.
fn value(term: &Expr) -> Option<Rational> {
    let mut budget = Budget::for_verdict();
    let none = Values::new();
    Normaliser::new(&none, &mut budget).build(term).ok()?.as_constant()
}

/// `Σ_{k=1}^{5} k²`, `Σ k from 1 to 5`.
fn with_signs(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Option<Vec<Token>> {
    let at = tokens.iter().position(|token| token.kind == T::Sum)?;
    let (letter, from, to, body) = match &tokens[at + 1..] {
        [under, open, letter, sign, rest @ ..]
            if under.kind == T::Underscore
                && open.kind == T::Open('{')
                && sign.kind == T::Relation(Relation::Equal) =>
        {
            let (from, rest) = until_close(rest)?;
            let (to, rest) = match rest {
                [power, open, rest @ ..] if power.kind == T::Power && open.kind == T::Open('{') => {
                    until_close(rest)?
                }
                [power, to, rest @ ..] if power.kind == T::Power => {
                    (std::slice::from_ref(to), rest)
                }
                _ => return None,
            };
            (letter.clone(), from.to_vec(), to.to_vec(), rest)
        }
        rest => {
            let is = |name: &str| {
                rest.iter().position(|token| super::word(token).is_some_and(|w| w == name))
            };
            let colon = rest.iter().position(|token| token.kind == T::Colon);
            let (begin, end) = (is("from")?, is("to").or(colon)?);
            let from = rest.get(begin + 1..end)?.to_vec();
            let to = rest.get(end + 1..end + 2)?.to_vec();
            let body = rest.get(..begin)?;
            let letter =
                body.iter().find(|t| matches!(&t.kind, T::Word(w) if w.chars().count() == 1))?;
            // What follows is no part of the sum.
            let value = summed_over(text, body, (letter, &from, &to), notes)?;
            let used = at + 1 + end + 2;
            let mut found = tokens[..at].to_vec();
            found.push(made(value, &tokens[at..used]));
            found.extend_from_slice(&tokens[used..]);
            return Some(found);
        }
    };
    // The sum goes to the next sign of its own line.
    let mut depth = 0i32;
    let end = body
        .iter()
        .position(|token| {
            match token.kind {
                T::Open(_) => depth += 1,
                T::Close(_) => depth -= 1,
                _ => {}
            }
            depth < 0 || depth == 0 && matches!(token.kind, T::Relation(_) | T::Plus | T::Minus)
        })
        .unwrap_or(body.len());
    let value = summed_over(text, &body[..end], (&letter, &from, &to), notes)?;
    let used = tokens.len() - (body.len() - end);
    let mut found = tokens[..at].to_vec();
    found.push(made(value, &tokens[at..used]));
    found.extend_from_slice(&tokens[used..]);
    Some(found)
}

/// What stands before the brace that closes, and what stands behind it.
fn until_close(tokens: &[Token]) -> Option<(&[Token], &[Token])> {
    let end = tokens.iter().position(|token| token.kind == T::Close('}'))?;
    Some((&tokens[..end], &tokens[end + 1..]))
}

/// The sum of `body` with every whole number from one to another put for its letter.
fn summed_over(
    text: &Source<'_>,
    body: &[Token],
    (letter, from, to): (&Token, &[Token], &[Token]),
    notes: &mut Vec<Note>,
) -> Option<Expr> {
    let T::Word(letter) = &letter.kind else { return None };
    let mut whole =
        |tokens: &[Token]| value(&expr_of(text, tokens, notes).ok()?)?.to_integer().to_i64();
    let (from, to) = (whole(from)?, whole(to)?);
    if !(0..TERMS).contains(&(to - from)) {
        return None;
    }
    // A sum of sums would be written out to thousands of terms.
    if body.iter().any(|token| matches!(token.kind, T::Sum | T::Dots)) {
        return None;
    }
    let body = expr_of(text, body, notes).ok()?;
    if i64::try_from(body.nodes()).ok()? * (to - from + 1) > NODES {
        return None;
    }
    let mut terms = (from..=to).map(|n| body.with(letter, &Expr::int(n)));
    let first = terms.next()?;
    Some(terms.fold(first, Expr::plus))
}
