//! The Step Desk's judgement: a student's lines, each compared with the line above and with the
//! problem.

mod board;
mod broken;
mod finished;
mod hints;
mod keypad;
mod marks;
mod place;
mod task;
mod world;

pub use board::judge_board;
pub use keypad::{Keypad, KeypadSize};
pub use marks::{Marks, marks, marks_given};
pub use place::{GivenAnswer, LineEnd, LinePart, judge_with};
pub use teaching::reading::DeskLine;

use self::task::{Progress, Task};
use self::world::World;
use algebra::work::{self, Purse};
use algebra::write::{latex_line, speech_line, text_line};
use algebra::{Expr, ExprKind, Light, Line, Options, Role, read_line, read_line_with};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::WorkingLine;
use teaching::ids::SlipId;
use teaching::reading::characters;
use teaching::stored;
use teaching::verdict::{LineVerdict, VerdictWord};
use teaching::words;
use utoipa::ToSchema;

/// Most lines on one desk.
pub const MOST_LINES: usize = 60;

/// What all lines of a desk may cost together, in steps: a second and a half.
const ALL_LINES: u64 = 6 * work::LINE;

/// A line with what was made of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct JudgedLine {
    /// As it was read, for typesetting; empty when it could not be.
    pub reading: String,
    /// As it was read, in plain mathematics.
    pub plain: String,
    /// To be spoken.
    pub speech: String,
    /// How it was read, where it could be meant otherwise; empty where it could not.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub note: String,
    /// What we say of it.
    pub verdict: LineVerdict,
    /// What the line is for; absent when that is not known.
    #[serde(default, with = "stored::role_if_known", skip_serializing_if = "Option::is_none")]
    #[schema(value_type = Option<stored::RoleName>)]
    pub role: Option<Role>,
    /// Where it could not be read.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub error: Option<Unreadable>,
    /// The slip that was recognised.
    #[serde(
        default,
        skip_serializing_if = "Option::is_none",
        deserialize_with = "skills::ids::slip_if_any"
    )]
    #[schema(value_type = Option<skills::ids::SlipName>)]
    pub slip: Option<SlipId>,
    /// What helps to mend it, from a nudge to the next step; empty where nothing is to mend.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub hints: Vec<String>,
    /// Whether this line is the answer in the form asked for.
    pub answers: bool,
}

/// Where a line could not be read, in characters (Unicode scalar values).
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Unreadable {
    /// The first character.
    pub start: usize,
    /// One past the last character.
    pub end: usize,
    /// The whole line as it would be after the mend, when there is one.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub mended: Option<String>,
}

/// A whole desk, judged.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Judgement {
    /// The lines, in order.
    pub lines: Vec<JudgedLine>,
    /// Whether the last line is the answer and no line above it breaks.
    pub finished: bool,
    /// Whether the answer stands there, whatever the lines above it say.
    pub answered: bool,
    /// What helps to go on from the last line, from a nudge to the next step.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub next: Vec<String>,
    /// What is said of what stands in the place for the answer; absent where nothing does.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub answer: Option<JudgedLine>,
}

impl Judgement {
    /// The same with at most that many hints for each line: what a teacher allows.
    #[must_use]
    pub fn with_hints(mut self, most: usize) -> Self {
        self.next.truncate(most);
        for line in self.lines.iter_mut().chain(&mut self.answer) {
            line.hints.truncate(most);
        }
        self
    }
}

impl Judgement {
    /// The same where a working is asked for: an answer alone is right, but does not end the rung.
    #[must_use]
    pub fn asking_working(mut self, rung: &Rung) -> Self {
        use teaching::answer::AnswerKind::{Number, Quantity, Solutions};
        let is_worked = matches!(rung.kind(), Number { .. } | Quantity { .. } | Solutions);
        // In a place of its own the answer is no line of the working.
        let own = usize::from(self.answer.is_none());
        let stands = |line: &&JudgedLine| !line.plain.is_empty();
        if self.finished && is_worked && self.lines.iter().filter(stands).count() <= own {
            self.finished = false;
            let last = self.answer.as_mut().or_else(|| self.lines.last_mut());
            if let Some(last) = last {
                last.verdict.says = SHOW_HOW.into();
            }
        }
        self
    }
}

const SHOW_HOW: &str = "Right. Write above it how you found it.";

