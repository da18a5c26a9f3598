//! Is an answer in the form that was asked for? Says nothing about its value.
//!
//! `number` looks at how a number is written, `shape` at sums, products and roots.

mod number;
mod shape;

use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::number::Notation;
use crate::unit::Unit;
use number::{
    bare, in_lowest_terms, is_mixed, is_standard_form, significant, unit_of, without_sign,
};
use shape::{has_power_under_root, is_expanded, is_factorised, is_rationalised, is_single_power};

/// Forms an answer may have to have.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Form {
    /// Any writing of the right value.
    Any,
    /// An exact value: no `≈`.
    Exact,
    /// A whole number or a fraction in lowest terms.
    LowestTerms,
    /// A whole number, a proper fraction in lowest terms, or a whole number with one: `3 1/2`.
    MixedNumber,
    /// A whole number or a fraction in lowest terms, not a mixed number.
    ImproperFraction,
    /// A decimal with that many places.
    Decimal(u32),
    /// A number with that many significant figures.
    Significant(u32),
    /// `a × 10^n` with `1 ≤ a < 10`.
    StandardForm,
    /// A number of hundredths: `35%`.
    Percent,
    /// Roots of whole numbers without square factors, and none below a fraction bar.
    SimplifiedRadical,
    /// No root below a fraction bar.
    Rationalised,
    /// A sum of terms, like ones collected.
    Expanded,
    /// A product that cannot be split further.
    Factorised,
    /// One base to one power.
    SinglePower,
    /// `letter = value`, or the bare value.
    SolvedFor(String),
    /// Every solution, each as `letter = value`.
    AllSolutions,
    /// With a unit: this one, or any.
    Unit(Option<Unit>),
    /// In words.
    Sentence,
    /// One of the choices offered.
    Choice,
}

impl Form {
    /// The forms whose name says nothing more.
    pub const PLAIN: [Self; 16] = [
        Self::Any,
        Self::Exact,
        Self::LowestTerms,
        Self::MixedNumber,
        Self::ImproperFraction,
        Self::StandardForm,
        Self::Percent,
        Self::SimplifiedRadical,
        Self::Rationalised,
        Self::Expanded,
        Self::Factorised,
        Self::SinglePower,
        Self::AllSolutions,
        Self::Unit(None),
        Self::Sentence,
        Self::Choice,
    ];

