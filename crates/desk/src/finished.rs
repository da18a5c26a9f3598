//! Whether what stands at the end of a line is worked out: no sum, no product and no fraction is left to be reckoned.

use algebra::form::Form;
use algebra::number::Notation;
use algebra::step::exact_value;
use algebra::{Expr, ExprKind, Line, Relation};

/// Whether a number is written with places.
pub(super) fn is_decimal(value: &Expr) -> bool {
    matches!(&value.kind, ExprKind::Number(written)
        if matches!(written.notation(), Notation::Decimal { .. }))
}

/// An inequality with its letter on the right, written the other way round.
pub(super) fn turned(line: &Line) -> Option<Line> {
    let Line::Relations { sides, relations } = line else { return None };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return None };
    let is_letter = |side: &Expr| matches!(side.kind, ExprKind::Symbol(_));
    let turns = !matches!(relation, Relation::Equal | Relation::Approximate);
    (turns && is_letter(right) && !is_letter(left)).then(|| Line::Relations {
        sides: vec![right.clone(), left.clone()],
        relations: vec![relation.turned()],
    })
}

/// Whether a product still has two numbers in it: `2 × 4√3`.
pub(super) fn has_two_numbers(part: &Expr) -> bool {
    fn numbers(part: &Expr) -> usize {
        match &part.kind {
            ExprKind::Multiply(left, right) => numbers(left) + numbers(right),
            _ => usize::from(part.as_plain_number().is_some()),
        }
    }
    matches!(part.kind, ExprKind::Multiply(..)) && numbers(part) > 1
}

/// The values that a solved line tells.
pub(super) fn values_of(line: &Line) -> Vec<&Expr> {
    match line {
        Line::AnyOf(lines) | Line::AllOf(lines) => lines.iter().flat_map(values_of).collect(),
        line => line.as_equation().map(|(_, value)| value).into_iter().collect(),
    }
}

/// Whether numbers are still to be added or multiplied: `8 - 3`, `2 × 5`.
pub(super) fn is_unfinished(value: &Expr) -> bool {
    let is_plain = |part: &Expr| part.as_plain_number().is_some();
    exact_value(value).is_some()
        && value.any(&mut |part| match &part.kind {
            ExprKind::Add(..) | ExprKind::Subtract(..) => true,
            ExprKind::Multiply(left, right) => is_plain(left) && is_plain(right),
            _ => false,
        })
}

/// The base that a numeral is marked with: `1011_2`, `2F_{16}`.
pub(super) fn base_of(numeral: &str) -> Option<u32> {
    let (_, mark) = numeral.rsplit_once('_')?;
    mark.trim_matches(['{', '}']).parse().ok()
}

/// Whether a value is a numeral in that base.
pub(super) fn is_based(value: &Expr, expected: u32) -> bool {
    matches!(&value.kind, ExprKind::Number(written)
        if matches!(written.notation(), Notation::Based { base, .. } if *base == expected))
}

/// Whether nothing is left to be worked out: `34`, `-3/4`, `2 1/2`, `12%`; not `68/2`, nor `402_5`.
pub(super) fn is_worked_out(value: &Expr) -> bool {
    let is_plain = |part: &Expr| {
        matches!(&part.kind, ExprKind::Number(written)
            if !matches!(written.notation(), algebra::number::Notation::Based { .. }))
    };
    match &value.kind {
        ExprKind::Negative(inside) | ExprKind::Percent(inside) | ExprKind::Degree(inside) => {
            is_worked_out(inside)
        }
        ExprKind::Divide(above, below) => {
            is_plain(above)
                && is_plain(below)
                && Form::LowestTerms.fits(&Line::Expression(value.clone()))
        }
        _ => is_plain(value),
    }
}
