//! Answers in words: `true`, `even`, `a ruler`, told alone or in a sentence.

use super::sentence::{turns, words};

/// Words that say yes, and words that say no.
const YES: &[&str] = &["true", "yes", "right", "correct"];
const NO: &[&str] = &["false", "no", "wrong", "incorrect", "untrue"];

/// Words that may stand around an answer and say nothing themselves.
const AROUND: &[&str] = &[
    "it", "is", "its", "it's", "the", "a", "an", "answer", "this", "that", "so", "they", "are",
    "i", "think", "say", "would", "use", "take", "best", "fits", "my", "one", "in", "we", "he",
    "she", "takes", "uses", "choose", "solution", "must", "be", "that's", "both",
];

/// Whether two texts are the same but for spaces, capitals and a full stop.
pub(super) fn is_same(text: &str, other: &str) -> bool {
    let plain = |text: &str| {
        let text = text.trim().trim_end_matches('.');
        text.split_whitespace().collect::<Vec<_>>().join(" ").to_lowercase()
    };
    plain(text) == plain(other)
}

/// Whether more than mathematics stands in a text.
pub(super) fn has_words(text: &str) -> bool {
    words(text).any(|word| {
        let letters = word.chars().filter(|c| c.is_alphabetic()).count();
        letters > 1 && !matches!(word.as_str(), "or" | "and")
    })
}

/// Whether a text tells the answer in words, and nothing else.
pub(super) fn tells(text: &str, answer: &str) -> bool {
    // Signs count where numbers stand.
    if answer.chars().any(|c| c.is_ascii_digit()) {
        return is_same(text, answer);
    }
    let told: Vec<String> = words(text).collect();
    let asked: Vec<String> = words(answer).collect();
    if told == asked {
        return true;
    }
    if let [only] = &asked[..]
        && (YES.contains(&only.as_str()) || NO.contains(&only.as_str()))
    {
        return judges(&told) == Some(YES.contains(&only.as_str()));
    }
    // The reason behind an answer is the student's own.
    let reason = told.iter().position(|word| matches!(word.as_str(), "because" | "since"));
    let (told, text) = match reason {
        Some(at) if at > 0 => (told[..at].to_vec(), told[..at].join(" ")),
        _ => (told, text.to_owned()),
    };
    // Without the words around them both say the same.
    let core = |all: &[String]| -> Vec<String> {
        all.iter().filter(|word| !AROUND.contains(&word.as_str())).cloned().collect()
    };
    let (told, asked) = (core(&told), core(&asked));
    !asked.is_empty() && told == asked && !turns(&text)
}

/// Whether a text is a part of the answer that only this one of the choices has: `oak` for `the oak hive`, `not the
/// same` for `the price is not the same`, `no` for it where another choice says that the price is the same.
pub(super) fn tells_of_choices(text: &str, answer: &str, others: &[&str]) -> bool {
    let core = |text: &str| -> Vec<String> {
        words(text).filter(|word| !AROUND.contains(&word.as_str())).collect()
    };
    let (told, asked) = (core(text), core(answer));
    let others: Vec<Vec<String>> = others.iter().map(|other| core(other)).collect();
    if others.is_empty() || answer.chars().any(|c| c.is_ascii_digit()) {
        return false;
    }
    // Yes and no where one choice is the other turned round.
    let turned = |a: &[String], b: &[String]| {
        a.iter().filter(|word| *word != "not").eq(b.iter()) && a.len() == b.len() + 1
    };
    if let [other] = &others[..]
        && let Some(says) = judges(&words(text).collect::<Vec<_>>())
        && (turned(&asked, other) || turned(other, &asked))
        && told.iter().all(|word| YES.contains(&word.as_str()) || NO.contains(&word.as_str()))
    {
        return says == turned(other, &asked);
    }
    let is_turned = |all: &[String]| all.iter().any(|word| word == "not");
    // `trig` is trigonometry.
    let is_in = |word: &String, all: &[String]| {
        all.iter().any(|other| other == word || word.len() > 3 && other.starts_with(word.as_str()))
    };
    let may_be = |all: &[String]| {
        told.iter().all(|word| is_in(word, all)) && is_turned(all) == is_turned(&told)
    };
    told.iter().any(|word| word != "not")
        && may_be(&asked)
        && !others.iter().any(|other| may_be(other))
}

