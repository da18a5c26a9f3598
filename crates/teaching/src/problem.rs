//! A problem as it is posed: what is asked, the mathematics behind it, and its answer.

use algebra::form::Form;
use algebra::{Line, Rational};

/// A problem before its working is made and proved.
#[derive(Debug, Clone, PartialEq)]
pub struct Posed {
    /// What the student reads, with mathematics between dollar signs.
    pub prompt: String,
    /// The equation behind it.
    pub line: Line,
    /// The letter that is asked for.
    pub unknown: String,
    /// Its value.
    pub answer: Rational,
    /// The form the answer must have.
    pub form: Form,
    /// The story, when there is one: the student sets up the equation.
    pub story: Option<Story>,
    /// A working with one slip in it, when the slip is to be found.
    pub flawed: Option<Flawed>,
}

/// What a story needs to be worked: the meaning of its letter, and the answer in words.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Story {
    /// "Let $n$ be the number of jars."
    pub defines: String,
    /// The answer as a sentence, with the computed number.
    pub sentence: String,
    /// The unit of the answer, plural.
    pub unit: String,
    /// What the rows of a ratio table are called.
    pub rows: Option<[String; 2]>,
}

/// Somebody's working in which exactly one line breaks.
#[derive(Debug, Clone, PartialEq)]
pub struct Flawed {
    /// Who wrote it.
    pub name: String,
    /// The lines, the problem first.
    pub lines: Vec<Line>,
    /// Which line breaks, from zero.
    pub breaks: usize,
    /// The id of the slip.
    pub slip: &'static str,
}

impl Posed {
    /// A bare problem: an equation to be solved for `unknown`.
    #[must_use]
    pub fn equation(prompt: String, line: Line, unknown: &str, answer: Rational) -> Self {
        Self {
            prompt,
            line,
            unknown: unknown.to_owned(),
            answer,
            form: Form::SolvedFor(unknown.to_owned()),
            story: None,
            flawed: None,
        }
    }
}
