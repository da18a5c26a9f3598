//! Factors, multiples and primes.

use super::{Answer, Found, TaskKind, Told, joined};
use crate::kit::{prime_factors, times};
use crate::number::primes_factor_tree;
use crate::typed::text::Amount;
use num_integer::Integer as _;
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const TREE: (&str, MethodId) = ("primes.factor-tree", primes_factor_tree::method::TREE);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(TREE, &[
        "hcf|gcd|gcf of #,", "highest|greatest|largest common factor|divisor of|for #,", "hcf|gcd|gcf #,", "hcf|gcd|gcf|highest for #,",
        "biggest|largest number that divides #,",
    ], |f| common(f, true)),
    TaskKind::of(TREE, &[
        "lcm of #,", "least|lowest|smallest common multiple of|for #,", "lcm #,", "lcm for #,", "lcd of #,",
        "least|lowest common denominator of #,", "smallest number divisible by #,",
    ], |f| common(f, false)),
    TaskKind::of(TREE, &[
        "prime factors|factorisation|factorization|decomposition of|for #", "prime factor decomposition of #",
        "product of prime factors of #", "factorise|factorize|factor # into primes", "factorise|factorize|factor # into prime factors",
        "write|express # as product of primes", "write|express # as product of its? prime factors", "factor tree of|for #",
        "prime factorise|factorize #", "# as product of primes", "# as product of its? prime factors", "draw factor tree for #",
        "write|express # as product of its? prime factors in index form",
    ], into_primes),
    TaskKind::beside("primes.factor-tree", "Prime or not", &[
        "is # prime", "is # prime number", "is # prime or composite", "is # prime or not", "check if # is prime", "is # composite",
        "is # composite number", "is # prime number or not",
    ], prime),
    TaskKind::beside("primes.factor-tree", "Factors", &[
        "factors|divisors of #", "all factors|divisors of #", "list factors|divisors of #", "list all factors|divisors of #",
        "write all factors of #", "what numbers divide into? #", "factor pairs of #",
    ], factors),
    TaskKind::beside("primes.factor-tree", "Factors", &[
        "how many factors|divisors does # have", "number of factors|divisors of #",
    ], count_of_factors),
    TaskKind::beside("primes.factor-tree", "Common factors", &[
        "common factors|divisors of # and #", "list common factors of # and #", "all common factors of # and #",
    ], common_factors),
    TaskKind::beside("multiply.facts-signed", "Multiples", &[
        "first # multiples of #", "list? first # multiples of #",
    ], multiples),
    TaskKind::beside("multiply.facts-signed", "Multiples", &[
        "first five multiples of #",
    ], |f| multiples_of(5, f.amounts::<1>()?.first()?)),
    TaskKind::beside("multiply.facts-signed", "Multiples", &[
        "first three multiples of #",
    ], |f| multiples_of(3, f.amounts::<1>()?.first()?)),
    TaskKind::beside("multiply.facts-signed", "Multiples", &[
        "multiples of # up to #", "multiples of # below|under|to #", "multiples of # less than #",
    ], multiples_up_to),
    TaskKind::beside("primes.factor-tree", "Divisibility", &[
        "is # divisible by #", "does # divide #", "is # multiple of #", "does # go into #", "is # factor of #", "can # be divided by #",
    ], divides),
    TaskKind::beside("primes.factor-tree", "Primes", &[
        "primes|prime between # and #", "prime numbers between # and #", "list? all? prime numbers between|from # and|to #",
        "primes from # to #",
    ], primes_between),
    TaskKind::beside("primes.factor-tree", "Primes", &[
        "primes|prime up to #", "prime numbers up to|below|under|less than? #", "primes below|under #", "primes less than #",
        "prime numbers less than #", "list? all? prime numbers less than|up #",
    ], primes_up_to),
    TaskKind::beside("primes.factor-tree", "Primes", &[
        "next prime after #", "next prime number after #", "first prime after #", "smallest prime greater|bigger|larger than #",
    ], next_prime),
    TaskKind::beside("indices.laws", "Square numbers", &[
        "is # square number", "is # perfect square", "is # square",
    ], square_or_not),
];

/// The largest number that is split into its factors.
const LARGEST: i64 = 10_000_000;

/// A number above 1 with its prime factors, from the smallest.
fn primes(told: &Amount) -> Option<(i64, Vec<i64>)> {
    let number = told.whole(LARGEST).filter(|n| *n > 1 && told.unit.is_none())?;
    Some((number, prime_factors(number)))
}

/// `2^3 × 3^2`.
fn in_powers(factors: &[i64]) -> String {
    let mut parts: Vec<(i64, u32)> = Vec::new();
    for factor in factors {
        match parts.last_mut() {
            Some((base, power)) if base == factor => *power += 1,
            _ => parts.push((*factor, 1)),
        }
    }
    let shown = |(base, power): &(i64, u32)| {
        if *power == 1 { base.to_string() } else { format!("{base}^{power}") }
    };
    parts.iter().map(shown).collect::<Vec<_>>().join(" × ")
}

