//! A quotient of two polynomials; the denominator is never the zero polynomial.

use super::{Atom, Kernel, Poly};
use crate::budget::{Budget, Spent};
use crate::expr::{Expr, ExprKind};
use crate::number::Rational;
use num_traits::{One, Signed, Zero};
use std::collections::BTreeSet;

/// `numerator / denominator`, with common monomials and the denominator's leading coefficient divided
/// out. Two equal quotients may still look different; [`Quotient::minus`] tells.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord)]
pub struct Quotient {
    numerator: Poly,
    denominator: Poly,
}

impl Quotient {
    /// `numerator / denominator`; `None` when the denominator is zero.
    #[must_use]
    pub fn new(numerator: Poly, denominator: Poly) -> Option<Self> {
        if denominator.is_zero() {
            return None;
        }
        if denominator.is_one() {
            return Some(Self { numerator, denominator });
        }
        if numerator.is_zero() {
            return Some(Self::whole(numerator));
        }
        let (mut numerator, mut denominator) = (numerator, denominator);
        let below = denominator.monomial_content();
        if !below.is_one() {
            let common = numerator.monomial_content().common(&below);
            if !common.is_one() {
                numerator = numerator.without(&common);
                denominator = denominator.without(&common);
            }
        }
        let leading = denominator.leading();
        if !leading.is_one() {
            numerator = numerator.scale(&leading.recip());
            denominator = denominator.scale(&leading.recip());
        }
        Some(Self { numerator, denominator })
    }

    /// A polynomial as a quotient.
    #[must_use]
    pub fn whole(numerator: Poly) -> Self {
        Self { numerator, denominator: Poly::int(1) }
    }

    /// The constant `value`.
    #[must_use]
    pub fn constant(value: Rational) -> Self {
        Self::whole(Poly::constant(value))
    }

    /// What stands above.
    #[must_use]
    pub fn numerator(&self) -> &Poly {
        &self.numerator
    }

    /// What stands below.
    #[must_use]
    pub fn denominator(&self) -> &Poly {
        &self.denominator
    }

    /// Its value when it is a rational number.
    #[must_use]
    pub fn as_constant(&self) -> Option<Rational> {
        if self.denominator.is_one() {
            return self.numerator.as_constant();
        }
        Some(self.numerator.as_constant()? / self.denominator.as_constant()?)
    }

    /// Whether it is zero.
    #[must_use]
    pub fn is_zero(&self) -> bool {
        self.numerator.is_zero()
    }

    /// How many kernels it is made of, each counted as often as it stands there.
    #[must_use]
    pub fn size(&self) -> usize {
        self.numerator().size().saturating_add(self.denominator().size())
    }

    /// Every letter in it.
    #[must_use]
    pub fn symbols(&self) -> BTreeSet<String> {
        let mut found = self.numerator.symbols();
        found.extend(self.denominator.symbols());
        found
    }

    /// Whether no letter stands in it.
    #[must_use]
    pub fn is_constant(&self) -> bool {
        self.numerator.is_constant() && self.denominator.is_constant()
    }

    /// Whether a number takes part that only its polynomial, or its function, tells: it is written as a
    /// decimal near it, so what is written says something else.
    #[must_use]
    pub fn is_written_near(&self) -> bool {
        let near = |atom: &Atom| atom.as_kernel().is_some_and(Kernel::is_written_near);
        [&self.numerator, &self.denominator].iter().any(|p| p.atoms().into_iter().any(near))
    }

    /// The kernel that it is, without anything else.
    #[must_use]
    pub fn as_kernel(&self) -> Option<&Kernel> {
        let (monomial, factor) = self.numerator.as_term().filter(|_| self.denominator.is_one())?;
        let (atom, _) = monomial.iter().next().filter(|_| monomial.degree() == 1)?;
        atom.as_kernel().filter(|_| factor.is_one())
    }

    /// Whether `letter` stands anywhere in it.
    #[must_use]
    pub fn mentions(&self, letter: &str) -> bool {
        self.numerator.mentions(letter) || self.denominator.mentions(letter)
    }

    /// The numerator over the constant denominator, when nothing else stands below.
    #[must_use]
    pub fn as_poly(&self) -> Option<Poly> {
        let below = self.denominator.as_constant()?;
        Some(if below.is_one() {
            self.numerator.clone()
        } else {
            self.numerator.scale(&below.recip())
        })
    }

