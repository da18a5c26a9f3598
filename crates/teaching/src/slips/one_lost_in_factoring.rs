//! Left nothing where a factor was taken out whole: `10x^2 - 5x` to `5x(2x)`.

use super::rewriting::rewriting;
use algebra::{Expr, ExprKind, Verdict, equal};

rewriting! {
    /// Left nothing where a factor was taken out whole: `10x^2 - 5x` to `5x(2x)`.
    OneLostInFactoring, "one-lost-in-factoring",
    student: "What is left of a term when all of it is taken out? Not nothing.",
    teacher: "Lost the 1 that is left when a whole term is taken out.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let (ExprKind::Add(a, b) | ExprKind::Subtract(a, b)) = &expr.kind else { return Vec::new() };
    if a.symbols().is_empty() || b.symbols().is_empty() {
        return Vec::new();
    }
    // The second term divides the first: taken out, it leaves a 1.
    let quotient = a.as_ref().clone().over(b.as_ref().clone());
    let is_whole = quotient.symbols().iter().all(|letter| {
        let zero = quotient.with(letter, &Expr::int(1));
        matches!(equal(&zero, &zero), Verdict::Equal { .. })
    });
    if is_whole { vec![a.as_ref().clone()] } else { Vec::new() }
}
