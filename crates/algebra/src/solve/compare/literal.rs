//! Equations in several letters: solved for one of them where it stands to the first power, or
//! compared as relations in all letters.

use crate::budget::{Budget, Spent};
use crate::equal::{exclusions, value_at};
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::{Atom, Normaliser, NotNormal, Poly, Quotient, Values};
use crate::trial::trial_points;
use crate::verdict::{Condition, Counterexample, Shown};
use num_traits::Zero;

/// An equation as `poly = 0`, with what may not be zero.
pub(crate) struct Relation {
    poly: Poly,
    not_zero: Vec<Quotient>,
}

impl Relation {
    /// # Errors
    /// [`NotNormal`] when it is no quotient of polynomials.
    pub fn of(left: &Expr, right: &Expr, budget: &mut Budget) -> Result<Self, NotNormal> {
        let none = Values::new();
        let mut forms = Normaliser::new(&none, budget);
        let (l, r) = (forms.build(left)?, forms.build(right)?);
        if !forms.needs.is_rational() {
            return Err(NotNormal::NotCovered);
        }
        let not_zero = forms.needs.not_zero;
        let difference = l.minus(&r, budget)?;
        let only_letters = |poly: &Poly| poly.atoms().iter().all(|a| matches!(a, Atom::Symbol(_)));
        let plain = not_zero.iter().all(|q| only_letters(q.numerator()));
        if !plain || !only_letters(difference.numerator()) {
            return Err(NotNormal::NotCovered);
        }
        Ok(Self { poly: difference.numerator().clone(), not_zero })
    }

    /// The value of `letter` in terms of the others, and the coefficient that may not be zero.
    fn solved_for(&self, letter: &str) -> Option<(Quotient, Poly)> {
        let by_power = self.poly.by_powers_of(&Atom::symbol(letter));
        match &by_power[..] {
            [rest, factor] => {
                Some((Quotient::new(rest.negated(), factor.clone())?, factor.clone()))
            }
            _ => None,
        }
    }

    fn conditions(&self) -> impl Iterator<Item = Condition> + '_ {
        self.not_zero.iter().flat_map(exclusions)
    }
}

/// What two equations in several letters have to do with each other.
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
pub(crate) enum Comparison {
    Same(Vec<Condition>),
    Different(Counterexample),
    Open,
}

/// Compares for `letter`, at generic values of the others.
pub(crate) fn compare_for(
    from: &Relation,
    to: &Relation,
    letter: &str,
) -> Result<Comparison, Spent> {
    let mut budget = Budget::for_verdict();
    let Some((before, factor)) = from.solved_for(letter) else { return Ok(Comparison::Open) };
    let Some((after, other)) = to.solved_for(letter) else { return Ok(Comparison::Open) };
    let difference = before.minus(&after, &mut budget)?;
    if difference.is_zero() {
        let mut told: Vec<Condition> = Vec::new();
        let factors = [factor, other].map(Quotient::whole);
        let all =
            factors.iter().flat_map(exclusions).chain(from.conditions()).chain(to.conditions());
        for condition in all {
            if !told.contains(&condition) {
                told.push(condition);
            }
        }
        return Ok(Comparison::Same(told));
    }
    // Solved generically with different results: a point where both have a value shows it.
    let letters: Vec<String> = before.symbols().union(&after.symbols()).cloned().collect();
    let (b, a) = (before.to_expr(), after.to_expr());
    for mut at in trial_points(&letters) {
        let (Ok(b), Ok(a)) = (value_at(&b, &at, &mut budget), value_at(&a, &at, &mut budget))
        else {
            continue;
        };
        if let (Some(b), Some(a)) = (b.as_constant(), a.as_constant())
            && a != b
        {
            at.insert(letter.to_owned(), Quotient::constant(b));
            let (left, right) = (Shown::Truth(true), Shown::Truth(false));
            return Ok(Comparison::Different(Counterexample { at, left, right }));
        }
    }
    Ok(Comparison::Open)
}

/// Whether the first equation has a factor without `letter` that the second has not: where it is zero, the first holds
/// for every value of the letter.
pub(crate) fn cancels(
    from: &Relation,
    to: &Relation,
    letter: Option<&str>,
    budget: &mut Budget,
) -> bool {
    let Some(letter) = letter else { return false };
    let mut content = |relation: &Relation| {
        let parts = relation.poly.by_powers_of(&Atom::symbol(letter));
        parts.iter().filter(|part| !part.is_zero()).try_fold(Poly::default(), |common, part| {
            crate::normal::gcd(&common, part, budget).ok()
        })
    };
    let (Some(before), Some(after)) = (content(from), content(to)) else { return false };
    if before.is_constant() {
        return false;
    }
    let divides = crate::normal::exact_quotient(&after, &before, budget);
    !matches!(divides, Ok(Some(_)))
}

/// Compares as relations in all letters: the same up to a constant factor, or a point that tells.
pub(crate) fn compare_all(
    (from, from_line): (&Relation, &Line),
    (to, to_line): (&Relation, &Line),
    letters: &[String],
) -> Result<Comparison, Spent> {
    let mut budget = Budget::for_verdict();
    let factor = if to.poly.is_zero() || from.poly.is_zero() {
        None
    } else {
        Some(from.poly.leading() / to.poly.leading())
    };
    let scaled = factor.map_or_else(|| to.poly.clone(), |factor| to.poly.scale(&factor));
    if scaled == from.poly {
        return Ok(Comparison::Same(from.conditions().chain(to.conditions()).collect()));
    }
    let Some((last, others)) = letters.split_last() else { return Ok(Comparison::Open) };
    for at in trial_points(others) {
        for relation in [from, to] {
            for value in roots_at(&relation.poly, &at, last, &mut budget) {
                let mut at = at.clone();
                at.insert(last.clone(), Quotient::constant(value));
                let before = truth_at(from_line, &at, &mut budget);
                let after = truth_at(to_line, &at, &mut budget);
                if let (Some(before), Some(after)) = (before, after)
                    && before != after
                {
                    let (left, right) = (Shown::Truth(before), Shown::Truth(after));
                    return Ok(Comparison::Different(Counterexample { at, left, right }));
                }
            }
        }
    }
    Ok(Comparison::Open)
}

fn roots_at(
    poly: &Poly,
    at: &Values,
    letter: &str,
    budget: &mut Budget,
) -> Vec<crate::number::Rational> {
    let put = Normaliser::new(at, budget).build(&poly.to_expr()).ok();
    let one = put.and_then(|q| crate::normal::Univariate::from_poly(q.numerator(), letter));
    match one {
        Some(one) if one.is_zero() => crate::trial::trial_numbers().take(5).collect(),
        Some(one) => one.rational_roots().unwrap_or_default(),
        None => Vec::new(),
    }
}

/// Whether an equation is true at a point; `None` when that is not known.
fn truth_at(line: &Line, at: &Values, budget: &mut Budget) -> Option<bool> {
    let (left, right) = line.as_equation()?;
    match (value_at(left, at, budget), value_at(right, at, budget)) {
        (Ok(l), Ok(r)) => Some((l.as_constant()? - r.as_constant()?).is_zero()),
        (Err(NotNormal::Undefined), _) | (_, Err(NotNormal::Undefined)) => Some(false),
        _ => None,
    }
}
