//! Questions: that they ask something, that their choices can be made, and that what is marked as true is true.

use super::{Finding, Kind};
use algebra::{Line, StepVerdict, compare, judge_alone, read_latex, read_line};
use lesson::Asks;

/// What is wrong with a question.
pub(super) fn look(prompt: &str, asks: &Asks) -> Vec<Finding> {
    let mut found = Vec::new();
    if prompt.trim().is_empty() {
        found.push(Finding::new(Kind::Empty, "", "This question has no words yet."));
        return found;
    }
    match asks {
        // What is answered in one's own words is worked and compared with the other tasks.
        Asks::Open { .. } => {}
        Asks::Choice { choices } => {
            let right = choices.iter().filter(|choice| choice.right).count();
            match right {
                _ if choices.len() < 2 => {
                    found.push(Finding::new(
                        Kind::NotAnswerable,
                        prompt,
                        "There is nothing to choose from: offer two choices or more.",
                    ));
                }
                0 => found.push(Finding::new(
                    Kind::AnswerMissing,
                    prompt,
                    "No choice is marked as right.",
                )),
                _ => {}
            }
            for (at, choice) in choices.iter().enumerate() {
                if choice.text.trim().is_empty() {
                    found.push(Finding::new(
                        Kind::Empty,
                        prompt,
                        format!("Choice {} is empty.", at + 1),
                    ));
                }
                let twin =
                    choices[..at].iter().find(|other| says_the_same(&other.text, &choice.text));
                if let Some(twin) = twin.filter(|_| !choice.text.trim().is_empty()) {
                    let says = format!("“{}” and “{}” are worth the same.", twin.text, choice.text);
                    found.push(Finding::new(Kind::NotAnswerable, choice.text.as_str(), says));
                }
            }
        }
        Asks::TrueOrFalse { is_true, .. } => {
            let decided = only_claim(prompt).and_then(|claim| match judge_alone(&claim) {
                StepVerdict::Equivalent { .. } => Some(true),
                StepVerdict::NotEquivalent(_) => Some(false),
                _ => None,
            });
            if decided.is_some_and(|decided| decided != *is_true) {
                let says = if *is_true {
                    "It is marked as true, but it is false."
                } else {
                    "It is marked as false, but it is true."
                };
                found.push(Finding::new(Kind::FalseStep, prompt, says));
            }
        }
    }
    found
}

/// The mathematics of a prompt, when it is one claim without letters.
fn only_claim(prompt: &str) -> Option<Line> {
    let parts: Vec<&str> = prompt.split('$').collect();
    let line = match parts[..] {
        [_, math, _] => read_latex(math).ok()?.line,
        [plain] => read_line(plain.trim().trim_end_matches(['.', '?'])).ok()?.line,
        _ => return None,
    };
    (matches!(line, Line::Relations { .. }) && line.symbols().is_empty()).then_some(line)
}

/// Whether two choices are worth the same.
fn says_the_same(a: &str, b: &str) -> bool {
    if a.trim() == b.trim() {
        return true;
    }
    let read = |text: &str| {
        let inside = text.trim().trim_matches('$');
        read_latex(inside).or_else(|_| read_line(inside)).ok().map(|read| read.line)
    };
    match (read(a), read(b)) {
        (Some(a), Some(b))
            if !matches!(a, Line::Sentence(_)) && !matches!(b, Line::Sentence(_)) =>
        {
            matches!(compare(&a, &b, None), StepVerdict::Equivalent { .. })
        }
        _ => false,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use lesson::Offered;

    fn kinds(prompt: &str, asks: &Asks) -> Vec<Kind> {
        look(prompt, asks).into_iter().map(|finding| finding.kind).collect()
    }

    fn choice(choices: &[(&str, bool)]) -> Asks {
        let one = |&(text, right): &(&str, bool)| Offered { text: text.into(), right };
        Asks::Choice { choices: choices.iter().map(one).collect() }
    }

    #[test]
    #[rustfmt::skip]
    fn a_choice_that_cannot_be_made_is_found() {
        assert_eq!(kinds("Which?", &choice(&[("$1/2$", true), ("$3/4$", false)])), []);
        assert_eq!(kinds("Which?", &choice(&[("1/2", false), ("3/4", false)])), [Kind::AnswerMissing]);
        assert_eq!(kinds("Which?", &choice(&[("$1/2$", true), ("$0.5$", false), ("2", false)])), [Kind::NotAnswerable]);
        assert_eq!(kinds("Which?", &choice(&[("1", true)])), [Kind::NotAnswerable]);
        assert_eq!(kinds("Which?", &choice(&[("1", true), (" ", false)])), [Kind::Empty]);
        assert_eq!(kinds(" ", &choice(&[("1", true), ("2", false)])), [Kind::Empty]);
        assert_eq!(kinds("Which?", &choice(&[("the oak hive", true), ("the clover hive", false)])), []);
    }

    #[test]
    #[rustfmt::skip]
    fn an_answer_that_is_not_the_answer_is_found() {
        let marked = |is_true| Asks::TrueOrFalse { is_true, why: String::new() };
        assert_eq!(kinds("$3/4 = 6/8$", &marked(true)), []);
        assert_eq!(kinds("$3/4 = 6/8$", &marked(false)), [Kind::FalseStep]);
        assert_eq!(kinds("Every square is a rectangle.", &marked(true)), []);
    }
}
