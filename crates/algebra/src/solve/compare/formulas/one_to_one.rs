//! Formulas in which a letter stands once, inside functions that are one-to-one: whatever value fits is the only
//! one, so that a value that is told need only be put in.

use crate::assume::Assumptions;
use crate::budget::Budget;
use crate::equal::equal_given;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::Line;
use crate::verdict::{Condition, Verdict};
use num_integer::Integer;

/// What two formulas need to say the same of the letter; `None` when that is not shown here.
pub(super) fn same_value(
    from: &Line,
    to: &Line,
    letter: &str,
    assumed: &Assumptions,
    budget: &mut Budget,
) -> Option<Vec<Condition>> {
    let (left, right) = from.as_equation()?;
    if !gives_one_value(from, letter, assumed) || !gives_one_value(to, letter, assumed) {
        return None;
    }
    let values = super::values(to, letter, assumed, budget).ok()?;
    let [value] = &values[..] else { return None };
    match equal_given(&left.with(letter, value), &right.with(letter, value), assumed) {
        Verdict::Equal { provided } => Some(provided),
        _ => None,
    }
}

/// Whether the letter stands on one side only, in a function that is one-to-one.
fn gives_one_value(line: &Line, letter: &str, assumed: &Assumptions) -> bool {
    let has = |side: &Expr| side.symbols().contains(letter);
    line.as_equation().is_some_and(|(left, right)| match (has(left), has(right)) {
        (true, false) => is_one_to_one(left, letter, assumed),
        (false, true) => is_one_to_one(right, letter, assumed),
        _ => false,
    })
}

/// Whether an expression takes no value twice, for generic values of the other letters.
fn is_one_to_one(expr: &Expr, letter: &str, assumed: &Assumptions) -> bool {
    let has = |part: &Expr| part.symbols().contains(letter);
    let inside = |part: &Expr| is_one_to_one(part, letter, assumed);
    let is_not = |part: &Expr, number: i64| {
        matches!(equal_given(part, &Expr::int(number), assumed), Verdict::Different(_))
    };
    match &expr.kind {
        ExprKind::Symbol(name) => name == letter,
        ExprKind::Negative(a) | ExprKind::Percent(a) | ExprKind::Degree(a) => inside(a),
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => match (has(a), has(b)) {
            (true, false) => inside(a),
            (false, true) => inside(b),
            _ => false,
        },
        ExprKind::Multiply(a, b) | ExprKind::Divide(a, b) => match (has(a), has(b)) {
            (true, false) => inside(a) && is_not(b, 0),
            (false, true) => inside(b) && is_not(a, 0),
            _ => false,
        },
        ExprKind::Power(base, exponent) if !has(exponent) => {
            let is_odd = exponent.as_plain_number().is_some_and(|n| n.numer().is_odd());
            let is_side = assumed.sign_of(letter).is_some() && **base == Expr::symbol(letter);
            let is_even = exponent.as_plain_number().is_some_and(|n| *n.numer() > 0.into());
            inside(base) && (is_odd || (is_side && is_even))
        }
        ExprKind::Power(base, exponent) if !has(base) => inside(exponent) && is_not(base, 1),
        ExprKind::Root { radicand, .. } => inside(radicand),
        ExprKind::Call { function, arguments } => match (function, &arguments[..]) {
            (
                Function::Ln
                | Function::Log
                | Function::Arcsin
                | Function::Arccos
                | Function::Arctan,
                [a],
            ) => inside(a),
            (Function::Log, [a, base]) if !has(base) => inside(a),
            _ => false,
        },
        _ => false,
    }
}
