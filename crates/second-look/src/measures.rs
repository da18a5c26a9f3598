//! Units that change within a working, or do not fit what is asked for.

use super::reading::{Number, has_any, has_word, numbers, power_of_unit, sentences};
use super::task::Task;
use super::{Finding, Kind, Spotted};
use algebra::Unit;
use algebra::unit::Base;

/// What a question asks to be measured, with the power of length that it has.
const LENGTHS: &[(&[&str], i32)] = &[
    (&["area", "surface area"], 2),
    (&["volume", "capacity"], 3),
    (
        &[
            "perimeter",
            "length",
            "width",
            "height",
            "distance",
            "circumference",
            "radius",
            "diameter",
            "how far",
            "how tall",
            "how high",
            "how wide",
            "hypotenuse",
        ],
        1,
    ),
];

/// A unit that is not the one that fits.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let prompt = &task.prompt.text;
    let given = numbers(prompt);
    for reply in task.replies() {
        // A line that says two units of one number is a change of units itself.
        let parts: Vec<Number> = numbers(&reply.text);
        for number in &parts {
            let Some(unit) = number.unit else { continue };
            let other = given.iter().find(|one| {
                one.value == number.value
                    && one.unit.is_some_and(|there| there != unit && are_alike(there, unit))
            });
            let converts = |meant: &Number| parts.iter().any(|one| one.unit == meant.unit);
            if let Some(meant) = other.filter(|meant| !converts(meant))
                && !given.iter().any(|one| one.value == number.value && one.unit == Some(unit))
                && let Some(there) = meant.unit
            {
                let says = format!(
                    "The question gives {} {}; here it is {} {}.",
                    meant.written,
                    there.symbol(),
                    number.written,
                    unit.symbol()
                );
                let finding = Finding::new(Kind::UnitWrong, reply.text.trim(), says);
                return Some(Spotted { place: reply.place, finding });
            }
        }
    }
    changes(task).or_else(|| wanted(task)).or_else(|| converted(task, &given))
}

/// A quantity that is to be written in another unit, and is another quantity there.
fn converted(task: &Task, given: &[Number]) -> Option<Spotted> {
    let answer = task.answer.as_ref()?;
    let asks = has_any(&task.prompt.text, &["convert", "change", "write", "express"])
        || task.prompt.text.to_lowercase().contains("how many");
    let ([from], [to]) = (given, &numbers(&answer.text)[..]) else { return None };
    let (there, here) = (from.unit?, to.unit?);
    let is_plain = [(&task.prompt.text, from), (&answer.text, to)].iter().all(|(text, number)| {
        let end = number.at + number.written.len();
        power_of_unit(text, end) == 1 && !is_compound(text, end)
    });
    if !asks || !is_plain || there == here || !are_alike(there, here) {
        return None;
    }
    let right = &from.value * there.factor() / here.factor();
    (right != to.value).then(|| {
        let says = format!(
            "{} {} are {} {}.",
            from.written,
            there.symbol(),
            super::reading::decimal(&right),
            here.symbol()
        );
        Spotted {
            place: answer.place,
            finding: Finding::new(Kind::UnitWrong, answer.text.trim(), says),
        }
    })
}

/// Whether the unit behind a number is one of two: `km/h`, `km per hour`.
fn is_compound(text: &str, after: usize) -> bool {
    let rest: String = text[after..].chars().take(24).collect();
    let unit = rest.trim_start().split([',', '.', ';']).next().unwrap_or_default().to_owned();
    unit.contains('/') || unit.contains(" per ") || unit.contains(" an ")
}

/// An answer of the same size as the last result of the working, in another unit.
fn changes(task: &Task) -> Option<Spotted> {
    let answer = task.answer.as_ref()?;
    let told = numbers(&answer.text);
    let [told] = &told[..] else { return None };
    let unit = told.unit?;
    let results = task.working.iter().rev().filter_map(|line| numbers(&line.text).pop());
    let result = results.into_iter().find(|number| number.value == told.value)?;
    let there = result.unit.filter(|there| *there != unit)?;
    let says = format!(
        "The working ends with {} {}, the answer says {}.",
        result.written,
        there.symbol(),
        unit.symbol()
    );
    Some(Spotted {
        place: answer.place,
        finding: Finding::new(Kind::UnitWrong, answer.text.trim(), says),
    })
}

