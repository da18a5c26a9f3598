//! Workings, line by line, as they would be written on a board.
//!
//! `one_unknown` works any line in one unknown; `linear` and `proportion` their own kinds by the methods of a class.
//! `two_equations`, `three_equations` and `nonlinear_systems` work systems; `inverse_operations` and `gathered_terms`
//! formulas; `arithmetic`, `expanding`, `factorising`, `laws`, `common_denominator`, `quantities`, `differentiating` and
//! `rationalise` expressions.

pub(crate) mod arithmetic;
pub(crate) mod common_denominator;
pub(crate) mod differentiating;
pub(crate) mod expanding;
pub(crate) mod factorising;
pub(crate) mod gathered_terms;
pub(crate) mod inverse_operations;
pub(crate) mod laws;
pub(crate) mod linear;
pub(crate) mod nonlinear_systems;
pub(crate) mod one_unknown;
pub(crate) mod outermost;
pub(crate) mod proportion;
pub(crate) mod quantities;
pub(crate) mod rationalise;
pub(crate) mod rows;
pub(crate) mod steps;
pub(crate) mod three_equations;
pub(crate) mod two_equations;
