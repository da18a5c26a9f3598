//! Pairs of lines as students write them, with the verdict each must get.

use super::*;
use crate::equal::equal;
use crate::solve::Solution;
use crate::write::text;
use proptest::prelude::*;

fn show_condition(condition: &Condition) -> String {
    match condition {
        Condition::Not { letter, value } => format!("{letter} ≠ {}", crate::number::show(value)),
        Condition::NotZero(e) => format!("{} ≠ 0", text(e)),
        Condition::NotNegative(e) => format!("{} ≥ 0", text(e)),
        Condition::Positive(e) => format!("{} > 0", text(e)),
        Condition::Holds(line) => crate::write::text_line(line),
        Condition::Whole(e) => format!("{} is whole", text(e)),
    }
}

fn show(verdict: &StepVerdict) -> String {
    let list =
        |values: &[Solution]| values.iter().map(Solution::text).collect::<Vec<_>>().join(", ");
    match verdict {
        StepVerdict::Undecided => "undecided".into(),
        StepVerdict::Tested { .. } => "tested".into(),
        StepVerdict::Equivalent { provided } if provided.is_empty() => "equivalent".into(),
        StepVerdict::Equivalent { provided } => {
            let all: Vec<_> = provided.iter().map(show_condition).collect();
            format!("equivalent where {}", all.join(", "))
        }
        StepVerdict::NotEquivalent(found) => {
            let mut parts = Vec::new();
            if !found.lost.is_empty() {
                parts.push(format!("lost {}", list(&found.lost)));
            }
            if !found.gained.is_empty() {
                parts.push(format!("gained {}", list(&found.gained)));
            }
            if let Some(c) = &found.counterexample {
                let side = |s: &Shown| match s {
                    Shown::Value(e) => text(e),
                    Shown::Truth(t) => t.to_string(),
                };
                let at: Vec<_> =
                    c.at.iter().map(|(n, v)| format!("{n} = {}", text(&v.to_expr()))).collect();
                let at = if at.is_empty() { String::new() } else { format!("{}: ", at.join(", ")) };
                parts.push(format!("{at}{} against {}", side(&c.left), side(&c.right)));
            }
            if found.reason != Reason::Values {
                parts.push(format!("{:?}", found.reason));
            }
            parts.join("; ")
        }
    }
}

#[track_caller]
fn verdict(from: &str, to: &str, unknown: Option<&str>) -> String {
    let read = |text: &str| crate::read_line(text).expect(text).line;
    show(&compare(&read(from), &read(to), unknown))
}

#[test]
#[rustfmt::skip]
fn each_pair_of_lines_gets_its_verdict() {
    for (from, to, expected) in [
        // expressions
        ("3(x+4)", "3x+12", "equivalent"),
        ("3(x+4)", "3x+4", "x = 0: 12 against 4"),
        ("(x^2-1)/(x-1)", "x+1", "equivalent where x ≠ 1"),
        ("sqrt(x^2)", "x", "x = -1: 1 against -1"),
        ("x(x-1)(x-2)(x-3)+x", "x", "x = -1: 23 against -1"),
        ("3.14159", "π", "3.14159 against π"),
        ("sqrt 12", "2 sqrt 3", "equivalent"),
        ("sqrt 8 + sqrt 2", "sqrt 10", "3√(2) against √(10)"),
        ("1/(1+sqrt 2)", "sqrt 2 - 1", "equivalent"),
        ("sqrt(-4)", "2", "NeverDefined"),
        ("1/0", "5", "NeverDefined"),
        ("(a+b)^2", "a^2+b^2", "a = 1, b = 1: 4 against 2"),
        ("(a+b)^2", "a^2+2ab+b^2", "equivalent"),
        ("3(x+4)", "= 3x+12", "equivalent"),
        ("3(x+4)", "3(x+4) = 3x+12", "equivalent"),
        ("15% of 60", "9", "equivalent"),
        ("0.1(6)", "1/6", "equivalent"),
        ("x^0", "1", "equivalent where x ≠ 0"),
        ("2:3", "8:12", "equivalent"),
        ("1:2:3", "2:4:6", "equivalent"),
        ("1:2:3", "2:4:5", "1:3 against 2:5"),
        ("x/(|y|-|y|)", "x", "NeverDefined"),
        ("x/(cbrt 2 × cbrt 4 - 2)", "2x/(2cbrt 2 × cbrt 4 - 4)", "NeverDefined"),
        ("9^9^9^9", "1", "undecided"),
        // one unknown
        ("3(2x-5) = 27", "6x-15 = 27", "equivalent"),
        ("3(2x-5) = 27", "6x-5 = 27", "lost 7; gained 16/3"),
        ("x^2 = 5x", "x = 5", "lost 0"),
        ("x = 5", "x^2 = 5x", "gained 0"),
        ("x+6 = x^2", "x = 3 or x = -2", "equivalent"),
        ("x^2 = 9", "x = ±3", "equivalent"),
        ("x^2 = 9", "x = 3", "lost -3"),
        ("x^2 = 2", "x = 1", "lost -√(2), √(2); gained 1"),
        ("(x-1)(x^2-2) = 0", "x = 1", "lost -√(2), √(2)"),
        ("x^3 = x + 1", "x = 2", "lost the root of x^3 - x - 1 near 1.324718; gained 2"),
        ("x^3 = x + 1", "x = 1.324718", "lost the root of x^3 - x - 1 near 1.324718; gained 662359/500000"),
        ("x^3 = x + 1", "x ≈ 1.32", "equivalent"),
        ("x^3 = x + 1", "x ≈ 1.33", "Rounding"),
        ("x^2 + 1 = 0", "no solution", "equivalent"),
        ("x/x = 1", "all real numbers", "gained 0"),
        ("n/6 = 10/15", "15n = 60", "equivalent"),
        ("2:3 = n:12", "3n = 24", "equivalent"),
        ("6/n = 3", "6 = 3n", "equivalent where n ≠ 0"),
        ("x = 83/8", "x = 10.375", "equivalent"),
        ("x = 83/8", "x ≈ 10.4", "equivalent"),
        ("x = 83/8", "x ≈ 10.3", "Rounding"),
        ("2x + 1 = 2x + 3", "no solution", "equivalent"),
        ("2(x+1) = 2x + 2", "all real numbers", "equivalent"),
        // inequalities
        ("-2x < 6", "x > -3", "equivalent"),
        ("-2x < 6", "x < -3", "x = 0: true against false"),
        ("2 < x + 1 <= 5", "1 < x <= 4", "equivalent"),
        ("x^2 < 4", "-2 < x < 2", "equivalent"),
        ("x <= 3", "x < 3", "lost 3"),
        // several letters
        ("A = 1/2 b h", "h = 2A/b", "equivalent where b ≠ 0"),
        ("A = 1/2 b h", "h = A/(2b)", "A = 1, b = 1, h = 2: true against false"),
        ("xy = 3x", "y = 3", "x = 0, y = 0: true against false"),
        ("2x + 2y = 6", "x + y = 3", "equivalent"),
        ("x+y=5; x-y=1", "x=3, y=2", "equivalent"),
        ("x+y=5; x-y=1", "x=2, y=3", "x = 3, y = 2: true against false"),
        // shapes
        ("3x = 12", "4", "Shape"),
        ("3(x+4)", "x = 4", "Shape"),
        // functions
        ("sin^2 x + cos^2 x", "1", "equivalent"),
        ("sqrt(x+6) = x", "x+6 = x^2", "gained -2"),
        ("2^x = 8", "x = 3", "equivalent"),
    ] { assert_eq!(verdict(from, to, None), expected, "{from} -> {to}"); }
}

