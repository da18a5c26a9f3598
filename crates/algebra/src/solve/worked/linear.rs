//! Linear equations in one unknown, solved line by line as on a board.
//!
//! Source of the method: L. Euler, *Elements of Algebra* (Hewlett's translation), part I, section IV,
//! chapters II and III: undo what is done to the unknown, doing the same to both sides.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Normaliser, Univariate, Values};
use crate::number::Integer;
use crate::number::Rational;
use crate::role::Role;
use crate::rule::{Rule, Step, Unsolved};
use crate::solve::worked::steps::Style;
use num_integer::Integer as _;
use num_traits::{One, Signed, Zero};

/// A term of a side: a coefficient, with the unknown or without.
#[derive(Debug, Clone, PartialEq)]
struct Term {
    coefficient: Rational,
    with_unknown: bool,
}

struct Board<'a> {
    letter: &'a str,
    style: Style,
    steps: Vec<Step>,
}

/// Solves a linear equation in `letter` by doing the same to both sides.
///
/// # Errors
/// [`Unsolved::NotThisKind`] when it is no linear equation in that letter alone.
pub fn solve_linear(line: &Line, letter: &str) -> Result<Vec<Step>, Unsolved> {
    let (left, right) = line.as_equation().ok_or(Unsolved::NotThisKind)?;
    let mut left_terms = terms(left, letter)?;
    let mut right_terms = terms(right, letter)?;
    let mut board = Board { letter, style: Style::of(line), steps: Vec::new() };
    board.push(line.clone(), Rule::Given, Role::Starts);

    let clears = [left, right].iter().any(|side| has_fraction_with(side, letter));
    if clears {
        let all = left_terms.iter().chain(&right_terms);
        let lcd = all.fold(Integer::one(), |lcd, term| lcd.lcm(term.coefficient.denom()));
        if !lcd.is_one() {
            let factor = Rational::from_integer(lcd);
            for term in left_terms.iter_mut().chain(&mut right_terms) {
                term.coefficient = &term.coefficient * &factor;
            }
            let rule = Rule::ClearFractions(Expr::rational(&factor));
            board.equation(&left_terms, &right_terms, rule);
        }
    }
    let expanded = Line::equation(board.side(&left_terms), board.side(&right_terms));
    let has_brackets = [left, right].iter().any(|side| has_bracket(side));
    if has_brackets && board.last() != &expanded {
        board.push(expanded, Rule::Expand, Role::Follows);
    }
    let (mut l, mut r) = (collected(&left_terms), collected(&right_terms));
    // Only where terms really come together: writing `6 - 2x` for `-2x + 6` is no step of its own.
    if shrinks(&left_terms, &l) || shrinks(&right_terms, &r) {
        let line = board.line(&l, &r);
        board.push(line, Rule::Collect, Role::Follows);
    }

    // The unknown goes to the side where there is more of it, so that its coefficient stays positive.
    if !l.0.is_zero() && !r.0.is_zero() {
        let to_left = l.0 >= r.0;
        let moved = if to_left { r.0.clone() } else { l.0.clone() };
        (l.0, r.0) = (&l.0 - &moved, &r.0 - &moved);
        let rule = board.take_away(board.term(&moved.abs(), true), moved.is_negative());
        let line = board.line(&l, &r);
        board.push(line, rule, Role::Follows);
    }
    if l.0.is_zero() && r.0.is_zero() {
        let (line, rule) = if l.1 == r.1 {
            (Line::AllReals, Rule::AlwaysTrue)
        } else {
            (Line::NoSolution, Rule::NeverTrue)
        };
        board.push(line, rule, Role::Concludes);
        return Ok(board.steps);
    }
    let on_left = !l.0.is_zero();
    let (side, other) = if on_left { (&mut l, &mut r) } else { (&mut r, &mut l) };
    if !side.1.is_zero() {
        let moved = side.1.clone();
        (side.1, other.1) = (Rational::zero(), &other.1 - &moved);
        let rule = board.take_away(board.style.number(&moved.abs()), moved.is_negative());
        let line = board.line(&l, &r);
        board.push(line, rule, Role::Follows);
    }
    let (side, other) = if on_left { (&mut l, &mut r) } else { (&mut r, &mut l) };
    if !side.0.is_one() {
        let factor = side.0.clone();
        (side.0, other.1) = (Rational::one(), &other.1 / &factor);
        let rule = if factor.numer().abs().is_one() && !factor.denom().is_one() {
            Rule::MultiplyBoth(Expr::rational(&factor.recip()))
        } else {
            Rule::DivideBoth(board.style.number(&factor))
        };
        let line = board.line(&l, &r);
        board.push(line, rule, Role::Follows);
    }
    if !on_left {
        let line = board.line(&r, &l);
        board.push(line, Rule::SwapSides, Role::Follows);
    }
    if let Some(last) = board.steps.last_mut()
        && last.role == Role::Follows
    {
        last.role = Role::Concludes;
    }
    Ok(board.steps)
}

