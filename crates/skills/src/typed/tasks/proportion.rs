//! Direct and inverse proportion, unit prices, the best buy.

use super::{Answer, Found, Recognised, TaskKind, Told, quantity};
use crate::typed::text::{Amount, Loose, Measure, written};
use num_traits::Zero;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Direct proportion", &[
        "if? _ is directly? proportional to _ and|when|if|where|given? when|if? =, find|calculate|work|what out|is? value|the? of? _ when|if|for =,",
        "if? _ varies directly with|as _ and|when|if|where|given? when|if? =, find|calculate|work|what out|is? value|the? of? _ when|if|for =,",
        "_ is directly? proportional to _ and? =, when|if =, find _ when|if =,",
        "_ is directly? proportional to _ when|if =, =, find _ when|if =,",
        "_ varies directly with|as _ and? =, when|if =, find _ when|if =,", "_ varies directly? with|as _ when|if =, =, find _ when|if =,",
        "_ is in direct proportion to _ and? =, when|if =, find _ when|if =,",
        "_ is directly? proportional to _ and? =, when|if =, what is _ when|if =,",
        "if _ is directly? proportional to _ and =, when =, find _ when =,", "_ ∝ _ and? =, when =, find _ when =,",
    ], |f| varied(f, false)),
    beside("Inverse proportion", &[
        "if? _ is inversely proportional to _ and|when|if|where|given? when|if? =, find|calculate|work|what out|is? value|the? of? _ when|if|for =,",
        "if? _ varies inversely with|as _ and|when|if|where|given? when|if? =, find|calculate|work|what out|is? value|the? of? _ when|if|for =,",
        "_ is inversely proportional to _ and? =, when|if =, find _ when|if =,",
        "_ is inversely proportional to _ when|if =, =, find _ when|if =,",
        "_ varies inversely with|as _ and? =, when|if =, find _ when|if =,",
        "_ varies inversely with|as _ when|if =, =, find _ when|if =,",
        "_ is in inverse proportion to _ and? =, when|if =, find _ when|if =,",
        "_ is inversely proportional to _ and? =, when|if =, what is _ when|if =,",
        "if _ is inversely proportional to _ and =, when =, find _ when =,",
    ], |f| varied(f, true)),
    beside("Best buy", &[
        "best buy|value # for # or # for #", "which is better|best value|buy # for # or # for #", "which is better # for # or # for #",
        "better|best buy # for # or|and # for #", "which is cheaper # for # or # for #", "best buy # at # or # at #",
        "which is better value # at # or # at #", "is # for # or # for # better|best value|buy",
    ], best_buy),
    beside("Unit price", &[
        "# for # cost|price|how much? of|for|is? one|each?", "if # _ cost # how much does|is one cost?",
        "# _ cost # how much does|is one cost?", "# _ cost # find cost|price of one", "# _ for # how much is one|each",
        "cost of one _ if # _ cost #", "unit price if|of # _? cost|costs|for #",
        "price|cost per|of one|kg|litre|item? if # _? cost|costs #",
    ], one_of),
    beside("Direct proportion", &[
        "# of _ cost|costs|weigh|weighs # how much would|do|does|will|is|are|for? # of? _? cost|weigh?",
        "# cost|costs # how much would|do|does|will|is|are|for? # cost?",
        "if? # _ cost|weigh|need|use|take|make # how much|many|far|long are|do|does|would|will|for|is? # _? cost|weigh|need|use|take|make?",
        "# _ cost|weigh # find|work out? cost|price|weight|mass of # _",
        "if? # _ cost|weigh|need|use|take|make # how|what much|do|does will? do|does|would # _ cost|weigh|need|use|take|make?",
        "if? # _ cost|weigh # find? what|cost|weight|price of|do # _ cost|weigh?", "# _ cost|weigh # how much are|do|for # _ cost|weigh?",
        "# _ cost|weigh # what is|are? cost|price|weight of # _", "recipe for # people needs|uses # of? _? how much for # people",
        "recipe for # people uses|needs|takes # _? of? _? how|find much|many? _? is|are? needed? for # people?",
        "recipe for # _? uses|needs|takes # of? _? what|find|how|work amount|much|out? .. for # _?",
        "recipe for # uses|needs # of _ how much for #", "# _ for # how much for # _",
    ], scaled),
    beside("Inverse proportion", &[
        "if? # workers|men|people|painters|builders|taps|pipes|machines|pumps|cows|horses take # how long do|would|will # workers|men|people|painters|builders|taps|pipes|machines|pumps|cows|horses? take?",
        "# workers|men|people|painters|builders|taps|pipes|machines|pumps take # to build|paint|dig|fill|finish|do|empty _ _? how long do|would|will # workers|men|people|painters|builders|taps|pipes|machines|pumps? take?",
        "if # workers|men|people|painters|builders|taps|pipes|machines|pumps can? build|paint|dig|fill|finish|do _ _? in # how long do|would|will # workers|men|people|painters|builders|taps|pipes|machines|pumps? take?",
    ], inverse_work),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("ratio.missing-term", topic, wordings, told)
}

