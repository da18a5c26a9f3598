//! Lists in pages: so many of them, and where the next page begins.

use crate::StoreError;
use std::fmt::Display;
use std::str::FromStr;

/// Most entries of one page.
pub const MOST: u32 = 200;

/// A page of a list.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Page<T> {
    /// Its entries.
    pub entries: Vec<T>,
    /// Where the next page begins; none behind the last one.
    pub next: Option<String>,
}

impl<T> Page<T> {
    /// A page of rows of which one more was asked for than it holds: the one too many says that there is a next page,
    /// which begins behind the last entry of this one.
    pub(crate) fn of(mut entries: Vec<T>, most: u32, cursor: impl Fn(&T) -> String) -> Self {
        let most = most as usize;
        let more = entries.len() > most;
        entries.truncate(most);
        let next = entries.last().filter(|_| more).map(cursor);
        Self { entries, next }
    }
}

/// A cursor of that many numbers, as one text.
pub(crate) fn cursor<const N: usize>(numbers: [i128; N]) -> String {
    numbers.map(|number| number.to_string()).join("_")
}

/// The numbers of a cursor; one that this program did not write is none.
pub(crate) fn numbers<const N: usize>(cursor: &str) -> Result<[i64; N], StoreError> {
    let parts: Vec<i64> = cursor
        .split('_')
        .map(i64::from_str)
        .collect::<Result<_, _>>()
        .map_err(|_| StoreError::NoSuchPage)?;
    parts.try_into().map_err(|_| StoreError::NoSuchPage)
}

/// The words that are looked for, as a JSON list of texts in small letters.
pub(crate) fn sought(words: &str) -> String {
    let words: Vec<String> = words.to_lowercase().split_whitespace().map(str::to_owned).collect();
    serde_json::Value::from(words).to_string()
}

/// A number as a column holds it; what is larger than any that is kept is the largest.
pub(crate) fn small<T: TryFrom<usize> + Display>(number: usize, largest: T) -> T {
    T::try_from(number).unwrap_or(largest)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_cursor_is_read_as_it_was_written() {
        assert_eq!(numbers(&cursor([6, -3, 42])).expect("ours"), [6, -3, 42]);
        for other in ["", "6", "6_3", "6_3_x", "6_3_4_5", "' OR 1"] {
            assert!(matches!(numbers::<3>(other), Err(StoreError::NoSuchPage)), "{other}");
        }
    }

    #[test]
    fn the_one_too_many_says_that_there_is_a_next_page() {
        let page = |n: u32, most| Page::of((0..n).collect(), most, |last| last.to_string());
        assert_eq!(page(3, 2), Page { entries: vec![0, 1], next: Some("1".into()) });
        assert_eq!(page(2, 2), Page { entries: vec![0, 1], next: None });
        assert_eq!(page(0, 2), Page { entries: vec![], next: None });
    }

    #[test]
    fn words_are_sought_in_small_letters() {
        assert_eq!(sought(" Honey  \"JAR\" "), r#"["honey","\"jar\""]"#);
        assert_eq!(sought("  "), "[]");
    }
}
