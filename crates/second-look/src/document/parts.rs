//! The parts of a text: what is asked with its working and its answer, what is defined, what is to be learnt.

use super::at_line;
use super::passages::{Passage, PassageKind};
use crate::reading::{asks, formulas, is_solved, line_of, numbers, sentences, words_only};
use crate::task::{Placed, Task};
use algebra::Line;

/// What a section of a text is for, by its heading.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default)]
pub(super) enum Section {
    #[default]
    Any,
    Objectives,
    Words,
    Plan,
    Practice,
    Key,
}

/// How a task is asked in a text.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Part {
    /// Which task it is.
    pub task: usize,
    /// The number of its item.
    pub number: Option<u64>,
    /// The section it stands in.
    pub group: usize,
    /// Whether its answer or its working stands there.
    pub answered: bool,
    /// Whether it is an example with its working, which needs no answer of its own.
    pub is_worked: bool,
}

/// A word that is defined, in lower case.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Defined {
    /// The word.
    pub word: String,
    /// The line of its definition.
    pub line: usize,
}

/// A text, sorted.
#[derive(Debug, Default)]
pub(super) struct Parts {
    pub tasks: Vec<Task>,
    /// One for each task, in the same order.
    pub asked: Vec<Part>,
    /// Stories that ask nothing.
    pub stories: Vec<Placed>,
    pub objectives: Vec<Placed>,
    pub defined: Vec<Defined>,
    /// Sentences in which a word may be used before its time.
    pub prose: Vec<Placed>,
    /// Lines that may be timed: what stands there, and in which section.
    pub timed: Vec<(Placed, Section, PassageKind)>,
    open: Option<usize>,
    section: Section,
    group: usize,
    story: Option<Placed>,
    pictures: Vec<Placed>,
}

/// What the words before a colon announce.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Marker {
    Answer,
    Working,
}

const MARKERS: &[(&str, Marker)] = &[
    ("answers", Marker::Answer),
    ("answer", Marker::Answer),
    ("ans", Marker::Answer),
    ("worked solution", Marker::Working),
    ("solution", Marker::Working),
    ("working", Marker::Working),
    ("steps", Marker::Working),
];

impl Parts {
    /// The parts of a text.
    pub fn of(passages: &[Passage]) -> Self {
        let mut parts = Self::default();
        let mut at = 0;
        while let Some(first) = passages.get(at) {
            match first.kind {
                PassageKind::Html => at += 1,
                PassageKind::Picture => {
                    parts.picture(first);
                    at += 1;
                }
                _ => {
                    let mut lines: Vec<&Passage> = Vec::new();
                    while let Some(passage) =
                        passages.get(at).filter(|passage| passage.block == first.block)
                    {
                        match passage.kind {
                            PassageKind::Picture => parts.picture(passage),
                            PassageKind::Html => {}
                            _ => lines.push(passage),
                        }
                        at += 1;
                    }
                    parts.block(&lines);
                }
            }
        }
        parts.close_story();
        parts
    }

    fn picture(&mut self, passage: &Passage) {
        let picture = Placed { place: at_line(passage.line), text: passage.text.clone() };
        match self.open.and_then(|open| self.tasks.get_mut(open)) {
            Some(task) => task.pictures.push(picture),
            None => self.pictures.push(picture),
        }
    }

    fn close_story(&mut self) {
        self.stories.extend(self.story.take());
    }

    fn block(&mut self, lines: &[&Passage]) {
        let Some(first) = lines.first() else { return };
        for passage in lines {
            let placed = Placed { place: at_line(passage.line), text: passage.text.clone() };
            self.timed.push((placed, self.section, passage.kind));
        }
        if matches!(first.kind, PassageKind::Heading { .. }) {
            self.heading(first);
            return;
        }
        for passage in lines {
            self.define(passage);
        }
        let is_about_terms = matches!(self.section, Section::Any | Section::Practice);
        if self.section == Section::Objectives {
            let goals = lines
                .iter()
                .map(|passage| Placed { place: at_line(passage.line), text: passage.text.clone() });
            self.objectives.extend(goals);
            return;
        }
        if self.section == Section::Key && self.keyed(lines) {
            return;
        }
        if is_about_terms {
            let said = lines.iter().map(|passage| Placed {
                place: at_line(passage.line),
                text: words_only(&passage.text),
            });
            self.prose.extend(said);
        }
        if first.text.to_lowercase().starts_with("i can ") {
            self.objectives.push(Placed { place: at_line(first.line), text: first.text.clone() });
            return;
        }
        if let Some(goal) =
            after_label(&first.text, &["objective", "objectives", "learning objective", "goal"])
        {
            self.objectives.push(Placed { place: at_line(first.line), text: goal.to_owned() });
            return;
        }
        self.said(lines);
    }