#[test]
fn with_an_unknown_the_others_are_given() {
    assert_eq!(verdict("v = u + at", "a = (v-u)/t", Some("a")), "equivalent where t ≠ 0");
}

#[test]
#[rustfmt::skip]
fn a_line_is_judged_by_itself() {
    for (line, expected) in [
        ("5+3 = 8×2 = 16", "8 against 16; Link(0)"),
        ("52 - 17 = 35", "equivalent"),
        ("3(x+4) = 3x+12", "equivalent"),
        ("1/3 ≈ 0.33", "equivalent"),
        ("2/3 ≈ 0.66", "Rounding"),
        ("3 < 5 < 4", "5 against 4; Link(1)"),
        ("1/0 = 1/0 + 1", "NeverDefined"),
    ] {
        let read = crate::read_line(line).expect(line).line;
        assert_eq!(show(&judge_alone(&read)), expected, "{line}");
    }
}

fn polynomial() -> impl Strategy<Value = Expr> {
    let leaf = prop_oneof![
        (-9i64..10).prop_map(Expr::int),
        Just(Expr::symbol("x")),
        Just(Expr::symbol("y"))
    ];
    leaf.prop_recursive(4, 24, 2, |inner| {
        let pair = (inner.clone(), inner.clone());
        prop_oneof![
            pair.clone().prop_map(|(a, b)| a.plus(b)),
            pair.clone().prop_map(|(a, b)| a.minus(b)),
            pair.prop_map(|(a, b)| a.times(b)),
            inner.prop_map(Expr::negative),
        ]
    })
}

proptest! {
    #[test]
    fn legal_rewrites_are_proved(a in polynomial(), b in polynomial(), c in polynomial()) {
        let sum = a.clone().plus(b.clone()).times(c.clone());
        let spread = c.clone().times(b.clone()).plus(a.clone().times(c.clone()));
        let same = matches!(equal(&sum, &spread), Verdict::Equal { .. });
        prop_assert!(same, "{} and {}", text(&sum), text(&spread));
    }

    #[test]
    fn a_wrong_rewrite_is_shown_to_be_wrong(a in polynomial(), k in 1i64..9) {
        let wrong = a.clone().plus(Expr::int(k));
        let different = matches!(equal(&a, &wrong), Verdict::Different(_));
        prop_assert!(different, "{} and {}", text(&a), text(&wrong));
    }

    #[test]
    fn verdicts_on_expressions_are_symmetric(a in polynomial(), b in polynomial()) {
        let there = matches!(equal(&a, &b), Verdict::Equal { .. });
        let back = matches!(equal(&b, &a), Verdict::Equal { .. });
        prop_assert_eq!(there, back);
    }

    #[test]
    fn lost_and_gained_change_places(p in -6i64..7, q in -6i64..7, r in -6i64..7) {
        let x = || Expr::symbol("x");
        let product = x().minus(Expr::int(p)).times(x().minus(Expr::int(q)));
        let from = Line::equation(product, Expr::int(0));
        let to = Line::equation(x(), Expr::int(r));
        let (there, back) = (compare(&from, &to, None), compare(&to, &from, None));
        match (there, back) {
            (StepVerdict::NotEquivalent(t), StepVerdict::NotEquivalent(b)) => {
                prop_assert_eq!(t.lost, b.gained);
                prop_assert_eq!(t.gained, b.lost);
            }
            (t, b) => prop_assert_eq!(t, b),
        }
    }
}
