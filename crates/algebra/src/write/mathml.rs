//! Presentation MathML, for browsers, documents and screen readers. Every operation has a row of its own, so
//! that two different trees never look the same to a program either.
//!
//! Source of the elements: MathML Core, W3C.

use super::{Strength, is_quantity, may_touch, strength, unit_before};
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::{Line, Piece, Relation};
use crate::number::Notation;
use std::fmt::Write as _;

/// The expression as a `math` element, on a line of its own when `display`.
#[must_use]
pub fn mathml(expr: &Expr, display: bool) -> String {
    element(&row(expr), display)
}

/// The line as a `math` element, as [`mathml`]. A sentence has none of its own: the caller has the words.
#[must_use]
pub fn mathml_line(line: &Line, display: bool) -> String {
    let note = super::rounding_note(line).map(|note| format!("<mtext> ({note})</mtext>"));
    element(&format!("{}{}", of_line(line), note.unwrap_or_default()), display)
}

fn element(inside: &str, display: bool) -> String {
    let display = if display { " display=\"block\"" } else { "" };
    format!("<math xmlns=\"http://www.w3.org/1998/Math/MathML\"{display}>{inside}</math>")
}

fn of_line(line: &Line) -> String {
    let joined = |lines: &[Line], by: &str| {
        let each: Vec<_> = lines.iter().map(of_line).collect();
        each.join(&format!("<mtext>{by}</mtext>"))
    };
    match line {
        Line::AnyOf(lines) if super::answer(lines).is_some() => {
            format!("<mtext>answer: </mtext>{}", of_line(&lines[0]))
        }
        Line::Expression(expr) => row(expr),
        Line::Relations { sides, relations } => {
            let mut out = row(&sides[0]);
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                out += &operator(sign(*relation));
                out += &row(side);
            }
            out
        }
        Line::AnyOf(lines) => joined(lines, "\u{a0}or\u{a0}"),
        Line::AllOf(lines) => joined(lines, "\u{a0}and\u{a0}"),
        Line::Definition { letter: name, value } => {
            format!("<mtext>let\u{a0}</mtext>{}{}{}", letter(name), operator("="), row(value))
        }
        Line::Rounded(value) => operator("≈") + &row(value),
        Line::Point(values) => {
            let values: Vec<_> = values.iter().map(row).collect();
            bracketed(&values.join("<mo separator=\"true\">,</mo>"))
        }
        Line::Set(pieces) => {
            let each: Vec<_> = pieces.iter().map(piece).collect();
            each.join(&operator("∪"))
        }
        Line::NoSolution => "<mtext>no solution</mtext>".into(),
        Line::AllReals => "<mtext>all real numbers</mtext>".into(),
        Line::Sentence(_) => String::new(),
    }
}

fn piece(piece: &Piece) -> String {
    let end = |end: &Option<(Expr, bool)>, far: &str| match end {
        Some((value, _)) => row(value),
        None => format!("<mi>{far}</mi>"),
    };
    let (open, close) = piece.brackets();
    format!(
        "<mrow><mo>{open}</mo>{}<mo separator=\"true\">,</mo>{}<mo>{close}</mo></mrow>",
        end(&piece.low, "−∞"),
        end(&piece.high, "∞")
    )
}

const fn sign(relation: Relation) -> &'static str {
    match relation {
        Relation::Less => "&lt;",
        Relation::Greater => "&gt;",
        other => other.sign(),
    }
}

fn operator(sign: &str) -> String {
    format!("<mo>{sign}</mo>")
}

fn bracketed(inside: &str) -> String {
    format!("<mrow><mo>(</mo>{inside}<mo>)</mo></mrow>")
}

/// In brackets unless it holds together at least as well as `least`.
fn held(expr: &Expr, least: Strength) -> String {
    let holds = strength(expr) >= least
        || (matches!(expr.kind, ExprKind::Divide(..)) && least != Strength::Value);
    if holds { row(expr) } else { bracketed(&row(expr)) }
}

fn letter(name: &str) -> String {
    match name.split_once('_') {
        Some((base, mark)) if mark.bytes().all(|b| b.is_ascii_digit()) => {
            format!("<msub><mi>{base}</mi><mn>{mark}</mn></msub>")
        }
        Some((base, mark)) if mark.contains(['+', '-']) => {
            let signs =
                mark.replace('+', "</mi><mo>+</mo><mi>").replace('-', "</mi><mo>−</mo><mi>");
            format!("<msub><mi>{base}</mi><mrow><mi>{signs}</mi></mrow></msub>")
        }
        Some((base, mark)) => format!("<msub><mi>{base}</mi><mi>{mark}</mi></msub>"),
        None => format!("<mi>{name}</mi>"),
    }
}

