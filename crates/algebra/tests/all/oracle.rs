//! Verdicts against an oracle of another kind: a plain evaluator that knows nothing of normal forms. What
//! is called equal must agree at every point where both sides are defined; what is called different
//! must differ at the very point that is shown. A false "equivalent" is the worst fault there is.

use algebra::normal::Values;
use algebra::number::from_int;
use algebra::solve::{Solution, Solutions, solutions};
use algebra::verdict::{Condition, Shown};
use algebra::{Expr, ExprKind, Line, Rational, StepVerdict, Verdict, compare, equal, read_line};
use num_traits::{Signed, Zero};
use proptest::prelude::*;
use std::collections::BTreeMap;

type Point = BTreeMap<String, Rational>;

/// The value of an expression at a point; `None` where it is not defined, or beyond this evaluator.
fn value(expr: &Expr, at: &Point) -> Option<Rational> {
    let of = |part: &Expr| value(part, at);
    Some(match &expr.kind {
        ExprKind::Number(written) => written.value().clone(),
        ExprKind::Symbol(name) => at.get(name)?.clone(),
        ExprKind::Negative(a) => -of(a)?,
        ExprKind::Add(a, b) => of(a)? + of(b)?,
        ExprKind::Subtract(a, b) => of(a)? - of(b)?,
        ExprKind::Multiply(a, b) => of(a)? * of(b)?,
        ExprKind::Divide(a, b) => {
            let below = of(b)?;
            if below.is_zero() {
                return None;
            }
            of(a)? / below
        }
        ExprKind::Percent(a) => of(a)? / from_int(100),
        ExprKind::Absolute(a) => of(a)?.abs(),
        ExprKind::Power(a, b) => {
            let (base, exponent) = (of(a)?, of(b)?);
            let n = num_traits::ToPrimitive::to_i32(
                &exponent.is_integer().then(|| exponent.to_integer())?,
            )?;
            // 0^0 and powers of zero with a negative exponent are not defined.
            if base.is_zero() && n <= 0 || n.abs() > 12 {
                return None;
            }
            let size = (0..n.abs()).fold(from_int(1), |power, _| power * &base);
            if n < 0 { size.recip() } else { size }
        }
        _ => return None,
    })
}

/// Whether an equation is true at a point; `None` where a side is not defined.
fn truth(line: &Line, at: &Point) -> Option<bool> {
    let (left, right) = line.as_equation()?;
    Some(value(left, at)? == value(right, at)?)
}

fn number() -> impl Strategy<Value = Expr> {
    prop_oneof![
        4 => (0i64..7).prop_map(Expr::int),
        1 => (1i64..5, 2i64..5).prop_map(|(a, b)| Expr::int(a).over(Expr::int(b))),
    ]
}

fn tree(letters: &'static [&'static str]) -> impl Strategy<Value = Expr> {
    let leaf = prop_oneof![number(), prop::sample::select(letters).prop_map(Expr::symbol)];
    leaf.prop_recursive(4, 24, 2, |inner| {
        let pair = (inner.clone(), inner.clone());
        prop_oneof![
            3 => pair.clone().prop_map(|(a, b)| a.plus(b)),
            3 => pair.clone().prop_map(|(a, b)| a.minus(b)),
            4 => pair.clone().prop_map(|(a, b)| a.times(b)),
            2 => pair.prop_map(|(a, b)| a.over(b)),
            1 => inner.clone().prop_map(Expr::negative),
            1 => (inner, 0u32..4).prop_map(|(a, n)| a.to_the(n)),
        ]
    })
}

/// A rewriting that keeps the value, or nearly does; the verdict must find out which.
fn rewritten(expr: &Expr, how: u8) -> Expr {
    let other = |a: &Expr| rewritten(a, how.rotate_left(3) ^ 0x5a);
    match (&expr.kind, how % 7) {
        (ExprKind::Add(a, b), 0) => other(b).plus(other(a)),
        (ExprKind::Multiply(a, b), 0) => other(b).times(other(a)),
        (ExprKind::Subtract(a, b), 0) => other(a).plus(other(b).negative()),
        (ExprKind::Subtract(a, b), 1) => other(b).minus(other(a)), // wrong, unless both are equal
        (ExprKind::Multiply(a, b), 2) => match &b.kind {
            ExprKind::Add(c, d) => other(a).times(other(c)).plus(other(a).times(other(d))),
            _ => other(a).times(other(b)),
        },
        (ExprKind::Multiply(a, b), 3) => match &b.kind {
            // The slip: only the first term is multiplied.
            ExprKind::Add(c, d) => other(a).times(other(c)).plus(other(d)),
            _ => other(a).times(other(b)),
        },
        (ExprKind::Divide(a, b), 4) => {
            other(a).times(Expr::int(2)).over(other(b).times(Expr::int(2)))
        }
        (ExprKind::Divide(a, b), 5) => other(b).over(other(a)), // wrong, mostly
        (ExprKind::Add(a, b), _) => other(a).plus(other(b)),
        (ExprKind::Subtract(a, b), _) => other(a).minus(other(b)),
        (ExprKind::Multiply(a, b), _) => other(a).times(other(b)),
        (ExprKind::Divide(a, b), _) => other(a).over(other(b)),
        (ExprKind::Negative(a), _) => other(a).negative(),
        _ => expr.clone(),
    }
}

