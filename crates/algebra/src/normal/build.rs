//! From an expression to its normal form, with what must hold for it to have a value.

use super::{Atom, KernelKind, Monomial, Poly, Quotient, constant};
use crate::budget::{Budget, Spent};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::{Rational, from_int};
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::collections::{BTreeMap, BTreeSet};

/// Exact values for some letters.
pub type Values = BTreeMap<String, Quotient>;

/// Why there is no normal form.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum NotNormal {
    /// The expression has no value anywhere, as `1/0` or `sqrt(-4)`.
    Undefined,
    /// A limit was reached.
    Spent,
    /// It holds something that the normal form does not cover.
    NotCovered,
}

impl From<Spent> for NotNormal {
    fn from(_: Spent) -> Self {
        Self::Spent
    }
}

/// What must hold for an expression to have a value.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Needs {
    /// Denominators, and bases of negative powers: none may be zero.
    pub not_zero: Vec<Quotient>,
    /// Radicands of even roots: none may be negative.
    pub not_negative: Vec<Quotient>,
    /// Arguments of logarithms and bases of powers: all positive.
    pub positive: Vec<Quotient>,
    /// Arguments of factorials: whole numbers that are not negative.
    pub whole: Vec<Quotient>,
}

impl Needs {
    /// Whether nothing is needed.
    #[must_use]
    pub fn is_empty(&self) -> bool {
        self.not_zero.is_empty()
            && self.not_negative.is_empty()
            && self.positive.is_empty()
            && self.whole.is_empty()
    }

    /// Whether only denominators must not be zero.
    #[must_use]
    pub fn is_rational(&self) -> bool {
        self.not_negative.is_empty() && self.positive.is_empty() && self.whole.is_empty()
    }
}

/// Builds normal forms with values put for some letters, and keeps what they need to have a value.
pub struct Normaliser<'a> {
    values: &'a Values,
    pub(super) budget: &'a mut Budget,
    /// Letters that are known to stand for whole numbers.
    pub(super) whole: Option<&'a BTreeSet<String>>,
    /// What must hold for the forms built so far to have a value.
    pub needs: Needs,
}

pub type Built = Result<Quotient, NotNormal>;

impl<'a> Normaliser<'a> {
    /// A builder that puts `values` for their letters.
    pub fn new(values: &'a Values, budget: &'a mut Budget) -> Self {
        Self { values, budget, whole: None, needs: Needs::default() }
    }

    /// The normal form of `expr`.
    ///
    /// # Errors
    /// [`NotNormal`] says why there is none.
    pub fn build(&mut self, expr: &Expr) -> Built {
        self.budget.spend(1)?;
        match &expr.kind {
            ExprKind::Number(written) => Ok(Quotient::constant(written.value().clone())),
            ExprKind::Symbol(name) => Ok(match self.values.get(name) {
                Some(value) => value.clone(),
                None => Quotient::whole(Poly::atom(Atom::symbol(name))),
            }),
            ExprKind::Constant(constant) => {
                Ok(Quotient::whole(Poly::atom(Atom::Constant(*constant))))
            }
            ExprKind::Unit(unit) => {
                let mut found = Quotient::constant(unit.factor());
                for (base, power) in unit.parts() {
                    let one = Quotient::whole(Poly::atom(Atom::Unit(*base)));
                    let raised = one.power(power.unsigned_abs(), self.budget)?;
                    found = if *power < 0 {
                        self.divided(&found, raised)?
                    } else {
                        found.times(&raised, self.budget)?
                    };
                }
                Ok(found)
            }
            ExprKind::Negative(a) => Ok(self.build(a)?.negated()),
            ExprKind::Add(a, b) => {
                let (a, b) = (self.build(a)?, self.build(b)?);
                Ok(a.plus(&b, self.budget)?)
            }
            ExprKind::Subtract(a, b) => {
                let (a, b) = (self.build(a)?, self.build(b)?);
                Ok(a.minus(&b, self.budget)?)
            }
            ExprKind::Multiply(a, b) => {
                let (a, b) = (self.build(a)?, self.build(b)?);
                Ok(a.times(&b, self.budget)?)
            }
            ExprKind::Divide(a, b) => {
                let (a, b) = (self.build(a)?, self.build(b)?);
                self.divided(&a, b)
            }
            ExprKind::Power(base, exponent) => {
                let (base, exponent) = (self.build(base)?, self.build(exponent)?);
                self.power(base, &exponent)
            }
            ExprKind::Root { index, radicand } => {
                let inside = self.build(radicand)?;
                self.root(*index, inside)
            }
            ExprKind::Absolute(a) => {
                let inside = self.build(a)?;
                self.absolute(&inside)
            }
            ExprKind::Percent(a) => {
                let hundredth = Quotient::constant(Rational::new(1.into(), 100.into()));
                Ok(self.build(a)?.times(&hundredth, self.budget)?)
            }
            ExprKind::Degree(a) => {
                let part = Quotient::constant(Rational::new(1.into(), 180.into()));
                let one = pi().times(&part, self.budget)?;
                Ok(self.build(a)?.times(&one, self.budget)?)
            }
            ExprKind::Factorial(a) => {
                let inside = self.build(a)?;
                self.factorial(inside)
            }
            ExprKind::Ratio(parts) => match &parts[..] {
                [a, b] => {
                    let (a, b) = (self.build(a)?, self.build(b)?);
                    self.divided(&a, b)
                }
                _ => Err(NotNormal::NotCovered),
            },
            ExprKind::Call { function, arguments } => {
                let arguments =
                    arguments.iter().map(|a| self.build(a)).collect::<Result<_, _>>()?;
                self.call(*function, arguments)
            }
            ExprKind::PlusMinus { .. }
            | ExprKind::Apply { .. }
            | ExprKind::WithRemainder { .. } => Err(NotNormal::NotCovered),
        }
    }

