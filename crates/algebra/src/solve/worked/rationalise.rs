//! A fraction of numbers with roots below, worked until none stands there.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Values};
use crate::number::Rational;
use crate::rule::Rule;
use num_traits::Zero;

/// The lines between `3/(2 + √5)` and its value; empty where no single root, and no sum of two parts with square
/// roots, stands below.
#[must_use]
pub fn rationalised(expr: &Expr) -> Vec<(Expr, Rule)> {
    lines(expr).unwrap_or_default()
}

fn lines(expr: &Expr) -> Option<Vec<(Expr, Rule)>> {
    let ExprKind::Divide(above, below) = &expr.kind else { return None };
    let (above, below) = ((**above).clone(), (**below).clone());
    let (by, rule) = match &below.kind {
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let squares = value(&(**a).clone().to_the(2)).zip(value(&(**b).clone().to_the(2)));
            squares.filter(|_| has_root(a) || has_root(b))?;
            let (a, b) = ((**a).clone(), (**b).clone());
            let is_sum = matches!(below.kind, ExprKind::Add(..));
            (if is_sum { a.minus(b) } else { a.plus(b) }, Rule::Conjugate)
        }
        _ => {
            let root = root_in(&below)?.clone();
            (root.clone(), Rule::MultiplyAboveAndBelow(root))
        }
    };
    let product = below.clone().times(by.clone());
    let number = value(&product).filter(|number| !number.is_zero())?;
    let is_one = above.as_plain_number().is_some_and(|n| n == crate::number::from_int(1));
    let top = if is_one { by } else { above.times(by) };
    Some(vec![
        (top.clone().over(product), rule),
        (top.over(Expr::rational(&number)), Rule::Evaluate),
    ])
}

fn has_root(expr: &Expr) -> bool {
    expr.any(&mut |part| matches!(part.kind, ExprKind::Root { index: 2, .. }))
}

/// `√3` in `√3` or `2√3`.
fn root_in(expr: &Expr) -> Option<&Expr> {
    match &expr.kind {
        ExprKind::Root { index: 2, radicand } => radicand.as_plain_number().map(|_| expr),
        ExprKind::Multiply(factor, rest) if factor.as_plain_number().is_some() => root_in(rest),
        _ => None,
    }
}

fn value(expr: &Expr) -> Option<Rational> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).ok()?.as_constant()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text;

    #[test]
    #[rustfmt::skip]
    fn no_root_stays_below() {
        for (fraction, expected) in [
            ("6/sqrt 3",              &["6√(3)/(√(3) × √(3))", "6√(3)/3"][..]),
            ("1/sqrt 2",              &["√(2)/(√(2) × √(2))", "√(2)/2"]),
            ("5/(2 sqrt 3)",          &["5√(3)/(2√(3) × √(3))", "5√(3)/6"]),
            ("3/(2 + sqrt 5)",        &["3(2 - √(5))/((2 + √(5))(2 - √(5)))", "3(2 - √(5))/(-1)"]),
            ("1/(sqrt 7 - sqrt 3)",   &["(√(7) + √(3))/((√(7) - √(3))(√(7) + √(3)))", "(√(7) + √(3))/4"]),
            ("3/(2 + 5)",             &[]),
            ("sqrt 3/2",              &[]),
            ("1/cbrt 2",              &[]),
        ] {
            let expr = crate::read_expr(fraction).expect(fraction);
            let lines: Vec<String> = rationalised(&expr).iter().map(|(line, _)| text(line)).collect();
            assert_eq!(lines, expected, "{fraction}");
        }
    }
}
