//! The table of verdicts, asked through the command line's protocol: what is said of each pair of lines.

use protocol::check::{Certainty, CheckAnswer, CheckRequest, Verdict, answer};

/// An answer in one line: the verdict with all that goes with it.
fn said(found: &CheckAnswer) -> String {
    let mut text = found.verdict.name().replace('_', " ");
    if let Some(domain) = &found.domain {
        text += &format!(" where {domain}");
    }
    for (name, values) in [("lost", &found.lost), ("gained", &found.gained)] {
        if !values.is_empty() {
            text += &format!("; {name} {}", values.join(", "));
        }
    }
    if let Some(shown) = &found.counterexample {
        let at: Vec<_> =
            shown.at.iter().map(|(letter, value)| format!("{letter} = {value}")).collect();
        let at = if at.is_empty() { String::new() } else { format!("{}: ", at.join(", ")) };
        text += &format!("; {at}{} against {}", shown.left, shown.right);
    }
    if let Some(slip) = &found.slip {
        text += &format!(" [{}]", slip.id);
    }
    text
}

#[track_caller]
fn check(rows: &[(&str, &str, &str)]) {
    for &(from, to, expected) in rows {
        let request =
            CheckRequest { from: from.into(), to: Some(to.into()), ..CheckRequest::default() };
        let found = answer(&request);
        // Slips have a table of their own; here they are named where they are the point.
        let now = said(&found);
        let now = match now.split_once(" [") {
            Some((verdict, _)) if !expected.contains('[') => verdict.to_owned(),
            _ => now,
        };
        assert_eq!(now, expected, "{from} -> {to}");
        // Laws that every answer obeys, whatever the lines.
        let proved = found.verdict != Verdict::Undecided;
        assert_eq!(found.certainty == Certainty::Proved, proved, "{from} -> {to}");
        let back = answer(&CheckRequest {
            from: to.into(),
            to: Some(from.into()),
            ..CheckRequest::default()
        });
        if !to.contains('≈') && !to.starts_with('=') && !to.contains("= 3x+12") {
            assert_eq!(back.verdict, found.verdict, "{to} -> {from}, turned round");
            assert_eq!((back.lost, back.gained), (found.gained, found.lost), "{to} -> {from}");
        }
    }
}

#[test]
#[rustfmt::skip]
fn numbers_are_compared_by_value() {
    check(&[
        ("6/8",        "3/4",    "equivalent"),
        ("6/8",        "0.75",   "equivalent"),
        ("1/2 + 1/3",  "5/6",    "equivalent"),
        ("1/2 + 1/3",  "2/5",    "not equivalent; 5/6 against 2/5"),
        ("3 1/2",      "7/2",    "equivalent"),
        ("3 1/2",      "3.5",    "equivalent"),
        ("0.1(6)",     "1/6",    "equivalent"),
        ("0.999",      "1",      "not equivalent; 0.999 against 1"),
        ("35%",        "7/20",   "equivalent"),
        ("15% of 60",  "9",      "equivalent"),
        ("15% of 60",  "900",    "not equivalent; 9 against 900"),
        ("1,200",      "1200",   "equivalent"),
        ("3.2e5",      "320000", "equivalent"),
        ("3.2×10^5",   "320000", "equivalent"),
        ("2^10",       "1024",   "equivalent"),
        ("2^-2",       "1/4",    "equivalent"),
        ("-3^2",       "-9",     "equivalent"),
        ("-3^2",       "9",      "not equivalent; -9 against 9"),
        ("(-3)^2",     "9",      "equivalent"),
        ("2^3^2",      "512",    "equivalent"),
        ("0^0",        "1",      "not equivalent"),
        ("1/0",        "5",      "not equivalent"),
        ("7 - 12",     "-5",     "equivalent"),
        ("7 - 12",     "5",      "not equivalent; -5 against 5"),
        ("12 ÷ 3 × 2", "8",      "equivalent"),
        ("12 ÷ 3 × 2", "2",      "not equivalent; 8 against 2"),
        ("2 + 3 × 4",  "14",     "equivalent"),
        ("2 + 3 × 4",  "20",     "not equivalent; 14 against 20"),
        ("5!",         "120",    "equivalent"),
        ("hcf(12,18)", "6",      "equivalent"),
        ("lcm(4,6)",   "12",     "equivalent"),
        ("|3 - 8|",    "5",      "equivalent"),
        ("|3 - 8|",    "-5",     "not equivalent; 5 against -5"),
    ]);
}