/// The expression as one element.
fn row(expr: &Expr) -> String {
    let two = |a: String, sign: &str, b: String| format!("<mrow>{a}<mo>{sign}</mo>{b}</mrow>");
    let before = |sign: &str, a: String| format!("<mrow><mo>{sign}</mo>{a}</mrow>");
    let behind = |a: String, sign: &str| format!("<mrow>{a}<mo>{sign}</mo></mrow>");
    match &expr.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, numerator, denominator } => format!(
                "<mrow><mn>{whole}</mn><mfrac><mn>{numerator}</mn><mn>{denominator}</mn></mfrac></mrow>"
            ),
            Notation::Based { base } => format!(
                "<msub><mn>{}</mn><mn>{base}</mn></msub>",
                crate::number::in_base(written.value(), *base)
            ),
            _ => format!("<mn>{}</mn>", written.text()),
        },
        ExprKind::Symbol(name) => letter(name),
        ExprKind::Constant(Constant::Pi) => "<mi>π</mi>".into(),
        // Upright, so that it is no letter.
        ExprKind::Constant(Constant::Euler) => "<mi mathvariant=\"normal\">e</mi>".into(),
        ExprKind::Unit(unit) => format!("<mtext>{}</mtext>", unit.symbol()),
        ExprKind::Negative(a) => before("−", held(a, Strength::Product)),
        ExprKind::PlusMinus { opposite, value } => {
            before(if *opposite { "∓" } else { "±" }, held(value, Strength::Product))
        }
        ExprKind::Add(a, b) => two(held(a, Strength::Sum), "+", held(b, Strength::Product)),
        ExprKind::Subtract(a, b) => two(held(a, Strength::Sum), "−", held(b, Strength::Product)),
        ExprKind::Multiply(a, b) if unit_before(a, b).is_some() => {
            format!("<mrow>{}{}</mrow>", row(b), held(a, Strength::Value))
        }
        ExprKind::Multiply(a, b) if is_quantity(a, b) => {
            let (number, unit) = (held(a, Strength::Product), held(b, Strength::Power));
            format!("<mrow>{number}<mspace width=\"0.17em\"/>{unit}</mrow>")
        }
        ExprKind::Multiply(a, b) => {
            // U+2062 is the times sign that nobody sees.
            let sign = if may_touch(a, b) { "\u{2062}" } else { "×" };
            two(held(a, Strength::Product), sign, held(b, Strength::Function))
        }
        ExprKind::Divide(a, b) => format!("<mfrac>{}{}</mfrac>", row(a), row(b)),
        ExprKind::Power(a, b) => format!("<msup>{}{}</msup>", held(a, Strength::Value), row(b)),
        ExprKind::Root { index: 2, radicand } => format!("<msqrt>{}</msqrt>", row(radicand)),
        ExprKind::Root { index, radicand } => {
            format!("<mroot>{}<mn>{index}</mn></mroot>", row(radicand))
        }
        ExprKind::Absolute(a) => format!("<mrow><mo>|</mo>{}<mo>|</mo></mrow>", row(a)),
        ExprKind::Percent(a) => behind(held(a, Strength::Value), "%"),
        ExprKind::Factorial(a) => behind(held(a, Strength::Value), "!"),
        ExprKind::Degree(a) => behind(held(a, Strength::Value), "°"),
        ExprKind::Ratio(parts) => {
            let each: Vec<_> = parts.iter().map(|part| held(part, Strength::Product)).collect();
            format!("<mrow>{}</mrow>", each.join("<mo>:</mo>"))
        }
        ExprKind::Call { function, arguments } => call(*function, arguments),
        ExprKind::Apply { name, arguments } => {
            let name = match name.split_once('^') {
                Some((f, _)) => {
                    format!("<msup><mi>{f}</mi><mrow><mo>−</mo><mn>1</mn></mrow></msup>")
                }
                None => format!("<mi>{name}</mi>"),
            };
            let inside: Vec<String> = arguments.iter().map(row).collect();
            let inside = inside.join("<mo separator=\"true\">,</mo>");
            format!("<mrow>{name}<mo>\u{2061}</mo>{}</mrow>", bracketed(&inside))
        }
        ExprKind::WithRemainder { quotient, remainder } => format!(
            "<mrow>{}<mtext> r </mtext>{}</mrow>",
            held(quotient, Strength::Value),
            held(remainder, Strength::Value)
        ),
    }
}

fn call(function: Function, arguments: &[Expr]) -> String {
    let name = match function {
        Function::Choose => {
            let stacked: String = arguments.iter().map(row).collect();
            return bracketed(&format!("<mfrac linethickness=\"0\">{stacked}</mfrac>"));
        }
        other => format!("<mi>{}</mi>", other.name()),
    };
    let (name, shown) = match (function, arguments) {
        (Function::Log, [value, base]) => {
            (format!("<msub>{name}{}</msub>", row(base)), std::slice::from_ref(value))
        }
        _ => (name, arguments),
    };
    let mut inside = String::new();
    for (index, argument) in shown.iter().enumerate() {
        let comma = if index == 0 { "" } else { "<mo separator=\"true\">,</mo>" };
        write!(inside, "{comma}{}", row(argument)).expect("a string takes it");
    }
    // U+2061: "of".
    format!("<mrow>{name}<mo>\u{2061}</mo>{}</mrow>", bracketed(&inside))
}
