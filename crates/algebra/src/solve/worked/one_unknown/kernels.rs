//! An equation in which the unknown stands inside roots, bars, powers or logarithms: one of them is brought
//! alone on one side, and undone.

use super::{Writer, any_of, cases, whole};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::simplest;
use crate::normal::{
    Atom, KernelKind, Knowledge, Normaliser, Poly, Quotient, Univariate, Values, factors, refine,
};
use crate::number::from_int;
use crate::role::Role;
use crate::rule::Law;
use crate::rule::{Rule, Step, Unsolved};
use crate::solve::sets::zeros;
use crate::solve::solve_linear;
use num_integer::Integer;
use num_traits::{One, Signed, Zero};

impl Writer<'_> {
    /// One function on the left, and on the right a number, or the same root: it is undone as it stands.
    pub(super) fn undone(&self, line: &Line) -> Option<(Line, Rule, Role)> {
        let (left, right) = line.as_equation()?;
        if let (ExprKind::Root { index, radicand: a }, ExprKind::Root { index: other, radicand: b }) =
            (&left.kind, &right.kind)
            && index == other
        {
            let role = if index.is_even() { Role::MayAdd } else { Role::Follows };
            let next = Line::equation((**a).clone(), (**b).clone());
            return Some((next, Rule::RaiseBoth(*index), role));
        }
        if let (ExprKind::Power(base, exponent), ExprKind::Power(other, value)) =
            (&left.kind, &right.kind)
            && other == base
            && base.as_plain_number().is_some_and(|base| base.is_positive() && !base.is_one())
        {
            let next = Line::equation((**exponent).clone(), (**value).clone());
            return Some((next, Rule::EqualExponents, Role::Follows));
        }
        if let Some(next) = circular_alone(line) {
            return Some(next);
        }
        // 2^(x + 1) = 3^x: the logarithms of both sides.
        if let (ExprKind::Power(base, exponent), ExprKind::Power(other, value)) =
            (&left.kind, &right.kind)
            && [base, other].iter().all(|one| {
                one.as_plain_number().is_some_and(|base| base.is_positive() && !base.is_one())
            })
            && [exponent, value].iter().all(|one| one.symbols().contains(self.letter))
        {
            let side = |base: &Expr, exponent: &Expr| {
                exponent.clone().times(
                    ExprKind::Call { function: Function::Ln, arguments: vec![base.clone()] }.into(),
                )
            };
            let next = Line::equation(side(base, exponent), side(other, value));
            return Some((next, Rule::TakeLogarithms, Role::Follows));
        }
        if let ExprKind::Power(base, exponent) = &left.kind
            && base.symbols().is_empty()
            && right.symbols().is_empty()
        {
            let ln = |e: &Expr| -> Expr {
                ExprKind::Call { function: Function::Ln, arguments: vec![e.clone()] }.into()
            };
            let value = simplest(&ln(right).over(ln(base)));
            if value.as_plain_number().is_some() && base.as_plain_number().is_some() {
                let power = ExprKind::Power(base.clone(), Box::new(value)).into();
                let next = Line::equation(left.clone(), power);
                return Some((next, Rule::SameBase((**base).clone()), Role::Follows));
            }
            // x ln 2 = ln 5, and then x = ln 5/ln 2.
            let is_number = base.as_plain_number().is_some_and(|b| b.is_positive() && !b.is_one());
            let next = if **base == Expr::int(10) && value.as_plain_number().is_none() {
                let log =
                    ExprKind::Call { function: Function::Log, arguments: vec![right.clone()] };
                Line::equation((**exponent).clone(), log.into())
            } else if is_number && value.as_plain_number().is_none() {
                Line::equation((**exponent).clone().times(ln(base)), ln(right))
            } else {
                Line::equation((**exponent).clone(), value)
            };
            return Some((next, Rule::TakeLogarithms, Role::Follows));
        }
        if let Some(next) = logarithm_below(line).or_else(|| power_alone(line)) {
            return Some(next);
        }
        let inside = self.logarithm_undone(line)?;
        Some((inside, Rule::UndoLogarithm, Role::Follows))
    }

    /// `n! = 120` as `n! = 5!`, and `n!/(n - 2)! = 30` as `n² - n = 30`.
    pub(super) fn factorials_gone(&self, line: &Line) -> Option<(Line, Rule, Role)> {
        let (left, right) = line.as_equation()?;
        if let (ExprKind::Factorial(a), ExprKind::Factorial(b)) = (&left.kind, &right.kind) {
            let next = Line::equation((**a).clone(), (**b).clone());
            return Some((next, Rule::EqualFactorials, Role::Follows));
        }
        if let ExprKind::Factorial(_) = &left.kind {
            let value = right.as_plain_number().filter(|value| *value > from_int(1))?;
            let (mut n, mut product) = (1, from_int(1));
            while product < value {
                n += 1;
                product *= from_int(n);
            }
            let factorial = ExprKind::Factorial(Box::new(Expr::int(n))).into();
            let next = Line::equation(left.clone(), factorial);
            return (product == value).then_some((
                next,
                Rule::ByLaw(Law::Factorial),
                Role::Follows,
            ));
        }
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let mut reduced = |side: &Expr| -> Option<Expr> {
            let value = Normaliser::new(&none, &mut budget).build(side).ok()?;
            let knowledge = Knowledge::default();
            let above = refine(value.numerator(), &knowledge, &mut budget).ok()?;
            let below = refine(value.denominator(), &knowledge, &mut budget).ok()?;
            let whole = above.times(&below.reciprocal()?, &mut budget).ok()?;
            let whole = whole.cancelled(&mut budget).ok()?;
            let has_factorial =
                |atom: &Atom| atom.as_kernel().is_some_and(|k| k.kind == KernelKind::Factorial);
            let is_left = whole.numerator().atoms().into_iter().any(has_factorial)
                || whole.denominator().atoms().into_iter().any(has_factorial);
            (!is_left).then(|| whole.to_expr())
        };
        let next = Line::equation(reduced(left)?, reduced(right)?);
        Some((next, Rule::ByLaw(Law::FactorialQuotient), Role::MayAdd))
    }

    /// `log_2(x - 1) = 4`: the inside is a power of the base.
    fn logarithm_undone(&self, line: &Line) -> Option<Line> {
        let (left, right) = line.as_equation()?;
        let ExprKind::Call { function, arguments } = &left.kind else { return None };
        if right.symbols().contains(self.letter) {
            return None;
        }
        let base = match (function, &arguments[..]) {
            (Function::Ln, [_]) => ExprKind::Constant(crate::expr::Constant::Euler).into(),
            (Function::Log, [_]) => Expr::int(10),
            (Function::Log, [_, base]) if base.symbols().is_empty() => base.clone(),
            _ => return None,
        };
        let power: Expr = ExprKind::Power(Box::new(base), Box::new(right.clone())).into();
        Some(Line::equation(arguments[0].clone(), simplest(&power)))
    }

    /// A polynomial in one root, absolute value or power: that one is found first.
    pub(super) fn one_kernel(
        &mut self,
        line: &Line,
        poly: &Poly,
        kernel: &Atom,
    ) -> Result<(), Unsolved> {
        let mut budget = Budget::for_verdict();
        let Ok(mut values) = zeros::constant_roots(&poly.by_powers_of(kernel), &mut budget) else {
            return Ok(());
        };
        let Some(inner) = kernel.as_kernel() else { return Ok(()) };
        // xˣ has no inverse that a board knows, and n! is undone as it is typed.
        let moves = inner.kind == KernelKind::Power && inner.arguments[0].mentions(self.letter);
        if moves || inner.kind == KernelKind::Factorial {
            return Ok(());
        }
        if inner.kind == KernelKind::Power {
            values.retain(|v| crate::normal::constant::sign(v, &mut budget) == Some(1));
        }
        if values.is_empty() {
            return Ok(());
        }
        let is_inverse =
            matches!(inner.kind, KernelKind::Ln | KernelKind::Arcsin | KernelKind::Arctan);
        if is_inverse && values.len() < 2 {
            return Ok(());
        }
        let typed = line.as_equation().and_then(|(left, right)| match &left.kind {
            ExprKind::Absolute(inside) if right.symbols().is_empty() => Some((**inside).clone()),
            _ => None,
        });
        if let Some(inside) = typed {
            return self.size_is(inside, line);
        }
        let shown = kernel.to_expr();
        let is = |value: &Quotient| Line::equation(shown.clone(), value.to_expr());
        let isolated = any_of(values.iter().map(is).collect());
        let role = if values.len() > 1 { Role::Splits } else { Role::Follows };
        let product = (values.len() > 1).then(|| product_of(poly, kernel)).flatten();
        if let Some(product) = product {
            let line = Line::equation(product, Expr::int(0));
            self.push(line, Rule::TreatAsOne(shown.clone()), Role::Follows);
            self.push(isolated.clone(), Rule::ZeroProduct, role);
        } else if isolated != *line && !says_what_it_is(line, &shown) {
            self.push(isolated.clone(), Rule::Isolate(shown.clone()), role);
        }
        let [value] = &values[..] else { return Ok(()) };
        let inside = inner.arguments[0].to_expr();
        let negative = crate::normal::constant::sign(value, &mut budget) == Some(-1);
        match inner.kind {
            KernelKind::Root(index) if !(negative && index.is_even()) => {
                let Ok(power) = value.power(index, &mut budget) else { return Ok(()) };
                let next = Line::equation(inside, power.to_expr());
                self.push(next.clone(), Rule::RaiseBoth(index), Role::Follows);
                self.go_on(&next)
            }
            KernelKind::Absolute if !negative => self.size_is(inside, &isolated),
            KernelKind::Power if !negative => {
                let none = Values::new();
                let above = Normaliser::new(&none, &mut budget).ln_of(value);
                let below = Normaliser::new(&none, &mut budget).ln_of(&inner.arguments[0]);
                let (Ok(above), Ok(below)) = (above, below) else { return Ok(()) };
                let Some(by) = below.reciprocal() else { return Ok(()) };
                let Ok(target) = above.times(&by, &mut budget) else { return Ok(()) };
                let next = Line::equation(inner.arguments[1].to_expr(), target.to_expr());
                self.push(next.clone(), Rule::TakeLogarithms, Role::Follows);
                self.go_on(&next)
            }
            _ => Ok(()),
        }
    }

    /// A root beside the unknown itself, or beside another root: it is isolated and raised away.
    pub(super) fn several_kernels(
        &mut self,
        line: &Line,
        poly: &Poly,
        moving: &[Atom],
    ) -> Result<(), Unsolved> {
        if let Some(opened) = cases::opened(line, self.letter) {
            self.push(opened, Rule::OpenBars, Role::Splits);
            self.solved_here(line, Rule::SolveEach);
            return Ok(());
        }
        let root = moving
            .iter()
            .filter_map(|atom| match atom.as_kernel()?.kind {
                KernelKind::Root(index) => Some((atom, index)),
                _ => None,
            })
            .max_by_key(|(atom, _)| {
                atom.as_kernel().map_or(0, |k| k.arguments[0].numerator().len())
            });
        let Some((atom, index)) = root else { return self.without_roots(line, poly, moving) };
        let parts = poly.by_powers_of(atom);
        let [rest, factor] = &parts[..] else { return Ok(()) };
        let mut budget = Budget::for_verdict();
        let Some(value) = Quotient::new(rest.negated(), factor.clone()) else { return Ok(()) };
        let Ok(value) = value.cancelled(&mut budget) else { return Ok(()) };
        let Some(inside) = atom.as_kernel().map(|k| k.arguments[0].clone()) else { return Ok(()) };
        let isolated = Line::equation(atom.to_expr(), value.to_expr());
        let typed_so = line.as_equation().is_some_and(|(l, r)| {
            matches!(l.kind, ExprKind::Root { .. })
                && !r.any(&mut |p| matches!(p.kind, ExprKind::Root { .. }))
        });
        if !typed_so {
            self.push(isolated, Rule::Isolate(atom.to_expr()), Role::Follows);
        }
        let Ok(power) = value.power(index, &mut budget) else { return Ok(()) };
        let next = Line::equation(inside.to_expr(), power.to_expr());
        let role = if index.is_even() { Role::MayAdd } else { Role::Follows };
        self.push(next.clone(), Rule::RaiseBoth(index), role);
        self.go_on(&next)
    }

    /// Sums of logarithms become one product; an absolute value is split.
    fn without_roots(&mut self, line: &Line, poly: &Poly, moving: &[Atom]) -> Result<(), Unsolved> {
        let is_log = |a: &Atom| a.as_kernel().is_some_and(|k| k.kind == KernelKind::Ln);
        if !moving.iter().all(is_log) {
            return self.absolute_value(poly, moving);
        }
        let mut budget = Budget::for_verdict();
        let Some((above, below)) = zeros::product_of_logarithms(poly, moving, &mut budget)
            .ok()
            .filter(|(a, b)| a.mentions(self.letter) || b.mentions(self.letter))
        else {
            return Ok(());
        };
        let next = Line::equation(above.to_expr(), below.to_expr());
        if next != *line {
            self.push(next.clone(), Rule::CombineLogarithms, Role::MayAdd);
        }
        self.go_on(&next)
    }

    /// `|A| = B` with the unknown on both sides.
    fn absolute_value(&mut self, poly: &Poly, moving: &[Atom]) -> Result<(), Unsolved> {
        let sizes: Vec<&Atom> = moving
            .iter()
            .filter(|a| a.as_kernel().is_some_and(|k| k.kind == KernelKind::Absolute))
            .collect();
        let [atom] = &sizes[..] else { return Ok(()) };
        let parts = poly.by_powers_of(atom);
        let [rest, factor] = &parts[..] else { return Ok(()) };
        let Some(value) = Quotient::new(rest.negated(), factor.clone()) else { return Ok(()) };
        let Some(inside) = atom.as_kernel().map(|k| k.arguments[0].to_expr()) else {
            return Ok(());
        };
        let split = Line::AnyOf(vec![
            Line::equation(inside.clone(), value.to_expr()),
            Line::equation(inside, value.negated().to_expr()),
        ]);
        self.push(split.clone(), Rule::SplitAbsolute, Role::MayAdd);
        self.solved_here(&split, Rule::SolveEach);
        Ok(())
    }

    /// `|inside|` is the number on the right of `line`, which is not negative.
    fn size_is(&mut self, inside: Expr, line: &Line) -> Result<(), Unsolved> {
        let Some((_, value)) = line.as_equation() else { return Ok(()) };
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let mut forms = Normaliser::new(&none, &mut budget);
        let (Ok(size), Ok(form)) = (forms.build(value), forms.build(&inside)) else {
            return Ok(());
        };
        match crate::normal::constant::sign(&size, &mut budget) {
            Some(0) => {
                let next = Line::equation(inside, Expr::int(0));
                self.push(next.clone(), Rule::ZeroSize, Role::Follows);
                return self.go_on(&next);
            }
            Some(1) => {}
            _ => return Ok(()),
        }
        let mut ends = [size.negated().to_expr(), size.to_expr()];
        // The smaller solution comes first.
        let poly = form.as_poly().and_then(|poly| Univariate::from_poly(&poly, self.letter));
        if poly.is_some_and(|p| p.coefficients().last().is_some_and(Signed::is_negative)) {
            ends.reverse();
        }
        let split = ends.map(|end| Line::equation(inside.clone(), end)).to_vec();
        self.push(any_of(split.clone()), Rule::SplitAbsolute, Role::Splits);
        self.each(&split);
        Ok(())
    }

    /// Linear equations side by side, each solved as far as the others in every line.
    fn each(&mut self, equations: &[Line]) {
        let solved: Result<Vec<Vec<Step>>, _> =
            equations.iter().map(|one| solve_linear(one, self.letter)).collect();
        let Ok(solved) = solved else {
            return self.solved_here(&any_of(equations.to_vec()), Rule::SolveEach);
        };
        let longest = solved.iter().map(Vec::len).max().unwrap_or(0);
        for at in 1..longest {
            let row = solved.iter().filter_map(|steps| steps.get(at).or(steps.last()));
            let row: Vec<&Step> = row.collect();
            let lines = row.iter().map(|step| step.line.clone()).collect();
            let same = row.windows(2).all(|pair| pair[0].rule == pair[1].rule);
            let rule = if same { row[0].rule.clone() } else { Rule::SolveEach };
            self.push(any_of(lines), rule, Role::Follows);
        }
    }
}

