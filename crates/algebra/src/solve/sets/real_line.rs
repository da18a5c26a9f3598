//! The truth of lines in one unknown where roots, absolute values, exponentials, logarithms or circular
//! functions take part.
//!
//! The values at which anything in the lines may change sign or stop being defined are found exactly
//! (see `zeros`). Between two neighbours among them every relation keeps its truth, so one look at each
//! value and one between each two decides the lines everywhere. Where the values go on for ever in equal
//! steps, one whole period is looked at.

mod counted;
mod periods;

pub(crate) use counted::general_solution;
pub(super) use periods::members;

use crate::assume::is_true;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{Knowledge, Normaliser, NotNormal, Quotient, Values, constant, refine};
use crate::number::Rational;
use crate::solve::Solution;
use crate::solve::sets::interval::Builder;
use crate::solve::sets::real;
use crate::solve::sets::sign_chart::{Differences, Solutions};
use crate::solve::sets::zeros::{Zeros, zeros};
use crate::verdict::{Counterexample, Shown};
use counted::steps;
use num_traits::Signed;
use periods::{common_period, periods};
use std::cmp::Ordering;

/// Most values looked at for one question.
const VALUES: usize = 400;

/// What a line says, ready to be looked at value by value.
enum Formula {
    Relation(Line),
    /// `x = start + n·step` for any whole number `n`.
    Steps {
        start: Quotient,
        step: Quotient,
    },
    All(Vec<Formula>),
    Any(Vec<Formula>),
    Always(bool),
}

/// Where the truth of a line may change.
#[derive(Default)]
struct Critical {
    zeros: Zeros,
    /// The line repeats itself after each of these.
    periods: Vec<Quotient>,
    /// The letter stands outside sines and cosines too, so that the line does not repeat itself.
    once: bool,
}

fn formula(line: &Line, letter: &str, budget: &mut Budget) -> Result<Formula, NotNormal> {
    let parts = |lines: &[Line], budget: &mut Budget| {
        lines.iter().map(|line| formula(line, letter, budget)).collect::<Result<Vec<_>, _>>()
    };
    Ok(match line {
        Line::AnyOf(lines) => Formula::Any(parts(lines, budget)?),
        Line::AllOf(lines) => Formula::All(parts(lines, budget)?),
        Line::NoSolution => Formula::Always(false),
        Line::AllReals => Formula::Always(true),
        Line::Relations { relations, .. } => {
            if relations.contains(&Relation::Approximate) {
                return Err(NotNormal::NotCovered);
            }
            if line.symbols().iter().all(|l| l == letter) {
                let mut all: Vec<Formula> = moving_bases(line, letter)
                    .into_iter()
                    .map(|base| Line::Relations {
                        sides: vec![base, Expr::int(0)],
                        relations: vec![Relation::Greater],
                    })
                    .map(Formula::Relation)
                    .collect();
                all.push(Formula::Relation(line.clone()));
                Formula::All(all)
            } else {
                steps(line, letter, budget)?
            }
        }
        Line::Set(pieces) => {
            let letter_alone = Expr::symbol(letter);
            let lines: Vec<Line> = pieces.iter().map(|p| p.of_letter(&letter_alone)).collect();
            Formula::Any(parts(&lines, budget)?)
        }
        Line::Expression(_)
        | Line::Sentence(_)
        | Line::Definition { .. }
        | Line::Rounded(_)
        | Line::Point(_) => {
            return Err(NotNormal::NotCovered);
        }
    })
}

/// The bases that move together with their exponents, as in `xˣ`, and those that are negative below an exponent that
/// moves: such a power has a positive base.
fn moving_bases(line: &Line, letter: &str) -> Vec<Expr> {
    let mut found: Vec<Expr> = Vec::new();
    for side in line.expressions() {
        side.any(&mut |part| {
            if let ExprKind::Power(base, exponent) = &part.kind
                && exponent.symbols().contains(letter)
                && (base.symbols().contains(letter)
                    || base.as_plain_number().is_some_and(|base| base.is_negative()))
                && !found.contains(base)
            {
                found.push((**base).clone());
            }
            false
        });
    }
    found
}

