//! Solution sets, exactly, and the lines of a solution as data.
//!
//! `sets` finds the solutions of lines in one unknown, and where two lines differ: by `cells` for quotients
//! of polynomials, and by `line_up`, with `zeros`, where functions take part; `real` orders exact numbers,
//! a `solution` is one that makes a line true, and an `interval` holds many. `systems` compares linear
//! systems, and `points` finds the solutions of others, with `combined` equations. `literal` and `formulas`, with `isolate`, compare
//! equations in several letters, `several` all other lines of that kind; `peers` those whose solutions are not found.
//!
//! `steps` are the lines of a working: `linear` writes those of linear equations, `proportion` those of
//! proportions, `board` those of all other lines in one unknown; `elimination`, `three` and `curves` work systems, `peeled` and
//! `gathered` formulas. Words for the reasons are written in
//! `teaching`.

mod arithmetic;
mod board;
pub(crate) mod cells;
pub(crate) mod combined;
mod curves;
mod elimination;
mod expanding;
mod factorising;
pub(crate) mod formulas;
mod gathered;
pub(crate) mod interval;
mod isolate;
mod laws;
mod line_up;
pub(crate) mod linear;
pub(crate) mod literal;
mod outermost;
mod over_one;
mod peeled;
pub(crate) mod peers;
pub(crate) mod points;
mod proportion;
mod rationalise;
pub(crate) mod real;
mod rows;
pub(crate) mod sets;
pub(crate) mod several;
mod solution;
pub(crate) mod steps;
pub(crate) mod systems;
mod three;
pub(crate) mod zeros;

pub use arithmetic::arithmetic;
pub use board::{Board, board, solution_line};
pub use cells::Solutions;
pub use curves::eliminate_terms;
pub use elimination::{eliminate, substitute};
pub use expanding::{expanding, has_brackets};
pub use factorising::{factorising, product_of_factors};
pub use formulas::formula_values;
pub use gathered::gathered;
pub use interval::{End, Interval};
pub use laws::{Law, by_laws, by_laws_of_numbers, double_angles, shortest_ratio};
pub use linear::{linear_coefficients, solve_linear, solve_undoing};
pub use over_one::over_one_denominator;
pub use peeled::peeled;
pub use points::system_points;
pub use proportion::{Place, Proportion, ProportionMethod, solve_proportion};
pub use rationalise::rationalised;
pub use sets::{solutions, solutions_given};
pub use solution::{Solution, Writing};
pub use steps::{Rule, Step, Unsolved};
pub use three::eliminate_three;
