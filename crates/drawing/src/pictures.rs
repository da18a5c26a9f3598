//! Every picture, one file each.

mod area_grid;
mod axis;
mod bar;
mod blocks;
mod circle;
mod columns;
mod counters;
mod digits;
mod factor_tree;
mod graph;
mod number_line;
mod percent_bar;
mod place;
mod polygon;
mod ratio_table;
mod ruler;
mod solution_line;
mod strips;
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
        Figure::Blocks { hundreds, tens, ones } => blocks::draw(*hundreds, *tens, *ones),
        Figure::Columns { heads, carries, rows, sign, result } => {
            columns::draw(&columns::Columns { heads, carries, rows, sign, result })
        }
        Figure::FactorTree { nodes } => factor_tree::draw(nodes),
        Figure::Strips { strips } => strips::draw(strips),
        Figure::AreaGrid { across, down, cells } => area_grid::draw(across, down, cells),
        Figure::Counters { positive, negative, pairs } => {
            counters::draw(*positive, *negative, *pairs)
        }
        Figure::Digits { digits } => digits::draw(digits),
        Figure::PercentBar { percent, part, whole } => percent_bar::draw(*percent, part, whole),
        Figure::SolutionLine { letter, from, to, stretches } => {
            solution_line::draw(letter, *from, *to, stretches)
        }
    }
}
