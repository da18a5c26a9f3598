//! Marking: what of an answer is right — its value, its form, its rounding, its unit — and what is not yet.
//!
//! The exact answer is asked for once, with the form it must have; whatever stands in that form and is proved to
//! have that value is right, however it is spelled.

use crate::words;
use algebra::expr::ExprKind;
use algebra::form::Form;
use algebra::{Expr, Line, Options, Setting, StepVerdict, Unit, compare_given, read_line_with};
use serde::Serialize;

/// An answer that is asked for.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Asked {
    /// The exact answer: an expression, an equation solved for a letter, or all solutions.
    pub answer: Line,
    /// The forms it must have, the first of which is told first.
    pub forms: Vec<Form>,
    /// The letter that is asked for and what is assumed.
    pub setting: Setting,
}

/// What is said of one side of an answer.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
pub enum Part {
    /// As it should be.
    Right,
    /// Not as it should be.
    Wrong,
    /// Not asked for, or nothing to be said of it.
    Open,
}

/// What is right in an answer and what is not.
#[derive(Debug, Clone, PartialEq, Eq, Serialize)]
pub struct Mark {
    /// Whether it is the value.
    pub value: Part,
    /// Whether it is written in the form.
    pub form: Part,
    /// Whether it is rounded as it should be.
    pub rounding: Part,
    /// Whether it has the unit.
    pub unit: Part,
    /// One sentence to the student; empty when all is right.
    pub says: String,
}

impl Mark {
    /// Whether nothing is left to mend.
    #[must_use]
    pub fn is_right(&self) -> bool {
        self.value == Part::Right
            && [self.form, self.rounding, self.unit].iter().all(|part| *part != Part::Wrong)
    }

    fn of_value(value: Part, says: impl Into<String>) -> Self {
        Self { value, form: Part::Open, rounding: Part::Open, unit: Part::Open, says: says.into() }
    }
}

/// Marks an answer as it was typed.
#[must_use]
pub fn mark(asked: &Asked, given: &str) -> Mark {
    let quantities = asked.forms.iter().any(|form| matches!(form, Form::Unit(_)));
    let options = Options { quantities, ..Options::default() };
    match read_line_with(given, options) {
        Ok(reading) => mark_line(asked, &reading.line),
        Err(error) => Mark::of_value(Part::Open, words::unreadable(&error)),
    }
}

/// Marks an answer that was read.
#[must_use]
pub fn mark_line(asked: &Asked, given: &Line) -> Mark {
    if let Line::Sentence(_) = given {
        let wanted = asked.forms.contains(&Form::Sentence);
        let says = if wanted { "" } else { "Give the answer itself, too." };
        return Mark::of_value(Part::Open, says);
    }
    let given = &alike(&asked.answer, given);
    let rounds = asked.forms.iter().find_map(places);
    if let Some(rounding) = rounds {
        return rounded(asked, given, &rounding);
    }
    let unit = asked.forms.iter().find_map(|form| match form {
        Form::Unit(unit) => Some(*unit),
        _ => None,
    });
    if let Some(unit) = unit {
        return with_unit(asked, given, unit);
    }
    match verdict(asked, given) {
        Some(true) => {
            let missed = asked.forms.iter().find(|form| !form.fits(given));
            let mut mark = Mark::of_value(Part::Right, "");
            mark.form = if asked.forms.is_empty() { Part::Open } else { Part::Right };
            if let Some(missed) = missed {
                mark.form = Part::Wrong;
                mark.says = format!("Right value, {}.", not_yet(missed));
            }
            mark
        }
        Some(false) if is_part(asked, given) => {
            Mark::of_value(Part::Wrong, "That is one of the solutions. There is at least one more.")
        }
        Some(false) => Mark::of_value(Part::Wrong, "Not this value yet."),
        None => Mark::of_value(Part::Open, "This goes beyond what can be proved here so far."),
    }
}

/// `7` where `x = 7` is asked for, and the other way round.
fn alike(answer: &Line, given: &Line) -> Line {
    match (answer, given) {
        (Line::Expression(_), _) => match given.as_equation() {
            Some((left, value)) if matches!(left.kind, ExprKind::Symbol(_)) => {
                Line::Expression(value.clone())
            }
            _ => given.clone(),
        },
        (_, Line::Expression(value)) => match answer.as_equation() {
            Some((letter, _)) if matches!(letter.kind, ExprKind::Symbol(_)) => {
                Line::equation(letter.clone(), value.clone())
            }
            _ => given.clone(),
        },
        _ => given.clone(),
    }
}