/// y and x with one pair of values, and the value that is asked for.
fn varied(found: &Found, is_inverse: bool) -> Option<Told> {
    let names: Vec<&String> = found.names.iter().collect();
    let [y, x, asked] = names[..] else { return None };
    let [(first, one), (second, other), (known, value)] = &found.values[..] else { return None };
    let (y0, x0) = match (first == y, second == x, first == x, second == y) {
        (true, true, ..) => (one, other),
        (_, _, true, true) => (other, one),
        _ => return None,
    };
    if x0.value.is_zero() || y0.value.is_zero() || value.value.is_zero() {
        return None;
    }
    let (link, constant, formula) = if is_inverse {
        ("inversely", &y0.value * &x0.value, format!("{y} = k/{x}"))
    } else {
        ("directly", &y0.value / &x0.value, format!("{y} = k{x}"))
    };
    let k = written(&constant);
    let lines = Lines::default().say(format!("${formula}$"), "The rule, with a constant k").work(
        &if is_inverse {
            format!("k = {} × {}", y0.factor(), x0.factor()).replace("k = ", "")
                + &format!(" = {k}")
        } else {
            format!("{} ÷ {} = {k}", y0.factor(), x0.factor())
        },
        "k from the pair that is known",
    );
    let (typed, result) = if asked == y && known == x {
        let typed = if is_inverse {
            format!("{k} ÷ {}", value.factor())
        } else {
            format!("({k}) × {}", value.factor())
        };
        let result = if is_inverse { &constant / &value.value } else { &constant * &value.value };
        (typed, result)
    } else if asked == x && known == y {
        let result = if is_inverse { &constant / &value.value } else { &value.value / &constant };
        let typed = if is_inverse {
            format!("{k} ÷ {}", value.factor())
        } else {
            format!("{} ÷ ({k})", value.factor())
        };
        (typed, result)
    } else {
        return None;
    };
    let result = written(&result);
    let lines = lines
        .begin(&format!("{asked} = {typed}"), "Put in what is known")
        .then(&format!("{asked} = {result}"), "Work it out");
    let says = format!(
        "{y} {link} proportional to {x}, {y} = {} when {x} = {}: {asked} when {known} = {}",
        y0.text, x0.text, value.text
    );
    Some(Told::lines(
        says,
        lines,
        Answer::value(result.clone()).written(format!("{asked} = {result}")),
    ))
}

/// Words that tell of something else than so much for so many.
const OTHERWISE: &[&str] = &[
    "further",
    "another",
    "used",
    "those",
    "them",
    "only",
    "discount",
    "off",
    "change",
    "more",
    "less",
    "left",
    "each",
    "extra",
    "profit",
    "ratio",
    "speed",
    "percent",
    "together",
    "total",
    "between",
    "share",
    "square",
    "squared",
    "cube",
    "circle",
    "sphere",
    "radius",
    "diameter",
    "side",
    "sides",
    "area",
    "volume",
    "falls",
    "fall",
    "drops",
    "dropped",
    "accelerates",
    "grows",
    "population",
    "temperature",
    "interest",
    "inversely",
    "root",
    "half",
];

