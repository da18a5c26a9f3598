//! The signs of constants: zero only where it is proved, and told from zero however near it is.

use algebra::budget::Budget;
use algebra::normal::{Normaliser, NotNormal, Quotient, Values, constant};
use algebra::read_expr;

fn value(text: &str) -> Result<Quotient, NotNormal> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(&read_expr(text).expect(text))
}

fn sign(text: &str) -> Option<i8> {
    constant::sign(&value(text).expect(text), &mut Budget::for_verdict())
}

#[test]
fn what_is_zero_is_proved_so() {
    for text in [
        "√2 + √3 - √(5 + 2√6)",
        "√(3 + 2√2) - 1 - √2",
        "∛(2 + √5) + ∛(2 - √5) - 1",
        "∛(7 + 5√2) - 1 - √2",
        "√(10 + √24 + √40 + √60) - √2 - √3 - √5",
        "√(4 + √7) - √(4 - √7) - √2",
        "(√2 + √3)(√3 - √2) - 1",
        "root(4, 49 + 20√6) - √2 - √3",
        "cos(π/5) - cos(2π/5) - 1/2",
        "cos(π/7) cos(2π/7) cos(3π/7) - 1/8",
        "sin(π/10) - (√5 - 1)/4",
        "16 arctan(1/5) - 4 arctan(1/239) - π",
        "arctan 1 + arctan 2 + arctan 3 - π",
        "arcsin(3/5) + arcsin(4/5) - π/2",
        "ln(2 + √3) + ln(2 - √3)",
        "2 ln(1 + √2) - ln(3 + 2√2)",
        "e^(ln 3) - 3",
        "2^(1/2) × 2^(1/3) - 2^(5/6)",
        "log_2 3 × log_3 5 - log_2 5",
    ] {
        assert_eq!(sign(text), Some(0), "{text}");
    }
}

#[test]
#[rustfmt::skip]
fn what_is_nearly_zero_is_not_called_zero() {
    for (text, expected) in [
        ("√2 - 1.41421356237309504880168872420969807856967187537694", 1),
        ("π - 355/113",                                               -1),
        ("π - 3.14159265358979323846264338327950288419716939937510",  1),
        ("e^(π√163) - 262537412640768744",                            -1),
        ("√2 + √3 - 3.14626436994197234232913506571557044551247712918732", 1),
        ("22 π^4 - 2143",                                             1),
        ("∛31 - π",                                                   -1),
        ("ln 2 - 0.693147180559945309417232121458176568",             1),
        ("sin(11) + 1",                                               1),
        ("(1 + √2)^20 + (1 - √2)^20 - 45239074",                      0),
        ("(1 + √2)^20 - 45239074",                                    -1),
        ("√(1000001) - √(1000000) - 1/2000",                          -1),
    ] {
        assert_eq!(sign(text), Some(expected), "{text}");
    }
}

#[test]
fn what_has_no_value_is_told() {
    for text in
        ["1/0", "√(-4)", "ln 0", "ln(-1)", "log_2(1 - 1)", "arcsin 2", "tan(π/2)", "0^0", "0^-1"]
    {
        assert_eq!(value(text).err(), Some(NotNormal::Undefined), "{text}");
    }
    // Zero in disguise is no denominator.
    for text in ["1/(√2 × √3 - √6)", "1/(sin(π/6) - 1/2)", "1/(∛2 × ∛4 - 2)", "ln(√4 - 2)"]
    {
        assert_eq!(value(text).err(), Some(NotNormal::Undefined), "{text}");
    }
}

#[test]
#[rustfmt::skip]
fn constants_are_shown_in_their_best_form() {
    for (text, shown) in [
        ("√72",            "6√(2)"),        ("√(2/3)",        "√(6)/3"),
        ("∛54",            "3∛(2)"),        ("root(4, 4)",    "√(2)"),
        ("√2 × √5",        "√(10)"),        ("√(3+2√2)",      "1 + √(2)"),
        ("sin(π/3)",       "√(3)/2"),       ("cos(2π/3)",     "-1/2"),
        ("sin(π/60)",      "sin(π/60)"),    ("arccos(-1/2)",  "2π/3"),
        ("ln 8",           "3 × ln(2)"),    ("e^(2 ln 3)",    "9"),
        ("8^(-2/3)",       "1/4"),          ("(-8)^(1/3)",    "-2"),
        ("|1 - √2|",       "-1 + √(2)"),    ("5!/3!",         "20"),
    ] {
        let found = value(text).expect(text);
        assert_eq!(algebra::write::text(&found.to_expr()), shown, "{text}");
    }
}
