//! Each slip from both sides: what it writes below a line, what it leaves alone, and that it is found again.

use algebra::write::text_line;
use algebra::{Line, StepVerdict, compare, read_line};
use teaching::slips::{SLIPS, Slip, recognise};

fn line(text: &str) -> Line {
    read_line(text).unwrap_or_else(|error| panic!("{text}: {error:?}")).line
}

fn slip(id: &str) -> &'static dyn Slip {
    *SLIPS.iter().find(|slip| slip.id() == id).unwrap_or_else(|| panic!("no slip {id}"))
}

/// What the slip writes below each line, by meaning; an empty list where it cannot be made.
#[track_caller]
fn writes(id: &str, rows: &[(&str, &[&str])]) {
    for (from, expected) in rows {
        let found = slip(id).wrong(&line(from));
        let shown: Vec<String> = found.iter().map(text_line).collect();
        for wanted in *expected {
            let same = |wrong: &Line| {
                matches!(compare(wrong, &line(wanted), None), StepVerdict::Equivalent { .. })
            };
            assert!(found.iter().any(same), "{id}: {from} gives {shown:?}, not {wanted}");
        }
        if expected.is_empty() {
            assert!(found.is_empty(), "{id}: {from} gives {shown:?}");
        }
    }
}

#[test]
#[rustfmt::skip]
fn the_second_term_is_not_multiplied() {
    writes("second-term-not-multiplied", &[
        ("3(x + 4)",         &["3x + 4"]),
        ("3(2x - 5) = 27",   &["6x - 5 = 27"]),
        ("-2(x - 3) = 8",    &["-2x - 3 = 8"]),
        ("5(x + 2) = 3x",    &["5x + 2 = 3x"]),
        ("3x + 4 = 10",      &[]),
        ("x = 7",            &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn the_sign_is_kept_when_a_term_moves() {
    writes("kept-sign-when-moving", &[
        ("x + 7 = 12",       &["x = 19"]),
        ("3x - 4 = 11",      &["3x = 7"]),
        ("5x = 2x + 9",      &["7x = 9"]),
        ("4x = 20",          &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn the_number_is_taken_away_instead_of_divided() {
    writes("subtracted-instead-of-dividing", &[
        ("4x = 20",          &["x = 16"]),
        ("7n = 21",          &["n = 14"]),
        ("x + 4 = 20",       &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn the_division_goes_the_wrong_way() {
    writes("divided-wrong-way", &[
        ("4x = 20",          &["x = 1/5"]),
        ("15n = 60",         &["n = 1/4"]),
        ("x + 4 = 20",       &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn only_one_term_is_divided() {
    writes("divided-one-term", &[
        ("2x + 6 = 10",      &["x + 6 = 5"]),
        ("4x = 20",          &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn a_proportion_is_multiplied_straight_across() {
    writes("multiplied-straight-across", &[
        ("n/6 = 10/15",      &["10n = 90"]),
        ("6/n = 3/5",        &["18 = 5n"]),
        ("3x = 12",          &[]),
    ]);
}

#[test]
#[rustfmt::skip]
fn the_same_is_added_instead_of_scaling() {
    writes("added-instead-of-scaling", &[
        ("n/6 = 10/15",      &["n = 1"]),
        ("3x = 12",          &[]),
    ]);
}

#[test]
fn what_a_slip_writes_is_found_again_and_is_wrong() {
    let mut made = 0;
    for a in 2..7 {
        for b in 1..6 {
            for text in [
                format!("{a}(x + {b}) = {}", a * b + 3),
                format!("{a}x + {b} = {}", 3 * a + b),
                format!("{a}x - {b} = {}", 4 * a - b),
                format!("{a}x = {}", a * (b + 1)),
                format!("n/{a} = {}/{}", b + 1, a + b),
                format!("{a}x + {b} = {}x + 9", a - 1),
            ] {
                let from = line(&text);
                for slip in SLIPS {
                    for wrong in slip.wrong(&from) {
                        made += 1;
                        let verdict = compare(&from, &wrong, None);
                        let breaks = matches!(verdict, StepVerdict::NotEquivalent(_));
                        assert!(breaks, "{}: {text} -> {}", slip.id(), text_line(&wrong));
                        // Another slip may lead to the same line; some slip is always named.
                        assert!(recognise(&from, &wrong).is_some(), "{} from {text}", slip.id());
                    }
                }
            }
        }
    }
    assert!(made > 300, "{made}");
}

#[test]
fn a_right_line_is_never_called_a_slip() {
    for (from, to) in [
        ("3(x + 4) = 21", "3x + 12 = 21"),
        ("3(x + 4) = 21", "x + 4 = 7"),
        ("2x + 6 = 10", "x + 3 = 5"),
        ("x + 7 = 12", "x = 5"),
        ("n/6 = 10/15", "15n = 60"),
        ("n/6 = 10/15", "n = 4"),
        ("5x = 2x + 9", "3x = 9"),
        ("4x = 20", "x = 5"),
    ] {
        assert!(recognise(&line(from), &line(to)).is_none(), "{from} -> {to}");
    }
}

#[test]
fn what_is_said_to_the_student_helps_without_numbers() {
    for slip in SLIPS {
        assert!(!slip.to_student().chars().any(|c| c.is_ascii_digit()), "{}", slip.id());
        for blame in ["you forgot", "wrong", "mistake", "careless"] {
            assert!(!slip.to_student().to_lowercase().contains(blame), "{}", slip.id());
        }
    }
}
