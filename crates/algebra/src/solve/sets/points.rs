//! Systems with finitely many solutions: one letter after another is put in, until one letter is left.
//!
//! What is found on the way may be more than the solutions; each point is looked at in the whole system.

use crate::assume::is_true;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Atom, Normaliser, NotNormal, Quotient, Values, constant};
use crate::solve::Solutions;
use crate::solve::sets;
use crate::solve::sets::combined;

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
            for point in all_of(lines, letters, budget)? {
                add(&mut found, point, budget)?;
            }
        }
        single => {
            let lines = std::slice::from_ref(single);
            for point in all_of(lines, letters, budget)? {
                add(&mut found, point, budget)?;
            }
        }
    }
    Some(found)
}

fn all_of(lines: &[Line], letters: &[String], budget: &mut Budget) -> Option<Vec<Values>> {
    Search { all: lines, budget }.solved(lines, letters, Values::new(), Way::Plain)
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
        let order = crate::solve::sets::real::compare(value, b.get(letter)?, budget)?;
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

/// The points of the first set that the second has not.
pub(crate) fn missing(
    from: &[Values],
    in_these: &[Values],
    budget: &mut Budget,
) -> Option<Vec<Values>> {
    let mut found = Vec::new();
    for point in from {
        let mut is_there = false;
        for other in in_these {
            is_there |= same(point, other, budget)?;
        }
        if !is_there {
            found.push(point.clone());
        }
    }
    Some(found)
}

/// What was already done to the equations.
#[derive(Clone, Copy, PartialEq, Eq)]
enum Way {
    Plain,
    /// Their rows were reduced.
    Reduced,
    /// One without a letter was added.
    Joined,
}

struct Search<'a> {
    /// The lines in which each point is looked at in the end.
    all: &'a [Line],
    budget: &'a mut Budget,
}

