//! A text as it would be typed: words and numbers out of LaTeX, `×` where an x stands between numbers.

/// A text in which each number stands by itself.
pub(super) fn spread(text: &str) -> String {
    text.chars().map(|c| if c.is_ascii_digit() || c == '.' || c == '-' { c } else { ' ' }).collect()
}

/// `13 m x 11 m`: an x between numbers is a sign.
pub(super) fn with_times(text: &str) -> String {
    let signs: Vec<char> = text.chars().collect();
    let is_times = |at: usize| {
        let before = signs[..at].iter().rev().find(|c| **c != ' ');
        let after = signs[at + 1..].iter().find(|c| **c != ' ');
        let apart = at > 0 && (signs[at - 1] == ' ' || signs[at - 1].is_ascii_digit());
        matches!(signs[at], 'x' | 'X')
            && apart
            && before.is_some_and(|c| c.is_alphanumeric() || matches!(c, ')' | '²' | '³' | '%'))
            && after.is_some_and(|c| c.is_ascii_digit() || matches!(c, '(' | '-' | '.' | '$' | '£'))
            && signs[..at].iter().any(char::is_ascii_digit)
            && signs.get(at + 1).is_some_and(|c| *c == ' ' || c.is_ascii_digit())
    };
    signs.iter().enumerate().map(|(at, sign)| if is_times(at) { '×' } else { *sign }).collect()
}

/// `64pi` is 64π; `pipe` stays.
pub(super) fn with_pi(text: &str) -> String {
    let mut out = text.to_owned();
    let mut from = 0;
    while let Some(at) = out[from..].find("pi").map(|at| from + at) {
        let before = out[..at].chars().next_back();
        let after = out[at + 2..].chars().next();
        let is_letter = |sign: Option<char>| sign.is_some_and(char::is_alphabetic);
        if is_letter(before) || is_letter(after) {
            from = at + 2;
        } else {
            out.replace_range(at..at + 2, "π");
            from = at + 'π'.len_utf8();
        }
    }
    out
}

/// A prompt without the signs around its mathematics.
pub(super) fn plain(prompt: &str) -> String {
    from_latex(&prompt.replace('$', " "))
}

/// A line of the mathematics field as words: functions whose names begin a word are letters of it, `\\cos t` is "cost".
pub(crate) fn words_of_latex(text: &str) -> String {
    let names = [
        "arcsin", "arccos", "arctan", "sin", "cos", "tan", "sec", "csc", "cot", "log", "ln",
        "theta", "alpha", "beta",
    ];
    let mut found = text.to_owned();
    for name in names {
        found = found.replace(&format!("\\{name} "), name).replace(&format!("\\{name}"), name);
    }
    from_latex(&found)
}

/// Words and numbers of LaTeX as they would be typed.
pub(super) fn from_latex(text: &str) -> String {
    let mut found = text.to_owned();
    for (from, to) in [
        ("\\left", ""),
        ("\\right", ""),
        ("\\,", " "),
        ("\\:", " "),
        ("\\;", " "),
        ("\\ ", " "),
        ("\\%", "%"),
        ("\\$", "$"),
        ("\\times", "×"),
        ("\\cdot", "×"),
        ("\\div", "÷"),
        ("\\pi", "π"),
        ("\\degree", "°"),
        ("^{\\circ}", "°"),
        ("^\\circ", "°"),
        ("\\approx", "≈"),
        ("\\le", "≤"),
        ("\\ge", "≥"),
        ("\\ne", "≠"),
        ("~", " "),
    ] {
        found = found.replace(from, to);
    }
    // \frac{a}{b} is a/b, and what stands in braces after a command of words is the words.
    while let Some(at) = found.find("\\frac{") {
        let Some((above, after)) = braces(&found, at + 5) else { break };
        let Some((below, end)) = braces(&found, after) else { break };
        let simple = |part: &str| part.chars().all(|c| c.is_alphanumeric() || c == '.');
        let held = |part: &str| if simple(part) { part.to_owned() } else { format!("({part})") };
        let before = if found[..at].ends_with(|c: char| c.is_ascii_digit()) { " " } else { "" };
        let fraction = format!("{before}{}/{}", held(above), held(below));
        found.replace_range(at..end, &fraction);
    }
    for command in ["\\text", "\\mathrm", "\\textrm", "\\operatorname"] {
        while let Some(at) = found.find(&format!("{command}{{")) {
            let Some((inside, end)) = braces(&found, at + command.len()) else { break };
            let inside = inside.to_owned();
            found.replace_range(at..end, &inside);
        }
    }
    for digit in ["2", "3"] {
        found = found.replace(&format!("^{{{digit}}}"), &format!("^{digit}"));
    }
    found.replace("{,}", ",")
}

/// What stands in the braces that open at `at`, and where they end.
fn braces(text: &str, at: usize) -> Option<(&str, usize)> {
    let inside = text[at..].strip_prefix('{')?;
    let mut depth = 1;
    for (end, sign) in inside.char_indices() {
        match sign {
            '{' => depth += 1,
            '}' => depth -= 1,
            _ => {}
        }
        if depth == 0 {
            return Some((&inside[..end], at + end + 2));
        }
    }
    None
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn pi_is_a_sign_where_it_stands_alone() {
        for (text, expected) in [
            ("64pi", "64π"),
            ("pi r^2", "π r^2"),
            ("2 pi", "2 π"),
            ("a pipe of 3 m", "a pipe of 3 m"),
            ("spin", "spin"),
            ("pi", "π"),
            ("pipi", "pipi"),
        ] {
            assert_eq!(with_pi(text), expected);
        }
    }

    #[test]
    fn an_x_between_numbers_is_a_sign() {
        for (text, expected) in
            [("13 m x 11 m", "13 m × 11 m"), ("3x4", "3×4"), ("x = 4", "x = 4"), ("3x", "3x")]
        {
            assert_eq!(with_times(text), expected);
        }
    }

    #[test]
    fn words_come_out_of_latex() {
        for (text, expected) in [
            ("36\\:jars", "36 jars"),
            ("\\frac{1}{2}\\times 6", "1/2× 6"),
            ("It\\:is\\:24\\:cm^{2}", "It is 24 cm^2"),
            ("\\text{Area}=5", "Area=5"),
        ] {
            assert_eq!(from_latex(text), expected);
        }
    }
}
