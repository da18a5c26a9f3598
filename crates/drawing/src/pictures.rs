//! Every picture, one file each.

mod axis;
mod bar;
mod circle;
mod graph;
mod number_line;
mod place;
mod polygon;
mod ratio_table;
mod ruler;
mod solution_line;
mod table;

use crate::scene::Scene;
use teaching::figure::Figure;

/// Lays a figure out.
#[must_use]
pub fn draw(figure: &Figure) -> Scene {
    match figure {
        Figure::RatioTable { rows, columns } => ratio_table::draw(rows, columns),
        Figure::NumberLine { from, to, points } => number_line::draw(*from, *to, points),
        Figure::Bar { parts, total } => bar::draw(parts, total),
        Figure::Graph { letter, x, y, curves, points } => {
            graph::draw(letter, *x, *y, curves, points)
        }
        Figure::Polygon(shape) => polygon::draw(shape),
        Figure::Circle(circle) => circle::draw(circle),
        Figure::Ruler { length, thing, label } => ruler::draw(*length, *thing, label),
        Figure::Table { heads, rows } => table::draw(heads, rows),
        Figure::SolutionLine { letter, from, to, stretches } => {
            solution_line::draw(letter, *from, *to, stretches)
        }
    }
}
