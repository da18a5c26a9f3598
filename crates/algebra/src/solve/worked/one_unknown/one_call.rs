//! A polynomial in one function of the unknown, as it was typed: `2 sin² x - sin x - 1 = 0`, `(ln x)² - 3 ln x + 2 = 0`.

use super::{Writer, any_of};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::{Normaliser, Univariate, Values, irreducible_factors};
use crate::role::Role;
use crate::solve::Rule;

/// A letter of our own in place of the function, which nobody can type.
const CALL: &str = "function of the line";

impl Writer<'_> {
    /// Factorises in the function, and says which values it may have. Gives whether it did.
    pub(super) fn in_one_call(&mut self, line: &Line) -> bool {
        let Some((call, poly)) = one_call(line, self.letter) else { return false };
        let mut budget = Budget::for_verdict();
        let Ok(all) = irreducible_factors(&poly.to_poly(CALL), &mut budget) else { return false };
        let roots: Option<Vec<Expr>> = all
            .iter()
            .map(|(factor, _)| {
                let linear = Univariate::from_poly(factor, CALL)?;
                match linear.coefficients() {
                    [b, a] => Some(Expr::rational(&(-b / a))),
                    _ => None,
                }
            })
            .collect();
        let (Some(roots), true) = (roots, all.iter().map(|(_, n)| n).sum::<u32>() > 1) else {
            return false;
        };
        let Some(product) = crate::solve::product_of_factors(&poly.to_poly(CALL), &mut budget)
        else {
            return false;
        };
        let zero = Line::equation(product.with(CALL, &call), Expr::int(0));
        self.push(zero, Rule::TreatAsOne(call.clone()), Role::Follows);
        let is = |value: Expr| Line::equation(call.clone(), value);
        let role = if roots.len() > 1 { Role::Splits } else { Role::Follows };
        self.push(any_of(roots.into_iter().map(is).collect()), Rule::ZeroProduct, role);
        true
    }
}

/// The one function that the unknown stands in, and the line as a polynomial in it, all on one side.
fn one_call(line: &Line, letter: &str) -> Option<(Expr, Univariate)> {
    let (left, right) = line.as_equation()?;
    let mut calls: Vec<Expr> = Vec::new();
    let mut replaced = |side: &Expr| {
        side.map(&mut |part| {
            let is_call = matches!(&part.kind, ExprKind::Call { function, .. }
                if matches!(function, Function::Sin | Function::Cos | Function::Tan | Function::Ln | Function::Log));
            if !is_call || !part.symbols().contains(letter) {
                return part;
            }
            if !calls.contains(&part) {
                calls.push(part);
            }
            Expr::symbol(CALL)
        })
    };
    let (left, right) = (replaced(left), replaced(right));
    let [call] = &calls[..] else { return None };
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let (l, r) = (forms.build(&left).ok()?, forms.build(&right).ok()?);
    let poly = l.minus(&r, &mut budget).ok()?.as_poly()?;
    let one = Univariate::from_poly(&poly, CALL)?;
    (one.degree() > 1).then(|| (call.clone(), one))
}
