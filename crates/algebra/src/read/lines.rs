//! Finds out what kind of line it is: an expression, a relation, several solutions, a system, words.

use super::Units;
use super::error::{ReadError, ReadErrorKind};
use super::parser::Parser;
use super::token::{Token, TokenKind as T};
use super::vocabulary::{is_joining, is_word};
use super::{Light, Note, Reading, names, school};
use crate::expr::{Expr, ExprKind, Span};
use crate::line::{Line, Piece, Relation};

mod afterwards;
mod points;
mod series;
mod tuples;

use afterwards::{rounded_line, with_letter_e};
use points::points;
use tuples::Folded;

/// Words that may lead into a line and say nothing about its mathematics.
const LEADING: &[&str] = &["so", "then", "hence", "thus", "therefore", "giving", "gives", "answer"];

pub(super) fn read(
    text: &str,
    tokens: Vec<Token>,
    units: Units,
    light: &Light,
) -> Result<Reading, ReadError> {
    let has_words = school::has_words(&tokens);
    // Only a line with words can turn out to be a sentence.
    let typed = if has_words { tokens.clone() } else { Vec::new() };
    let settled = school::settled(tokens, has_words, light);
    let mut reading = read_settled(text, &typed, &settled.tokens, Source { text, units, light })?;
    // "The answer is 4": a value of the letter that the line above asks for.
    if settled.answers
        && let Line::Expression(value) = &reading.line
        && value.symbols().is_empty()
    {
        reading.line = Line::AnyOf(vec![reading.line]);
    }
    if let Some(rounding) = &settled.rounding {
        reading.line = rounded_line(reading.line, rounding);
        reading.unlabelled = None;
    }
    // In what is written by us, e is Euler's number.
    if units != Units::UprightWords {
        reading.line = with_letter_e(reading.line, light);
        reading.unlabelled = reading.unlabelled.map(|line| with_letter_e(line, light));
    }
    Ok(reading)
}

fn read_settled(
    text: &str,
    typed: &[Token],
    tokens: &[Token],
    source: Source<'_>,
) -> Result<Reading, ReadError> {
    // `x = 0, π, 2π, ...` says more than the values that are written: it is no list of them.
    if goes_on(tokens) {
        let line = Line::Sentence(Span::new(0, text.len()));
        return Ok(Reading { line, notes: Vec::new(), unlabelled: None });
    }
    let trimmed = trim(without_count_note(text, trim(tokens)));
    let text = source;
    let text = &text;
    if trimmed.is_empty() {
        return Err(ReadError::new(ReadErrorKind::Empty, Span::new(0, text.text.len())));
    }
    if let Some(line) = spoken(trimmed) {
        return Ok(Reading { line, notes: Vec::new(), unlabelled: None });
    }
    let mut notes = Vec::new();
    if let Some(line) = special(text, trimmed, &mut notes) {
        return Ok(Reading { line, notes, unlabelled: None });
    }
    // A label such as `(2)` is passed over only when the line above asks for it.
    let unlabelled =
        labelled(trimmed).and_then(|rest| alternatives(text, rest, &mut Vec::new()).ok());
    match alternatives(text, trimmed, &mut notes) {
        Ok(line) => Ok(Reading { line, notes, unlabelled }),
        Err(_) if unlabelled.is_some() => {
            let line = unlabelled.unwrap_or(Line::NoSolution);
            Ok(Reading { line, notes: Vec::new(), unlabelled: None })
        }
        Err(error) if is_sentence(typed, &error) => {
            let line = Line::Sentence(Span::new(0, text.text.len()));
            Ok(Reading { line, notes: Vec::new(), unlabelled: None })
        }
        Err(error) => Err(error),
    }
}

/// The text of a line, and which words behind numbers are units.
#[derive(Clone, Copy)]
struct Source<'a> {
    text: &'a str,
    units: Units,
    light: &'a Light,
}

/// What stands behind `(2)` or `(a)`.
fn labelled(tokens: &[Token]) -> Option<&[Token]> {
    match tokens {
        [open, label, close, rest @ ..]
            if matches!(open.kind, T::Open('(' | '['))
                && matches!(close.kind, T::Close(')' | ']'))
                && (matches!(&label.kind, T::Number(n) if n.len() <= 2 && !n.contains('.'))
                    || matches!(&label.kind, T::Word(w) if w.chars().count() <= 3))
                && !rest.is_empty() =>
        {
            Some(rest)
        }
        _ => None,
    }
}

