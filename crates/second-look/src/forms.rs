//! Answers in another form than the one that is asked for.

use super::reading::{formulas, has_word, line_of};
use super::task::Task;
use super::{Finding, Kind, Spotted};
use algebra::Line;
use algebra::form::Form;

/// How forms are asked for.
const PHRASES: &[(&str, Form, &str)] = &[
    ("lowest terms", Form::LowestTerms, "in lowest terms"),
    ("simplest form", Form::LowestTerms, "in simplest form"),
    ("simplest terms", Form::LowestTerms, "in lowest terms"),
    ("fully simplified fraction", Form::LowestTerms, "in lowest terms"),
    ("mixed number", Form::MixedNumber, "as a mixed number"),
    ("improper fraction", Form::ImproperFraction, "as an improper fraction"),
    ("standard form", Form::StandardForm, "in standard form"),
    ("scientific notation", Form::StandardForm, "in standard form"),
    ("as a percentage", Form::Percent, "as a percentage"),
    ("as a percent", Form::Percent, "as a percent"),
    ("simplified surd", Form::SimplifiedRadical, "as a simplified radical"),
    ("simplified radical", Form::SimplifiedRadical, "as a simplified radical"),
    ("simplest radical form", Form::SimplifiedRadical, "as a simplified radical"),
    ("simplest surd form", Form::SimplifiedRadical, "as a simplified radical"),
    ("rationalise", Form::Rationalised, "with no root below the bar"),
    ("rationalize", Form::Rationalised, "with no root below the bar"),
    ("exact", Form::Exact, "exactly"),
    ("factorise", Form::Factorised, "as a product"),
    ("factorize", Form::Factorised, "as a product"),
    ("factor completely", Form::Factorised, "as a product"),
    ("expand", Form::Expanded, "without brackets"),
    ("single power", Form::SinglePower, "as a single power"),
];

/// An answer that is not in the form asked for.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let prompt = task.prompt.text.to_lowercase();
    let answer = task.answer.as_ref()?;
    // Several values, or a ratio, have forms of their own.
    if answer.text.contains(" and ") || answer.text.contains(':') {
        return None;
    }
    let lines = values(&answer.text);
    let line = lines.last()?;
    let line = solved(line);
    // A fraction is simplified when nothing is left to cancel.
    let simplifies = has_word(&prompt, "simplify") || has_word(&prompt, "reduce");
    let is_number = line.symbols().is_empty() && !prompt.contains("sqrt") && !prompt.contains('√');
    let (form, said) = asked(&prompt)
        .or_else(|| (simplifies && is_number).then_some((Form::LowestTerms, "in lowest terms")))?;
    // Letters that are no roots are nothing that these forms speak of.
    let fits = match form {
        // An answer that is no fraction at all is told by its value.
        Form::LowestTerms if !line.symbols().is_empty() => return None,
        _ => form.fits(&line),
    };
    if fits {
        return None;
    }
    let says = format!("The answer is asked for {said}.");
    Some(Spotted {
        place: answer.place,
        finding: Finding::new(Kind::AnswerForm, answer.text.trim(), says),
    })
}

fn asked(prompt: &str) -> Option<(Form, &'static str)> {
    let found = PHRASES.iter().find(|(phrase, ..)| {
        phrase.split(' ').count() > 1 && prompt.contains(phrase) || has_word(prompt, phrase)
    });
    let (_, form, said) = found?;
    // `Simplest form` of a root is another one.
    let is_root = prompt.contains("sqrt") || prompt.contains('√') || prompt.contains("surd");
    match form {
        Form::LowestTerms if is_root => Some((Form::SimplifiedRadical, "as a simplified radical")),
        // What is to be changed is named too: `Write the mixed number as an improper fraction`.
        Form::MixedNumber if prompt.contains("improper fraction") => {
            let last = if prompt.rfind("mixed number") > prompt.rfind("improper fraction") {
                (Form::MixedNumber, "as a mixed number")
            } else {
                (Form::ImproperFraction, "as an improper fraction")
            };
            Some(last)
        }
        _ => Some((form.clone(), *said)),
    }
}

/// The values that stand in an answer.
fn values(text: &str) -> Vec<Line> {
    let maths = formulas(text);
    if maths.is_empty() {
        let plain = text.trim().trim_end_matches('.');
        line_of(plain)
            .or_else(|| {
                let first = plain.split(' ').next().unwrap_or_default();
                first.contains(|sign: char| sign.is_ascii_digit()).then(|| line_of(first)).flatten()
            })
            .into_iter()
            .collect()
    } else {
        maths.iter().filter_map(|math| line_of(&format!("${math}$"))).collect()
    }
}

/// What stands behind the last equals sign.
fn solved(line: &Line) -> Line {
    match line {
        Line::Relations { sides, relations }
            if relations.last().is_some_and(|relation| relation.sign() == "=") =>
        {
            sides.last().map_or_else(|| line.clone(), |side| Line::Expression(side.clone()))
        }
        _ => line.clone(),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;
    use crate::task::Placed;

    #[test]
    #[rustfmt::skip]
    fn an_answer_in_another_form_is_found() {
        let place = Spot::default();
        for (prompt, answer, is_found) in [
            ("Work out $\\frac{1}{8} + \\frac{5}{8}$ in lowest terms.", "$\\frac{6}{8}$", true),
            ("Work out $\\frac{1}{8} + \\frac{5}{8}$ in lowest terms.", "3/4", false),
            ("Write 11/4 as a mixed number.", "11/4", true),
            ("Write 11/4 as a mixed number.", "2 3/4", false),
            ("Write 2 3/4 as an improper fraction.", "11/4", false),
            ("Write 45000 in standard form.", "45 × 10^3", true),
            ("Write 45000 in standard form.", "4.5 × 10^4", false),
            ("Write 3/4 as a percentage.", "0.75", true),
            ("Write 3/4 as a percentage.", "75%", false),
            ("Write √50 in simplest form.", "√50", true),
            ("Write √50 in simplest form.", "5√2", false),
            ("Factorise $x^2 + 5x + 6$.", "$x(x + 5) + 6$", true),
            ("Factorise $x^2 + 5x + 6$.", "$(x + 2)(x + 3)$", false),
            ("Expand $3(x + 4)$.", "$3(x + 4)$", true),
            ("Give the exact length.", "$\\sqrt{50} \\approx 7.07$", true),
        ] {
            let mut task = Task::asking(place, prompt);
            task.answer = Some(Placed { place, text: answer.into() });
            assert_eq!(look(&task).is_some(), is_found, "{prompt} {answer}");
        }
    }
}
