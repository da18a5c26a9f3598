//! Turned a sign inside the bars for the second case: `|x + 1| = 4` to `x + 1 = 4 or x - 1 = 4`.

use super::rewriting::lines;
use algebra::solve::{Solutions, solutions};
use algebra::{Expr, ExprKind, Line};

lines! {
    /// Turned a sign inside the bars for the second case: `|x + 1| = 4` to `x + 1 = 4 or x - 1 = 4`.
    CaseSignWrong, "case-sign-wrong",
    student: "What stands inside the bars is that number or its opposite: the whole other side changes its sign.",
    teacher: "Turned a sign inside the bars instead of the other side.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let ExprKind::Absolute(inside) = &left.kind else { return Vec::new() };
    let turned = match &inside.kind {
        ExprKind::Add(a, b) => a.as_ref().clone().minus(b.as_ref().clone()),
        ExprKind::Subtract(a, b) => a.as_ref().clone().plus(b.as_ref().clone()),
        _ => return Vec::new(),
    };
    let first = Line::equation(inside.as_ref().clone(), right.clone());
    let mut found = vec![Line::AnyOf(vec![first.clone(), Line::equation(turned, right.clone())])];
    let letters = line.symbols();
    if let (Some(letter), 1) = (letters.first(), letters.len())
        && let Ok(Solutions::Finite(all)) = solutions(&first, letter)
        && let [only] = &all[..]
        && let Some(value) = only.as_rational()
    {
        let told = |value: Expr| Line::equation(Expr::symbol(letter), value);
        found.push(Line::AnyOf(vec![told(Expr::rational(&value)), told(Expr::rational(&-value))]));
    }
    found
}
