//! Short stories with an unknown: consecutive numbers, sides of a rectangle, a number that was thought of.

use super::{Answer, Found, Recognised, TaskKind, Told};
use crate::algebra::equations_linear;
use crate::typed::text::{Amount, Loose, Measure, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{Signed, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const LINEAR: (&str, MethodId) = ("equations.linear", equations_linear::method::BALANCE);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(LINEAR, &[
        "two|three|four|five consecutive whole? numbers|integers add|sum|total|adding up? to? # ..",
        "find? two|three|four|five consecutive whole? numbers|integers which|that|whose|with add|sum|total|adding is|of|up? to? #",
        "sum of two|three|four|five consecutive whole? numbers|integers is # find|what them|are|numbers|integers? they|numbers? them?",
        "two|three|four|five consecutive whole? numbers|integers add up? to # find|what them|are|numbers? they|numbers?",
        "two|three|four|five consecutive whole? numbers|integers have? sum? to|of|is # find|what them|are|numbers? they|numbers?",
        "two|three|four|five consecutive whole? numbers|integers that add|sum|total up? to? #",
        "two|three|four|five consecutive whole? numbers|integers with sum #",
        "two|three|four|five consecutive whole? numbers|integers whose sum is #",
        "sum of two|three|four|five consecutive whole? numbers|integers is #",
        "two|three|four|five consecutive whole? numbers|integers total # find|what them|are|numbers? they|numbers?",
    ], |f| consecutive(f, 1)),
    TaskKind::of(LINEAR, &[
        "sum of two|three|four|five consecutive even|odd numbers|integers is # find|what them|are|numbers? they|numbers?",
        "two|three|four|five consecutive even|odd numbers|integers add|sum|total up? to? # find? them?",
        "two|three|four|five consecutive even|odd numbers|integers whose|with sum is|of? #",
        "sum of two|three|four|five consecutive even|odd numbers|integers is #",
    ], |f| consecutive(f, 2)),
    TaskKind::of(LINEAR, &[
        "rectangle is twice|double|three|four times? as long as it|its is? wide|width and its perimeter is # find|what is? its? width|length|dimensions|sides",
        "rectangle is twice|double|three|four times? as long as it|its is? wide|width perimeter is? # find|what is? its? width|length|dimensions|sides",
        "length of rectangle is twice|double|three|four times? its width perimeter|and is|its|perimeter? perimeter|is|#? is? #? find|what is? its? width|length|dimensions|sides",
        "length of rectangle is twice|double|three|four times? its width perimeter is # find width|length|dimensions|sides",
        "length of rectangle is twice|double|three|four times? its width and perimeter is # find its? width|length|dimensions|sides",
        "rectangle length is? twice|double|three|four times? width perimeter is? # find its? width|length|dimensions",
    ], rectangle),
    TaskKind::of(LINEAR, &[
        "rectangle is # longer than it is wide and? its? perimeter is # find|what is? its? width|length|dimensions",
        "length of rectangle is # more|longer than its width and? its? perimeter is # find|what is? its? width|length|dimensions",
        "rectangle length is # more|longer than width perimeter is? # find its? width|length|dimensions",
        "rectangle's length is # more|longer than its width and? its? perimeter is # find|what is? its? width|length|dimensions",
        "rectangle has? perimeter of? # and? its? length is # more|longer than its? width find|what is? its? width|length|dimensions",
    ], longer_rectangle),
    TaskKind::of(LINEAR, &[
        "i? think of number double|treble|triple it and? add|subtract # answer|result|and|i|get is|get|answer|result? is? # find|what is? number|my?",
        "i? think|thinking|thought of number i? double|doubled|treble|triple|tripled? it? and? i? then? add|added|subtract|subtracted # my? answer|result|i? i? get|got|is|was? is|was? # what|find|work out? is|was? my|i? number",
        "i think of number multiply it by # and? add|subtract # answer|result|i|get is|get # find|what is? number|my? number?",
        "i think of number i? multiply it? by # and? then? add|subtract # my|the|i? answer|result|get is? # what|find is|was? my|the? number",
        "i think of number double|treble|triple it and? then? add|subtract # my|i? answer|result|get is? # what|find is|was? my? number",
        "think of number multiply by # add|subtract # get # what|find is|was? number",
        "twice|double|treble|triple number plus|add|minus|subtract # is|gives|equals # find|what is? number",
        ".. think|thinking|thought of number .. multiply|multiplied|times|multiplies it? by # and? then? add|added|subtract|subtracted|adds|subtracts|take|away # .. # ..",
        ".. think|thinking|thought of number .. double|doubled|doubles|treble|triple it? and? then? add|added|subtract|subtracted|adds|subtracts # .. # ..",
        "# times number plus|minus # is|equals # find|what is? number",
    ], thought_of),
    TaskKind::of(LINEAR, &[
        "i? think of number add|subtract # answer|and|i|get is|get|answer? is? # what|find is|was? number|my? number?",
        "number plus|minus # is|equals # find|what is? number", "number increased|decreased by # is # find|what is? number",
        "# more|less than number is # find|what is? number", "what number plus|minus # is|equals|makes|gives #",
        "what number do|must you add|i to? # to make|get #",
    ], shifted_number),
    TaskKind::of(LINEAR, &[
        "_ is # years? older|younger|taller|heavier|more|less than _ and? their|the? ages|heights|sum|total? ages? add|is|total|sum up|of? to|is? # how|find|what old|is? is? _ age?",
        "_ is # years? older|younger than _ sum|total of their ages is # how|find|what old|is? is? _ age?",
        "_ has # more|fewer|less _ than _ together|altogether they have # how many does _ have",
        "_ has # more|fewer|less than _ together|altogether they have # how many|much does _ have",
    ], two_people),
    TaskKind::of(LINEAR, &[
        "sum of two numbers is # and? their|the? difference is # find|what them|are|numbers? they|numbers?",
        "two numbers add up? to|have # and|a? have|differ|sum|difference? difference|by|of|a? of|is? # find|what them|are|numbers? they|numbers?",
        "two numbers have? sum of? # and difference of? # find|what them|are|numbers? they|numbers?",
        "two numbers whose sum is # and difference is #", "two numbers with|have sum # and difference #",
        "two numbers add up? to # and differ by # find|what them|are|numbers? they|numbers?",
    ], sum_and_difference),
];

fn count_named(word: &str) -> Option<i64> {
    match word {
        "two" | "twice" | "double" => Some(2),
        "three" | "treble" | "triple" => Some(3),
        "four" => Some(4),
        "five" => Some(5),
        _ => None,
    }
}

/// "find" for its word, so that patterns may say "what" or "find".
fn named_count(found: &Found) -> Option<i64> {
    found.words.iter().find_map(|word| count_named(word))
}

fn bare(amount: &Amount) -> bool {
    !amount.is_percent && !amount.is_of_pi
}

/// ax + b = c, line by line.
fn linear(lines: Lines, a: &Rational, b: &Rational, c: &Rational) -> Option<(Lines, Rational)> {
    if a.is_zero() {
        return None;
    }
    let rest = c - b;
    let value = &rest / a;
    let front = if *a == from_int(1) { "n".to_owned() } else { format!("{}n", written(a)) };
    let mut lines = lines;
    if !b.is_zero() {
        let (word, size) = if b.is_positive() { ("Subtract", b.clone()) } else { ("Add", -b) };
        lines = lines.then(
            &format!("{front} = {}", written(&rest)),
            format!("{word} {} on both sides", written(&size)),
        );
    }
    let lines = lines
        .then(&format!("n = {}", written(&value)), format!("Divide both sides by {}", written(a)));
    Some((lines, value))
}

fn plus(b: &Rational) -> String {
    match b {
        b if b.is_zero() => String::new(),
        b if b.is_negative() => format!(" - {}", written(&-b)),
        b => format!(" + {}", written(b)),
    }
}

fn consecutive(found: &Found, step: i64) -> Option<Told> {
    let (count, total) = (named_count(found)?, found.numbers.first()?);
    let parity = found.words.iter().find(|word| matches!(word.as_str(), "even" | "odd"));
    let terms: Vec<String> = (0..count)
        .map(|at| if at == 0 { "n".to_owned() } else { format!("(n + {})", at * step) })
        .collect();
    let rest = from_int((0..count).map(|at| at * step).sum());
    let lines = Lines::default()
        .say("Let n be the smallest number.", "What the letter stands for")
        .begin(&format!("{} = {}", terms.join(" + "), total.text), "Their sum")
        .then(&format!("{count}n{} = {}", plus(&rest), total.text), "Collect");
    let (lines, first) = linear(lines, &from_int(count), &rest, &total.value)?;
    let fits = first.is_integer()
        && parity.is_none_or(|word| {
            (first.to_integer() % algebra::number::Integer::from(2)
                == algebra::number::Integer::from(0))
                == (word == "even")
        });
    let kind = parity.map_or(String::new(), |word| format!("{word} "));
    let says = format!("{count} consecutive {kind}numbers with sum {}", total.text);
    if !fits {
        let lines =
            lines.end(format!("That is no {}whole number: there are no such numbers.", kind));
        return Some(Told::lines(says, lines, Answer::words("there are none")));
    }
    let all: Vec<String> = (0..count).map(|at| written(&(&first + from_int(at * step)))).collect();
    let listed = all.join(", ");
    let lines = lines.end(format!("The numbers are {listed}."));
    Some(Told::lines(says, lines, Answer { value: String::new(), ..Answer::words(listed) }))
}

/// Width and length with the perimeter: what is asked, in its unit.
fn sides_told(
    found: &Found,
    lines: Lines,
    width: Rational,
    length: Rational,
    unit: Option<&Measure>,
    says: String,
) -> Option<Told> {
    if !width.is_positive() {
        return None;
    }
    let amount = |value: Rational| Amount { unit: unit.cloned(), ..Amount::of(value) };
    let (width, length) = (amount(width), amount(length));
    let asked = found
        .words
        .iter()
        .rev()
        .find(|word| matches!(word.as_str(), "width" | "length" | "dimensions" | "sides"))?;
    let lines = lines.end(format!("It is {} wide and {} long.", width.shown(), length.shown()));
    let answer = match asked.as_str() {
        "width" => super::quantity(&width),
        "length" => super::quantity(&length),
        _ => Answer::words(format!("{} by {}", width.shown(), length.shown())),
    };
    Some(Told::lines(says, lines, Answer { value: String::new(), ..answer }))
}

fn rectangle(found: &Found) -> Option<Told> {
    let (times, perimeter) = (named_count(found)?, found.numbers.first()?);
    let [_] = &found.numbers[..] else { return None };
    let lines = Lines::default()
        .say(format!("Let n be the width; the length is {times}n."), "What the letter stands for")
        .begin(
            &format!("2(n + {times}n) = {}", perimeter.text),
            "Twice width and length make the perimeter",
        )
        .then(&format!("{}n = {}", 2 * (times + 1), perimeter.text), "Collect");
    let (lines, width) = linear(lines, &from_int(2 * (times + 1)), &from_int(0), &perimeter.value)?;
    let length = &width * from_int(times);
    sides_told(
        found,
        lines,
        width,
        length,
        perimeter.unit.as_ref(),
        format!("A rectangle {times} times as long as wide, perimeter {}", perimeter.shown()),
    )
}

fn longer_rectangle(found: &Found) -> Option<Told> {
    let [more, perimeter] = found.amounts()?;
    let more_value = match (&more.unit, &perimeter.unit) {
        (Some(_), Some(unit)) => more.value_in(unit)?,
        (None, None) => more.value.clone(),
        _ => return None,
    };
    let rest = &more_value * from_int(2);
    let lines = Lines::default()
        .say(
            format!("Let n be the width; the length is n + {}.", written(&more_value)),
            "What the letter stands for",
        )
        .begin(
            &format!("2(n + n + {}) = {}", written(&more_value), perimeter.text),
            "Twice width and length make the perimeter",
        )
        .then(&format!("4n{} = {}", plus(&rest), perimeter.text), "Multiply out and collect");
    let (lines, width) = linear(lines, &from_int(4), &rest, &perimeter.value)?;
    let length = &width + &more_value;
    sides_told(
        found,
        lines,
        width,
        length,
        perimeter.unit.as_ref(),
        format!("A rectangle {} longer than wide, perimeter {}", more.shown(), perimeter.shown()),
    )
}

/// "I think of a number, double it and add 3. The answer is 11."
fn thought_of(found: &Found) -> Option<Told> {
    let (times, add, total) = match &found.numbers[..] {
        [times, add, total] => (times.value.clone(), add, total),
        [add, total] => (from_int(named_count(found)?), add, total),
        _ => return None,
    };
    if !bare(add) || !bare(total) {
        return None;
    }
    let takes = found.words.iter().any(|word| matches!(word.as_str(), "subtract" | "minus"));
    let rest = if takes { -add.value.clone() } else { add.value.clone() };
    let lines = Lines::default().say("Let n be the number.", "What the letter stands for").begin(
        &format!("{}n{} = {}", written(&times), plus(&rest), total.text),
        "What is told, as an equation",
    );
    let (lines, value) = linear(lines, &times, &rest, &total.value)?;
    let shown = written(&value);
    let lines = lines.end(format!("The number is {shown}."));
    Some(Told::lines(
        format!("A number: {} times it{} is {}", written(&times), plus(&rest), total.text),
        lines,
        Answer::value(shown),
    ))
}

fn shifted_number(found: &Found) -> Option<Told> {
    let [add, total] = found.amounts()?;
    let takes = found
        .words
        .iter()
        .any(|word| matches!(word.as_str(), "subtract" | "minus" | "decreased" | "less"));
    let rest = if takes { -add.value.clone() } else { add.value.clone() };
    let lines = Lines::default()
        .say("Let n be the number.", "What the letter stands for")
        .begin(&format!("n{} = {}", plus(&rest), total.text), "What is told, as an equation");
    let value = &total.value - &rest;
    let (word, size) =
        if rest.is_positive() { ("Subtract", rest.clone()) } else { ("Add", -rest.clone()) };
    let shown = written(&value);
    let lines = lines
        .then(&format!("n = {shown}"), format!("{word} {} on both sides", written(&size)))
        .end(format!("The number is {shown}."));
    Some(Told::lines(
        format!("A number: it{} is {}", plus(&rest), total.text),
        lines,
        Answer::value(shown),
    ))
}

/// So much more or less than so many times a number: "2 more than 5 times a number is 27".
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    const KNOWN: &[&str] = &[
        "a", "the", "is", "find", "what", "more", "less", "than", "times", "number", "it", "are",
        "my", "work", "out", "gives", "equals", "equal", "to", "same", "as", "result", "answer",
        "if",
    ];
    if !told.words.iter().all(|word| KNOWN.contains(word)) {
        return None;
    }
    let [(i, add), (j, times), (_, total)] = told.numbers[..] else { return None };
    let takes = told.word(i + 1) == Some("less");
    let is_shift =
        matches!(told.word(i + 1), Some("more" | "less")) && told.word(i + 2) == Some("than");
    if !is_shift || told.word(j + 1) != Some("times") {
        return None;
    }
    let words = if takes { vec!["subtract".to_owned()] } else { Vec::new() };
    let found = Found { words, ..Loose::of_numbers(&[times, add, total]) };
    Some((KINDS.first()?, thought_of(&found)?))
}

