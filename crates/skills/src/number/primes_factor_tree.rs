//! Prime factorisation.
//!
//! Source: Euclid, *Elements*, book VII, propositions 31 and 32, and book IX, proposition 14. What counts as nice:
//! primes to 13, three to five of them.

use crate::kit::*;

/// The skill `primes.factor-tree`.
pub struct FactorTree;

slips! {
    STOPPED_AT_COMPOSITE = "stopped-at-composite": "Can one of these still be split?",
        "Stops at a factor that is not prime.";
    FACTOR_COUNTED_ONCE = "factor-counted-once": "How often does each prime stand at the ends of the tree?",
        "Writes a prime once that stands there more than once.";
    MULTIPLE_FOR_FACTOR = "multiple-for-factor": "Is the answer to be in both numbers, or to hold both numbers?",
        "Takes the highest common factor for the least common multiple, or the other way round.";
}

methods! {
    TREE = "tree": "Factor tree",
    LADDER = "ladder": "Ladder division",
}

impl Skill for FactorTree {
    fn card(&self) -> Card {
        Card {
            id: "primes.factor-tree",
            strand: Strand::Number,
            grades: (5, 8),
            title: "Prime factors",
            objective: "I can write a number as a product of primes and use it.",
            vocabulary: terms![
                "prime": "a number above 1 with no factors but 1 and itself",
                "composite": "a number that is a product of smaller ones",
                "factorisation": "a number written as a product",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => factorise(index, draw),
            (Stage::Tilt, 0) => which_is_wrong(draw),
            (Stage::Tilt, _) => missing_leaf(draw),
            (Stage::Climb, 0) => highest_common(draw),
            (Stage::Climb, _) => least_common(draw),
        }
    }
}

/// Primes from the smallest, as many as asked for, with a product below the limit.
fn primes(count: usize, limit: i64, draw: &mut Draw) -> Vec<i64> {
    loop {
        let mut found: Vec<i64> =
            (0..count).map(|_| *draw.one_of(&[2, 2, 3, 3, 5, 7, 11])).collect();
        found.sort_unstable();
        if found.iter().product::<i64>() <= limit && found.first() != found.last() {
            return found;
        }
    }
}

/// `2^3 × 5`
fn powers(primes: &[i64]) -> String {
    let mut primes = primes.to_vec();
    primes.sort_unstable();
    let mut parts: Vec<String> = Vec::new();
    for (at, p) in primes.iter().enumerate() {
        if at > 0 && primes[at - 1] == *p {
            continue;
        }
        let n = primes.iter().filter(|q| *q == p).count();
        parts.push(if n == 1 { p.to_string() } else { format!("{p}^{n}") });
    }
    parts.join(" × ")
}

fn factorise(index: usize, draw: &mut Draw) -> Posed {
    let found = primes(3 + index % 3, 900, draw);
    let n: i64 = found.iter().product();
    let answer = powers(&found);
    // The tree splits off the middle first, the ladder the smallest prime again and again.
    let half = found.len() / 2;
    let (left, right) = (&found[..half], &found[half..]);
    let (a, b): (i64, i64) = (left.iter().product(), right.iter().product());
    let split = |n: i64, part: &[i64]| if part.len() > 1 { times(part) } else { n.to_string() };
    let tree = Lines::start(&n.to_string())
        .then(&format!("{a} × {b}"), format!("Split {n} into any two factors"))
        .then(
            &format!("{} × {}", split(a, left), split(b, right)),
            "Split again, until only primes are left",
        )
        .then(&answer, "Write equal factors as powers");
    let mut ladder = Lines::start(&n.to_string());
    let mut rest = n;
    for (at, p) in found[..found.len() - 1].iter().enumerate() {
        rest /= p;
        let typed = format!("{} × {rest}", times(&found[..=at]));
        ladder = ladder.then(&typed, format!("Divide by {p}"));
    }
    let unsplit =
        [found[0] * found[1]].into_iter().chain(found[2..].iter().copied()).collect::<Vec<_>>();
    let mut once = found.clone();
    once.dedup();
    Posed::value(
        format!("Write {n} as a product of primes."),
        line(&n.to_string()),
        line(&answer),
        Form::Any,
    )
    .slip(powers(&once), slip::FACTOR_COUNTED_ONCE)
    .near([
        powers(&[found.clone(), vec![2]].concat()),
        powers(&found[1..]),
        powers(&[found.clone(), vec![3]].concat()),
    ])
    .way(method::TREE, tree)
    .grows(
        method::TREE,
        (0..=2).map(|level| (level, pictured::factor_tree(n, [left, right], level))),
    )
    .way(
        method::LADDER,
        ladder.then(
            &answer,
            format!(
                "{} is prime: write equal factors as powers",
                times(&unsplit[unsplit.len() - 1..])
            ),
        ),
    )
}

fn which_is_wrong(draw: &mut Draw) -> Posed {
    let found = primes(4, 600, draw);
    let n: i64 = found.iter().product();
    let name = scenario::name(draw);
    let is_true = draw.coin();
    let mut told = found.clone();
    if !is_true {
        let last = told.len() - 1;
        told[last] = if told[last] == 11 { 7 } else { told[last] + 2 };
    }
    let claim = format!("{n} = {}", times(&told));
    let product: i64 = told.iter().product();
    let end = if is_true {
        "It is true: the leaves multiply to the number.".to_owned()
    } else {
        format!("It is false: these leaves make {product}.")
    };
    Posed::claim(
        format!(
            "At the ends of {name}'s factor tree stand {}. True or false: this is a tree of {n}?",
            told.iter().map(i64::to_string).collect::<Vec<_>>().join(", ")
        ),
        line(&claim),
        is_true,
    )
    .way(
        method::TREE,
        Lines::default()
            .work(&format!("{} = {product}", times(&told)), "Multiply the leaves")
            .end(end),
    )
}

fn missing_leaf(draw: &mut Draw) -> Posed {
    let found = primes(4, 900, draw);
    let n: i64 = found.iter().product();
    let at = usize::try_from(draw.between(0, 3)).unwrap_or(0);
    let missing = found[at];
    let rest: Vec<i64> =
        found.iter().enumerate().filter(|(i, _)| *i != at).map(|(_, p)| *p).collect();
    let known: i64 = rest.iter().product();
    let equation = format!("{} × x = {n}", times(&rest));
    Posed::equation(
        format!(
            "A factor tree of {n} has the leaves {} and one more. Which?",
            rest.iter().map(i64::to_string).collect::<Vec<_>>().join(", ")
        ),
        line(&equation),
        "x",
        from_int(missing),
    )
    .near([known.to_string()])
    .near([(n / rest[0]).to_string()])
    .way(
        method::TREE,
        Lines::start(&equation)
            .then(&format!("{known} × x = {n}"), "Multiply the leaves that are known")
            .then(&format!("x = {missing}"), format!("Divide {n} by {known}")),
    )
}

/// Two numbers with a common part.
fn two(draw: &mut Draw) -> (i64, i64, i64) {
    loop {
        let common = *draw.one_of(&[4, 6, 8, 10, 12, 15, 18]);
        let (a, b) = draw.coprime(2, 7);
        if common * b <= 120 {
            return (common * a, common * b, common);
        }
    }
}

fn common_way(a: i64, b: i64, typed: &str, value: i64, reason: &str) -> Lines {
    Lines::start(typed)
        .work(&format!("{a} = {}", powers(&prime_factors(a))), "Split the first number into primes")
        .work(&format!("{b} = {}", powers(&prime_factors(b))), "Split the second")
        .then(&powers(&prime_factors(value)), reason)
        .then(&value.to_string(), "Work it out")
}

fn highest_common(draw: &mut Draw) -> Posed {
    let (a, b, common) = two(draw);
    let name = scenario::name(draw);
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} packs {a} candles and {b} jars into equal gift boxes, with nothing left over. What is the greatest number of boxes?"
            ),
            format!("{common} boxes can be packed."),
            "boxes",
        ),
        1 => (
            format!(
                "A floor of {a} dm by {b} dm in the honey room is laid with square tiles, as large as possible and none cut. How long is the side of one tile in dm?"
            ),
            format!("The side is {common} dm."),
            "dm",
        ),
        _ => (
            format!(
                "Two strips of wax, {a} cm and {b} cm long, are cut into equal pieces with nothing left. How long can a piece be at most, in cm?"
            ),
            format!("A piece can be {common} cm long."),
            "cm",
        ),
    };
    let typed = format!("hcf({a}, {b})");
    let value = gcd(a, b);
    Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .slip(lcm(a, b).to_string(), slip::MULTIPLE_FOR_FACTOR)
        .slip(prime_factors(value)[0].to_string(), slip::FACTOR_COUNTED_ONCE)
        .near([(value * 2).to_string(), (value + 1).to_string()])
        .way(method::TREE, common_way(a, b, &typed, value, "Take the primes that are in both"))
        .answered(sentence, unit)
}

fn least_common(draw: &mut Draw) -> Posed {
    let (a, b, _) = two(draw);
    let value = lcm(a, b);
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "One bell at the market rings every {a} minutes, another every {b} minutes. They ring together now. After how many minutes do they ring together again?"
            ),
            format!("They ring together after {value} minutes."),
            "minutes",
        ),
        1 => (
            format!(
                "Lids come in bags of {a} and jars in boxes of {b}. What is the smallest number of lids and jars of which none is left over?"
            ),
            format!("The smallest number is {value}."),
            "",
        ),
        _ => (
            format!(
                "The oak hive is looked at every {a} days, the clover hive every {b} days, and both today. In how many days are both looked at again?"
            ),
            format!("Both are looked at again in {value} days."),
            "days",
        ),
    };
    let typed = format!("lcm({a}, {b})");
    Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .slip(gcd(a, b).to_string(), slip::MULTIPLE_FOR_FACTOR)
        .near([(a * b).to_string(), (value * 2).to_string(), (value + a).to_string()])
        .way(
            method::TREE,
            common_way(a, b, &typed, value, "Take each prime as often as either number needs it"),
        )
        .answered(sentence, unit)
}
