//! People and places of a story, and whether they keep their names.

use super::reading::{distance, sentences, words_only};
use super::task::Task;
use super::{Finding, Kind, Spotted};

/// Words with a capital that are nobody's name.
const NO_NAMES: &[&str] = &[
    "The",
    "This",
    "That",
    "These",
    "Those",
    "There",
    "Then",
    "They",
    "Their",
    "She",
    "Her",
    "His",
    "How",
    "What",
    "When",
    "Where",
    "Which",
    "Who",
    "Why",
    "Each",
    "Every",
    "All",
    "Altogether",
    "Some",
    "Both",
    "One",
    "Two",
    "Three",
    "Four",
    "Five",
    "Six",
    "Seven",
    "Eight",
    "Nine",
    "Ten",
    "After",
    "Before",
    "Now",
    "Next",
    "Later",
    "First",
    "Second",
    "Last",
    "Find",
    "Solve",
    "Show",
    "Give",
    "Write",
    "Work",
    "Round",
    "Share",
    "Answer",
    "Solution",
    "Working",
    "Question",
    "Problem",
    "Example",
    "Check",
    "Draw",
    "Use",
    "Let",
    "For",
    "From",
    "With",
    "And",
    "But",
    "Not",
    "Yes",
    "Today",
    "Yesterday",
    "Tomorrow",
    "Monday",
    "Tuesday",
    "Wednesday",
    "Thursday",
    "Friday",
    "Saturday",
    "Sunday",
    "January",
    "February",
    "March",
    "April",
    "May",
    "June",
    "July",
    "August",
    "September",
    "October",
    "November",
    "December",
    "Spring",
    "Summer",
    "Autumn",
    "Winter",
    "Year",
    "Grade",
    "Pythagoras",
    "Fibonacci",
    "Euler",
    "Venn",
    "Celsius",
    "English",
    "School",
    "Class",
    "Because",
    "Since",
    "Divide",
    "Multiply",
    "Add",
    "Subtract",
    "Together",
    "Half",
    "Twice",
    "Step",
    "Table",
    "Figure",
    "Picture",
    "Its",
    "Our",
    "Your",
    "Are",
    "Can",
    "Does",
    "Did",
    "Has",
    "Have",
    "Was",
    "Were",
    "Will",
    "Would",
    "Calculate",
    "Explain",
    "Area",
    "Perimeter",
    "Time",
    "Distance",
    "Total",
    "Cost",
    "Ratio",
    "Hence",
    "Therefore",
    "Thus",
    "Also",
    "Only",
];

/// What somebody does who stands at the start of a sentence.
const DEEDS: &[&str] = &[
    "has",
    "had",
    "buys",
    "bought",
    "gives",
    "gave",
    "puts",
    "walks",
    "walked",
    "runs",
    "ran",
    "saves",
    "saved",
    "earns",
    "sells",
    "sold",
    "makes",
    "made",
    "picks",
    "picked",
    "collects",
    "collected",
    "fills",
    "filled",
    "needs",
    "wants",
    "reads",
    "read",
    "drives",
    "drove",
    "cycles",
    "pays",
    "paid",
    "eats",
    "ate",
    "shares",
    "shared",
    "is",
    "was",
    "counts",
    "counted",
    "carries",
    "carried",
    "bakes",
    "baked",
    "cuts",
    "cut",
    "and",
    "plants",
    "planted",
    "spends",
    "spent",
    "gets",
    "got",
    "takes",
    "took",
    "weighs",
    "measures",
    "measured",
    "throws",
    "draws",
    "thinks",
    "says",
    "works",
    "worked",
    "finds",
    "found",
    "keeps",
    "kept",
    "visits",
    "visited",
    "lives",
    "scores",
    "scored",
    "pours",
    "uses",
    "used",
    "loses",
    "lost",
    "wins",
    "won",
    "borrows",
    "lends",
    "packs",
    "packed",
    "stands",
];

/// A name with where it first stands.
#[derive(Debug, PartialEq, Eq)]
struct Named<'a> {
    name: &'a str,
    sentence: usize,
    /// Whether it can be nothing else.
    is_certain: bool,
}

/// The names of a text, in the order in which they come.
fn names(text: &str) -> Vec<Named<'_>> {
    let mut found: Vec<Named> = Vec::new();
    for (index, sentence) in sentences(text).into_iter().enumerate() {
        let words: Vec<&str> = sentence.split_whitespace().collect();
        for (at, word) in words.iter().enumerate() {
            let bare = word.trim_matches(|sign: char| !sign.is_alphabetic());
            let bare = bare.split(['\'', '’', '-']).next().unwrap_or(bare);
            let mut letters = bare.chars();
            let is_name = letters.next().is_some_and(char::is_uppercase)
                && bare.chars().count() >= 3
                && letters.all(char::is_lowercase)
                && !NO_NAMES.contains(&bare);
            if !is_name {
                continue;
            }
            let is_possessive = word.contains("'s") || word.contains("’s");
            let next = words.get(at + 1).copied().unwrap_or_default();
            let begins = at == 0 || words[at - 1].ends_with([':', '"', '“']);
            // At the start of a sentence any word has a capital: what it does tells whether it is somebody.
            let is_certain = !begins || is_possessive || DEEDS.contains(&next);
            let may_do = next.len() > 3 && next.ends_with('s') && !bare.ends_with('s');
            if !is_certain && !may_do {
                continue;
            }
            match found.iter_mut().find(|known| known.name == bare) {
                Some(known) => known.is_certain |= is_certain,
                None => found.push(Named { name: bare, sentence: index, is_certain }),
            }
        }
    }
    found
}

