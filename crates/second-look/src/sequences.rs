//! Lists of numbers that go on by a rule, with one term out of it.

use super::reading::sentences;
use super::{Finding, Kind};
use algebra::Rational;
use algebra::number::{Integer, from_int};
use num_traits::{Pow, ToPrimitive};

/// Fewer terms than this show no rule that one of them could break.
const FEWEST: usize = 5;
/// Longest list and largest term of a rule that has a name.
const LONGEST: usize = 60;
const LARGEST: i64 = 1_000_000;

/// Terms out of rule in the lists of a text. Only a list that says that it goes on, by `…` or `...`, or that its
/// sentence calls by a rule, has one.
pub(super) fn look(text: &str) -> Vec<Finding> {
    let mut found = Vec::new();
    for sentence in sentences(text) {
        found.extend(named(sentence));
    }
    if !found.is_empty() {
        return found;
    }
    let ends = text.match_indices("…").chain(text.match_indices("...")).map(|(end, _)| end);
    let mut lists: Vec<&str> = ends.map(|end| before(&text[..end])).collect();
    if lists.is_empty() {
        let called = sentences(text).into_iter().filter(|sentence| {
            super::reading::has_any(
                sentence,
                &["sequence", "pattern", "count on", "count in", "count by", "skip-count"],
            )
        });
        lists.extend(called.filter_map(list_in));
    }
    for list in lists {
        let Some((terms, scale)) = terms(list) else { continue };
        if terms.len() < FEWEST {
            continue;
        }
        if let Some((at, right)) = out_of_rule(&terms) {
            let written: Vec<&str> = written(list);
            let right = unscaled(right, scale);
            let says = format!("By the rule of the others, {} should be {right}.", written[at]);
            found.push(
                Finding::new(Kind::SequenceWrong, list.trim(), says).mended(put(list, at, &right)),
            );
        }
    }
    found
}

/// A rule that is called by its name.
#[derive(Debug, Clone, Copy)]
enum Rule {
    Multiples(i64),
    Steps(i64),
    Powers(i64),
    Factors(i64),
    Squares,
    Cubes,
    Even,
    Odd,
    Primes,
    Triangular,
}

/// The rule that a sentence names.
fn rule_of(sentence: &str) -> Option<Rule> {
    const FIXED: &[(&str, Rule)] = &[
        ("square numbers", Rule::Squares),
        ("cube numbers", Rule::Cubes),
        ("cubic numbers", Rule::Cubes),
        ("even numbers", Rule::Even),
        ("odd numbers", Rule::Odd),
        ("prime numbers", Rule::Primes),
        ("triangular numbers", Rule::Triangular),
        ("triangle numbers", Rule::Triangular),
    ];
    const SAID: [(&str, i64); 9] = [
        ("twos", 2),
        ("threes", 3),
        ("fours", 4),
        ("fives", 5),
        ("sixes", 6),
        ("sevens", 7),
        ("eights", 8),
        ("nines", 9),
        ("tens", 10),
    ];
    let lower = sentence.to_lowercase();
    let after = |words: &str| -> Option<i64> {
        let rest = lower.split_once(words)?.1.trim_start();
        let digits: String = rest.chars().take_while(char::is_ascii_digit).collect();
        digits.parse().ok().filter(|value| (1..=LARGEST).contains(value))
    };
    if let Some(by) = after("multiples of ") {
        return Some(Rule::Multiples(by));
    }
    if let Some(by) = after("powers of ") {
        return Some(Rule::Powers(by));
    }
    if let Some(of) = after("factors of ").or_else(|| after("divisors of ")) {
        return Some(Rule::Factors(of));
    }
    if lower.contains("count") {
        let by = ["in ", "by ", "on by ", "up in "].iter().find_map(|words| after(words));
        let said =
            SAID.iter().find(|(word, _)| super::reading::has_word(&lower, word)).map(|(_, by)| *by);
        if let Some(by) = by.or(said) {
            return Some(Rule::Steps(by));
        }
    }
    let mut fixed = FIXED.iter().filter(|(name, _)| lower.contains(name));
    match (fixed.next(), fixed.next()) {
        (Some((_, rule)), None) => Some(*rule),
        _ => None,
    }
}

