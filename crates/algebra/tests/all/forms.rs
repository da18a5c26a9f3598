//! What form a line has, looked at alone: by rows, each form with lines that have it and lines that have not.

use algebra::form::Form;
use algebra::{Line, Options, read_line_with};

fn line(text: &str) -> Line {
    let options = Options {
        quantities: text.ends_with(|sign: char| sign.is_alphabetic()) && text.contains(' '),
        ..Options::default()
    };
    read_line_with(text, options).unwrap_or_else(|error| panic!("{text}: {error:?}")).line
}

/// A form, lines that have it, and lines that have not.
type Row = (&'static str, &'static [&'static str], &'static [&'static str]);

#[rustfmt::skip]
const ROWS: &[Row] = &[
    ("any",               &["3", "x = 3", "2/4", "x < 3 or x > 5"],                    &[]),
    ("exact",             &["1/3", "√2", "x = π/4", "2.5"],                            &["≈ 0.33", "x ≈ 1.41", "x = 1 or x ≈ 2.4"]),
    ("lowest_terms",      &["3/4", "5", "-7/2", "x = 1/3", "0", "1 1/2"],              &["2/4", "10/5", "0.5", "1 2/4", "x = 6/4", "-8/12", "7/1"]),
    ("mixed_number",      &["3 1/2", "5", "3/4", "-1 2/3"],                            &["7/2", "3 2/4", "2.5", "3 3/2", "-5/3"]),
    ("improper_fraction", &["7/2", "3", "3/4", "-5/3"],                                &["3 1/2", "14/4", "3.5"]),
    ("decimal:2",         &["2.50", "0.07", "x = 3.14", "-1.00"],                      &["2.5", "2.505", "5/2", "3"]),
    ("decimal:0",         &["3", "120"],                                               &["3.0", "1/2"]),
    ("significant:3",     &["3.14", "0.00520", "120", "x ≈ 45.6", "1.20e5"],           &["3.1", "3.142", "0.0052"]),
    ("significant:1",     &["3", "0.05", "400"],                                       &["31", "0.051"]),
    ("standard_form",     &["3.2 × 10^5", "1 × 10^(-3)", "3.2e5", "-4 × 10^7"],        &["32 × 10^4", "0.3 × 10^6", "320000", "10 × 10^2"]),
    ("percent",           &["35%", "12.5%", "x = 8%"],                                 &["0.35", "35", "35/100"]),
    ("simplified_radical",&["2√3", "√2/2", "√5", "7", "3 + 2√6", "∛2"],                &["√12", "1/√2", "√(9)", "√(1/2)", "∛16", "3/√5"]),
    ("rationalised",      &["√2/2", "√12", "(3 + √5)/4"],                              &["1/√2", "2/(1 + √3)"]),
    ("expanded",          &["x^2 + 5x + 6", "2x - 3", "7", "a^2 - b^2"],               &["(x + 2)(x + 3)", "2(x - 3)", "(x + 1)^2", "x + x"]),
    ("factorised",        &["(x + 2)(x + 3)", "2(x - 3)", "x(x - 1)", "(x + 1)^2"],    &["x^2 + 5x + 6", "2(2x + 4)", "(x^2 - 1)(x + 2)", "x^2 - x"]),
    ("single_power",      &["2^7", "x^5", "a^(-3)", "3^(n + 1)"],                      &["2^3 × 2^4", "x^2 x^3", "128 + x", "(x^2)^3"]),
    ("solved_for:x",      &["x = 3", "x = 2a - b", "3"],                               &["2x = 6", "x - 3 = 0", "y = 3"]),
    ("all_solutions",     &["x = 2 or x = 3", "x = 5"],                                &["x^2 = 4", "(x - 2)(x - 3) = 0"]),
    ("unit:cm",           &["5 cm", "x = 2.5 cm"],                                     &["5 m", "50 mm", "5"]),
    ("unit",              &["5 cm", "12 kg", "3 m/s"],                                 &["5", "x + 1"]),
];

#[test]
fn a_line_has_a_form_or_has_it_not() {
    let mut wrong = Vec::new();
    for &(name, have, have_not) in ROWS {
        let form = Form::named(name).unwrap_or_else(|| panic!("{name} is a form"));
        let all =
            have.iter().map(|text| (text, true)).chain(have_not.iter().map(|text| (text, false)));
        for (text, expected) in all {
            if form.fits(&line(text)) != expected {
                wrong.push(format!("{text} is {}{name}", if expected { "" } else { "not " }));
            }
        }
    }
    assert!(wrong.is_empty(), "{wrong:#?}");
}

#[test]
fn a_form_is_read_by_the_name_that_it_is_written_by() {
    let numbered =
        ["decimal:0", "decimal:20", "significant:1", "solved_for:x", "unit:km", "unit:kg"];
    for name in numbered {
        assert_eq!(Form::named(name).map(|form| form.name()).as_deref(), Some(name));
    }
    for form in Form::PLAIN {
        assert_eq!(Form::named(&form.name()), Some(form));
    }
}

#[test]
fn what_is_no_form_is_none() {
    for name in [
        "",
        "lowest",
        "decimal",
        "decimal:",
        "decimal:-1",
        "decimal:21",
        "decimal:x",
        "significant:0",
        "unit:parsec",
        "any:3",
        "LOWEST_TERMS",
    ] {
        assert_eq!(Form::named(name), None, "{name}");
    }
}

/// The form of an answer does not depend on which of two equal letters it is written in, nor on its sign's place.
#[test]
fn a_negative_number_has_the_form_of_its_size() {
    for (name, have, have_not) in ROWS.iter().filter(|(name, ..)| {
        !matches!(*name, "mixed_number" | "single_power" | "expanded" | "factorised")
    }) {
        let form = Form::named(name).expect("a form");
        let plain = |text: &&&str| {
            text.chars().all(|sign| sign.is_ascii_digit() || matches!(sign, '.' | '/' | '%'))
        };
        for (texts, expected) in [(have, true), (have_not, false)] {
            for text in texts.iter().filter(plain) {
                assert_eq!(form.fits(&line(&format!("-{text}"))), expected, "-{text} as {name}");
            }
        }
    }
}
