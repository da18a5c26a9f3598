//! Multiplied the numbers and kept one letter: `2x · 3x` to `6x`.

use super::rewriting::{product, rewriting};
use algebra::{Expr, ExprKind};

rewriting! {
    /// Multiplied the numbers and kept one letter: `2x · 3x` to `6x`.
    LettersOfProductLost, "letters-of-product-lost",
    student: "Both factors have the letter. How often does it stand in the product?",
    teacher: "Kept the letter once when multiplying like terms.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let factors = product(expr);
    let is_letter = |e: &&Expr| matches!(e.kind, ExprKind::Symbol(_));
    let twice = factors
        .iter()
        .enumerate()
        .find(|(at, factor)| is_letter(factor) && factors[..*at].contains(factor));
    let Some((lost, _)) = twice else { return Vec::new() };
    let kept = factors.iter().enumerate().filter(|(at, _)| *at != lost);
    kept.map(|(_, factor)| (*factor).clone()).reduce(Expr::times).into_iter().collect()
}
