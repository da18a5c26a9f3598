//! Two expressions in one letter whose difference does not change: it has the derivative zero, and is zero at one
//! point of every interval of its domain. So inverse functions are compared, whose identities hold on one
//! interval and fail on the next.

use super::{Comparison, value_at};
use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::derivative::derivative;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, KernelKind, Needs, Normaliser, NotNormal, Poly, Quotient, Values, constant, substituted,
};
use crate::solve::sets::interval::Interval;
use crate::solve::sets::real;
use crate::solve::{Solutions, sets};
use std::collections::BTreeMap;

/// Whether `left - right` is proved to be zero wherever both are defined and the assumptions hold.
pub(super) fn is_zero(left: &Expr, right: &Expr, letter: &str, assumed: &Assumptions) -> bool {
    let inverse = |part: &Expr| {
        use Function::{Arccos, Arccot, Arccsc, Arcsec, Arcsin, Arctan};
        matches!(part.kind, ExprKind::Call {
            function: Arccos | Arccot | Arccsc | Arcsec | Arcsin | Arctan, .. }
            if !part.symbols().is_empty())
    };
    if !left.any(&mut |p| inverse(p)) && !right.any(&mut |p| inverse(p)) {
        return false;
    }
    proved(left, right, letter, assumed).unwrap_or(false)
}

fn proved(left: &Expr, right: &Expr, letter: &str, assumed: &Assumptions) -> Option<bool> {
    let difference = left.clone().minus(right.clone());
    let slope = derivative(&difference, letter)?;
    let budget = &mut Budget::for_verdict();
    let none = Values::new();
    let mut forms = Normaliser::new(&none, budget);
    forms.build(&difference).ok()?;
    let slope_form = forms.build(&slope).ok()?;
    let needs = forms.needs;
    let sizes = sizes(&slope_form);
    let pieces = match sets::solutions_given(&inside(&needs, &sizes), letter, assumed).ok()? {
        Solutions::AllReals => vec![Interval { low: None, high: None }],
        Solutions::Intervals(pieces) => pieces,
        _ => return None,
    };
    let (zero, letters) = (Expr::int(0), vec![letter.to_owned()]);
    let flat = Comparison { left: &slope, right: &zero, assumed, letters };
    let samples = pieces.iter().map(sample).collect::<Option<Vec<_>>>()?;
    if !slope_form.is_zero() && !flat.is_zero(&slope_form, &needs) {
        // What stands between bars keeps its sign on every piece.
        for sample in &samples {
            let reduced = without_bars(&slope_form, &sizes, letter, sample)?;
            if !reduced.is_zero() && !flat.is_zero(&reduced, &needs) {
                return Some(false);
            }
        }
    }
    let mut is_zero_at = |value: Quotient| {
        let at = Values::from([(letter.to_owned(), value)]);
        match value_at(&difference, &at, budget) {
            Ok(value) => constant::sign(&value, budget) == Some(0),
            Err(other) => other == NotNormal::Undefined,
        }
    };
    let ends = pieces.iter().flat_map(|piece| [&piece.low, &piece.high]).flatten();
    let ends_fit = ends.map(|end| end.value.clone()).all(&mut is_zero_at);
    // On each piece one place is enough; which one is known exactly, only trying tells.
    let at_right_angle = |piece: &Interval| right_angles().into_iter().find(|v| holds(piece, v));
    let on_every_piece = pieces.iter().zip(samples).all(|(piece, sample)| {
        is_zero_at(sample) || at_right_angle(piece).is_some_and(&mut is_zero_at)
    });
    Some(ends_fit && on_every_piece)
}

/// The absolute values in the slope.
fn sizes(slope: &Quotient) -> Vec<Atom> {
    let is_size =
        |atom: &&Atom| atom.as_kernel().is_some_and(|kernel| kernel.kind == KernelKind::Absolute);
    slope.numerator().atoms().into_iter().filter(is_size).cloned().collect()
}

