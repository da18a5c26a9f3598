//! Every picture, one file each.

mod area_grid;
mod area_model;
mod axis;
mod balance;
mod bar;
mod blocks;
mod calendar;
mod circle;
mod coins;
mod columns;
mod counters;
mod cross_lines;
mod digits;
mod dot_array;
mod double_line;
mod factor_tree;
mod family_tree;
mod fraction_circles;
mod graph;
mod groups;
mod hundred_grid;
mod jumps;
mod number_line;
mod operation_tree;
mod pattern;
mod percent_bar;
mod place;
mod point_hops;
mod polygon;
mod ratio_table;
mod ruler;
mod solution_line;
mod strips;
mod table;
mod tally;
mod tiles;
mod to_scale;
mod tree;
mod unit_stairs;

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
        Figure::FactorTree { nodes, ringed } => factor_tree::draw(nodes, ringed),
        Figure::OperationTree { nodes } => operation_tree::draw(nodes),
        Figure::FamilyTree { nodes } => family_tree::draw(nodes),
        Figure::Tiles { tiles } => tiles::draw(tiles),
        Figure::Balance { left, right } => balance::draw(left, right),
        Figure::DotArray { rows, columns, filled } => dot_array::draw(*rows, *columns, *filled),
        Figure::Jumps { stops, jumps } => jumps::draw(stops, jumps),
        Figure::HundredGrid { numbered, marked } => hundred_grid::draw(*numbered, marked),
        Figure::Coins { values } => coins::draw(values),
        Figure::Tally { count } => tally::draw(*count),
        Figure::Calendar { first, days, marked } => calendar::draw(*first, *days, marked),
        Figure::PointHops { digits, from, to } => point_hops::draw(digits, *from, *to),
        Figure::AreaModel { across, down } => area_model::draw(*across, *down),
        Figure::CrossLines { terms, products } => cross_lines::draw(terms, products),
        Figure::FractionCircles { circles } => fraction_circles::draw(circles),
        Figure::Groups { names, each, groups } => groups::draw(names, *each, *groups),
        Figure::DoubleLine { rows, stops } => double_line::draw(rows, stops),
        Figure::Pattern { built, counts } => pattern::draw(*built, counts),
        Figure::UnitStairs { units, factors, way } => unit_stairs::draw(units, factors, *way),
        Figure::ToScale { things, unit } => to_scale::draw(things, unit),
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
