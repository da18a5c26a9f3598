//! Calculations as they are said: "add 345 and 278", "double 27", "5 less than 12".

use super::{Answer, Found, TaskKind, Told, joined};
use crate::solving::{self, TaskKind as Solving};
use crate::typed::text::{Amount, written};
use algebra::number::from_int;
use num_traits::Zero;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Adding", &[
        "add #,", "sum of #,", "total of #,", "add up #,", "# added to #", "# more than #", "# and # altogether",
    ], added),
    beside("Subtracting", &[
        "subtract # from #", "take # from #", "take # away from #", "take away # from #", "# less than #", "# taken from #",
        "# subtracted from #", "# fewer than #",
    ], taken),
    beside("Subtracting", &[
        "difference between # and #", "difference of # and #",
    ], difference),
    beside("Subtracting", &[
        "# take away # ", "# take #", "# subtract #", "# less #", "# minus #",
    ], less),
    beside("Multiplying", &[
        "multiply #,", "product of #,", "# multiplied by #", "multiply # by #", "# times #", "# lots of #", "# groups of #", "# sets of #",
    ], product),
    beside("Dividing", &[
        "divide # by #", "# divided by #", "# divided by # with remainder", "divide # by # with|giving|and|give remainder", "# over #",
        "# shared by #", "# shared between #", "share # between #", "share # equally between #", "quotient of # and #", "quotient when # is? divided by #",
        "split # equally between #",
    ], quotient),
    beside("Dividing", &[
        "how many # in #", "how many times does # go into #", "how many # are there in #", "divide # into #",
    ], goes_into),
    beside("Remainder", &[
        "remainder when # is divided by #", "remainder of # divided by #", "# mod #", "remainder when # divided by #",
        "remainder of # ÷ #",
    ], remainder),
    beside("Multiplying", &[
        "double #", "twice #", "double of #",
    ], |f| times(f, 2)),
    beside("Multiplying", &[
        "treble #", "triple #", "three times #",
    ], |f| times(f, 3)),
    beside("Dividing", &[
        "halve #", "half of #", "half #",
    ], |f| part(f, 2)),
    beside("Dividing", &[
        "third of #", "one third of #",
    ], |f| part(f, 3)),
    beside("Dividing", &[
        "quarter of #", "one quarter of #", "quarter #",
    ], |f| part(f, 4)),
    beside("Fractions of amounts", &[
        "# of #",
    ], fraction_of),
    beside("Fractions of amounts", &[
        "two thirds of #",
    ], |f| fraction(f, 2, 3)),
    beside("Fractions of amounts", &[
        "three quarters of #",
    ], |f| fraction(f, 3, 4)),
    beside("Fractions of amounts", &[
        "two fifths of #",
    ], |f| fraction(f, 2, 5)),
    beside("Fractions of amounts", &[
        "three fifths of #",
    ], |f| fraction(f, 3, 5)),
    beside("Powers", &[
        "# squared", "square of #", "square #",
    ], |f| power(f, 2)),
    beside("Powers", &[
        "# cubed", "cube of #", "cube #",
    ], |f| power(f, 3)),
    beside("Powers", &[
        "# to power of #", "# to power #", "# to the #th power", "# raised to power of #", "# raised to #",
    ], powered),
    beside("Powers", &[
        "# to #th power", "#th power of #",
    ], powered_in_order),
    beside("Roots", &[
        "square root of #", "root of #", "sqrt of #",
    ], |f| rooted(f, "sqrt")),
    beside("Roots", &[
        "cube root of #", "cubed root of #",
    ], |f| rooted(f, "cbrt")),
    beside("Roots", &[
        "#th root of #",
    ], ordinal_root),
    beside("Factorials", &[
        "# factorial", "factorial of #",
    ], factorial),
    beside("Reciprocals", &[
        "reciprocal of #", "multiplicative inverse of #",
    ], reciprocal),
    beside("Absolute value", &[
        "absolute value of #", "modulus of #", "magnitude of #",
    ], absolute),
    beside("Opposites", &[
        "opposite of #", "additive inverse of #",
    ], opposite),
    beside("Place value", &[
        "# hundreds # tens # ones", "# hundreds # tens and # ones", "# hundreds and # tens and # ones", "# hundreds # tens # units",
    ], places),
    beside("Place value", &[
        "# thousands # hundreds # tens # ones",
    ], places),
    beside("Place value", &[
        "# tens # ones", "# tens and # ones", "# tens and # units", "# tens # units",
    ], places),
    beside("Place value", &[
        "value of # in #", "place value of # in #", "value of digit # in #", "what does # stand for in #", "what is # worth in #",
    ], digit),
    beside("Counting", &[
        "next whole? number after #", "number after #", "one more than #", "what comes after #",
    ], |f| shifted_by_one(f, true)),
    beside("Counting", &[
        "number before #", "one less than #", "what comes before #",
    ], |f| shifted_by_one(f, false)),
    beside("Even or odd", &[
        "is # even|odd", "is # even|odd number", "is # even or odd", "is # odd or even",
    ], even_or_odd),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("operations.order-brackets", topic, wordings, told)
}

