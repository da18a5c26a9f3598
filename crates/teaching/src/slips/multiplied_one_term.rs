//! Cleared a fraction from one term only: `x/2 + 3 = 5` to `x + 3 = 10`.

use super::Slip;
use crate::ids::SlipId;
use algebra::{Expr, ExprKind, Line};

/// Cleared a fraction from one term only: `x/2 + 3 = 5` to `x + 3 = 10`.
pub struct MultipliedOneTerm;

impl MultipliedOneTerm {
    /// Its id.
    pub const ID: SlipId = SlipId::new("multiplied-one-term");
}

impl Slip for MultipliedOneTerm {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Multiplying a side means multiplying every term on it. Which one was left?"
    }

    fn to_teacher(&self) -> &'static str {
        "Multiplied only some terms of a side."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        // `x/4 + x/2 = 6` to `x + 2x = 6`: one side is multiplied, and the other is not.
        let mut found = Vec::new();
        for (cleared, other, turned) in [(left, right, false), (right, left, true)] {
            for below in divisors(cleared) {
                let cleared = cleared.clone().times(Expr::int(below));
                let (l, r) =
                    if turned { (other.clone(), cleared) } else { (cleared, other.clone()) };
                found.push(Line::equation(l, r));
            }
        }
        found.extend(first_term_cleared(left, right));
        found
    }
}

/// The numbers below in a sum of fractions, and their common multiple.
fn divisors(side: &Expr) -> Vec<i64> {
    let mut found: Vec<i64> = Vec::new();
    side.any(&mut |part| {
        if let ExprKind::Divide(above, below) = &part.kind
            && !above.symbols().is_empty()
            && let Some(n) = super::rewriting::whole(below)
            && n < 1000
            && !found.contains(&n)
        {
            found.push(n);
        }
        false
    });
    let all = found.iter().fold(1i64, |all, n| num_integer::lcm(all, *n));
    if found.len() > 1 && !found.contains(&all) {
        found.push(all);
    }
    found
}

/// `x/2 + 3 = 5` to `x + 3 = 10`, and to `x + 3 = 5`.
fn first_term_cleared(left: &Expr, right: &Expr) -> Vec<Line> {
    let (ExprKind::Add(a, b) | ExprKind::Subtract(a, b)) = &left.kind else {
        return Vec::new();
    };
    let is_sum = matches!(left.kind, ExprKind::Add(..));
    let ExprKind::Divide(above, below) = &a.kind else { return Vec::new() };
    if below.as_plain_number().is_none() {
        return Vec::new();
    }
    let (above, rest) = (above.as_ref().clone(), b.as_ref().clone());
    let side: Expr = if is_sum { above.plus(rest) } else { above.minus(rest) };
    vec![
        Line::equation(side.clone(), right.clone().times(below.as_ref().clone())),
        Line::equation(side, right.clone()),
    ]
}
