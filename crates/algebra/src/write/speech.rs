//! English to be spoken by a screen reader. Two different trees never sound the same: what is not a
//! single value is fenced by "open bracket ... close bracket" or "start ... end".

use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::{Line, Piece, Relation};
use crate::number::Notation;

/// The expression in spoken English.
#[must_use]
pub fn speech(expr: &Expr) -> String {
    say(expr, false)
}

/// Inside a fraction every other fraction is said with its start and its end: which bar is the longer
/// one cannot be heard.
fn say(expr: &Expr, inside: bool) -> String {
    let fenced = |part: &Expr| fenced(part, inside);
    match &expr.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, numerator, denominator } => {
                format!("{whole} and {numerator} over {denominator}")
            }
            Notation::Based { base } => {
                let digits = crate::number::in_base(written.value(), *base);
                format!("{digits} in base {base}")
            }
            _ => written.text(),
        },
        ExprKind::Unit(unit) => unit.spoken().into(),
        ExprKind::Symbol(name) => match name.split_once('_') {
            Some((base, mark)) => {
                let mark = mark.replace('+', " plus ").replace('-', " minus ");
                format!("{base} sub {mark}")
            }
            None => name.clone(),
        },
        ExprKind::Constant(Constant::Pi) => "pi".into(),
        ExprKind::Constant(Constant::Euler) => "e".into(),
        ExprKind::Negative(a) => format!("negative {}", fenced(a)),
        ExprKind::PlusMinus { opposite: false, value } => {
            format!("plus or minus {}", fenced(value))
        }
        ExprKind::PlusMinus { value, .. } => format!("minus or plus {}", fenced(value)),
        ExprKind::Add(a, b) => format!("{} plus {}", left_of_sum(a, inside), fenced(b)),
        ExprKind::Subtract(a, b) => format!("{} minus {}", left_of_sum(a, inside), fenced(b)),
        ExprKind::Multiply(a, b) if is_coefficient(a, b) => match b.kind {
            ExprKind::Unit(unit) if a.as_plain_number() == Some(crate::number::from_int(1)) => {
                format!("{} {}", say(a, inside), unit.spoken_one())
            }
            _ => format!("{} {}", say(a, inside), say(b, inside)),
        },
        ExprKind::Multiply(a, b) => format!("{} times {}", left_of_product(a, inside), fenced(b)),
        ExprKind::Divide(a, b) if !inside && is_short(a) && is_short(b) => {
            format!("{} over {}", say(a, false), say(b, false))
        }
        ExprKind::Divide(a, b) => {
            format!("start fraction {} over {} end fraction", say(a, true), say(b, true))
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
        ExprKind::Call { function: Function::Log, arguments } if arguments.len() == 2 => {
            format!("log base {} of {}", fenced(&arguments[1]), fenced(&arguments[0]))
        }
        ExprKind::Apply { name, arguments } => {
            let each: Vec<_> = arguments.iter().map(fenced).collect();
            let name = name.replace("^-1", " inverse").replace('\'', " prime");
            format!("{name} of {}", each.join(", "))
        }
        ExprKind::WithRemainder { quotient, remainder } => {
            format!("{} remainder {}", fenced(quotient), fenced(remainder))
        }
        ExprKind::Call { function, arguments } => {
            let each: Vec<_> = arguments.iter().map(fenced).collect();
            format!("{} of {}", function.name(), each.join(", "))
        }
    }
}

/// The line in spoken English. A sentence has none of its own: the caller has the words.
#[must_use]
pub fn speech_line(line: &Line) -> String {
    let said = unrounded(line);
    let Some(note) = super::rounding_note(line) else { return said };
    let note = note.replace("dp", "decimal places").replace("sf", "significant figures");
    format!("{said}, rounded to {note}")
}

fn unrounded(line: &Line) -> String {
    match line {
        Line::AnyOf(lines) if super::answer(lines).is_some() => {
            format!("the answer {}", speech_line(&lines[0]))
        }
        Line::Expression(expr) => speech(expr),
        Line::Relations { sides, relations } => {
            let mut out = speech(&sides[0]);
            for (index, (relation, side)) in relations.iter().zip(&sides[1..]).enumerate() {
                // `2 < x < 5`: two is less than x, which is less than five.
                let which = if index > 0 && *relation != Relation::Equal { ", which" } else { "" };
                out.push_str(&format!("{which} {} {}", spoken(*relation), speech(side)));
            }
            out
        }
        Line::AnyOf(lines) => lines.iter().map(speech_line).collect::<Vec<_>>().join(", or "),
        Line::AllOf(lines) => lines.iter().map(speech_line).collect::<Vec<_>>().join(", and "),
        Line::Definition { letter, value } => format!("let {letter} equal {}", speech(value)),
        Line::Rounded(value) => format!("approximately {}", speech(value)),
        Line::Point(values) => {
            format!("the point {}", values.iter().map(speech).collect::<Vec<_>>().join(", "))
        }
        Line::Set(pieces) => {
            let end = |end: &Option<(Expr, bool)>, way: &str| match end {
                None => format!("{way} infinity"),
                Some((value, true)) => format!("{} included", speech(value)),
                Some((value, false)) => format!("{} not included", speech(value)),
            };
            let one = |piece: &Piece| {
                format!("from {} to {}", end(&piece.low, "minus"), end(&piece.high, "plus"))
            };
            pieces.iter().map(one).collect::<Vec<_>>().join(", or ")
        }
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
        ExprKind::Symbol(_) | ExprKind::Constant(_) | ExprKind::Unit(_) => true,
        _ => false,
    }
}

/// `2x` is said "2 x", `πr` "pi r".
fn is_coefficient(a: &Expr, b: &Expr) -> bool {
    match &a.kind {
        ExprKind::Number(_) => {
            let is_named =
                matches!(b.kind, ExprKind::Symbol(_) | ExprKind::Constant(_) | ExprKind::Unit(_));
            is_short(a) && is_named
        }
        ExprKind::Constant(Constant::Pi) => matches!(b.kind, ExprKind::Symbol(_)),
        _ => false,
    }
}

/// In brackets unless it holds together by itself.
fn fenced(expr: &Expr, inside: bool) -> String {
    let plain = match &expr.kind {
        ExprKind::Multiply(a, b) => is_coefficient(a, b),
        ExprKind::Divide(..) => true,
        _ => is_short(expr),
    };
    if plain {
        say(expr, inside)
    } else {
        format!("open bracket {} close bracket", say(expr, inside))
    }
}

/// Sums go from left to right, so their left part needs no fence.
fn left_of_sum(expr: &Expr, inside: bool) -> String {
    match expr.kind {
        ExprKind::Add(..) | ExprKind::Subtract(..) | ExprKind::Negative(_) => say(expr, inside),
        _ => fenced(expr, inside),
    }
}

/// So do products.
fn left_of_product(expr: &Expr, inside: bool) -> String {
    match expr.kind {
        ExprKind::Multiply(..) => say(expr, inside),
        _ => fenced(expr, inside),
    }
}
