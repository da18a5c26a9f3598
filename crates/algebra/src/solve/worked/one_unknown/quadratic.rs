//! A quadratic equation by any of its methods.

use super::{Way, Writer};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::simplest;
use crate::normal::{Normaliser, Univariate, Values};
use crate::number::{Rational, from_int};
use crate::role::Role;
use crate::rule::{Rule, Unsolved};
use crate::solve::worked::inverse_operations::undone;
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// A power of a sum on the left, a number on the right, and the lines that lead there.
pub(super) struct PowerAlone {
    lines: Vec<(Line, Rule)>,
    base: Expr,
    exponent: u32,
    value: Rational,
}

impl Writer<'_> {
    /// The working of a quadratic equation, `line`, whose normal form is `poly`, by the method wanted or the
    /// usual one.
    pub(super) fn quadratic(&mut self, line: &Line, poly: &Univariate) -> Result<(), Unsolved> {
        let [c, b, a] = poly.coefficients() else { return Ok(()) };
        let zero = Line::equation(poly.to_expr(self.letter), Expr::int(0));
        let rational = poly.rational_roots().is_some_and(|roots| !roots.is_empty());
        let mut ways = Vec::new();
        let alone = self.power_alone(line).filter(|power| power.exponent == 2);
        if b.is_zero() || alone.is_some() {
            ways.push(Way::SquareRoot);
        }
        if rational {
            ways.push(Way::Factor);
        }
        ways.extend([Way::Formula, Way::CompleteTheSquare]);
        if self.ways.is_empty() {
            self.ways.clone_from(&ways);
        }
        let usual = ways[0];
        let way = match self.wanted {
            Some(wanted) => {
                *ways.iter().find(|way| **way == wanted).ok_or(Unsolved::NotThisMethod)?
            }
            None => usual,
        };
        self.way = Some(way);
        let x = Expr::symbol(self.letter);
        match way {
            Way::SquareRoot => {
                if let Some(power) = alone {
                    return self.rooted(line, power);
                }
                let square = -c / a;
                let left = x.to_the(2);
                let isolated = Line::equation(left.clone(), Expr::rational(&square));
                self.push(isolated, Rule::Isolate(left), Role::Follows);
                if square.is_negative() {
                    self.solved_here(line, Rule::SquareNotNegative);
                } else {
                    self.solved_here(line, Rule::RootBoth(2));
                }
            }
            Way::Factor => {
                if !self.typed_product(line) {
                    self.push(zero, Rule::MoveToOneSide, Role::Follows);
                    self.factorised(poly);
                }
            }
            Way::Formula => {
                self.push(zero, Rule::MoveToOneSide, Role::Follows);
                let under = b * b - from_int(4) * a * c;
                let root: Expr =
                    ExprKind::Root { index: 2, radicand: Box::new(Expr::rational(&under)) }.into();
                let sign: Expr =
                    ExprKind::PlusMinus { opposite: false, value: Box::new(root) }.into();
                let over = |sign: Expr, below: Expr| {
                    let above = if b.is_zero() { sign } else { Expr::rational(&-b).plus(sign) };
                    above.over(below)
                };
                let value = over(sign, Expr::rational(&(a * from_int(2))));
                let numbers = [a, b, c].map(Expr::rational);
                let inside = numbers[1]
                    .clone()
                    .to_the(2)
                    .minus(Expr::int(4).times(numbers[0].clone()).times(numbers[2].clone()));
                let root = ExprKind::Root { index: 2, radicand: Box::new(inside) }.into();
                let sign = ExprKind::PlusMinus { opposite: false, value: Box::new(root) }.into();
                let put_in = over(sign, Expr::int(2).times(numbers[0].clone()));
                if under.is_negative() {
                    self.solved_here(line, Rule::NegativeDiscriminant(Expr::rational(&under)));
                } else {
                    self.push(Line::equation(x.clone(), put_in), Rule::Formula, Role::Follows);
                    self.push(Line::equation(x, value), Rule::Evaluate, Role::Follows);
                    let rule = if under.is_zero() { Rule::Evaluate } else { Rule::BothSigns };
                    self.solved_here(line, rule);
                }
            }
            _ => {
                let half = b / (a * from_int(2));
                let square = &half * &half - c / a;
                if !a.is_one() {
                    let monic = Univariate::new(vec![c / a, b / a, Rational::one()]);
                    self.push(
                        Line::equation(monic.to_expr(self.letter), Expr::int(0)),
                        Rule::DivideBoth(Expr::rational(a)),
                        Role::Follows,
                    );
                }
                let (p, q) = (b / a, c / a);
                if !half.is_zero() {
                    let moved = Univariate::new(vec![from_int(0), p, Rational::one()]);
                    let left = moved.to_expr(self.letter);
                    let rule = if q.is_negative() {
                        Rule::AddToBoth(Expr::rational(&-&q))
                    } else {
                        Rule::SubtractFromBoth(Expr::rational(&q))
                    };
                    let right = Expr::rational(&-&q);
                    self.push(Line::equation(left.clone(), right.clone()), rule, Role::Follows);
                    let added = Expr::rational(&(&half * &half));
                    let right = if q.is_zero() { added.clone() } else { right.plus(added.clone()) };
                    let full = Line::equation(left.plus(added.clone()), right);
                    self.push(full, Rule::AddToBoth(added), Role::Follows);
                }
                let inside = if half.is_negative() {
                    x.minus(Expr::rational(&-&half))
                } else if half.is_zero() {
                    x
                } else {
                    x.plus(Expr::rational(&half))
                };
                self.push(
                    Line::equation(inside.clone().to_the(2), Expr::rational(&square)),
                    Rule::CompleteSquare,
                    Role::Follows,
                );
                if !square.is_negative() {
                    let root = root_of(&square);
                    let sign: Expr =
                        ExprKind::PlusMinus { opposite: false, value: Box::new(root) }.into();
                    self.push(Line::equation(inside, sign), Rule::RootBoth(2), Role::Follows);
                }
                self.solved_here(line, Rule::SolveEach);
            }
        }
        Ok(())
    }

    /// The lines to a power of a sum, when the letter stands in the equation once, inside that power.
    pub(super) fn power_alone(&self, line: &Line) -> Option<PowerAlone> {
        let mut lines = Vec::new();
        let on_the_way = std::iter::once((line.clone(), Rule::Given));
        for (next, rule) in on_the_way.chain(undone(line, self.letter)) {
            let (left, right) = next.as_equation()?;
            let value = constant_value(right)?;
            if let ExprKind::Power(base, exponent) = &left.kind
                && base.symbols().contains(self.letter)
            {
                let exponent = exponent.as_plain_number()?.to_integer().to_u32()?;
                let base = (**base).clone();
                let is_last = (next != *line).then(|| (next.clone(), rule));
                lines.extend(is_last);
                return (exponent > 1).then_some(PowerAlone { lines, base, exponent, value });
            }
            if next != *line {
                lines.push((next, rule));
            }
        }
        None
    }

    /// Takes the root of both sides of a power that stands alone.
    pub(super) fn rooted(&mut self, line: &Line, power: PowerAlone) -> Result<(), Unsolved> {
        let PowerAlone { lines, base, exponent, value } = power;
        for (next, rule) in lines {
            self.push(next, rule, Role::Follows);
        }
        let is_even = exponent.is_even();
        if is_even && value.is_negative() {
            self.solved_here(line, Rule::SquareNotNegative);
            return Ok(());
        }
        let rule = if value.is_zero() { Rule::ZeroPower } else { Rule::RootBoth(exponent) };
        let radicand = Box::new(Expr::rational(&value));
        let root = simplest(&ExprKind::Root { index: exponent, radicand }.into());
        if !is_even || value.is_zero() {
            let next = Line::equation(base, root);
            self.push(next.clone(), rule, Role::Follows);
            return self.go_on(&next);
        }
        if base == Expr::symbol(self.letter) {
            self.solved_here(line, rule);
            return Ok(());
        }
        let sign: Expr = ExprKind::PlusMinus { opposite: false, value: Box::new(root) }.into();
        self.push(Line::equation(base, sign), rule, Role::Follows);
        self.solved_here(line, Rule::SolveEach);
        Ok(())
    }
}

fn root_of(value: &Rational) -> Expr {
    let root: Expr = ExprKind::Root { index: 2, radicand: Box::new(Expr::rational(value)) }.into();
    simplest(&root)
}

fn constant_value(expr: &Expr) -> Option<Rational> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).ok()?.as_constant()
}
