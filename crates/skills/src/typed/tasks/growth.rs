//! Interest, wearing out, half-lives and doubling; prices and pay.

use super::{Answer, Found, Recognised, TaskKind, Told, quantity};
use crate::algebra::exponential_half_life;
use crate::typed::text::{Amount, Loose, Measure, written};
use algebra::Rational;
use algebra::number::{decimal_places, from_int, round_to_places, to_decimal_text};
use num_traits::{One, Signed, ToPrimitive};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const HALVE: (&str, MethodId) =
    ("exponential.half-life", exponential_half_life::method::HALVE_STEP_BY_STEP);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Simple interest", &[
        "interest on # at #% per? year? for #", "interest earned? on # for # at #%",
        "simple interest on|of # at #% per? year? for # years?", "simple interest on # for # at #%", "simple interest # at #% for #",
        "simple interest on # at #% p a for #", "# at #% simple interest for #", "# invested at #% simple interest for #",
        "interest on # at #% simple interest for #", "how much simple interest on # at #% for #",
        "simple interest on # invested|borrowed at #% for #", "simple interest earned on # at #% for #",
    ], |f| interest(f, false, true)),
    beside("Compound interest", &[
        "compound interest on|of # at #% per? year? for #", "compound interest on # for # at #%", "compound interest # at #% for #",
        "compound interest earned on # at #% for #", "compound interest on # at #% p a for #",
        "compound interest on # invested|borrowed at #% for #",
    ], |f| interest(f, true, true)),
    beside("Compound interest", &[
        "# invested|saved|borrowed at #% compound interest? per? year? for # how much is it worth?",
        "# invested|saved at #% compound interest? per? year|annum? for #", "# at #% compound interest for #",
        "# invested|saved|borrowed for # at #% compound interest? per? year?", "invest # at #% compound interest for #",
        "value of # after # at #% compound interest?", "value of # at #% compound interest after|for #", "# in bank at #% for #",
        "_? population|investment|house|salary|account is|of|worth|starts|has at|with|worth? # and|it? grows|increases|rises|gains in? value? by|at? #% .. year|annum|yearly|annually .. # ..",
        "population|investment|savings? of|is? # grows|increases|rises at|by #% .. year|annum? .. #",
        "# grows at|by #% per? each|every? year|annum? for #", "_? invests|saves|puts|deposits # .. #% .. compound interest .. #",
        "# increases by #% per|a|each|every year|annum for #",
        "# grows at|by #% per|a|each|every year|annum? find|what value|is|amount? it? worth? after #",
        "population of # grows at|by #% per|a|each|every year|annum? for #",
        "population of # grows at|by #% per|a|each|every year? what is it? after #",
        "how much is # worth after # at #% compound interest?", "final|total amount|value of # at #% compound interest for #",
    ], |f| interest(f, true, false)),
    beside("Depreciation", &[
        "# depreciates at|by #% per|a|each|every year|annum? for #",
        "# depreciates at|by #% per|a|each|every year|annum? find|what value|is|its value|worth? after #",
        "_? car|machine|van|phone|bike|laptop|computer? worth|bought|costs|costing|valued for|at? # depreciates|loses|falls|drops by|at? #% .. year|annum .. #",
        "_? car|machine|van|phone|bike|laptop|computer|house|boat worth|bought|costs|cost|costing|valued|is for|at|worth? # and|it? depreciates|loses|falls|drops|decreases in? value? by|at? #% .. year|annum|yearly|annually .. # ..",
        "# depreciates|loses|falls|drops by|at? #% .. year|annum .. #", "# _? depreciates|loses|falls|drops by|at? #% .. year|annum? .. #",
        "# car loses #% of its value each|every year what is it worth after #",
        "# car|machine|van depreciates by|at #% per|a|each|every year|annum? find|what value|is|its value|worth? after #",
        "# loses #% per|a|each|every year|annum for #", "# falls|decreases|shrinks by|at #% per|a|each|every year|annum for #",
        "car worth|bought|costs for? # depreciates by|at #% per|a|each|every year|annum? find|what value|is|its value|worth? after #",
        "value of # after # depreciation|depreciating at|of|by #%",
    ], worn),
    TaskKind::of(HALVE, &[
        "half life of|is? # # after|and? #", ".. half life|lives .. # .. # .. #", ".. # .. half life|lives .. # .. #",
        "half life # and? # .. # ", "half life is? # start|starting|begin|initial with|mass|amount? # .. #",
        "half life of|is? # # after|and? #", ".. half life|lives .. # .. # .. #", ".. # .. half life|lives .. # .. #",
        "half life # and? # .. # ", "half life is? # start|starting|begin|initial with|mass|amount? # .. #", "half life of # # after #",
        "half life of # # after #", "# with half life|lives # after #", "# with half life of? # after #", "# with half life of # after #",
        "half life # start|starting|initial with|amount? # after|time|find #", "# half life # after #",
        "# of _ with? half life of? # how much is? left|remains|remain? after #", "# half life # after #", "# of _ half life # after #",
        "half life is # how much of # is left after #", "half life is # how much of # is left after #",
        "substance has half life of # how much of # remains|is left? after #", "how much of # is left after # if half life is #",
        "# of _ has half life of # how much is? left|remains after #",
    ], faded),
    beside("Doubling", &[
        ".. double|doubles every|each hour|day|minute|week .. # .. #", "# .. double|doubles every|each hour|day|minute|week .. #",
        ".. # .. double|doubles every|each # .. #", ".. double|doubles every|each # .. # .. #",
        "# doubles|doubling every|each # after|for #", "# bacteria double every|each # how many after #",
        "bacteria double every|each # start with # how many after #", "# bacteria double every|each # after #",
        "# doubles|double every|each # how many|much after #", "start with # doubles every|each # after #",
        "population of # doubles every|each # after|in|how|what many? is? it? after? #",
    ], |f| multiplied(f, 2)),
    beside("Trebling", &[
        "# triples|trebles every|each # after|for #", "# bacteria triple|treble every|each # how? many? after #",
    ], |f| multiplied(f, 3)),
    money("Prices", &[
        "how much are|is|do|for|would # _ at # each", "# _ at # each", "cost|price of # _ at # each",
        "# _ cost # each how much altogether|total|in?", "# _ cost # each how much for all? #?", "total cost|price of # _ at # each",
        "how much do|are|would # _ cost at # each", "how much do # _ cost if each|one costs|is #", "# _ # each",
        "one _ costs # how much do # cost", "if one _ costs # how much do # _? cost", "each _ costs # how much do # _? cost",
        "# each for # _", "# tickets|pens|books|apples|pencils at #", "how much do|does|will|would # _ at # each|per cost? ..",
        "how much do|does|will|would # _ at # each cost", "total|price|cost for|of # _ at # each?", "# _ at # per? _",
        "buy|buys|bought # _ at # each how much ..",
    ], priced),
    money("Pay", &[
        "hourly pay|wage|rate # #", "# per? hour for # hours?", "# per? hour # hours?", "# hourly for #",
        "earns|earn # per|an|a hour works|work|for # how much pay|wage|earned?", "pay for # at # per? hour",
        "work|works # at # per? hour .. ", "wage|pay|wages|earnings for # at # per? hour", "_ earns|earn|gets # per? hour .. # ..",
        "_ works # .. # per? hour ..", "earn # per? hour how much for|in #", "how much for|in # at # per? hour", "# at # per? hour",
        "how much for # at # per|an|a hour", "hourly rate of # for #", "# for # hourly pay",
    ], paid),
    money("Pay", &[
        "# per|each|every? week how much|what is? it|that? per|in|each? year", "annual|yearly pay|salary|wage|cost if? # per? week",
        "# weekly how much yearly|year",
    ], |f| yearly(f, 52)),
    money("Pay", &[
        "# per|each|every? month how much|what is? it|that? per|in|each? year", "annual|yearly pay|salary|wage|cost if? # per? month",
        "# monthly how much yearly|year",
    ], |f| yearly(f, 12)),
    money("Currencies", &[
        "convert|change|exchange # to|into dollars|euros|pounds at|if|using rate? of? #", "# in|to dollars|euros|pounds at|if # = # ",
        "change|convert # to|into dollars|euros|pounds if|when|where # = #", "# in dollars|euros|pounds if exchange? rate is #",
        "convert|change # to|into dollars|euros|pounds exchange? rate # ", "exchange rate # = # convert # to|into dollars|euros|pounds",
    ], exchanged),
    money("Change", &[
        "change from # if|when? you? buy|spend|spending? #", "change from # for|after #",
        "how much change from # for|after|if|when? you? spend|spending|buying? #", "pay|paid with # for # how much change",
        "buy something for # pay with # change", "cost # pay|paid with # change", "spend # from # how much change",
    ], given_back),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("exponential.solve", topic, wordings, told)
}

