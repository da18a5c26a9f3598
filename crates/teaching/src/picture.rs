//! A step as a picture: both sides of a line as curves that meet at its solutions, and the solutions on a number
//! line, before and after. Two lines share their solutions when the two pictures share their marks. The marks are
//! named only where the line itself names them: a picture tells nobody the answer.

use crate::figure::{Curve, Figure, Mark, Stretch};
use crate::shape::solved;
use algebra::normal::{Normaliser, Quotient, Values};
use algebra::plot;
use algebra::solve::{Solutions, solutions};
use algebra::write::text;
use algebra::{Expr, Line, Relation};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Values at which a curve is looked at.
const SAMPLES: u32 = 240;
/// Longest window that is drawn.
const WIDEST: f64 = 2_000.0;

/// One line as pictures.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LinePicture {
    /// The line, typeset.
    pub latex: String,
    /// Its sides as curves.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub curves: Option<Figure>,
    /// Its solutions on a number line.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub solutions: Option<Figure>,
}

/// The pictures of the line above and of this one, in one window; `None` where there is nothing to draw.
#[must_use]
pub fn of_step(above: &Line, line: &Line) -> Option<[LinePicture; 2]> {
    let letters: Vec<String> = above.symbols().union(&line.symbols()).cloned().collect();
    let [letter] = &letters[..] else { return None };
    let both = [above, line];
    let sets = both.map(|line| solutions(line, letter).ok());
    let window = window(&both, &sets, letter);
    let heights = heights(&both, letter, window, &sets);
    let pictures = [0, 1].map(|at| LinePicture {
        latex: algebra::write::latex_line(both[at]),
        curves: curves(both[at], letter, window, heights, sets[at].as_ref()),
        solutions: sets[at]
            .as_ref()
            .and_then(|set| number_line(set, letter, window, solved(both[at]))),
    });
    let drawn = |one: &LinePicture| one.curves.is_some() || one.solutions.is_some();
    pictures.iter().any(drawn).then_some(pictures)
}

/// The solutions of a line in one letter on a number line; `None` where they are not found or too far apart.
#[must_use]
pub fn of_solutions(line: &Line) -> Option<Figure> {
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let [letter] = &letters[..] else { return None };
    let sets = [solutions(line, letter).ok(), None];
    let window = window(&[line, line], &sets, letter);
    let [set, _] = sets;
    number_line(&set?, letter, window, true)
}

/// Both sides of a line in one letter as curves, with the places where they meet.
#[must_use]
pub fn of_sides(line: &Line) -> Option<Figure> {
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let [letter] = &letters[..] else { return None };
    let sets = [solutions(line, letter).ok(), None];
    let both = [line, line];
    let window = window(&both, &sets, letter);
    let heights = heights(&both, letter, window, &sets);
    curves(line, letter, window, heights, sets[0].as_ref())
}

/// Every place that a set of solutions names.
fn places(set: &Solutions) -> Vec<f64> {
    match set {
        Solutions::Finite(values) => {
            values.iter().filter_map(|value| plot::place(value.value())).collect()
        }
        Solutions::Intervals(all) => all
            .iter()
            .flat_map(|interval| [&interval.low, &interval.high])
            .flatten()
            .filter_map(|end| plot::place(&end.value))
            .collect(),
        Solutions::AllReals | Solutions::Repeating => Vec::new(),
    }
}

/// The stretch of the number line that is shown: all solutions with room on both sides, and whole ends.
fn window(lines: &[&Line; 2], sets: &[Option<Solutions>; 2], letter: &str) -> (f64, f64) {
    let mut all: Vec<f64> = sets.iter().flatten().flat_map(places).collect();
    all.retain(|x| x.abs() < WIDEST / 2.0);
    let repeats = lines.iter().any(|line| {
        line.expressions().iter().any(|expr| {
            expr.any(&mut |part| {
                use algebra::Function::{Cos, Cot, Csc, Sec, Sin, Tan};
                matches!(part.kind, algebra::ExprKind::Call {
                    function: Sin | Cos | Tan | Sec | Csc | Cot, .. }
                    if part.symbols().contains(letter))
            })
        })
    });
    let low = all.iter().copied().fold(f64::INFINITY, f64::min);
    let high = all.iter().copied().fold(f64::NEG_INFINITY, f64::max);
    if low > high {
        return if repeats { (-7.0, 7.0) } else { (-5.0, 5.0) };
    }
    let room = ((high - low) * 0.35).max(3.0);
    let (mut low, mut high) = ((low - room).floor(), (high + room).ceil());
    // Zero is shown when it is not far.
    if low > 0.0 && low < (high - low) {
        low = -1.0;
    }
    if high < 0.0 && -high < (high - low) {
        high = 1.0;
    }
    (low, high)
}

