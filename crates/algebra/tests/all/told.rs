//! Lines that tell what other lines mean: functions, sequences, boxes, remainders, whole numbers.

use algebra::{
    Light, Options, Setting, StepVerdict, compare_given, judge_alone, read_in_light, read_line,
};
use proptest::prelude::*;

/// What is said of a line under another, both read in the light of each other.
fn said(from: &str, to: &str) -> &'static str {
    let light = Light::of([from, to]);
    let read = |text: &str| {
        read_in_light(text, Options::default(), &light)
            .unwrap_or_else(|error| panic!("{text}: {error:?}"))
            .line
    };
    name(&compare_given(&read(from), &read(to), &Setting::default()))
}

fn said_alone(text: &str) -> &'static str {
    name(&judge_alone(&read_line(text).unwrap_or_else(|error| panic!("{text}: {error:?}")).line))
}

fn name(verdict: &StepVerdict) -> &'static str {
    match verdict {
        StepVerdict::Equivalent { provided } if provided.is_empty() => "same",
        StepVerdict::Equivalent { .. } => "same but for some values",
        StepVerdict::NotEquivalent(_) => "other",
        StepVerdict::Undecided => "undecided",
        _ => "something else",
    }
}

#[track_caller]
fn check(rows: &[(&str, &str, &str)]) {
    for &(from, to, expected) in rows {
        assert_eq!(said(from, to), expected, "{from} -> {to}");
    }
}

#[test]
#[rustfmt::skip]
fn functions() {
    check(&[
        ("f(x) = 2x + 1",                       "f(3) = 7",                 "same"),
        ("f(x) = 2x + 1",                       "f(3) = 6",                 "other"),
        ("f(x) = 2x + 1",                       "f(a+1) = 2a + 3",          "same"),
        ("f(x) = 2x + 1",                       "f(a+1) = 2a + 1",          "other"),
        ("f(x) = x^2",                          "f(-3) = 9",                "same"),
        ("f(x) = x^2",                          "f(-3) = -9",               "other"),
        ("f(x) = 2x; g(x) = x + 3",             "fg(x) = 2(x + 3)",         "same"),
        ("f(x) = 2x; g(x) = x + 3",             "fg(x) = 2x + 3",           "other"),
        ("f(x) = 2x; g(x) = x + 3",             "gf(x) = 2x + 3",           "same"),
        ("f(x) = 2x + 3",                       "f^-1(x) = (x - 3)/2",      "same"),
        ("f(x) = 2x + 3",                       "f^-1(x) = x/2 - 3",        "other"),
        ("f(x) = x^3",                          "f'(x) = 3x^2",             "same"),
        ("f(x) = x^3",                          "f'(x) = x^2",              "other"),
        ("y = x^3 - 2x",                        "dy/dx = 3x^2 - 2",         "same"),
        ("y = x^3 - 2x",                        "dy/dx = 3x^2 - 2x",        "other"),
        // An unknown function is asked for no value.
        ("f(x) = 2x + 1",                       "f(x) = 7",                 "undecided"),
    ]);
}

#[test]
#[rustfmt::skip]
fn sequences() {
    check(&[
        ("a_n = 3n + 2",                        "a_5 = 17",                 "same"),
        ("a_n = 3n + 2",                        "a_5 = 15",                 "other"),
        ("T(n) = 4n - 1",                       "T(10) = 39",               "same"),
        ("T(n) = 4n - 1",                       "T(10) = 40",               "other"),
        ("a_1 = 5; a_{n+1} = a_n + 3",          "a_4 = 14",                 "same"),
        ("a_1 = 5; a_{n+1} = a_n + 3",          "a_4 = 17",                 "other"),
        ("a_1 = 2; a_{n+1} = 3a_n",             "a_3 = 18",                 "same"),
    ]);
}

#[test]
#[rustfmt::skip]
fn boxes_and_remainders() {
    check(&[
        ("□ + 5 = 12",                          "□ = 7",                    "same"),
        ("□ + 5 = 12",                          "□ = 17",                   "other"),
        ("□ + 5 = 12",                          "7 + 5 = 12",               "same"),
        ("□ + 5 = 12",                          "8 + 5 = 12",               "other"),
        ("6 × ___ = 42",                        "6 × 7 = 42",               "same"),
        ("29 ÷ 4",                              "7 r 1",                    "same"),
        ("29 ÷ 4",                              "6 r 5",                    "other"),
        ("29 ÷ 4",                              "7 r 2",                    "other"),
    ]);
    for (line, expected) in [
        ("17 ÷ 5 = 3 r 2", "same"),
        ("17 ÷ 5 = 3 R 2", "same"),
        ("17 ÷ 5 = 3 rem 2", "same"),
        ("17 ÷ 5 = 3 remainder 2", "same"),
        ("17 ÷ 5 = 2 r 7", "other"),
        ("17 ÷ 5 = 3 r 1", "other"),
    ] {
        assert_eq!(said_alone(line), expected, "{line}");
    }
}

#[test]
#[rustfmt::skip]
fn letters_cancelled_where_nothing_is_asked_for() {
    check(&[
        ("ab = ac",                             "b = c",                    "other"),
        ("b = c",                               "ab = ac",                  "other"),
        ("x^2 = 3x",                            "x = 3",                    "other"),
        ("x^2 = 3x",                            "x = 0 or x = 3",           "same"),
        ("2a = 2b",                             "a = b",                    "same"),
    ]);
}

