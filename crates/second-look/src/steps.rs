//! Workings and answers of problems that we can work ourselves: every line is judged as on the Step Desk.

use super::reading::{formulas, line_of, words_only};
use super::task::{Placed, Task};
use super::{Finding, Kind, Spotted, reading};
use algebra::Line;
use algebra::write::text_line;
use desk::{DeskLine, judge};
use skills::ladder::Rung;
use skills::typed::rung::rung;
use teaching::skill::Stage;
use teaching::verdict::VerdictWord;

/// Words that ask for a working and say nothing else about it.
const PLAIN_WORDS: &[&str] = &[
    "solve",
    "find",
    "work",
    "out",
    "calculate",
    "compute",
    "evaluate",
    "simplify",
    "expand",
    "factorise",
    "factorize",
    "factor",
    "the",
    "equation",
    "expression",
    "for",
    "value",
    "of",
    "completely",
    "fully",
    "and",
    "check",
    "your",
    "answer",
    "answers",
    "in",
    "lowest",
    "terms",
    "give",
    "as",
    "a",
    "fraction",
    "exact",
    "exactly",
    "simplest",
    "form",
    "what",
    "is",
    "step",
    "by",
    "show",
    "working",
    "each",
    "following",
    "below",
    "using",
    "inequality",
    "sum",
    "difference",
    "product",
    "quotient",
    "question",
    "problem",
    "example",
    "exercise",
    "now",
    "all",
    "real",
    "solutions",
    "numbers",
    "write",
    "mixed",
    "number",
    "result",
    "let",
    "us",
    "this",
    "task",
];

/// Lines that break, drop a solution or add one, and an answer that is none.
pub(super) fn look(task: &Task) -> Vec<Spotted> {
    if reading::is_in_doubt(&task.prompt.text) {
        return Vec::new();
    }
    let lines = working_lines(task);
    let Some(rung) = problem(task, &lines) else { return Vec::new() };
    let is_answered = task.answer.as_ref().and_then(|answer| answer_line(&rung, &answer.text));
    let mut found = Vec::new();
    // A side calculation is none of the lines that follow from each other.
    let is_value = line_of(&rung.line).is_none_or(|line| matches!(line, Line::Expression(_)));
    let belongs = |line: &Line| match line {
        Line::Expression(_) => is_value,
        Line::Relations { relations, .. } if is_value => {
            relations.iter().all(|relation| ["=", "≈"].contains(&relation.sign()))
        }
        _ => !is_value,
    };
    let lines: Vec<(&Placed, Line)> = lines.into_iter().filter(|(_, line)| belongs(line)).collect();
    let desk: Vec<DeskLine> = lines.iter().map(|(_, line)| desk_line(line)).collect();
    for ((placed, _), judged) in lines.iter().zip(judge(&rung, &desk).lines) {
        // A question may ask for one of several solutions.
        let asks_for_one = reading::has_any(
            &task.prompt.text,
            &[
                "positive", "negative", "smaller", "larger", "greater", "least", "smallest",
                "largest", "acute", "obtuse",
            ],
        );
        if let Some(says) = broken(judged.verdict.word)
            && !(asks_for_one && judged.verdict.word == VerdictWord::DropsSolution)
        {
            let says = format!("{says} {}", judged.verdict.says).trim().to_owned();
            found.push(Spotted {
                place: placed.place,
                finding: Finding::new(Kind::FalseStep, placed.text.trim(), says),
            });
            // What comes after a broken line hangs on it.
            return found;
        }
    }
    let is_exact = !rung.answer.text.contains('≈');
    if let (true, Some(line), Some(answer)) = (is_exact, is_answered, &task.answer) {
        let judged = judge(&rung, &[desk_line(&line)]).lines;
        let is_wrong = judged.first().is_some_and(|judged| broken(judged.verdict.word).is_some());
        if is_wrong {
            let says = format!("Worked out, it is {}.", rung.answer.text);
            let finding = Finding::new(Kind::FalseStep, answer.text.trim(), says)
                .mended(plain_mend(answer, &rung));
            found.push(Spotted { place: answer.place, finding });
        }
    }
    found
}

/// The right answer, where a bare value stands there in plain typing.
fn plain_mend(answer: &Placed, rung: &Rung) -> Option<String> {
    let is_bare = !answer.text.contains('$') && !answer.text.contains(char::is_alphabetic);
    (is_bare && !rung.answer.text.contains(char::is_alphabetic)).then(|| rung.answer.text.clone())
}

