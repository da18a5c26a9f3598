//! A spare board: whatever is written on it, each line judged by the line above.

use super::{DeskLine, Judgement, judge};
use algebra::Line;
use algebra::form::Form;
use algebra::write::{latex_line, text_line};
use skills::ladder::{Answer, Rung};
use skills::typed::rung::rung;
use teaching::ids;
use teaching::skill::Stage;

/// Judges the lines of a board. Its first line is what is worked on; where that is nothing we can work ourselves, the
/// lines are compared with each other all the same.
#[must_use]
pub fn judge_board(lines: &[DeskLine]) -> Judgement {
    let first = lines.first().and_then(|line| line.read(false).ok()).map(|reading| reading.line);
    let posed = match &first {
        Some(line) => rung(&text_line(line), None, Stage::Grip).unwrap_or_else(|_| plain(line)),
        None => plain(&Line::NoSolution),
    };
    judge(&posed, lines)
}

/// A rung of which only its line is known.
fn plain(line: &Line) -> Rung {
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let unknown = match (&letters[..], line) {
        (_, Line::Expression(_)) => String::new(),
        ([letter], _) => letter.clone(),
        _ => String::new(),
    };
    let text = text_line(line);
    Rung {
        skill: String::new(),
        stage: Stage::Grip,
        prompt: text.clone(),
        figure: None,
        answer: Answer {
            text: text.clone(),
            latex: Some(latex_line(line)),
            value: text.clone(),
            form: Form::Any,
            unit: None,
        },
        choices: Vec::new(),
        line: text,
        unknown,
        given: Vec::new(),
        story: false,
        method: ids::method::USUAL,
        working: Vec::new(),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use teaching::verdict::VerdictWord;

    fn words(lines: &[&str]) -> Vec<VerdictWord> {
        let lines: Vec<DeskLine> =
            lines.iter().map(|text| DeskLine { text: (*text).to_owned(), latex: false }).collect();
        judge_board(&lines).lines.into_iter().map(|line| line.verdict.word).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn each_line_is_judged_by_the_one_above() {
        use VerdictWord::{Breaks, CantRead, Holds};
        assert_eq!(words(&["3x + 5 = 20", "3x = 15", "x = 5"]), [Holds, Holds, Holds]);
        assert_eq!(words(&["3x + 5 = 20", "3x = 25"]), [Holds, Breaks]);
        assert_eq!(words(&["(a + b)^2", "a^2 + b^2"]), [Holds, Breaks]);
        assert_eq!(words(&["(x + 8)(x + 7)", "x^2 + 56"]), [Holds, Breaks]);
        assert_eq!(words(&["(x + 8)(x + 7)", "x^2 + 15x + 56 = 0"]), [Holds, Breaks]);
        assert_eq!(words(&["12 + 30", "43"]), [Holds, Breaks]);
        assert_eq!(words(&["12 + 30", "12 + 30 = 42"]), [Holds, Holds]);
        assert_eq!(words(&["sin^2 t + cos^2 t", "1"]), [Holds, Holds]);
        assert_eq!(words(&["3x + = 2"]), [CantRead]);
        assert_eq!(words(&[]), []);
    }
}