fn into_primes(found: &Found) -> Option<Told> {
    let (number, factors) = primes(found.amounts::<1>()?.first()?)?;
    let mut lines = Lines::start(&number.to_string());
    for split in 1..factors.len() {
        let rest: i64 = factors[split..].iter().product();
        let typed = format!("{} × {rest}", times(&factors[..split]));
        lines = lines.then(&typed, format!("Take out {}", factors[split - 1]));
    }
    let powers = in_powers(&factors);
    lines = if factors.len() == 1 {
        lines.then(&number.to_string(), "It is prime")
    } else if powers == times(&factors) {
        lines
    } else {
        lines.then(&powers, "The same factors together as powers")
    };
    Some(Told::lines(
        format!("{number} as a product of primes"),
        lines,
        Answer::value(times(&factors)).written(powers),
    ))
}

fn common(found: &Found, highest: bool) -> Option<Told> {
    let list = found.list().filter(|list| list.len() <= 4)?;
    let parted: Vec<(i64, Vec<i64>)> = list.iter().map(primes).collect::<Option<_>>()?;
    let numbers: Vec<i64> = parted.iter().map(|(n, _)| *n).collect();
    let [first, others @ ..] = &numbers[..] else { return None };
    let value = others.iter().try_fold(*first, |all, n| {
        if highest { Some(all.gcd(n)) } else { (all / all.gcd(n)).checked_mul(*n) }
    })?;
    if value > LARGEST {
        return None;
    }
    let factors = prime_factors(value);
    let (name, said, why) = if highest {
        ("hcf", "highest common factor", "The factors that all have")
    } else {
        ("lcm", "least common multiple", "Every factor as often as it is needed")
    };
    let told: Vec<String> = numbers.iter().map(ToString::to_string).collect();
    let mut lines = Lines::start(&format!("{name}({})", told.join(", ")));
    for (number, factors) in &parted {
        lines = lines.work(&format!("{number} = {}", times(factors)), "Its prime factors");
    }
    if factors.len() > 1 {
        lines = lines.then(&times(&factors), why).then(&value.to_string(), "Multiply");
    } else {
        lines = lines.then(
            &value.to_string(),
            if value == 1 { "They share no factor above 1" } else { why },
        );
    }
    Some(Told::lines(
        format!("The {said} of {}", joined(&told)),
        lines,
        Answer::value(value.to_string()),
    ))
}

fn prime(found: &Found) -> Option<Told> {
    let number = found.amounts::<1>()?.first()?.whole(LARGEST)?;
    let says = format!("Whether {number} is prime");
    if number < 2 {
        let lines = Lines::default().say(
            format!("{number} is not prime: a prime has exactly two factors, 1 and itself."),
            "What a prime is",
        );
        return Some(Told::lines(says, lines, Answer::words("no")));
    }
    let factors = prime_factors(number);
    if let [_] = factors[..] {
        let tried: Vec<i64> = (2..)
            .take_while(|n| n * n <= number)
            .filter(|n| prime_factors(*n).len() == 1)
            .collect();
        let mut lines = Lines::default();
        for by in tried.iter().take(8) {
            lines = lines.work(
                &format!("{number} = {by} × {} + {}", number / by, number % by),
                format!("{by} does not divide it"),
            );
        }
        let lines = lines.end(format!(
            "{number} is prime: no prime whose square is at most {number} divides it."
        ));
        return Some(Told::lines(says, lines, Answer::words("yes")));
    }
    let split = format!("{number} = {} × {}", factors[0], number / factors[0]);
    let lines = Lines::default()
        .work(&split, "It has other factors than 1 and itself")
        .end(format!("{number} is not prime."));
    Some(Told::lines(says, lines, Answer::words(format!("no: {split}"))))
}

fn all_factors(number: i64) -> Vec<i64> {
    let mut small: Vec<i64> =
        (1..).take_while(|n| n * n <= number).filter(|n| number % n == 0).collect();
    let large: Vec<i64> =
        small.iter().rev().map(|n| number / n).filter(|n| !small.contains(n)).collect();
    small.extend(large);
    small
}

fn listed(numbers: &[i64]) -> String {
    numbers.iter().map(ToString::to_string).collect::<Vec<_>>().join(", ")
}

/// The pairs that multiply to a number, one a line.
fn pairs(number: i64) -> Lines {
    let small = (1..).take_while(|n| n * n <= number).filter(|n| number % n == 0);
    small.fold(Lines::default(), |lines, n| {
        lines.work(&format!("{n} × {} = {number}", number / n), "A pair of factors")
    })
}

/// The largest number whose factors are listed one by one.
const LISTED: i64 = 100_000;

fn factors(found: &Found) -> Option<Told> {
    let number = found.amounts::<1>()?.first()?.whole(LISTED).filter(|n| *n > 0)?;
    let all = listed(&all_factors(number));
    let lines = pairs(number).end(format!("The factors of {number} are {all}."));
    Some(Told::lines(format!("The factors of {number}"), lines, Answer::words(all)))
}