fn verdict(asked: &Asked, given: &Line) -> Option<bool> {
    match compare_given(&asked.answer, given, &asked.setting) {
        StepVerdict::Equivalent { .. } => Some(true),
        StepVerdict::NotEquivalent(_) => Some(false),
        StepVerdict::Tested { .. } | StepVerdict::Undecided => None,
    }
}

/// Whether it names some of several solutions, and nothing else.
fn is_part(asked: &Asked, given: &Line) -> bool {
    matches!(compare_given(&asked.answer, given, &asked.setting),
        StepVerdict::NotEquivalent(found) if !found.lost.is_empty() && found.gained.is_empty())
        && !matches!(given, Line::NoSolution)
}

/// How a form rounds, in words.
fn places(form: &Form) -> Option<Form> {
    matches!(form, Form::Decimal(_) | Form::Significant(_)).then(|| form.clone())
}

/// The number in an answer.
fn value_of(line: &Line) -> Option<&Expr> {
    match line {
        Line::Expression(value) | Line::Rounded(value) => Some(value),
        Line::Relations { sides, .. } => sides.last(),
        _ => None,
    }
}

/// A rounded answer: the exact value rounded to the places that it shows, and to as many as were asked for.
fn rounded(asked: &Asked, given: &Line, rounding: &Form) -> Mark {
    let mut mark = Mark::of_value(Part::Open, "");
    let (Some(exact), Some(told)) = (value_of(&asked.answer), value_of(given)) else {
        return Mark::of_value(Part::Wrong, "Give one number.");
    };
    let near = Line::Rounded(told.clone());
    let is_near = matches!(
        compare_given(&Line::Expression(exact.clone()), &near, &asked.setting),
        StepVerdict::Equivalent { .. }
    );
    let same = Line::Expression(told.clone());
    let is_same = matches!(
        compare_given(&Line::Expression(exact.clone()), &same, &asked.setting),
        StepVerdict::Equivalent { .. }
    );
    let fits = rounding.fits(given);
    match (is_near, is_same, fits) {
        (true, _, true) => (mark.value, mark.rounding) = (Part::Right, Part::Right),
        (true, ..) | (_, true, _) => {
            (mark.value, mark.rounding) = (Part::Right, Part::Wrong);
            mark.says = format!("Right value, {}.", not_yet(rounding));
        }
        (false, false, true) if is_cut_off(exact, told) => {
            (mark.value, mark.rounding) = (Part::Right, Part::Wrong);
            mark.says = "Nearly: look at the figure after the last one. Does it round up?".into();
        }
        _ => (mark.value, mark.says) = (Part::Wrong, "Not this value yet.".into()),
    }
    mark
}

/// Whether a number is the exact one cut off instead of rounded: within one unit of its last place.
fn is_cut_off(exact: &Expr, told: &Expr) -> bool {
    let unit = algebra::round::last_place(told);
    let Some(unit) = unit else { return false };
    let apart: Expr = ExprKind::Absolute(Box::new(exact.clone().minus(told.clone()))).into();
    let line = Line::Relations {
        sides: vec![apart, Expr::rational(&unit)],
        relations: vec![algebra::Relation::Less],
    };
    matches!(algebra::judge_alone(&line), StepVerdict::Equivalent { .. })
}

/// An answer with a unit: a certain one, or any that fits.
fn with_unit(asked: &Asked, given: &Line, unit: Option<Unit>) -> Mark {
    let form = Form::Unit(unit);
    let mut mark = Mark::of_value(Part::Open, "");
    match verdict(asked, given) {
        Some(true) => {
            mark.value = Part::Right;
            mark.unit = if form.fits(given) { Part::Right } else { Part::Wrong };
            if mark.unit == Part::Wrong {
                mark.says = format!("Right value, {}.", not_yet(&form));
            }
            let missed = asked.forms.iter().find(|f| !matches!(f, Form::Unit(_)) && !f.fits(given));
            if let Some(missed) = missed {
                mark.form = Part::Wrong;
                mark.says = format!("Right value, {}.", not_yet(missed));
            }
        }
        Some(false) | None => {
            let without = value_of(given).is_some_and(|value| !has_unit(value));
            let unit = unit.or_else(|| value_of(&asked.answer).and_then(first_unit));
            let completed = match (without, unit, value_of(given)) {
                (true, Some(unit), Some(value)) => {
                    Some(Line::Expression(value.clone().times(ExprKind::Unit(unit).into())))
                }
                _ => None,
            };
            if completed.is_some_and(|line| verdict(asked, &line) == Some(true)) {
                (mark.value, mark.unit) = (Part::Right, Part::Wrong);
                mark.says = "The number is right. Which unit goes with it?".into();
            } else {
                (mark.value, mark.says) = (Part::Wrong, "Not this value yet.".into());
            }
        }
    }
    mark
}

