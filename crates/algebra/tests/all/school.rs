//! What a class writes around and in place of signs: what is read of it, and what is not.

use algebra::write::{latex_line, text_line};
use algebra::{Light, Line, Options, ReadErrorKind, read_in_light, read_latex, read_line};
use proptest::prelude::*;

/// Typed, and what is read.
#[track_caller]
fn check(rows: &[(&str, &str)]) {
    for &(typed, plain) in rows {
        let line = read_line(typed).unwrap_or_else(|error| panic!("{typed}: {error:?}")).line;
        assert_eq!(text_line(&line), plain, "{typed}");
        // What was read reads back as the same line, plain and typeset.
        assert_eq!(read_line(plain).map(|r| r.line).as_ref(), Ok(&line), "{typed} as {plain}");
        let typeset = latex_line(&line);
        assert_eq!(
            read_latex(&typeset).map(|r| r.line).as_ref(),
            Ok(&line),
            "{typed} as {typeset}"
        );
    }
}

/// Lines that stand together, and what is read of the last.
#[track_caller]
fn check_in_light(rows: &[(&[&str], &str)]) {
    for &(lines, plain) in rows {
        let light = Light::of(lines.iter().copied());
        let last = lines[lines.len() - 1];
        let line = read_in_light(last, Options::default(), &light)
            .unwrap_or_else(|e| panic!("{last}: {e:?}"))
            .line;
        assert_eq!(text_line(&line), plain, "{lines:?}");
    }
}

#[test]
#[rustfmt::skip]
fn words_that_are_signs() {
    check(&[
        ("7 plus 8 equals 15",                  "7 + 8 = 15"),
        ("12 minus 5",                          "12 - 5"),
        ("4 times 5 is 20",                     "4 × 5 = 20"),
        ("20 divided by 4",                     "20/4"),
        ("x squared plus 3",                    "x^2 + 3"),
        ("2 cubed",                             "2^3"),
        ("square root of 49",                   "√(49)"),
        ("cube root of 8 = 2",                  "∛(8) = 2"),
        ("half of 30",                          "1/2 × 30"),
        ("double 7",                            "2 × 7"),
        ("three quarters of 20",                "3/4 × 20"),
        ("x is greater than 3",                 "x > 3"),
        ("x is at least 3",                     "x ≥ 3"),
        ("x is at most 10",                     "x ≤ 10"),
        ("5 is less than 8",                    "5 < 8"),
        ("x is not equal to 2",                 "x ≠ 2"),
        ("25 percent of 80",                    "25% × 80"),
        ("25 per cent of 80",                   "25% × 80"),
        ("2 to the power of 5",                 "2^5"),
        ("5 factorial",                         "5!"),
        ("7 x 8",                               "7 × 8"),
        ("9 X 6 = 54",                          "9 × 6 = 54"),
        ("3.2 x 10^5",                          "3.2 × 10^5"),
        ("8C2",                                 "choose(8, 2)"),
    ]);
}

#[test]
#[rustfmt::skip]
fn labels_and_remarks_are_passed_over() {
    check(&[
        ("Step 3: x = 4",                       "x = 4"),
        ("Q3: x = 4",                           "x = 4"),
        ("a) x = 4",                            "x = 4"),
        ("so x = 4",                            "x = 4"),
        ("therefore x = 4",                     "x = 4"),
        ("hence 2x = 6",                        "2x = 6"),
        ("⟹ x = 4",                             "x = 4"),
        ("∴ x = 4",                             "x = 4"),
        ("Solve 2x + 1 = 7",                    "2x + 1 = 7"),
        ("simplify 2x + 3x",                    "2x + 3x"),
        ("x = 4 ✓",                             "x = 4"),
        ("x = 4 (divide by 3)",                 "x = 4"),
        ("x = 4 because 3 times 4 is 12",       "x = 4"),
        ("x - 3 = 4 | +3",                      "x - 3 = 4"),
        ("LHS = 2(3) + 4 = 10",                 "2 × 3 + 4 = 10"),
        ("we get x = 4",                        "x = 4"),
    ]);
}

#[test]
#[rustfmt::skip]
fn shares_ratios_and_changes() {
    check(&[
        ("3 out of 5",                          "3/5"),
        ("1 in 4",                              "1/4"),
        ("2 to 3",                              "2:3"),
        ("1 is to 2",                           "1:2"),
        ("2:3::8:12",                           "2:3 = 8:12"),
        ("mean of 3, 5 and 8",                  "(3 + 5 + 8)/3"),
        ("sum of 3 and 5",                      "3 + 5"),
    ]);
}

#[test]
#[rustfmt::skip]
fn names_stand_for_quantities() {
    check(&[
        ("AB = 5",                              "AB = 5"),
        ("∠ABC = 50°",                          "∠ABC = 50°"),
        ("speed = 60",                          "speed = 60"),
    ]);
}

