//! One working as a picture, to be put into a document or a message.

use crate::engine::{PaperError, Template, svg};
use crate::inline;
use serde_json::{Value, json};

/// A line with what stands beside it; both are text with mathematics between dollar signs.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct PictureLine {
    /// The line.
    pub line: String,
    /// The move that led to it, or nothing.
    pub beside: String,
}

/// The lines below each other, as an SVG picture just as large as they need.
///
/// # Errors
/// [`PaperError`] when they cannot be typeset.
pub fn picture(lines: &[PictureLine]) -> Result<String, PaperError> {
    let line = |line: &PictureLine| json!({ "line": inline::pieces(&line.line), "beside": inline::pieces(&line.beside) });
    svg(Template::Working, &json!({ "lines": lines.iter().map(line).collect::<Vec<Value>>() }))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_working_is_drawn_with_outlines_only() {
        let line =
            |line: &str, beside: &str| PictureLine { line: line.into(), beside: beside.into() };
        let made = picture(&[
            line("$3\\left(x-2\\right) = 12$", ""),
            line("$x - 2 = 4$", "divide both sides by $3$"),
            line("<script>", "words & signs"),
        ]);
        let made = made.expect("typeset");
        assert!(made.starts_with("<svg") && made.trim_end().ends_with("</svg>"), "{made}");
        assert!(!made.contains("<text") && !made.contains("<script"), "letters are outlines");
    }
}
