//! A line of working: an expression, a relation, several solutions, a system, or words.

use crate::expr::{Expr, Span};
use std::collections::BTreeSet;

/// How two neighbouring sides of a line are related.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash)]
pub enum Relation {
    /// `=`
    Equal,
    /// `≠`
    NotEqual,
    /// `<`
    Less,
    /// `≤`
    LessOrEqual,
    /// `>`
    Greater,
    /// `≥`
    GreaterOrEqual,
    /// `≈`: equal when the right is rounded as it is written.
    Approximate,
}

impl Relation {
    /// The sign it is written by.
    #[must_use]
    pub const fn sign(self) -> &'static str {
        match self {
            Self::Equal => "=",
            Self::NotEqual => "≠",
            Self::Less => "<",
            Self::LessOrEqual => "≤",
            Self::Greater => ">",
            Self::GreaterOrEqual => "≥",
            Self::Approximate => "≈",
        }
    }

    /// Whether it holds between two values whose difference has this sign; `None` for `≈`, which looks at
    /// how its right side is written.
    #[must_use]
    pub const fn holds_for(self, sign: i8) -> Option<bool> {
        Some(match self {
            Self::Equal => sign == 0,
            Self::NotEqual => sign != 0,
            Self::Less => sign < 0,
            Self::LessOrEqual => sign <= 0,
            Self::Greater => sign > 0,
            Self::GreaterOrEqual => sign >= 0,
            Self::Approximate => return None,
        })
    }

    /// The relation read from right to left.
    #[must_use]
    pub const fn turned(self) -> Self {
        match self {
            Self::Less => Self::Greater,
            Self::LessOrEqual => Self::GreaterOrEqual,
            Self::Greater => Self::Less,
            Self::GreaterOrEqual => Self::LessOrEqual,
            other => other,
        }
    }
}

/// One interval as it is written: each end with whether it belongs to it; a missing end is infinity.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Piece {
    /// The left end.
    pub low: Option<(Expr, bool)>,
    /// The right end.
    pub high: Option<(Expr, bool)>,
}

impl Piece {
    /// The brackets that say which ends belong to it.
    #[must_use]
    pub fn brackets(&self) -> (char, char) {
        let holds =
            |end: &Option<(Expr, bool)>| end.as_ref().is_some_and(|(_, included)| *included);
        (if holds(&self.low) { '[' } else { '(' }, if holds(&self.high) { ']' } else { ')' })
    }

    /// `2 ≤ x < 5`; everything when both ends are missing.
    #[must_use]
    pub fn of_letter(&self, letter: &Expr) -> Line {
        let below = |included: bool| {
            if included { Relation::LessOrEqual } else { Relation::Less }
        };
        let (sides, relations) = match (self.low.clone(), self.high.clone()) {
            (None, None) => return Line::AllReals,
            (Some((low, included)), None) => {
                (vec![letter.clone(), low], vec![below(included).turned()])
            }
            (None, Some((high, included))) => (vec![letter.clone(), high], vec![below(included)]),
            (Some((low, a)), Some((high, b))) => {
                (vec![low, letter.clone(), high], vec![below(a), below(b)])
            }
        };
        Line::Relations { sides, relations }
    }

    fn ends(&self) -> impl Iterator<Item = &Expr> {
        self.low.iter().chain(&self.high).map(|(value, _)| value)
    }
}

/// One line, as it was read.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Line {
    /// An expression.
    Expression(Expr),
    /// Two or more sides with a relation between neighbours: an equation, an inequality, a chain.
    /// There is one relation fewer than sides.
    Relations { sides: Vec<Expr>, relations: Vec<Relation> },
    /// `x = 3 or x = -2`: at least one of these.
    AnyOf(Vec<Line>),
    /// `x + y = 5; x - y = 1`: all of these.
    AllOf(Vec<Line>),
    /// `let u = x^2`: gives a letter its meaning.
    Definition { letter: String, value: Expr },
    /// `≈ 3.14`: the line above, rounded.
    Rounded(Expr),
    /// `[2, 5)`, `(-∞, 2) ∪ (3, ∞)`: intervals that no letter is named for.
    Set(Vec<Piece>),
    /// `(2, 5)`: a point, or the interval between the two where a line in one letter is compared.
    Point(Vec<Expr>),
    /// "no solution"
    NoSolution,
    /// "all real numbers"
    AllReals,
    /// Words. What stands in them is found by `read::quantities_in`.
    Sentence(Span),
}

