//! Slips that rewrite one part of an expression, wherever in a line it stands.

use algebra::number::{Notation, Rational, from_int};
use algebra::sketch::plainly_differ;
use algebra::{Expr, ExprKind, Function, Line, Unit, Verdict, equal};
use num_traits::ToPrimitive;

/// Most lines that one slip writes below another.
const LINES: usize = 40;

/// Declares a slip with its id and its sentences, and what it writes below a line.
macro_rules! declared {
    (
        $(#[$doc:meta])* $name:ident, $id:literal, student: $student:literal, teacher: $teacher:literal,
        wrong: |$line:ident| $wrong:expr
    ) => {
        $(#[$doc])*
        pub struct $name;

        impl $name {
            /// Its id.
            pub const ID: crate::ids::SlipId = crate::ids::SlipId::new($id);
        }

        impl super::Slip for $name {
            fn id(&self) -> crate::ids::SlipId {
                Self::ID
            }

            fn to_student(&self) -> &'static str {
                $student
            }

            fn to_teacher(&self) -> &'static str {
                $teacher
            }

            fn wrong(&self, $line: &algebra::Line) -> Vec<algebra::Line> {
                $wrong
            }
        }
    };
}
pub(super) use declared;

/// Declares a slip whose rule `wrong` rewrites one part of an expression.
macro_rules! rewriting {
    ($($declared:tt)*) => {
        super::rewriting::declared! {
            $($declared)* wrong: |line| super::rewriting::everywhere(line, &wrong)
        }
    };
}
pub(super) use rewriting;

/// Declares a slip whose rule `wrong` writes whole lines.
macro_rules! lines {
    ($($declared:tt)*) => {
        super::rewriting::declared! { $($declared)* wrong: |line| wrong(line) }
    };
}
pub(super) use lines;

/// The line with one part rewritten, once for each part that the rule changes the value of.
pub(super) fn everywhere(line: &Line, wrong: &dyn Fn(&Expr) -> Vec<Expr>) -> Vec<Line> {
    if let Line::AllOf(lines) = line {
        let mut found = Vec::new();
        for (at, one) in lines.iter().enumerate() {
            for changed in everywhere(one, wrong) {
                let mut lines = lines.clone();
                lines[at] = changed;
                found.push(Line::AllOf(lines));
            }
        }
        found.truncate(LINES);
        return found;
    }
    let sides: Vec<&Expr> = match line {
        Line::Expression(expr) => vec![expr],
        Line::Relations { sides, .. } => sides.iter().collect(),
        _ => return Vec::new(),
    };
    let mut found = Vec::new();
    for (at, side) in sides.into_iter().enumerate() {
        for changed in parts(side, wrong) {
            if found.len() >= LINES {
                return found;
            }
            let written = match line {
                Line::Relations { sides, relations } => {
                    let mut sides = sides.clone();
                    sides[at] = changed;
                    Line::Relations { sides, relations: relations.clone() }
                }
                _ => Line::Expression(changed),
            };
            found.push(written);
        }
    }
    found
}

/// The expression with one part rewritten, in every way.
fn parts(expr: &Expr, wrong: &dyn Fn(&Expr) -> Vec<Expr>) -> Vec<Expr> {
    let mut found: Vec<Expr> = wrong(expr)
        .into_iter()
        .filter(|changed| {
            plainly_differ(expr, changed) || matches!(equal(expr, changed), Verdict::Different(_))
        })
        .collect();
    let count = expr.children().len();
    for place in 0..count {
        for changed in parts(expr.children()[place], wrong) {
            found.push(with_child(expr, place, changed));
        }
    }
    found
}

/// The expression with its child at `place` replaced.
fn with_child(expr: &Expr, place: usize, child: Expr) -> Expr {
    let mut place = place;
    let mut child = Some(child);
    let mut take = |old: &Expr| {
        let here = place == 0;
        place = place.wrapping_sub(1);
        if here { child.take().unwrap_or_else(|| old.clone()) } else { old.clone() }
    };
    let mut go = |part: &Expr| Box::new(take(part));
    let kind = match &expr.kind {
        ExprKind::Negative(a) => ExprKind::Negative(go(a)),
        ExprKind::Absolute(a) => ExprKind::Absolute(go(a)),
        ExprKind::Percent(a) => ExprKind::Percent(go(a)),
        ExprKind::Factorial(a) => ExprKind::Factorial(go(a)),
        ExprKind::Degree(a) => ExprKind::Degree(go(a)),
        ExprKind::Root { index, radicand } => {
            ExprKind::Root { index: *index, radicand: go(radicand) }
        }
        ExprKind::Add(a, b) => ExprKind::Add(go(a), go(b)),
        ExprKind::Subtract(a, b) => ExprKind::Subtract(go(a), go(b)),
        ExprKind::Multiply(a, b) => ExprKind::Multiply(go(a), go(b)),
        ExprKind::Divide(a, b) => ExprKind::Divide(go(a), go(b)),
        ExprKind::Power(a, b) => ExprKind::Power(go(a), go(b)),
        ExprKind::Call { function, arguments } => ExprKind::Call {
            function: *function,
            arguments: arguments.iter().map(|a| *go(a)).collect(),
        },
        other => other.clone(),
    };
    kind.into()
}

