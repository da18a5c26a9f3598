//! Atoms: what polynomials are polynomials in. Letters, π and e, and kernels, which are functions of
//! arguments that are themselves in normal form.

use super::{Poly, Quotient};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::Rational;
use crate::unit::{Base, Unit};
use crate::work;
use ecow::EcoString;
use smallvec::{SmallVec, smallvec};
use std::cmp::Ordering;
use std::collections::BTreeSet;
use std::sync::Arc;

/// What a polynomial is a polynomial in.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Atom {
    /// A letter.
    Symbol(EcoString),
    /// π or e.
    Constant(Constant),
    /// A base unit: positive, and independent of all the others.
    Unit(Base),
    /// A value that the four operations cannot reach.
    Kernel(Arc<Kernel>),
}

/// A function of arguments in normal form.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord)]
pub struct Kernel {
    /// Which function.
    pub kind: KernelKind,
    /// Its arguments.
    pub arguments: Vec<Quotient>,
    /// How many kernels it is made of, each counted as often as it stands there: what a walk through it costs.
    size: usize,
}

/// The functions that kernels are made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
pub enum KernelKind {
    /// The square root of a prime number.
    PrimeRoot,
    /// The real root of that index; its argument is a polynomial.
    Root(u32),
    /// Absolute value; its argument is a polynomial.
    Absolute,
    /// `|base| ^ exponent`, the base not zero; the exponent is a single term, and no whole number.
    Power,
    /// `sgn(base) ^ exponent`, the exponent a product of letters for whole numbers: 1 or -1.
    SignPower,
    /// The natural logarithm of the absolute value, so that it splits over products.
    Ln,
    /// The sine; of a constant only where no cosine says it.
    Sin,
    /// The cosine.
    Cos,
    /// The inverse sine, between -π/2 and π/2.
    Arcsin,
    /// The inverse tangent, between -π/2 and π/2.
    Arctan,
    /// The factorial of a whole number that is not negative.
    Factorial,
    /// A real algebraic number: two bounds, then the whole coefficients of its square-free polynomial,
    /// lowest power first. It is the only root between the bounds.
    Algebraic,
    /// A real number at which a function crosses zero: two bounds, then the function, in a letter of its own.
    /// It crosses zero nowhere else between the bounds.
    IsolatedRoot,
}

impl Atom {
    /// The letter `name`.
    #[must_use]
    pub fn symbol(name: &str) -> Self {
        Self::Symbol(EcoString::from(name))
    }

    /// A kernel.
    #[must_use]
    pub fn kernel(kind: KernelKind, arguments: Vec<Quotient>) -> Self {
        let size = arguments.iter().map(Quotient::size).fold(1, usize::saturating_add);
        work::spend(size as u64);
        Self::Kernel(Arc::new(Kernel { kind, arguments, size }))
    }

    /// How many kernels it is made of, each counted as often as it stands there.
    #[must_use]
    pub fn size(&self) -> usize {
        self.as_kernel().map_or(0, |kernel| kernel.size)
    }

    /// The kernel, if it is one.
    #[must_use]
    pub fn as_kernel(&self) -> Option<&Kernel> {
        match self {
            Self::Kernel(kernel) => Some(kernel),
            _ => None,
        }
    }

    /// Adds the letters in it, those inside kernels too.
    pub fn collect_symbols(&self, found: &mut BTreeSet<String>) {
        match self {
            Self::Symbol(name) => {
                found.insert(name.to_string());
            }
            Self::Constant(_) | Self::Unit(_) => {}
            Self::Kernel(kernel) if kernel.kind == KernelKind::IsolatedRoot => {}
            Self::Kernel(kernel) => {
                for argument in &kernel.arguments {
                    argument.numerator().collect_symbols(found);
                    argument.denominator().collect_symbols(found);
                }
            }
        }
    }

    /// Whether `letter` stands anywhere in it.
    #[must_use]
    pub fn mentions(&self, letter: &str) -> bool {
        match self {
            Self::Symbol(name) => &**name == letter,
            Self::Constant(_) | Self::Unit(_) => false,
            Self::Kernel(kernel) if kernel.kind == KernelKind::IsolatedRoot => false,
            Self::Kernel(kernel) => kernel.arguments.iter().any(|a| a.mentions(letter)),
        }
    }

    /// Whether no letter stands in it.
    #[must_use]
    pub fn is_constant(&self) -> bool {
        match self {
            Self::Symbol(_) => false,
            Self::Constant(_) | Self::Unit(_) => true,
            Self::Kernel(kernel) if kernel.kind == KernelKind::IsolatedRoot => true,
            Self::Kernel(kernel) => kernel.arguments.iter().all(Quotient::is_constant),
        }
    }