#[test]
#[rustfmt::skip]
fn even_roots_that_only_touch_zero() {
    check(&[
        ("sqrt(-x^2) = 0",                      "x = 0",                    "same"),
        ("sqrt(-x^2) = 0",                      "no solution",              "other"),
        ("sqrt(6x - x^2 - 9) = x - 3",          "x = 3",                    "same"),
        ("sqrt(6x - x^2 - 9) = x - 3",          "no solution",              "other"),
        ("sqrt(-(x-2)^2) = 1",                  "no solution",              "same"),
    ]);
}

proptest! {
    #![proptest_config(super::cases(96))]

    /// A function has at a number what its rule comes to there, and nothing else.
    #[test]
    fn a_function_has_one_value(a in -9i64..9, b in -9i64..9, c in -9i64..9, at in -12i64..12, off in -3i64..4) {
        let rule = format!("f(x) = {a}x^2 + ({b})x + ({c})");
        let value = a * at * at + b * at + c;
        let expected = if off == 0 { "same" } else { "other" };
        prop_assert_eq!(said(&rule, &format!("f({at}) = {}", value + off)), expected);
    }

    /// A function inside another is worked out from the inside.
    #[test]
    fn a_function_of_a_function(a in 1i64..9, b in -9i64..9, c in 1i64..9, d in -9i64..9, at in -9i64..9) {
        let rules = format!("f(x) = {a}x + ({b}); g(x) = {c}x + ({d})");
        let value = a * (c * at + d) + b;
        prop_assert_eq!(said(&rules, &format!("fg({at}) = {value}")), "same");
        prop_assert_eq!(said(&rules, &format!("fg({at}) = {}", value + 1)), "other");
    }

    /// The inverse of a straight line undoes it.
    #[test]
    fn an_inverse_undoes(a in 1i64..9, b in -9i64..9, off in 0i64..3) {
        let rule = format!("f(x) = {a}x + ({b})");
        let expected = if off == 0 { "same" } else { "other" };
        prop_assert_eq!(said(&rule, &format!("f^-1(x) = (x - ({}))/{a}", b + off)), expected);
    }

    /// A term of a sequence, by its rule and by going on from the first.
    #[test]
    fn terms_of_a_sequence(first in -9i64..9, step in -9i64..9, n in 1i64..15, off in 0i64..2) {
        let expected = if off == 0 { "same" } else { "other" };
        let value = first + (n - 1) * step + off;
        let by_rule = format!("a_n = {step}n + ({})", first - step);
        prop_assert_eq!(said(&by_rule, &format!("a_{n} = {value}")), expected);
        // Its first term is given: there is nothing to work out.
        if n > 1 {
            let by_steps = format!("a_1 = {first}; a_{{n+1}} = a_n + ({step})");
            prop_assert_eq!(said(&by_steps, &format!("a_{n} = {value}")), expected);
        }
    }

    /// A remainder is what is left, and less than the divisor.
    #[test]
    fn remainders_are_what_is_left(n in 1u64..500, d in 2u64..20, quotient in 0u64..60, rest in 0u64..25) {
        let told = format!("{n} ÷ {d} = {quotient} r {rest}");
        let is_right = n == d * quotient + rest && rest < d;
        prop_assert_eq!(said_alone(&told), if is_right { "same" } else { "other" }, "{}", told);
        let right = format!("{n} ÷ {d} = {} r {}", n / d, n % d);
        prop_assert_eq!(said_alone(&right), "same", "{}", right);
    }

    /// A box is filled by the one number that fits.
    #[test]
    fn a_box_holds_one_number(a in 1i64..60, filled in 1i64..60, off in -2i64..3) {
        let sum = a + filled;
        let expected = if off == 0 { "same" } else { "other" };
        let told = filled + off;
        prop_assert_eq!(said(&format!("{a} + □ = {sum}"), &format!("{a} + {told} = {sum}")), expected);
        prop_assert_eq!(said(&format!("{a} + □ = {sum}"), &format!("□ = {told}")), expected);
    }

    /// Whole powers of a negative number have the exponents that they have, by trying each.
    #[test]
    fn powers_of_negative_numbers(base in 2i64..5, n in 0u32..7, sign: bool) {
        let value = (-base).pow(n) * if sign { 1 } else { -1 };
        let found: Vec<u32> = (0..12).filter(|k| (-base).checked_pow(*k) == Some(value)).collect();
        let line = |text: &str| read_line(text).expect("a line").line;
        let assumed = algebra::Assumptions::read(["n integer"].into_iter()).expect("an assumption");
        let setting = Setting { assumed, unknown: Some("n".into()) };
        let told = match found[..] {
            [] => "no solution".to_owned(),
            [only] => format!("n = {only}"),
            _ => return Ok(()),
        };
        let verdict = compare_given(&line(&format!("(-{base})^n = {value}")), &line(&told), &setting);
        prop_assert_eq!(name(&verdict), "same", "(-{})^n = {} -> {}", base, value, told);
        let wrong = compare_given(&line(&format!("(-{base})^n = {value}")), &line(&format!("n = {}", n + 1)), &setting);
        prop_assert_eq!(name(&wrong), "other");
    }
}
