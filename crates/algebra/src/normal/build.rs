//! From an expression to its normal form, with what must hold for it to have a value.

use super::{Atom, Kernel, KernelKind, Poly, Quotient};
use crate::budget::{Budget, Spent};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::{Rational, exact_root, from_int, square_part};
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::collections::BTreeMap;

/// Exact values for some letters.
pub type Assignment = BTreeMap<String, Rational>;

/// Why there is no normal form.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum NotNormal {
    /// The expression has no value anywhere, as `1/0` or `sqrt(-4)`.
    Undefined,
    /// A limit was reached.
    Spent,
    /// It holds something that the normal form does not cover yet.
    NotCovered,
}

impl From<Spent> for NotNormal {
    fn from(_: Spent) -> Self {
        Self::Spent
    }
}

/// Builds normal forms at one assignment, and keeps what they need to have a value.
pub struct Normaliser<'a> {
    values: &'a Assignment,
    budget: &'a mut Budget,
    /// Denominators, and bases of negative powers: none may be zero.
    pub not_zero: Vec<Quotient>,
    /// Radicands of even roots: none may be negative.
    pub not_negative: Vec<Quotient>,
    /// Arguments of logarithms and bases of powers: all positive.
    pub positive: Vec<Quotient>,
}

type Built = Result<Quotient, NotNormal>;