const fn money(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("percent.part", topic, wordings, told)
}

/// The sum, the percent and how many years, in whatever order they are told.
fn terms(found: &Found) -> Option<(&Amount, &Amount, i64)> {
    let [a, b, c] = found.amounts()?;
    let all = [a, b, c];
    let percent = *all.iter().find(|one| one.is_percent)?;
    let is_time = |one: &&Amount| one.unit.as_ref().is_some_and(|unit| unit.text() == "year");
    let time = all
        .iter()
        .copied()
        .find(is_time)
        .or_else(|| all.iter().copied().rfind(|one| one.unit.is_none() && !one.is_percent))?;
    let sum =
        all.into_iter().find(|one| !std::ptr::eq(*one, percent) && !std::ptr::eq(*one, time))?;
    Some((sum, percent, time.whole(60).filter(|n| *n > 0)?))
}

/// Words that a savings bank is not told of with, or that ask for something else than is answered here.
const OTHERWISE: &[&str] = &[
    "third",
    "last",
    "monthly",
    "months",
    "month",
    "quarterly",
    "half",
    "weekly",
    "daily",
    "until",
    "double",
    "doubles",
    "rate",
    "when",
    "then",
    "withdraws",
    "must",
    "should",
    "needed",
    "need",
    "principal",
    "more",
    "difference",
    "first",
    "second",
];

