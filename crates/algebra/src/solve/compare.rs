//! Lines in several letters, compared: for the letter that is asked for, as systems, or as they are written.
//!
//! `literal` compares equations in which that letter stands to the first power, `formulas` with `isolate` those where
//! roots, powers or functions of it take part; `linear_systems` compares systems, `several_letters` all other lines of
//! that kind, and `one_to_one` equations whose solutions are not found.

pub(crate) mod formulas;
pub(crate) mod isolate;
pub(crate) mod linear_systems;
pub(crate) mod literal;
pub(crate) mod one_to_one;
pub(crate) mod several_letters;
