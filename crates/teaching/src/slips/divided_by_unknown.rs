//! Divided by the unknown, or by something with it, that may be zero: `x^2 = 5x` to `x = 5`.

use super::Slip;
use super::only_letter;
use crate::ids::SlipId;
use algebra::budget::Budget;
use algebra::normal::{Monomial, Normaliser, Poly, Values, exact_quotient, gcd};
use algebra::{Expr, Line, Rational};

/// Divided by what may be zero: `x^2 = 5x` to `x = 5`, `2 sin x cos x = cos x` to `2 sin x = 1`.
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
        let factor = common_factor(l.numerator(), r.numerator(), &mut budget);
        let Ok(difference) = l.minus(&r, &mut budget) else { return Vec::new() };
        let whole = difference.numerator();
        let content = whole.monomial_content();
        let atoms = content.iter().map(|(atom, _)| {
            Poly::term(Monomial::atom(atom.clone()), Rational::from_integer(1.into()))
        });
        atoms
            .chain(factor)
            .filter(|factor| factor.symbols().contains(&letter))
            .filter_map(|factor| exact_quotient(whole, &factor, &mut budget).ok().flatten())
            .filter(|rest| !rest.symbols().is_empty())
            .map(|rest| Line::equation(rest.to_expr(), Expr::int(0)))
            .collect()
    }
}

/// What both sides have as a factor, where that is more than letters and numbers: the `x - 1` of `x(x-1) = 3(x-1)`.
fn common_factor(left: &Poly, right: &Poly, budget: &mut Budget) -> Option<Poly> {
    let common = gcd(left, right, budget).ok()?;
    let common = common.without(&common.monomial_content());
    (!common.symbols().is_empty()).then_some(common)
}
