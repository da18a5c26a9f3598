//! Plain text, as it could be typed; it reads back to the same tree.

use super::{
    Strength, answer, is_condition, is_quantity, makes_a_word, may_touch, rounding_note, strength,
    unit_before,
};
use crate::expr::{Constant, Expr, ExprKind};
use crate::line::{Line, Piece};
use crate::number::Notation;

/// The expression in plain text.
#[must_use]
pub fn text(expr: &Expr) -> String {
    let mut out = String::new();
    write(&mut out, expr);
    out
}

/// The line in plain text. A sentence has none of its own: the caller has the words.
#[must_use]
pub fn text_line(line: &Line) -> String {
    let written = unrounded(line);
    match rounding_note(line) {
        Some(note) => format!("{written} ({note})"),
        None => written,
    }
}

fn unrounded(line: &Line) -> String {
    match line {
        Line::AnyOf(lines) if answer(lines).is_some() => {
            format!("answer: {}", text_line(&lines[0]))
        }
        Line::Expression(expr) => text(expr),
        Line::Relations { sides, relations } => {
            let mut out = text(&sides[0]);
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                out.push_str(&format!(" {} {}", relation.sign(), text(side)));
            }
            out
        }
        Line::AnyOf(lines) => lines.iter().map(text_line).collect::<Vec<_>>().join(" or "),
        Line::AllOf(lines) => {
            let is_condition = is_condition(lines);
            let lines: Vec<String> = lines.iter().map(text_line).collect();
            // `7 and 1/2` is a mixed number.
            let is_mixed = |pair: &[String]| {
                let digits = pair[1].bytes().take_while(u8::is_ascii_digit).count();
                pair[0].ends_with(|c: char| c.is_ascii_digit())
                    && digits > 0
                    && pair[1][digits..].starts_with('/')
            };
            let parted = is_condition && !lines.windows(2).any(is_mixed);
            lines.join(if parted { " and " } else { "; " })
        }
        Line::Definition { letter, value } => format!("let {letter} = {}", text(value)),
        Line::Rounded(value) => format!("≈ {}", text(value)),
        Line::Point(values) => {
            format!("({})", values.iter().map(text).collect::<Vec<_>>().join(", "))
        }
        Line::Set(pieces) => {
            let one = |piece: &Piece| {
                let end = |end: &Option<(Expr, bool)>, far: &str| {
                    end.as_ref().map_or_else(|| far.to_owned(), |(value, _)| text(value))
                };
                let (open, close) = piece.brackets();
                format!("{open}{}, {}{close}", end(&piece.low, "-∞"), end(&piece.high, "∞"))
            };
            pieces.iter().map(one).collect::<Vec<_>>().join(" ∪ ")
        }
        Line::NoSolution => "no solution".into(),
        Line::AllReals => "all real numbers".into(),
        Line::Sentence(_) => String::new(),
    }
}

/// `expr` in brackets unless it holds together at least as strongly as `least`.
fn held(out: &mut String, expr: &Expr, least: Strength) {
    if strength(expr) >= least {
        write(out, expr);
    } else {
        out.push('(');
        write(out, expr);
        out.push(')');
    }
}

