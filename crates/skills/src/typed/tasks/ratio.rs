//! Ratios: shared, shortened, compared, and with one term missing.

use super::{Answer, Found, Recognised, TaskKind, Told, quantity};
use crate::fractions_ratio::{
    ratio_equivalent, ratio_is_proportion, ratio_missing_term, ratio_share,
};
use crate::typed::text::{Amount, Kind, Measure, Token, written};
use algebra::Rational;
use algebra::number::from_int;
use num_integer::Integer as _;
use num_traits::{One, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const SHARE: (&str, MethodId) = ("ratio.share", ratio_share::method::ONE_PART_FIRST);
const SHORT: (&str, MethodId) = ("ratio.equivalent", ratio_equivalent::method::LOWEST_TERMS);
const SAME: (&str, MethodId) = ("ratio.is-proportion", ratio_is_proportion::method::LOWEST_TERMS);
const MISSING: (&str, MethodId) = ("ratio.missing-term", ratio_missing_term::method::SCALE_FACTOR);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(SHARE, &[
        "share|divide|split # in|into ratio? #:",
        "share|divide|split # sweets|marbles|beads|counters|stickers|people|pupils|students|cards|coins|points in|into ratio? #:",
        "share|divide|split # between two|three|four? people? in ratio? #:", "share|divide|split # between _ and _ in ratio? #:",
        "share|divide|split # among _ _ and _ in ratio? #:", "# shared|divided|split in ratio? #:", "# in ratio #:",
        "_ and _ share|split|divide # in ratio? #: how much does each get?", "_ and _ share|split|divide # in ratio? #:",
    ], shared),
    TaskKind::of(SHARE, &[
        "larger|largest|bigger|biggest|smaller|smallest share|part when|if # is shared|divided|split in ratio? #:",
        "share|divide|split # in ratio? #: how much is larger|largest|bigger|biggest|smaller|smallest share|part",
        "# is shared|divided|split in ratio? #: how much is larger|largest|bigger|biggest|smaller|smallest share|part",
        "# is shared|divided|split in ratio? #: what|find is? larger|largest|bigger|biggest|smaller|smallest share|part",
    ], one_share),
    TaskKind::of(SHORT, &[
        "simplify|reduce ratio? #:", "simplify|reduce|write|give|express ratio? #: in its? simplest|lowest form|terms",
        "#: in its? simplest|lowest form|terms", "simplest form of ratio? #:",
    ], shortest),
    TaskKind::of(SHORT, &[
        "ratio of # to #", "write|express|give # to # as ratio", "ratio # to # in simplest form",
        "write|express ratio? of? # to # in simplest form", "# : # in simplest form", "simplify ratio? # : #",
    ], ratio_of),
    TaskKind::of(SHORT, &[
        "write|express|give ratio? #: in|as form? 1 : n", "write|express|give ratio? #: in|as form? 1 n",
        "write|express|give ratio? #: in|as form? # : n", "write|express|give ratio? #: in|as form? 1:n", "#: as 1:n",
        "write|express #: in form 1:n", "write #: in form 1 : n",
    ], one_to),
    TaskKind::of(SAME, &[
        "are|is #: and|to #: equivalent|equal|same|proportional ratios?", "are ratios #: and #: equivalent|equal|same|proportional",
        "do #: and #: form|make a? proportion", "is #: equivalent|equal to #:", "is #: same as #:", "are #: and #: in proportion",
        "is #: = #: a? proportion|true", "does #: equal #:",
    ], same),
    TaskKind::of(MISSING, &[
        "ratio of _ to _ is #: if there are # _ how many _ are there?", "ratio of _ to _ is #: there are # _ how many _ are there?",
        "ratio _ to _ is #: there are # _ how many _ are there?", "_ and _ are in ratio #: there are # _ how many _ are there?",
        "_ to _ is #: there are # _ how many _",
    ], counted),
    TaskKind::of(MISSING, &[
        "ratio of _ to _ is #: if there are # _ how many _",
    ], counted),
    TaskKind::beside("ratio.equivalent", "Map scales", &[
        "on? .. scale|map .. #: .. # .. apart|long|distance|map|real|actual|represent|life ..",
        "map scale|of? #: how far|long|what is # on|in map|real|in? real|life? life?",
        "map with|has? scale of? #: how far|long|what|find is? # ..", "scale #: # on map what|how is|far real distance?",
        "map scale #: # on map", "map scale is #: distance on map is # find real|actual distance", "on map with scale #: # is how far?",
        "map with scale #: two towns are # apart find|what real|actual|is distance",
        "scale of map is #: what|how distance|far does|is # represent?",
    ], map),
];

