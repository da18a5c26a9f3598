//! Solution sets, exactly, and the lines of a solution as data.
//!
//! `sets` finds the solutions of lines in one unknown, and where two lines differ: by `cells` for quotients
//! of polynomials, and by `line_up`, with `zeros`, where functions take part; `real` orders exact numbers,
//! a `solution` is one that makes a line true, and an `interval` holds many. `systems` compares linear systems, and `points`
//! finds the solutions of others; `formulas` compares formulas for one letter, with `isolate`;
//! `several` looks at the rest of the lines in several letters; `literal` compares equations in several letters; `steps` writes a solution line by
//! line for `linear` equations and `proportion`s. Words for the reasons are written in `teaching`.

pub(crate) mod cells;
pub(crate) mod formulas;
pub(crate) mod interval;
mod isolate;
mod line_up;
pub(crate) mod linear;
pub(crate) mod literal;
pub(crate) mod points;
mod proportion;
pub(crate) mod real;
pub(crate) mod sets;
pub(crate) mod several;
mod solution;
pub(crate) mod steps;
pub(crate) mod systems;
pub(crate) mod zeros;

pub use cells::Solutions;
pub use interval::{End, Interval};
pub use linear::{linear_coefficients, solve_linear, solve_undoing};
pub use proportion::{Place, Proportion, ProportionMethod, solve_proportion};
pub use sets::{solutions, solutions_given};
pub use solution::{Solution, Writing};
pub use steps::{Rule, Step, Unsolved};
