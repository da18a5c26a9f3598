//! One expression written as another that is equal to it.

use super::{Move, size, summands};
use algebra::solve::as_derivative;
use algebra::{Expr, ExprKind, Function};

/// How `to` was made from `from`; `None` when it has no short name.
pub(super) fn between(from: &Expr, to: &Expr) -> Option<Move> {
    let both = |test: &dyn Fn(&Expr) -> bool| (test(from), test(to));
    let has = |expr: &Expr, test: &dyn Fn(&Expr) -> bool| expr.any(&mut |part| test(part));
    if let Some(found) = differentiation(from, to) {
        return Some(found);
    }
    if has(from, &is_unit) || has(to, &is_unit) {
        return (units(from) != units(to)).then_some(Move::ChangeUnits).or(Some(Move::Evaluate));
    }
    if from.symbols().is_empty() && to.symbols().is_empty() {
        return Some(of_numbers(from, to));
    }
    if (has(from, &is_circular) || has(to, &is_circular)) && circular(from) != circular(to) {
        return Some(Move::Trigonometry);
    }
    if logarithms(from) != logarithms(to) {
        return Some(Move::LogarithmLaws);
    }
    if root_below(from) && !root_below(to) {
        return Some(Move::Rationalise);
    }
    if is_completed(to) && !is_completed(from) {
        return Some(Move::CompleteSquare);
    }
    match both(&|expr| expr.any(&mut is_product_with_sum)) {
        (true, false) if !is_fraction(from) => return Some(Move::MultiplyOut),
        (false, true) if !is_fraction(from) && !is_fraction(to) => return Some(Move::Factorise),
        _ => {}
    }
    let parts = (summands(from).len(), summands(to).len());
    match both(&is_fraction) {
        (false, true) if parts.0 > 1 && has(from, &is_fraction) => Some(Move::CommonDenominator),
        (true, _) if parts.1 > 1 && has(to, &is_fraction) && !is_single_fraction(to) => {
            Some(Move::SplitFraction)
        }
        (true, _) if size(to) < size(from) => Some(Move::Cancel),
        (true, true) if has(to, &|part| is_product_with_sum(part)) => Some(Move::Factorise),
        _ if parts.1 < parts.0 => Some(Move::Collect),
        _ if roots(from) != roots(to) => Some(Move::SimplifyRoot),
        _ if powers(from) != powers(to) => Some(Move::Indices),
        _ if size(to) < size(from) => Some(Move::Evaluate),
        _ => None,
    }
}

/// The rule by which a derivative above was taken; `None` where none stands there, or it still does.
fn differentiation(from: &Expr, to: &Expr) -> Option<Move> {
    let derivatives = |expr: &Expr| {
        let mut found = Vec::new();
        expr.any(&mut |part| {
            if let Some((letter, inside)) = as_derivative(part) {
                found.push((letter.to_owned(), inside.clone()));
            }
            false
        });
        found
    };
    let (before, after) = (derivatives(from), derivatives(to));
    let (letter, inside) = before.iter().find(|one| !after.contains(one))?;
    let has = |part: &Expr| part.symbols().contains(letter);
    let is_letter = |part: &Expr| matches!(&part.kind, ExprKind::Symbol(name) if name == letter);
    Some(match &inside.kind {
        ExprKind::Multiply(a, b) if has(a) && has(b) => Move::ProductRule,
        ExprKind::Divide(_, b) if has(b) => Move::QuotientRule,
        ExprKind::Power(base, exponent) if !is_letter(base) && !is_letter(exponent) => {
            Move::ChainRule
        }
        ExprKind::Root { radicand, .. } if !is_letter(radicand) => Move::ChainRule,
        ExprKind::Call { arguments, .. } if !arguments.iter().all(is_letter) => Move::ChainRule,
        _ => Move::Differentiate,
    })
}

/// Whether brackets that stand above are gone below.
pub(super) fn multiplies_out(from: &[Expr], to: &[Expr]) -> bool {
    let has = |sides: &[Expr]| sides.iter().any(|side| side.any(&mut is_product_with_sum));
    has(from) && !has(to)
}

