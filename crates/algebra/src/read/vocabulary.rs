//! The English words of school mathematics, so that `out` and `cost` are never products of letters.

use std::collections::HashSet;
use std::sync::LazyLock;

/// A few thousand words, one a line, small letters.
static WORDS: LazyLock<HashSet<&'static str>> =
    LazyLock::new(|| include_str!("words.txt").lines().collect());

/// Short words that join others: they are words only beside words, since `at` is also a product of letters.
const JOINING: &[&str] = &[
    "a", "an", "as", "at", "by", "do", "he", "if", "in", "is", "it", "me", "my", "no", "of", "on",
    "or", "so", "to", "up", "us", "we",
];

/// Whether letters that stand together are an English word of three letters and more.
#[must_use]
pub(super) fn is_word(letters: &str) -> bool {
    if letters.len() < 3 {
        return false;
    }
    let word = letters.strip_suffix("'s").or_else(|| letters.strip_suffix("’s")).unwrap_or(letters);
    if WORDS.contains(word) {
        return true;
    }
    // `Area`, `AREA`
    let begins_large = word.starts_with(|c: char| c.is_uppercase());
    begins_large && WORDS.contains(word.to_lowercase().as_str())
}

/// Whether it joins words: `of`, `in`, `a`.
#[must_use]
pub(super) fn is_joining(letters: &str) -> bool {
    letters.len() <= 2 && JOINING.iter().any(|word| word.eq_ignore_ascii_case(letters))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn words_are_told_from_products_of_letters() {
        for word in ["out", "cost", "Area", "PERIMETER", "sweets", "teacher's"] {
            assert!(is_word(word), "{word}");
        }
        for product in ["abc", "xyz", "at", "nRT", "bh", "lwh", "sin", "sqrt", "x"] {
            assert!(!is_word(product), "{product}");
        }
        assert!(is_joining("of") && is_joining("A") && !is_joining("x"));
    }

    #[test]
    fn the_list_is_sorted_and_plain() {
        let words: Vec<&str> = include_str!("words.txt").lines().collect();
        assert!(words.len() > 3000);
        for pair in words.windows(2) {
            assert!(pair[0] < pair[1], "{pair:?}");
        }
        assert!(words.iter().all(|w| w.len() >= 3 && w.bytes().all(|b| b.is_ascii_lowercase())));
    }
}
