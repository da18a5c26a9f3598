//! Two equations in which each letter stands in one term only, worked on a board: `x² + y² = 10` and
//! `x² - y² = 8` are added as if `x²` and `y²` were letters, and what is left is solved for the letter inside.

use crate::budget::Budget;
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::{Normaliser, Poly, Quotient, Values};
use crate::number::{Rational, from_int};
use crate::role::Role;
use crate::rule::{Rule, Step};
use num_integer::Integer;
use num_traits::{One, Signed, Zero};

type Row = crate::solve::worked::rows::Row<2>;

/// Two equations as rows in two terms.
struct Curves {
    letters: [String; 2],
    /// The term of each letter.
    terms: [Expr; 2],
    rows: [Row; 2],
}

/// By elimination of a term. `None` for anything but two equations in two terms of one letter each, at least one of
/// them more than its letter.
#[must_use]
pub fn eliminate_terms(line: &Line) -> Option<Vec<Step>> {
    let curves = Curves::of(line)?;
    let mut steps = vec![Step { line: line.clone(), rule: Rule::Given, role: Role::Starts }];
    let mut push = |line: Line, rule: Rule| {
        if steps.last().is_none_or(|last| last.line != line) {
            steps.push(Step { line, rule, role: Role::Follows });
        }
    };
    let [first, second] = &curves.rows;
    push(curves.both(first, second), Rule::LettersLeft);
    let multiple = |at: usize| first.a[at].to_integer().lcm(&second.a[at].to_integer());
    let goes = usize::from(multiple(1) <= multiple(0));
    let common = Rational::from_integer(multiple(goes));
    let scales = [first, second].map(|row| (&common / &row.a[goes]).abs());
    let scaled = [first.map(|value| value * &scales[0]), second.map(|value| value * &scales[1])];
    if !scales.iter().all(One::is_one) {
        push(curves.both(&scaled[0], &scaled[1]), Rule::ScaleEquations);
    }
    let are_opposite = (&scaled[0].a[goes] + &scaled[1].a[goes]).is_zero();
    let single = scaled[0].plus(&from_int(if are_opposite { 1 } else { -1 }), &scaled[1]);
    let rule = if are_opposite { Rule::AddEquations } else { Rule::SubtractEquations };
    let kept = if first.size() <= second.size() { first } else { second };
    push(curves.both(&single, kept), rule);
    let stays = 1 - goes;
    let by = single.a[stays].clone();
    let known = single.map(|value| value / &by);
    if !by.is_one() {
        push(curves.both(&known, kept), Rule::DivideFirst(Expr::rational(&by)));
    }
    curves.finish(stays, &known, kept, steps)
}

impl Curves {
    fn of(line: &Line) -> Option<Self> {
        let Line::AllOf(lines) = line else { return None };
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let letters = <[String; 2]>::try_from(letters).ok()?;
        let mut terms: [Option<Quotient>; 2] = [None, None];
        let rows: Vec<Row> =
            lines.iter().map(|line| row(line, &letters, &mut terms)).collect::<Option<_>>()?;
        let rows = <[Row; 2]>::try_from(rows).ok()?;
        let [Some(first), Some(second)] = &terms else { return None };
        let terms = [first.to_expr(), second.to_expr()];
        let is_plain = terms.iter().zip(&letters).all(|(term, name)| *term == Expr::symbol(name));
        let determinant = &rows[0].a[0] * &rows[1].a[1] - &rows[0].a[1] * &rows[1].a[0];
        let is_full = rows.iter().all(|row| row.a.iter().all(|factor| !factor.is_zero()));
        (!is_plain && is_full && !determinant.is_zero()).then_some(Self { letters, terms, rows })
    }

    fn both(&self, first: &Row, second: &Row) -> Line {
        Line::AllOf(vec![first.line_in(&self.terms), second.line_in(&self.terms)])
    }

    /// Solves what is known of one term for its letter, and puts each value into the other equation.
    fn finish(
        &self,
        at: usize,
        known: &Row,
        kept: &Row,
        mut steps: Vec<Step>,
    ) -> Option<Vec<Step>> {
        let (letter, other) = (&self.letters[at], &self.letters[1 - at]);
        let (known, kept) = (known.line_in(&self.terms), kept.line_in(&self.terms));
        let values = values(&known, letter)?;
        let (mut split, mut points) = (Vec::new(), Vec::new());
        for value in &values {
            let is = Line::equation(Expr::symbol(letter), value.to_expr());
            split.push(Line::AllOf(vec![is.clone(), kept.clone()]));
            for second in self::values(&kept.with(letter, &value.to_expr()), other)? {
                let second = Line::equation(Expr::symbol(other), second.to_expr());
                let both = if at == 0 { [is.clone(), second] } else { [second, is.clone()] };
                points.push(Line::AllOf(both.to_vec()));
            }
        }
        if points.is_empty() {
            steps.push(Step {
                line: Line::NoSolution,
                rule: Rule::FindSolutions,
                role: Role::Concludes,
            });
            return Some(steps);
        }
        let any = |mut lines: Vec<Line>| match lines.len() {
            1 => lines.swap_remove(0),
            _ => Line::AnyOf(lines),
        };
        let split = any(split);
        if steps.last().is_none_or(|last| last.line != split) {
            let rule = Rule::SolveFor(Expr::symbol(letter));
            steps.push(Step { line: split, rule, role: Role::Splits });
        }
        steps.push(Step { line: any(points), rule: Rule::PutBack, role: Role::Concludes });
        Some(steps)
    }
}

/// The values of the only letter of a line, when they are finitely many and can be written.
fn values(line: &Line, letter: &str) -> Option<Vec<Quotient>> {
    match crate::solve::solutions(line, letter).ok()? {
        crate::solve::Solutions::Finite(all) => {
            let values: Vec<Quotient> = all.iter().map(|one| one.value().clone()).collect();
            (!values.iter().any(Quotient::is_written_near)).then_some(values)
        }
        _ => None,
    }
}

/// An equation as a row, with the terms it brings; `None` when a letter stands in two terms, or two in one.
fn row(line: &Line, letters: &[String; 2], terms: &mut [Option<Quotient>; 2]) -> Option<Row> {
    let (left, right) = line.as_equation()?;
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let (left, right) = (forms.build(left).ok()?, forms.build(right).ok()?);
    let difference = left.minus(&right, &mut budget).ok()?;
    let (below, factor) = difference.denominator().as_term()?;
    let below = Poly::term(below.clone(), factor.clone());
    let mut found = Row { a: [Rational::zero(), Rational::zero()], c: Rational::zero() };
    for (monomial, coefficient) in difference.numerator().terms() {
        let monic = Poly::term(monomial.clone(), Rational::one());
        let term = Quotient::new(monic, below.clone())?;
        if let Some(number) = term.as_constant() {
            found.c = -(number * coefficient);
            continue;
        }
        let at = letters.iter().position(|letter| term.mentions(letter))?;
        let is_single = !term.mentions(&letters[1 - at]) && found.a[at].is_zero();
        if !is_single || terms[at].as_ref().is_some_and(|known| *known != term) {
            return None;
        }
        found.a[at] = coefficient.clone();
        terms[at] = Some(term);
    }
    Some(found.whole())
}