fn points(letters: &[&str]) -> Vec<Point> {
    let numbers = [-3, -2, -1, 0, 1, 2, 3, 5].map(from_int);
    let numbers = numbers.into_iter().chain([Rational::new(1.into(), 3.into())]);
    let mut found = vec![Point::new()];
    for letter in letters {
        let each = |point: &Point| {
            numbers
                .clone()
                .map(|n| {
                    let mut more = point.clone();
                    more.insert((*letter).to_owned(), n);
                    more
                })
                .collect::<Vec<_>>()
        };
        found = found.iter().flat_map(each).collect();
    }
    found
}

/// Whether a line of relations is true at a point; `None` where a side is not defined.
fn holds(line: &Line, at: &Point) -> Option<bool> {
    match line {
        Line::AnyOf(lines) => Some(lines.iter().any(|line| holds(line, at) == Some(true))),
        Line::Relations { sides, relations } => {
            let mut all = true;
            for (pair, relation) in sides.windows(2).zip(relations) {
                let apart = value(&pair[0], at)? - value(&pair[1], at)?;
                let sign = i8::from(apart.is_positive()) - i8::from(apart.is_negative());
                all &= relation.holds_for(sign) == Some(true);
            }
            Some(all)
        }
        _ => None,
    }
}

/// A point whose values are all rational.
fn rational(at: &Values) -> Point {
    at.iter().map(|(l, v)| (l.clone(), v.as_constant().expect("a rational point"))).collect()
}

/// Whether every condition of a verdict holds at a point.
fn is_within(conditions: &[Condition], at: &Point) -> bool {
    conditions.iter().all(|condition| match condition {
        Condition::Not { letter, value } => at.get(letter) != Some(value),
        Condition::NotZero(expr) => value(expr, at).is_none_or(|v| !v.is_zero()),
        Condition::NotNegative(expr) => value(expr, at).is_none_or(|v| !v.is_negative()),
        Condition::Positive(expr) => value(expr, at).is_none_or(|v| v.is_positive()),
        Condition::Holds(line) => holds(line, at).unwrap_or(true),
        Condition::Whole(expr) => value(expr, at).is_none_or(|v| v.is_integer()),
    })
}

fn check_expressions(left: &Expr, right: &Expr, letters: &[&str]) -> Result<(), TestCaseError> {
    let shown = || format!("{} and {}", algebra::write::text(left), algebra::write::text(right));
    match equal(left, right) {
        Verdict::Equal { provided } => {
            for at in points(letters) {
                if let (Some(a), Some(b)) = (value(left, &at), value(right, &at)) {
                    prop_assert_eq!(a, b, "{} at {:?}", shown(), at);
                    prop_assert!(is_within(&provided, &at), "{} is defined at {:?}", shown(), at);
                }
            }
        }
        Verdict::Different(found) => {
            let at = rational(&found.at);
            let (a, b) = (value(left, &at), value(right, &at));
            prop_assert!(a.is_some() && b.is_some() && a != b, "{} at {:?}", shown(), found.at);
            let told = |side: &Shown| match side {
                Shown::Value(expr) => value(expr, &Point::new()),
                Shown::Truth(_) => None,
            };
            prop_assert_eq!((told(&found.left), told(&found.right)), (a, b), "{}", shown());
        }
        Verdict::NeverDefined => {
            for at in points(letters) {
                let both = value(left, &at).is_some() && value(right, &at).is_some();
                prop_assert!(!both, "{} is defined at {:?}", shown(), at);
            }
        }
        Verdict::Tested { .. } | Verdict::Undecided => {}
    }
    Ok(())
}

