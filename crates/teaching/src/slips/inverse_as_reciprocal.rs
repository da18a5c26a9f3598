//! Read an inverse function as one over: `sin^-1(1)` to `1/sin 1`.

use super::rewriting::{again, call, rewriting};
use algebra::Expr;

rewriting! {
    /// Read an inverse function as one over: `sin^-1(1)` to `1/sin 1`.
    InverseAsReciprocal, "inverse-as-reciprocal",
    student: "This asks for an angle. Which angle has that value?",
    teacher: "Took an inverse function for a reciprocal.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    use algebra::Function::{Arccos, Arcsin, Arctan, Cos, Sin, Tan};
    let Some((function, argument, rest)) = call(expr) else { return Vec::new() };
    let forward = match function {
        Arcsin => Sin,
        Arccos => Cos,
        Arctan => Tan,
        _ => return Vec::new(),
    };
    vec![Expr::int(1).over(again(forward, argument, rest))]
}
