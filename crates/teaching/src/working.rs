//! A working: the lines of a solution, each with its reason, its role and its verdict.
//!
//! A working is verified line by line before it is given out; see [`Working::verified`].

use crate::figure::Figure;
use crate::stored;
use crate::verdict::VerdictWord;
use crate::words;
use algebra::solve::Step;
use algebra::write::{latex_line, speech_line, text_line};
use algebra::{
    Line, Options, Role, Rule, Setting, StepVerdict, compare_given, judge_alone_given,
    read_line_with,
};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// One line of a working, ready to be shown.
#[derive(Debug, Clone, Serialize, Deserialize, ToSchema)]
pub struct WorkingLine {
    /// Plain mathematics, or a sentence.
    pub math: String,
    /// For typesetting; none for a sentence.
    #[serde(with = "stored::latex")]
    #[schema(value_type = String)]
    pub latex: Option<String>,
    /// To be spoken.
    pub speech: String,
    /// Why it follows, with mathematics between dollar signs.
    pub reason: String,
    /// The rule by which it follows, where the solver wrote it.
    #[serde(skip)]
    pub rule: Option<Rule>,
    /// What the line is for.
    #[serde(with = "stored::role")]
    #[schema(value_type = stored::RoleName)]
    pub role: Role,
    /// What was proved of it.
    pub verdict: VerdictWord,
    /// The picture of the working as it stands with this line, where it has grown.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub figure: Option<Figure>,
}

/// Lines are the same when they say the same. The rule is not kept with a line, so that it tells nothing here.
impl PartialEq for WorkingLine {
    fn eq(&self, other: &Self) -> bool {
        let Self { math, latex, speech, reason, rule: _, role, verdict, figure } = self;
        (math, latex, speech, reason) == (&other.math, &other.latex, &other.speech, &other.reason)
            && (role, verdict, figure) == (&other.role, &other.verdict, &other.figure)
    }
}

impl WorkingLine {
    /// A line of mathematics.
    #[must_use]
    pub fn of(line: &Line, because: impl Into<Because>, role: Role, verdict: VerdictWord) -> Self {
        let Because { rule, says: reason } = because.into();
        Self {
            math: text_line(line),
            latex: Some(latex_line(line)),
            speech: speech_line(line),
            reason,
            rule,
            role,
            verdict,
            figure: None,
        }
    }

    /// A line in words, which are taken as they are.
    #[must_use]
    pub fn said(sentence: &str, because: impl Into<Because>, role: Role) -> Self {
        let Because { rule, says: reason } = because.into();
        Self {
            math: sentence.to_owned(),
            latex: None,
            speech: sentence.replace('$', ""),
            reason,
            rule,
            role,
            verdict: VerdictWord::Given,
            figure: None,
        }
    }

    /// Writes another line in its place; its reason, role and verdict stay.
    pub fn write(&mut self, line: &Line) {
        self.math = text_line(line);
        self.latex = Some(latex_line(line));
        self.speech = speech_line(line);
    }

    /// The line as mathematics; none for a sentence.
    #[must_use]
    pub fn read(&self) -> Option<Line> {
        let line = read_line_with(self.latex.as_deref()?, Options::WRITTEN_LATEX).ok()?.line;
        (!matches!(line, Line::Sentence(_))).then_some(line)
    }

    /// Whether it carries the problem on, so that the next line is compared with it.
    #[must_use]
    pub fn carries(&self) -> bool {
        self.latex.is_some() && self.role != Role::Checks
    }
}

/// Why a line of a working follows: the rule, where the solver found the line, and the sentence that says it.
#[derive(Debug, Clone, PartialEq, Eq, Default)]
pub struct Because {
    /// The rule; none where a skill gives a reason of its own.
    pub rule: Option<Rule>,
    /// The sentence, with mathematics between dollar signs.
    pub says: String,
}

impl From<Rule> for Because {
    fn from(rule: Rule) -> Self {
        Self { says: words::reason(&rule), rule: Some(rule) }
    }
}

impl From<&Rule> for Because {
    fn from(rule: &Rule) -> Self {
        rule.clone().into()
    }
}

impl From<String> for Because {
    fn from(says: String) -> Self {
        Self { rule: None, says }
    }
}

impl From<&str> for Because {
    fn from(says: &str) -> Self {
        says.to_owned().into()
    }
}

/// A line before it is verified.
#[derive(Debug, Clone, PartialEq)]
pub enum Draft {
    /// A line of mathematics with its reason.
    Line {
        /// What is written.
        line: Line,
        /// Why.
        reason: Because,
        /// What for.
        role: Role,
    },
    /// Words: what a letter means, or the answer in a sentence.
    Words {
        /// The sentence.
        sentence: String,
        /// Why.
        reason: Because,
        /// What for.
        role: Role,
    },
}