fn check_equations(from: &Line, to: &Line) -> Result<(), TestCaseError> {
    let shown =
        || format!("{} and {}", algebra::write::text_line(from), algebra::write::text_line(to));
    let at = |x: &Rational| Point::from([("x".to_owned(), x.clone())]);
    match compare(from, to, Some("x")) {
        StepVerdict::Equivalent { .. } => {
            for point in points(&["x"]) {
                // What is not defined is no solution.
                let (a, b) = (truth(from, &point), truth(to, &point));
                prop_assert_eq!(
                    a.unwrap_or(false),
                    b.unwrap_or(false),
                    "{} at {:?}",
                    shown(),
                    point
                );
            }
        }
        StepVerdict::NotEquivalent(found) => {
            for (values, has, lacks) in [(&found.lost, from, to), (&found.gained, to, from)] {
                for x in values {
                    let Some(x) = x.as_rational() else { continue };
                    prop_assert_eq!(truth(has, &at(&x)), Some(true), "{} at {}", shown(), x);
                    prop_assert!(truth(lacks, &at(&x)) != Some(true), "{} at {}", shown(), x);
                }
            }
            if let Some(example) = &found.counterexample {
                let at = rational(&example.at);
                let (a, b) = (truth(from, &at), truth(to, &at));
                prop_assert!(a.unwrap_or(false) != b.unwrap_or(false), "{}", shown());
            }
        }
        StepVerdict::Tested { .. } | StepVerdict::Undecided => {}
    }
    Ok(())
}

fn linear() -> impl Strategy<Value = Expr> {
    (-6i64..7, -9i64..10).prop_map(|(a, b)| {
        let signed = |n: i64| if n < 0 { Expr::int(-n).negative() } else { Expr::int(n) };
        signed(a).times(Expr::symbol("x")).plus(signed(b))
    })
}

proptest! {
    #![proptest_config(crate::cases(1_500))]

    #[test]
    fn one_letter(expr in tree(&["x"]), how in any::<u8>()) {
        check_expressions(&expr, &rewritten(&expr, how), &["x"])?;
    }

    #[test]
    fn two_letters(expr in tree(&["x", "y"]), how in any::<u8>()) {
        check_expressions(&expr, &rewritten(&expr, how), &["x", "y"])?;
    }

    #[test]
    fn unrelated_expressions(left in tree(&["x", "y"]), right in tree(&["x", "y"])) {
        check_expressions(&left, &right, &["x", "y"])?;
    }

    #[test]
    fn equations_that_were_rewritten(left in tree(&["x"]), right in tree(&["x"]), how in any::<(u8, u8)>()) {
        let from = Line::equation(left.clone(), right.clone());
        let to = Line::equation(rewritten(&left, how.0), rewritten(&right, how.1));
        check_equations(&from, &to)?;
    }

    #[test]
    fn equations_moved_about(a in linear(), b in linear(), c in linear(), k in 1i64..7) {
        let from = Line::equation(a.clone(), b.clone());
        let k = Expr::int(k);
        for to in [
            Line::equation(b.clone(), a.clone()),
            Line::equation(a.clone().plus(c.clone()), b.clone().plus(c.clone())),
            Line::equation(a.clone().minus(c.clone()), b.clone().minus(c.clone())),
            Line::equation(k.clone().times(a.clone()), k.clone().times(b.clone())),
            Line::equation(a.clone().over(k.clone()), b.clone().over(k)),
        ] {
            let verdict = compare(&from, &to, None);
            prop_assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{:?}", verdict);
        }
        // Times an expression that may be zero: it adds, or it keeps; it never loses.
        let times = Line::equation(a.times(c.clone()), b.times(c));
        if let StepVerdict::NotEquivalent(found) = compare(&from, &times, Some("x")) {
            prop_assert!(found.lost.is_empty());
        }
        check_equations(&from, &times)?;
    }

    #[test]
    fn solutions_solve(roots in prop::collection::vec(-5i64..6, 1..4), k in 1i64..4) {
        let factors = roots.iter().map(|&root| match root {
            r if r < 0 => Expr::symbol("x").plus(Expr::int(-r)),
            r => Expr::symbol("x").minus(Expr::int(r)),
        });
        let product = factors.fold(Expr::int(k), Expr::times);
        let line = Line::equation(product, Expr::int(0));
        let mut expected: Vec<Rational> = roots.iter().map(|&root| from_int(root)).collect();
        expected.sort();
        expected.dedup();
        let Ok(Solutions::Finite(found)) = solutions(&line, "x") else {
            return Err(TestCaseError::fail("not solved"));
        };
        let mut found: Vec<_> = found.iter().filter_map(Solution::as_rational).collect();
        found.sort();
        prop_assert_eq!(found, expected);
    }

    #[test]
    fn any_two_lines_are_answered(a in "[-+*/^=<>()|0-9.x y:,;%!√²]{0,18}", b in "[-+*/^=<>()|0-9.xy:]{0,18}") {
        if let (Ok(a), Ok(b)) = (read_line(&a), read_line(&b)) {
            let _ = compare(&a.line, &b.line, None);
            let _ = compare(&a.line, &b.line, Some("x"));
        }
    }
}
