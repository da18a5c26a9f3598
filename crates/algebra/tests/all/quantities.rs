//! Quantities with units: read, converted exactly, and kept apart where their kinds differ.

use algebra::write::{latex_line, speech_line, text_line};
use algebra::{Line, Options, StepVerdict, Unit, compare, read_line_with};

fn line(text: &str) -> Line {
    let options = Options { quantities: true, ..Options::default() };
    read_line_with(text, options).unwrap_or_else(|error| panic!("{text}: {error:?}")).line
}

fn is_equal(from: &str, to: &str) -> bool {
    matches!(compare(&line(from), &line(to), None), StepVerdict::Equivalent { .. })
}

#[test]
#[rustfmt::skip]
fn the_same_quantity_in_another_unit() {
    for (from, to) in [
        ("3 m", "300 cm"), ("2.5 km", "2500 m"), ("45 mm", "4.5 cm"), ("1 m", "1000 mm"),
        ("2 h", "120 min"), ("90 min", "1.5 h"), ("1 h", "3600 s"), ("3 days", "72 h"),
        ("1.2 kg", "1200 g"), ("3 t", "3000 kg"), ("500 mg", "0.5 g"),
        ("2 L", "2000 mL"), ("250 mL", "0.25 L"), ("1 m^3", "1000 L"), ("1 cm^3", "1 mL"),
        ("1 m^2", "10000 cm^2"), ("3 m^2", "30000 cm^2"), ("1 km^2", "1000000 m^2"),
        ("36 km/h", "10 m/s"), ("5 m/s", "18 km/h"),
        ("$4", "400 ¢"), ("€2.50", "€2.5"),
        ("1 ft", "12 in"), ("3 ft", "1 yd"), ("1 in", "2.54 cm"),
        ("3 cm + 5 mm", "35 mm"), ("2 × 4 cm", "8 cm"), ("6 cm × 4 cm", "24 cm^2"), ("12 m / 3", "4 m"),
        ("100 km / (2 h)", "50 km/h"),
    ] {
        assert!(is_equal(from, to), "{from} is {to}");
    }
}

#[test]
#[rustfmt::skip]
fn another_quantity_is_another_one() {
    for (from, to) in [
        ("3 m", "30 cm"), ("3 m", "3 cm"), ("1 m^2", "100 cm^2"), ("2 h", "2 min"), ("1.5 h", "1.5 min"),
        ("1 m^3", "100 L"), ("36 km/h", "36 m/s"), ("$4", "€4"), ("5 kg", "5 m"), ("24 cm^2", "24 cm"),
        ("5 cm", "5"), ("1 in", "2.5 cm"), ("$4", "40 ¢"),
    ] {
        assert!(!is_equal(from, to), "{from} is not {to}");
    }
}

#[test]
fn every_unit_is_read_by_its_sign_and_written_back() {
    for unit in Unit::all() {
        let sign = unit.symbol();
        let typed = if unit.stands_before() { format!("{sign}7") } else { format!("7 {sign}") };
        let read = line(&typed);
        let written = text_line(&read);
        assert_eq!(line(&written), read, "{typed} as {written}");
        assert!(!latex_line(&read).is_empty());
        let spoken = speech_line(&read);
        assert!(spoken.starts_with('7') && spoken.len() > 2, "{typed} as {spoken}");
    }
}

#[test]
fn units_of_one_kind_convert_there_and_back() {
    let all: Vec<Unit> = Unit::all().collect();
    for a in &all {
        for b in all.iter().filter(|b| b.parts() == a.parts()) {
            let there = a.factor() / b.factor();
            let back = b.factor() / a.factor();
            assert_eq!(
                there * back,
                algebra::number::from_int(1),
                "{} and {}",
                a.symbol(),
                b.symbol()
            );
        }
    }
}

#[test]
#[rustfmt::skip]
fn one_is_spoken_as_one() {
    for (typed, spoken) in [
        ("1 cm", "1 centimeter"), ("5 cm", "5 centimeters"), ("1 h", "1 hour"), ("0.5 h", "0.5 hours"),
        ("$1", "1 dollar"), ("$3", "3 dollars"), ("1 ft", "1 foot"), ("2 ft", "2 feet"),
    ] {
        assert_eq!(speech_line(&line(typed)), spoken, "{typed}");
    }
}
