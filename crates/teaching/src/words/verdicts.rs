//! Why a line holds or breaks, in one sentence to the student that does not tell the answer.

use super::{capital, math};
use crate::verdict::{LineVerdict, VerdictWord};
use algebra::budget::Budget;
use algebra::normal::{Normaliser, Values};
use algebra::round::agreeing_places;
use algebra::solve::{Solution, Writing};
use algebra::verdict::Shown;
use algebra::verdict::{Difference, Reason};
use algebra::{Condition, Expr, ExprKind, Line, Relation, StepVerdict};

/// A condition, as mathematics in a sentence.
#[must_use]
pub fn condition(condition: &Condition) -> String {
    let latex = algebra::write::latex;
    match condition {
        Condition::Not { letter, value } => {
            format!("${} \\ne {}$", latex(&Expr::symbol(letter)), latex(&Expr::rational(value)))
        }
        Condition::NotZero(expr) => format!("${} \\ne 0$", latex(expr)),
        Condition::NotNegative(expr) => format!("${} \\ge 0$", latex(expr)),
        Condition::Positive(expr) => format!("${} > 0$", latex(expr)),
        Condition::Holds(line) => format!("${}$", algebra::write::latex_line(line)),
        Condition::Whole(expr) => format!("${}$ is a whole number from 0 on", latex(expr)),
    }
}

/// All conditions of a verdict, parted by commas; empty when there are none.
#[must_use]
pub fn domain(provided: &[Condition]) -> String {
    provided.iter().map(condition).collect::<Vec<_>>().join(", ")
}

/// What a line was compared with.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Against<'a> {
    /// The line above.
    LineAbove(&'a Line),
    /// The problem.
    Problem(&'a Line),
    /// Its own other side.
    OtherSide,
}

impl Against<'_> {
    const fn name(self) -> &'static str {
        match self {
            Self::LineAbove(_) => "the line above",
            Self::Problem(_) => "the problem",
            Self::OtherSide => "the other side",
        }
    }

    /// Whether what it comes to, or what fits it, is what somebody is asked for: its value where no letter stands in it,
    /// and the solutions of an equation. A place where an inequality is true gives nothing away.
    fn keeps(self) -> bool {
        match self {
            // Somebody wrote both.
            Self::OtherSide => false,
            Self::LineAbove(line) | Self::Problem(line) => match line {
                Line::Expression(expr) => expr.symbols().is_empty(),
                _ => !has_order(line),
            },
        }
    }
}

/// Whether a line says that something is less, greater, or not equal.
fn has_order(line: &Line) -> bool {
    match line {
        Line::Relations { relations, .. } => {
            relations.iter().any(|sign| !matches!(sign, Relation::Equal | Relation::Approximate))
        }
        Line::AnyOf(lines) | Line::AllOf(lines) => lines.iter().any(has_order),
        _ => false,
    }
}

/// A step verdict as it is shown beside the line.
#[must_use]
pub fn step_says(verdict: &StepVerdict, unknown: &str, against: Against<'_>) -> LineVerdict {
    match verdict {
        StepVerdict::Equivalent { provided } => {
            LineVerdict { domain: domain(provided), ..LineVerdict::plain(VerdictWord::Holds) }
        }
        StepVerdict::Tested { .. } => LineVerdict::saying(
            VerdictWord::HoldsSoFar,
            "Every value that was tried fits both lines, though that is no proof.",
        ),
        StepVerdict::Undecided => LineVerdict::saying(
            VerdictWord::CantTell,
            "This step goes beyond what can be proved here so far. Carry on.",
        ),
        StepVerdict::NotEquivalent(found) => differs(found, unknown, against),
    }
}

/// `$x = 0$ and $x = 3$`; a value that has no exact writing is told as nearly so.
#[must_use]
pub fn values(letter: &str, found: &[Solution]) -> String {
    let letter = algebra::write::latex(&Expr::symbol(letter));
    let shown = |solution: &Solution| match solution.writing() {
        Writing::Exact(value) => format!("${letter} = {}$", algebra::write::latex(value)),
        Writing::Near { decimal, .. } => {
            format!("${letter} \\approx {}$", algebra::write::latex(decimal))
        }
    };
    found.iter().take(4).map(shown).collect::<Vec<_>>().join(" and ")
}

