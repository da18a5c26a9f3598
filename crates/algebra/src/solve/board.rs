//! A full working of an equation or inequality in one unknown, as it would be written on a board.
//!
//! The kind of the equation decides the next line: a root is isolated and squared away, an exponential is
//! taken the logarithm of, a polynomial is brought to one side and factorised, or worked by the formula or
//! the completed square. Where squaring or multiplying by the unknown may have brought solutions in, the
//! last line leaves them out. Whoever gives the lines out proves each of them in its role.

mod checks;
mod inequality;

use super::steps::{Rule, Step, Unsolved};
use super::{Interval, Solutions, Writing, sets, solve_linear, zeros};
use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, KernelKind, Needs, Normaliser, Poly, Quotient, Univariate, Values, factors,
};
use crate::number::{Rational, from_int};
use crate::step::Role;
use num_integer::Integer;
use num_traits::{One, Signed, Zero};

/// Most lines of one working.
const LINES: usize = 14;

/// A working, the method it follows, and the other methods that fit.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Board {
    /// The lines, the problem first.
    pub steps: Vec<Step>,
    /// The method's name in files.
    pub method: &'static str,
    /// Every method that fits.
    pub methods: Vec<&'static str>,
}

/// The line that says what the solutions are; `None` for those that go on for ever.
#[must_use]
pub fn solution_line(found: &Solutions, letter: &str) -> Option<Line> {
    let name = || Expr::symbol(letter);
    match found {
        Solutions::AllReals => Some(Line::AllReals),
        Solutions::Repeating => None,
        Solutions::Finite(all) => {
            let one = |solution: &super::Solution| match solution.writing() {
                Writing::Exact(value) => Line::equation(name(), value.clone()),
                Writing::Near { decimal, .. } => Line::Relations {
                    sides: vec![name(), decimal.clone()],
                    relations: vec![Relation::Approximate],
                },
            };
            Some(any_of(all.iter().map(one).collect()))
        }
        Solutions::Intervals(pieces) => {
            let lines: Option<Vec<Line>> =
                pieces.iter().map(|piece: &Interval| piece.to_line(letter)).collect();
            lines.map(any_of)
        }
    }
}

fn any_of(mut lines: Vec<Line>) -> Line {
    match lines.len() {
        0 => Line::NoSolution,
        1 => lines.remove(0),
        _ => Line::AnyOf(lines),
    }
}

/// The working of `line` for `letter`, by `method` or the usual one.
///
/// # Errors
/// [`Unsolved`] when the solutions are not found, or the method does not fit.
pub fn board(
    line: &Line,
    letter: &str,
    method: Option<&str>,
    assumed: &Assumptions,
) -> Result<Board, Unsolved> {
    let solutions =
        sets::solutions_given(line, letter, assumed).map_err(|_| Unsolved::NotThisKind)?;
    let answer = match solution_line(&solutions, letter) {
        Some(answer) => answer,
        None => super::line_up::general_solution(line, letter).ok_or(Unsolved::NotThisKind)?,
    };
    if line.as_equation().is_none() {
        return Ok(inequality::board(line, letter, answer));
    }
    let mut writer = Writer {
        letter,
        assumed,
        wanted: method,
        steps: vec![step(line.clone(), Rule::Given, Role::Starts)],
        may_add: false,
        methods: Vec::new(),
        method: "",
    };
    writer.go_on(line)?;
    let last = writer.steps.last().map(|step| step.line.clone());
    let differs = last.as_ref() != Some(&answer);
    let mut checked = false;
    if writer.may_add
        && let Some(last) = &last
    {
        let checks = checks::of(line, last, letter);
        checked = !checks.is_empty();
        writer.steps.extend(checks);
    }
    if differs {
        let (rule, role) = if writer.may_add {
            (Rule::Reject, Role::Rejects)
        } else {
            (Rule::FindSolutions, Role::Concludes)
        };
        writer.push(answer, rule, role);
    } else if checked {
        writer.steps.push(step(answer, Rule::AllFit, Role::Concludes));
    }
    let methods = if writer.methods.is_empty() { vec!["usual"] } else { writer.methods };
    let used = if writer.method.is_empty() { methods[0] } else { writer.method };
    match method {
        Some(wanted) if wanted != used => Err(Unsolved::NotThisMethod),
        _ => Ok(Board { steps: writer.steps, method: used, methods }),
    }
}

