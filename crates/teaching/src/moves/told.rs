//! Moves as phrases in the imperative, as a teacher writes them beside a line.

use super::Move;
use crate::words::math;
use algebra::Expr;

/// Several moves in the order in which they are made: `subtract $7$ from both sides and divide both sides by
/// $4$`.
#[must_use]
pub(super) fn moves(all: &[Move]) -> String {
    let mut phrases: Vec<String> = Vec::new();
    let mut at = 0;
    while at < all.len() {
        let (phrase, used) = phrase(&all[at..]);
        phrases.push(phrase);
        at += used;
    }
    match &phrases[..] {
        [] => String::new(),
        [one] => one.clone(),
        [first @ .., last] => format!("{} and {last}", first.join(", ")),
    }
}

/// The first phrase, and how many moves it tells.
fn phrase(all: &[Move]) -> (String, usize) {
    let listed = |pick: fn(&Move) -> Option<&Expr>| {
        let terms: Vec<String> = all.iter().map_while(pick).map(math).collect();
        (terms.join(" and "), terms.len())
    };
    let text: &str = match &all[0] {
        Move::Add(_) => {
            let (terms, used) = listed(|one| if let Move::Add(e) = one { Some(e) } else { None });
            return (format!("add {terms} to both sides"), used);
        }
        Move::Subtract(_) => {
            let (terms, used) =
                listed(|one| if let Move::Subtract(e) = one { Some(e) } else { None });
            return (format!("subtract {terms} from both sides"), used);
        }
        Move::Multiply(by) => return (format!("multiply both sides by {}", math(by)), 1),
        Move::Divide(by) => return (format!("divide both sides by {}", math(by)), 1),
        Move::Raise(n) => return (raise(*n), 1),
        Move::Root(n) => return (root(*n), 1),
        Move::Round(places) => return (round(*places), 1),
        Move::Substitute(letter, value) => {
            return (format!("substitute {} for {}", math(value), math(letter)), 1);
        }
        Move::TurnSign => "turn the inequality sign",
        Move::Swap => "swap the sides",
        Move::ToOneSide => "take everything to one side",
        Move::CrossMultiply => "cross-multiply",
        Move::Reciprocals => "take the reciprocal of both sides",
        Move::Logarithms => "take logarithms of both sides",
        Move::UndoLogarithms => "write the logarithm as a power",
        Move::CompareExponents => "compare the exponents",
        Move::MultiplyOut => "multiply out",
        Move::Factorise => "factorise",
        Move::CompleteSquare => "complete the square",
        Move::Collect => "collect like terms",
        Move::Evaluate => "work it out",
        Move::CommonDenominator => "write over a common denominator",
        Move::SplitFraction => "split the fraction",
        Move::Cancel => "cancel a common factor",
        Move::Rationalise => "rationalise the denominator",
        Move::SimplifyRoot => "simplify the roots",
        Move::Indices => "use the laws of indices",
        Move::LogarithmLaws => "use the laws of logarithms",
        Move::Trigonometry => "use a trigonometric identity",
        Move::Differentiate => "differentiate term by term",
        Move::ProductRule => "use the product rule",
        Move::QuotientRule => "use the quotient rule",
        Move::ChainRule => "use the chain rule",
        Move::ChangeUnits => "change the units",
        Move::ZeroProduct => "split into cases, one for each factor",
        Move::EitherSign => "split into cases, one for each sign",
        Move::SolveEach => "solve each case",
        Move::Formula => "use the quadratic formula",
    };
    (text.to_owned(), 1)
}

fn raise(exponent: u32) -> String {
    match exponent {
        2 => "square both sides".into(),
        3 => "cube both sides".into(),
        n => format!("raise both sides to the power ${n}$"),
    }
}

fn round(places: Option<u32>) -> String {
    match places {
        None => "round".into(),
        Some(0) => "round to a whole number".into(),
        Some(1) => "round to $1$ decimal place".into(),
        Some(n) => format!("round to ${n}$ decimal places"),
    }
}

fn root(index: u32) -> String {
    match index {
        2 => "take the square root of both sides".into(),
        3 => "take the cube root of both sides".into(),
        n => format!("take the root of index ${n}$ of both sides"),
    }
}

/// Dividing or multiplying by what has a letter in it.
#[must_use]
pub(super) fn by_what_may_be_zero(by: &Expr, divided: bool) -> String {
    let done = if divided { "divided" } else { "multiplied" };
    format!("{done} by {}, which may be $0$", math(by))
}
