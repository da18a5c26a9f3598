//! Somebody's working: which of its lines breaks, and what it should be.

use super::{DeskLine, JudgedLine, light, unreadable};
use algebra::write::text_line;
use algebra::{Light, Line, Options, Role, StepVerdict, compare_given, read_line_with};
use skills::ladder::{FlawedWorking, Rung};
use skills::slipped::setting;
use teaching::verdict::{LineVerdict, VerdictWord};
use teaching::words;
use teaching::words::Against;

/// What is said of the line that a student points at, from 1 (0 where every line is said to hold), and of what it should
/// be.
pub(super) fn judge(
    rung: &Rung,
    flawed: &FlawedWorking,
    line: usize,
    mended: Option<&DeskLine>,
) -> JudgedLine {
    let mut said = JudgedLine::of(&Line::NoSolution);
    said.reading.clear();
    said.speech.clear();
    said.plain = pointed(line, mended);
    let not_yet = |says: String| LineVerdict::saying(VerdictWord::Breaks, says);
    match flawed.breaks {
        None if line == 0 => answers(&mut said),
        Some(_) if line == 0 => {
            said.verdict =
                not_yet("One line does break. Hold each against the line above it.".into());
        }
        Some(at) if line == at => return should_be(rung, flawed, at, mended, said),
        _ if line > flawed.lines.len() => {
            said.verdict = not_yet("There is no such line.".into());
        }
        _ if line == 1 => {
            said.verdict = not_yet("Line 1 is the problem itself. Look below it.".into());
        }
        Some(at) if line > at => {
            let above = line - 1;
            let says = format!("Line {line} follows from line {above}. Look further up.");
            said.verdict = not_yet(says);
        }
        _ => {
            let above = line - 1;
            said.verdict = not_yet(format!("Line {line} holds: it follows from line {above}."));
        }
    }
    said
}

/// What the broken line should be.
fn should_be(
    rung: &Rung,
    flawed: &FlawedWorking,
    at: usize,
    mended: Option<&DeskLine>,
    mut said: JudgedLine,
) -> JudgedLine {
    let Some(mended) = mended.filter(|line| !line.text.trim().is_empty()) else {
        said.holds(Role::Checks, "Yes, that is the line. Now write it as it should be.");
        return said;
    };
    let light = light(rung, std::slice::from_ref(mended));
    let line = match read(mended, &light) {
        Ok(line) => line,
        Err(error) => return unreadable(&mended.text, &error),
    };
    // A rung out of a file may say of any line that it breaks.
    let above = at.checked_sub(2).and_then(|above| flawed.lines.get(above));
    let Some(above) = above.and_then(|above| plain(&above.math)) else { return said };
    let mut judged = JudgedLine::of(&line);
    judged.plain = said.plain;
    let verdict = compare_given(&above, &line, &setting(rung));
    let is_same = text_line(&line) == text_line(&above);
    let is_in_key = rung
        .working
        .iter()
        .filter(|known| known.carries())
        .any(|known| known.math == text_line(&line));
    match verdict {
        StepVerdict::Equivalent { .. } if is_same => {
            let says = format!("That is line {} again. Go one step on from it.", at - 1);
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, says);
        }
        StepVerdict::Equivalent { .. } => answers(&mut judged),
        // Squaring may bring a solution in that is looked at later.
        StepVerdict::NotEquivalent(_) if is_in_key => answers(&mut judged),
        verdict => {
            let step = words::step_says(&verdict, &rung.unknown, Against::LineAbove(&above));
            judged.verdict = step;
        }
    }
    judged
}

fn answers(said: &mut JudgedLine) {
    said.holds(Role::Concludes, "");
    said.answers = true;
}

/// A line that may begin with the sign that joins it to the line above.
fn read(line: &DeskLine, light: &Light) -> Result<Line, algebra::ReadError> {
    let text = line.text.trim_start().trim_start_matches("= ").trim_start_matches('=');
    let line = DeskLine { text: text.to_owned(), latex: line.latex };
    line.read_in(false, light).map(|reading| reading.line)
}

/// A line of somebody's working as mathematics.
fn plain(math: &str) -> Option<Line> {
    let text = math.trim_start_matches("= ");
    Some(read_line_with(text, Options::default()).ok()?.line)
}

/// What was pointed at, in words.
fn pointed(line: usize, mended: Option<&DeskLine>) -> String {
    match (line, mended) {
        (0, _) => "Every line holds".into(),
        (line, Some(mended)) if !mended.text.trim().is_empty() && !mended.latex => {
            format!("Line {line} breaks; {}", mended.text.trim())
        }
        (line, _) => format!("Line {line} breaks"),
    }
}

/// "Line 2: 16x + 8 = 120", "no line breaks": what is written about the lines of somebody's working.
pub(super) fn told(text: &str) -> Option<(usize, DeskLine)> {
    let lower = text.trim().to_lowercase();
    let none = ["every line holds", "all lines hold", "no line breaks", "none breaks", "none"];
    if none.iter().any(|none| lower.trim_end_matches('.') == *none) {
        return Some((0, DeskLine { text: String::new(), latex: false }));
    }
    let rest = lower.strip_prefix("line ")?;
    let digits = rest.len() - rest.trim_start_matches(|c: char| c.is_ascii_digit()).len();
    let number = rest.get(..digits)?.parse().ok().filter(|number| (1..=20).contains(number))?;
    // What stands behind the number in the text as it was written.
    let behind = text.trim().get("line ".len() + digits..).unwrap_or_default();
    let cut = behind.find([':', ';', ',']);
    let mut mended = cut.map_or("", |at| &behind[at + 1..]).trim();
    for lead in ["it should be", "should be"] {
        mended = mended.strip_prefix(lead).unwrap_or(mended).trim();
    }
    let mended = mended.split(';').next().unwrap_or_default().trim().trim_end_matches('.');
    Some((number, DeskLine { text: mended.to_owned(), latex: false }))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_is_written_about_a_line_is_understood() {
        let of = |text: &str| told(text).map(|(line, mended)| (line, mended.text));
        for (text, line, mended) in [
            ("Line 2", 2, ""),
            ("line 2 breaks", 2, ""),
            ("Line 2: 16x + 8 = 120", 2, "16x + 8 = 120"),
            ("Line 3 breaks; it should be 4 + 64; 68", 3, "4 + 64"),
            ("Every line holds.", 0, ""),
            ("none", 0, ""),
        ] {
            assert_eq!(of(text), Some((line, mended.into())), "{text}");
        }
        for text in ["2", "lines 2 and 3", "line", "x = 2", "line 999: x"] {
            assert_eq!(of(text), None, "{text}");
        }
    }
}
