//! A working as it is taught: "The problem" heads only what was given, a formula stands before what is put into it and
//! gives its name to the lines below, and a story ends in a sentence.

use super::Rung;
use algebra::expr::is_name;
use algebra::write::{text, text_line};
use algebra::{Line, Role, read_latex, read_line};
use teaching::working::WorkingLine;
use teaching::world::{QuantityPart, World};

const GIVEN: &str = "The problem";

/// Tells the working of a rung as it is taught. `is_usual` is whether it is worked by the usual method of its skill.
pub(super) fn tell(rung: &mut Rung, is_usual: bool) {
    let Some(first) = rung.working.first() else { return };
    let starts = first.role == Role::Starts && first.reason == GIVEN;
    if let Some(line) = first.read().filter(|line| starts && !shows(&rung.prompt, line)) {
        rung.working[0].reason = set_up(&line).into();
        if let Some(world) = rung.world.as_ref().filter(|_| is_usual) {
            name(&mut rung.working, world, &line);
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
fn name(working: &mut Vec<WorkingLine>, world: &World, line: &Line) {
    let Some((law, formula)) = world.laws.iter().find_map(|law| {
        let formula = law.read()?;
        // One in words is said, not reckoned with.
        let in_words = formula.symbols().iter().any(|name| is_name(name));
        (!in_words && is_put_in(world, &formula, line)).then_some((law, formula))
    }) else {
        return;
    };
    if let (Line::Expression(_), Some((name, _))) = (line, formula.as_equation()) {
        let name = text(name);
        for line in working.iter_mut() {
            let value = line.read().filter(|_| line.role != Role::Checks);
            let sign = match value {
                Some(Line::Expression(_)) => "=",
                Some(Line::Rounded(_)) => "≈",
                _ => continue,
            };
            let told = format!("{name} {sign} {}", line.math.trim_start_matches(['≈', ' ']));
            if let Ok(reading) = read_line(&told) {
                line.write(&reading.line);
            }
        }
    }
    working[0].reason = "Put in what is given".into();
    let said = WorkingLine::said(&format!("${}$", law.latex), law.says.as_str(), Role::Defines);
    working.insert(0, said);
}

/// Whether a line is a formula with the numbers of its world in it: for what it gives `1/2 × 27 × 14`, and for another
/// letter `1/2 × 27 × h = 189`.
fn is_put_in(world: &World, formula: &Line, line: &Line) -> bool {
    let put_in = world.put_in(formula, |quantity| quantity.part != QuantityPart::Asked);
    let Some((name, value)) = put_in.as_equation() else { return false };
    let written = text_line(line);
    match line {
        Line::Expression(_) => written == text(value),
        _ => {
            written == text_line(&put_in)
                || written == text_line(&Line::equation(value.clone(), name.clone()))
        }
    }
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
    use teaching::formulas;

    #[test]
    fn a_formula_is_found_with_its_numbers_in_it() {
        let world = World::by(formulas::TRIANGLE)
            .given("base", "b", 22, "cm")
            .given("height", "h", 19, "cm")
            .asked("area", "A", 209, "cm²");
        let other = World::by(formulas::TRIANGLE)
            .given("area", "A", 209, "cm²")
            .given("base", "b", 22, "cm")
            .asked("height", "h", 19, "cm");
        let line = |text: &str| read_line(text).expect(text).line;
        let formula = line(formulas::TRIANGLE.typed);
        assert!(is_put_in(&world, &formula, &line("1/2 × 22 × 19")));
        assert!(is_put_in(&other, &formula, &line("1/2 × 22 × h = 209")));
        for text in ["22 × 19", "1/2 × 19 × 22", "1/2 × 22 × h = 209"] {
            assert!(!is_put_in(&world, &formula, &line(text)), "{text}");
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
}
