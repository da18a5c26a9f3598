//! Algebra and functions.

pub mod equations_linear;
