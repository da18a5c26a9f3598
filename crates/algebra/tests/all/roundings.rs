//! Numbers as they are written, held against the values that they are said to round.

use algebra::budget::Budget;
use algebra::normal::{Normaliser, Quotient, Values};
use algebra::number::{from_int, round_to_places, to_decimal_text};
use algebra::round::{Fit, agreeing_places, fits, last_place};
use algebra::{Rational, read_expr};
use proptest::prelude::*;

fn value(text: &str) -> Quotient {
    let expr = read_expr(text).expect(text);
    Normaliser::new(&Values::new(), &mut Budget::for_verdict()).build(&expr).expect(text)
}

fn fit(of: &str, written: &str) -> Fit {
    fits(&value(of), &read_expr(written).expect(written), &mut Budget::for_verdict())
}

#[test]
#[rustfmt::skip]
fn a_number_rounds_a_value_or_misses_it() {
    for (of, rounds, misses) in [
        ("1/3",      &["0.3", "0.33", "0.333", "0", "3.3e-1"][..],   &["0.34", "0.30", "0.4"][..]),
        ("2/3",      &["0.7", "0.67", "1", "0.667"],                 &["0.6", "0.66", "0.670"]),
        ("π",        &["3", "3.1", "3.14", "3.142", "3.1416"],       &["3.15", "3.141", "3.2", "3.140"]),
        ("√2",       &["1", "1.4", "1.41", "1.414"],                 &["1.42", "1.5", "2", "1.4143"]),
        ("-√2",      &["-1", "-1.4", "-1.41"],                       &["1.41", "-1.5"]),
        ("1/8",      &["0.13", "0.1", "0.125", "0.1250"],            &["0.12", "0.2"]),
        ("5/2",      &["3", "2.5", "2.50"],                          &["2", "2.6"]),
        ("-5/2",     &["-3", "-2.5"],                                &["-2"]),
        ("0.05",     &["0.1", "0.05"],                        &["0.0", "0.2"]),
        ("12345",    &["12345", "12350", "12300", "12000", "10000"], &["12340", "12400", "13000", "20000"]),
        ("e^2",      &["7.4", "7.39", "7.389"],                      &["7.38", "7.3"]),
        ("ln 2",     &["0.69", "0.693", "0.7"],                      &["0.70", "0.694"]),
        ("10^10/3",  &["3333333333", "3.33e9", "3.3e9"],             &["3.34e9", "3333333334"]),
    ] {
        for written in rounds {
            assert_eq!(fit(of, written), Fit::Rounds, "{of} ≈ {written}");
        }
        for written in misses {
            assert_eq!(fit(of, written), Fit::Misses, "{of} ≈ {written}");
        }
    }
}

#[test]
fn what_is_no_written_number_is_not_told() {
    for written in ["x", "√2", "1 + 1", "π"] {
        assert_eq!(fit("2", written), Fit::Unknown, "{written}");
    }
}

#[test]
#[rustfmt::skip]
fn the_last_place_of_a_number_is_one_of_its_digits() {
    for (written, place) in [("3.14", "1/100"), ("3.10", "1/100"), ("7", "1"), ("0.5", "1/10"), ("2.5e3", "100")] {
        let found = last_place(&read_expr(written).expect(written));
        assert_eq!(found.as_ref().map(algebra::number::show).as_deref(), Some(place), "{written}");
    }
    assert_eq!(last_place(&read_expr("√2").expect("a root")), None);
}

#[test]
#[rustfmt::skip]
fn as_many_places_agree_as_agree() {
    for (of, near, places) in [("π", "314159/100000", 4), ("1/3", "33/100", 2), ("√2", "7/5", 1), ("1/7", "1/7", 20)] {
        let near = value(near).as_constant().expect("a number");
        let found = agreeing_places(&value(of), &near, &mut Budget::for_verdict());
        assert!(found.is_none_or(|found| found >= places.min(3)), "{of} and {near}: {found:?}");
    }
}

fn rational() -> impl Strategy<Value = Rational> {
    (-90_000i64..90_000, 1i64..900).prop_map(|(a, b)| Rational::new(a.into(), b.into()))
}

proptest! {
    #![proptest_config(crate::cases(400))]

    #[test]
    fn a_value_rounded_is_a_rounding_of_it(value in rational(), places in 0u32..5) {
        let rounded = round_to_places(&value, places);
        let written = to_decimal_text(&rounded, places);
        let expr = read_expr(&written).expect("a decimal");
        let whole = Quotient::constant(value.clone());
        prop_assert_eq!(fits(&whole, &expr, &mut Budget::for_verdict()), Fit::Rounds, "{} ≈ {}", value, written);
    }

    #[test]
    fn one_more_in_the_last_place_is_no_rounding_of_it(value in rational(), places in 1u32..5) {
        let step = from_int(1) / from_int(10_i64.pow(places));
        for moved in [round_to_places(&value, places) + &step, round_to_places(&value, places) - &step] {
            let written = to_decimal_text(&moved, places);
            // A written zero at the end may stand for fewer places.
            prop_assume!(!written.ends_with('0'));
            let expr = read_expr(&written).expect("a decimal");
            let whole = Quotient::constant(value.clone());
            prop_assert_eq!(fits(&whole, &expr, &mut Budget::for_verdict()), Fit::Misses, "{} ≈ {}", value, written);
        }
    }
}