fn terms(list: &[Amount], sign: &str) -> String {
    list.iter().map(|one| one.text.clone()).collect::<Vec<_>>().join(sign)
}

fn positive(list: &[Amount]) -> bool {
    list.iter().all(|one| one.is_positive() && !one.is_percent && !one.is_of_pi) && list.len() <= 6
}

fn shares(total: &Amount, list: &[Amount]) -> Option<(Lines, Vec<Amount>)> {
    if !positive(list) || !total.is_positive() || total.is_percent || total.is_of_pi {
        return None;
    }
    let parts = list.iter().fold(Rational::zero(), |sum, one| sum + &one.value);
    let like = |value: Rational| Amount { unit: total.unit.clone(), ..Amount::of(value) };
    let one = like(&total.value / &parts);
    let all: Vec<Amount> = list.iter().map(|term| like(&one.value * &term.value)).collect();
    let mut lines = Lines::measured()
        .begin(&terms(list, ":"), "The problem")
        .work(&format!("{} = {}", terms(list, " + "), written(&parts)), "All parts together")
        .work(
            &format!("{} ÷ {} = {}", total.measured(), written(&parts), one.measured()),
            "One part",
        );
    for (term, share) in list.iter().zip(&all) {
        lines = lines.work(
            &format!("{} × {} = {}", term.text, one.measured(), share.measured()),
            format!("{} of these parts", term.text),
        );
    }
    let bare: Vec<String> = all.iter().map(Amount::factor).collect();
    let sum: Vec<String> = all.iter().map(Amount::measured).collect();
    let lines = lines.then(&bare.join(":"), "The shares are in the same ratio").work(
        &format!("{} = {}", sum.join(" + "), total.measured()),
        "Check: together they make the whole",
    );
    Some((lines, all))
}

fn shared(found: &Found) -> Option<Told> {
    let (total, list) = (found.numbers.first()?, found.list()?);
    let (lines, all) = shares(total, list)?;
    let shown: Vec<String> = all.iter().map(super::money_or).collect();
    let says = format!("{} shared in the ratio {}", total.shown(), terms(list, " : "));
    let value = all.iter().map(Amount::factor).collect::<Vec<_>>().join(":");
    Some(Told::lines(says, lines, Answer::value(value).written(shown.join(" : "))))
}

fn one_share(found: &Found) -> Option<Told> {
    let (total, list) = (found.numbers.first()?, found.list()?);
    let (lines, mut all) = shares(total, list)?;
    all.sort_by(|a, b| a.value.cmp(&b.value));
    let small = found.words.iter().any(|word| word.starts_with("small"));
    let share = if small { all.first() } else { all.last() }?;
    let which = if small { "smallest" } else { "largest" };
    let lines = lines.end(format!("The {which} share is {}.", super::money_or(share)));
    let says =
        format!("The {which} share of {} in the ratio {}", total.shown(), terms(list, " : "));
    Some(Told::lines(says, lines, Answer { value: String::new(), ..quantity(share) }))
}

/// Whole numbers in the same ratio, without a common factor.
fn whole_terms(values: &[Rational]) -> Option<Vec<algebra::number::Integer>> {
    let below =
        values.iter().fold(algebra::number::Integer::one(), |all, one| all.lcm(one.denom()));
    let whole: Vec<algebra::number::Integer> = values
        .iter()
        .map(|one| (one * Rational::from_integer(below.clone())).to_integer())
        .collect();
    let common = whole.iter().fold(algebra::number::Integer::zero(), |all, one| all.gcd(one));
    (!common.is_zero()).then(|| whole.into_iter().map(|one| one / common.clone()).collect())
}

fn shortened(list: &[Rational]) -> Option<String> {
    Some(whole_terms(list)?.iter().map(ToString::to_string).collect::<Vec<_>>().join(":"))
}

fn spaced(ratio: &str) -> String {
    ratio.replace(':', " : ")
}