/// A calculation for the solver; with units where every number has one.
fn reckoned(says: String, typed: String, numbers: &[Amount]) -> Option<Told> {
    if numbers.iter().any(|one| one.is_of_pi) {
        return None;
    }
    let quantities = numbers.iter().any(|one| one.unit.is_some());
    let kind = if quantities { Solving::Simplify } else { Solving::Evaluate };
    Some(Told::solver(
        says,
        solving::Task { kind, problem: typed, quantities, ..Default::default() },
    ))
}

fn term(amount: &Amount) -> String {
    match amount.unit {
        Some(_) => amount.measured(),
        None if amount.is_percent => format!("{}%", amount.text),
        None => amount.factor(),
    }
}

fn chain(numbers: &[Amount], sign: &str) -> String {
    let first = |amount: &Amount| {
        if amount.unit.is_none() && amount.text.contains(['/', ' ']) {
            term(amount)
        } else {
            amount.measured()
        }
    };
    let terms: Vec<String> = numbers
        .iter()
        .enumerate()
        .map(|(at, one)| if at == 0 { first(one) } else { term(one) })
        .collect();
    terms.join(sign)
}

fn all(found: &Found) -> Vec<Amount> {
    found.lists.concat().into_iter().chain(found.numbers.iter().cloned()).collect()
}

fn told_all(numbers: &[Amount]) -> String {
    joined(&numbers.iter().map(Amount::shown).collect::<Vec<_>>())
}

fn added(found: &Found) -> Option<Told> {
    let numbers = all(found);
    reckoned(format!("The sum of {}", told_all(&numbers)), chain(&numbers, " + "), &numbers)
}

fn taken(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    minus(b, a)
}

fn less(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    minus(a, b)
}

fn minus(a: &Amount, b: &Amount) -> Option<Told> {
    let both = [a.clone(), b.clone()];
    reckoned(format!("{} minus {}", a.shown(), b.shown()), chain(&both, " - "), &both)
}

fn difference(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (large, small) = match (&a.unit, &b.unit) {
        (Some(unit), Some(_)) if b.value_in(unit)? > a.value => (b, a),
        (None, None) if b.value > a.value => (b, a),
        _ => (a, b),
    };
    let both = [large.clone(), small.clone()];
    let says = format!("The difference between {} and {}", a.shown(), b.shown());
    reckoned(says, chain(&both, " - "), &both)
}

fn product(found: &Found) -> Option<Told> {
    let numbers = all(found);
    reckoned(format!("The product of {}", told_all(&numbers)), chain(&numbers, " × "), &numbers)
}

fn quotient(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let both = [a.clone(), b.clone()];
    if b.value.is_zero() {
        return None;
    }
    let says = format!("{} divided by {}", a.shown(), b.shown());
    let wholes = (a.whole(1 << 30), b.whole(1 << 30));
    if let ((Some(whole), Some(by)), None, None) = (wholes, &a.unit, &b.unit)
        && whole % by != 0
    {
        return Some(with_remainder(says, whole, by));
    }
    reckoned(says, chain(&both, " ÷ "), &both)
}

fn with_remainder(says: String, whole: i64, by: i64) -> Told {
    let (times, rest) = (whole / by, whole % by);
    let exact = written(&algebra::Rational::new(whole.into(), by.into()));
    let lines = Lines::default()
        .work(
            &format!("{by} × {times} = {}", by * times),
            format!("{by} goes into {whole} {times} times"),
        )
        .work(&format!("{whole} - {} = {rest}", by * times), "This is left over")
        .begin(&format!("{whole} ÷ {by}"), "The problem")
        .then(&exact, format!("{times} and {rest} of {by} parts"));
    Told::lines(says, lines, Answer::value(exact).written(format!("{times} r {rest}")))
}