impl<'a> Normaliser<'a> {
    /// A builder that puts `values` for their letters.
    pub fn new(values: &'a Assignment, budget: &'a mut Budget) -> Self {
        Self { values, budget, not_zero: vec![], not_negative: vec![], positive: vec![] }
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
                Some(value) => Quotient::constant(value.clone()),
                None => Quotient::whole(Poly::atom(Atom::Symbol(name.clone()))),
            }),
            ExprKind::Constant(constant) => {
                Ok(Quotient::whole(Poly::atom(Atom::Constant(*constant))))
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
                let below = self.reciprocal(b)?;
                Ok(a.times(&below, self.budget)?)
            }
            ExprKind::Power(base, exponent) => {
                let (base, exponent) = (self.build(base)?, self.build(exponent)?);
                self.power(base, exponent)
            }
            ExprKind::Root { index, radicand } => {
                let inside = self.build(radicand)?;
                self.root(*index, inside)
            }
            ExprKind::Absolute(a) => {
                let inside = self.build(a)?;
                if let Some(value) = inside.as_constant() {
                    return Ok(Quotient::constant(value.abs()));
                }
                let turned = inside.numerator().leading().is_negative();
                let inside = if turned { inside.negated() } else { inside };
                Ok(kernel(KernelKind::Absolute, vec![inside]))
            }
            ExprKind::Percent(a) => {
                let hundredth = Quotient::constant(Rational::new(1.into(), 100.into()));
                Ok(self.build(a)?.times(&hundredth, self.budget)?)
            }
            ExprKind::Degree(a) => {
                let pi = Quotient::whole(Poly::atom(Atom::Constant(Constant::Pi)));
                let part = Quotient::constant(Rational::new(1.into(), 180.into()));
                let one = pi.times(&part, self.budget)?;
                Ok(self.build(a)?.times(&one, self.budget)?)
            }
            ExprKind::Factorial(a) => {
                let inside = self.build(a)?.as_constant().ok_or(NotNormal::NotCovered)?;
                if !inside.is_integer() || inside.is_negative() {
                    return Err(NotNormal::Undefined);
                }
                let n = inside.to_integer().to_u32().filter(|&n| n <= 200);
                let n = n.ok_or(NotNormal::Spent)?;
                let product =
                    (1..=n).fold(Rational::one(), |product, k| product * from_int(i64::from(k)));
                Ok(Quotient::constant(product))
            }
            ExprKind::Ratio(parts) => match &parts[..] {
                [a, b] => {
                    let (a, b) = (self.build(a)?, self.build(b)?);
                    let below = self.reciprocal(b)?;
                    Ok(a.times(&below, self.budget)?)
                }
                _ => Err(NotNormal::NotCovered),
            },
            ExprKind::Call { function, arguments } => {
                let arguments =
                    arguments.iter().map(|a| self.build(a)).collect::<Result<_, _>>()?;
                self.call(*function, arguments)
            }
            ExprKind::PlusMinus { .. } => Err(NotNormal::NotCovered),
        }
    }

    fn reciprocal(&mut self, below: Quotient) -> Built {
        let found = below.reciprocal().ok_or(NotNormal::Undefined)?;
        if below.as_constant().is_none() {
            self.not_zero.push(below);
        }
        Ok(found)
    }

    fn power(&mut self, base: Quotient, exponent: Quotient) -> Built {
        let Some(exponent) = exponent.as_constant() else {
            match base.as_constant() {
                Some(value) if !value.is_positive() => return Err(NotNormal::NotCovered),
                Some(_) => {}
                None if base == euler() => {}
                None => self.positive.push(base.clone()),
            }
            return Ok(kernel(KernelKind::Power, vec![base, exponent]));
        };
        let size = exponent.abs();
        let times = size.numer().to_u32().ok_or(NotNormal::Spent)?;
        let base = if exponent.is_integer() {
            base
        } else {
            let index = size.denom().to_u32().filter(|&n| n <= 60).ok_or(NotNormal::Spent)?;
            self.root(index, base)?
        };
        if exponent.is_zero() {
            // 0^0 has no value.
            self.reciprocal(base)?;
            return Ok(Quotient::constant(Rational::one()));
        }
        if base.as_constant().is_some_and(|value| {
            let bits = value.numer().bits().max(value.denom().bits());
            bits.saturating_mul(u64::from(times)) > crate::budget::BITS && bits > 1
        }) {
            return Err(NotNormal::Spent);
        }
        let raised = match base.as_constant() {
            Some(value) => {
                let value = if value.abs().is_one() && times.is_even() {
                    Rational::one()
                } else if value.is_zero() || value.abs().is_one() {
                    value
                } else {
                    num_traits::Pow::pow(value, times)
                };
                Quotient::constant(value)
            }
            None => base.power(times, self.budget)?,
        };
        if exponent.is_negative() { self.reciprocal(raised) } else { Ok(raised) }
    }

    fn root(&mut self, index: u32, inside: Quotient) -> Built {
        if let Some(value) = inside.as_constant() {
            if value.is_negative() && index.is_even() {
                return Err(NotNormal::Undefined);
            }
            if let Some(root) = exact_root(&value, index) {
                return Ok(Quotient::constant(root));
            }
            if index == 2 {
                return self.prime_roots(&value);
            }
        } else if index.is_even() {
            self.not_negative.push(inside.clone());
        }
        Ok(kernel(KernelKind::Root(index), vec![inside]))
    }

    /// `√(p/q) = √(pq)/q`, and `√n` as a whole number times square roots of distinct primes.
    fn prime_roots(&mut self, value: &Rational) -> Built {
        let below = value.denom();
        let Some((outside, primes)) = square_part(&(value.numer() * below)) else {
            return Ok(kernel(KernelKind::Root(2), vec![Quotient::constant(value.clone())]));
        };
        let mut found = Quotient::constant(Rational::new(outside, below.clone()));
        for prime in primes {
            let prime = Quotient::constant(Rational::from_integer(prime.into()));
            found = found.times(&kernel(KernelKind::PrimeRoot, vec![prime]), self.budget)?;
        }
        Ok(found)
    }

    fn call(&mut self, function: Function, arguments: Vec<Quotient>) -> Built {
        let constants: Option<Vec<Rational>> =
            arguments.iter().map(Quotient::as_constant).collect();
        match function {
            Function::Hcf | Function::Lcm | Function::Max | Function::Min => {
                let values = constants.ok_or(NotNormal::NotCovered)?;
                let whole = values.iter().all(|v| v.is_integer() && !v.is_zero());
                let join: fn(Rational, &Rational) -> Rational = match function {
                    Function::Max => |a, b| a.max(b.clone()),
                    Function::Min => |a, b| a.min(b.clone()),
                    Function::Hcf => |a, b| Rational::from(a.to_integer().gcd(&b.to_integer())),
                    _ => |a, b| Rational::from(a.to_integer().lcm(&b.to_integer())),
                };
                let is_whole_only = matches!(function, Function::Hcf | Function::Lcm);
                if is_whole_only && !whole {
                    return Err(NotNormal::NotCovered);
                }
                let mut rest = values.into_iter();
                let first = rest.next().ok_or(NotNormal::NotCovered)?;
                let first = if is_whole_only { first.abs() } else { first };
                let rest: Vec<_> = rest.collect();
                Ok(Quotient::constant(rest.iter().fold(first, join)))
            }
            Function::Ln | Function::Log => {
                for argument in &arguments {
                    match argument.as_constant() {
                        Some(value) if !value.is_positive() => return Err(NotNormal::Undefined),
                        Some(_) => {}
                        None if *argument == euler() => {}
                        None => self.positive.push(argument.clone()),
                    }
                }
                if arguments[0].as_constant().is_some_and(|value| value.is_one()) {
                    return Ok(Quotient::default());
                }
                Ok(kernel(KernelKind::Call(function), arguments))
            }
            Function::Arcsin | Function::Arccos
                if arguments[0].as_constant().is_some_and(|value| value.abs() > from_int(1)) =>
            {
                Err(NotNormal::Undefined)
            }
            // Where these have no value is not worked out here, so nothing is said about them.
            Function::Tan | Function::Sec | Function::Csc | Function::Cot => {
                Err(NotNormal::NotCovered)
            }
            _ => Ok(kernel(KernelKind::Call(function), arguments)),
        }
    }
}

fn euler() -> Quotient {
    Quotient::whole(Poly::atom(Atom::Constant(Constant::Euler)))
}

fn kernel(kind: KernelKind, arguments: Vec<Quotient>) -> Quotient {
    Quotient::whole(Poly::atom(Atom::Kernel(Box::new(Kernel { kind, arguments }))))
}