fn desk_line(line: &Line) -> DeskLine {
    DeskLine { text: text_line(line), latex: false }
}

/// What is said of a line that does not hold.
fn broken(word: VerdictWord) -> Option<&'static str> {
    match word {
        VerdictWord::Breaks => Some("This does not follow from what stands before it."),
        VerdictWord::DropsSolution => Some("A solution is lost here."),
        VerdictWord::AddsSolution => {
            Some("A solution is gained here that the problem does not have.")
        }
        _ => None,
    }
}

/// The problem as one that we can work, where its words ask for nothing beyond it.
fn problem(task: &Task, lines: &[(&Placed, Line)]) -> Option<Rung> {
    let prompt = &task.prompt.text;
    let last =
        reading::sentences(prompt).into_iter().rev().find(|sentence| reading::asks(sentence));
    let asked = reading::without_label(last.unwrap_or(prompt));
    let plain = asked.replace('$', " ");
    let plain = plain.trim().trim_end_matches(['?', '.', ':', '!']).trim();
    let maths = formulas(prompt);
    let is_plain = words_only(prompt)
        .split(|sign: char| !sign.is_alphabetic())
        .all(|word| word.len() < 2 || PLAIN_WORDS.contains(&word.to_lowercase().as_str()));
    // `Work out 55% of 560`: a number beside the formula belongs to the problem.
    let is_whole = reading::numbers(&words_only(reading::without_label(prompt))).is_empty();
    if let ([math], true) = (&maths[..], is_plain && is_whole) {
        let line = line_of(&format!("${math}$"))?;
        let bid = ["expand", "factorise", "factorize", "factor", "simplify"]
            .into_iter()
            .find(|bid| reading::has_word(asked, bid));
        let bid = bid.map(|bid| if bid == "factorize" { "factorise" } else { bid });
        let typed = format!("{} {}", bid.unwrap_or_default(), text_line(&line));
        return rung(typed.trim(), None, Stage::Grip).ok();
    }
    // Several equations that hold together.
    if (2..=3).contains(&maths.len()) && (is_plain || reading::has_word(prompt, "system")) {
        let all: Vec<Line> =
            maths.iter().filter_map(|math| line_of(&format!("${math}$"))).collect();
        if all.len() == maths.len() && all.iter().all(|line| line.as_equation().is_some()) {
            let typed = all.iter().map(text_line).collect::<Vec<_>>().join("; ");
            return rung(&typed, None, Stage::Grip).ok();
        }
    }
    if maths.is_empty()
        && let Ok(found) = rung(plain, None, Stage::Grip)
    {
        return Some(found);
    }
    // `Solve 3x + 5 = 20`: the mathematics behind its first words.
    let mut rest = plain;
    while maths.is_empty() {
        if let Some(line) = line_of(rest)
            && rest.contains(|sign: char| sign.is_ascii_digit())
        {
            return rung(&text_line(&line), None, Stage::Grip).ok();
        }
        let (word, after) = rest.split_once(' ')?;
        if !PLAIN_WORDS.contains(&word.to_lowercase().trim_end_matches(':')) {
            break;
        }
        rest = after.trim_start();
    }
    if lines.iter().any(|(placed, _)| {
        reading::quantities_of(&placed.text).is_some_and(|line| line.symbols().is_empty())
    }) {
        // Letters that are units are none to be solved for.
        return None;
    }
    // A story: its first equation in a letter is taken as it stands, and what follows must follow.
    let first = lines.iter().map(|(_, line)| line).find(|line| line.as_equation().is_some())?;
    // What a story leaves out by its own sense, as a length below zero, is nothing lost.
    let written = text_line(first);
    let is_linear =
        !["^", "√", "²", "sin", "cos", "tan", "/("].iter().any(|sign| written.contains(sign));
    (is_linear && !first.symbols().is_empty() && !reading::is_solved(first))
        .then(|| rung(&text_line(first), None, Stage::Grip).ok())
        .flatten()
}

