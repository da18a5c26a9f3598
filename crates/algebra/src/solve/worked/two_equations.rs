//! Two equations with two letters, worked on a board: by elimination or by substitution. Every line is the whole
//! system again, so each is proved equivalent to the one above.

use crate::budget::Budget;
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::{Atom, Poly, Quotient, Values};
use crate::number::{Rational, from_int};
use crate::role::Role;
use crate::rule::{Rule, Step};
use num_integer::Integer;
use num_traits::{One, Signed, Zero};

use crate::solve::sets::combined;

type Row = crate::solve::worked::rows::Row<2>;

/// A system of two equations in two letters.
struct Pair<'a> {
    letters: [String; 2],
    lines: [&'a Line; 2],
}

impl<'a> Pair<'a> {
    fn of(line: &'a Line) -> Option<Self> {
        let Line::AllOf(lines) = line else { return None };
        let [first, second] = &lines[..] else { return None };
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let letters = <[String; 2]>::try_from(letters).ok()?;
        Some(Self { letters, lines: [first, second] })
    }

    fn row(&self, line: &Line) -> Option<Row> {
        Row::of(line, &self.letters)
    }

    /// The equation that says what a letter equals, and that letter: the last one, so that a curve is put into.
    fn written_alone(&self, rows: &[Option<Row>; 2]) -> Option<(usize, usize)> {
        let alone = |from: usize| {
            let (left, right) = self.lines[from].as_equation()?;
            let at = self.letters.iter().position(|letter| *left == Expr::symbol(letter))?;
            (!right.symbols().contains(&self.letters[at])).then_some(at)
        };
        [1, 0]
            .into_iter()
            .find_map(|from| Some((from, alone(from).filter(|_| rows[from].is_some())?)))
    }

    /// An equation with a letter that can be divided out, the letter, and its value: `y = 6/x` of `xy = 6`.
    fn divided(&self) -> Option<(usize, usize, Expr)> {
        let mut budget = Budget::for_verdict();
        [0, 1].into_iter().zip(self.lines).find_map(|(from, line)| {
            let (polys, needs) = combined::polynomials(std::slice::from_ref(line), &mut budget)?;
            [1, 0].into_iter().find_map(|at| {
                let parts = polys[0].by_powers_of(&Atom::symbol(&self.letters[at]));
                let [rest, factor] = &parts[..] else { return None };
                let is_alone = !rest.mentions(&self.letters[at]) && factor.len() == 1;
                let value = Quotient::new(rest.negated(), factor.clone())?;
                (needs.is_empty() && is_alone).then(|| (from, at, value.to_expr()))
            })
        })
    }

    fn letter(&self, at: usize) -> Expr {
        Expr::symbol(&self.letters[at])
    }

    fn is(&self, at: usize, value: &Rational) -> Line {
        Line::equation(self.letter(at), Expr::rational(value))
    }

    fn line(&self, row: &Row) -> Line {
        row.line(&self.letters)
    }

    fn both(&self, first: Line, second: Line) -> Line {
        Line::AllOf(vec![first, second])
    }
}

fn step(line: Line, rule: Rule, role: Role) -> Step {
    Step { line, rule, role }
}

/// By elimination: the equations are scaled until one letter has opposite factors, and added. `None` for anything
/// but two linear equations with one solution.
#[must_use]
pub fn eliminate(line: &Line) -> Option<Vec<Step>> {
    let pair = Pair::of(line)?;
    let rows = [pair.row(pair.lines[0])?, pair.row(pair.lines[1])?];
    let determinant = &rows[0].a[0] * &rows[1].a[1] - &rows[0].a[1] * &rows[1].a[0];
    if determinant.is_zero() || rows.iter().any(|row| row.a.iter().any(Zero::is_zero)) {
        return None;
    }
    let mut steps = vec![step(line.clone(), Rule::Given, Role::Starts)];
    let mut push = |line: Line, rule: Rule| {
        if steps.last().is_none_or(|last| last.line != line) {
            steps.push(step(line, rule, Role::Follows));
        }
    };
    push(pair.both(pair.line(&rows[0]), pair.line(&rows[1])), Rule::LettersLeft);
    // The letter whose factors need the smaller multiples goes.
    let multiple = |at: usize| rows[0].a[at].to_integer().lcm(&rows[1].a[at].to_integer());
    let goes = usize::from(multiple(1) <= multiple(0));
    let common = Rational::from_integer(multiple(goes));
    let scales = [0, 1].map(|at| (&common / &rows[at].a[goes]).abs());
    let scaled = [0, 1].map(|at| rows[at].map(|value| value * &scales[at]));
    if !scales.iter().all(One::is_one) {
        push(pair.both(pair.line(&scaled[0]), pair.line(&scaled[1])), Rule::ScaleEquations);
    }
    let opposite = (&scaled[0].a[goes] + &scaled[1].a[goes]).is_zero();
    let single = scaled[0].plus(&from_int(if opposite { 1 } else { -1 }), &scaled[1]);
    let stays = 1 - goes;
    let rule = if opposite { Rule::AddEquations } else { Rule::SubtractEquations };
    // The simpler of the two equations is kept beside it.
    let kept = if rows[0].size() <= rows[1].size() { &rows[0] } else { &rows[1] };
    let kept_line = pair.line(kept);
    push(pair.both(pair.line(&single), kept_line.clone()), rule);
    let value = &single.c / &single.a[stays];
    let known = pair.is(stays, &value);
    if !single.a[stays].is_one() {
        let by = Expr::rational(&single.a[stays]);
        push(pair.both(known.clone(), kept_line.clone()), Rule::DivideFirst(by));
    }
    finish(&pair, stays, &value, &kept_line, &mut steps)?;
    Some(steps)
}

