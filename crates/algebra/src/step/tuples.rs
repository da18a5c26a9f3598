//! What `(2, 5)` means: a point of the letters of the line that it is compared with, in alphabetical order, or
//! an interval where that line has one letter.

use crate::expr::Expr;
use crate::line::{Line, Piece};

/// Both lines with their tuples written out; `None` when there are none, or they fit no letters.
pub(super) fn resolved(from: &Line, to: &Line) -> Option<(Line, Line)> {
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