    /// Reads a form's name, such as `lowest_terms` or `decimal:2`. `None` for names that are not known.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        let count = |text: &str| text.parse().ok().filter(|&n| n <= 20);
        Some(match name.split_once(':') {
            None => match name {
                "any" => Self::Any,
                "exact" => Self::Exact,
                "lowest_terms" => Self::LowestTerms,
                "mixed_number" => Self::MixedNumber,
                "improper_fraction" => Self::ImproperFraction,
                "standard_form" => Self::StandardForm,
                "percent" => Self::Percent,
                "simplified_radical" => Self::SimplifiedRadical,
                "rationalised" => Self::Rationalised,
                "expanded" => Self::Expanded,
                "factorised" => Self::Factorised,
                "single_power" => Self::SinglePower,
                "all_solutions" => Self::AllSolutions,
                "unit" => Self::Unit(None),
                "sentence" => Self::Sentence,
                "choice" => Self::Choice,
                _ => return None,
            },
            Some(("decimal", places)) => Self::Decimal(count(places)?),
            Some(("significant", figures)) => Self::Significant(count(figures).filter(|&n| n > 0)?),
            Some(("solved_for", letter)) => Self::SolvedFor(letter.to_owned()),
            Some(("unit", unit)) => Self::Unit(Some(Unit::named(unit)?)),
            Some(_) => return None,
        })
    }

    /// Its name in files.
    #[must_use]
    pub fn name(&self) -> String {
        match self {
            Self::Any => "any".into(),
            Self::Exact => "exact".into(),
            Self::LowestTerms => "lowest_terms".into(),
            Self::MixedNumber => "mixed_number".into(),
            Self::ImproperFraction => "improper_fraction".into(),
            Self::Decimal(places) => format!("decimal:{places}"),
            Self::Significant(figures) => format!("significant:{figures}"),
            Self::StandardForm => "standard_form".into(),
            Self::Percent => "percent".into(),
            Self::SimplifiedRadical => "simplified_radical".into(),
            Self::Rationalised => "rationalised".into(),
            Self::Expanded => "expanded".into(),
            Self::Factorised => "factorised".into(),
            Self::SinglePower => "single_power".into(),
            Self::SolvedFor(letter) => format!("solved_for:{letter}"),
            Self::AllSolutions => "all_solutions".into(),
            Self::Unit(None) => "unit".into(),
            Self::Unit(Some(unit)) => format!("unit:{}", unit.symbol()),
            Self::Sentence => "sentence".into(),
            Self::Choice => "choice".into(),
        }
    }

    /// Whether `line` is written in this form. Of several solutions, each must be.
    #[must_use]
    pub fn fits(&self, line: &Line) -> bool {
        match (self, line) {
            (Self::Any | Self::Choice, _) => return true,
            (Self::Sentence, line) => return matches!(line, Line::Sentence(_)),
            (Self::AllSolutions, Line::NoSolution | Line::AllReals) => return true,
            (Self::SolvedFor(_), Line::NoSolution | Line::AllReals) => return true,
            (_, Line::AnyOf(lines)) => {
                return !lines.is_empty() && lines.iter().all(|line| self.fits(line));
            }
            _ => {}
        }
        let value = match line {
            Line::Expression(expr) | Line::Rounded(expr) => Some(expr),
            Line::Relations { sides, relations } if relations.len() == 1 => sides.last(),
            _ => None,
        };
        let of_value = |test: fn(&Expr) -> bool| value.is_some_and(test);
        match self {
            Self::Any | Self::Choice | Self::Sentence => true,
            Self::Exact => {
                !matches!(line, Line::Rounded(_))
                    && !matches!(line, Line::Relations { relations, .. }
                        if relations.contains(&Relation::Approximate))
            }
            Self::LowestTerms => of_value(in_lowest_terms),
            Self::MixedNumber => of_value(is_mixed),
            Self::ImproperFraction => of_value(|expr| {
                in_lowest_terms(expr)
                    && !matches!(&without_sign(expr).kind, ExprKind::Number(w)
                        if matches!(w.notation(), Notation::Mixed { .. }))
            }),
            Self::Decimal(places) => value.is_some_and(|expr| {
                matches!(&bare(expr).kind, ExprKind::Number(w)
                    if *w.notation() == Notation::Decimal { places: *places }
                        || (*places == 0 && *w.notation() == Notation::Integer))
            }),
            Self::Significant(figures) => value.is_some_and(|expr| {
                matches!(&bare(expr).kind, ExprKind::Number(w)
                    if significant(w).is_some_and(|(least, most)| (least..=most).contains(figures)))
            }),
            Self::StandardForm => of_value(is_standard_form),
            Self::Percent => of_value(|expr| {
                matches!(&without_sign(expr).kind, ExprKind::Percent(a)
                    if matches!(a.kind, ExprKind::Number(_)))
            }),
            Self::SimplifiedRadical => {
                of_value(|expr| is_rationalised(expr) && !expr.any(&mut has_power_under_root))
            }
            Self::Rationalised => of_value(is_rationalised),
            Self::Expanded => of_value(is_expanded),
            Self::Factorised => of_value(is_factorised),
            Self::SinglePower => of_value(is_single_power),
            Self::SolvedFor(letter) => match line {
                Line::Expression(expr) => !expr.symbols().contains(letter),
                Line::Relations { sides, relations } => {
                    let plain = matches!(&relations[..], [Relation::Equal | Relation::Approximate]);
                    let is_letter =
                        matches!(&sides[0].kind, ExprKind::Symbol(name) if name == letter);
                    plain && is_letter && !sides[1].symbols().contains(letter)
                }
                _ => false,
            },
            Self::AllSolutions => match line {
                Line::Relations { sides, .. } => {
                    matches!(&sides[0].kind, ExprKind::Symbol(name)
                        if !sides[1].symbols().contains(name))
                }
                Line::Expression(expr) => expr.as_plain_number().is_some(),
                _ => false,
            },
            Self::Unit(asked) => value.is_some_and(|expr| match unit_of(expr) {
                Some(unit) => asked.is_none_or(|asked| asked == unit),
                None => false,
            }),
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn forms_are_told_apart() {
        for (form, right, wrong) in [
            ("lowest_terms",       &["3/4", "-3/4", "5", "x = 2/3", "3 1/2", "x/(x+1)"][..], &["6/8", "0.75", "4/2", "3 2/4", "2x/(4x+2)"][..]),
            ("mixed_number",       &["3 1/2", "1/2", "4", "-2 1/3"],  &["7/2", "3 2/4", "3.5"]),
            ("improper_fraction",  &["7/2", "3", "-1/2"],             &["3 1/2", "14/4", "3.5"]),
            ("decimal:2",          &["0.75", "-1.50", "x ≈ 2.24", "A ≈ 36.87°"],    &["0.8", "0.750", "3/4"]),
            ("significant:3",      &["0.0123", "1.20", "123", "1230", "12300", "1.23e5"], &["0.012", "1.2", "12", "1234"]),
            ("standard_form",      &["3.2×10^5", "3.2e5", "7×10^-3"], &["32×10^4", "0.32×10^6", "320000"]),
            ("percent",            &["35%", "12.5%"],                 &["0.35", "35"]),
            ("simplified_radical", &["2√3", "√6/3", "1+√2", "√2", "3√x"], &["√12", "1/√3", "√(1/2)", "√4", "√2×√3", "√(x^3)"]),
            ("rationalised",       &["√3/3", "(3-√2)/7"],             &["1/√3", "1/(1+√2)", "√(2/3)"]),
            ("expanded",           &["3x+12", "x^2-x-2", "5", "x/2 + 1"], &["3(x+4)", "x^2+x+x", "(x+1)^2", "x(x+1)"]),
            ("factorised",         &["3(x+4)", "(x+2)(x+3)", "2x(x-1)", "(x-3)^2", "x^2+1", "(x-y)(x+y)"], &["x^2+5x+6", "2(2x+4)", "x(2x+4)", "x^2-9", "3x+12", "x^2-y^2", "x^4-5x^2+6", "2a(x+y) + b(x+y)", "x(y+2) + 3y + 6", "x^4+4", "(x^2-2x y+y^2)z", "8a^3-27b^3"]),
            ("single_power",       &["x^5", "2^7", "x", "5"],         &["x^2 x^3", "2x", "x^2+1"]),
            ("exact",              &["√2", "x = 1/3"],                &["x ≈ 0.33", "≈ 1.41"]),
            ("solved_for:x",       &["x = 3", "x = 2a/b", "x = 1 or x = 2", "no solution", "7"], &["2x = 3", "3 = x", "x = x+1"]),
            ("all_solutions",      &["x = 3 or x = -2", "no solution", "x = ±3"], &["x^2 = 9", "2x = 3"]),
        ] {
            let form = Form::named(form).expect(form);
            assert_eq!(Form::named(&form.name()), Some(form.clone()), "the name reads back");
            for (texts, expected) in [(right, true), (wrong, false)] {
                for text in texts {
                    let line = crate::read_line(text).expect(text).line;
                    assert_eq!(form.fits(&line), expected, "{text} as {}", form.name());
                }
            }
        }
    }

    #[test]
    fn units_are_told_apart() {
        for (form, text, expected) in [
            ("unit:cm", "5 cm", true),
            ("unit:cm", "5 mm", false),
            ("unit:cm", "5", false),
            ("unit", "12 cm²", true),
            ("unit", "60 km/h", true),
            ("unit", "60", false),
        ] {
            let options = crate::Options { quantities: true, ..crate::Options::default() };
            let line = crate::read_line_with(text, options).expect(text).line;
            assert_eq!(Form::named(form).expect(form).fits(&line), expected, "{text} as {form}");
        }
    }
}
