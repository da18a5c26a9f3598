//! Polynomials in several atoms with rational coefficients.

use super::{Atom, Monomial};
use crate::budget::{self, Budget, Spent};
use crate::expr::Expr;
use crate::number::{Rational, from_int, is_within_bits, product_of};
use num_traits::{One, Signed, Zero};
use std::cmp::Ordering;
use std::collections::{BTreeMap, BTreeSet};

/// A sum of monomials with nonzero coefficients.
#[derive(Debug, Clone, Default, PartialEq, Eq, PartialOrd, Ord)]
pub struct Poly {
    /// Each monomial once, in their order.
    terms: Vec<(Monomial, Rational)>,
}

impl Poly {
    /// The constant `value`.
    #[must_use]
    pub fn constant(value: Rational) -> Self {
        Self::term(Monomial::default(), value)
    }

    /// The whole number `n`.
    #[must_use]
    pub fn int(n: i64) -> Self {
        Self::constant(from_int(n))
    }

    /// A single atom.
    #[must_use]
    pub fn atom(atom: Atom) -> Self {
        Self::term(Monomial::atom(atom), Rational::one())
    }

    /// Its monomials and their coefficients.
    pub fn terms(&self) -> impl Iterator<Item = (&Monomial, &Rational)> {
        self.terms.iter().map(|(monomial, coefficient)| (monomial, coefficient))
    }

    fn monomials(&self) -> impl Iterator<Item = &Monomial> {
        self.terms.iter().map(|(monomial, _)| monomial)
    }