fn shortest(found: &Found) -> Option<Told> {
    let list = found.list()?;
    if list.iter().any(|one| one.unit.is_some()) {
        return of_amounts(list);
    }
    if !positive(list) {
        return None;
    }
    let values: Vec<Rational> = list.iter().map(|one| one.value.clone()).collect();
    let short = shortened(&values)?;
    let typed = list.iter().map(Amount::factor).collect::<Vec<_>>().join(":");
    let lines = Lines::start(&typed).then(&short, "Divide by what all terms share");
    Some(Told::lines(
        format!("The ratio {} in its simplest form", terms(list, " : ")),
        lines,
        Answer::value(&short).written(spaced(&short)),
    ))
}

fn ratio_of(found: &Found) -> Option<Told> {
    of_amounts(found.amounts::<2>()?)
}

/// The ratio of amounts with units, brought into one unit.
fn of_amounts(list: &[Amount]) -> Option<Told> {
    if !positive(list) {
        return None;
    }
    let smallest: Option<&Measure> = list
        .iter()
        .filter_map(|one| one.unit.as_ref())
        .min_by(|a, b| a.in_terms_of(b).cmp(&Rational::one()));
    let (mut lines, mut values) = (Lines::measured(), Vec::new());
    for one in list {
        let value = match (smallest, &one.unit) {
            (Some(unit), Some(own)) => {
                let value = one.value_in(unit)?;
                if own != unit {
                    let same = Amount { unit: Some(unit.clone()), ..Amount::of(value.clone()) };
                    lines = lines.work(
                        &format!("{} = {}", one.measured(), same.measured()),
                        "Both in one unit",
                    );
                }
                value
            }
            (None, None) => one.value.clone(),
            _ => return None,
        };
        values.push(value);
    }
    let typed: Vec<String> = values.iter().map(|one| Amount::of(one.clone()).factor()).collect();
    let short = shortened(&values)?;
    let lines =
        lines.begin(&typed.join(":"), "In one unit").then(&short, "Divide by what all terms share");
    let told: Vec<String> = list.iter().map(Amount::shown).collect();
    Some(Told::lines(
        format!("The ratio of {}", told.join(" to ")),
        lines,
        Answer::value(&short).written(spaced(&short)),
    ))
}

fn one_to(found: &Found) -> Option<Told> {
    let [a, b] = found.list()?.first_chunk::<2>()?;
    if !positive(&[a.clone(), b.clone()]) {
        return None;
    }
    let second = written(&(&b.value / &a.value));
    let lines = Lines::start(&format!("{}:{}", a.factor(), b.factor()))
        .then(&format!("1:({second})"), format!("Divide both by {}", a.text));
    Some(Told::lines(
        format!("{} : {} as 1 : n", a.text, b.text),
        lines,
        Answer::value(format!("1:({second})")).written(format!("1 : {second}")),
    ))
}

fn same(found: &Found) -> Option<Told> {
    let [one, other] = &found.lists[..] else { return None };
    if !positive(one) || !positive(other) || one.len() != other.len() {
        return None;
    }
    let short =
        |list: &[Amount]| shortened(&list.iter().map(|one| one.value.clone()).collect::<Vec<_>>());
    let (a, b) = (short(one)?, short(other)?);
    let is_same = a == b;
    let lines = Lines::default()
        .work(&format!("{} = {a}", terms(one, ":")), "The first in its simplest form")
        .work(&format!("{} = {b}", terms(other, ":")), "The second in its simplest form")
        .end(if is_same { "They are equivalent." } else { "They are not equivalent." });
    let says = format!("Whether {} and {} are equivalent", terms(one, " : "), terms(other, " : "));
    Some(Told::lines(says, lines, Answer::words(if is_same { "yes" } else { "no" })))
}

/// "The ratio of boys to girls is 3:4. There are 12 boys. How many girls are there?"
fn counted(found: &Found) -> Option<Told> {
    counted_of(found, None)
}

