//! Equations whose solutions cannot be found, compared as they are written: the same function that is one-to-one
//! stands on both sides of one of them, as in `e^(x - 1) = e^(ln x)` and `x - 1 = ln x`.

use crate::budget::Budget;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::{Normaliser, Values, is_surely_positive};
use num_integer::Integer;
use num_traits::{One, Signed};

/// Most functions taken away from both sides.
const DEPTH: usize = 6;

/// Whether two equations are the same once what is one-to-one is taken away from both sides of each.
pub(crate) fn are_the_same(from: &Line, to: &Line) -> bool {
    let (Some(from), Some(to)) = (from.as_equation(), to.as_equation()) else { return false };
    let (from, to) = (bare(from), bare(to));
    from == to || (from.0 == to.1 && from.1 == to.0)
}

/// Both sides without the functions that stand around both.
fn bare((left, right): (&Expr, &Expr)) -> (Expr, Expr) {
    let mut sides = (left.clone(), right.clone());
    for _ in 0..DEPTH {
        match inside(&sides.0, &sides.1) {
            Some(next) => sides = next,
            None => break,
        }
    }
    sides
}

/// What stands inside the same function on both sides, where the sides are equal exactly when that is.
fn inside(left: &Expr, right: &Expr) -> Option<(Expr, Expr)> {
    let (a, b, fits) = match (&left.kind, &right.kind) {
        (ExprKind::Negative(a), ExprKind::Negative(b)) => (a, b, true),
        (ExprKind::Power(a, n), ExprKind::Power(b, m)) if n == m => {
            let exponent = n.as_plain_number().filter(|n| n.is_integer() && n.is_positive())?;
            let is_odd = exponent.numer().is_odd();
            (a, b, is_odd || (is_not_negative(a) && is_not_negative(b)))
        }
        (ExprKind::Power(base, a), ExprKind::Power(other, b)) if base == other => {
            let is_e = matches!(base.kind, ExprKind::Constant(Constant::Euler));
            let number = base.as_plain_number().filter(|n| n.is_positive() && !n.is_one());
            (a, b, is_e || number.is_some())
        }
        (ExprKind::Root { index, radicand: a }, ExprKind::Root { index: other, radicand: b })
            if index == other =>
        {
            // What is equal to something that is not negative is not negative.
            (a, b, index.is_odd() || is_not_negative(a) || is_not_negative(b))
        }
        (
            ExprKind::Call { function, arguments: a },
            ExprKind::Call { function: other, arguments: b },
        ) if function == other => {
            let ([a], [b]) = (&a[..], &b[..]) else { return None };
            let fits = match function {
                Function::Ln | Function::Log => is_positive(a) || is_positive(b),
                Function::Arctan => true,
                _ => false,
            };
            return fits.then(|| (a.clone(), b.clone()));
        }
        (ExprKind::Divide(one, a), ExprKind::Divide(other, b)) if one == other => {
            let is_number = one.as_plain_number().is_some_and(|n| n.is_positive());
            (a, b, is_number && (is_positive(a) || is_positive(b)))
        }
        _ => return None,
    };
    fits.then(|| ((**a).clone(), (**b).clone()))
}

/// Whether a value is positive wherever there is one, by its form.
fn is_positive(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Number(written) => written.value().is_positive(),
        ExprKind::Constant(_) => true,
        ExprKind::Power(base, _) | ExprKind::Root { radicand: base, .. } if is_positive(base) => {
            true
        }
        ExprKind::Multiply(a, b) | ExprKind::Divide(a, b) => is_positive(a) && is_positive(b),
        ExprKind::Add(a, b) => {
            (is_positive(a) && is_not_negative(b)) || (is_not_negative(a) && is_positive(b))
        }
        _ => {
            let (none, mut budget) = (Values::new(), Budget::for_verdict());
            let value = Normaliser::new(&none, &mut budget).build(expr);
            value.is_ok_and(|value| is_surely_positive(&value))
        }
    }
}

/// Whether a value is not negative wherever there is one, by its form.
fn is_not_negative(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Absolute(_) => true,
        ExprKind::Root { index, .. } if index.is_even() => true,
        ExprKind::Power(_, n)
            if n.as_plain_number().is_some_and(|n| n.is_integer() && n.numer().is_even()) =>
        {
            true
        }
        ExprKind::Add(a, b) | ExprKind::Multiply(a, b) | ExprKind::Divide(a, b)
            if is_not_negative(a) && is_not_negative(b) =>
        {
            true
        }
        _ => is_positive(expr),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn what_is_one_to_one_is_taken_away_where_nothing_is_lost() {
        for (from, to, same) in [
            ("e^(x-1) = e^(ln(1-x))",       "x - 1 = ln(1-x)",        true),
            ("ln(2^(1-x)) = ln(sqrt(2x-3))", "2^(1-x) = sqrt(2x-3)",  true),
            ("(sqrt x)^3 = (cos x)^3",      "cos x = sqrt x",         true),
            ("(2^x)^2 = |x-1|^2",           "2^x = |x-1|",            true),
            ("(2^x)^2 = (x-1)^2",           "2^x = x - 1",            false),
            ("sqrt(2^x) = sqrt(cos x)",     "2^x = cos x",            true),
            ("sqrt(sin x) = sqrt(x - 2)",   "sin x = x - 2",          false),
            ("ln(sin x) = ln(x - 2)",       "sin x = x - 2",          false),
            ("1/2^x = 1/(x-3)",             "2^x = x - 3",            true),
            ("1/sin x = 1/(x-3)",           "sin x = x - 3",          false),
            ("1^x = 1^(x+1)",               "x = x + 1",              false),
            ("x^0 = (x+1)^0",               "x = x + 1",              false),
            ("sin(2^x) = sin(x)",           "2^x = x",                false),
            ("-2^x = -x^2",                 "2^x = x^2",              true),
            ("e^x = 2^x",                   "x = x",                  false),
        ] {
            let read = |text: &str| crate::read_line(text).expect(text).line;
            assert_eq!(are_the_same(&read(from), &read(to)), same, "{from} -> {to}");
            assert_eq!(are_the_same(&read(to), &read(from)), same, "{to} -> {from}");
        }
    }
}