/// Whether a text ends or begins with the answer, says a reason beside it, and names no other choice.
pub(super) fn names_only(text: &str, answer: &str, others: &[&str]) -> bool {
    let told: Vec<String> = words(text).collect();
    let asked: Vec<String> = words(answer).collect();
    let of_others: Vec<String> =
        others.iter().flat_map(|other| words(other)).filter(|word| !asked.contains(word)).collect();
    // `both 3/4 so equally sweet`
    let ends = ["so", "therefore", "hence"].iter().filter_map(|mark| {
        let at = told.iter().rposition(|word| word == mark)?;
        Some(told[at + 1..].join(" "))
    });
    let begins = text.split_once([',', ':', '.']).map(|(first, _)| first.to_owned());
    let other_words =
        |words: &[String]| words.iter().any(|word| of_others.contains(word) && word != "not");
    if ends.chain(begins).any(|part| tells_of_choices(&part, answer, others)) && !other_words(&told)
    {
        return !turns(text) || asked.iter().any(|word| word == "not");
    }
    !asked.is_empty()
        && !of_others.is_empty()
        && asked.iter().any(|word| word.chars().count() > 3)
        && !answer.chars().any(|c| c.is_ascii_digit())
        && (told.ends_with(&asked) || told.starts_with(&asked))
        && !turns(text)
        && !told.iter().any(|word| of_others.contains(word))
}

/// Whether a word may stand around an answer and says nothing itself.
pub(super) fn is_around(word: &str) -> bool {
    AROUND.contains(&word)
        || matches!(word, "has" | "have" | "of" | "to" | "more" | "larger" | "largest")
}

/// What a text says of a claim: by its first word that judges, when what is said before a reason judges once.
fn judges(told: &[String]) -> Option<bool> {
    let reason =
        told.iter().position(|word| matches!(word.as_str(), "because" | "since" | "as" | "for"));
    let claim = &told[..reason.unwrap_or(told.len())];
    let said: Vec<bool> = claim
        .iter()
        .filter_map(|word| {
            let (yes, no) = (YES.contains(&word.as_str()), NO.contains(&word.as_str()));
            (yes || no).then_some(yes)
        })
        .collect();
    let turned =
        claim.iter().any(|word| matches!(word.as_str(), "not" | "isn't" | "isnt" | "never"));
    match said[..] {
        [only] => Some(only != turned),
        // "No, it is false", "no, that is wrong": the same said twice.
        [first, second] if first == second && !turned => Some(first),
        // "No, it is not true."
        [false, true] if turned => Some(false),
        _ => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_part_of_a_choice_that_no_other_has_is_that_choice() {
        let same = ("the price is the same", "the price is not the same");
        for (text, answer, other) in [
            ("oak", "the oak hive", "the clover hive"),
            ("The oak one", "the oak hive", "the clover hive"),
            ("not the same", same.1, same.0),
            ("the same", same.0, same.1),
            ("No", same.1, same.0),
            ("yes", same.0, same.1),
        ] {
            assert!(tells_of_choices(text, answer, &[other]), "{text} for {answer}");
            assert!(!tells_of_choices(text, other, &[answer]), "{text} for {other}");
        }
        for text in ["hive", "the hive", "", "not", "oak and clover", "not oak"] {
            assert!(!tells_of_choices(text, "the oak hive", &["the clover hive"]), "{text}");
        }
    }

    #[test]
    fn a_reason_may_stand_before_the_choice() {
        let others = ["Pythagoras"];
        for text in ["we know an angle so trigonometry", "Trigonometry: an angle is known"] {
            assert!(names_only(text, "trigonometry", &others), "{text}");
        }
        for text in
            ["not trigonometry", "trigonometry or Pythagoras", "I like trigonometry lessons"]
        {
            assert!(!names_only(text, "trigonometry", &others), "{text}");
        }
    }

    #[test]
    #[rustfmt::skip]
    fn an_answer_in_words_may_stand_in_a_sentence() {
        for (text, answer) in [
            ("even", "even"), ("It is even.", "even"), ("Even", "even"), ("a ruler", "a ruler"), ("ruler", "a ruler"),
            ("He takes a ruler.", "a ruler"), ("It is even because 2 goes into it", "even"), ("metres", "metres"), ("the answer is metres", "metres"),
            ("false", "false"), ("False, because 2 × 9 is not 5", "false"), ("It is false.", "false"), ("No", "false"),
            ("not true", "false"), ("yes", "true"), ("True since both are 12", "true"), ("No, it is not true.", "false"),
            ("that is correct", "true"),
        ] {
            assert!(tells(text, answer), "{text} for {answer}");
        }
        for (text, answer) in [
            ("odd", "even"), ("not even", "even"), ("even or odd", "even"), ("true", "false"), ("not false", "false"),
            ("true or false", "true"), ("It is not a ruler", "a ruler"), ("a ruler and a scale", "a ruler"),
            ("I don't know", "true"), ("", "even"), ("it is", "a ruler"), ("yes and no", "true"), ("wrong", "true"),
        ] {
            assert!(!tells(text, answer), "{text} for {answer}");
        }
    }
}
