//! A working as it is taught: "The problem" heads only what was given, a formula stands before what is put into it and
//! gives its name to the lines below, and a story ends in a sentence.

use super::Rung;
use algebra::write::text_line;
use algebra::{Line, Role, read_latex, read_line};
use teaching::working::WorkingLine;

/// A formula of the trade.
struct Formula {
    /// What it gives.
    name: &'static str,
    /// The formula in letters, in LaTeX.
    latex: &'static str,
    /// What it says.
    says: &'static str,
    /// What stands when numbers are put in: `#` for each of them.
    put_in: &'static str,
}

const FORMULAS: &[Formula] = &[
    Formula {
        name: "A",
        latex: r"A = \frac{1}{2} \times b \times h",
        says: "The area of a triangle",
        put_in: "1/2 × # × #",
    },
    Formula {
        name: "A", latex: r"A = \pi r^{2}", says: "The area of a circle", put_in: "π × #^2"
    },
    Formula {
        name: "A",
        latex: r"A = \pi \left(\frac{d}{2}\right)^{2}",
        says: "The area of a circle, whose radius is half of its diameter",
        put_in: "π × (#/#)^2",
    },
    Formula {
        name: "C",
        latex: r"C = 2\pi r",
        says: "The circumference of a circle",
        put_in: "2π × #",
    },
    Formula {
        name: "C",
        latex: r"C = \pi d",
        says: "The circumference of a circle",
        put_in: "π × #",
    },
    Formula {
        name: "c",
        latex: r"c = \sqrt{a^{2} + b^{2}}",
        says: "Pythagoras, solved for the hypotenuse",
        put_in: "√(#^2 + #^2)",
    },
    Formula {
        name: "a",
        latex: r"a = \sqrt{c^{2} - b^{2}}",
        says: "Pythagoras, solved for a leg",
        put_in: "√(#^2 - #^2)",
    },
    Formula {
        name: "d",
        latex: r"d = \sqrt{a^{2} + b^{2} + c^{2}}",
        says: "Pythagoras twice: the diagonal of a box",
        put_in: "√(#^2 + #^2 + #^2)",
    },
];

const GIVEN: &str = "The problem";

/// Tells the working of a rung as it is taught. `is_usual` is whether it is worked by the usual method of its skill.
pub(super) fn tell(rung: &mut Rung, is_usual: bool) {
    let Some(first) = rung.working.first() else { return };
    let starts = first.role == Role::Starts && first.reason == GIVEN;
    if let Some(line) = first.read().filter(|line| starts && !shows(&rung.prompt, line)) {
        rung.working[0].reason = set_up(&line).into();
        if is_usual {
            name(&mut rung.working, &line);
        }
    }
    conclude(rung);
}

/// What a line does that sets up what a problem tells in words.
const fn set_up(line: &Line) -> &'static str {
    match line {
        Line::AllOf(_) => "Write what is told as equations",
        Line::Relations { .. } => "Write what is told as an equation",
        _ => "Write what is told as a calculation",
    }
}

/// Whether a problem shows a line of mathematics.
fn shows(prompt: &str, line: &Line) -> bool {
    let given = prompt.split('$').skip(1).step_by(2);
    let given: Vec<Line> = given.filter_map(|latex| Some(read_latex(latex).ok()?.line)).collect();
    let is_given = |line: &Line| given.contains(line);
    let text = text_line(line);
    is_given(line)
        || prompt.contains(&text)
        || given.iter().any(|given| text_line(given) == text)
        || matches!(line, Line::AllOf(all) if all.iter().all(is_given))
}

/// Puts the formula before a line that puts numbers into it, and its name before the values below.
fn name(working: &mut Vec<WorkingLine>, line: &Line) {
    let shape = shape(&text_line(line));
    let Some(formula) = FORMULAS.iter().find(|formula| formula.put_in == shape) else { return };
    for line in working.iter_mut() {
        let value = line.read().filter(|_| line.role != Role::Checks);
        let sign = match value {
            Some(Line::Expression(_)) => "=",
            Some(Line::Rounded(_)) => "≈",
            _ => continue,
        };
        let told = format!("{} {sign} {}", formula.name, line.math.trim_start_matches(['≈', ' ']));
        if let Ok(reading) = read_line(&told) {
            line.write(&reading.line);
        }
    }
    working[0].reason = "Put in what is given".into();
    let said = WorkingLine::said(&format!("${}$", formula.latex), formula.says, Role::Defines);
    working.insert(0, said);
}

/// A calculation with `#` for every number that is put into a formula: those that stand alone.
fn shape(text: &str) -> String {
    let mut out = String::new();
    let mut rest = text;
    while let Some(at) = rest.find(|c: char| c.is_ascii_digit()) {
        let (before, behind) = rest.split_at(at);
        let end = behind.find(|c: char| !(c.is_ascii_digit() || c == '.')).unwrap_or(behind.len());
        let (number, after) = behind.split_at(end);
        out.push_str(before);
        // The half of a triangle, the square, and the 2 of 2π belong to the formula.
        let is_half = (number == "1" && after.starts_with("/2")) || out.ends_with("1/");
        let belongs = is_half || out.ends_with('^') || after.starts_with('π');
        out.push_str(if belongs { number } else { "#" });
        rest = after;
    }
    out.push_str(rest);
    out
}

/// Ends the working of a story with its sentence.
fn conclude(rung: &mut Rung) {
    let text = &rung.answer.text;
    let is_sentence = text.ends_with('.') && text.split_whitespace().count() > 2;
    let is_said = rung.working.last().is_some_and(|line| line.latex.is_none());
    if is_sentence && !is_said {
        rung.working.push(WorkingLine::said(text, "Answer in a sentence", Role::Concludes));
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn numbers_that_are_put_in_are_told_from_those_of_the_formula() {
        for (text, expected) in [
            ("1/2 × 22 × 19", "1/2 × # × #"),
            ("π × 8^2", "π × #^2"),
            ("2π × 16", "2π × #"),
            ("√(9^2 + 40^2)", "√(#^2 + #^2)"),
            ("14 × 3 + 1/2 × 14 × 18", "# × # + 1/2 × # × #"),
            ("2.5π", "2.5π"),
            ("π × (22/2)^2", "π × (#/#)^2"),
        ] {
            assert_eq!(shape(text), expected);
        }
    }

    #[test]
    fn a_problem_shows_its_own_mathematics_and_no_set_up() {
        let line = |text: &str| read_line(text).expect(text).line;
        for (prompt, text) in [
            ("Solve $x - 9 = -5$.", "x - 9 = -5"),
            ("Work out $12 + 4 \\times 8$.", "12 + 4 × 8"),
            ("Solve $5x + 5y = -40$ and $3x - 5y = -8$.", "5x + 5y = -40; 3x - 5y = -8"),
            ("Write 9.5 cm in mm.", "9.5"),
        ] {
            assert!(shows(prompt, &line(text)), "{prompt}");
        }
        for (prompt, text) in [
            ("A triangle has a base of 22 cm and a height of 19 cm.", "1/2 × 22 × 19"),
            ("Find $x$, if the angle is $6x - 3$.", "2(6x - 3) = 102"),
        ] {
            assert!(!shows(prompt, &line(text)), "{prompt}");
        }
    }

    #[test]
    fn every_formula_can_be_read() {
        for formula in FORMULAS {
            let read = read_latex(formula.latex).expect(formula.latex).line;
            let (left, _) = read.as_equation().expect("an equation");
            assert_eq!(algebra::write::text(left), formula.name);
        }
    }
}