/// `base ^ exponent`
pub(super) fn power(base: Expr, exponent: Expr) -> Expr {
    ExprKind::Power(Box::new(base), Box::new(exponent)).into()
}

/// A power's base and exponent; anything else is to the first power.
pub(super) fn base_and_exponent(expr: &Expr) -> (Expr, Expr) {
    match &expr.kind {
        ExprKind::Power(base, exponent) => (base.as_ref().clone(), exponent.as_ref().clone()),
        _ => (expr.clone(), Expr::int(1)),
    }
}

/// The factors of a product, from left to right.
pub(super) fn product(expr: &Expr) -> Vec<&Expr> {
    match &expr.kind {
        ExprKind::Multiply(a, b) => {
            let mut found = product(a);
            found.extend(product(b));
            found
        }
        _ => vec![expr],
    }
}

/// A term's number and its letters; no letters for a number alone.
pub(super) fn coefficient(expr: &Expr) -> (Rational, Option<Expr>) {
    if let Some(value) = expr.as_plain_number() {
        return (value, None);
    }
    match &expr.kind {
        ExprKind::Multiply(a, b) => match a.as_plain_number() {
            Some(value) => (value, Some(b.as_ref().clone())),
            None => (from_int(1), Some(expr.clone())),
        },
        ExprKind::Negative(a) => {
            let (value, letters) = coefficient(a);
            (-value, letters)
        }
        _ => (from_int(1), Some(expr.clone())),
    }
}

/// A function, its first argument, and the rest of them.
pub(super) fn call(expr: &Expr) -> Option<(Function, &Expr, &[Expr])> {
    match &expr.kind {
        ExprKind::Call { function, arguments } => {
            let (first, rest) = arguments.split_first()?;
            Some((*function, first, rest))
        }
        _ => None,
    }
}

/// The same function of another argument.
pub(super) fn again(function: Function, argument: &Expr, rest: &[Expr]) -> Expr {
    let mut arguments = vec![argument.clone()];
    arguments.extend_from_slice(rest);
    ExprKind::Call { function, arguments }.into()
}

/// Whether it is a logarithm.
pub(super) fn is_logarithm(function: Function) -> bool {
    matches!(function, Function::Ln | Function::Log)
}

/// Whether it is one of the six circular functions.
pub(super) fn is_circular(function: Function) -> bool {
    use Function::{Cos, Cot, Csc, Sec, Sin, Tan};
    matches!(function, Sin | Cos | Tan | Sec | Csc | Cot)
}

/// A number as written, perhaps with a sign or as a fraction.
pub(super) fn number(expr: &Expr) -> Option<Rational> {
    expr.as_plain_number()
}

/// A whole number as written, small enough to be worked with by its digits.
pub(super) fn whole(expr: &Expr) -> Option<i64> {
    let value = match &expr.kind {
        ExprKind::Number(written) if *written.notation() == Notation::Integer => written.value(),
        _ => return None,
    };
    value.to_integer().to_i64().filter(|n| *n < 1_000_000_000)
}

/// The value of an expression without letters, where it is a fraction.
pub(super) fn worked_out(expr: &Expr) -> Option<Rational> {
    expr.symbols().is_empty().then(|| algebra::step::exact_value(expr))?
}

/// The value that a line tells, where it is a fraction, and what it is the value of.
pub(super) fn told_value(line: &Line) -> Option<(Option<&Expr>, Rational)> {
    let (left, value) = match line {
        Line::Expression(expr) => (None, expr),
        _ => line.as_equation().map(|(left, right)| (Some(left), right))?,
    };
    Some((left, worked_out(value)?))
}

/// Whether a decimal stands in it.
pub(super) fn has_decimal(expr: &Expr) -> bool {
    expr.any(&mut |part| {
        matches!(&part.kind, ExprKind::Number(written) if matches!(written.notation(), Notation::Decimal { .. }))
    })
}

/// A number with one unit.
pub(super) fn quantity(expr: &Expr) -> Option<(Rational, Unit)> {
    let ExprKind::Multiply(number, unit) = &expr.kind else { return None };
    match unit.kind {
        ExprKind::Unit(unit) => Some((number.as_plain_number()?, unit)),
        _ => None,
    }
}

/// The parts of `p/q × r/s`, which is read from left to right as `((p/q) × r)/s`, or in brackets as it stands.
pub(super) fn product_of_fractions(expr: &Expr) -> Option<[Expr; 4]> {
    let of = |e: &Expr| e.clone();
    match &expr.kind {
        ExprKind::Multiply(a, b) => match (&a.kind, &b.kind) {
            (ExprKind::Divide(p, q), ExprKind::Divide(r, s)) => Some([of(p), of(q), of(r), of(s)]),
            _ => None,
        },
        ExprKind::Divide(product, s) => match &product.kind {
            ExprKind::Multiply(a, r) => match &a.kind {
                ExprKind::Divide(p, q) => Some([of(p), of(q), of(r), of(s)]),
                _ => None,
            },
            _ => None,
        },
        _ => None,
    }
}
