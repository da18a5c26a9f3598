//! Common factors, exact division, factors and square roots of polynomials in several letters.

use algebra::budget::Budget;
use algebra::normal::{Normaliser, Poly, Values, exact_quotient, factors, gcd};
use algebra::read_expr;
use algebra::write::text;
use proptest::prelude::*;

fn poly(expr: &str) -> Poly {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(&read_expr(expr).expect(expr));
    value.expect(expr).as_poly().expect("a polynomial")
}

#[test]
#[rustfmt::skip]
fn common_factors_are_found() {
    for (a, b, expected) in [
        ("x^2 - 1",          "x^2 - 2x + 1",     "x - 1"),
        ("6x^2y + 9xy^2",    "4x^2 + 6xy",       "2x^2 + 3xy"),
        ("x^2 - y^2",        "x^2 + 2xy + y^2",  "x + y"),
        ("x^3 - y^3",        "x^2 - y^2",        "x - y"),
        ("x + 1",            "x + 2",            "1"),
        ("(a+b)(x+y)",       "(a+b)(x-y)",       "a + b"),
        ("0",                "3x + 6",           "x + 2"),
    ] {
        let found = gcd(&poly(a), &poly(b), &mut Budget::for_verdict()).expect("small");
        assert_eq!(text(&found.to_expr()), expected, "{a} and {b}");
    }
}

#[test]
#[rustfmt::skip]
fn polynomials_are_split_into_factors() {
    for (whole, expected) in [
        ("x^2 + 5x + 6",          "x + 2, x + 3"),
        ("x^3 - 4x",              "x, x - 2, x + 2"),
        ("(x-1)^2 (x+3)",         "x + 3, (x - 1)^2"),
        ("2x^2 + 7x + 3",         "2x + 1, x + 3"),
        ("x^4 - 1",               "x - 1, x + 1, x^2 + 1"),
        ("x^2 + 2xy + y^2",       "(x + y)^2"),
        ("x^2 + 1",               "x^2 + 1"),
        ("x^2 y^3",               "(x)^2, (y)^3"),
    ] {
        let found = factors(&poly(whole), &mut Budget::for_verdict()).expect("small");
        let mut shown: Vec<String> = found
            .iter()
            .map(|(factor, n)| {
                let factor = text(&factor.to_expr());
                if *n == 1 { factor } else { format!("({factor})^{n}") }
            })
            .collect();
        let mut wanted: Vec<String> = expected.split(", ").map(str::to_owned).collect();
        shown.sort();
        wanted.sort();
        assert_eq!(shown, wanted, "{whole}");
    }
}

fn small() -> impl Strategy<Value = Poly> {
    let term = (-4i64..5, 0u32..3, 0u32..3).prop_map(|(c, m, n)| format!("({c})*x^{m}*y^{n}"));
    prop::collection::vec(term, 1..4).prop_map(|terms| {
        // A power of zero has no value, so it is not written.
        let sum = terms.join(" + ").replace("*x^0", "").replace("*y^0", "");
        poly(&sum)
    })
}

proptest! {
    #[test]
    fn a_product_divides_by_its_factors(p in small(), q in small()) {
        prop_assume!(!p.is_zero() && !q.is_zero());
        let budget = &mut Budget::for_verdict();
        let product = p.multiply(&q, budget).expect("small");
        prop_assert_eq!(exact_quotient(&product, &p, budget).expect("small"), Some(q));
    }

    #[test]
    fn a_common_factor_divides_both_and_holds_the_one_put_in(p in small(), q in small(), r in small()) {
        prop_assume!(!p.is_zero() && !q.is_zero() && !r.is_zero());
        let budget = &mut Budget::for_verdict();
        let a = p.multiply(&q, budget).expect("small");
        let b = p.multiply(&r, budget).expect("small");
        let common = gcd(&a, &b, budget).expect("small");
        for whole in [&a, &b] {
            prop_assert!(exact_quotient(whole, &common, budget).expect("small").is_some());
        }
        prop_assert!(exact_quotient(&common, &p, budget).expect("small").is_some());
    }

    #[test]
    fn factors_multiply_back(p in small(), q in small()) {
        prop_assume!(!p.is_zero() && !q.is_zero());
        let budget = &mut Budget::for_verdict();
        let whole = p.multiply(&q, budget).expect("small").multiply(&q, budget).expect("small");
        let mut product = Poly::constant(whole.number_content());
        for (factor, exponent) in factors(&whole, budget).expect("small") {
            let power = factor.power(exponent, budget).expect("small");
            product = product.multiply(&power, budget).expect("small");
        }
        prop_assert_eq!(product, whole);
    }
}
