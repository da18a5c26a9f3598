//! What a text says, part by part, so that slides can be made of it.

use super::parts::{Marker, Parts, pieces};
use super::passages::{Passage, PassageKind, passages};

/// A part of a text.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(crate) enum Said {
    /// A heading.
    Heading(String),
    /// Something that is to be learnt.
    Objective(String),
    /// A paragraph.
    Text(String),
    /// A question with its answer, which may be empty.
    Question { prompt: String, answer: String },
    /// A word with what it means.
    Word { word: String, means: String },
    /// A table.
    Table { heads: Vec<String>, rows: Vec<Vec<String>> },
}

/// The parts of a text, in order. Answers stand with their questions.
pub(crate) fn read(text: &str) -> Vec<Said> {
    let all = passages(text);
    let parts = Parts::of(&all);
    let mut found = Vec::new();
    let mut at = 0;
    while let Some(first) = all.get(at) {
        let is_cell = |passage: &Passage| matches!(passage.kind, PassageKind::Cell { .. });
        let block: Vec<&Passage> = all[at..]
            .iter()
            .take_while(|passage| {
                if is_cell(first) { is_cell(passage) } else { passage.block == first.block }
            })
            .collect();
        at += block.len().max(1);
        found.extend(if is_cell(first) { Some(table(&block)) } else { said(&block, &parts) });
    }
    // The heading above nothing but objectives, or above a key, begins no slide.
    let mut kept: Vec<Said> = Vec::new();
    for said in found {
        if let (Said::Objective(_), Some(Said::Heading(_)), true) =
            (&said, kept.last(), kept.len() > 1)
        {
            kept.pop();
        }
        kept.push(said);
    }
    kept
}

fn said(block: &[&Passage], parts: &Parts) -> Option<Said> {
    let first = block.first()?;
    let is_here = |line: Option<usize>| block.iter().any(|passage| line == Some(passage.line));
    match first.kind {
        PassageKind::Heading { .. } => return Some(Said::Heading(first.text.clone())),
        PassageKind::Html | PassageKind::Picture => return None,
        _ => {}
    }
    if parts.objectives.iter().any(|goal| is_here(goal.place.line)) {
        return Some(Said::Objective(first.text.clone()));
    }
    let lead: Vec<String> = block
        .iter()
        .flat_map(|passage| pieces(passage))
        .filter(|(marker, _)| marker.is_none())
        .map(|(_, piece)| piece.text)
        .collect();
    if let Some(task) = parts.tasks.iter().find(|task| is_here(task.prompt.place.line)) {
        let answer = task.answer.as_ref().map(|answer| answer.text.clone()).unwrap_or_default();
        return Some(Said::Question { prompt: lead.join("\n"), answer });
    }
    let answers = |line: usize| {
        parts
            .tasks
            .iter()
            .any(|task| task.answer.as_ref().is_some_and(|answer| answer.place.line == Some(line)))
    };
    let is_answer = block.iter().all(|passage| {
        let all = pieces(passage);
        all.iter().all(|(marker, _)| *marker == Some(Marker::Answer)) || answers(passage.line)
    });
    if is_answer {
        return None;
    }
    let text = block.iter().map(|passage| passage.text.as_str()).collect::<Vec<_>>().join("\n");
    if let Some(set_off) = &first.set_off
        && parts.defined.iter().any(|defined| defined.line == first.line)
        && let Some(means) = text.strip_prefix(set_off.as_str())
    {
        let word = set_off.trim_end_matches(':').trim().to_owned();
        let means = means.trim_start_matches([':', ' ', '–', '—', '-']).trim().to_owned();
        return Some(Said::Word { word, means });
    }
    Some(Said::Text(text))
}

fn table(cells: &[&Passage]) -> Said {
    let mut rows: Vec<Vec<String>> = Vec::new();
    for cell in cells {
        let PassageKind::Cell { row, column } = cell.kind else { continue };
        if rows.len() <= row {
            rows.resize(row + 1, Vec::new());
        }
        if rows[row].len() <= column {
            rows[row].resize(column + 1, String::new());
        }
        rows[row][column].clone_from(&cell.text);
    }
    let width = rows.iter().map(Vec::len).max().unwrap_or(0);
    for row in &mut rows {
        row.resize(width, String::new());
    }
    let heads = if rows.is_empty() { Vec::new() } else { rows.remove(0) };
    Said::Table { heads, rows }
}
