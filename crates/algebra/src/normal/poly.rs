//! Polynomials in several atoms with rational coefficients.

use super::Quotient;
use crate::budget::{self, Budget, Spent};
use crate::expr::{Constant, Expr, Function};
use crate::number::{Rational, from_int, is_within_bits};
use num_traits::{One, Zero};
use std::collections::{BTreeMap, BTreeSet};

/// What a polynomial is a polynomial in.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord)]
pub enum Atom {
    /// A letter.
    Symbol(String),
    /// π or e.
    Constant(Constant),
    /// A value that the four operations cannot reach.
    Kernel(Box<Kernel>),
}

/// A function of arguments in normal form.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord)]
pub struct Kernel {
    /// Which function.
    pub kind: KernelKind,
    /// Its arguments.
    pub arguments: Vec<Quotient>,
}

/// The functions that kernels are made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
pub enum KernelKind {
    /// The square root of a prime number.
    PrimeRoot,
    /// A root of that index.
    Root(u32),
    /// Absolute value.
    Absolute,
    /// A power that is no whole number, or not known to be one.
    Power,
    /// A named function.
    Call(Function),
}

/// Atoms with their exponents, all positive.
pub type Monomial = BTreeMap<Atom, u32>;

/// A sum of monomials with nonzero coefficients.
#[derive(Debug, Clone, Default, PartialEq, Eq, PartialOrd, Ord)]
pub struct Poly {
    terms: BTreeMap<Monomial, Rational>,
}

impl Poly {
    /// The constant `value`.
    #[must_use]
    pub fn constant(value: Rational) -> Self {
        let mut found = Self::default();
        found.add_term(Monomial::new(), value);
        found
    }

    /// The whole number `n`.
    #[must_use]
    pub fn int(n: i64) -> Self {
        Self::constant(from_int(n))
    }

    /// A single atom.
    #[must_use]
    pub fn atom(atom: Atom) -> Self {
        let mut found = Self::default();
        found.add_term(Monomial::from([(atom, 1)]), Rational::one());
        found
    }

    /// Its monomials and their coefficients.
    pub fn terms(&self) -> impl Iterator<Item = (&Monomial, &Rational)> {
        self.terms.iter()
    }

    /// How many terms it has.
    #[must_use]
    pub fn len(&self) -> usize {
        self.terms.len()
    }

    /// Whether it is zero.
    #[must_use]
    pub fn is_zero(&self) -> bool {
        self.terms.is_empty()
    }

