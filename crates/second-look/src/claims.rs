//! Equalities, inequalities and chains in a text: between dollar signs, or written plainly in a sentence.

use super::{Finding, Kind, reading};
use algebra::write::{latex_line, text, text_line};
use algebra::{
    Expr, Line, Options, Relation, StepVerdict, judge_alone, read_latex, read_line_with,
};

/// Longest claim that is looked at, in characters.
const LONGEST: usize = 200;
/// What stands between the sides of a claim.
const SIGNS: [char; 6] = ['=', '≈', '<', '>', '≤', '≥'];

/// A claim as it stands in a text.
struct Claim<'a> {
    /// As it is written.
    written: &'a str,
    line: Line,
    is_latex: bool,
}

/// False claims of a text. What it asks about, or warns of, it does not claim.
pub(super) fn look(text: &str) -> Vec<Finding> {
    reading::sentences(text)
        .into_iter()
        .filter(|sentence| !sentence.ends_with('?') && !reading::is_warning(sentence))
        .flat_map(|sentence| claims(sentence).into_iter().filter_map(|claim| wrong(&claim)))
        .collect()
}

/// A finding where a claim is proved to be false.
fn wrong(claim: &Claim) -> Option<Finding> {
    if !is_claim(&claim.line) {
        return None;
    }
    let StepVerdict::NotEquivalent(_) = judge_alone(&claim.line) else { return None };
    // `36 ÷ 4 = 9 cm` is how it is said: the unit comes with the result.
    if has_bare_side(claim)
        && let Some(bare) = bare(claim)
    {
        let claim = Claim { line: bare, ..*claim };
        return match judge_alone(&claim.line) {
            StepVerdict::NotEquivalent(_) => Some(told(&claim)),
            _ => None,
        };
    }
    Some(told(claim))
}

fn told(claim: &Claim) -> Finding {
    let (mend, says) = mended(claim);
    Finding::new(kind_of(claim), claim.written, says).mended(mend)
}

/// Whether units stand on one side and none on another.
fn has_bare_side(claim: &Claim) -> bool {
    let sides: Vec<bool> = claim
        .written
        .replace("\\text", "")
        .split(SIGNS)
        .map(|side| side.chars().any(char::is_alphabetic) && !side.contains('\\'))
        .collect();
    sides.contains(&true) && sides.contains(&false)
}

/// A claim without its units.
fn bare(claim: &Claim) -> Option<Line> {
    let bare: String = claim
        .written
        .replace("\\text", " ")
        .chars()
        .filter(|sign| !(sign.is_alphabetic() || "²³{}\\".contains(*sign)) || *sign == 'π')
        .collect();
    read_line_with(&bare, Options::default()).ok().map(|read| read.line)
}

/// What kind of fault a false claim is.
fn kind_of(claim: &Claim) -> Kind {
    let Line::Relations { sides, relations } = &claim.line else { return Kind::FalseEquality };
    if relations.contains(&Relation::Approximate) {
        return Kind::RoundingWrong;
    }
    // Right but for its units.
    let has_units = claim.written.chars().any(char::is_alphabetic) && !claim.is_latex
        || claim.written.contains("\\text");
    let holds = || {
        bare(claim).is_some_and(|line| matches!(judge_alone(&line), StepVerdict::Equivalent { .. }))
    };
    match sides.len() {
        _ if has_units && holds() => Kind::UnitWrong,
        3.. => Kind::FalseChain,
        _ => Kind::FalseEquality,
    }
}

/// Whether a line says something that is true or false by itself: it has a relation and no letter to be solved for, or
/// both sides are told to be one for every value.
fn is_claim(line: &Line) -> bool {
    match line {
        Line::Relations { .. } => line.symbols().is_empty(),
        _ => false,
    }
}