impl Formula {
    fn critical(
        &self,
        letter: &str,
        found: &mut Critical,
        budget: &mut Budget,
    ) -> Result<(), NotNormal> {
        match self {
            Self::Always(_) => Ok(()),
            Self::All(parts) | Self::Any(parts) => {
                parts.iter().try_for_each(|part| part.critical(letter, found, budget))
            }
            Self::Steps { start, step } => {
                found.zeros.progressions.push((start.clone(), step.clone()));
                found.periods.push(step.clone());
                Ok(())
            }
            Self::Relation(line) => relation(line, letter, found, budget),
        }
    }

    /// Whether it is true at a value; `None` when that cannot be told.
    fn holds(&self, letter: &str, value: &Quotient, budget: &mut Budget) -> Option<bool> {
        match self {
            Self::Always(truth) => Some(*truth),
            Self::Any(parts) => {
                let all: Vec<_> = parts.iter().map(|p| p.holds(letter, value, budget)).collect();
                if all.contains(&Some(true)) {
                    return Some(true);
                }
                (!all.contains(&None)).then_some(false)
            }
            Self::All(parts) => {
                let all: Vec<_> = parts.iter().map(|p| p.holds(letter, value, budget)).collect();
                if all.contains(&Some(false)) {
                    return Some(false);
                }
                (!all.contains(&None)).then_some(true)
            }
            Self::Steps { start, step } => {
                let by = step.reciprocal()?;
                let times = value.minus(start, budget).ok()?.times(&by, budget).ok()?;
                let near = constant::enclose(&times, 64, budget)?.low().round();
                let rest = times.minus(&Quotient::constant(near), budget).ok()?;
                Some(constant::sign(&rest, budget)? == 0)
            }
            Self::Relation(line) => {
                let at = Values::from([(letter.to_owned(), value.clone())]);
                is_true(line, &at, budget)
            }
        }
    }
}

fn relation(
    line: &Line,
    letter: &str,
    found: &mut Critical,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    let Line::Relations { sides, relations } = line else { return Err(NotNormal::NotCovered) };
    let is_equation = relations.iter().all(|relation| *relation == Relation::Equal);
    for pair in sides.windows(2) {
        let none = Values::new();
        let mut forms = Normaliser::new(&none, budget);
        let built = forms.build(&pair[0]).and_then(|l| Ok((l, forms.build(&pair[1])?)));
        let needs = forms.needs;
        let (l, r) = match built {
            Err(NotNormal::Undefined) => continue,
            other => other?,
        };
        // Of factorials a look between two values tells nothing about the whole numbers there; an equation has
        // none where nothing is zero.
        if !needs.whole.is_empty() && !is_equation {
            return Err(NotNormal::NotCovered);
        }
        let difference = l.minus(&r, budget)?;
        let mut all = vec![difference];
        all.extend(needs.not_zero.iter().cloned());
        all.extend(needs.not_negative.iter().chain(&needs.positive).cloned());
        let needs_whole = needs.whole;
        let mut not_negative = needs.not_negative;
        not_negative.extend(needs.positive.iter().cloned());
        // The zeros of what is needed are looked at as well.
        let (positive, not_zero) = (needs.positive, needs.not_zero);
        let knowledge = Knowledge { not_negative, positive, not_zero, but_for_points: true };
        for value in &all {
            for poly in [value.numerator(), value.denominator()] {
                periods(poly, letter, found, budget)?;
                let refined = refine(poly, &knowledge, budget)?;
                // (n + 1)! = (n + 1) n! holds for every whole number, which no look between two values shows.
                if !needs_whole.is_empty() && refined.is_zero() {
                    return Err(NotNormal::NotCovered);
                }
                for poly in [refined.numerator(), refined.denominator()] {
                    let more = zeros(poly, letter, &knowledge.not_negative, budget)?;
                    found.zeros.points.extend(more.points);
                    found.zeros.progressions.extend(more.progressions);
                }
            }
        }
    }
    Ok(())
}