    /// Whether it is zero; the name that goes with [`Poly::len`].
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.is_zero()
    }

    /// Its value when no atom is left in it.
    #[must_use]
    pub fn as_constant(&self) -> Option<Rational> {
        match self.terms.len() {
            0 => Some(Rational::zero()),
            1 => self.terms.get(&Monomial::new()).cloned(),
            _ => None,
        }
    }

    /// The atoms in it, not counting those inside kernels.
    #[must_use]
    pub fn atoms(&self) -> BTreeSet<&Atom> {
        self.terms.keys().flat_map(BTreeMap::keys).collect()
    }

    /// Every letter in it, those inside kernels too.
    #[must_use]
    pub fn symbols(&self) -> BTreeSet<String> {
        let mut found = BTreeSet::new();
        for atom in self.atoms() {
            match atom {
                Atom::Symbol(name) => {
                    found.insert(name.clone());
                }
                Atom::Constant(_) => {}
                Atom::Kernel(kernel) => {
                    for argument in &kernel.arguments {
                        found.extend(argument.symbols());
                    }
                }
            }
        }
        found
    }

    fn add_term(&mut self, monomial: Monomial, coefficient: Rational) {
        if coefficient.is_zero() {
            return;
        }
        match self.terms.entry(monomial) {
            std::collections::btree_map::Entry::Vacant(slot) => {
                slot.insert(coefficient);
            }
            std::collections::btree_map::Entry::Occupied(mut slot) => {
                *slot.get_mut() += coefficient;
                if slot.get().is_zero() {
                    slot.remove();
                }
            }
        }
    }

    /// `self + other`
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn add(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        budget.spend(self.len() + other.len())?;
        let mut sum = self.clone();
        for (monomial, coefficient) in &other.terms {
            sum.add_term(monomial.clone(), coefficient.clone());
        }
        sum.checked()
    }

    /// `self × factor`
    #[must_use]
    pub fn scale(&self, factor: &Rational) -> Self {
        let mut scaled = Self::default();
        for (monomial, coefficient) in &self.terms {
            scaled.add_term(monomial.clone(), coefficient * factor);
        }
        scaled
    }

    /// `-self`
    #[must_use]
    pub fn negated(&self) -> Self {
        self.scale(&-Rational::one())
    }

    /// `self × other`, with `√p · √p = p` carried out.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn multiply(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        budget.spend(4 * self.len() * other.len())?;
        let mut product = Self::default();
        for (left, a) in &self.terms {
            for (right, b) in &other.terms {
                let mut monomial = left.clone();
                let mut coefficient = a * b;
                for (atom, exponent) in right {
                    let total = monomial.get(atom).copied().unwrap_or(0) + exponent;
                    if total > budget::EXPONENT * 4 {
                        return Err(Spent);
                    }
                    match prime_under_root(atom) {
                        Some(prime) if total >= 2 => {
                            coefficient *= num_traits::Pow::pow(prime, total / 2);
                            if total % 2 == 1 {
                                monomial.insert(atom.clone(), 1);
                            } else {
                                monomial.remove(atom);
                            }
                        }
                        _ => {
                            monomial.insert(atom.clone(), total);
                        }
                    }
                }
                product.add_term(monomial, coefficient);
            }
            if product.len() > budget::TERMS {
                return Err(Spent);
            }
        }
        product.checked()
    }

    /// `self` to a whole power.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn power(&self, exponent: u32, budget: &mut Budget) -> Result<Self, Spent> {
        let single = self.len() <= 1;
        if exponent > if single { budget::EXPONENT * 4 } else { budget::EXPONENT } {
            return Err(Spent);
        }
        let mut result = Self::int(1);
        for _ in 0..exponent {
            result = result.multiply(self, budget)?;
        }
        Ok(result)
    }

    fn checked(self) -> Result<Self, Spent> {
        let fits = self.len() <= budget::TERMS && self.terms.values().all(is_within_bits);
        if fits { Ok(self) } else { Err(Spent) }
    }

    /// The coefficient of the first monomial in the order of the map; zero for the zero polynomial.
    #[must_use]
    pub fn leading(&self) -> Rational {
        self.terms.values().next_back().cloned().unwrap_or_else(Rational::zero)
    }

    /// Divides every monomial by the largest monomial that divides them all, and gives that one.
    #[must_use]
    pub fn monomial_content(&self) -> Monomial {
        let mut monomials = self.terms.keys();
        let Some(first) = monomials.next() else { return Monomial::new() };
        let mut common = first.clone();
        for monomial in monomials {
            common.retain(|atom, exponent| {
                let other = monomial.get(atom).copied().unwrap_or(0);
                *exponent = other.min(*exponent);
                *exponent > 0
            });
        }
        common
    }

    /// The polynomial with every monomial divided by `divisor`, which must divide them all.
    #[must_use]
    pub fn without(&self, divisor: &Monomial) -> Self {
        let mut found = Self::default();
        for (monomial, coefficient) in &self.terms {
            let mut left = monomial.clone();
            for (atom, exponent) in divisor {
                let rest = left.get(atom).copied().unwrap_or(0).saturating_sub(*exponent);
                if rest == 0 {
                    left.remove(atom);
                } else {
                    left.insert(atom.clone(), rest);
                }
            }
            found.add_term(left, coefficient.clone());
        }
        found
    }

    /// The coefficients by power of `letter`, lowest first, each a polynomial in the other atoms.
    #[must_use]
    pub fn by_powers_of(&self, letter: &Atom) -> Vec<Self> {
        let mut found: Vec<Self> = Vec::new();
        for (monomial, coefficient) in &self.terms {
            let mut rest = monomial.clone();
            let exponent = rest.remove(letter).unwrap_or(0) as usize;
            while found.len() <= exponent {
                found.push(Self::default());
            }
            found[exponent].add_term(rest, coefficient.clone());
        }
        found
    }

    /// As an expression, for showing: highest powers first, signs as operations.
    #[must_use]
    pub fn to_expr(&self) -> Expr {
        let mut terms: Vec<_> = self.terms.iter().collect();
        let degree = |monomial: &Monomial| monomial.values().sum::<u32>();
        terms.sort_by(|a, b| degree(b.0).cmp(&degree(a.0)).then_with(|| b.0.cmp(a.0).reverse()));
        let mut sum: Option<Expr> = None;
        for (monomial, coefficient) in terms {
            let negative = *coefficient < Rational::zero();
            let size = if negative { -coefficient } else { coefficient.clone() };
            let mut product: Option<Expr> = None;
            for (atom, exponent) in monomial {
                let base = atom.to_expr();
                let factor = if *exponent == 1 { base } else { base.to_the(*exponent) };
                product = Some(match product {
                    Some(before) => before.times(factor),
                    None => factor,
                });
            }
            let term = match product {
                None => Expr::rational(&size),
                Some(letters) if size.is_one() => letters,
                Some(letters) => multiply_left(Expr::rational(&size), letters),
            };
            sum = Some(match (sum, negative) {
                (None, false) => term,
                (None, true) => term.negative(),
                (Some(before), false) => before.plus(term),
                (Some(before), true) => before.minus(term),
            });
        }
        sum.unwrap_or_else(|| Expr::int(0))
    }
}

