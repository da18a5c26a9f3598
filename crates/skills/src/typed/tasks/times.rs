//! Times of day, durations, and years.

use super::{Answer, Found, TaskKind, Told};
use crate::typed::text::{Amount, Measure};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{Signed, ToPrimitive};
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Times", &[
        "how long is it? from|between @ to|and|until|till @",
        "how many minutes|hours from|between|are? there? from|between? @ to|and|until @", "time from|between @ to|and|until @",
        "time difference between @ and @", "how much time from|between @ to|and|until @", "duration from @ to|until @",
        "how long from @ to|until @",
        "film|lesson|train|bus|journey|match|programme starts|leaves|begins at @ and? ends|arrives|finishes at @ how long is|does? it? last|take?",
        "train|bus leaves at @ and? arrives at @ how long is|does? journey|it? take?", "time elapsed between|from @ and|to @",
    ], between),
    beside("Times", &[
        "# after @", "# # after @", "what time is|will it? be? # # after @", "what time will it be # after @",
        "what time is it? # after @", "time # after @", "what is time # after @", "@ plus #", "@ + #", "add # to @",
    ], |f| shifted(f, 1)),
    beside("Times", &[
        "# before @", "# # before @", "what time is|was it? # # before @", "what time is it? # before @", "time # before @",
        "what is time # before @", "@ minus #", "@ - #",
    ], |f| shifted(f, -1)),
    beside("Times", &[
        "starts at @ lasts|and|takes lasts|takes? # when does it end|finish",
        "film|lesson|train|bus|journey|match|programme starts|leaves|begins at @ and? lasts|takes # when|what does|time? does|it? it? end|finish|arrive",
        "leaves at @ and? takes # when|what does|time? does|it? it? arrive",
        "film|lesson|train|bus|journey|match|programme starts|leaves|begins at @ and? lasts|takes # # when|what does|time? does|it? it? end|finish|arrive",
        "starts at @ lasts|and|takes lasts|takes? # # when does it end|finish",
        "leaves at @ and? takes # # when|what does|time? does|it? it? arrive",
    ], |f| shifted(f, 1)),
    beside("Times", &[
        "add|sum|total of? # # and # #", "# # and # # together", "# # plus|and # #", "# # + # #", "add # and # #", "add # # and #",
        "# # + #", "# # plus #", "# + # #",
    ], |f| sum(f, 1)),
    beside("Times", &[
        "# # - # #", "# # minus # #", "subtract # # from # #", "take # # from # #", "# # - #", "# # minus #",
    ], |f| sum(f, -1)),
    beside("Times", &[
        "# # in minutes|seconds|hours", "convert|write|change # # to|into|in minutes|seconds|hours",
        "how many minutes|seconds|hours are? in|there? in? # #",
    ], in_one_unit),
    beside("Times", &[
        "convert|write|change # to|into|in|as hours and minutes", "# in|as|to hours and minutes", "# in minutes and seconds",
    ], in_hours),
    beside("Times", &[
        "convert|write|change @ to|into|in|as 24 hour clock|time", "convert|write|change @ to|into|in|as # clock|time|format",
        "convert|write|change @ to|into|in|as 24 hour clock|time",
        "@ in 24 hour clock|time", "@ in 24 hour clock|time", "@ in # hour clock|time", "convert @ to # hour clock|time",
        "@ in # hour clock|time", "write @ in # hour clock|time", "write @ in # hour clock|time",
    ], clock),
    beside("Years", &[
        "how old is|was someone|she|he|person|anyone|i|you|_ born in # in #",
        "how old is|was someone|she|he|person|anyone|i|you|_ in # if|when? born in #",
        "how old will someone|she|he|person|_ born in # be in #", "born in # how old in #", "age in # if born in #",
        "how many years from|between # to|and #", "someone|she|he|person was? born in # how old are|is|was|will they|she|he|be? be? in #",
        "how old would|will someone|she|he|person born in # be in #",
    ], years),
    beside("Dates", &[
        "how many days|hours|minutes|seconds|weeks|months|years are? in|there? in? # days|hours|minutes|seconds|weeks|months|years?",
    ], how_many),
    beside("Dates", &[
        "how many days|hours|minutes|seconds|weeks|months are? in|there? in? day|hour|minute|week|year",
    ], how_many_in_one),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("measure.convert", topic, wordings, told)
}

/// Minutes of a day.
const DAY: i64 = 1440;

