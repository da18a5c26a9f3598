//! Lines of standard input, each with a limit: a longer one is skipped as it streams past.

use serde::Serialize;
use std::io::{BufRead, BufWriter, Result, Write};

/// Longest line that is looked at, in bytes.
pub const LINE_BYTES: usize = 128 << 10;

/// What came next.
#[derive(Debug, PartialEq, Eq)]
pub enum Next {
    /// A line, without its end.
    Line(String),
    /// A line that is too long, or no text.
    Unfit,
    /// Nothing more.
    End,
}

/// The next line of `input`; at most [`LINE_BYTES`] of it are ever held.
///
/// # Errors
/// `input` cannot be read.
pub fn next(input: &mut impl BufRead) -> Result<Next> {
    let mut kept: Vec<u8> = Vec::new();
    let mut length = 0;
    loop {
        let chunk = input.fill_buf()?;
        if chunk.is_empty() {
            return Ok(if length == 0 { Next::End } else { finished(kept, length) });
        }
        let end = chunk.iter().position(|&byte| byte == b'\n');
        let part = &chunk[..end.unwrap_or(chunk.len())];
        // One byte more than the limit tells that it was passed.
        kept.extend_from_slice(
            &part[..part.len().min((LINE_BYTES + 1).saturating_sub(kept.len()))],
        );
        length += part.len();
        let used = part.len() + usize::from(end.is_some());
        input.consume(used);
        if end.is_some() {
            return Ok(finished(kept, length));
        }
    }
}

/// Answers every line of `input` with one line of JSON; empty lines are passed over. `answer` gets a line,
/// `unfit` the sentence about one that cannot be looked at.
///
/// # Errors
/// `input` or `output` fails.
pub fn answered<T: Serialize>(
    mut input: impl BufRead,
    output: impl Write,
    answer: impl Fn(&str) -> T,
    unfit: impl Fn(&str) -> T,
) -> Result<()> {
    let mut output = BufWriter::new(output);
    loop {
        let found = match next(&mut input)? {
            Next::End => break,
            Next::Line(line) if line.trim().is_empty() => continue,
            Next::Line(line) => answer(&line),
            Next::Unfit => {
                unfit(&format!("This line is longer than {LINE_BYTES} bytes, or no UTF-8 text."))
            }
        };
        serde_json::to_writer(&mut output, &found)?;
        output.write_all(b"\n")?;
        // Whoever waits for an answer before the next question gets it.
        output.flush()?;
    }
    output.flush()
}

fn finished(kept: Vec<u8>, length: usize) -> Next {
    if length > LINE_BYTES {
        return Next::Unfit;
    }
    String::from_utf8(kept).map_or(Next::Unfit, Next::Line)
}

#[cfg(test)]
mod tests {
    use super::*;
    use std::io::{BufReader, Read};

    #[test]
    fn lines_come_whole_and_long_ones_are_skipped() {
        let long = "x".repeat(LINE_BYTES + 1);
        let edge = "y".repeat(LINE_BYTES);
        let text = format!("one\n\n{long}\n{edge}\ntwo");
        // A small buffer, so that lines come in pieces.
        let mut input = BufReader::with_capacity(7, text.as_bytes());
        let mut found = Vec::new();
        loop {
            match next(&mut input).expect("read") {
                Next::End => break,
                other => found.push(other),
            }
        }
        let line = |text: &str| Next::Line(text.into());
        assert_eq!(found, [line("one"), line(""), Next::Unfit, line(&edge), line("two")]);
    }

    #[test]
    fn what_is_no_text_is_unfit() {
        let mut input = BufReader::new((&b"\xff\xfe\nok\n"[..]).take(9));
        assert_eq!(next(&mut input).expect("read"), Next::Unfit);
        assert_eq!(next(&mut input).expect("read"), Next::Line("ok".into()));
    }
}