/// Money that bears interest, in whatever words: "invest £2000 at 3% simple interest for 4 years, how much interest?"
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    let asks_years = told.says_in_order(&["how", "many", "years"]);
    if !told.says(&["interest"]) || told.says(OTHERWISE) || asks_years {
        return None;
    } // The interest itself may be what is told.
    const EARNED: &[&str] = &[
        "earn", "earns", "earned", "give", "gives", "get", "gets", "becomes", "amounts", "grows",
        "grew", "receives", "of",
    ];
    let is_earned = |(at, amount): &(usize, &Amount)| {
        let money = amount.unit.as_ref().is_some_and(Measure::is_money);
        money && told.is_behind(*at, EARNED) && told.word(at.saturating_sub(1)) != Some("on")
    };
    if told.numbers.iter().any(is_earned) {
        return None;
    }
    // "How much interest is earned each year?"
    let is_yearly = told.words.last().is_some_and(|word| matches!(*word, "year" | "annually"));
    if is_yearly
        && (told.says_in_order(&["each", "year"]) || told.says_in_order(&["every", "year"]))
    {
        return None;
    }
    let is_compound = told.says(&["compound", "compounded"]);
    if is_compound == told.says(&["simple"]) {
        return None;
    }
    let found = told.found();
    let asks_all = told.says(&[
        "final",
        "total",
        "amount",
        "worth",
        "value",
        "balance",
        "altogether",
        "have",
        "become",
        "grow",
    ]);
    let of_interest = !asks_all
        || ["total", "of", "much"].iter().any(|word| told.says_in_order(&[word, "interest"]));
    let topic = if is_compound { "Compound interest" } else { "Simple interest" };
    let kind = KINDS.iter().find(|kind| kind.topic == Some(topic))?;
    let told = if is_compound || of_interest {
        interest(&found, is_compound, of_interest)?
    } else {
        with_interest(&found)?
    };
    Some((kind, told))
}

/// The sum and its simple interest together.
fn with_interest(found: &Found) -> Option<Told> {
    let (sum, percent, years) = terms(found)?;
    if !sum.is_positive() || sum.is_percent || !percent.is_positive() {
        return None;
    }
    let like = |value: Rational| Amount { unit: sum.unit.clone(), ..Amount::of(value) };
    let year = like(&sum.value * &percent.value / from_int(100));
    let all = like(&year.value * from_int(years));
    let whole = like(&sum.value + &all.value);
    let lines = Lines::measured()
        .work(
            &format!("{}% of {} = {}", percent.text, sum.measured(), year.measured()),
            "The interest of one year",
        )
        .work(&format!("{years} × {} = {}", year.measured(), all.measured()), "The same every year")
        .begin(&format!("{} + {}", sum.measured(), all.measured()), "The sum and its interest")
        .then(&whole.measured(), "Add");
    let says =
        format!("{} with simple interest at {}% for {years} years", sum.shown(), percent.text);
    Some(Told::lines(says, lines, quantity(&whole)))
}

