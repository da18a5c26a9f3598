//! What is typed, and what it means.

use super::*;
use crate::write::{latex, latex_line, text, text_line};
use proptest::prelude::*;

#[track_caller]
fn read_as(typed: &str) -> String {
    match read_line(typed) {
        Ok(reading) => text_line(&reading.line),
        Err(error) => panic!("{typed}: {error:?}"),
    }
}

#[test]
#[rustfmt::skip]
fn lines_are_read_as_they_were_meant() {
    for (typed, meant) in [
        // products
        ("2x", "2x"), ("3(x+1)", "3(x + 1)"), ("(x+1)(x-2)", "(x + 1)(x - 2)"),
        ("xy", "xy"), ("a b c", "abc"), ("2*3", "2 × 3"), ("2·3", "2 × 3"),
        // powers
        ("x²", "x^2"), ("x^2", "x^2"), ("x^(1/2)", "x^(1/2)"), ("x^-3", "x^(-3)"),
        ("2^3^2", "2^(3^2)"), ("-3^2", "-3^2"), ("x⁻¹", "x^(-1)"),
        // roots
        ("sqrt(12)", "√(12)"), ("√12", "√(12)"), ("sqrt 12", "√(12)"), ("3√7", "3√(7)"),
        ("cbrt(8)", "∛(8)"), ("root(4, 81)", "root(4, 81)"), ("\\sqrt[4]{81}", "root(4, 81)"),
        ("³√8", "∛(8)"), ("2³√8", "2^3 × √(8)"), ("1 + ⁴√81", "1 + root(4, 81)"),
        ("√3x", "√(3) × x"),
        // fractions and mixed numbers
        ("½", "1/2"), ("3 1/2", "3 1/2"), ("3½", "3 1/2"), ("1/2x", "1/2 × x"), ("\\frac12", "1/2"),
        ("3\\frac{1}{2}", "3 1/2"), ("x/2y", "x/2 × y"), ("x^1/2", "x^1/2"),
        // numbers
        (".5", "0.5"), ("1,200", "1200"), ("1 200", "1200"), ("1\\:200", "1200"), ("1\\,200\\,000", "1200000"), ("0.1(6)", "0.1(6)"),
        ("0.5(6)x", "0.5 × 6x"), ("3.2e5", "3.2e5"), ("12,345,678", "12345678"),
        ("35%", "35%"), ("15% of 60", "15% × 60"),
        // signs and brackets
        ("6÷2", "6/2"), ("5−3", "5 - 3"), ("5+-3", "5 + (-3)"), ("x = ±3", "x = ±3"),
        ("[2(x+1)]", "2(x + 1)"), ("|x|", "abs(x)"), ("2|x-1|", "2 × abs(x - 1)"),
        ("||x|-1|", "abs(abs(x) - 1)"),
        // functions and names
        ("sin 30°", "sin(30°)"), ("sin^2 x", "(sin(x))^2"), ("sin 2x", "sin(2x)"),
        ("sin^-1(1/2)", "arcsin(1/2)"), ("log_2 8", "log_2(8)"), ("ln x", "ln(x)"),
        ("π", "π"), ("pi", "π"), ("x_1", "x_1"), ("θ", "θ"), ("5!", "5!"), ("hcf(12,18)", "hcf(12, 18)"),
        // ratios
        ("2:3", "2:3"), ("1:2:3", "1:2:3"), ("2:3 = n:12", "2:3 = n:12"),
        // relations, solutions, systems
        ("2 < x <= 5", "2 < x ≤ 5"), ("x = 3 or x = -2", "x = 3 or x = -2"),
        ("x = 3 or -2", "x = 3 or x = -2"), ("x=3 and x=-2", "x = 3 or x = -2"),
        ("x ∈ {3, -2}", "x = 3 or x = -2"), ("x=3, y=2", "x = 3; y = 2"),
        ("x+y=5; x-y=1", "x + y = 5; x - y = 1"), ("(x, y) = (3, 2)", "x = 3; y = 2"),
        ("no solution", "no solution"), ("all real numbers", "all real numbers"),
        // what is passed over
        ("so x = 3", "x = 3"), ("∴ x=3", "x = 3"), ("x = 3.", "x = 3"), ("a) x = 3", "x = 3"),
        ("= 3x + 12", "3x + 12"),
        // LaTeX
        ("\\frac{1}{2}x+\\sqrt{3}", "1/2 × x + √(3)"), ("\\left(x-1\\right)^{2}", "(x - 1)^2"),
        ("x\\le5", "x ≤ 5"), ("3\\cdot 4", "3 × 4"), ("x=1\\lor x=2", "x = 1 or x = 2"),
        ("x = 3 \\text{ or } x = 4", "x = 3 or x = 4"), ("\\text{no solution}", "no solution"),
        ("\\text{so }x=3", "x = 3"), ("\\operatorname{sin}x", "sin(x)"), ("2\\mathrm{x}", "2x"),
        ("\\operatorname{\\mathrm{cosec}}x", "csc(x)"), ("\\operatorname{hcf}(12,18)", "hcf(12, 18)"),
    ] { assert_eq!(read_as(typed), meant, "{typed}"); }
}

#[test]
fn in_latex_an_exponent_without_braces_is_one_digit() {
    let read = |typed| text_line(&read_latex(typed).expect("readable").line);
    assert_eq!(read("x^23"), "x^2 × 3");
    assert_eq!(read("x^{23}"), "x^23");
    assert_eq!(read("\\frac{12}{34}5"), "12/34 × 5");
}