#[test]
#[rustfmt::skip]
fn polynomials_are_compared_as_polynomials() {
    check(&[
        ("3(x+4)",             "3x+12",               "equivalent"),
        ("3(x+4)",             "3x+4",                "not equivalent; x = 0: 12 against 4 [second-term-not-multiplied]"),
        ("3(x+4)",             "12+3x",               "equivalent"),
        ("-(x-2)",             "2-x",                 "equivalent"),
        ("-(x-2)",             "-x-2",                "not equivalent; x = 0: 2 against -2"),
        ("(x+1)(x-2)",         "x^2-x-2",             "equivalent"),
        ("(x+1)(x-2)",         "x^2-2",               "not equivalent; x = 1: -2 against -1"),
        ("(x+3)^2",            "x^2+6x+9",            "equivalent"),
        ("(x+3)^2",            "x^2+9",               "not equivalent; x = 1: 16 against 10"),
        ("(a-b)(a+b)",         "a^2-b^2",             "equivalent"),
        ("(a+b)^2",            "a^2+b^2",             "not equivalent; a = 1, b = 1: 4 against 2"),
        ("(a+b)^3",            "a^3+3a^2b+3ab^2+b^3", "equivalent"),
        ("2x + 3x",            "5x",                  "equivalent"),
        ("2x + 3x",            "5x^2",                "not equivalent; x = -1: -5 against 5"),
        ("3x + 2",             "5x",                  "not equivalent; x = 0: 2 against 0"),
        ("x(x-1)(x-2)(x-3)+x", "x",                   "not equivalent; x = -1: 23 against -1"),
        ("xy + xz",            "x(y+z)",              "equivalent"),
        ("4x - 2(x - 5)",      "2x + 10",             "equivalent"),
        ("4x - 2(x - 5)",      "2x - 10",             "not equivalent; x = 0: 10 against -10"),
        ("1/2x",               "x/2",                 "equivalent"),
        ("0.5x",               "x/2",                 "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn quotients_say_what_they_exclude() {
    check(&[
        ("(x^2-1)/(x-1)",     "x+1",        "equivalent where x ≠ 1"),
        ("x/x",               "1",          "equivalent where x ≠ 0"),
        ("(2x+4)/2",          "x+2",        "equivalent"),
        ("(2x+4)/2",          "x+4",        "not equivalent; x = 0: 2 against 4"),
        ("1/x + 1/y",         "(x+y)/(xy)", "equivalent where x ≠ 0, y ≠ 0"),
        ("1/x + 1/y",         "2/(x+y)",    "not equivalent; x = 1, y = 1: 2 against 1"),
        ("(x^2-5x+6)/(x-2)",  "x-3",        "equivalent where x ≠ 2"),
        ("x/(x+1) + 1/(x+1)", "1",          "equivalent where x ≠ -1"),
        ("x^3/x",             "x^2",        "equivalent where x ≠ 0"),
    ]);
}

#[test]
#[rustfmt::skip]
fn roots_of_numbers_are_exact() {
    check(&[
        ("sqrt 12",         "2 sqrt 3",   "equivalent"),
        ("sqrt 12",         "3 sqrt 2",   "not equivalent; 2√(3) against 3√(2)"),
        ("sqrt 8 + sqrt 2", "3 sqrt 2",   "equivalent"),
        ("sqrt 8 + sqrt 2", "sqrt 10",    "not equivalent; 3√(2) against √(10)"),
        ("sqrt 2 × sqrt 8", "4",          "equivalent"),
        ("1/sqrt 2",        "sqrt 2/2",   "equivalent"),
        ("1/(1+sqrt 2)",    "sqrt 2 - 1", "equivalent"),
        ("sqrt(x^2)",       "x",          "not equivalent; x = -1: 1 against -1"),
        ("sqrt(x^2)",       "|x|",        "equivalent"),
        ("(sqrt x)^2",      "x",          "equivalent where x ≥ 0"),
        ("cbrt(-8)",        "-2",         "equivalent"),
        ("(-8)^(1/3)",      "-2",         "equivalent"),
        ("sqrt(-4)",        "2",          "not equivalent"),
        ("3.14159",         "π",          "not equivalent; 3.14159 against π"),
        ("2π",              "π + π",      "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn ratios_are_compared_as_ratios() {
    check(&[
        ("2:3",   "8:12",  "equivalent"),
        ("2:3",   "3:2",   "not equivalent; 2/3 against 3/2"),
        ("1:2:3", "2:4:6", "equivalent"),
        ("1:2:3", "2:4:5", "not equivalent; 1:3 against 2:5"),
    ]);
}

#[test]
#[rustfmt::skip]
fn one_step() {
    check(&[
        ("x + 7 = 12", "x = 5",   "equivalent"),
        ("x + 7 = 12", "x = 19",  "not equivalent; lost 5; gained 19 [kept-sign-when-moving]"),
        ("x - 3 = 8",  "x = 11",  "equivalent"),
        ("4x = 20",    "x = 5",   "equivalent"),
        ("4x = 20",    "x = 16",  "not equivalent; lost 5; gained 16 [subtracted-instead-of-dividing]"),
        ("x/3 = 4",    "x = 12",  "equivalent"),
        ("x/3 = 4",    "x = 4/3", "not equivalent; lost 12; gained 4/3"),
        ("9 = 3x",     "x = 3",   "equivalent"),
        ("-x = 4",     "x = -4",  "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn more_steps() {
    check(&[
        ("3(2x-5) = 27",     "6x-15 = 27",       "equivalent"),
        ("3(2x-5) = 27",     "2x-5 = 9",         "equivalent"),
        ("3(2x-5) = 27",     "6x-5 = 27",        "not equivalent; lost 7; gained 16/3 [second-term-not-multiplied]"),
        ("5x+3 = 2x+12",     "3x = 9",           "equivalent"),
        ("5x+3 = 2x+12",     "7x = 9",           "not equivalent; lost 3; gained 9/7 [kept-sign-when-moving]"),
        ("x/2 + x/3 = 5",    "3x + 2x = 30",     "equivalent"),
        ("x/2 + x/3 = 5",    "3x + 2x = 5",      "not equivalent; lost 6; gained 1"),
        ("0.5x - 1.2 = 0.3", "5x - 12 = 3",      "equivalent"),
        ("2(x+1) = 2x + 2",  "all real numbers", "equivalent"),
        ("2(x+1) = 2x + 5",  "no solution",      "equivalent"),
        ("2(x+1) = 2x + 5",  "x = 0",            "not equivalent; gained 0"),
        ("2x = 6",           "x = 3 or x = -3",  "not equivalent; gained -3"),
        ("0x = 0",           "all real numbers", "equivalent"),
        ("0x = 3",           "no solution",      "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn proportions() {
    check(&[
        ("n/6 = 10/15", "15n = 60", "equivalent"),
        ("n/6 = 10/15", "n = 4",    "equivalent"),
        ("n/6 = 10/15", "10n = 90", "not equivalent; lost 4; gained 9 [multiplied-straight-across]"),
        ("6/n = 3/5",   "30 = 3n",  "equivalent where n ≠ 0"),
        ("6/n = 3/5",   "n = 10",   "equivalent where n ≠ 0"),
        ("2:3 = n:12",  "3n = 24",  "equivalent"),
        ("2:3 = n:12",  "n = 18",   "not equivalent; lost 8; gained 18 [multiplied-straight-across]"),
        ("n:9 = 4:6",   "n = 6",    "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn lost_and_gained_solutions_are_named() {
    check(&[
        ("x^2 = 5x",          "x = 5",                    "not equivalent; lost 0"),
        ("x^2 = 5x",          "x = 0 or x = 5",           "equivalent"),
        ("x^2 = 9",           "x = 3",                    "not equivalent; lost -3"),
        ("x^2 = 9",           "x = ±3",                   "equivalent"),
        ("x^2 = -9",          "no solution",              "equivalent"),
        ("x^2 = 2",           "x = ±sqrt 2",              "equivalent"),
        ("x+6 = x^2",         "x = 3 or x = -2",          "equivalent"),
        ("x+6 = x^2",         "(x-3)(x+2) = 0",           "equivalent"),
        ("x^2 - 4x + 4 = 0",  "x = 2",                    "equivalent"),
        ("x^3 = x",           "x = 0 or x = 1 or x = -1", "equivalent"),
        ("x^3 = 8",           "x = 2",                    "equivalent"),
        ("x = 3",             "x^2 = 9",                  "not equivalent; gained -3"),
        ("x = 3",             "x^2 = 3x",                 "not equivalent; gained 0"),
        ("x/x = 1",           "all real numbers",         "not equivalent; gained 0"),
        ("1/x = 0",           "no solution",              "equivalent where x ≠ 0"),
        ("(x^2-1)/(x-1) = 2", "x = 1",                    "not equivalent; gained 1"),
    ]);
}

#[test]
#[rustfmt::skip]
fn rounding_is_judged_as_it_is_written() {
    check(&[
        ("x = 83/8", "x = 10.375", "equivalent"),
        ("x = 83/8", "x ≈ 10.4",   "equivalent"),
        ("x = 83/8", "x ≈ 10.3",   "not equivalent"),
        ("x = 2/3",  "x = 0.67",   "not equivalent; lost 2/3; gained 67/100"),
        ("x = 2/3",  "x ≈ 0.67",   "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn inequalities() {
    check(&[
        ("-2x < 6",        "x > -3",          "equivalent"),
        ("-2x < 6",        "x < -3",          "not equivalent; x = 0: true against false"),
        ("2x + 1 >= 7",    "x >= 3",          "equivalent"),
        ("2x + 1 >= 7",    "x > 3",           "not equivalent; lost 3"),
        ("2 < x + 1 <= 5", "1 < x <= 4",      "equivalent"),
        ("x^2 < 4",        "-2 < x < 2",      "equivalent"),
        ("x^2 > 4",        "x < -2 or x > 2", "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn several_letters() {
    check(&[
        ("A = 1/2 b h",  "h = 2A/b",        "equivalent where b ≠ 0"),
        ("A = 1/2 b h",  "h = A/(2b)",      "not equivalent; A = 1, b = 1, h = 2: true against false"),
        ("v = u + a t",  "t = (v-u)/a",     "equivalent where a ≠ 0"),
        ("v = u + a t",  "t = v/a - u",     "not equivalent; a = -1, t = 1, u = 1, v = 0: true against false"),
        ("2x + 2y = 6",  "x + y = 3",       "equivalent"),
        ("xy = 3x",      "y = 3",           "not equivalent; x = 0, y = 0: true against false"),
        ("x+y=5; x-y=1", "x=3, y=2",        "equivalent"),
        ("x+y=5; x-y=1", "x=2, y=3",        "not equivalent; lost x = 3, y = 2; gained x = 2, y = 3; x = 3, y = 2: true against false"),
        ("x+y=5; x-y=1", "2x = 6; x-y = 1", "equivalent"),
    ]);
}

#[test]
#[rustfmt::skip]
fn lines_of_different_shapes() {
    check(&[
        ("3x = 12", "4",              "not equivalent"),
        ("3(x+4)",  "x = 4",          "not equivalent"),
        ("3(x+4)",  "3(x+4) = 3x+12", "equivalent"),
        ("3(x+4)",  "= 3x+12",        "equivalent"),
    ]);
}