#[test]
#[rustfmt::skip]
fn lists_sets_and_intervals() {
    check(&[
        ("x => 4",                              "x ≥ 4"),
        ("x =< 4",                              "x ≤ 4"),
        ("x = 3 or x = -2",                     "x = 3 or x = -2"),
        ("x = 3 and x = -2",                    "x = 3 or x = -2"),
        ("x ∈ {3, -2}",                         "x = 3 or x = -2"),
        ("no solution",                         "no solution"),
        ("all real numbers",                    "all real numbers"),
    ]);
}

#[test]
#[rustfmt::skip]
fn letters_set_high_are_exponents() {
    check(&[
        ("10ˣ",                                 "10^x"),
        ("2ᵐ",                                  "2^m"),
        ("aⁿ⁺¹",                                "a^(n + 1)"),
        ("5·2ˣ = 40",                           "5 × 2^x = 40"),
        ("x⁻²",                                 "x^(-2)"),
        ("10⁻³",                                "10^(-3)"),
    ]);
}

#[test]
#[rustfmt::skip]
fn one_line_tells_what_letters_are_in_another() {
    check_in_light(&[
        (&["PV = nRT", "P = nRT/V"],            "P = nRT/V"),
        (&["4g = 12", "g = 3"],                 "g = 3"),
        (&["f(x) = 2x + 1", "f(3) = 7"],        "f(3) = 7"),
        (&["k(x) = 2x", "k(4) = 8"],            "k(4) = 8"),
        (&["h = 3", "h(a + b)"],                "h (a + b)"),
        (&["AB = 5", "AB = 5"],                 "AB = 5"),
    ]);
}

#[test]
fn a_sentence_is_never_mathematics() {
    for typed in [
        "I do not know how to do this",
        "the lines are parallel",
        "It goes up by the same amount every time",
        "please help me with the next step",
        "because the triangles are similar",
    ] {
        let read = read_line(typed).map(|reading| reading.line);
        assert!(matches!(read, Ok(Line::Sentence(_)) | Err(_)), "{typed}: {read:?}");
    }
}

#[test]
fn what_cannot_be_read_says_where_and_how_to_mend_it() {
    for (typed, at, mends) in [("x2 + 3x", (0, 2), &["x^2", "x_2"][..]), ("2 # 3", (2, 3), &[""])] {
        let error = read_line(typed).expect_err(typed);
        assert_eq!((error.span.start, error.span.end), at, "{typed}: {error:?}");
        let offered: Vec<&str> = error.mend.iter().map(|mend| mend.text.as_str()).collect();
        assert!(offered.iter().all(|mend| mends.contains(mend)), "{typed}: {offered:?}");
    }
    // A word that is none is named.
    let error = read_line("blorb = 3 + squig").expect_err("no words");
    assert!(matches!(error.kind, ReadErrorKind::UnknownWord(_)), "{error:?}");
}

/// Words that may lead into a line.
const LEADS: &[&str] = &["", "so ", "Step 2: ", "therefore ", "∴ ", "Ans: ", "Solve ", "we get "];
/// What may stand behind one.
const REMARKS: &[&str] = &["", " ✓", " (check)", " because it is true", " QED"];

proptest! {
    #![proptest_config(super::cases(256))]

    /// Whatever stands around an equation, it is the same equation.
    #[test]
    fn a_line_is_the_same_with_words_around_it(
        factor in 2i32..20, more in -20i32..20, right in -50i32..50,
        lead in prop::sample::select(LEADS), remark in prop::sample::select(REMARKS),
    ) {
        let bare = format!("{factor}x + {more} = {right}").replace("+ -", "- ");
        let bare = if more == 0 { format!("{factor}x = {right}") } else { bare };
        let typed = format!("{lead}{bare}{remark}");
        let read = |text: &str| read_line(text).map(|reading| text_line(&reading.line));
        prop_assert_eq!(read(&typed), read(&bare), "{}", typed);
    }

    /// Spoken and written sums are the same.
    #[test]
    fn a_sum_may_be_spoken(a in 1u32..500, b in 1u32..500, which in 0usize..4) {
        let (word, sign) = [("plus", "+"), ("minus", "-"), ("times", "*"), ("divided by", "/")][which];
        let read = |text: String| read_line(&text).map(|reading| reading.line);
        prop_assert_eq!(read(format!("{a} {word} {b}")), read(format!("{a} {sign} {b}")));
    }

    /// No words in any order are taken for a product of letters.
    #[test]
    fn words_in_any_order_are_no_product(
        words in prop::collection::vec(prop::sample::select(&[
            "the", "length", "of", "a", "garden", "is", "longer", "than", "width", "and", "we", "cost", "out",
            "apples", "each", "per", "cat", "run",
        ][..]), 3..8),
    ) {
        let typed = format!("{} garden", words.join(" "));
        if let Ok(reading) = read_line(&typed) {
            let letters = reading.line.symbols();
            prop_assert!(letters.iter().all(|name| name.chars().count() != 1 || name == "a"), "{typed}: {letters:?}");
        }
    }
}
