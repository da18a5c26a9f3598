//! Labels before a line and remarks behind it, which say nothing about its mathematics.

use super::super::vocabulary;
use super::{T, Token, is, stand, word};
use crate::line::Relation;

/// Words that lead into a line, longest first.
const LEADS: &[&[&str]] = &[
    &["what", "is", "the", "value", "of"],
    &["find", "the", "value", "of"],
    &["the", "value", "of"],
    &["the", "answer", "is"],
    &["the", "solution", "is"],
    &["the", "solutions", "are"],
    &["the", "result", "is"],
    &["my", "answer", "is"],
    &["answer", "is"],
    &["solve", "for", "x"],
    &["what", "is"],
    &["what's"],
    &["work", "out"],
    &["show", "that"],
    &["prove", "that"],
    &["this", "gives"],
    &["this", "is"],
    &["which", "gives"],
    &["which", "is"],
    &["that", "is"],
    &["we", "get"],
    &["we", "have"],
    &["i", "get"],
    &["i", "got"],
    &["you", "get"],
    &["it", "follows", "that"],
    &["it", "is"],
    &["so", "the", "answer", "is"],
    &["expand", "and", "simplify"],
    &["solve"],
    &["simplify"],
    &["expand"],
    &["factorise"],
    &["factorize"],
    &["factor"],
    &["evaluate"],
    &["calculate"],
    &["compute"],
    &["find"],
    &["rearrange"],
    &["convert"],
    &["since"],
    &["because"],
    &["given"],
    &["if"],
    &["now"],
    &["but"],
    &["also"],
    &["finally"],
    &["next"],
    &["so"],
    &["then"],
    &["hence"],
    &["thus"],
    &["therefore"],
    &["giving"],
    &["gives"],
];

/// Words that may stand before a colon with a number or a letter.
const LABELS: &[&str] = &[
    "ans", "answer", "answers", "solution", "sol", "check", "step", "question", "q", "ex",
    "example", "problem", "proof", "part", "line", "no", "note", "result", "working", "lhs", "rhs",
    "method",
];

/// Words that begin a remark behind a line.
const REMARKS: &[&[&str]] = &[
    &["because"],
    &["since"],
    &["using"],
    &["as", "required"],
    &["which", "is", "true"],
    &["which", "is", "correct"],
    &["is", "true"],
    &["true"],
    &["correct"],
    &["ok"],
    &["yes"],
    &["qed"],
    &["by"],
    &["for", "x"],
    &["for", "y"],
];

/// Takes labels from the beginning, and remarks from the end; whether they say that the line is the answer.
pub(super) fn pass_over(tokens: &mut Vec<Token>) -> bool {
    let answers = tokens
        .iter()
        .take(3)
        .any(|token| ["answer", "ans", "solution"].iter().any(|name| is(token, name)));
    for _ in 0..6 {
        let before = tokens.len();
        lead(tokens);
        if tokens.len() == before {
            break;
        }
    }
    named_sides(tokens);
    for _ in 0..4 {
        let before = tokens.len();
        remark(tokens);
        if tokens.len() == before {
            break;
        }
    }
    answers
}

fn lead(tokens: &mut Vec<Token>) {
    if tokens.first().is_some_and(|first| matches!(first.kind, T::So | T::Arrow)) {
        tokens.remove(0);
        return;
    }
    // `(ii) 3x = 12`
    if let [open, numeral, close, _, ..] = &tokens[..]
        && open.kind == T::Open('(')
        && close.kind == T::Close(')')
        && word(numeral).is_some_and(|w| {
            matches!(w.as_str(), "i" | "ii" | "iii" | "iv" | "vi" | "vii" | "viii")
        })
        && tokens.iter().any(|token| matches!(token.kind, T::Relation(_)))
    {
        tokens.drain(..3);
        return;
    }
    // `(1) x + y = 5 (2) x - y = 1`
    let is_numbered = |at: usize| {
        matches!(tokens.get(at..at + 4), Some([a, n, b, next])
            if next.spaced && a.kind == T::Open('(') && b.kind == T::Close(')') && matches!(&n.kind, T::Number(d) if d.len() == 1))
    };
    if is_numbered(0)
        && let Some(second) = (4..tokens.len()).find(|at| is_numbered(*at) && tokens[*at].spaced)
        && tokens[..second].iter().any(|token| matches!(token.kind, T::Relation(_)))
        && tokens[second..].iter().any(|token| matches!(token.kind, T::Relation(_)))
    {
        let between = Token { kind: T::Semicolon, ..tokens[second].clone() };
        tokens.splice(second..second + 3, [between]);
        tokens.drain(..3);
        return;
    }
    // `Step 3:`, `Ans:`, `factors of 12:`
    let is_ratio = |colon: usize| {
        let number = |at: usize| matches!(tokens.get(at), Some(Token { kind: T::Number(_), .. }));
        colon > 1 && number(colon - 1) && number(colon + 1) && !tokens[colon + 1].spaced
    };
    if let Some(colon) = tokens.iter().position(|token| token.kind == T::Colon)
        && !is_ratio(colon)
        && is_label(&tokens[..colon])
        && tokens.get(colon + 1).is_some_and(|next| {
            !matches!(&next.kind, T::Word(w) if vocabulary::is_word(w)) || colon <= 2
        })
    {
        tokens.drain(..=colon);
        return;
    }
    let found =
        LEADS.iter().filter(|words| stand(tokens, 0, words)).max_by_key(|words| words.len());
    if let Some(words) = found {
        // `length = 5`, `find = 3`: what a relation follows is a name.
        let named = tokens.get(words.len()).is_none_or(|next| {
            matches!(next.kind, T::Relation(_) | T::Plus | T::Times | T::Over | T::Close(_))
        });
        let goes_on = stand(tokens, 0, &["so"]) || !named;
        if goes_on && tokens.len() > words.len() {
            tokens.drain(..words.len());
        }
    }
}

