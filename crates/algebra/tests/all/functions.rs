//! Verdicts on functions against an oracle of another kind: plain floating point, which knows no normal
//! forms and no relations between kernels. What is called equal must agree wherever both sides have a
//! value; what is called different must differ at the point that is shown; a chain of laws of the trade
//! must never be called different.

use algebra::expr::{Constant, Function};
use algebra::{Expr, ExprKind, StepVerdict, Verdict, compare, equal, read_line};
use proptest::prelude::*;
use std::collections::BTreeMap;

type Point = BTreeMap<String, f64>;

/// The value at a point; `NaN` where there is none.
fn value(expr: &Expr, at: &Point) -> f64 {
    let of = |part: &Expr| value(part, at);
    match &expr.kind {
        ExprKind::Number(written) => {
            let text = algebra::number::to_decimal_text(written.value(), 17);
            text.parse().expect("a decimal")
        }
        ExprKind::Symbol(name) => at.get(name).copied().unwrap_or(f64::NAN),
        ExprKind::Constant(Constant::Pi) => std::f64::consts::PI,
        ExprKind::Constant(Constant::Euler) => std::f64::consts::E,
        ExprKind::Negative(a) => -of(a),
        ExprKind::Add(a, b) => of(a) + of(b),
        ExprKind::Subtract(a, b) => of(a) - of(b),
        ExprKind::Multiply(a, b) => of(a) * of(b),
        ExprKind::Divide(a, b) => {
            if of(b).abs() < 1e-9 {
                f64::NAN
            } else {
                of(a) / of(b)
            }
        }
        ExprKind::Power(a, b) => {
            let (base, exponent) = (of(a), of(b));
            let tiny = base.abs() < 1e-9 && exponent < 1e-9;
            if tiny || (base < 0.0 && exponent.fract() != 0.0) {
                f64::NAN
            } else {
                base.powf(exponent)
            }
        }
        ExprKind::Root { index, radicand } => {
            let inside = of(radicand);
            if inside < 0.0 && index % 2 == 0 {
                f64::NAN
            } else {
                inside.signum() * inside.abs().powf(1.0 / f64::from(*index))
            }
        }
        ExprKind::Absolute(a) => of(a).abs(),
        ExprKind::Call { function, arguments } => {
            let x = of(&arguments[0]);
            match function {
                Function::Sin => snapped(x.sin()),
                Function::Cos => snapped(x.cos()),
                Function::Tan if x.cos().abs() > 1e-9 => x.tan(),
                Function::Ln if x > 1e-9 => x.ln(),
                Function::Arctan => x.atan(),
                Function::Arcsin => x.asin(),
                _ => f64::NAN,
            }
        }
        _ => f64::NAN,
    }
}

/// What is zero but for rounding is zero.
fn snapped(value: f64) -> f64 {
    if value.abs() < 1e-12 { 0.0 } else { value }
}

fn call(function: Function, argument: Expr) -> Expr {
    ExprKind::Call { function, arguments: vec![argument] }.into()
}

fn power(base: Expr, exponent: Expr) -> Expr {
    ExprKind::Power(Box::new(base), Box::new(exponent)).into()
}

fn root(index: u32, radicand: Expr) -> Expr {
    ExprKind::Root { index, radicand: Box::new(radicand) }.into()
}

fn tree(letters: &'static [&'static str]) -> impl Strategy<Value = Expr> {
    let leaf = prop_oneof![
        3 => (0i64..6).prop_map(Expr::int),
        1 => (1i64..4, 2i64..4).prop_map(|(a, b)| Expr::int(a).over(Expr::int(b))),
        5 => prop::sample::select(letters).prop_map(Expr::symbol),
        1 => Just(Expr::from(ExprKind::Constant(Constant::Pi))),
    ];
    leaf.prop_recursive(4, 14, 2, |inner| {
        let pair = (inner.clone(), inner.clone());
        prop_oneof![
            3 => pair.clone().prop_map(|(a, b)| a.plus(b)),
            2 => pair.clone().prop_map(|(a, b)| a.minus(b)),
            3 => pair.clone().prop_map(|(a, b)| a.times(b)),
            1 => pair.prop_map(|(a, b)| a.over(b)),
            1 => (inner.clone(), 1u32..4).prop_map(|(a, n)| a.to_the(n)),
            2 => (inner.clone(), 2u32..4).prop_map(|(a, n)| root(n, a)),
            1 => inner.clone().prop_map(|a| ExprKind::Absolute(Box::new(a)).into()),
            2 => inner.clone().prop_map(|a| call(Function::Sin, a)),
            2 => inner.clone().prop_map(|a| call(Function::Cos, a)),
            1 => inner.clone().prop_map(|a| call(Function::Tan, a)),
            1 => inner.clone().prop_map(|a| call(Function::Ln, a)),
            1 => inner.clone().prop_map(|a| call(Function::Arctan, a)),
            1 => inner.prop_map(|a| power(Expr::int(2), a)),
        ]
    })
}