/// A value in money, or to two places where it does not end.
fn in_money(value: &Rational, like: &Amount) -> (Amount, bool) {
    let ends = decimal_places(value).is_some_and(|places| places <= 2);
    let rounded = round_to_places(value, 2);
    let shown =
        if rounded.is_integer() && ends { written(&rounded) } else { to_decimal_text(&rounded, 2) };
    (Amount { text: shown, unit: like.unit.clone(), ..Amount::of(rounded) }, ends)
}

fn interest(found: &Found, is_compound: bool, interest_alone: bool) -> Option<Told> {
    let (sum, percent, years) = terms(found)?;
    if !sum.is_positive() || sum.is_percent || !percent.is_positive() {
        return None;
    }
    let rate = &percent.value / from_int(100);
    let kind = if is_compound { "compound" } else { "simple" };
    let after = format!("{} at {}% {kind} interest for {years} years", sum.shown(), percent.text);
    if !is_compound {
        let year = Amount { unit: sum.unit.clone(), ..Amount::of(&sum.value * &rate) };
        let all = Amount { unit: sum.unit.clone(), ..Amount::of(&year.value * from_int(years)) };
        let lines = Lines::measured()
            .work(
                &format!("{}% of {} = {}", percent.text, sum.measured(), year.measured()),
                "The interest of one year",
            )
            .begin(&format!("{years} × {}", year.measured()), "The same every year")
            .then(&all.measured(), "Multiply");
        return Some(Told::lines(format!("The interest on {after}"), lines, quantity(&all)));
    }
    let factor = Rational::one() + &rate;
    grown(sum, &factor, years, after, interest_alone)
}

fn power(factor: &Rational, times: i64) -> Rational {
    (0..times).fold(Rational::one(), |all, _| all * factor)
}

/// A sum multiplied by the same number year by year.
fn grown(
    sum: &Amount,
    factor: &Rational,
    years: i64,
    after: String,
    interest_alone: bool,
) -> Option<Told> {
    let exact = &sum.value * power(factor, years);
    if exact.numer().bits() > 4000 {
        return None;
    }
    let (last, ends) = in_money(&exact, sum);
    let factor_text = written(factor);
    let typed = format!("{} × ({factor_text})^{years}", sum.text);
    let lines = Lines::default()
        .say(format!("Each year it is multiplied by ${factor_text}$."), "100% and the change");
    let lines = lines.begin(&typed, format!("{years} times over"));
    let lines = if ends {
        lines.then(&last.text, "Work it out")
    } else {
        lines.round(&format!("≈ {}", last.text), "To 2 decimal places")
    };
    if !interest_alone {
        let lines = if sum.unit.is_some() {
            lines.end(format!("It is then {}.", last.shown()))
        } else {
            lines
        };
        return Some(Told::lines(after, lines, quantity(&last)));
    }
    let gain = Amount { unit: sum.unit.clone(), ..Amount::of(&last.value - &sum.value) };
    let gain = Amount {
        text: if gain.value.is_integer() {
            gain.text.clone()
        } else {
            to_decimal_text(&gain.value, 2)
        },
        ..gain
    };
    let lines = lines
        .work(
            &format!("{} - {} = {}", last.text, sum.text, gain.text),
            "The interest is what was added",
        )
        .end(format!("The interest is {}.", gain.shown()));
    let unit = gain.unit.as_ref().map(Measure::shown);
    Some(Told::lines(
        format!("The interest on {after}"),
        lines,
        Answer { unit, ..Answer::words(gain.shown()) },
    ))
}

fn worn(found: &Found) -> Option<Told> {
    let (sum, percent, years) = terms(found)?;
    if !sum.is_positive() || sum.is_percent {
        return None;
    }
    let factor = Rational::one() - &percent.value / from_int(100);
    let says = format!("{} losing {}% a year for {years} years", sum.shown(), percent.text);
    grown(sum, &factor, years, says, false)
}

