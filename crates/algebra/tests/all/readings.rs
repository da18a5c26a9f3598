//! What is typed, and how it is written back: plainly, typeset, and spoken.

use algebra::write::{latex_line, speech_line, text_line};
use algebra::{Line, read_latex, read_line};
use std::collections::BTreeMap;

/// Typed, plain, typeset, spoken.
type Row = (&'static str, &'static str, &'static str, &'static str);

#[track_caller]
fn check(rows: &[Row]) {
    let mut spoken: BTreeMap<String, Line> = BTreeMap::new();
    for &(typed, plain, typeset, speech) in rows {
        let line = read_line(typed).unwrap_or_else(|error| panic!("{typed}: {error:?}")).line;
        let found = (text_line(&line), latex_line(&line), speech_line(&line));
        assert_eq!(
            (found.0.as_str(), found.1.as_str(), found.2.as_str()),
            (plain, typeset, speech),
            "{typed}"
        );
        // Whatever was written reads back as the same line.
        assert_eq!(read_line(plain).map(|r| r.line).as_ref(), Ok(&line), "{typed} as {plain}");
        assert_eq!(read_latex(typeset).map(|r| r.line).as_ref(), Ok(&line), "{typed} as {typeset}");
        // Two lines that sound alike are the same line.
        if let Some(other) = spoken.insert(speech.to_owned(), line.clone()) {
            assert_eq!(other, line, "{speech}");
        }
    }
}

#[test]
#[rustfmt::skip]
fn products_and_sums() {
    check(&[
        ("2x", "2x", "2x", "2 x"),
        ("3(x+1)", "3(x + 1)", "3\\left(x + 1\\right)", "3 times open bracket x plus 1 close bracket"),
        ("(x+1)(x-2)", "(x + 1)(x - 2)", "\\left(x + 1\\right)\\left(x - 2\\right)", "open bracket x plus 1 close bracket times open bracket x minus 2 close bracket"),
        ("2 sqrt 3 x", "2√(3) × x", "2\\sqrt{3} \\times x", "2 times open bracket the square root of 3 close bracket times x"),
        ("xy", "xy", "xy", "x times y"),
        ("a b c", "abc", "abc", "a times b times c"),
        ("2×3", "2 × 3", "2 \\times 3", "2 times 3"),
        ("2·3", "2 × 3", "2 \\times 3", "2 times 3"),
        ("2*3", "2 × 3", "2 \\times 3", "2 times 3"),
        ("6÷2", "6/2", "\\frac{6}{2}", "6 over 2"),
        ("5−3", "5 - 3", "5 - 3", "5 minus 3"),
        ("5–3", "5 - 3", "5 - 3", "5 minus 3"),
        ("5+-3", "5 + (-3)", "5 + \\left(-3\\right)", "5 plus open bracket negative 3 close bracket"),
        ("-x", "-x", "-x", "negative x"),
        ("-(x+1)", "-(x + 1)", "-\\left(x + 1\\right)", "negative open bracket x plus 1 close bracket"),
        ("2-(x-3)", "2 - (x - 3)", "2 - \\left(x - 3\\right)", "2 minus open bracket x minus 3 close bracket"),
        ("x-y-z", "x - y - z", "x - y - z", "x minus y minus z"),
        ("x-(y-z)", "x - (y - z)", "x - \\left(y - z\\right)", "x minus open bracket y minus z close bracket"),
        ("2(3)(4)", "2 × 3 × 4", "2 \\times 3 \\times 4", "2 times 3 times 4"),
        ("(2)(x)", "2x", "2x", "2 x"),
    ]);
}

#[test]
#[rustfmt::skip]
fn powers_and_roots() {
    check(&[
        ("x²", "x^2", "x^{2}", "x squared"),
        ("x^2", "x^2", "x^{2}", "x squared"),
        ("x^(1/2)", "x^(1/2)", "x^{\\frac{1}{2}}", "x to the power 1 over 2"),
        ("x^-3", "x^(-3)", "x^{-3}", "x to the power open bracket negative 3 close bracket"),
        ("2^3^2", "2^(3^2)", "2^{3^{2}}", "2 to the power open bracket 3 squared close bracket"),
        ("-3^2", "-3^2", "-3^{2}", "negative open bracket 3 squared close bracket"),
        ("(-3)^2", "(-3)^2", "\\left(-3\\right)^{2}", "open bracket negative 3 close bracket squared"),
        ("x³y²", "x^3y^2", "x^{3}y^{2}", "open bracket x cubed close bracket times open bracket y squared close bracket"),
        ("sqrt(12)", "√(12)", "\\sqrt{12}", "the square root of 12"),
        ("√12", "√(12)", "\\sqrt{12}", "the square root of 12"),
        ("sqrt 12", "√(12)", "\\sqrt{12}", "the square root of 12"),
        ("3√7", "3√(7)", "3\\sqrt{7}", "3 times open bracket the square root of 7 close bracket"),
        ("cbrt(8)", "∛(8)", "\\sqrt[3]{8}", "the cube root of 8"),
        ("³√8", "∛(8)", "\\sqrt[3]{8}", "the cube root of 8"),
        ("∛8", "∛(8)", "\\sqrt[3]{8}", "the cube root of 8"),
        ("root(4, 81)", "root(4, 81)", "\\sqrt[4]{81}", "the root 4 of 81"),
        ("√3x", "√(3) × x", "\\sqrt{3} \\times x", "open bracket the square root of 3 close bracket times x"),
        ("√(x+1)", "√(x + 1)", "\\sqrt{x + 1}", "the square root of open bracket x plus 1 close bracket"),
        ("(x+1)^2", "(x + 1)^2", "\\left(x + 1\\right)^{2}", "open bracket x plus 1 close bracket squared"),
        ("x^(n+1)", "x^(n + 1)", "x^{n + 1}", "x to the power open bracket n plus 1 close bracket"),
    ]);
}

