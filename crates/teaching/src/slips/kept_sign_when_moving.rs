//! Moved a term to the other side without changing its sign: `x + 7 = 12` to `x = 19`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::number::Rational;
use algebra::solve::linear_coefficients;
use algebra::{Expr, Line};
use num_traits::Zero;

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
