//! Two lines, and what the second does to the first.

use crate::budget::Budget;
use crate::equal::{Condition, Counterexample, Shown, Verdict, equal, exclusions};
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{Assignment, Normaliser};
use crate::number::{Notation, round_to_places};
use crate::solve::cells::{Solutions, differences, solutions};
use crate::solve::{Solution, literal, systems};

/// What a line of a working is for. A line holds when it does what its role allows.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Role {
    /// The problem itself.
    Starts,
    /// Says the same as the line above.
    Follows,
    /// May gain solutions: squaring, multiplying by the unknown.
    MayAdd,
    /// Splits into cases.
    Splits,
    /// Gives a letter its meaning.
    Defines,
    /// Puts a value into the problem.
    Checks,
    /// Drops exactly what does not satisfy the problem.
    Rejects,
    /// Rounds the line above.
    Rounds,
    /// The answer.
    Concludes,
}

impl Role {
    /// Its name in files and answers.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Starts => "starts",
            Self::Follows => "follows",
            Self::MayAdd => "may_add",
            Self::Splits => "splits",
            Self::Defines => "defines",
            Self::Checks => "checks",
            Self::Rejects => "rejects",
            Self::Rounds => "rounds",
            Self::Concludes => "concludes",
        }
    }
}

/// What one line does to another. Every verdict but `Undecided` is proved.
#[derive(Debug, Clone, PartialEq, Eq)]
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
pub enum StepVerdict {
    /// They say the same, wherever `provided` holds.
    Equivalent { provided: Vec<Condition> },
    /// They do not, and this shows it.
    NotEquivalent(Difference),
    /// Not settled within the limits.
    Undecided,
}

/// How two lines differ.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Difference {
    /// Solutions that went missing, when they are finitely many.
    pub lost: Vec<Solution>,
    /// Solutions that came in, when they are finitely many.
    pub gained: Vec<Solution>,
    /// A point that shows the difference.
    pub counterexample: Option<Counterexample>,
    /// What else there is to say.
    pub reason: Reason,
}

/// Why two lines differ, beyond values.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq)]
pub enum Reason {
    /// The values say it all.
    #[default]
    Values,
    /// There is no point at which both have a value.
    NeverDefined,
    /// One is an equation and the other an expression, or the like.
    Shape,
    /// The right side is not the left side rounded.
    Rounding,
    /// The `index`-th relation of the line itself (from zero) joins sides that do not fit.
    Link(usize),
}

fn different(reason: Reason) -> StepVerdict {
    StepVerdict::NotEquivalent(Difference { reason, ..Difference::default() })
}

fn of_values(verdict: Verdict) -> StepVerdict {
    match verdict {
        Verdict::Equal { provided } => StepVerdict::Equivalent { provided },
        Verdict::Different(found) => StepVerdict::NotEquivalent(Difference {
            counterexample: Some(found),
            ..Difference::default()
        }),
        Verdict::NeverDefined => different(Reason::NeverDefined),
        Verdict::Undecided => StepVerdict::Undecided,
    }
}

/// Compares a line with the line before it. With `unknown`, equations in several letters are compared
/// for that letter; a line `h = ...` asks for that by itself.
#[must_use]
pub fn compare(from: &Line, to: &Line, unknown: Option<&str>) -> StepVerdict {
    if from == to && !matches!(to, Line::Sentence(_)) {
        return StepVerdict::Equivalent { provided: Vec::new() };
    }
    match (from, to) {
        (Line::Sentence(_), _) | (_, Line::Sentence(_)) => StepVerdict::Undecided,
        (Line::Expression(a), Line::Expression(b)) => of_values(equal(a, b)),
        (Line::Expression(start), Line::Relations { sides, relations }) => {
            continued(start, sides, relations)
        }
        (Line::Expression(_), _) | (_, Line::Expression(_)) => different(Reason::Shape),
        _ => match (without_signs(from), without_signs(to)) {
            (Some(from), Some(to)) => relations(&from, &to, unknown),
            _ => StepVerdict::Undecided,
        },
    }
}

/// An expression, and below it `3(x + 4) = 3x + 12` or `≈ 10.4`: the chain is headed by it.
fn continued(start: &Expr, sides: &[Expr], relations: &[Relation]) -> StepVerdict {
    if relations.iter().any(|r| !matches!(r, Relation::Equal | Relation::Approximate)) {
        return different(Reason::Shape);
    }
    match of_values(equal(start, &sides[0])) {
        StepVerdict::Equivalent { .. } => {
            let mut all = vec![start.clone()];
            all.extend_from_slice(sides);
            let mut joined = vec![Relation::Equal];
            joined.extend_from_slice(relations);
            judge_alone(&Line::Relations { sides: all, relations: joined })
        }
        StepVerdict::NotEquivalent(_) => different(Reason::Shape),
        StepVerdict::Undecided => StepVerdict::Undecided,
    }
}