    /// The same in lowest terms.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn cancelled(&self, budget: &mut Budget) -> Result<Self, Spent> {
        if self.denominator.as_constant().is_some() {
            return Ok(self.clone());
        }
        let common = super::divide::gcd(&self.numerator, &self.denominator, budget)?;
        let over = |poly: &Poly, budget: &mut Budget| {
            super::divide::exact_quotient(poly, &common, budget)?.ok_or(Spent)
        };
        let (above, below) = (over(&self.numerator, budget)?, over(&self.denominator, budget)?);
        Self::new(above, below).ok_or(Spent)
    }

    /// The same with no square root of a whole number in the denominator.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn rationalised(&self, budget: &mut Budget) -> Result<Self, Spent> {
        let mut found = self.clone();
        for _ in 0..6 {
            let root =
                found.denominator.atoms().into_iter().find(|a| a.prime_under_root().is_some());
            let Some(root) = root.cloned() else { break };
            // (a + b√p)(a - b√p) = a² - b²p
            let parts = found.denominator.by_powers_of(&root);
            let [a, b] = &parts[..] else { break };
            let other = b.multiply(&Poly::atom(root), budget)?;
            let conjugate = a.add(&other.negated(), budget)?;
            let below = found.denominator.multiply(&conjugate, budget)?;
            if below.is_zero() {
                break;
            }
            found = Self::new(found.numerator.multiply(&conjugate, budget)?, below).ok_or(Spent)?;
        }
        Ok(found)
    }

    /// `self + other`
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn plus(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        if self.denominator == other.denominator {
            let sum = self.numerator.add(&other.numerator, budget)?;
            return Self::new(sum, self.denominator.clone()).ok_or(Spent);
        }
        let left = self.numerator.multiply(&other.denominator, budget)?;
        let right = other.numerator.multiply(&self.denominator, budget)?;
        let below = self.denominator.multiply(&other.denominator, budget)?;
        Self::new(left.add(&right, budget)?, below).ok_or(Spent)
    }

    /// `self - other`
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn minus(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        self.plus(&other.negated(), budget)
    }

    /// `-self`
    #[must_use]
    pub fn negated(&self) -> Self {
        Self { numerator: self.numerator.negated(), denominator: self.denominator.clone() }
    }

    /// `self × n`
    #[must_use]
    pub fn scaled(&self, n: i64) -> Self {
        let factor = crate::number::from_int(n);
        Self { numerator: self.numerator.scale(&factor), denominator: self.denominator.clone() }
    }

    /// `self × other`
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn times(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        let above = self.numerator.multiply(&other.numerator, budget)?;
        let below = self.denominator.multiply(&other.denominator, budget)?;
        Self::new(above, below).ok_or(Spent)
    }

    /// `1 / self`; `None` when it is zero.
    #[must_use]
    pub fn reciprocal(&self) -> Option<Self> {
        Self::new(self.denominator.clone(), self.numerator.clone())
    }

    /// `self` to a whole power that is not negative.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn power(&self, exponent: u32, budget: &mut Budget) -> Result<Self, Spent> {
        let above = self.numerator.power(exponent, budget)?;
        let below = self.denominator.power(exponent, budget)?;
        Self::new(above, below).ok_or(Spent)
    }

    /// A number with its unit: `0.05 m`, `25 m/s`.
    fn quantity(&self) -> Option<Expr> {
        let is_unit = |atom: &Atom| matches!(atom, Atom::Unit(_));
        let (above, factor) = self.numerator.as_term()?;
        let (below, _) = self.denominator.as_term()?;
        let all = above.iter().chain(below.iter());
        if above.iter().len() + below.iter().len() == 0 || !all.map(|(a, _)| a).all(is_unit) {
            return None;
        }
        let number = match crate::number::decimal_places(factor) {
            Some(places @ 1..=6) => Expr::decimal(&crate::number::to_decimal_text(factor, places)),
            _ => Expr::rational(factor),
        };
        let quantity = match units(above) {
            Some(above) => number.times(above),
            None => number,
        };
        Some(match units(below) {
            Some(below) => quantity.over(below),
            None => quantity,
        })
    }

    /// As an expression for reading only: a number that would be written with a decimal in it is a decimal of six
    /// places as a whole.
    #[must_use]
    pub fn to_shown(&self) -> Expr {
        if self.is_written_near()
            && let Some(inside) = super::constant::enclose(self, 64, &mut Budget::for_verdict())
        {
            return Expr::decimal(&crate::number::to_decimal_text(&inside.low(), 6));
        }
        self.to_expr()
    }

    /// As an expression, for showing.
    #[must_use]
    pub fn to_expr(&self) -> Expr {
        if let Some(quantity) = self.quantity() {
            return quantity;
        }
        if let Some(value) = self.as_constant() {
            return Expr::rational(&value);
        }
        if self.denominator.is_one() {
            return self.numerator.to_expr();
        }
        // gT²/(4π²), not gT²/4/π²; and no sign on both sides of the bar.
        let mut factor = Rational::from_integer(self.numerator.number_content().denom().clone());
        let is_negative = |poly: &Poly| poly.terms().all(|(_, c)| c.is_negative());
        let starts_negative = is_negative(&self.denominator.scale(&factor))
            || (is_negative(&self.numerator)
                && self.denominator.terms().any(|(_, c)| c.is_negative()));
        if starts_negative {
            factor = -factor;
        }
        let (above, below) = (self.numerator.scale(&factor), self.denominator.scale(&factor));
        let (above, below) = (above.to_expr(), below.to_expr());
        match (above.kind, below.kind) {
            (ExprKind::Negative(a), ExprKind::Negative(b)) => a.over(*b),
            (a, ExprKind::Negative(b)) => Expr::from(a).negative().over(*b),
            (a, b) => Expr::from(a).over(b.into()),
        }
    }
}

/// A product of units; `None` for none.
fn units(monomial: &super::Monomial) -> Option<Expr> {
    let one = |(atom, exponent): &(Atom, u32)| {
        let unit = atom.to_expr();
        if *exponent == 1 { unit } else { unit.to_the(*exponent) }
    };
    monomial.iter().map(one).reduce(Expr::times)
}

impl Default for Quotient {
    fn default() -> Self {
        Self::constant(Rational::zero())
    }
}
