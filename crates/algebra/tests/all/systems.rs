//! Systems of two equations: whatever the numbers, both workings end at the solution and every line is proved.

use algebra::solve::{Step, eliminate, substitute, system_points};
use algebra::write::text_line;
use algebra::{Line, StepVerdict, compare, read_line};
use proptest::prelude::*;

fn line(text: &str) -> Line {
    read_line(text).expect(text).line
}

fn assert_sound(problem: &Line, steps: &[Step], answer: &Line) -> Result<(), TestCaseError> {
    for pair in steps.windows(2) {
        let verdict = compare(&pair[0].line, &pair[1].line, None);
        let sound = matches!(verdict, StepVerdict::Equivalent { .. });
        prop_assert!(sound, "{} -> {}", text_line(&pair[0].line), text_line(&pair[1].line));
    }
    let last = &steps.last().expect("a line").line;
    prop_assert_eq!(text_line(last), text_line(answer), "{}", text_line(problem));
    Ok(())
}

proptest! {
    #[test]
    fn linear_systems_are_worked_to_their_solution(
        (a, b, c, d) in (-6i64..7, -6i64..7, -6i64..7, -6i64..7),
        (x, y) in (-9i64..10, -9i64..10),
    ) {
        prop_assume!(a * d != b * c);
        let (e, f) = (a * x + b * y, c * x + d * y);
        let problem = line(&format!("({a})x + ({b})y = {e}; ({c})x + ({d})y = {f}"));
        let answer = line(&format!("x = {x}; y = {y}"));
        let told = compare(&problem, &answer, None);
        let is_same = matches!(told, StepVerdict::Equivalent { .. });
        prop_assert!(is_same, "{}", text_line(&problem));
        for steps in [eliminate(&problem), substitute(&problem)].into_iter().flatten() {
            assert_sound(&problem, &steps, &answer)?;
        }
        if a * b * c * d != 0 {
            prop_assert!(eliminate(&problem).is_some());
            prop_assert!(substitute(&problem).is_some());
        }
    }

    #[test]
    fn a_wrong_point_is_never_a_solution(
        (a, b, c, d) in (-6i64..7, -6i64..7, -6i64..7, -6i64..7),
        (x, y) in (-9i64..10, -9i64..10),
        (p, q) in (-3i64..4, -3i64..4),
    ) {
        prop_assume!(a * d != b * c && (p, q) != (0, 0));
        let (e, f) = (a * x + b * y, c * x + d * y);
        let problem = line(&format!("({a})x + ({b})y = {e}; ({c})x + ({d})y = {f}"));
        let wrong = line(&format!("x = {}; y = {}", x + p, y + q));
        prop_assert!(matches!(compare(&problem, &wrong, None), StepVerdict::NotEquivalent(_)));
    }

    #[test]
    fn a_parabola_and_a_line_meet_where_they_should((p, q) in (-6i64..7, -6i64..7)) {
        // y = x² and the chord through two of its points.
        prop_assume!(p < q);
        let problem = line(&format!("y = x^2; y = ({})x - ({})", p + q, p * q));
        let answer = line(&format!("x = {p}; y = {} or x = {q}; y = {}", p * p, q * q));
        let steps = substitute(&problem).expect("a working");
        assert_sound(&problem, &steps, &answer)?;
    }
}

#[test]
fn systems_without_one_solution_are_told_apart() {
    for (problem, points) in [
        ("x + y = 2; x + y = 3", Some(0)),
        ("x + y = 2; 2x + 2y = 4", None),
        ("x^2 + y^2 = 25; y = x + 1", Some(2)),
        ("x^2 + y^2 = 1; y = x + 5", Some(0)),
        ("xy = 6; x + y = 5", Some(2)),
        ("y = x^2; y = 2x - 1", Some(1)),
    ] {
        let found = system_points(&line(problem)).map(|points| points.len());
        assert_eq!(found, points, "{problem}");
    }
}