/// A time of day in minutes from midnight: `9:40`, `09.40`, `2:30 pm`, `noon`.
fn time_of_day(text: &str) -> Option<i64> {
    let text = text.trim().to_lowercase().replace(['.', ' '], ":").replace("::", ":");
    match text.as_str() {
        "noon" | "midday" => return Some(720),
        "midnight" => return Some(0),
        _ => {}
    }
    let half = ["am", "pm", "a:m", "p:m", "a:m:", "p:m:"].iter().find(|end| text.ends_with(**end));
    let digits = half.map_or(text.as_str(), |end| &text[..text.len() - end.len()]);
    let digits = digits.trim_end_matches(':');
    let (hours, minutes) = match digits.split_once(':') {
        Some((hours, minutes)) if minutes.len() == 2 => (hours, minutes.parse().ok()?),
        Some(_) => return None,
        None if digits.len() == 4 => (&digits[..2], digits[2..].parse().ok()?),
        None if half.is_some() => (digits, 0),
        None => return None,
    };
    let hours: i64 = hours.parse().ok()?;
    let hours = match half {
        Some(end) if (1..=12).contains(&hours) => {
            hours % 12 + if end.starts_with('p') { 12 } else { 0 }
        }
        Some(_) => return None,
        None => hours,
    };
    ((0..24).contains(&hours) && (0..60).contains(&minutes)).then_some(hours * 60 + minutes)
}

/// As it is told: with am or pm where that was told.
fn told_time(minutes: i64, like: &str) -> String {
    let minutes = minutes.rem_euclid(DAY);
    let (h, m) = (minutes / 60, minutes % 60);
    let lower = like.to_lowercase();
    if lower.ends_with('m') {
        let half = if h < 12 { "am" } else { "pm" };
        return format!("{}:{m:02} {half}", if h % 12 == 0 { 12 } else { h % 12 });
    }
    let digits = like.chars().take_while(char::is_ascii_digit).count();
    if digits == 2 || h > 12 { format!("{h:02}:{m:02}") } else { format!("{h}:{m:02}") }
}

/// "2 h 15 min".
pub(super) fn spoken(minutes: &Rational) -> Option<String> {
    let all = minutes.is_integer().then(|| minutes.to_integer().to_i64())??;
    let (h, m) = (all / 60, all % 60);
    Some(match (h, m) {
        (0, m) => format!("{m} min"),
        (h, 0) => format!("{h} h"),
        _ => format!("{h} h {m} min"),
    })
}

/// A duration in minutes as the answer.
fn duration(lines: Lines, says: String, minutes: i64, in_words: &str) -> Option<Told> {
    let shown = match in_words {
        "minutes" => format!("{minutes} min"),
        _ => spoken(&from_int(minutes))?,
    };
    let lines = lines.end(format!("That is {shown}."));
    Some(Told::lines(says, lines, Answer { value: String::new(), ..Answer::words(shown) }))
}

fn between(found: &Found) -> Option<Told> {
    let [from, to] = &found.texts[..] else { return None };
    let (start, end) = (time_of_day(from)?, time_of_day(to)?);
    // "9:40 to 2:15" goes over noon.
    let end = if end > start {
        end
    } else if end + 720 > start && !to.to_lowercase().contains('m') && end <= 720 {
        end + 720
    } else {
        end + DAY
    };
    let to_hour = (60 - start % 60) % 60;
    let rest = end - start - to_hour;
    let mut lines = Lines::measured();
    if to_hour > 0 && rest > 0 {
        lines = lines
            .say(
                format!("From {from} to the next full hour: {to_hour} min."),
                "Up to the full hour",
            )
            .say(format!("From there to {to}: {}.", spoken(&from_int(rest))?), "On to the end");
        lines =
            lines.work(&format!("{to_hour} min + {rest} min = {} min", end - start), "Together");
    } else {
        lines = lines.work(&format!("{} min = {} min", end - start, end - start), "Count on");
    }
    let word = found
        .words
        .iter()
        .find(|word| matches!(word.as_str(), "minutes"))
        .map_or("", String::as_str);
    duration(lines, format!("How long it is from {from} to {to}"), end - start, word)
}

fn minutes_of(amount: &Amount) -> Option<Rational> {
    amount.value_in(&Measure::named("min")?)
}

fn whole(minutes: &Rational) -> Option<i64> {
    minutes.is_integer().then(|| minutes.to_integer().to_i64())?
}

fn shifted(found: &Found, sign: i64) -> Option<Told> {
    let at = found.text()?;
    let parts: Vec<Rational> = found.numbers.iter().map(minutes_of).collect::<Option<_>>()?;
    let all = parts.iter().fold(from_int(0), |sum, one| sum + one);
    let (start, minutes) = (time_of_day(at)?, whole(&all)?);
    let by = spoken(&all)?;
    let end = start + sign * minutes;
    let shown = told_time(end, at);
    let (h, m) = (minutes / 60, minutes % 60);
    let step = |by: i64| told_time(start + sign * by, at);
    let word = if sign > 0 { "on" } else { "back" };
    let mut lines = Lines::default();
    if h > 0 {
        lines = lines.say(format!("{h} h {word} from {at}: {}.", step(h * 60)), "First the hours");
    }
    if m > 0 {
        lines = lines.say(format!("{m} min {word}: {shown}."), "Then the minutes");
    }
    let lines = lines.end(format!("It is {shown}."));
    let direction = if sign > 0 { "after" } else { "before" };
    Some(Told::lines(format!("The time {by} {direction} {at}"), lines, Answer::words(shown)))
}

