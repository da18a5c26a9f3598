//! An equation with several absolute values: between the places where a bar is zero, each inside has one sign, and the
//! bars can be opened.

use super::any_of;
use crate::budget::Budget;
use crate::expr::Expr;
use crate::line::{Line, Relation};
use crate::normal::{Atom, KernelKind, Normaliser, Poly, Univariate, Values};
use crate::number::{Rational, from_int};
use num_traits::Signed;

/// Most places where a bar is zero.
const PLACES: usize = 4;

/// The equation in each of its parts, with the part it is for; `None` unless its bars hold linear terms only, and more
/// than one.
pub(super) fn opened(line: &Line, letter: &str) -> Option<Line> {
    let (left, right) = line.as_equation()?;
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let sides = [forms.build(left).ok()?.as_poly()?, forms.build(right).ok()?.as_poly()?];
    let mut bars: Vec<(Atom, Univariate)> = Vec::new();
    let moving = sides.iter().flat_map(Poly::atoms).filter(|atom| atom.mentions(letter));
    for atom in moving {
        if *atom == Atom::symbol(letter) || bars.iter().any(|(known, _)| known == atom) {
            continue;
        }
        let kernel = atom.as_kernel().filter(|kernel| kernel.kind == KernelKind::Absolute)?;
        let inside = Univariate::from_poly(&kernel.arguments[0].as_poly()?, letter)?;
        (inside.degree() == 1).then_some(())?;
        bars.push((atom.clone(), inside));
    }
    if bars.len() < 2 {
        return None;
    }
    let zero = |inside: &Univariate| -&inside.coefficients()[0] / &inside.coefficients()[1];
    let mut places: Vec<Rational> = bars.iter().map(|(_, inside)| zero(inside)).collect();
    places.sort();
    places.dedup();
    if places.len() > PLACES {
        return None;
    }
    let mut parts = Vec::new();
    for at in 0..=places.len() {
        let (low, high) = (at.checked_sub(1).map(|at| &places[at]), places.get(at));
        let within = match (low, high) {
            (Some(low), Some(high)) => (low + high) / from_int(2),
            (None, Some(high)) => high - from_int(1),
            (Some(low), None) => low + from_int(1),
            (None, None) => return None,
        };
        let mut open = |side: &Poly| -> Option<Expr> {
            let mut side = side.clone();
            for (atom, inside) in &bars {
                let parts = side.by_powers_of(atom);
                let [rest, factor] = &parts[..] else { continue };
                let sign = if inside.at(&within).is_negative() { -1 } else { 1 };
                let opened = inside.to_poly(letter).scale(&from_int(sign));
                let product = factor.multiply(&opened, &mut budget).ok()?;
                side = rest.add(&product, &mut budget).ok()?;
            }
            Some(side.to_expr())
        };
        let equation = Line::equation(open(&sides[0])?, open(&sides[1])?);
        parts.push(Line::AllOf(vec![between(low, high, letter), equation]));
    }
    Some(any_of(parts))
}

/// `low ≤ x < high`, without the end that is not there.
fn between(low: Option<&Rational>, high: Option<&Rational>, letter: &str) -> Line {
    let name = Expr::symbol(letter);
    let (sides, relations) = match (low.map(Expr::rational), high.map(Expr::rational)) {
        (Some(low), Some(high)) => {
            (vec![low, name, high], vec![Relation::LessOrEqual, Relation::Less])
        }
        (Some(low), None) => (vec![name, low], vec![Relation::GreaterOrEqual]),
        (None, Some(high)) => (vec![name, high], vec![Relation::Less]),
        (None, None) => (vec![name.clone(), name], vec![Relation::Equal]),
    };
    Line::Relations { sides, relations }
}
