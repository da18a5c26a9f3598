//! Linear systems, compared by their reduced row echelon form, which is the same for two systems
//! exactly when they have the same solutions (unless neither has any).

use crate::budget::{Budget, Spent};
use crate::line::Line;
use crate::normal::{Atom, Monomial, Normaliser, Quotient, Values};
use crate::number::Rational;
use num_traits::{One, Zero};

/// The reduced rows of a linear system: coefficients in the order of `letters`, then the constant.
/// `Ok(None)` when it is not linear or not a system of equations; an empty list of letters in a row
/// with a nonzero constant means that there is no solution, and then that row is the only one.
pub(crate) fn reduced(
    line: &Line,
    letters: &[String],
    budget: &mut Budget,
) -> Result<Option<Vec<Vec<Rational>>>, Spent> {
    let lines = match line {
        Line::AllOf(lines) => &lines[..],
        single => std::slice::from_ref(single),
    };
    let mut rows = Vec::new();
    for line in lines {
        let Some((left, right)) = line.as_equation() else { return Ok(None) };
        let none = Values::new();
        let mut forms = Normaliser::new(&none, budget);
        let (Ok(l), Ok(r)) = (forms.build(left), forms.build(right)) else { return Ok(None) };
        let plain = forms.needs.is_empty();
        let difference = l.minus(&r, budget)?;
        if !plain || difference.denominator().as_constant().is_none() {
            return Ok(None);
        }
        let mut row = vec![Rational::zero(); letters.len() + 1];
        for (monomial, coefficient) in difference.numerator().terms() {
            let Some(column) = column(monomial, letters) else { return Ok(None) };
            row[column] = coefficient.clone();
        }
        rows.push(row);
    }
    budget.spend(rows.len() * rows.len() * (letters.len() + 1) * 10)?;
    Ok(Some(reduce(rows, letters.len())))
}

fn column(monomial: &Monomial, letters: &[String]) -> Option<usize> {
    let mut parts = monomial.iter();
    match (parts.next(), parts.next()) {
        (None, _) => Some(letters.len()),
        (Some((Atom::Symbol(name), 1)), None) => letters.iter().position(|l| **l == **name),
        _ => None,
    }
}

fn reduce(mut rows: Vec<Vec<Rational>>, columns: usize) -> Vec<Vec<Rational>> {
    let mut done = 0;
    for column in 0..=columns {
        let Some(pivot) = (done..rows.len()).find(|&r| !rows[r][column].is_zero()) else {
            continue;
        };
        rows.swap(done, pivot);
        let lead = rows[done][column].clone();
        rows[done].iter_mut().for_each(|entry| *entry = &*entry / &lead);
        let pivot_row = rows[done].clone();
        for (index, row) in rows.iter_mut().enumerate() {
            if index != done && !row[column].is_zero() {
                let factor = row[column].clone();
                for (entry, above) in row.iter_mut().zip(&pivot_row) {
                    *entry -= &factor * above;
                }
            }
        }
        done += 1;
    }
    rows.truncate(done);
    let impossible = rows.last().is_some_and(|row| row[..columns].iter().all(Zero::is_zero));
    if impossible {
        let mut row = vec![Rational::zero(); columns];
        row.push(Rational::one());
        rows = vec![row];
    }
    rows
}

/// A point that solves one reduced system and not the other, and whether it solves the first.
/// Free letters are tried at small values.
pub(crate) fn point_apart(
    from: &[Vec<Rational>],
    to: &[Vec<Rational>],
    letters: &[String],
) -> Option<(Values, bool)> {
    for (rows, others, is_first) in [(from, to, true), (to, from, false)] {
        for free in [0, 1, -1, 2] {
            let Some(point) = solve(rows, letters.len(), &crate::number::from_int(free)) else {
                continue;
            };
            if !satisfies(others, &point) {
                let point = point.into_iter().map(Quotient::constant);
                return Some((letters.iter().cloned().zip(point).collect(), is_first));
            }
        }
    }
    None
}

/// The one solution of reduced rows, when there is just one, and it solves not the others.
pub(crate) fn only_point(
    rows: &[Vec<Rational>],
    others: &[Vec<Rational>],
    letters: &[String],
) -> Option<Values> {
    let is_one = rows.len() == letters.len();
    let point = solve(rows, letters.len(), &Rational::zero())
        .filter(|point| is_one && !satisfies(others, point))?;
    Some(letters.iter().cloned().zip(point.into_iter().map(Quotient::constant)).collect())
}

/// A solution of reduced rows with every free letter set to `free`.
fn solve(rows: &[Vec<Rational>], columns: usize, free: &Rational) -> Option<Vec<Rational>> {
    let mut point = vec![free.clone(); columns];
    for row in rows {
        let lead = row[..columns].iter().position(|entry| !entry.is_zero())?;
        let rest: Rational = (lead + 1..columns).map(|c| &row[c] * free).sum();
        // Columns after the lead that lead another row have a zero here, so `rest` is complete.
        point[lead] = -(rest + &row[columns]);
    }
    Some(point)
}

fn satisfies(rows: &[Vec<Rational>], point: &[Rational]) -> bool {
    rows.iter().all(|row| {
        let sum: Rational = row.iter().zip(point).map(|(a, x)| a * x).sum();
        (sum + row.last().cloned().unwrap_or_else(Rational::zero)).is_zero()
    })
}