    /// The power of it that is a simpler polynomial, and that polynomial: `√2² = 2`, `|x|² = x²`,
    /// `sin² = 1 - cos²`.
    #[must_use]
    pub fn relation(&self) -> Option<(u32, Poly)> {
        let kernel = self.as_kernel()?;
        let argument = kernel.arguments.first()?;
        match kernel.kind {
            KernelKind::PrimeRoot => Some((2, argument.numerator().clone())),
            KernelKind::Root(index) => Some((index, argument.numerator().clone())),
            KernelKind::SignPower => Some((2, Poly::int(1))),
            KernelKind::Absolute => Some((2, argument.numerator().squared_plainly()?)),
            KernelKind::Sin => {
                let cos = Poly::atom(Self::kernel(KernelKind::Cos, kernel.arguments.clone()));
                Some((2, Poly::int(1).minus_plainly(&cos.squared_plainly()?)))
            }
            // αⁿ by the lower powers of α.
            KernelKind::Algebraic => {
                let (_, poly) = super::algebraic::parts(kernel)?;
                let (lead, lower) = poly.coefficients().split_last()?;
                let terms = lower.iter().enumerate().map(|(power, factor)| {
                    let mut monomial = Monomial::default();
                    monomial.set(self, u32::try_from(power).unwrap_or(u32::MAX));
                    (monomial, -factor / lead)
                });
                Some((u32::try_from(lower.len()).ok()?, Poly::gather(terms.collect())))
            }
            _ => None,
        }
    }

    /// The exponent from which [`Atom::relation`] applies.
    #[must_use]
    pub fn reducible_from(&self) -> Option<u32> {
        let kernel = self.as_kernel()?;
        match kernel.kind {
            KernelKind::PrimeRoot
            | KernelKind::Absolute
            | KernelKind::Sin
            | KernelKind::SignPower => Some(2),
            KernelKind::Root(index) => Some(index),
            // Two bounds, and one coefficient more than the degree.
            KernelKind::Algebraic => u32::try_from(kernel.arguments.len()).ok()?.checked_sub(3),
            _ => None,
        }
    }

    /// The prime under a square root.
    #[must_use]
    pub fn prime_under_root(&self) -> Option<Rational> {
        let kernel = self.as_kernel()?;
        (kernel.kind == KernelKind::PrimeRoot).then(|| kernel.arguments.first()?.as_constant())?
    }

    /// As an expression, for showing.
    #[must_use]
    pub fn to_expr(&self) -> Expr {
        match self {
            Self::Symbol(name) => Expr::symbol(name),
            Self::Constant(constant) => ExprKind::Constant(*constant).into(),
            Self::Unit(base) => Unit::named(base.symbol())
                .map_or_else(|| Expr::int(1), |u| ExprKind::Unit(u).into()),
            Self::Kernel(kernel) => kernel.to_expr(),
        }
    }
}

impl Kernel {
    /// Where a number lies that only a polynomial or a function tells, as a decimal of six places.
    #[must_use]
    pub fn near(&self) -> Option<String> {
        match self.kind {
            KernelKind::Algebraic => super::algebraic::near(self),
            KernelKind::IsolatedRoot => super::isolated_root::near(self),
            _ => None,
        }
    }

    /// Whether it is a number that is written as a decimal near it.
    #[must_use]
    pub fn is_written_near(&self) -> bool {
        matches!(self.kind, KernelKind::Algebraic | KernelKind::IsolatedRoot)
            || self.arguments.iter().any(Quotient::is_written_near)
    }

    /// `cos 87°` is shown as `sin 3°`.
    fn smaller_angle(&self) -> Option<Expr> {
        let turns = super::circular::turns(self.arguments.first()?)?;
        let rest = Rational::new(1.into(), 2.into()) - &turns;
        if rest >= turns {
            return None;
        }
        let pi = Monomial::atom(Atom::Constant(Constant::Pi));
        let arguments = vec![Poly::term(pi, rest).to_expr()];
        Some(ExprKind::Call { function: Function::Sin, arguments }.into())
    }

