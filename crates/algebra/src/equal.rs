//! Are two expressions equal? Proved equal, proved different at a point, or left open.
//!
//! The order of proof: the same tree; the exact normal form (a difference of zero is a proof); a look in
//! floating point for a place where they differ, which is then looked at exactly; the normal form over
//! refined kernels; exact values at points in the order 0, 1, -1, 2, -2, 1/2, ... Floating point only
//! chooses where to look.

mod conditions;
mod constancy;

pub(crate) use conditions::{exclusions, follows_from_sign};

use crate::approximate;
use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, KernelKind, Knowledge, Needs, Normaliser, NotNormal, Poly, Quotient, Values, constant,
    is_zero_everywhere, refine,
};
use crate::number::Notation;
use crate::solve::sets::zeros::product_of_logarithms;
use crate::solve::{Solutions, sets};
use crate::trial::trial_points;
use crate::verdict::{Counterexample, Shown, Verdict};
use num_traits::{Signed, ToPrimitive};

/// The exact value of `expr` where the letters have the values `at`.
///
/// # Errors
/// [`NotNormal::Undefined`] where it has no value; otherwise why the value is not known.
pub(crate) fn value_at(
    expr: &Expr,
    at: &Values,
    budget: &mut Budget,
) -> Result<Quotient, NotNormal> {
    // What a constant needs to have a value is looked at while it is built.
    let value = Normaliser::new(at, budget).build(expr)?;
    if value.is_constant() { Ok(value) } else { Err(NotNormal::NotCovered) }
}

/// Compares two expressions wherever both are defined.
#[must_use]
pub fn equal(left: &Expr, right: &Expr) -> Verdict {
    equal_given(left, right, &Assumptions::default())
}

/// Compares two expressions wherever both are defined and the assumptions hold.
#[must_use]
pub fn equal_given(left: &Expr, right: &Expr, assumed: &Assumptions) -> Verdict {
    if left == right {
        return Verdict::Equal { provided: Vec::new() };
    }
    if let (ExprKind::Ratio(a), ExprKind::Ratio(b)) = (&left.kind, &right.kind)
        && (a.len() > 2 || b.len() > 2)
    {
        return ratios(a, b, assumed);
    }
    Comparison { left, right, assumed, letters: letters_of(&[left, right]) }.verdict()
}

/// Whether a sum of logarithms is that of the size of one product, and this is one.
fn is_one_product(poly: &Poly, budget: &mut Budget) -> bool {
    let moving: Vec<Atom> =
        poly.atoms().into_iter().filter(|a| !a.is_constant()).cloned().collect();
    let is_logarithm = |atom: &Atom| atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Ln);
    if moving.len() < 2 || !moving.iter().all(is_logarithm) {
        return false;
    }
    let Ok((above, below)) = product_of_logarithms(poly, &moving, budget) else { return false };
    [above.minus(&below, budget), above.plus(&below, budget)]
        .into_iter()
        .flatten()
        .any(|apart| apart.is_zero() || is_zero_everywhere(apart.numerator(), budget))
}

/// Whether a polynomial in kernels is zero where the knowledge holds, its kernels in terms of few.
fn refines_to_zero(poly: &Poly, knowledge: &Knowledge, budget: &mut Budget) -> bool {
    let mut rest = poly.clone();
    // A second look refines what the first brought in, such as roots of new radicands.
    for _ in 0..2 {
        match refine(&rest, knowledge, budget) {
            Ok(refined) if refined.is_zero() => return true,
            Ok(refined) => {
                let next = refined.numerator().clone();
                if is_zero_everywhere(&next, budget) || is_one_product(&next, budget) {
                    return true;
                }
                if next == rest {
                    return false;
                }
                rest = next;
            }
            Err(_) => return false,
        }
    }
    false
}

/// Points that agree from afar before a proof is looked for.
const AGREEING: usize = 24;
/// Points that are looked at exactly when there is no proof.
const LOOKS: usize = 12;

/// One comparison of two expressions.
struct Comparison<'a> {
    left: &'a Expr,
    right: &'a Expr,
    assumed: &'a Assumptions,
    letters: Vec<String>,
}

