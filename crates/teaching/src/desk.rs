//! The Step Desk's judgement: a student's lines, each compared with the line above and with the
//! problem.

use crate::ladder::Rung;
use crate::verdict::{LineVerdict, VerdictWord};
use crate::{moves, slips, words};
use algebra::solve::{Solutions, solutions};
use algebra::write::{latex_line, speech_line, text_line};
use algebra::{Expr, Line, StepVerdict, compare, judge_alone, read_latex, read_line};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Most lines on one desk.
pub const MOST_LINES: usize = 60;

/// A line as it was written.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct DeskLine {
    /// What was written.
    pub text: String,
    /// Whether it is LaTeX from the mathematics field; otherwise plain typing.
    #[serde(default)]
    pub latex: bool,
}

/// A line with what was made of it.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct JudgedLine {
    /// As it was read, for typesetting; empty when it could not be.
    pub reading: String,
    /// As it was read, in plain mathematics.
    pub plain: String,
    /// To be spoken.
    pub speech: String,
    /// What we say of it.
    pub verdict: LineVerdict,
    /// Where it could not be read.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub error: Option<Unreadable>,
    /// The slip that was recognised, by its id.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub slip: Option<String>,
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
}

/// What the lines are compared with.
struct Task {
    problem: Line,
    unknown: String,
    story: bool,
}

/// Judges a student's lines for a rung.
///
/// # Panics
/// Never: a rung whose line cannot be read is judged as a story without an equation.
#[must_use]
pub fn judge(rung: &Rung, lines: &[DeskLine]) -> Judgement {
    let problem = read_line(&rung.line).map(|reading| reading.line);
    let task = Task {
        problem: problem.unwrap_or(Line::NoSolution),
        unknown: rung.unknown.clone(),
        story: rung.story,
    };
    // In a story the student sets up the equation: there is no line above the first one.
    let mut above = if task.story { None } else { Some(task.problem.clone()) };
    let mut judged = Vec::new();
    for line in lines.iter().take(MOST_LINES) {
        judged.push(task.judge(line, &mut above));
    }
    let answered = judged.last().is_some_and(|line| line.answers);
    let sound = judged
        .iter()
        .all(|line| matches!(line.verdict.word, VerdictWord::Holds | VerdictWord::CantTell));
    Judgement { finished: answered && sound, answered, lines: judged }
}

impl Task {
    fn judge(&self, written: &DeskLine, above: &mut Option<Line>) -> JudgedLine {
        let read = if written.latex { read_latex(&written.text) } else { read_line(&written.text) };
        let line = match read {
            Ok(reading) => reading.line,
            Err(error) => return unreadable(&written.text, &error),
        };
        let mut judged = JudgedLine {
            reading: latex_line(&line),
            plain: text_line(&line),
            speech: speech_line(&line),
            verdict: LineVerdict::plain(VerdictWord::CantTell),
            error: None,
            slip: None,
            answers: self.is_answer(&line),
        };
        if matches!(line, Line::Sentence(_)) {
            written.text.clone_into(&mut judged.plain);
            judged.verdict.says = "Words are kept with your working, but not checked.".into();
            return judged;
        }
        let Some(before) = above.clone() else {
            judged.verdict = self.first_of_story(&line);
            *above = Some(line);
            return judged;
        };
        let step = compare(&before, &line, None);
        judged.verdict = words::step_says(&step, &self.unknown);
        match step {
            StepVerdict::Equivalent { .. } => {
                judged.verdict.made = moves::named(&before, &line).unwrap_or_default();
                *above = Some(line);
            }
            StepVerdict::NotEquivalent(_) if is_side_calculation(&before, &line) => {
                judged.verdict = words::step_says(&judge_alone(&line), &self.unknown);
            }
            StepVerdict::NotEquivalent(_) => {
                if let Some(slip) = slips::recognise(&before, &line) {
                    judged.slip = Some(slip.id().into());
                    judged.verdict.says = format!("{} {}", judged.verdict.says, slip.to_student());
                }
                *above = Some(line);
            }
            StepVerdict::Tested { .. } | StepVerdict::Undecided => *above = Some(line),
        }
        judged
    }

