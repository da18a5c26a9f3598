//! Polynomials in one unknown: division, common factors, and their real roots, found exactly.
//!
//! Roots are counted by Sturm's chain and isolated by halving (J. C. F. Sturm, "Mémoire sur la
//! résolution des équations numériques", 1829; H. Cohen, *A Course in Computational Algebraic Number
//! Theory*, section 3.1 and 4.1.2).

use super::{Atom, Poly};
use crate::budget::{self, Budget, Spent};
use crate::expr::Expr;
use crate::number::Integer;
use crate::number::{Rational, from_int, product_of};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// A polynomial in one unknown; coefficients lowest power first, the last one not zero.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Univariate {
    coefficients: Vec<Rational>,
}

/// A real root of a square-free polynomial: exactly, or the only one inside an open interval.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Root {
    /// A rational root.
    Exact(Rational),
    /// The only root between the two bounds, neither of which is a root.
    Between(Rational, Rational),
}

impl Univariate {
    /// From coefficients, lowest power first.
    #[must_use]
    pub fn new(mut coefficients: Vec<Rational>) -> Self {
        while coefficients.last().is_some_and(Zero::is_zero) {
            coefficients.pop();
        }
        Self { coefficients }
    }

    /// `poly` as a polynomial in `letter`; `None` when anything else is in it.
    #[must_use]
    pub fn from_poly(poly: &Poly, letter: &str) -> Option<Self> {
        let letter = Atom::symbol(letter);
        let by_power = poly.by_powers_of(&letter);
        if by_power.len() > budget::DEGREE + 1 {
            return None;
        }
        by_power.iter().map(Poly::as_constant).collect::<Option<_>>().map(Self::new)
    }

    /// Coefficients, lowest power first.
    #[must_use]
    pub fn coefficients(&self) -> &[Rational] {
        &self.coefficients
    }

    /// The polynomial in `letter`, the highest power first.
    #[must_use]
    pub fn to_expr(&self, letter: &str) -> Expr {
        let power = |n: usize| match u32::try_from(n) {
            Ok(0) | Err(_) => None,
            Ok(1) => Some(Expr::symbol(letter)),
            Ok(n) => Some(Expr::symbol(letter).to_the(n)),
        };
        let mut sum: Option<Expr> = None;
        for (n, coefficient) in self.coefficients.iter().enumerate().rev() {
            if coefficient.is_zero() {
                continue;
            }
            let size = Expr::rational(&coefficient.abs());
            let term = match power(n) {
                Some(power) if coefficient.abs().is_one() => power,
                Some(power) => size.times(power),
                None => size,
            };
            sum = Some(match (sum, coefficient.is_negative()) {
                (None, false) => term,
                (None, true) => term.negative(),
                (Some(before), false) => before.plus(term),
                (Some(before), true) => before.minus(term),
            });
        }
        sum.unwrap_or_else(|| Expr::int(0))
    }

    /// The highest power; zero for constants and for the zero polynomial.
    #[must_use]
    pub fn degree(&self) -> usize {
        self.coefficients.len().saturating_sub(1)
    }

    /// Whether it is zero everywhere.
    #[must_use]
    pub fn is_zero(&self) -> bool {
        self.coefficients.is_empty()
    }

    /// The value at `x`.
    #[must_use]
    pub fn at(&self, x: &Rational) -> Rational {
        self.coefficients.iter().rev().fold(Rational::zero(), |sum, c| sum * x + c)
    }

    /// The sign of the value at `x`: -1, 0 or 1.
    #[must_use]
    pub fn sign_at(&self, x: &Rational) -> i8 {
        // Over one denominator: whole numbers need no common factors taken out on the way.
        let scale = self.coefficients.iter().fold(Integer::one(), |m, c| m.lcm(c.denom()));
        let mut power = Integer::one();
        let mut sum = Integer::zero();
        for coefficient in self.coefficients.iter().rev() {
            let whole = coefficient.numer() * (&scale / coefficient.denom());
            sum = sum * x.numer() + whole * &power;
            power *= x.denom();
        }
        sign(&Rational::from_integer(sum))
    }

    /// What [`Univariate::sign_at`] costs there, in steps of the budget.
    #[must_use]
    pub fn cost_at(&self, x: &Rational) -> usize {
        let words = |bits: u64| bits as usize / 64 + 1;
        let place = words(x.numer().bits().max(x.denom().bits()));
        let coefficient = self
            .coefficients
            .iter()
            .map(|c| c.numer().bits() + c.denom().bits())
            .max()
            .map_or(1, words);
        let terms = self.coefficients.len();
        terms * (2 + (terms * place + coefficient) * (place + coefficient) / 32)
    }

