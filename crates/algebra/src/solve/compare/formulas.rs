//! Formulas compared for one letter at generic values of the others, where roots, powers or functions of
//! the letter take part, or assumptions decide which of several values is meant.

mod one_kernel;
mod one_to_one;

use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::equal::equal_given;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, NotNormal, Quotient, Values};
use crate::number::from_int;
use crate::solve::compare::isolate::isolate;
use crate::solve::compare::literal::Comparison;
use crate::solve::sets;
use crate::verdict::{Condition, Counterexample, Shown, Verdict};

/// Values that are put for the other letters when a difference is looked for: no two alike, none special.
const GENERIC: [i64; 8] = [2, 3, 5, 7, 11, 13, 17, 19];

/// The values that a line gives to `letter`: the right sides of a solved line, or the candidates of an
/// equation that satisfy it.
fn values(
    line: &Line,
    letter: &str,
    assumed: &Assumptions,
    budget: &mut Budget,
) -> Result<Vec<Expr>, NotNormal> {
    if let Line::AnyOf(lines) = line {
        let mut all = Vec::new();
        for line in lines {
            all.extend(values(line, letter, assumed, budget)?);
        }
        return Ok(all);
    }
    let (left, right) = line.as_equation().ok_or(NotNormal::NotCovered)?;
    let is_solved = matches!(&left.kind, ExprKind::Symbol(name) if name == letter);
    if is_solved && !right.symbols().contains(letter) {
        return Ok(vec![right.clone()]);
    }
    let none = Values::new();
    let mut forms = Normaliser::new(&none, budget);
    let (l, r) = (forms.build(left)?, forms.build(right)?);
    let difference = l.minus(&r, budget)?;
    let mut found: Vec<Expr> = Vec::new();
    for candidate in isolate(difference.numerator(), letter, budget)? {
        let candidate = candidate.to_expr();
        let mut fitting = None;
        for candidate in with_bare_logarithms(&candidate) {
            let (left, right) = (left.with(letter, &candidate), right.with(letter, &candidate));
            match equal_given(&left, &right, assumed) {
                Verdict::Equal { .. } => {
                    fitting = Some(candidate);
                    break;
                }
                Verdict::Different(_) | Verdict::NeverDefined => {}
                _ => return Err(NotNormal::NotCovered),
            }
        }
        let Some(candidate) = fitting else { continue };
        let known = found
            .iter()
            .any(|other| matches!(equal_given(other, &candidate, assumed), Verdict::Equal { .. }));
        if !known {
            found.push(candidate);
        }
    }
    Ok(without_negative_ones(found, letter, assumed))
}

/// The values of `letter` that a formula gives, in terms of the other letters; `None` when they are not found.
#[must_use]
pub fn formula_values(line: &Line, letter: &str, assumed: &Assumptions) -> Option<Vec<Expr>> {
    let mut found = values(line, letter, assumed, &mut Budget::for_verdict()).ok()?;
    if assumed.all_positive {
        found = found.iter().map(|value| value.map(&mut without_bars)).collect();
    }
    Some(found)
}

/// An expression, and the same with `ln a` or `ln(-a)` for each `ln|a|` in it: `y = e^x` has the solution ln y,
/// which is less than ln|y|.
fn with_bare_logarithms(expr: &Expr) -> Vec<Expr> {
    const MOST: usize = 3;
    let mut insides: Vec<Expr> = Vec::new();
    expr.any(&mut |part| {
        insides.extend(size_in_logarithm(part).filter(|inside| !insides.contains(inside)).cloned());
        false
    });
    let mut found = vec![expr.clone()];
    if insides.is_empty() || insides.len() > MOST {
        return found;
    }
    for signs in 0..1u32 << insides.len() {
        found.push(expr.map(&mut |part| {
            let Some(inside) = size_in_logarithm(&part) else { return part };
            let is_turned =
                insides.iter().position(|one| one == inside).is_some_and(|at| signs >> at & 1 == 1);
            let inside = inside.clone();
            let arguments = vec![if is_turned { inside.negative() } else { inside }];
            Expr::at(ExprKind::Call { function: Function::Ln, arguments }, part.span)
        }));
    }
    found
}

/// The `a` of `ln|a|`.
fn size_in_logarithm(part: &Expr) -> Option<&Expr> {
    let ExprKind::Call { function: Function::Ln, arguments } = &part.kind else { return None };
    match &arguments[..] {
        [Expr { kind: ExprKind::Absolute(inside), .. }] => Some(inside),
        _ => None,
    }
}

/// The bars around a product of positive letters are of no use.
fn without_bars(part: Expr) -> Expr {
    let is_product = |e: &Expr| {
        !e.any(&mut |p| {
            matches!(p.kind, ExprKind::Add(..) | ExprKind::Subtract(..) | ExprKind::Negative(_))
        })
    };
    match part.kind {
        ExprKind::Absolute(inside) if is_product(&inside) => *inside,
        kind => Expr::at(kind, part.span),
    }
}