#[test]
#[rustfmt::skip]
fn what_cannot_be_read_is_pointed_at_and_mended() {
    use ReadErrorKind::*;
    let after = |sign: &str| MissingOperand { operator: sign.into(), after: true };
    for (typed, kind, place, mended) in [
        ("",         Empty, "", None),
        ("3(2x",     Unclosed('('), "(", Some("3(2x)")),
        ("3(2x = 6", Unclosed('('), "(", Some("3(2x) = 6")),
        ("2x + ",    after("+"), "+", None),
        ("2x = ",    after("="), "=", None),
        ("x + × 3",  after("+"), "+", None),
        ("2x)",      Unopened(')'), ")", Some("2x")),
        ("(2x]",     Unopened(']'), "]", Some("(2x)")),
        ("3 # 4",    UnknownCharacter('#'), "#", Some("3  4")),
        ("1.2.3",    BadNumber("1.2.3".into()), "1.2.3", None),
        ("jarz + 3", UnknownWord("jarz".into()), "jarz", None),
        ("\\frac{1}{\\placeholder{}}", EmptyBox, "\\placeholder", None),
        ("2()",      EmptyBox, "()", None),
        ("|x",       Unclosed('|'), "|", Some("|x|")),
    ] {
        let error = read_line(typed).expect_err(typed);
        assert_eq!(error.kind, kind, "{typed}");
        if !place.is_empty() {
            assert_eq!(&typed[error.span.start..error.span.end], place, "{typed}");
        }
        let applied = error.mend.and_then(|mend| mend.applied(typed));
        assert_eq!(applied.as_deref(), mended, "{typed}");
    }
}

#[test]
fn hostile_lines_are_answered() {
    let deep = "(".repeat(5_000);
    let long = "1+".repeat(60_000);
    let many = vec!["x"; 900].join("+");
    for typed in
        [deep.as_str(), &long, &many, &"√".repeat(3_000), &"^".repeat(900), &"|".repeat(99)]
    {
        assert!(read_line(typed).is_err(), "{} bytes", typed.len());
    }
}

#[test]
fn words_without_mathematics_are_a_sentence() {
    let reading = read_line("There are 36 jars on the stall.").expect("a sentence");
    assert!(matches!(reading.line, Line::Sentence(_)));
}

fn tree() -> impl Strategy<Value = Expr> {
    let leaf = prop_oneof![
        (0i64..200).prop_map(Expr::int),
        prop::sample::select(vec!["x", "y", "n", "θ", "x_1"]).prop_map(Expr::symbol),
        Just("0.50").prop_map(|t| {
            crate::ExprKind::Number(crate::Written::decimal(t).expect("a decimal")).into()
        }),
    ];
    leaf.prop_recursive(5, 40, 2, |inner| {
        let pair = (inner.clone(), inner.clone());
        prop_oneof![
            pair.clone().prop_map(|(a, b)| a.plus(b)),
            pair.clone().prop_map(|(a, b)| a.minus(b)),
            pair.clone().prop_map(|(a, b)| a.times(b)),
            pair.clone().prop_map(|(a, b)| a.over(b)),
            pair.prop_map(|(a, b)| crate::ExprKind::Power(Box::new(a), Box::new(b)).into()),
            inner.clone().prop_map(Expr::negative),
            inner.clone().prop_map(|a| crate::ExprKind::Absolute(Box::new(a)).into()),
            inner.prop_map(|a| crate::ExprKind::Root { index: 2, radicand: Box::new(a) }.into()),
        ]
    })
}

/// Trees so small that two of them are often the same, or nearly.
fn small_tree() -> impl Strategy<Value = Expr> {
    let leaf = prop_oneof![
        Just(Expr::int(2)),
        Just(Expr::symbol("x")),
        Just(Expr::int(2).over(Expr::symbol("x")))
    ];
    leaf.prop_recursive(2, 6, 2, |inner| {
        let pair = (inner.clone(), inner.clone());
        prop_oneof![
            pair.clone().prop_map(|(a, b)| a.plus(b)),
            pair.clone().prop_map(|(a, b)| a.minus(b)),
            pair.clone().prop_map(|(a, b)| a.times(b)),
            pair.prop_map(|(a, b)| a.over(b)),
            inner.clone().prop_map(Expr::negative),
            inner.prop_map(|a| a.to_the(2)),
        ]
    })
}

proptest! {
    #[test]
    fn any_text_is_read_or_pointed_into(typed in "\\PC{0,40}") {
        if let Err(error) = read_line(&typed) {
            prop_assert!(typed.get(error.span.start..error.span.end).is_some());
        }
    }

    #[test]
    fn nearly_mathematics_is_read_or_pointed_into(typed in "[-+*/^=<>()\\[\\]{}|0-9.,:;x%!√°eπsinlog_ \\\\frac]{0,30}") {
        for found in [read_line(&typed), read_latex(&typed)] {
            if let Err(error) = found {
                prop_assert!(typed.get(error.span.start..error.span.end).is_some());
            }
        }
    }

    #[test]
    fn two_different_trees_never_sound_the_same(pair in (small_tree(), small_tree())) {
        let sound = crate::write::speech;
        prop_assert_eq!(sound(&pair.0) == sound(&pair.1), pair.0 == pair.1, "{}", sound(&pair.0));
    }

    #[test]
    fn what_is_written_reads_back(expr in tree()) {
        let plain = text(&expr);
        prop_assert_eq!(read_expr(&plain).ok(), Some(expr.clone()), "{}", plain);
        let typeset = latex(&expr);
        let read = read_latex(&typeset).map(|r| r.line);
        prop_assert_eq!(read, Ok(Line::Expression(expr)), "{}", typeset);
    }
}

#[test]
fn lines_are_typeset() {
    let line = read_line("n/6 = 10/15").expect("readable").line;
    assert_eq!(latex_line(&line), "\\frac{n}{6} = \\frac{10}{15}");
}
