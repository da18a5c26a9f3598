//! A teacher's own wording: every number of the problem has to stand in it.

use super::Refused;
use teaching::numerals::cut;
use teaching::words::{LONE_DOLLAR, has_lone_dollar};

/// The longest wording.
const LONGEST: usize = 600;

fn texts(text: &str) -> Vec<&str> {
    let mut found = cut(text).1;
    found.sort_unstable();
    found
}

/// Checks a wording against the problem's own.
///
/// # Errors
/// A sentence that names the numbers that are missing or do not belong.
pub(super) fn check(own: &str, wording: &str) -> Result<(), Refused> {
    let length = wording.trim().chars().count();
    if length == 0 || length > LONGEST {
        let says = format!("Write the problem in at most {LONGEST} characters.");
        return Err(Refused::because(says));
    }
    if has_lone_dollar(wording) {
        return Err(Refused::because(LONE_DOLLAR));
    }
    let (mut needed, mut extra) = (texts(own), Vec::new());
    for number in texts(wording) {
        match needed.iter().position(|other| *other == number) {
            Some(at) => drop(needed.remove(at)),
            None => extra.push(number),
        }
    }
    let listed = |numbers: &[&str]| numbers.join(", ");
    if !needed.is_empty() {
        let says = format!("The problem needs these numbers too: {}.", listed(&needed));
        return Err(Refused::because(says));
    }
    if !extra.is_empty() {
        let says = format!(
            "These numbers are not in the problem: {}. Change a number itself, or leave it out of the wording.",
            listed(&extra)
        );
        return Err(Refused::because(says));
    }
    Ok(())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_wording_has_the_numbers_of_its_problem() {
        let own = "Leo packs 3 crates of 12 jars. How many jars is that?";
        for (wording, says) in [
            ("How many jars are in 3 crates, if 12 fit in one?", ""),
            ("12 jars fit in a crate. Leo has 3.", ""),
            ("How many jars are in 3 crates?", "needs these numbers too: 12"),
            ("How many jars are in 3 crates of 12, in 2026?", "not in the problem: 2026"),
            ("  ", "at most 600 characters"),
            ("3 crates of $12 jars", "dollar sign stands alone"),
        ] {
            match check(own, wording) {
                Ok(()) => assert_eq!(says, "", "{wording}"),
                Err(refused) => assert!(!says.is_empty() && refused.says.contains(says), "{wording}: {}", refused.says),
            }
        }
    }
}
