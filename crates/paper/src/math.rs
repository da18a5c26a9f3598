//! Mathematics as nodes for the templates: a JSON tree that a small Typst function turns into content.

use algebra::expr::Constant;
use algebra::number::Notation;
use algebra::{Expr, ExprKind, Line};
use serde_json::{Value, json};

/// Deeper trees are printed as plain text: deep nesting would overflow the typesetter's stack.
const DEPTH: usize = 36;

/// A line as a node.
pub(crate) fn line(line: &Line) -> Value {
    if line.expressions().into_iter().any(|expr| depth(expr) > DEPTH) {
        return text(&algebra::write::text_line(line));
    }
    match line {
        Line::Expression(expr) => node(expr),
        Line::Relations { sides, relations } => {
            let mut items = vec![node(&sides[0])];
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                items.push(json!({ "k": "rel", "v": relation.sign() }));
                items.push(node(side));
            }
            row(items)
        }
        Line::AnyOf(lines) => joined(lines, " or "),
        Line::AllOf(lines) => joined(lines, ";  "),
        Line::Definition { letter: name, value } => {
            let is = json!({ "k": "rel", "v": "=" });
            row(vec![text("let "), letter(name), is, node(value)])
        }
        Line::Rounded(value) => row(vec![json!({ "k": "rel", "v": "≈" }), node(value)]),
        Line::Set(_) | Line::Point(_) => text(&algebra::write::text_line(line)),
        Line::NoSolution => text("no solution"),
        Line::AllReals => text("all real numbers"),
        Line::Sentence(_) => text(""),
    }
}

fn joined(lines: &[Line], by: &str) -> Value {
    let mut items = Vec::new();
    for (index, part) in lines.iter().enumerate() {
        if index > 0 {
            items.push(text(by));
        }
        items.push(line(part));
    }
    row(items)
}

fn text(text: &str) -> Value {
    json!({ "k": "text", "v": text })
}

fn row(items: Vec<Value>) -> Value {
    json!({ "k": "row", "items": items })
}

fn number(digits: &str) -> Value {
    json!({ "k": "num", "v": digits })
}

fn letter(name: &str) -> Value {
    match name.split_once('_') {
        Some((base, mark)) => json!({
            "k": "sub", "a": { "k": "var", "v": base }, "b": number(mark)
        }),
        None => json!({ "k": "var", "v": name }),
    }
}

fn operator(sign: &str) -> Value {
    json!({ "k": "bin", "v": sign })
}

/// How deep the printed tree will be.
fn depth(expr: &Expr) -> usize {
    // A sum is printed in one row, so its left spine adds no depth. Each child is measured once:
    // twice at every level would double the work with each bracket.
    let is_sum = |e: &Expr| matches!(e.kind, ExprKind::Add(..) | ExprKind::Subtract(..));
    let below = |child: &Expr| {
        let inside = depth(child);
        if is_sum(expr) && is_sum(child) { inside.saturating_sub(1) } else { inside }
    };
    expr.children().into_iter().map(below).max().unwrap_or(0) + 1
}

fn is_tight(expr: &Expr) -> bool {
    !matches!(
        expr.kind,
        ExprKind::Add(..)
            | ExprKind::Subtract(..)
            | ExprKind::Negative(_)
            | ExprKind::PlusMinus { .. }
            | ExprKind::Ratio(_)
    )
}

/// In brackets unless it holds together as a factor.
fn factor(expr: &Expr) -> Value {
    if is_tight(expr) { node(expr) } else { json!({ "k": "paren", "a": node(expr) }) }
}

fn base(expr: &Expr) -> Value {
    match expr.kind {
        ExprKind::Number(_) | ExprKind::Symbol(_) | ExprKind::Constant(_) => node(expr),
        ExprKind::Absolute(_) | ExprKind::Unit(_) => node(expr),
        _ => json!({ "k": "paren", "a": node(expr) }),
    }
}

/// Whether a product is written without a sign: `2x`, `3(x + 1)`.
fn touches(a: &Expr, b: &Expr) -> bool {
    // The plain writer decides, so that paper and screen agree.
    let product = a.clone().times(b.clone());
    !algebra::write::text(&product).contains(" × ") || {
        let (whole, left) = (algebra::write::text(&product), algebra::write::text(a));
        whole.matches(" × ").count()
            == left.matches(" × ").count() + algebra::write::text(b).matches(" × ").count()
    }
}

