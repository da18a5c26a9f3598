//! Measure and geometry.

pub mod area_triangle;
pub mod measure_convert;
pub mod pythagoras;