impl From<Step> for Draft {
    fn from(step: Step) -> Self {
        Self::Line { reason: step.rule.into(), line: step.line, role: step.role }
    }
}

/// The lines of a solution by one method.
#[derive(Debug, Clone, PartialEq)]
pub struct Working(pub Vec<Draft>);

/// A line that does not do what its role allows.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Unproved {
    /// Which line, from zero.
    pub line: usize,
    /// What is written there.
    pub text: String,
}

impl Working {
    /// The lines, each proved in its role: `follows` and `concludes` are equivalent to the last line
    /// that carries the problem, `checks` is true by itself. Sentences carry no claim of their own
    /// here; a skill makes sure of their numbers.
    ///
    /// # Errors
    /// The first line that does not hold: such a working is never given out.
    pub fn verified(&self) -> Result<Vec<WorkingLine>, Unproved> {
        self.verified_in(&Setting::default())
    }

    /// The lines, each proved in its role under assumptions. A line that `may_add` may gain solutions, and
    /// none may be lost; one that `rejects` or `concludes` has just the solutions of the problem.
    ///
    /// # Errors
    /// As [`Working::verified`].
    pub fn verified_in(&self, setting: &Setting) -> Result<Vec<WorkingLine>, Unproved> {
        let mut above: Option<&Line> = None;
        let mut problem: Option<&Line> = None;
        let mut found = Vec::new();
        for (index, draft) in self.0.iter().enumerate() {
            let (line, reason, role) = match draft {
                Draft::Words { sentence, reason, role } => {
                    found.push(WorkingLine::said(sentence, reason.clone(), *role));
                    continue;
                }
                Draft::Line { line, reason, role } => (line, reason, *role),
            };
            let verdict = match (role, above) {
                (Role::Checks, _) => word(&judge_alone_given(line, setting)),
                (Role::Starts, _) => VerdictWord::Given,
                // A line that follows has to follow from something.
                (_, None) => VerdictWord::CantTell,
                (Role::MayAdd, Some(above)) => may_add(&compare_given(above, line, setting)),
                (Role::Rejects, Some(above)) => {
                    word(&compare_given(problem.unwrap_or(above), line, setting))
                }
                (_, Some(above)) => word(&compare_given(above, line, setting)),
            };
            if !matches!(verdict, VerdictWord::Given | VerdictWord::Holds) {
                return Err(Unproved { line: index, text: text_line(line) });
            }
            if role != Role::Checks {
                above = Some(line);
                problem = problem.or(above);
            }
            found.push(WorkingLine::of(line, reason.clone(), role, verdict));
        }
        Ok(found)
    }

    /// The last line of mathematics that carries the problem.
    #[must_use]
    pub fn last_line(&self) -> Option<&Line> {
        self.0.iter().rev().find_map(|draft| match draft {
            Draft::Line { line, role, .. } if *role != Role::Checks => Some(line),
            _ => None,
        })
    }
}

/// A line that may gain solutions, but not lose any.
fn may_add(verdict: &StepVerdict) -> VerdictWord {
    match verdict {
        StepVerdict::NotEquivalent(found) if found.lost.is_empty() && !found.gained.is_empty() => {
            VerdictWord::Holds
        }
        other => word(other),
    }
}

fn word(verdict: &StepVerdict) -> VerdictWord {
    match verdict {
        StepVerdict::Equivalent { .. } => VerdictWord::Holds,
        StepVerdict::NotEquivalent(_) => VerdictWord::Breaks,
        StepVerdict::Tested { .. } => VerdictWord::HoldsSoFar,
        StepVerdict::Undecided => VerdictWord::CantTell,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn draft(text: &str, role: Role) -> Draft {
        let line = algebra::read_line(text).expect(text).line;
        Draft::Line { line, reason: Because::default(), role }
    }

    #[test]
    fn a_working_with_a_line_that_breaks_is_never_given_out() {
        let lines = |last| {
            Working(vec![
                draft("2(x + 3) = 16", Role::Starts),
                draft("2x + 6 = 16", Role::Follows),
                draft("16 - 6 = 10", Role::Checks),
                draft(last, Role::Concludes),
            ])
        };
        assert_eq!(lines("x = 5").verified().expect("it holds").len(), 4);
        // A calculation is true by itself or it breaks, also where nothing stands above it.
        let alone = |text| Working(vec![draft(text, Role::Checks)]).verified();
        assert_eq!(alone("16 - 6 = 10").expect("true")[0].verdict, VerdictWord::Holds);
        assert!(alone("16 - 6 = 11").is_err());
        assert!(Working(vec![draft("x = 5", Role::Follows)]).verified().is_err());
        let broken = lines("x = 11").verified().expect_err("it breaks");
        assert_eq!((broken.line, broken.text.as_str()), (3, "x = 11"));
    }
}
