//! LaTeX for typesetting; it reads back to the same tree.

use super::{
    Strength, answer, is_condition, is_quantity, makes_a_word, may_touch, rounding_note, strength,
    unit_before,
};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::{Line, Piece, Relation};
use crate::number::Notation;

/// The expression in LaTeX.
#[must_use]
pub fn latex(expr: &Expr) -> String {
    let mut out = String::new();
    write(&mut out, expr);
    out
}

/// The line in LaTeX. A sentence has none of its own: the caller has the words.
#[must_use]
pub fn latex_line(line: &Line) -> String {
    let written = unrounded(line);
    match rounding_note(line) {
        Some(note) => format!("{written}\\text{{ ({note})}}"),
        None => written,
    }
}

fn unrounded(line: &Line) -> String {
    let joined =
        |lines: &[Line], by: &str| lines.iter().map(latex_line).collect::<Vec<_>>().join(by);
    match line {
        Line::Expression(expr) => latex(expr),
        Line::Relations { sides, relations } => {
            let mut out = latex(&sides[0]);
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                out.push_str(&format!(" {} {}", sign(*relation), latex(side)));
            }
            out
        }
        Line::AnyOf(lines) if answer(lines).is_some() => {
            format!("\\text{{answer: }}{}", latex_line(&lines[0]))
        }
        Line::AnyOf(lines) => joined(lines, " \\text{ or } "),
        Line::AllOf(lines) if is_condition(lines) => joined(lines, " \\text{ and } "),
        Line::AllOf(lines) => joined(lines, ";\\; "),
        Line::Definition { letter: name, value } => {
            format!("\\text{{let }}{} = {}", letter(name), latex(value))
        }
        Line::Rounded(value) => format!("\\approx {}", latex(value)),
        Line::Point(values) => {
            let values: Vec<_> = values.iter().map(latex).collect();
            format!("\\left({}\\right)", values.join(", "))
        }
        Line::Set(pieces) => {
            let one = |piece: &Piece| {
                let end = |end: &Option<(Expr, bool)>, far: &str| {
                    end.as_ref().map_or_else(|| far.to_owned(), |(value, _)| latex(value))
                };
                let (open, close) = piece.brackets();
                let (low, high) = (end(&piece.low, "-\\infty"), end(&piece.high, "\\infty"));
                format!("\\left{open}{low}, {high}\\right{close}")
            };
            pieces.iter().map(one).collect::<Vec<_>>().join(" \\cup ")
        }
        Line::NoSolution => "\\text{no solution}".into(),
        Line::AllReals => "\\text{all real numbers}".into(),
        Line::Sentence(_) => String::new(),
    }
}

const fn sign(relation: Relation) -> &'static str {
    match relation {
        Relation::Equal => "=",
        Relation::NotEqual => "\\ne",
        Relation::Less => "<",
        Relation::LessOrEqual => "\\le",
        Relation::Greater => ">",
        Relation::GreaterOrEqual => "\\ge",
        Relation::Approximate => "\\approx",
    }
}

fn held(out: &mut String, expr: &Expr, least: Strength) {
    if strength(expr) >= least
        || matches!(expr.kind, ExprKind::Divide(..)) && least != Strength::Value
    {
        write(out, expr);
    } else {
        out.push_str("\\left(");
        write(out, expr);
        out.push_str("\\right)");
    }
}

fn letter(name: &str) -> String {
    let (base, mark) = name.split_once('_').unwrap_or((name, ""));
    if let Some((above, below)) = derivative_name(name) {
        return format!("\\frac{{{above}}}{{{below}}}");
    }
    // A word is upright, so that it is no product of letters; capitals side by side name a segment as they stand.
    let is_word =
        base.chars().count() > 1 && !base.chars().all(|c| c.is_ascii_uppercase() || c == '\'');
    if is_word && base.chars().next().is_some_and(char::is_alphabetic) && !base.ends_with('\'') {
        return match mark {
            "" => format!("\\text{{{base}}}"),
            _ => format!("\\text{{{base}}}_{{{mark}}}"),
        };
    }
    if let Some(points) = base.strip_prefix('∠') {
        return format!("\\angle {points}");
    }
    let base = match base {
        "□" => "\\square ",
        "α" => "\\alpha",
        "β" => "\\beta",
        "γ" => "\\gamma",
        "δ" => "\\delta",
        "θ" => "\\theta",
        "λ" => "\\lambda",
        "μ" => "\\mu",
        "φ" => "\\phi",
        "ω" => "\\omega",
        other => other,
    };
    if mark.is_empty() { base.to_owned() } else { format!("{base}_{{{mark}}}") }
}