/// `let u = x^2`, `≈ 3.14`, `[2, 5)`.
fn special(text: &Source<'_>, trimmed: &[Token], notes: &mut Vec<Note>) -> Option<Line> {
    if let [first, rest @ ..] = trimmed
        && word(first).is_some_and(|w| matches!(w.as_str(), "let" | "put" | "set" | "where"))
        && let Ok(line) = relation(text, rest, notes)
        && let Some((left, value)) = line.as_equation()
        && let ExprKind::Symbol(letter) = &left.kind
    {
        return Some(Line::Definition { letter: letter.clone(), value: value.clone() });
    }
    if let [first, rest @ ..] = trimmed
        && first.kind == T::Relation(Relation::Approximate)
        && let Ok(value) = expr_of(text, rest, notes)
    {
        return Some(Line::Rounded(value));
    }
    if let Some(line) = values_in_braces(text, trimmed, notes) {
        return Some(line);
    }
    // `A(3, -2)`, `A = (3, -2)`: a point with its name.
    if let [name, rest @ ..] = trimmed
        && matches!(&name.kind, T::Word(w) if w.len() == 1 && w != "C" && w.bytes().all(|b| b.is_ascii_uppercase()))
    {
        let rest = match rest {
            [sign, rest @ ..] if sign.kind == T::Relation(Relation::Equal) => rest,
            rest => rest,
        };
        let values = list(rest, '(').filter(|values| values.len() > 1)?;
        let values = values.iter().map(|value| expr_of(text, value, notes).ok());
        return values.collect::<Option<_>>().map(Line::Point);
    }
    pieces(text, trimmed, notes).map(Line::Set)
}

