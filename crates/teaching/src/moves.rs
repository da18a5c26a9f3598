//! Moves: legal reasons between two lines, named as a teacher says them.
//!
//! A move is recognised by what it does to the two sides, not by how the line is spelled.

use crate::words::math;
use algebra::normal::{Normaliser, Quotient, Values};
use algebra::solve::Proportion;
use algebra::{Expr, Line, budget::Budget};

/// What was done between two lines that are known to be equivalent; `None` when it has no short name.
#[must_use]
pub fn named(from: &Line, to: &Line) -> Option<String> {
    match (from, to) {
        (Line::Expression(a), Line::Expression(b)) => rewritten(a, b).map(str::to_owned),
        _ => between_equations(from, to),
    }
}

fn form(expr: &Expr, budget: &mut Budget) -> Option<Quotient> {
    Normaliser::new(&Values::new(), budget).build(expr).ok()
}

fn rewritten(from: &Expr, to: &Expr) -> Option<&'static str> {
    use algebra::ExprKind::{Add, Multiply, Subtract};
    let is_sum = |e: &Expr| matches!(e.kind, Add(..) | Subtract(..));
    let product_with_sum =
        |e: &Expr| e.any(&mut |p| matches!(&p.kind, Multiply(a, b) if is_sum(a) || is_sum(b)));
    let size = |e: &Expr| {
        let mut parts = 0;
        e.any(&mut |_| {
            parts += 1;
            false
        });
        parts
    };
    match (product_with_sum(from), product_with_sum(to)) {
        (true, false) => Some("multiplied out"),
        (false, true) => Some("factorised"),
        _ if size(to) < size(from) => Some("worked out"),
        _ => None,
    }
}

fn between_equations(from: &Line, to: &Line) -> Option<String> {
    let ((fl, fr), (tl, tr)) = (from.as_equation()?, to.as_equation()?);
    let budget = &mut Budget::for_verdict();
    let (a, b) = (form(fl, budget)?, form(fr, budget)?);
    let (c, d) = (form(tl, budget)?, form(tr, budget)?);
    let same = |x: &Quotient, y: &Quotient, budget: &mut Budget| {
        x.minus(y, budget).is_ok_and(|difference| difference.is_zero())
    };
    if same(&a, &d, budget) && same(&b, &c, budget) && !same(&a, &c, budget) {
        return Some("swapped the sides".into());
    }
    let left = c.minus(&a, budget).ok()?;
    let right = d.minus(&b, budget).ok()?;
    if left.is_zero() && right.is_zero() {
        return rewritten(fl, tl).or_else(|| rewritten(fr, tr)).map(str::to_owned);
    }
    if same(&left, &right, budget) {
        let taken = left.numerator().leading() < algebra::number::from_int(0);
        let shown = if taken { left.negated() } else { left };
        let shown = math(&shown.to_expr());
        return Some(if taken {
            format!("subtracted {shown} from both sides")
        } else {
            format!("added {shown} to both sides")
        });
    }
    if Proportion::of(from).is_some() && to.as_equation().is_some() {
        let numerators = [&c, &d].iter().all(|side| side.denominator().as_constant().is_some());
        let is_cross = numerators && !(is_single(tl) && is_single(tr));
        if is_cross {
            return Some("cross-multiplied".into());
        }
    }
    let (before, after) = if b.is_zero() { (&a, &c) } else { (&b, &d) };
    if before.is_zero() || after.is_zero() {
        return None;
    }
    let by = after.numerator().leading() / before.numerator().leading();
    let scale = Quotient::constant(by.clone());
    let scaled_left = a.times(&scale, budget).ok()?;
    let scaled_right = b.times(&scale, budget).ok()?;
    if !same(&scaled_left, &c, budget) || !same(&scaled_right, &d, budget) {
        return None;
    }
    let one = algebra::number::from_int(1);
    let divides = by.numer() == one.numer() || by.numer() == &-one.numer();
    Some(if divides && by != -one {
        format!("divided both sides by {}", math(&Expr::rational(&by.recip())))
    } else {
        format!("multiplied both sides by {}", math(&Expr::rational(&by)))
    })
}

fn is_single(expr: &Expr) -> bool {
    matches!(expr.kind, algebra::ExprKind::Symbol(_)) || expr.as_plain_number().is_some()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn moves_are_named_as_a_teacher_says_them() {
        for (from, to, expected) in [
            ("x + 7 = 12",     "x = 5",         Some("subtracted $7$ from both sides")),
            ("3x - 4 = 11",    "3x = 15",       Some("added $4$ to both sides")),
            ("5x + 1 = 2x + 7","3x + 1 = 7",    Some("subtracted $2x$ from both sides")),
            ("4x = 20",        "x = 5",         Some("divided both sides by $4$")),
            ("x/3 = 4",        "x = 12",        Some("multiplied both sides by $3$")),
            ("3(2x-5) = 27",   "6x - 15 = 27",  Some("multiplied out")),
            ("3(2x-5) = 27",   "2x - 5 = 9",    Some("divided both sides by $3$")),
            ("3x + 2x = 10",   "5x = 10",       Some("worked out")),
            ("9 = 3x",         "3x = 9",        Some("swapped the sides")),
            ("n/6 = 10/15",    "15n = 60",      Some("cross-multiplied")),
            ("3(x+4)",         "3x + 12",       Some("multiplied out")),
            ("3x = 12",        "x = 4",         Some("divided both sides by $3$")),
            ("x^2 = 4",        "x = ±2",        None),
        ] {
            let read = |text: &str| algebra::read_line(text).expect(text).line;
            assert_eq!(named(&read(from), &read(to)).as_deref(), expected, "{from} -> {to}");
        }
    }
}
