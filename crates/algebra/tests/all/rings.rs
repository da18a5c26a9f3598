//! The laws that exact arithmetic rests on, as properties: polynomials and their quotients form rings, roots
//! are roots, numbers keep their value whatever their writing.

use algebra::budget::Budget;
use algebra::normal::{Normaliser, Poly, Quotient, Univariate, Values};
use algebra::number::{
    decimal_places, exact_root, from_int, round_to_places, show, square_part, to_decimal_text,
};
use algebra::{Expr, Rational, read_expr};
use num_traits::{Signed, Zero};
use proptest::prelude::*;

fn budget() -> Budget {
    Budget::for_verdict()
}

fn quotient(text: &str) -> Quotient {
    let expr = read_expr(text).expect(text);
    Normaliser::new(&Values::new(), &mut budget()).build(&expr).expect(text)
}

fn poly() -> impl Strategy<Value = Poly> {
    prop::collection::vec((-5i64..6, 0u32..3, 0u32..3), 0..4).prop_map(|terms| {
        let mut sum = Expr::int(0);
        for (coefficient, x, y) in terms {
            let size = Expr::int(coefficient.abs());
            let term =
                size.times(Expr::symbol("x").to_the(x + 1)).times(Expr::symbol("y").to_the(y + 1));
            sum = if coefficient < 0 { sum.minus(term) } else { sum.plus(term) };
        }
        let built = Normaliser::new(&Values::new(), &mut budget()).build(&sum);
        built.expect("a polynomial").numerator().clone()
    })
}

fn rational() -> impl Strategy<Value = Rational> {
    (-400i64..400, 1i64..60).prop_map(|(a, b)| Rational::new(a.into(), b.into()))
}

proptest! {
    #[test]
    fn polynomials_form_a_ring(a in poly(), b in poly(), c in poly()) {
        let spend = &mut budget();
        let add = |x: &Poly, y: &Poly, spend: &mut Budget| x.add(y, spend).expect("within budget");
        let times = |x: &Poly, y: &Poly, spend: &mut Budget| x.multiply(y, spend).expect("within budget");
        prop_assert_eq!(add(&a, &b, spend), add(&b, &a, spend));
        prop_assert_eq!(times(&a, &b, spend), times(&b, &a, spend));
        let (ab, bc) = (add(&a, &b, spend), add(&b, &c, spend));
        prop_assert_eq!(add(&ab, &c, spend), add(&a, &bc, spend));
        let (ab, bc) = (times(&a, &b, spend), times(&b, &c, spend));
        prop_assert_eq!(times(&ab, &c, spend), times(&a, &bc, spend));
        let sum = add(&b, &c, spend);
        let ac = times(&a, &c, spend);
        prop_assert_eq!(times(&a, &sum, spend), add(&ab, &ac, spend));
        prop_assert!(add(&a, &a.negated(), spend).is_zero());
        prop_assert_eq!(times(&a, &Poly::int(1), spend), a);
    }

    #[test]
    fn a_power_is_its_product(a in poly(), n in 0u32..4) {
        let spend = &mut budget();
        let mut product = Poly::int(1);
        for _ in 0..n {
            product = product.multiply(&a, spend).expect("within budget");
        }
        prop_assert_eq!(a.power(n, spend).expect("within budget"), product);
    }

    #[test]
    fn roots_are_roots_and_all_of_them(roots in prop::collection::vec(rational(), 1..4)) {
        let spend = &mut budget();
        let mut product = vec![from_int(1)];
        for root in &roots {
            // Times (x - root).
            let mut next = vec![Rational::zero(); product.len() + 1];
            for (power, coefficient) in product.iter().enumerate() {
                next[power] -= coefficient * root;
                next[power + 1] += coefficient;
            }
            product = next;
        }
        let poly = Univariate::new(product);
        let mut expected = roots.clone();
        expected.sort();
        expected.dedup();
        for root in &expected {
            prop_assert!(poly.at(root).is_zero());
        }
        prop_assert_eq!(poly.count_roots(spend).expect("within budget"), expected.len());
        let square_free = poly.square_free(spend).expect("within budget");
        prop_assert_eq!(square_free.degree(), expected.len());
    }

    #[test]
    fn a_rational_is_shown_and_read_again(value in rational()) {
        let shown = show(&value);
        let read = read_expr(&shown).expect("it reads").as_plain_number();
        prop_assert_eq!(read, Some(value));
    }

    #[test]
    fn rounding_is_to_the_nearest_and_ties_go_away_from_zero(value in rational(), places in 0u32..5) {
        let rounded = round_to_places(&value, places);
        let unit = from_int(10i64.pow(places)).recip();
        let off = (&value - &rounded).abs();
        let half = &unit / from_int(2);
        prop_assert!(off <= half);
        if off == half {
            prop_assert!(rounded.abs() > value.abs());
        }
        prop_assert!((rounded / unit).is_integer());
    }

    #[test]
    fn a_decimal_that_ends_is_exact(value in rational()) {
        if let Some(places) = decimal_places(&value) {
            let text = to_decimal_text(&value, places);
            prop_assert_eq!(read_expr(&text).expect("it reads").as_plain_number(), Some(value));
        }
    }

    #[test]
    fn exact_roots_are_exact(base in -30i64..30, index in 2u32..5) {
        let power = (0..index).fold(from_int(1), |p, _| p * from_int(base));
        match exact_root(&power, index) {
            Some(root) => prop_assert_eq!((0..index).fold(from_int(1), |p, _| p * &root), power),
            None => prop_assert!(index % 2 == 0 && power.is_negative()),
        }
    }

    #[test]
    fn what_comes_out_of_a_root_squares_back(n in 1i64..5_000) {
        let (outside, inside) = square_part(&n.into()).expect("small");
        let rest: i64 = inside.iter().map(|&p| i64::try_from(p).expect("small")).product();
        let outside: i64 = num_traits::ToPrimitive::to_i64(&outside).expect("small");
        prop_assert_eq!(outside * outside * rest, n);
        for k in 2..60 {
            prop_assert!(rest % (k * k) != 0, "{} still holds the square of {}", rest, k);
        }
    }
}

#[test]
#[rustfmt::skip]
fn equal_quotients_have_one_form() {
    for (left, right) in [
        ("(x+1)^2",               "x^2 + 2x + 1"),
        ("x - y",                 "-(y - x)"),
        ("1/2 + 1/3",             "5/6"),
        ("0.25x",                 "x/4"),
        ("(2x + 4)/2",            "x + 2"),
        ("3(x - 2) - 3x",         "-6"),
        ("x/2 + x/3",             "5x/6"),
        ("(x - 1)(x + 1) - x^2",  "-1"),
    ] {
        let spend = &mut budget();
        let difference = quotient(left).minus(&quotient(right), spend).expect("within budget");
        assert!(difference.is_zero(), "{left} and {right}");
    }
}
