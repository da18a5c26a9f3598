//! Left out the bars: `|x|` to `x`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Left out the bars: `|x|` to `x`.
    BarsDropped, "bars-dropped",
    student: "What do the bars do when the inside is negative?",
    teacher: "Dropped the absolute value.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Absolute(a) => vec![a.as_ref().clone()],
        ExprKind::Root { index: 2, radicand } => match &radicand.kind {
            ExprKind::Power(a, n) if n.as_plain_number() == Some(algebra::number::from_int(2)) => {
                vec![a.as_ref().clone()]
            }
            _ => Vec::new(),
        },
        _ => Vec::new(),
    }
}
