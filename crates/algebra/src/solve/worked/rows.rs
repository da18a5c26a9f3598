//! Linear equations in a few letters as rows of numbers, and as they are written on a board.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Atom, Normaliser, Values};
use crate::number::{Integer, Rational};
use num_integer::Integer as _;
use num_traits::{One, Signed, Zero};

/// `a x + b y + … = c`, with whole numbers that have no common factor when it was read from a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Row<const N: usize> {
    pub a: [Rational; N],
    pub c: Rational,
}

impl<const N: usize> Row<N> {
    /// The row of a linear equation in these letters; `None` for any other line.
    pub fn of(line: &Line, letters: &[String; N]) -> Option<Self> {
        let (left, right) = line.as_equation()?;
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let mut forms = Normaliser::new(&none, &mut budget);
        let (l, r) = (forms.build(left).ok()?, forms.build(right).ok()?);
        if !forms.needs.is_empty() {
            return None;
        }
        let poly = l.minus(&r, &mut budget).ok()?.as_poly()?;
        let mut row = Self { a: std::array::from_fn(|_| Rational::zero()), c: Rational::zero() };
        for (monomial, factor) in poly.terms() {
            let mut atoms = monomial.iter();
            match (atoms.next(), atoms.next()) {
                (None, _) => row.c = -factor.clone(),
                (Some((Atom::Symbol(name), 1)), None) => {
                    let at = letters.iter().position(|letter| **letter == **name)?;
                    row.a[at] = factor.clone();
                }
                _ => return None,
            }
        }
        let row = row.whole();
        // What is rearranged anyway begins without a sign.
        let turned = !right.symbols().is_empty()
            && row.a.iter().find(|a| !a.is_zero()).is_some_and(Signed::is_negative);
        Some(if turned { row.map(|value| -value) } else { row })
    }

    /// The equation, the letters on the left.
    pub fn line(&self, letters: &[String; N]) -> Line {
        self.line_in(&letters.each_ref().map(|letter| Expr::symbol(letter)))
    }

    /// The equation in any terms, on the left.
    pub fn line_in(&self, terms: &[Expr; N]) -> Line {
        let mut left: Option<Expr> = None;
        for (factor, term) in self.a.iter().zip(terms).filter(|(factor, _)| !factor.is_zero()) {
            let size = factor.abs();
            let term = if size.is_one() { term.clone() } else { multiple(&size, term) };
            left = Some(match (left, factor.is_negative()) {
                (None, true) => term.negative(),
                (None, false) => term,
                (Some(left), true) => left.minus(term),
                (Some(left), false) => left.plus(term),
            });
        }
        Line::equation(left.unwrap_or_else(|| Expr::int(0)), Expr::rational(&self.c))
    }

    pub fn map(&self, change: impl Fn(&Rational) -> Rational) -> Self {
        Self { a: self.a.each_ref().map(&change), c: change(&self.c) }
    }

    /// `self + times × other`
    pub fn plus(&self, times: &Rational, other: &Self) -> Self {
        let mut row = self.clone();
        for (own, others) in row.a.iter_mut().zip(&other.a) {
            *own += others * times;
        }
        row.c += &other.c * times;
        row
    }

    /// With whole numbers that have no common factor.
    pub fn whole(self) -> Self {
        let all = || self.a.iter().chain([&self.c]);
        let below = all().fold(Integer::one(), |m, q| m.lcm(q.denom()));
        let above = all().fold(Integer::zero(), |g, q| g.gcd(&(q.numer() * (&below / q.denom()))));
        if above.is_zero() {
            return self;
        }
        let by = Rational::new(below, above);
        self.map(|value| value * &by)
    }

    /// How large its numbers are, all together.
    pub fn size(&self) -> Rational {
        self.a.iter().chain([&self.c]).map(Signed::abs).sum()
    }
}

/// A multiple of a term; `2/x`, not `2 × 1/x`.
fn multiple(size: &Rational, term: &Expr) -> Expr {
    match &term.kind {
        ExprKind::Divide(above, below) if *above.as_ref() == Expr::int(1) => {
            Expr::rational(size).over((**below).clone())
        }
        _ => Expr::rational(size).times(term.clone()),
    }
}
