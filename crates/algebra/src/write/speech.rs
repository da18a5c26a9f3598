//! English to be spoken by a screen reader. Two different trees never sound the same: what is not a
//! single value is fenced by "open bracket ... close bracket" or "start ... end".

use crate::expr::{Constant, Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::number::Notation;

/// The expression in spoken English.
#[must_use]
pub fn speech(expr: &Expr) -> String {
    match &expr.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, numerator, denominator } => {
                format!("{whole} and {numerator} over {denominator}")
            }
            _ => written.text(),
        },
        ExprKind::Symbol(name) => match name.split_once('_') {
            Some((base, mark)) => format!("{base} sub {mark}"),
            None => name.clone(),
        },
        ExprKind::Constant(Constant::Pi) => "pi".into(),
        ExprKind::Constant(Constant::Euler) => "e".into(),
        ExprKind::Negative(a) => format!("negative {}", fenced(a)),
        ExprKind::PlusMinus { opposite: false, value } => {
            format!("plus or minus {}", fenced(value))
        }
        ExprKind::PlusMinus { value, .. } => format!("minus or plus {}", fenced(value)),
        ExprKind::Add(a, b) => format!("{} plus {}", left_of_sum(a), fenced(b)),
        ExprKind::Subtract(a, b) => format!("{} minus {}", left_of_sum(a), fenced(b)),
        ExprKind::Multiply(a, b) => format!("{} times {}", fenced(a), fenced(b)),
        ExprKind::Divide(a, b) if is_short(a) && is_short(b) => {
            format!("{} over {}", speech(a), speech(b))
        }
        ExprKind::Divide(a, b) => {
            format!("start fraction {} over {} end fraction", speech(a), speech(b))
        }
        ExprKind::Power(a, b) => match b.as_plain_number().map(|n| crate::number::show(&n)) {
            Some(n) if n == "2" => format!("{} squared", fenced(a)),
            Some(n) if n == "3" => format!("{} cubed", fenced(a)),
            _ => format!("{} to the power {}", fenced(a), fenced(b)),
        },
        ExprKind::Root { index: 2, radicand } => format!("the square root of {}", fenced(radicand)),
        ExprKind::Root { index: 3, radicand } => format!("the cube root of {}", fenced(radicand)),
        ExprKind::Root { index, radicand } => format!("the root {index} of {}", fenced(radicand)),
        ExprKind::Absolute(a) => format!("the absolute value of {}", fenced(a)),
        ExprKind::Percent(a) => format!("{} percent", fenced(a)),
        ExprKind::Factorial(a) => format!("{} factorial", fenced(a)),
        ExprKind::Degree(a) => format!("{} degrees", fenced(a)),
        ExprKind::Ratio(parts) => parts.iter().map(fenced).collect::<Vec<_>>().join(" to "),
        ExprKind::Call { function, arguments } => {
            let inside: Vec<_> = arguments.iter().map(fenced).collect();
            format!("{} of {}", function.name(), inside.join(", "))
        }
    }
}

/// The line in spoken English. A sentence has none of its own: the caller has the words.
#[must_use]
pub fn speech_line(line: &Line) -> String {
    match line {
        Line::Expression(expr) => speech(expr),
        Line::Relations { sides, relations } => {
            let mut out = speech(&sides[0]);
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                out.push_str(&format!(" {} {}", spoken(*relation), speech(side)));
            }
            out
        }
        Line::AnyOf(lines) => lines.iter().map(speech_line).collect::<Vec<_>>().join(", or "),
        Line::AllOf(lines) => lines.iter().map(speech_line).collect::<Vec<_>>().join(", and "),
        Line::NoSolution => "no solution".into(),
        Line::AllReals => "all real numbers".into(),
        Line::Sentence(_) => String::new(),
    }
}

const fn spoken(relation: Relation) -> &'static str {
    match relation {
        Relation::Equal => "equals",
        Relation::NotEqual => "is not equal to",
        Relation::Less => "is less than",
        Relation::LessOrEqual => "is at most",
        Relation::Greater => "is greater than",
        Relation::GreaterOrEqual => "is at least",
        Relation::Approximate => "is approximately",
    }
}

fn is_short(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Number(written) => !matches!(written.notation(), Notation::Mixed { .. }),
        ExprKind::Symbol(_) | ExprKind::Constant(_) => true,
        _ => false,
    }
}

/// A coefficient before a letter is said as it is; anything longer is fenced.
fn fenced(expr: &Expr) -> String {
    let plain = match &expr.kind {
        ExprKind::Multiply(a, b) => is_short(a) && is_short(b),
        ExprKind::Divide(..) => true,
        _ => is_short(expr),
    };
    match &expr.kind {
        ExprKind::Multiply(a, b) if plain => format!("{} {}", speech(a), speech(b)),
        _ if plain => speech(expr),
        _ => format!("open bracket {} close bracket", speech(expr)),
    }
}

/// Sums go from left to right, so their left part needs no fence.
fn left_of_sum(expr: &Expr) -> String {
    match expr.kind {
        ExprKind::Add(..) | ExprKind::Subtract(..) | ExprKind::Negative(_) => speech(expr),
        _ => fenced(expr),
    }
}
