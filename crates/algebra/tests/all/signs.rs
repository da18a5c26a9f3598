//! Inequalities and equations between products of polynomials, quotients, sizes and roots, against floating point:
//! what is said to be true everywhere, nowhere, or in intervals, is.

use algebra::solve::{Interval, Solutions, solutions_given};
use algebra::{Assumptions, read_line};
use num_traits::ToPrimitive;
use proptest::prelude::*;

/// A polynomial with small whole coefficients, lowest power first.
type Factor = Vec<i32>;

fn factor() -> impl Strategy<Value = Factor> {
    let lead = prop_oneof![Just(1), Just(1), Just(2), Just(-1)];
    (prop::collection::vec(-9i32..=9, 1..=3), lead).prop_map(|(mut lower, lead)| {
        lower.push(lead);
        lower
    })
}

fn typed(factor: &Factor) -> String {
    let terms: Vec<String> =
        factor.iter().enumerate().map(|(power, c)| format!("({c})x^{power}")).collect();
    format!("({})", terms.join(" + ").replace("x^0", ""))
}

fn value(factor: &Factor, x: f64) -> f64 {
    factor.iter().rev().fold(0.0, |sum, &c| sum * x + f64::from(c))
}

/// What stands on the right: nothing, a root, a size, or a quotient.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Right {
    Zero,
    Root,
    Size,
    Quotient,
}

/// The ends of an interval, as far as floating point tells them; infinite where it goes on for ever.
fn ends(interval: &Interval) -> (f64, f64) {
    let decimal = |value| {
        let mut budget = algebra::budget::Budget::for_verdict();
        let inside = algebra::normal::constant::enclose(value, 64, &mut budget);
        inside.and_then(|inside| inside.low().to_f64()).expect("an end has a value")
    };
    let low = interval.low.as_ref().map_or(f64::NEG_INFINITY, |end| decimal(&end.value));
    let high = interval.high.as_ref().map_or(f64::INFINITY, |end| decimal(&end.value));
    (low, high)
}

/// Whether an interval has a number in it; near its ends nothing is said.
fn holds((low, high): (f64, f64), x: f64) -> Option<bool> {
    let is_near = (low - x).abs() < 1e-4 || (high - x).abs() < 1e-4;
    (!is_near).then_some(low < x && x < high)
}

proptest! {
    #![proptest_config(crate::cases(600))]

    #[test]
    fn what_is_said_of_the_whole_line_is_seen_along_it(
        factors in prop::collection::vec(factor(), 1..=3),
        other in factor(),
        below in factor(),
        right in prop_oneof![Just(Right::Zero), Just(Right::Zero), Just(Right::Root), Just(Right::Size), Just(Right::Quotient)],
        sign in prop_oneof![Just("<"), Just(">"), Just("<="), Just(">=")],
    ) {
        let left: String = factors.iter().map(typed).collect();
        let shown = match right {
            Right::Zero => "0".to_owned(),
            Right::Root => format!("sqrt{}", typed(&other)),
            Right::Size => format!("abs{}", typed(&other)),
            Right::Quotient => format!("{}/{}", typed(&other), typed(&below)),
        };
        let text = format!("{left} {sign} {shown}");
        let line = read_line(&text).expect("it can be read").line;
        let Ok(found) = solutions_given(&line, "x", &Assumptions::default()) else { return Ok(()) };
        let intervals: Vec<(f64, f64)> = match &found {
            Solutions::Intervals(all) => all.iter().map(ends).collect(),
            _ => Vec::new(),
        };
        for step in -800..=800 {
            let x = f64::from(step) * 0.0137 + 0.0031;
            let product: f64 = factors.iter().map(|factor| value(factor, x)).product();
            let against = match right {
                Right::Zero => 0.0,
                Right::Root => value(&other, x).sqrt(),
                Right::Size => value(&other, x).abs(),
                Right::Quotient => value(&other, x) / value(&below, x),
            };
            let difference = product - against;
            // Where it is close nothing is seen, and where there is no value it is not true.
            if difference.abs() < 1e-6 * (1.0 + product.abs()) {
                continue;
            }
            let truth = if sign.starts_with('<') { difference < 0.0 } else { difference > 0.0 };
            let told = match &found {
                Solutions::AllReals => Some(true),
                Solutions::Finite(_) => Some(false),
                Solutions::Repeating => None,
                Solutions::Intervals(_) => {
                    let each: Vec<_> = intervals.iter().map(|&one| holds(one, x)).collect();
                    if each.contains(&Some(true)) {
                        Some(true)
                    } else if each.contains(&None) {
                        None
                    } else {
                        Some(false)
                    }
                }
            };
            if let Some(told) = told {
                prop_assert_eq!(told, truth, "{} at {}: {:?}", text, x, found);
            }
        }
    }
}
