//! Whole numbers: binary, prime factors, common factors and multiples, lowest terms.

use crate::kit::{prime_factors, times};
use crate::typed::words::Told;
use num_integer::Integer as _;
use teaching::typeset::Lines;

pub(super) fn in_binary(n: &[Told]) -> Option<Lines> {
    let [number] = n else { return None };
    let value = number.whole(1 << 24).filter(|n| *n > 0)?;
    let mut lines = Lines::start(&value.to_string());
    let mut rest = value;
    while rest > 0 {
        lines = lines.work(
            &format!("{rest} = {} × 2 + {}", rest / 2, rest % 2),
            format!("Remainder {}", rest % 2),
        );
        rest /= 2;
    }
    Some(lines.then(&format!("{value:b}_2"), "Read the remainders from the last to the first"))
}

pub(super) fn from_binary(n: &[Told]) -> Option<Lines> {
    let [number] = n else { return None };
    let value = i64::from_str_radix(&number.text, 2).ok()?;
    let digits = number.text.bytes().rev().enumerate().filter(|(_, digit)| *digit == b'1');
    let mut worth: Vec<String> = digits.map(|(at, _)| (1_i64 << at).to_string()).collect();
    worth.reverse();
    let sum = if worth.is_empty() { "0".to_owned() } else { worth.join(" + ") };
    Some(
        Lines::start(&format!("{}_2", number.text))
            .then(&sum, "Write what each place with a 1 is worth")
            .then(&value.to_string(), "Add them up"),
    )
}

/// The largest number that is split into its factors.
const LARGEST: i64 = 10_000_000;

/// A number above 1 with its prime factors, from the smallest.
fn primes(told: &Told) -> Option<(i64, Vec<i64>)> {
    let number = told.whole(LARGEST).filter(|n| *n > 1)?;
    Some((number, prime_factors(number)))
}

pub(super) fn into_primes(n: &[Told]) -> Option<Lines> {
    let [told] = n else { return None };
    let (number, factors) = primes(told)?;
    let mut lines = Lines::start(&number.to_string());
    for split in 1..factors.len() {
        let rest: i64 = factors[split..].iter().product();
        let typed = format!("{} × {rest}", times(&factors[..split]));
        lines = lines.then(&typed, format!("Take out {}", factors[split - 1]));
    }
    if factors.len() == 1 {
        lines = lines.then(&number.to_string(), "It is prime");
    }
    Some(lines)
}

fn common(n: &[Told], highest: bool) -> Option<Lines> {
    let [one, other] = n else { return None };
    let ((a, first), (b, second)) = (primes(one)?, primes(other)?);
    let value = if highest { a.gcd(&b) } else { a.lcm(&b) };
    let factors = prime_factors(value);
    let (name, why) = if highest {
        ("hcf", "The factors that both have")
    } else {
        ("lcm", "Every factor as often as it is needed")
    };
    let mut lines = Lines::start(&format!("{name}({a}, {b})"))
        .work(&format!("{a} = {}", times(&first)), "The prime factors of the first")
        .work(&format!("{b} = {}", times(&second)), "and of the second");
    if factors.len() > 1 {
        lines = lines.then(&times(&factors), why);
        return Some(lines.then(&value.to_string(), "Multiply"));
    }
    Some(lines.then(&value.to_string(), why))
}

pub(super) fn highest_common(n: &[Told]) -> Option<Lines> {
    common(n, true)
}

pub(super) fn least_common(n: &[Told]) -> Option<Lines> {
    common(n, false)
}

pub(super) fn lowest_terms(n: &[Told]) -> Option<Lines> {
    let [above, below] = n else { return None };
    let (a, b) = (above.whole(1 << 30)?, below.whole(1 << 30).filter(|n| *n > 0)?);
    let common = a.gcd(&b).max(1);
    let lines = Lines::start(&format!("{a}/{b}"));
    let answer = if b / common == 1 {
        (a / common).to_string()
    } else {
        format!("{}/{}", a / common, b / common)
    };
    if common == 1 {
        return Some(lines.then(&answer, "No number above 1 divides both"));
    }
    Some(
        lines
            .work(&format!("hcf({a}, {b}) = {common}"), "The highest common factor")
            .then(&format!("({a} ÷ {common})/({b} ÷ {common})"), "Divide both by it")
            .then(&answer, "Work both out"),
    )
}