    fn coefficients(&self) -> impl DoubleEndedIterator<Item = &Rational> {
        self.terms.iter().map(|(_, coefficient)| coefficient)
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

    /// Whether it is the number one.
    #[must_use]
    pub fn is_one(&self) -> bool {
        self.number().is_some_and(Rational::is_one)
    }

    /// The number that it is, unless it is zero or has atoms.
    fn number(&self) -> Option<&Rational> {
        match self.terms.as_slice() {
            [(monomial, value)] if monomial.is_one() => Some(value),
            _ => None,
        }
    }

    /// Its value when no atom is left in it.
    #[must_use]
    pub fn as_constant(&self) -> Option<Rational> {
        match self.terms.as_slice() {
            [] => Some(Rational::zero()),
            [(monomial, value)] if monomial.is_one() => Some(value.clone()),
            _ => None,
        }
    }

    /// A single term.
    #[must_use]
    pub fn term(monomial: Monomial, coefficient: Rational) -> Self {
        if coefficient.is_zero() {
            return Self::default();
        }
        Self { terms: vec![(monomial, coefficient)] }
    }

    /// The only term, when there is just one.
    #[must_use]
    pub fn as_term(&self) -> Option<(&Monomial, &Rational)> {
        match self.terms.as_slice() {
            [(monomial, coefficient)] => Some((monomial, coefficient)),
            _ => None,
        }
    }

    /// The leading term, in the lexicographic order.
    #[must_use]
    pub fn leading_term(&self) -> Option<(&Monomial, &Rational)> {
        self.terms.last().map(|(monomial, coefficient)| (monomial, coefficient))
    }

    /// The atoms in it, not counting those inside kernels.
    #[must_use]
    pub fn atoms(&self) -> BTreeSet<&Atom> {
        self.monomials().flat_map(|m| m.iter().map(|(atom, _)| atom)).collect()
    }

    /// How many kernels it is made of, each counted as often as it stands there.
    #[must_use]
    pub fn size(&self) -> usize {
        let atoms = self.monomials().flat_map(Monomial::iter);
        atoms.map(|(atom, _)| atom.size()).fold(0, usize::saturating_add)
    }

    /// Whether no letter stands in it, not even inside a kernel.
    #[must_use]
    pub fn is_constant(&self) -> bool {
        self.monomials().all(|m| m.iter().all(|(atom, _)| atom.is_constant()))
    }

    /// Whether `letter` stands anywhere in it.
    #[must_use]
    pub fn mentions(&self, letter: &str) -> bool {
        self.monomials().any(|m| m.iter().any(|(atom, _)| atom.mentions(letter)))
    }

    /// Adds every letter in it, those inside kernels too.
    pub fn collect_symbols(&self, found: &mut BTreeSet<String>) {
        for (atom, _) in self.monomials().flat_map(Monomial::iter) {
            atom.collect_symbols(found);
        }
    }

    /// Every letter in it, those inside kernels too.
    #[must_use]
    pub fn symbols(&self) -> BTreeSet<String> {
        let mut found = BTreeSet::new();
        self.collect_symbols(&mut found);
        found
    }

    fn add_term(&mut self, monomial: Monomial, coefficient: Rational) {
        if coefficient.is_zero() {
            return;
        }
        // Terms mostly come in their order.
        let place = match self.terms.last() {
            Some((last, _)) if *last >= monomial => {
                self.terms.binary_search_by(|(m, _)| m.cmp(&monomial))
            }
            _ => Err(self.terms.len()),
        };
        match place {
            Err(at) => self.terms.insert(at, (monomial, coefficient)),
            Ok(at) => {
                self.terms[at].1 += coefficient;
                if self.terms[at].1.is_zero() {
                    self.terms.remove(at);
                }
            }
        }
    }

    /// Puts terms in order and those with one monomial together.
    pub(super) fn gather(mut terms: Vec<(Monomial, Rational)>) -> Self {
        if !terms.is_sorted_by(|a, b| a.0 < b.0) {
            terms.sort_by(|a, b| a.0.cmp(&b.0));
            terms.dedup_by(|later, kept| {
                let same = later.0 == kept.0;
                if same {
                    kept.1 += &later.1;
                }
                same
            });
        }
        terms.retain(|(_, coefficient)| !coefficient.is_zero());
        Self { terms }
    }

    /// The sum of two sorted lists of terms, or their difference.
    fn merged(&self, other: &Self, is_minus: bool) -> Self {
        let signed = |c: &Rational| if is_minus { -c } else { c.clone() };
        let mut terms = Vec::with_capacity(self.len() + other.len());
        let (mut a, mut b) = (self.terms.as_slice(), other.terms.as_slice());
        while let ([first, rest_a @ ..], [second, rest_b @ ..]) = (a, b) {
            match first.0.cmp(&second.0) {
                Ordering::Less => {
                    terms.push(first.clone());
                    a = rest_a;
                }
                Ordering::Greater => {
                    terms.push((second.0.clone(), signed(&second.1)));
                    b = rest_b;
                }
                Ordering::Equal => {
                    let sum = if is_minus { &first.1 - &second.1 } else { &first.1 + &second.1 };
                    if !sum.is_zero() {
                        terms.push((first.0.clone(), sum));
                    }
                    (a, b) = (rest_a, rest_b);
                }
            }
        }
        terms.extend_from_slice(a);
        terms.extend(b.iter().map(|(monomial, c)| (monomial.clone(), signed(c))));
        Self { terms }
    }

    /// `self + other`
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn add(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        budget.spend(self.len() + other.len())?;
        self.merged(other, false).checked()
    }

    /// `self × factor`
    #[must_use]
    pub fn scale(&self, factor: &Rational) -> Self {
        if factor.is_zero() {
            return Self::default();
        }
        let scaled =
            self.terms.iter().map(|(monomial, c)| (monomial.clone(), product_of(c, factor)));
        Self { terms: scaled.collect() }
    }

    /// `-self`
    #[must_use]
    pub fn negated(&self) -> Self {
        let negated = self.terms.iter().map(|(monomial, c)| (monomial.clone(), -c));
        Self { terms: negated.collect() }
    }

    /// `self × other`, with the relations of the atoms carried out: `√p · √p = p`.
    ///
    /// # Errors
    /// [`Spent`] when the budget does not reach.
    pub fn multiply(&self, other: &Self, budget: &mut Budget) -> Result<Self, Spent> {
        budget.spend(4 * self.len() * other.len())?;
        // Most denominators are one.
        for (number, poly) in [(self.number(), other), (other.number(), self)] {
            match number {
                Some(one) if one.is_one() => return Ok(poly.clone()),
                Some(number) => return poly.scale(number).checked(),
                None => {}
            }
        }
        let mut product = Vec::with_capacity((self.len() * other.len()).min(budget::TERMS));
        let mut to_reduce = Vec::new();
        for (left, a) in &self.terms {
            for (right, b) in &other.terms {
                let monomial = left.times(right);
                let coefficient = product_of(a, b);
                let mut reduces = false;
                for (atom, exponent) in monomial.iter() {
                    if *exponent > budget::EXPONENT * 4 {
                        return Err(Spent);
                    }
                    reduces |= atom.reducible_from().is_some_and(|from| *exponent >= from);
                }
                if reduces {
                    to_reduce.push((monomial, coefficient));
                } else {
                    product.push((monomial, coefficient));
                }
            }
            if product.len() > 4 * budget::TERMS {
                product = Self::gather(product).terms;
                if product.len() > budget::TERMS {
                    return Err(Spent);
                }
            }
        }
        for (monomial, coefficient) in to_reduce {
            product.append(&mut reduced(&monomial, coefficient, budget)?.terms);
        }
        Self::gather(product).checked()
    }

    /// The square without a budget, for polynomials of few terms; `None` for longer ones.
    #[must_use]
    pub(crate) fn squared_plainly(&self) -> Option<Self> {
        if self.len() > 200 {
            return None;
        }
        self.multiply(self, &mut Budget::for_verdict()).ok()
    }

    /// `self - other` without limits.
    #[must_use]
    pub(crate) fn minus_plainly(&self, other: &Self) -> Self {
        self.merged(other, true)
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
        let fits = self.len() <= budget::TERMS && self.coefficients().all(is_within_bits);
        if fits { Ok(self) } else { Err(Spent) }
    }

    /// The coefficient of the first monomial in the order of the map; zero for the zero polynomial.
    #[must_use]
    pub fn leading(&self) -> Rational {
        self.coefficients().next_back().cloned().unwrap_or_else(Rational::zero)
    }

    /// The largest monomial that divides every term.
    #[must_use]
    pub fn monomial_content(&self) -> Monomial {
        let mut monomials = self.monomials();
        let Some(first) = monomials.next() else { return Monomial::default() };
        let mut content = first.clone();
        for monomial in monomials {
            if content.is_one() {
                break;
            }
            content = content.common(monomial);
        }
        content
    }

    /// The rational number that leaves whole coefficients without a common factor and a positive
    /// leading coefficient when it is divided out; zero for the zero polynomial.
    #[must_use]
    pub fn number_content(&self) -> Rational {
        use num_integer::Integer;
        let mut values = self.coefficients();
        let Some(first) = values.next() else { return Rational::zero() };
        let (top, bottom) = values
            .fold((first.numer().clone(), first.denom().clone()), |(top, bottom), c| {
                (top.gcd(c.numer()), bottom.lcm(c.denom()))
            });
        let size = Rational::new(top.abs(), bottom);
        if self.leading().is_negative() { -size } else { size }
    }

    /// The polynomial with every monomial divided by `divisor`, which must divide them all.
    #[must_use]
    pub fn without(&self, divisor: &Monomial) -> Self {
        if divisor.is_one() {
            return self.clone();
        }
        let mut found = Self::default();
        found.terms.reserve(self.len());
        for (monomial, coefficient) in &self.terms {
            if let Some(left) = monomial.over(divisor) {
                found.add_term(left, coefficient.clone());
            }
        }
        found
    }

    /// The coefficients by power of `letter`, lowest first, each a polynomial in the other atoms.
    #[must_use]
    pub fn by_powers_of(&self, letter: &Atom) -> Vec<Self> {
        let mut found: Vec<Self> = Vec::new();
        for (monomial, coefficient) in &self.terms {
            let mut rest = monomial.clone();
            let exponent = rest.set(letter, 0) as usize;
            while found.len() <= exponent {
                found.push(Self::default());
            }
            found[exponent].add_term(rest, coefficient.clone());
        }
        found
    }

    /// The terms sorted by the part of their monomials for which `test` holds: each such part with its
    /// coefficient, a polynomial in the other atoms.
    #[must_use]
    pub fn grouped(&self, test: impl Fn(&Atom) -> bool) -> BTreeMap<Monomial, Self> {
        let mut found: BTreeMap<Monomial, Self> = BTreeMap::new();
        for (monomial, coefficient) in &self.terms {
            let (part, rest) = monomial.partition(&test);
            found.entry(part).or_default().add_term(rest, coefficient.clone());
        }
        found.retain(|_, coefficient| !coefficient.is_zero());
        found
    }

    /// As an expression, for showing: highest powers first, signs as operations.
    #[must_use]
    pub fn to_expr(&self) -> Expr {
        if let Some(found) = super::logarithms::together(self) {
            return found;
        }
        // (1 + √5)/2, not 1/2 + √5/2.
        if self.len() > 1 && self.is_constant() {
            let below = Rational::from_integer(self.number_content().denom().clone());
            if !below.is_one() {
                return self.scale(&below).to_expr().over(Expr::rational(&below));
            }
        }
        let mut terms: Vec<_> = self.terms().collect();
        terms.sort_by(|a, b| b.0.degree().cmp(&a.0.degree()).then_with(|| b.0.cmp(a.0)));
        if self.is_constant() {
            // Numbers come before roots: 1 + √2.
            terms.sort_by_key(|(monomial, _)| !monomial.is_one());
        }
        // 1 - x², not -x² + 1.
        // -3 + √7, but e - 1.
        let roots_only = self.atoms().iter().all(|atom| atom.reducible_from().is_some());
        let starts_with_number =
            roots_only && terms.first().is_some_and(|(monomial, _)| monomial.is_one());
        if !(self.is_constant() && starts_with_number)
            && let Some(at) = terms.iter().position(|(_, c)| c.is_positive())
        {
            terms[..=at].rotate_right(1);
        }
        let mut sum: Option<Expr> = None;
        for (monomial, coefficient) in terms {
            let negative = *coefficient < Rational::zero();
            let size = if negative { -coefficient } else { coefficient.clone() };
            let mut product: Option<Expr> = None;
            let mut under = Rational::one();
            let mut roots = 0;
            let (monomial, joined) = monomial.with_roots_joined();
            let monomial = &monomial;
            let letters_root = monomial.iter().find_map(|(atom, exponent)| {
                let kernel = atom.as_kernel().filter(|_| *exponent == 1)?;
                (kernel.kind == super::KernelKind::Root(2)).then_some((atom, kernel))
            });
            for (atom, exponent) in monomial.iter() {
                // √2 · √5 is shown as √10.
                if let Some(prime) = atom.prime_under_root() {
                    under *= prime;
                    roots += 1;
                    continue;
                }
                // √2 · √(gh) is shown as √(2gh), below.
                let has_number = monomial.iter().any(|(a, _)| a.prime_under_root().is_some());
                if has_number && letters_root.is_some_and(|(root, _)| root == atom) {
                    continue;
                }
                let base = atom.to_expr();
                let factor = if *exponent == 1 { base } else { base.to_the(*exponent) };
                product = Some(match product {
                    Some(before) => before.times(factor),
                    None => factor,
                });
            }
            // 3x ∛(2x): the roots that were put together come last.
            for (index, radicand) in joined {
                let radicand = Box::new(radicand.to_expr());
                let root: Expr = crate::expr::ExprKind::Root { index, radicand }.into();
                product = Some(match product {
                    Some(before) => before.times(root),
                    None => root,
                });
            }
            if roots > 0 {
                let radicand = Box::new(match letters_root {
                    Some((_, kernel)) => kernel.arguments[0].numerator().scale(&under).to_expr(),
                    None => Expr::rational(&under),
                });
                let root: Expr = crate::expr::ExprKind::Root { index: 2, radicand }.into();
                product = Some(match product {
                    Some(before) => multiply_left(root, before),
                    None => root,
                });
            }
            let term = match product {
                None => Expr::rational(&size),
                // 5π/6, not 5/6 π.
                Some(letters) => {
                    let above = Rational::from_integer(size.numer().clone());
                    let above = if above.is_one() {
                        letters
                    } else {
                        multiply_left(Expr::rational(&above), letters)
                    };
                    if size.is_integer() {
                        above
                    } else {
                        above.over(Expr::rational(&Rational::from_integer(size.denom().clone())))
                    }
                }
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

/// One term with the relations of its atoms carried out.
fn reduced(monomial: &Monomial, coefficient: Rational, budget: &mut Budget) -> Result<Poly, Spent> {
    let mut rest = monomial.clone();
    let mut coefficient = coefficient;
    let mut factors = Vec::new();
    for (atom, exponent) in monomial.iter() {
        let Some(from) = atom.reducible_from().filter(|from| exponent >= from) else { continue };
        rest.set(atom, exponent % from);
        match atom.prime_under_root() {
            Some(prime) => coefficient *= num_traits::Pow::pow(prime, exponent / from),
            None => {
                let (_, simpler) = atom.relation().ok_or(Spent)?;
                factors.push(simpler.power(exponent / from, budget)?);
            }
        }
    }
    let mut product = Poly::term(rest, coefficient);
    for factor in factors {
        product = product.multiply(&factor, budget)?;
    }
    product.checked()
}
