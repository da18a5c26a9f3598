//! What is known of a line only when all of it is read: how far its number is rounded, and whether its `e` is a letter.

use super::Light;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::number::{Rounding, Written};
use num_traits::ToPrimitive;

/// A line whose last number is told to be rounded: `x = 10.4 (1 dp)` says `x ≈ 10.4`, to just one place.
pub(super) fn rounded_line(line: Line, rounding: &Rounding) -> Line {
    match line {
        Line::Expression(value) => Line::Rounded(told_rounded(value, rounding)),
        Line::Rounded(value) => Line::Rounded(told_rounded(value, rounding)),
        Line::Relations { mut sides, mut relations } => {
            let says_equal =
                matches!(relations.last(), Some(Relation::Equal | Relation::Approximate));
            if let Some(last) = sides.pop() {
                sides.push(if says_equal { told_rounded(last, rounding) } else { last });
            }
            if let Some(relation @ Relation::Equal) = relations.last_mut() {
                *relation = Relation::Approximate;
            }
            Line::Relations { sides, relations }
        }
        Line::AnyOf(lines) => {
            Line::AnyOf(lines.into_iter().map(|line| rounded_line(line, rounding)).collect())
        }
        other => other,
    }
}

/// The number of a value, told how far it is rounded.
fn told_rounded(value: Expr, rounding: &Rounding) -> Expr {
    let span = value.span;
    let kind = match value.kind {
        ExprKind::Number(written) => ExprKind::Number(written.rounded_to(rounding.clone())),
        ExprKind::Negative(inner) => ExprKind::Negative(Box::new(told_rounded(*inner, rounding))),
        ExprKind::Degree(inner) => ExprKind::Degree(Box::new(told_rounded(*inner, rounding))),
        ExprKind::Multiply(number, unit) if matches!(unit.kind, ExprKind::Unit(_)) => {
            ExprKind::Multiply(Box::new(told_rounded(*number, rounding)), unit)
        }
        // `3.00 × 10^8 (3 sf)`
        ExprKind::Multiply(number, power) if matches!(number.kind, ExprKind::Number(_)) => {
            scientific(&number, &power).map_or(ExprKind::Multiply(number, power), |written| {
                ExprKind::Number(written.rounded_to(rounding.clone()))
            })
        }
        other => other,
    };
    Expr::at(kind, span)
}

/// `3.00 × 10^8` as one number.
fn scientific(mantissa: &Expr, power: &Expr) -> Option<Written> {
    let (ExprKind::Number(mantissa), ExprKind::Power(ten, exponent)) =
        (&mantissa.kind, &power.kind)
    else {
        return None;
    };
    let is_ten = ten.as_plain_number() == Some(crate::number::from_int(10));
    let exponent = exponent.as_plain_number().filter(|n| n.is_integer())?.to_integer().to_i32()?;
    is_ten.then(|| Written::scientific(&mantissa.text(), exponent)).flatten()
}

/// `3e + 2 = 11`: where `e` is a line's only letter and no exponent stands on it, it is an unknown.
pub(super) fn with_letter_e(line: Line, light: &Light) -> Line {
    // `e = 50` in one line says that e is a letter in the others.
    let is_told = light.is_told('e');
    let relations = match &line {
        Line::Relations { relations, .. } => &relations[..],
        Line::AllOf(_) if is_told => &[],
        _ => return line,
    };
    let is_euler = |part: &Expr| part.kind == ExprKind::Constant(Constant::Euler);
    let told = |part: &mut &Expr| match &part.kind {
        ExprKind::Power(base, _) => is_euler(base),
        ExprKind::Call { function: Function::Ln | Function::Log, .. } => true,
        ExprKind::Symbol(_) => !is_told,
        _ => false,
    };
    let sides = line.expressions();
    let stands = sides.iter().any(|side| side.any(&mut |part| is_euler(part)));
    let otherwise = sides.iter().any(|side| side.any(&mut |part| told(&mut &*part)));
    if !stands || otherwise || relations.contains(&Relation::Approximate) {
        return line;
    }
    line.map(&mut |side| {
        side.map(&mut |part| {
            if is_euler(&part) { Expr::at(ExprKind::Symbol("e".into()), part.span) } else { part }
        })
    })
}
