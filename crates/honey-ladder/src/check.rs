//! `honey-ladder check`: one question a line in, one answer a line out.

use crate::lines::{LINE_BYTES, Next, next};
use std::io::{BufRead, BufWriter, Result, Write};
use teaching::check::{CheckAnswer, answer_line};

/// Answers every line of `input`; empty lines are passed over.
///
/// # Errors
/// `input` or `output` fails.
pub fn run(mut input: impl BufRead, output: impl Write) -> Result<()> {
    let mut output = BufWriter::new(output);
    loop {
        let answer = match next(&mut input)? {
            Next::End => break,
            Next::Line(line) if line.trim().is_empty() => continue,
            Next::Line(line) => answer_line(&line),
            Next::Unfit => {
                let says =
                    format!("This line is longer than {LINE_BYTES} bytes, or no UTF-8 text.");
                CheckAnswer::unreadable(serde_json::Value::Null, &says)
            }
        };
        serde_json::to_writer(&mut output, &answer)?;
        output.write_all(b"\n")?;
        // Whoever waits for an answer before the next question gets it.
        output.flush()?;
    }
    output.flush()
}
