//! Each slip from both sides: what it writes below a line, what it leaves alone, and that it is found again.

use algebra::write::text_line;
use algebra::{Line, StepVerdict, compare, read_line};
use teaching::slips::{SLIPS, Slip, WrongPowerOfTen, recognise, wrong_lines};

fn line(text: &str) -> Line {
    read_line(text).unwrap_or_else(|error| panic!("{text}: {error:?}")).line
}

fn slip(id: &str) -> &'static dyn Slip {
    *SLIPS.iter().find(|slip| slip.id().as_str() == id).unwrap_or_else(|| panic!("no slip {id}"))
}

/// A slip, lines with what it writes below each, and lines in which it cannot be made.
type Sides = (&'static str, &'static [(&'static str, &'static str)], &'static [&'static str]);

/// Slips whose lines have units, or are told rounded: `quantities_and_rounded_values` has their rows.
const BY_UNITS: &[&str] = &["wrong-power-of-ten", "time-as-decimal", "cut-off"];

#[test]
fn quantities_and_rounded_values() {
    let read = |text: &str| {
        let options = algebra::Options { quantities: true, ..algebra::Options::default() };
        algebra::read_line_with(text, options).expect(text).line
    };
    for (id, from, to) in [
        ("time-as-decimal", "2 h 20 min", "2.2 h"),
        ("time-as-decimal", "150 min", "1.5 h"),
        ("wrong-power-of-ten", "0.05 m", "50 cm"),
        ("wrong-power-of-ten", "0.00032", "3.2×10^4"),
        ("multiplied-instead-of-dividing", "120 km / 2 h", "240 km/h"),
        ("cut-off", "x = 0.0567", "x ≈ 0.05"),
        ("cut-off", "2/3", "≈ 0.66"),
    ] {
        let found = recognise(&read(from), &read(to)).map(|slip| slip.id().as_str());
        assert_eq!(found, Some(id), "{from} -> {to}");
    }
    assert!(recognise(&read("x = 0.0567"), &read("x ≈ 0.06")).is_none());
}