/// `{2, -3}`, `x = {2, -3}`, `{}`, `{x | x > 4}`.
fn values_in_braces(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Option<Line> {
    let equals = |token: &Token| token.kind == T::Relation(Relation::Equal);
    let (letter, rest) = match tokens {
        [Token { kind: T::Open('{'), .. }, ..] => (None, tokens),
        [name, sign, rest @ ..] if equals(sign) && matches!(name.kind, T::Word(_)) => {
            (Some(expr_of(text, std::slice::from_ref(name), notes).ok()?), rest)
        }
        _ => return None,
    };
    let [Token { kind: T::Open('{'), .. }, inside @ .., Token { kind: T::Close('}'), .. }] = rest
    else {
        return None;
    };
    if inside.is_empty() {
        return Some(Line::NoSolution);
    }
    if !is_balanced(inside) {
        return None;
    }
    // `{x | x > 4}`, `{x : x > 4}`
    if let [_, bar, condition @ ..] = inside
        && matches!(bar.kind, T::Bar | T::Colon)
        && condition.iter().any(|token| matches!(token.kind, T::Relation(_) | T::In))
        && letter.is_none()
    {
        return alternatives(text, condition, notes).ok();
    }
    let values = split(inside, |token| matches!(token.kind, T::Comma | T::Semicolon));
    // Braces around one thing are brackets.
    if values.len() == 1 && letter.is_none() && inside.len() > 1 {
        return None;
    }
    let lines = values
        .iter()
        .map(|value| {
            let value = expr_of(text, value, notes).ok()?;
            Some(match &letter {
                Some(letter) => Line::equation(letter.clone(), value),
                None => Line::Expression(value),
            })
        })
        .collect::<Option<Vec<_>>>()?;
    Some(Line::AnyOf(lines))
}

/// `[2, 5)`, `(-∞, 2) ∪ (3, ∞)`: a bracket that is round on both sides needs `∞` to be told from a point.
fn pieces(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Option<Vec<Piece>> {
    let parts =
        split(tokens, |token| token.kind == T::Union || word(token).is_some_and(|w| w == "u"));
    let mut found = Vec::new();
    for part in &parts {
        let [Token { kind: T::Open(open), .. }, inside @ .., Token { kind: T::Close(close), .. }] =
            part
        else {
            return None;
        };
        let ends = split(inside, |token| matches!(token.kind, T::Comma | T::Semicolon));
        let [low, high] = &ends[..] else { return None };
        let mut end = |tokens: &[Token], included: bool| -> Option<Option<(Expr, bool)>> {
            match tokens {
                [Token { kind: T::Infinity, .. }] => Some(None),
                [Token { kind: T::Minus | T::Plus, .. }, Token { kind: T::Infinity, .. }] => {
                    Some(None)
                }
                _ => Some(Some((expr_of(text, tokens, notes).ok()?, included))),
            }
        };
        let low = end(low, *open == '[')?;
        let high = end(high, *close == ']')?;
        found.push(Piece { low, high });
    }
    let plain = |piece: &Piece| {
        piece.brackets() == ('(', ')') && piece.low.is_some() && piece.high.is_some()
    };
    (found.len() > 1 || !found.iter().all(plain)).then_some(found)
}

fn word(token: &Token) -> Option<String> {
    match &token.kind {
        T::Word(word) => Some(word.to_lowercase()),
        _ => None,
    }
}

/// Passes over what leads into a line and the full stop that ends it.
fn trim(mut tokens: &[Token]) -> &[Token] {
    loop {
        match tokens {
            [first, rest @ ..]
                if matches!(first.kind, T::So | T::Arrow)
                    || (word(first).is_some_and(|w| LEADING.contains(&w.as_str()))
                        && !rest.is_empty()) =>
            {
                tokens = rest;
            }
            // `1)` or `a)` before a line is its label.
            [label, close, rest @ ..]
                if matches!(label.kind, T::Number(_) | T::Word(_))
                    && close.kind == T::Close(')')
                    && rest.first().is_some_and(|next| !matches!(next.kind, T::Relation(_))) =>
            {
                tokens = rest;
            }
            // A line that begins with `=` goes on from the expression above.
            [first, rest @ ..]
                if first.kind == T::Relation(Relation::Equal) && !rest.is_empty() =>
            {
                tokens = rest;
            }
            [rest @ .., last] if matches!(last.kind, T::Stop | T::Semicolon | T::Comma) => {
                tokens = rest;
            }
            _ => return tokens,
        }
    }
}

/// Whether dots at the end of a line with a relation say that it goes on.
fn goes_on(tokens: &[Token]) -> bool {
    let has_relation = tokens.iter().any(|token| matches!(token.kind, T::Relation(_)));
    has_relation && tokens.last().is_some_and(|last| last.kind == T::Dots)
}

/// Words of a note that says what a letter counts: "where n is an integer", "n ∈ ℤ".
const COUNT_WORDS: &[&str] = &[
    "where", "for", "with", "all", "any", "every", "each", "some", "is", "an", "a", "in", "n", "k",
    "m", "integer", "integers", "whole", "number", "numbers", "z", "ℤ",
];

/// Leaves out a note at the end which says that a letter of the line stands for the whole numbers, as it does
/// anyway: `x = π/4 + πn, n ∈ ℤ`.
fn without_count_note<'a>(text: &str, tokens: &'a [Token]) -> &'a [Token] {
    let begins = |token: &Token| {
        matches!(token.kind, T::Comma | T::Semicolon | T::Open('('))
            || word(token).is_some_and(|w| matches!(w.as_str(), "where" | "for" | "with"))
    };
    let Some(start) = tokens.iter().rposition(begins).filter(|start| *start > 0) else {
        return tokens;
    };
    let (line, note) = tokens.split_at(start);
    let mut words = Vec::new();
    for token in note {
        match &token.kind {
            T::Comma | T::Semicolon | T::Open(_) | T::Close(_) | T::Stop | T::In => {}
            _ => match word(token) {
                Some(word) if COUNT_WORDS.contains(&word.as_str()) => words.push(word),
                _ => return tokens,
            },
        }
    }
    let counts = |w: &String| matches!(w.as_str(), "integer" | "integers" | "whole" | "z" | "ℤ");
    let letters: Vec<&String> =
        words.iter().filter(|w| matches!(w.as_str(), "n" | "k" | "m")).collect();
    let end = line.last().map_or(0, |token| token.span.end);
    let is_used = |letter: &&String| text.get(..end).is_some_and(|t| t.contains(letter.as_str()));
    let is_note = words.iter().any(counts) && letters.len() == 1 && letters.iter().all(is_used);
    if is_note { line } else { tokens }
}

