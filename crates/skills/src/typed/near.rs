//! The skills that are near a text that was not understood: those whose cards use its words.

use crate::SKILLS;
use std::collections::BTreeSet;

/// How many are told.
const MOST: usize = 3;
/// The shortest word that says something.
const SHORTEST: usize = 4;

/// A word without the ending that its kind may have.
fn stem(word: &str) -> String {
    let word = word.to_lowercase();
    let ends = ["ing", "ies", "es", "s", "ed", "e", "y"];
    let end = ends.iter().find(|end| word.len() >= SHORTEST + end.len() && word.ends_with(**end));
    end.map_or_else(|| word.clone(), |end| word[..word.len() - end.len()].to_owned())
}

fn stems(text: &str) -> BTreeSet<String> {
    let words = text.split(|c: char| !c.is_alphabetic()).filter(|word| word.len() >= SHORTEST);
    words.map(stem).collect()
}

/// Their titles, the nearest first; none where no card uses a word of the text.
#[must_use]
pub fn near(text: &str) -> Vec<&'static str> {
    let asked = stems(text);
    let mut found: Vec<(usize, &'static str)> = SKILLS
        .iter()
        .filter_map(|skill| {
            let card = skill.card();
            let title = stems(card.title);
            let terms: BTreeSet<String> =
                card.vocabulary.iter().flat_map(|term| stems(term.word)).collect();
            let shared = |words: &BTreeSet<String>| words.intersection(&asked).count();
            // A word of the title says more than one of the vocabulary.
            let weight = 3 * shared(&title) + shared(&terms);
            (weight > 0).then_some((weight, card.title))
        })
        .collect();
    found.sort_by_key(|(weight, _)| std::cmp::Reverse(*weight));
    found.into_iter().take(MOST).map(|(_, title)| title).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_text_leads_to_the_skills_that_use_its_words() {
        assert!(near("the hypotenuse of something")[0].contains("Pythagoras"));
        assert!(near("percents of a percent change").len() > 1);
        assert!(near("bees").is_empty() && near("").is_empty());
    }
}
