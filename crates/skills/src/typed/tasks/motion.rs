//! Speed, distance and time; density, mass and volume.

use super::{Answer, Found, Recognised, TaskKind, Told, quantity};
use crate::typed::text::{Amount, Loose, Measure};
use algebra::number::{decimal_places, round_to_places, to_decimal_text};
use algebra::unit::Base;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Speed, distance, time", &[
        "average? speed if|when|for|of|to|distance? distance|travelling|travels|going|you|car|train|cyclist|runner? travel|travels|go|goes|is? # in|and|time|takes|taking|for time|is? #",
        "average? speed .. # .. # ..", "average? speed # in #", "# in # find|what average|is? average? speed",
        "car|train|bus|cyclist|runner|bike|plane|walker|lorry|boat travels|goes|drives|runs|covers|cycles|flies|walks # in # find|what|how average|is|fast? its|average|the? average? speed?",
        "# in # average? speed", "distance # time # find? speed", "how fast is # in #",
        "travel|travels|drive|walk|run|cycle # in # what|find is? average? speed", "distance # and? time # find speed",
        "speed distance # time #", "how fast is|was car|train|bus|cyclist|runner going if it travels|goes|covers # in #",
    ], |f| two(f, Wanted::Speed)),
    beside("Speed, distance, time", &[
        "how far|distance in # at #", "distance travelled|covered? in|after # at|travelling|going speed|a? of? #",
        "distance travelled|covered? at # for|in #", "# for # how far|what distance|is?",
        "car|train|bus|cyclist|runner|bike|plane|walker|lorry|boat travels|goes|drives|runs|cycles|flies|walks at # for # how|find|what far|distance|is? does|distance|did? it? go|travel|travelled?",
        "speed # time # find? distance", "how far do|does|will|would you|car|train|bus|cyclist|it travel|go|walk|run|drive in # at #",
        "how far does car|train|bus|cyclist|it travel|go at # in|for #", "# at # find|what distance",
        "travel|travels|drive|drives at # for # how far|find distance?", "how far at # for|in #", "# at # how far",
    ], |f| two(f, Wanted::Distance)),
    beside("Speed, distance, time", &[
        "how long|time to|for|does|it|will|taken? it? take|takes|travel|go|drive|cover? to? travel|go|drive|cover|walk|run|cycle? # at #",
        "how long does it take to travel|go|drive|cover|walk|run|cycle # at #", "how long for # at #",
        "time taken|needed? to|for travel|go|drive|cover? # at #", "distance # speed # find? time", "# at # how long does? it? take?",
        "speed # distance # find? time", "how long to travel|go|drive|cover # at #", "distance # at speed? of? # how long|time ..",
        "distance # at speed? of? # find time", "# at # find|what is? time",
    ], |f| two(f, Wanted::Time)),
    beside("Density", &[
        "density of|if|when mass is|of? # and|with volume is|of? #", "density mass # volume #", "mass # volume # find? density",
        "density if|of mass|volume? # and|volume # ", "density of # with volume # ",
        "density of object|metal|block|substance with mass # and volume #", "mass is # and volume is # find density",
        "# has volume of? # find|what is? density",
    ], |f| two(f, Wanted::Density)),
    beside("Density", &[
        "mass of|if|when density is|of? # and|with volume is|of? #", "density # volume # find? mass", "volume # density # find? mass",
        "mass of # with density #", "mass if density # volume #",
    ], |f| two(f, Wanted::Mass)),
    beside("Density", &[
        "volume of|if|when density is|of? # and|with mass is|of? #", "density # mass # find? volume", "mass # density # find? volume",
        "volume of|if mass # density #",
    ], |f| two(f, Wanted::Volume)),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("measure.convert", topic, wordings, told)
}

enum Wanted {
    Speed,
    Distance,
    Time,
    Density,
    Mass,
    Volume,
}

/// What an amount measures.
fn measures(amount: &Amount) -> &'static str {
    let Some(unit) = &amount.unit else { return "" };
    if unit.is_of(Base::Metre, 1) {
        "length"
    } else if unit.is_of(Base::Second, 1) {
        "time"
    } else if unit.is_of(Base::Kilogram, 1) {
        "mass"
    } else if unit.is_of(Base::Metre, 3) {
        "volume"
    } else if Measure::named("km/h").is_some_and(|speed| unit.fits(&speed)) {
        "speed"
    } else if Measure::named("g/cm^3").is_some_and(|density| unit.fits(&density)) {
        "density"
    } else {
        ""
    }
}

