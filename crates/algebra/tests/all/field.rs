//! What the mathematics field makes of typing is read as the typing is: each line of `field.tsv` is a line as it was
//! typed and the LaTeX of the field after it.

use algebra::write::text_line;
use algebra::{Options, read_line_with};

fn reading(text: &str, latex: bool, quantities: bool) -> String {
    let options = Options { latex, quantities, ..Options::default() };
    match read_line_with(text, options) {
        Ok(reading) => text_line(&reading.line),
        Err(error) => format!("{:?}", error.kind),
    }
}

#[test]
fn a_line_means_the_same_in_the_field() {
    let mut wrong = Vec::new();
    for row in include_str!("field.tsv").lines() {
        let (typed, latex) = row.split_once('\t').expect("two columns");
        for quantities in [false, true] {
            let (plain, field) =
                (reading(typed, false, quantities), reading(latex, true, quantities));
            if plain != field {
                wrong.push(format!("{typed}: {plain}, but {latex}: {field}"));
            }
        }
    }
    assert!(wrong.is_empty(), "{} of them:\n{}", wrong.len(), wrong.join("\n"));
}

#[test]
fn spaces_of_latex_keep_every_place() {
    for text in [r"2x\:+\,@", r"2x\\\:@", r"\;\ @", r"@\:2"] {
        let error = read_line_with(text, Options { latex: true, ..Options::default() })
            .expect_err("unreadable");
        assert_eq!(Some(error.span.start), text.find('@'), "{text}");
    }
}

#[test]
#[rustfmt::skip]
fn what_an_editor_writes_for_school_signs() {
    for (latex, plain) in [
        (r"f^{\prime}(x)=2x",               "f'(x) = 2x"),
        (r"f^{\prime\prime}(x)=2",          "f''(x) = 2"),
        (r"5^{\prime}6^{\prime\prime}",     "5'6\""),
        (r"It^{\prime}s\:12",               "It's 12"),
        (r"3(4)=12\:\checkmark",            "3(4) = 12"),
        (r"\pounds3.50",                    "£3.50"),
        (r"\_\_\_+5=12",                    "___ + 5 = 12"),
        (r"\frac12\:h",                     "1/2 h"),
        (r"46\:000",                        "46 000"),
        (r"1\,200\,000",                    "1 200 000"),
        (r"2x=8\implies x=4",               "2x = 8; x = 4"),
        (r"x^{2.}",                         "x^2"),
    ] {
        assert_eq!(reading(latex, true, true), reading(plain, false, true), "{latex}");
    }
    assert_eq!(reading(r"90\:\frac{km}{h}", true, false), "90 × (km/h)");
}

#[test]
fn squares_and_cubes_of_units_are_told_in_words() {
    for (typed, meant) in [
        ("3 sq m", "3 m^2"),
        ("8 sq cm", "8 cm^2"),
        ("5 square metres", "5 m^2"),
        ("2 cubic metres", "2 m^3"),
        ("8 square centimetres = 800 sq mm", "8 cm^2 = 800 mm^2"),
        ("π/4 rad", "(π/4) rad"),
        ("9 squared", "9^2"),
        ("3 square root of 4", "3√(4)"),
    ] {
        assert_eq!(reading(typed, false, false), meant, "{typed}");
    }
}

#[test]
fn two_conditions_are_written_so_that_they_read_the_same() {
    for typed in ["2x + 3 > 7; 1/2 y > 2", "x^2 <= 4; 2 <= x <= 3", "x > 1; x < 3", "3 cm^3 m = 1"]
    {
        let once = reading(typed, false, true);
        assert_eq!(reading(&once, false, true), once, "{typed}");
    }
}

#[test]
fn implications_state_both_of_their_sides() {
    for (typed, meant) in [
        ("2x = 8 => x = 4", "2x = 8; x = 4"),
        ("2x + 1 = 9 ⟹ 2x = 8 ⟹ x = 4", "2x + 1 = 9; 2x = 8; x = 4"),
        ("=> x = 4", "x = 4"),
        ("-> x = 4", "x = 4"),
    ] {
        assert_eq!(reading(typed, false, false), reading(meant, false, false), "{typed}");
    }
    // Two values of one letter would be solutions of it.
    assert!(reading("x = 3 => x = 4", false, false).starts_with("Unexpected"));
    // An arrow between two lines may say anything.
    assert!(reading("2x = 8 -> x = 4", false, false).starts_with("Unexpected"));
}
