//! Read or wrote the digits of a base from the wrong end: `6` to `011_2`.

use super::rewriting::{everywhere, lines};
use algebra::number::Notation;
use algebra::{Expr, ExprKind, Line, Written};
use num_traits::ToPrimitive;

lines! {
    /// Read or wrote the digits of a base from the wrong end: `6` to `011_2`.
    DigitsInWrongOrder, "base-digits-turned",
    student: "Which end holds the ones?",
    teacher: "Read or wrote the digits of a base from the wrong end.",
}

fn wrong(line: &Line) -> Vec<Line> {
    // A number of base ten is turned where it is all there is to be written in another.
    let alone = matches!(line, Line::Expression(Expr { kind: ExprKind::Number(_), .. }));
    everywhere(line, &|part| turned(part, alone))
}

fn turned(expr: &Expr, alone: bool) -> Vec<Expr> {
    let ExprKind::Number(written) = &expr.kind else { return Vec::new() };
    let bases = match written.notation() {
        Notation::Based { base } => vec![*base],
        Notation::Integer if alone => vec![2, 8, 16],
        _ => return Vec::new(),
    };
    let Some(value) = written.value().to_integer().to_u64().filter(|n| *n > 1) else {
        return Vec::new();
    };
    bases
        .into_iter()
        .filter_map(|base| {
            let (mut rest, mut turned) = (value, 0u64);
            while rest > 0 {
                turned = turned.checked_mul(base.into())?.checked_add(rest % u64::from(base))?;
                rest /= u64::from(base);
            }
            Some(ExprKind::Number(Written::whole(turned)).into())
        })
        .collect()
}