fn has_unit(expr: &Expr) -> bool {
    first_unit(expr).is_some()
}

fn first_unit(expr: &Expr) -> Option<Unit> {
    let mut found = None;
    expr.any(&mut |part| {
        if let ExprKind::Unit(unit) = part.kind {
            found.get_or_insert(unit);
        }
        found.is_some()
    });
    found
}

/// What is missing in the form, as the end of a sentence.
fn not_yet(form: &Form) -> String {
    let text = match form {
        Form::Any | Form::Sentence | Form::Choice => "not yet in the form that is asked for",
        Form::Exact => "but rounded: give the exact value",
        Form::LowestTerms => "not yet in lowest terms",
        Form::MixedNumber => "not yet a mixed number",
        Form::ImproperFraction => "not yet one fraction in lowest terms",
        Form::Decimal(0) => "not yet rounded to a whole number",
        Form::Decimal(1) => "not yet to 1 decimal place",
        Form::Decimal(n) => return format!("not yet to {n} decimal places"),
        Form::Significant(1) => "not yet to 1 significant figure",
        Form::Significant(n) => return format!("not yet to {n} significant figures"),
        Form::StandardForm => "not yet in standard form",
        Form::Percent => "not yet as a percentage",
        Form::SimplifiedRadical => "the root can still be simplified",
        Form::Rationalised => "a root is still below the fraction bar",
        Form::Expanded => "not yet multiplied out and collected",
        Form::Factorised => "not yet fully factorised",
        Form::SinglePower => "not yet a single power",
        Form::SolvedFor(letter) => return format!("not yet solved for {letter}"),
        Form::AllSolutions => "write each solution with its letter",
        Form::Unit(None) => "but a unit is missing",
        Form::Unit(Some(unit)) => {
            return format!("but in another unit: give it in {}", unit.symbol());
        }
    };
    text.to_owned()
}

#[cfg(test)]
mod tests {
    use super::*;

    /// The value, form, rounding and unit as letters: right, wrong, or `-` for nothing to say.
    fn marked(answer: &str, forms: &[&str], given: &str) -> (String, String) {
        let quantities = forms.iter().any(|form| form.starts_with("unit"));
        let options = Options { quantities, ..Options::default() };
        let asked = Asked {
            answer: read_line_with(answer, options).expect(answer).line,
            forms: forms.iter().map(|form| Form::named(form).expect(form)).collect(),
            setting: Setting::default(),
        };
        let found = mark(&asked, given);
        let letter = |part: Part| match part {
            Part::Right => 'r',
            Part::Wrong => 'w',
            Part::Open => '-',
        };
        let all = [found.value, found.form, found.rounding, found.unit].map(letter);
        assert_eq!(
            found.is_right(),
            found.says.is_empty() && found.value == Part::Right,
            "{given}"
        );
        (all.iter().collect(), found.says)
    }