/// `x ln 2 = ln 5`: both sides over the logarithm of a number.
fn logarithm_below(line: &Line) -> Option<(Line, Rule, Role)> {
    let (left, right) = line.as_equation()?;
    let ExprKind::Multiply(rest, logarithm) = &left.kind else { return None };
    let is_logarithm = matches!(&logarithm.kind, ExprKind::Call { function: Function::Ln, arguments }
        if arguments.iter().all(|of| of.as_plain_number().is_some()));
    if !is_logarithm || !right.symbols().is_empty() {
        return None;
    }
    let by = (**logarithm).clone();
    let next = Line::equation((**rest).clone(), right.clone().over(by.clone()));
    Some((next, Rule::DivideBoth(by), Role::Follows))
}

/// `1000 × 1.05^t = 2000`: the power alone.
fn power_alone(line: &Line) -> Option<(Line, Rule, Role)> {
    let (left, right) = line.as_equation()?;
    let ExprKind::Multiply(factor, power) = &left.kind else { return None };
    let ExprKind::Power(base, exponent) = &power.kind else { return None };
    let value = factor.as_plain_number().filter(|value| !value.is_zero())?;
    base.as_plain_number().filter(|base| base.is_positive() && !base.is_one())?;
    let right = right.as_plain_number().filter(|_| !exponent.symbols().is_empty())?;
    let next = Line::equation((**power).clone(), Expr::rational(&(right / &value)));
    Some((next, Rule::DivideBoth((**factor).clone()), Role::Follows))
}