/// A name that changes inside a story, or between a story and its answer.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let prompt = words_only(&task.prompt.text);
    let known = names(&prompt);
    if let Some((found, says, mend)) = within(&prompt, &known) {
        let finding = Finding::new(Kind::NameChanged, found, says).mended(Some(mend));
        return Some(Spotted { place: task.prompt.place, finding });
    }
    if known.is_empty() {
        return None;
    }
    for reply in task.replies() {
        let words = words_only(&reply.text);
        for other in names(&words) {
            if known.iter().any(|one| one.name == other.name) {
                continue;
            }
            let near = known.iter().find(|one| are_near(one.name, other.name));
            // Whoever answers the question is somebody of the story.
            let is_subject = words.trim_start().starts_with(other.name)
                && !known.iter().any(|one| words.contains(one.name));
            if let Some(meant) = near.or(known
                .first()
                .filter(|one| is_subject && one.is_certain && other.is_certain && known.len() == 1))
            {
                let says =
                    format!("The question is about {}; here it is {}.", meant.name, other.name);
                let finding = Finding::new(Kind::NameChanged, other.name, says)
                    .mended(Some(meant.name.to_owned()));
                return Some(Spotted { place: reply.place, finding });
            }
        }
    }
    None
}

/// A name that changes in a text by itself: the words, why, and the mend.
pub(super) fn within_text(text: &str) -> Option<Finding> {
    let words = words_only(text);
    let (found, says, mend) = within(&words, &names(&words))?;
    Some(Finding::new(Kind::NameChanged, found, says).mended(Some(mend)))
}

fn within(text: &str, known: &[Named]) -> Option<(String, String, String)> {
    // Two names that differ by a letter are one name misspelt, unless both are told to be there.
    for (at, other) in known.iter().enumerate() {
        let both = |a: &str, b: &str| {
            text.contains(&format!("{a} and {b}")) || text.contains(&format!("{b} and {a}"))
        };
        let near = known[..at].iter().find(|one| {
            are_near(one.name, other.name)
                && one.sentence != other.sentence
                && !both(one.name, other.name)
        });
        if let Some(meant) = near {
            let says = format!("{} is called {} here.", meant.name, other.name);
            return Some((other.name.to_owned(), says, meant.name.to_owned()));
        }
    }
    // The question asks about somebody who is not in the story, and about nobody who is.
    let all = sentences(text);
    let asked = all.iter().position(|sentence| sentence.ends_with('?')).filter(|&at| at > 0)?;
    let story: Vec<&Named> = known.iter().filter(|one| one.sentence < asked).collect();
    let [only] = story[..] else { return None };
    if !only.is_certain {
        return None;
    }
    let question = all[asked];
    let stranger = known.iter().find(|one| one.sentence == asked)?;
    let asks_about =
        ["does ", "did ", "has ", "is ", "will ", "can ", "must ", "do ", "should ", "had "]
            .iter()
            .any(|word| question.contains(&format!("{word}{}", stranger.name)));
    let is_place = ["in ", "at ", "to ", "from "].iter().any(|word| {
        question.contains(&format!("{word}{}", stranger.name))
            && text.contains(&format!("{word}{}", only.name))
    });
    if (asks_about || is_place) && !question.contains(only.name) {
        let says =
            format!("The story is about {}; the question is about {}.", only.name, stranger.name);
        return Some((stranger.name.to_owned(), says, only.name.to_owned()));
    }
    None
}

/// Whether one name is probably the other misspelt.
fn are_near(a: &str, b: &str) -> bool {
    let shorter = a.chars().count().min(b.chars().count());
    let far = distance(&a.to_lowercase(), &b.to_lowercase());
    far == 1 && shorter >= 3 || far == 2 && shorter >= 7
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;
    use crate::task::Placed;

    fn told(prompt: &str, answer: &str) -> Option<(String, Option<String>)> {
        let place = Spot::default();
        let mut task = Task::asking(place, prompt);
        task.answer = (!answer.is_empty()).then(|| Placed { place, text: answer.into() });
        look(&task).map(|spotted| (spotted.finding.found, spotted.finding.mend))
    }

    #[test]
    #[rustfmt::skip]
    fn a_name_that_changes_is_found() {
        let put = |found: &str, mend: &str| Some((found.to_owned(), Some(mend.to_owned())));
        assert_eq!(told("Hana has 12 jars. She sells 5. How many does Hanna have left?", ""), put("Hanna", "Hana"));
        assert_eq!(told("Hana has 12 jars. She sells 5. How many does Tomas have left?", ""), put("Tomas", "Hana"));
        assert_eq!(told("Hana has 12 jars and sells 5. How many are left?", "Tomas has 7 jars left."), put("Tomas", "Hana"));
        assert_eq!(told("The stall in Larkmoor opens at 9. How long is the way to the stall in Larkmore?", ""), put("Larkmore", "Larkmoor"));
    }

    #[test]
    #[rustfmt::skip]
    fn people_who_are_told_of_are_left_alone() {
        for prompt in [
            "Hana has 12 jars. Tomas has twice as many. How many does Tomas have?",
            "Mira and Mina share 12 jars. How many does each get?",
            "How many jars must Hana give to Tomas?",
            "Altogether there are 12 jars. Half of them are sold. How many are left?",
            "On Monday Hana fills 3 jars. On Tuesday she fills 5. How many does Hana fill?",
        ] { assert_eq!(told(prompt, ""), None, "{prompt}"); }
        assert_eq!(told("Hana has 12 jars and sells 5. How many are left?", "Hana has 7 left."), None);
    }
}
