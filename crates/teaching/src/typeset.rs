//! What a skill writes its problems and workings with: mathematics as it is typed, read once and typeset everywhere.

use crate::working::{Draft, Working};
use algebra::write::latex_line;
use algebra::{Line, Options, Role, read_line_with};

/// A line of mathematics as it is typed. What cannot be read becomes a line that nothing proves, so that the
/// problem never leaves the generator.
#[must_use]
pub fn line(typed: &str) -> Line {
    read(typed, false)
}

/// As [`line()`], with units read as units: `5 km = 5000 m`.
#[must_use]
pub fn measured(typed: &str) -> Line {
    read(typed, true)
}

fn read(typed: &str, quantities: bool) -> Line {
    let options = Options { quantities, ..Options::default() };
    let read = read_line_with(typed, options).map(|reading| reading.line);
    debug_assert!(read.is_ok(), "a skill typed “{typed}”: {read:?}");
    read.unwrap_or(Line::NoSolution)
}

/// A number as it stands behind an operation: `3`, `(-3)`.
#[must_use]
pub fn bracketed(n: i64) -> String {
    if n < 0 { format!("({n})") } else { n.to_string() }
}

/// A whole number of hundredths, thousandths, ... as a decimal without zeros at its end: `decimal(1250, 2)` is `12.5`.
#[must_use]
pub fn decimal(n: i64, places: u32) -> String {
    let scale = 10_i64.saturating_pow(places);
    let (whole, part) = (n.abs() / scale, n.abs() % scale);
    let sign = if n < 0 { "-" } else { "" };
    let part = format!("{part:0>width$}", width = places as usize);
    let part = part.trim_end_matches('0');
    if part.is_empty() { format!("{sign}{whole}") } else { format!("{sign}{whole}.{part}") }
}

/// A fraction in lowest terms, or a whole number, as it is typed.
#[must_use]
pub fn fraction(above: i64, below: i64) -> String {
    let value = algebra::Rational::new(above.into(), below.into());
    algebra::number::show(&value)
}

/// Mathematics within a sentence, between dollar signs.
#[must_use]
pub fn tex(typed: &str) -> String {
    format!("${}$", latex_line(&line(typed)))
}

/// Mathematics with numbers and signs as they are typed, `12 ÷ 3` without a fraction bar, within a sentence.
#[must_use]
pub fn tex_as_typed(typed: &str) -> String {
    let signs = [('×', "\\times"), ('÷', "\\div"), ('{', "\\{"), ('}', "\\}")];
    let shown =
        signs.iter().fold(typed.to_owned(), |text, (sign, latex)| text.replace(*sign, latex));
    format!("${shown}$")
}

/// Mathematics with units within a sentence.
#[must_use]
pub fn tex_measured(typed: &str) -> String {
    format!("${}$", latex_line(&measured(typed)))
}

/// The lines of a working, written one below the other.
#[derive(Debug, Clone, Default)]
pub struct Lines {
    drafts: Vec<Draft>,
    quantities: bool,
    /// The reason of a line that was left out, told with the next one.
    untold: String,
}

impl Lines {
    /// How many lines there are: the place of the next one.
    #[must_use]
    pub fn count(&self) -> usize {
        self.drafts.len()
    }

    /// Begins with the problem.
    #[must_use]
    pub fn start(typed: &str) -> Self {
        Self::default().push(typed, "The problem", Role::Starts)
    }

    /// Begins with a problem in which units stand.
    #[must_use]
    pub fn start_measured(typed: &str) -> Self {
        Self::measured().push(typed, "The problem", Role::Starts)
    }

    /// The line that the working starts from, after what was said or worked out before it.
    #[must_use]
    pub fn begin(self, typed: &str, reason: impl Into<String>) -> Self {
        self.push(typed, reason, Role::Starts)
    }

    /// No line yet, units read as units.
    #[must_use]
    pub fn measured() -> Self {
        Self { quantities: true, ..Self::default() }
    }

    /// Begins with a sentence.
    #[must_use]
    pub fn say(self, sentence: impl Into<String>, reason: &str) -> Self {
        self.words(sentence, reason, Role::Defines)
    }

    /// Goes on with a line that says the same as the one above. Where it is the very same line, as numbers fall, nobody
    /// would write it twice: its reason goes along with the next one.
    #[must_use]
    pub fn then(mut self, typed: &str, reason: impl Into<String>) -> Self {
        let next = read(typed, self.quantities);
        let repeats = matches!(self.drafts.last(),
            Some(Draft::Line { line, role, .. }) if *role != Role::Checks && *line == next);
        let reason = reason.into();
        if repeats {
            self.untold = reason;
            return self;
        }
        let told = match std::mem::take(&mut self.untold) {
            untold if untold.is_empty() => reason,
            untold => format!("{untold}. {reason}"),
        };
        self.push(typed, told, Role::Follows)
    }

    /// Goes on with the line above, rounded.
    #[must_use]
    pub fn round(self, typed: &str, reason: impl Into<String>) -> Self {
        self.push(typed, reason, Role::Rounds)
    }

    /// A calculation or a comparison that is true by itself.
    #[must_use]
    pub fn work(self, typed: &str, reason: impl Into<String>) -> Self {
        self.push(typed, reason, Role::Checks)
    }

    /// Ends with a sentence that says the answer.
    #[must_use]
    pub fn end(self, sentence: impl Into<String>) -> Self {
        self.words(sentence, "Answer in a sentence", Role::Concludes)
    }

    fn words(mut self, sentence: impl Into<String>, reason: &str, role: Role) -> Self {
        let (sentence, reason) = (sentence.into(), reason.into());
        self.drafts.push(Draft::Words { sentence, reason, role });
        self
    }

    fn push(mut self, typed: &str, reason: impl Into<String>, role: Role) -> Self {
        let line = read(typed, self.quantities);
        self.drafts.push(Draft::Line { line, reason: reason.into().into(), role });
        self
    }
}

impl From<Lines> for Working {
    fn from(lines: Lines) -> Self {
        Self(lines.drafts)
    }
}