#[test]
#[rustfmt::skip]
fn numbers_as_written() {
    check(&[
        ("0.25", "0.25", "0.25", "0.25"),
        (".5", "0.5", "0.5", "0.5"),
        ("1,200", "1200", "1200", "1200"),
        ("1 200", "1200", "1200", "1200"),
        ("0.1(6)", "0.1(6)", "0.1(6)", "0.1(6)"),
        ("3.2×10^5", "3.2 × 10^5", "3.2 \\times 10^{5}", "3.2 times open bracket 10 to the power 5 close bracket"),
        ("3.2e5", "3.2e5", "3.2e5", "3.2e5"),
        ("35%", "35%", "35\\%", "35 percent"),
        ("15% of 60", "15% × 60", "15\\% \\times 60", "open bracket 15 percent close bracket times 60"),
        ("2.50", "2.50", "2.50", "2.50"),
        ("007", "7", "7", "7"),
        ("12,345,678", "12345678", "12345678", "12345678"),
        ("3 1/2", "3 1/2", "3\\frac{1}{2}", "3 and 1 over 2"),
        ("3½", "3 1/2", "3\\frac{1}{2}", "3 and 1 over 2"),
        ("½", "1/2", "\\frac{1}{2}", "1 over 2"),
        ("3/4", "3/4", "\\frac{3}{4}", "3 over 4"),
        ("-3/4", "-3/4", "-\\frac{3}{4}", "negative 3 over 4"),
        ("1/2x", "1/2 × x", "\\frac{1}{2} \\times x", "1 over 2 times x"),
    ]);
}

#[test]
#[rustfmt::skip]
fn fractions() {
    check(&[
        ("x/2", "x/2", "\\frac{x}{2}", "x over 2"),
        ("2/x", "2/x", "\\frac{2}{x}", "2 over x"),
        ("(x+1)/2", "(x + 1)/2", "\\frac{x + 1}{2}", "start fraction x plus 1 over 2 end fraction"),
        ("x/(y+1)", "x/(y + 1)", "\\frac{x}{y + 1}", "start fraction x over y plus 1 end fraction"),
        ("x/2y", "x/2 × y", "\\frac{x}{2} \\times y", "x over 2 times y"),
        ("(a/b)/(c/d)", "a/b/(c/d)", "\\frac{\\frac{a}{b}}{\\frac{c}{d}}", "start fraction start fraction a over b end fraction over start fraction c over d end fraction end fraction"),
        ("a/b/c", "a/b/c", "\\frac{\\frac{a}{b}}{c}", "start fraction start fraction a over b end fraction over c end fraction"),
        ("n/6", "n/6", "\\frac{n}{6}", "n over 6"),
        ("1/(1+1/x)", "1/(1 + 1/x)", "\\frac{1}{1 + \\frac{1}{x}}", "start fraction 1 over 1 plus start fraction 1 over x end fraction end fraction"),
    ]);
}

#[test]
#[rustfmt::skip]
fn functions_and_constants() {
    check(&[
        ("sin 30°", "sin(30°)", "\\sin\\left(30\\degree \\right)", "sin of open bracket 30 degrees close bracket"),
        ("sin^2 x", "(sin(x))^2", "\\left(\\sin\\left(x\\right)\\right)^{2}", "open bracket sin of x close bracket squared"),
        ("sin 2x", "sin(2x)", "\\sin\\left(2x\\right)", "sin of 2 x"),
        ("sin^-1(1/2)", "arcsin(1/2)", "\\arcsin\\left(\\frac{1}{2}\\right)", "arcsin of 1 over 2"),
        ("arctan 1", "arctan(1)", "\\arctan\\left(1\\right)", "arctan of 1"),
        ("log x", "log(x)", "\\log\\left(x\\right)", "log of x"),
        ("log_2 8", "log_2(8)", "\\log_{2}\\left(8\\right)", "log base 2 of 8"),
        ("ln x", "ln(x)", "\\ln\\left(x\\right)", "ln of x"),
        ("e^x", "e^x", "e^{x}", "e to the power x"),
        ("π", "π", "\\pi ", "pi"),
        ("2πr", "2πr", "2\\pi r", "2 pi times r"),
        ("π r^2", "πr^2", "\\pi r^{2}", "pi times open bracket r squared close bracket"),
        ("θ", "θ", "\\theta", "θ"),
        ("x_1", "x_1", "x_{1}", "x sub 1"),
        ("a_{n+1} = 3a_n", "a_{n+1} = 3a_n", "a_{n+1} = 3a_{n}", "a sub n plus 1 equals 3 a sub n"),
        ("u_{n-1}", "u_{n-1}", "u_{n-1}", "u sub n minus 1"),
        ("|x|", "abs(x)", "\\left|x\\right|", "the absolute value of x"),
        ("abs(x)", "abs(x)", "\\left|x\\right|", "the absolute value of x"),
        ("|x-1|+2", "abs(x - 1) + 2", "\\left|x - 1\\right| + 2", "open bracket the absolute value of open bracket x minus 1 close bracket close bracket plus 2"),
        ("5!", "5!", "5!", "5 factorial"),
        ("hcf(12,18)", "hcf(12, 18)", "\\operatorname{hcf}\\left(12, 18\\right)", "hcf of 12, 18"),
        ("max(2,3)", "max(2, 3)", "\\max\\left(2, 3\\right)", "max of 2, 3"),
    ]);
}