/// Hours and minutes put together.
fn sum(found: &Found, sign: i64) -> Option<Told> {
    let minutes: Vec<Rational> = found.numbers.iter().map(minutes_of).collect::<Option<_>>()?;
    let (first, second): (Vec<&Amount>, Vec<&Amount>) = {
        // A new time begins where the unit grows again.
        let at = (1..found.numbers.len())
            .find(|&at| {
                minutes_of(&found.numbers[at]).is_some_and(|_| {
                    unit_size(&found.numbers[at]) >= unit_size(&found.numbers[at - 1])
                })
            })
            .unwrap_or(found.numbers.len() - 1);
        (found.numbers[..at].iter().collect(), found.numbers[at..].iter().collect())
    };
    let total = |part: &[&Amount]| {
        part.iter().filter_map(|one| minutes_of(one)).fold(from_int(0), |sum, one| sum + one)
    };
    let (mut a, mut b) = (total(&first), total(&second));
    if sign < 0 && a < b {
        std::mem::swap(&mut a, &mut b);
    }
    let all = if sign > 0 { &a + &b } else { &a - &b };
    let (a, b, all) = (whole(&a)?, whole(&b)?, whole(&all)?);
    if minutes.len() < 3 {
        return None;
    }
    let mark = if sign > 0 { '+' } else { '-' };
    let lines =
        Lines::measured().work(&format!("{a} min {mark} {b} min = {all} min"), "In minutes");
    let (one, other) = (spoken(&from_int(a))?, spoken(&from_int(b))?);
    let says = if sign > 0 {
        format!("{one} and {other} together")
    } else {
        format!("{one} less {other}")
    };
    duration(lines, says, all, "")
}

fn unit_size(amount: &Amount) -> Rational {
    Measure::named("s")
        .and_then(|second| Amount { value: from_int(1), ..amount.clone() }.value_in(&second))
        .unwrap_or_default()
}

fn in_one_unit(found: &Found) -> Option<Told> {
    let unit = Measure::named(
        found.words.iter().find(|word| matches!(word.as_str(), "minutes" | "seconds" | "hours"))?,
    )?;
    let parts: Vec<Rational> =
        found.numbers.iter().map(|one| one.value_in(&unit)).collect::<Option<_>>()?;
    let all = Amount {
        unit: Some(unit),
        ..Amount::of(parts.iter().fold(from_int(0), |sum, one| sum + one))
    };
    let typed: Vec<String> = found.numbers.iter().map(Amount::measured).collect();
    let shown: Vec<String> = found.numbers.iter().map(Amount::shown).collect();
    let lines = Lines::start_measured(&typed.join(" + ")).then(&all.measured(), "All in one unit");
    Some(Told::lines(format!("{} in one unit", shown.join(" ")), lines, super::quantity(&all)))
}

fn in_hours(found: &Found) -> Option<Told> {
    let [all] = found.amounts()?;
    let minutes = minutes_of(all)?;
    if minutes.is_negative() {
        return None;
    }
    let total = whole(&minutes)?;
    let (h, m) = (total / 60, total % 60);
    let lines = Lines::measured()
        .work(&format!("{total} min = {h} × 60 min + {m} min"), "Sixty minutes make an hour");
    duration(lines, format!("{} in hours and minutes", all.shown()), total, "")
}

fn clock(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let is_hours = |n: &Amount| n.unit.as_ref().is_none_or(|unit| unit.text() == "h");
    if found.numbers.first().is_some_and(|n| n.whole(24) != Some(24) || !is_hours(n)) {
        return None;
    }
    let minutes = time_of_day(typed)?;
    let shown = format!("{:02}:{:02}", minutes / 60, minutes % 60);
    let lines = Lines::default()
        .say(
            if minutes >= 780 {
                "After noon, 12 is added to the hours."
            } else {
                "Before 1 pm the hours stay."
            },
            "The 24-hour clock",
        )
        .end(format!("It is {shown}."));
    Some(Told::lines(format!("{typed} on the 24-hour clock"), lines, Answer::words(shown)))
}

fn years(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (a, b) = (a.whole(9999)?, b.whole(9999)?);
    let (from, to) = (a.min(b), a.max(b));
    let value = (to - from).to_string();
    let lines = Lines::start(&format!("{to} - {from}")).then(&value, "Take away");
    Some(Told::lines(format!("The years from {from} to {to}"), lines, Answer::value(value)))
}

/// "How many days are in 3 weeks": the number of the first word in the amount.
fn how_many(found: &Found) -> Option<Told> {
    let unit = Measure::named(found.words.iter().find(|word| Measure::named(word).is_some())?)?;
    let [amount] = found.amounts()?;
    converted(amount, &unit)
}

fn how_many_in_one(found: &Found) -> Option<Told> {
    let units: Vec<&String> =
        found.words.iter().filter(|word| Measure::named(word).is_some()).collect();
    let [small, large] = units[..] else { return None };
    let one = Amount { unit: Some(Measure::named(large)?), ..Amount::of(from_int(1)) };
    converted(&one, &Measure::named(small)?)
}

fn converted(amount: &Amount, unit: &Measure) -> Option<Told> {
    super::conversion::converted(amount, unit)
}
