//! Took a factor out of a function: `sin 2x` to `2 sin x`.

use super::rewriting::{again, call, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took a factor out of a function: `sin 2x` to `2 sin x`.
    FactorTakenOut, "factor-taken-out",
    student: "The number belongs to the angle. Try it with an angle you know.",
    teacher: "Took a factor out of the argument of a function.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (function, argument, rest) = match call(expr) {
        Some(parts) => parts,
        None => return Vec::new(),
    };
    match &argument.kind {
        ExprKind::Multiply(a, b) if a.symbols().is_empty() => {
            vec![a.as_ref().clone().times(again(function, b, rest))]
        }
        _ => Vec::new(),
    }
}
