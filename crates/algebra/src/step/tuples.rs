//! What `(2, 5)` means: a point of the letters of the line that it is compared with, in alphabetical order, or
//! an interval where that line has one letter.

use crate::expr::Expr;
use crate::line::{Line, Piece};

/// Both lines with their tuples written out; `None` when there are none, or they fit no letters.
pub(super) fn resolved(from: &Line, to: &Line) -> Option<(Line, Line)> {
    if let (Line::Expression(_), Some(value)) = (from, only_value(to)) {
        return Some((from.clone(), Line::Expression(value)));
    }
    if are_values(from) || are_values(to) {
        return with_values(from, to);
    }
    if !has_tuple(from) && !has_tuple(to) {
        return None;
    }
    let mut letters: Vec<String> = from.symbols().union(&to.symbols()).cloned().collect();
    if letters.is_empty() {
        letters = ["x", "y", "z"].map(str::to_owned).to_vec();
        letters.truncate(size(from).max(size(to)));
    }
    Some((written_out(from, &letters)?, written_out(to, &letters)?))
}

/// Whether a line lists values that no letter is named for: `{2, -3}`, `2 or -3`.
fn are_values(line: &Line) -> bool {
    match line {
        Line::AnyOf(lines) => lines.iter().all(|line| matches!(line, Line::Expression(_))),
        _ => false,
    }
}

/// The value of a list of one: "the answer is 4".
fn only_value(line: &Line) -> Option<Expr> {
    match line {
        Line::AnyOf(lines) => match &lines[..] {
            [Line::Expression(value)] => Some(value.clone()),
            _ => None,
        },
        _ => None,
    }
}

/// Both lines with values that no letter is named for given to the letter of the other line.
fn with_values(from: &Line, to: &Line) -> Option<(Line, Line)> {
    let letters: Vec<String> = from.symbols().union(&to.symbols()).cloned().collect();
    let letter = match &letters[..] {
        [] => "x".to_owned(),
        [only] => only.clone(),
        _ => return None,
    };
    let of = |line: &Line| match line {
        Line::AnyOf(lines) if are_values(line) => Line::AnyOf(
            lines
                .iter()
                .flat_map(Line::expressions)
                .map(|value| Line::equation(Expr::symbol(&letter), value.clone()))
                .collect(),
        ),
        other => other.clone(),
    };
    Some((of(from), of(to)))
}

fn has_tuple(line: &Line) -> bool {
    size(line) > 0
}

/// The number of entries of the first tuple.
fn size(line: &Line) -> usize {
    match line {
        Line::Point(values) => values.len(),
        Line::AnyOf(lines) => lines.iter().map(size).find(|n| *n > 0).unwrap_or(0),
        _ => 0,
    }
}

fn written_out(line: &Line, letters: &[String]) -> Option<Line> {
    match (line, letters) {
        (Line::Point(values), [letter]) => match &values[..] {
            [low, high] => {
                let end = |value: &Expr| Some((value.clone(), false));
                Some(Piece { low: end(low), high: end(high) }.of_letter(&Expr::symbol(letter)))
            }
            _ => None,
        },
        (Line::Point(values), _) if values.len() == letters.len() => {
            let each = letters.iter().zip(values);
            let each = each.map(|(l, v)| Line::equation(Expr::symbol(l), v.clone()));
            Some(Line::AllOf(each.collect()))
        }
        (Line::Point(_), _) => None,
        (Line::AnyOf(lines), _) => {
            let lines = lines.iter().map(|line| written_out(line, letters));
            Some(Line::AnyOf(lines.collect::<Option<_>>()?))
        }
        (other, _) => Some(other.clone()),
    }
}