/// A law of the trade applied at the top, or a slip that looks like one.
fn rewritten(expr: &Expr, how: u8, wrong: bool) -> Expr {
    let other = |a: &Expr| rewritten(a, how.rotate_left(3) ^ 0x5a, wrong);
    let two = || Expr::int(2);
    match &expr.kind {
        ExprKind::Root { index: 2, radicand } => match &radicand.kind {
            ExprKind::Multiply(a, b) => root(2, other(a)).times(root(2, other(b))),
            ExprKind::Power(a, b) if **b == two() => ExprKind::Absolute(Box::new(other(a))).into(),
            ExprKind::Add(a, b) if wrong => root(2, other(a)).plus(root(2, other(b))),
            _ => power(other(radicand), Expr::int(1).over(two())),
        },
        ExprKind::Call { function, arguments } => {
            let a = &arguments[0];
            match (function, &a.kind) {
                (Function::Ln, ExprKind::Multiply(p, q)) => {
                    call(Function::Ln, other(p)).plus(call(Function::Ln, other(q)))
                }
                (Function::Ln, ExprKind::Add(p, q)) if wrong => {
                    call(Function::Ln, other(p)).plus(call(Function::Ln, other(q)))
                }
                (Function::Sin, ExprKind::Add(p, q)) => {
                    let (p, q) = (other(p), other(q));
                    let first =
                        call(Function::Sin, p.clone()).times(call(Function::Cos, q.clone()));
                    let second = call(Function::Cos, p).times(call(Function::Sin, q));
                    if wrong { first.minus(second) } else { first.plus(second) }
                }
                (Function::Cos, _) if how.is_multiple_of(2) => {
                    // cos a = 1 - 2 sin²(a/2)
                    let half = call(Function::Sin, other(a).over(two())).to_the(2);
                    let factor = if wrong { Expr::int(1) } else { two() };
                    Expr::int(1).minus(factor.times(half))
                }
                (Function::Tan, _) => {
                    call(Function::Sin, other(a)).over(call(Function::Cos, other(a)))
                }
                _ => call(*function, other(a)),
            }
        }
        ExprKind::Power(a, b) => match &b.kind {
            ExprKind::Add(p, q) => power(other(a), other(p)).times(power(other(a), other(q))),
            _ => power(other(a), other(b)),
        },
        ExprKind::Absolute(a) => match &a.kind {
            ExprKind::Multiply(p, q) => {
                let size = |e: &Expr| Expr::from(ExprKind::Absolute(Box::new(other(e))));
                size(p).times(size(q))
            }
            _ => ExprKind::Absolute(Box::new(other(a).negative())).into(),
        },
        ExprKind::Add(a, b) => other(b).plus(other(a)),
        ExprKind::Subtract(a, b) if wrong && how.is_multiple_of(3) => other(b).minus(other(a)),
        ExprKind::Subtract(a, b) => other(a).minus(other(b)),
        ExprKind::Multiply(a, b) => match &b.kind {
            ExprKind::Add(c, d) => other(a).times(other(c)).plus(other(a).times(other(d))),
            _ => other(b).times(other(a)),
        },
        ExprKind::Divide(a, b) => other(a).over(other(b)),
        _ => expr.clone(),
    }
}

fn points() -> Vec<Point> {
    let numbers = [-2.7, -1.3, -0.6, 0.2, 0.45, 0.83, 1.2, 1.9, 3.3, 7.1];
    let at = |x: f64, y: f64| Point::from([("x".to_owned(), x), ("y".to_owned(), y)]);
    numbers.iter().enumerate().map(|(i, &x)| at(x, numbers[(i * 3 + 1) % numbers.len()])).collect()
}

fn agree(a: f64, b: f64) -> bool {
    !(a.is_finite() && b.is_finite()) || a.abs() > 1e12 || (a - b).abs() <= 1e-5 * a.abs().max(1.0)
}