/// A term that does not belong to the rule its sentence names, or is passed over.
fn named(sentence: &str) -> Option<Finding> {
    // What is asked for is no list yet; what is told of another list is none of this one.
    if sentence.ends_with('?')
        || super::reading::has_any(
            sentence,
            &["not", "except", "some", "find", "which", "common", "are the", "first three"],
        ) && !sentence.contains(':')
            && !sentence.contains(" are ")
    {
        return None;
    }
    let rule = rule_of(sentence)?;
    let list = list_in(sentence)?;
    let (terms, 0) = terms(list)? else { return None };
    if terms.len() < 4 || terms.len() > LONGEST {
        return None;
    }
    let belongs = |at: usize| -> bool {
        let term = terms[at];
        match rule {
            Rule::Multiples(by) => term % by == 0,
            Rule::Powers(by) => is_power(term, by),
            Rule::Factors(of) => term != 0 && of % term == 0,
            Rule::Squares => root(term, 2).is_some(),
            Rule::Cubes => root(term, 3).is_some(),
            Rule::Even => term % 2 == 0,
            Rule::Odd => term % 2 != 0,
            Rule::Primes => is_prime(term),
            Rule::Triangular => root(8 * term + 1, 2).is_some(),
            Rule::Steps(by) => {
                let next =
                    terms.get(at + 1).is_none_or(|next| next - term == by || term - next == by);
                let last = at.checked_sub(1).and_then(|at| terms.get(at));
                last.is_none_or(|last| term - last == by || last - term == by) || next
            }
        }
    };
    let at = (0..terms.len()).find(|&at| !belongs(at))?;
    let wrong = written(list)[at];
    let what = match rule {
        Rule::Multiples(by) => format!("a multiple of {by}"),
        Rule::Powers(by) => format!("a power of {by}"),
        Rule::Factors(of) => format!("a factor of {of}"),
        Rule::Squares => "a square number".into(),
        Rule::Cubes => "a cube number".into(),
        Rule::Even => "even".into(),
        Rule::Odd => "odd".into(),
        Rule::Primes => "a prime number".into(),
        Rule::Triangular => "a triangular number".into(),
        Rule::Steps(by) => format!("a step of {by} from its neighbours"),
    };
    let finding = Finding::new(Kind::SequenceWrong, list.trim(), format!("{wrong} is not {what}."));
    // Where the others have a rule too, it says what should stand there.
    let right =
        out_of_rule(&terms).filter(|(place, _)| *place == at).map(|(_, right)| unscaled(right, 0));
    Some(finding.mended(right.and_then(|right| put(list, at, &right))))
}

fn is_power(term: i64, by: i64) -> bool {
    let mut power: i64 = 1;
    while power < term && by > 1 {
        power = power.saturating_mul(by);
    }
    power == term
}

/// The whole root of a number that is not negative.
fn root(value: i64, index: u32) -> Option<i64> {
    let near = (value as f64).powf(1.0 / f64::from(index)).round().to_i64()?;
    (value >= 0).then_some(near).filter(|near| near.checked_pow(index) == Some(value))
}

fn is_prime(value: i64) -> bool {
    value > 1
        && value <= LARGEST
        && (2..).take_while(|by| by * by <= value).all(|by| value % by != 0)
}

/// The list with another term at that place, where each term can be found in it.
fn put(list: &str, at: usize, right: &str) -> Option<String> {
    let mut from = 0;
    for (index, term) in written(list).into_iter().enumerate() {
        let start = from + list.get(from..)?.find(term)?;
        if index == at {
            return Some(
                format!("{}{right}{}", &list[..start], &list[start + term.len()..])
                    .trim()
                    .to_owned(),
            );
        }
        from = start + term.len();
    }
    None
}

/// The list of numbers with commas in a sentence, where there is one.
fn list_in(sentence: &str) -> Option<&str> {
    let is_part = |sign: char| sign.is_ascii_digit() || " ,.-−".contains(sign);
    let mut best: Option<&str> = None;
    let plain = sentence.trim_end_matches(['.', '!']);
    let mut from = None;
    let signs: Vec<(usize, char)> = plain.char_indices().chain([(plain.len(), '|')]).collect();
    for (at, sign) in signs {
        match (is_part(sign), from) {
            (true, None) => from = Some(at),
            (false, Some(start)) => {
                // `, 6 and 12`: the last term of a list stands behind a word.
                if plain[at..].starts_with("and ") && plain[start..at].contains(',') {
                    continue;
                }
                if plain[..at].ends_with(" a") || plain[..at].ends_with(" an") {
                    continue;
                }
                let part = plain[start..at].trim_matches([' ', ',', '.', '-']);
                if part.contains(',') && best.is_none_or(|best| best.len() < part.len()) {
                    best = Some(part);
                }
                from = None;
            }
            _ => {}
        }
    }
    best
}

/// The numbers and commas that stand at the end of a text.
fn before(text: &str) -> &str {
    let belongs = |sign: char| sign.is_ascii_digit() || " ,.-−".contains(sign);
    let from = text
        .rfind(|sign| !belongs(sign))
        .map_or(0, |at| at + text[at..].chars().next().map_or(1, char::len_utf8));
    // A sentence that ends before the list begins is none of it.
    let list = &text[from..];
    list.rfind(". ").map_or(list, |at| &list[at + 2..])
}

/// The terms of a list as they are written.
fn written(list: &str) -> Vec<&str> {
    list.split(',')
        .flat_map(|term| term.split(" and "))
        .map(|term| term.trim().trim_start_matches("and ").trim())
        .filter(|term| !term.is_empty())
        .collect()
}