fn count_of_factors(found: &Found) -> Option<Told> {
    let number = found.amounts::<1>()?.first()?.whole(LISTED).filter(|n| *n > 0)?;
    let count = all_factors(number).len();
    let lines = pairs(number).end(format!("{number} has {count} factors."));
    Some(Told::lines(
        format!("How many factors {number} has"),
        lines,
        Answer::words(count.to_string()),
    ))
}

fn common_factors(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (a, b) = (a.whole(LISTED).filter(|n| *n > 0)?, b.whole(LISTED).filter(|n| *n > 0)?);
    let both = listed(&all_factors(a.gcd(&b)));
    let lines = Lines::default()
        .say(
            format!("The factors of {a} are {}.", listed(&all_factors(a))),
            "The factors of the first",
        )
        .say(format!("The factors of {b} are {}.", listed(&all_factors(b))), "and of the second")
        .end(format!("Both have {both}."));
    Some(Told::lines(format!("The common factors of {a} and {b}"), lines, Answer::words(both)))
}

fn multiples(found: &Found) -> Option<Told> {
    let [count, of] = found.amounts()?;
    multiples_of(count.whole(30)?, of)
}

fn multiples_of(count: i64, of: &Amount) -> Option<Told> {
    let number = of.whole(1 << 30).filter(|n| *n > 0 && count > 0)?;
    let all: Vec<i64> = (1..=count).map(|n| n * number).collect();
    let lines = (1..=count).fold(Lines::default(), |lines, n| {
        lines.work(&format!("{n} × {number} = {}", n * number), "A multiple")
    });
    let lines = lines.end(format!("The first {count} multiples of {number} are {}.", listed(&all)));
    Some(Told::lines(
        format!("The first {count} multiples of {number}"),
        lines,
        Answer::words(listed(&all)),
    ))
}

fn multiples_up_to(found: &Found) -> Option<Told> {
    let [of, most] = found.amounts()?;
    let number = of.whole(1 << 30).filter(|n| *n > 0)?;
    let most = most.whole(1 << 30)?;
    let last = if found.word() == "below" || found.word() == "under" { most - 1 } else { most };
    multiples_of((last / number).min(60), of)
}

fn divides(found: &Found) -> Option<Told> {
    let [one, other] = found.amounts()?;
    let (a, b) = (one.whole(1 << 40)?, other.whole(1 << 40)?);
    let (whole, by) = if a >= b { (a, b) } else { (b, a) };
    if by == 0 {
        return None;
    }
    let rest = whole % by;
    let lines = Lines::default()
        .work(&format!("{whole} = {by} × {} + {rest}", whole / by), format!("{rest} is left over"));
    let (is, answer) = if rest == 0 { ("is", "yes") } else { ("is not", "no") };
    let lines = lines.end(format!("{whole} {is} divisible by {by}."));
    Some(Told::lines(format!("Whether {by} divides {whole}"), lines, Answer::words(answer)))
}

fn primes_in(from: i64, to: i64, says: String) -> Option<Told> {
    if to - from > 1000 {
        return None;
    }
    let all: Vec<i64> = (from.max(2)..=to).filter(|n| prime_factors(*n).len() == 1).collect();
    let shown = if all.is_empty() { "none".to_owned() } else { listed(&all) };
    let lines = (from.max(4)..=to)
        .filter(|n| prime_factors(*n).len() > 1 && n % 2 == 1 && to - from <= 40)
        .fold(Lines::default(), |lines, n| {
            let first = prime_factors(n)[0];
            lines.work(&format!("{n} = {first} × {}", n / first), "Not prime")
        });
    let lines = lines.end(format!("Even numbers above 2 are not prime; what is left is {shown}."));
    Some(Told::lines(says, lines, Answer::words(shown)))
}

fn primes_between(found: &Found) -> Option<Told> {
    let [from, to] = found.amounts()?;
    let (from, to) = (from.whole(LARGEST)?, to.whole(LARGEST)?);
    primes_in(from, to, format!("The primes between {from} and {to}"))
}

fn primes_up_to(found: &Found) -> Option<Told> {
    let [to] = found.amounts()?;
    let to = to.whole(1000)?;
    primes_in(2, to, format!("The primes up to {to}"))
}

fn next_prime(found: &Found) -> Option<Told> {
    let [after] = found.amounts()?;
    let from = after.whole(LARGEST - 1000)?;
    let next = (from + 1..).find(|n| prime_factors(*n).len() == 1)?;
    primes_in(from + 1, next, format!("The next prime after {from}"))
}

fn square_or_not(found: &Found) -> Option<Told> {
    let number = found.amounts::<1>()?.first()?.whole(1 << 40)?;
    let root = (0..).take_while(|n| n * n <= number).last()?;
    let says = format!("Whether {number} is a square number");
    if root * root == number {
        let lines = Lines::default()
            .work(&format!("{root} × {root} = {number}"), "A whole number times itself")
            .end(format!("{number} is a square number."));
        return Some(Told::lines(says, lines, Answer::words("yes")));
    }
    let lines = Lines::default()
        .work(&format!("{}^2 < {number} < {}^2", root, root + 1), "It lies between two squares")
        .end(format!("{number} is not a square number."));
    Some(Told::lines(says, lines, Answer::words("no")))
}
