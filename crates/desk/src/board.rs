//! A spare board: whatever is written on it, each line judged by the line above.

use super::world::words_of_latex;
use super::{DeskLine, JudgedLine, Judgement, judge};
use algebra::form::Form;
use algebra::write::{latex_line, text_line};
use algebra::{Line, Role};
use skills::ladder::{Answer, Rung};
use skills::typed::rung::{rung, rung_of};
use skills::typed::work_in_words;
use teaching::ids;
use teaching::skill::Stage;
use teaching::words::capital;

/// Judges the lines of a board. Its first line is what is worked on; where that is nothing we can work ourselves, the
/// lines are compared with each other all the same.
#[must_use]
pub fn judge_board(lines: &[DeskLine]) -> Judgement {
    if let [first, rest @ ..] = lines
        && let Some((posed, said)) = in_words(first)
    {
        let mut judged = judge(&posed, rest);
        judged.lines.insert(0, said);
        return judged;
    }
    let first = lines.first().and_then(|line| line.read(false).ok()).map(|reading| reading.line);
    let posed = match &first {
        Some(line) => rung(&text_line(line), None, Stage::Grip).unwrap_or_else(|_| plain(line)),
        None => plain(&Line::NoSolution),
    };
    judge(&posed, lines)
}

/// A task in words on the first line: its rung, and what is said of it.
fn in_words(first: &DeskLine) -> Option<(Rung, JudgedLine)> {
    let text = if first.latex { words_of_latex(&first.text) } else { first.text.clone() };
    let found = work_in_words(&text)?;
    let understood = found.understood.clone()?;
    let mut said = JudgedLine::of(&Line::NoSolution);
    said.reading.clear();
    said.plain.clone_from(&text);
    said.speech = text;
    said.holds(Role::Starts, &format!("{}.", capital(&understood)));
    Some((rung_of(found, Stage::Grip).ok()?, said))
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
        flawed: None,
        world: None,
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

    #[test]
    #[rustfmt::skip]
    fn a_board_may_begin_with_words() {
        use VerdictWord::{Breaks, Holds};
        assert_eq!(words(&["Share £60 in the ratio 2:3", "60 ÷ 5 = 12", "£24 : £36"]), [Holds, Holds, Holds]);
        assert_eq!(words(&["area of a triangle with base 6 cm and height 4 cm", "12 cm²"]), [Holds, Holds]);
        assert_eq!(words(&["15% of 60", "9"]), [Holds, Holds]);
        assert_eq!(words(&["mean of 3, 5, 8, 12", "9"]), [Holds, Breaks]);
        // As the mathematics field writes it.
        let field = |text: &str| DeskLine { text: text.into(), latex: true };
        let found = judge_board(&[field("mean\\:of\\:3,5,8,12"), field("7")]);
        assert!(found.finished, "{found:?}");
        assert_eq!(found.lines[0].verdict.says, "The mean of 3, 5, 8, 12.");
        let found = judge_board(&[field("\\cos t\\:of\\:6\\:pens\\:at\\:£1.25\\:each"), field("£7.50")]);
        assert!(found.finished, "{found:?}");
    }
}