/// Who and what works the faster, the more of them there are.
const WORKERS: &[&str] = &[
    "worker",
    "men",
    "man",
    "painter",
    "builder",
    "tap",
    "machine",
    "pump",
    "pipe",
    "printer",
    "robot",
    "gardener",
    "tractor",
    "volunteer",
];

/// So much for so many, and how much for so many others, in whatever words: "3 kg of apples cost £4.20, find the cost of
/// 5 kg".
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    const ASKS: &[&str] = &["how", "what", "find", "calculate", "work"];
    let [(i, a), (j, b), (k, c)] = told.numbers[..] else { return None };
    // "2 h 30 min" is one amount.
    if j == i + 1 || k == j + 1 {
        return None;
    }
    let asks =
        (0..told.told.len()).rfind(|at| told.word(*at).is_some_and(|word| ASKS.contains(&word)))?;
    // The third number is part of the question, or stands right before it.
    if told.says(OTHERWISE) || k < asks && asks - k > 3 {
        return None;
    }
    let like =
        |(at, one): (usize, &Amount), (bt, other): (usize, &Amount)| match (&one.unit, &other.unit)
        {
            (Some(unit), Some(_)) => other.value_in(unit).is_some(),
            (None, None) => !told.noun(at).is_empty() && told.noun(at) == told.noun(bt),
            _ => false,
        };
    let (count, amount) = match (like((i, a), (k, c)), like((j, b), (k, c))) {
        (true, false) => ((i, a), b),
        (false, true) => ((j, b), a),
        _ => return None,
    };
    let wanted = in_unit(c, count.1)?;
    let found = Loose::of_numbers(&[count.1, amount, &wanted]);
    let is_time = amount.unit.as_ref().is_some_and(|unit| {
        unit.text() == "year" || Measure::named("h").is_some_and(|hour| unit.fits(&hour))
    });
    let kind = |topic: &str| KINDS.iter().find(|kind| kind.topic == Some(topic));
    if is_time && WORKERS.contains(&told.noun(count.0)) {
        return Some((
            kind("Inverse proportion").filter(|_| told.says(&["long", "time"]))?,
            inverse_work(&found)?,
        ));
    }
    Some((kind("Direct proportion")?, scaled(&found)?))
}

/// An amount in the unit of another.
fn in_unit(amount: &Amount, like: &Amount) -> Option<Amount> {
    match (&amount.unit, &like.unit) {
        (Some(own), Some(unit)) if own != unit => {
            Some(Amount { unit: Some(unit.clone()), ..Amount::of(amount.value_in(unit)?) })
        }
        _ => Some(amount.clone()),
    }
}

