//! A full working of an equation or inequality in one unknown, as it would be written on a board.
//!
//! The kind of the equation decides the next line: a root is isolated and squared away, an exponential is
//! taken the logarithm of, a polynomial is brought to one side and factorised, or worked by the formula or
//! the completed square. Where squaring or multiplying by the unknown may have brought solutions in, the
//! last line leaves them out. Whoever gives the lines out proves each of them in its role.

mod cases;
mod checks;
mod inequality;
mod kernels;
mod one_call;
mod quadratic;
mod waves;

use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::normal::{
    Atom, Needs, Normaliser, Poly, Quotient, Univariate, Values, factors, irreducible_factors,
    simplest,
};
use crate::number::{Rational, from_int};
use crate::role::Role;
use crate::rule::{Rule, Step, Unsolved};
use crate::solve::worked::gathered_terms::gathered;
use crate::solve::worked::inverse_operations::undone;
use crate::solve::{Interval, Solutions, Writing, sets, solve_linear};
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Most lines of one working.
const LINES: usize = 14;

/// A working, the method it follows, and the other methods that fit.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct OneUnknown {
    /// The lines, the problem first.
    pub steps: Vec<Step>,
    /// The way in which it is worked.
    pub way: Way,
    /// Every way that fits.
    pub ways: Vec<Way>,
}

/// A way of working a line in one unknown.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Way {
    /// Where there is but one.
    Usual,
    /// A quadratic by the root of both sides.
    SquareRoot,
    /// A quadratic by its factors.
    Factor,
    /// A quadratic by the formula.
    Formula,
    /// A quadratic by completing the square.
    CompleteTheSquare,
}

impl Way {
    /// All ways.
    pub const ALL: [Self; 5] =
        [Self::Usual, Self::SquareRoot, Self::Factor, Self::Formula, Self::CompleteTheSquare];

    /// Its name in files.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Usual => "usual",
            Self::SquareRoot => "square-root",
            Self::Factor => "factor",
            Self::Formula => "formula",
            Self::CompleteTheSquare => "complete-the-square",
        }
    }

    /// The way of that name.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        Self::ALL.into_iter().find(|way| way.name() == name)
    }
}