/// Judges a student's lines for a rung: each with the line above it and with the problem.
///
/// # Panics
/// Never: a rung whose line cannot be read is judged as a story without an equation.
#[must_use]
pub fn judge(rung: &Rung, lines: &[DeskLine]) -> Judgement {
    let task = Task::of(rung, lines);
    // In a story the student sets up the equation: there is no line above the first one.
    let is_words = rung.answer.is_words();
    let mut progress = Progress::from(
        (!task.story && !is_words && !rung.line.is_empty()).then(|| task.problem.clone()),
    );
    let world = World::of(rung);
    let mut judged = Vec::new();
    let mut answered = false;
    let mut purse = Purse::new(work::LINE, ALL_LINES);
    for line in lines.iter().take(MOST_LINES) {
        progress.aside = false;
        let before = progress.clone();
        let found = purse.pay(|| {
            let pointed = rung.flawed.as_ref().zip(broken::told(&line.text));
            if let Some((flawed, (number, mended))) = pointed {
                let said = broken::judge(rung, flawed, number, Some(&mended));
                progress.aside = !said.answers;
                return said;
            }
            let said = if is_words {
                task.judge_words(line, &rung.answer.value, &mut progress)
            } else {
                task.judge(line, &mut progress)
            };
            if said.answers {
                return said;
            }
            match world.hear(&task, line, &said, &before) {
                Some((heard, after)) => {
                    progress = after;
                    heard
                }
                None => said,
            }
        });
        judged.push(found.unwrap_or_else(|work::Stopped| {
            progress = before;
            progress.aside = true;
            JudgedLine::too_large()
        }));
        // Words and checks may stand below the answer.
        let answers = judged.last().is_some_and(|line| line.answers);
        if answers || !progress.aside || world.claims_other(line) {
            answered = answers;
        }
    }
    if let (Some(says), Some(last)) = (progress.left_in.take(), judged.last_mut()) {
        last.verdict = LineVerdict::saying(VerdictWord::AddsSolution, says);
        last.answers = false;
        answered = false;
    }
    let sound = judged
        .iter()
        .all(|line| matches!(line.verdict.word, VerdictWord::Holds | VerdictWord::CantTell));
    let next = match (&progress.above, answered, judged.last()) {
        (_, true, _) => Vec::new(),
        (_, _, Some(last)) if !last.hints.is_empty() => Vec::new(),
        (Some(above), ..) => purse.pay(|| hints::next(above, &task.unknown)).unwrap_or_default(),
        (None, ..) => Vec::new(),
    };
    let mut next = next;
    if !answered {
        keep_the_answer(&world, &mut judged, &mut next, lines);
    }
    Judgement { finished: answered && sound, answered, lines: judged, next, answer: None }
}

/// Whether the problem names the letter that it asks for: "Solve 3x = 12", not "How many jars are there?"
fn asks_letter(rung: &Rung) -> bool {
    let letters = |text: &str| {
        read_line_with(text, Options { latex: true, ..Options::default() })
            .is_ok_and(|reading| reading.line.symbols().contains(&rung.unknown))
    };
    !rung.unknown.is_empty()
        && (rung.prompt.split('$').skip(1).step_by(2).any(letters)
            || rung
                .prompt
                .split(|c: char| !c.is_alphanumeric())
                .any(|word| word == rung.unknown && word != "a" && word != "A"))
}

/// Takes out of what is said of wrong lines whatever tells the number that is asked for; the strongest hint may.
fn keep_the_answer(
    world: &World<'_>,
    judged: &mut [JudgedLine],
    next: &mut Vec<String>,
    lines: &[DeskLine],
) {
    // What somebody wrote is no secret.
    if world.is_written_in(lines) {
        return;
    }
    for line in judged.iter_mut().filter(|line| line.verdict.word != VerdictWord::Holds) {
        if world.tells(&line.verdict.says) {
            line.verdict.says = "This does not follow. Look at it again.".into();
        }
        if let Some(strongest) = line.hints.pop() {
            line.hints.retain(|hint| !world.tells(hint));
            line.hints.push(strongest);
        }
    }
    if let Some(strongest) = next.pop() {
        next.retain(|hint| !world.tells(hint));
        next.push(strongest);
    }
}

/// What a problem and its lines tell about the names in each other.
fn light(rung: &Rung, lines: &[DeskLine]) -> Light {
    let texts = lines.iter().take(MOST_LINES).map(|line| line.text.as_str());
    let unknown = Some(rung.unknown.as_str()).filter(|unknown| !unknown.is_empty());
    Light::of(std::iter::once(rung.line.as_str()).chain(texts)).about(unknown)
}

