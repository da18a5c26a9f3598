//! Divided by the unknown, which may be zero: `x^2 = 5x` to `x = 5`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::budget::Budget;
use algebra::normal::{Atom, Normaliser, Values};
use algebra::{Expr, Line};

/// Divided by the unknown, which may be zero: `x^2 = 5x` to `x = 5`.
pub struct DividedByUnknown;

impl DividedByUnknown {
    /// Its id.
    pub const ID: SlipId = SlipId::new("divided-by-unknown");
}

impl Slip for DividedByUnknown {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "What if the thing you divided by is zero? Try that value in the line above."
    }

    fn to_teacher(&self) -> &'static str {
        "Divided both sides by a factor that may be zero."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        let Some((left, right)) = line.as_equation() else { return Vec::new() };
        let Some(letter) = only_letter(line) else { return Vec::new() };
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let mut forms = Normaliser::new(&none, &mut budget);
        let (Ok(l), Ok(r)) = (forms.build(left), forms.build(right)) else { return Vec::new() };
        let Ok(difference) = l.minus(&r, &mut budget) else { return Vec::new() };
        let mut content = difference.numerator().monomial_content();
        let atom = Atom::symbol(&letter);
        if content.exponent(&atom) == 0 {
            return Vec::new();
        }
        content.set(&atom, 1);
        let rest = difference.numerator().without(&content);
        if rest.symbols().is_empty() {
            return Vec::new();
        }
        vec![Line::equation(rest.to_expr(), Expr::int(0))]
    }
}
