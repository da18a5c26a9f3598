//! Took only one end of a squared inequality: `x^2 > 25` to `x > 5`.

use super::rewriting::lines;
use algebra::number::from_int;
use algebra::{Expr, ExprKind, Line, Relation};

lines! {
    /// Took only one end of a squared inequality: `x^2 > 25` to `x > 5`.
    OneEndOfSquare, "one-end-of-square",
    student: "Try a large negative number: does it fit the line above? And your line?",
    teacher: "Took the root of an inequality on one side only.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Line::Relations { sides, relations } = line else { return Vec::new() };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return Vec::new() };
    let orders = !matches!(relation, Relation::Equal | Relation::NotEqual | Relation::Approximate);
    let ExprKind::Power(base, n) = &left.kind else { return Vec::new() };
    if !orders || n.as_plain_number() != Some(from_int(2)) || !right.symbols().is_empty() {
        return Vec::new();
    }
    let root = || Expr::from(ExprKind::Root { index: 2, radicand: Box::new(right.clone()) });
    let told = |value: Expr, relation: Relation| Line::Relations {
        sides: vec![base.as_ref().clone(), value],
        relations: vec![relation],
    };
    let both = ExprKind::PlusMinus { opposite: false, value: Box::new(root()) };
    vec![
        told(root(), *relation),
        told(both.into(), *relation),
        told(root().negative(), *relation),
        Line::AnyOf(vec![told(root(), *relation), told(root().negative(), *relation)]),
        Line::AnyOf(vec![told(root(), relation.turned()), told(root().negative(), *relation)]),
    ]
}
