//! Writes expressions and lines: plain text and LaTeX that read back to the same tree, MathML, and
//! English to be spoken. No sentences about mathematics: only the mathematics itself.

mod latex;
mod mathml;
mod speech;
mod text;

pub use latex::{latex, latex_line};
pub use mathml::{mathml, mathml_line};
pub use speech::{speech, speech_line};
pub use text::{text, text_line};

use crate::expr::{Constant, Expr, ExprKind};
use crate::line::{Line, Relation};

/// Whether lines that hold together say for which values one of them is meant: `x < 2 and 3 - x = 7`.
fn is_condition(lines: &[Line]) -> bool {
    lines.iter().any(|line| {
        matches!(line, Line::Relations { relations, .. }
            if relations.iter().any(|relation| *relation != Relation::Equal))
    })
}

/// How strongly the outermost operation of an expression holds together.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
enum Strength {
    Ratio,
    Sum,
    Product,
    Function,
    Power,
    Value,
}

fn strength(expr: &Expr) -> Strength {
    match &expr.kind {
        ExprKind::Ratio(_) => Strength::Ratio,
        ExprKind::Add(..) | ExprKind::Subtract(..) => Strength::Sum,
        ExprKind::Negative(_) | ExprKind::PlusMinus { .. } => Strength::Sum,
        ExprKind::Multiply(..) | ExprKind::Divide(..) => Strength::Product,
        ExprKind::WithRemainder { .. } => Strength::Sum,
        ExprKind::Call { .. } => Strength::Function,
        // A power behind the bracket of `d/dx (…)` is differentiated with it.
        ExprKind::Apply { name, .. } if name.starts_with("d/d") => Strength::Function,
        ExprKind::Power(..) => Strength::Power,
        ExprKind::Number(written) => match written.notation() {
            crate::number::Notation::Mixed { .. }
            | crate::number::Notation::Scientific { .. }
            | crate::number::Notation::Repeating { .. } => Strength::Product,
            _ => Strength::Value,
        },
        _ => Strength::Value,
    }
}

/// Whether `left` and `right` may stand side by side and be read as a product: `2x`, `3(x + 1)`, `xy`.
fn may_touch(left: &Expr, right: &Expr) -> bool {
    let is_word =
        |expr: &Expr| matches!(&expr.kind, ExprKind::Symbol(name) if crate::expr::is_name(name));
    if is_word(left) || is_word(right) {
        return false;
    }
    let ends_well = match &left.kind {
        ExprKind::Number(_) | ExprKind::Symbol(_) => strength(left) == Strength::Value,
        ExprKind::Multiply(_, last) => may_touch(last, right),
        ExprKind::Power(base, _) => matches!(base.kind, ExprKind::Symbol(_)),
        ExprKind::Constant(Constant::Pi) | ExprKind::Add(..) | ExprKind::Subtract(..) => true,
        _ => false,
    };
    let begins_well = match &right.kind {
        ExprKind::Symbol(_) | ExprKind::Root { .. } | ExprKind::Constant(_) => true,
        ExprKind::Add(..) | ExprKind::Subtract(..) => true,
        ExprKind::Power(base, _) => {
            matches!(base.kind, ExprKind::Symbol(_) | ExprKind::Add(..) | ExprKind::Subtract(..))
        }
        _ => false,
    };
    ends_well && begins_well
}

/// How far the last number of a line is told to be rounded, as it is typed behind it: ` (1 dp)`.
fn rounding_note(line: &Line) -> Option<String> {
    let last = match line {
        Line::Rounded(value) => value,
        Line::Relations { sides, relations }
            if relations.last() == Some(&Relation::Approximate) =>
        {
            sides.last()?
        }
        _ => return None,
    };
    let mut found = None;
    last.any(&mut |part| {
        if let ExprKind::Number(written) = &part.kind {
            found = written.rounding().map(crate::number::Rounding::text);
        }
        found.is_some()
    });
    found
}

/// The value of a line that only says what the answer is.
fn answer(lines: &[Line]) -> Option<&Line> {
    match lines {
        [value @ Line::Expression(_)] => Some(value),
        _ => None,
    }
}

/// Whether a product is a number, or more, with its unit: `5 cm`, `12 cm²`.
fn is_quantity(a: &Expr, b: &Expr) -> bool {
    let is_unit = match &b.kind {
        ExprKind::Unit(_) => true,
        ExprKind::Power(base, _) => matches!(base.kind, ExprKind::Unit(_)),
        _ => false,
    };
    is_unit && unit_before(a, b).is_none()
}

/// The sign of a currency that stands before its number.
fn unit_before(a: &Expr, b: &Expr) -> Option<&'static str> {
    match (&a.kind, &b.kind) {
        (ExprKind::Number(_), ExprKind::Unit(unit)) if unit.stands_before() => Some(unit.symbol()),
        _ => None,
    }
}

/// Whether letters at the end of `left` and at the beginning of `right` would be read as a name or a word when they
/// stand side by side: `co` and `s`.
fn makes_a_word(left: &str, right: &str) -> bool {
    let is_letter = |c: &char| c.is_alphabetic() && *c != 'π';
    let tail: String = {
        let signs: Vec<char> = left.chars().rev().take_while(is_letter).collect();
        signs.into_iter().rev().collect()
    };
    let head: String = right.chars().take_while(is_letter).collect();
    if tail.is_empty() || head.is_empty() {
        return false;
    }
    // `An` may be the n-th of a sequence.
    let counted = head.starts_with('n') && tail.ends_with(|c: char| c.is_ascii_uppercase());
    counted || !crate::read::are_letters(&format!("{tail}{head}"))
}
