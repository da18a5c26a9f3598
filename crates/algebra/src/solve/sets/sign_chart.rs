//! The truth of lines in one unknown, decided on the whole number line.
//!
//! Every relation between quotients of polynomials becomes conditions on signs. The real roots of all
//! the polynomials cut the line into cells, points and open intervals, on each of which every sign is
//! constant, so one look at each cell decides a line everywhere. This is cylindrical algebraic
//! decomposition in one dimension (G. E. Collins, 1975). Roots that are no rational numbers are
//! handled by the polynomial they belong to, never by a decimal.

use crate::budget::{Budget, Spent};
use crate::expr::Expr;
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, NotNormal, Quotient, Root, Univariate, Values};
use crate::number::{Rational, from_int};
use crate::solve::Solution;
use crate::solve::sets::interval::{Builder, Interval};
use crate::solve::sets::{real, zeros};
use crate::trial::trial_numbers;
use crate::verdict::{Counterexample, Shown};
use num_traits::One;
use std::cmp::Ordering;

/// Conditions on the signs of polynomials in one unknown.
enum Formula {
    /// The sign of the numerator times the sign of the denominator stands in `relation` to zero, and
    /// nothing in `not_zero` is zero.
    Sign {
        over: Univariate,
        under: Univariate,
        not_zero: Vec<Univariate>,
        relation: Relation,
    },
    All(Vec<Formula>),
    Any(Vec<Formula>),
    Always(bool),
}

/// The set of values that make a line true.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Solutions {
    /// Finitely many, from left to right; empty for none.
    Finite(Vec<Solution>),
    /// Every real number.
    AllReals,
    /// Infinitely many, but not all: these intervals, from left to right.
    Intervals(Vec<Interval>),
    /// Infinitely many that repeat themselves.
    Repeating,
}

/// Where two lines in one unknown differ.
#[derive(Debug, Default, PartialEq, Eq)]
pub(crate) struct Differences {
    /// Solutions of the first that the second has not, when they are finitely many.
    pub lost: Vec<Solution>,
    /// Solutions of the second that the first has not, when they are finitely many.
    pub gained: Vec<Solution>,
    /// A value that shows it, when infinitely many differ.
    pub counterexample: Option<Counterexample>,
}

fn formula(line: &Line, letter: &str, budget: &mut Budget) -> Result<Formula, NotNormal> {
    match line {
        Line::Relations { sides, relations } => {
            let mut all = Vec::new();
            for (pair, relation) in sides.windows(2).zip(relations) {
                all.push(sign(&pair[0], &pair[1], *relation, letter, budget)?);
            }
            Ok(Formula::All(all))
        }
        Line::AnyOf(lines) | Line::AllOf(lines) => {
            let parts: Result<Vec<_>, _> =
                lines.iter().map(|line| formula(line, letter, budget)).collect();
            let is_any = matches!(line, Line::AnyOf(_));
            Ok(if is_any { Formula::Any(parts?) } else { Formula::All(parts?) })
        }
        Line::NoSolution => Ok(Formula::Always(false)),
        Line::AllReals => Ok(Formula::Always(true)),
        Line::Set(pieces) => {
            let letter_alone = Expr::symbol(letter);
            let lines: Vec<Line> = pieces.iter().map(|p| p.of_letter(&letter_alone)).collect();
            formula(&Line::AnyOf(lines), letter, budget)
        }
        Line::Expression(_)
        | Line::Sentence(_)
        | Line::Definition { .. }
        | Line::Rounded(_)
        | Line::Point(_) => Err(NotNormal::NotCovered),
    }
}

fn sign(
    left: &Expr,
    right: &Expr,
    relation: Relation,
    letter: &str,
    budget: &mut Budget,
) -> Result<Formula, NotNormal> {
    if relation == Relation::Approximate {
        return Err(NotNormal::NotCovered);
    }
    let none = Values::new();
    let mut forms = Normaliser::new(&none, budget);
    let built = forms.build(left).and_then(|l| Ok((l, forms.build(right)?)));
    let (l, r) = match built {
        Err(NotNormal::Undefined) => return Ok(Formula::Always(false)),
        other => other?,
    };
    if !forms.needs.is_rational() {
        return Err(NotNormal::NotCovered);
    }
    let needed = forms.needs.not_zero;
    let difference = l.minus(&r, budget)?;
    let one = |poly| Univariate::from_poly(poly, letter).ok_or(NotNormal::NotCovered);
    let not_zero: Result<Vec<_>, _> = needed.iter().map(|q| one(q.numerator())).collect();
    Ok(Formula::Sign {
        over: one(difference.numerator())?,
        under: one(difference.denominator())?,
        not_zero: not_zero?,
        relation,
    })
}