/// Puts a known value into the other equation and solves that.
fn finish(
    pair: &Pair<'_>,
    known: usize,
    value: &Rational,
    other: &Line,
    steps: &mut Vec<Step>,
) -> Option<()> {
    let letter = pair.letter(known);
    let put = other.with(&pair.letters[known], &Expr::rational(value));
    let first = pair.is(known, value);
    let rule = Rule::ReplaceLetter(letter, Expr::rational(value));
    let line = pair.both(first.clone(), put.clone());
    if steps.last().is_none_or(|last| last.line != line) {
        steps.push(step(line, rule, Role::Follows));
    }
    let row = pair.row(&put)?;
    let last = &row.c / &row.a[1 - known];
    // The letters in the order of the alphabet.
    let second = pair.is(1 - known, &last);
    let answer = if known == 0 { pair.both(first, second) } else { pair.both(second, first) };
    conclude(answer, Rule::SolveFor(pair.letter(1 - known)), steps);
    Some(())
}

/// By substitution: one letter is isolated and put into the other equation. `None` for anything but two linear
/// equations with one solution, and two equations of which one gives a letter by itself, or divided out.
#[must_use]
pub fn substitute(line: &Line) -> Option<Vec<Step>> {
    let pair = Pair::of(line)?;
    let rows = pair.lines.map(|line| pair.row(line));
    let straight = pair.written_alone(&rows).or_else(|| isolated(&rows));
    let (from, at, value) = match straight {
        Some((from, at)) => (from, at, other_side(&pair, rows[from].as_ref()?, at)),
        None => pair.divided()?,
    };
    let letter = pair.letter(at);
    let solved = Line::equation(letter.clone(), value.clone());
    let mut steps = vec![step(line.clone(), Rule::Given, Role::Starts)];
    let mut push = |line: Line, rule: Rule| {
        if steps.last().is_none_or(|last| last.line != line) {
            steps.push(step(line, rule, Role::Follows));
        }
    };
    let other = pair.lines[1 - from].clone();
    // Both lines keep their places until they are solved.
    let placed = |solved: Line, other: Line| {
        if from == 0 { pair.both(solved, other) } else { pair.both(other, solved) }
    };
    push(placed(solved.clone(), other.clone()), Rule::SolveFor(letter.clone()));
    let put = other.with(&pair.letters[at], &value);
    push(placed(solved.clone(), put.clone()), Rule::ReplaceLetter(letter, value.clone()));
    if rows[1 - from].is_none() || rows[from].is_none() {
        return curve(&pair, at, &value, &put, placed, steps);
    }
    let single = pair.row(&put)?;
    if single.a[1 - at].is_zero() {
        return None;
    }
    let found = &single.c / &single.a[1 - at];
    let known = pair.is(1 - at, &found);
    push(placed(solved.clone(), known.clone()), Rule::SolveFor(pair.letter(1 - at)));
    let last = solved.with(&pair.letters[1 - at], &Expr::rational(&found));
    let rule = Rule::ReplaceLetter(pair.letter(1 - at), Expr::rational(&found));
    push(placed(last.clone(), known.clone()), rule);
    let value = {
        let row = pair.row(&last)?;
        &row.c / &row.a[at]
    };
    let mut answer = [pair.is(0, &value), pair.is(1, &found)];
    if at == 1 {
        answer = [pair.is(0, &found), pair.is(1, &value)];
    }
    conclude(Line::AllOf(answer.to_vec()), Rule::Evaluate, &mut steps);
    Some(steps)
}

/// The answer, where it does not stand there already.
fn conclude(answer: Line, rule: Rule, steps: &mut Vec<Step>) {
    match steps.last_mut() {
        Some(last) if last.line == answer => last.role = Role::Concludes,
        _ => steps.push(step(answer, rule, Role::Concludes)),
    }
}

/// The equation and the letter that are easiest to isolate: a factor of one, else any.
fn isolated(rows: &[Option<Row>; 2]) -> Option<(usize, usize)> {
    let mut best: Option<(usize, usize, usize)> = None;
    for (from, row) in rows.iter().enumerate() {
        let Some(row) = row else { continue };
        for at in [0, 1] {
            if row.a[at].is_zero() || row.a[1 - at].is_zero() && row.c.is_zero() {
                continue;
            }
            let cost =
                if row.a[at].is_one() { 0 } else { 1 + usize::from(!row.a[at].abs().is_one()) };
            if best.is_none_or(|(least, ..)| cost < least) {
                best = Some((cost, from, at));
            }
        }
    }
    best.map(|(_, from, at)| (from, at))
}