impl Comparison<'_> {
    fn verdict(&self) -> Verdict {
        let mut budget = Budget::for_verdict();
        let none = Values::new();
        let mut forms = Normaliser::new(&none, &mut budget).knowing_whole(&self.assumed.whole);
        let built = forms.build(self.left).and_then(|l| Ok((l, forms.build(self.right)?)));
        let needs = forms.needs;
        let difference = match built {
            Err(NotNormal::Undefined) => return Verdict::NeverDefined,
            Ok((l, r)) => l.minus(&r, &mut budget).ok(),
            Err(NotNormal::Spent | NotNormal::NotCovered) => None,
        };
        if difference.as_ref().is_some_and(Quotient::is_zero) {
            return self.proved(needs);
        }
        if let Some(found) = self.seen_apart() {
            return Verdict::Different(found);
        }
        if let Some(difference) = difference
            && self.is_zero(&difference, &needs)
        {
            return self.proved(needs);
        }
        if let [letter] = &self.letters[..]
            && constancy::is_zero(self.left, self.right, letter, self.assumed)
        {
            return self.proved(needs);
        }
        if let Some(found) = self.apart_at_a_bound(&needs.not_negative) {
            return Verdict::Different(found);
        }
        self.looked_at(&needs)
    }

    /// The points that are tried, with their values in floating point.
    fn points(&self) -> impl Iterator<Item = (Values, approximate::Point)> + '_ {
        let mut budget = Budget::for_verdict();
        let admitted = trial_points(&self.letters)
            .filter(move |at| self.assumed.is_empty() || self.assumed.admit(at, &mut budget));
        admitted.map(|at| {
            let point = at.iter().map(|(letter, value)| (letter.clone(), near(value))).collect();
            (at, point)
        })
    }

    /// The first point where floating point sees a difference that exact values confirm.
    fn seen_apart(&self) -> Option<Counterexample> {
        let mut budget = Budget::for_verdict();
        let (mut tried, mut agree) = (0, 0);
        for (at, point) in self.points() {
            let l = approximate::value(self.left, &point);
            let r = approximate::value(self.right, &point);
            // Where many points agree, the rest waits for the exact look that comes after the proof.
            agree += usize::from(l.is_finite() && r.is_finite());
            if agree > AGREEING {
                break;
            }
            if approximate::are_apart(l, r) {
                if let Look::Apart(found) = self.look(&at, &mut budget) {
                    return Some(found);
                }
                tried += 1;
                if tried > 12 {
                    break;
                }
            }
        }
        None
    }

    /// What the exact values say at one point.
    fn look(&self, at: &Values, budget: &mut Budget) -> Look {
        let sides = (value_at(self.left, at, budget), value_at(self.right, at, budget));
        let (l, r) = match sides {
            (Ok(l), Ok(r)) => (l, r),
            (Err(NotNormal::Undefined), _) | (_, Err(NotNormal::Undefined)) => {
                return Look::Undefined;
            }
            _ => return Look::Unknown,
        };
        let sign = l.minus(&r, budget).ok().and_then(|d| constant::sign(&d, budget));
        match sign {
            Some(0) => Look::Same,
            Some(_) => Look::Apart(Counterexample {
                at: at.clone(),
                left: Shown::Value(shortest(&l, self.left, at)),
                right: Shown::Value(shortest(&r, self.right, at)),
            }),
            None => {
                let mixed = l.minus(&r, budget).is_ok_and(|d| constant::mixes_units(&d, budget));
                if !mixed {
                    return Look::Unknown;
                }
                Look::Apart(Counterexample {
                    at: at.clone(),
                    left: Shown::Value(shortest(&l, self.left, at)),
                    right: Shown::Value(shortest(&r, self.right, at)),
                })
            }
        }
    }

    fn is_zero(&self, difference: &Quotient, needs: &Needs) -> bool {
        let mut budget = Budget::for_verdict();
        let numerator = difference.numerator();
        if is_zero_everywhere(numerator, &mut budget) {
            return true;
        }
        let letters = self.letters.iter().cloned().collect();
        let mut not_negative = self.assumed.not_negative(&letters, &mut budget);
        not_negative.extend(needs.not_negative.iter().chain(&needs.positive).cloned());
        let mut knowledge = Knowledge {
            not_negative,
            positive: needs.positive.clone(),
            not_zero: needs.not_zero.clone(),
            but_for_points: false,
        };
        if refines_to_zero(numerator, &knowledge, &mut budget) {
            return true;
        }
        knowledge.but_for_points = true;
        !needs.not_negative.is_empty()
            && refines_to_zero(numerator, &knowledge, &mut budget)
            && self.agrees_at_bounds(&knowledge.not_negative)
    }

    /// Whether both sides agree wherever a bound of the domain is met, single points of it among these.
    fn agrees_at_bounds(&self, not_negative: &[Quotient]) -> bool {
        let agrees = |look: &Look| matches!(look, Look::Same | Look::Undefined);
        self.looks_at_bounds(not_negative).is_some_and(|looks| looks.iter().all(agrees))
    }

    fn apart_at_a_bound(&self, not_negative: &[Quotient]) -> Option<Counterexample> {
        self.looks_at_bounds(not_negative)?.into_iter().find_map(|look| match look {
            Look::Apart(found) => Some(found),
            _ => None,
        })
    }

    /// What exact values say where something that is not negative is zero, as far as the assumptions admit it.
    fn looks_at_bounds(&self, not_negative: &[Quotient]) -> Option<Vec<Look>> {
        let [letter] = &self.letters[..] else { return None };
        let mut budget = Budget::for_verdict();
        let mut looks = Vec::new();
        for needed in not_negative {
            let bound = Line::equation(needed.to_expr(), Expr::int(0));
            let Ok(Solutions::Finite(values)) = sets::solutions(&bound, letter) else {
                return None;
            };
            for one in &values {
                let at = Values::from([(letter.clone(), one.value().clone())]);
                if self.assumed.is_empty() || self.assumed.admit(&at, &mut budget) {
                    looks.push(self.look(&at, &mut budget));
                }
            }
        }
        Some(looks)
    }

    /// No difference was seen from afar and none was proved away: exact values at a number of points.
    fn looked_at(&self, needs: &Needs) -> Verdict {
        let mut budget = Budget::for_verdict();
        let (mut agree, mut undefined, mut tried) = (0, 0, 0);
        for (at, point) in self.points() {
            // Exact values are dear: only the first points get them, and those that look different.
            let l = approximate::value(self.left, &point);
            let r = approximate::value(self.right, &point);
            if tried >= LOOKS && !approximate::are_apart(l, r) {
                continue;
            }
            tried += 1;
            match self.look(&at, &mut budget) {
                Look::Apart(found) => return Verdict::Different(found),
                Look::Same => agree += 1,
                Look::Unknown => {
                    let sides =
                        [self.left, self.right].map(|side| value_at(side, &at, &mut budget));
                    agree += usize::from(sides.iter().all(Result::is_ok));
                }
                Look::Undefined => undefined += 1,
            }
        }
        if agree > 0 {
            return Verdict::Tested { points: agree };
        }
        if undefined == tried && self.is_never_defined(needs) {
            return Verdict::NeverDefined;
        }
        Verdict::Undecided
    }

    /// The normal forms agree: told with what is excluded, once there is a place where both are defined.
    fn proved(&self, needs: Needs) -> Verdict {
        if !needs.is_rational() && !self.is_defined_somewhere(&needs) {
            return if self.is_never_defined(&needs) {
                Verdict::NeverDefined
            } else {
                Verdict::Undecided
            };
        }
        if !needs.not_zero.iter().all(|needed| self.is_somewhere_not_zero(needed)) {
            return Verdict::Undecided;
        }
        Verdict::Equal { provided: self.conditions(needs) }
    }

    /// Whether there is a point inside the common domain, with room on every side.
    fn is_defined_somewhere(&self, needs: &Needs) -> bool {
        let mut budget = Budget::for_verdict();
        let positive: Vec<Expr> =
            needs.not_negative.iter().chain(&needs.positive).map(Quotient::to_expr).collect();
        let whole: Vec<Expr> = needs.whole.iter().map(Quotient::to_expr).collect();
        self.points().any(|(at, point)| {
            positive.iter().all(|expr| approximate::value(expr, &point) > 0.0)
                && positive.iter().all(|expr| {
                    let value = value_at(expr, &at, &mut budget);
                    value.is_ok_and(|value| constant::sign(&value, &mut budget) == Some(1))
                })
                && whole.iter().all(|expr| {
                    let value = value_at(expr, &at, &mut budget).ok().and_then(|v| v.as_constant());
                    value.is_some_and(|v| v.is_integer() && !v.is_negative())
                })
        })
    }

    /// Whether the common domain is proved to be empty, or to have isolated points only.
    fn is_never_defined(&self, needs: &Needs) -> bool {
        let [letter] = &self.letters[..] else { return false };
        let line = |value: &Quotient, relation| Line::Relations {
            sides: vec![value.to_expr(), Expr::int(0)],
            relations: vec![relation],
        };
        let mut all: Vec<Line> =
            needs.not_negative.iter().map(|v| line(v, Relation::GreaterOrEqual)).collect();
        all.extend(needs.positive.iter().map(|v| line(v, Relation::Greater)));
        if all.is_empty() {
            return false;
        }
        let inside = self.assumed.with(Line::AllOf(all), letter);
        matches!(sets::solutions(&inside, letter), Ok(Solutions::Finite(_)))
    }

    /// Whether a denominator is proved not to vanish everywhere.
    fn is_somewhere_not_zero(&self, needed: &Quotient) -> bool {
        let free = |atom: &&Atom| matches!(atom, Atom::Symbol(_));
        if needed.numerator().atoms().iter().all(free) {
            return true;
        }
        let (expr, mut budget) = (needed.to_expr(), Budget::for_verdict());
        self.points().take(60).any(|(at, _)| {
            let value = value_at(&expr, &at, &mut budget);
            value.is_ok_and(|v| constant::sign(&v, &mut budget).is_some_and(|s| s != 0))
        })
    }
}

