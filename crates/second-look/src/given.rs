//! Numbers that change between a question and its working.

use super::reading::{Number, formulas, hundredth, line_of, numbers, quantities_of, said};
use super::task::{Placed, Task};
use super::{Finding, Kind, Spotted};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{One, Signed, Zero};

/// Numbers that a working may bring in by itself: counts, powers of ten, days, degrees, units of time.
const FREE: &[i64] =
    &[0, 1, 2, 3, 4, 7, 10, 12, 24, 30, 52, 60, 90, 100, 180, 360, 365, 1000, 3600];

/// A question that gives more numbers than this is a list or a table: any number may come of two of them.
const MOST_GIVEN: usize = 40;

/// A number of the working that the question does not give, where the question gives one like it that the working
/// does not use.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let given = numbers(&task.prompt.text);
    // What two numbers come to is worked out for all of them.
    if given.is_empty() || given.len() > MOST_GIVEN {
        return None;
    }
    let replies: Vec<&Placed> = task.working.iter().collect();
    let used: Vec<Number> = replies.iter().flat_map(|placed| numbers(&placed.text)).collect();
    let mut known: Vec<Rational> = known_from(&given);
    known.extend(said(&task.prompt.text));
    let poses = formulas(&task.prompt.text);
    for (at, placed) in replies.into_iter().enumerate() {
        // A line without a sign goes on from the one above it, whose numbers it has worked on.
        let goes_on = at > 0 && !placed.text.contains('=');
        let compares = placed.text.contains(['<', '>', '≤', '≥'])
            || placed.text.contains("\\le")
            || placed.text.contains("\\ge");
        if goes_on || compares || has_letter(&placed.text) && poses.is_empty() {
            known.extend(numbers(&placed.text).into_iter().map(|number| number.value));
            continue;
        }
        for (number, is_result) in operands(&placed.text) {
            if !is_result && !known.contains(&number.value) && !is_free(&number, &given) {
                let mut unused = given.iter().filter(|one| {
                    !used.iter().any(|used| used.value == one.value) && one.value != number.value
                });
                let moved = |one: &Number| one.is_percent && is_moved(&one.value, &number.value);
                let is_meant = |one: &Number| {
                    if poses.is_empty() {
                        return is_like(&one.written, &number.written) || moved(one);
                    }
                    // A problem in mathematics is copied before it is worked.
                    let copied = plain(&replaced(&placed.text, &number, &one.written));
                    at == 0 && poses.iter().any(|math| plain(math) == copied)
                };
                if let Some(meant) = unused.find(|one| is_meant(one)) {
                    let says = format!(
                        "The question gives {}; here it is {}.",
                        meant.written, number.written
                    );
                    let mend = replaced(&placed.text, &number, &meant.written);
                    let finding = Finding::new(Kind::NumberChanged, placed.text.trim(), says);
                    // A result that was worked out with the wrong number is wrong too.
                    let is_alone = !placed.text.contains('=');
                    return Some(Spotted {
                        place: placed.place,
                        finding: finding.mended(is_alone.then_some(mend)),
                    });
                }
            }
            known.push(number.value.clone());
        }
    }
    None
}

/// Mathematics without its spaces and dollar signs.
fn plain(text: &str) -> String {
    text.chars().filter(|sign| !sign.is_whitespace() && !"$.".contains(*sign)).collect()
}

/// Whether a line of mathematics has a letter to be found.
fn has_letter(text: &str) -> bool {
    line_of(text).is_some_and(|line| !line.symbols().is_empty())
        && quantities_of(text).is_none_or(|line| !line.symbols().is_empty())
}

/// The numbers of a line with whether each stands behind an equals sign, and so came out of what was before it.
fn operands(text: &str) -> Vec<(Number, bool)> {
    let first = text.find(['=', '≈']).unwrap_or(text.len());
    // A line that goes on from above, `= 12`, or is a sentence without a sign.
    numbers(text).into_iter().map(|number| (number.clone(), number.at > first)).collect()
}

/// A number that needs no giving.
fn is_free(number: &Number, given: &[Number]) -> bool {
    let is_small = FREE.iter().any(|free| number.value == from_int(*free));
    // Where the question gives a number of one digit, another one may be its misprint.
    is_small && !given.iter().any(|one| one.written.len() == number.written.len())
        || number.value.is_zero()
        || number.value.is_one()
}

