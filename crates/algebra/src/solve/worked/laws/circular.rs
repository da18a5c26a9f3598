//! Laws of sines, cosines and their like.

use super::{is_one, whole, whole_number};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::solve::worked::outermost;

/// The argument of `sin² a`, or of `cos² a`.
fn squared(function: Function, expr: &Expr) -> Option<&Expr> {
    let ExprKind::Power(base, exponent) = &expr.kind else { return None };
    match &base.kind {
        ExprKind::Call { function: found, arguments }
            if *found == function && whole_number(exponent) == Some(2) =>
        {
            arguments.first()
        }
        _ => None,
    }
}

pub(super) fn pythagoras(part: &Expr) -> Option<Expr> {
    use Function::{Cos, Sin};
    let other = |function| if function == Sin { Cos } else { Sin };
    match &part.kind {
        ExprKind::Add(a, b) => [Sin, Cos].into_iter().find_map(|function| {
            let (first, second) = (squared(function, a)?, squared(other(function), b)?);
            (first == second).then(|| whole(1))
        }),
        ExprKind::Subtract(a, b) if is_one(a) => [Sin, Cos].into_iter().find_map(|function| {
            let angle = squared(function, b)?.clone();
            let call = ExprKind::Call { function: other(function), arguments: vec![angle] };
            Some(Expr::from(call).to_the(2))
        }),
        _ => None,
    }
}

pub(super) fn sines_and_cosines(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function, arguments } = &part.kind else { return None };
    let call =
        |function| -> Expr { ExprKind::Call { function, arguments: arguments.clone() }.into() };
    if part.symbols().is_empty() {
        return None;
    }
    Some(match function {
        Function::Tan => call(Function::Sin).over(call(Function::Cos)),
        Function::Cot => call(Function::Cos).over(call(Function::Sin)),
        Function::Sec => whole(1).over(call(Function::Cos)),
        Function::Csc => whole(1).over(call(Function::Sin)),
        _ => return None,
    })
}

/// `sin 2a` as `2 sin a cos a`, everywhere.
#[must_use]
pub fn double_angles(expr: &Expr) -> Option<Expr> {
    outermost::changed(expr, &|_| false, &|part| {
        let ExprKind::Call { function: Function::Sin, arguments } = &part.kind else { return None };
        let ExprKind::Multiply(two, angle) = &arguments.first()?.kind else { return None };
        if whole_number(two) != Some(2) || part.symbols().is_empty() {
            return None;
        }
        let call = |function| -> Expr {
            ExprKind::Call { function, arguments: vec![(**angle).clone()] }.into()
        };
        Some(whole(2).times(call(Function::Sin)).times(call(Function::Cos)))
    })
}

/// `sin(90° - a)`, `cos(π/2 - a)`.
pub(super) fn co_function(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function, arguments } = &part.kind else { return None };
    let other = match function {
        Function::Sin => Function::Cos,
        Function::Cos => Function::Sin,
        Function::Tan => Function::Cot,
        Function::Cot => Function::Tan,
        _ => return None,
    };
    let ExprKind::Subtract(quarter, angle) = &arguments.first()?.kind else { return None };
    let is_quarter = match &quarter.kind {
        ExprKind::Degree(n) => whole_number(n) == Some(90),
        ExprKind::Divide(pi, two) => {
            matches!(pi.kind, ExprKind::Constant(Constant::Pi)) && whole_number(two) == Some(2)
        }
        _ => false,
    };
    let call = ExprKind::Call { function: other, arguments: vec![(**angle).clone()] };
    is_quarter.then(|| call.into())
}