#[test]
#[rustfmt::skip]
fn ratios() {
    check(&[
        ("2:3", "2:3", "2 : 3", "2 to 3"),
        ("1:2:3", "1:2:3", "1 : 2 : 3", "1 to 2 to 3"),
        ("a:b", "a:b", "a : b", "a to b"),
        ("x+1:2", "(x + 1):2", "\\left(x + 1\\right) : 2", "open bracket x plus 1 close bracket to 2"),
    ]);
}

#[test]
#[rustfmt::skip]
fn relations() {
    check(&[
        ("3(2x - 5) = 27", "3(2x - 5) = 27", "3\\left(2x - 5\\right) = 27", "3 times open bracket 2 x minus 5 close bracket equals 27"),
        ("n/6 = 10/15", "n/6 = 10/15", "\\frac{n}{6} = \\frac{10}{15}", "n over 6 equals 10 over 15"),
        ("2:3 = n:12", "2:3 = n:12", "2 : 3 = n : 12", "2 to 3 equals n to 12"),
        ("x ≈ 10.4", "x ≈ 10.4", "x \\approx 10.4", "x is approximately 10.4"),
        ("x ≠ 3", "x ≠ 3", "x \\ne 3", "x is not equal to 3"),
        ("2 < x <= 5", "2 < x ≤ 5", "2 < x \\le 5", "2 is less than x, which is at most 5"),
        ("-2x < 6", "-2x < 6", "-2x < 6", "negative 2 x is less than 6"),
        ("x >= 3", "x ≥ 3", "x \\ge 3", "x is at least 3"),
        ("52 - 17 = 35", "52 - 17 = 35", "52 - 17 = 35", "52 minus 17 equals 35"),
        ("5+3 = 8×2 = 16", "5 + 3 = 8 × 2 = 16", "5 + 3 = 8 \\times 2 = 16", "5 plus 3 equals 8 times 2 equals 16"),
    ]);
}

#[test]
#[rustfmt::skip]
fn solutions_and_systems() {
    check(&[
        ("x = 3 or x = -2", "x = 3 or x = -2", "x = 3 \\text{ or } x = -2", "x equals 3, or x equals negative 2"),
        ("x = 3 or -2", "x = 3 or x = -2", "x = 3 \\text{ or } x = -2", "x equals 3, or x equals negative 2"),
        ("x = ±3", "x = ±3", "x = \\pm 3", "x equals plus or minus 3"),
        ("x ∈ {3, -2}", "x = 3 or x = -2", "x = 3 \\text{ or } x = -2", "x equals 3, or x equals negative 2"),
        ("no solution", "no solution", "\\text{no solution}", "no solution"),
        ("all real numbers", "all real numbers", "\\text{all real numbers}", "all real numbers"),
        ("x=3, y=2", "x = 3; y = 2", "x = 3;\\; y = 2", "x equals 3, and y equals 2"),
        ("(x, y) = (3, 2)", "x = 3; y = 2", "x = 3;\\; y = 2", "x equals 3, and y equals 2"),
        ("x+y=5; x-y=1", "x + y = 5; x - y = 1", "x + y = 5;\\; x - y = 1", "x plus y equals 5, and x minus y equals 1"),
    ]);
}

#[test]
#[rustfmt::skip]
fn what_is_passed_over() {
    check(&[
        ("so x = 3", "x = 3", "x = 3", "x equals 3"),
        ("∴ x=3", "x = 3", "x = 3", "x equals 3"),
        ("(2) x = 3", "2x = 3", "2x = 3", "2 x equals 3"),
        ("x = 3.", "x = 3", "x = 3", "x equals 3"),
        ("a) x = 3", "x = 3", "x = 3", "x equals 3"),
        ("= 3x + 12", "3x + 12", "3x + 12", "3 x plus 12"),
        ("therefore x = 3", "x = 3", "x = 3", "x equals 3"),
    ]);
}