/// Words with which a text tells of more than one journey, or compares two of them.
const MORE: &[&str] = &[
    "back",
    "return",
    "returns",
    "then",
    "stops",
    "rest",
    "rests",
    "faster",
    "slower",
    "later",
    "earlier",
    "more",
    "less",
    "twice",
    "half",
    "each",
    "both",
    "another",
    "second",
    "first",
    "apart",
    "towards",
    "meet",
    "meets",
    "overtakes",
    "left",
    "increases",
    "decreases",
    "whole",
    "journey",
    "current",
    "wind",
    "litres",
    "cost",
    "costs",
];

/// Two amounts and a word that asks for the third of their kind, in whatever words: "a cyclist covers 45 km in 3 h, how
/// fast is that?"
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    let numbers = joined_times(told)?;
    let [a, b] = &numbers[..] else { return None };
    let of = |one: &str, other: &str| {
        let kinds = [measures(a), measures(b)];
        kinds == [one, other] || kinds == [other, one]
    };
    if told.says(MORE) {
        return None;
    }
    let (at, wanted) = if of("length", "time") && told.says(&["speed", "fast", "velocity"]) {
        (0, Wanted::Speed)
    } else if of("speed", "time")
        && told.says(&["far", "distance", "kilometres", "miles", "metres"])
    {
        (1, Wanted::Distance)
    } else if of("length", "speed") && told.says(&["long", "time", "hours", "minutes", "seconds"]) {
        (2, Wanted::Time)
    } else if of("mass", "volume") && told.says(&["density", "dense"]) {
        (3, Wanted::Density)
    } else if of("density", "volume") && told.says(&["mass", "weigh", "weight", "heavy"]) {
        (4, Wanted::Mass)
    } else if of("density", "mass") && told.says(&["volume", "space"]) {
        (5, Wanted::Volume)
    } else {
        return None;
    };
    Some((&KINDS[at], two(&Loose::of_numbers(&[a, b]), wanted)?))
}

/// The amounts of a text; "2 h 30 min" is one time.
fn joined_times(told: &Loose) -> Option<Vec<Amount>> {
    let mut all: Vec<Amount> = Vec::new();
    let mut before = None;
    for (at, amount) in &told.numbers {
        let follows = before.is_some_and(|before| before + 1 == *at);
        match all.last_mut() {
            Some(last) if follows && measures(last) == "time" && measures(amount) == "time" => {
                let unit = last.unit.clone()?;
                let value = &last.value + amount.value_in(&unit)?;
                *last = Amount { unit: Some(unit), ..Amount::of(value) };
            }
            _ => all.push((*amount).clone()),
        }
        before = Some(*at);
    }
    Some(all)
}

/// Two amounts, by what they measure, whichever is told first.
fn two(found: &Found, wanted: Wanted) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let find =
        |what: &str| [a, b].into_iter().find(|one| measures(one) == what && one.is_positive());
    match wanted {
        Wanted::Speed => {
            divided(find("length")?, find("time")?, "speed", "Speed = distance ÷ time")
        }
        Wanted::Distance => {
            multiplied(find("speed")?, find("time")?, "distance", "Distance = speed × time")
        }
        Wanted::Time => {
            divided_by_rate(find("length")?, find("speed")?, "time", "Time = distance ÷ speed")
        }
        Wanted::Density => {
            divided(find("mass")?, find("volume")?, "density", "Density = mass ÷ volume")
        }
        Wanted::Mass => {
            multiplied(find("density")?, find("volume")?, "mass", "Mass = density × volume")
        }
        Wanted::Volume => {
            divided_by_rate(find("mass")?, find("density")?, "volume", "Volume = mass ÷ density")
        }
    }
}

fn answered(lines: Lines, says: String, name: &str, exact: &Amount) -> Told {
    let ends = decimal_places(&exact.value).is_some_and(|places| places <= 4);
    if ends {
        let lines = lines.end(format!("The {name} is {}.", exact.shown()));
        return Told::lines(says, lines, quantity(exact));
    }
    let near = round_to_places(&exact.value, 2);
    let near = Amount { text: to_decimal_text(&near, 2), value: near, ..exact.clone() };
    let lines = lines
        .round(&format!("≈ {}", near.measured()), "To 2 decimal places")
        .end(format!("The {name} is about {}.", near.shown()));
    Told::lines(says, lines, quantity(&near))
}