/// "no solution", "all real numbers".
fn spoken(tokens: &[Token]) -> Option<Line> {
    let words: Vec<String> = tokens.iter().map(word).collect::<Option<_>>()?;
    let said = words.join(" ");
    // `x can be any number`, `there is no solution`, `true for all values of x`
    let said = match said.split_once(" can be ").or_else(|| said.split_once(" is ")) {
        Some((letter, rest)) if letter.len() == 1 && rest.starts_with("any") => rest,
        _ => said.as_str(),
    };
    const BEGUN: [&str; 6] =
        ["there is ", "there are ", "has ", "it is ", "holds for ", "true for "];
    let said = BEGUN.iter().find_map(|words| said.strip_prefix(words)).unwrap_or(said);
    let (said, of_letter) = match said.rsplit_once(' ') {
        Some((rest, letter)) if letter.chars().count() == 1 => {
            (rest.strip_suffix(" of").unwrap_or(rest), true)
        }
        _ => (said, false),
    };
    match said {
        "no solution" | "no solutions" | "no sol" | "no roots" | "no real roots"
        | "no real solution" | "no real solutions" | "no value" | "no values" | "none"
        | "impossible" | "not possible" | "never" | "never true" => Some(Line::NoSolution),
        "reals" | "any real number" | "any number" | "any value" | "all values" | "every value"
        | "always true" | "always" | "identity" | "an identity" | "all real numbers"
        | "all reals" | "all real" | "every real number" | "all numbers" => Some(Line::AllReals),
        "any" | "all" | "every" if of_letter => Some(Line::AllReals),
        _ => None,
    }
}

fn is_sentence(tokens: &[Token], error: &ReadError) -> bool {
    let words: Vec<String> =
        tokens.iter().filter_map(word).filter(|w| w.chars().count() > 1).collect();
    let known = words.iter().filter(|w| is_word(w) || is_joining(w)).count();
    (matches!(error.kind, ReadErrorKind::UnknownWord(_)) && words.len() >= 3) || known >= 3
}

/// Splits at `is_break` outside brackets.
fn split(tokens: &[Token], is_break: impl Fn(&Token) -> bool) -> Vec<&[Token]> {
    let (mut parts, mut depth, mut start) = (Vec::new(), 0usize, 0);
    for (index, token) in tokens.iter().enumerate() {
        match token.kind {
            T::Open(_) => depth += 1,
            T::Close(_) => depth = depth.saturating_sub(1),
            _ if depth == 0 && is_break(token) => {
                parts.push(&tokens[start..index]);
                start = index + 1;
            }
            _ => {}
        }
    }
    parts.push(&tokens[start..]);
    parts
}

fn alternatives(
    text: &Source<'_>,
    tokens: &[Token],
    notes: &mut Vec<Note>,
) -> Result<Line, ReadError> {
    if let Some(line) = points(text, tokens, notes).transpose()? {
        return Ok(line);
    }
    let parts = split(tokens, |token| word(token).as_deref() == Some("or"));
    if parts.len() == 1 {
        return conditions(text, tokens, notes);
    }
    let mut lines = Vec::new();
    for part in parts {
        let line = conditions(text, part, notes)?;
        // `x = 3 or -2`: a bare value repeats the letter before it.
        lines.push(match (line, lines.last()) {
            (Line::Expression(value), Some(before)) => match solved_letter(before) {
                Some(letter) => Line::equation(Expr::symbol(&letter), value),
                None => Line::Expression(value),
            },
            (line, _) => line,
        });
    }
    Ok(Line::AnyOf(lines))
}

fn conditions(
    text: &Source<'_>,
    tokens: &[Token],
    notes: &mut Vec<Note>,
) -> Result<Line, ReadError> {
    let has_relation = tokens.iter().any(|token| matches!(token.kind, T::Relation(_)));
    let parts = split(tokens, |token| {
        token.kind == T::Semicolon
            || word(token).as_deref() == Some("and")
            || (token.kind == T::Comma && has_relation)
    });
    if parts.len() == 1 {
        return match listed(text, tokens, notes) {
            Some(line) => Ok(line),
            None => relation(text, tokens, notes),
        };
    }
    let mut lines: Vec<Line> = Vec::new();
    for part in parts {
        // `x = 3, -2`: a bare value repeats the letter before it.
        let line = match (relation(text, part, notes)?, lines.last().and_then(solved_letter)) {
            (Line::Expression(value), Some(letter)) if value.symbols().is_empty() => {
                Line::equation(Expr::symbol(&letter), value)
            }
            (line, _) => line,
        };
        lines.push(line);
    }
    // "x = 3 and x = -2" says what the solutions are: each of them is one.
    let is_value =
        |line: &Line| line.as_equation().is_some_and(|(_, right)| right.symbols().is_empty());
    let letters: Vec<_> =
        lines.iter().map(|line| solved_letter(line).filter(|_| is_value(line))).collect();
    let same = letters[0].is_some() && letters.iter().all(|letter| *letter == letters[0]);
    Ok(if same || are_cases(&lines) { Line::AnyOf(lines) } else { Line::AllOf(lines) })
}

