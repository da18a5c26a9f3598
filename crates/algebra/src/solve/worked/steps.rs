//! How the lines of a solution write their numbers.

use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::number::{Notation, Rational, Written, decimal_places, to_decimal_text};
use num_traits::Signed;

/// How the numbers of a solution are written: as the problem writes its own.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum Style {
    Fractions,
    Decimals,
}

impl Style {
    pub fn of(line: &Line) -> Self {
        let decimal = |part: &Expr| {
            matches!(&part.kind, ExprKind::Number(w)
                if matches!(w.notation(), Notation::Decimal { .. }))
        };
        let any = line.expressions().into_iter().any(|expr| expr.any(&mut |p| decimal(p)));
        if any { Self::Decimals } else { Self::Fractions }
    }

    pub fn number(self, value: &Rational) -> Expr {
        let places = decimal_places(value).filter(|&p| p > 0 && p <= 6);
        match (self, places) {
            (Self::Decimals, Some(places)) => {
                let text = to_decimal_text(&value.abs(), places);
                let written = Written::decimal(&text).map(|w| ExprKind::Number(w).into());
                let size: Expr = written.unwrap_or_else(|| Expr::rational(&value.abs()));
                if value.is_negative() { size.negative() } else { size }
            }
            _ => Expr::rational(value),
        }
    }
}