/// The sides that are drawn: of one equation or inequality, or an expression alone.
fn sides(line: &Line) -> Vec<&Expr> {
    match line {
        Line::Expression(expr) => vec![expr],
        Line::Relations { sides, relations }
            if !relations.contains(&Relation::Approximate) && sides.len() <= 3 =>
        {
            sides.iter().collect()
        }
        _ => Vec::new(),
    }
}

/// From where to where the curves are drawn upwards: the height at the solutions, and most of the rest.
fn heights(
    lines: &[&Line; 2],
    letter: &str,
    (low, high): (f64, f64),
    sets: &[Option<Solutions>; 2],
) -> (f64, f64) {
    let mut all = Vec::new();
    let mut must = vec![0.0];
    for (line, set) in lines.iter().zip(sets) {
        for side in sides(line) {
            let at = |x: f64| plot::value(side, letter, x);
            all.extend(grid(low, high).filter_map(at));
            must.extend(set.iter().flat_map(places).filter_map(at));
        }
    }
    all.sort_by(f64::total_cmp);
    let pick = |part: f64| all.get(((all.len() as f64) * part) as usize).copied();
    let (mut bottom, mut top) = (pick(0.12).unwrap_or(-5.0), pick(0.88).unwrap_or(5.0));
    for height in must {
        bottom = bottom.min(height);
        top = top.max(height);
    }
    let room = ((top - bottom) * 0.12).max(0.5);
    (bottom - room, top + room)
}

fn grid(low: f64, high: f64) -> impl Iterator<Item = f64> {
    (0..=SAMPLES).map(move |n| low + (high - low) * f64::from(n) / f64::from(SAMPLES))
}

fn curves(
    line: &Line,
    letter: &str,
    (left, right): (f64, f64),
    (bottom, top): (f64, f64),
    set: Option<&Solutions>,
) -> Option<Figure> {
    let names = solved(line);
    let sides = sides(line);
    if sides.is_empty() {
        return None;
    }
    let curves: Vec<Curve> = sides.iter().map(|side| curve(side, letter, left, right)).collect();
    if curves.iter().all(|curve| curve.pieces.is_empty()) {
        return None;
    }
    let mut points = Vec::new();
    if let (Some(Solutions::Finite(values)), [first, _, ..]) = (set, &sides[..]) {
        for value in values {
            let Some(x) = plot::place(value.value()) else { continue };
            let Some(y) = plot::value(first, letter, x) else { continue };
            let label = if names { format!("{letter} = {}", value.text()) } else { String::new() };
            points.push(([x, y], label));
        }
    }
    let points = points.into_iter().map(|(at, label)| crate::figure::Place { at, label }).collect();
    Some(Figure::Graph {
        letter: letter.into(),
        x: [left, right],
        y: [bottom, top],
        curves,
        points,
    })
}

/// The pieces of a curve between its gaps.
fn curve(side: &Expr, letter: &str, left: f64, right: f64) -> Curve {
    let mut pieces: Vec<Vec<[f64; 2]>> = Vec::new();
    let mut open: Vec<[f64; 2]> = Vec::new();
    for x in grid(left, right) {
        match plot::value(side, letter, x) {
            Some(y) => {
                // From one end of the world to the other between two samples: a pole, not a curve.
                if open.last().is_some_and(|[_, before]| is_pole(*before, y, right - left)) {
                    pieces.push(std::mem::take(&mut open));
                }
                open.push([x, y]);
            }
            None => pieces.push(std::mem::take(&mut open)),
        }
    }
    pieces.push(open);
    pieces.retain(|piece| piece.len() > 1);
    Curve { label: text(side), pieces }
}