/// `x + 1 = 3, x + 1 = -3`: one thing in one letter cannot be both, so it is either.
fn are_cases(lines: &[Line]) -> bool {
    let sides: Option<Vec<_>> = lines.iter().map(Line::as_equation).collect();
    let Some(((first, _), sides)) = sides.as_deref().and_then(|all| Some((*all.first()?, all)))
    else {
        return false;
    };
    let differ = |at: usize| sides[..at].iter().all(|(_, other)| *other != sides[at].1);
    first.symbols().len() == 1
        && sides.iter().all(|(left, right)| *left == first && right.symbols().is_empty())
        && (1..sides.len()).all(differ)
}

/// `4, 8, 12`: values that no letter is named for.
fn listed(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Option<Line> {
    let parts = split(tokens, |token| token.kind == T::Comma);
    if parts.len() < 2 || parts.iter().any(|part| part.is_empty()) {
        return None;
    }
    let value = |part: &&[Token]| match relation(text, part, notes).ok()? {
        line @ Line::Expression(_) if line.symbols().is_empty() => Some(line),
        _ => None,
    };
    parts.iter().map(value).collect::<Option<_>>().map(Line::AnyOf)
}

/// The letter that a line such as `x = 5` gives the value of.
fn solved_letter(line: &Line) -> Option<String> {
    let (left, right) = line.as_equation()?;
    match &left.kind {
        ExprKind::Symbol(name) if !right.symbols().contains(name) => Some(name.clone()),
        _ => None,
    }
}

fn relation(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Result<Line, ReadError> {
    if let Some(line) = points(text, tokens, notes).transpose()? {
        return Ok(line);
    }
    if let Some(line) = membership(text, tokens, notes).transpose()? {
        return Ok(line);
    }
    if let Some(values) = list(tokens, '(').filter(|values| values.len() > 1) {
        let values = values.iter().map(|value| expr_of(text, value, notes));
        return Ok(Line::Point(values.collect::<Result<_, _>>()?));
    }
    let summed = series::summed(text, tokens, notes);
    let tokens = summed.as_deref().unwrap_or(tokens);
    let names = names::split(tokens, text.units, text.light)?;
    let mut parser = Parser::new(text.text, &names, text.light);
    let mut sides = vec![parser.expression()?];
    let mut relations = Vec::new();
    while let Some(T::Relation(sign)) = parser.peek() {
        let token = parser.advance().expect("it was just looked at");
        if parser.peek().is_none() {
            let operator = token.kind.shown(text.text, token.span);
            let kind = ReadErrorKind::MissingOperand { operator, after: true };
            return Err(ReadError::new(kind, token.span));
        }
        relations.push(*sign);
        sides.push(parser.expression()?);
    }
    if parser.peek().is_some() {
        return Err(parser.unexpected());
    }
    notes.append(&mut parser.notes);
    if sides.iter().any(has_tuple) {
        return with_tuples(&sides, &relations)
            .ok_or_else(|| ReadError::new(ReadErrorKind::Unexpected(",".into()), sides[0].span));
    }
    Ok(match (sides.len(), sides.pop()) {
        (1, Some(only)) => Line::Expression(only),
        (_, last) => {
            sides.extend(last);
            Line::Relations { sides, relations }
        }
    })
}

/// A line with tuples: each is worked out, and what joins them joins their entries.
fn with_tuples(sides: &[Expr], relations: &[Relation]) -> Option<Line> {
    let folded: Vec<Folded> = sides.iter().map(tuples::folded).collect::<Option<_>>()?;
    if let [only] = &folded[..] {
        return Some(match only {
            Folded::One(expr) => Line::Expression(expr.clone()),
            Folded::Several(values) => Line::Point(values.clone()),
        });
    }
    let ones: Option<Vec<Expr>> = folded
        .iter()
        .map(|side| match side {
            Folded::One(expr) => Some(expr.clone()),
            Folded::Several(_) => None,
        })
        .collect();
    if let Some(sides) = ones {
        return Some(Line::Relations { sides, relations: relations.to_vec() });
    }
    let tuples: Vec<&Vec<Expr>> = folded
        .iter()
        .map(|side| match side {
            Folded::Several(values) => Some(values),
            Folded::One(_) => None,
        })
        .collect::<Option<_>>()?;
    let size = tuples[0].len();
    let even = tuples.iter().all(|tuple| tuple.len() == size)
        && relations.iter().all(|relation| *relation == Relation::Equal);
    even.then(|| {
        let row = |at: usize| Line::Relations {
            sides: tuples.iter().map(|tuple| tuple[at].clone()).collect(),
            relations: relations.to_vec(),
        };
        Line::AllOf((0..size).map(row).collect())
    })
}

fn has_tuple(expr: &Expr) -> bool {
    expr.any(&mut |part| matches!(&part.kind, ExprKind::Apply { name, .. } if name.is_empty()))
}

/// What stands between commas in one pair of brackets.
fn list(tokens: &[Token], open: char) -> Option<Vec<&[Token]>> {
    match tokens {
        [Token { kind: T::Open(sign), .. }, inside @ .., Token { kind: T::Close(_), .. }]
            if *sign == open && is_balanced(inside) =>
        {
            let parts = split(inside, |token| token.kind == T::Comma);
            parts.iter().all(|part| !part.is_empty()).then_some(parts)
        }
        _ => None,
    }
}

/// Whether no bracket closes before it is opened: the brackets around `0, 0), (1, 1` are not one pair.
fn is_balanced(tokens: &[Token]) -> bool {
    let mut depth = 0i32;
    tokens.iter().all(|token| {
        match token.kind {
            T::Open(_) => depth += 1,
            T::Close(_) => depth -= 1,
            _ => {}
        }
        depth >= 0
    })
}

fn expr_of(text: &Source<'_>, tokens: &[Token], notes: &mut Vec<Note>) -> Result<Expr, ReadError> {
    match relation(text, tokens, notes)? {
        Line::Expression(expr) => Ok(expr),
        _ => {
            let span = tokens.first().map_or(Span::default(), |token| token.span);
            Err(ReadError::new(ReadErrorKind::NotAnExpression, span))
        }
    }
}

/// `x ∈ {3, -2}`
fn membership(
    text: &Source<'_>,
    tokens: &[Token],
    notes: &mut Vec<Note>,
) -> Option<Result<Line, ReadError>> {
    let at = tokens.iter().position(|token| token.kind == T::In)?;
    if let Some(line) = within(text, tokens, at, notes) {
        return Some(Ok(line));
    }
    let values = list(&tokens[at + 1..], '{')?;
    let build = |notes: &mut Vec<Note>| {
        let left = expr_of(text, &tokens[..at], notes)?;
        let lines = values
            .iter()
            .map(|value| Ok(Line::equation(left.clone(), expr_of(text, value, notes)?)))
            .collect::<Result<Vec<_>, ReadError>>()?;
        Ok(Line::AnyOf(lines))
    };
    Some(build(notes))
}

/// `x ∈ [2, 5)`, `x ∈ ℝ`
fn within(text: &Source<'_>, tokens: &[Token], at: usize, notes: &mut Vec<Note>) -> Option<Line> {
    let letter = expr_of(text, &tokens[..at], notes).ok()?;
    let rest = &tokens[at + 1..];
    if let [only] = rest
        && word(only).is_some_and(|w| matches!(w.as_str(), "reals" | "r" | "ℝ"))
    {
        return Some(Line::AllReals);
    }
    let mut found = pieces(text, rest, notes);
    if found.is_none()
        && let Some(ends) = list(rest, '(').filter(|ends| ends.len() == 2)
    {
        // Behind `∈` round brackets hold an interval.
        let mut end =
            |tokens: &[Token]| expr_of(text, tokens, notes).ok().map(|e| Some((e, false)));
        found = Some(vec![Piece { low: end(ends[0])?, high: end(ends[1])? }]);
    }
    let lines: Vec<Line> = found?.iter().map(|piece| piece.of_letter(&letter)).collect();
    Some(match <[Line; 1]>::try_from(lines) {
        Ok([only]) => only,
        Err(lines) => Line::AnyOf(lines),
    })
}
