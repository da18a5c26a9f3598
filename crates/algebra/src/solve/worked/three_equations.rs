//! Three equations with three letters, worked on a board by elimination: one letter goes from two of them, a second
//! from one, and the values are put back. Every line is the whole system again.

use crate::expr::Expr;
use crate::line::Line;
use crate::number::Rational;
use crate::role::Role;
use crate::rule::{Rule, Step};
use num_traits::{Signed, Zero};

type Row = crate::solve::worked::rows::Row<3>;

struct System {
    letters: [String; 3],
}

/// By elimination. `None` for anything but three linear equations in three letters with one solution.
#[must_use]
pub fn eliminate_three(line: &Line) -> Option<Vec<Step>> {
    let Line::AllOf(lines) = line else { return None };
    let letters = line.symbols().into_iter().collect::<Vec<_>>().try_into().ok()?;
    let system = System { letters };
    let rows: Option<Vec<Row>> = lines.iter().map(|line| Row::of(line, &system.letters)).collect();
    let mut rows: [Row; 3] = rows?.try_into().ok()?;
    if determinant(&rows).is_zero() {
        return None;
    }
    let mut board = Board {
        system: &system,
        steps: vec![Step { line: line.clone(), rule: Rule::Given, role: Role::Starts }],
    };
    board.push(&rows, Rule::LettersLeft);
    // The first equation keeps the letter whose factors are the smallest.
    let cost = |at: usize| rows.iter().map(|row| row.a[at].abs()).sum::<Rational>();
    let first = (0..3).min_by(|a, b| cost(*a).cmp(&cost(*b)))?;
    let keeper = (0..3)
        .filter(|at| !rows[*at].a[first].is_zero())
        .min_by_key(|at| (rows[*at].a[first].abs(), *at))?;
    rows.swap(0, keeper);
    board.push(&rows, Rule::Reorder);
    for at in 1..3 {
        rows[at] = without(&rows[at], first, &rows[0]);
    }
    board.push(&rows, Rule::Eliminate(system.letter(first)));
    let mut others = (0..3).filter(|at| *at != first);
    let (mut second, mut third) = (others.next()?, others.next()?);
    if rows[1].a[second].is_zero() || rows[2].a[third].is_zero() {
        if rows[1].a[second].is_zero() && rows[1].a[third].is_zero() {
            return None;
        }
        if rows[1].a[second].is_zero() {
            rows.swap(1, 2);
            board.push(&rows, Rule::Reorder);
        }
        if rows[1].a[second].is_zero() {
            (second, third) = (third, second);
        }
    }
    if !rows[2].a[second].is_zero() {
        rows[2] = without(&rows[2], second, &rows[1]);
        board.push(&rows, Rule::Eliminate(system.letter(second)));
    }
    rows[2] = divided(&rows[2], third);
    board.push(&rows, Rule::SolveFor(system.letter(third)));
    rows[1] = divided(&with(&rows[1], third, &rows[2].c), second);
    board.push(&rows, Rule::PutIn(system.letter(third)));
    let put = with(&with(&rows[0], third, &rows[2].c), second, &rows[1].c);
    rows[0] = divided(&put, first);
    // The letters in the order of the alphabet.
    let mut answer = rows.clone();
    for (at, row) in [(first, 0), (second, 1), (third, 2)] {
        answer[at] = rows[row].clone();
    }
    board.push(&answer, Rule::PutBoth(system.letter(second), system.letter(third)));
    board.steps.last_mut()?.role = Role::Concludes;
    Some(board.steps)
}

struct Board<'a> {
    system: &'a System,
    steps: Vec<Step>,
}

impl Board<'_> {
    fn push(&mut self, rows: &[Row; 3], rule: Rule) {
        let line = Line::AllOf(rows.iter().map(|row| row.line(&self.system.letters)).collect());
        if self.steps.last().is_none_or(|last| last.line != line) {
            self.steps.push(Step { line, rule, role: Role::Follows });
        }
    }
}

impl System {
    fn letter(&self, at: usize) -> Expr {
        Expr::symbol(&self.letters[at])
    }
}

/// The row without the letter `at`, by a multiple of another that has it.
fn without(row: &Row, at: usize, other: &Row) -> Row {
    let left = row.plus(&-(&row.a[at] / &other.a[at]), other).whole();
    let negative = left.a.iter().find(|a| !a.is_zero()).is_some_and(Signed::is_negative);
    if negative { left.map(|value| -value) } else { left }
}

/// The row with the value of the letter `at` put in.
fn with(row: &Row, at: usize, value: &Rational) -> Row {
    let mut row = row.clone();
    row.c -= &row.a[at] * value;
    row.a[at] = Rational::zero();
    row
}

/// The row divided by its factor of the letter `at`.
fn divided(row: &Row, at: usize) -> Row {
    row.map(|value| value / &row.a[at])
}

fn determinant(rows: &[Row; 3]) -> Rational {
    let a = |row: usize, column: usize| &rows[row].a[column % 3];
    (0..3).map(|c| a(0, c) * (a(1, c + 1) * a(2, c + 2) - a(1, c + 2) * a(2, c + 1))).sum()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;
    use crate::{StepVerdict, compare, read_line};

    fn lines(text: &str) -> Option<Vec<String>> {
        let steps = eliminate_three(&read_line(text).expect(text).line)?;
        for pair in steps.windows(2) {
            let verdict = compare(&pair[0].line, &pair[1].line, None);
            let (a, b) = (text_line(&pair[0].line), text_line(&pair[1].line));
            assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{a} -> {b}: {verdict:?}");
        }
        Some(steps.iter().skip(1).map(|step| text_line(&step.line)).collect())
    }

    #[test]
    fn one_letter_goes_after_the_other() {
        assert_eq!(
            lines("x + y + z = 6; x - y + z = 2; 2x + y - z = 1").expect("a working"),
            [
                "x + y + z = 6; x + z = 4; x - 2z = -5",
                "x + y + z = 6; x + z = 4; z = 3",
                "x + y + z = 6; x = 1; z = 3",
                "x = 1; y = 2; z = 3",
            ]
        );
    }

    #[test]
    fn an_equation_without_the_letter_waits_its_turn() {
        for text in [
            "y + z = 5; x + z = 4; x + y = 3",
            "z = 3; x + y + z = 6; x - y = -1",
            "x = 1; y = 2; z = 3",
            "2x + 3y - z = 5; x - y + 2z = 3; 3x + y + z = 10",
            "x + y + 2z = 9; 2x + 2y - z = 3; x - y = -1",
            "3x = 6; x + 2y = 4; x + y - z = 0",
        ] {
            assert!(lines(text).is_some(), "{text}");
        }
    }

    #[test]
    fn what_is_no_such_system_has_no_such_working() {
        for text in
            ["x + y + z = 1; x + y + z = 2; x = 3", "x + y = 2; x - y = 1", "xy = z; x = 1; y = 2"]
        {
            assert_eq!(lines(text), None, "{text}");
        }
    }
}