/// The amount, the half-life and the time, by their units.
fn faded(found: &Found) -> Option<Told> {
    let [a, b, c] = found.amounts()?;
    let is_time = |one: &&&Amount| {
        one.unit.as_ref().is_some_and(|unit| {
            Measure::named("day").is_some_and(|day| unit.fits(&day)) || unit.text() == "year"
        })
    };
    let all = [a, b, c];
    if !all.iter().all(|one| one.is_positive()) {
        return None;
    }
    let times: Vec<&&Amount> = all.iter().filter(is_time).collect();
    let (start, half, time) = match times[..] {
        [one, other] => (*all.iter().find(|amount| !is_time(amount))?, *one, *other),
        _ => return None,
    };
    // "How much of 80 g is left after 9 days if the half-life is 3 days" tells the time first.
    let (half, time) = if half.value_in(time.unit.as_ref()?)? > time.value
        && std::ptr::eq(half, all[1])
        && std::ptr::eq(start, all[0])
    {
        (time, half)
    } else {
        (half, time)
    };
    let count = time.value_in(half.unit.as_ref()?)? / &half.value;
    let whole =
        count.is_integer().then(|| count.to_integer().to_i64())?.filter(|n| (1..=12).contains(n));
    let says =
        format!("{} with a half-life of {} after {}", start.shown(), half.shown(), time.shown());
    let exponent = format!("({}/{})", written(&time.value_in(half.unit.as_ref()?)?), half.text);
    let mut lines = Lines::start(&format!("{} × (1/2)^{exponent}", start.text));
    let whole = whole?;
    let mut now = start.value.clone();
    for step in 1..=whole {
        now /= from_int(2);
        let (over, left) = (whole - step, written(&now));
        let rest = match over {
            0 => left,
            1 => format!("({left}) × (1/2)"),
            _ => format!("({left}) × (1/2)^{over}"),
        };
        lines = lines.then(&rest, format!("Halve what is left ({step} of {whole})"));
    }
    let left = Amount { unit: start.unit.clone(), ..Amount::of(now) };
    Some(Told::lines(says, lines, quantity(&left)))
}

fn multiplied(found: &Found, by: i64) -> Option<Told> {
    let mut all = found.numbers.clone();
    if let [_, _] = all[..] {
        // "Every hour": one of it.
        let name = found.words.iter().find(|word| Measure::named(word).is_some())?;
        all.push(Amount { unit: Measure::named(name), ..Amount::of(from_int(1)) });
        all.rotate_right(1);
        // The time stands last.
        if all[1].unit.is_some() {
            all.swap(1, 2);
        }
    }
    let [a, b, c] = &all[..] else { return None };
    let timed: Vec<&Amount> = [a, b, c].into_iter().filter(|one| one.unit.is_some()).collect();
    let start = [a, b, c].into_iter().find(|one| one.unit.is_none())?;
    let [every, time] = timed[..] else { return None };
    if !every.is_positive() || time.value.is_negative() {
        return None;
    }
    let count = time.value_in(every.unit.as_ref()?)? / &every.value;
    let times = count
        .is_integer()
        .then(|| count.to_integer().to_i64())?
        .filter(|n| (0..=30).contains(n))?;
    let all = &start.value * power(&from_int(by), times);
    let value = written(&all);
    let lines = Lines::measured()
        .work(
            &format!("{} ÷ {} = {}", time.measured(), every.measured(), times),
            "So many times over",
        )
        .begin(&format!("{} × {by}^{times}", start.text), format!("Times {by} each time"))
        .then(&value, "Work it out");
    let says =
        format!("{} times {by} every {} after {}", start.shown(), every.shown(), time.shown());
    Some(Told::lines(says, lines, Answer::value(value)))
}

/// A count and a price each, in whatever order they are told.
fn count_and_price(found: &Found) -> Option<(&Amount, &Amount)> {
    let [a, b] = found.numbers.first_chunk::<2>()?;
    let is_money = |one: &Amount| one.unit.as_ref().is_some_and(Measure::is_money);
    match (is_money(a), is_money(b)) {
        (false, true) => Some((a, b)),
        (true, false) => Some((b, a)),
        _ => None,
    }
}

