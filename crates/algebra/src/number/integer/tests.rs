//! Every operation agrees with the one of the big numbers, above all where machine words end.

use super::*;
use proptest::prelude::*;

/// Small numbers, numbers about the ends of the machine's words, and far larger ones.
fn numbers() -> impl Strategy<Value = BigInt> {
    let edges = [i64::MAX.into(), i64::MIN.into(), u64::MAX.into(), i128::MAX, i128::MIN, 0i128];
    let edge = (prop::sample::select(edges.to_vec()), -3i32..=3)
        .prop_map(|(edge, by)| BigInt::from(edge) + by);
    prop_oneof![
        (-30i64..30).prop_map(BigInt::from),
        any::<i64>().prop_map(BigInt::from),
        any::<i128>().prop_map(BigInt::from),
        edge,
        (any::<i128>(), any::<i64>()).prop_map(|(a, b)| BigInt::from(a) * b),
    ]
}

fn whole(n: &BigInt) -> Integer {
    n.clone().into()
}

/// The value, and that it is held in the one way there is.
fn value(n: &Integer) -> BigInt {
    let fits = n.big().to_i128().is_some();
    assert_eq!(fits, matches!(n.0, Small(_)), "{n} is held in the other way");
    n.big()
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(4_000))]

    #[test]
    fn two_numbers(a in numbers(), b in numbers()) {
        let (x, y) = (whole(&a), whole(&b));
        prop_assert_eq!(value(&(&x + &y)), &a + &b);
        prop_assert_eq!(value(&(&x - &y)), &a - &b);
        prop_assert_eq!(value(&(&x * &y)), &a * &b);
        prop_assert_eq!(value(&x.gcd(&y)), a.gcd(&b));
        prop_assert_eq!(value(&x.lcm(&y)), a.lcm(&b));
        prop_assert_eq!(x.cmp(&y), a.cmp(&b));
        prop_assert_eq!(x == y, a == b);
        prop_assert_eq!(x.is_multiple_of(&y), a.is_multiple_of(&b));
        if !b.is_zero() {
            prop_assert_eq!(value(&(&x / &y)), &a / &b);
            prop_assert_eq!(value(&(&x % &y)), &a % &b);
            prop_assert_eq!(value(&x.div_floor(&y)), a.div_floor(&b));
            prop_assert_eq!(value(&x.mod_floor(&y)), a.mod_floor(&b));
            prop_assert_eq!(value(&x.div_ceil(&y)), a.div_ceil(&b));
        }
    }

    #[test]
    fn one_number(a in numbers(), by in 0u32..200, index in 1u32..7) {
        let x = whole(&a);
        prop_assert_eq!(value(&-&x), -&a);
        prop_assert_eq!(value(&x.abs()), a.abs());
        prop_assert_eq!(value(&x.signum()), a.signum());
        prop_assert_eq!(value(&(&x << by)), &a << by);
        prop_assert_eq!(value(&(&x >> by)), &a >> by);
        prop_assert_eq!(value(&Pow::pow(&x, index)), Pow::pow(&a, index));
        prop_assert_eq!(value(&x.abs().nth_root(index)), a.abs().nth_root(index));
        prop_assert_eq!(x.bits(), a.bits());
        prop_assert_eq!(x.trailing_zeros(), a.trailing_zeros());
        prop_assert_eq!(x.is_even(), a.is_even());
        prop_assert_eq!((x.is_zero(), x.is_one()), (a.is_zero(), a.is_one()));
        prop_assert_eq!((x.is_positive(), x.is_negative()), (a.is_positive(), a.is_negative()));
        prop_assert_eq!((x.to_i64(), x.to_u64()), (a.to_i64(), a.to_u64()));
        prop_assert_eq!(x.to_f64(), a.to_f64());
        prop_assert_eq!(x.to_string(), a.to_string());
        prop_assert_eq!(x.to_string().parse::<Integer>().ok(), Some(x.clone()));
        prop_assert_eq!(x.to_str_radix(16), a.to_str_radix(16));
    }
}
