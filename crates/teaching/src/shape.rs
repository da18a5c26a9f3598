//! What a line is by its shape: an answer, a rounding, a calculation beside the working.

use algebra::{Expr, ExprKind, Line, Relation, Role};

/// What a line that follows is for, by its shape.
pub fn role(line: &Line) -> Role {
    match line {
        _ if line.is_rounded() => Role::Rounds,
        _ if solved(line) => Role::Concludes,
        Line::AnyOf(_) => Role::Splits,
        _ => Role::Follows,
    }
}

/// `x ≈ 10.4` as `x = 10.4`.
pub fn as_equation(line: &Line) -> Option<Line> {
    match line {
        Line::Relations { sides, .. } => match &sides[..] {
            [left, right] => Some(Line::equation(left.clone(), right.clone())),
            _ => None,
        },
        Line::Rounded(value) => Some(Line::Expression(value.clone())),
        _ => None,
    }
}

/// `x = 10.4` as `x ≈ 10.4`, `10.4` as `≈ 10.4`; a line that is rounded stays as it is.
pub fn with_near(line: &Line) -> Option<Line> {
    match line {
        Line::Expression(value) if value.symbols().is_empty() => Some(Line::Rounded(value.clone())),
        Line::Relations { sides, relations }
            if matches!(relations[..], [Relation::Equal | Relation::Approximate]) =>
        {
            let relations = vec![Relation::Approximate];
            Some(Line::Relations { sides: sides.clone(), relations })
        }
        Line::Rounded(_) => Some(line.clone()),
        _ => None,
    }
}

/// What the next line is compared with: below an expression `3(x + 4) = 3x + 12` goes on from its last side.
pub fn carried(before: &Line, line: &Line) -> Line {
    match (before, line) {
        (Line::Expression(_), Line::Relations { sides, relations })
            if relations.iter().all(|relation| *relation == Relation::Equal) =>
        {
            sides.last().map_or_else(|| line.clone(), |last| Line::Expression(last.clone()))
        }
        _ => line.clone(),
    }
}

/// Whether a line tells solutions and nothing is left to do: a letter alone on the left, and numbers worked out.
pub fn solved(line: &Line) -> bool {
    let is_letter = |expr: &Expr| matches!(expr.kind, ExprKind::Symbol(_));
    match line {
        Line::NoSolution | Line::AllReals | Line::Set(_) => true,
        Line::AnyOf(lines) | Line::AllOf(lines) => lines.iter().all(solved),
        Line::Relations { sides, relations } => match (&sides[..], &relations[..]) {
            ([left, right], [relation]) if *relation != Relation::Approximate => {
                is_letter(left) && right.symbols().is_empty() && is_worked_out(right)
            }
            ([low, middle, high], _) => {
                is_letter(middle) && low.symbols().is_empty() && high.symbols().is_empty()
            }
            _ => false,
        },
        _ => false,
    }
}

/// A fraction that could still be reduced is the right value, but not the answer yet.
fn is_worked_out(value: &Expr) -> bool {
    if value.as_plain_number().is_none() && !is_plain_quotient(value) {
        return true;
    }
    algebra::form::Form::LowestTerms.fits(&Line::Expression(value.clone()))
        || matches!(&value.kind, algebra::ExprKind::Number(_))
        || matches!(&value.kind, algebra::ExprKind::Negative(a)
            if matches!(a.kind, algebra::ExprKind::Number(_)))
}

/// A fraction of two numbers, or its opposite.
fn is_plain_quotient(value: &Expr) -> bool {
    let value = match &value.kind {
        ExprKind::Negative(inner) => inner,
        _ => value,
    };
    matches!(
        &value.kind,
        ExprKind::Divide(..) | ExprKind::Multiply(..) | ExprKind::Add(..) | ExprKind::Subtract(..)
    ) && !value.any(&mut |part| {
        matches!(
            part.kind,
            ExprKind::Root { .. }
                | ExprKind::Call { .. }
                | ExprKind::Constant(_)
                | ExprKind::Power(..)
        )
    })
}

/// A calculation with numbers alone that does not go on from the line above: `12 ÷ 3 = 4` under a line with letters,
/// `7 + 5 = 12` under `347 + 285`.
pub fn is_side_calculation(above: &Line, line: &Line) -> bool {
    let Line::Relations { sides, .. } = line else { return false };
    let goes_on = match above {
        Line::Expression(value) => {
            matches!(algebra::equal(value, &sides[0]), algebra::Verdict::Equal { .. })
        }
        _ => above.symbols().is_empty(),
    };
    line.symbols().is_empty() && !goes_on
}
