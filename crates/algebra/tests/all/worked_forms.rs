//! Lines of workings about form, as properties: each has the value of the problem, and the last has the form that was
//! asked for.

use algebra::budget::Budget;
use algebra::form::Form;
use algebra::normal::{Normaliser, Poly, Values, irreducible_factors};
use algebra::solve::{Rule, arithmetic, expanding, factorising, over_one_denominator};
use algebra::{Expr, Line, Verdict, equal, read_expr};
use num_traits::Signed;
use proptest::prelude::*;

fn poly(text: &str) -> Poly {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let expr = read_expr(text).expect(text);
    let built = Normaliser::new(&none, &mut budget).build(&expr).expect(text);
    built.as_poly().expect(text)
}

/// A factor in `x`, or in `x` and `y`, which is never constant.
fn factor() -> impl Strategy<Value = String> {
    let size = -5i64..6;
    let lead = prop_oneof![1i64..4, -3i64..0];
    (0u8..6, lead, size.clone(), size).prop_map(|(kind, a, b, c)| match kind {
        0 | 1 => format!("({a}x + ({b}))"),
        2 => format!("({a}x + ({b})y)"),
        3 => format!("({a}x + ({b})y + ({c}))"),
        4 => format!("({a}x^2 + ({b})x + ({c}))"),
        _ => format!("({a}x y + ({b}))"),
    })
}

fn product() -> impl Strategy<Value = String> {
    prop::collection::vec(factor(), 1..4).prop_map(|all| all.concat())
}

fn all_equal(problem: &Expr, lines: &[(Expr, Rule)]) -> Result<(), TestCaseError> {
    for (line, rule) in lines {
        let is_same = matches!(equal(problem, line), Verdict::Equal { .. });
        prop_assert!(is_same, "{} by {rule:?}", algebra::write::text(line));
    }
    Ok(())
}

fn has_form(line: &Expr, name: &str) -> bool {
    Form::named(name).is_some_and(|form| form.fits(&Line::Expression(line.clone())))
}

proptest! {
    #[test]
    fn factors_make_the_polynomial_again(text in product()) {
        let poly = poly(&text);
        let mut budget = Budget::for_verdict();
        let all = irreducible_factors(&poly, &mut budget).expect("within budget");
        let mut product = Poly::constant(poly.number_content());
        for (factor, exponent) in &all {
            prop_assert!(factor.leading().is_positive());
            let power = factor.power(*exponent, &mut budget).expect("within budget");
            product = product.multiply(&power, &mut budget).expect("within budget");
        }
        prop_assert_eq!(product, poly);
        // No fewer than were multiplied.
        let found: u32 = all.iter().map(|(_, exponent)| exponent).sum();
        let multiplied = text.matches('(').count() - text.matches("((").count();
        let brackets = text.split(")(").count();
        prop_assert!(found as usize >= brackets.min(multiplied), "{all:?}");
    }

    #[test]
    fn a_polynomial_is_factorised_line_by_line(text in product()) {
        let sum = poly(&text).to_expr();
        let lines = factorising(&poly(&text));
        all_equal(&sum, &lines)?;
        if let Some((last, _)) = lines.last() {
            prop_assert!(has_form(last, "factorised"), "{}", algebra::write::text(last));
        }
    }

    #[test]
    fn brackets_are_multiplied_out_line_by_line(text in product(), power in 1u32..4, more in factor()) {
        let power = if power == 1 { String::new() } else { format!("^{power}") };
        let problem = read_expr(&format!("{more}{power} - {text}")).expect("read");
        let lines = expanding(&problem);
        all_equal(&problem, &lines)?;
        let (last, _) = lines.last().expect("an answer");
        prop_assert!(has_form(last, "expanded"), "{}", algebra::write::text(last));
    }

    #[test]
    fn fractions_come_over_one_denominator(
        terms in prop::collection::vec((-4i64..5, 1i64..4, -3i64..4), 2..4),
    ) {
        let term = |(above, a, b): &(i64, i64, i64)| format!("({above}x + 1)/({a}x + ({b}))");
        let text = terms.iter().map(term).collect::<Vec<_>>().join(" - ");
        let problem = read_expr(&text).expect("read");
        all_equal(&problem, &over_one_denominator(&problem))?;
    }

    #[test]
    fn numbers_keep_their_value_line_by_line(a in -9i64..10, b in 1i64..10, c in 1i64..5) {
        for text in [
            format!("{a} + sin 30° × {b} - log 100"),
            format!("{b}/{c} - ({a})/6 + sqrt({b})"),
            format!("({a} + {b})^2/{c} - log_2 8"),
        ] {
            let problem = read_expr(&text).expect("read");
            all_equal(&problem, &arithmetic(&problem))?;
        }
    }
}

/// A letter is never worked with as if it were a number.
#[test]
fn what_is_no_polynomial_is_left_alone() {
    for text in ["sqrt(x) + 1", "sin x (x + 1)", "2^x (3 + x)"] {
        let expr = read_expr(text).expect(text);
        let lines = expanding(&expr);
        assert!(
            lines.iter().all(|(line, _)| matches!(equal(&expr, line), Verdict::Equal { .. })),
            "{text}"
        );
        assert!(over_one_denominator(&expr).is_empty(), "{text}");
    }
}

/// Numbers near the largest that a machine word holds are told as they are.
#[test]
fn a_pair_of_large_numbers_is_the_pair() {
    let lines = factorising(&poly("x^2 + 9223372036854775807x + 9223372036854775806"));
    let [(line, Rule::FactorPair { pair, .. })] = &lines[..] else { panic!("{lines:?}") };
    assert_eq!(algebra::write::text(line), "(x + 1)(x + 9223372036854775806)");
    let [one, other] = pair.clone().map(|number| algebra::write::text(&number));
    assert_eq!((one.as_str(), other.as_str()), ("1", "9223372036854775806"));
}
