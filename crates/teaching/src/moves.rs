//! Moves: legal reasons between two lines, named as a teacher says them.
//!
//! A move is recognised by what it does to the two sides, not by how the line is spelled. Where several were
//! made at once they are named in the order in which they would be made, as far as they are few.

mod attempted;
mod cases;
mod powers;
mod rewriting;
mod sides;
mod told;

pub use attempted::attempted;

use algebra::budget::Budget;
use algebra::normal::{Normaliser, Quotient, Values};
use algebra::number::Notation;
use algebra::{Expr, ExprKind, Line, Relation};

/// Something that may be done between two lines.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Move {
    /// The same is added to all sides.
    Add(Expr),
    /// The same is taken from all sides.
    Subtract(Expr),
    /// All sides are multiplied.
    Multiply(Expr),
    /// All sides are divided.
    Divide(Expr),
    /// The last move was by a negative number: `<` becomes `>`.
    TurnSign,
    /// The line is read from right to left.
    Swap,
    /// One side becomes zero.
    ToOneSide,
    /// Each numerator times the other denominator.
    CrossMultiply,
    /// One over each side.
    Reciprocals,
    /// Both sides to that power.
    Raise(u32),
    /// The root of that index of both sides; an even one has both signs.
    Root(u32),
    /// Logarithms of both sides.
    Logarithms,
    /// A logarithm written as a power.
    UndoLogarithms,
    /// Powers of one base are equal when their exponents are.
    CompareExponents,
    /// Brackets are multiplied out.
    MultiplyOut,
    /// A sum becomes a product.
    Factorise,
    /// A square that holds the letter, and a number.
    CompleteSquare,
    /// Like terms become one.
    Collect,
    /// Numbers are worked out.
    Evaluate,
    /// Fractions become one.
    CommonDenominator,
    /// One fraction becomes several.
    SplitFraction,
    /// A common factor is taken out of a fraction.
    Cancel,
    /// No root is left below.
    Rationalise,
    /// A root in its simplest form.
    SimplifyRoot,
    /// A law of indices.
    Indices,
    /// A law of logarithms.
    LogarithmLaws,
    /// An identity between trigonometric functions.
    Trigonometry,
    /// Differentiated term by term.
    Differentiate,
    /// The derivative of a product.
    ProductRule,
    /// The derivative of a quotient.
    QuotientRule,
    /// The derivative of a function of a function.
    ChainRule,
    /// Another unit.
    ChangeUnits,
    /// A product is zero when one of its factors is.
    ZeroProduct,
    /// What stands between bars has either sign.
    EitherSign,
    /// Every case is solved.
    SolveEach,
    /// The quadratic formula.
    Formula,
    /// A letter is replaced by what it equals.
    Substitute(Expr, Expr),
    /// Rounded, to so many decimal places where that can be seen.
    Round(Option<u32>),
}

/// What was done between two lines that are known to be equivalent, as a phrase; `None` when it has no short
/// name.
#[must_use]
pub fn named(from: &Line, to: &Line) -> Option<String> {
    let found = recognise(from, to)?;
    (!found.is_empty()).then(|| told::moves(&found))
}

/// The moves between two lines that are known to be equivalent, in the order in which they are made.
#[must_use]
pub fn recognise(from: &Line, to: &Line) -> Option<Vec<Move>> {
    if from == to {
        return None;
    }
    if to.is_rounded() && !from.is_rounded() {
        return Some(vec![Move::Round(places(to))]);
    }
    if let (Line::Expression(a), Line::Expression(b)) = (from, to) {
        return rewriting::between(a, b).map(|one| vec![one]);
    }
    if let Some(found) = cases::between(from, to) {
        return Some(found);
    }
    let (before, after) = (Sides::of(from)?, Sides::of(to)?);
    sides::between(&before, &after).or_else(|| powers::between(&before, &after))
}

/// The decimal places of the last number of a line.
fn places(line: &Line) -> Option<u32> {
    let number = line.expressions().pop()?;
    let number = match &number.kind {
        ExprKind::Negative(inner) => inner,
        _ => number,
    };
    match &number.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Decimal { places } => Some(*places),
            Notation::Integer => Some(0),
            _ => None,
        },
        _ => None,
    }
}

/// The sides of a line as they are written, with the upper sign of every `±`, and their normal forms.
#[derive(Debug, Clone)]
pub(crate) struct Sides {
    written: Vec<Expr>,
    forms: Vec<Quotient>,
    relations: Vec<Relation>,
}

impl Sides {
    /// The sides of an equation, an inequality or a chain; `None` for another line, or beyond a limit.
    pub(crate) fn of(line: &Line) -> Option<Self> {
        match line {
            Line::Relations { sides, relations } => {
                Self::new(sides.iter().map(upper).collect(), relations.clone())
            }
            _ => None,
        }
    }

    fn new(written: Vec<Expr>, relations: Vec<Relation>) -> Option<Self> {
        let budget = &mut Budget::for_move();
        let forms: Vec<_> = written.iter().map(|side| form(side, budget)).collect::<Option<_>>()?;
        if forms.iter().any(is_long) {
            return None;
        }
        Some(Self { written, forms, relations })
    }

    fn swapped(&self) -> Self {
        Self {
            written: self.written.iter().rev().cloned().collect(),
            forms: self.forms.iter().rev().cloned().collect(),
            relations: self.relations.iter().rev().map(|r| r.turned()).collect(),
        }
    }

    fn as_equation(&self) -> Option<(&Quotient, &Quotient)> {
        match (&self.forms[..], &self.relations[..]) {
            ([left, right], [Relation::Equal]) => Some((left, right)),
            _ => None,
        }
    }

    fn any(&self, test: &mut impl FnMut(&Expr) -> bool) -> bool {
        self.written.iter().any(|side| side.any(test))
    }
}

/// `3 + 4` for `3 ± 4`.
fn upper(expr: &Expr) -> Expr {
    expr.map(&mut |part| match part.kind {
        ExprKind::PlusMinus { opposite: false, value } => *value,
        ExprKind::PlusMinus { opposite: true, value } => value.negative(),
        kind => Expr::at(kind, part.span),
    })
}

fn form(expr: &Expr, budget: &mut Budget) -> Option<Quotient> {
    Normaliser::new(&Values::new(), budget).build(expr).ok()
}

/// Too long for anybody to see what was done to it.
fn is_long(value: &Quotient) -> bool {
    const TERMS: usize = 24;
    const DEGREE: u32 = 16;
    [value.numerator(), value.denominator()].iter().any(|poly| {
        poly.len() > TERMS || poly.terms().any(|(monomial, _)| monomial.degree() > DEGREE)
    })
}

fn same(a: &Quotient, b: &Quotient, budget: &mut Budget) -> bool {
    a.minus(b, budget).is_ok_and(|difference| difference.is_zero())
}

/// The summands of an expression with their signs, outermost sums only.
fn summands(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Add(a, b) => [summands(a), summands(b)].concat(),
        ExprKind::Subtract(a, b) => {
            let second = summands(b).into_iter().map(Expr::negative);
            summands(a).into_iter().chain(second).collect()
        }
        ExprKind::Negative(a) => summands(a).into_iter().map(Expr::negative).collect(),
        _ => vec![expr.clone()],
    }
}

/// How many parts an expression has.
fn size(expr: &Expr) -> usize {
    let mut parts = 0;
    expr.any(&mut |_| {
        parts += 1;
        false
    });
    parts
}

#[cfg(test)]
mod tests;
