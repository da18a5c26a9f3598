//! After how much a line repeats itself, and the values of a progression in a window.

use super::{Critical, VALUES};
use crate::budget::Budget;
use crate::normal::{Atom, KernelKind, NotNormal, Poly, Quotient, constant};
use crate::number::{Rational, from_int};
use crate::solve::sets::real;
use num_integer::Integer;
use num_traits::{Signed, ToPrimitive};
use std::cmp::Ordering;

/// Notes after how much a polynomial in sines and cosines repeats itself.
pub(super) fn periods(
    poly: &Poly,
    letter: &str,
    found: &mut Critical,
    budget: &mut Budget,
) -> Result<(), NotNormal> {
    for atom in poly.atoms().into_iter().filter(|atom| atom.mentions(letter)) {
        let angle =
            atom.as_kernel().filter(|k| matches!(k.kind, KernelKind::Sin | KernelKind::Cos));
        let parts = angle
            .and_then(|k| k.arguments[0].as_poly())
            .map(|poly| poly.by_powers_of(&Atom::symbol(letter)));
        match parts.as_deref() {
            // |sin x| repeats itself as what is inside does.
            _ if inner_circular(atom, letter) => {
                for argument in atom.as_kernel().into_iter().flat_map(|k| &k.arguments) {
                    periods(argument.numerator(), letter, found, budget)?;
                    periods(argument.denominator(), letter, found, budget)?;
                }
            }
            Some([shift, factor]) if factor.is_constant() && shift.is_constant() => {
                let turn =
                    Poly::atom(Atom::Constant(crate::expr::Constant::Pi)).scale(&from_int(2));
                let by =
                    Quotient::whole(factor.clone()).reciprocal().ok_or(NotNormal::Undefined)?;
                let period = Quotient::whole(turn).times(&by, budget)?;
                let back = constant::sign(&period, budget) == Some(-1);
                found.periods.push(if back { period.negated() } else { period });
            }
            _ => found.once = true,
        }
    }
    Ok(())
}

/// Whether an atom is a function of circular functions, not one itself.
fn inner_circular(atom: &Atom, letter: &str) -> bool {
    atom.as_kernel().is_some_and(|kernel| {
        !matches!(kernel.kind, KernelKind::Sin | KernelKind::Cos)
            && kernel.arguments.iter().any(|argument| argument.mentions(letter))
    })
}

/// The smallest value of which all are whole parts.
pub(super) fn common_period(
    periods: &[Quotient],
    budget: &mut Budget,
) -> Result<Quotient, NotNormal> {
    let first = periods.first().cloned().ok_or(NotNormal::NotCovered)?;
    let by = first.reciprocal().ok_or(NotNormal::Undefined)?;
    let mut common = from_int(1);
    for period in periods {
        let ratio = period.times(&by, budget)?.cancelled(budget)?;
        let ratio = ratio.as_constant().ok_or(NotNormal::NotCovered)?.abs();
        common =
            Rational::new(common.numer().lcm(ratio.numer()), common.denom().gcd(ratio.denom()));
    }
    Ok(first.times(&Quotient::constant(common), budget)?)
}

/// The members of a progression between two values, both included.
pub(in crate::solve) fn members(
    (start, step): &(Quotient, Quotient),
    (low, high): (&Quotient, &Quotient),
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    let by = step.reciprocal().ok_or(NotNormal::Undefined)?;
    let mut steps_to = |end: &Quotient| {
        let times = end.minus(start, budget)?.times(&by, budget)?;
        let inside = constant::enclose(&times, 64, budget).ok_or(NotNormal::NotCovered)?;
        let whole = |n: Rational| n.to_integer().to_i64().ok_or(NotNormal::Spent);
        Ok::<_, NotNormal>((whole(inside.low().floor())?, whole(inside.high().ceil())?))
    };
    let ((first, surely_from), (surely_to, last)) = (steps_to(low)?, steps_to(high)?);
    if last - first > VALUES as i64 {
        return Err(NotNormal::Spent);
    }
    let mut found = Vec::new();
    for n in first..=last {
        let value = start.plus(&step.scaled(n), budget)?;
        if n <= surely_from || n >= surely_to {
            let after = real::compare(&value, low, budget).ok_or(NotNormal::NotCovered)?;
            let before = real::compare(&value, high, budget).ok_or(NotNormal::NotCovered)?;
            if after == Ordering::Less || before == Ordering::Greater {
                continue;
            }
        }
        found.push(value);
    }
    Ok(found)
}