    /// `e` to that power.
    ///
    /// # Errors
    /// [`NotNormal`] says why it has no normal form; so do the others below.
    pub fn e_to(&mut self, exponent: &Quotient) -> Built {
        self.exp(exponent)
    }

    /// The natural logarithm.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn ln_of(&mut self, value: &Quotient) -> Built {
        self.ln(value)
    }

    /// The real root of that index.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn root_of(&mut self, index: u32, radicand: &Quotient) -> Built {
        self.root(index, radicand.clone())
    }

    /// The sine.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn sine_of(&mut self, angle: &Quotient) -> Built {
        self.circular(Function::Sin, angle.clone())
    }

    /// The tangent.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn tangent_of(&mut self, angle: &Quotient) -> Built {
        self.circular(Function::Tan, angle.clone())
    }

    /// The inverse sine.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn arcsin_of(&mut self, value: &Quotient) -> Built {
        self.circular(Function::Arcsin, value.clone())
    }

    /// The inverse tangent.
    ///
    /// # Errors
    /// As [`Normaliser::e_to`].
    pub fn arctan_of(&mut self, value: &Quotient) -> Built {
        self.circular(Function::Arctan, value.clone())
    }

    /// `above / below`, where `below` may not be zero.
    pub(super) fn divided(&mut self, above: &Quotient, below: Quotient) -> Built {
        let below = self.reciprocal(below)?;
        Ok(above.times(&below, self.budget)?)
    }

    pub(super) fn reciprocal(&mut self, below: Quotient) -> Built {
        let found = below.reciprocal().ok_or(NotNormal::Undefined)?;
        if below.as_constant().is_none() {
            if below.is_constant() {
                match constant::sign(&below, self.budget) {
                    Some(0) => return Err(NotNormal::Undefined),
                    Some(_) => {}
                    None => return Err(NotNormal::NotCovered),
                }
            } else if !is_surely_positive(&below) {
                self.needs.not_zero.push(below);
            }
        }
        Ok(found)
    }

    /// Notes that `value` must be positive; a constant is looked at at once.
    pub(super) fn must_be_positive(&mut self, value: &Quotient) -> Result<(), NotNormal> {
        if value.is_constant() {
            return match constant::sign(value, self.budget) {
                Some(1) => Ok(()),
                Some(_) => Err(NotNormal::Undefined),
                None => Err(NotNormal::NotCovered),
            };
        }
        if is_surely_positive(value) || self.needs.positive.contains(value) {
            return Ok(());
        }
        // x² is positive as soon as it is not zero.
        if is_never_negative(value) {
            self.needs.not_zero.push(value.clone());
        } else {
            self.needs.positive.push(value.clone());
        }
        Ok(())
    }

    /// Notes that `value` may not be negative; a constant is looked at at once.
    pub(super) fn must_not_be_negative(&mut self, value: &Quotient) -> Result<(), NotNormal> {
        if value.is_constant() {
            return match constant::sign(value, self.budget) {
                Some(0 | 1) => Ok(()),
                Some(_) => Err(NotNormal::Undefined),
                None => Err(NotNormal::NotCovered),
            };
        }
        if !is_never_negative(value) && !self.needs.not_negative.contains(value) {
            self.needs.not_negative.push(value.clone());
        }
        Ok(())
    }

    fn factorial(&mut self, inside: Quotient) -> Built {
        if let Some(value) = inside.as_constant() {
            if !value.is_integer() || value.is_negative() {
                return Err(NotNormal::Undefined);
            }
            let n = value.to_integer().to_u32().filter(|&n| n <= 200).ok_or(NotNormal::Spent)?;
            let product =
                (1..=n).fold(Rational::one(), |product, k| product * from_int(i64::from(k)));
            return Ok(Quotient::constant(product));
        }
        // (n + k)! = (n + k)···(n + 1) · n!
        let shift = inside.as_poly().and_then(|poly| {
            let constant = poly.terms().find(|(m, _)| m.is_one()).map(|(_, c)| c.clone());
            constant?.is_integer().then(|| constant_of(&poly))
        });
        self.needs.whole.push(inside.clone());
        let shift =
            shift.and_then(|c| c.to_integer().to_i64()).filter(|c| c.abs() <= 12).unwrap_or(0);
        let base = inside.minus(&Quotient::constant(from_int(shift)), self.budget)?;
        let mut product = kernel(KernelKind::Factorial, vec![base.clone()]);
        for k in 1..=shift.abs() {
            let step = if shift > 0 { k } else { 1 - k };
            let factor = base.plus(&Quotient::constant(from_int(step)), self.budget)?;
            product = if shift > 0 {
                product.times(&factor, self.budget)?
            } else {
                product.times(&factor.reciprocal().ok_or(NotNormal::Undefined)?, self.budget)?
            };
        }
        Ok(product)
    }

    fn call(&mut self, function: Function, arguments: Vec<Quotient>) -> Built {
        let first = arguments.first().cloned().ok_or(NotNormal::NotCovered)?;
        match function {
            Function::Hcf | Function::Lcm | Function::Max | Function::Min => {
                self.of_whole_numbers(function, &arguments)
            }
            Function::Choose => {
                let [n, k] = &arguments[..] else { return Err(NotNormal::NotCovered) };
                let rest = n.minus(k, self.budget)?;
                let (above, below) = (self.factorial(n.clone())?, self.factorial(k.clone())?);
                let below = below.times(&self.factorial(rest)?, self.budget)?;
                self.divided(&above, below)
            }
            Function::Arrange => {
                let [n, k] = &arguments[..] else { return Err(NotNormal::NotCovered) };
                let rest = n.minus(k, self.budget)?;
                let (above, below) = (self.factorial(n.clone())?, self.factorial(rest)?);
                self.divided(&above, below)
            }
            Function::Mod => {
                let whole = |value: &Quotient| value.as_constant().filter(Rational::is_integer);
                let values = arguments.iter().map(whole).collect::<Option<Vec<_>>>();
                let Some([a, b]) = values.as_deref() else { return Err(NotNormal::NotCovered) };
                if b.is_zero() {
                    return Err(NotNormal::Undefined);
                }
                Ok(Quotient::constant(Rational::from(a.to_integer().mod_floor(&b.to_integer()))))
            }
            Function::Floor | Function::Ceiling => {
                let value = first.as_constant().ok_or(NotNormal::NotCovered)?;
                Ok(Quotient::constant(match function {
                    Function::Floor => value.floor(),
                    _ => value.ceil(),
                }))
            }
            Function::Ln => self.ln(&first),
            Function::Log => {
                let above = self.ln(&first)?;
                let base = arguments.get(1).cloned();
                let base = base.unwrap_or_else(|| Quotient::constant(from_int(10)));
                let below = self.ln(&base)?;
                self.divided(&above, below)
            }
            _ => self.circular(function, first),
        }
    }

    fn of_whole_numbers(&mut self, function: Function, arguments: &[Quotient]) -> Built {
        let values: Option<Vec<Rational>> = arguments.iter().map(Quotient::as_constant).collect();
        let Some(values) = values else {
            return self.largest(function, arguments);
        };
        let is_whole_only = matches!(function, Function::Hcf | Function::Lcm);
        if is_whole_only && !values.iter().all(|v| v.is_integer() && !v.is_zero()) {
            return Err(NotNormal::NotCovered);
        }
        let join: fn(Rational, &Rational) -> Rational = match function {
            Function::Max => |a, b| a.max(b.clone()),
            Function::Min => |a, b| a.min(b.clone()),
            Function::Hcf => |a, b| Rational::from(a.to_integer().gcd(&b.to_integer())),
            _ => |a, b| Rational::from(a.to_integer().lcm(&b.to_integer())),
        };
        let mut rest = values.into_iter();
        let first = rest.next().ok_or(NotNormal::NotCovered)?;
        let first = if is_whole_only { first.abs() } else { first };
        Ok(Quotient::constant(rest.fold(first, |found, value| join(found, &value))))
    }

    /// `max(a, b) = (a + b + |a - b|) / 2`, and the smaller one likewise.
    fn largest(&mut self, function: Function, arguments: &[Quotient]) -> Built {
        if !matches!(function, Function::Max | Function::Min) {
            return Err(NotNormal::NotCovered);
        }
        let mut rest = arguments.iter();
        let mut found = rest.next().cloned().ok_or(NotNormal::NotCovered)?;
        let half = Quotient::constant(Rational::new(1.into(), 2.into()));
        for next in rest {
            let apart = found.minus(next, self.budget)?;
            let apart = self.absolute(&apart)?;
            let sum = found.plus(next, self.budget)?;
            let both = if function == Function::Max {
                sum.plus(&apart, self.budget)?
            } else {
                sum.minus(&apart, self.budget)?
            };
            found = both.times(&half, self.budget)?;
        }
        Ok(found)
    }
}

