//! `□ + 5 = 12`: a box is answered by `□ = 7`, by `7`, and by `7 + 5 = 12`.

use super::compare_given;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::read::BLANK;
use crate::verdict::{Setting, StepVerdict};

/// Compares a line without a box with one that has one; `None` when they are no such, or the second fills nothing in.
pub(super) fn compare(from: &Line, to: &Line, setting: &Setting) -> Option<StepVerdict> {
    let letters = from.symbols();
    if letters.len() != 1 || !letters.contains(BLANK) || !to.symbols().is_empty() {
        return None;
    }
    let told = match (from, to) {
        (_, Line::Expression(value)) => value.clone(),
        (
            Line::Relations { sides: before, relations: a },
            Line::Relations { sides: after, relations: b },
        ) if a == b && before.len() == after.len() => {
            let mut found = None;
            let fits = before.iter().zip(after).all(|(x, y)| fills(x, y, &mut found));
            found.filter(|_| fits)?
        }
        _ => return None,
    };
    Some(compare_given(from, &Line::equation(Expr::symbol(BLANK), told), setting))
}

/// Whether `after` is `before` with one and the same value in every box.
fn fills(before: &Expr, after: &Expr, found: &mut Option<Expr>) -> bool {
    if matches!(&before.kind, ExprKind::Symbol(name) if name == BLANK) {
        let same = found.as_ref().is_none_or(|known| known == after);
        found.get_or_insert_with(|| after.clone());
        return same;
    }
    let (parts, others) = (before.children(), after.children());
    if parts.is_empty() {
        return before == after;
    }
    std::mem::discriminant(&before.kind) == std::mem::discriminant(&after.kind)
        && parts.len() == others.len()
        && parts.iter().zip(others).all(|(a, b)| fills(a, b, found))
}