/// The claim with its last side put right, where that is one number, and what is said of it.
fn mended(claim: &Claim) -> (Option<String>, String) {
    let Line::Relations { sides, relations } = &claim.line else {
        return (None, "This does not hold.".into());
    };
    // Which step of a chain breaks.
    let pairs = sides.windows(2).zip(relations);
    let broken = pairs.enumerate().find(|(_, (pair, relation))| {
        let relations = vec![**relation];
        let step = Line::Relations { sides: pair.to_vec(), relations };
        matches!(judge_alone(&step), StepVerdict::NotEquivalent(_))
    });
    let Some((at, (pair, relation))) = broken else {
        return (None, "This does not hold.".into());
    };
    let [left, right] = pair else { return (None, String::new()) };
    if *relation != Relation::Equal {
        return (
            None,
            format!("It is not true that {} {} {}.", text(left), relation.sign(), text(right)),
        );
    }
    let Some(value) = value_of(left) else {
        return (None, format!("{} and {} are not equal.", text(left), text(right)));
    };
    let says = format!("{} is {}, not {}.", text(left), text(&value), text(right));
    // Only a number that stands alone is put right by itself; what comes after it may hang on it.
    let is_last = at + 2 == sides.len() && right.as_plain_number().is_some();
    let rounded = Line::Relations {
        sides: vec![left.clone(), right.clone()],
        relations: vec![Relation::Approximate],
    };
    // `√50 = 7.07` is right but for its sign.
    if is_last
        && claim.written.matches('=').count() == 1
        && matches!(judge_alone(&rounded), StepVerdict::Equivalent { .. })
    {
        let sign = if claim.is_latex { "\\approx" } else { "≈" };
        let says = format!("{} is only nearly {}: write ≈.", text(left), text(right));
        return (Some(claim.written.replacen('=', sign, 1)), says);
    }
    if !is_last {
        return (None, says);
    }
    let mut sides = sides.clone();
    sides[at + 1] = value;
    let line = Line::Relations { sides, relations: relations.clone() };
    let written = if claim.is_latex {
        latex_line(&line)
    } else {
        // As it was typed, but for its last number.
        match claim.written.rfind(text(right).as_str()) {
            Some(at) => {
                let Line::Relations { sides, .. } = &line else { return (None, says) };
                let last = sides.last().map(text).unwrap_or_default();
                format!("{}{last}", &claim.written[..at])
            }
            None => text_line(&line),
        }
    };
    (Some(written), says)
}

/// What an expression comes to, as it would be written.
fn value_of(expr: &Expr) -> Option<Expr> {
    match teaching::tasks::evaluate(expr).ok()?.working.last_line()? {
        Line::Expression(value) => Some(value.clone()),
        _ => None,
    }
}

/// Every claim of a text that can be read.
fn claims(text: &str) -> Vec<Claim<'_>> {
    let mut found = Vec::new();
    for (at, part) in text.split('$').enumerate() {
        if at % 2 == 1 {
            let read = (part.len() <= LONGEST).then(|| read_latex(part).ok()).flatten();
            found.extend(read.map(|read| Claim { written: part, line: read.line, is_latex: true }));
        } else {
            found.extend(plain(part));
        }
    }
    found
}

/// Claims that are written plainly within a sentence.
fn plain(text: &str) -> Vec<Claim<'_>> {
    let mut found = Vec::new();
    let mut done = 0;
    for (at, _) in text.match_indices(SIGNS) {
        if at < done {
            continue;
        }
        let (from, to) = stretch(text, at);
        if to <= from || to - from > LONGEST {
            continue;
        }
        if let Some(claim) = readable(&text[from..to]) {
            found.push(claim);
            done = to;
        }
    }
    found
}

/// Signs that a claim is made of, beside digits.
fn belongs(sign: char) -> bool {
    sign.is_ascii_digit()
        || sign == ' '
        || "+-−–×·÷*/^().,%√π°:".contains(sign)
        || SIGNS.contains(&sign)
}

/// Units that may stand behind a number of a claim.
const UNITS: &[&str] = &[
    "mm", "cm", "dm", "m", "km", "mg", "g", "kg", "mL", "ml", "cL", "L", "l", "s", "min", "h",
    "cm²", "m²", "cm³", "m³", "mm²", "km²", "km/h", "m/s", "g/cm³", "kg/m³",
];

/// The words around a relation sign that can belong to its claim.
fn stretch(text: &str, sign: usize) -> (usize, usize) {
    let word_fits = |word: &str| {
        UNITS.contains(&word.trim_end_matches(['.', ',', ';', '?', '!', ')']))
            || (word.chars().count() > 3 && reading::unit_named(word).is_some())
            || (word.chars().all(belongs) && !word.is_empty())
            || is_number_with_unit(word)
    };
    let mut from = sign;
    while let Some(word) = text[..from].trim_end().rsplit(char::is_whitespace).next() {
        if word.is_empty() || !word_fits(word) || sign - from > LONGEST {
            break;
        }
        from = text[..from].trim_end().len() - word.len();
    }
    let sign_length = text[sign..].chars().next().map_or(1, char::len_utf8);
    let mut to = sign + sign_length;
    loop {
        let rest = &text[to..];
        let skipped = rest.len() - rest.trim_start().len();
        let word = rest.trim_start().split(char::is_whitespace).next().unwrap_or_default();
        if word.is_empty() || !word_fits(word) || to - sign > LONGEST {
            break;
        }
        to += skipped + word.len();
        // A sentence ends with its point.
        if word.ends_with(['.', '?', '!', ';']) {
            break;
        }
    }
    (from, to)
}