fn write(out: &mut String, expr: &Expr) {
    match &expr.kind {
        ExprKind::Number(written) => out.push_str(&written.text()),
        ExprKind::Symbol(name) => match name.split_once('_') {
            // Letters behind the digits of a subscript would be letters of their own.
            Some((base, mark)) if is_mixed(mark) => {
                out.push_str(&format!("{base}_{{{mark}}}"));
            }
            _ => out.push_str(name),
        },
        ExprKind::Constant(Constant::Pi) => out.push('π'),
        ExprKind::Unit(unit) => out.push_str(unit.symbol()),
        ExprKind::Multiply(a, b) if unit_before(a, b).is_some() => {
            out.push_str(unit_before(a, b).unwrap_or(""));
            held(out, a, Strength::Value);
        }
        ExprKind::Multiply(a, b) if is_quantity(a, b) => {
            // Of a quotient that is no plain fraction the unit would be read as a part.
            let apart = matches!(a.kind, ExprKind::Divide(..)) && a.as_plain_number().is_none();
            held(out, a, if apart { Strength::Value } else { Strength::Product });
            out.push(' ');
            held(out, b, Strength::Power);
        }
        ExprKind::Constant(Constant::Euler) => out.push('e'),
        ExprKind::Negative(a) => {
            out.push('-');
            held(out, a, Strength::Product);
        }
        ExprKind::PlusMinus { opposite, value } => {
            out.push(if *opposite { '∓' } else { '±' });
            held(out, value, Strength::Product);
        }
        ExprKind::Add(a, b) => {
            held(out, a, Strength::Sum);
            if let ExprKind::PlusMinus { opposite, value } = &b.kind {
                out.push_str(if *opposite { " ∓ " } else { " ± " });
                held(out, value, Strength::Product);
            } else {
                out.push_str(" + ");
                held(out, b, Strength::Product);
            }
        }
        ExprKind::Subtract(a, b) => {
            held(out, a, Strength::Sum);
            out.push_str(" - ");
            held(out, b, Strength::Product);
        }
        ExprKind::Multiply(a, b) => {
            held(out, a, Strength::Product);
            let mut next = String::new();
            held(&mut next, b, Strength::Function);
            if !may_touch(a, b) {
                out.push_str(" × ");
            } else if makes_a_word(out, &next) {
                out.push(' ');
            }
            out.push_str(&next);
        }
        ExprKind::Divide(a, b) => {
            held(out, a, Strength::Product);
            out.push('/');
            held(out, b, Strength::Function);
        }
        ExprKind::Power(a, b) => {
            held(out, a, Strength::Value);
            out.push('^');
            held(out, b, Strength::Value);
        }
        ExprKind::Root { index, radicand } => {
            match index {
                2 => out.push_str("√("),
                3 => out.push_str("∛("),
                n => out.push_str(&format!("root({n}, ")),
            }
            write(out, radicand);
            out.push(')');
        }
        ExprKind::Absolute(a) => {
            out.push_str("abs(");
            write(out, a);
            out.push(')');
        }
        ExprKind::Percent(a) => {
            held(out, a, Strength::Value);
            out.push('%');
        }
        ExprKind::Factorial(a) => {
            held(out, a, Strength::Value);
            out.push('!');
        }
        ExprKind::Degree(a) => {
            held(out, a, Strength::Value);
            out.push('°');
        }
        ExprKind::Ratio(parts) => {
            for (index, part) in parts.iter().enumerate() {
                out.push_str(if index == 0 { "" } else { ":" });
                held(out, part, Strength::Product);
            }
        }
        ExprKind::Apply { name, arguments } => {
            out.push_str(name);
            out.push('(');
            for (index, argument) in arguments.iter().enumerate() {
                out.push_str(if index == 0 { "" } else { ", " });
                write(out, argument);
            }
            out.push(')');
        }
        ExprKind::WithRemainder { quotient, remainder } => {
            held(out, quotient, Strength::Value);
            out.push_str(" r ");
            held(out, remainder, Strength::Value);
        }
        ExprKind::Call { function, arguments } => {
            out.push_str(function.name());
            let mut shown = &arguments[..];
            if let (crate::expr::Function::Log, [_, base]) = (function, shown) {
                out.push('_');
                // Behind the sign a number stands by itself: nothing that follows belongs to it.
                if is_plain(base) {
                    write(out, base);
                } else {
                    out.push('(');
                    write(out, base);
                    out.push(')');
                }
                shown = &arguments[..1];
            }
            out.push('(');
            for (index, argument) in shown.iter().enumerate() {
                out.push_str(if index == 0 { "" } else { ", " });
                write(out, argument);
            }
            out.push(')');
        }
    }
}

/// A whole or decimal number, or a letter.
fn is_plain(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Number(written) => {
            matches!(written.notation(), Notation::Integer | Notation::Decimal { .. })
        }
        ExprKind::Symbol(_) => true,
        _ => false,
    }
}

/// Digits and letters in one subscript, or a sum: `a_{n+1}`.
fn is_mixed(mark: &str) -> bool {
    mark.contains(['+', '-'])
        || mark.chars().any(|c| c.is_ascii_digit()) && mark.chars().any(char::is_alphabetic)
}