/// The price of one of what is measured, for each offer.
fn best_buy(found: &Found) -> Option<Told> {
    let [a, p, b, q] = found.amounts()?;
    let is_money = |amount: &Amount| amount.unit.as_ref().is_none_or(|unit| unit.is_money());
    // The amount may be told first or the price.
    let ((a, p), (b, q)) = if is_money(p) { ((a, p), (b, q)) } else { ((p, a), (q, b)) };
    if ![a, p, b, q].iter().all(|one| one.is_positive() && !one.is_percent)
        || !is_money(p)
        || !is_money(q)
    {
        return None;
    }
    let base = |amount: &Amount, like: &Amount| match (&amount.unit, &like.unit) {
        (Some(_), Some(unit)) => amount.value_in(unit),
        (None, None) => Some(amount.value.clone()),
        _ => None,
    };
    let (first, second) = (&base(p, p)? / &base(a, a)?, &base(q, p)? / &base(b, a)?);
    let name = a.unit.as_ref().map_or("one".to_owned(), |unit| format!("1 {}", unit.shown()));
    let near = |value: &algebra::Rational| {
        algebra::number::to_decimal_text(&algebra::number::round_to_places(value, 5), 5)
    };
    let line = |price: &Amount, amount: &Amount, each: &algebra::Rational| {
        let (price, amount) =
            (base(price, p).unwrap_or_default(), base(amount, a).unwrap_or_default());
        format!("{} ÷ {} ≈ {}", written(&price), written(&amount), near(each))
    };
    let (best, other) = if first <= second { ((a, p), (b, q)) } else { ((b, q), (a, p)) };
    let text = format!("{} for {}", best.0.shown(), best.1.shown());
    let says = format!(
        "The best buy: {} for {}, or {} for {}",
        a.shown(),
        p.shown(),
        b.shown(),
        q.shown()
    );
    let lines = Lines::default()
        .work(&line(p, a, &first), format!("The first offer: the price of {name}"))
        .work(&line(q, b, &second), format!("The second offer: the price of {name}"));
    let lines = if first == second {
        lines.end("Both cost the same.")
    } else {
        lines.end(format!(
            "{text} is the better buy than {} for {}.",
            other.0.shown(),
            other.1.shown()
        ))
    };
    let text = if first == second { "both cost the same".to_owned() } else { text };
    Some(Told::lines(says, lines, Answer::words(text)))
}

fn one_of(found: &Found) -> Option<Told> {
    let [count, price] = found.amounts()?;
    let (count, price) =
        if price.unit.is_none() && count.unit.is_some() { (price, count) } else { (count, price) };
    if !count.is_positive() || price.is_percent {
        return None;
    }
    let one = Amount { unit: price.unit.clone(), ..Amount::of(&price.value / &count.value) };
    let lines = Lines::start_measured(&format!("{} ÷ {}", price.measured(), count.text))
        .then(&one.measured(), "One of them");
    Some(Told::lines(
        format!("{} for {}: the price of one", count.shown(), price.shown()),
        lines,
        quantity(&one),
    ))
}

fn scaled(found: &Found) -> Option<Told> {
    let [count, amount, wanted] = found.amounts()?;
    // Who works together takes less time, not more: that is another task.
    let is_time = amount.unit.as_ref().is_some_and(|unit| {
        unit.text() == "year" || Measure::named("h").is_some_and(|hour| unit.fits(&hour))
    });
    if is_time {
        return None;
    }
    if !count.is_positive()
        || count.is_percent
        || amount.is_percent
        || wanted.is_percent
        || count.unit != wanted.unit
    {
        return None;
    }
    let like = |value| Amount { unit: amount.unit.clone(), ..Amount::of(value) };
    let one = like(&amount.value / &count.value);
    let all = like(&one.value * &wanted.value);
    let lines = Lines::measured()
        .work(&format!("{} ÷ {} = {}", amount.measured(), count.text, one.measured()), "For one")
        .begin(&format!("{} × {}", wanted.text, one.measured()), format!("For {}", wanted.text))
        .then(&all.measured(), "Multiply");
    let says = format!("{} for {}: how much for {}", amount.shown(), count.shown(), wanted.shown());
    Some(Told::lines(says, lines, quantity(&all)))
}

fn inverse_work(found: &Found) -> Option<Told> {
    let [count, time, wanted] = found.amounts()?;
    if ![count, time, wanted].iter().all(|one| one.is_positive() && !one.is_percent) {
        return None;
    }
    let like = |value| Amount { unit: time.unit.clone(), ..Amount::of(value) };
    let one = like(&time.value * &count.value);
    let all = like(&one.value / &wanted.value);
    let lines = Lines::measured()
        .work(
            &format!("{} × {} = {}", count.text, time.measured(), one.measured()),
            "One alone takes as many times as long",
        )
        .begin(
            &format!("{} ÷ {}", one.measured(), wanted.text),
            format!("{} share the work", wanted.text),
        )
        .then(&all.measured(), "Divide");
    let says = format!("{} take {}: how long {} take", count.text, time.shown(), wanted.text);
    Some(Told::lines(says, lines, quantity(&all)))
}