fn goes_into(found: &Found) -> Option<Told> {
    let [small, whole] = found.amounts()?;
    // "How many 4s": so the plural of a number is written.
    let is_plural =
        whole.unit.is_none() && small.unit.as_ref().is_some_and(|unit| unit.text() == "s");
    let small =
        &Amount { unit: if is_plural { None } else { small.unit.clone() }, ..small.clone() };
    if small.value.is_zero() {
        return None;
    }
    let both = [whole.clone(), small.clone()];
    let says = format!("How many times {} goes into {}", small.shown(), whole.shown());
    reckoned(says, chain(&both, " ÷ "), &both)
}

fn remainder(found: &Found) -> Option<Told> {
    let [whole, by] = found.amounts()?;
    let (a, b) = (whole.whole(1 << 40)?, by.whole(1 << 40).filter(|n| *n > 0)?);
    let (times, rest) = (a / b, a % b);
    let lines = Lines::default()
        .work(&format!("{b} × {times} = {}", b * times), format!("{b} goes into {a} {times} times"))
        .begin(&format!("{a} - {}", b * times), "What is left over")
        .then(&rest.to_string(), "Take it away");
    let says = format!("The remainder when {a} is divided by {b}");
    Some(Told::lines(says, lines, Answer::value(rest.to_string())))
}

fn times(found: &Found, by: i64) -> Option<Told> {
    let [number] = found.amounts()?;
    let says = format!("{by} times {}", number.shown());
    reckoned(says, format!("{by} × {}", term(number)), std::slice::from_ref(number))
}

fn part(found: &Found, of: i64) -> Option<Told> {
    let [number] = found.amounts()?;
    let says = format!("{} divided by {of}", number.shown());
    reckoned(
        says,
        format!("{} ÷ {of}", chain(std::slice::from_ref(number), "")),
        std::slice::from_ref(number),
    )
}

fn fraction(found: &Found, above: i64, below: i64) -> Option<Told> {
    let [number] = found.amounts()?;
    let of = Amount {
        text: format!("{above}/{below}"),
        ..Amount::of(algebra::Rational::new(above.into(), below.into()))
    };
    part_of(&of, number)
}

fn fraction_of(found: &Found) -> Option<Told> {
    let [of, number] = found.amounts()?;
    if of.unit.is_some() || !of.text.contains('/') {
        return None;
    }
    part_of(of, number)
}

fn part_of(of: &Amount, number: &Amount) -> Option<Told> {
    if of.text.contains(' ') || number.is_of_pi || number.is_percent {
        return None;
    }
    let (above, below) = of.text.split_once('/')?;
    let below_value = Amount::read(below)?.value;
    let one = Amount { unit: number.unit.clone(), ..Amount::of(&number.value / below_value) };
    let whole = Amount { unit: number.unit.clone(), ..Amount::of(&number.value * &of.value) };
    let says = format!("{} of {}", of.text, number.shown());
    let measured = |amount: &Amount| amount.measured();
    let lines = Lines::measured()
        .work(
            &format!("{} ÷ {below} = {}", measured(number), measured(&one)),
            format!("One of {below} parts"),
        )
        .begin(&format!("{} × {}", above, measured(&one)), format!("{above} of these parts"))
        .then(&measured(&whole), "Multiply");
    Some(Told::lines(says, lines, super::quantity(&whole)))
}

fn power(found: &Found, by: i64) -> Option<Told> {
    let [number] = found.amounts()?;
    to_power(number, by)
}

fn powered(found: &Found) -> Option<Told> {
    let [number, by] = found.amounts()?;
    to_power(number, by.whole(64)?)
}

fn powered_in_order(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    to_power(number, *found.ordinals.first()?)
}

fn to_power(number: &Amount, by: i64) -> Option<Told> {
    if number.unit.is_some() || !(0..=64).contains(&by) {
        return None;
    }
    let says = format!("{} to the power of {by}", number.shown());
    reckoned(says, format!("{}^{by}", number.factor()), std::slice::from_ref(number))
}

fn rooted(found: &Found, root: &str) -> Option<Told> {
    let [number] = found.amounts()?;
    if number.unit.is_some() || number.is_of_pi {
        return None;
    }
    let name = if root == "sqrt" { "square" } else { "cube" };
    let says = format!("The {name} root of {}", number.shown());
    let task = solving::Task {
        kind: Solving::Simplify,
        problem: format!("{root}({})", number.text),
        ..Default::default()
    };
    Some(Told::solver(says, task))
}

