//! Mean, median, mode, range and quartiles of a list.

use super::{Answer, Found, TaskKind, Told, quantity};
use crate::typed::text::{Amount, Measure, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::Zero;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Mean", &[
        "mean|average of? #,", "mean average of? #,", "arithmetic mean of? #,", "mean|average of numbers|data|set|list|scores|values? #,",
        "average|mean age|height|mass|weight|score|speed|temperature|mark|time of #,", "#, mean|average", "#, find mean|average",
        "#, what is mean|average",
    ], mean),
    beside("Median", &[
        "median of? #,", "median of numbers|data|set|list|scores|values? #,", "#, median", "#, find median", "#, what is median",
        "middle number|value of #,",
    ], median),
    beside("Mode", &[
        "mode of? #,", "mode of numbers|data|set|list|scores|values? #,", "modal value|number of #,", "#, mode", "#, find mode",
        "most common number|value? in|of #,", "#, what is mode",
    ], mode),
    beside("Range", &[
        "range of? #,", "range of numbers|data|set|list|scores|values? #,", "#, range", "#, find range", "#, what is range",
    ], range),
    beside("Quartiles", &[
        "interquartile range of|for? #,", "iqr of|for? #,", "inter quartile range of #,",
    ], |f| quartile(f, Quartile::Between)),
    beside("Quartiles", &[
        "lower|first quartile of|for? #,", "q1 of #,",
    ], |f| quartile(f, Quartile::Lower)),
    beside("Quartiles", &[
        "upper|third quartile of|for? #,", "q3 of #,",
    ], |f| quartile(f, Quartile::Upper)),
    beside("Mean", &[
        "mean of # numbers|values|scores is # find|what total|sum|their? total|sum?",
        "mean of # numbers|values|scores is # what is their|the? total|sum", "total if mean of # numbers is #",
    ], total),
    beside("Mean", &[
        "total of # numbers|values is # find|what mean|is mean?", "# numbers have total|sum|add of|up? to? # find mean",
        "total # for # numbers|people|values find mean",
    ], mean_of_total),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("operations.order-brackets", topic, wordings, told)
}

/// A list in one unit, and the unit.
fn list(found: &Found) -> Option<(Vec<Amount>, Option<Measure>)> {
    let all = found.list()?;
    let unit = all.iter().rev().find_map(|one| one.unit.clone());
    let own = all.iter().map(|one| match (&one.unit, &unit) {
        (Some(_), Some(unit)) => Some(Amount::of(one.value_in(unit)?)),
        _ if one.is_percent || one.is_of_pi => None,
        // A unit may stand on the last one only.
        _ => Some(Amount { unit: None, ..one.clone() }),
    });
    Some((own.collect::<Option<_>>()?, unit))
}

fn shown(list: &[Amount]) -> String {
    list.iter().map(|one| one.text.clone()).collect::<Vec<_>>().join(", ")
}

fn answered(
    lines: Lines,
    says: String,
    name: &str,
    value: &Rational,
    unit: Option<Measure>,
) -> Told {
    let all = Amount { unit, ..Amount::of(value.clone()) };
    let lines = if all.unit.is_some() {
        lines.end(format!("The {name} is {}.", super::money_or(&all)))
    } else {
        lines
    };
    Told::lines(says, lines, quantity(&all))
}

fn mean(found: &Found) -> Option<Told> {
    let (all, unit) = list(found)?;
    let sum = all.iter().fold(Rational::zero(), |sum, one| sum + &one.value);
    let count = i64::try_from(all.len()).ok()?;
    let value = &sum / from_int(count);
    let terms: Vec<String> = all.iter().map(Amount::factor).collect();
    let lines = Lines::default()
        .work(&format!("{} = {}", terms.join(" + "), written(&sum)), "Add them up")
        .begin(
            &format!("{} ÷ {count}", bracketed(&sum)),
            format!("Share by {count}: so many there are"),
        )
        .then(&written(&value), "Divide");
    Some(answered(lines, format!("The mean of {}", shown(&all)), "mean", &value, unit))
}

fn bracketed(value: &Rational) -> String {
    let text = written(value);
    if text.contains(['-', '/']) { format!("({text})") } else { text }
}

fn sorted(all: &[Amount]) -> Vec<Amount> {
    let mut all = all.to_vec();
    all.sort_by(|a, b| a.value.cmp(&b.value));
    all
}

/// The middle of an ordered list.
fn middle(all: &[Amount]) -> Option<Rational> {
    let half = all.len() / 2;
    if all.len() % 2 == 1 {
        return Some(all.get(half)?.value.clone());
    }
    Some((&all.get(half.checked_sub(1)?)?.value + &all.get(half)?.value) / from_int(2))
}

