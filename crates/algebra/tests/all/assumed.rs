//! What is assumed of letters: as it is typed, what it lets through, and what it makes true.

use algebra::budget::Budget;
use algebra::normal::{Normaliser, Values};
use algebra::sketch::{Sketch, plainly_differ};
use algebra::{Assumptions, Setting, StepVerdict, compare_given, read_expr, read_line};

fn assumed(texts: &[&str]) -> Assumptions {
    Assumptions::read(texts.iter().copied()).unwrap_or_else(|(text, why)| panic!("{text}: {why:?}"))
}

fn point(text: &str) -> Values {
    let none = Values::new();
    let budget = &mut Budget::for_verdict();
    let one = |pair: &str| {
        let (letter, value) = pair.split_once('=').expect("a letter and its value");
        let value =
            Normaliser::new(&none, budget).build(&read_expr(value).expect(value)).expect(value);
        (letter.trim().to_owned(), value)
    };
    text.split(',').filter(|pair| !pair.is_empty()).map(one).collect()
}

#[test]
#[rustfmt::skip]
fn points_are_admitted_or_not() {
    for (texts, admitted, refused) in [
        (&["x > 0"][..],            &["x=1", "x=√2", "x=1/1000", "y=-3"][..],  &["x=0", "x=-1"][..]),
        (&["0 <= x < 360"],         &["x=0", "x=359.9"],                       &["x=360", "x=-1"]),
        (&["n integer"],            &["n=3", "n=-4", "n=0"],                   &["n=1/2", "n=√2"]),
        (&["m, n are integers"],       &["m=1,n=2"],                              &["m=1,n=1/2"]),
        (&["m, n integer"],         &["m=1,n=2"],                              &["m=1,n=1/2", "m=0.5,n=2"]),
        (&["positive"],             &["x=1,y=2"],                              &["x=1,y=0", "x=-1"]),
        (&["x > 0", "x < y"],       &["x=1,y=2"],                              &["x=2,y=1", "x=0,y=1"]),
        (&["x > 0 and x < 5"],      &["x=4"],                                  &["x=5", "x=0"]),
        (&["x ≠ 2"],                &["x=3"],                                  &["x=2"]),
        (&["x^2 < 2"],              &["x=1", "x=-1.4"],                        &["x=√2", "x=3"]),
        (&[],                       &["x=-1", "x=0"],                          &[]),
    ] {
        let assumptions = assumed(texts);
        for at in admitted {
            assert!(assumptions.admit(&point(at), &mut Budget::for_verdict()), "{texts:?} at {at}");
        }
        for at in refused {
            assert!(!assumptions.admit(&point(at), &mut Budget::for_verdict()), "{texts:?} at {at}");
        }
    }
}

#[test]
fn what_is_no_assumption_is_told_by_its_text() {
    for text in ["x + 1", "integer", "x > ", "))", "", ", integer", "x = 1 or x = 2"] {
        let told = Assumptions::read(["y > 0", text]);
        assert_eq!(told.map_err(|(which, _)| which), Err(text), "{text}");
    }
}

#[test]
fn nothing_assumed_is_empty() {
    assert!(Assumptions::default().is_empty());
    for text in ["x > 0", "n integer", "positive"] {
        assert!(!assumed(&[text]).is_empty(), "{text}");
    }
}

/// Steps that hold only because of what is assumed.
#[test]
#[rustfmt::skip]
fn an_assumption_carries_a_step() {
    for (from, to, given) in [
        ("√(x^2)",          "x",            &["x >= 0"][..]),
        ("|x|",             "-x",           &["x < 0"]),
        ("ln(x^2)",         "2 ln x",       &["x > 0"]),
        ("√(ab)",           "√a √b",        &["a > 0", "b > 0"]),
        ("(-1)^(2n)",       "1",            &["n integer"]),
        ("sin(x + 2nπ)",    "sin x",        &["n integer"]),
        ("x^2 = 9",         "x = 3",        &["x > 0"]),
        ("|x - 2| = 5",     "x = 7",        &["x >= 2"]),
        ("a/b = c/d",       "ad = bc",      &["positive"]),
        ("√(x - 3)^2",      "x - 3",        &["x >= 3"]),
    ] {
        let setting = |assumed| Setting { unknown: Some("x".into()).filter(|_| from.contains('x')), assumed };
        let read = |text: &str| read_line(text).expect(text).line;
        let with = compare_given(&read(from), &read(to), &setting(assumed(given)));
        assert!(matches!(with, StepVerdict::Equivalent { .. }), "{from} -> {to} with {given:?}: {with:?}");
        let bare = compare_given(&read(from), &read(to), &setting(Assumptions::default()));
        let is_bare = matches!(&bare, StepVerdict::Equivalent { provided } if provided.is_empty());
        assert!(!is_bare || from.contains("√(x - 3)"), "{from} -> {to} needs {given:?}");
    }
}

/// A sketch decides nothing: lines that it passes over are shown apart when they are compared.
#[test]
#[rustfmt::skip]
fn a_sketch_never_passes_over_an_equal_line() {
    for (one, other) in [
        ("2(x + 3)", "2x + 6"), ("x^2 - 1", "(x - 1)(x + 1)"), ("x/3 + x/6", "x/2"), ("√12", "2√3"), ("sin^2 x + cos^2 x", "1"),
        ("3x + 5 = 20", "x = 5"), ("x^2 = 9", "x = 3 or x = -3"), ("2x > 6", "x > 3"), ("1/x = 4", "x = 1/4"), ("x + y", "y + x"),
    ] {
        let read = |text: &str| read_line(text).expect(text).line;
        assert!(Sketch::of(&read(one)).may_be(&read(other)), "{one} and {other}");
        assert!(Sketch::of(&read(other)).may_be(&read(one)), "{other} and {one}");
    }
    for (one, other) in [("2(x + 3)", "2x + 3"), ("x^2", "2x"), ("x + y", "x - y"), ("√(x^2 + 9)", "x + 3")] {
        let read = |text: &str| read_expr(text).expect(text);
        assert!(plainly_differ(&read(one), &read(other)), "{one} and {other}");
    }
}

#[test]
fn the_whole_letters_are_those_that_are_named() {
    for (text, letters) in [
        ("n integer", &["n"][..]),
        ("n is an integer", &["n"]),
        ("k is whole", &["k"]),
        ("m, n are integers", &["m", "n"]),
        ("m,n integer", &["m", "n"]),
        (" a , b,c integer ", &["a", "b", "c"]),
    ] {
        let found: Vec<String> = assumed(&[text]).whole.into_iter().collect();
        assert_eq!(found, letters, "{text}");
    }
}
