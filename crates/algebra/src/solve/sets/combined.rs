//! The equations of a system combined: as rows of their terms, and two at a time until a letter is gone.
//!
//! Whatever solves a system solves every combination of its equations. The other way round holds for rows
//! that were only scaled and added, so that two systems with the same reduced rows have the same solutions.

use crate::budget::{Budget, Spent};
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::{Atom, Monomial, Needs, Normaliser, Poly, Quotient, Values, primitive};
use num_traits::One;
use std::collections::BTreeSet;

/// Highest degree of an equation from which a letter is taken away.
const DEGREE: usize = 4;

/// The equations of a system as polynomials that are zero, in any functions of the letters, and what they
/// need to be defined; `None` for anything else.
pub(crate) fn polynomials(lines: &[Line], budget: &mut Budget) -> Option<(Vec<Poly>, Needs)> {
    let none = Values::new();
    let mut forms = Normaliser::new(&none, budget);
    let mut sides = Vec::new();
    for line in lines {
        let (left, right) = line.as_equation()?;
        sides.push((forms.build(left).ok()?, forms.build(right).ok()?));
    }
    let needs = forms.needs;
    let mut found = Vec::new();
    for (left, right) in sides {
        let difference = left.minus(&right, budget).ok()?;
        // A number that is written as a decimal near it would be another number in a line.
        if difference.is_written_near() {
            return None;
        }
        found.push(difference.numerator().clone());
    }
    Some((found, needs))
}

/// Whether two systems have the same rows, and need the same to be defined.
pub(crate) fn same_rows(from: &Line, to: &Line, budget: &mut Budget) -> bool {
    let (Line::AllOf(from), Line::AllOf(to)) = (from, to) else { return false };
    let both = polynomials(from, budget).zip(polynomials(to, budget));
    let Some(((from, before), (to, after))) = both else { return false };
    let as_sets = |needs: &Needs| {
        [&needs.not_zero, &needs.not_negative, &needs.positive, &needs.whole]
            .map(|all| all.iter().cloned().collect::<BTreeSet<Quotient>>())
    };
    as_sets(&before) == as_sets(&after)
        && reduced(from, budget).and_then(|from| Ok(from == reduced(to, budget)?)).unwrap_or(false)
}

/// The reduced rows of a system, its terms taken for unknowns: of `x² + y² = 4` and `x² - y² = 2` they are
/// `x² - 3` and `y² - 1`.
pub(super) fn reduced(mut rows: Vec<Poly>, budget: &mut Budget) -> Result<Vec<Poly>, Spent> {
    let columns: BTreeSet<Monomial> =
        rows.iter().flat_map(|row| row.terms().map(|(monomial, _)| monomial.clone())).collect();
    let mut done = 0;
    // The highest terms first, the number last.
    for column in columns.iter().rev() {
        let factor = |row: &Poly| {
            row.terms().find(|(monomial, _)| *monomial == column).map(|(_, factor)| factor.clone())
        };
        let Some(pivot) = (done..rows.len()).find(|&at| factor(&rows[at]).is_some()) else {
            continue;
        };
        rows.swap(done, pivot);
        let lead = factor(&rows[done]).unwrap_or_else(One::one);
        let pivot_row = rows[done].scale(&lead.recip());
        for row in &mut rows {
            if let Some(factor) = factor(row) {
                *row = row.add(&pivot_row.scale(&-factor), budget)?;
            }
        }
        rows[done] = pivot_row;
        done += 1;
    }
    rows.truncate(done);
    Ok(rows)
}

/// A polynomial without `letter` that is zero wherever two others are, by pseudo-division (D. E. Knuth, *The
/// Art of Computer Programming*, volume 2, section 4.6.1); `None` when they have a common factor, or it would be too long.
pub(super) fn without_letter(
    a: &Poly,
    b: &Poly,
    letter: &str,
    budget: &mut Budget,
) -> Result<Option<Poly>, Spent> {
    let letter = Atom::symbol(letter);
    let in_letter = |poly: &Poly| {
        let mut parts = poly.by_powers_of(&letter);
        while parts.last().is_some_and(Poly::is_zero) {
            parts.pop();
        }
        parts
    };
    let (mut high, mut low) = (a.clone(), b.clone());
    loop {
        let (mut above, below) = (in_letter(&high), in_letter(&low));
        if above.len().max(below.len()) > DEGREE + 1 || low.is_zero() {
            return Ok(None);
        }
        if below.len() == 1 {
            return Ok(Some(low));
        }
        if above.len() < below.len() {
            (high, low) = (low, high);
            continue;
        }
        let mut rest = high;
        while above.len() >= below.len() {
            let mut shift = Monomial::default();
            let power = above.len() - below.len();
            shift.set(&letter, u32::try_from(power).map_err(|_| Spent)?);
            let shifted = low.multiply(&Poly::term(shift, One::one()), budget)?;
            let scaled = rest.multiply(&below[below.len() - 1], budget)?;
            let taken = shifted.multiply(&above[above.len() - 1], budget)?;
            rest = primitive(&scaled.add(&taken.negated(), budget)?);
            above = in_letter(&rest);
        }
        (high, low) = (low, rest);
    }
}

/// `poly = 0`
pub(super) fn is_zero(poly: &Poly) -> Line {
    Line::equation(poly.to_expr(), Expr::int(0))
}
