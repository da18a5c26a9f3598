//! Laws of logarithms.

use super::{power, whole, whole_number};
use crate::expr::{Constant, Expr, ExprKind, Function};

/// The base of a logarithm, `None` inside for the one that is not written, and what it is of.
fn logarithm(expr: &Expr) -> Option<(Function, Option<&Expr>, &Expr)> {
    match &expr.kind {
        ExprKind::Call { function, arguments }
            if matches!(function, Function::Ln | Function::Log) =>
        {
            Some((*function, arguments.get(1), arguments.first()?))
        }
        _ => None,
    }
}

fn joined_logarithms(a: &Expr, b: &Expr, join: fn(Expr, Expr) -> Expr) -> Option<Expr> {
    let ((function, base, first), (other, other_base, second)) = (logarithm(a)?, logarithm(b)?);
    if function != other || base != other_base {
        return None;
    }
    let mut arguments = vec![join(first.clone(), second.clone())];
    arguments.extend(base.cloned());
    Some(ExprKind::Call { function, arguments }.into())
}

pub(super) fn sum_of_logarithms(part: &Expr) -> Option<Expr> {
    let ExprKind::Add(a, b) = &part.kind else { return None };
    joined_logarithms(a, b, Expr::times)
}

pub(super) fn difference_of_logarithms(part: &Expr) -> Option<Expr> {
    let ExprKind::Subtract(a, b) = &part.kind else { return None };
    joined_logarithms(a, b, Expr::over)
}

/// `2 log a + log b` as `log a² + log b`.
pub(super) fn power_into_logarithm(part: &Expr) -> Option<Expr> {
    let inside = |side: &Expr| {
        let ExprKind::Multiply(n, call) = &side.kind else { return None };
        let (n, (function, base, of)) = (n.as_plain_number()?, logarithm(call)?);
        let arguments = [power(of.clone(), &n)].into_iter().chain(base.cloned()).collect();
        Some(Expr::from(ExprKind::Call { function, arguments }))
    };
    let (a, b, join): (_, _, fn(Expr, Expr) -> Expr) = match &part.kind {
        ExprKind::Add(a, b) => (a, b, Expr::plus),
        ExprKind::Subtract(a, b) => (a, b, Expr::minus),
        _ => return None,
    };
    let is_logarithm = |side: &Expr| logarithm(side).is_some();
    match (inside(a), inside(b)) {
        (Some(a), Some(b)) => Some(join(a, b)),
        (Some(a), None) if is_logarithm(b) => Some(join(a, (**b).clone())),
        (None, Some(b)) if is_logarithm(a) => Some(join((**a).clone(), b)),
        _ => None,
    }
}

/// `ln e²` as `2 ln e`; of a number that is a power of the base too: `log 1000` as `3 log 10`.
pub(super) fn logarithm_of_power(part: &Expr) -> Option<Expr> {
    let (function, base, of) = logarithm(part)?;
    let again = |inside: Expr| -> Expr {
        let arguments = [inside].into_iter().chain(base.cloned()).collect();
        ExprKind::Call { function, arguments }.into()
    };
    if let ExprKind::Power(inner, exponent) = &of.kind {
        return Some((**exponent).clone().times(again((**inner).clone())));
    }
    if function != Function::Log {
        return None;
    }
    let base = base.map_or(Some(10), whole_number).filter(|&base| base > 1)?;
    let value = whole_number(of)?;
    let exponent = (2..64).find(|&n| num_traits::checked_pow(base, n) == Some(value))?;
    Some(whole(exponent as i64).times(again(whole(base))))
}

/// `e^(ln a)`, `2^(log_2 a)`.
pub(super) fn undo(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let (function, log_base, of) = logarithm(exponent)?;
    let is_same = match (function, log_base) {
        (Function::Ln, _) => matches!(base.kind, ExprKind::Constant(Constant::Euler)),
        (_, Some(known)) => **base == *known,
        (_, None) => whole_number(base) == Some(10),
    };
    is_same.then(|| of.clone())
}