/// The values looked at, in order, each with whether it is one at which something happens or one that
/// stands for the gap in which it lies.
struct Row {
    cells: Vec<(Quotient, bool)>,
    /// Whether the cells are one period of something that goes on for ever.
    repeats: bool,
    /// Whether what is true of the cells is true of the whole line.
    is_whole: bool,
}

/// The bounds that assumptions set to the letter.
fn bounds(assumed: &[Line], letter: &str, budget: &mut Budget) -> Option<(Quotient, Quotient)> {
    let none = Values::new();
    let (mut low, mut high) = (None, None);
    for line in assumed {
        let Line::Relations { sides, relations } = line else { continue };
        for (pair, relation) in sides.windows(2).zip(relations) {
            let is_letter =
                |side: &Expr| matches!(&side.kind, ExprKind::Symbol(name) if name == letter);
            let (value, relation) = if is_letter(&pair[1]) {
                (&pair[0], relation.turned())
            } else if is_letter(&pair[0]) {
                (&pair[1], *relation)
            } else {
                continue;
            };
            let Ok(value) = Normaliser::new(&none, budget).build(value) else { continue };
            if !value.is_constant() {
                continue;
            }
            match relation {
                Relation::Less | Relation::LessOrEqual => high = Some(value),
                Relation::Greater | Relation::GreaterOrEqual => low = Some(value),
                _ => {}
            }
        }
    }
    Some((low?, high?))
}

impl Row {
    fn of(
        formulas: &[&Formula],
        letter: &str,
        assumed: &[Line],
        budget: &mut Budget,
    ) -> Result<Self, NotNormal> {
        let mut critical = Critical::default();
        for formula in formulas {
            formula.critical(letter, &mut critical, budget)?;
        }
        let Critical { zeros, periods, once } = critical;
        let mut points = zeros.points;
        let (mut repeats, mut window) = (false, None);
        if !zeros.progressions.is_empty() {
            let (low, high) = match bounds(assumed, letter, budget) {
                Some(bounds) => bounds,
                None => {
                    repeats = true;
                    let mut all = periods;
                    all.extend(zeros.progressions.iter().map(|(_, step)| step.clone()));
                    let period = common_period(&all, budget)?;
                    // A second period shows a finite list of solutions to be finite.
                    (Quotient::default(), period.scaled(if once { 2 } else { 1 }))
                }
            };
            for progression in &zeros.progressions {
                points.extend(members(progression, (&low, &high), budget)?);
            }
            points.extend([low.clone(), high.clone()]);
            window = Some((low, high));
        }
        if points.len() > VALUES {
            return Err(NotNormal::Spent);
        }
        let points = real::sorted(points, budget).ok_or(NotNormal::NotCovered)?;
        let cells = cells(points, repeats.then_some(window).flatten(), budget)?;
        Ok(Self { cells, repeats, is_whole: !repeats || !once })
    }
}

/// Points and the gaps between them; with a window, only the gaps inside it.
fn cells(
    points: Vec<Quotient>,
    window: Option<(Quotient, Quotient)>,
    budget: &mut Budget,
) -> Result<Vec<(Quotient, bool)>, NotNormal> {
    let (Some(first), Some(last)) = (points.first().cloned(), points.last().cloned()) else {
        return Ok(vec![(Quotient::default(), false)]);
    };
    let number =
        |value: Option<Rational>| value.map(Quotient::constant).ok_or(NotNormal::NotCovered);
    let mut found = Vec::with_capacity(2 * points.len() + 1);
    if window.is_none() {
        found.push((number(real::beyond(&first, false, budget))?, false));
    }
    let mut before: Option<Quotient> = None;
    for point in points {
        if let Some(before) = &before {
            let inside = match &window {
                None => true,
                Some((low, high)) => {
                    real::compare(before, low, budget) != Some(Ordering::Less)
                        && real::compare(&point, high, budget) != Some(Ordering::Greater)
                }
            };
            if inside {
                found.push((number(real::between(before, &point, budget))?, false));
            }
        }
        before = Some(point.clone());
        found.push((point, true));
    }
    if window.is_none() {
        found.push((number(real::beyond(&last, true, budget))?, false));
    }
    Ok(found)
}

