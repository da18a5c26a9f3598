//! What is left out of a line for students to fill in: "try together".

use algebra::Role;
use algebra::write::{latex_line, speech_line, text};
use algebra::{Expr, ExprKind, Line};
use serde::{Deserialize, Serialize};
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// Something that is left out.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum Blank {
    /// A number of the line, counted from 0.
    Number {
        /// Which.
        at: usize,
    },
    /// A side of the line, counted from 0.
    Side {
        /// Which.
        at: usize,
    },
    /// The whole line.
    Line,
    /// The reason.
    Reason,
}

/// A part of a line that can be left out.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Part {
    /// What is left out.
    pub blank: Blank,
    /// What stands there, in plain mathematics; empty for the whole line and the reason.
    pub text: String,
}

/// What stands in a line until it is filled in.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Asked {
    /// For typesetting; empty where the line is a sentence.
    pub latex: String,
    /// To be spoken.
    pub speech: String,
    /// Whether the reason is left out, too.
    pub reason: bool,
}

/// Stands for a blank while a line is written: no line of a lesson has this number.
const STAND_IN: i64 = 987_654_321_017;
const SHORT: &str = "\\boxed{\\phantom{000}}";
const LONG: &str = "\\boxed{\\phantom{0000000000000000}}";

fn numbers(line: &Line) -> Vec<String> {
    let mut found = Vec::new();
    let _same = line.map(&mut |side| {
        side.map(&mut |part| {
            if let ExprKind::Number(_) = part.kind {
                found.push(text(&part));
            }
            part
        })
    });
    found
}

fn sides(line: &Line) -> &[Expr] {
    match line {
        Line::Relations { sides, .. } => sides,
        _ => &[],
    }
}

/// What can be left out of a line. Of the problem itself nothing can.
pub(super) fn parts(line: &WorkingLine) -> Vec<Part> {
    if line.role == Role::Starts {
        return Vec::new();
    }
    let mut found = Vec::new();
    if let Some(read) = line.read() {
        let of_line = numbers(&read).into_iter().enumerate();
        found.extend(of_line.map(|(at, text)| Part { blank: Blank::Number { at }, text }));
        let long = |side: &Expr| !matches!(side.kind, ExprKind::Number(_) | ExprKind::Symbol(_));
        let of_sides = sides(&read).iter().enumerate().filter(|(_, side)| long(side));
        found.extend(
            of_sides.map(|(at, side)| Part { blank: Blank::Side { at }, text: text(side) }),
        );
    }
    found.push(Part { blank: Blank::Line, text: String::new() });
    if !line.reason.is_empty() {
        found.push(Part { blank: Blank::Reason, text: String::new() });
    }
    found
}

/// What stands in a line with these blanks; none where there are none.
pub(super) fn asked(line: &WorkingLine, blanks: &[Blank]) -> Option<Asked> {
    if blanks.is_empty() {
        return None;
    }
    let reason = blanks.contains(&Blank::Reason);
    if blanks.contains(&Blank::Line) {
        return Some(Asked { latex: LONG.into(), speech: "blank".into(), reason });
    }
    let Some(read) = line.read() else {
        return Some(Asked { latex: String::new(), speech: line.speech.clone(), reason });
    };
    let mut number = 0;
    let mut side = 0;
    let left_out = read.map(&mut |whole| {
        let mut made = whole.map(&mut |part| match part.kind {
            ExprKind::Number(_) => {
                let is_blank = blanks.contains(&Blank::Number { at: number });
                number += 1;
                if is_blank { Expr::int(STAND_IN) } else { part }
            }
            _ => part,
        });
        if blanks.contains(&Blank::Side { at: side }) {
            made = Expr::int(STAND_IN);
        }
        side += 1;
        made
    });
    let stand_in = STAND_IN.to_string();
    Some(Asked {
        latex: latex_line(&left_out).replace(&stand_in, SHORT),
        speech: speech_line(&left_out).replace(&stand_in, "blank"),
        reason,
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use skills::typed::work;

    fn line(problem: &str, at: usize) -> WorkingLine {
        work(problem, None).expect(problem).working.swap_remove(at)
    }

    #[test]
    fn numbers_and_sides_can_be_left_out() {
        let line = line("3(2x - 5) = 27", 1);
        let found: Vec<_> = parts(&line).into_iter().map(|part| part.text).collect();
        assert_eq!(found, ["6", "15", "27", "6x - 15", "", ""]);
        let asked = |blanks: &[Blank]| asked(&line, blanks).expect("blanks");
        assert_eq!(asked(&[Blank::Number { at: 1 }]).latex, format!("6x - {SHORT} = 27"));
        assert_eq!(asked(&[Blank::Number { at: 0 }]).latex, format!("{SHORT}x - 15 = 27"));
        assert_eq!(asked(&[Blank::Side { at: 0 }]).latex, format!("{SHORT} = 27"));
        assert_eq!(asked(&[Blank::Number { at: 2 }]).speech, "6 x minus 15 equals blank");
        assert!(asked(&[Blank::Line, Blank::Reason]).reason);
        assert_eq!(super::asked(&line, &[]), None);
    }

    #[test]
    fn a_factor_that_is_left_out_keeps_its_sign() {
        let line = line("n/6 = 10/15", 1);
        let asked = asked(&line, &[Blank::Number { at: 0 }, Blank::Number { at: 2 }]);
        let expected = format!("n \\times {SHORT} = 10 \\times {SHORT}");
        assert_eq!(asked.expect("blanks").latex, expected);
    }

    #[test]
    fn nothing_is_left_out_of_the_problem() {
        assert!(parts(&line("3x = 12", 0)).is_empty());
    }
}