/// Whether an angle in degrees stands in a line.
fn has_degrees(line: &Line) -> bool {
    any(line, |part| matches!(part.kind, ExprKind::Degree(_)))
}

/// Whether a unit stands in a line.
fn has_units(line: &Line) -> bool {
    any(line, |part| matches!(part.kind, ExprKind::Unit(_)))
}

fn any(line: &Line, is: impl Fn(&Expr) -> bool) -> bool {
    line.expressions().into_iter().any(|side| side.any(&mut |part| is(part)))
}

/// Whether units stand in the problem: its letters are none when they are read as units; or in the key of an answer in
/// words.
pub fn reads_units(rung: &Rung) -> bool {
    if rung.answer.is_words() {
        return rung.working.iter().filter_map(WorkingLine::read).any(|line| has_units(&line));
    }
    let letters = |quantities| {
        read_line_with(&rung.line, Options { quantities, ..Options::default() })
            .is_ok_and(|reading| !reading.line.symbols().is_empty())
    };
    let may = rung.unknown.is_empty() && rung.answer.unit.is_some();
    may && letters(false) && !letters(true)
}

/// A saved line and the one that it was compared with, as they are meant; `None` when either cannot be read.
#[must_use]
pub fn step(rung: &Rung, lines: &[DeskLine], at: usize) -> Option<(Line, Line)> {
    let quantities = reads_units(rung);
    let light = light(rung, lines);
    let read = |line: &DeskLine| line.read_in(quantities, &light).ok().map(|reading| reading.line);
    let line = read(lines.get(at)?)?;
    let is_mathematics = |line: &Line| !matches!(line, Line::Sentence(_) | Line::Definition { .. });
    let above = lines[..at].iter().rev().filter_map(read).find(is_mathematics);
    let above = match above {
        Some(above) => above,
        None => read_line(&rung.line).ok()?.line,
    };
    is_mathematics(&line).then_some((above, line))
}

impl JudgedLine {
    fn of(line: &Line) -> Self {
        Self {
            reading: latex_line(line),
            plain: text_line(line),
            speech: speech_line(line),
            note: String::new(),
            verdict: LineVerdict::plain(VerdictWord::CantTell),
            role: None,
            error: None,
            slip: None,
            hints: Vec::new(),
            answers: false,
        }
    }

    /// A line that took too much to be judged: nothing is said of it, and the next ones pass it over.
    fn too_large() -> Self {
        let says = "This line is too large to be checked. Try it in smaller steps.";
        Self {
            reading: String::new(),
            plain: String::new(),
            speech: String::new(),
            verdict: LineVerdict::saying(VerdictWord::CantTell, says),
            ..Self::of(&Line::NoSolution)
        }
    }

    fn holds(&mut self, role: Role, says: &str) {
        self.role = Some(role);
        self.verdict = LineVerdict::saying(VerdictWord::Holds, says);
    }
}

