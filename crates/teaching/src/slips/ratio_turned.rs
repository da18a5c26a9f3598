//! Turned a ratio round: `a:b = 3:4` to `3a = 4b`.

use super::rewriting::lines;
use algebra::{Expr, ExprKind, Line};

lines! {
    /// Turned a ratio round: `a:b = 3:4` to `3a = 4b`.
    RatioTurned, "ratio-turned",
    student: "The order of a ratio matters: which number belongs to which?",
    teacher: "Turned a ratio round.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let turned = |e: &Expr| match &e.kind {
        ExprKind::Ratio(parts) => {
            let parts = parts.iter().rev().cloned().collect();
            Some(Expr::from(ExprKind::Ratio(parts)))
        }
        _ => None,
    };
    match line {
        Line::Expression(expr) => turned(expr).map(Line::Expression).into_iter().collect(),
        _ => {
            let Some((left, right)) = line.as_equation() else { return Vec::new() };
            turned(right).map(|right| Line::equation(left.clone(), right)).into_iter().collect()
        }
    }
}