fn priced(found: &Found) -> Option<Told> {
    let (count, price) = count_and_price(found)?;
    if count.unit.is_some() || count.is_percent {
        return None;
    }
    let all = Amount { unit: price.unit.clone(), ..Amount::of(&count.value * &price.value) };
    let all = in_pounds(&all);
    let lines = Lines::start_measured(&format!("{} × {}", count.text, price.measured()))
        .then(&all.measured(), "Multiply");
    Some(Told::lines(format!("{} at {} each", count.text, price.shown()), lines, quantity(&all)))
}

/// A hundred pence and more in pounds.
fn in_pounds(amount: &Amount) -> Amount {
    let whole = match amount.unit.as_ref().map(Measure::text) {
        Some("p") => Measure::named("£"),
        Some("¢") => Measure::named("$"),
        _ => None,
    };
    match whole {
        Some(unit) if amount.value >= from_int(100) => {
            let value = amount.value_in(&unit).unwrap_or_default();
            Amount { unit: Some(unit), ..Amount::of(value) }
        }
        _ => amount.clone(),
    }
}

fn paid(found: &Found) -> Option<Told> {
    let (time, rate) = count_and_price(found)?;
    let hours = match &time.unit {
        Some(_) => time.value_in(&Measure::named("h")?)?,
        None => time.value.clone(),
    };
    let all = Amount { unit: rate.unit.clone(), ..Amount::of(&hours * &rate.value) };
    let lines = Lines::start_measured(&format!("{} × {}", written(&hours), rate.measured()))
        .then(&all.measured(), "Multiply");
    Some(Told::lines(
        format!("{} hours at {} an hour", written(&hours), rate.shown()),
        lines,
        quantity(&all),
    ))
}

fn given_back(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (Some(unit), Some(_)) = (&a.unit, &b.unit) else { return None };
    let (paid, price) = if b.value_in(unit)? > a.value { (b, a) } else { (a, b) };
    let unit = paid.unit.as_ref()?;
    if !unit.is_money() {
        return None;
    }
    let rest =
        Amount { unit: Some(unit.clone()), ..Amount::of(&paid.value - price.value_in(unit)?) };
    let lines = Lines::start_measured(&format!("{} - {}", paid.measured(), price.measured()))
        .then(&rest.measured(), "Take away");
    Some(Told::lines(
        format!("The change from {} for {}", paid.shown(), price.shown()),
        lines,
        quantity(&rest),
    ))
}

/// Money in another currency, at a rate that is told.
fn exchanged(found: &Found) -> Option<Told> {
    let name = found.words.iter().rev().find_map(|word| match word.as_str() {
        "dollars" => Measure::named("$"),
        "euros" => Measure::named("€"),
        "pounds" => Measure::named("£"),
        _ => None,
    })?;
    let (sum, rate) = match &found.numbers[..] {
        [sum, rate] => (sum, rate.value.clone()),
        // "£1 = $1.25", before or after the sum.
        [a, b, c] => {
            let one = from_int(1);
            let (sum, one_of, other) =
                if a.value == one && a.unit == c.unit { (c, a, b) } else { (a, b, c) };
            if !one_of.is_positive() {
                return None;
            }
            (sum, &other.value / &one_of.value).clone()
        }
        _ => return None,
    };
    if !sum.unit.as_ref()?.is_money() || sum.unit.as_ref() == Some(&name) {
        return None;
    }
    let all = Amount { unit: Some(name), ..Amount::of(&sum.value * &rate) };
    let lines = Lines::start(&format!("{} × {}", sum.text, written(&rate)))
        .then(&all.text, "One of the old is so many of the new");
    let lines = lines.end(format!("That is {}.", super::money_or(&all)));
    Some(Told::lines(
        format!("{} at a rate of {}", sum.shown(), written(&rate)),
        lines,
        quantity(&all),
    ))
}

/// So much a week or a month, as so much a year.
fn yearly(found: &Found, by: i64) -> Option<Told> {
    let [sum] = found.amounts()?;
    sum.unit.as_ref().filter(|unit| unit.is_money())?;
    let all = Amount { unit: sum.unit.clone(), ..Amount::of(&sum.value * from_int(by)) };
    let lines = Lines::start_measured(&format!("{by} × {}", sum.measured()))
        .then(&all.measured(), format!("A year has {by} of them"));
    Some(Told::lines(format!("{} {by} times a year", sum.shown()), lines, quantity(&all)))
}