    fn to_expr(&self) -> Expr {
        let call = |function| {
            let arguments = self.arguments.iter().map(Quotient::to_expr).collect();
            ExprKind::Call { function, arguments }.into()
        };
        let first =
            || Box::new(self.arguments.first().map_or_else(|| Expr::int(0), |a| a.to_expr()));
        match self.kind {
            KernelKind::PrimeRoot => ExprKind::Root { index: 2, radicand: first() }.into(),
            KernelKind::Root(index) => ExprKind::Root { index, radicand: first() }.into(),
            KernelKind::Absolute => ExprKind::Absolute(first()).into(),
            KernelKind::Power => match &self.arguments[..] {
                [base, exponent] => {
                    ExprKind::Power(Box::new(size(base)), Box::new(exponent.to_expr())).into()
                }
                _ => Expr::int(0),
            },
            KernelKind::SignPower => match &self.arguments[..] {
                [base, exponent] => {
                    let sign = match base.as_constant() {
                        Some(_) => base.to_expr(),
                        None => base.to_expr().over(size(base)),
                    };
                    ExprKind::Power(Box::new(sign), Box::new(exponent.to_expr())).into()
                }
                _ => Expr::int(0),
            },
            KernelKind::Ln => {
                let inside = self.arguments.first().map_or_else(|| Expr::int(0), size);
                ExprKind::Call { function: Function::Ln, arguments: vec![inside] }.into()
            }
            KernelKind::Sin => call(Function::Sin),
            KernelKind::Cos => self.smaller_angle().unwrap_or_else(|| call(Function::Cos)),
            KernelKind::Arcsin => call(Function::Arcsin),
            KernelKind::Arctan => call(Function::Arctan),
            KernelKind::Factorial => ExprKind::Factorial(first()).into(),
            KernelKind::Algebraic | KernelKind::IsolatedRoot => {
                self.near().map_or_else(|| Expr::int(0), |text| Expr::decimal(&text))
            }
        }
    }
}

/// The absolute value of what stands inside a kernel that means it so, without bars where none are needed.
fn size(value: &Quotient) -> Expr {
    if super::build::is_surely_positive(value) {
        return value.to_expr();
    }
    if value.is_constant() {
        let sign = super::constant::sign(value, &mut crate::budget::Budget::for_verdict());
        return if sign == Some(-1) { value.negated().to_expr() } else { value.to_expr() };
    }
    ExprKind::Absolute(Box::new(value.to_expr())).into()
}

/// Atoms with their exponents, all positive, in the order of the atoms.
///
/// The order of monomials is the lexicographic one, in which the first atom weighs most; it goes
/// together with multiplication, so the last term of a polynomial is its leading term.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Monomial(Powers);

/// Most monomials of school mathematics have one or two atoms: those need no memory of their own.
type Powers = SmallVec<[(Atom, u32); 2]>;

impl Monomial {
    /// The atom to the first power.
    #[must_use]
    pub fn atom(atom: Atom) -> Self {
        Self(smallvec![(atom, 1)])
    }

    /// The atoms and their exponents.
    pub fn iter(&self) -> impl ExactSizeIterator<Item = &(Atom, u32)> {
        self.0.iter()
    }

    /// Whether no atom is in it.
    #[must_use]
    pub fn is_one(&self) -> bool {
        self.0.is_empty()
    }

    /// The roots of one index above two, each as one root of a product, and what is left: `∛2 · ∛x` is shown
    /// as `∛(2x)`. Of even roots at most one has letters inside: what is under the joined one is not negative where
    /// that one is defined, and nowhere else.
    #[must_use]
    pub(super) fn with_roots_joined(&self) -> (Self, Vec<(u32, Poly)>) {
        let index_of = |atom: &Atom| match atom.as_kernel()?.kind {
            KernelKind::Root(index) if index > 2 => Some(index),
            _ => None,
        };
        let indices: BTreeSet<u32> = self.iter().filter_map(|(atom, _)| index_of(atom)).collect();
        let (mut rest, mut joined) = (self.clone(), Vec::new());
        for index in indices {
            let roots: Vec<&(Atom, u32)> =
                self.iter().filter(|(atom, _)| index_of(atom) == Some(index)).collect();
            let with_letters: u32 =
                roots.iter().filter(|(atom, _)| !atom.is_constant()).map(|(_, n)| n).sum();
            if roots.len() < 2 || (index % 2 == 0 && with_letters > 1) {
                continue;
            }
            let mut budget = crate::budget::Budget::for_verdict();
            let product = roots.iter().try_fold(Poly::int(1), |product, (atom, exponent)| {
                let (_, radicand) = atom.relation()?;
                let power = radicand.power(*exponent, &mut budget).ok()?;
                product.multiply(&power, &mut budget).ok()
            });
            if let Some(product) = product {
                for (atom, _) in roots {
                    rest.set(atom, 0);
                }
                joined.push((index, product));
            }
        }
        (rest, joined)
    }

