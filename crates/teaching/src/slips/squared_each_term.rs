//! Raised each term of a sum to the power: `(x + 3)^2` to `x^2 + 9`.

use super::rewriting::{everywhere, lines, power};
use algebra::{Expr, ExprKind, Line};

lines! {
    /// Raised each term of a sum to the power: `(x + 3)^2` to `x^2 + 9`.
    SquaredEachTerm, "squared-each-term",
    student: "Write the bracket out twice and multiply: there is more than two squares.",
    teacher: "Raised each term of a sum to the power separately.",
}

fn raised_apart(expr: &Expr) -> Vec<Expr> {
    let ExprKind::Power(base, n) = &expr.kind else { return Vec::new() };
    let raised = |e: &Expr| power(e.clone(), n.as_ref().clone());
    match &base.kind {
        ExprKind::Add(a, b) => vec![raised(a).plus(raised(b))],
        ExprKind::Subtract(a, b) => vec![raised(a).minus(raised(b)), raised(a).plus(raised(b))],
        _ => Vec::new(),
    }
}

fn wrong(line: &Line) -> Vec<Line> {
    let mut found = everywhere(line, &raised_apart);
    let Some((left, right)) = line.as_equation() else { return found };
    let has_root =
        |e: &Expr| e.any(&mut |part| matches!(part.kind, ExprKind::Root { index: 2, .. }));
    // `√x + 3 = 7` to `x + 9 = 49`: every term of both sides squared by itself.
    if (has_root(left) || has_root(right))
        && let (Some(left), Some(right)) = (squared(left), squared(right))
    {
        found.push(Line::equation(left, right));
    }
    found
}

/// A sum with each of its terms squared, the signs as they were.
fn squared(expr: &Expr) -> Option<Expr> {
    Some(match &expr.kind {
        ExprKind::Add(a, b) => squared(a)?.plus(squared(b)?),
        ExprKind::Subtract(a, b) => squared(a)?.minus(squared(b)?),
        ExprKind::Root { index: 2, radicand } => radicand.as_ref().clone(),
        _ => expr.clone().to_the(2),
    })
}