/// The lines of the working that are mathematics.
fn working_lines(task: &Task) -> Vec<(&Placed, Line)> {
    let mut found = Vec::new();
    for placed in &task.working {
        if let Some(line) = line_of(&placed.text) {
            found.push((placed, line));
            continue;
        }
        let maths = formulas(&placed.text);
        let parts: Vec<Line> = if maths.is_empty() {
            placed
                .text
                .split(['→', '⇒'])
                .flat_map(|part| part.split("->"))
                .flat_map(|part| part.split("=>"))
                .flat_map(|part| part.split(", so "))
                .filter_map(line_of)
                .collect()
        } else {
            let all: Vec<Line> =
                maths.iter().filter_map(|math| line_of(&format!("${math}$"))).collect();
            let says_or = words_only(&placed.text)
                .split(|sign: char| !sign.is_alphabetic())
                .all(|word| ["", "or", "and"].contains(&word));
            if says_or && all.len() > 1 {
                let joined = all.iter().map(text_line).collect::<Vec<_>>().join(" or ");
                line_of(&joined).into_iter().collect()
            } else {
                all
            }
        };
        let is_line = |line: &Line| matches!(line, Line::Relations { .. } | Line::AnyOf(_));
        found.extend(parts.into_iter().filter(is_line).map(|line| (placed, line)));
    }
    found
}

/// An answer as a line of the problem: `5` answers an equation for x as `x = 5`.
fn answer_line(rung: &Rung, text: &str) -> Option<Line> {
    let maths = formulas(text);
    let line = match &maths[..] {
        [math] if words_only(text).trim().trim_matches('.').is_empty() => {
            line_of(&format!("${math}$"))?
        }
        [] => line_of(text)?,
        // `x = 3, y = 4` and `x = 3 or x = -3`.
        _ => {
            let words = words_only(text).to_lowercase();
            let between = if words.contains("or") { " or " } else { ", " };
            let all: Vec<String> = maths
                .iter()
                .filter_map(|math| line_of(&format!("${math}$")))
                .map(|line| text_line(&line))
                .collect();
            let only = words.split(|sign: char| !sign.is_alphabetic());
            if !only.into_iter().all(|word| ["", "or", "and"].contains(&word)) {
                return None;
            }
            line_of(&all.join(between))?
        }
    };
    match (&line, rung.unknown.as_str()) {
        (Line::Expression(value), letter) if !letter.is_empty() => {
            line_of(&format!("{letter} = {}", algebra::write::text(value)))
        }
        // An approximate answer is judged by its rounding.
        (Line::Relations { relations, .. }, _)
            if relations.iter().any(|relation| relation.sign() == "≈") =>
        {
            None
        }
        _ => Some(line),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;

    fn told(prompt: &str, working: &[&str], answer: &str) -> Vec<String> {
        let place = Spot::default();
        let mut task = Task::asking(place, prompt);
        task.working = working.iter().map(|&text| Placed { place, text: text.into() }).collect();
        task.answer = (!answer.is_empty()).then(|| Placed { place, text: answer.into() });
        look(&task).into_iter().map(|spotted| spotted.finding.found).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn a_line_that_does_not_follow_is_found() {
        assert_eq!(told("Solve $3x + 5 = 20$.", &["$3x = 15$", "$x = 5$"], "x = 5"), [""; 0]);
        assert_eq!(told("Solve $3x + 5 = 20$.", &["$3x = 25$", "$x = 5$"], ""), ["$3x = 25$"]);
        assert_eq!(told("Solve 3x + 5 = 20.", &["3x = 15", "x = 4"], ""), ["x = 4"]);
        assert_eq!(told("Solve $x^2 = 9$.", &["$x = 3$"], ""), ["$x = 3$"]);
        assert_eq!(told("Expand $3(x + 4)$.", &["$3x + 4$"], ""), ["$3x + 4$"]);
        assert_eq!(told("Solve $3x + 5 = 20$.", &[], "6"), ["6"]);
        assert_eq!(told("Work out $\\frac{3}{4} + \\frac{1}{8}$.", &[], "$\\frac{4}{12}$"), ["$\\frac{4}{12}$"]);
        assert_eq!(told("15% of 60", &[], "9"), [""; 0]);
    }

    #[test]
    #[rustfmt::skip]
    fn what_asks_for_more_than_its_mathematics_is_left_alone() {
        assert_eq!(told("Put 3 for $x$ in $2x + 1$.", &[], "7"), [""; 0]);
        assert_eq!(told("Find the slope of $y = 2x + 1$.", &[], "2"), [""; 0]);
        assert_eq!(told("How many are left?", &["24 - 7 = 17"], "17"), [""; 0]);
    }
}
