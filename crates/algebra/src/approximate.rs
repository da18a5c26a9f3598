//! Expressions in floating point: where to look, and never what to say.
//!
//! A difference seen here is looked at again exactly before anybody is told of it, and so is an
//! agreement. Values that are not defined are `NaN`.

use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::{Integer, Rational};
use num_traits::ToPrimitive;
use std::collections::BTreeMap;

/// Values of letters in floating point.
pub(crate) type Point = BTreeMap<String, f64>;

/// The value at a point; `NaN` where there is none, or none that this can tell.
pub(crate) fn value(expr: &Expr, at: &Point) -> f64 {
    value_where(expr, &|name| at.get(name).copied().unwrap_or(f64::NAN))
}

/// The value where one letter is `x`, as [`value`].
pub(crate) fn value_in(expr: &Expr, letter: &str, x: f64) -> f64 {
    value_where(expr, &|name| if name == letter { x } else { f64::NAN })
}

/// The value of an expression without letters, as [`value`].
pub(crate) fn constant(expr: &Expr) -> f64 {
    value_where(expr, &|_| f64::NAN)
}

/// A fraction in floating point.
pub(crate) fn fraction(value: &Rational) -> f64 {
    let part = |n: &Integer| n.to_i64().map(|n| n as f64);
    match (part(value.numer()), part(value.denom())) {
        (Some(above), Some(below)) => above / below,
        _ => value.to_f64().unwrap_or(f64::NAN),
    }
}

/// Where `function`, negative at one end of an interval and not at the other, crosses zero between them: the
/// low end of an interval not longer than `length`, or as short as floating point can have it.
pub(crate) fn crossing(
    function: impl Fn(f64) -> f64,
    (mut low, mut high): (f64, f64),
    length: f64,
) -> f64 {
    let starts_negative = function(low) < 0.0;
    while high - low > length {
        let middle = f64::midpoint(low, high);
        if middle <= low || middle >= high {
            break;
        }
        if (function(middle) < 0.0) == starts_negative {
            low = middle;
        } else {
            high = middle;
        }
    }
    low
}

fn value_where(expr: &Expr, letter: &dyn Fn(&str) -> f64) -> f64 {
    let of = |part: &Expr| value_where(part, letter);
    match &expr.kind {
        ExprKind::Number(written) => fraction(written.value()),
        ExprKind::Symbol(name) => letter(name),
        ExprKind::Constant(Constant::Pi) => std::f64::consts::PI,
        ExprKind::Constant(Constant::Euler) => std::f64::consts::E,
        // Any sizes will do that no law connects.
        ExprKind::Unit(unit) => unit
            .parts()
            .iter()
            .fold(unit.factor().to_f64().unwrap_or(f64::NAN), |size, (base, power)| {
                size * (1.0 + 0.377 * (*base as u8 as f64)).powi(*power)
            }),
        ExprKind::Negative(a) => -of(a),
        ExprKind::Add(a, b) => of(a) + of(b),
        ExprKind::Subtract(a, b) => of(a) - of(b),
        ExprKind::Multiply(a, b) => of(a) * of(b),
        ExprKind::Divide(a, b) => divided(of(a), of(b)),
        ExprKind::Power(a, b) => power(of(a), of(b), b),
        ExprKind::Root { index, radicand } => root(of(radicand), *index),
        ExprKind::Absolute(a) => of(a).abs(),
        ExprKind::Percent(a) => of(a) / 100.0,
        ExprKind::Factorial(a) => {
            let n = of(a);
            if n >= 0.0 && n.fract() == 0.0 && n <= 60.0 {
                (1..=n as u32).fold(1.0, |product, k| product * f64::from(k))
            } else {
                f64::NAN
            }
        }
        ExprKind::Degree(a) => of(a).to_radians(),
        ExprKind::Ratio(parts) => match &parts[..] {
            [a, b] => divided(of(a), of(b)),
            _ => f64::NAN,
        },
        ExprKind::Call { function, arguments } => match &arguments[..] {
            [one] => call(*function, &[of(one)]),
            several => call(*function, &several.iter().map(of).collect::<Vec<_>>()),
        },
        ExprKind::PlusMinus { .. } | ExprKind::Apply { .. } | ExprKind::WithRemainder { .. } => {
            f64::NAN
        }
    }
}

fn divided(a: f64, b: f64) -> f64 {
    if b == 0.0 { f64::NAN } else { a / b }
}

fn root(value: f64, index: u32) -> f64 {
    if value < 0.0 {
        if index.is_multiple_of(2) { f64::NAN } else { -root(-value, index) }
    } else if index == 2 {
        value.sqrt()
    } else {
        value.powf(1.0 / f64::from(index))
    }
}

fn power(base: f64, exponent: f64, written: &Expr) -> f64 {
    if base == 0.0 && exponent <= 0.0 {
        return f64::NAN;
    }
    if base < 0.0 && exponent.fract() != 0.0 {
        // An odd root of a negative number is real: (-8)^(1/3) is -2.
        let fraction = written.as_plain_number();
        let parts = fraction.and_then(|f| Some((f.numer().to_i32()?, f.denom().to_u32()?)));
        return match parts {
            Some((n, d)) if d % 2 == 1 => root(base, d).powi(n),
            _ => f64::NAN,
        };
    }
    base.powf(exponent)
}

fn call(function: Function, arguments: &[f64]) -> f64 {
    let Some(&x) = arguments.first() else { return f64::NAN };
    match function {
        Function::Sin => x.sin(),
        Function::Cos => x.cos(),
        Function::Tan => divided(x.sin(), small(x.cos())),
        Function::Sec => divided(1.0, small(x.cos())),
        Function::Csc => divided(1.0, small(x.sin())),
        Function::Cot => divided(x.cos(), small(x.sin())),
        Function::Arcsin => x.asin(),
        Function::Arccos => x.acos(),
        Function::Arctan => x.atan(),
        Function::Arcsec => divided(1.0, x).acos(),
        Function::Arccsc => divided(1.0, x).asin(),
        Function::Arccot => std::f64::consts::FRAC_PI_2 - x.atan(),
        Function::Ln => logarithm(x),
        Function::Log => {
            let base = arguments.get(1).copied().unwrap_or(10.0);
            divided(logarithm(x), logarithm(base))
        }
        Function::Max => arguments.iter().copied().fold(x, f64::max),
        Function::Min => arguments.iter().copied().fold(x, f64::min),
        Function::Floor => x.floor(),
        Function::Ceiling => x.ceil(),
        Function::Hcf | Function::Lcm | Function::Choose | Function::Arrange | Function::Mod => {
            f64::NAN
        }
    }
}

/// A sine or cosine that is zero but for rounding is zero.
fn small(value: f64) -> f64 {
    if value.abs() < 1e-12 { 0.0 } else { value }
}

fn logarithm(x: f64) -> f64 {
    if x > 0.0 { x.ln() } else { f64::NAN }
}

/// Whether two values differ by more than rounding explains.
pub(crate) fn are_apart(a: f64, b: f64) -> bool {
    (a - b).abs() > 1e-7 * a.abs().max(b.abs()).max(1.0)
}
