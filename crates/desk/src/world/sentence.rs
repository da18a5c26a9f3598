//! What a sentence tells: its numbers, each with the words behind it.

/// A number in a sentence.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Number<'a> {
    /// The number as it is written: `36`, `3 1/2`, `$4.50`, `2.5 × 10^3`.
    pub text: &'a str,
    /// The words behind it, up to the next number or the end of the sentence.
    pub behind: &'a str,
    /// The word right before it, in small letters; empty at the beginning.
    pub before: String,
}

/// Words after which a number is told.
const TELLING: &[&str] = &[
    "",
    "is",
    "it's",
    "its",
    "are",
    "was",
    "were",
    "be",
    "equals",
    "makes",
    "make",
    "gets",
    "get",
    "got",
    "have",
    "has",
    "had",
    "costs",
    "cost",
    "needs",
    "need",
    "takes",
    "take",
    "took",
    "weighs",
    "measures",
    "about",
    "approximately",
    "roughly",
    "exactly",
    "only",
    "just",
    "answer",
    "ans",
    "total",
    "altogether",
    "left",
    "at",
    "to",
    "after",
    "pays",
    "pay",
    "holds",
    "hold",
    "stands",
    "reaches",
    "becomes",
    "number",
    "value",
    "so",
    "there",
    "in",
    "they",
    "gives",
    "give",
    "result",
    "length",
    "area",
    "height",
    "width",
    "cm",
    "with",
    "still",
    "then",
    "over",
    "lasts",
    "every",
];

impl Number<'_> {
    /// Whether the word before it says that something is so much.
    pub fn is_told(&self) -> bool {
        TELLING.contains(&self.before.as_str())
    }
}

/// Words that turn a sentence round: what it tells is no answer.
const TURNING: &[&str] = &[
    "not", "isn't", "isnt", "no", "never", "or", "between", "than", "either", "maybe", "wrong",
    "unless", "without",
];

/// Words that may stand behind a number without saying what it counts.
const LINKS: &[&str] = &[
    "is",
    "are",
    "was",
    "were",
    "will",
    "would",
    "can",
    "could",
    "have",
    "has",
    "had",
    "in",
    "on",
    "of",
    "at",
    "for",
    "from",
    "to",
    "by",
    "with",
    "left",
    "each",
    "more",
    "altogether",
    "all",
    "total",
    "because",
    "since",
    "so",
    "as",
    "and",
    "there",
    "it",
    "that",
    "which",
    "when",
    "if",
    "answer",
    "long",
    "wide",
    "high",
    "tall",
    "deep",
    "away",
    "away.",
    "go",
    "goes",
    "fit",
    "fits",
    "remain",
    "remains",
    "together",
    "too",
    "now",
    "then",
    "the",
    "need",
    "needs",
    "come",
    "comes",
    "get",
    "gets",
    "pass",
    "apart",
    "again",
    "old",
    "old.",
    "please",
];

/// Whether a text is a sentence: words, at least one of them a real one, and no calculation.
pub(super) fn is_one(text: &str) -> bool {
    let all = words(text).filter(|word| word.chars().all(|c| c.is_alphabetic() || c == '\''));
    let (mut count, mut long) = (0, 0);
    for word in all {
        count += 1;
        long += usize::from(word.chars().count() > 1);
    }
    long > 0
        && count + usize::from(!numbers(text).is_empty()) > 1
        && !text.contains(['=', '≈', '+', '*', '÷', '<', '>', '#', '\\', '{', '}', '^', '_'])
}

/// Whether it turns something round.
pub(super) fn turns(text: &str) -> bool {
    words(text).any(|word| TURNING.contains(&word.as_str()))
}

/// Whether words behind a number do not say what it counts.
pub(super) fn says_no_unit(behind: &str) -> bool {
    words(behind).next().is_none_or(|first| LINKS.contains(&first.as_str()))
}

/// The words of a text in small letters.
pub(super) fn words(text: &str) -> impl Iterator<Item = String> + '_ {
    text.split(|c: char| !(c.is_alphanumeric() || matches!(c, '\'' | '’')))
        .filter(|word| !word.is_empty())
        .map(|word| word.replace('’', "'").to_lowercase())
}

/// The numbers of a sentence in their order.
pub(super) fn numbers(text: &str) -> Vec<Number<'_>> {
    let mut found = Vec::new();
    let mut at = 0;
    while let Some(start) = next_start(text, at) {
        let end = number_end(text, start);
        let stop = next_start(text, end).unwrap_or(text.len());
        let behind = text[end..stop].trim_matches([' ', ',', ';', '.', '!', '?', '(', ')']);
        let near = text[..start].char_indices().rev().nth(30).map_or(0, |(at, _)| at);
        let before = words(&text[near..start]).last().unwrap_or_default();
        found.push(Number { text: text[start..end].trim_end(), behind, before });
        at = end;
    }
    found
}