fn ordinal_root(found: &Found) -> Option<Told> {
    let ([number], index) = (found.amounts()?, *found.ordinals.first()?);
    let says = format!("The root number {index} of {}", number.shown());
    let problem = format!("root({index}, {})", number.text);
    Some(Told::solver(
        says,
        solving::Task { kind: Solving::Simplify, problem, ..Default::default() },
    ))
}

fn factorial(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let n = number.whole(20)?;
    reckoned(format!("{n} factorial"), format!("{n}!"), std::slice::from_ref(number))
}

fn reciprocal(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    if number.value.is_zero() || number.unit.is_some() {
        return None;
    }
    let says = format!("The reciprocal of {}", number.shown());
    reckoned(says, format!("1/({})", number.text), std::slice::from_ref(number))
}

fn absolute(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let says = format!("The absolute value of {}", number.shown());
    reckoned(says, format!("abs({})", number.text), std::slice::from_ref(number))
}

fn opposite(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let says = format!("The opposite of {}", number.shown());
    reckoned(says, format!("-({})", number.text), std::slice::from_ref(number))
}

/// Hundreds, tens and ones, which may be more than nine.
fn places(found: &Found) -> Option<Told> {
    let count = found.numbers.len();
    let worths: Vec<i64> =
        (0..count).rev().map(|at| 10_i64.pow(u32::try_from(at).unwrap_or(0))).collect();
    let numbers: Vec<i64> =
        found.numbers.iter().map(|one| one.whole(100_000)).collect::<Option<_>>()?;
    let terms: Vec<String> =
        numbers.iter().zip(&worths).map(|(n, worth)| format!("{n} × {worth}")).collect();
    let each: Vec<String> =
        numbers.iter().zip(&worths).map(|(n, worth)| (n * worth).to_string()).collect();
    let whole: i64 = numbers.iter().zip(&worths).map(|(n, worth)| n * worth).sum();
    let lines = Lines::start(&terms.join(" + "))
        .then(&each.join(" + "), "What each place is worth")
        .then(&whole.to_string(), "Add them up");
    let names = ["thousands", "hundreds", "tens", "ones"];
    let named: Vec<String> =
        numbers.iter().zip(&names[4 - count..]).map(|(n, name)| format!("{n} {name}")).collect();
    Some(Told::lines(
        format!("The number with {}", joined(&named)),
        lines,
        Answer::value(whole.to_string()),
    ))
}

/// What a digit is worth where it stands.
fn digit(found: &Found) -> Option<Told> {
    let [digit, number] = found.amounts()?;
    let wanted = u8::try_from(digit.whole(9)?).ok()? + b'0';
    let whole = number.text.find('.').unwrap_or(number.text.len());
    let (before, after) = (&number.text[..whole], &number.text[whole..]);
    let mut all = number.text.bytes().enumerate().filter(|(_, sign)| *sign == wanted);
    let (at, _) = all.next()?;
    // A digit that stands twice has no one worth.
    if all.next().is_some() || before.starts_with('-') {
        return None;
    }
    let worth = if at < whole {
        from_int(10_i64.checked_pow(u32::try_from(whole - 1 - at).ok()?)?)
    } else {
        let places = u32::try_from(at - whole).ok().filter(|n| *n <= 9 && !after.is_empty())?;
        algebra::Rational::new(1.into(), 10_i64.pow(places).into())
    };
    let value = written(&(&worth * &digit.value));
    let lines = Lines::start(&format!("{} × {}", digit.text, written(&worth)))
        .then(&value, "Its place is worth so much");
    let says = format!("What the digit {} is worth in {}", digit.text, number.text);
    Some(Told::lines(says, lines, Answer::value(value)))
}

fn even_or_odd(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let n = number.whole(1 << 40)?;
    let (half, rest) = (n / 2, n % 2);
    let is = if rest == 0 { "even" } else { "odd" };
    let lines = Lines::default()
        .work(
            &format!("{n} = 2 × {half} + {rest}"),
            format!("{rest} is left over when it is divided by 2"),
        )
        .end(format!("{n} is {is}."));
    let text = match found.word() {
        "" => is.to_owned(),
        asked if asked == is => "yes".to_owned(),
        _ => "no".to_owned(),
    };
    let says = format!("Whether {n} is even or odd");
    Some(Told::lines(says, lines, Answer::words(text)))
}

fn shifted_by_one(found: &Found, up: bool) -> Option<Told> {
    let [number] = found.amounts()?;
    let one = Amount::of(from_int(1));
    if up {
        return reckoned(
            format!("One more than {}", number.shown()),
            format!("{} + 1", number.text),
            &[number.clone(), one],
        );
    }
    minus(number, &one)
}