/// What the given numbers say without a working: themselves, as parts of a hundred, what is left of a whole, and what
/// two of them come to.
fn known_from(given: &[Number]) -> Vec<Rational> {
    let mut known: Vec<Rational> = Vec::new();
    for number in given {
        let value = &number.value;
        let part = value * hundredth();
        known.extend([
            value.clone(),
            part.clone(),
            Rational::one() - &part,
            Rational::one() + part,
        ]);
        known.extend([
            from_int(100) - value,
            from_int(180) - value,
            from_int(90) - value,
            from_int(360) - value,
            from_int(100) + value,
        ]);
        if number.unit.is_some_and(|unit| ["mm", "cm", "dm", "cL", "mL"].contains(&unit.symbol())) {
            known.extend([value * from_int(10), value / from_int(10)]);
        }
        if number.unit.is_some() {
            known.extend([60, 100, 1000].map(|by| value * from_int(by)));
            known.extend([60, 100, 1000].map(|by| value / from_int(by)));
        }
        // Tens and ones of a sum that is worked in parts.
        for place in [10, 100, 1000].map(from_int).into_iter().filter(|_| value.is_integer()) {
            let rest = value - (value / &place).floor() * place;
            known.extend([value - &rest, rest]);
        }
        for other in given {
            known.extend([
                value + &other.value,
                (value - &other.value).abs(),
                value * &other.value,
            ]);
            if !other.value.is_zero() {
                known.push(value / &other.value);
            }
        }
    }
    known
}

/// Whether one number could be the other misread: as many digits, one of them changed or two neighbours swapped, or
/// the point moved.
fn is_like(a: &str, b: &str) -> bool {
    let digits = |text: &str| text.chars().filter(char::is_ascii_digit).collect::<Vec<char>>();
    let (x, y) = (digits(a), digits(b));
    if x == y {
        return a != b;
    }
    if x.len() != y.len() {
        return false;
    }
    let apart: Vec<usize> = (0..x.len()).filter(|&at| x[at] != y[at]).collect();
    match apart[..] {
        [_] => true,
        [i, j] => x[i] == y[j] && x[j] == y[i],
        _ => false,
    }
}

/// Whether a part of a hundred is written with its point in another place: 0.06 for 60%.
fn is_moved(percent: &Rational, value: &Rational) -> bool {
    let part = percent * hundredth();
    let ten = from_int(10);
    !value.is_zero()
        && (&part / value == ten || &part / value == &ten * &ten || value / &part == ten)
}

fn replaced(text: &str, number: &Number, meant: &str) -> String {
    let end = number.at + number.written.len();
    format!("{}{meant}{}", &text[..number.at], &text[end..]).trim().to_owned()
}

/// Two texts of the same measured things, such as a question and the labels of its picture, which differ in one
/// number: the number there, and the number here.
pub(super) fn differing(asked: &str, shown: &str) -> Option<(String, String)> {
    let asked = numbers(asked);
    let shown = numbers(shown);
    if asked.len() < 2 || shown.len() < 2 {
        return None;
    }
    let has = |all: &[Number], one: &Number| all.iter().any(|other| other.value == one.value);
    let only_asked: Vec<&Number> = asked.iter().filter(|one| !has(&shown, one)).collect();
    let only_shown: Vec<&Number> = shown.iter().filter(|one| !has(&asked, one)).collect();
    match (&only_asked[..], &only_shown[..]) {
        ([a], [b]) if a.unit == b.unit => Some((a.written.clone(), b.written.clone())),
        _ => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;

    fn told(prompt: &str, working: &[&str]) -> Option<String> {
        let place = Spot::default();
        let mut task = Task::asking(place, prompt);
        task.working = working.iter().map(|&text| Placed { place, text: text.into() }).collect();
        look(&task).map(|spotted| spotted.finding.says)
    }

    #[test]
    #[rustfmt::skip]
    fn a_number_that_changes_is_found() {
        let says = |a: &str, b: &str| Some(format!("The question gives {a}; here it is {b}."));
        assert_eq!(told("Hana fills 24 jars and sells 7. How many are left?", &["42 - 7 = 35"]), says("24", "42"));
        assert_eq!(told("A frame weighs 3.5 kg. What do 4 weigh?", &["4 × 35 = 140"]), says("3.5", "35"));
        assert_eq!(told("Share 120 g between 8 jars.", &["$126 \\div 8 = 15.75$"]), says("120", "126"));
    }

    #[test]
    #[rustfmt::skip]
    fn what_was_worked_out_is_no_change() {
        assert_eq!(told("Hana fills 24 jars and sells 7. How many are left?", &["24 - 7 = 17"]), None);
        assert_eq!(told("Share 20 jars in the ratio 2:3.", &["2 + 3 = 5", "20 ÷ 5 = 4", "4 × 2 = 8 and 4 × 3 = 12"]), None);
        assert_eq!(told("A coat of 40 crowns is 25% off.", &["0.75 × 40 = 30"]), None);
        assert_eq!(told("Two angles of a triangle are 50° and 60°.", &["180 - 110 = 70"]), None);
        assert_eq!(told("Add 46 and 38.", &["40 + 30 = 70", "6 + 8 = 14", "70 + 14 = 84"]), None);
    }

    #[test]
    fn a_picture_that_shows_another_number_is_told() {
        assert_eq!(
            differing("sides of 3 cm, 4 cm and 5 cm", "3 cm 4 cm 6 cm"),
            Some(("5".into(), "6".into()))
        );
        assert_eq!(differing("sides of 3 cm and 4 cm", "3 cm 4 cm x"), None);
    }
}