/// What each slip writes below a line, and lines that hold something like it, in which it cannot be made.
#[test]
#[rustfmt::skip]
fn each_slip_from_both_sides() {
    let rows: &[Sides] = &[
        ("second-term-not-multiplied",
            &[("3(x + 4)", "3x + 4"), ("3(2x - 5) = 27", "6x - 5 = 27"), ("-2(x - 3) = 8", "-2x - 3 = 8"), ("5(x + 2) = 3x", "5x + 2 = 3x")],
            &["3x + 4 = 10", "x = 7", "3x(4)"]),
        ("kept-sign-when-moving",
            &[("x + 7 = 12", "x = 19"), ("3x - 4 = 11", "3x = 7"), ("5x = 2x + 9", "7x = 9")],
            &["4x = 20", "x = 3"]),
        ("subtracted-instead-of-dividing",
            &[("4x = 20", "x = 16"), ("7n = 21", "n = 14")],
            &["x + 4 = 20", "x = 3"]),
        ("divided-wrong-way",
            &[("4x = 20", "x = 1/5"), ("15n = 60", "n = 1/4")],
            &["x + 4 = 20", "x = 3"]),
        ("divided-one-term",
            &[("2x + 6 = 10", "x + 6 = 5")],
            &["4x = 20", "x + 6 = 10"]),
        ("multiplied-straight-across",
            &[("n/6 = 10/15", "10n = 90"), ("6/n = 3/5", "18 = 5n")],
            &["3x = 12", "n + 1 = 3"]),
        ("added-instead-of-scaling",
            &[("n/6 = 10/15", "n = 1")],
            &["3x = 12", "n + 6 = 10"]),
        ("sign-lost-in-bracket",
            &[("5 - (x - 2)", "5 - x - 2"), ("5 - 2(x + 1)", "5 - 2x + 2"), ("9 - (y + 4) = 2", "9 - y + 4 = 2")],
            &["5 + (x - 2)", "5 - x - 2", "5 - 2x"]),
        ("squared-each-term",
            &[("(x+3)^2", "x^2 + 9"), ("(x-3)^2 = 7", "x^2 - 9 = 7"), ("(a+b)^3", "a^3 + b^3")],
            &["(3x)^2", "x^2 + 9", "(x+3)^1"]),
        ("power-missed-a-factor",
            &[("(2x)^3", "2x^3"), ("(5ab)^2", "5ab^2")],
            &["2x^3", "(x+2)^3", "x^3"]),
        ("multiplied-exponents",
            &[("x^2 x^3", "x^6"), ("2^3 × 2^4", "2^12"), ("a^5 a^4 = 1", "a^20 = 1")],
            &["x^2 y^3", "(x^2)^3", "x^2 + x^3"]),
        ("added-exponents-of-power",
            &[("(x^2)^3", "x^5"), ("(a^4)^5", "a^9")],
            &["x^2 x^3", "(2x)^3", "x^6"]),
        ("divided-exponents",
            &[("x^6/x^2", "x^3"), ("a^12/a^3", "a^4")],
            &["x^6/y^2", "x^6 x^2", "6/2"]),
        ("negative-exponent-as-sign",
            &[("x^-2", "-x^2"), ("2^-3", "-8")],
            &["x^2", "-x^2", "1/x^2"]),
        ("zero-exponent-as-zero",
            &[("5^0", "0"), ("x^0 + 3", "3")],
            &["0", "x^1", "5 × 0"]),
        ("exponent-as-factor",
            &[("3^2 + 1", "7"), ("5^3", "15")],
            &["3 × 2", "x + 1", "3 + 2"]),
        ("root-of-each-term",
            &[("√(16 + 9)", "7"), ("√(x^2 + 9)", "x + 3"), ("√(25 - 9)", "2")],
            &["√(16 × 9)", "√16 + √9", "√x"]),
        ("added-radicands",
            &[("√2 + √3", "√5"), ("√7 - √3", "√4")],
            &["√2 × √3", "√(2 + 3)", "2 + 3"]),
        ("added-denominators",
            &[("1/2 + 1/3", "2/5"), ("3/4 + 1/6", "4/10")],
            &["1/2 × 1/3", "1/2", "2 + 3"]),
        ("cancelled-a-term",
            &[("(x+5)/5", "x"), ("(y+3)/3 = 4", "y = 4")],
            &["5x/5", "x + 5", "(x+5)/7"]),
        ("divided-first-term-only",
            &[("(6x+9)/3", "2x + 9"), ("(8a-4)/2", "4a - 4")],
            &["6x/3", "6x + 9", "x/3"]),
        ("inverted-wrong-fraction",
            &[("1/2 ÷ (3/4)", "3/8"), ("(2/3) ÷ (5/7)", "10/21")],
            &["1/2 × 3/4", "1/2", "x + 3/4"]),
        ("collected-unlike-terms",
            &[("3x + 2", "5x"), ("4a + 3b", "7ab")],
            &["3x + 2x", "3x", "3 × 2"]),
        ("coefficient-of-one-forgotten",
            &[("5x - x", "5"), ("9y - y", "9")],
            &["5x + 2x", "5 - x", "5x"]),
        ("like-terms-multiplied",
            &[("2x + 3x", "5x^2"), ("4n + n", "5n^2")],
            &["2x + 3y", "2x × 3x", "2 + 3"]),
        ("letters-of-product-lost",
            &[("2x · 3x", "6x"), ("5a · 4a = 1", "20a = 1")],
            &["2x + 3x", "2 · 3", "2x · 3"]),
        ("left-to-right",
            &[("2 + 3 × 4", "20"), ("4 + 5 × 2", "18")],
            &["2 × 3 + 4", "(2 + 3) × 4", "2 + 3"]),
        ("sign-squared-away",
            &[("-3^2", "9"), ("-5^2 + 1", "26")],
            &["(-3)^2", "3^2", "-3"]),
        ("minus-times-minus",
            &[("(-2)(-3)", "-6"), ("-4 × (-5)", "-20")],
            &["2 × 3", "-2 + 3"]),
        ("took-away-a-negative",
            &[("5 - (-2)", "3"), ("x - (-7)", "x - 7")],
            &["5 - 2", "-2"]),
        ("subtracted-other-way-round",
            &[("7 - 12", "5"), ("30 - 45", "15")],
            &["7 + 12", "x + 12"]),
        ("first-and-last-only",
            &[("(x+2)(x+5)", "x^2 + 10"), ("(a-1)(a+4)", "a^2 - 4")],
            &["2(x+5)", "x(x+5)", "x + 2"]),
        ("difference-as-square",
            &[("x^2 - 9", "(x-3)^2"), ("a^2 - 25 = 0", "(a-5)^2 = 0")],
            &["x^2 + 9", "x - 9", "x^3 - 9"]),
        ("logarithm-of-each-term",
            &[("ln(x+y)", "ln x + ln y"), ("log(a - b)", "log a - log b")],
            &["ln(xy)", "ln x", "x + y"]),
        ("logarithms-multiplied",
            &[("ln(x/y)", "ln x/ln y"), ("ln(ab)", "ln a ln b")],
            &["ln(x+y)", "ln x", "x/y"]),
        ("logarithm-power-brought",
            &[("(ln x)^3", "3 ln x")],
            &["ln x", "x^3", "ln(x^3)"]),
        ("logarithms-merged-as-sum",
            &[("log 20 + log 5", "log 25"), ("ln a + ln b", "ln(a + b)")],
            &["log 20", "20 + 5", "log(20 + 5)"]),
        ("function-of-each-term",
            &[("sin(a+b)", "sin a + sin b"), ("cos(x - y)", "cos x - cos y")],
            &["sin a + sin b", "sin x", "a + b"]),
        ("factor-taken-out",
            &[("sin 2x", "2 sin x"), ("cos(3a) = 1", "3 cos a = 1")],
            &["sin x", "2 sin x", "2x"]),
        ("inverse-as-reciprocal",
            &[("sin^-1(1)", "1/sin 1"), ("tan^-1 x", "1/tan x")],
            &["sin 1", "x^-1", "1/x"]),
        ("percent-as-number",
            &[("15% of 60", "900"), ("8% × 50", "400")],
            &["15 × 60", "0.15 × 60", "60"]),
        ("bars-dropped",
            &[("|x|", "x"), ("√(x^2)", "x"), ("|y - 3| = 2", "y - 3 = 2")],
            &["x", "√x", "x^2"]),
        ("sign-not-turned",
            &[("-2x < 6", "x < -3"), ("-x >= 4", "x >= -4")],
            &["2x < 6", "-2x = 6", "x < 3"]),
        ("divided-by-unknown",
            &[("x^2 = 5x", "x = 5"), ("3y^2 = 12y", "y = 4")],
            &["x^2 = 5", "x = 5", "5x = 10"]),
        ("root-of-one-sign",
            &[("x^2 = 16", "x = 4"), ("n^2 = 81", "n = 9")],
            &["x = 16", "2x = 16", "x^3 = 8"]),
        ("halved-instead-of-rooted",
            &[("x^2 = 16", "x = 8"), ("n^2 = 50", "n = 25")],
            &["2x = 16", "x = 16"]),
        ("squared-one-side",
            &[("√(3x - 2) = 5", "3x - 2 = 5"), ("√y = 7", "y = 7")],
            &["3x - 2 = 5", "x^2 = 5"]),
        ("split-without-zero",
            &[("x(x-5) = 6", "x = 6 or x - 5 = 6"), ("(a+1)(a+2) = 12", "a + 1 = 12 or a + 2 = 12")],
            &["x(x-5) = 0", "x + 5 = 6", "5x = 6"]),
        ("done-to-one-side",
            &[("2x + 3 = 11", "2x = 11"), ("x - 4 = 9", "x = 9")],
            &["2x", "x = 11"]),
        ("multiplied-one-term",
            &[("x/2 + 3 = 5", "x + 3 = 10"), ("n/4 - 1 = 2", "n - 1 = 8")],
            &["x + 3 = 5", "x + 3", "2x = 5"]),
        ("added-sizes",
            &[("-7 + 4", "-11"), ("3 - 8", "11")],
            &["7 + 4", "x + 4"]),
        ("worked-from-right",
            &[("24 ÷ 4 ÷ 2", "12"), ("15 - 6 + 4", "5"), ("9 - 4 - 3", "8")],
            &["15 + 6 - 4", "2/3 ÷ 4/5", "24 ÷ 4"]),
        ("carry-forgotten",
            &[("47 + 38", "75"), ("168 + 275", "333")],
            &["7 + 8", "42 + 37.5", "x + 38"]),
        ("smaller-from-larger-digit",
            &[("71 - 45", "34"), ("403 - 167", "364")],
            &["7 - 4", "45 - 71", "71 + 45"]),
        ("place-lost",
            &[("1000 - 1", "99"), ("25 × 4", "1000")],
            &["7 + 8", "100x", "1000"]),
        ("point-misplaced",
            &[("0.3 × 0.2", "0.6"), ("2.4 ÷ 100", "0.24")],
            &["3 × 2", "0.3x", "0.5 cm"]),
        ("fact-off",
            &[("6 × 9", "56"), ("12 × 12", "142")],
            &["6 + 9", "13 × 20", "6x"]),
        ("top-not-scaled",
            &[("2/3 - 1/5", "1/15"), ("1/4 + 1/6", "2/12")],
            &["2/3 × 1/5", "1/4"]),
        ("multiplied-one-part",
            &[("2/3 × 4/5", "8/5"), ("3 × 2/7", "6/21")],
            &["2/3 + 4/5", "3 × 4"]),
        ("multiplied-crosswise",
            &[("2/3 × 4/5", "10/12")],
            &["2/3 ÷ 4/5", "3 × 4/5"]),
        ("reduced-unevenly",
            &[("24/36", "4/9"), ("12/18", "6/6")],
            &["24x/36", "7"]),
        ("same-taken-from-both",
            &[("8/12", "6/10")],
            &["8 - 12", "x/12"]),
        ("mixed-number-muddled",
            &[("4 2/3", "24/3"), ("17/5", "5 2/3"), ("2 1/4", "3/4")],
            &["3/5", "4 + 3", "12/4"]),
        ("minus-missed-the-fraction",
            &[("-2 1/2", "-1 1/2"), ("5 - 2 2/3", "3 2/3")],
            &["2 1/2", "-2", "5 + 2 2/3"]),
        ("parts-multiplied-apart",
            &[("2 1/2 × 3 1/3", "6 1/6")],
            &["2 1/2 + 3 1/3", "5/2 × 3"]),
        ("divided-by-percent",
            &[("20% × 60", "3")],
            &["20 × 60", "20%"]),
        ("percent-change-muddled",
            &[("200 × (1 - 0.3)", "60"), ("200 × (1 + 0.3)", "140"), ("50 × 1.1 × 0.9", "50")],
            &["200 × 0.3", "2 - 0.3"]),
        ("fraction-as-digits",
            &[("1/4", "0.4"), ("2/3", "23%"), ("3/8", "3.8")],
            &["x/4", "0.25"]),
        ("bases-multiplied",
            &[("2^3 × 2^4", "4^7"), ("x^2 y^3", "(xy)^5")],
            &["2^3 + 2^4", "x^2"]),
        ("powers-added",
            &[("x^2 + x^3", "x^5"), ("2^3 + 2^4", "2^7"), ("x + x^2", "x^3")],
            &["x^2 x^3", "x + x", "x^2 + y^2"]),
        ("pair-brought-out",
            &[("√18", "9√2"), ("√72", "6√12")],
            &["√7", "∛16", "√x"]),
        ("root-only-above",
            &[("5/√2", "5√2"), ("6/√3", "6/3")],
            &["√2/5", "5/2"]),
        ("middle-sign-turned",
            &[("(x+3)(x-5)", "x^2 + 2x - 15")],
            &["3(x - 5)", "x^2 - 2x"]),
        ("factor-signs-turned",
            &[("x^2 - x - 6", "(x-2)(x+3)"), ("x^2 - 7x + 10", "(x+2)(x+5)")],
            &["x^2 + x + 7", "3x + 2", "x^2", "x^2 + 5x"]),
        ("one-lost-in-factoring",
            &[("10x^2 - 5x", "10x^2"), ("6a + 3a", "6a")],
            &["10x^2 - 5", "5x"]),
        ("pythagorean-square-lost",
            &[("1 - sin^2 x", "cos x"), ("1 - cos^2 x", "-sin^2 x")],
            &["1 - sin x", "sin^2 x + cos^2 x"]),
        ("half-forgotten",
            &[("1/2 × 6 × 4", "24"), ("1/2 b h", "b h")],
            &["1/2 × 6", "6 × 4", "1/2 × 3/4"]),
        ("diameter-for-radius",
            &[("2 × π × 3", "2 × π × 6"), ("π × (8/2)^2", "π × 8^2"), ("π × 5^2", "π × 10^2")],
            &["2 × 3", "π"]),
        ("multiplied-instead-of-dividing",
            &[("s = d/t", "s = d t")],
            &["6/3", "d t"]),
        ("base-digits-turned",
            &[("6", "3"), ("1101_2", "11")],
            &["6 + 1", "x", "0.5"]),
        ("first-term-for-difference",
            &[("a = 5 + 2(n-1)", "a = 5n + 2")],
            &["5 + 2n", "5 + 2(n+1)"]),
        ("ratio-turned",
            &[("2:3", "3:2"), ("a:b = 3:4", "a:b = 4:3")],
            &["2/3", "a = 3"]),
        ("multiplied-by-coefficient",
            &[("3/4 x = 12", "x = 9"), ("5x = 20", "x = 100")],
            &["x + 5 = 20", "5x"]),
        ("root-with-sign-of-bracket",
            &[("(x+1)(x+4) = 0", "x = 1 or x = 4"), ("(2x-3)(x+1) = 0", "x = 3 or x = -1")],
            &["(x+1)(x+4) = 2", "x + 1 = 0"]),
        ("case-sign-wrong",
            &[("abs(x+1) = 4", "x + 1 = 4 or x - 1 = 4"), ("abs(x-3) = 2", "x = 5 or x = -5")],
            &["x + 1 = 4", "abs(x) = 4"]),
        ("eliminated-unevenly",
            &[("2x + 3y = 7; 2x - y = 3", "2y = 4; 2x - y = 3"), ("5x - 2y = 4; 3x - 2y = 0", "2x - 4y = 4; 3x - 2y = 0")],
            &["x + y = 2", "x = 3"]),
        ("sign-turned-for-nothing",
            &[("2x > -8", "x < -4"), ("3x + 1 <= 7", "3x >= 6")],
            &["-2x > 8", "2x = 8"]),
        ("one-end-of-square",
            &[("x^2 > 25", "x > 5"), ("x^2 <= 9", "x <= -3")],
            &["x^2 = 25", "x > 5"]),
        ("unknown-below-multiplied",
            &[("4 = 6/x", "x = 24"), ("12/x = 3", "x = 36")],
            &["4 = x/6", "4 = 6/3"]),
        ("one-angle-only",
            &[("cos x = 1/2", "x = arccos(1/2)"), ("sin x = 1/2", "x = π/6")],
            &["cos x = y", "x = 1/2"]),
        ("added-for-a-leg",
            &[("x^2 + 5^2 = 13^2", "x^2 = 13^2 + 5^2"), ("a^2 = 10^2 - 8^2", "a^2 = 10^2 + 8^2"), ("c^2 = 3^2 + 4^2", "c^2 = 4^2 - 3^2")],
            &["x + 5 = 13", "x^2 = 25"]),
        ("written-as-exact",
            &[("x = 1/3", "x = 0.33"), ("2/3", "0.67")],
            &["x = 0.25 + y", "x"]),
        ("sign-lost-in-formula",
            &[("x^2 + 2x - 8 = 0", "x = (-2 + √(4 - 32))/2 or x = (-2 - √(4 - 32))/2"), ("x^2 - 6x + 5 = 0", "x = -1 or x = -5")],
            &["2x - 8 = 0", "x^2 + 2x"]),
    ];
    let mut faults = String::new();
    for (id, writes, leaves) in rows {
        for (from, wanted) in *writes {
            let found = slip(id).wrong(&line(from));
            let same = |wrong: &Line| matches!(compare(wrong, &line(wanted), None), StepVerdict::Equivalent { .. });
            if !found.iter().any(same) {
                let shown: Vec<String> = found.iter().map(text_line).collect();
                faults += &format!("{id}: {from} gives {shown:?}, not {wanted}\n");
            }
        }
        for from in *leaves {
            let found = slip(id).wrong(&line(from));
            if !found.is_empty() {
                let shown: Vec<String> = found.iter().map(text_line).collect();
                faults += &format!("{id}: {from} gives {shown:?}\n");
            }
        }
    }
    assert!(faults.is_empty(), "\n{faults}");
    for slip in SLIPS {
        let has_row = rows.iter().any(|(id, ..)| *id == slip.id().as_str()) || BY_UNITS.contains(&slip.id().as_str());
        assert!(has_row, "{} has no row", slip.id());
    }
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
                    for wrong in wrong_lines(*slip, &from) {
                        if wrong.is_rounded() {
                            continue;
                        }
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

/// One line that each slip leads to, as a student writes it.
#[test]
#[rustfmt::skip]
fn each_slip_is_recognised_in_a_line_of_its_own() {
    let rows = [
        ("5 - (x - 2)",      "5 - x - 2",            "sign-lost-in-bracket"),
        ("5 - 2(x + 1)",     "5 - 2x + 2",           "sign-lost-in-bracket"),
        ("(x+3)^2",          "x^2 + 9",              "squared-each-term"),
        ("(x-3)^2 = 7",      "x^2 - 9 = 7",          "squared-each-term"),
        ("(2x)^3",           "2x^3",                 "power-missed-a-factor"),
        ("x^2 x^3",          "x^6",                  "multiplied-exponents"),
        ("2^3 × 2^4",        "2^12",                 "multiplied-exponents"),
        ("(x^2)^3",          "x^5",                  "added-exponents-of-power"),
        ("x^6/x^2",          "x^3",                  "divided-exponents"),
        ("x^-2",             "-x^2",                 "negative-exponent-as-sign"),
        ("5^0",              "0",                    "zero-exponent-as-zero"),
        ("3^2 + 1",          "7",                    "exponent-as-factor"),
        ("√(16 + 9)",        "7",                    "root-of-each-term"),
        ("√(x^2 + 9)",       "x + 3",                "root-of-each-term"),
        ("√2 + √3",          "√5",                   "added-radicands"),
        ("1/2 + 1/3",        "2/5",                  "added-denominators"),
        ("(x+5)/5",          "x",                    "cancelled-a-term"),
        ("(6x+9)/3",         "2x + 9",               "divided-first-term-only"),
        ("1/2 ÷ (3/4)",      "3/8",                  "inverted-wrong-fraction"),
        ("3x + 2",           "5x",                   "collected-unlike-terms"),
        ("4a + 3b",          "7ab",                  "collected-unlike-terms"),
        ("5x - x",           "5",                    "coefficient-of-one-forgotten"),
        ("2x + 3x",          "5x^2",                 "like-terms-multiplied"),
        ("2x · 3x",          "6x",                   "letters-of-product-lost"),
        ("2 + 3 × 4",        "20",                   "left-to-right"),
        ("-3^2",             "9",                    "sign-squared-away"),
        ("(-2)(-3)",         "-6",                   "minus-times-minus"),
        ("5 - (-2)",         "3",                    "took-away-a-negative"),
        ("7 - 12",           "5",                    "subtracted-other-way-round"),
        ("(x+2)(x+5)",       "x^2 + 10",             "first-and-last-only"),
        ("x^2 - 9",          "(x-3)^2",              "difference-as-square"),
        ("ln(x+y)",          "ln x + ln y",          "logarithm-of-each-term"),
        ("ln(x/y)",          "ln x/ln y",            "logarithms-multiplied"),
        ("(ln x)^3",         "3 ln x",               "logarithm-power-brought"),
        ("log 20 + log 5",   "log 25",               "logarithms-merged-as-sum"),
        ("sin(a+b)",         "sin a + sin b",        "function-of-each-term"),
        ("sin 2x",           "2 sin x",              "factor-taken-out"),
        ("sin^-1(1)",        "1/sin 1",              "inverse-as-reciprocal"),
        ("15% of 60",        "900",                  "percent-as-number"),
        ("|x|",              "x",                    "bars-dropped"),
        ("√(x^2)",           "x",                    "bars-dropped"),
        ("-2x < 6",          "x < -3",               "sign-not-turned"),
        ("x^2 = 5x",         "x = 5",                "divided-by-unknown"),
        ("x(x-1) = 3(x-1)",  "x = 3",                "divided-by-unknown"),
        ("x sin x = 2 sin x", "x = 2",               "divided-by-unknown"),
        ("2 sin x cos x = cos x", "2 sin x = 1",     "divided-by-unknown"),
        ("x ln x = 2 ln x",  "x = 2",                "divided-by-unknown"),
        ("x^2 = 16",         "x = 4",                "root-of-one-sign"),
        ("x^2 = 16",         "x = 8",                "halved-instead-of-rooted"),
        ("√(3x - 2) = 5",    "3x - 2 = 5",           "squared-one-side"),
        ("x(x-5) = 6",       "x = 6 or x - 5 = 6",   "split-without-zero"),
        ("2x + 3 = 11",      "2x = 11",              "done-to-one-side"),
        ("x/2 + 3 = 5",      "x + 3 = 10",           "multiplied-one-term"),
        ("3(x + 4)",         "3x + 4",               "second-term-not-multiplied"),
        ("x + 7 = 12",       "x = 19",               "kept-sign-when-moving"),
        ("4x = 20",          "x = 16",               "subtracted-instead-of-dividing"),
        ("4x = 20",          "x = 1/5",              "divided-wrong-way"),
        ("2x + 6 = 10",      "x + 6 = 5",            "divided-one-term"),
        ("n/6 = 10/15",      "10n = 90",             "multiplied-straight-across"),
        ("n/6 = 10/15",      "n = 1",                "added-instead-of-scaling"),
        ("-7 + 4", "-11", "added-sizes"),
        ("24 ÷ 4 ÷ 2", "12", "worked-from-right"),
        ("47 + 38", "75", "carry-forgotten"),
        ("71 - 45", "34", "smaller-from-larger-digit"),
        ("1000 - 1", "99", "place-lost"),
        ("0.3 × 0.2", "0.6", "point-misplaced"),
        ("6 × 9", "56", "fact-off"),
        ("2/3 - 1/5", "1/15", "top-not-scaled"),
        ("2/3 × 4/5", "8/5", "multiplied-one-part"),
        ("2/3 × 4/5", "10/12", "multiplied-crosswise"),
        ("24/36", "4/9", "reduced-unevenly"),
        ("8/12", "6/10", "same-taken-from-both"),
        ("4 2/3", "24/3", "mixed-number-muddled"),
        ("-2 1/2", "-1 1/2", "minus-missed-the-fraction"),
        ("2 1/2 × 3 1/3", "6 1/6", "parts-multiplied-apart"),
        ("20% × 60", "3", "divided-by-percent"),
        ("200 × (1 - 0.3)", "60", "percent-change-muddled"),
        ("1/4", "0.4", "fraction-as-digits"),
        ("2^3 × 2^4", "4^7", "bases-multiplied"),
        ("x^2 + x^3", "x^5", "powers-added"),
        ("√18", "9√2", "pair-brought-out"),
        ("5/√2", "5√2", "root-only-above"),
        ("(x+3)(x-5)", "x^2 + 2x - 15", "middle-sign-turned"),
        ("x^2 - x - 6", "(x-2)(x+3)", "factor-signs-turned"),
        ("10x^2 - 5x", "10x^2", "one-lost-in-factoring"),
        ("1 - sin^2 x", "cos x", "pythagorean-square-lost"),
        ("1/2 × 6 × 4", "24", "half-forgotten"),
        ("2 × π × 3", "2 × π × 6", "diameter-for-radius"),
        ("s = d/t", "s = d t", "multiplied-instead-of-dividing"),
        ("6", "3", "base-digits-turned"),
        ("a = 5 + 2(n-1)", "a = 5n + 2", "first-term-for-difference"),
        ("2:3", "3:2", "ratio-turned"),
        ("3/4 x = 12", "x = 9", "multiplied-by-coefficient"),
        ("(x+1)(x+4) = 0", "x = 1 or x = 4", "root-with-sign-of-bracket"),
        ("abs(x+1) = 4", "x + 1 = 4 or x - 1 = 4", "case-sign-wrong"),
        ("2x + 3y = 7; 2x - y = 3", "2y = 4; 2x - y = 3", "eliminated-unevenly"),
        ("2x > -8", "x < -4", "sign-turned-for-nothing"),
        ("x^2 > 25", "x > 5", "one-end-of-square"),
        ("4 = 6/x", "x = 24", "unknown-below-multiplied"),
        ("cos x = 1/2", "x = arccos(1/2)", "one-angle-only"),
        ("x^2 + 5^2 = 13^2", "x^2 = 13^2 + 5^2", "added-for-a-leg"),
        ("x = 1/3", "x = 0.33", "written-as-exact"),
        ("x^2 + 2x - 8 = 0", "x = (-2 + √(4 - 32))/2 or x = (-2 - √(4 - 32))/2", "sign-lost-in-formula"),
        // inside part of a line
        ("2(x+3)^2 - 5",     "2(x^2 + 9) - 5",       "squared-each-term"),
        ("1/2 + 1/3 + x",    "2/5 + x",              "added-denominators"),
        ("4 + √(9 + 16) = y", "4 + 3 + 4 = y",       "root-of-each-term"),
        // two in a row
        ("(x+3)^2 + (2x + 3x)", "x^2 + 9 + 5x^2",    "squared-each-term"),
    ];
    let mut wrong = String::new();
    for (from, to, id) in rows {
        let found = recognise(&line(from), &line(to)).map_or("none", |slip| slip.id().as_str());
        if found != id {
            wrong += &format!("{from} -> {to}: {found}, not {id}\n");
        }
    }
    assert!(wrong.is_empty(), "\n{wrong}");
    for slip in SLIPS {
        let has_row = rows.iter().any(|(.., id)| *id == slip.id().as_str()) || BY_UNITS.contains(&slip.id().as_str());
        assert!(has_row, "{} has no row", slip.id());
    }
    assert!(SLIPS.len() >= 40);
}

#[test]
fn the_point_is_moved_too_far() {
    let options = algebra::Options { quantities: true, ..algebra::Options::default() };
    let read = |text: &str| algebra::read_line_with(text, options).expect(text).line;
    let found = recognise(&read("0.05 m"), &read("50 cm")).map(Slip::id);
    assert_eq!(found, Some(WrongPowerOfTen::ID));
}