/// A claim with the words for units as their symbols.
fn in_symbols(part: &str) -> String {
    let symbol = |word: &str| match reading::unit_named(word) {
        Some(unit) if word.chars().count() > 2 => unit.symbol().to_owned(),
        _ => word.to_owned(),
    };
    part.split(' ').map(symbol).collect::<Vec<_>>().join(" ")
}

/// `15cm`, `3kg.`
fn is_number_with_unit(word: &str) -> bool {
    let at = word.find(|sign: char| !(sign.is_ascii_digit() || sign == '.')).unwrap_or(word.len());
    at > 0 && UNITS.contains(&word[at..].trim_end_matches(['.', ',', ';']))
}

/// The longest part of some words that reads as a claim: words at both ends may belong to the sentence.
fn readable(words: &str) -> Option<Claim<'_>> {
    let trimmed = words.trim().trim_end_matches(['.', ',', ';', '?', '!', ':']);
    let mut starts: Vec<usize> = vec![0];
    starts.extend(trimmed.match_indices(' ').map(|(at, _)| at + 1));
    for start in starts {
        let part = trimmed[start..].trim();
        // `x + 3 = 10`: what stands behind a sign belongs to what stands before it.
        if trimmed[..start].trim_end().ends_with(|sign: char| "+-−–×·÷*/^(:".contains(sign))
        {
            continue;
        }
        if !part.contains(SIGNS)
            || !part.starts_with(|sign: char| sign.is_ascii_digit() || "(-−√π".contains(sign))
        {
            continue;
        }
        let quantities = part.chars().any(char::is_alphabetic);
        let options = Options { quantities, ..Options::default() };
        let short = if quantities { in_symbols(part) } else { part.to_owned() };
        if let Ok(read) = read_line_with(&short, options)
            && matches!(read.line, Line::Relations { .. })
        {
            return Some(Claim { written: part, line: read.line, is_latex: false });
        }
    }
    None
}

#[cfg(test)]
mod tests {
    use super::*;

    fn told(text: &str) -> Vec<(String, Option<String>)> {
        look(text).into_iter().map(|finding| (finding.found, finding.mend)).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn a_false_equality_is_found_with_what_is_right() {
        for (text, found, mend) in [
            ("So 6 × 7 = 41.", "6 × 7 = 41", Some("6 × 7 = 42")),
            ("We know that 3/4 + 1/4 = 1 and 0.5 = 5%.", "0.5 = 5%", None),
            ("Then $\\frac{1}{2} + \\frac{1}{3} = \\frac{2}{5}$.", "\\frac{1}{2} + \\frac{1}{3} = \\frac{2}{5}", None),
            ("It follows: 2 + 3 = 5 × 2 = 10", "2 + 3 = 5 × 2 = 10", None),
            ("A path of 5 km = 500 m is short.", "5 km = 500 m", None),
            ("Remember 7 > 9.", "7 > 9", None),
        ] {
            let seen = told(text);
            assert_eq!(seen.len(), 1, "{text}: {seen:?}");
            assert_eq!(seen[0].0, found, "{text}");
            if let Some(mend) = mend {
                assert_eq!(seen[0].1.as_deref(), Some(mend), "{text}");
            }
        }
    }

    #[test]
    fn what_is_true_or_cannot_be_known_is_no_finding() {
        for text in [
            "So 6 × 7 = 42, and we are done.",
            "Solve $3x + 2 = 14$.",
            "x = 5 solves it.",
            "The ratio is 3:4 = 6:8.",
            "5 km = 5000 m",
            "In 2026 the club had 12 hives.",
            "π ≈ 3.14",
            "There are 3 jars = one crate.",
            "Read pages 4-7 = the whole chapter.",
            "$a^2 + b^2 = c^2$",
        ] {
            assert_eq!(told(text), [], "{text}");
        }
    }
}
