use super::*;
use crate::write::text;
use crate::{Verdict, equal, read_expr};

fn told(problem: &str) -> Vec<(String, Law)> {
    let expr = read_expr(problem).expect(problem);
    let lines = if expr.symbols().is_empty() { by_laws_of_numbers(&expr) } else { by_laws(&expr) };
    for (line, law) in &lines {
        let verdict = equal(&expr, line);
        assert!(
            matches!(verdict, Verdict::Equal { .. }),
            "{problem}: {law:?} gives {}",
            text(line)
        );
    }
    lines.into_iter().map(|(line, law)| (text(&line), law)).collect()
}

#[test]
#[rustfmt::skip]
fn each_law_is_a_line_of_its_own() {
    use Law::*;
    for (problem, expected) in [
        ("(a/b)/(c/d)",        &[("a/b × (d/c)", DivideByFraction), ("ad/(bc)", MultiplyFractions)][..]),
        ("1/(1+1/x)",          &[("1/((x + 1)/x)", OneFraction), ("x/(x + 1)", DivideByFraction)]),
        ("(2x^3)^2",           &[("4x^6", PowerOfProduct)]),
        ("(x^2)^3 x",          &[("x^6x", PowerOfPower), ("x^7", AddExponents)]),
        ("a^-2 b^3/(a b^-1)",  &[("b^3b/(a^2a)", NegativeExponent), ("b^4/a^3", AddExponents)]),
        ("sqrt((x+1)^2)",      &[("abs(x + 1)", RootOfSquare)]),
        ("cbrt(x^3)",          &[("x", RootOfSquare)]),
        ("sin^2 x + cos^2 x",  &[("1", Pythagoras)]),
        ("1 - cos^2 x",        &[("(sin(x))^2", Pythagoras)]),
        ("tan x cos x",        &[("sin(x)/cos(x) × cos(x)", SinesAndCosines), ("sin(x) × cos(x)/cos(x)", MultiplyFractions)]),
        ("2 log x + log y",    &[("log(x^2) + log(y)", PowerIntoLogarithm), ("log(x^2y)", SumOfLogarithms)]),
        ("ln x - ln y",        &[("ln(x/y)", DifferenceOfLogarithms)]),
        ("ln(x^3)",            &[("3 × ln(x)", LogarithmOfPower)]),
        ("e^(ln x)",           &[("x", Undo)]),
        ("10^(log x)",         &[("x", Undo)]),
        ("sin(90° - x)",       &[("cos(x)", CoFunction)]),
        ("8!/5!",              &[("8 × 7 × 6", FactorialQuotient)]),
        ("C(5,2)",             &[("5!/(2! × 3!)", Choices), ("5 × 4/2!", FactorialQuotient), ("5 × 4/(2 × 1)", Factorial)]),
        ("15% of 60",          &[("15/100 × 60", PerCent)]),
        ("2F_16",              &[("2 × 16 + 15 × 16^0", PlaceValues)]),
        ("0.1(6)",             &[("(16 - 1)/90", Recurring)]),
        ("0.(3)",              &[("3/9", Recurring)]),
        ("3 1/2 - 1 3/4",      &[("7/2 - 7/4", Improper)]),
        ("27^(-2/3)",          &[("1/27^(2/3)", NegativeExponent), ("1/∛(27)^2", RootThenPower)]),
        ("log 1000",           &[("3 × log(10)", LogarithmOfPower)]),
        ("log 4 + log 25",     &[("log(4 × 25)", SumOfLogarithms)]),
        ("x + 1",              &[]),
        ("x^(1/2)",            &[]),
        ("((x^2))^(1/2)",      &[]),
        ("0!/2!",              &[("0!/(2 × 1)", Factorial)]),
        ("C(2,5)",             &[]),
    ] {
        let expected: Vec<(String, Law)> = expected.iter().map(|(line, law)| ((*line).to_owned(), *law)).collect();
        assert_eq!(told(problem), expected, "{problem}");
    }
}

#[test]
fn ratios_are_brought_to_whole_numbers_without_a_common_factor() {
    for (terms, expected) in [
        ("12:18:24", Some("2:3:4")),
        ("1.5:2", Some("3:4")),
        ("1/2:1/3", Some("3:2")),
        ("0:0", None),
        ("x:2", None),
    ] {
        let expr = read_expr(terms).expect(terms);
        let ExprKind::Ratio(terms) = &expr.kind else { panic!("{expr:?} is no ratio") };
        assert_eq!(shortest_ratio(terms).map(|ratio| text(&ratio)).as_deref(), expected);
    }
}