fn check(left: &Expr, right: &Expr) -> Result<Verdict, TestCaseError> {
    let shown = || format!("{} and {}", algebra::write::text(left), algebra::write::text(right));
    let verdict = equal(left, right);
    match &verdict {
        Verdict::Equal { .. } => {
            for at in points() {
                let (a, b) = (value(left, &at), value(right, &at));
                prop_assert!(agree(a, b), "{}: {} against {} at {:?}", shown(), a, b, at);
            }
        }
        Verdict::Different(found) => {
            let at = found.at.iter().map(|(l, v)| (l.clone(), value(&v.to_expr(), &Point::new())));
            let at: Point = at.collect();
            let (a, b) = (value(left, &at), value(right, &at));
            // Rounding may hide a small difference, but not show values that are not there.
            let both = (a.is_finite() && b.is_finite()) || a.is_nan() || b.is_nan();
            prop_assert!(both, "{} at {:?}", shown(), at);
        }
        Verdict::NeverDefined => {
            for at in points() {
                let (a, b) = (value(left, &at), value(right, &at));
                prop_assert!(!(a.is_finite() && b.is_finite()), "{} at {:?}", shown(), at);
            }
        }
        Verdict::Tested { .. } | Verdict::Undecided => {}
    }
    Ok(verdict)
}

proptest! {
    #![proptest_config(crate::cases(400))]

    #[test]
    fn random_pairs_are_never_called_equal_wrongly(a in tree(&["x", "x", "y"]), b in tree(&["x", "x", "y"])) {
        check(&a, &b)?;
    }

    #[test]
    fn laws_are_never_called_different(a in tree(&["x", "x", "y"]), how in any::<u8>()) {
        let verdict = check(&a, &rewritten(&a, how, false))?;
        let wrong = matches!(verdict, Verdict::Different(_));
        prop_assert!(!wrong, "{} became {}: {:?}", algebra::write::text(&a),
            algebra::write::text(&rewritten(&a, how, false)), verdict);
    }

    #[test]
    fn slips_are_never_called_equal_wrongly(a in tree(&["x", "x", "y"]), how in any::<u8>()) {
        check(&a, &rewritten(&a, how, true))?;
    }

    /// Solutions that are called lost or gained satisfy one line and not the other.
    #[test]
    fn solutions_are_told_truly(a in tree(&["x"]), b in tree(&["x"]), c in 0i64..4) {
        let line = |side: &Expr| {
            algebra::Line::equation(side.clone(), Expr::int(c))
        };
        let (from, to) = (line(&a), line(&b));
        if let StepVerdict::NotEquivalent(found) = compare(&from, &to, Some("x")) {
            for (values, has) in [(&found.lost, &a), (&found.gained, &b)] {
                for solution in values {
                    let x = value(&solution.value().to_expr(), &Point::new());
                    let at = Point::from([("x".to_owned(), x)]);
                    let here = value(has, &at);
                    // What is shown is rounded: where the line is steep its sides are far apart there, and meet beside it.
                    let beside = |by: f64| value(has, &Point::from([("x".to_owned(), x + by)])) - c as f64;
                    let crosses = beside(-1e-6) * beside(1e-6) <= 0.0;
                    let near = here.is_nan() || x.is_nan() || (here - c as f64).abs() < 1e-3 * x.abs().max(1.0) || crosses;
                    prop_assert!(near, "{} = {} at {}", algebra::write::text(has), c, x);
                }
            }
        }
    }
}

/// False verdicts that were found once, each with what is right.
#[test]
#[rustfmt::skip]
fn what_went_wrong_once_stays_right() {
    for (from, to, is_equal) in [
        // `·` before another function ends the argument of the first.
        ("log_2 3 · log_3 2", "1", true),
        ("sin x (2cos x - 1)", "2 sin x cos x - sin x", true),
        // The logarithm of a size is not that of the letter: this has values where x < -1.
        ("√(ln(0 - x))", "(ln(0 - x))^(1/2)", true),
        // Both are defined, and zero, wherever x is not negative.
        ("√(|x| - x)", "(x - |x|)^(1/2)", false),
    ] {
        let read = |text: &str| read_line(text).expect(text).line;
        let verdict = compare(&read(from), &read(to), None);
        let right = match verdict {
            StepVerdict::Equivalent { .. } => is_equal,
            StepVerdict::NotEquivalent(_) => false,
            StepVerdict::Tested { .. } | StepVerdict::Undecided => !is_equal,
        };
        assert!(right, "{from} -> {to}: {verdict:?}");
    }
}