fn write(out: &mut String, expr: &Expr) {
    match &expr.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, numerator, denominator } => {
                out.push_str(&format!("{whole}\\frac{{{numerator}}}{{{denominator}}}"));
            }
            Notation::Based { base } => {
                out.push_str(&format!(
                    "{}_{{{base}}}",
                    crate::number::in_base(written.value(), *base)
                ));
            }
            _ => out.push_str(&written.text()),
        },
        ExprKind::Symbol(name) => out.push_str(&letter(name)),
        ExprKind::Constant(Constant::Pi) => out.push_str("\\pi "),
        ExprKind::Constant(Constant::Euler) => out.push('e'),
        ExprKind::Unit(unit) => unit_latex(out, *unit),
        ExprKind::Multiply(a, b) if unit_before(a, b).is_some() => {
            write(out, b);
            held(out, a, Strength::Value);
        }
        ExprKind::Multiply(a, b) if is_quantity(a, b) => {
            held(out, a, Strength::Product);
            out.push_str("\\,");
            held(out, b, Strength::Power);
        }
        ExprKind::Negative(a) => {
            out.push('-');
            held(out, a, Strength::Product);
        }
        ExprKind::PlusMinus { opposite, value } => {
            out.push_str(if *opposite { "\\mp " } else { "\\pm " });
            held(out, value, Strength::Product);
        }
        ExprKind::Add(a, b) => {
            held(out, a, Strength::Sum);
            if let ExprKind::PlusMinus { .. } = &b.kind {
                out.push(' ');
                write(out, b);
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
                out.push_str(" \\times ");
            } else if ends_in_command(out) || makes_a_word(out, &next) {
                out.push(' ');
            }
            out.push_str(&next);
        }
        ExprKind::Divide(a, b) => {
            out.push_str("\\frac{");
            write(out, a);
            out.push_str("}{");
            write(out, b);
            out.push('}');
        }
        ExprKind::Power(a, b) => {
            held(out, a, Strength::Value);
            out.push_str("^{");
            write(out, b);
            out.push('}');
        }
        ExprKind::Root { index, radicand } => {
            match index {
                2 => out.push_str("\\sqrt{"),
                n => out.push_str(&format!("\\sqrt[{n}]{{")),
            }
            write(out, radicand);
            out.push('}');
        }
        ExprKind::Absolute(a) => {
            out.push_str("\\left|");
            write(out, a);
            out.push_str("\\right|");
        }
        ExprKind::Percent(a) => {
            held(out, a, Strength::Value);
            out.push_str("\\%");
        }
        ExprKind::Factorial(a) => {
            held(out, a, Strength::Value);
            out.push('!');
        }
        ExprKind::Degree(a) => {
            held(out, a, Strength::Value);
            out.push_str("\\degree ");
        }
        ExprKind::Ratio(parts) => {
            for (index, part) in parts.iter().enumerate() {
                out.push_str(if index == 0 { "" } else { " : " });
                held(out, part, Strength::Product);
            }
        }
        ExprKind::Call { function, arguments } => call(out, *function, arguments),
        ExprKind::Apply { name, arguments } => {
            out.push_str(&applied(name));
            out.push_str("\\left(");
            for (index, argument) in arguments.iter().enumerate() {
                out.push_str(if index == 0 { "" } else { ", " });
                write(out, argument);
            }
            out.push_str("\\right)");
        }
        ExprKind::WithRemainder { quotient, remainder } => {
            held(out, quotient, Strength::Value);
            out.push_str("\\text{ r }");
            held(out, remainder, Strength::Value);
        }
    }
}

/// The parts of `dy/dx`.
fn derivative_name(name: &str) -> Option<(&str, &str)> {
    name.split_once('/').filter(|(above, below)| above.starts_with('d') && below.starts_with('d'))
}

/// The name of a function: `f^{-1}`, `f'`, `\\frac{d}{dx}`.
fn applied(name: &str) -> String {
    if let Some((above, below)) = derivative_name(name) {
        return format!("\\frac{{{above}}}{{{below}}}");
    }
    name.split_once('^').map_or_else(|| name.to_owned(), |(f, power)| format!("{f}^{{{power}}}"))
}

fn unit_latex(out: &mut String, unit: crate::unit::Unit) {
    match unit.symbol() {
        "$" => out.push_str("\\$"),
        sign => out.push_str(&format!("\\text{{{sign}}}")),
    }
}

fn ends_in_command(out: &str) -> bool {
    let letters = out.bytes().rev().take_while(u8::is_ascii_alphabetic).count();
    letters > 0 && out.as_bytes().get(out.len().wrapping_sub(letters + 1)) == Some(&b'\\')
}

fn call(out: &mut String, function: Function, arguments: &[Expr]) {
    match function {
        Function::Choose => {
            if let [n, k] = arguments {
                out.push_str("\\binom{");
                write(out, n);
                out.push_str("}{");
                write(out, k);
                out.push('}');
            }
            return;
        }
        Function::Floor | Function::Ceiling => {
            let (open, close) = match function {
                Function::Floor => ("\\lfloor ", "\\rfloor "),
                _ => ("\\lceil ", "\\rceil "),
            };
            out.push_str(open);
            arguments.iter().for_each(|argument| write(out, argument));
            out.push_str(close);
            return;
        }
        Function::Hcf
        | Function::Lcm
        | Function::Mod
        | Function::Arrange
        | Function::Arcsec
        | Function::Arccsc
        | Function::Arccot => {
            out.push_str(&format!("\\operatorname{{{}}}", function.name()));
        }
        _ => out.push_str(&format!("\\{}", function.name())),
    }
    let mut shown = arguments;
    if let (Function::Log, [_, base]) = (function, shown) {
        out.push_str("_{");
        write(out, base);
        out.push('}');
        shown = &arguments[..1];
    }
    out.push_str("\\left(");
    for (index, argument) in shown.iter().enumerate() {
        out.push_str(if index == 0 { "" } else { ", " });
        write(out, argument);
    }
    out.push_str("\\right)");
}