    /// The sum of the exponents.
    #[must_use]
    pub fn degree(&self) -> u32 {
        self.0.iter().map(|(_, exponent)| exponent).sum()
    }

    /// The exponent of `atom`.
    #[must_use]
    pub fn exponent(&self, atom: &Atom) -> u32 {
        self.0.iter().find(|(a, _)| a == atom).map_or(0, |(_, exponent)| *exponent)
    }

    /// Sets the exponent of `atom`, and gives what it was.
    pub fn set(&mut self, atom: &Atom, exponent: u32) -> u32 {
        match self.0.binary_search_by(|(a, _)| a.cmp(atom)) {
            Ok(at) => {
                let before = self.0[at].1;
                if exponent == 0 {
                    self.0.remove(at);
                } else {
                    self.0[at].1 = exponent;
                }
                before
            }
            Err(at) => {
                if exponent > 0 {
                    self.0.insert(at, (atom.clone(), exponent));
                }
                0
            }
        }
    }

    /// The product.
    #[must_use]
    pub fn times(&self, other: &Self) -> Self {
        if self.is_one() {
            return other.clone();
        }
        let mut product = Powers::with_capacity(self.0.len() + other.0.len());
        let (mut a, mut b) = (self.0.iter().peekable(), other.0.iter().peekable());
        loop {
            let order = match (a.peek(), b.peek()) {
                (Some(x), Some(y)) => x.0.cmp(&y.0),
                (Some(_), None) => Ordering::Less,
                (None, Some(_)) => Ordering::Greater,
                (None, None) => return Self(product),
            };
            match order {
                Ordering::Less => product.extend(a.next().cloned()),
                Ordering::Greater => product.extend(b.next().cloned()),
                Ordering::Equal => {
                    if let (Some((atom, x)), Some((_, y))) = (a.next(), b.next()) {
                        product.push((atom.clone(), x.saturating_add(*y)));
                    }
                }
            }
        }
    }

    /// The quotient, when it is one.
    #[must_use]
    pub fn over(&self, other: &Self) -> Option<Self> {
        let mut left = self.clone();
        for (atom, exponent) in &other.0 {
            let before = left.exponent(atom);
            left.set(atom, before.checked_sub(*exponent)?);
        }
        Some(left)
    }

    /// What divides both.
    #[must_use]
    pub fn common(&self, other: &Self) -> Self {
        let both = self.0.iter().filter_map(|(atom, exponent)| {
            let least = other.exponent(atom).min(*exponent);
            (least > 0).then(|| (atom.clone(), least))
        });
        Self(both.collect())
    }

    /// Splits it into the atoms for which `test` holds, and the rest.
    #[must_use]
    pub fn partition(&self, test: impl Fn(&Atom) -> bool) -> (Self, Self) {
        let (a, b) = self.0.iter().cloned().partition(|(atom, _)| test(atom));
        (Self(a), Self(b))
    }
}

impl PartialOrd for Atom {
    fn partial_cmp(&self, other: &Self) -> Option<Ordering> {
        Some(self.cmp(other))
    }
}

impl Ord for Atom {
    fn cmp(&self, other: &Self) -> Ordering {
        let rank = |atom: &Self| match atom {
            Self::Symbol(_) => 0,
            Self::Constant(_) => 1,
            Self::Unit(_) => 2,
            Self::Kernel(_) => 3,
        };
        match (self, other) {
            (Self::Symbol(a), Self::Symbol(b)) => a.cmp(b),
            (Self::Constant(a), Self::Constant(b)) => a.cmp(b),
            (Self::Unit(a), Self::Unit(b)) => a.cmp(b),
            // Kernels are shared: most that are equal are one and the same.
            (Self::Kernel(a), Self::Kernel(b)) if Arc::ptr_eq(a, b) => Ordering::Equal,
            (Self::Kernel(a), Self::Kernel(b)) => a.cmp(b),
            _ => rank(self).cmp(&rank(other)),
        }
    }
}

impl PartialOrd for Monomial {
    fn partial_cmp(&self, other: &Self) -> Option<Ordering> {
        Some(self.cmp(other))
    }
}

impl Ord for Monomial {
    fn cmp(&self, other: &Self) -> Ordering {
        for (a, b) in self.0.iter().zip(&other.0) {
            // The smaller atom weighs more, so the one that has it is the greater monomial.
            match a.0.cmp(&b.0) {
                Ordering::Less => return Ordering::Greater,
                Ordering::Greater => return Ordering::Less,
                Ordering::Equal => {}
            }
            if a.1 != b.1 {
                return a.1.cmp(&b.1);
            }
        }
        self.0.len().cmp(&other.0.len())
    }
}
