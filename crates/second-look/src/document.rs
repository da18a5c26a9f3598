//! A text in CommonMark with mathematics between dollar signs, looked over as a whole: a sheet of problems, a worked
//! example, the plan of a lesson.

mod as_lesson;
mod parts;
mod passages;
mod plan;
mod said;
mod terms;

pub use as_lesson::lesson_from_text;

use super::reading::{asks, numbers, without_label};
use super::{
    Finding, Kind, Spot, Spotted, contrast, look_at_task, look_at_text, objectives, people,
    reading, sequences,
};
use parts::{Part, Parts};
use passages::{Passage, PassageKind, passages};

/// Longest text that is looked over, in bytes; what stands behind it is not read.
pub const LONGEST: usize = 200_000;

/// Everything that is wrong with a text, in the order of its lines.
#[must_use]
pub fn look_over(text: &str) -> Vec<Spotted> {
    let mut end = text.len().min(LONGEST);
    while !text.is_char_boundary(end) {
        end -= 1;
    }
    let all = passages(&text[..end]);
    let parts = Parts::of(&all);
    let mut found = Vec::new();
    // Of a working that is there to be found wrong nothing is told.
    let shown_wrong: Vec<Spot> = parts
        .tasks
        .iter()
        .filter(|task| reading::is_in_doubt(&task.prompt.text))
        .flat_map(|task| task.replies().map(|reply| reply.place))
        .collect();
    for passage in all.iter().filter(|passage| !shown_wrong.contains(&at_line(passage.line))) {
        found.extend(of_passage(passage));
    }
    for task in &parts.tasks {
        found.extend(look_at_task(task));
    }
    found.extend(parts.stories.iter().filter_map(|story| {
        people::within_text(&story.text).map(|finding| Spotted { place: story.place, finding })
    }));
    found.extend(repeated(&parts));
    found.extend(unanswered(&parts));
    found.extend(plan::look(&parts));
    found.extend(terms::look(&parts));
    let practice: Vec<String> = parts
        .tasks
        .iter()
        .map(|task| {
            let replies: Vec<&str> = task.replies().map(|reply| reply.text.as_str()).collect();
            format!("{} {}", task.prompt.text, replies.join(" "))
        })
        .collect();
    found.extend(objectives::look(&parts.objectives, &practice));
    settled(found)
}

/// What one passage says by itself.
fn of_passage(passage: &Passage) -> Vec<Spotted> {
    let place = at_line(passage.line);
    let findings: Vec<Finding> = match passage.kind {
        PassageKind::Html => {
            let mut all = contrast::look(&passage.text);
            let is_image = passage.text.trim_start().to_lowercase().starts_with("<img");
            let has_words =
                contrast::attribute(&passage.text, "alt").iter().any(|alt| !alt.trim().is_empty());
            if is_image && !has_words {
                all.push(no_words());
            }
            all
        }
        PassageKind::Picture if passage.text.is_empty() => vec![no_words()],
        PassageKind::Picture => Vec::new(),
        _ => {
            let said: Vec<&str> = reading::sentences(&passage.text)
                .into_iter()
                .filter(|sentence| !asks(sentence))
                .collect();
            if reading::is_in_doubt(&passage.text) {
                Vec::new()
            } else {
                let mut all = look_at_text(&said.join(" "));
                // What is asked about a list of numbers stands on the list.
                let asked =
                    reading::sentences(&passage.text).into_iter().filter(|sentence| asks(sentence));
                all.extend(asked.flat_map(sequences::look));
                all
            }
        }
    };
    findings.into_iter().map(|finding| Spotted { place, finding }).collect()
}

fn no_words() -> Finding {
    let says = "This picture has no words for those who cannot see it.";
    Finding::new(Kind::NoAlternativeText, "", says)
}

fn at_line(line: usize) -> Spot {
    Spot { line: Some(line), ..Spot::default() }
}

/// Problems that stand there twice.
fn repeated(parts: &Parts) -> Vec<Spotted> {
    let mut seen: Vec<String> = Vec::new();
    let mut found = Vec::new();
    for task in &parts.tasks {
        let prompt = without_label(&task.prompt.text);
        // A bid alone, as `Solve these.`, may stand there often.
        if numbers(prompt).is_empty() {
            continue;
        }
        let plain: String = prompt
            .to_lowercase()
            .replace("\\times", "×")
            .chars()
            .filter(|sign| !sign.is_whitespace() && !"$.*·".contains(*sign))
            .collect();
        if seen.contains(&plain) {
            let says = "This problem stands here twice.";
            let finding = Finding::new(Kind::DuplicateProblem, task.prompt.text.trim(), says);
            found.push(Spotted { place: task.prompt.place, finding });
        } else {
            seen.push(plain);
        }
    }
    found
}

/// Questions without an answer, where others have theirs, and answers of which only the place is there.
fn unanswered(parts: &Parts) -> Vec<Spotted> {
    let is_empty = |text: &str| text.trim().trim_matches(['.', '_', '?', '…', '$', ' ']).is_empty();
    let has_answer = |part: &Part| part.answered;
    let asked: Vec<&Part> = parts.asked.iter().filter(|part| !part.is_worked).collect();
    let mut found = Vec::new();
    for &part in &asked {
        // Those of the same list, numbered like it.
        let some = asked.iter().any(|other| {
            has_answer(other)
                && other.group == part.group
                && other.number.is_some() == part.number.is_some()
        });
        let task = &parts.tasks[part.task];
        let says = match &task.answer {
            Some(answer) if is_empty(&answer.text) => Some("This answer is empty."),
            Some(_) => None,
            None if some && !has_answer(part) => {
                Some("The others have their answer, this one has none.")
            }
            None => None,
        };
        let Some(says) = says else { continue };
        let place = task.answer.as_ref().map_or(task.prompt.place, |answer| answer.place);
        let finding = Finding::new(Kind::AnswerMissing, task.prompt.text.trim(), says);
        found.push(Spotted { place, finding });
    }
    found
}

/// Each thing once, in the order of the lines; what is told as a false claim is not told again as a false step.
fn settled(mut found: Vec<Spotted>) -> Vec<Spotted> {
    found.sort_by_key(|spotted| (spotted.place.line, spotted.finding.kind));
    found.dedup();
    let claims: Vec<Spot> = found
        .iter()
        .filter(|one| {
            matches!(
                one.finding.kind,
                Kind::FalseEquality
                    | Kind::FalseChain
                    | Kind::UnitWrong
                    | Kind::RoundingWrong
                    | Kind::NumberChanged
            )
        })
        .map(|one| one.place)
        .collect();
    found.retain(|one| one.finding.kind != Kind::FalseStep || !claims.contains(&one.place));
    found
}