    fn heading(&mut self, passage: &Passage) {
        self.close_story();
        self.open = None;
        self.group += 1;
        self.pictures.clear();
        let lower = passage.text.to_lowercase();
        let has = |words: &[&str]| words.iter().any(|word| lower.contains(word));
        self.section = if has(&["objective", "goal", "i can", "learning to", "success criteria"]) {
            Section::Objectives
        } else if has(&["answer", "key"]) && !has(&["keyword", "key word", "key term", "key idea"])
        {
            Section::Key
        } else if has(&["vocab", "words", "definition", "terms", "keyword"]) {
            Section::Words
        } else if has(&["plan", "phases", "timing", "outline", "agenda", "schedule"]) {
            Section::Plan
        } else if has(&[
            "practi", "exercise", "problem", "question", "homework", "exit", "try", "check",
            "starter", "warm",
        ]) {
            Section::Practice
        } else {
            Section::Any
        };
        // A problem may stand in the heading itself.
        if asks(&passage.text) && !numbers(&passage.text).is_empty() {
            self.pose(at_line(passage.line), passage.text.clone(), None);
        }
    }

    /// A word that a passage defines.
    fn define(&mut self, passage: &Passage) {
        let text = passage.text.trim();
        let lower = text.to_lowercase();
        let mut word: Option<String> = None;
        if let Some(set_off) = &passage.set_off {
            let bare = set_off.trim_end_matches(':').trim();
            let rest =
                lower.split_once(&bare.to_lowercase()).map_or("", |(_, rest)| rest).trim_start();
            let defines = set_off.ends_with(':')
                || [":", "is a ", "is an ", "is the ", "means", "are ", "–", "—", "- "]
                    .iter()
                    .any(|sign| rest.starts_with(sign))
                || ["is called a", "is called an", "is called the", "we call", "are called"]
                    .iter()
                    .any(|sign| lower.contains(sign));
            word = defines.then(|| bare.to_owned());
        } else if self.section == Section::Words {
            word = [": ", " – ", " — ", " means "]
                .iter()
                .find_map(|sign| text.split_once(sign))
                .map(|(word, _)| word.to_owned());
        } else if let Some(called) =
            ["is called a ", "is called an ", "is called the ", "are called "]
                .iter()
                .find_map(|sign| lower.split_once(sign))
        {
            word = Some(called.1.split(['.', ',', ';', '(']).next().unwrap_or_default().to_owned());
        }
        let Some(word) = word.map(|word| word.trim().to_lowercase()) else { return };
        let is_label = MARKERS.iter().any(|(label, _)| word.starts_with(label))
            || [
                "question",
                "example",
                "step",
                "problem",
                "note",
                "starter",
                "teach",
                "practice",
                "review",
                "time",
                "length",
                "minutes",
                "homework",
                "objective",
                "remember",
                "grade",
                "topic",
                "guided",
                "independent",
                "total",
            ]
            .iter()
            .any(|label| word.starts_with(label));
        let is_word = word.chars().count() > 2
            && word.split(' ').count() <= 3
            && !word.contains(|sign: char| sign.is_ascii_digit());
        if is_word && !is_label {
            self.defined.push(Defined { word, line: passage.line });
        }
    }

