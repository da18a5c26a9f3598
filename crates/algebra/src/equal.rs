//! Are two expressions equal? Proved equal, proved different at a point, or left open.
//!
//! The order of proof: the same tree; the exact normal form (a difference of zero is a proof); exact
//! values at points in the order 0, 1, -1, 2, -2, 1/2, ... (a difference that is not zero is a proof).
//! Nothing here uses floating point.

use crate::budget::{self, Budget};
use crate::expr::{Expr, ExprKind};
use crate::normal::{
    Assignment, Atom, KernelKind, Normaliser, NotNormal, Poly, Quotient, Univariate,
};
use crate::number::{Rational, from_int};
use num_traits::Signed;

/// What an exact comparison found, with its evidence.
#[derive(Debug, Clone, PartialEq, Eq)]
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
pub enum Verdict {
    /// Equal wherever both sides are defined; `provided` lists what that excludes.
    Equal { provided: Vec<Condition> },
    /// Different at this point.
    Different(Counterexample),
    /// There is no point at which both are defined.
    NeverDefined,
    /// Not settled within the limits: never rounded to yes or no.
    Undecided,
}

/// What must hold for a comparison to hold.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Condition {
    /// The letter may not have this value.
    Not { letter: String, value: Rational },
    /// This may not be zero.
    NotZero(Expr),
    /// This may not be negative.
    NotNegative(Expr),
    /// This must be positive.
    Positive(Expr),
}

/// A point that shows a difference, with what stands on each side there.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Counterexample {
    /// The values of the letters; empty when there are none.
    pub at: Assignment,
    /// The exact value of the left side, or the truth of the left line.
    pub left: Shown,
    /// The exact value of the right side, or the truth of the right line.
    pub right: Shown,
}

/// A value of an expression, or the truth of a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Shown {
    /// An exact value.
    Value(Expr),
    /// Whether the line is true.
    Truth(bool),
}

/// The first numbers tried: small and easy to check by hand.
pub(crate) fn trial_numbers() -> impl Iterator<Item = Rational> {
    let half = Rational::new(1.into(), 2.into());
    let first = [0, 1, -1, 2, -2].map(from_int).into_iter();
    let later = (3..=30).flat_map(|n| [from_int(n), from_int(-n)]);
    first.chain([half.clone(), -half]).chain(later)
}

/// Points for several letters: those with small entries first, each once.
pub(crate) fn trial_points(letters: &[String]) -> Vec<Assignment> {
    if letters.is_empty() {
        return vec![Assignment::new()];
    }
    let numbers: Vec<Rational> = trial_numbers().collect();
    let mut found = Vec::new();
    // Shell k holds the tuples whose largest index is k.
    for shell in 0..numbers.len() {
        let mut indices = vec![0usize; letters.len()];
        loop {
            if indices.contains(&shell) {
                let values = indices.iter().map(|&i| numbers[i].clone());
                found.push(letters.iter().cloned().zip(values).collect());
                if found.len() >= budget::POINTS {
                    return found;
                }
            }
            let Some(at) = indices.iter().rposition(|&i| i < shell) else { break };
            indices[at] += 1;
            indices[at + 1..].fill(0);
            if letters.len() > 12 {
                break;
            }
        }
    }
    found
}

/// The exact value of `expr` where the letters have the values `at`.
///
/// # Errors
/// [`NotNormal::Undefined`] where it has no value; otherwise why the value is not known.
pub(crate) fn value_at(
    expr: &Expr,
    at: &Assignment,
    budget: &mut Budget,
) -> Result<Quotient, NotNormal> {
    let mut normaliser = Normaliser::new(at, budget);
    let value = normaliser.build(expr)?;
    let known = |needed: &Quotient| needed.as_constant().ok_or(NotNormal::NotCovered);
    for needed in &normaliser.not_negative {
        if known(needed)?.is_negative() {
            return Err(NotNormal::Undefined);
        }
    }
    for needed in &normaliser.positive {
        if !known(needed)?.is_positive() {
            return Err(NotNormal::Undefined);
        }
    }
    Ok(value)
}

/// Whether `poly` is certainly not zero: its atoms have no relations that the normal form missed.
pub(crate) fn is_surely_not_zero(poly: &Poly) -> bool {
    let mut constants = 0;
    let independent = poly.atoms().into_iter().all(|atom| match atom {
        Atom::Symbol(_) => false,
        Atom::Constant(_) => {
            constants += 1;
            true
        }
        Atom::Kernel(kernel) => kernel.kind == KernelKind::PrimeRoot,
    });
    !poly.is_zero() && independent && constants <= 1
}

/// Compares two expressions wherever both are defined.
#[must_use]
pub fn equal(left: &Expr, right: &Expr) -> Verdict {
    if left == right {
        return Verdict::Equal { provided: Vec::new() };
    }
    if let (ExprKind::Ratio(a), ExprKind::Ratio(b)) = (&left.kind, &right.kind)
        && (a.len() > 2 || b.len() > 2)
    {
        return ratios(a, b);
    }
    let mut budget = Budget::for_verdict();
    let none = Assignment::new();
    let mut forms = Normaliser::new(&none, &mut budget);
    let built = forms.build(left).and_then(|l| Ok((l, forms.build(right)?)));
    let needs = (forms.not_zero, forms.not_negative, forms.positive);
    match built {
        Err(NotNormal::Undefined) => return Verdict::NeverDefined,
        Ok((l, r)) => {
            if let Ok(difference) = l.minus(&r, &mut budget)
                && difference.is_zero()
            {
                return proved(left, right, needs);
            }
        }
        Err(NotNormal::Spent | NotNormal::NotCovered) => {}
    }
    match counterexample(left, right) {
        Some(found) => Verdict::Different(found),
        None => Verdict::Undecided,
    }
}