/// Why two lines differ, where neither a value nor a point shows it.
#[must_use]
pub fn difference(found: &Difference) -> Option<String> {
    let is_shown = found.counterexample.is_some()
        || !found.lost.is_empty()
        || !found.gained.is_empty()
        || !found.lost_points.is_empty()
        || !found.gained_points.is_empty();
    Some(match found.reason {
        Reason::Shape => "The lines are of different kinds.".into(),
        Reason::Rounding => "This is not how it rounds.".into(),
        Reason::NeverDefined => "There is no value for which both of these make sense.".into(),
        Reason::Link(_) | Reason::Values if is_shown => return None,
        Reason::Link(_) | Reason::Values => "The two sides have different values.".into(),
    })
}

fn differs(found: &Difference, unknown: &str, against: Against<'_>) -> LineVerdict {
    let above = against.name();
    let word = match (found.lost.is_empty(), found.gained.is_empty()) {
        (false, true) => VerdictWord::DropsSolution,
        (true, false) => VerdictWord::AddsSolution,
        _ => VerdictWord::Breaks,
    };
    let says = match found.reason {
        Reason::Shape => {
            format!(
                "{} and this line are of different kinds: one has an equals sign and the other has none. Write the \
                 whole equation.",
                capital(above)
            )
        }
        Reason::Rounding => "Look at the last figure again: this is not how it rounds.".into(),
        Reason::NeverDefined => "There is no value for which both of these make sense.".into(),
        Reason::Link(_) if found.lost.is_empty() && found.gained.is_empty() => {
            shown_at(found, Against::OtherSide)
        }
        Reason::Link(_) | Reason::Values => match word {
            // What was lost is an answer: it is theirs to find.
            VerdictWord::DropsSolution if found.lost.len() == 1 => {
                format!("One value that fits {above} does not fit this line any more. Which one?")
            }
            VerdictWord::DropsSolution => {
                format!("Some values that fit {above} do not fit this line any more. Which ones?")
            }
            VerdictWord::AddsSolution => {
                let (all, fit) = (values(unknown, &found.gained), fits(&found.gained));
                format!("{all} {fit} this line, but not {above}.")
            }
            // Both: the new value shows the break without telling the old one.
            _ if !found.gained.is_empty() => format!(
                "Try {}: it fits this line, but not {above}.",
                values(unknown, &found.gained)
            ),
            _ => shown_at(found, against),
        },
    };
    LineVerdict::saying(word, says)
}

fn shown_at(found: &Difference, against: Against<'_>) -> String {
    let above = against.name();
    let Some(example) = &found.counterexample else {
        return format!("{} has solutions that this line does not have.", capital(above));
    };
    let places: Vec<_> = example
        .at
        .iter()
        .map(|(letter, value)| {
            let letter = algebra::write::latex(&Expr::symbol(letter));
            format!("${letter} = {}$", algebra::write::latex(&value.to_shown()))
        })
        .collect();
    let at = places.join(" and ");
    match (&example.left, &example.right) {
        (Shown::Value(left), Shown::Value(right)) if at.is_empty() || against.keeps() => {
            format!("This is not what {above} comes to.{}", nearly(left, right))
        }
        (Shown::Value(left), Shown::Value(right)) => {
            format!("Try {at}: {above} gives {}, this one {}.", math(left), math(right))
        }
        (Shown::Truth(true), _) if against.keeps() => {
            format!("Something that fits {above} does not fit this line any more.")
        }
        (Shown::Truth(true), _) => {
            format!("Try {at}: {above} is true there, this one is not.")
        }
        _ => format!("Try {at}: this line is true there, {above} is not."),
    }
}

/// To how many places a decimal is the other value rounded, as the end of a paragraph; nothing when neither is.
fn nearly(left: &Expr, right: &Expr) -> String {
    let decimal = |expr: &Expr| match &expr.kind {
        ExprKind::Number(written) => Some(written.value().clone()),
        _ => None,
    };
    let (exact, near) = match (decimal(left), decimal(right)) {
        (None, Some(near)) => (left, near),
        (Some(near), None) => (right, near),
        _ => return String::new(),
    };
    let budget = &mut Budget::for_verdict();
    let value = Normaliser::new(&Values::new(), budget).build(exact).ok();
    match value.and_then(|value| agreeing_places(&value, &near, budget)) {
        Some(1) => " With ≈ it holds to $1$ decimal place.".into(),
        Some(places @ 2..) => format!(" With ≈ it holds to ${places}$ decimal places."),
        _ => String::new(),
    }
}