impl Board<'_> {
    fn push(&mut self, line: Line, rule: Rule, role: Role) {
        self.steps.push(Step { line, rule, role });
    }

    fn last(&self) -> &Line {
        &self.steps[self.steps.len() - 1].line
    }

    fn equation(&mut self, left: &[Term], right: &[Term], rule: Rule) {
        let line = Line::equation(self.side(left), self.side(right));
        if self.last() != &line {
            self.push(line, rule, Role::Follows);
        }
    }

    fn take_away(&self, size: Expr, was_negative: bool) -> Rule {
        if was_negative { Rule::AddToBoth(size) } else { Rule::SubtractFromBoth(size) }
    }

    /// `a·x`, with `1x` written as `x` and a half of x as `x/2`. The coefficient is not negative.
    fn term(&self, coefficient: &Rational, with_unknown: bool) -> Expr {
        if !with_unknown {
            return self.style.number(coefficient);
        }
        let letter = Expr::symbol(self.letter);
        if coefficient.is_one() {
            return letter;
        }
        let is_fraction = !coefficient.is_integer() && self.style == Style::Fractions;
        if is_fraction && coefficient.numer().is_one() {
            let below = Rational::from_integer(coefficient.denom().clone());
            return letter.over(Expr::rational(&below));
        }
        self.style.number(coefficient).times(letter)
    }

    fn side(&self, terms: &[Term]) -> Expr {
        let mut sum: Option<Expr> = None;
        for term in terms {
            if term.coefficient.is_zero() && terms.len() > 1 {
                continue;
            }
            let shown = self.term(&term.coefficient.abs(), term.with_unknown);
            let shown = if term.coefficient.is_zero() { Expr::int(0) } else { shown };
            sum = Some(match (sum, term.coefficient.is_negative()) {
                (None, false) => shown,
                (None, true) => shown.negative(),
                (Some(before), false) => before.plus(shown),
                (Some(before), true) => before.minus(shown),
            });
        }
        sum.unwrap_or_else(|| Expr::int(0))
    }

    /// `a x + b`, leaving out what is zero.
    fn pair(&self, (a, b): &(Rational, Rational)) -> Expr {
        let mut terms = Vec::new();
        if !a.is_zero() {
            terms.push(Term { coefficient: a.clone(), with_unknown: true });
        }
        if !b.is_zero() || a.is_zero() {
            terms.push(Term { coefficient: b.clone(), with_unknown: false });
        }
        // A sum is easier to read when it does not begin with a minus: 12 - 2x.
        if terms.len() == 2 && a.is_negative() && b.is_positive() {
            terms.swap(0, 1);
        }
        self.side(&terms)
    }

    fn line(&self, l: &(Rational, Rational), r: &(Rational, Rational)) -> Line {
        Line::equation(self.pair(l), self.pair(r))
    }
}

/// Whether a side has fewer terms once they are collected.
fn shrinks(terms: &[Term], (a, b): &(Rational, Rational)) -> bool {
    let written = terms.iter().filter(|term| !term.coefficient.is_zero()).count();
    let left = [a, b].into_iter().filter(|part| !part.is_zero()).count();
    written > left.max(1)
}

fn collected(terms: &[Term]) -> (Rational, Rational) {
    let mut sums = (Rational::zero(), Rational::zero());
    for term in terms {
        let slot = if term.with_unknown { &mut sums.0 } else { &mut sums.1 };
        *slot += &term.coefficient;
    }
    sums
}

/// `(a, b)` for a side that comes out as `a·letter + b`; `None` when it is not linear in that letter.
#[must_use]
pub fn linear_coefficients(side: &Expr, letter: &str) -> Option<(Rational, Rational)> {
    terms(side, letter).ok().map(|terms| collected(&terms))
}

