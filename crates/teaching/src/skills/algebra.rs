//! Algebra and functions.

pub mod equations_linear;
pub mod equations_quadratic;
pub mod expressions_expand;
pub mod inequalities_linear;
pub mod systems_linear;