fn is_label(tokens: &[Token]) -> bool {
    let known = |token: &Token| match &token.kind {
        T::Word(w) => {
            let w = w.to_lowercase();
            LABELS.contains(&w.as_str()) || vocabulary::is_word(&w) || vocabulary::is_joining(&w)
        }
        _ => false,
    };
    match tokens {
        [] => false,
        [only] => word(only).is_some_and(|w| LABELS.contains(&w.as_str())),
        // `Q3`, `Step 3`, `Part b`
        [first, second] if word(first).is_some_and(|w| LABELS.contains(&w.as_str())) => {
            matches!(&second.kind, T::Number(_))
                || matches!(&second.kind, T::Word(w) if w.chars().count() == 1)
        }
        several => {
            several.iter().all(|token| known(token) || matches!(token.kind, T::Number(_)))
                && several
                    .iter()
                    .any(|token| matches!(&token.kind, T::Word(w) if vocabulary::is_word(w)))
        }
    }
}

/// `LHS = 2(3) + 4 = 10`, `10 = RHS`: the names of the sides are passed over.
fn named_sides(tokens: &mut Vec<Token>) {
    let is_side = |token: &Token| word(token).is_some_and(|w| w == "lhs" || w == "rhs");
    let equals = |token: &Token| token.kind == T::Relation(Relation::Equal);
    if matches!(&tokens[..], [side, sign, _, ..] if is_side(side) && equals(sign)) {
        tokens.drain(..2);
    }
    if matches!(&tokens[..], [_, .., sign, side] if is_side(side) && equals(sign)) {
        tokens.truncate(tokens.len() - 2);
    }
}

fn remark(tokens: &mut Vec<Token>) {
    let is_word = |token: &Token| matches!(&token.kind, T::Word(w) if vocabulary::is_word(w));
    // `(divide by 3)`
    if let Some(Token { kind: T::Close(')' | ']'), .. }) = tokens.last()
        && let Some(open) = opening(tokens)
        && open > 0
        && tokens[open].spaced
        && tokens[open + 1..].iter().any(is_word)
        && super::notes::rounding_in(&tokens[open + 1..tokens.len() - 1]).is_none()
        && !tokens[open - 1..].iter().any(|t| matches!(t.kind, T::Relation(_)) && !is_word(t))
    {
        tokens.truncate(open);
        return;
    }
    // `| +3`, `/ :2`
    let mark = tokens
        .iter()
        .rposition(|token| matches!(token.kind, T::Bar | T::Over))
        .filter(|at| *at > 0);
    if let Some(at) = mark {
        let sign = tokens.get(at + 1).map(|token| &token.kind);
        let is_mark = match tokens[at].kind {
            T::Bar => {
                matches!(
                    sign,
                    Some(
                        T::Plus | T::Minus | T::Times | T::Over | T::Colon | T::Root(_) | T::Power
                    )
                ) && tokens.iter().filter(|token| token.kind == T::Bar).count() == 1
            }
            _ => sign == Some(&T::Colon),
        };
        if is_mark && tokens[..at].iter().any(|token| matches!(token.kind, T::Relation(_))) {
            tokens.truncate(at);
            return;
        }
    }
    let begins = (1..tokens.len()).find(|at| {
        REMARKS.iter().any(|words| {
            stand(tokens, *at, words)
                // "by" belongs to "divided by" and the like, "is true" to what a sentence claims.
                && (words != &["by"]
                    || matches!(tokens[at - 1].kind, T::Number(_) | T::Close(_) | T::Comma))
        })
    });
    if let Some(at) = begins {
        let is_last = |words: &[&str]| at + words.len() == tokens.len();
        let short = REMARKS.iter().any(|words| stand(tokens, at, words) && is_last(words));
        let long = ["because", "since", "using", "by"].iter().any(|w| stand(tokens, at, &[w]));
        if short || (long && tokens[..at].iter().any(|t| matches!(t.kind, T::Relation(_)))) {
            tokens.truncate(at);
            if tokens.last().is_some_and(|token| token.kind == T::Comma) {
                tokens.pop();
            }
        }
    }
}

/// Where the bracket that closes last was opened.
pub(super) fn opening(tokens: &[Token]) -> Option<usize> {
    let mut depth = 0usize;
    for (at, token) in tokens.iter().enumerate().rev() {
        match token.kind {
            T::Close(_) => depth += 1,
            T::Open(_) => {
                depth = depth.checked_sub(1)?;
                if depth == 0 {
                    return Some(at);
                }
            }
            _ => {}
        }
    }
    None
}