/// The terms of a side with its brackets multiplied out, in the order in which they stand.
fn terms(expr: &Expr, letter: &str) -> Result<Vec<Term>, Unsolved> {
    let scaled = |terms: Vec<Term>, factor: &Rational| -> Vec<Term> {
        let scale = |t: Term| Term { coefficient: t.coefficient * factor, ..t };
        terms.into_iter().map(scale).collect()
    };
    match &expr.kind {
        ExprKind::Add(a, b) => {
            let mut found = terms(a, letter)?;
            found.extend(terms(b, letter)?);
            Ok(found)
        }
        ExprKind::Subtract(a, b) => {
            let mut found = terms(a, letter)?;
            found.extend(scaled(terms(b, letter)?, &-Rational::one()));
            Ok(found)
        }
        ExprKind::Negative(a) => Ok(scaled(terms(a, letter)?, &-Rational::one())),
        ExprKind::Multiply(a, b) => match (number(a), number(b)) {
            (Some(factor), _) => Ok(scaled(terms(b, letter)?, &factor)),
            (_, Some(factor)) => Ok(scaled(terms(a, letter)?, &factor)),
            _ => leaf(expr, letter),
        },
        ExprKind::Divide(a, b) => match number(b) {
            Some(factor) if !factor.is_zero() => Ok(scaled(terms(a, letter)?, &factor.recip())),
            _ => Err(Unsolved::NotThisKind),
        },
        _ => leaf(expr, letter),
    }
}

/// A part that is worked out as a whole: a number, or a product that comes out linear.
fn leaf(expr: &Expr, letter: &str) -> Result<Vec<Term>, Unsolved> {
    let none = Values::new();
    let mut budget = Budget::for_verdict();
    let mut forms = Normaliser::new(&none, &mut budget);
    let value = forms.build(expr).map_err(|_| Unsolved::NotThisKind)?;
    if !forms.needs.not_zero.is_empty() || value.denominator().as_constant().is_none() {
        return Err(Unsolved::NotThisKind);
    }
    let poly = Univariate::from_poly(value.numerator(), letter).ok_or(Unsolved::NotThisKind)?;
    let term = |coefficient: &Rational, with_unknown| Term {
        coefficient: coefficient.clone(),
        with_unknown,
    };
    match poly.coefficients() {
        [] => Ok(vec![term(&Rational::zero(), false)]),
        [b] => Ok(vec![term(b, false)]),
        [b, a] if b.is_zero() => Ok(vec![term(a, true)]),
        [b, a] => Ok(vec![term(a, true), term(b, false)]),
        _ => Err(Unsolved::NotThisKind),
    }
}

/// The value of a part without letters.
fn number(expr: &Expr) -> Option<Rational> {
    if !expr.symbols().is_empty() {
        return None;
    }
    let none = Values::new();
    let mut budget = Budget::for_verdict();
    Normaliser::new(&none, &mut budget).build(expr).ok()?.as_constant()
}

/// Whether a fraction stands on this side that is worth clearing: one with the unknown in it, or any
/// fraction beside the unknown.
fn has_fraction_with(expr: &Expr, letter: &str) -> bool {
    expr.any(&mut |part| match &part.kind {
        ExprKind::Divide(a, _) => a.symbols().contains(letter),
        ExprKind::Multiply(a, b) => {
            let fraction = |e: &Expr| number(e).is_some_and(|v| !v.is_integer());
            let written = |e: &Expr| e.any(&mut |p| matches!(p.kind, ExprKind::Divide(..)));
            (fraction(a) && written(a) && b.symbols().contains(letter))
                || (fraction(b) && written(b) && a.symbols().contains(letter))
        }
        _ => false,
    })
}

fn has_bracket(expr: &Expr) -> bool {
    let is_sum = |e: &Expr| matches!(e.kind, ExprKind::Add(..) | ExprKind::Subtract(..));
    expr.any(&mut |part| match &part.kind {
        ExprKind::Multiply(a, b) => is_sum(a) || is_sum(b),
        ExprKind::Divide(a, _) => is_sum(a),
        ExprKind::Negative(a) => is_sum(a),
        ExprKind::Add(_, b) | ExprKind::Subtract(_, b) => is_sum(b),
        _ => false,
    })
}