impl Search<'_> {
    /// Solves what is left of a system, and looks at each result in the whole of it.
    fn solved(
        &mut self,
        lines: &[Line],
        letters: &[String],
        known: Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        self.budget.spend(200).ok()?;
        let open: Vec<&String> = letters.iter().filter(|l| !known.contains_key(*l)).collect();
        if open.is_empty() {
            for line in self.all {
                if !is_true(line, &known, self.budget)? {
                    return Some(Vec::new());
                }
            }
            return Some(vec![known]);
        }
        let lines = lines.iter().map(|line| put(line, &known)).collect::<Option<Vec<_>>>()?;
        if let [letter] = &open[..] {
            let values = values(&Line::AllOf(lines), letter)?;
            return self.with_each(letter, values, &[], letters, &known, way);
        }
        self.by_substitution(&lines, &open, letters, &known, way)
            .or_else(|| self.by_one_letter(&lines, &open, letters, &known, way))
            .or_else(|| self.by_combination(&lines, &open, letters, known, way))
    }

    /// The points with one of these values for a letter.
    fn with_each(
        &mut self,
        letter: &str,
        values: Vec<Quotient>,
        lines: &[Line],
        letters: &[String],
        known: &Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        let mut found = Vec::new();
        for value in values {
            let mut known = known.clone();
            known.insert(letter.to_owned(), value);
            found.extend(self.solved(lines, letters, known, way)?);
        }
        Some(found)
    }

    /// Finds a line that gives one letter in terms of the others, puts it into the rest, and solves these.
    fn by_substitution(
        &mut self,
        lines: &[Line],
        open: &[&String],
        letters: &[String],
        known: &Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        // A factor that is a number may be divided by without a case of its own.
        for is_plain in [true, false] {
            for at in 0..lines.len() {
                let Some((polys, _)) = combined::polynomials(&lines[at..=at], self.budget) else {
                    continue;
                };
                for letter in open {
                    let parts = polys[0].by_powers_of(&Atom::symbol(letter));
                    let [rest, factor] = &parts[..] else { continue };
                    let is_alone = !rest.mentions(letter) && !factor.mentions(letter);
                    if !is_alone || factor.is_constant() != is_plain {
                        continue;
                    }
                    let is_number =
                        constant::poly_sign(factor, self.budget).is_some_and(|s| s != 0);
                    if is_plain && !is_number {
                        continue;
                    }
                    let value = Quotient::new(rest.negated(), factor.clone())?;
                    let others = [&lines[..at], &lines[at + 1..]].concat();
                    let mut found = self.put_in(letter, &value, &others, letters, known, way)?;
                    if !is_plain {
                        let mut both_zero = others;
                        both_zero.extend([factor, rest].map(combined::is_zero));
                        found.extend(self.solved(&both_zero, letters, known.clone(), way)?);
                    }
                    return Some(found);
                }
            }
        }
        None
    }

    /// The points at which a letter has a value in terms of the others.
    fn put_in(
        &mut self,
        letter: &str,
        value: &Quotient,
        others: &[Line],
        letters: &[String],
        known: &Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        let given = Values::from([(letter.to_owned(), value.clone())]);
        let others = others.iter().map(|line| put(line, &given)).collect::<Option<Vec<_>>>()?;
        let fewer: Vec<String> = letters.iter().filter(|l| *l != letter).cloned().collect();
        let candidates =
            Search { all: &[], budget: self.budget }.solved(&others, &fewer, known.clone(), way)?;
        let mut found = Vec::new();
        for mut point in candidates {
            // Where it has no value there is no point.
            let here = match Normaliser::new(&point, self.budget).build(&value.to_expr()) {
                Ok(here) => here,
                Err(NotNormal::Undefined) => continue,
                Err(_) => return None,
            };
            point.insert(letter.to_owned(), here);
            found.extend(self.solved(&[], letters, point, way)?);
        }
        Some(found)
    }

    /// Finds a line in one letter only, and puts its solutions into the rest.
    fn by_one_letter(
        &mut self,
        lines: &[Line],
        open: &[&String],
        letters: &[String],
        known: &Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        lines.iter().enumerate().find_map(|(at, line)| {
            let letter = line.symbols().into_iter().next().filter(|_| line.symbols().len() == 1)?;
            let letter = open.iter().find(|one| ***one == letter)?;
            let others = [&lines[..at], &lines[at + 1..]].concat();
            self.with_each(letter, values(line, letter)?, &others, letters, known, way)
        })
    }

    /// Combines the equations into simpler ones, or into one with a letter less.
    fn by_combination(
        &mut self,
        lines: &[Line],
        open: &[&String],
        letters: &[String],
        known: Values,
        way: Way,
    ) -> Option<Vec<Values>> {
        let (polys, _) = combined::polynomials(lines, self.budget)?;
        match way {
            Way::Plain => {
                let rows = combined::reduced(polys, self.budget).ok()?;
                // 0 = 1
                if rows.iter().any(|row| row.as_constant().is_some()) {
                    return Some(Vec::new());
                }
                let simpler: Vec<Line> = rows.iter().map(combined::is_zero).collect();
                self.solved(&simpler, letters, known, Way::Reduced)
            }
            Way::Reduced => {
                let ([a, b], [first, second]) = (&polys[..], open) else { return None };
                let joined = [second, first].into_iter().find_map(|letter| {
                    combined::without_letter(a, b, letter, self.budget).ok().flatten()
                })?;
                let more = [lines, &[combined::is_zero(&joined)]].concat();
                self.solved(&more, letters, known, Way::Joined)
            }
            Way::Joined => None,
        }
    }
}

/// The values of the only letter of a line, when they are finitely many.
fn values(line: &Line, letter: &str) -> Option<Vec<Quotient>> {
    match sets::solutions(line, letter) {
        Ok(Solutions::Finite(values)) => {
            Some(values.iter().map(|one| one.value().clone()).collect())
        }
        _ => None,
    }
}

/// A line with values put for letters; `None` where one is a number that cannot be written exactly.
fn put(line: &Line, known: &Values) -> Option<Line> {
    if known.is_empty() {
        return Some(line.clone());
    }
    let of_line = line.symbols();
    if known.iter().any(|(letter, value)| of_line.contains(letter) && value.is_written_near()) {
        return None;
    }
    Some(line.map(&mut |expr: &Expr| {
        expr.map(&mut |part| match &part.kind {
            ExprKind::Symbol(name) => known.get(name).map_or(part.clone(), Quotient::to_expr),
            _ => part,
        })
    }))
}
