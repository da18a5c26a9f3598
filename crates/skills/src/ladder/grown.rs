//! The pictures of a working, line by line.

use algebra::write::text;
use algebra::{Expr, ExprKind, Function, Line};
use teaching::figure::Figure;
use teaching::ids::MethodId;
use teaching::picture;
use teaching::problem::Posed;
use teaching::skill::Skill;
use teaching::working::{Draft, Working, WorkingLine};

/// What a working is told from.
#[derive(Clone, Copy)]
pub(super) struct Told<'a> {
    pub skill: &'a dyn Skill,
    pub posed: &'a Posed,
    pub method: MethodId,
    pub working: &'a Working,
}

/// Puts the pictures of a working beside its lines: those that its skill draws, as they grow or as they are read off
/// the lines; the solutions of an inequality on a number line, and both sides of an equation that bends as curves;
/// and a ratio table with its missing number filled in where the working has found it.
pub(super) fn picture(told: &Told, figure: Option<&Figure>, lines: &mut [WorkingLine]) {
    let Told { skill, posed, method, working } = *told;
    for grown in posed.grown.iter().filter(|grown| grown.method == method) {
        if let Some(line) = lines.get_mut(grown.line) {
            line.figure = Some(grown.figure.clone());
        }
    }
    for (line, draft) in lines.iter_mut().zip(&working.0) {
        if let (None, Draft::Line { line: written, .. }) = (&line.figure, draft) {
            line.figure = skill.line_picture(posed, method, written);
        }
    }
    // A problem with a picture of its own keeps it.
    let of_line = if figure.is_some() {
        None
    } else if is_inequality(&posed.line) {
        picture::of_solutions(&posed.line)
    } else if is_curved(&posed.line) {
        picture::of_sides(&posed.line)
    } else {
        None
    };
    if let (Some(figure), Some(last)) = (of_line, lines.iter_mut().rfind(|line| line.carries())) {
        last.figure.get_or_insert(figure);
    }
    let Some(Figure::RatioTable { rows, columns }) = figure else { return };
    let Some(at) = lines.iter().rposition(WorkingLine::carries) else { return };
    let Some(Draft::Line { line: written, .. }) = working.0.get(at) else { return };
    let Some((letter, value)) = written.as_equation() else { return };
    let (letter, value) = (text(letter), text(value));
    let filled = |cell: &String| if *cell == letter { value.clone() } else { cell.clone() };
    let filled: Vec<[String; 2]> =
        columns.iter().map(|column| [filled(&column[0]), filled(&column[1])]).collect();
    if filled != *columns {
        lines[at].figure = Some(Figure::RatioTable { rows: rows.clone(), columns: filled });
    }
}

fn is_inequality(line: &Line) -> bool {
    match line {
        Line::Relations { relations, .. } => {
            relations.iter().all(|relation| relation.turned() != *relation)
        }
        _ => false,
    }
}

/// Whether an equation in one letter has a side that is no straight line.
fn is_curved(line: &Line) -> bool {
    let Some((left, right)) = line.as_equation() else { return false };
    let bends = |part: &Expr| {
        let bent = match &part.kind {
            ExprKind::Power(base, exponent) => {
                return !base.symbols().is_empty() || !exponent.symbols().is_empty();
            }
            // Angles are asked for in degrees, and have triangles for their pictures.
            ExprKind::Call { function: Function::Log | Function::Ln, arguments } => {
                return arguments.iter().any(|argument| !argument.symbols().is_empty());
            }
            ExprKind::Root { radicand, .. } => radicand,
            ExprKind::Absolute(inside) => inside,
            ExprKind::Multiply(a, b) => return !a.symbols().is_empty() && !b.symbols().is_empty(),
            _ => return false,
        };
        !bent.symbols().is_empty()
    };
    line.symbols().len() == 1 && [left, right].iter().any(|side| side.any(&mut |part| bends(part)))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ladder::{Ladder, LadderOrder};

    #[test]
    fn the_missing_number_of_a_ratio_table_is_filled_in_where_it_is_found() {
        let skills = vec!["ratio.missing-term".to_owned()];
        let order = LadderOrder { skills, climb: 6, seed: 2, ..LadderOrder::default() };
        for rung in Ladder::make(&order).expect("made").rungs {
            let Some(Figure::RatioTable { columns, .. }) = &rung.figure else { panic!("a table") };
            assert!(columns.iter().flatten().any(|cell| *cell == rung.unknown), "{columns:?}");
            let grown: Vec<&Figure> =
                rung.working.iter().filter_map(|line| line.figure.as_ref()).collect();
            let [Figure::RatioTable { columns, .. }] = grown[..] else { panic!("{grown:?}") };
            assert!(columns.iter().flatten().any(|cell| *cell == rung.answer.value), "{columns:?}");
            assert!(columns.iter().flatten().all(|cell| *cell != rung.unknown), "{columns:?}");
        }
    }

    #[test]
    fn an_inequality_ends_on_a_number_line() {
        let skills = vec!["inequalities.linear".to_owned()];
        let order = LadderOrder { skills, grip: 6, seed: 2, ..LadderOrder::default() };
        for rung in Ladder::make(&order).expect("made").rungs {
            let last = rung.working.iter().rfind(|line| line.carries()).expect("lines");
            let Some(Figure::SolutionLine { stretches, .. }) = &last.figure else {
                panic!("{}", rung.prompt)
            };
            let ends: Vec<_> = stretches.iter().flat_map(|s| [&s.low, &s.high]).flatten().collect();
            assert!(ends.iter().all(|end| last.math.contains(&end.label)), "{}", last.math);
        }
    }
}
