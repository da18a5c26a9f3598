//! Lists of numbers that go on by a rule, with one term out of it.

use super::{Finding, Kind};
use num_traits::ToPrimitive;

/// Fewer terms than this show no rule that one of them could break.
const FEWEST: usize = 5;

/// Terms out of rule in the lists of a text. Only a list that says that it goes on, by `…` or `...`, has a rule.
pub(super) fn look(text: &str) -> Vec<Finding> {
    let mut found = Vec::new();
    for (end, _) in text.match_indices("…").chain(text.match_indices("...")) {
        let list = before(&text[..end]);
        let terms = terms(list);
        if terms.len() < FEWEST {
            continue;
        }
        if let Some((at, right)) = out_of_rule(&terms) {
            let (shown, wrong) = (shown(&terms), terms[at]);
            let mut mended = terms.clone();
            mended[at] = right;
            let says = format!("By the rule of the others, {wrong} should be {right}.");
            let mend = self::shown(&mended);
            let finding = Finding::new(Kind::WrongTerm, list.trim(), says);
            // Mended as it was written, where that was the usual way.
            let mend = (list.trim().trim_end_matches(',').trim() == shown).then_some(mend);
            let comma = if list.trim().ends_with(',') { "," } else { "" };
            found.push(finding.mended(mend.map(|mend| format!("{mend}{comma}"))));
        }
    }
    found
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

fn terms(list: &str) -> Vec<i64> {
    let all: Option<Vec<i64>> = list
        .split(',')
        .map(str::trim)
        .filter(|term| !term.is_empty())
        .map(|term| term.replace('−', "-").parse().ok())
        .collect();
    all.unwrap_or_default()
}

fn shown(terms: &[i64]) -> String {
    terms.iter().map(i64::to_string).collect::<Vec<_>>().join(", ")
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
