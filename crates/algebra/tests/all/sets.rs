//! The solutions of lines in one unknown, each exactly.

use algebra::solve::{
    Solution, Solutions, Step, one_unknown, solution_line, solutions, solutions_given,
};
use algebra::write::text_line;
use algebra::{Assumptions, Line, Role, StepVerdict, compare, judge_alone, read_line};
use proptest::prelude::*;

fn line(text: &str) -> Line {
    read_line(text).unwrap_or_else(|error| panic!("{text}: {error:?}")).line
}

fn shown(found: &Solutions) -> String {
    solution_line(found, "x").map_or_else(|| "for ever".into(), |line| text_line(&line))
}

#[test]
#[rustfmt::skip]
fn solutions_are_found_exactly() {
    for (problem, expected) in [
        // polynomials and quotients
        ("2x + 3 = 11",              "x = 4"),
        ("x^2 = 2",                  "x = -√(2) or x = √(2)"),
        ("x^2 - 3x + 1 = 0",         "x = (3 - √(5))/2 or x = (3 + √(5))/2"),
        ("x^3 = 2",                  "x = ∛(2)"),
        ("(x + 1)^3 = 2",            "x = -1 + ∛(2)"),
        ("x^4 - 10x^2 + 1 = 0",      "x = -√(2) - √(3) or x = √(2) - √(3) or x = √(3) - √(2) or x = √(2) + √(3)"),
        ("x^3 - 3x + 1 = 0",         "x ≈ -1.879385 or x ≈ 0.347296 or x ≈ 1.532089"),
        ("x/x = 1",                  "x < 0 or x > 0"),
        ("(x^2 - 4)/(x - 2) = 0",    "x = -2"),
        ("1/x = 0",                  "no solution"),
        // roots and absolute values
        ("√(x + 6) = x",             "x = 3"),
        ("√x = -1",                  "no solution"),
        ("√(x^2) = -x",              "x ≤ 0"),
        ("∛x = -2",                  "x = -8"),
        ("√(x + √x) = √6",           "x = 4"),
        ("|x| + |x - 1| = 1",        "0 ≤ x ≤ 1"),
        ("|x| = x",                  "x ≥ 0"),
        ("||x| - 2| = 1",            "x = -3 or x = -1 or x = 1 or x = 3"),
        // exponentials and logarithms
        ("2^x = 1/8",                "x = -3"),
        ("2^x = 0",                  "no solution"),
        ("x 2^x - 2^x = 0",          "x = 1"),
        ("ln x + ln(x - 1) = ln 2",  "x = 2"),
        ("ln(x^2) = 0",              "x = -1 or x = 1"),
        ("e^x = e^(-x)",             "x = 0"),
        // circular functions
        ("sin x = 2",                "no solution"),
        ("sin x = 0",                "for ever"),
        ("arcsin x = π/6",           "x = 1/2"),
        // inequalities
        ("x^2 < 2",                  "-√(2) < x < √(2)"),
        ("(x - 1)/(x + 2) >= 0",     "x < -2 or x ≥ 1"),
        ("√x < 3",                   "0 ≤ x < 9"),
        ("ln x > 0",                 "x > 1"),
        ("x^2 >= 0",                 "all real numbers"),
        ("x > 2 and x < 1",          "no solution"),
        ("x ≠ 2",                    "x < 2 or x > 2"),
    ] {
        let found = solutions(&line(problem), "x").unwrap_or_else(|why| panic!("{problem}: {why:?}"));
        assert_eq!(shown(&found), expected, "{problem}");
    }
}

#[test]
#[rustfmt::skip]
fn assumptions_narrow_the_solutions() {
    for (problem, assumed, expected) in [
        ("x^2 = 9",      "x > 0",       "x = 3"),
        ("x^2 < 10",     "x > 0",       "0 < x < √(10)"),
        ("sin x = 1/2",  "0 <= x < 2π", "x = π/6 or x = 5π/6"),
        ("tan x = 1",    "0 <= x <= π", "x = π/4"),
        ("2x = 3",       "x integer",   "no solution"),
        ("x^2 = 16",     "positive",    "x = 4"),
    ] {
        let given = Assumptions::read([assumed]).expect("assumptions");
        let found = solutions_given(&line(problem), "x", &given)
            .unwrap_or_else(|why| panic!("{problem}: {why:?}"));
        assert_eq!(shown(&found), expected, "{problem} with {assumed}");
    }
}

#[test]
fn what_is_no_assumption_is_told() {
    for text in ["blue", "x +", "x = 3 or x = 4", ""] {
        assert!(Assumptions::read([text]).is_err(), "{text}");
    }
}

/// Every line of a working does what its role allows.
fn assert_sound(problem: &Line) -> Result<(), TestCaseError> {
    let Ok(found) = one_unknown(problem, "x", None, &Assumptions::default()) else { return Ok(()) };
    let text = |line: &Line| text_line(line);
    let checks = |step: &&Step| step.role == Role::Checks;
    for step in found.steps.iter().filter(checks) {
        let sound = matches!(judge_alone(&step.line), StepVerdict::Equivalent { .. });
        prop_assert!(sound, "{}: {}", text(problem), text(&step.line));
    }
    let carrying: Vec<&Step> = found.steps.iter().filter(|step| !checks(step)).collect();
    for pair in carrying.windows(2) {
        let (above, step) = (&pair[0].line, pair[1]);
        let from = if step.role == Role::Rejects { problem } else { above };
        let sound = match compare(from, &step.line, None) {
            StepVerdict::Equivalent { .. } => true,
            StepVerdict::NotEquivalent(difference) => {
                step.role == Role::MayAdd && difference.lost.is_empty()
            }
            // Lines with rounded values in them are not compared by value.
            _ => text(&step.line).contains('≈') || text(from).contains('≈'),
        };
        prop_assert!(sound, "{}: {} -> {}", text(problem), text(from), text(&step.line));
    }
    Ok(())
}

proptest! {
    #[test]
    fn workings_of_quadratics_are_sound(a in 1i64..5, b in -9i64..10, c in -9i64..10) {
        assert_sound(&line(&format!("{a}x^2 + ({b})x = {c}")))?;
    }

    #[test]
    fn workings_of_root_equations_are_sound(a in 1i64..5, b in -9i64..10, c in -5i64..6) {
        assert_sound(&line(&format!("√({a}x + ({b})) = x + ({c})")))?;
    }

    #[test]
    fn workings_of_fractions_are_sound(a in 1i64..6, b in -5i64..6, c in 1i64..6) {
        assert_sound(&line(&format!("{a}/(x + ({b})) + {c}/x = 1")))?;
    }

    #[test]
    fn workings_of_absolute_values_are_sound(a in 1i64..5, b in -9i64..10, c in -5i64..6) {
        assert_sound(&line(&format!("|{a}x + ({b})| = {c}x + 2")))?;
    }

    /// The roots that are found are those that were put in.
    #[test]
    fn roots_put_in_are_found(p in -6i64..7, q in -6i64..7, r in -6i64..7) {
        let problem = line(&format!("(x - ({p}))(x - ({q}))(x - ({r})) = 0"));
        let Ok(Solutions::Finite(found)) = solutions(&problem, "x") else {
            return Err(TestCaseError::fail("no roots"));
        };
        let mut wanted = vec![p, q, r];
        wanted.sort_unstable();
        wanted.dedup();
        let found: Vec<_> = found.iter().filter_map(Solution::as_rational).collect();
        let wanted: Vec<_> = wanted.into_iter().map(algebra::number::from_int).collect();
        prop_assert_eq!(found, wanted);
    }
}
