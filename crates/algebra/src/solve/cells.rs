//! The truth of lines in one unknown, decided on the whole number line.
//!
//! Every relation between quotients of polynomials becomes conditions on signs. The real roots of all
//! the polynomials cut the line into cells, points and open intervals, on each of which every sign is
//! constant, so one look at each cell decides a line everywhere. This is cylindrical algebraic
//! decomposition in one dimension (G. E. Collins, 1975). Roots that are no rational numbers are
//! handled by the polynomial they belong to, never by a decimal.

use crate::budget::{Budget, Spent};
use crate::equal::{Counterexample, Shown, trial_numbers};
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{Assignment, Normaliser, NotNormal, Root, Univariate};
use crate::number::{Rational, from_int, square_part};
use crate::solve::Solution;
use num_traits::{One, Signed};

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
    /// Infinitely many, but not all.
    Infinite,
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
        Line::Expression(_) | Line::Sentence(_) => Err(NotNormal::NotCovered),
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
    let none = Assignment::new();
    let mut forms = Normaliser::new(&none, budget);
    let built = forms.build(left).and_then(|l| Ok((l, forms.build(right)?)));
    let (l, r) = match built {
        Err(NotNormal::Undefined) => return Ok(Formula::Always(false)),
        other => other?,
    };
    if !(forms.not_negative.is_empty() && forms.positive.is_empty()) {
        return Err(NotNormal::NotCovered);
    }
    let needed = forms.not_zero;
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
            budget.spend(200)?;
            for (root, index) in &mut roots[at..=at + 1] {
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
pub fn solutions(line: &Line, letter: &str) -> Result<Solutions, NotNormal> {
    let mut budget = Budget::for_verdict();
    let formula = formula(line, letter, &mut budget)?;
    let basis = Basis::of(&[&formula], &mut budget)?;
    let (mut points, mut intervals, mut all) = (Vec::new(), 0, true);
    for cell in basis.cells(&mut budget)? {
        let truth = formula.holds(&basis, &cell, &mut budget)?;
        all &= truth;
        match cell {
            Cell::Point(root, index) if truth => {
                points.push(solution(&root, &basis.0[index], letter));
            }
            Cell::Interval(_) if truth => intervals += 1,
            _ => {}
        }
    }
    Ok(match (all, intervals) {
        (true, _) => Solutions::AllReals,
        (_, 0) => Solutions::Finite(points),
        _ => Solutions::Infinite,
    })
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
                let value = solution(root, &basis.0[*index], letter);
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
                let at = Assignment::from([(letter.to_owned(), value)]);
                let (left, right) = (Shown::Truth(left), Shown::Truth(right));
                found.counterexample = Some(Counterexample { at, left, right });
                break;
            }
        }
    }
    let same = found == Differences::default();
    Ok((!same).then_some(found))
}

/// A root written exactly where roots of whole numbers can say it; otherwise by its polynomial.
fn solution(root: &Root, poly: &Univariate, letter: &str) -> Solution {
    let (low, high) = match root {
        Root::Exact(value) => return Solution::Exact(Expr::rational(value)),
        Root::Between(low, high) => (low.clone(), high.clone()),
    };
    let poly = without_rational_roots(poly);
    if let [c, b, a] = poly.coefficients() {
        let middle = -b / (a * from_int(2));
        let under = b * b - from_int(4) * a * c;
        let sign_is_plus = low >= middle || (&low + &high) / from_int(2) > middle;
        let square = under / (from_int(4) * a * a);
        return Solution::Exact(quadratic_surd(&middle, &square, sign_is_plus));
    }
    let mut narrow = root.clone();
    let target = Rational::new(1.into(), 10_000_000.into());
    for _ in 0..200 {
        let (low, high) = narrow.bounds();
        if high - low < target {
            break;
        }
        narrow.refine(&poly);
    }
    let text = crate::number::to_decimal_text(narrow.bounds().0, 6);
    let size = crate::number::Written::decimal(text.trim_start_matches('-'));
    let size = size.map_or_else(|| Expr::int(0), |w| ExprKind::Number(w).into());
    let decimal = if text.starts_with('-') { size.negative() } else { size };
    Solution::Near { polynomial: poly.to_expr(letter), decimal }
}

/// What is left of a polynomial when its rational roots are divided out.
fn without_rational_roots(poly: &Univariate) -> Univariate {
    let mut budget = Budget::for_verdict();
    let mut left = poly.clone();
    for root in poly.rational_roots().unwrap_or_default() {
        let factor = Univariate::new(vec![-root, from_int(1)]);
        match left.exact_quotient(&factor, &mut budget) {
            Ok(Some(quotient)) => left = quotient,
            _ => return poly.clone(),
        }
    }
    left
}

/// `middle ± √square`, with square factors brought out.
fn quadratic_surd(middle: &Rational, square: &Rational, plus: bool) -> Expr {
    let below = square.denom().clone();
    let product = square.numer() * &below;
    let (outside, inside) = match square_part(&product) {
        Some((outside, primes)) => {
            let inside = primes.iter().fold(num_bigint::BigInt::one(), |n, &p| n * p);
            (outside, inside)
        }
        None => (num_bigint::BigInt::one(), product),
    };
    let factor = Rational::new(outside, below);
    let radicand = Expr::rational(&Rational::from_integer(inside));
    let root: Expr = ExprKind::Root { index: 2, radicand: Box::new(radicand) }.into();
    let top = Rational::from_integer(factor.numer().clone());
    let mut surd = if top.is_one() { root } else { Expr::rational(&top).times(root) };
    if !factor.denom().is_one() {
        surd = surd.over(Expr::rational(&Rational::from_integer(factor.denom().clone())));
    }
    match (middle == &from_int(0), plus) {
        (true, true) => surd,
        (true, false) => surd.negative(),
        (false, true) if middle.is_negative() || middle.is_positive() => {
            Expr::rational(middle).plus(surd)
        }
        (false, _) => Expr::rational(middle).minus(surd),
    }
}