/// The solutions of a line in the one unknown `letter`, under assumptions about it.
///
/// # Errors
/// [`NotNormal`] when they could not be found.
pub(crate) fn solutions(
    line: &Line,
    letter: &str,
    assumed: &[Line],
) -> Result<Solutions, NotNormal> {
    let mut budget = Budget::for_verdict();
    let budget = &mut budget;
    let formula = formula(line, letter, budget)?;
    let row = Row::of(&[&formula], letter, assumed, budget)?;
    let mut set = Builder::default();
    let (mut points, mut has_gap, mut all) = (Vec::new(), false, true);
    for (value, is_point) in &row.cells {
        let truth = formula.holds(letter, value, budget).ok_or(NotNormal::NotCovered)?;
        all &= truth;
        has_gap |= truth && !is_point;
        if *is_point {
            set.point(value, truth);
            points.extend(truth.then(|| value.clone()));
        } else {
            set.gap(truth);
        }
    }
    if all && row.is_whole {
        return Ok(Solutions::AllReals);
    }
    let none = row.is_whole && points.is_empty() && !has_gap;
    if row.repeats && !none {
        return Ok(Solutions::Repeating);
    }
    if has_gap {
        return Ok(Solutions::Intervals(set.finish()));
    }
    let all = points.iter().map(Solution::of).collect::<Option<_>>();
    all.map(Solutions::Finite).ok_or(NotNormal::NotCovered)
}

/// Compares two lines in the one unknown `letter`. `None` when they have the same solutions.
///
/// # Errors
/// As [`solutions`].
pub(crate) fn differences(
    from: &Line,
    to: &Line,
    letter: &str,
    assumed: &[Line],
) -> Result<Option<Differences>, NotNormal> {
    let mut budget = Budget::for_verdict();
    let budget = &mut budget;
    let from = formula(from, letter, budget)?;
    let to = formula(to, letter, budget)?;
    let row = Row::of(&[&from, &to], letter, assumed, budget)?;
    let mut found = Differences::default();
    let (mut shown, mut many) = (None, row.repeats);
    for (value, is_point) in &row.cells {
        let before = from.holds(letter, value, budget).ok_or(NotNormal::NotCovered)?;
        let after = to.holds(letter, value, budget).ok_or(NotNormal::NotCovered)?;
        if before == after {
            continue;
        }
        if shown.is_none() {
            shown = Some((value.clone(), before));
        }
        if *is_point {
            let side = if before { &mut found.lost } else { &mut found.gained };
            side.push(Solution::of(value).ok_or(NotNormal::NotCovered)?);
        } else {
            many = true;
        }
    }
    let Some((value, before)) = shown else {
        return if row.is_whole { Ok(None) } else { Err(NotNormal::NotCovered) };
    };
    if many {
        let value = first_apart(&from, &to, letter, budget).unwrap_or((value, before));
        let at = Values::from([(letter.to_owned(), value.0)]);
        let (left, right) = (Shown::Truth(value.1), Shown::Truth(!value.1));
        found = Differences {
            counterexample: Some(Counterexample { at, left, right }),
            ..Differences::default()
        };
    }
    Ok(Some(found))
}

/// The first of the usual numbers at which one line is true and the other is not.
fn first_apart(
    from: &Formula,
    to: &Formula,
    letter: &str,
    budget: &mut Budget,
) -> Option<(Quotient, bool)> {
    crate::trial::trial_numbers().take(12).find_map(|number| {
        let value = Quotient::constant(number);
        let before = from.holds(letter, &value, budget)?;
        let after = to.holds(letter, &value, budget)?;
        (before != after).then_some((value, before))
    })
}
