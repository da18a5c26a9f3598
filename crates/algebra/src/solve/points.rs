//! Systems with finitely many solutions: one letter after another is put in, until one letter is left.

use super::sets;
use crate::assume::is_true;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Atom, Normaliser, Quotient, Values};
use crate::solve::Solutions;

/// Most points of one system.
const POINTS: usize = 60;

/// All solutions of a system in these letters; `None` when they are not finitely many, or not found.
pub(crate) fn points(line: &Line, letters: &[String], budget: &mut Budget) -> Option<Vec<Values>> {
    let mut found: Vec<Values> = Vec::new();
    match line {
        Line::NoSolution => {}
        Line::AnyOf(lines) => {
            for line in lines {
                for point in points(line, letters, budget)? {
                    add(&mut found, point, budget)?;
                }
            }
        }
        Line::AllOf(lines) => {
            for point in solved(lines, lines, letters, Values::new(), budget)? {
                add(&mut found, point, budget)?;
            }
        }
        single => {
            let lines = std::slice::from_ref(single);
            for point in solved(lines, lines, letters, Values::new(), budget)? {
                add(&mut found, point, budget)?;
            }
        }
    }
    Some(found)
}

/// All solutions of a system in its own letters; `None` when they are not finitely many, or not found.
#[must_use]
pub fn system_points(line: &Line) -> Option<Vec<Values>> {
    let letters: Vec<String> = line.symbols().into_iter().collect();
    points(line, &letters, &mut Budget::for_verdict())
}

fn add(found: &mut Vec<Values>, point: Values, budget: &mut Budget) -> Option<()> {
    for other in found.iter() {
        if same(other, &point, budget)? {
            return Some(());
        }
    }
    found.push(point);
    (found.len() <= POINTS).then_some(())
}

/// Whether two points are one; `None` when that cannot be told.
pub(crate) fn same(a: &Values, b: &Values, budget: &mut Budget) -> Option<bool> {
    for (letter, value) in a {
        let order = super::real::compare(value, b.get(letter)?, budget)?;
        if order != std::cmp::Ordering::Equal {
            return Some(false);
        }
    }
    Some(true)
}

/// A point that is in one list only, and whether it is the first; `Some(None)` when the lists agree, `None`
/// when points cannot be told apart.
pub(crate) fn difference(
    before: &[Values],
    after: &[Values],
    budget: &mut Budget,
) -> Option<Option<(Values, bool)>> {
    for (points, others, is_first) in [(before, after, true), (after, before, false)] {
        for point in points {
            let mut found = false;
            for other in others {
                found |= same(point, other, budget)?;
            }
            if !found {
                return Some(Some((point.clone(), is_first)));
            }
        }
    }
    Some(None)
}

/// Solves what is left of a system, and looks at each result in the whole of it.
fn solved(
    all: &[Line],
    lines: &[Line],
    letters: &[String],
    known: Values,
    budget: &mut Budget,
) -> Option<Vec<Values>> {
    budget.spend(200).ok()?;
    let open: Vec<&String> = letters.iter().filter(|l| !known.contains_key(*l)).collect();
    let lines: Vec<Line> = lines.iter().map(|line| put(line, &known)).collect();
    match &open[..] {
        [] => {
            for line in all {
                if !is_true(line, &known, budget)? {
                    return Some(Vec::new());
                }
            }
            Some(vec![known])
        }
        [letter] => {
            let system = Line::AllOf(lines);
            let Ok(Solutions::Finite(values)) = sets::solutions(&system, letter) else {
                return None;
            };
            let mut found = Vec::new();
            for value in values {
                let mut known = known.clone();
                known.insert((*letter).clone(), value.value().clone());
                found.extend(solved(all, &[], letters, known, budget)?);
            }
            Some(found)
        }
        _ => by_substitution(all, &lines, &open, letters, known, budget),
    }
}

/// A line with values put for letters.
fn put(line: &Line, known: &Values) -> Line {
    if known.is_empty() {
        return line.clone();
    }
    line.map(&mut |expr: &Expr| {
        expr.map(&mut |part| match &part.kind {
            ExprKind::Symbol(name) => known.get(name).map_or(part.clone(), Quotient::to_expr),
            _ => part,
        })
    })
}

/// Finds a line that gives one letter in terms of the others, puts it into the rest, and solves these.
fn by_substitution(
    all: &[Line],
    lines: &[Line],
    open: &[&String],
    letters: &[String],
    known: Values,
    budget: &mut Budget,
) -> Option<Vec<Values>> {
    let none = Values::new();
    for (at, line) in lines.iter().enumerate() {
        let Some((left, right)) = line.as_equation() else { continue };
        let mut forms = Normaliser::new(&none, budget);
        let (Ok(l), Ok(r)) = (forms.build(left), forms.build(right)) else { continue };
        let plain = forms.needs.is_empty();
        let difference = l.minus(&r, budget).ok()?;
        for letter in open {
            let parts = difference.numerator().by_powers_of(&Atom::symbol(letter));
            let [rest, factor] = &parts[..] else { continue };
            // Only a factor that is a number may be divided by without a case of its own.
            if !plain || !factor.is_constant() || rest.mentions(letter) {
                continue;
            }
            let value = Quotient::new(rest.negated(), factor.clone())?;
            let given = Values::from([((*letter).clone(), value.clone())]);
            let others: Vec<Line> = lines
                .iter()
                .enumerate()
                .filter(|(index, _)| *index != at)
                .map(|(_, line)| put(line, &given))
                .collect();
            let fewer: Vec<String> = letters.iter().filter(|l| l != letter).cloned().collect();
            let mut found = Vec::new();
            for point in solved(&[], &others, &fewer, known.clone(), budget)? {
                let here = Normaliser::new(&point, budget).build(&value.to_expr()).ok()?;
                let mut point = point;
                point.insert((*letter).clone(), here);
                found.extend(solved(all, &[], letters, point, budget)?);
            }
            return Some(found);
        }
    }
    None
}
