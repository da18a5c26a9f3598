//! A line as somebody wrote it, and what it is read as.

use algebra::{
    Light, Line, Options, ReadError, Reading, Setting, Span, StepVerdict, compare_given,
    read_in_light,
};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A line as it was written.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct DeskLine {
    /// What was written.
    pub text: String,
    /// Whether it is LaTeX from the mathematics field; otherwise plain typing.
    #[serde(default)]
    pub latex: bool,
}

impl DeskLine {
    /// What was written, read as what it is; with `quantities`, units stand for themselves and not for letters.
    ///
    /// # Errors
    /// Where it breaks, and what would mend it.
    pub fn read(&self, quantities: bool) -> Result<Reading, ReadError> {
        self.read_in(quantities, &Light::of([self.text.as_str()]))
    }

    /// The same in the light of other lines, such as those above it.
    ///
    /// # Errors
    /// As [`DeskLine::read`].
    pub fn read_in(&self, quantities: bool, light: &Light) -> Result<Reading, ReadError> {
        let options = Options { latex: self.latex, quantities, ..Options::default() };
        read_in_light(&self.text, options, light)
    }
}

/// A span of bytes as a range of characters.
#[must_use]
pub fn characters(text: &str, span: Span) -> (usize, usize) {
    let count = |end: usize| text.char_indices().take_while(|(at, _)| *at < end).count();
    (count(span.start), count(span.end))
}

/// The verdict on a line that may begin with a label: without it, when only that reading fits the line above.
#[must_use]
pub fn best_reading(
    from: &Line,
    line: Line,
    unlabelled: Option<Line>,
    setting: &Setting,
) -> (StepVerdict, Line) {
    let verdict = compare_given(from, &line, setting);
    if let (StepVerdict::NotEquivalent(_), Some(other)) = (&verdict, unlabelled) {
        let without = compare_given(from, &other, setting);
        if matches!(without, StepVerdict::Equivalent { .. }) {
            return (without, other);
        }
    }
    (verdict, line)
}