/// A polynomial in one function as a product; `None` where it is none.
fn product_of(poly: &Poly, kernel: &Atom) -> Option<Expr> {
    const STAND_IN: &str = "u";
    let coefficients: Option<Vec<_>> =
        poly.by_powers_of(kernel).iter().map(Poly::as_constant).collect();
    let one = whole(&Univariate::new(coefficients?)).to_poly(STAND_IN);
    let found = factors(&one, &mut Budget::for_verdict()).ok()?;
    (found.len() > 1).then_some(())?;
    let power = |(factor, n): &(Poly, u32)| {
        let factor = factor.to_expr().with(STAND_IN, &kernel.to_expr());
        if *n == 1 { factor } else { factor.to_the(*n) }
    };
    found.iter().map(power).reduce(Expr::times)
}

/// Whether a line says what `part` equals.
fn says_what_it_is(line: &Line, part: &Expr) -> bool {
    line.as_equation().is_some_and(|(left, right)| left == part && right.symbols().is_empty())
}

/// `2 sin(x + 30°) = 1` with the sine alone, and `sin² x = 1/4` with both of its roots.
pub(super) fn circular_alone(line: &Line) -> Option<(Line, Rule, Role)> {
    let (left, right) = line.as_equation()?;
    let is_circular = |part: &Expr| {
        matches!(&part.kind, ExprKind::Call { function, .. }
            if matches!(function, Function::Sin | Function::Cos | Function::Tan))
    };
    if !right.symbols().is_empty() {
        return None;
    }
    match &left.kind {
        ExprKind::Multiply(number, call) if is_circular(call) => {
            let factor = number.as_plain_number().filter(|value| !value.is_zero())?;
            let value = simplest(&right.clone().over((**number).clone()));
            let next = Line::equation((**call).clone(), value);
            Some((next, Rule::DivideBoth(Expr::rational(&factor)), Role::Follows))
        }
        ExprKind::Power(call, exponent) if is_circular(call) => {
            let is_square = exponent.as_plain_number() == Some(from_int(2));
            let is_positive = right.as_plain_number().is_some_and(|value| value.is_positive());
            (is_square && is_positive).then_some(())?;
            let root =
                simplest(&ExprKind::Root { index: 2, radicand: Box::new(right.clone()) }.into());
            let each = [root.clone().negative(), root]
                .map(|value| Line::equation((**call).clone(), simplest(&value)));
            Some((any_of(each.to_vec()), Rule::RootBoth(2), Role::Splits))
        }
        _ => None,
    }
}