/// Without the values that are never positive although the letter is assumed to be: `-√(a² + b²)` for a length.
/// Where the letter may be zero, such a value is left out only beside the same value with the other sign, which
/// is zero where it is.
fn without_negative_ones(values: Vec<Expr>, letter: &str, assumed: &Assumptions) -> Vec<Expr> {
    let sign = assumed.sign_of(letter);
    let same = |a: &Expr, b: &Expr| matches!(equal_given(a, b, assumed), Verdict::Equal { .. });
    let is_ruled_out = |value: &Expr| {
        let size: Expr = ExprKind::Absolute(Box::new(value.clone())).into();
        same(value, &size.negative())
            && (sign == Some(Relation::Greater)
                || values
                    .iter()
                    .any(|other| other != value && same(other, &value.clone().negative())))
    };
    if sign.is_none() {
        return values;
    }
    values.iter().filter(|value| !is_ruled_out(value)).cloned().collect()
}

/// Compares two lines for `letter`.
///
/// # Errors
/// [`NotNormal`] when neither a proof nor a difference was found.
pub(crate) fn compare_for(
    from: &Line,
    to: &Line,
    letter: &str,
    assumed: &Assumptions,
) -> Result<Comparison, NotNormal> {
    let mut budget = Budget::for_verdict();
    let sets = values(from, letter, assumed, &mut budget)
        .and_then(|before| Ok((before, values(to, letter, assumed, &mut budget)?)));
    if let Ok((before, after)) = sets {
        let mut provided: Vec<Condition> = Vec::new();
        let mut covered = |some: &[Expr], others: &[Expr]| {
            some.iter().all(|one| {
                others.iter().any(|other| match equal_given(one, other, assumed) {
                    Verdict::Equal { provided: needs } => {
                        provided.extend(needs);
                        true
                    }
                    _ => false,
                })
            })
        };
        if !before.is_empty() && covered(&before, &after) && covered(&after, &before) {
            let mut told: Vec<Condition> = Vec::new();
            for condition in provided {
                if !told.contains(&condition) {
                    told.push(condition);
                }
            }
            return Ok(Comparison::Same(told));
        }
    }
    let found = one_to_one::same_value(from, to, letter, assumed, &mut budget)
        .or_else(|| one_kernel::same_value(from, to, letter, &mut budget));
    if let Some(provided) = found {
        return Ok(Comparison::Same(provided));
    }
    if let Some(found) = apart(from, to, letter, assumed) {
        return Ok(Comparison::Different(found));
    }
    // What is the same without bounds on the letters is the same within them.
    if assumed.whole.is_empty() && !assumed.is_empty() {
        let found = compare_for(from, to, letter, &Assumptions::default())?;
        if matches!(found, Comparison::Same(_)) {
            return Ok(found);
        }
    }
    Err(NotNormal::NotCovered)
}

/// A difference that shows at two unrelated choices of the other letters.
fn apart(from: &Line, to: &Line, letter: &str, assumed: &Assumptions) -> Option<Counterexample> {
    let mut others: Vec<String> = from.symbols().union(&to.symbols()).cloned().collect();
    others.retain(|other| other != letter);
    if others.len() > 5 {
        return None;
    }
    let mut shown = None;
    let mut seen = 0;
    for shift in 0..6 {
        let chosen: Values = others
            .iter()
            .enumerate()
            .map(|(at, name)| {
                let value = from_int(GENERIC[(at * 3 + shift) % GENERIC.len()]);
                // Sines have small values only.
                let value = if shift % 2 == 1 { value.recip() } else { value };
                (name.clone(), Quotient::constant(value))
            })
            .collect();
        let put = |line: &Line| {
            line.map(&mut |expr: &Expr| {
                expr.map(&mut |part| match &part.kind {
                    ExprKind::Symbol(name) => {
                        chosen.get(name).map_or(part.clone(), Quotient::to_expr)
                    }
                    _ => part,
                })
            })
        };
        let (from, to) = (put(from), put(to));
        // Where one side has no value at all, nothing is shown.
        let Ok(Some(found)) = sets::differences(&from, &to, letter, assumed) else { continue };
        let value = match (&found.counterexample, found.lost.first(), found.gained.first()) {
            (Some(example), ..) => example
                .at
                .get(letter)
                .cloned()
                .map(|value| (value, example.left == Shown::Truth(true))),
            (None, Some(lost), _) => Some((lost.value().clone(), true)),
            (None, None, Some(gained)) => Some((gained.value().clone(), false)),
            _ => None,
        };
        let Some((value, before)) = value else { continue };
        seen += 1;
        let mut at = chosen;
        at.insert(letter.to_owned(), value);
        let (left, right) = (Shown::Truth(before), Shown::Truth(!before));
        shown.get_or_insert(Counterexample { at, left, right });
        if seen == 2 {
            return shown;
        }
    }
    None
}
