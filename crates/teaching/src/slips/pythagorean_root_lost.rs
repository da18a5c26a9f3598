//! Lost the square, or the sign, of a circular function: `1 - sin² x` to `cos x`.

use super::rewriting::{call, rewriting};
use algebra::number::from_int;
use algebra::{Expr, ExprKind, Function};

rewriting! {
    /// Lost the square, or the sign, of a circular function: `1 - sin² x` to `cos x`.
    PythagoreanRootLost, "pythagorean-square-lost",
    student: "The two squares make one together. What is left when one of them is taken away?",
    teacher: "Lost the square or the sign in sin² + cos² = 1.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (ExprKind::Subtract(a, b) | ExprKind::Add(a, b)) = &expr.kind else { return Vec::new() };
    let square = |e: &Expr| match &e.kind {
        ExprKind::Power(base, n) if n.as_plain_number() == Some(from_int(2)) => {
            call(base).map(|(function, argument, _)| (function, argument.clone()))
        }
        _ => None,
    };
    let one = |e: &Expr| e.as_plain_number() == Some(from_int(1));
    let found = if one(a) {
        square(b)
    } else if one(b) {
        square(a)
    } else {
        None
    };
    let Some((function, argument)) = found else { return Vec::new() };
    let other = match function {
        Function::Sin => Function::Cos,
        Function::Cos => Function::Sin,
        _ => return Vec::new(),
    };
    let of = |function| Expr::from(ExprKind::Call { function, arguments: vec![argument.clone()] });
    vec![of(other), of(other).to_the(2).negative(), of(function).to_the(2)]
}