/// What the letter `at` equals by its row.
fn other_side(pair: &Pair<'_>, row: &Row, at: usize) -> Expr {
    let by = row.a[at].recip();
    let rest = Quotient::whole(Poly::atom(Atom::symbol(&pair.letters[1 - at])));
    let factor = Quotient::constant(-(&row.a[1 - at] * &by));
    let constant = Quotient::constant(&row.c * &by);
    let budget = &mut Budget::for_verdict();
    rest.times(&factor, budget)
        .and_then(|term| term.plus(&constant, budget))
        .map_or_else(|_| Expr::rational(&row.c), |sum| sum.to_expr())
}

/// A straight line and a curve: the equation in one letter is solved, and each solution put back.
fn curve(
    pair: &Pair<'_>,
    at: usize,
    value: &Expr,
    put: &Line,
    placed: impl Fn(Line, Line) -> Line,
    mut steps: Vec<Step>,
) -> Option<Vec<Step>> {
    let other = 1 - at;
    let found = crate::solve::solutions(put, &pair.letters[other]).ok()?;
    let crate::solve::Solutions::Finite(all) = found else { return None };
    if all.is_empty() {
        steps.push(step(Line::NoSolution, Rule::FindSolutions, Role::Concludes));
        return Some(steps);
    }
    let (mut split, mut points) = (Vec::new(), Vec::new());
    for solution in &all {
        let x = solution.value();
        let known = Line::equation(pair.letter(other), x.to_expr());
        split.push(placed(Line::equation(pair.letter(at), value.clone()), known.clone()));
        let at_x = Values::from([(pair.letters[other].clone(), x.clone())]);
        let y = crate::equal::value_at(value, &at_x, &mut Budget::for_verdict()).ok()?;
        let second = Line::equation(pair.letter(at), y.to_expr());
        points.push(if at == 0 { pair.both(second, known) } else { pair.both(known, second) });
    }
    let any =
        |mut lines: Vec<Line>| if lines.len() == 1 { lines.remove(0) } else { Line::AnyOf(lines) };
    steps.push(step(any(split), Rule::SolveFor(pair.letter(other)), Role::Splits));
    steps.push(step(any(points), Rule::PutBack, Role::Concludes));
    Some(steps)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;
    use crate::{StepVerdict, compare, read_line};

    #[track_caller]
    fn lines(found: Option<Vec<Step>>) -> Vec<String> {
        let steps = found.expect("a working");
        for pair in steps.windows(2) {
            let verdict = compare(&pair[0].line, &pair[1].line, None);
            let (a, b) = (text_line(&pair[0].line), text_line(&pair[1].line));
            assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{a} -> {b}: {verdict:?}");
        }
        steps.iter().skip(1).map(|step| text_line(&step.line)).collect()
    }

    fn read(text: &str) -> Line {
        read_line(text).expect(text).line
    }

    #[test]
    fn two_equations_are_added() {
        assert_eq!(
            lines(eliminate(&read("x + y = 5; x - y = 1"))),
            ["2x = 6; x - y = 1", "x = 3; x - y = 1", "x = 3; 3 - y = 1", "x = 3; y = 2"]
        );
        assert_eq!(
            lines(eliminate(&read("2x + 3y = 12; 3x - 2y = 5"))),
            [
                "4x + 6y = 24; 9x - 6y = 15",
                "13x = 39; 3x - 2y = 5",
                "x = 3; 3x - 2y = 5",
                "x = 3; 3 × 3 - 2y = 5",
                "x = 3; y = 2",
            ]
        );
        assert_eq!(
            lines(eliminate(&read("y = 2x - 1; 3x + y = 9"))),
            [
                "2x - y = 1; 3x + y = 9",
                "5x = 10; 2x - y = 1",
                "x = 2; 2x - y = 1",
                "x = 2; 2 × 2 - y = 1",
                "x = 2; y = 3",
            ]
        );
    }

    #[test]
    fn one_letter_is_put_in_for() {
        assert_eq!(
            lines(substitute(&read("y = 2x - 1; 3x + 2y = 12"))),
            [
                "y = 2x - 1; 3x + 2(2x - 1) = 12",
                "y = 2x - 1; x = 2",
                "y = 2 × 2 - 1; x = 2",
                "x = 2; y = 3",
            ]
        );
        assert_eq!(
            lines(substitute(&read("y = x^2; y = x + 2"))),
            [
                "x + 2 = x^2; y = x + 2",
                "x = -1; y = x + 2 or x = 2; y = x + 2",
                "x = -1; y = 1 or x = 2; y = 4",
            ]
        );
    }

    #[test]
    fn what_is_no_such_system_has_no_such_working() {
        for text in
            ["x + y = 2; 2x + 2y = 4", "x = 3; y = 2; z = 1", "x + y = 2", "xy = 6; x^2 = y"]
        {
            assert!(eliminate(&read(text)).is_none(), "{text}");
        }
        assert!(substitute(&read("x + y = 2; x + y = 3")).is_none());
    }
}