/// A point or an open interval of the number line.
#[derive(Debug, Clone)]
enum Cell {
    /// A root, and which polynomial of the basis it belongs to.
    Point(Root, usize),
    /// Any point of the interval stands for it.
    Interval(Rational),
}

/// Polynomials without common roots, such that the roots of every polynomial of the lines are theirs.
struct Basis(Vec<Univariate>);

impl Basis {
    fn of(formulas: &[&Formula], budget: &mut Budget) -> Result<Self, Spent> {
        let mut polys = Vec::new();
        formulas.iter().for_each(|formula| formula.collect(&mut polys));
        let mut basis: Vec<Univariate> = Vec::new();
        for poly in polys {
            let mut rest = poly.square_free(budget)?;
            let mut refined = Vec::new();
            for old in basis {
                let common = old.gcd(&rest, budget)?;
                if rest.is_zero() || common.degree() == 0 {
                    refined.push(old);
                    continue;
                }
                rest = rest.exact_quotient(&common, budget)?.ok_or(Spent)?;
                let left = old.exact_quotient(&common, budget)?.ok_or(Spent)?;
                refined.extend([common, left].into_iter().filter(|p| p.degree() > 0));
            }
            if rest.degree() > 0 {
                refined.push(rest);
            }
            basis = refined;
        }
        Ok(Self(basis))
    }

    fn cells(&self, budget: &mut Budget) -> Result<Vec<Cell>, Spent> {
        let mut roots: Vec<(Root, usize)> = Vec::new();
        for (index, poly) in self.0.iter().enumerate() {
            roots.extend(poly.roots(budget)?.into_iter().map(|root| (root, index)));
        }
        self.separate(&mut roots, budget)?;
        let Some(((first, _), (last, _))) = roots.first().zip(roots.last()) else {
            return Ok(vec![Cell::Interval(from_int(0))]);
        };
        let mut cells = vec![Cell::Interval(first.bounds().0 - Rational::one())];
        let end = last.bounds().1 + Rational::one();
        for (at, (root, index)) in roots.iter().enumerate() {
            cells.push(Cell::Point(root.clone(), *index));
            if let Some((next, _)) = roots.get(at + 1) {
                let middle = (root.bounds().1 + next.bounds().0) / from_int(2);
                cells.push(Cell::Interval(middle));
            }
        }
        cells.push(Cell::Interval(end));
        Ok(cells)
    }

    /// Narrows the intervals until they lie apart, and sorts them.
    fn separate(&self, roots: &mut [(Root, usize)], budget: &mut Budget) -> Result<(), Spent> {
        loop {
            roots.sort_by(|a, b| a.0.bounds().cmp(&b.0.bounds()));
            let touching = |pair: &[(Root, usize)]| pair[0].0.bounds().1 >= pair[1].0.bounds().0;
            let Some(at) = roots.windows(2).position(touching) else { return Ok(()) };
            for (root, index) in &mut roots[at..=at + 1] {
                budget.spend(20 + 2 * self.0[*index].cost_at(root.bounds().0))?;
                root.refine(&self.0[*index]);
            }
        }
    }

    /// The sign of `poly` on a cell.
    fn sign(&self, poly: &Univariate, cell: &Cell, budget: &mut Budget) -> Result<i8, Spent> {
        budget.spend(poly.degree() + 1)?;
        Ok(match cell {
            Cell::Interval(sample) | Cell::Point(Root::Exact(sample), _) => poly.sign_at(sample),
            Cell::Point(Root::Between(low, _), index) => {
                if poly.exact_quotient(&self.0[*index], budget)?.is_some() {
                    0
                } else {
                    // No root of `poly` lies in this interval: its roots are all elsewhere.
                    poly.sign_at(low)
                }
            }
        })
    }
}

impl Formula {
    fn collect(&self, polys: &mut Vec<Univariate>) {
        match self {
            Self::Sign { over, under, not_zero, .. } => {
                polys.extend([over.clone(), under.clone()]);
                polys.extend(not_zero.iter().cloned());
            }
            Self::All(parts) | Self::Any(parts) => parts.iter().for_each(|p| p.collect(polys)),
            Self::Always(_) => {}
        }
    }

    fn holds(&self, basis: &Basis, cell: &Cell, budget: &mut Budget) -> Result<bool, Spent> {
        Ok(match self {
            Self::Always(truth) => *truth,
            Self::All(parts) => {
                for part in parts {
                    if !part.holds(basis, cell, budget)? {
                        return Ok(false);
                    }
                }
                true
            }
            Self::Any(parts) => {
                for part in parts {
                    if part.holds(basis, cell, budget)? {
                        return Ok(true);
                    }
                }
                false
            }
            Self::Sign { over, under, not_zero, relation } => {
                for poly in not_zero {
                    if basis.sign(poly, cell, budget)? == 0 {
                        return Ok(false);
                    }
                }
                let below = basis.sign(under, cell, budget)?;
                if below == 0 {
                    return Ok(false);
                }
                let sign = basis.sign(over, cell, budget)? * below;
                match relation {
                    Relation::Equal | Relation::Approximate => sign == 0,
                    Relation::NotEqual => sign != 0,
                    Relation::Less => sign < 0,
                    Relation::LessOrEqual => sign <= 0,
                    Relation::Greater => sign > 0,
                    Relation::GreaterOrEqual => sign >= 0,
                }
            }
        })
    }
}