    /// An entry of a key goes to its question; false where it is none.
    fn keyed(&mut self, lines: &[&Passage]) -> bool {
        let Some(first) = lines.first() else { return false };
        let (number, text) = match first.kind {
            PassageKind::Item { number: Some(number) } => (number, first.text.clone()),
            _ => {
                let digits: String = first.text.chars().take_while(char::is_ascii_digit).collect();
                let rest = first.text[digits.len()..].trim_start_matches([')', ':', '.']);
                let Ok(number) = digits.parse() else { return false };
                if rest.len() == first.text.len() - digits.len() {
                    return false;
                }
                (number, rest.trim().to_owned())
            }
        };
        let Some(part) = self.asked.iter_mut().rfind(|part| part.number == Some(number)) else {
            return false;
        };
        part.answered = true;
        let place = at_line(first.line);
        let task = &mut self.tasks[part.task];
        if task.answer.is_none() {
            task.answer = Some(Placed { place, text });
        }
        true
    }

    /// A paragraph that says or asks something.
    fn said(&mut self, lines: &[&Passage]) {
        let Some(first) = lines.first() else { return };
        let number = match first.kind {
            PassageKind::Item { number } => number,
            _ => None,
        };
        let pieces: Vec<(Option<Marker>, Placed)> =
            lines.iter().flat_map(|passage| pieces(passage)).collect();
        let last_asked =
            pieces.iter().rposition(|(marker, piece)| marker.is_none() && asks(&piece.text));
        let is_bare_item =
            matches!(first.kind, PassageKind::Item { .. } | PassageKind::Cell { .. })
                && self.section == Section::Practice
                && matches!(&pieces[..], [(None, piece), ..] if is_mathematics(&piece.text));
        let asked = last_asked.or(is_bare_item.then_some(0));
        let mut rest = 0;
        if let Some(asked) = asked {
            let prompt: Vec<&str> = pieces[..=asked]
                .iter()
                .filter(|(marker, _)| marker.is_none())
                .map(|(_, piece)| piece.text.as_str())
                .collect();
            let place = pieces[asked].1.place;
            self.pose(place, prompt.join(" "), number);
            rest = asked + 1;
        }
        let is_unasked = asked.is_none();
        for (marker, piece) in pieces.into_iter().skip(rest) {
            self.reply(marker, piece, is_unasked);
        }
        if is_unasked {
            self.bare_working(lines);
        }
    }

    /// A new question.
    fn pose(&mut self, place: crate::Spot, prompt: String, number: Option<u64>) {
        let mut prompt = prompt;
        // A question that gives nothing goes on from the story before it.
        if let Some(story) = self.story.take() {
            if numbers(&prompt).len() < 2 && formulas(&prompt).is_empty() && number.is_none() {
                prompt = format!("{} {prompt}", story.text);
            } else {
                self.stories.push(story);
            }
        }
        let task =
            Task { pictures: std::mem::take(&mut self.pictures), ..Task::asking(place, prompt) };
        self.open = Some(self.tasks.len());
        self.asked.push(Part {
            task: self.tasks.len(),
            number,
            group: self.group,
            answered: false,
            is_worked: false,
        });
        self.tasks.push(task);
    }

    /// What follows a question.
    fn reply(&mut self, marker: Option<Marker>, piece: Placed, may_be_story: bool) {
        let has_maths = !numbers(&piece.text).is_empty() || !formulas(&piece.text).is_empty();
        let Some(open) = self.open.filter(|_| marker.is_some() || has_maths) else {
            if may_be_story && !is_mathematics(&piece.text) {
                match &mut self.story {
                    Some(story) => story.text = format!("{} {}", story.text, piece.text),
                    None => self.story = Some(piece),
                }
            }
            return;
        };
        let (task, part) = (&mut self.tasks[open], &mut self.asked[open]);
        match marker {
            Some(Marker::Answer) => {
                part.answered = true;
                task.answer = Some(piece);
            }
            Some(Marker::Working) | None => {
                part.is_worked |= marker.is_some() || is_mathematics(&piece.text);
                if !piece.text.is_empty() {
                    task.working.push(piece);
                }
            }
        }
    }

