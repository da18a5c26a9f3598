//! The numerals of a text: where they stand, and what stands between them.

use std::ops::Range;

/// The numerals of a text, from left to right: digits, with a point between digits. Places in UTF-8 bytes.
pub fn numerals(text: &str) -> Vec<Range<usize>> {
    let bytes = text.as_bytes();
    let is_digit = |at: usize| bytes.get(at).is_some_and(u8::is_ascii_digit);
    let mut found = Vec::new();
    let mut at = 0;
    while at < bytes.len() {
        if !is_digit(at) {
            at += 1;
            continue;
        }
        let start = at;
        while is_digit(at) || (bytes[at..].starts_with(b".") && is_digit(at + 1)) {
            at += 1;
        }
        found.push(start..at);
    }
    found
}

/// A text cut at its numerals: what stands between them, and the numerals.
pub fn cut(text: &str) -> (Vec<&str>, Vec<&str>) {
    let (mut between, mut found, mut from) = (Vec::new(), Vec::new(), 0);
    for numeral in numerals(text) {
        between.push(&text[from..numeral.start]);
        from = numeral.end;
        found.push(&text[numeral]);
    }
    between.push(&text[from..]);
    (between, found)
}

/// The numerals of a text, in their order.
#[must_use]
pub fn numbers_of(text: &str) -> Vec<String> {
    cut(text).1.into_iter().map(str::to_owned).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn numerals_are_found_where_they_stand() {
        let text = r"Solve $\frac{3}{4} x^{2} = 2.50$. It costs 12.";
        let (between, found) = cut(text);
        assert_eq!(found, ["3", "4", "2", "2.50", "12"]);
        assert_eq!(between, [r"Solve $\frac{", "}{", "} x^{", "} = ", "$. It costs ", "."]);
        assert_eq!(cut("no number"), (vec!["no number"], vec![]));
        assert!(numerals("½ π").is_empty());
    }
}