fn of_numbers(from: &Expr, to: &Expr) -> Move {
    if root_below(from) && !root_below(to) {
        Move::Rationalise
    } else if logarithms(from) != logarithms(to) && logarithms(to) > 0 {
        Move::LogarithmLaws
    } else if roots(from) > 0 && roots(to) > 0 {
        Move::SimplifyRoot
    } else if matches!((&from.kind, &to.kind), (ExprKind::Divide(..), ExprKind::Divide(..)))
        && [from, to].iter().all(|e| size(e) == 3)
        && size_of_numbers(to) < size_of_numbers(from)
    {
        Move::Cancel
    } else {
        Move::Evaluate
    }
}

/// The digits of all numbers together: `6/8` has more in it than `3/4`.
fn size_of_numbers(expr: &Expr) -> f64 {
    let mut sum = 0.0;
    expr.any(&mut |part| {
        if let Some(value) = part.as_plain_number() {
            sum += num_traits::ToPrimitive::to_f64(&value).unwrap_or(0.0);
        }
        false
    });
    sum
}

pub(super) fn is_sum(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..))
}

/// `3(x + 1)`, `(x + 1)^2`
pub(super) fn is_product_with_sum(expr: &Expr) -> bool {
    let with_letter = |e: &Expr| is_sum(e) && !e.symbols().is_empty();
    match &expr.kind {
        ExprKind::Multiply(a, b) => with_letter(a) || with_letter(b),
        ExprKind::Negative(a) => with_letter(a),
        ExprKind::Subtract(_, b) => with_letter(b),
        ExprKind::Power(a, n) => {
            with_letter(a)
                && n.as_plain_number()
                    .is_some_and(|n| n.is_integer() && n > algebra::number::from_int(1))
        }
        _ => false,
    }
}

/// `(x + 3)^2 - 4` and its like, with at least one term behind the square.
fn is_completed(expr: &Expr) -> bool {
    let is_square = |part: &Expr| {
        part.any(&mut |p| {
            matches!(&p.kind, ExprKind::Power(base, two)
                if is_sum(base) && !base.symbols().is_empty() && **two == Expr::int(2))
        })
    };
    let parts = summands(expr);
    let squares = parts.iter().filter(|part| is_square(part)).count();
    squares == 1 && parts.len() == 2 && parts.iter().any(|part| part.symbols().is_empty())
}

fn is_fraction(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Divide(..))
}

fn is_single_fraction(expr: &Expr) -> bool {
    is_fraction(expr) || matches!(&expr.kind, ExprKind::Negative(a) if is_fraction(a))
}

fn is_unit(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Unit(_))
}

fn units(expr: &Expr) -> Vec<String> {
    let mut found = Vec::new();
    expr.any(&mut |part| {
        if is_unit(part) {
            found.push(algebra::write::text(part));
        }
        false
    });
    found
}

fn is_circular(expr: &Expr) -> bool {
    circular_function(expr).is_some()
}

fn circular_function(expr: &Expr) -> Option<Function> {
    use Function::{Arccos, Arccot, Arccsc, Arcsec, Arcsin, Arctan, Cos, Cot, Csc, Sec, Sin, Tan};
    match &expr.kind {
        ExprKind::Call { function: f @ (Sin | Cos | Tan | Sec | Csc | Cot), .. } => Some(*f),
        ExprKind::Call {
            function: f @ (Arcsin | Arccos | Arctan | Arcsec | Arccsc | Arccot),
            ..
        } => Some(*f),
        _ => None,
    }
}

/// Every trigonometric function of an expression with its angle, in order.
fn circular(expr: &Expr) -> Vec<String> {
    let mut found = Vec::new();
    expr.any(&mut |part| {
        if is_circular(part) {
            found.push(algebra::write::text(part));
        }
        false
    });
    found.sort();
    found.dedup();
    found
}

fn count(expr: &Expr, test: impl Fn(&Expr) -> bool) -> usize {
    let mut found = 0;
    expr.any(&mut |part| {
        found += usize::from(test(part));
        false
    });
    found
}

fn logarithms(expr: &Expr) -> usize {
    count(expr, |part| {
        matches!(part.kind, ExprKind::Call { function: Function::Ln | Function::Log, .. })
    })
}

fn is_root(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Root { .. })
}

fn roots(expr: &Expr) -> usize {
    count(expr, is_root)
}

fn powers(expr: &Expr) -> usize {
    count(expr, |part| matches!(part.kind, ExprKind::Power(..)))
}

/// Whether a root stands in a denominator.
fn root_below(expr: &Expr) -> bool {
    expr.any(&mut |part| {
        matches!(&part.kind, ExprKind::Divide(_, below) if below.any(&mut |p| is_root(p)))
    })
}