/// Where the next number begins: a digit, with a sign or a currency right before it.
fn next_start(text: &str, from: usize) -> Option<usize> {
    let digit = text[from..].char_indices().find(|(at, c)| {
        let before = text[..from + at].chars().next_back();
        c.is_ascii_digit() && before.is_none_or(|b| !b.is_alphabetic() && b != '^' && b != '_')
    })?;
    let mut start = from + digit.0;
    while let Some(sign) = text[from..start].chars().next_back().filter(|c| "-−$£€.√".contains(*c))
    {
        start -= sign.len_utf8();
    }
    Some(start)
}

/// One past the last sign of the number that begins at `start`.
fn number_end(text: &str, start: usize) -> usize {
    let mut end = start;
    let mut last_digit = start;
    let mut signs = text[start..].char_indices().peekable();
    while let Some((at, sign)) = signs.next() {
        let next = signs.peek().map(|(_, next)| *next);
        let goes_on = sign.is_ascii_digit()
            || "½¼¾⅓⅔⅕⅖⅗⅘⅙⅛%°π√".contains(sign)
            || (matches!(sign, '.' | ',' | '/' | ':' | '^') && next.is_some_and(|n| n.is_ascii_digit()))
            || (at == 0 && "-−$£€.√".contains(sign))
            || ("$£€".contains(sign) && last_digit == start)
            || (matches!(sign, '-' | '−') && text[..start + at].ends_with('^'))
            // `3 1/2`, `2.5 × 10^3`, `2 : 3`
            || (sign == ' ' && next.is_some_and(|n| n.is_ascii_digit()) && is_fraction(&text[start + at + 1..]))
            || (sign == ' ' && text[start + at..].starts_with(" × 10^"))
            || (sign == '×' && text[start + at..].starts_with("× 10^"))
            || (sign == ' ' && text[..start + at].ends_with('×'))
            || (sign == ' ' && text[start + at..].starts_with(" : ") && text[start + at + 3..].starts_with(|c: char| c.is_ascii_digit()))
            || (sign == ':' && text[start + at..].starts_with(": ") && text[..start + at].ends_with(' '))
            || (sign == ' ' && text[..start + at].ends_with(" :"));
        if !goes_on {
            break;
        }
        end = start + at + sign.len_utf8();
        if sign.is_ascii_digit() {
            last_digit = end;
        }
    }
    end
}

/// Whether a text begins with a fraction: `1/2 litres`.
fn is_fraction(text: &str) -> bool {
    let above = text.bytes().take_while(u8::is_ascii_digit).count();
    let below = text[above..]
        .strip_prefix('/')
        .map(|rest| rest.bytes().take_while(u8::is_ascii_digit).count());
    above > 0 && below.is_some_and(|count| count > 0)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn each_number_has_the_words_behind_it() {
        for (text, expected) in [
            ("It is 36 jars.",                          &[("36", "jars")][..]),
            ("The answer is 63.",                       &[("63", "")]),
            ("The area is 189 square centimetres.",     &[("189", "square centimetres")]),
            ("She needs 3 1/2 litres of soup",          &[("3 1/2", "litres of soup")]),
            ("It costs $4.50 in all",                   &[("$4.50", "in all")]),
            ("It stands at -20 cm.",                    &[("-20", "cm")]),
            ("8 of the 20 bees are left",               &[("8", "of the"), ("20", "bees are left")]),
            ("about 2.5 × 10^3 grains",                 &[("2.5 × 10^3", "grains")]),
            ("the ratio is 2 : 3.",                     &[("2 : 3", "")]),
            ("It is 1,250 m away",                      &[("1,250", "m away")]),
            ("The angle is 45°.",                       &[("45°", "")]),
            ("There is no number here",                 &[]),
        ] {
            let found: Vec<(&str, &str)> = numbers(text).iter().map(|n| (n.text, n.behind)).collect();
            assert_eq!(found, expected, "{text}");
        }
    }

    #[test]
    fn what_is_turned_round_is_no_answer() {
        for text in
            ["It is not 63.", "63 or 64", "It is between 60 and 65", "less than 63", "It isn't 5"]
        {
            assert!(turns(text), "{text}");
        }
        for text in ["It is 63.", "The note is 63", "63 norths"] {
            assert!(!turns(text), "{text}");
        }
        assert!(
            says_no_unit("are left")
                && says_no_unit("")
                && !says_no_unit("jars")
                && !says_no_unit("kg")
        );
    }
}