/// The line that says what the solutions are; `None` for those that go on for ever.
#[must_use]
pub fn solution_line(found: &Solutions, letter: &str) -> Option<Line> {
    let name = || Expr::symbol(letter);
    match found {
        Solutions::AllReals => Some(Line::AllReals),
        Solutions::Repeating => None,
        Solutions::Finite(all) => {
            let one = |solution: &crate::solve::Solution| match solution.writing() {
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

/// The working of `line` for `letter`, in that way or the usual one.
///
/// # Errors
/// [`Unsolved`] when the solutions are not found, or the way does not fit.
pub fn one_unknown(
    line: &Line,
    letter: &str,
    wanted: Option<Way>,
    assumed: &Assumptions,
) -> Result<OneUnknown, Unsolved> {
    let solutions =
        sets::solutions_given(line, letter, assumed).map_err(|_| Unsolved::NotThisKind)?;
    let answer = match solution_line(&solutions, letter) {
        Some(answer) => answer,
        None => crate::solve::sets::real_line::general_solution(line, letter)
            .ok_or(Unsolved::NotThisKind)?,
    };
    if line.as_equation().is_none() {
        return Ok(inequality::worked(line, letter, answer));
    }
    let mut writer = Writer {
        letter,
        assumed,
        wanted,
        steps: vec![step(line.clone(), Rule::Given, Role::Starts)],
        may_add: false,
        ways: Vec::new(),
        way: None,
    };
    writer.go_on(line)?;
    let last = writer.steps.last().map(|step| step.line.clone());
    // `log 50` is told as it was found, not as ln 50/ln 10.
    let told =
        last.as_ref().filter(|last| is_value(last, letter) && tells_logarithm(last, &answer));
    let answer = told.cloned().unwrap_or(answer);
    let differs = last.as_ref() != Some(&answer);
    let mut checked = false;
    if writer.may_add
        && let Some(last) = &last
    {
        let checks = checks::of(line, last, letter);
        checked = !checks.is_empty();
        writer.steps.extend(checks);
    }
    if differs
        && !writer.may_add
        && let Some(angles) = last.as_ref().and_then(|last| angles(last, &answer, letter))
    {
        writer.push(angles, Rule::Angles, Role::Splits);
        writer.push(answer, Rule::SolveEach, Role::Concludes);
    } else if differs {
        let (rule, role) = if writer.may_add {
            (Rule::Reject, Role::Rejects)
        } else if last.as_ref().is_some_and(|last| is_value(last, letter))
            && is_value(&answer, letter)
        {
            (Rule::Simplify, Role::Concludes)
        } else {
            (last_rule(last.as_ref(), &answer), Role::Concludes)
        };
        writer.push(answer, rule, role);
    } else if checked {
        writer.steps.push(step(answer, Rule::AllFit, Role::Concludes));
    }
    if let Some(last) = writer.steps.last_mut().filter(|last| last.role == Role::Follows) {
        last.role = Role::Concludes;
    }
    let ways = if writer.ways.is_empty() { vec![Way::Usual] } else { writer.ways };
    let way = writer.way.unwrap_or(ways[0]);
    match wanted {
        Some(wanted) if wanted != way => Err(Unsolved::NotThisMethod),
        _ => Ok(OneUnknown { steps: writer.steps, way, ways }),
    }
}

/// Whether both tell a value by logarithms, the first in hardly more signs.
fn tells_logarithm(first: &Line, second: &Line) -> bool {
    let is_logarithm = |part: &Expr| matches!(&part.kind, ExprKind::Call { function, .. } if matches!(function, Function::Ln | Function::Log));
    let has = |line: &Line| {
        line.expressions().into_iter().any(|side| side.any(&mut |part| is_logarithm(part)))
    };
    let length = |line: &Line| crate::write::text_line(line).chars().count();
    has(first) && has(second) && length(first) <= length(second) + 2
}

/// `2x = π/3 or 2x = 5π/3` between `cos 2x = 1/2` and its solutions; nothing for the plain letter.
fn angles(line: &Line, answer: &Line, letter: &str) -> Option<Line> {
    let inside = |line: &Line| match &line.as_equation()?.0.kind {
        ExprKind::Call { arguments, .. } => arguments.first().cloned(),
        _ => None,
    };
    let parts: Vec<&Line> = match line {
        Line::AnyOf(lines) => lines.iter().collect(),
        line => vec![line],
    };
    let angle = inside(parts.first()?)?;
    let is_shared = parts.iter().all(|part| inside(part).as_ref() == Some(&angle));
    let is_plain = |angle: &Expr| *angle == Expr::symbol(letter);
    // In degrees the letter stands under its sign.
    let is_letter = match &angle.kind {
        ExprKind::Degree(inside) => is_plain(inside),
        _ => is_plain(&angle),
    };
    if !is_shared || is_letter || !angle.symbols().contains(letter) {
        return None;
    }
    let solutions: Vec<&Line> = match answer {
        Line::AnyOf(lines) => lines.iter().collect(),
        line => vec![line],
    };
    let each = solutions.iter().map(|one| {
        let (_, value) = one.as_equation()?;
        Some(Line::equation(angle.clone(), simplest(&angle.with(letter, value))))
    });
    each.collect::<Option<_>>().map(any_of)
}

/// Why the answer follows from the last line before it.
fn last_rule(last: Option<&Line>, answer: &Line) -> Rule {
    let is_near = |line: &Line| {
        matches!(line, Line::Relations { relations, .. }
        if relations.contains(&Relation::Approximate))
    };
    let near = match answer {
        Line::AnyOf(lines) => lines.iter().any(is_near),
        line => is_near(line),
    };
    let is_circular = |line: &Line| {
        line.as_equation().is_some_and(|(left, right)| {
            right.symbols().is_empty()
                && matches!(&left.kind, ExprKind::Call { function, .. } if matches!(function,
                    Function::Sin | Function::Cos | Function::Tan))
        })
    };
    let never_negative = |line: &Line| {
        line.as_equation().is_some_and(|(left, right)| {
            let is_size = match &left.kind {
                ExprKind::Absolute(_) => true,
                ExprKind::Root { index, .. } => index.is_even(),
                ExprKind::Power(base, _) => base.as_plain_number().is_some_and(|b| b.is_positive()),
                _ => false,
            };
            is_size && right.as_plain_number().is_some_and(|value| value.is_negative())
        })
    };
    match last {
        _ if near => Rule::CloseIn,
        Some(Line::AnyOf(lines)) if lines.iter().all(is_circular) => Rule::Angles,
        Some(Line::AnyOf(_)) => Rule::SolveEach,
        Some(line) if power_of_letter(line).is_some() => {
            Rule::RootBoth(power_of_letter(line).unwrap_or(2))
        }
        Some(line) if is_circular(line) && *answer != Line::NoSolution => Rule::Angles,
        Some(line) if is_circular(line) => Rule::BeyondOne,
        Some(line) if never_negative(line) && *answer == Line::NoSolution => Rule::NeverNegative,
        _ => Rule::FindSolutions,
    }
}

/// The exponent of `x³ = π`, whose root is taken next.
fn power_of_letter(line: &Line) -> Option<u32> {
    let (left, right) = line.as_equation()?;
    let ExprKind::Power(base, exponent) = &left.kind else { return None };
    let is_plain = matches!(base.kind, ExprKind::Symbol(_)) && right.symbols().is_empty();
    exponent.as_plain_number().filter(|n| is_plain && n.is_integer())?.to_integer().to_u32()
}

/// Whether a line says what the letter equals.
fn is_value(line: &Line, letter: &str) -> bool {
    line.as_equation().is_some_and(|(left, right)| {
        *left == Expr::symbol(letter) && !right.symbols().contains(letter)
    })
}

fn step(line: Line, rule: Rule, role: Role) -> Step {
    Step { line, rule, role }
}

struct Writer<'a> {
    letter: &'a str,
    assumed: &'a Assumptions,
    wanted: Option<Way>,
    steps: Vec<Step>,
    /// Whether a line may have brought solutions in.
    may_add: bool,
    ways: Vec<Way>,
    way: Option<Way>,
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
    /// Whether a line tells the unknown's value.
    fn is_told(&self, line: &Line) -> bool {
        line.as_equation().is_some_and(|(left, right)| {
            *left == Expr::symbol(self.letter) && !right.symbols().contains(self.letter)
        })
    }

    fn go_on(&mut self, line: &Line) -> Result<(), Unsolved> {
        if self.steps.len() >= LINES {
            return Ok(());
        }
        if self.is_told(line) || self.in_waves(line) {
            return Ok(());
        }
        if let Some((next, rule, role)) = self.undone(line) {
            self.push(next.clone(), rule, role);
            return self.go_on(&next);
        }
        if self.in_one_call(line) {
            return Ok(());
        }
        let Some(equation) = self.normal(line) else { return Ok(()) };
        if !equation.needs.whole.is_empty()
            && let Some((next, rule, role)) = self.factorials_gone(line)
        {
            self.push(next.clone(), rule, role);
            return self.go_on(&next);
        }
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
            [only] if *only == letter => {
                let mut lines = undone(line, self.letter);
                if lines.is_empty() {
                    lines = gathered(line, self.letter);
                }
                for (next, rule) in lines {
                    self.push(next, rule, Role::Follows);
                }
                Ok(())
            }
            [only] => self.one_kernel(line, &equation.over, only),
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
        if let Some(power) = self.power_alone(line) {
            return self.rooted(line, power);
        }
        if !self.typed_product(line) {
            self.push(zero(&poly), Rule::MoveToOneSide, Role::Follows);
            self.factorised(&poly);
        }
        Ok(())
    }

    /// `(x - 1)(x + 2) = 0` as it was typed.
    fn typed_product(&mut self, line: &Line) -> bool {
        let Some((left, right)) = line.as_equation() else { return false };
        let mut parts = Vec::new();
        factors_of(left, &mut parts);
        parts.retain(|part| part.symbols().contains(self.letter));
        parts.dedup();
        let is_zero = right.as_plain_number().is_some_and(|value| value.is_zero());
        if parts.len() < 2 || !is_zero {
            return false;
        }
        let each = parts.into_iter().map(|part| Line::equation(part, Expr::int(0)));
        self.push(any_of(each.collect()), Rule::ZeroProduct, Role::Splits);
        self.solved_here(line, Rule::SolveEach);
        true
    }

    fn factorised(&mut self, poly: &Univariate) -> bool {
        let mut budget = Budget::for_verdict();
        let whole_poly = poly.to_poly(self.letter);
        let Ok(found) = irreducible_factors(&whole_poly, &mut budget) else { return false };
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
}

/// The factors of a product as it is written.
fn factors_of(expr: &Expr, found: &mut Vec<Expr>) {
    match &expr.kind {
        ExprKind::Multiply(a, b) => {
            factors_of(a, found);
            factors_of(b, found);
        }
        ExprKind::Power(base, exponent) if exponent.as_plain_number().is_some() => {
            found.push((**base).clone());
        }
        ExprKind::Negative(inside) => factors_of(inside, found),
        _ => found.push(expr.clone()),
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