    /// Lines of mathematics under each other that end with a solution, without a word that asks for it.
    fn bare_working(&mut self, lines: &[&Passage]) {
        if self.open.is_some() || lines.len() < 2 {
            return;
        }
        let read: Option<Vec<Line>> = lines.iter().map(|passage| line_of(&passage.text)).collect();
        let Some(read) = read else { return };
        let letters: Vec<_> = read.iter().map(Line::symbols).collect();
        let one_letter =
            letters.iter().all(|each| each.len() == 1 && Some(each) == letters.first());
        let is_solved = read.last().is_some_and(is_solved);
        if !one_letter || !is_solved || read.first().is_none_or(|line| line.as_equation().is_none())
        {
            return;
        }
        let place = at_line(lines[0].line);
        let mut task = Task::asking(place, format!("Solve {}", maths_of(&lines[0].text)));
        task.working = lines[1..]
            .iter()
            .map(|passage| Placed { place: at_line(passage.line), text: passage.text.clone() })
            .collect();
        self.asked.push(Part {
            task: self.tasks.len(),
            number: None,
            group: self.group,
            answered: true,
            is_worked: true,
        });
        self.tasks.push(task);
    }
}

fn maths_of(text: &str) -> String {
    if text.contains('$') { text.to_owned() } else { format!("${text}$") }
}

/// Whether a text is mathematics and nothing else.
fn is_mathematics(text: &str) -> bool {
    line_of(text).is_some_and(|line| !matches!(line, Line::Sentence(_)))
}

/// `Then $x = 5$`: a line of mathematics behind a word that leads to it.
fn is_conclusion(text: &str) -> bool {
    const LEADS: &[&str] = &["then ", "so ", "thus ", "therefore ", "hence ", "it follows that "];
    let lower = text.to_ascii_lowercase();
    LEADS.iter().any(|lead| lower.starts_with(lead) && is_mathematics(&text[lead.len()..]))
}

/// What stands behind one of these labels and a colon.
fn after_label<'a>(text: &'a str, labels: &[&str]) -> Option<&'a str> {
    let (label, rest) = text.split_once(':')?;
    labels
        .contains(&label.trim().to_lowercase().as_str())
        .then(|| rest.trim())
        .filter(|rest| !rest.is_empty())
}

/// A line cut where it announces its working or its answer.
pub(super) fn pieces(passage: &Passage) -> Vec<(Option<Marker>, Placed)> {
    let text = passage.text.as_str();
    let place = at_line(passage.line);
    let mut cuts: Vec<(usize, usize, Marker)> = Vec::new();
    let lower = text.to_ascii_lowercase();
    for (word, marker) in MARKERS {
        for (at, _) in lower.match_indices(word) {
            let before = lower[..at].chars().next_back();
            let after = &lower[at + word.len()..];
            let skipped =
                after.trim_start_matches(|sign: char| sign == ' ' || sign.is_ascii_digit());
            let is_marker = !before.is_some_and(char::is_alphanumeric) && skipped.starts_with(':');
            let is_taken = cuts.iter().any(|(from, to, _)| (*from..*to).contains(&at));
            if is_marker && !is_taken {
                cuts.push((at, text.len() - skipped.len() + 1, *marker));
            }
        }
    }
    cuts.sort_by_key(|(from, ..)| *from);
    let mut found = Vec::new();
    let first = cuts.first().map_or(text.len(), |(from, ..)| *from);
    let lead = text[..first].trim().trim_end_matches(['(', '[']).trim();
    // What is worked in the line that asks for it.
    let said = sentences(lead);
    let asked = said.iter().rposition(|sentence| asks(sentence));
    let worked = asked.map_or(0, |at| {
        said[at + 1..]
            .iter()
            .take_while(|sentence| is_mathematics(sentence) || is_conclusion(sentence))
            .count()
    });
    let is_worked = worked > 0 && asked.is_some_and(|at| at + 1 + worked == said.len());
    if is_worked {
        let cut = said.len() - worked;
        found.push((None, Placed { place, text: said[..cut].join(" ") }));
        found.extend(
            said[cut..]
                .iter()
                .map(|&text| (Some(Marker::Working), Placed { place, text: text.to_owned() })),
        );
    } else if !lead.is_empty() {
        found.push((None, Placed { place, text: lead.to_owned() }));
    }
    for (at, (_, from, marker)) in cuts.iter().enumerate() {
        let to = cuts.get(at + 1).map_or(text.len(), |(next, ..)| *next);
        let piece = text.get(*from..to).unwrap_or_default().trim();
        let is_bracketed = text[..cuts[at].0].trim_end().ends_with('(');
        let piece = if is_bracketed { piece.trim_end_matches(')') } else { piece };
        found.push((Some(*marker), Placed { place, text: piece.to_owned() }));
    }
    found
}