fn step(line: Line, rule: Rule, role: Role) -> Step {
    Step { line, rule, role }
}

struct Writer<'a> {
    letter: &'a str,
    assumed: &'a Assumptions,
    wanted: Option<&'a str>,
    steps: Vec<Step>,
    /// Whether a line may have brought solutions in.
    may_add: bool,
    methods: Vec<&'static str>,
    method: &'static str,
}

/// An equation in normal form: everything on the left.
struct Equation {
    over: Poly,
    needs: Needs,
}

impl Writer<'_> {
    fn push(&mut self, line: Line, rule: Rule, role: Role) {
        let repeats = self.steps.last().is_some_and(|last| last.line == line);
        if !repeats && self.steps.len() < LINES {
            self.may_add |= role == Role::MayAdd;
            self.steps.push(step(line, rule, role));
        }
    }

    fn normal(&self, line: &Line) -> Option<Equation> {
        let (left, right) = line.as_equation()?;
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let mut forms = Normaliser::new(&none, &mut budget);
        let (l, r) = (forms.build(left).ok()?, forms.build(right).ok()?);
        let needs = forms.needs;
        let difference = l.minus(&r, &mut budget).ok()?.cancelled(&mut budget).ok()?;
        let over = difference.numerator().clone();
        Some(Equation { over, needs })
    }

    /// Writes the lines from `line` to its solutions, without the last.
    fn go_on(&mut self, line: &Line) -> Result<(), Unsolved> {
        if self.steps.len() >= LINES {
            return Ok(());
        }
        if let Some((next, rule, role)) = self.undone(line) {
            self.push(next.clone(), rule, role);
            return self.go_on(&next);
        }
        let Some(equation) = self.normal(line) else { return Ok(()) };
        let letter = Atom::symbol(self.letter);
        let moving: Vec<Atom> = equation
            .over
            .atoms()
            .into_iter()
            .filter(|atom| atom.mentions(self.letter))
            .cloned()
            .collect();
        if let Some(poly) = Univariate::from_poly(&equation.over, self.letter) {
            return self.polynomial(line, &equation, &poly);
        }
        match &moving[..] {
            [only] if *only != letter => self.one_kernel(line, &equation.over, only),
            _ => self.several_kernels(line, &equation.over, &moving),
        }
    }

    fn polynomial(
        &mut self,
        line: &Line,
        equation: &Equation,
        poly: &Univariate,
    ) -> Result<(), Unsolved> {
        let zero = |poly: &Univariate| Line::equation(poly.to_expr(self.letter), Expr::int(0));
        if !equation.needs.not_zero.is_empty() {
            return match cleared(line, &equation.needs) {
                Some((next, by)) => {
                    self.push(next.clone(), Rule::ClearFractions(by), Role::MayAdd);
                    self.go_on(&next)
                }
                None => Ok(()),
            };
        }
        if poly.degree() == 1 {
            if let Ok(steps) = solve_linear(line, self.letter) {
                for found in steps.into_iter().skip(1) {
                    self.push(found.line, found.rule, found.role);
                }
            }
            return Ok(());
        }
        let poly = whole(poly);
        if poly.degree() == 2 {
            return self.quadratic(line, &poly);
        }
        self.push(zero(&poly), Rule::MoveToOneSide, Role::Follows);
        self.factorised(&poly);
        Ok(())
    }

    fn factorised(&mut self, poly: &Univariate) -> bool {
        let mut budget = Budget::for_verdict();
        let whole_poly = poly.to_poly(self.letter);
        let Ok(found) = factors(&whole_poly, &mut budget) else { return false };
        let count: u32 = found.iter().map(|(_, exponent)| exponent).sum();
        if count < 2 {
            return false;
        }
        let content = whole_poly.number_content();
        let power = |(factor, exponent): &(Poly, u32)| {
            let factor = factor.to_expr();
            if *exponent == 1 { factor } else { factor.to_the(*exponent) }
        };
        let mut product =
            found.iter().map(power).reduce(Expr::times).unwrap_or_else(|| Expr::int(1));
        if !content.is_one() {
            product = if content == from_int(-1) {
                product.negative()
            } else {
                Expr::rational(&content).times(product)
            };
        }
        self.push(Line::equation(product, Expr::int(0)), Rule::Factorise, Role::Follows);
        let each = found.iter().map(|(factor, _)| Line::equation(factor.to_expr(), Expr::int(0)));
        let split = any_of(each.collect());
        let role = if matches!(split, Line::AnyOf(_)) { Role::Splits } else { Role::Follows };
        self.push(split, Rule::ZeroProduct, role);
        self.solved_here(&Line::equation(poly.to_expr(self.letter), Expr::int(0)), Rule::SolveEach);
        true
    }

    /// The solutions of `line`, which may be more than those of the problem.
    fn solved_here(&mut self, line: &Line, rule: Rule) {
        let none = Assumptions::default();
        let assumed = if self.may_add { &none } else { self.assumed };
        if let Ok(found) = sets::solutions_given(line, self.letter, assumed)
            && let Some(answer) = solution_line(&found, self.letter)
        {
            self.push(answer, rule, Role::Follows);
        }
    }

    fn quadratic(&mut self, line: &Line, poly: &Univariate) -> Result<(), Unsolved> {
        let [c, b, a] = poly.coefficients() else { return Ok(()) };
        let zero = Line::equation(poly.to_expr(self.letter), Expr::int(0));
        let rational = poly.rational_roots().is_some_and(|roots| !roots.is_empty());
        let mut methods = Vec::new();
        if b.is_zero() {
            methods.push("square-root");
        }
        if rational {
            methods.push("factor");
        }
        methods.extend(["formula", "complete-the-square"]);
        if self.methods.is_empty() {
            self.methods.clone_from(&methods);
        }
        let usual = methods[0];
        let method = match self.wanted {
            Some(wanted) => {
                *methods.iter().find(|m| **m == wanted).ok_or(Unsolved::NotThisMethod)?
            }
            None => usual,
        };
        self.method = method;
        let x = Expr::symbol(self.letter);
        match method {
            "square-root" => {
                let square = -c / a;
                self.push(
                    Line::equation(x.clone().to_the(2), Expr::rational(&square)),
                    Rule::Isolate(x.to_the(2)),
                    Role::Follows,
                );
                if !square.is_negative() {
                    self.solved_here(line, Rule::RootBoth(2));
                }
            }
            "factor" => {
                self.push(zero, Rule::MoveToOneSide, Role::Follows);
                self.factorised(poly);
            }
            "formula" => {
                self.push(zero, Rule::MoveToOneSide, Role::Follows);
                let under = b * b - from_int(4) * a * c;
                let root: Expr =
                    ExprKind::Root { index: 2, radicand: Box::new(Expr::rational(&under)) }.into();
                let sign: Expr =
                    ExprKind::PlusMinus { opposite: false, value: Box::new(root) }.into();
                let above = if b.is_zero() { sign } else { Expr::rational(&-b).plus(sign) };
                let value = above.over(Expr::rational(&(a * from_int(2))));
                if under.is_negative() {
                    self.solved_here(line, Rule::NegativeDiscriminant(Expr::rational(&under)));
                } else {
                    self.push(Line::equation(x, value), Rule::Formula, Role::Follows);
                    self.solved_here(line, Rule::Evaluate);
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

    /// One function on the left, and on the right a number, or the same root: it is undone as it stands.
    fn undone(&self, line: &Line) -> Option<(Line, Rule, Role)> {
        let (left, right) = line.as_equation()?;
        if let (ExprKind::Root { index, radicand: a }, ExprKind::Root { index: other, radicand: b }) =
            (&left.kind, &right.kind)
            && index == other
        {
            let role = if index.is_even() { Role::MayAdd } else { Role::Follows };
            let next = Line::equation((**a).clone(), (**b).clone());
            return Some((next, Rule::RaiseBoth(*index), role));
        }
        if let ExprKind::Power(base, exponent) = &left.kind
            && base.symbols().is_empty()
            && right.symbols().is_empty()
        {
            let ln = |e: &Expr| -> Expr {
                ExprKind::Call { function: Function::Ln, arguments: vec![e.clone()] }.into()
            };
            let value = simplest(&ln(right).over(ln(base)));
            let next = Line::equation((**exponent).clone(), value);
            return Some((next, Rule::TakeLogarithms, Role::Follows));
        }
        let inside = self.logarithm_undone(line)?;
        Some((inside, Rule::UndoLogarithm, Role::Follows))
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
    fn one_kernel(&mut self, line: &Line, poly: &Poly, kernel: &Atom) -> Result<(), Unsolved> {
        let mut budget = Budget::for_verdict();
        let Ok(mut values) = zeros::constant_roots(&poly.by_powers_of(kernel), &mut budget) else {
            return Ok(());
        };
        let Some(inner) = kernel.as_kernel() else { return Ok(()) };
        if inner.kind == KernelKind::Power {
            values.retain(|v| crate::normal::constant::sign(v, &mut budget) == Some(1));
        }
        if values.is_empty() {
            return Ok(());
        }
        if matches!(inner.kind, KernelKind::Ln | KernelKind::Arcsin | KernelKind::Arctan) {
            return Ok(());
        }
        let shown = kernel.to_expr();
        let is = |value: &Quotient| Line::equation(shown.clone(), value.to_expr());
        let isolated = any_of(values.iter().map(is).collect());
        let role = if values.len() > 1 { Role::Splits } else { Role::Follows };
        if isolated != *line {
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
            KernelKind::Absolute if !negative => {
                let split = any_of(vec![
                    Line::equation(inside.clone(), value.to_expr()),
                    Line::equation(inside, value.negated().to_expr()),
                ]);
                self.push(split, Rule::SplitAbsolute, Role::Splits);
                Ok(())
            }
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
    fn several_kernels(
        &mut self,
        line: &Line,
        poly: &Poly,
        moving: &[Atom],
    ) -> Result<(), Unsolved> {
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
        let Ok((above, below)) =
            zeros::product_of_logarithms(poly, moving, self.letter, &mut budget)
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
}

/// Both sides times the common denominator, and that denominator.
fn cleared(line: &Line, needs: &Needs) -> Option<(Line, Expr)> {
    let (left, right) = line.as_equation()?;
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut common: Vec<(Poly, u32)> = Vec::new();
    for needed in &needs.not_zero {
        for (factor, exponent) in factors(needed.numerator(), &mut budget).ok()? {
            match common.iter_mut().find(|(other, _)| *other == factor) {
                Some((_, most)) => *most = exponent.max(*most),
                None => common.push((factor, exponent)),
            }
        }
    }
    let sides = [left, right].map(|side| Normaliser::new(&none, &mut budget).build(side));
    let mut by = Quotient::constant(Rational::one());
    for side in &sides {
        let below = side.as_ref().ok()?.denominator().clone();
        let number = Rational::from_integer(below.number_content().numer().clone());
        let whole = side.as_ref().ok()?.numerator().number_content().denom().clone();
        let content = by.numerator().number_content();
        let needed = content.numer().lcm(&whole).lcm(number.numer());
        by = Quotient::constant(Rational::from_integer(needed));
    }
    for (factor, exponent) in &common {
        let power = factor.power(*exponent, &mut budget).ok()?;
        by = by.times(&Quotient::whole(power), &mut budget).ok()?;
    }
    let mut times = |side: &Result<Quotient, _>| -> Option<Expr> {
        let side: &Quotient = side.as_ref().ok()?;
        let product = side.times(&by, &mut budget).ok()?.cancelled(&mut budget).ok()?;
        product.as_poly().map(|poly| poly.to_expr())
    };
    let next = Line::equation(times(&sides[0])?, times(&sides[1])?);
    Some((next, by.to_expr()))
}

/// The same roots with whole coefficients and a positive leading one.
fn whole(poly: &Univariate) -> Univariate {
    let content = poly.to_poly("x").number_content();
    if content.is_zero() {
        return poly.clone();
    }
    Univariate::new(poly.coefficients().iter().map(|c| c / &content).collect())
}

fn root_of(value: &Rational) -> Expr {
    let root: Expr = ExprKind::Root { index: 2, radicand: Box::new(Expr::rational(value)) }.into();
    simplest(&root)
}

/// The normal form of a constant, as an expression.
fn simplest(expr: &Expr) -> Expr {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).map_or_else(|_| expr.clone(), |v| v.to_expr())
}