fn unreadable(text: &str, error: &algebra::ReadError) -> JudgedLine {
    let (start, end) = characters(text, error.span);
    let mended = error.mend.as_ref().and_then(|mend| mend.applied(text));
    JudgedLine {
        reading: String::new(),
        plain: String::new(),
        speech: String::new(),
        note: String::new(),
        verdict: LineVerdict::saying(VerdictWord::CantRead, words::unreadable(error)),
        role: None,
        error: Some(Unreadable { start, end, mended }),
        slip: None,
        hints: Vec::new(),
        answers: false,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use skills::ladder::{Ladder, LadderOrder};
    use teaching::slips::SecondTermNotMultiplied;

    fn rung(line: &str, story: bool) -> Rung {
        let order = LadderOrder {
            skills: vec!["equations.linear".into()],
            grip: 1,
            tilt: 0,
            climb: 0,
            seed: 1,
            method: None,
            ..LadderOrder::default()
        };
        let mut rung = Ladder::make(&order).expect("made").rungs.remove(0);
        rung.line = line.into();
        rung.unknown = if story { "n".into() } else { "x".into() };
        rung.story = story;
        rung
    }

    #[track_caller]
    fn desk(problem: &str, story: bool, lines: &[&str]) -> (Vec<VerdictWord>, bool, Judgement) {
        let lines: Vec<_> =
            lines.iter().map(|text| DeskLine { text: (*text).into(), latex: false }).collect();
        let found = judge(&rung(problem, story), &lines);
        (found.lines.iter().map(|line| line.verdict.word).collect(), found.finished, found)
    }

    use VerdictWord::{Breaks, CantRead, CantTell, DropsSolution, Holds};

    #[test]
    #[rustfmt::skip]
    fn each_line_is_judged_against_the_one_above() {
        for (problem, lines, words, finished) in [
            ("3(2x-5) = 27", &["6x - 15 = 27", "6x = 42", "x = 7"][..], &[Holds, Holds, Holds][..], true),
            ("3(2x-5) = 27", &["6x - 5 = 27", "6x = 32", "x = 16/3"], &[Breaks, Holds, Holds], false),
            ("3(2x-5) = 27", &["6x - 5 = 27", "x = 7"], &[Breaks, Holds], false),
            ("3x = 12", &["12 ÷ 3 = 4", "x = 4"], &[Holds, Holds], true),
            ("3x = 12", &["12 ÷ 3 = 5", "x = 4"], &[Breaks, Holds], false),
            ("3x = 12", &["x = 8/2"], &[Holds], false),
            ("3x = 12", &["x = 8 - 4"], &[Holds], false),
            ("3x = 12", &["x = 2 × 2"], &[Holds], false),
            ("3x = 12", &["x = 8 - 4", "x = 4"], &[Holds, Holds], true),
            ("x^2 - 6x + 8 = 0", &["x = 3 + 1 or x = 3 - 1"], &[Holds], false),
            ("x^2 - 6x + 7 = 0", &["x = 3 + √2 or x = 3 - √2"], &[Holds], true),
            ("x = 1200 × 25", &["x = 3 × 10^4"], &[Holds], true),
            ("3x = 12", &["x = "], &[CantRead], false),
            ("3x = 12", &["x = ", "x = 4"], &[CantRead, Holds], false),
            ("3x = 12", &["I divide both sides by three.", "x = 4"], &[CantTell, Holds], true),
            ("x^2 = 5x", &["x = 5"], &[DropsSolution], false),
        ] {
            let (found, done, _) = desk(problem, false, lines);
            assert_eq!((&found[..], done), (words, finished), "{problem}: {lines:?}");
        }
    }

    #[test]
    fn the_slip_is_named_without_telling_the_answer() {
        let (_, _, found) = desk("3(2x-5) = 27", false, &["6x - 5 = 27"]);
        assert_eq!(found.lines[0].slip, Some(SecondTermNotMultiplied::ID));
        assert!(!found.lines[0].verdict.says.contains('7'), "{}", found.lines[0].verdict.says);
    }

    #[test]
    fn in_a_story_the_student_sets_up_the_equation_in_any_letter() {
        let (found, done, _) = desk("4n + 6 = 30", true, &["6 + 4j = 30", "4j = 24", "j = 6"]);
        assert_eq!((&found[..], done), (&[Holds, Holds, Holds][..], true));
        let (found, ..) = desk("4n + 6 = 30", true, &["4n = 30", "n = 7.5"]);
        assert_eq!(found, [CantTell, Holds]);
    }

    #[test]
    fn what_could_be_meant_otherwise_is_said() {
        for (line, says) in [
            ("x = 1/2x", "divided, then multiplied"),
            ("3/4 ÷ 2/3 = x", "by that fraction"),
            ("x^1/2 = 4", "only that number as the exponent"),
            ("e^2x = 4", "only that number as the exponent"),
            ("x = 0.1(6)", "repeats"),
        ] {
            let (_, _, found) = desk("3x = 12", false, &[line]);
            assert!(found.lines[0].note.contains(says), "{line}: {}", found.lines[0].note);
        }
        for line in ["x = 12 ÷ 3", "x^2y = 4", "(3/4) ÷ (2/3) = x", "2^3 = x"] {
            let (_, _, found) = desk("3x = 12", false, &[line]);
            assert_eq!(found.lines[0].note, "", "{line}");
        }
    }

    #[test]
    fn a_place_is_counted_in_characters_and_the_mend_is_whole() {
        let (_, _, found) = desk("3x = 12", false, &["½ × (2x = 4"]);
        let error = found.lines[0].error.as_ref().expect("unreadable");
        assert_eq!((error.start, error.end), (4, 5));
        assert_eq!(error.mended.as_deref(), Some("½ × (2x) = 4"));
    }

    #[test]
    fn hostile_lines_are_answered() {
        let long = "9^".repeat(9_000);
        for text in ["9^9^9^9 = x", "x = 2^1000000", long.as_str(), "((((((", "\u{0}", "x=1/0"] {
            let (found, ..) = desk("3x = 12", false, &[text]);
            assert_eq!(found.len(), 1);
        }
    }
}