fn constant_of(poly: &Poly) -> Rational {
    poly.terms().find(|(m, _)| m.is_one()).map_or_else(Rational::zero, |(_, c)| c.clone())
}

/// Sums of even powers and squares of kernels with a positive constant are positive everywhere.
pub(crate) fn is_surely_positive(value: &Quotient) -> bool {
    is_positive_poly(value.numerator()) && is_positive_poly(value.denominator())
}

/// Sums of even powers and squares of kernels are nowhere negative.
pub(super) fn is_never_negative(value: &Quotient) -> bool {
    is_sum_of_squares(value.numerator()) && is_positive_poly(value.denominator())
}

fn is_sum_of_squares(poly: &Poly) -> bool {
    poly.terms().all(|(monomial, coefficient)| {
        coefficient.is_positive()
            && monomial.iter().all(|(atom, exponent)| {
                exponent.is_even() || is_positive_atom(atom) || is_not_negative_atom(atom)
            })
    })
}

fn is_positive_poly(poly: &Poly) -> bool {
    let is_positive = |monomial: &Monomial| monomial.iter().all(|(atom, _)| is_positive_atom(atom));
    is_sum_of_squares(poly) && poly.terms().any(|(monomial, _)| is_positive(monomial))
}

fn is_positive_atom(atom: &Atom) -> bool {
    match atom {
        Atom::Symbol(_) => false,
        Atom::Constant(_) | Atom::Unit(_) => true,
        Atom::Kernel(kernel) => {
            matches!(kernel.kind, KernelKind::PrimeRoot | KernelKind::Power | KernelKind::Factorial)
        }
    }
}

fn is_not_negative_atom(atom: &Atom) -> bool {
    atom.as_kernel().is_some_and(|kernel| match kernel.kind {
        KernelKind::Root(index) => index.is_even(),
        KernelKind::Absolute => true,
        _ => false,
    })
}

/// Euler's number.
pub(super) fn euler() -> Quotient {
    Quotient::whole(Poly::atom(Atom::Constant(Constant::Euler)))
}

/// π
pub(super) fn pi() -> Quotient {
    Quotient::whole(Poly::atom(Atom::Constant(Constant::Pi)))
}

/// A kernel as a quotient.
pub(super) fn kernel(kind: KernelKind, arguments: Vec<Quotient>) -> Quotient {
    Quotient::whole(Poly::atom(Atom::kernel(kind, arguments)))
}