/// The numerator of the slope with each absolute value replaced by what it is near `sample`.
fn without_bars(
    slope: &Quotient,
    sizes: &[Atom],
    letter: &str,
    sample: &Quotient,
) -> Option<Quotient> {
    let budget = &mut Budget::for_verdict();
    let at = Values::from([(letter.to_owned(), sample.clone())]);
    let mut replaced = BTreeMap::new();
    for atom in sizes {
        let inside = atom.as_kernel()?.arguments.first()?;
        let value = value_at(&inside.to_expr(), &at, budget).ok()?;
        let signed = match constant::sign(&value, budget)? {
            1 => inside.clone(),
            -1 => inside.negated(),
            _ => return None,
        };
        replaced.insert(atom.clone(), signed);
    }
    substituted(slope.numerator(), &replaced, budget).ok()
}

/// The line that says that everything is defined, with room on every side, and nothing between bars is zero.
fn inside(needs: &Needs, sizes: &[Atom]) -> Line {
    let line = |value: &Quotient, relation| Line::Relations {
        sides: vec![value.to_expr(), Expr::int(0)],
        relations: vec![relation],
    };
    let strictly = needs.not_negative.iter().chain(&needs.positive);
    let mut all: Vec<Line> = strictly.map(|value| line(value, Relation::Greater)).collect();
    all.extend(needs.not_zero.iter().map(|value| line(value, Relation::NotEqual)));
    let between = sizes.iter().filter_map(|atom| atom.as_kernel()?.arguments.first());
    all.extend(between.map(|value| line(value, Relation::NotEqual)));
    if all.is_empty() { Line::AllReals } else { Line::AllOf(all) }
}

/// π/2 and -π/2.
fn right_angles() -> Vec<Quotient> {
    let pi = Quotient::whole(Poly::atom(Atom::Constant(Constant::Pi)));
    let half = Quotient::constant(crate::number::Rational::new(1.into(), 2.into()));
    let angle = pi.times(&half, &mut Budget::for_verdict());
    angle.map_or_else(|_| Vec::new(), |angle| vec![angle.negated(), angle])
}

/// Whether a value is proved to lie inside an interval.
fn holds(piece: &Interval, value: &Quotient) -> bool {
    let budget = &mut Budget::for_verdict();
    let above = piece.low.as_ref().is_none_or(|low| {
        real::compare(value, &low.value, budget) == Some(std::cmp::Ordering::Greater)
    });
    let below = piece.high.as_ref().is_none_or(|high| {
        real::compare(value, &high.value, budget) == Some(std::cmp::Ordering::Less)
    });
    above && below
}

/// A value inside an interval, one at which much is known where there is one.
fn sample(piece: &Interval) -> Option<Quotient> {
    let budget = &mut Budget::for_verdict();
    let one = |n: i64| Quotient::constant(crate::number::from_int(n));
    let usual = [one(0), one(1), one(-1)];
    if let Some(found) = usual.into_iter().find(|value| holds(piece, value)) {
        return Some(found);
    }
    let half = || crate::number::Rational::new(1.into(), 2.into());
    let root = |n: i64| {
        let value = Quotient::constant(crate::number::from_int(n));
        Normaliser::new(&Values::new(), &mut Budget::for_verdict()).root_of(2, &value).ok()
    };
    let parts = [Quotient::constant(half()), Quotient::constant(-half())];
    let roots = [root(2)?, root(3)?];
    let shrunk = roots.iter().flat_map(|r| {
        let by = Quotient::constant(half());
        let part = r.times(&by, &mut Budget::for_verdict()).unwrap_or_else(|_| r.clone());
        [part.negated(), part, r.negated(), r.clone()]
    });
    let more = [one(2), one(-2)];
    let all: Vec<Quotient> = parts.into_iter().chain(shrunk).chain(more).collect();
    if let Some(found) = all.into_iter().find(|value| holds(piece, value)) {
        return Some(found);
    }
    let value = match (&piece.low, &piece.high) {
        (Some(low), Some(high)) => real::between(&low.value, &high.value, budget)?,
        (Some(low), None) => real::beyond(&low.value, true, budget)?,
        (None, Some(high)) => real::beyond(&high.value, false, budget)?,
        (None, None) => return None,
    };
    Some(Quotient::constant(value))
}
