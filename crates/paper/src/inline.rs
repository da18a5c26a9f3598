//! Running text with mathematics between dollar signs, as pieces for the templates.

use serde_json::{Value, json};

/// The pieces of `text`. Mathematics that cannot be read is printed as it was typed.
pub(crate) fn pieces(text: &str) -> Value {
    let parts: Vec<Value> = text
        .split('$')
        .enumerate()
        .filter(|(_, part)| !part.is_empty())
        .map(|(index, part)| {
            if index % 2 == 0 {
                return json!({ "t": part });
            }
            match read(part) {
                Ok(reading) => json!({ "m": crate::math::line(&reading.line) }),
                Err(_) => json!({ "t": part }),
            }
        })
        .collect();
    Value::Array(parts)
}

/// Mathematics from our own writing; a word behind a thin space is a unit there.
fn read(latex: &str) -> Result<algebra::Reading, algebra::ReadError> {
    algebra::read_line_with(latex, algebra::Options::WRITTEN_LATEX)
}

/// A line of a working: mathematics, or a sentence with mathematics in it.
pub(crate) fn working_line(line: &teaching::WorkingLine) -> Value {
    match line.latex.as_deref().map(read) {
        Some(Ok(reading)) => json!([{ "m": crate::math::line(&reading.line) }]),
        _ => pieces(&line.math),
    }
}