/// What exact values say at one point.
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
enum Look {
    Same,
    Apart(Counterexample),
    Undefined,
    Unknown,
}

/// A value as it is shown: worked out, or as it was typed where that is shorter, as in `log 45`.
fn shortest(value: &Quotient, typed: &Expr, at: &Values) -> Expr {
    if let ExprKind::Number(written) = &typed.kind
        && matches!(written.notation(), Notation::Decimal { .. })
    {
        return typed.clone();
    }
    let mut budget = Budget::for_verdict();
    let value = value.cancelled(&mut budget).unwrap_or_else(|_| value.clone());
    let worked = value.to_expr();
    if value.as_constant().is_some() {
        return worked;
    }
    let put = typed.map(&mut |part| match &part.kind {
        ExprKind::Symbol(name) => at.get(name).map_or(part, Quotient::to_expr),
        _ => part,
    });
    let length = |expr: &Expr| crate::write::text(expr).chars().count();
    if worked.any(&mut |part| matches!(part.kind, ExprKind::Unit(_))) {
        return if length(&put) <= length(&worked) { put } else { worked };
    }
    if 3 * length(&put) < 2 * length(&worked) { put } else { worked }
}

/// A constant in floating point, for looking only.
pub(crate) fn near(value: &Quotient) -> f64 {
    value
        .as_constant()
        .or_else(|| {
            constant::enclose(value, 64, &mut Budget::for_verdict()).map(|inside| inside.low())
        })
        .and_then(|value| value.to_f64())
        .unwrap_or(f64::NAN)
}

fn letters_of(parts: &[&Expr]) -> Vec<String> {
    let all: std::collections::BTreeSet<String> = parts.iter().flat_map(|p| p.symbols()).collect();
    all.into_iter().collect()
}

/// Ratios of three and more terms are equal when every term stands to the first in the same ratio.
fn ratios(a: &[Expr], b: &[Expr], assumed: &Assumptions) -> Verdict {
    if a.len() != b.len() {
        return Verdict::Undecided;
    }
    let mut all = Vec::new();
    for (x, y) in a.iter().zip(b).skip(1) {
        let left = x.clone().times(b[0].clone());
        let right = y.clone().times(a[0].clone());
        match equal_given(&left, &right, assumed) {
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
