//! The moves between pairs of lines, as a teacher would name them.

use super::*;

fn read(text: &str) -> Line {
    algebra::read_line(text).expect(text).line
}

#[track_caller]
fn table(rows: &[(&str, &str, &str)]) {
    let mut wrong = String::new();
    for (from, to, expected) in rows {
        let (before, after) = (read(from), read(to));
        let verdict = algebra::compare(&before, &after, None);
        assert!(
            matches!(verdict, algebra::StepVerdict::Equivalent { .. }),
            "{from} -> {to}: {verdict:?}"
        );
        let found = named(&before, &after).unwrap_or_default();
        if found != *expected {
            wrong += &format!("{from} -> {to}\n   now: {found}\n   was: {expected}\n");
        }
    }
    assert!(wrong.is_empty(), "\n{wrong}");
}

#[test]
#[rustfmt::skip]
fn the_same_on_both_sides() {
    table(&[
        ("x + 7 = 12",       "x = 5",          "subtract $7$ from both sides"),
        ("12 = x + 7",       "x = 5",          "subtract $7$ from both sides and swap the sides"),
        ("3x - 4 = 11",      "3x = 15",        "add $4$ to both sides"),
        ("5x + 1 = 2x + 7",  "3x + 1 = 7",     "subtract $2x$ from both sides"),
        ("5x + 1 = 2x + 7",  "3x = 6",         "subtract $2x$ and $1$ from both sides"),
        ("4x = 20",          "x = 5",          "divide both sides by $4$"),
        ("x/3 = 4",          "x = 12",         "multiply both sides by $3$"),
        ("-x = 4",           "x = -4",         "multiply both sides by $-1$"),
        ("3(2x-5) = 27",     "2x - 5 = 9",     "divide both sides by $3$"),
        ("9 = 3x",           "3x = 9",         "swap the sides"),
        ("n/6 = 10/15",      "15n = 60",       "cross-multiply"),
        ("2:3 = n:12",       "3n = 24",        "cross-multiply"),
        ("1/x = 4",          "x = 1/4",        "take the reciprocal of both sides"),
        ("x/2 + x/3 = 5",    "3x + 2x = 30",   "multiply both sides by $6$"),
        ("ax = b",           "x = b/a",        "divide both sides by $a$"),
        ("y = 2x + 1",       "y - 1 = 2x",     "subtract $1$ from both sides"),
        ("x + 6 = x^2",      "x^2 - x - 6 = 0","take everything to one side"),
        ("x^2 = 5x",         "x^2 - 5x = 0",   "subtract $5x$ from both sides"),
        ("V = I R",          "V/R = I",        "divide both sides by $R$"),
    ]);
}

#[test]
#[rustfmt::skip]
fn several_at_once() {
    table(&[
        ("4 sqrt(3x-2) + 7 = 27", "sqrt(3x-2) = 5", "subtract $7$ from both sides and divide both sides by $4$"),
        ("3x - 2 = 25",           "x = 9",          "add $2$ to both sides and divide both sides by $3$"),
        ("3x - 4 = 11",           "x = 5",          "add $4$ to both sides and divide both sides by $3$"),
        ("x/3 - 4 = 1",           "x = 15",         "add $4$ to both sides and multiply both sides by $3$"),
        ("(x-4)/3 = 1",           "x = 7",          "multiply both sides by $3$ and add $4$ to both sides"),
        ("3(x-4) = 12",           "x = 8",          "divide both sides by $3$ and add $4$ to both sides"),
        ("3(2x-5) = 27",          "6x = 42",        "multiply out and add $15$ to both sides"),
        ("3x + 5 = x + 11",       "x = 3",          "subtract $x$ and $5$ from both sides and divide both sides by $2$"),
        ("11 = 3x - 4",           "x = 5",          "add $4$ to both sides, divide both sides by $3$ and swap the sides"),
        ("A = 1/2 b h",           "2A = b h",       "multiply both sides by $2$"),
        ("v = u + a t",           "t = (v-u)/a",    "subtract $u$ from both sides, divide both sides by $a$ and swap the sides"),
    ]);
}

#[test]
#[rustfmt::skip]
fn inequalities_turn() {
    table(&[
        ("-2x < 6",       "x > -3",        "divide both sides by $-2$ and turn the inequality sign"),
        ("3x + 1 <= 10",  "3x <= 9",       "subtract $1$ from both sides"),
        ("3x + 1 <= 10",  "x <= 3",        "subtract $1$ from both sides and divide both sides by $3$"),
        ("5 > x",         "x < 5",         "swap the sides"),
        ("2 < x + 1 <= 5","1 < x <= 4",    "subtract $1$ from both sides"),
        ("-6 < -2x < 4",  "3 > x > -2",    "divide both sides by $-2$ and turn the inequality sign"),
    ]);
}

