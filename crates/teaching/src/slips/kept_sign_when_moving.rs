//! Moved a term to the other side without changing its sign: `x + 7 = 12` to `x = 19`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::number::Rational;
use algebra::solve::linear_coefficients;
use algebra::{Expr, ExprKind, Line};
use num_traits::{Signed, Zero};

/// Moved a term to the other side without changing its sign: `x + 7 = 12` to `x = 19`.
pub struct KeptSignWhenMoving;

impl KeptSignWhenMoving {
    /// Its id.
    pub const ID: SlipId = SlipId::new("kept-sign-when-moving");
}

impl Slip for KeptSignWhenMoving {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "Do the same to both sides: what is added on one side has to be taken away on both."
    }

    fn to_teacher(&self) -> &'static str {
        "Moved a term across the equals sign without changing its sign."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        if line.symbols().len() > 1 {
            return in_formula(line);
        }
        let Some(letter) = only_letter(line) else { return Vec::new() };
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let sides = linear_coefficients(left, &letter).zip(linear_coefficients(right, &letter));
        let Some(((a, b), (c, d))) = sides else { return Vec::new() };
        let side = |a: &Rational, b: &Rational| {
            Expr::rational(a).times(Expr::symbol(&letter)).plus(Expr::rational(b))
        };
        let zero = Rational::zero();
        let mut found = Vec::new();
        if !a.is_zero() && !b.is_zero() {
            found.push(Line::equation(side(&a, &zero), side(&c, &(&d + &b))));
            // `7 - 2x = 1` to `2x = 8`: the sign of the term that stays is lost on the way.
            if a.is_negative() {
                found.push(Line::equation(side(&-a.clone(), &zero), side(&c, &(&d + &b))));
            }
        }
        if !c.is_zero() && !d.is_zero() {
            found.push(Line::equation(side(&a, &(&b + &d)), side(&c, &zero)));
        }
        if !a.is_zero() && !c.is_zero() {
            found.push(Line::equation(side(&(&a + &c), &b), Expr::rational(&d)));
        }
        found
    }
}

/// `y = x + c` to `x = y + c`: a formula with one of its terms on the other side as it stood.
fn in_formula(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let of = |e: &Expr| e.clone();
    let moved = |alone: &Expr, sum: &Expr| match &sum.kind {
        ExprKind::Add(a, b) => vec![
            Line::equation(of(a), of(alone).plus(of(b))),
            Line::equation(of(b), of(alone).plus(of(a))),
        ],
        ExprKind::Subtract(a, b) => vec![
            Line::equation(of(a), of(alone).minus(of(b))),
            Line::equation(of(b), of(alone).minus(of(a))),
        ],
        _ => Vec::new(),
    };
    moved(left, right).into_iter().chain(moved(right, left)).collect()
}