    /// The first line of a story: the student's own equation, in a letter of their own.
    fn first_of_story(&self, line: &Line) -> LineVerdict {
        match self.solution(line) {
            Some(found) if Some(&found) == self.solution(&self.problem).as_ref() => {
                LineVerdict::saying(VerdictWord::Holds, "This fits the story.")
            }
            _ => LineVerdict::saying(
                VerdictWord::CantTell,
                "This cannot be matched with the story yet. Does it hold every number of the story?",
            ),
        }
    }

    /// The only solution of a line in one letter.
    fn solution(&self, line: &Line) -> Option<algebra::Rational> {
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let [letter] = &letters[..] else { return None };
        match solutions(line, letter).ok()? {
            Solutions::Finite(values) => match &values[..] {
                [value] => value.as_rational(),
                _ => None,
            },
            _ => None,
        }
    }

    /// Whether the line gives the unknown its value: `x = 7` (or `7 = x` is not yet in that form).
    fn is_answer(&self, line: &Line) -> bool {
        let right = matches!(line, Line::NoSolution | Line::AllReals)
            && matches!(compare(&self.problem, line, None), StepVerdict::Equivalent { .. });
        let Some((left, value)) = line.as_equation() else { return right };
        let is_letter = match &left.kind {
            algebra::ExprKind::Symbol(name) => self.story || *name == self.unknown,
            _ => false,
        };
        let told = value.as_plain_number();
        is_letter && told.is_some() && told == self.solution(&self.problem) && is_worked_out(value)
    }
}

/// A fraction that could still be reduced is the right value, but not the answer yet.
fn is_worked_out(value: &Expr) -> bool {
    algebra::form::Form::LowestTerms.fits(&Line::Expression(value.clone()))
        || matches!(&value.kind, algebra::ExprKind::Number(_))
        || matches!(&value.kind, algebra::ExprKind::Negative(a)
            if matches!(a.kind, algebra::ExprKind::Number(_)))
}

/// A calculation with numbers alone under a line with letters, such as `12 ÷ 3 = 4`.
fn is_side_calculation(above: &Line, line: &Line) -> bool {
    line.symbols().is_empty()
        && matches!(line, Line::Relations { .. })
        && !above.symbols().is_empty()
}

fn unreadable(text: &str, error: &algebra::ReadError) -> JudgedLine {
    let (start, end) = characters(text, error.span);
    let mended = error.mend.as_ref().and_then(|mend| mend.applied(text));
    JudgedLine {
        reading: String::new(),
        plain: String::new(),
        speech: String::new(),
        verdict: LineVerdict::saying(VerdictWord::CantRead, words::unreadable(error)),
        error: Some(Unreadable { start, end, mended }),
        slip: None,
        answers: false,
    }
}

/// A span of bytes as a range of characters.
#[must_use]
pub fn characters(text: &str, span: algebra::Span) -> (usize, usize) {
    let count = |end: usize| text.char_indices().take_while(|(at, _)| *at < end).count();
    (count(span.start), count(span.end))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ladder::{Ladder, LadderOrder};

    fn rung(line: &str, story: bool) -> Rung {
        let order = LadderOrder {
            skills: vec!["equations.linear".into()],
            grip: 1,
            tilt: 0,
            climb: 0,
            seed: 1,
            method: None,
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
            ("3(2x-5) = 27", &["6x - 5 = 27", "x = 7"], &[Breaks, Breaks], false),
            ("3x = 12", &["12 ÷ 3 = 4", "x = 4"], &[Holds, Holds], true),
            ("3x = 12", &["12 ÷ 3 = 5", "x = 4"], &[Breaks, Holds], false),
            ("3x = 12", &["x = 8/2"], &[Holds], false),
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
        assert_eq!(found.lines[0].slip.as_deref(), Some("second-term-not-multiplied"));
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