impl Line {
    /// `left = right`
    #[must_use]
    pub fn equation(left: Expr, right: Expr) -> Self {
        Self::Relations { sides: vec![left, right], relations: vec![Relation::Equal] }
    }

    /// The two sides, when it is one equation.
    #[must_use]
    pub fn as_equation(&self) -> Option<(&Expr, &Expr)> {
        match self {
            Self::Relations { sides, relations } => match (&sides[..], &relations[..]) {
                ([left, right], [Relation::Equal]) => Some((left, right)),
                _ => None,
            },
            _ => None,
        }
    }

    /// The line with every expression replaced by what `change` makes of it.
    #[must_use]
    pub fn map(&self, change: &mut impl FnMut(&Expr) -> Expr) -> Self {
        match self {
            Self::Expression(expr) => Self::Expression(change(expr)),
            Self::Relations { sides, relations } => Self::Relations {
                sides: sides.iter().map(&mut *change).collect(),
                relations: relations.clone(),
            },
            Self::AnyOf(lines) => Self::AnyOf(lines.iter().map(|line| line.map(change)).collect()),
            Self::AllOf(lines) => Self::AllOf(lines.iter().map(|line| line.map(change)).collect()),
            Self::Definition { letter, value } => {
                Self::Definition { letter: letter.clone(), value: change(value) }
            }
            Self::Rounded(value) => Self::Rounded(change(value)),
            Self::Set(pieces) => {
                let mut end = |end: &Option<(Expr, bool)>| {
                    end.as_ref().map(|(value, included)| (change(value), *included))
                };
                let pieces = pieces.iter().map(|p| Piece { low: end(&p.low), high: end(&p.high) });
                Self::Set(pieces.collect())
            }
            Self::Point(values) => Self::Point(values.iter().map(change).collect()),
            Self::NoSolution | Self::AllReals | Self::Sentence(_) => self.clone(),
        }
    }

    /// The same with `value` put for every `letter`, and nothing worked out.
    #[must_use]
    pub fn with(&self, letter: &str, value: &Expr) -> Self {
        self.map(&mut |expr| expr.with(letter, value))
    }

    /// Whether a rounded value stands in it: `≈ 3.14`, `x ≈ 10.4`.
    #[must_use]
    pub fn is_rounded(&self) -> bool {
        match self {
            Self::Rounded(_) => true,
            Self::Relations { relations, .. } => relations.contains(&Relation::Approximate),
            Self::AnyOf(lines) | Self::AllOf(lines) => lines.iter().any(Self::is_rounded),
            _ => false,
        }
    }

    /// Every expression in it, from left to right.
    #[must_use]
    pub fn expressions(&self) -> Vec<&Expr> {
        match self {
            Self::Expression(expr) => vec![expr],
            Self::Relations { sides, .. } => sides.iter().collect(),
            Self::AnyOf(lines) | Self::AllOf(lines) => {
                lines.iter().flat_map(Self::expressions).collect()
            }
            Self::Definition { value, .. } | Self::Rounded(value) => vec![value],
            Self::Set(pieces) => pieces.iter().flat_map(Piece::ends).collect(),
            Self::Point(values) => values.iter().collect(),
            Self::NoSolution | Self::AllReals | Self::Sentence(_) => Vec::new(),
        }
    }

    /// The letters in it.
    #[must_use]
    pub fn symbols(&self) -> BTreeSet<String> {
        self.expressions().into_iter().flat_map(Expr::symbols).collect()
    }
}