/// The solutions of a line in the one unknown `letter`.
///
/// # Errors
/// [`NotNormal`] when the line is not made of quotients of polynomials in that letter, or a limit was
/// reached.
pub(crate) fn solutions(line: &Line, letter: &str) -> Result<Solutions, NotNormal> {
    let mut budget = Budget::for_verdict();
    let formula = formula(line, letter, &mut budget)?;
    let basis = Basis::of(&[&formula], &mut budget)?;
    let mut points = Vec::new();
    let (mut truths, mut has_gap, mut all) = (Vec::new(), false, true);
    for cell in basis.cells(&mut budget)? {
        let truth = formula.holds(&basis, &cell, &mut budget)?;
        all &= truth;
        has_gap |= truth && matches!(cell, Cell::Interval(_));
        truths.push((cell, truth));
    }
    if all {
        return Ok(Solutions::AllReals);
    }
    let mut set = Builder::default();
    for (cell, truth) in truths {
        match cell {
            Cell::Interval(_) => set.gap(truth),
            // Where there are no intervals, only the true points have to be written.
            Cell::Point(..) if !truth && !has_gap => {}
            Cell::Point(root, index) => {
                let value = exact(&root, &basis.0[index], &mut budget)?;
                set.point(&value, truth);
                points.extend(truth.then_some(value));
            }
        }
    }
    if has_gap {
        return Ok(Solutions::Intervals(set.finish()));
    }
    points
        .iter()
        .map(Solution::of)
        .collect::<Option<_>>()
        .map(Solutions::Finite)
        .ok_or(NotNormal::Spent)
}

/// Compares two lines in the one unknown `letter`. `None` when they have the same solutions.
///
/// # Errors
/// As [`solutions`].
pub(crate) fn differences(
    from: &Line,
    to: &Line,
    letter: &str,
) -> Result<Option<Differences>, NotNormal> {
    let mut budget = Budget::for_verdict();
    let from = formula(from, letter, &mut budget)?;
    let to = formula(to, letter, &mut budget)?;
    let basis = Basis::of(&[&from, &to], &mut budget)?;
    let mut found = Differences::default();
    let mut interval = None;
    for cell in basis.cells(&mut budget)? {
        let before = from.holds(&basis, &cell, &mut budget)?;
        let after = to.holds(&basis, &cell, &mut budget)?;
        if before == after {
            continue;
        }
        match &cell {
            Cell::Interval(_) => interval = interval.or(Some(cell)),
            Cell::Point(root, index) => {
                let value = solution(root, &basis.0[*index], &mut budget)?;
                if before { found.lost.push(value) } else { found.gained.push(value) }
            }
        }
    }
    if let Some(Cell::Interval(sample)) = interval {
        // Infinitely many differ: a value that is easy to check says more than a list.
        found = Differences::default();
        for value in trial_numbers().chain([sample]) {
            let cell = Cell::Interval(value.clone());
            let left = from.holds(&basis, &cell, &mut budget)?;
            let right = to.holds(&basis, &cell, &mut budget)?;
            if left != right {
                let at = Values::from([(letter.to_owned(), Quotient::constant(value))]);
                let (left, right) = (Shown::Truth(left), Shown::Truth(right));
                found.counterexample = Some(Counterexample { at, left, right });
                break;
            }
        }
    }
    let same = found == Differences::default();
    Ok((!same).then_some(found))
}

/// A root, by roots of whole numbers where these say it.
fn exact(root: &Root, poly: &Univariate, budget: &mut Budget) -> Result<Quotient, NotNormal> {
    let (low, high) = match root {
        Root::Exact(value) => return Ok(Quotient::constant(value.clone())),
        Root::Between(low, high) => (low.clone(), high.clone()),
    };
    let (low, high) = (Quotient::constant(low), Quotient::constant(high));
    let all = zeros::rational_roots(poly, budget)?;
    let inside = all.into_iter().find(|value| {
        real::compare(&low, value, budget) == Some(Ordering::Less)
            && real::compare(value, &high, budget) == Some(Ordering::Less)
    });
    inside.ok_or(NotNormal::Spent)
}

fn solution(root: &Root, poly: &Univariate, budget: &mut Budget) -> Result<Solution, NotNormal> {
    Solution::of(&exact(root, poly, budget)?).ok_or(NotNormal::Spent)
}
