//! Algebra and functions.

pub mod equations_absolute;
pub mod equations_linear;
pub mod equations_quadratic;
pub mod equations_radical;
pub mod equations_rational;
pub mod equations_rearrange;
pub mod exponential_half_life;
pub mod exponential_solve;
pub mod expressions_expand;
pub mod expressions_factorise;
pub mod expressions_like_terms;
pub mod functions_model;
pub mod indices_laws;
pub mod inequalities_linear;
pub mod radicals_operate;
pub mod radicals_simplify;
pub mod sequences_linear_geometric;
pub mod sequences_recursive;
pub mod systems_linear;
