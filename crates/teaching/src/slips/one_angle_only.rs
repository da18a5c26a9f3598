//! Gave one angle where several have the value: `cos x = 1/2` to `x = 60°`.

use super::rewriting::{call, lines};
use algebra::{ExprKind, Function, Line};

lines! {
    /// Gave one angle where several have the value: `cos x = 1/2` to `x = 60°`.
    OneAngleOnly, "one-angle-only",
    student: "Look at the whole circle: which other angle has the same value?",
    teacher: "Gave only one of the angles.",
}

fn wrong(line: &Line) -> Vec<Line> {
    let Some((left, right)) = line.as_equation() else { return Vec::new() };
    let Some((function, angle, _)) = call(left) else { return Vec::new() };
    let inverse = match function {
        Function::Sin => Function::Arcsin,
        Function::Cos => Function::Arccos,
        Function::Tan => Function::Arctan,
        _ => return Vec::new(),
    };
    if angle.symbols().is_empty() || !right.symbols().is_empty() {
        return Vec::new();
    }
    let one = ExprKind::Call { function: inverse, arguments: vec![right.clone()] };
    vec![Line::equation(angle.clone(), one.into())]
}