    /// With whole coefficients that have no common factor, and the same signs everywhere.
    fn whole(&self) -> Self {
        let below = self.coefficients.iter().fold(Integer::one(), |m, c| m.lcm(c.denom()));
        let whole = |c: &Rational| c.numer() * (&below / c.denom());
        let common = self.coefficients.iter().fold(Integer::zero(), |g, c| g.gcd(&whole(c)));
        if common.is_zero() {
            return self.clone();
        }
        let over = |c: &Rational| Rational::from_integer(whole(c) / &common);
        Self::new(self.coefficients.iter().map(over).collect())
    }

    /// The sign far to the right.
    fn sign_at_infinity(&self, left: bool) -> i8 {
        let leading = self.coefficients.last().map_or(0, sign);
        if left && self.degree() % 2 == 1 { -leading } else { leading }
    }

    /// Quotient and remainder; `divisor` must not be zero.
    fn divide(&self, divisor: &Self, budget: &mut Budget) -> Result<(Self, Self), Spent> {
        let mut rest = self.coefficients.clone();
        let mut quotient = Vec::new();
        let below = &divisor.coefficients;
        let leading = below.last().ok_or(Spent)?;
        while rest.len() >= below.len() {
            let factor = rest.last().ok_or(Spent)? / leading;
            // Long numbers cost more: the common factor of a fraction takes the square of its length.
            let words = (factor.numer().bits() + factor.denom().bits()) as usize / 64 + 1;
            budget.spend(below.len() * (8 + words * words))?;
            if !crate::number::is_within_bits(&factor) {
                return Err(Spent);
            }
            let shift = rest.len() - below.len();
            for (index, coefficient) in below.iter().enumerate() {
                rest[shift + index] -= product_of(&factor, coefficient);
            }
            rest.pop();
            quotient.push(factor);
        }
        quotient.reverse();
        Ok((Self::new(quotient), Self::new(rest)))
    }

    /// The same roots with a leading coefficient of one.
    fn monic(&self) -> Self {
        match self.coefficients.last() {
            Some(leading) => Self::new(self.coefficients.iter().map(|c| c / leading).collect()),
            None => self.clone(),
        }
    }