fn node(expr: &Expr) -> Value {
    match &expr.kind {
        ExprKind::Number(written) => match written.notation() {
            Notation::Mixed { whole, numerator, denominator } => row(vec![
                number(&whole.to_string()),
                json!({
                    "k": "frac",
                    "a": number(&numerator.to_string()),
                    "b": number(&denominator.to_string())
                }),
            ]),
            _ => number(&written.text()),
        },
        ExprKind::Symbol(name) => letter(name),
        ExprKind::Unit(unit) if unit.stands_before() => text(unit.symbol()),
        ExprKind::Unit(unit) => row(vec![json!({ "k": "thin", "v": "" }), text(unit.symbol())]),
        ExprKind::Constant(Constant::Pi) => json!({ "k": "var", "v": "π" }),
        ExprKind::Constant(Constant::Euler) => json!({ "k": "var", "v": "e" }),
        ExprKind::Negative(a) => row(vec![json!({ "k": "sign", "v": "−" }), factor(a)]),
        ExprKind::PlusMinus { opposite, value } => {
            let sign = if *opposite { "∓" } else { "±" };
            row(vec![json!({ "k": "sign", "v": sign }), factor(value)])
        }
        ExprKind::Add(a, b) => match &b.kind {
            ExprKind::PlusMinus { opposite, value } => {
                let sign = operator(if *opposite { "∓" } else { "±" });
                row(vec![node(a), sign, factor(value)])
            }
            _ => row(vec![node(a), operator("+"), factor(b)]),
        },
        ExprKind::Subtract(a, b) => row(vec![node(a), operator("−"), factor(b)]),
        ExprKind::Multiply(a, b) => {
            let mut items = vec![factor(a)];
            if !touches(a, b) {
                items.push(operator("×"));
            }
            items.push(match b.kind {
                ExprKind::Multiply(..) => json!({ "k": "paren", "a": node(b) }),
                _ => factor(b),
            });
            row(items)
        }
        ExprKind::Divide(a, b) => json!({ "k": "frac", "a": node(a), "b": node(b) }),
        ExprKind::Power(a, b) => json!({ "k": "sup", "a": base(a), "b": node(b) }),
        ExprKind::Root { index, radicand } => {
            json!({ "k": "root", "index": index, "a": node(radicand) })
        }
        ExprKind::Absolute(a) => json!({ "k": "abs", "a": node(a) }),
        ExprKind::Percent(a) => row(vec![base(a), number("%")]),
        ExprKind::Factorial(a) => row(vec![base(a), number("!")]),
        ExprKind::Degree(a) => row(vec![base(a), number("°")]),
        ExprKind::Ratio(parts) => {
            let mut items = Vec::new();
            for (index, part) in parts.iter().enumerate() {
                if index > 0 {
                    items.push(json!({ "k": "rel", "v": ":" }));
                }
                items.push(factor(part));
            }
            row(items)
        }
        ExprKind::WithRemainder { quotient, remainder } => {
            row(vec![base(quotient), text(" r "), base(remainder)])
        }
        ExprKind::Apply { name, arguments } => {
            let mut inside = Vec::new();
            for (index, argument) in arguments.iter().enumerate() {
                if index > 0 {
                    inside.push(text(", "));
                }
                inside.push(node(argument));
            }
            let name = match name.split_once('^') {
                Some((f, power)) => {
                    json!({ "k": "sup", "a": letter(f), "b": number(&power.replace('-', "−")) })
                }
                None => letter(name),
            };
            row(vec![name, json!({ "k": "paren", "a": row(inside) })])
        }
        ExprKind::Call { function, arguments } => {
            let mut inside = Vec::new();
            for (index, argument) in arguments.iter().enumerate() {
                if index > 0 {
                    inside.push(text(", "));
                }
                inside.push(node(argument));
            }
            let name = json!({ "k": "op", "v": function.name() });
            row(vec![name, json!({ "k": "paren", "a": row(inside) })])
        }
    }
}
