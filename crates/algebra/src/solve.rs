//! Solution sets, exactly, and the lines of a solution as data.
//!
//! `cells` decides the truth of lines in one unknown everywhere on the number line, and `solution` is
//! what it finds there; `systems` compares
//! linear systems; `literal` compares equations in several letters; `steps` writes a solution line by
//! line for `linear` equations and `proportion`s. Words for the reasons are written in `teaching`.

pub(crate) mod cells;
pub(crate) mod linear;
pub(crate) mod literal;
mod proportion;
mod solution;
pub(crate) mod steps;
pub(crate) mod systems;

pub use cells::{Solutions, solutions};
pub use linear::{linear_coefficients, solve_linear, solve_undoing};
pub use proportion::{Place, Proportion, ProportionMethod, solve_proportion};
pub use solution::Solution;
pub use steps::{Rule, Step, Unsolved};