type Needs = (Vec<Quotient>, Vec<Quotient>, Vec<Quotient>);

/// The normal forms agree: told with what is excluded, once there is a place where both are defined.
fn proved(left: &Expr, right: &Expr, (not_zero, not_negative, positive): Needs) -> Verdict {
    if !(not_negative.is_empty() && positive.is_empty()) {
        let common = letters_of(&[left, right]);
        let mut budget = Budget::for_verdict();
        let mut defined = |at: &Assignment| {
            value_at(left, at, &mut budget).is_ok() && value_at(right, at, &mut budget).is_ok()
        };
        let places = trial_points(&common).iter().filter(|at| defined(at)).take(2).count();
        if places < 2.min(common.len() + 1) {
            return Verdict::Undecided;
        }
    }
    if !not_zero.iter().all(is_somewhere_not_zero) {
        return Verdict::Undecided;
    }
    let mut provided = Vec::new();
    let mut tell = |condition: Condition| {
        if !provided.contains(&condition) {
            provided.push(condition);
        }
    };
    for needed in not_zero {
        exclusions(&needed).into_iter().for_each(&mut tell);
    }
    for needed in not_negative {
        tell(Condition::NotNegative(needed.to_expr()));
    }
    for needed in positive {
        tell(Condition::Positive(needed.to_expr()));
    }
    Verdict::Equal { provided }
}

/// Whether a denominator is proved not to vanish everywhere: a polynomial in letters, π, e and square
/// roots is not zero when its normal form is not; anything else must be seen not to be at some point.
fn is_somewhere_not_zero(needed: &Quotient) -> bool {
    let free = |atom: &&Atom| matches!(atom, Atom::Symbol(_));
    let poly = needed.numerator();
    if poly.atoms().iter().all(free) || is_surely_not_zero(poly) {
        return true;
    }
    let letters: Vec<String> = needed.symbols().into_iter().collect();
    let (expr, mut budget) = (needed.to_expr(), Budget::for_verdict());
    let points = trial_points(&letters);
    points.iter().any(|at| {
        value_at(&expr, at, &mut budget).is_ok_and(|value| is_surely_not_zero(value.numerator()))
    })
}

/// "This is not zero", as values that a single letter may not have where those are rational.
pub(crate) fn exclusions(needed: &Quotient) -> Vec<Condition> {
    let symbols: Vec<String> = needed.symbols().into_iter().collect();
    let poly = needed.numerator();
    if let [letter] = &symbols[..] {
        let mut budget = Budget::for_verdict();
        let roots = Univariate::from_poly(poly, letter).and_then(|p| {
            let all = p.square_free(&mut budget).ok()?.count_roots(&mut budget).ok()?;
            p.rational_roots().filter(|roots| roots.len() == all)
        });
        if let Some(roots) = roots {
            let not = |value| Condition::Not { letter: letter.clone(), value };
            return roots.into_iter().map(not).collect();
        }
    }
    if symbols.is_empty() && is_surely_not_zero(poly) {
        return Vec::new();
    }
    vec![Condition::NotZero(poly.to_expr())]
}

fn letters_of(parts: &[&Expr]) -> Vec<String> {
    let all: std::collections::BTreeSet<String> = parts.iter().flat_map(|p| p.symbols()).collect();
    all.into_iter().collect()
}

fn counterexample(left: &Expr, right: &Expr) -> Option<Counterexample> {
    let letters = letters_of(&[left, right]);
    let mut budget = Budget::for_verdict();
    for at in trial_points(&letters) {
        let Ok(l) = value_at(left, &at, &mut budget) else { continue };
        let Ok(r) = value_at(right, &at, &mut budget) else { continue };
        let Ok(difference) = l.minus(&r, &mut budget) else { continue };
        if is_surely_not_zero(difference.numerator()) {
            let (left, right) = (Shown::Value(l.to_expr()), Shown::Value(r.to_expr()));
            return Some(Counterexample { at, left, right });
        }
    }
    None
}

/// Ratios of three and more terms are equal when every term stands to the first in the same ratio.
fn ratios(a: &[Expr], b: &[Expr]) -> Verdict {
    if a.len() != b.len() {
        return Verdict::Undecided;
    }
    let mut all = Vec::new();
    for (x, y) in a.iter().zip(b).skip(1) {
        let left = x.clone().times(b[0].clone());
        let right = y.clone().times(a[0].clone());
        match equal(&left, &right) {
            Verdict::Equal { provided } => all.extend(provided),
            Verdict::Different(mut found) => {
                let pair = |p: &Expr, q: &Expr| {
                    Shown::Value(ExprKind::Ratio(vec![p.clone(), q.clone()]).into())
                };
                (found.left, found.right) = (pair(&a[0], x), pair(&b[0], y));
                return Verdict::Different(found);
            }
            other => return other,
        }
    }
    Verdict::Equal { provided: all }
}
