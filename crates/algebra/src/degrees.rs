//! Lines whose angles are in degrees, rewritten in radians.
//!
//! In such lines `°` is 1, the circular functions take degrees, and their inverses give degrees.

use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::Line;

/// The same line for angles in radians.
#[must_use]
pub fn in_radians(line: &Line) -> Line {
    line.map(&mut |expr| expr.map(&mut rewritten))
}

fn rewritten(part: Expr) -> Expr {
    let span = part.span;
    match part.kind {
        ExprKind::Degree(inside) => *inside,
        ExprKind::Call { function, arguments } => match function {
            Function::Sin
            | Function::Cos
            | Function::Tan
            | Function::Sec
            | Function::Csc
            | Function::Cot => {
                let degrees = |a: Expr| Expr::at(ExprKind::Degree(Box::new(a.clone())), a.span);
                let arguments = arguments.into_iter().map(degrees).collect();
                Expr::at(ExprKind::Call { function, arguments }, span)
            }
            Function::Arcsin
            | Function::Arccos
            | Function::Arctan
            | Function::Arcsec
            | Function::Arccsc
            | Function::Arccot => {
                let angle: Expr = ExprKind::Call { function, arguments }.into();
                let pi: Expr = ExprKind::Constant(Constant::Pi).into();
                Expr::at(angle.times(Expr::int(180)).over(pi).kind, span)
            }
            _ => Expr::at(ExprKind::Call { function, arguments }, span),
        },
        kind => Expr::at(kind, span),
    }
}