fn in_order(all: &[Amount]) -> Lines {
    let chain: Vec<String> = all.iter().map(|one| one.text.clone()).collect();
    Lines::default().work(&chain.join(" <= "), "In order of size")
}

fn median(found: &Found) -> Option<Told> {
    let (told, unit) = list(found)?;
    let all = sorted(&told);
    let value = middle(&all)?;
    let half = all.len() / 2;
    let lines = in_order(&all);
    let lines = if all.len() % 2 == 1 {
        lines.begin(&all[half].text, format!("The one in the middle: {half} stand on each side"))
    } else {
        lines
            .begin(
                &format!("({} + {}) ÷ 2", all[half - 1].text, all[half].factor()),
                "Halfway between the two in the middle",
            )
            .then(&written(&value), "Work it out")
    };
    Some(answered(lines, format!("The median of {}", shown(&told)), "median", &value, unit))
}

fn mode(found: &Found) -> Option<Told> {
    let (told, unit) = list(found)?;
    let all = sorted(&told);
    let count = |one: &Amount| all.iter().filter(|other| other.value == one.value).count();
    let most = all.iter().map(count).max()?;
    let mut modes: Vec<Amount> = all.iter().filter(|one| count(one) == most).cloned().collect();
    modes.dedup_by(|a, b| a.value == b.value);
    let says = format!("The mode of {}", shown(&told));
    let distinct = all.len() / most;
    if most == 1 || modes.len() == distinct && distinct > 1 && modes.len() * most == all.len() {
        let lines = in_order(&all).end("Every value stands equally often: there is no mode.");
        return Some(Told::lines(says, lines, Answer::words("no mode")));
    }
    if let [one] = &modes[..] {
        let lines = in_order(&all)
            .begin(&one.text, format!("It stands {most} times, more often than any other"));
        return Some(answered(lines, says, "mode", &one.value, unit));
    }
    let texts: Vec<String> = modes.iter().map(|one| one.text.clone()).collect();
    let lines = in_order(&all).end(format!("{} stand {most} times each.", super::joined(&texts)));
    Some(Told::lines(says, lines, Answer::words(texts.join(", "))))
}

fn range(found: &Found) -> Option<Told> {
    let (told, unit) = list(found)?;
    let all = sorted(&told);
    let (low, high) = (all.first()?, all.last()?);
    let value = &high.value - &low.value;
    let lines = Lines::start(&format!("{} - {}", high.text, low.factor()))
        .then(&written(&value), "The largest take away the smallest");
    Some(answered(lines, format!("The range of {}", shown(&told)), "range", &value, unit))
}

enum Quartile {
    Lower,
    Upper,
    Between,
}

/// The medians of the two halves; with an odd count the one in the middle belongs to neither.
fn quartile(found: &Found, which: Quartile) -> Option<Told> {
    let (told, unit) = list(found)?;
    if told.len() < 4 {
        return None;
    }
    let all = sorted(&told);
    let half = all.len() / 2;
    let (low, high) = (&all[..half], &all[all.len() - half..]);
    let (q1, q3) = (middle(low)?, middle(high)?);
    let lines = in_order(&all)
        .say(format!("The lower half is {}.", shown(low)), "What stands below the middle")
        .say(format!("The upper half is {}.", shown(high)), "What stands above the middle");
    let (typed, name, value) = match which {
        Quartile::Lower => (written(&q1), "lower quartile", q1),
        Quartile::Upper => (written(&q3), "upper quartile", q3),
        Quartile::Between => {
            let value = &q3 - &q1;
            (format!("{} - {}", written(&q3), bracketed(&q1)), "interquartile range", value)
        }
    };
    let lines =
        lines.begin(&typed, "From the middles of the halves").then(&written(&value), "Work it out");
    Some(answered(lines, format!("The {name} of {}", shown(&told)), name, &value, unit))
}

fn total(found: &Found) -> Option<Told> {
    let [count, mean] = found.amounts()?;
    let value = &count.value * &mean.value;
    let lines = Lines::start(&format!("{} × {}", count.text, mean.factor()))
        .then(&written(&value), "The mean times how many there are");
    Some(answered(
        lines,
        format!("The total of {} numbers with mean {}", count.text, mean.text),
        "total",
        &value,
        mean.unit.clone(),
    ))
}

fn mean_of_total(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    // "total 60 for 5 numbers" and "5 numbers have total 60": the smaller one counts.
    let (count, total) = if a.value < b.value { (a, b) } else { (b, a) };
    if count.whole(1_000_000)? == 0 {
        return None;
    }
    let value = &total.value / &count.value;
    let lines = Lines::start(&format!("{} ÷ {}", total.factor(), count.text))
        .then(&written(&value), "Share the total");
    Some(answered(
        lines,
        format!("The mean of {} numbers with total {}", count.text, total.text),
        "mean",
        &value,
        total.unit.clone(),
    ))
}