fn sum_and_difference(found: &Found) -> Option<Told> {
    let [sum, difference] = found.amounts()?;
    if !bare(sum) || !bare(difference) {
        return None;
    }
    let (x, y) = (
        (&sum.value + &difference.value) / from_int(2),
        (&sum.value - &difference.value) / from_int(2),
    );
    let (x, y) = (written(&x), written(&y));
    let lines = Lines::default()
        .say("Let x be the larger number and y the smaller.", "What the letters stand for")
        .begin(
            &format!("x + y = {}; x - y = {}", sum.text, difference.text),
            "What is told, as equations",
        )
        .then(
            &format!("x = {x}; y = {y}"),
            "Half of the sum and the difference together is x; the rest is y",
        )
        .end(format!("The numbers are {x} and {y}."));
    Some(Told::lines(
        format!("Two numbers with sum {} and difference {}", sum.text, difference.text),
        lines,
        Answer { value: String::new(), ..Answer::words(format!("{x} and {y}")) },
    ))
}

/// "Tom is 5 years older than Ann; together they are 31. How old is Ann?"
fn two_people(found: &Found) -> Option<Told> {
    let [more, total] = found.amounts()?;
    let names: Vec<String> = found.names.iter().map(|name| name.to_lowercase()).collect();
    let (first, second, asked) = match &names[..] {
        [first, second, asked] | [first, _, second, asked] => (first, second, asked),
        _ => return None,
    };
    let difference = if found.says(&["younger", "fewer", "less"]) {
        -more.value.clone()
    } else {
        more.value.clone()
    };
    let lines = Lines::default()
        .say(
            format!("Let n stand for {second}; then {first} has n{}.", plus(&difference)),
            "What the letter stands for",
        )
        .begin(&format!("n + (n{}) = {}", plus(&difference), total.text), "Both together")
        .then(&format!("2n{} = {}", plus(&difference), total.text), "Collect");
    let (lines, value) = linear(lines, &from_int(2), &difference, &total.value)?;
    let value = match asked {
        asked if asked == second => value,
        asked if asked == first => value + difference,
        _ => return None,
    };
    let shown = written(&value);
    let lines = lines.end(format!("It is {shown} for {asked}."));
    let says = format!(
        "{first} and {second}, {} apart, {} together: {asked}",
        more.shown(),
        total.shown()
    );
    Some(Told::lines(says, lines, Answer { value: String::new(), ..Answer::value(shown) }))
}