fn is_pole(before: f64, after: f64, width: f64) -> bool {
    before.signum() != after.signum() && before.abs().min(after.abs()) > width / 2.0
}

fn number_line(
    set: &Solutions,
    letter: &str,
    (from, to): (f64, f64),
    names: bool,
) -> Option<Figure> {
    let named = |label: String| if names { label } else { String::new() };
    let mark = |value: &Quotient| {
        plot::place(value).map(|at| Mark { at, label: named(text(&shortest(value))) })
    };
    let stretches = match set {
        Solutions::Finite(values) => values
            .iter()
            .filter_map(|value| {
                let end = Mark { at: plot::place(value.value())?, label: named(value.text()) };
                Some(Stretch { low: Some(end.clone()), high: Some(end), closed: [true, true] })
            })
            .collect(),
        Solutions::AllReals => vec![Stretch { low: None, high: None, closed: [false, false] }],
        Solutions::Intervals(all) => all
            .iter()
            .map(|interval| Stretch {
                low: interval.low.as_ref().and_then(|end| mark(&end.value)),
                high: interval.high.as_ref().and_then(|end| mark(&end.value)),
                closed: [&interval.low, &interval.high]
                    .map(|end| end.as_ref().is_some_and(|end| end.included)),
            })
            .collect(),
        Solutions::Repeating => return None,
    };
    Some(Figure::SolutionLine { letter: letter.into(), from, to, stretches })
}

/// A constant as it is written most briefly.
fn shortest(value: &Quotient) -> Expr {
    let expr = value.to_expr();
    let budget = &mut algebra::budget::Budget::for_verdict();
    let again = Normaliser::new(&Values::new(), budget).build(&expr);
    again.map_or(expr, |value| value.to_expr())
}

#[cfg(test)]
mod tests {
    use super::*;

    fn step(above: &str, line: &str) -> Option<[LinePicture; 2]> {
        let read = |text: &str| algebra::read_line(text).expect(text).line;
        of_step(&read(above), &read(line))
    }

    #[test]
    fn curves_meet_at_the_solutions() {
        let [above, below] = step("x^2 = 5x", "x = 5").expect("drawn");
        let Some(Figure::Graph { points, x, curves, .. }) = above.curves else { panic!("a graph") };
        let labels: Vec<_> = points.iter().map(|p| (p.at, p.label.as_str())).collect();
        assert_eq!(labels, [([0.0, 0.0], ""), ([5.0, 25.0], "")]);
        assert_eq!((x, curves.len()), ([-3.0, 8.0], 2));
        let Some(Figure::Graph { points, .. }) = below.curves else { panic!("a graph") };
        assert_eq!(points[0].label, "x = 5");
        assert_eq!(points.len(), 1);
    }

    #[test]
    fn solution_sets_lie_on_a_line() {
        let [above, below] = step("-2x < 6", "x < -3").expect("drawn");
        let stretches = |picture: LinePicture| match picture.solutions {
            Some(Figure::SolutionLine { stretches, .. }) => stretches,
            other => panic!("{other:?}"),
        };
        let (above, below) = (stretches(above), stretches(below));
        assert_eq!(
            (above[0].low.as_ref().map(|m| m.at), above[0].high.is_none()),
            (Some(-3.0), true)
        );
        assert_eq!(
            (below[0].low.is_none(), below[0].high.as_ref().map(|m| m.at)),
            (true, Some(-3.0))
        );
        assert_eq!(above[0].closed, [false, false]);
    }

    #[test]
    fn what_cannot_be_drawn_is_not() {
        assert_eq!(step("x + y = 5", "x = 5 - y"), None);
        assert_eq!(step("3 + 4", "7"), None);
        let [above, _] = step("1/x = 2", "x = 1/2").expect("drawn");
        let Some(Figure::Graph { curves, .. }) = above.curves else { panic!("a graph") };
        // The gap at zero parts the curve.
        assert_eq!(curves[0].pieces.len(), 2);
    }
}