    /// The greatest common factor, with leading coefficient one.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn gcd(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        let (mut a, mut b) = (self.clone(), other.clone());
        while !b.is_zero() {
            let (_, rest) = a.divide(&b, budget)?;
            (a, b) = (b, rest.monic());
        }
        Ok(a.monic())
    }

    /// `self / divisor` when that leaves nothing over.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn exact_quotient(
        &self,
        divisor: &Self,
        budget: &mut Budget,
    ) -> Result<Option<Self>, Spent> {
        let (quotient, rest) = self.divide(divisor, budget)?;
        Ok(rest.is_zero().then_some(quotient))
    }

    /// The polynomial in `y` that this one is for `x = y + by`.
    #[must_use]
    pub fn shifted(&self, by: &Rational) -> Self {
        // Horner's scheme, once for each coefficient.
        let mut found = self.coefficients.clone();
        for first in 0..found.len() {
            for at in (first..found.len() - 1).rev() {
                let next = &found[at + 1] * by;
                found[at] += next;
            }
        }
        Self::new(found)
    }

    fn derivative(&self) -> Self {
        let terms = self.coefficients.iter().enumerate().skip(1);
        Self::new(terms.map(|(power, c)| c * from_int(power as i64)).collect())
    }

    /// The same roots, each once.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn square_free(&self, budget: &mut Budget) -> Result<Self, Spent> {
        if self.degree() < 2 {
            return Ok(self.clone());
        }
        let common = self.gcd(&self.derivative(), budget)?;
        if common.degree() == 0 {
            return Ok(self.clone());
        }
        Ok(self.exact_quotient(&common, budget)?.unwrap_or_else(|| self.clone()))
    }

    /// Square-free polynomials without common roots, with the exponents whose product this is, up to a
    /// rational factor (D. Y. Y. Yun, "On square-free decomposition algorithms", 1976).
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn square_free_parts(&self, budget: &mut Budget) -> Result<Vec<(Self, u32)>, Spent> {
        let mut found = Vec::new();
        if self.degree() == 0 {
            return Ok(found);
        }
        let quotient =
            |a: &Self, b: &Self, budget: &mut Budget| a.exact_quotient(b, budget)?.ok_or(Spent);
        let mut common = self.gcd(&self.derivative(), budget)?;
        let mut left = quotient(self, &common, budget)?;
        let mut exponent = 1;
        while left.degree() > 0 {
            let next = left.gcd(&common, budget)?;
            let part = quotient(&left, &next, budget)?;
            if part.degree() > 0 {
                found.push((part, exponent));
            }
            common = quotient(&common, &next, budget)?;
            left = next;
            exponent += 1;
        }
        Ok(found)
    }

    /// As a polynomial in the letter.
    #[must_use]
    pub fn to_poly(&self, letter: &str) -> Poly {
        let atom = Atom::symbol(letter);
        let term = |(power, coefficient): (usize, &Rational)| {
            let mut monomial = super::Monomial::default();
            monomial.set(&atom, u32::try_from(power).unwrap_or(u32::MAX));
            (monomial, coefficient.clone())
        };
        Poly::gather(self.coefficients.iter().enumerate().map(term).collect())
    }

    /// The rational roots, by the rational root theorem on the whole-number polynomial; each once.
    /// `None` when numerator or denominator candidates are too many to try.
    #[must_use]
    pub fn rational_roots(&self) -> Option<Vec<Rational>> {
        let mut found = Vec::new();
        let start = self.coefficients.iter().position(|c| !c.is_zero())?;
        if start > 0 {
            found.push(Rational::zero());
        }
        let rest = Self::new(self.coefficients[start..].to_vec());
        if rest.degree() == 1 {
            found.push(-&rest.coefficients[0] / &rest.coefficients[1]);
        } else if rest.degree() > 1 {
            let scale = rest.coefficients.iter().fold(Integer::one(), |m, c| m.lcm(c.denom()));
            let whole = |c: &Rational| (c * Rational::from_integer(scale.clone())).to_integer();
            let tops = divisors(&whole(&rest.coefficients[0]))?;
            let bottoms = divisors(&whole(rest.coefficients.last()?))?;
            if tops.len() * bottoms.len() > 2_000 {
                return None;
            }
            for top in &tops {
                for bottom in &bottoms {
                    let size = Rational::new(top.clone(), bottom.clone());
                    for candidate in [size.clone(), -size] {
                        if rest.at(&candidate).is_zero() && !found.contains(&candidate) {
                            found.push(candidate);
                        }
                    }
                }
            }
        }
        found.sort();
        Some(found)
    }

    /// The real roots from left to right. `self` must be square-free.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn roots(&self, budget: &mut Budget) -> Result<Vec<Root>, Spent> {
        let exact = if self.is_zero() { None } else { self.rational_roots() }.ok_or(Spent)?;
        let mut rest = self.clone();
        for root in &exact {
            let linear = Self::new(vec![-root, Rational::one()]);
            rest = rest.exact_quotient(&linear, budget)?.ok_or(Spent)?;
        }
        let mut found = Vec::new();
        if rest.degree() >= 2 {
            let chain = rest.sturm(budget)?;
            let bound = rest.bound();
            isolate(&chain, -bound.clone(), bound, &mut found, budget)?;
        }
        // The rational roots were left aside: none of them may lie between two bounds either.
        for root in &mut found {
            while exact.iter().any(|value| root.bounds().0 <= value && value <= root.bounds().1) {
                budget.spend(20 + 2 * rest.cost_at(root.bounds().0))?;
                root.refine(&rest);
            }
        }
        found.extend(exact.into_iter().map(Root::Exact));
        found.sort_by(|a, b| a.bounds().0.cmp(b.bounds().0));
        Ok(found)
    }

    /// Every root lies strictly between minus this and this (Cauchy's bound).
    fn bound(&self) -> Rational {
        let Some(leading) = self.coefficients.last() else { return Rational::one() };
        let largest = self.coefficients.iter().map(|c| (c / leading).abs()).max();
        largest.unwrap_or_else(Rational::one) + from_int(2)
    }

    fn sturm(&self, budget: &mut Budget) -> Result<Vec<Self>, Spent> {
        let mut chain = vec![self.clone(), self.derivative()];
        while chain.last().is_some_and(|last| !last.is_zero()) {
            let (a, b) = (&chain[chain.len() - 2], &chain[chain.len() - 1]);
            let (_, rest) = a.divide(b, budget)?;
            // Only signs matter, so each remainder is scaled to keep its numbers small.
            chain.push(Self::new(rest.whole().coefficients.iter().map(|c| -c).collect()));
        }
        chain.pop();
        Ok(chain)
    }

    /// How many real roots a square-free polynomial has.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn count_roots(&self, budget: &mut Budget) -> Result<usize, Spent> {
        if self.degree() == 0 {
            return Ok(0);
        }
        let chain = self.sturm(budget)?;
        let count = |left| changes(chain.iter().map(|p| p.sign_at_infinity(left)));
        Ok(count(true) - count(false))
    }
}

impl Root {
    /// The interval that holds the root; both ends are the root when it is exact.
    #[must_use]
    pub fn bounds(&self) -> (&Rational, &Rational) {
        match self {
            Self::Exact(value) => (value, value),
            Self::Between(low, high) => (low, high),
        }
    }

    /// Halves the interval of a root of `poly`.
    pub fn refine(&mut self, poly: &Univariate) {
        if let Self::Between(low, high) = self {
            let middle = (&*low + &*high) / from_int(2);
            match poly.sign_at(&middle) {
                0 => *self = Self::Exact(middle),
                s if s == poly.sign_at(low) => *low = middle,
                _ => *high = middle,
            }
        }
    }
}

