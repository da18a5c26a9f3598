//! Answers of a class, put together by what they mean.

use super::given::AnswerMark;
use algebra::{Line, StepVerdict, compare, read_line};
use serde::Serialize;
use std::collections::BTreeMap;
use utoipa::ToSchema;

/// Most different endings that are compared by what they mean; rarer ones stand by themselves.
const MOST_COMPARED: usize = 40;

/// Answers that mean the same.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Group {
    /// What they end in, as most of them wrote it.
    pub ends: String,
    /// The same for typesetting; empty for words.
    #[serde(skip_serializing_if = "String::is_empty")]
    pub latex: String,
    /// Whether they are right; absent where nothing is, or where it cannot be told.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub right: Option<bool>,
    /// The slip that most of them made, as a sentence.
    #[serde(skip_serializing_if = "String::is_empty")]
    pub slip: String,
    /// Who gave them.
    pub students: Vec<u64>,
    /// How they were written.
    pub forms: Vec<WrittenAs>,
}

/// One way of writing an answer.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct WrittenAs {
    /// As it was read.
    pub text: String,
    /// How many wrote it so.
    pub count: usize,
}

/// A student, and what was said of their answer.
type By<'a> = (u64, &'a AnswerMark);

/// Puts answers together, the group of the most students first. `unknown` is the letter that is asked for, where there is
/// one.
#[must_use]
pub fn groups<'a>(
    answers: impl IntoIterator<Item = (u64, &'a AnswerMark)>,
    unknown: Option<&str>,
) -> Vec<Group> {
    // The same writing first: a class of thousands ends in a few dozen things.
    let mut endings: BTreeMap<(Option<bool>, &str), Vec<By<'_>>> = BTreeMap::new();
    for (student, mark) in answers {
        endings.entry((mark.right, mark.ends.as_str())).or_default().push((student, mark));
    }
    let mut endings: Vec<_> = endings.into_iter().collect();
    endings.sort_by_key(|(_, who)| std::cmp::Reverse(who.len()));
    let mut found: Vec<(Group, Option<Line>)> = Vec::new();
    for (compared, ((right, ends), who)) in endings.into_iter().enumerate() {
        let is_read = compared < MOST_COMPARED && !ends.is_empty();
        let line = is_read.then(|| read_line(ends).ok()).flatten().map(|reading| reading.line);
        let line = line.filter(|line| !matches!(line, Line::Sentence(_)));
        let same = |(group, other): &(Group, Option<Line>)| {
            if group.right != right {
                return false;
            }
            // What is right is the same, however it is written.
            right == Some(true) && line.is_some() && other.is_some()
                || group.ends.to_lowercase() == ends.to_lowercase()
                || line.as_ref().zip(other.as_ref()).is_some_and(|(line, other)| {
                    matches!(compare(other, line, unknown), StepVerdict::Equivalent { .. })
                })
        };
        let at = found.iter().position(same).unwrap_or_else(|| {
            let first = who[0].1;
            found.push((
                Group {
                    ends: ends.to_owned(),
                    latex: first.latex.clone(),
                    right,
                    slip: String::new(),
                    students: Vec::new(),
                    forms: Vec::new(),
                },
                line,
            ));
            found.len() - 1
        });
        let group = &mut found[at].0;
        group.forms.push(WrittenAs { text: ends.to_owned(), count: who.len() });
        group.students.extend(who.iter().map(|(student, _)| *student));
        if group.slip.is_empty() {
            group.slip = most_said(&who);
        }
    }
    let mut all: Vec<Group> = found.into_iter().map(|(group, _)| group).collect();
    all.sort_by_key(|group| std::cmp::Reverse(group.students.len()));
    all
}

/// The slip that most of them made.
fn most_said(who: &[By<'_>]) -> String {
    let mut counts: BTreeMap<&str, usize> = BTreeMap::new();
    for (_, mark) in who.iter().filter(|(_, mark)| !mark.slip.is_empty()) {
        *counts.entry(mark.slip.as_str()).or_default() += 1;
    }
    let most = counts.into_iter().max_by_key(|(_, count)| *count);
    most.map(|(slip, _)| slip.to_owned()).unwrap_or_default()
}