/// `factor × product`, leaning to the left as it is read.
fn multiply_left(factor: Expr, product: Expr) -> Expr {
    match product.kind {
        crate::expr::ExprKind::Multiply(a, b) => multiply_left(factor, *a).times(*b),
        _ => factor.times(product),
    }
}

fn prime_under_root(atom: &Atom) -> Option<Rational> {
    match atom {
        Atom::Kernel(kernel) if kernel.kind == KernelKind::PrimeRoot => {
            kernel.arguments.first()?.as_constant()
        }
        _ => None,
    }
}

impl Atom {
    /// As an expression, for showing.
    #[must_use]
    pub fn to_expr(&self) -> Expr {
        use crate::expr::ExprKind;
        match self {
            Self::Symbol(name) => Expr::symbol(name),
            Self::Constant(constant) => ExprKind::Constant(*constant).into(),
            Self::Kernel(kernel) => {
                let mut parts: Vec<_> = kernel.arguments.iter().map(Quotient::to_expr).collect();
                match kernel.kind {
                    KernelKind::Call(function) => {
                        ExprKind::Call { function, arguments: parts }.into()
                    }
                    KernelKind::Power if parts.len() == 2 => {
                        let exponent = parts.pop().map(Box::new);
                        let base = parts.pop().map(Box::new);
                        match (base, exponent) {
                            (Some(base), Some(exponent)) => ExprKind::Power(base, exponent).into(),
                            _ => Expr::int(0),
                        }
                    }
                    _ => {
                        let inside = Box::new(parts.pop().unwrap_or_else(|| Expr::int(0)));
                        match kernel.kind {
                            KernelKind::Absolute => ExprKind::Absolute(inside).into(),
                            KernelKind::Root(index) => {
                                ExprKind::Root { index, radicand: inside }.into()
                            }
                            _ => ExprKind::Root { index: 2, radicand: inside }.into(),
                        }
                    }
                }
            }
        }
    }
}