/// Solves an equation in which the unknown stands once, by undoing what is done to it, last first.
///
/// # Errors
/// [`Unsolved::NotThisMethod`] when the unknown stands more than once.
pub fn solve_undoing(line: &Line, letter: &str) -> Result<Vec<Step>, Unsolved> {
    let (left, right) = line.as_equation().ok_or(Unsolved::NotThisKind)?;
    let mut board = Board { letter, style: Style::of(line), steps: Vec::new() };
    board.push(line.clone(), Rule::Given, Role::Starts);
    let mut count = 0;
    for side in [left, right] {
        side.any(&mut |part| {
            count += usize::from(part.kind == ExprKind::Symbol(letter.to_owned()));
            false
        });
    }
    let on_left = left.symbols().contains(letter);
    if count != 1 {
        return Err(Unsolved::NotThisMethod);
    }
    let (mut side, other) = if on_left { (left.clone(), right) } else { (right.clone(), left) };
    let mut value = number(other).ok_or(Unsolved::NotThisKind)?;
    while side != Expr::symbol(letter) {
        let known = |e: &Expr| number(e).ok_or(Unsolved::NotThisKind);
        let (next, rule) = match side.kind.clone() {
            ExprKind::Add(a, b) => {
                let (kept, moved) = if a.symbols().is_empty() { (b, a) } else { (a, b) };
                value -= known(&moved)?;
                (*kept, Rule::SubtractFromBoth(*moved))
            }
            ExprKind::Subtract(a, b) if b.symbols().is_empty() => {
                value += known(&b)?;
                (*a, Rule::AddToBoth(*b))
            }
            ExprKind::Subtract(a, b) => {
                value -= known(&a)?;
                (b.negative(), Rule::SubtractFromBoth(*a))
            }
            ExprKind::Negative(a) => {
                value = -value;
                (*a, Rule::MultiplyBoth(Expr::int(-1)))
            }
            ExprKind::Multiply(a, b) => {
                let (kept, factor) = if a.symbols().is_empty() { (b, a) } else { (a, b) };
                let by = known(&factor)?;
                if by.is_zero() {
                    return Err(Unsolved::NotThisMethod);
                }
                value /= by;
                (*kept, Rule::DivideBoth(*factor))
            }
            ExprKind::Divide(a, b) if b.symbols().is_empty() => {
                value *= known(&b)?;
                (*a, Rule::MultiplyBoth(*b))
            }
            _ => return Err(Unsolved::NotThisMethod),
        };
        side = next;
        let shown = board.style.number(&value);
        let line = if on_left {
            Line::equation(side.clone(), shown)
        } else {
            Line::equation(shown, side.clone())
        };
        board.push(line, rule, Role::Follows);
    }
    if !on_left {
        let line = Line::equation(side, board.style.number(&value));
        board.push(line, Rule::SwapSides, Role::Follows);
    }
    match board.steps.last_mut() {
        Some(last) if last.role == Role::Follows => last.role = Role::Concludes,
        _ => return Err(Unsolved::NotThisMethod),
    }
    Ok(board.steps)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;

    type Solver = fn(&Line, &str) -> Result<Vec<Step>, Unsolved>;

    #[track_caller]
    fn board(solver: Solver, problem: &str) -> Vec<String> {
        let line = crate::read_line(problem).expect("readable").line;
        let steps = solver(&line, "x").expect("linear");
        for pair in steps.windows(2) {
            let verdict = crate::compare(&pair[0].line, &pair[1].line, None);
            let holds = matches!(verdict, crate::StepVerdict::Equivalent { .. });
            assert!(holds, "{problem}: {:?} to {:?}", pair[0].line, pair[1].line);
        }
        steps[1..].iter().map(|step| text_line(&step.line)).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn a_linear_equation_is_solved_as_on_a_board() {
        for (problem, lines) in [
            ("3(2x - 5) = 27",       &["6x - 15 = 27", "6x = 42", "x = 7"][..]),
            ("5x + 3 = 2x + 12",     &["3x + 3 = 12", "3x = 9", "x = 3"]),
            ("2x + 9 = 5x",          &["9 = 3x", "3 = x", "x = 3"]),
            ("x/2 + x/3 = 5",        &["3x + 2x = 30", "5x = 30", "x = 6"]),
            ("(x + 1)/2 = 3",        &["x + 1 = 6", "x = 5"]),
            ("7 - 2x = 1",           &["-2x = -6", "x = 3"]),
            ("0.5x + 1.2 = 3.7",     &["0.5x = 2.5", "x = 5"]),
            ("2(x + 1) = 2x + 5",    &["2x + 2 = 2x + 5", "2 = 5", "no solution"]),
            ("2(x + 1) = 2x + 2",    &["2x + 2 = 2x + 2", "2 = 2", "all real numbers"]),
            ("3x - 4 + 2x = 11",     &["5x - 4 = 11", "5x = 15", "x = 3"]),
        ] { assert_eq!(board(solve_linear, problem), lines, "{problem}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn undoing_takes_the_last_operation_first() {
        for (problem, lines) in [
            ("3(2x - 5) = 27", &["2x - 5 = 9", "2x = 14", "x = 7"][..]),
            ("x/4 + 3 = 5",    &["x/4 = 2", "x = 8"]),
            ("10 - x = 4",     &["-x = -6", "x = 6"]),
        ] { assert_eq!(board(solve_undoing, problem), lines, "{problem}"); }
    }

    #[test]
    fn other_equations_are_left_alone() {
        for problem in ["x^2 = 4", "x + y = 3", "1/x = 2", "x + 1", "x < 3"] {
            let line = crate::read_line(problem).expect("readable").line;
            assert_eq!(solve_linear(&line, "x"), Err(Unsolved::NotThisKind), "{problem}");
        }
    }
}