/// Judges one line by itself: each relation of a chain must join sides that fit.
#[must_use]
pub fn judge_alone(line: &Line) -> StepVerdict {
    match line {
        Line::Expression(expr) => of_values(equal(expr, &expr.clone().times(Expr::int(1)))),
        Line::Relations { sides, relations } => {
            let mut all = Vec::new();
            let mut open = false;
            for (index, (pair, relation)) in sides.windows(2).zip(relations).enumerate() {
                match link(&pair[0], &pair[1], *relation) {
                    StepVerdict::Equivalent { provided } => all.extend(provided),
                    StepVerdict::NotEquivalent(mut found) => {
                        if sides.len() > 2 && found.reason == Reason::Values {
                            found.reason = Reason::Link(index);
                        }
                        return StepVerdict::NotEquivalent(found);
                    }
                    StepVerdict::Undecided => open = true,
                }
            }
            if open { StepVerdict::Undecided } else { StepVerdict::Equivalent { provided: all } }
        }
        Line::AllReals => StepVerdict::Undecided,
        _ => StepVerdict::Undecided,
    }
}

fn link(left: &Expr, right: &Expr, relation: Relation) -> StepVerdict {
    match relation {
        Relation::Equal => of_values(equal(left, right)),
        Relation::Approximate => rounded(left, right),
        _ => {
            let line = Line::Relations {
                sides: vec![left.clone(), right.clone()],
                relations: vec![relation],
            };
            match solitary_letter(&line.symbols().into_iter().collect::<Vec<_>>()) {
                Some(letter) => in_one_letter(&Line::AllReals, &line, &letter),
                None => StepVerdict::Undecided,
            }
        }
    }
}

/// Whether `right`, as it is written, is `left` rounded.
fn rounded(left: &Expr, right: &Expr) -> StepVerdict {
    let (sign, number) = match &right.kind {
        ExprKind::Negative(a) => (-1, a.as_ref()),
        _ => (1, right),
    };
    let ExprKind::Number(written) = &number.kind else { return StepVerdict::Undecided };
    let places = match written.notation() {
        Notation::Decimal { places } => *places,
        Notation::Whole => 0,
        _ => return StepVerdict::Undecided,
    };
    let none = Assignment::new();
    let mut budget = Budget::for_verdict();
    let value = Normaliser::new(&none, &mut budget).build(left);
    match value.map(|value| value.as_constant()) {
        Ok(Some(value)) => {
            let told = written.value() * crate::number::from_int(sign);
            if round_to_places(&value, places) == told {
                StepVerdict::Equivalent { provided: Vec::new() }
            } else {
                different(Reason::Rounding)
            }
        }
        _ => StepVerdict::Undecided,
    }
}

fn solitary_letter(letters: &[String]) -> Option<String> {
    match letters {
        [] => Some("x".to_owned()),
        [one] => Some(one.clone()),
        _ => None,
    }
}

fn in_one_letter(from: &Line, to: &Line, letter: &str) -> StepVerdict {
    match differences(from, to, letter) {
        Ok(None) => StepVerdict::Equivalent { provided: excluded(from, letter) },
        Ok(Some(found)) => StepVerdict::NotEquivalent(Difference {
            lost: found.lost,
            gained: found.gained,
            counterexample: found.counterexample,
            reason: Reason::Values,
        }),
        Err(_) => StepVerdict::Undecided,
    }
}

/// Values that the first line excludes, told when it holds denominators with the letter in them.
fn excluded(line: &Line, letter: &str) -> Vec<Condition> {
    let none = Assignment::new();
    let mut budget = Budget::for_verdict();
    let mut forms = Normaliser::new(&none, &mut budget);
    for side in line.expressions() {
        if forms.build(side).is_err() {
            return Vec::new();
        }
    }
    let mut told = Vec::new();
    for condition in forms.not_zero.iter().flat_map(exclusions) {
        let about_it = matches!(&condition, Condition::Not { letter: l, .. } if l == letter);
        if about_it && !told.contains(&condition) {
            told.push(condition);
        }
    }
    told
}

fn relations(from: &Line, to: &Line, unknown: Option<&str>) -> StepVerdict {
    let letters: Vec<String> = from.symbols().union(&to.symbols()).cloned().collect();
    if let Some(letter) = solitary_letter(&letters) {
        if let Some(verdict) = approximations(from, to, &letter) {
            return verdict;
        }
        return in_one_letter(from, to, &letter);
    }
    if matches!(from, Line::AllOf(_)) || matches!(to, Line::AllOf(_)) {
        return as_systems(from, to, &letters);
    }
    let (Some((fl, fr)), Some((tl, tr))) = (from.as_equation(), to.as_equation()) else {
        return StepVerdict::Undecided;
    };
    let mut budget = Budget::for_verdict();
    let built = literal::Relation::of(fl, fr, &mut budget)
        .and_then(|f| Ok((f, literal::Relation::of(tl, tr, &mut budget)?)));
    let Ok((f, t)) = built else { return StepVerdict::Undecided };
    let solved = match &tl.kind {
        ExprKind::Symbol(name) if !tr.symbols().contains(name) && !tr.symbols().is_empty() => {
            Some(name.as_str())
        }
        _ => None,
    };
    let compared = match unknown.or(solved) {
        Some(letter) => literal::compare_for(&f, &t, letter),
        None => literal::compare_all((&f, from), (&t, to), &letters),
    };
    match compared {
        Ok(literal::Comparison::Same(provided)) => StepVerdict::Equivalent { provided },
        Ok(literal::Comparison::Different(found)) => StepVerdict::NotEquivalent(Difference {
            counterexample: Some(found),
            ..Difference::default()
        }),
        _ => StepVerdict::Undecided,
    }
}