fn sign(value: &Rational) -> i8 {
    if value.is_zero() {
        0
    } else if value.is_positive() {
        1
    } else {
        -1
    }
}

fn changes(signs: impl Iterator<Item = i8>) -> usize {
    let signs: Vec<i8> = signs.filter(|&s| s != 0).collect();
    signs.windows(2).filter(|pair| pair[0] != pair[1]).count()
}

fn isolate(
    chain: &[Univariate],
    low: Rational,
    high: Rational,
    found: &mut Vec<Root>,
    budget: &mut Budget,
) -> Result<(), Spent> {
    let count = |x: &Rational| changes(chain.iter().map(|p| p.sign_at(x)));
    let mut waiting = vec![(low, high)];
    while let Some((low, high)) = waiting.pop() {
        let cost = |x: &Rational| chain.iter().map(|p| p.cost_at(x)).sum::<usize>();
        budget.spend(cost(&low) + cost(&high))?;
        match count(&low) - count(&high) {
            0 => {}
            1 => found.push(Root::Between(low, high)),
            _ => {
                let middle = (&low + &high) / from_int(2);
                waiting.push((low, middle.clone()));
                waiting.push((middle, high));
            }
        }
    }
    Ok(())
}

/// The positive divisors; `None` when the number is too large to factor by trial.
fn divisors(n: &Integer) -> Option<Vec<Integer>> {
    let n = n.abs().to_u64().filter(|&n| n > 0 && n < 10_000_000_000)?;
    let mut found = Vec::new();
    let mut d = 1u64;
    while d * d <= n {
        if n % d == 0 {
            found.push(Integer::from(d));
            if d * d != n {
                found.push(Integer::from(n / d));
            }
        }
        d += 1;
    }
    Some(found)
}

#[cfg(test)]
mod tests {
    use super::*;

    fn poly(coefficients: &[i64]) -> Univariate {
        Univariate::new(coefficients.iter().map(|&c| from_int(c)).collect())
    }

    #[test]
    fn roots_are_found_exactly_or_isolated() {
        let mut budget = Budget::for_verdict();
        for (coefficients, exact, between) in [
            (&[-6, 1, 1][..], vec!["-3", "2"], 0),
            (&[0, -5, 1], vec!["0", "5"], 0),
            (&[-2, 0, 1], vec![], 2),
            (&[1, 0, 1], vec![], 0),
            (&[2, -1, -2, 1], vec!["-1", "1", "2"], 0),
            (&[-3, 2], vec!["3/2"], 0),
            (&[-2, 0, 0, 1], vec![], 1),
        ] {
            let p = poly(coefficients);
            let roots = p.roots(&mut budget).expect("small");
            let found: Vec<_> = roots
                .iter()
                .filter_map(|r| match r {
                    Root::Exact(v) => Some(crate::number::show(v)),
                    Root::Between(..) => None,
                })
                .collect();
            assert_eq!(found, exact, "{coefficients:?}");
            assert_eq!(roots.len() - found.len(), between, "{coefficients:?}");
            assert_eq!(p.count_roots(&mut budget), Ok(roots.len()));
        }
    }

    /// The rational roots are taken out before the others are isolated, and must not come back between their bounds:
    /// `x⁴ - 3x³ - x² - 17x + 60 < 0` had no solution once.
    #[test]
    fn no_other_root_lies_between_the_bounds_of_one() {
        let mut budget = Budget::for_verdict();
        for coefficients in [
            &[18, -6, -3, 1][..],
            &[60, -17, -1, -3, 1],
            &[555, 4, -144, 0, 9],
            &[6, -11, 1, 4, -1],
        ] {
            let p = poly(coefficients);
            for mut root in p.roots(&mut budget).expect("small") {
                let (low, high) = root.bounds();
                let signs = (p.sign_at(low), p.sign_at(high));
                if matches!(root, Root::Exact(_)) {
                    assert_eq!(signs, (0, 0), "{coefficients:?}");
                    continue;
                }
                assert_eq!(signs.0 * signs.1, -1, "{coefficients:?}");
                for _ in 0..20 {
                    root.refine(&p);
                }
                let (low, high) = root.bounds();
                assert_eq!(p.sign_at(low) * p.sign_at(high), -1, "{coefficients:?}");
            }
        }
    }

    #[test]
    fn repeated_roots_are_counted_once() {
        let mut budget = Budget::for_verdict();
        let square = poly(&[9, -6, 1]);
        let free = square.square_free(&mut budget).expect("small");
        assert_eq!(free.roots(&mut budget).expect("small"), vec![Root::Exact(from_int(3))]);
    }
}