/// The verb that goes with so many values.
fn fits(values: &[Solution]) -> &'static str {
    if values.len() == 1 { "fits" } else { "fit" }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn the_sentence_shows_why_and_keeps_the_answer() {
        for (from, to, word, says) in [
            ("3(x+4)", "3x+4", VerdictWord::Breaks,
             "Try $x = 0$: the line above gives $12$, this one $4$."),
            ("3(2x-5) = 27", "6x-5 = 27", VerdictWord::Breaks,
             "Try $x = \\frac{16}{3}$: it fits this line, but not the line above."),
            ("x^2 = 5x", "x = 5", VerdictWord::DropsSolution,
             "One value that fits the line above does not fit this line any more. Which one?"),
            ("x^3 = x", "x = 1", VerdictWord::DropsSolution,
             "Some values that fit the line above do not fit this line any more. Which ones?"),
            ("x = 5", "x^2 = 5x", VerdictWord::AddsSolution,
             "$x = 0$ fits this line, but not the line above."),
            ("3x = 12", "x = 4", VerdictWord::Holds, ""),
            ("3.14159", "π", VerdictWord::Breaks,
             "This is not what the line above comes to. With ≈ it holds to $5$ decimal places."),
            ("2/3", "0.67", VerdictWord::Breaks,
             "This is not what the line above comes to. With ≈ it holds to $2$ decimal places."),
            ("tan x = x", "x = 0", VerdictWord::CantTell,
             "This step goes beyond what can be proved here so far. Carry on."),
        ] {
            let read = |text: &str| algebra::read_line(text).expect(text).line;
            let found = step_says(&algebra::compare(&read(from), &read(to), None), "x", Against::LineAbove(&read(from)));
            assert_eq!((found.word, found.says.as_str()), (word, says), "{from} -> {to}");
        }
    }

    /// What is said against another line than the one above, and what a line is told that breaks by itself.
    #[test]
    #[rustfmt::skip]
    fn the_sentence_says_what_it_was_held_against() {
        let read = |text: &str| algebra::read_line(text).expect(text).line;
        for (from, to, against_problem, says) in [
            ("5 × 6",       "31",            false, "This is not what the line above comes to."),
            ("5 × 6",       "31",            true,  "This is not what the problem comes to."),
            ("2(x + 1)",    "2x + 1",        true,  "Try $x = 0$: the problem gives $2$, this one $1$."),
            ("x > 3",       "x > 4",         false, "Try $x = 4$: the line above is true there, this one is not."),
            ("x > 4",       "x > 3",         false, "Try $x = 4$: this line is true there, the line above is not."),
            ("3x = 12",     "x = 5",         false, "Try $x = 5$: it fits this line, but not the line above."),
            ("3x = 12",     "x = 5",         true,  "Try $x = 5$: it fits this line, but not the problem."),
            ("3x = 12",     "x > 9",         false, "Something that fits the line above does not fit this line any more."),
            ("3x = 12",     "12",            false, "The line above and this line are of different kinds: one has an equals sign and the other has none. Write the whole equation."),
            ("√x = 3",      "x = 9 or x = 2",false, "$x = 2$ fits this line, but not the line above."),
        ] {
            let (above, line) = (read(from), read(to));
            let against = if against_problem { Against::Problem(&above) } else { Against::LineAbove(&above) };
            let found = step_says(&algebra::compare(&above, &line, Some("x")), "x", against);
            assert_eq!(found.says, says, "{from} -> {to}");
        }
        for (line, says) in [
            ("2 + 2 = 5", "This is not what the other side comes to."),
            ("6 × 12 = 70", "This is not what the other side comes to."),
            ("3(x + 4) = 3x + 4 = 3x", "Try $x = 0$: the other side gives $12$, this one $4$."),
            ("2/3 = 0.67", "This is not what the other side comes to. With ≈ it holds to $2$ decimal places."),
            ("2/3 ≈ 0.66", "Look at the last figure again: this is not how it rounds."),
        ] {
            assert_eq!(step_says(&algebra::judge_alone(&read(line)), "x", Against::OtherSide).says, says, "{line}");
        }
    }
}