/// The terms as whole numbers, and by which power of ten they were multiplied to be such.
fn terms(list: &str) -> Option<(Vec<i64>, u32)> {
    let all = written(list);
    let places = |term: &str| term.split_once('.').map_or(0, |(_, behind)| behind.len());
    let scale = u32::try_from(all.iter().map(|term| places(term)).max()?)
        .ok()
        .filter(|scale| *scale <= 6)?;
    let whole = |term: &&str| -> Option<i64> {
        let missing = usize::try_from(scale).ok()?.checked_sub(places(term))?;
        let digits = term.replace('−', "-").replacen('.', "", 1);
        let digits = digits.trim_end_matches('.');
        format!("{digits}{}", "0".repeat(missing)).parse::<i64>().ok()
    };
    let terms: Option<Vec<i64>> = all.iter().map(whole).collect();
    terms.map(|terms| (terms, scale))
}

/// A term as it would be written.
fn unscaled(term: i64, scale: u32) -> String {
    super::reading::decimal(&(from_int(term) / Rational::from(Integer::from(10).pow(scale))))
}

/// The one term that keeps a list from being linear, geometric or made of sums of two, and what should stand there.
fn out_of_rule(terms: &[i64]) -> Option<(usize, i64)> {
    let rules: [fn(&[i64]) -> bool; 3] = [is_linear, is_geometric, is_sums];
    if rules.iter().any(|rule| rule(terms)) || has_even_steps(terms) {
        return None;
    }
    rules.iter().find_map(|rule| {
        let mended: Vec<(usize, i64)> = (0..terms.len())
            .filter_map(|at| {
                candidates(terms, at).into_iter().find_map(|value| {
                    let mut tried = terms.to_vec();
                    tried[at] = value;
                    rule(&tried).then_some((at, value))
                })
            })
            .collect();
        // Where another term could as well be the wrong one, nothing is known.
        match mended[..] {
            [one] => Some(one),
            _ => None,
        }
    })
}

/// What a term would be by its neighbours.
fn candidates(terms: &[i64], at: usize) -> Vec<i64> {
    let get = |at: Option<usize>| at.and_then(|at| terms.get(at)).copied();
    let (a, b) = (get(at.checked_sub(1)), get(at.checked_sub(2)));
    let (c, d) = (get(Some(at + 1)), get(Some(at + 2)));
    let mut found = Vec::new();
    if let (Some(a), Some(c)) = (a, c) {
        found.extend([a.midpoint(c), c.saturating_sub(a)]);
        found.extend(((a as f64) * (c as f64)).sqrt().round().to_i64());
    }
    if let (Some(b), Some(a)) = (b, a) {
        found.extend([a.saturating_mul(2).saturating_sub(b), a.saturating_add(b)]);
        found.extend((b != 0 && a % b == 0).then(|| a.saturating_mul(a / b)));
        found.extend((b != 0 && (a * a) % b == 0).then(|| a * a / b));
    }
    if let (Some(c), Some(d)) = (c, d) {
        found.extend([c.saturating_mul(2).saturating_sub(d), d.saturating_sub(c)]);
        found.extend((d != 0 && c.saturating_mul(c) % d == 0).then(|| c.saturating_mul(c) / d));
    }
    found
}

fn is_linear(terms: &[i64]) -> bool {
    terms.windows(3).all(|t| t[1].checked_sub(t[0]) == t[2].checked_sub(t[1]))
}

fn is_geometric(terms: &[i64]) -> bool {
    !terms.contains(&0)
        && terms.windows(3).all(|t| {
            t[1].checked_mul(t[1]).is_some() && t[1].checked_mul(t[1]) == t[0].checked_mul(t[2])
        })
}

fn is_sums(terms: &[i64]) -> bool {
    terms.windows(3).all(|t| t[0].checked_add(t[1]) == Some(t[2]))
}

/// Whether the steps grow evenly, as with squares: a rule of its own.
fn has_even_steps(terms: &[i64]) -> bool {
    let steps: Vec<i64> = terms.windows(2).map(|t| t[1].saturating_sub(t[0])).collect();
    is_linear(&steps) || is_geometric(&steps)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_term_out_of_rule_is_found_and_mended() {
        for (text, mend) in [
            ("Go on: 3, 7, 11, 16, 19, 23, …", "3, 7, 11, 15, 19, 23,"),
            ("2, 6, 18, 53, 162, 486, ...", "2, 6, 18, 54, 162, 486,"),
            ("The list 5, 10, 15, 20, 26, 30, … goes on.", "5, 10, 15, 20, 25, 30,"),
        ] {
            let seen = look(text);
            assert_eq!(seen.len(), 1, "{text}: {seen:?}");
            assert_eq!(seen[0].mend.as_deref(), Some(mend), "{text}");
        }
    }

    #[test]
    fn lists_by_another_rule_or_by_none_are_left_alone() {
        for text in [
            "1, 4, 9, 16, 25, …",
            "1, 1, 2, 3, 5, 8, …",
            "3, 1, 4, 1, 5, 9, …",
            "2, 3, 5, 7, 11, 13, …",
            "1, 3, 6, 10, 15, …",
            "We counted 3, 7, 11, 16, 19 bees.",
            "So … 4, 5 …",
        ] {
            assert_eq!(look(text), [], "{text}");
        }
    }
}
