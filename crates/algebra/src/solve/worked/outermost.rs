//! A change to the outermost parts of an expression that it fits: how a line of a board differs from the one above.

use crate::expr::Expr;

/// Applies `change` to the outermost parts that it fits, all at once, and to nothing inside what is `closed`;
/// `None` when it fits none.
pub(super) fn changed(
    expr: &Expr,
    closed: &dyn Fn(&Expr) -> bool,
    change: &dyn Fn(&Expr) -> Option<Expr>,
) -> Option<Expr> {
    let mut any = false;
    let found = rewritten(expr, closed, change, &mut any);
    any.then_some(found)
}

fn rewritten(
    expr: &Expr,
    closed: &dyn Fn(&Expr) -> bool,
    change: &dyn Fn(&Expr) -> Option<Expr>,
    any: &mut bool,
) -> Expr {
    if closed(expr) {
        return expr.clone();
    }
    if let Some(found) = change(expr) {
        *any = true;
        return found;
    }
    expr.with_parts(&mut |part| rewritten(part, closed, change, any))
}
