//! Turned the signs of the pair: `x^2 - x - 6` to `(x - 2)(x + 3)`.

use super::rewriting::rewriting;
use algebra::solve::{Solutions, solutions};
use algebra::{Expr, ExprKind, Line};
use num_traits::Zero;

rewriting! {
    /// Turned the signs of the pair: `x^2 - x - 6` to `(x - 2)(x + 3)`.
    FactorSignsTurned, "factor-signs-turned",
    student: "Multiply your brackets out: what is the sum of the pair, and what its product?",
    teacher: "Found the pair, with wrong signs.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let squared = |e: &Expr| {
        e.any(&mut |part| matches!(&part.kind, ExprKind::Power(_, n) if **n == Expr::int(2)))
    };
    let letters = expr.symbols();
    let is_sum = matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..));
    let (Some(letter), true) = (letters.first(), letters.len() == 1 && is_sum && squared(expr))
    else {
        return Vec::new();
    };
    let Ok(Solutions::Finite(roots)) =
        solutions(&Line::equation(expr.clone(), Expr::int(0)), letter)
    else {
        return Vec::new();
    };
    let roots: Option<Vec<_>> = roots.iter().map(algebra::solve::Solution::as_rational).collect();
    let Some([p, q]) = roots.as_deref() else { return Vec::new() };
    // Where a letter can be taken out, nothing is turned.
    if [p, q].iter().any(|root| root.is_zero()) {
        return Vec::new();
    }
    let bracket = |root: &algebra::Rational| Expr::symbol(letter).minus(Expr::rational(root));
    vec![
        bracket(&-p.clone()).times(bracket(&-q.clone())),
        bracket(&-p.clone()).times(bracket(q)),
        bracket(p).times(bracket(&-q.clone())),
    ]
}
