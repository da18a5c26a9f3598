//! Took the diameter for the radius, or the other way round: `2 × π × 3` to `2 × π × 6`.

use super::rewriting::{power, product, rewriting};
use algebra::expr::Constant;
use algebra::number::from_int;
use algebra::{Expr, ExprKind};

rewriting! {
    /// Took the diameter for the radius, or the other way round: `2 × π × 3` to `2 × π × 6`.
    DiameterForRadius, "diameter-for-radius",
    student: "Which one is it, from the middle to the edge or right across?",
    teacher: "Took the diameter for the radius, or the other way round.",
}

fn wrong(expr: &Expr) -> Vec<Expr> {
    let factors = product(expr);
    let is_pi = |e: &&Expr| e.kind == ExprKind::Constant(Constant::Pi);
    if factors.len() < 2 || !factors.iter().any(is_pi) {
        return Vec::new();
    }
    let two = from_int(2);
    let other = |e: &Expr| -> Vec<Expr> {
        match &e.kind {
            ExprKind::Power(base, n) => match &base.kind {
                ExprKind::Divide(a, b) if b.as_plain_number() == Some(two.clone()) => {
                    vec![power(a.as_ref().clone(), n.as_ref().clone())]
                }
                _ if base.as_plain_number().is_some() => {
                    let half = base.as_ref().clone().over(Expr::int(2));
                    let double = base.as_ref().clone().times(Expr::int(2));
                    vec![power(double, n.as_ref().clone()), power(half, n.as_ref().clone())]
                }
                _ => Vec::new(),
            },
            _ => match e.as_plain_number() {
                Some(value) if value != two => {
                    vec![Expr::rational(&(&value * &two)), Expr::rational(&(&value / &two))]
                }
                _ => Vec::new(),
            },
        }
    };
    let mut found = Vec::new();
    for (at, factor) in factors.iter().enumerate() {
        for changed in other(factor) {
            let all = factors
                .iter()
                .enumerate()
                .map(|(place, f)| if place == at { changed.clone() } else { (*f).clone() });
            found.extend(all.reduce(Expr::times));
        }
    }
    found
}