    #[test]
    #[rustfmt::skip]
    fn marks_say_what_is_right_and_what_is_not() {
        for (answer, forms, given, parts, says) in [
            ("3/4",        &["lowest_terms"][..],  "3/4",        "rr--", ""),
            ("3/4",        &["lowest_terms"],      "6/8",        "rw--", "Right value, not yet in lowest terms."),
            ("3/4",        &["lowest_terms"],      "0.75",       "rw--", "Right value, not yet in lowest terms."),
            ("3/4",        &["lowest_terms"],      "4/3",        "w---", "Not this value yet."),
            ("3/4",        &[],                    "75%",        "r---", ""),
            ("7/2",        &["mixed_number"],      "3 1/2",      "rr--", ""),
            ("7/2",        &["mixed_number"],      "7/2",        "rw--", "Right value, not yet a mixed number."),
            ("7/2",        &["improper_fraction"], "3 1/2",      "rw--", "Right value, not yet one fraction in lowest terms."),
            ("x = 7",      &["solved_for:x"],      "x = 7",      "rr--", ""),
            ("x = 7",      &["solved_for:x"],      "7",          "rr--", ""),
            ("x = 7",      &["solved_for:x"],      "x = 14/2",   "rr--", ""),
            ("x = 7",      &["solved_for:x", "lowest_terms"], "x = 14/2", "rw--", "Right value, not yet in lowest terms."),
            ("x = 3 or x = -2", &["all_solutions"], "x = -2 or x = 3", "rr--", ""),
            ("x = 3 or x = -2", &["all_solutions"], "x = 3",     "w---", "That is one of the solutions. There is at least one more."),
            ("x = 3 or x = -2", &["all_solutions"], "x = 3 or x = 2", "w---", "Not this value yet."),
            ("2√3",        &["simplified_radical"],"√12",        "rw--", "Right value, the root can still be simplified."),
            ("√2/2",       &["rationalised"],      "1/√2",       "rw--", "Right value, a root is still below the fraction bar."),
            ("(x+2)(x+3)", &["factorised"],        "x^2+5x+6",   "rw--", "Right value, not yet fully factorised."),
            ("x^2+5x+6",   &["expanded"],          "(x+2)(x+3)", "rw--", "Right value, not yet multiplied out and collected."),
            ("√2",         &["exact"],             "√2",         "rr--", ""),
            ("√2",         &["exact"],             "1.41",       "w---", "Not this value yet."),
            ("7/20",       &["percent"],           "35%",        "rr--", ""),
            ("7/20",       &["percent"],           "0.35",       "rw--", "Right value, not yet as a percentage."),
            ("320000",     &["standard_form"],     "3.2×10^5",   "rr--", ""),
            ("320000",     &["standard_form"],     "32×10^4",    "rw--", "Right value, not yet in standard form."),
            ("3/4",        &["lowest_terms"],      "3/",         "----", "Something is missing after “/”."),
        ] {
            let (found, told) = marked(answer, forms, given);
            assert_eq!((found.as_str(), told.as_str()), (parts, says), "{given} for {answer}");
        }
    }

    #[test]
    #[rustfmt::skip]
    fn rounding_is_marked_by_itself() {
        for (answer, forms, given, parts, says) in [
            ("83/8",   &["decimal:1"][..],  "10.4",   "r-r-", ""),
            ("83/8",   &["decimal:1"],      "≈ 10.4", "r-r-", ""),
            ("83/8",   &["decimal:1"],      "10.375", "r-w-", "Right value, not yet to 1 decimal place."),
            ("83/8",   &["decimal:1"],      "10.38",  "r-w-", "Right value, not yet to 1 decimal place."),
            ("83/8",   &["decimal:1"],      "10.3",   "r-w-", "Nearly: look at the figure after the last one. Does it round up?"),
            ("83/8",   &["decimal:1"],      "11.4",   "w---", "Not this value yet."),
            ("√2",     &["decimal:3"],      "1.414",  "r-r-", ""),
            ("√2",     &["decimal:3"],      "√2",     "r-w-", "Right value, not yet to 3 decimal places."),
            ("π",      &["significant:3"],  "3.14",   "r-r-", ""),
            ("π",      &["significant:3"],  "3.142",  "r-w-", "Right value, not yet to 3 significant figures."),
            ("x = 2/3",&["decimal:2"],      "x ≈ 0.67","r-r-", ""),
            ("0.004863", &["significant:2"],"0.0049", "r-r-", ""),
            ("0.004863", &["significant:2"],"0.0048", "r-w-", "Nearly: look at the figure after the last one. Does it round up?"),
        ] {
            let (found, told) = marked(answer, forms, given);
            assert_eq!((found.as_str(), told.as_str()), (parts, says), "{given} for {answer}");
        }
    }

    #[test]
    #[rustfmt::skip]
    fn units_are_marked_by_themselves() {
        for (answer, forms, given, parts, says) in [
            ("5 cm",   &["unit:cm"][..], "5 cm",    "r--r", ""),
            ("5 cm",   &["unit:cm"],     "0.05 m",  "r--w", "Right value, but in another unit: give it in cm."),
            ("5 cm",   &["unit:cm"],     "5",       "r--w", "The number is right. Which unit goes with it?"),
            ("5 cm",   &["unit:cm"],     "5 m",     "w---", "Not this value yet."),
            ("5 cm",   &["unit"],        "50 mm",   "r--r", ""),
            ("5 cm",   &["unit"],        "5",       "r--w", "The number is right. Which unit goes with it?"),
            ("$3.50",  &["unit:$"],      "$3.50",   "r--r", ""),
            ("$3.50",  &["unit:$"],      "350 ¢",   "r--w", "Right value, but in another unit: give it in $."),
            ("90 km/h",&["unit"],        "25 m/s",  "r--r", ""),
        ] {
            let (found, told) = marked(answer, forms, given);
            assert_eq!((found.as_str(), told.as_str()), (parts, says), "{given} for {answer}");
        }
    }
}
