//! Solutions that only a function tells, against floating point: each of them is one, and none is missing.
//!
//! The equations are `a·g(x) + b·x² + c·x + d = 0` with small whole numbers and a function `g` that has no inverse
//! together with the rest, and waves that are shifted.

use algebra::solve::{Solution, Solutions, solutions_given};
use algebra::{Assumptions, read_line};
use proptest::prelude::*;

/// A function as it is typed, and in floating point; `NaN` where it is not defined.
type Shape = (&'static str, fn(f64) -> f64);

const SHAPES: &[Shape] = &[
    ("e^x", f64::exp),
    ("2^x", f64::exp2),
    ("e^(-x)", |x| (-x).exp()),
    ("x e^x", |x| x * x.exp()),
    ("ln x", f64::ln),
    ("x ln x", |x| x * x.ln()),
    ("sin x", f64::sin),
    ("cos x", f64::cos),
    ("arctan x", f64::atan),
    ("sqrt(x)", f64::sqrt),
    ("ln(x^2+1)", |x| (x * x + 1.0).ln()),
    ("e^(x/2)", |x| (x / 2.0).exp()),
    ("x^x", |x| if x > 0.0 { x.powf(x) } else { f64::NAN }),
];

/// How far the line is looked at, and in what steps.
const FURTHEST: f64 = 12.0;
const STEPS: usize = 24_000;

fn decimal(solution: &Solution) -> f64 {
    let value = algebra::normal::constant::enclose(
        solution.value(),
        64,
        &mut algebra::budget::Budget::for_verdict(),
    );
    let low = value.expect("a solution has a value").low();
    num_traits::ToPrimitive::to_f64(&low).expect("it is a number")
}

/// Places between which floating point sees the sign change where the function has no jump.
fn sign_changes(f: impl Fn(f64) -> f64) -> Vec<f64> {
    let at = |step: usize| -FURTHEST + 2.0 * FURTHEST * (step as f64 + 0.37) / STEPS as f64;
    (0..STEPS)
        .filter(|&step| {
            let (a, b) = (f(at(step)), f(at(step + 1)));
            a.is_finite() && b.is_finite() && (a < 0.0) != (b < 0.0) && (a - b).abs() < 1.0
        })
        .map(at)
        .collect()
}

proptest! {
    #![proptest_config(crate::cases(160))]

    #[test]
    fn every_solution_is_one_and_none_is_missing(
        shape in 0..SHAPES.len(),
        a in prop_oneof![-3i32..=-1, 1i32..=3],
        b in -1i32..=1,
        c in -4i32..=4,
        d in -5i32..=5,
    ) {
        let (typed, g) = SHAPES[shape];
        let text = format!("({a})*{typed} + ({b}) x^2 + ({c}) x + ({d}) = 0");
        let line = read_line(&text).expect("it can be read").line;
        let f = |x: f64| f64::from(a) * g(x) + f64::from(b) * x * x + f64::from(c) * x + f64::from(d);
        // What is not found says so.
        if let Ok(Solutions::Finite(found)) = solutions_given(&line, "x", &Assumptions::default()) {
            let found: Vec<f64> = found.iter().map(decimal).collect();
            for &x in &found {
                let slope = ((f(x + 1e-6) - f(x - 1e-6)) / 2e-6).abs();
                // At the end of a domain there is no slope.
                let near = if slope.is_finite() { 1e-4 * (1.0 + slope) } else { 1e-3 };
                prop_assert!(f(x).abs() < near, "{text}: {x} gives {}", f(x));
            }
            for change in sign_changes(f) {
                let is_known = found.iter().any(|x| (x - change).abs() < 2e-3);
                prop_assert!(is_known, "{text}: no solution near {change} in {found:?}");
            }
        }
    }

    /// A sine that is shifted by whole degrees, over one turn.
    #[test]
    fn a_shifted_wave_has_the_solutions_of_its_picture(
        is_sine in any::<bool>(),
        a in 1i32..6,
        k in -6i32..=6,
        shift in 0i32..360,
    ) {
        let (name, g): Shape = if is_sine { ("sin", f64::sin) } else { ("cos", f64::cos) };
        let text = format!("{a} {name}(x + {shift}°) = {k}");
        let line = read_line(&text).expect("it can be read").line;
        let assumed = Assumptions::read(["0 <= x < 2pi"]).expect("an assumption");
        let f = |x: f64| f64::from(a) * g(x + f64::from(shift).to_radians()) - f64::from(k);
        let Ok(Solutions::Finite(found)) = solutions_given(&line, "x", &assumed) else {
            return Err(TestCaseError::fail(format!("{text}: not found")));
        };
        let expected = match k.abs().cmp(&a) {
            std::cmp::Ordering::Less => 2,
            std::cmp::Ordering::Equal => 1,
            std::cmp::Ordering::Greater => 0,
        };
        prop_assert_eq!(found.len(), expected, "{}", text);
        for x in found.iter().map(decimal) {
            prop_assert!(f(x).abs() < 1e-6, "{text}: {x} gives {}", f(x));
        }
    }
}