/// An answer in a unit that does not measure what is asked for, or not in the one asked for.
fn wanted(task: &Task) -> Option<Spotted> {
    let answer = task.answer.as_ref()?;
    let all = numbers(&answer.text);
    let last = all.last()?;
    let unit = last.unit?;
    let told = |says: String| {
        Some(Spotted {
            place: answer.place,
            finding: Finding::new(Kind::UnitWrong, answer.text.trim(), says),
        })
    };
    let asked: Vec<&str> = sentences(&task.prompt.text)
        .into_iter()
        .filter(|sentence| super::reading::asks(sentence))
        .collect();
    let asked = asked.last()?;
    let power = power_of_unit(&answer.text, last.at + last.written.len());
    let after = last.at + last.written.len();
    if has_word(asked, "speed") && !is_compound(&answer.text, after) && all.len() == 1 {
        return told("A speed is a length for each unit of time, as km/h.".into());
    }
    let is_length = unit.parts() == [(Base::Metre, 1)];
    if is_length {
        let mut wanted = LENGTHS.iter().filter(|(words, _)| has_any(asked, words));
        if let (Some((words, need)), None) = (wanted.next(), wanted.next())
            && i32::try_from(power).ok() != Some(*need)
        {
            let word = words.iter().find(|word| has_word(asked, word)).copied().unwrap_or("it");
            let shape = ["", "", "square ", "cubic "][usize::try_from(*need).unwrap_or(1)];
            return told(match *need {
                1 => format!(
                    "{} is measured in {}, not in a power of it.",
                    capital(word),
                    unit.symbol()
                ),
                _ => format!("{} is measured in {shape}units.", capital(word)),
            });
        }
    }
    // `in metres`, `how many minutes`
    let words: Vec<&str> = asked.split_whitespace().collect();
    let named = words.windows(2).find_map(|pair| {
        let leads = ["in", "many"].contains(&pair[0].to_lowercase().as_str());
        let is_spelled = pair[1].chars().filter(|sign| sign.is_alphabetic()).count() > 1;
        (leads && is_spelled).then(|| super::reading::unit_named(pair[1])).flatten()
    })?;
    if named != unit && all.len() == 1 {
        return told(format!("The answer is asked for in {}.", named.symbol()));
    }
    None
}

fn capital(word: &str) -> String {
    teaching::words::capital(word.trim_start_matches("how "))
}

/// Whether both measure the same kind of thing.
fn are_alike(a: Unit, b: Unit) -> bool {
    a.parts() == b.parts()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;
    use crate::task::Placed;

    fn told(prompt: &str, working: &str, answer: &str) -> Option<String> {
        let place = Spot::default();
        let placed = |text: &str| Placed { place, text: text.into() };
        let mut task = Task::asking(place, prompt);
        task.working = (!working.is_empty()).then(|| placed(working)).into_iter().collect();
        task.answer = (!answer.is_empty()).then(|| placed(answer));
        look(&task).map(|spotted| spotted.finding.says)
    }

    #[test]
    #[rustfmt::skip]
    fn a_unit_that_does_not_fit_is_found() {
        for (prompt, working, answer, says) in [
            ("A board is 3 m by 2 m. What is its area?", "", "6 m", "Area is measured in square units."),
            ("A board is 3 m by 2 m. Find its perimeter.", "", "10 m²", "Perimeter is measured in m, not in a power of it."),
            ("Hana walks 3 km and then 2 km. How far is that?", "3 km + 2 km = 5 km", "5 m", "The working ends with 5 km, the answer says m."),
            ("A path is 120 m long. Half of it is paved. How long is that?", "120 cm ÷ 2", "", "The question gives 120 m; here it is 120 cm."),
            ("Two hives weigh 3 kg and 4 kg. What do they weigh in grams?", "", "7 kg", "The answer is asked for in g."),
        ] { assert_eq!(told(prompt, working, answer).as_deref(), Some(says), "{prompt}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn units_that_fit_are_left_alone() {
        for (prompt, working, answer) in [
            ("A board is 3 m by 2 m. What is its area?", "3 × 2 = 6", "6 m²"),
            ("A box is 3 m by 2 m by 4 m. What is its volume?", "", "24 cubic metres"),
            ("Write 3 m in cm.", "3 m = 300 cm", "300 cm"),
            ("How many minutes are 3 hours?", "3 × 60 = 180", "180 min"),
        ] { assert_eq!(told(prompt, working, answer), None, "{prompt}"); }
    }
}
