//! `x = ±3` is two lines.

use crate::expr::{Expr, ExprKind};
use crate::line::Line;

/// Writes `±` out as two lines; `None` when that is not possible.
pub(super) fn without_signs(line: &Line) -> Option<Line> {
    let has_sign =
        |expr: &&Expr| expr.any(&mut |part| matches!(part.kind, ExprKind::PlusMinus { .. }));
    match line {
        Line::Relations { sides, relations } if sides.iter().any(|s| has_sign(&s)) => {
            let with = |upper: bool| Line::Relations {
                sides: sides.iter().map(|side| signed(side, upper)).collect(),
                relations: relations.clone(),
            };
            Some(Line::AnyOf(vec![with(true), with(false)]))
        }
        Line::AnyOf(lines) => {
            Some(Line::AnyOf(lines.iter().map(without_signs).collect::<Option<_>>()?))
        }
        Line::AllOf(lines) if lines.iter().flat_map(Line::expressions).any(|e| has_sign(&e)) => {
            None
        }
        other => Some(other.clone()),
    }
}

/// An expression with the upper or the lower of its two signs.
pub(super) fn signed(expr: &Expr, upper: bool) -> Expr {
    expr.map(&mut |part| match part.kind {
        ExprKind::PlusMinus { opposite, value } => {
            if opposite == upper {
                value.negative()
            } else {
                *value
            }
        }
        kind => Expr::at(kind, part.span),
    })
}