#[test]
#[rustfmt::skip]
fn one_side_rewritten() {
    table(&[
        ("3(2x-5) = 27",      "6x - 15 = 27",      "multiply out"),
        ("3x + 2x = 10",      "5x = 10",           "collect like terms"),
        ("3(x+4)",            "3x + 12",           "multiply out"),
        ("(x+3)^2",           "x^2 + 6x + 9",      "multiply out"),
        ("x^2 + 5x + 6",      "(x+2)(x+3)",        "factorise"),
        ("x^2 + 6x + 5",      "(x+3)^2 - 4",       "complete the square"),
        ("x^2 - 5x + 6 = 0",  "(x-2)(x-3) = 0",    "factorise"),
        ("1/x + 1/y",         "(x+y)/(xy)",        "write over a common denominator"),
        ("(x+y)/(xy)",        "1/x + 1/y",         "split the fraction"),
        ("(x^2-1)/(x-1)",     "x + 1",             "cancel a common factor"),
        ("6/8",               "3/4",               "cancel a common factor"),
        ("7 + 5",             "12",                "work it out"),
        ("1/sqrt 2",          "sqrt(2)/2",         "rationalise the denominator"),
        ("sqrt 12",           "2 sqrt 3",          "simplify the roots"),
        ("log x + log y",     "log(xy)",           "use the laws of logarithms"),
        ("sin^2 x + cos^2 x", "1",                 "use a trigonometric identity"),
        ("x^2 x^3",           "x^5",               "use the laws of indices"),
        ("2x + 3x + 1",       "5x + 1",            "collect like terms"),
    ]);
}

#[test]
#[rustfmt::skip]
fn powers_roots_and_logarithms_of_both_sides() {
    table(&[
        ("sqrt(3x-2) = 5",      "3x - 2 = 25",          "square both sides"),
        ("sqrt(3x-2) = 5",      "x = 9",                "square both sides, add $2$ to both sides and divide both sides by $3$"),
        ("sqrt(x+6) + 2 = 5",   "x + 6 = 9",            "subtract $2$ from both sides and square both sides"),
        ("cbrt(x+1) = 2",       "x + 1 = 8",            "cube both sides"),
        ("x^2 = 49",            "x = ±7",               "take the square root of both sides"),
        ("x^2 = 49",            "x = 7 or x = -7",      "take the square root of both sides"),
        ("x^3 = 27",            "x = 3",                "take the cube root of both sides"),
        ("(x-3)^2 = 16",        "x - 3 = ±4",           "take the square root of both sides"),
        ("(x-3)^2 = 16",        "x = 3 ± 4",            "take the square root of both sides and add $3$ to both sides"),
        ("2x^2 = 18",           "x = ±3",               "divide both sides by $2$ and take the square root of both sides"),
        ("2^x = 7",             "x log 2 = log 7",      "take logarithms of both sides"),
        ("2^x = 7",             "x = log_2 7",          "take logarithms of both sides"),
        ("2^x = 2^5",           "x = 5",                "compare the exponents"),
        ("log_2 x = 5",         "x = 32",               "write the logarithm as a power"),
        ("ln(x+1) = 3",         "x + 1 = e^3",          "write the logarithm as a power"),
    ]);
}

#[test]
#[rustfmt::skip]
fn cases() {
    table(&[
        ("(x-3)(x+2) = 0",      "x - 3 = 0 or x + 2 = 0",   "split into cases, one for each factor"),
        ("(x-3)(x+2) = 0",      "x = 3 or x = -2",          "split into cases, one for each factor and solve each case"),
        ("x - 3 = 0 or x + 2 = 0", "x = 3 or x = -2",       "solve each case"),
        ("|x - 3| = 5",         "x - 3 = 5 or x - 3 = -5",  "split into cases, one for each sign"),
        ("x^2 - 5x + 6 = 0",    "x = 2 or x = 3",           "factorise, split into cases, one for each factor and solve each case"),
        ("x^2 + 3x - 2 = 0",    "x = (-3 ± sqrt(17))/2",    "use the quadratic formula"),
        ("x = 83/8",            "x ≈ 10.4",                 "round to $1$ decimal place"),
        ("x = √2",              "x ≈ 1.414",                "round to $3$ decimal places"),
    ]);
    let named = |from: &str, to: &str| named(&read(from), &read(to)).unwrap_or_default();
    assert_eq!(named("y = 2x; x + y = 9", "x + 2x = 9"), "substitute $2x$ for $y$");
}

#[test]
#[rustfmt::skip]
fn what_needs_care_is_named_too() {
    for (from, to, expected) in [
        ("x^2 = 5x",         "x = 5",          Some("divided by $x$, which may be $0$")),
        ("x(x-2) = 0",       "x = 2",          Some("divided by $x$, which may be $0$")),
        ("sqrt(x+6) = x",    "x + 6 = x^2",    Some("square both sides")),
        ("x^2 = 9",          "x = 3",          Some("take the square root of both sides")),
        ("x = 5",            "x^2 = 25",       Some("square both sides")),
        ("x = 3",            "x^2 = 3x",       Some("multiplied by $x$, which may be $0$")),
        ("x = 3",            "x = 4",          None),
    ] {
        assert_eq!(attempted(&read(from), &read(to)).as_deref(), expected, "{from} -> {to}");
    }
}
