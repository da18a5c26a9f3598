//! Words that a text uses before it says what they mean.

use super::parts::Parts;
use crate::reading::has_word;
use crate::{Finding, Kind, Spotted};

/// Each word once, where it is used first.
pub(super) fn look(parts: &Parts) -> Vec<Spotted> {
    let mut found: Vec<Spotted> = Vec::new();
    for defined in &parts.defined {
        let first = parts
            .defined
            .iter()
            .filter(|other| other.word == defined.word)
            .map(|other| other.line)
            .min();
        if first != Some(defined.line) {
            continue;
        }
        let used = parts.prose.iter().find(|said| {
            let is_before = said.place.line.is_some_and(|line| line < defined.line);
            is_before
                && (has_word(&said.text, &defined.word)
                    || has_word(&said.text, &format!("{}s", defined.word)))
        });
        if let Some(used) = used {
            let says = format!(
                "“{}” is used here, and defined on line {} only.",
                defined.word, defined.line
            );
            let finding = Finding::new(Kind::TermBeforeDefinition, defined.word.as_str(), says);
            found.push(Spotted { place: used.place, finding });
        }
    }
    found
}
