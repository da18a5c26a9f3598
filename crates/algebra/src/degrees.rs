//! Lines whose angles are in degrees, rewritten in radians.
//!
//! In such lines `°` is 1, the circular functions take degrees, and their inverses give degrees.

use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::simplest;

/// The same line for angles in radians.
#[must_use]
pub fn in_radians(line: &Line) -> Line {
    line.map(&mut |expr| expr.map(&mut rewritten))
}

/// A line whose angles are in radians as it is written in degrees, where that leaves no π; the way back from
/// [`in_radians`].
#[must_use]
pub fn in_degrees(line: &Line) -> Option<Line> {
    let is_circular = |expr: &Expr| {
        expr.any(&mut |part| matches!(&part.kind, ExprKind::Call { function, .. } if takes_angle(*function)))
    };
    let has_calls = line.expressions().into_iter().any(is_circular);
    let turned = |angle: &Expr| {
        let pi: Expr = ExprKind::Constant(Constant::Pi).into();
        simplest(&angle.clone().times(Expr::int(180)).over(pi))
    };
    let shown = if has_calls {
        line.map(&mut |expr| {
            expr.map(&mut |part| match &part.kind {
                ExprKind::Call { function, arguments } if takes_angle(*function) => {
                    let arguments = arguments.iter().map(turned).collect();
                    ExprKind::Call { function: *function, arguments }.into()
                }
                _ => part,
            })
        })
    } else if line.as_equation().is_some() || matches!(line, Line::AnyOf(_)) {
        // Equations between angles: both sides. A value is no angle, and stays what it is.
        let in_radians = line.expressions().into_iter().any(has_pi);
        line.map(&mut |expr| if in_radians { turned(expr) } else { expr.clone() })
    } else {
        line.clone()
    };
    (!shown.expressions().into_iter().any(has_pi)).then_some(shown)
}

/// Values that were worked in radians, as they are written where inverse functions give degrees:
/// `180/π × arctan(3/2)` is `arctan(3/2)` there.
#[must_use]
pub fn values_in_degrees(line: &Line) -> Line {
    let is_inverse = |part: &Expr| matches!(&part.kind, ExprKind::Call { function, .. } if gives_angle(*function));
    let half_turn = || -> Expr { ExprKind::Constant(Constant::Pi).into() };
    line.map(&mut |side: &Expr| {
        if !side.any(&mut |part| is_inverse(part)) {
            return side.clone();
        }
        let turned = side.map(&mut |part| {
            if is_inverse(&part) { part.times(half_turn()).over(Expr::int(180)) } else { part }
        });
        simplest(&turned)
    })
}

fn has_pi(expr: &Expr) -> bool {
    expr.any(&mut |part| matches!(part.kind, ExprKind::Constant(Constant::Pi)))
}

const fn takes_angle(function: Function) -> bool {
    matches!(
        function,
        Function::Sin
            | Function::Cos
            | Function::Tan
            | Function::Sec
            | Function::Csc
            | Function::Cot
    )
}

const fn gives_angle(function: Function) -> bool {
    matches!(
        function,
        Function::Arcsin
            | Function::Arccos
            | Function::Arctan
            | Function::Arcsec
            | Function::Arccsc
            | Function::Arccot
    )
}

fn rewritten(part: Expr) -> Expr {
    let span = part.span;
    match part.kind {
        ExprKind::Degree(inside) => *inside,
        ExprKind::Call { function, arguments } => match function {
            _ if takes_angle(function) => {
                let degrees = |a: Expr| Expr::at(ExprKind::Degree(Box::new(a.clone())), a.span);
                let arguments = arguments.into_iter().map(degrees).collect();
                Expr::at(ExprKind::Call { function, arguments }, span)
            }
            _ if gives_angle(function) => {
                let angle: Expr = ExprKind::Call { function, arguments }.into();
                let pi: Expr = ExprKind::Constant(Constant::Pi).into();
                Expr::at(angle.times(Expr::int(180)).over(pi).kind, span)
            }
            _ => Expr::at(ExprKind::Call { function, arguments }, span),
        },
        kind => Expr::at(kind, span),
    }
}
