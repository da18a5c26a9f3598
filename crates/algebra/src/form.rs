//! Is an answer in the form that was asked for?

use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::number::Notation;
use num_integer::Integer;
use num_traits::{One, Zero};

/// Forms an answer may have to have.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Form {
    /// Any writing of the right value.
    Any,
    /// An exact value: no `≈`.
    Exact,
    /// A whole number or a fraction in lowest terms.
    LowestTerms,
    /// A decimal with that many places.
    Decimal(u32),
    /// `letter = value`, or the bare value.
    SolvedFor(String),
}

impl Form {
    /// Reads a form's name, such as `lowest_terms` or `decimal:2`. `None` for names not known yet.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        Some(match name.split_once(':') {
            None => match name {
                "any" => Self::Any,
                "exact" => Self::Exact,
                "lowest_terms" => Self::LowestTerms,
                _ => return None,
            },
            Some(("decimal", places)) => Self::Decimal(places.parse().ok().filter(|&n| n <= 20)?),
            Some(("solved_for", letter)) => Self::SolvedFor(letter.to_owned()),
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
            Self::Decimal(places) => format!("decimal:{places}"),
            Self::SolvedFor(letter) => format!("solved_for:{letter}"),
        }
    }

    /// Whether `line` is written in this form. Says nothing about its value.
    #[must_use]
    pub fn fits(&self, line: &Line) -> bool {
        let value = match (line, line.as_equation()) {
            (Line::Expression(expr), _) => Some(expr),
            (_, Some((_, right))) => Some(right),
            _ => None,
        };
        match self {
            Self::Any => true,
            Self::Exact => !matches!(line, Line::Relations { relations, .. }
                if relations.contains(&crate::Relation::Approximate)),
            Self::LowestTerms => value.is_some_and(in_lowest_terms),
            Self::Decimal(places) => value.is_some_and(|expr| {
                let number = match &expr.kind {
                    ExprKind::Negative(a) => a,
                    _ => expr,
                };
                matches!(&number.kind, ExprKind::Number(w)
                    if *w.notation() == Notation::Decimal { places: *places }
                        || (*places == 0 && *w.notation() == Notation::Whole))
            }),
            Self::SolvedFor(letter) => match (line, line.as_equation()) {
                (Line::Expression(expr), _) => expr.as_plain_number().is_some(),
                (_, Some((left, right))) => {
                    *left == Expr::symbol(letter) && !right.symbols().contains(letter)
                }
                _ => matches!(line, Line::NoSolution | Line::AllReals),
            },
        }
    }
}

fn in_lowest_terms(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Negative(a) => in_lowest_terms(a),
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { numerator, denominator, .. } => {
                numerator.gcd(denominator).is_one() && numerator < denominator
            }
            notation => *notation == Notation::Whole,
        },
        ExprKind::Divide(a, b) => match (a.as_plain_number(), b.as_plain_number()) {
            (Some(a), Some(b)) if a.is_integer() && b.is_integer() && !b.is_zero() => {
                let (a, b) = (a.to_integer(), b.to_integer());
                a.gcd(&b).is_one() && !b.is_one()
            }
            _ => false,
        },
        _ => false,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_form_is_about_the_writing_not_the_value() {
        for (form, line, fits) in [
            ("lowest_terms", "3/4", true),      ("lowest_terms", "6/8", false),
            ("lowest_terms", "x = -2/3", true), ("lowest_terms", "4/1", false),
            ("lowest_terms", "1 2/4", false),   ("lowest_terms", "0.75", false),
            ("decimal:2", "2.50", true),        ("decimal:2", "2.5", false),
            ("solved_for:x", "x = 4", true),    ("solved_for:x", "4 = x", false),
            ("solved_for:x", "4", true),        ("any", "6/8", true),
        ] {
            let line_read = crate::read_line(line).expect("readable").line;
            assert_eq!(Form::named(form).expect("known").fits(&line_read), fits, "{form}: {line}");
        }
    }
}