/// A line with `≈` after one with exact solutions: each is rounded as it is written.
fn approximations(from: &Line, to: &Line, letter: &str) -> Option<StepVerdict> {
    let parts = match to {
        Line::AnyOf(lines) => &lines[..],
        single => std::slice::from_ref(single),
    };
    let mut told = Vec::new();
    for part in parts {
        let Line::Relations { sides, relations } = part else { return None };
        match (&sides[..], &relations[..]) {
            ([left, right], [Relation::Approximate]) if *left == Expr::symbol(letter) => {
                told.push(right);
            }
            _ => return None,
        }
    }
    let Ok(Solutions::Finite(values)) = solutions(from, letter) else {
        return Some(StepVerdict::Undecided);
    };
    if values.len() != told.len() {
        return Some(different(Reason::Rounding));
    }
    let fits = |value: &Solution| {
        // A decimal beside an interval could be rounded either way: that is left open.
        let value = value.exact()?;
        let mut open = false;
        for right in &told {
            match rounded(value, right) {
                StepVerdict::Equivalent { .. } => return Some(true),
                StepVerdict::Undecided => open = true,
                StepVerdict::NotEquivalent(_) => {}
            }
        }
        if open { None } else { Some(false) }
    };
    let found: Vec<Option<bool>> = values.iter().map(fits).collect();
    Some(if found.contains(&Some(false)) {
        different(Reason::Rounding)
    } else if found.contains(&None) {
        StepVerdict::Undecided
    } else {
        StepVerdict::Equivalent { provided: Vec::new() }
    })
}

fn as_systems(from: &Line, to: &Line, letters: &[String]) -> StepVerdict {
    let mut budget = Budget::for_verdict();
    let rows = systems::reduced(from, letters, &mut budget)
        .and_then(|f| Ok((f, systems::reduced(to, letters, &mut budget)?)));
    match rows {
        Ok((Some(f), Some(t))) if f == t => StepVerdict::Equivalent { provided: Vec::new() },
        Ok((Some(f), Some(t))) => {
            let point = systems::point_apart(&f, &t, letters);
            match point {
                Some((at, before)) => StepVerdict::NotEquivalent(Difference {
                    counterexample: Some(Counterexample {
                        at,
                        left: Shown::Truth(before),
                        right: Shown::Truth(!before),
                    }),
                    ..Difference::default()
                }),
                None => StepVerdict::Undecided,
            }
        }
        _ => StepVerdict::Undecided,
    }
}

/// Writes `±` out as two lines; `None` when that is not possible.
fn without_signs(line: &Line) -> Option<Line> {
    let has_sign =
        |expr: &&Expr| expr.any(&mut |part| matches!(part.kind, ExprKind::PlusMinus { .. }));
    match line {
        Line::Relations { sides, relations } if sides.iter().any(|s| has_sign(&s)) => {
            let with = |upper: bool| Line::Relations {
                sides: sides.iter().map(|side| signed(side, upper)).collect(),
                relations: relations.clone(),
            };
            Some(Line::AnyOf(vec![with(true), with(false)]))
        }
        Line::AnyOf(lines) => {
            Some(Line::AnyOf(lines.iter().map(without_signs).collect::<Option<_>>()?))
        }
        Line::AllOf(lines) if lines.iter().flat_map(Line::expressions).any(|e| has_sign(&e)) => {
            None
        }
        other => Some(other.clone()),
    }
}

fn signed(expr: &Expr, upper: bool) -> Expr {
    let go = |part: &Expr| Box::new(signed(part, upper));
    let kind = match &expr.kind {
        ExprKind::PlusMinus { opposite, value } => {
            let value = signed(value, upper);
            return if *opposite == upper { value.negative() } else { value };
        }
        ExprKind::Negative(a) => ExprKind::Negative(go(a)),
        ExprKind::Add(a, b) => ExprKind::Add(go(a), go(b)),
        ExprKind::Subtract(a, b) => ExprKind::Subtract(go(a), go(b)),
        ExprKind::Multiply(a, b) => ExprKind::Multiply(go(a), go(b)),
        ExprKind::Divide(a, b) => ExprKind::Divide(go(a), go(b)),
        ExprKind::Power(a, b) => ExprKind::Power(go(a), go(b)),
        ExprKind::Root { index, radicand } => {
            ExprKind::Root { index: *index, radicand: go(radicand) }
        }
        ExprKind::Absolute(a) => ExprKind::Absolute(go(a)),
        other => other.clone(),
    };
    Expr::at(kind, expr.span)
}

#[cfg(test)]
mod tests;
