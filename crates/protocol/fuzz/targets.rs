//! What must be true of any input whatever: nothing panics, and no answer is half an answer.

use algebra::work::{self, Limit, within};
use algebra::write::{latex_line, mathml_line, speech_line, text_line};
use algebra::{
    Expr, ExprKind, Line, Options, ReadErrorKind, read_latex, read_line, read_line_with,
};
use protocol::check::{CheckRequest, Verdict, answer};

/// Reads a line as plain typing and as LaTeX. An error points into the line, and what was read is written back and
/// reads as the same again.
///
/// # Errors
/// What is wrong with the answer.
pub fn reading(text: &str) -> Result<(), String> {
    // What takes too much is stopped, as it is wherever lines come in.
    within(Limit::steps(work::LINE), || read_back(text)).unwrap_or(Ok(()))
}

fn read_back(text: &str) -> Result<(), String> {
    for (name, read) in [("typed", read_line(text)), ("LaTeX", read_latex(text))] {
        match read {
            Err(error) => {
                let span = error.span;
                let inside = span.start <= span.end && span.end <= text.len();
                let whole =
                    inside && text.is_char_boundary(span.start) && text.is_char_boundary(span.end);
                if !whole {
                    return Err(format!("{name}: the error points outside: {span:?}"));
                }
                let mended = error.mend.as_ref().map(|mend| mend.applied(text));
                if mended.is_some_and(|mended| mended.is_none()) {
                    return Err(format!("{name}: the mend does not fit"));
                }
            }
            Ok(reading) => {
                let line = reading.line;
                let written = [speech_line(&line), mathml_line(&line, true), latex_line(&line)];
                let is_words = matches!(line, Line::Sentence(_));
                if !is_words && written.iter().any(String::is_empty) {
                    return Err(format!("{name}: it cannot be written"));
                }
                let plain = text_line(&line);
                // What is very deep is refused when it is read again with more brackets.
                if !is_words && plain.len() < 400 {
                    // Units are told by a line itself where they are hardly ever anything else; here they are known.
                    let is_unit = |part: &Expr| matches!(part.kind, ExprKind::Unit(_));
                    let quantities =
                        line.expressions().iter().any(|side| side.any(&mut |part| is_unit(part)));
                    let options = Options { quantities, ..Options::default() };
                    let again = read_line_with(&plain, options).map(|reading| reading.line);
                    let is_deep =
                        again.as_ref().is_err_and(|error| error.kind == ReadErrorKind::TooDeep);
                    if again.as_ref() != Ok(&line) && !is_deep {
                        return Err(format!("{name}: {plain} reads as {again:?}"));
                    }
                }
            }
        }
    }
    Ok(())
}

/// Checks a pair of lines, parted by ` -> `. A verdict that says no has something to show for it.
///
/// # Errors
/// What is wrong with the answer.
pub fn checking(text: &str) -> Result<(), String> {
    let (from, to) = text.split_once(" -> ").unwrap_or((text, "0"));
    let ask = |from: &str, to: &str| {
        answer(&CheckRequest { from: from.into(), to: Some(to.into()), ..CheckRequest::default() })
    };
    let found = ask(from, to);
    if found.verdict == Verdict::Unreadable && found.error.is_none() {
        return Err("unreadable without a word".into());
    }
    // The same line is the same line, and two lines agree both ways.
    let same = ask(from, from);
    if same.verdict == Verdict::NotEquivalent && !from.contains('≈') && !from.contains("approx") {
        return Err("a line is not equivalent to itself".into());
    }
    let back = ask(to, from);
    let opposite = [found.verdict, back.verdict];
    let rounds = text.contains('≈') || text.contains("approx");
    let continues = from.contains('=') != to.contains('=');
    // In `x = nπ` the letter n counts, in the second line only; a line solved for one letter of several is
    // compared for that letter; a label such as `(a)` is passed over in the second line only.
    let one_letter = text.chars().filter(|c| c.is_alphabetic()).all(|c| c == 'x' || c == 'X');
    let labelled = to.trim_start().starts_with('(');
    if !rounds
        && !continues
        && one_letter
        && !labelled
        && opposite.contains(&Verdict::Equivalent)
        && opposite.contains(&Verdict::NotEquivalent)
    {
        return Err(format!("{} one way, {} the other", found.verdict.name(), back.verdict.name()));
    }
    Ok(())
}
