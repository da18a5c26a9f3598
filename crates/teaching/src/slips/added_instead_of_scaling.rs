//! Added the difference instead of scaling: `n/6 = 10/15` to `n = 10 - 9`.

use super::Slip;
use crate::ids::SlipId;
use algebra::number::from_int;
use algebra::solve::{Place, Proportion};
use algebra::{Expr, ExprKind, Line};

/// Added the difference instead of scaling: `n/6 = 10/15` to `n = 10 - 9`.
pub struct AddedInsteadOfScaling;

impl AddedInsteadOfScaling {
    /// Its id.
    pub const ID: SlipId = SlipId::new("added-instead-of-scaling");
}

impl Slip for AddedInsteadOfScaling {
    fn id(&self) -> SlipId {
        Self::ID
    }

    fn to_student(&self) -> &'static str {
        "A ratio grows by multiplying, not by adding the same to both. By what is the known pair multiplied?"
    }

    fn to_teacher(&self) -> &'static str {
        "Added the same amount to both terms instead of multiplying both."
    }

    fn wrong(&self, line: &Line) -> Vec<Line> {
        // `4:6` to `5:7`: the same added to each term.
        if let Line::Expression(expr) = line {
            let ExprKind::Ratio(parts) = &expr.kind else { return Vec::new() };
            let shifted = |n: i64| {
                let parts = parts.iter().map(|part| part.clone().plus(Expr::int(n)));
                Line::Expression(ExprKind::Ratio(parts.collect()).into())
            };
            let least = parts.iter().filter_map(Expr::as_plain_number).min();
            let fits =
                |n: &i64| *n > 0 || least.as_ref().is_some_and(|least| *least > from_int(-n));
            return (-10..=10).filter(|n| *n != 0).filter(fits).map(shifted).collect();
        }
        let Some(proportion) = Proportion::of(line) else { return Vec::new() };
        let terms = proportion.completed();
        let at = Place::ALL.iter().position(|&p| p == proportion.place()).unwrap_or(0);
        let (partner, own, other) = (&terms[at ^ 2], &terms[at ^ 1], &terms[at ^ 3]);
        let wrong = partner + (own - other);
        if wrong == terms[at] {
            return Vec::new();
        }
        let letter = Expr::symbol(proportion.letter());
        vec![Line::equation(letter, Expr::rational(&wrong))]
    }
}
