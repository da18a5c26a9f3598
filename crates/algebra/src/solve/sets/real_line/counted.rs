//! Solutions that go on for ever, with a letter that counts them: `x = π/6 + 2πn`.

use super::{Critical, Formula, formula};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Atom, Normaliser, NotNormal, Poly, Quotient, Values, constant};
use crate::number::{Rational, from_int};
use std::collections::BTreeSet;

/// `x = π/6 + 2πn`, where the other letter stands for whole numbers.
pub(super) fn steps(line: &Line, letter: &str, budget: &mut Budget) -> Result<Formula, NotNormal> {
    steps_of(line, letter, false, budget)
}

/// The same; with `is_split`, even and odd values have been told apart already.
fn steps_of(
    line: &Line,
    letter: &str,
    is_split: bool,
    budget: &mut Budget,
) -> Result<Formula, NotNormal> {
    let (left, right) = line.as_equation().ok_or(NotNormal::NotCovered)?;
    let others = right.symbols();
    let mut others = others.iter();
    let (Some(other), None) = (others.next(), others.next()) else {
        return Err(NotNormal::NotCovered);
    };
    let is_solved = matches!(&left.kind, ExprKind::Symbol(name) if name == letter);
    if !is_solved || other == letter || !matches!(other.as_str(), "n" | "k" | "m") {
        return Err(NotNormal::NotCovered);
    }
    // `nπ + (-1)ⁿ π/6`: one progression for even n, and one for odd n.
    let is_sign = |part: &Expr| matches!(&part.kind, ExprKind::Power(_, exponent) if exponent.symbols().contains(other));
    if !is_split && right.any(&mut |part| is_sign(part)) {
        let twice = Expr::int(2).times(Expr::symbol(other));
        let each = [twice.clone(), twice.plus(Expr::int(1))].map(|n| {
            let right = right.with(other, &n);
            steps_of(&Line::equation(left.clone(), right), letter, true, budget)
        });
        return each.into_iter().collect::<Result<_, _>>().map(Formula::Any);
    }
    let none = Values::new();
    let whole = BTreeSet::from([other.clone()]);
    let value = Normaliser::new(&none, budget).knowing_whole(&whole).build(right)?;
    let parts = value.numerator().by_powers_of(&Atom::symbol(other));
    let [start, step] = &parts[..] else { return Err(NotNormal::NotCovered) };
    let below = value.denominator();
    if ![start, step, below].into_iter().all(Poly::is_constant) {
        return Err(NotNormal::NotCovered);
    }
    let over =
        |above: &Poly| Quotient::new(above.clone(), below.clone()).ok_or(NotNormal::Undefined);
    let (start, step) = (over(start)?.cancelled(budget)?, over(step)?.cancelled(budget)?);
    let step = match constant::sign(&step, budget) {
        Some(1) => step,
        Some(-1) => step.negated(),
        _ => return Err(NotNormal::NotCovered),
    };
    Ok(Formula::Steps { start, step })
}

/// Progressions that are one, or halves of one, put together: `2πn` and `π + 2πn` are `πn`.
fn merged(
    progressions: Vec<(Quotient, Quotient)>,
    budget: &mut Budget,
) -> Vec<(Quotient, Quotient)> {
    let half = Quotient::constant(Rational::new(1.into(), 2.into()));
    let mut found: Vec<(Quotient, Quotient)> = Vec::new();
    for (start, step) in progressions {
        let mut place = None;
        for (at, (first, size)) in found.iter().enumerate() {
            let apart = start.minus(first, budget).ok();
            let ratio = apart.and_then(|apart| {
                let by = size.reciprocal()?;
                apart.times(&by, budget).ok()?.cancelled(budget).ok()?.as_constant()
            });
            let same = size.minus(&step, budget).is_ok_and(|difference| difference.is_zero());
            match ratio.filter(|_| same) {
                Some(ratio) if ratio.is_integer() => place = Some((at, false)),
                Some(ratio) if (ratio.clone() * from_int(2)).is_integer() => {
                    place = Some((at, true));
                }
                _ => continue,
            }
            break;
        }
        match place {
            Some((_, false)) => {}
            Some((at, true)) => {
                if let Ok(step) = step.times(&half, budget) {
                    found[at].1 = step;
                }
            }
            None => found.push((start, step)),
        }
    }
    found
}

/// `x = π/6 + 2πn or x = 5π/6 + 2πn`: the solutions of an equation that repeats itself.
pub(crate) fn general_solution(line: &Line, letter: &str) -> Option<Line> {
    let mut budget = Budget::for_verdict();
    let budget = &mut budget;
    let formula = formula(line, letter, budget).ok()?;
    let mut critical = Critical::default();
    formula.critical(letter, &mut critical, budget).ok()?;
    if critical.once || !critical.zeros.points.is_empty() {
        return None;
    }
    let count = Expr::symbol(if letter == "n" { "k" } else { "n" });
    let mut lines: Vec<Line> = Vec::new();
    for (start, step) in merged(critical.zeros.progressions, budget) {
        let next = start.plus(&step, budget).ok()?;
        let holds =
            formula.holds(letter, &start, budget)? && formula.holds(letter, &next, budget)?;
        if !holds {
            continue;
        }
        let steps = step.to_expr().times(count.clone());
        let value = if start.is_zero() { steps } else { start.to_expr().plus(steps) };
        let line = Line::equation(Expr::symbol(letter), value);
        if !lines.contains(&line) {
            lines.push(line);
        }
    }
    match lines.len() {
        0 => None,
        1 => lines.pop(),
        _ => Some(Line::AnyOf(lines)),
    }
}