fn counted_of(found: &Found, unit: Option<&Measure>) -> Option<Told> {
    let ([a, b], [count]) = (found.list()?.first_chunk::<2>()?, found.amounts()?);
    let names: Vec<&str> = found.names.iter().map(String::as_str).collect();
    let [first, second, known, asked] = names[..] else { return None };
    let (given, wanted) = match (known == first, asked == second, known == second, asked == first) {
        (true, true, ..) => (a, b),
        (_, _, true, true) => (b, a),
        _ => return None,
    };
    if !positive(&[a.clone(), b.clone()]) {
        return None;
    }
    let one = written(&(&count.value / &given.value));
    let value = written(&(&count.value / &given.value * &wanted.value));
    let lines = Lines::default()
        .work(&format!("{} ÷ {} = {one}", count.text, given.text), "One part")
        .begin(&format!("{} × {}", wanted.text, one), format!("{} parts are {asked}", wanted.text))
        .then(&value, "Multiply")
        .end(match unit {
            Some(unit) => format!("That is {} of {asked}.", unit.with(&value)),
            None => format!("There are {value} {asked}."),
        });
    let says = format!(
        "{first} and {second} in the ratio {} : {}, {} {known}: how many {asked}",
        a.text, b.text, count.text
    );
    let answer = Answer { unit: unit.map(Measure::shown), ..Answer::value(value.clone()) };
    let shown = unit.map_or_else(|| value.clone(), |unit| unit.with(&value));
    Some(Told::lines(says, lines, answer.written(shown)))
}

/// Two things in a ratio, so many of one, and how many of the other: in whatever words.
pub(super) fn recognise(told: &[Token]) -> Option<Recognised> {
    let number = |at: usize| match told.get(at).map(|token| &token.kind) {
        Some(Kind::Number(amount)) => Some(amount.clone()),
        _ => None,
    };
    let mut lists = (1..told.len()).filter(|&at| told[at].is_sign(':'));
    let (at, None) = (lists.next()?, lists.next()) else { return None };
    let list = vec![number(at - 1)?, number(at + 1)?];
    let word = |at: usize| told.get(at).and_then(Token::word);
    // The two things are named before their ratio: "red and blue", "boys to girls".
    let pair = (0..at - 1).rev().find_map(|i| {
        let link = matches!(word(i + 1), Some("and" | "to"));
        Some((word(i)?, word(i + 2)?)).filter(|_| link)
    });
    let (first, second) = pair?;
    let mut numbers =
        (0..told.len()).filter(|i| !(at - 1..=at + 1).contains(i) && number(*i).is_some());
    let (of, None) = (numbers.next()?, numbers.next()) else { return None };
    // What a number or a question counts: one of the two words within the next ones.
    let stem = |word: &str| word.trim_end_matches('s').to_owned();
    let counted = |from: usize| {
        (from..from + 4)
            .map_while(word)
            .find_map(|found| [first, second].into_iter().find(|name| stem(name) == stem(found)))
    };
    let known = counted(of + 1)?;
    let asks = (0..told.len()).rfind(|&i| matches!(word(i), Some("many" | "much")))?;
    let asked = counted(asks + 1)?;
    if told
        .iter()
        .filter_map(Token::word)
        .any(|word| matches!(word, "more" | "fewer" | "less" | "total" | "altogether" | "all"))
    {
        return None;
    }
    let amount = number(of)?;
    let unit = amount.unit.clone();
    let names = [first, second, known, asked].map(str::to_owned).to_vec();
    let found = Found { lists: vec![list], numbers: vec![amount], names, ..Found::default() };
    let kind = KINDS.iter().find(|kind| kind.skill == MISSING.0)?;
    let told = counted_of(&found, unit.as_ref())?;
    Some((kind, told))
}

/// A length on a map, in a unit that fits its size.
fn map(found: &Found) -> Option<Told> {
    let ([one, scale], [length]) = (found.list()?.first_chunk::<2>()?, found.amounts()?);
    let unit = length.unit.clone()?;
    if !one.value.is_one() || !positive(&[scale.clone(), length.clone()]) {
        return None;
    }
    let real = Amount { unit: Some(unit.clone()), ..Amount::of(&length.value * &scale.value) };
    let fit = ["km", "m", "cm"]
        .iter()
        .filter_map(|name| Measure::named(name))
        .find(|other| real.value_in(other).is_some_and(|value| value >= from_int(1)))?;
    let last = Amount { unit: Some(fit.clone()), ..Amount::of(real.value_in(&fit)?) };
    let lines = Lines::start_measured(&format!("{} × {}", length.measured(), scale.text))
        .then(&real.measured(), "Every length is so many times as long")
        .then(&last.measured(), "In a unit that fits");
    Some(Told::lines(
        format!("{} on a map of 1 : {}", length.shown(), scale.text),
        lines,
        quantity(&last),
    ))
}