fn says(name: &str, one: &Amount, other: &Amount) -> String {
    format!("The {name}, from {} and {}", one.shown(), other.shown())
}

/// One amount over another: km over h.
fn divided(above: &Amount, below: &Amount, name: &str, rule: &str) -> Option<Told> {
    let (mut lines, mut per) =
        (Lines::measured().say(format!("{rule}."), "The rule"), below.clone());
    // Minutes into hours where a car counts in hours.
    if let (Some(long), Some(short)) = (&above.unit, &below.unit)
        && matches!(long.text(), "km" | "mi")
        && short.text() == "min"
    {
        let hour = Measure::named("h")?;
        let hours = Amount { unit: Some(hour.clone()), ..Amount::of(below.value_in(&hour)?) };
        lines = lines
            .work(&format!("{} = {}", below.measured(), measured_fraction(&hours)), "In hours");
        per = hours;
    }
    let unit = above.unit.as_ref()?.over(per.unit.as_ref()?);
    let exact = Amount { unit: Some(unit), ..Amount::of(&above.value / &per.value) };
    let lines = lines
        .begin(
            &format!("{} ÷ ({})", above.measured(), measured_fraction(&per)),
            "Put in what is known",
        )
        .then(&measured_fraction(&exact), "Divide");
    Some(answered(lines, says(name, above, below), name, &exact))
}

/// A fraction with its unit is typed in brackets.
fn measured_fraction(amount: &Amount) -> String {
    let unit = amount.unit.as_ref().map_or("", Measure::text);
    if amount.text.contains('/') { format!("({}) {unit}", amount.text) } else { amount.measured() }
}

/// The two units of a rate: km and h.
fn parts(rate: &Amount) -> Option<(Measure, Measure)> {
    let unit = rate.unit.as_ref()?;
    match unit.text() {
        "mph" => Some((Measure::named("mi")?, Measure::named("h")?)),
        "kph" | "kmh" => Some((Measure::named("km")?, Measure::named("h")?)),
        text => {
            let (above, below) = text.split_once('/')?;
            Some((Measure::named(above)?, Measure::named(below)?))
        }
    }
}

fn multiplied(rate: &Amount, by: &Amount, name: &str, rule: &str) -> Option<Told> {
    let (above, below) = parts(rate)?;
    let mut lines = Lines::measured().say(format!("{rule}."), "The rule");
    let same = Amount { unit: Some(below.clone()), ..Amount::of(by.value_in(&below)?) };
    if by.unit.as_ref() != Some(&below) {
        lines = lines.work(
            &format!("{} = {}", by.measured(), measured_fraction(&same)),
            "In the unit of the rate",
        );
    }
    let exact = Amount { unit: Some(above), ..Amount::of(&rate.value * &same.value) };
    let lines = lines
        .begin(
            &format!("{} × {}", rate.measured(), measured_fraction(&same)),
            "Put in what is known",
        )
        .then(&measured_fraction(&exact), "Multiply");
    Some(answered(lines, says(name, rate, by), name, &exact))
}

fn divided_by_rate(whole: &Amount, rate: &Amount, name: &str, rule: &str) -> Option<Told> {
    let (above, below) = parts(rate)?;
    let mut lines = Lines::measured().say(format!("{rule}."), "The rule");
    let same = Amount { unit: Some(above.clone()), ..Amount::of(whole.value_in(&above)?) };
    if whole.unit.as_ref() != Some(&above) {
        lines = lines.work(
            &format!("{} = {}", whole.measured(), measured_fraction(&same)),
            "In the unit of the rate",
        );
    }
    let exact = Amount { unit: Some(below.clone()), ..Amount::of(&same.value / &rate.value) };
    let lines = lines
        .begin(
            &format!("{} ÷ ({})", measured_fraction(&same), rate.measured()),
            "Put in what is known",
        )
        .then(&measured_fraction(&exact), "Divide");
    let told = answered(lines, says(name, whole, rate), name, &exact);
    // Part of an hour is told in minutes too.
    if below.text() == "h" && !exact.value.is_integer() {
        let minutes = &exact.value * algebra::number::from_int(60);
        if minutes.is_integer() {
            let shown = super::times::spoken(&minutes)?;
            let super::Work::Lines(work) = told.work else { return None };
            let (lines, answer) = *work;
            let lines = lines.end(format!("That is {shown}."));
            return Some(Told::lines(told.says, lines, Answer { text: shown, ..answer }));
        }
    }
    Some(told)
}
